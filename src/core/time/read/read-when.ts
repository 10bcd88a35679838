import type { Calendar } from "../calendar";
import type { DateProblem } from "../date-problem";
import { readingInRange } from "../range";
import {
  addSeconds,
  type Margin,
  type Margins,
  type Moment,
  type Reading,
  SECONDS_PER_DAY,
  UNDATED,
  type When,
} from "../when";
import { edtfOf } from "../write-edtf";
import { momentLabel } from "../write-when";
import { readEdtf } from "./notation";
import type { ReadOptions } from "./options";
import { readFields } from "./words";
import { momentOf, ok, SHORT_MONTHS } from "./moment";
import { bareTime, isBackwards, readOpenSpan, share, splits } from "./range";
import { inEnglish } from "./other-tongues";
import { readSentence } from "./sentence";

/** A text longer than this is no date. */
const LONGEST_DATE_TEXT = 200;

/**
 * Reads a date as people write it. What was typed is kept unchanged in `typed`; a text that is not understood
 * gives `readAs.kind === "not_understood"` with the reason. Never throws.
 */
export function readWhen(typed: string, options: ReadOptions = {}): When {
  const notation = readNotation(typed);
  if (notation) return made(typed, notation.reading, "gregorian", options, notation.edtf);
  const text = normalise(typed);
  if (text === "") return { ...UNDATED, typed, margin: options.margin ?? null };
  const { reading, calendar } = readText(text, options);
  return made(typed, reading, calendar, options, edtfOf(reading));
}

function made(
  typed: string,
  readAs: Reading,
  calendar: Calendar,
  options: ReadOptions,
  edtf: string | undefined,
): When {
  if (!readingInRange(readAs))
    return {
      typed,
      readAs: { kind: "not_understood", problem: { code: "out_of_range" } },
      calendar: "gregorian",
      margin: options.margin ?? null,
    };
  const margin = options.margin ?? ownMargin(readAs, options.margins);
  return edtf === undefined ? { typed, readAs, calendar, margin } : { typed, readAs, edtf, calendar, margin };
}

/** The timeline's width for the first part of a date that is only about right; null: as usual. */
function ownMargin(r: Reading, margins: Margins | undefined): Margin | null {
  const ends = r.kind === "moment" ? [r.at] : r.kind === "span" ? [r.start, r.end] : [];
  const about = ends.find((m) => m?.about);
  return (about && margins?.[about.precision as keyof Margins]) ?? null;
}

/** ISO 8601-2, where it is plainly meant: what people write in words is left to `readText`. */
function readNotation(typed: string): { reading: Reading; edtf?: string } | null {
  if (typed.length > LONGEST_DATE_TEXT || !/^\s*[[\dYX./-]/.test(typed)) return null;
  const trimmed = typed.trim();
  const text = trimmed.includes(", ") ? trimmed.replaceAll(", ", ",") : trimmed;
  if (/[\sa-z]/.test(text)) return null;
  // 1905-06 may be June 1905 or 1905 to 1906; what has no second meaning is read as a month.
  const short = text.length === 7 ? text.match(/^\d{2}(\d{2})-(\d{2})$/) : null;
  if (short && Number(short[2]) <= 12 && Number(short[2]) > Number(short[1])) {
    const readings: [string, string] = [
      `${SHORT_MONTHS[Number(short[2]) - 1]} ${text.slice(0, 4)}`,
      `${text.slice(0, 4)} - ${text.slice(0, 2)}${short[2]}`,
    ];
    return { reading: { kind: "not_understood", problem: { code: "month_or_range", readings } } };
  }
  const reading = readEdtf(text);
  return reading && { reading, edtf: text };
}

function readText(typed: string, options: ReadOptions): { reading: Reading; calendar: Calendar } {
  const text = typed.length > LONGEST_DATE_TEXT ? typed : inEnglish(typed);
  const refuse = (problem: DateProblem, calendar: Calendar = "gregorian") => ({
    reading: { kind: "not_understood" as const, problem },
    calendar,
  });
  if (text.length > LONGEST_DATE_TEXT)
    return readSentence(text.slice(0, 20_000), options, readText) ?? refuse({ code: "not_a_date" });
  // "Nov 14-16, 1872" says its month first.
  const monthFirst = text.match(/^([a-z]{3,9})\.? (\d{1,2}) ?- ?(\d{1,2}),? (\d{4})$/);
  if (monthFirst) return readText(`${monthFirst[2]} - ${monthFirst[3]} ${monthFirst[1]} ${monthFirst[4]}`, options);

  const whole = readFields(text);
  if (whole) {
    const at = momentOf(whole, options);
    const calendar = whole.julian ? "julian" : "gregorian";
    return at.ok ? { reading: { kind: "moment", at: at.value }, calendar } : refuse(at.problem, calendar);
  }
  if (/^(?:today|now)$/.test(text) && options.today != null)
    return {
      reading: {
        kind: "moment",
        at: {
          from: { day: options.today, second: 0 },
          to: { day: options.today + 1, second: 0 },
          precision: "day",
          about: false,
          uncertain: false,
        },
      },
      calendar: "gregorian",
    };
  const open = readOpenSpan(text, options);
  if (open) return open;

  let firstProblem: DateProblem | null = null;
  for (const [left, right, between] of splits(text)) {
    const a = readFields(left);
    const b = readFields(right);
    if (!a || !b) continue;
    share(a, b);
    const calendar = a.julian || b.julian ? "julian" : "gregorian";
    if (calendar === "julian") a.julian = b.julian = true;
    const start = momentOf(a, options);
    let end = momentOf(b, options);
    // 10 pm - 2 am: the end is on the day after.
    if (start.ok && end.ok && bareTime(right) && isBackwards(start.value, end.value))
      end = ok({
        ...end.value,
        from: addSeconds(end.value.from!, SECONDS_PER_DAY),
        to: addSeconds(end.value.to!, SECONDS_PER_DAY),
      });
    if (!start.ok || !end.ok) {
      firstProblem ??= !start.ok ? start.problem : !end.ok ? end.problem : null;
      continue;
    }
    if (between) {
      const at: Moment = {
        from: start.value.from,
        to: end.value.to,
        precision: "stretch",
        about: start.value.about || end.value.about,
        uncertain: start.value.uncertain || end.value.uncertain,
        wording: { kind: "between" },
      };
      if (!isBackwards(start.value, end.value)) return { reading: { kind: "moment", at }, calendar };
    }
    if (isBackwards(start.value, end.value)) {
      const [s, e] = [momentLabel(start.value), momentLabel(end.value)];
      firstProblem ??= { code: "end_before_start", start: s, end: e, readings: [`${e} - ${s}`] };
      continue;
    }
    return { reading: { kind: "span", start: start.value, end: end.value }, calendar };
  }
  return (!firstProblem && readSentence(text, options, readText)) || refuse(firstProblem ?? { code: "not_a_date" });
}

/** One kind of dash, of space and of quote; lower case; no trailing stop or comma. */
export function normalise(text: string): string {
  // Most texts are plain already; the rest is mended with care.
  if (/^[a-z\d][\x21-\x7e]*(?: [\x21-\x7e]+)*$/i.test(text) && !/[,;:]$/.test(text)) return text.toLowerCase();
  return text
    .replace(/[\u2010-\u2015\u2212\uFE58\uFE63\uFF0D]/g, "-")
    .replace(/[\u2018\u2019\u02BC]/g, "'")
    .replace(/[\s\u00A0\u2000-\u200B\u202F\u3000]+/g, " ")
    .trim()
    .replace(/^[,;:]+|[,;:]+$/g, "")
    .trim()
    .toLowerCase();
}
