import { diffWordsWithSpace } from "diff";
import { useMemo } from "react";

/** Comparing may take so long, ms; else the texts stand beside each other whole. */
const LIMIT_MS = 150;

/** A text with what was taken out of it and what was put in, shown within it. */
export function WordsChanged({ before, after }: { before: string; after: string }) {
  const parts = useMemo(
    () =>
      diffWordsWithSpace(before, after, { timeout: LIMIT_MS }) ?? [
        { value: before, removed: true, added: false },
        { value: after, removed: false, added: true },
      ],
    [before, after],
  );
  return (
    <span className="break-words whitespace-pre-line">
      {parts.map((p, i) =>
        p.removed ? (
          // biome-ignore lint/suspicious/noArrayIndexKey: the parts of one comparison never move
          <del key={i} className="bg-copper-wash text-copper-dark">
            {p.value}
          </del>
        ) : p.added ? (
          // biome-ignore lint/suspicious/noArrayIndexKey: the parts of one comparison never move
          <ins key={i} className="bg-verdigris-wash font-bold text-verdigris no-underline">
            {p.value}
          </ins>
        ) : (
          // biome-ignore lint/suspicious/noArrayIndexKey: the parts of one comparison never move
          <span key={i}>{p.value}</span>
        ),
      )}
    </span>
  );
}
