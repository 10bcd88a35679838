"use client";

import { useState } from "react";
import { WORDS as PAGES } from "@/core/words/pages";
import { WORDS } from "@/core/words/editor-history";

/** What others did since somebody was here last: the number of the last change they saw, how many came, and whose. */
export interface News {
  since: number;
  changes: number;
  by: string[];
}

/** Says what others did since one was here last, and leads to what is different, on the chart and in words. */
export function SinceNotice({ news, onShow }: { news: News | null; onShow: (since: number) => void }) {
  const [open, setOpen] = useState(true);
  if (!news || !open) return null;
  return (
    <p
      role="status"
      className="flex min-h-8 flex-wrap items-center gap-x-3 border-b border-line bg-sun-wash px-[18px] text-[14px]"
    >
      <span>{PAGES.newSince(news.changes, news.by.join(", "))}.</span>
      <button
        type="button"
        className="min-h-6 font-bold underline"
        onClick={() => {
          setOpen(false);
          onShow(news.since);
        }}
      >
        {WORDS.seeWhatIsDifferent}
      </button>
      <button type="button" className="min-h-6 underline" onClick={() => setOpen(false)}>
        {WORDS.notNow}
      </button>
    </p>
  );
}
