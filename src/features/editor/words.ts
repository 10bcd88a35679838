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

const texts = new WeakMap<Uint8Array, string>();

/** The words of a description as plain text; taken out once for each state of it. */
export function plainTextIn(description: Uint8Array): string {
  if (description.length === 0) return "";
  let text = texts.get(description);
  if (text === undefined) {
    text = plainTextOf(blocksOf(description));
    texts.set(description, text);
  }
  return text;
}
