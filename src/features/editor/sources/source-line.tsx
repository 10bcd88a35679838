"use client";

import type { SourceValues } from "@/core/sources/cited";
import { sourceText } from "@/core/sources/cited";
import type { Run } from "@/core/sources/runs";
import { WORDS } from "@/core/words/sources";

/** A source as the list has it; until that is known in plain words. */
export function SourceLine({ source, runs }: { source: SourceValues; runs: readonly Run[] | null }) {
  const plain = sourceText(source);
  if (plain === "") return <span className="text-quiet">{WORDS.nothingWrittenYet}</span>;
  const shown = runs ?? [{ text: plain }];
  return (
    <span className="break-words">
      {shown.map((r, i) =>
        // biome-ignore lint/suspicious/noArrayIndexKey: stretches of one line have nothing else to be known by
        r.italic ? <i key={i}>{r.text}</i> : <span key={i}>{r.text}</span>,
      )}
    </span>
  );
}
