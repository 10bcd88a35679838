"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/editor-history";
import { SittingList } from "./sitting-list";

/** What happened to one event: its own history, read when it is opened. */
export function EventHistory({
  event,
  chapter = false,
  onShow,
}: {
  event: string;
  chapter?: boolean;
  onShow: (seq: number) => void;
}) {
  const name = chapter ? WORDS.whatHappenedChapter : WORDS.whatHappened;
  const [open, setOpen] = useState(false);
  return (
    <section aria-label={name}>
      <button
        type="button"
        aria-expanded={open}
        className="min-h-6 text-[14px] font-bold text-verdigris underline"
        onClick={() => setOpen(!open)}
      >
        {name}
      </button>
      {open ? <SittingList event={event} person="" kind="" onShow={onShow} /> : null}
    </section>
  );
}
