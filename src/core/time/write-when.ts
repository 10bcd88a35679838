import { type Calendar, civilFrom, dayFromGregorian, weekday } from "./calendar";
import { MONTHS } from "./date-problem";
import { addSeconds, isDateless, type Moment, NO_DAY, startOf, type When } from "./when";
import type { Instant } from "./instant";

/** How a timeline writes its dates. */
export interface Manner {
  order: "dmy" | "mdy";
  months: "names" | "numbers";
  era: "BC" | "BCE";
  weekdays: boolean;
  /** Whether a Julian date is shown in its own calendar, or as the Gregorian day it was. */
  julian: boolean;
  /** Times by 24 hours or by am and pm; missing: by 24 hours, a whole hour as it is mostly said ("10 pm"). */
  clock?: "24" | "12";
  /** "month": no date says its day. Missing: as exact as it is known. */
  finest?: "month";
  /** The day that goes without saying, as a day number: its times stand alone. Never stored: `mannerOf` adds it. */
  silentDay?: number;
}

export const USUAL_MANNER: Manner = { order: "dmy", months: "names", era: "BC", weekdays: false, julian: true };

interface DateStyle {
  /** "14 Nov 1872" or "14 November 1872". */
  months: "short" | "long";
  weekdays: boolean;
  calendar: Calendar;
  manner: Manner;
}

const SHORT: DateStyle = { months: "short", weekdays: false, calendar: "gregorian", manner: USUAL_MANNER };
const LONG: DateStyle = { months: "long", weekdays: true, calendar: "gregorian", manner: USUAL_MANNER };
const WEEKDAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"] as const;

const two = (n: number) => String(n).padStart(2, "0");

/** "1872", "310 BC", "AD 96" (below 1000 a bare number would look like something else), "12,000 BC". */
export function yearText(year: number, era: "BC" | "BCE" = "BC"): string {
  if (year < 1) return `${grouped(1 - year)} ${era}`;
  if (year < 1000) return era === "BC" ? `AD ${year}` : `${year} CE`;
  return grouped(year);
}

function grouped(n: number): string {
  return n >= 10_000 ? n.toLocaleString("en") : String(n);
}

/** How a date is shown, without the reading's doubts lost: "about 1702", "1840s", "Nov 1872", "14 Nov 1872 22:10". */
export function momentLabel(m: Moment, style: DateStyle = SHORT): string {
  const about = m.about ? "about " : "";
  const doubt = m.uncertain ? "?" : "";
  return `${about}${plainLabel(m, style)}${doubt}`;
}

function plainLabel(m: Moment, style: DateStyle): string {
  const w = m.wording;
  if (w?.kind === "ago") return agoText(w.amount, w.unit);
  if (w?.kind === "edtf") return formLabel(m, w.text, style);
  if (w?.kind === "season") return `${w.season} ${yearText(w.year, style.manner.era)}`;
  if (w?.kind === "before" && m.to) return `before ${boundary(m, m.to, style)}`;
  if (w?.kind === "after" && m.from) return `after ${boundary(m, addSeconds(m.from, -1), style)}`;
  if (!m.from || !m.to) return "unknown";
  const last = addSeconds(m.to, -1);
  if (w?.kind === "between")
    return `between ${dateText(m.from, precisionOfEdge(m.from, true), style)} and ${dateText(last, precisionOfEdge(m.to, true), style)}`;
  if (w?.kind === "part") return `${w.part} ${wholeOfPart(m, style)}`;
  return dateText(m.from, m.precision, style, last);
}

/** A mask, significant digits or a set in words. */
function formLabel(m: Moment, text: string, style: DateStyle): string {
  if (!m.from || !m.to) return text;
  const first = civilFrom(style.calendar, m.from.day);
  const last = civilFrom(style.calendar, addSeconds(m.to, -1).day);
  const mask = /^(\d{4})-(\d{2}|XX)(?:-XX)?$/.exec(text);
  if (mask?.[2] === "XX") return `some time in ${yearText(first.year, style.manner.era)}`;
  if (mask) return `some day in ${dateText(m.from, "month", style)}`;
  if (/^Y-?\d+E\d+$/.test(text)) return yearText(first.year, style.manner.era);
  return first.year === last.year
    ? `${dateText(m.from, "day", style)} or later, by ${dateText(addSeconds(m.to, -1), "day", style)}`
    : `some time between ${yearText(first.year, style.manner.era)} and ${yearText(last.year, style.manner.era)}`;
}

/** Before X begins and after X ends at the edge of X, written in X's own precision. */
function boundary(m: Moment, at: Instant, style: DateStyle): string {
  // The edge of a decade or a century is a year.
  const coarse = ["decade", "century", "millennium", "digits", "stretch", "season"].includes(m.precision);
  if (m.precision === "season") return dateText(at, "month", style);
  return dateText(at, coarse ? "year" : m.precision, style);
}

function precisionOfEdge(edge: Instant, gregorian: boolean): Moment["precision"] {
  if (edge.second !== 0) return "minute";
  const { month, day } = civilFrom(gregorian ? "gregorian" : "julian", edge.day);
  return month === 1 && day === 1 ? "year" : day === 1 ? "month" : "day";
}

function wholeOfPart(m: Moment, style: DateStyle): string {
  const { calendar } = style;
  const { year } = civilFrom(calendar, m.from!.day);
  switch (m.precision) {
    case "decade":
      return `${yearText(Math.floor(year / 10) * 10, style.manner.era)}s`;
    case "century":
      return year % 100 === 0 || civilFrom(calendar, m.to!.day).year % 100 === 0
        ? `${yearText(Math.floor(year / 100) * 100, style.manner.era)}s`
        : centuryText(year, style.manner.era);
    case "month":
      return dateText(m.from!, "month", style);
    case "day":
      return dateText(m.from!, "day", style);
    default:
      return yearText(year, style.manner.era);
  }
}

export function centuryText(year: number, era: string): string {
  const n = year >= 1 ? Math.floor((year - 1) / 100) + 1 : Math.floor(-year / 100) + 1;
  return `${ordinal(n)} century${year >= 1 ? "" : ` ${era}`}`;
}

function ordinal(n: number): string {
  const tail = n % 100 >= 11 && n % 100 <= 13 ? "th" : (["th", "st", "nd", "rd"][n % 10] ?? "th");
  return `${n}${tail}`;
}

function dateText(at: Instant, precision: Moment["precision"], style: DateStyle, last?: Instant): string {
  const { year, month, day } = civilFrom(style.calendar, at.day);
  const monthWord = style.months === "long" ? MONTHS[month - 1]! : MONTHS[month - 1]!.slice(0, 3);
  const yearWord = yearText(year, style.manner.era);
  const numbers = style.manner.months === "numbers" && style.months === "short";
  const monthFirst = style.manner.order === "mdy";
  const bare = numbers
    ? `${(monthFirst ? [month, day] : [day, month]).map(two).join("/")}/${yearWord}`
    : monthFirst
      ? `${monthWord} ${day}, ${yearWord}`
      : `${day} ${monthWord} ${yearWord}`;
  const weekdayWord = WEEKDAYS[weekday(at.day)]!;
  const fullDay = style.weekdays ? `${style.months === "long" ? weekdayWord : weekdayWord.slice(0, 3)} ${bare}` : bare;
  switch (precision) {
    case "second":
    case "minute":
    case "hour":
      if (isSilent(at, style.manner)) return timeText(at, precision, style.manner);
      if (isDateless(at.day)) return `${timeText(at, precision, style.manner)}, a day later`;
      if (style.manner.finest === "month") return `${monthWord} ${yearWord}`;
      return `${fullDay} ${timeText(at, precision, style.manner)}`;
    case "day":
      return style.manner.finest === "month" ? `${monthWord} ${yearWord}` : fullDay;
    case "month":
    case "season":
      return `${monthWord} ${yearText(year, style.manner.era)}`;
    case "decade":
      return year < 1
        ? `${yearText(last ? civilFrom(style.calendar, last.day).year : year, style.manner.era)}`.replace(
            /^(\d+)/,
            "$1s",
          )
        : `${yearText(year, style.manner.era)}s`;
    case "century":
      return year % 100 === 0 && year > 0
        ? `${yearText(year, style.manner.era)}s`
        : isHundreds(year)
          ? hundredsBc(year, style.manner.era)
          : centuryText(year, style.manner.era);
    case "millennium": {
      const n = year >= 1 ? Math.floor((year - 1) / 1_000) + 1 : Math.floor(-year / 1_000) + 1;
      return `${ordinal(n)} millennium${year >= 1 ? "" : ` ${style.manner.era}`}`;
    }
    case "digits": {
      if (!last) return yearText(year, style.manner.era);
      const end = civilFrom(style.calendar, last.day).year;
      return yearText(end === year ? year : Math.round((year + end + 1) / 2));
    }
    default:
      return yearText(year, style.manner.era);
  }
}

/** -398 is 399 BC, where "the 300s BC" begin; the 4th century BC begins in 400 BC (-399). */
function isHundreds(year: number): boolean {
  return year < 1 && (1 - year) % 100 === 99;
}
function hundredsBc(year: number, era: string): string {
  return `${Math.floor((1 - year) / 100) * 100}s ${era}`;
}

/** A day number in words that are read back: "14 Nov 1872". */
export function dayText(day: number): string {
  return dateText({ day, second: 0 }, "day", SHORT);
}

/** Whether the day of an instant goes without saying. */
export function isSilent(at: Instant, manner: Manner): boolean {
  return at.day === NO_DAY || at.day === manner.silentDay;
}

/** A time of day in the timeline's manner: "22:10", "10:10 pm", a whole hour "22 h" or "10 pm". */
export function timeText(at: Instant, precision: "hour" | "minute" | "second", manner: Pick<Manner, "clock">): string {
  const hour = Math.floor(at.second / 3600);
  if (precision === "hour" && manner.clock === "24") return `${hour} h`;
  if (precision !== "hour" && manner.clock !== "12")
    return precision === "second" ? `${clock(at)}:${two(at.second % 60)}` : clock(at);
  const past = precision === "hour" ? "" : clock(at).slice(2);
  const seconds = precision === "second" ? `:${two(at.second % 60)}` : "";
  return `${hour % 12 === 0 ? 12 : hour % 12}${past}${seconds} ${hour < 12 ? "am" : "pm"}`;
}

/** Hours and minutes as ISO 8601 writes them. */
export function clock(at: Instant): string {
  return `${two(Math.floor(at.second / 3600))}:${two(Math.floor((at.second % 3600) / 60))}`;
}

function agoText(amount: string, unit: string): string {
  const n = amount.includes(".") ? amount : Number(amount).toLocaleString("en");
  if (unit === "bp") return `${n} BP`;
  return unit === "years" ? `${n} years ago` : `${n} ${unit} years ago`;
}

/**
 * The whole date or span in one line, in the timeline's manner; what was typed when nothing was understood; "" when there is
 * nothing.
 */
export function whenLabel(when: When, manner: Manner | null = null): string {
  const m = manner ?? USUAL_MANNER;
  const weekdays = m.weekdays && mayNameWeekday(when);
  return label(when, { ...SHORT, manner: m, weekdays, calendar: m.julian ? when.calendar : "gregorian" });
}

/** The same with weekday and full month, as in the read view. */
export function whenLongLabel(when: When, manner: Manner | null = null): string {
  const m = manner ?? USUAL_MANNER;
  const weekdays = mayNameWeekday(when);
  return label(when, { ...LONG, manner: m, weekdays, calendar: m.julian ? when.calendar : "gregorian" });
}

/** All that was understood, whatever the timeline leaves unsaid: what stands beside the field. */
export function whenFullLabel(when: When, manner: Manner | null = null): string {
  const { finest: _, silentDay: __, ...all } = manner ?? USUAL_MANNER;
  return whenLongLabel(when, all);
}

/** 15 October 1582, the first day of the Gregorian calendar. */
const FIRST_GREGORIAN = dayFromGregorian(1582, 10, 15);

/** Before the calendar that weekdays are counted back in, one is named only where its author typed it. */
function mayNameWeekday(when: When): boolean {
  const at = startOf(when);
  return (at !== null && at.day >= FIRST_GREGORIAN) || /(?:^|\s)(?:mon|tue|wed|thu|fri|sat|sun)/i.test(when.typed);
}

function label(when: When, style: DateStyle): string {
  const r = when.readAs;
  const tail = when.calendar === "julian" && style.calendar === "julian" ? " (Julian)" : "";
  switch (r.kind) {
    case "moment":
      return momentLabel(r.at, style) + tail;
    case "span":
      return spanLabel(r.start, r.end, style) + tail;
    case "undated":
      return "";
    case "not_understood":
      return when.typed;
  }
}

function spanLabel(start: Moment | null, end: Moment | null, style: DateStyle): string {
  if (!start) return end ? `until ${momentLabel(end, style)}` : "";
  if (!end) return `from ${momentLabel(start, style)}`;
  const a = momentLabel(start, style);
  const b = momentLabel(end, style);
  if (isTimed(end.precision) && start.from && end.from && !end.about && !end.uncertain) {
    const time = timeText(end.from, end.precision, style.manner);
    if (start.from.day === end.from.day) return a === b ? a : `${a} – ${time}`;
    // Through a night that goes without saying.
    const hours = (end.from.day - start.from.day) * 24 + (end.from.second - start.from.second) / 3_600;
    if (isTimed(start.precision) && isSilent(start.from, style.manner) && hours < 24) return `${a} – ${time}`;
  }
  if (a === b && style.manner.finest === "month") return a;
  if (
    start.precision === "day" &&
    end.precision === "day" &&
    !start.about &&
    !start.uncertain &&
    !style.weekdays &&
    style.manner.order === "dmy" &&
    style.manner.finest !== "month" &&
    !(style.manner.months === "numbers" && style.months === "short")
  ) {
    const s = civilFrom(style.calendar, start.from!.day);
    const e = civilFrom(style.calendar, end.from!.day);
    if (s.year === e.year && s.month === e.month) return `${s.day} – ${b}`;
    const word = MONTHS[s.month - 1]!;
    if (s.year === e.year) return `${s.day} ${style.months === "long" ? word : word.slice(0, 3)} – ${b}`;
  }
  return `${a} – ${b}`;
}

/** Whether a date says its time of day. */
export function isTimed(precision: Moment["precision"]): precision is "hour" | "minute" | "second" {
  return precision === "hour" || precision === "minute" || precision === "second";
}

/** The year a moment is named by, for the large figure in the read view: "1872", "310 BC", "1840s". */
export function headlineLabel(when: When, manner: Manner | null = null): string {
  const m = manner ?? USUAL_MANNER;
  const r = when.readAs;
  const at = r.kind === "moment" ? r.at : r.kind === "span" ? (r.start ?? r.end) : null;
  if (!at) return "";
  const begins = at.from ?? at.to!;
  if (isTimed(at.precision) && at.from && (isSilent(at.from, m) || isDateless(at.from.day)))
    return momentLabel(at, { ...SHORT, manner: m });
  if (["second", "minute", "hour", "day", "month"].includes(at.precision))
    return yearText(civilFrom("gregorian", begins.day).year, m.era);
  return momentLabel({ ...at, uncertain: false }, { ...SHORT, manner: m });
}
