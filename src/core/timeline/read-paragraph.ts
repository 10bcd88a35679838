import { readWhen } from "../time/read/read-when";
import type { ReadOptions } from "../time/read/options";
import { isDated, UNDATED, type When } from "../time/when";
import { whenLabel } from "../time/write-when";
import { EVENT } from "./fields";

/** A pasted paragraph, taken apart. */
export interface ReadParagraph {
  /** The first date in it; undated where there is none. */
  when: When;
  /** Its first sentence, without the stop. */
  title: string;
  /** What comes after it. */
  rest: string;
}

/** Shorter texts are lines, not paragraphs. */
const SHORTEST = 100;
const MOST_READ = 6_000;
/** After these a stop ends no sentence. */
const SHORT = /(?:^|[\s(])(?:c|ca|st|no|nos|mr|mrs|ms|dr|rev|vol|p|pp|ed|fig|cf|e\.g|i\.e|[A-Z])\.$/i;

/**
 * A text of several sentences as an event: the first date in it, the first sentence as title, the rest as description. Null where it
 * is no such text. Where the first sentence is longer than a title, its beginning is, up to a comma or a word's end, and the
 * description holds all of it.
 */
export function readParagraph(text: string, options: ReadOptions = {}): ReadParagraph | null {
  const all = text.trim().replaceAll(/\s+/g, " ");
  if (all.length < SHORTEST || /\n\s*\S/.test(text.trim())) return null;
  const [first, rest] = firstSentence(all);
  if (rest === "") return null;
  const found = readWhen(all.slice(0, MOST_READ), options);
  const when = isDated(found) ? readWhen(whenLabel(found), options) : UNDATED;
  const title = first.replace(/[.]$/, "");
  const most = EVENT.title.most!;
  if (title.length <= most) return { when, title, rest };
  const cut = title.slice(0, most - 1);
  const at = Math.max(cut.lastIndexOf(","), cut.lastIndexOf(";"), cut.lastIndexOf(":"));
  return { when, title: `${cut.slice(0, at > 40 ? at : cut.lastIndexOf(" "))}…`, rest: all };
}

function firstSentence(text: string): [string, string] {
  let first = "";
  for (const { segment } of new Intl.Segmenter("en", { granularity: "sentence" }).segment(text)) {
    first += segment;
    if (!SHORT.test(first.trim())) break;
  }
  return [first.trim(), text.slice(first.length).trim()];
}
