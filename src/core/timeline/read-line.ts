import { readWhen } from "../time/read/read-when";
import type { ReadOptions } from "../time/read/options";
import { UNDATED, type When } from "../time/when";
import { MOST_TAG, MOST_TAGS } from "./fields";

/** One line of the ledger, taken apart. */
export interface ReadLine {
  when: When;
  title: string;
  /** The word after the last " #", without it; null when there is none. */
  category: string | null;
  /** Whether a " !" stood by itself. */
  emphasis: boolean;
  /** The words after " @"; "" for none. */
  place: string;
  /** The words after each " +". */
  tags: string[];
}

/** #trade, @Ambrelford, +river; of several words in quotation marks: @"East bank". Only after a space, and tags begin with a letter. */
const MARKER = /(?<=\s)([#@+])(?:["“]([^"“”]{1,60})["”]|([\p{L}\p{N}][\p{L}\p{N}&_'’-]*))(?=\s|$)/gu;

/** A date text that is plainly meant as a date although it cannot be one, or could be two. */
const MEANT_AS_DATE = new Set([
  "two_orders",
  "no_such_day",
  "no_such_month",
  "end_before_start",
  "year_nought",
  "no_such_time",
  "no_day_for_time",
]);
/** No date is longer than this many words. */
const MOST_WORDS = 14;

/**
 * Splits "about 1840 - 1852 Steam mill #trade @Ambrelford +river" into date, title, category, place and tags. Markers (#, @, + and
 * !) count only after a space. Without a date in front one at the end is taken ("May Day riots 1911"); a line without any
 * date is a title. `wholeTitle` takes no date at all.
 */
export function readLine(line: string, given: ReadOptions = {}, wholeTitle = false): ReadLine {
  const options = { ...given, sentence: false };
  let category: string | null = null;
  let emphasis = false;
  let place = "";
  const tags: string[] = [];
  const plain = line.trim().replaceAll(MARKER, (all, sign: string, quoted?: string, word?: string) => {
    const said = (quoted ?? word ?? "").trim();
    if (said === "" || (sign === "+" && !/^\p{L}/u.test(said))) return all;
    if (sign === "#") category = said;
    else if (sign === "@") place = said.replaceAll("_", " ");
    else if (said.length <= MOST_TAG && tags.length < MOST_TAGS) tags.push(said.replaceAll("_", " "));
    else return all;
    return "";
  });
  const kept: string[] = [];
  for (const [i, word] of plain.split(/\s+/).entries()) {
    if (i > 0 && word === "!") emphasis = true;
    else if (word) kept.push(word);
  }
  if (!wholeTitle) takeOffBullet(kept, options);
  const split = wholeTitle ? null : (dateInFront(kept, options) ?? dateAtEnd(kept, options));
  return { when: split?.when ?? UNDATED, title: split?.title ?? kept.join(" "), category, emphasis, place, tags };
}

/** Takes a bullet, or the number of a list, off the front of a pasted line whose date comes after it. */
function takeOffBullet(words: string[], options: ReadOptions): void {
  const [first, ...rest] = words;
  if (first === undefined || rest.length === 0) return;
  const isBullet = /^[\u2022\u00b7\u25aa\u25e6\u2023\u2043*+-]$/.test(first);
  const isNumber = /^\(?\d{1,3}[.)]$/.test(first);
  if (isBullet || (isNumber && dateInFront(rest, options) !== null && dateInFront(words, options) === null))
    words.shift();
}

function dateInFront(words: string[], options: ReadOptions): { when: When; title: string } | null {
  let meant: { when: When; title: string } | null = null;
  for (let n = Math.min(words.length, MOST_WORDS); n >= 1; n--) {
    const text = words.slice(0, n).join(" ");
    if (/(?:^|\s)(?:[-\u2010-\u2015\u2212]|to|and|at|on|of)$/i.test(text) || /[-\u2010-\u2015]$/.test(text)) continue;
    const when = readWhen(text.replace(/[:;,]$/, ""), options);
    const title = words
      .slice(n)
      .join(" ")
      .replace(/^[-\u2010-\u2015:;,|]+\s*/, "");
    if (when.readAs.kind === "moment" || when.readAs.kind === "span") return { when, title };
    if (!meant && when.readAs.kind === "not_understood" && MEANT_AS_DATE.has(when.readAs.problem.code))
      meant = { when, title };
  }
  return meant;
}

function dateAtEnd(words: string[], options: ReadOptions): { when: When; title: string } | null {
  for (let from = Math.max(1, words.length - MOST_WORDS); from < words.length; from++) {
    const text = words.slice(from).join(" ");
    if (/^(?:[-\u2010-\u2015]|to|by|before|after|until|from|since|and)(?:\s|$)/i.test(text)) continue;
    const when = readWhen(text.replace(/^\(|\)$/g, ""), options);
    if (when.readAs.kind === "moment" || when.readAs.kind === "span")
      return {
        when,
        title: words
          .slice(0, from)
          .join(" ")
          .replace(/\s*[-\u2010-\u2015:;,]$/, ""),
      };
  }
  return null;
}

/** Whether a category is the one meant by a marker: "#town-life", "#townlife" and "#town" mean "Town life". */
export function isMeantBy(marker: string, name: string): boolean {
  const plain = (s: string) => s.toLowerCase().replace(/[^\p{L}\p{N}]/gu, "");
  return plain(name) === plain(marker) || plain(name.split(/\s/)[0] ?? "") === plain(marker);
}
