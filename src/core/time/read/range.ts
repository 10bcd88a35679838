import type { Calendar } from "../calendar";
import { compareInstants, extent, type Moment, type Reading } from "../when";
import type { ReadOptions } from "./options";
import { type Fields, readFields } from "./words";
import { momentOf } from "./moment";

/** Whether a text is a time of day and nothing else. */
export function bareTime(text: string): boolean {
  return /^\d{1,2}(?:[:.]\d{2}){0,2}\s*(?:am|pm|a\.m\.|p\.m\.)?$/.test(text.trim());
}

/** A span is wrong only if its earliest start comes after its latest end, "about" included. */
export function isBackwards(start: Moment, end: Moment): boolean {
  const from = extent(start).from;
  const to = extent(end).to;
  return from !== null && to !== null && compareInstants(from, to) >= 0;
}

/** A span of which one end is open: "from 1890", "until 1931". */
export function readOpenSpan(text: string, options: ReadOptions): { reading: Reading; calendar: Calendar } | null {
  const tail =
    text.match(/^(?:from |since )(.+)$/) ??
    text.match(/^(?:from )?(.+?)\s*(?:-|to|until)\s*(?:present|now|today|the present|ongoing)?$/);
  const head = text.match(/^(?:until |till |up to |to )(.+)$/) ?? text.match(/^- ?(?=[a-z])(.+)$/);
  const inner = (head ?? tail)?.[1];
  if (!inner) return null;
  const f = readFields(inner);
  if (!f) return null;
  const calendar = f.julian ? "julian" : "gregorian";
  const m = momentOf(f, options);
  if (!m.ok) return { reading: { kind: "not_understood", problem: m.problem }, calendar };
  return {
    reading: head ? { kind: "span", start: null, end: m.value } : { kind: "span", start: m.value, end: null },
    calendar,
  };
}

/** Every place where a text may be two dates, the clearest signs first; the flag says "between ... and". */
export function* splits(text: string): Generator<[string, string, boolean]> {
  const between = text.match(/^between (.+) and (.+)$/);
  if (between) yield [between[1]!, between[2]!, true];
  const body = text.replace(/^from /, "");
  for (const sign of [/ (?:to|until|till|through) /g, / - /g, /\s*-\s*/g, /\//g])
    for (const m of body.matchAll(sign)) {
      const left = body.slice(0, m.index);
      const right = body.slice(m.index + m[0].length);
      if (left && right) yield [left, right, false];
    }
}

/** Completes each end of a range from the other: "2-5 Feb 1900", "310-281 BC", "1872-73", "22:10 - 23:40". */
export function share(a: Fields, b: Fields): void {
  // "10-11:30 pm": a bare number before a time is an hour, in the same half of the day.
  if (
    a.year !== undefined &&
    a.month === undefined &&
    (a.yearDigits ?? 9) <= 2 &&
    b.hour !== undefined &&
    b.day === undefined &&
    b.year === undefined
  ) {
    a.hour = a.year;
    delete a.year;
    delete a.yearDigits;
  }
  if (b.half && a.hour !== undefined && !a.half && a.hour >= 1 && a.hour <= 12)
    a.hour = (a.hour % 12) + (b.half === "p" ? 12 : 0);
  // "2-5 Feb 1900": a bare number at the left is a day when the right has one.
  if (
    a.year !== undefined &&
    a.month === undefined &&
    b.day !== undefined &&
    (a.yearDigits ?? 9) <= 2 &&
    !a.era &&
    a.hour === undefined
  ) {
    a.day = a.year;
    delete a.year;
    delete a.yearDigits;
  }
  // "Nov 14-16, 1872" reads its right end as "16, 1872".
  if (
    a.month !== undefined &&
    a.day !== undefined &&
    a.year === undefined &&
    b.year !== undefined &&
    b.month === undefined
  )
    a.year = b.year;
  if (a.day !== undefined && a.month === undefined && b.month !== undefined) a.month = b.month;
  const bare = (f: Fields) => f.year === undefined && f.century === undefined && !f.ago;
  if (bare(a) && b.year !== undefined) {
    a.year = b.year;
    if (b.yearDigits !== undefined) a.yearDigits = b.yearDigits;
    if (b.era) a.era = b.era;
    if (b.astronomical) a.astronomical = true;
  }
  if (bare(b) && a.year !== undefined) {
    b.year = a.year;
    if (a.yearDigits !== undefined) b.yearDigits = a.yearDigits;
    if (a.era) b.era = a.era;
    if (a.astronomical) b.astronomical = true;
    if (b.month === undefined && b.hour !== undefined && a.day !== undefined) {
      b.month = a.month!;
      b.day = a.day;
    } else if (b.month === undefined && b.day === undefined && a.month !== undefined) b.month = a.month;
  }
  // "1872-73"
  if (
    a.year !== undefined &&
    b.year !== undefined &&
    a.yearDigits === 4 &&
    (b.yearDigits ?? 9) === 2 &&
    !b.era &&
    !b.month &&
    b.year > a.year % 100
  ) {
    b.year += Math.floor(a.year / 100) * 100;
    b.yearDigits = 4;
  }
  // "310-281 BC"
  if (b.era === "bc" && !a.era && !a.astronomical && a.year !== undefined && b.year !== undefined && a.year >= b.year)
    a.era = "bc";
  if (a.century !== undefined && b.century !== undefined && b.era === "bc" && !a.era) a.era = "bc";
  // "10-11:30 pm" reaches here with its morning or evening on the right only.
  if (a.ago === undefined && b.ago && a.year !== undefined) {
    a.ago = { amount: String(a.year), unit: b.ago.unit };
    delete a.year;
  }
}
