"use client";

import { WORDS } from "@/core/words/classes";
import { useState } from "react";
import { INPUT } from "@/ui/controls/field";
import { OpenTimelineButton } from "@/ui/open-timeline-button";

/** Beginning anew, or with a timeline one has already. */
export function BeginAssignment({ id, usable }: { id: string; usable: readonly { id: string; title: string }[] }) {
  const [chosen, setChosen] = useState("");
  const path = `/api/assignments/${id}/group`;
  return (
    <>
      <OpenTimelineButton path={path} label={WORDS.begin} />
      {usable.length > 0 ? (
        <div className="mt-5 rounded-lg border border-line p-4">
          <label htmlFor="use-timeline" className="font-bold">
            {WORDS.orUseATimelineYou}
          </label>
          <p className="mb-2 text-[14px] text-quiet">{WORDS.whatYouHaveWrittenStays}</p>
          <div className="flex flex-wrap gap-2">
            <select
              id="use-timeline"
              className={`${INPUT} w-auto min-w-56 flex-1`}
              value={chosen}
              onChange={(e) => setChosen(e.target.value)}
            >
              <option value="">{WORDS.chooseATimeline}</option>
              {usable.map((t) => (
                <option key={t.id} value={t.id}>
                  {t.title || WORDS.untitled}
                </option>
              ))}
            </select>
            <OpenTimelineButton
              kind="plain"
              method="PUT"
              path={path}
              body={{ timeline: chosen }}
              label={WORDS.useIt}
              disabled={chosen === ""}
            />
          </div>
        </div>
      ) : null}
    </>
  );
}
