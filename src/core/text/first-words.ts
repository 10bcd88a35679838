import { type Block, blocksOf, plainTextOf } from "./description";

/** So many characters of a description are its first words. */
const MOST = 180;
/** A longer description is not taken apart for them, bytes. */
const MOST_BYTES = 200_000;

/** The first words of a text, in one line, never half a word where there is a space; with "…" where there are more. */
export function firstWords(blocks: readonly Block[]): string {
  const text = plainTextOf(blocks).replaceAll(/\s+/g, " ").trim();
  if (text.length <= MOST) return text;
  const cut = text.slice(0, MOST);
  const space = cut.lastIndexOf(" ");
  // Without a space it is cut between characters, never within one.
  const kept = space > 0 ? cut.slice(0, space) : Array.from(cut.slice(0, -1)).slice(0, -1).join("");
  return `${kept.replace(/[\s,;:.–-]+$/, "")}…`;
}

const known = new WeakMap<Uint8Array, string>();
/** The same of the state of a description, taken apart once. */
export function firstWordsOf(description: Uint8Array): string {
  if (description.length === 0 || description.length > MOST_BYTES) return "";
  let found = known.get(description);
  if (found === undefined) known.set(description, (found = firstWords(blocksOf(description))));
  return found;
}
