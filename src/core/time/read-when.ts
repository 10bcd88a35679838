import { type Calendar, civilFrom, dayFrom, daysInMonth } from "./calendar";
import type { DateProblem } from "./date-problem";
import { type Fields, readFields } from "./fields";
import { readingInRange } from "./range";
import { readEdtf } from "./read-edtf";
import {
  addSeconds,
  compareInstants,
  extent,
  inDays,
  type Instant,
  type Margin,
  type Margins,
  type Moment,
  type Precision,
  type Reading,
  SECONDS_PER_DAY,
  UNDATED,
  type When,
  type Wording,
} from "./when";
import { edtfOf, momentLabel } from "./write-when";

export type DateOrder = "dmy" | "mdy" | "ymd";

export interface ReadOptions {
  /** How 03/04/1872 is meant in this timeline; null: not said yet. */
  order?: DateOrder | null;
  /** Months of the seasons; northern unless said. */
  hemisphere?: "north" | "south";
  /** The day that a time alone belongs to, as a day number. */
  day?: number | null;
  /** What "today" is, as a day number; the core has no clock. */
  today?: number | null;
  /** False: a date within a sentence is not looked for, the text must be a date as a whole. */
  sentence?: boolean;
  margin?: Margin | null;
  /** The timeline's own widths of "about". */
  margins?: Margins;
}

/** Years before this many are not written with digits one can type; a text longer than this is no date. */
const LONGEST_DATE_TEXT = 200;
/** "BP", "ago", Ma and Ga count back from 1950 (the radiocarbon convention). */
export const BEFORE_PRESENT = 1950;

type Result<T> = { ok: true; value: T } | { ok: false; problem: DateProblem };
const ok = <T>(value: T): Result<T> => ({ ok: true, value });
const no = (problem: DateProblem): Result<never> => ({ ok: false, problem });

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

function readText(text: string, options: ReadOptions): { reading: Reading; calendar: Calendar } {
  const refuse = (problem: DateProblem, calendar: Calendar = "gregorian") => ({
    reading: { kind: "not_understood" as const, problem },
    calendar,
  });
  if (text.length > LONGEST_DATE_TEXT)
    return readSentence(text.slice(0, 20_000), options) ?? refuse({ code: "not_a_date" });
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
  return (!firstProblem && readSentence(text, options)) || refuse(firstProblem ?? { code: "not_a_date" });
}

/** Words a pasted sentence has at least; shorter texts are meant as a date, or as none. */
const SENTENCE = 4;
const MOST_DATE_WORDS = 9;

/** The first date inside a sentence, the longest that begins there. A bare number counts only as a year of four digits. */
function readSentence(text: string, options: ReadOptions): { reading: Reading; calendar: Calendar } | null {
  const words = text.split(/[\s()"]+/).filter(Boolean);
  if (options.sentence === false || words.length < SENTENCE || words.length > 2_000) return null;
  for (let i = 0; i < words.length; i++)
    for (let n = Math.min(MOST_DATE_WORDS, words.length - i); n >= 1; n--) {
      if (n === words.length) continue;
      const part = words
        .slice(i, i + n)
        .join(" ")
        .replace(/[.,;:!]+$/, "");
      if (
        !/\d/.test(part) ||
        /^(?:from|since|until|till|to|by|up) /.test(part) ||
        (/^\d+$/.test(part) && !/^\d{4}$/.test(part))
      )
        continue;
      const f = readFields(part);
      const m = f && momentOf(f, options);
      if (m?.ok) return { reading: { kind: "moment", at: m.value }, calendar: f!.julian ? "julian" : "gregorian" };
      // What is plainly meant as a date but cannot be one is not passed over for half of it.
      if (m && !m.ok && ["no_such_day", "two_orders", "no_such_month"].includes(m.problem.code))
        return { reading: { kind: "not_understood", problem: m.problem }, calendar: "gregorian" };
      if (n >= 2 && n <= 8 && /[-/]| to /.test(part) && part.length < 60) {
        const span = readText(part, options);
        if (span.reading.kind === "span") return span;
      }
    }
  return null;
}

function bareTime(text: string): boolean {
  return /^\d{1,2}(?:[:.]\d{2}){0,2}\s*(?:am|pm|a\.m\.|p\.m\.)?$/.test(text.trim());
}

/** A span is wrong only if its earliest start comes after its latest end, "about" included. */
function isBackwards(start: Moment, end: Moment): boolean {
  const from = extent(start).from;
  const to = extent(end).to;
  return from !== null && to !== null && compareInstants(from, to) >= 0;
}

function readOpenSpan(text: string, options: ReadOptions): { reading: Reading; calendar: Calendar } | null {
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
function* splits(text: string): Generator<[string, string, boolean]> {
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
function share(a: Fields, b: Fields): void {
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

function momentOf(f: Fields, options: ReadOptions): Result<Moment> {
  const plain = plainMoment(f, options);
  if (!plain.ok) return plain;
  let m = plain.value;
  m.about = f.about;
  m.uncertain = f.uncertain;
  if (f.part) m = partOf(m, f.part);
  if (f.bound === "before") m = { ...m, from: null, to: m.from, wording: { kind: "before" } };
  if (f.bound === "after") m = { ...m, from: m.to, to: null, wording: { kind: "after" } };
  return ok(m);
}

function plainMoment(f: Fields, options: ReadOptions): Result<Moment> {
  const calendar: Calendar = f.julian ? "julian" : "gregorian";
  const start = (y: number, mo = 1, d = 1): Instant => ({ day: dayFrom(calendar, y, mo, d), second: 0 });
  const made = (from: Instant, to: Instant, precision: Precision, wording?: Wording): Result<Moment> =>
    ok({ from, to, precision, about: false, uncertain: false, ...(wording ? { wording } : {}) });

  if (f.ago) return agoMoment(f.ago);
  if (f.millennium !== undefined) {
    if (f.millennium === 0) return no({ code: "not_a_date" });
    const first = f.era === "bc" ? 1 - f.millennium * 1_000 : (f.millennium - 1) * 1_000 + 1;
    return made(start(first), start(first + 1_000), "millennium");
  }
  if (f.century !== undefined) {
    if (f.century === 0) return no({ code: "not_a_date" });
    // The 5th century BC is 500 BC to 401 BC: astronomical -499 to -400.
    const first = f.era === "bc" ? 1 - f.century * 100 : (f.century - 1) * 100 + 1;
    return made(start(first), start(first + 100), "century");
  }

  const timeProblem = checkTime(f);
  if (timeProblem) return no(timeProblem);
  if (f.year === undefined) {
    if (f.month === undefined && f.hour !== undefined) {
      if (options.day === undefined || options.day === null) return no({ code: "no_day_for_time" });
      return timed({ day: options.day, second: 0 }, f);
    }
    return no({
      code: "no_year",
      part: f.day !== undefined && f.month ? `${f.day} ${monthName(f.month)}` : f.month ? monthName(f.month) : "it",
    });
  }
  let year = f.year;
  if (!f.astronomical) {
    if (f.years && f.era === "bc") {
      // The 300s BC are 309 to 300 BC (a decade) or 399 to 300 BC (a hundred years).
      const last = 1 - f.year;
      return made(start(last - f.years + 1), start(last + 1), f.years === 10 ? "decade" : "century");
    }
    if (f.year === 0 && !f.years) return no({ code: "year_nought", readings: ["1 BC", "AD 1"] });
    if (f.era === "bc") year = 1 - f.year;
    else if ((f.yearDigits ?? 4) <= 2 && !f.era && !f.years)
      return no({ code: "two_digit_year", readings: twoDigitReadings(f) });
  }
  if (f.years) return made(start(year), start(year + f.years), f.years === 10 ? "decade" : "century");

  let { month, day } = f;
  if (f.twoNumbers) {
    const order = orderOf(f.twoNumbers, options.order ?? null);
    if (!order) {
      const [a, b] = f.twoNumbers;
      if (a > 12 && b > 12) return no({ code: "no_such_month", month: Math.min(a, b) });
      const y = f.era === "bc" ? `${f.year} BC` : String(f.year);
      return no({ code: "two_orders", readings: [`${a} ${monthName(b)} ${y}`, `${b} ${monthName(a)} ${y}`] });
    }
    [day, month] = order === "dmy" ? f.twoNumbers : [f.twoNumbers[1], f.twoNumbers[0]];
  }
  if (f.season) return seasonMoment(f.season, year, options.hemisphere ?? "north", calendar);
  if (month === undefined) {
    const digits = f.yearDigits ?? 4;
    if (digits >= 5) return made(...roundYears(year, String(f.year), calendar), "digits");
    return made(start(year), start(year + 1), "year");
  }
  if (month < 1 || month > 12) return no({ code: "no_such_month", month });
  const days = daysInMonth(year, month, calendar);
  if (day === undefined) {
    const next = month === 12 ? start(year + 1) : start(year, month + 1);
    return made(start(year, month), next, "month");
  }
  if (day < 1 || day > days) {
    const at = dayFrom(calendar, year, month, 1) + Math.max(0, day - 1);
    const over = civilFrom(calendar, at);
    const y = year < 1 ? `${1 - year} BC` : String(year);
    return no({
      code: "no_such_day",
      year,
      month,
      days,
      readings:
        day === 0 || day > 60
          ? [`${monthName(month)} ${y}`]
          : [
              `${days} ${monthName(month)} ${y}`,
              `${over.day} ${monthName(over.month)} ${over.year < 1 ? `${1 - over.year} BC` : over.year}`,
            ],
    });
  }
  const at = start(year, month, day);
  if (f.hour !== undefined) return timed(at, f);
  return made(at, { day: at.day + 1, second: 0 }, "day");
}

function timed(day: Instant, f: Fields): Result<Moment> {
  const from = addSeconds(day, f.hour! * 3600 + (f.minute ?? 0) * 60 + (f.second ?? 0));
  const precision: Precision = f.second !== undefined ? "second" : f.minute !== undefined ? "minute" : "hour";
  const width = precision === "second" ? 1 : precision === "minute" ? 60 : 3600;
  return ok({
    from,
    to: addSeconds(from, width),
    precision,
    about: false,
    uncertain: false,
    ...(f.offset ? { offset: f.offset } : {}),
  });
}

function checkTime(f: Fields): DateProblem | null {
  if (f.hour === undefined) return null;
  return f.hour > 23 || (f.minute ?? 0) > 59 || (f.second ?? 0) > 60 ? { code: "no_such_time" } : null;
}

/** Which order two numbers must have, or null when both are possible and nobody said. */
function orderOf([a, b]: [number, number], said: DateOrder | null): "dmy" | "mdy" | null {
  if (a > 12 && b > 12) return null;
  if (a > 12) return "dmy";
  if (b > 12) return "mdy";
  if (a === b) return "dmy";
  return said === "mdy" ? "mdy" : said === null ? null : "dmy";
}

const SEASON_MONTH = { spring: 3, summer: 6, autumn: 9, winter: 12 } as const;

/** Whole months; winter 1783 runs from December 1783 to February 1784. In the south half a year later. */
function seasonMoment(
  season: keyof typeof SEASON_MONTH,
  year: number,
  where: "north" | "south",
  calendar: Calendar,
): Result<Moment> {
  let month: number = SEASON_MONTH[season];
  if (where === "south") month = month > 6 ? month - 6 : month + 6;
  const day = (m: number) => ({ day: dayFrom(calendar, m > 12 ? year + 1 : year, m > 12 ? m - 12 : m, 1), second: 0 });
  return ok({
    from: day(month),
    to: day(month + 3),
    precision: "season",
    about: false,
    uncertain: false,
    wording: { kind: "season", season, year },
  });
}

/** Years to half a unit of the last significant digit either way: 66 million is 65.5 to 66.5 million. */
function agoMoment(ago: { amount: string; unit: import("./when").AgoUnit }): Result<Moment> {
  const factor = { years: 1, bp: 1, thousand: 1e3, million: 1e6, billion: 1e9 }[ago.unit];
  const years = Number(ago.amount) * factor;
  const unit = lastUnit(ago.amount) * factor;
  if (!(years > 0) || years > 1e12) return no({ code: "not_a_date" });
  const half = Math.max(unit / 2, 0.5);
  const first = Math.round(BEFORE_PRESENT - years - half);
  const last = Math.round(BEFORE_PRESENT - years + half);
  const at = (y: number) => ({ day: dayFrom("gregorian", y, 1, 1), second: 0 });
  return ok({
    from: at(first),
    to: at(Math.max(last, first + 1)),
    precision: "digits",
    about: false,
    uncertain: false,
    wording: { kind: "ago", amount: ago.amount, unit: ago.unit },
  });
}

function roundYears(year: number, digits: string, calendar: Calendar): [Instant, Instant] {
  const half = lastUnit(digits) / 2;
  const at = (y: number) => ({ day: dayFrom(calendar, Math.floor(y), 1, 1), second: 0 });
  return half < 1 ? [at(year), at(year + 1)] : [at(year - half), at(year + half)];
}

/** The unit of the last significant digit: 0.1 for "4.6", 1000 for "12000", 1 for "66". */
function lastUnit(amount: string): number {
  const point = amount.indexOf(".");
  if (point >= 0) return 10 ** -(amount.length - point - 1);
  const zeros = amount.match(/0*$/)![0].length;
  return 10 ** Math.min(zeros, amount.length - 1);
}

/** Early, mid and late: 0-3, 4-6, 7-9 of a decade; thirds of anything else, to whole days. */
function partOf(m: Moment, part: "early" | "mid" | "late"): Moment {
  if (!m.from || !m.to) return m;
  const cut = (i: number): Instant => {
    const [a, b] = [civilFrom("gregorian", m.from!.day).year, civilFrom("gregorian", m.to!.day).year];
    if (m.precision === "decade") return { day: dayFrom("gregorian", a + [0, 4, 7, 10][i]!, 1, 1), second: 0 };
    if (m.precision === "century")
      return {
        day: dayFrom(
          "gregorian",
          i === 3 ? b : a + Math.floor(((b - a) * i) / 3) + (i > 0 && a % 100 === 0 ? 1 : 0),
          1,
          1,
        ),
        second: 0,
      };
    const days = m.to!.day - m.from!.day;
    if (days <= 1)
      return addSeconds(m.from!, Math.round(((inDays(m.to!) - inDays(m.from!)) * SECONDS_PER_DAY * i) / 3));
    return { day: m.from!.day + Math.round((days * i) / 3), second: 0 };
  };
  const i = part === "early" ? 0 : part === "mid" ? 1 : 2;
  return { ...m, from: cut(i), to: cut(i + 1), wording: { kind: "part", part } };
}

function twoDigitReadings(f: Fields): string[] {
  const n = String(f.year).padStart(2, "0");
  const before =
    f.day !== undefined && f.month ? `${f.day} ${monthName(f.month)} ` : f.month ? `${monthName(f.month)} ` : "";
  return [`${before}18${n}`, `${before}19${n}`, `${before}20${n}`, ...(f.year === 0 ? [] : [`${before}AD ${f.year}`])];
}

const SHORT_MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"] as const;
function monthName(month: number): string {
  return SHORT_MONTHS[month - 1] ?? String(month);
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
