"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/editor-local";
import { buttonLook } from "@/ui/controls/button";
import { type Returned, returnUnsent } from "@/ui/kept-here";
import { useReady } from "@/ui/use-ready";

/** Takes back what was saved as a file when somebody signed out before it had been sent. */
export function ReturnUnsent() {
  const ready = useReady();
  const [said, setSaid] = useState<{ text: string; timelines: string[] } | null>(null);
  const open = async (file: File) => {
    const came = await returnUnsent(await file.text());
    setSaid(came ? { text: sentence(came), timelines: came.timelines } : { text: WORDS.noUnsentFile, timelines: [] });
  };
  return (
    <section aria-label={WORDS.unsentBack}>
      <h2 className="text-[18px]">{WORDS.unsentBack}</h2>
      <p className="mt-1 text-[14px] text-quiet">{WORDS.unsentBackHint}</p>
      <label className={`${buttonLook("plain", "small")} mt-2 cursor-pointer focus-within:outline-2`}>
        {WORDS.openTheFile}
        <input
          type="file"
          accept=".json,application/json"
          disabled={!ready}
          className="sr-only"
          onChange={(e) => {
            const file = e.target.files?.[0];
            if (file) void open(file);
            e.target.value = "";
          }}
        />
      </label>
      <p role="status" className="mt-2 text-[14px]">
        {said?.text}{" "}
        {said?.timelines.map((id) => (
          <a key={id} href={`/timelines/${id}`} className="me-2 text-verdigris underline">
            {WORDS.openIt}
          </a>
        ))}
      </p>
    </section>
  );
}

function sentence({ sent, left, why }: Returned): string {
  return [WORDS.unsentSent(sent), left > 0 ? WORDS.unsentLeft(left, why) : ""].filter(Boolean).join(" ");
}
