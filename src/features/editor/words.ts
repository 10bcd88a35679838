import { blocksOf, plainTextOf, wordCount } from "@/core/text/description";

const counts = new WeakMap<Uint8Array, number>();

/** The words of a description; counted once for each state of it. */
export function wordsIn(description: Uint8Array): number {
  if (description.length === 0) return 0;
  let n = counts.get(description);
  if (n === undefined) {
    n = wordCount(plainTextOf(blocksOf(description)));
    counts.set(description, n);
  }
  return n;
}
