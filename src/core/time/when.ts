import type { Calendar } from "./calendar";
import { civilFrom, dayFrom } from "./calendar";
import type { DateProblem } from "./date-problem";
import { clampInstant, type Instant } from "./instant";

/** How finely a date was given. "digits" means years known to their last significant digit ("66 million years ago"). */
export type Precision =
  | "second"
  | "minute"
  | "hour"
  | "day"
  | "month"
  | "season"
  | "year"
  | "decade"
  | "century"
  | "millennium"
  | "digits"
  | "stretch";

export type AgoUnit = "years" | "thousand" | "million" | "billion" | "bp";

/** What the precision alone does not say about how a date is worded. */
export type Wording =
  | { kind: "part"; part: "early" | "mid" | "late" }
  | { kind: "season"; season: "spring" | "summer" | "autumn" | "winter"; year: number }
  | { kind: "before" }
  | { kind: "after" }
  | { kind: "between" }
  /** A form of ISO 8601-2 that the meaning alone does not tell: a mask, significant digits, a set. */
  | { kind: "edtf"; text: string }
  | { kind: "ago"; amount: string; unit: AgoUnit };

/** What is known of one date: it lies in [from, to). Null: unknown how early or how late. */
export interface Moment {
  from: Instant | null;
  to: Instant | null;
  precision: Precision;
  about: boolean;
  uncertain: boolean;
  wording?: Wording;
  /** A UTC offset as it was written; it is kept and shifts nothing. */
  offset?: string;
}

/** The end of a span that goes on: open because it has not ended, or because nobody knows. */
export type Reading =
  | { kind: "moment"; at: Moment }
  /** An end that is null is open, or, where `unknown` says so, not known. */
  | { kind: "span"; start: Moment | null; end: Moment | null; unknown?: "start" | "end" }
  | { kind: "undated" }
  | { kind: "not_understood"; problem: DateProblem };

/** How far "about" reaches either way, where its author has set it. */
export interface Margin {
  amount: number;
  unit: "day" | "year";
}

/** The widths of "about" by the precision a date was given in. */
export type Margins = Partial<Record<"day" | "month" | "year" | "decade" | "century", Margin>>;

/** Where an event without a date stands: after that event (null: before all), ordered by the fractional key. */
export interface Place {
  after: string | null;
  key: string;
}

/**
 * One field, merged whole: what was typed is kept for ever, what was understood stands beside it.
 * `edtf` is ISO 8601-2 and missing where nothing was understood.
 */
export interface When {
  typed: string;
  readAs: Reading;
  edtf?: string;
  calendar: Calendar;
  margin: Margin | null;
  place?: Place;
}

export const UNDATED: When = { typed: "", readAs: { kind: "undated" }, calendar: "gregorian", margin: null };

export const SECONDS_PER_DAY = 86_400;

/**
 * The day of times that belong to no date: where a timeline goes through one day nobody has named. Nobody knows the time of day
 * of anything so long ago, and it is near enough for a float64 of days to tell milliseconds apart.
 */
export const NO_DAY = -100_000_007;

/** Whether a date is nothing but times of the day nobody has named. */
export function isTimeAlone({ readAs: r }: Pick<When, "readAs">): boolean {
  const m = r.kind === "moment" ? r.at : r.kind === "span" ? (r.start ?? r.end) : null;
  const at = m?.from ?? m?.to;
  return m != null && at != null && isDateless(at.day) && ["hour", "minute", "second"].includes(m.precision);
}

/** Whether a day is the one nobody has named, or one of the next few that a night reaches into. */
export function isDateless(day: number): boolean {
  return day >= NO_DAY && day < NO_DAY + 10;
}

/** Negative when a is earlier. */
export function compareInstants(a: Instant, b: Instant): number {
  return a.day - b.day || a.second - b.second;
}

/** Days as one number, good for comparing and for drawing short of a second at the far end of time. */
export function inDays(i: Instant): number {
  return i.day + i.second / SECONDS_PER_DAY;
}

export function addSeconds(i: Instant, seconds: number): Instant {
  const total = i.second + seconds;
  const days = Math.floor(total / SECONDS_PER_DAY);
  return { day: i.day + days, second: total - days * SECONDS_PER_DAY };
}

export function addYears(i: Instant, years: number, calendar: Calendar = "gregorian"): Instant {
  const { year, month, day } = civilFrom(calendar, i.day);
  const whole = Math.trunc(years);
  const moved = dayFrom(calendar, year + whole, month, Math.min(day, 28));
  const rest = Math.round((years - whole) * 365.2425);
  return { day: moved + rest, second: i.second };
}

/**
 * The width of "about" either way when its author has not set it: a year by 5, a decade by 10, a day by 3 days, anything
 * else by half of the last digit given.
 */
export function usualMargin(m: Moment): Margin {
  switch (m.precision) {
    case "second":
      return { amount: 0.5 / SECONDS_PER_DAY, unit: "day" };
    case "minute":
      return { amount: 30 / SECONDS_PER_DAY, unit: "day" };
    case "hour":
      return { amount: 1_800 / SECONDS_PER_DAY, unit: "day" };
    case "day":
      return { amount: 3, unit: "day" };
    case "month":
      return { amount: 15, unit: "day" };
    case "season":
      return { amount: 45, unit: "day" };
    case "year":
      return { amount: 5, unit: "year" };
    case "decade":
      return { amount: 10, unit: "year" };
    case "century":
      return { amount: 50, unit: "year" };
    case "millennium":
      return { amount: 500, unit: "year" };
    default: {
      const width = m.from && m.to ? (inDays(m.to) - inDays(m.from)) / 2 : 0;
      return { amount: width, unit: "day" };
    }
  }
}

/**
 * The half-open stretch [from, to) of time a moment may mean, "about" included. A side nobody knows
 * (before 1650) is null.
 */
export function extent(m: Moment, margin: Margin | null = null): { from: Instant | null; to: Instant | null } {
  if (!m.about) return { from: m.from, to: m.to };
  const { amount, unit } = margin ?? usualMargin(m);
  const move = (i: Instant | null, sign: 1 | -1): Instant | null => {
    if (!i) return null;
    return clampInstant(
      unit === "year" ? addYears(i, sign * amount) : addSeconds(i, Math.round(sign * amount * SECONDS_PER_DAY)),
    );
  };
  return { from: move(m.from, -1), to: move(m.to, 1) };
}

/** The middle of what is known of a moment, in days; the known side when the other is open. */
export function middle(m: Moment): number {
  if (m.from && m.to) return (inDays(m.from) + inDays(m.to)) / 2;
  return m.to ? inDays(m.to) : m.from ? inDays(m.from) : 0;
}

/** The middle of what is known of a moment, exact to half a second however long ago; the known side when the other is open. */
export function middleOf(m: Moment): Instant {
  if (!m.from || !m.to) return m.to ?? m.from ?? { day: 0, second: 0 };
  const days = m.to.day - m.from.day;
  const whole = Math.floor(days / 2);
  const rest = (days - 2 * whole) * (SECONDS_PER_DAY / 2) + (m.to.second - m.from.second) / 2;
  return addSeconds({ day: m.from.day + whole, second: m.from.second }, rest);
}

/** Where an event begins as written (no margin); null without a date. */
export function startOf(when: When): Instant | null {
  const r = when.readAs;
  if (r.kind === "moment") return r.at.from ?? (r.at.to ? addSeconds(r.at.to, -1) : null);
  if (r.kind !== "span") return null;
  if (r.start?.from) return r.start.from;
  const m = r.start ?? r.end;
  return m ? middleOf(m) : null;
}

/** Where an event begins as written (no margin), in days; null without a date. */
export function startDay(when: When): number | null {
  const r = when.readAs;
  if (r.kind === "moment")
    return r.at.from ? inDays(r.at.from) : r.at.to ? inDays(r.at.to) - 1 / SECONDS_PER_DAY : null;
  if (r.kind === "span") {
    const m = r.start ?? r.end;
    if (!m) return null;
    return r.start?.from ? inDays(r.start.from) : middle(m);
  }
  return null;
}

/** Where an event ends as written; its start when the end is open; null without a date. */
export function endOf(when: When): Instant | null {
  const r = when.readAs;
  if (r.kind === "moment") return r.at.to ?? startOf(when);
  if (r.kind === "span") return r.end?.to ?? r.start?.to ?? startOf(when);
  return null;
}

/** Where an event ends as written, in days; its start when the end is open; null without a date. */
export function endDay(when: When): number | null {
  const r = when.readAs;
  if (r.kind === "moment") return r.at.to ? inDays(r.at.to) : startDay(when);
  if (r.kind === "span") return r.end?.to ? inDays(r.end.to) : r.start?.to ? inDays(r.start.to) : startDay(when);
  return null;
}

export function isDated(when: When): boolean {
  return when.readAs.kind === "moment" || when.readAs.kind === "span";
}
