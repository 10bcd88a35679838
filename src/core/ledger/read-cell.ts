import { MOST_TAG, MOST_TAGS } from "../timeline/fields";

/** Tags as they are typed: with commas or semicolons between, each once. What is too long or too many is left over. */
export function readTags(text: string): { tags: string[]; rest: string } {
  const tags: string[] = [];
  const rest: string[] = [];
  for (const raw of text.split(/[,;\n]/)) {
    const tag = raw
      .replaceAll(/\s+/g, " ")
      .trim()
      .replace(/^\+(?=\S)/, "");
    if (tag === "" || tags.some((t) => t.toLowerCase() === tag.toLowerCase())) continue;
    if (tag.length > MOST_TAG || tags.length >= MOST_TAGS) rest.push(tag);
    else tags.push(tag);
  }
  return { tags, rest: rest.join(", ") };
}

/** Yes or no in the ways tables say it; null for anything else. */
export function readYes(text: string): boolean | null {
  const word = text.toLowerCase();
  if (
    ["yes", "y", "true", "x", "1", "!", "important", "ja", "j", "wichtig", "sí", "si", "s", "importante"].includes(word)
  )
    return true;
  return ["", "no", "n", "false", "nein", "0", "-", "–"].includes(word) ? false : null;
}

/** A source or link written in one line: an address at its end is its address. */
export function readSourceLine(line: string): { text: string; address: string } {
  const at = /^(?:(.*\S)\s+)?((?:https?:\/\/|mailto:)\S+)$/i.exec(line.trim());
  return at ? { text: at[1] ?? "", address: at[2]! } : { text: line.trim(), address: "" };
}

/** The lines of a cell that say something. */
export const linesOf = (text: string) => text.split(/\r?\n/).flatMap((l) => (l.trim() ? [l.trim()] : []));
