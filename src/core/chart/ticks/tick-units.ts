import { civilFrom, dayFromGregorian, weekday } from "../../time/calendar";
import { isDateless } from "../../time/when";
import type { Instant } from "../../time/instant";
import { tongueOf } from "../../time/tongues/tongues";
import { type Manner, timeText, type YearManner, yearText } from "../../time/write-when";

/** Marks at every so many years, months, days or seconds. */
export interface Unit {
  kind: "years" | "months" | "days" | "seconds";
  step: number;
}

const DAY = 86_400;
const units = (kind: Unit["kind"], steps: number[]): Unit[] => steps.map((step) => ({ kind, step }));
const powers = [...Array(11).keys()].reverse().map((k) => 10 ** k);

/** From coarse to fine, for one unit throughout. */
export const UNITS: Unit[] = [
  ...units(
    "years",
    powers.flatMap((p) => [5 * p, 2 * p, p]),
  ),
  ...units("months", [6, 3, 2, 1]),
  ...units("days", [14, 7, 2, 1]),
  ...units(
    "seconds",
    [12, 6, 3, 2, 1].map((h) => h * 3_600),
  ),
  ...units(
    "seconds",
    [30, 15, 10, 5, 2, 1].map((m) => m * 60),
  ),
  ...units("seconds", [30, 15, 10, 5, 2, 1]),
];

/** From coarse to fine, each unit's marks among the next one's: what a scale that changes pace needs. */
export const NESTED: Unit[] = [
  ...units(
    "years",
    powers.flatMap((p) => [5 * p, p]),
  ),
  ...units("months", [6, 3, 1]),
  ...units("days", [1]),
  ...units(
    "seconds",
    [12, 6, 3, 1].map((h) => h * 3_600),
  ),
  ...units(
    "seconds",
    [30, 15, 5, 1].map((m) => m * 60),
  ),
  ...units("seconds", [30, 15, 5, 1]),
];

/** The usual length of a unit's step in days. */
export function stepDays(u: Unit): number {
  if (u.kind === "years") return u.step * 365.2425;
  if (u.kind === "months") return u.step * 30.436875;
  return u.kind === "days" ? u.step : u.step / DAY;
}

/** Marks within [from, to], from calendar fields and so exact; null when they are more than `most`. */
export function marksWithin(u: Unit, from: Instant, to: Instant, most: number): Instant[] | null {
  const days = to.day - from.day + (to.second - from.second) / DAY;
  if (!(days >= 0) || days / stepDays(u) > most) return null;
  const found: Instant[] = [];
  // Twice what the lengths say is never reached: a number that no longer moves when a step is added is a fault.
  let left = 2 * Math.ceil(days / stepDays(u)) + 100;
  const put = (day: number, second = 0) => {
    if (--left < 0)
      throw new RangeError(`marks of every ${u.step} ${u.kind} from day ${from.day} never come to an end`);
    const after = day - from.day || second - from.second;
    const before = day - to.day || second - to.second;
    const last = found.at(-1);
    if (after >= 0 && before <= 0 && !(last && last.day === day && last.second === second)) found.push({ day, second });
  };
  if (u.kind === "years") {
    const first = civilFrom("gregorian", from.day).year;
    const last = civilFrom("gregorian", to.day).year;
    for (let n = Math.floor((first - 1) / u.step); n * u.step <= last + 1; n++)
      put(dayFromGregorian(namedYear(n * u.step), 1, 1));
  } else if (u.kind === "months") {
    const a = civilFrom("gregorian", from.day);
    const b = civilFrom("gregorian", to.day);
    const end = b.year * 12 + b.month - 1;
    for (let m = Math.floor((a.year * 12 + a.month - 1) / u.step) * u.step; m <= end; m += u.step)
      put(dayFromGregorian(Math.floor(m / 12), m - Math.floor(m / 12) * 12 + 1, 1));
  } else if (u.kind === "days") {
    // Weeks begin on Mondays: day 2 was one.
    const shift = u.step % 7 === 0 ? 2 : 0;
    for (let n = Math.floor((from.day - shift) / u.step); n * u.step + shift <= to.day; n++) put(n * u.step + shift);
  } else
    for (let day = from.day; day <= to.day; day++) {
      const low = day === from.day ? Math.floor(from.second / u.step) * u.step : 0;
      const high = day === to.day ? to.second : DAY - 1;
      for (let second = low; second <= high; second += u.step) put(day, second);
    }
  return found;
}

/** Marks stand on the years people name: 100 BC, 50 BC, AD 1, AD 50 - astronomical -99, -49, 1, 50. */
function namedYear(n: number): number {
  return n < 0 ? n + 1 : n === 0 ? 1 : n;
}

/** How the ridge writes dates: a timeline's manner, and whether days are named because they lie within a week. */
export type TickManner = Pick<Manner, "era" | "clock" | "silentDay" | "language"> & { weekdays?: boolean };

/** What a mark says; `full` where its neighbours may be of another unit. */
export function markText(u: Unit, at: Instant, manner: TickManner, full: boolean): string {
  const tongue = tongueOf(manner.language);
  const { year, month, day } = civilFrom("gregorian", at.day);
  const name = tongue.shortMonths[month - 1]!;
  if (u.kind === "years") return tickYear(year, manner, u.step);
  if (u.kind === "months")
    return month === 1
      ? tickYear(year, manner, 1)
      : full
        ? tongue.monthYear(name, yearText(year, manner), false)
        : name;
  if (u.kind === "seconds" && (isDateless(at.day) || (at.day === manner.silentDay && at.second === 0)))
    return clockText(at, manner);
  if (u.kind === "days" || at.second === 0) {
    const date = tongue.dayMonth(day, name, false);
    if (manner.weekdays) return tongue.onWeekday(tongue.shortWeekdays[weekday(at.day)]!, date, false);
    if (full) return tongue.date(day, name, yearText(year, manner), false);
    return day === 1 && u.kind === "days" ? name : date;
  }
  return clockText(at, manner);
}

/** Time of day, with seconds only where there are some. */
function clockText(at: Instant, manner: TickManner): string {
  const second = Math.round(at.second);
  return timeText({ day: at.day, second }, at.second % 60 === 0 ? "minute" : "second", manner);
}

/** A date as exact as the unit tells it apart: what stands at the edge of a view. */
export function edgeText(u: Unit, at: Instant, manner: TickManner): string {
  const tongue = tongueOf(manner.language);
  const { year, month, day } = civilFrom("gregorian", at.day);
  if (u.kind === "years") return tickYear(year, manner, u.step / 10);
  const name = tongue.shortMonths[month - 1]!;
  if (u.kind === "months") return tongue.monthYear(name, yearText(year, manner), false);
  const date = tongue.date(day, name, yearText(year, manner), false);
  if (u.kind === "days") return isDateless(at.day) ? "" : date;
  const second = Math.min(DAY - 1, Math.floor(at.second));
  const time = clockText({ day: at.day, second: u.step < 60 ? second : second - (second % 60) }, manner);
  return isDateless(at.day) || at.day === manner.silentDay ? time : `${date} ${time}`;
}

/** Years on the ridge; deep time in millions, with as many digits as the step needs. */
export function tickYear(year: number, manner: YearManner, step: number): string {
  if (year > -1_000_000) return yearText(Math.round(year), manner);
  const tongue = tongueOf(manner.language);
  const digits = Math.min(7, Math.max(0, 6 - Math.floor(Math.log10(Math.max(step, 0.1)))));
  const millions = -year / 1e6;
  return millions >= 1_000
    ? tongue.shortAgo(tongue.decimal(trimmed((millions / 1_000).toFixed(Math.min(10, digits + 3)))), "billion")
    : tongue.shortAgo(tongue.decimal(trimmed(millions.toFixed(digits))), "million");
}

function trimmed(n: string): string {
  return n.includes(".") ? n.replace(/\.?0+$/, "") : n;
}

/** The unit that groups the marks of a finer one: what the second row says. Null for years. */
export function largerUnit(u: Unit): Unit | null {
  if (u.kind === "years") return null;
  return u.kind === "months"
    ? { kind: "years", step: 1 }
    : u.kind === "days"
      ? { kind: "months", step: 1 }
      : { kind: "days", step: 1 };
}
