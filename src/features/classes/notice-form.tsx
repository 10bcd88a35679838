"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/privacy";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { useReady } from "@/ui/use-ready";

/** What a school adds to what is kept of its students, in its own words. */
export function NoticeForm({ classId, notice }: { classId: string; notice: string }) {
  const ready = useReady();
  const [text, setText] = useState(notice);
  const [saved, setSaved] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const save = async () => {
    const answer = await askServer("PATCH", `/api/classes/${classId}`, { notice: text });
    setProblem(answer.ok ? null : answer.sentence);
    setSaved(answer.ok);
  };
  return (
    <section aria-label={WORDS.fromSchool} className="mt-6">
      <Field label={WORDS.edit} hint={WORDS.editHelp} problem={problem}>
        {(ids) => (
          <textarea
            id={ids.id}
            aria-describedby={ids.describedBy}
            rows={6}
            maxLength={5_000}
            className={`${INPUT} h-auto py-2`}
            value={text}
            onChange={(e) => {
              setText(e.target.value);
              setSaved(false);
            }}
          />
        )}
      </Field>
      <div className="mt-2 flex items-center gap-3 print:hidden">
        <Button disabled={!ready} onClick={() => void save()}>
          {WORDS.save}
        </Button>
        <span role="status" className="text-[14px] text-verdigris">
          {saved ? `${WORDS.saved} ${WORDS.print}` : ""}
        </span>
      </div>
    </section>
  );
}
