import { type Calendar, civilFrom, dayFromGregorian, weekday } from "./calendar";
import type { Language } from "../language/spoken";
import { tongueOf } from "./tongues/tongues";
import type { Era, WholeOfPart } from "./tongues/tongue";
import { addSeconds, isDateless, type Moment, NO_DAY, startOf, type When } from "./when";
import type { Instant } from "./instant";

/** How a timeline writes its dates. */
export interface Manner {
  order: "dmy" | "mdy";
  months: "names" | "numbers";
  era: Era;
  weekdays: boolean;
  /** Whether a Julian date is shown in its own calendar, or as the Gregorian day it was. */
  julian: boolean;
  /** Times by 24 hours or by am and pm; missing: by 24 hours, a whole hour as it is mostly said ("10 pm"). */
  clock?: "24" | "12";
  /** "month": no date says its day. Missing: as exact as it is known. */
  finest?: "month";
  /** The day that goes without saying, as a day number: its times stand alone. Never stored: `mannerOf` adds it. */
  silentDay?: number;
  /** The language dates are written in; missing: English. Never stored: `mannerOf` adds it. */
  language?: Language;
}
/** What a year is written by. */
export type YearManner = Pick<Manner, "era" | "language">;

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
const two = (n: number) => String(n).padStart(2, "0");

/** "1872", "310 BC", "AD 96" (below 1000 a bare number would look like something else), "12,000 BC". */
export function yearText(year: number, { era, language }: YearManner = USUAL_MANNER): string {
  const tongue = tongueOf(language);
  if (year < 1) return tongue.before1(tongue.number(1 - year), era);
  return year < 1000 ? tongue.after1(String(year), era) : tongue.number(year);
}

/** The usual manner in a language, in short. */
export const written = (language: Language | undefined): DateStyle =>
  language === undefined || language === "en" ? SHORT : { ...SHORT, manner: { ...USUAL_MANNER, language } };

/** How a date is shown, without the reading's doubts lost: "about 1702", "1840s", "Nov 1872", "14 Nov 1872 22:10". */
export function momentLabel(m: Moment, style: DateStyle = SHORT): string {
  const doubt = m.uncertain ? "?" : "";
  const plain = plainLabel(m, style);
  return `${m.about ? tongueOf(style.manner.language).about(plain) : plain}${doubt}`;
}

function plainLabel(m: Moment, style: DateStyle): string {
  const w = m.wording;
  const tongue = tongueOf(style.manner.language);
  if (w?.kind === "ago") {
    const amount = w.amount.includes(".")
      ? tongue.decimal(w.amount)
      : Number(w.amount).toLocaleString(style.manner.language ?? "en");
    return tongue.ago(amount, w.unit);
  }
  if (w?.kind === "edtf") return formLabel(m, w.text, style);
  if (w?.kind === "season") return tongue.season(tongue.seasons[w.season], yearText(w.year, style.manner));
  if (w?.kind === "before" && m.to) return tongue.before(boundary(m, m.to, style));
  if (w?.kind === "after" && m.from) return tongue.after(boundary(m, addSeconds(m.from, -1), style));
  if (!m.from || !m.to) return tongue.unknown;
  const last = addSeconds(m.to, -1);
  if (w?.kind === "between")
    return tongue.between(
      dateText(m.from, precisionOfEdge(m.from, true), style),
      dateText(last, precisionOfEdge(m.to, true), style),
    );
  if (w?.kind === "part") return tongue.part(w.part, ...wholeOfPart(m, style));
  return dateText(m.from, m.precision, style, last);
}

/** A mask, significant digits or a set in words. */
function formLabel(m: Moment, text: string, style: DateStyle): string {
  if (!m.from || !m.to) return text;
  const { manner } = style;
  const tongue = tongueOf(manner.language);
  const first = civilFrom(style.calendar, m.from.day);
  const last = civilFrom(style.calendar, addSeconds(m.to, -1).day);
  const mask = /^(\d{4})-(\d{2}|XX)(?:-XX)?$/.exec(text);
  if (mask?.[2] === "XX") return tongue.someTime(yearText(first.year, manner));
  if (mask) return tongue.someDay(dateText(m.from, "month", style));
  if (/^Y-?\d+E\d+$/.test(text)) return yearText(first.year, manner);
  return first.year === last.year
    ? tongue.orLater(dateText(m.from, "day", style), dateText(addSeconds(m.to, -1), "day", style))
    : tongue.someTimeBetween(yearText(first.year, manner), yearText(last.year, manner));
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

function wholeOfPart(m: Moment, style: DateStyle): [whole: string, of: WholeOfPart] {
  const { calendar, manner } = style;
  const tongue = tongueOf(manner.language);
  const { year } = civilFrom(calendar, m.from!.day);
  const from = (years: number) => yearText(Math.floor(year / years) * years, manner);
  switch (m.precision) {
    case "decade":
      return [tongue.decade(from(10)), "decade"];
    case "century":
      return year % 100 === 0 || civilFrom(calendar, m.to!.day).year % 100 === 0
        ? [tongue.hundreds(from(100)), "hundreds"]
        : [centuryText(year, manner), "century"];
    case "month":
      return [dateText(m.from!, "month", style), "month"];
    case "day":
      return [dateText(m.from!, "day", style), "day"];
    default:
      return [yearText(year, manner), "year"];
  }
}

export function centuryText(year: number, { era, language }: YearManner): string {
  const tongue = tongueOf(language);
  const n = year >= 1 ? Math.floor((year - 1) / 100) + 1 : Math.floor(-year / 100) + 1;
  return year >= 1 ? tongue.century(n) : tongue.ofEra(tongue.century(n), era);
}

/** A month's name in a manner: "Nov", "November". */
export function monthText(month: number, long: boolean, { language }: Pick<Manner, "language">): string {
  const tongue = tongueOf(language);
  return (long ? tongue.months : tongue.shortMonths)[month - 1]!;
}

function dateText(at: Instant, precision: Moment["precision"], style: DateStyle, last?: Instant): string {
  const { year, month, day } = civilFrom(style.calendar, at.day);
  const { manner } = style;
  const tongue = tongueOf(manner.language);
  const long = style.months === "long";
  const monthWord = monthText(month, long, manner);
  const yearWord = yearText(year, manner);
  const numbers = manner.months === "numbers" && !long;
  // Only English says its months before its days.
  const monthFirst = manner.order === "mdy";
  const bare = numbers
    ? monthFirst
      ? `${two(month)}/${two(day)}/${yearWord}`
      : tongue.numbers(two(day), two(month), yearWord)
    : monthFirst && (manner.language ?? "en") === "en"
      ? `${monthWord} ${day}, ${yearWord}`
      : tongue.date(day, monthWord, yearWord, long);
  const names = long ? tongue.weekdays : tongue.shortWeekdays;
  const fullDay = style.weekdays ? tongue.onWeekday(names[weekday(at.day)]!, bare, long) : bare;
  switch (precision) {
    case "second":
    case "minute":
    case "hour":
      if (isSilent(at, manner)) return timeText(at, precision, manner);
      if (isDateless(at.day)) return tongue.aDayLater(timeText(at, precision, manner));
      if (manner.finest === "month") return tongue.monthYear(monthWord, yearWord, long);
      return `${fullDay} ${timeText(at, precision, manner)}`;
    case "day":
      return manner.finest === "month" ? tongue.monthYear(monthWord, yearWord, long) : fullDay;
    case "month":
    case "season":
      return tongue.monthYear(monthWord, yearWord, long);
    case "decade": {
      if (year >= 1) return tongue.decade(yearWord);
      const end = last ? civilFrom(style.calendar, last.day).year : year;
      return end < 1
        ? tongue.ofEra(tongue.decade(tongue.number(1 - end)), manner.era)
        : tongue.decade(yearText(end, manner));
    }
    case "century":
      return year % 100 === 0 && year > 0
        ? tongue.hundreds(yearWord)
        : isHundreds(year)
          ? tongue.ofEra(tongue.hundreds(String(Math.floor((1 - year) / 100) * 100)), manner.era)
          : centuryText(year, manner);
    case "millennium": {
      const n = year >= 1 ? Math.floor((year - 1) / 1_000) + 1 : Math.floor(-year / 1_000) + 1;
      return year >= 1 ? tongue.millennium(n) : tongue.ofEra(tongue.millennium(n), manner.era);
    }
    case "digits": {
      if (!last) return yearText(year, manner);
      const end = civilFrom(style.calendar, last.day).year;
      return yearText(end === year ? year : Math.round((year + end + 1) / 2), manner);
    }
    default:
      return yearText(year, manner);
  }
}

/** -398 is 399 BC, where "the 300s BC" begin; the 4th century BC begins in 400 BC (-399). */
function isHundreds(year: number): boolean {
  return year < 1 && (1 - year) % 100 === 99;
}
/** A day number in words that are read back: "14 Nov 1872". */
export function dayText(day: number, { language }: Pick<Manner, "language"> = {}): string {
  return dateText({ day, second: 0 }, "day", written(language));
}

/** Whether the day of an instant goes without saying. */
export function isSilent(at: Instant, manner: Manner): boolean {
  return at.day === NO_DAY || at.day === manner.silentDay;
}

/** A time of day in the timeline's manner: "22:10", "10:10 pm", a whole hour "22 h" or "10 pm". */
export function timeText(
  at: Instant,
  precision: "hour" | "minute" | "second",
  manner: Pick<Manner, "clock" | "language">,
): string {
  const hour = Math.floor(at.second / 3600);
  const english = (manner.language ?? "en") === "en";
  if (precision === "hour" && manner.clock !== "12" && !(english && !manner.clock))
    return english ? `${hour} h` : tongueOf(manner.language).hour(hour);
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

/** In any language. */
const WEEKDAY_TYPED =
  /(?:^|\s)(?:mon|tue|wed|thu|fri|sat|sun|die|mi|do|fr|sa|so|lun|mar|mié|mie|jue|vie|sáb|sab|dom)(?:day|tag|tes|nes|ves|ado|ingo|[a-zé]*)?[.,]?\s/i;

/** 15 October 1582, the first day of the Gregorian calendar. */
const FIRST_GREGORIAN = dayFromGregorian(1582, 10, 15);

/** Before the calendar that weekdays are counted back in, one is named only where its author typed it. */
function mayNameWeekday(when: When): boolean {
  const at = startOf(when);
  return (at !== null && at.day >= FIRST_GREGORIAN) || WEEKDAY_TYPED.test(when.typed);
}

function label(when: When, style: DateStyle): string {
  const r = when.readAs;
  const tail =
    when.calendar === "julian" && style.calendar === "julian" ? ` ${tongueOf(style.manner.language).julian}` : "";
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
  const tongue = tongueOf(style.manner.language);
  if (!start) return end ? tongue.until(momentLabel(end, style)) : "";
  if (!end) return tongue.from(momentLabel(start, style));
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
    if (s.year === e.year && s.month === e.month) return `${tongue.day(s.day)} – ${b}`;
    const long = style.months === "long";
    if (s.year === e.year) return `${tongue.dayMonth(s.day, monthText(s.month, long, style.manner), long)} – ${b}`;
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
    return yearText(civilFrom("gregorian", begins.day).year, m);
  return momentLabel({ ...at, uncertain: false }, { ...SHORT, manner: m });
}
