"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/en/editor-history";
import { SittingList } from "./sitting-list";

/** What happened to one event: its own history, read when it is opened. */
export function EventHistory({ event, onShow }: { event: string; onShow: (seq: number) => void }) {
  const [open, setOpen] = useState(false);
  return (
    <section aria-label={WORDS.whatHappened}>
      <button
        type="button"
        aria-expanded={open}
        className="min-h-6 text-[14px] font-bold text-verdigris underline"
        onClick={() => setOpen(!open)}
      >
        {WORDS.whatHappened}
      </button>
      {open ? <SittingList event={event} person="" kind="" onShow={onShow} /> : null}
    </section>
  );
}
