import { dayFromGregorian, gregorianFromDay, weekday } from "../../time/calendar";

/** A rule by which something comes again (RFC 5545, 3.3.10), from days on. */
export interface RepeatRule {
  freq: "DAILY" | "WEEKLY" | "MONTHLY" | "YEARLY";
  interval: number;
  count: number | null;
  /** The last day it may fall on, as a day number. */
  until: number | null;
  byMonth: readonly number[];
  byMonthDay: readonly number[];
  byYearDay: readonly number[];
  byWeekNo: readonly number[];
  /** Days of the week, 0 = Monday, and which of them in the month or year; 0: each. */
  byDay: readonly { day: number; nth: number }[];
  bySetPos: readonly number[];
  /** The day a week begins with, 0 = Monday. */
  weekStart: number;
}

/** Further than this from its beginning no rule is followed, days: some never come again. */
const FURTHEST = 400 * 366;

/** The days on which something comes again, from its first day to a last one, both day numbers. Every day is looked at once, so no rule can run for ever. */
export function* repeatedDays(rule: RepeatRule, first: number, last: number): Generator<number> {
  const end = Math.min(last, rule.until ?? last, first + FURTHEST);
  const periodOf = periods(rule);
  const from = periodOf(first);
  let [count, period] = [0, from];
  let days: number[] = [];
  const flush = function* (): Generator<number> {
    const { bySetPos } = rule;
    const chosen =
      bySetPos.length === 0
        ? days
        : days.filter((_, i) => bySetPos.includes(i + 1) || bySetPos.includes(i - days.length));
    for (const day of chosen) {
      // The first day counts whether the rule says it or not.
      if (day <= first || day > end || (rule.count !== null && count >= rule.count)) continue;
      count++;
      yield day;
    }
    days = [];
  };
  count = 1;
  yield first;
  // A period is looked at as a whole, also where it begins before the first day.
  const to = periodOf(end);
  for (let day = first - 366; day <= end + 366; day++) {
    const at = periodOf(day);
    if (at < from) continue;
    if (at > to) break;
    if (at !== period) {
      yield* flush();
      if (rule.count !== null && count >= rule.count) return;
      period = at;
    }
    if ((at - from) % rule.interval === 0 && falls(rule, first, day)) days.push(day);
  }
  yield* flush();
}

function periods({ freq, weekStart }: RepeatRule): (day: number) => number {
  const civil = gregorianFromDay;
  switch (freq) {
    case "DAILY":
      return (d) => d;
    case "WEEKLY":
      // Day 0 was a Saturday: 5, where Monday is 0.
      return (d) => Math.floor((d + 5 - weekStart) / 7);
    case "MONTHLY":
      return (d) => civil(d).year * 12 + civil(d).month;
    case "YEARLY":
      return (d) => civil(d).year;
  }
}

const DAY_7 = 7;

function falls(r: RepeatRule, first: number, day: number): boolean {
  const { year, month, day: dom } = gregorianFromDay(day);
  const begun = gregorianFromDay(first);
  if (r.byMonth.length > 0 && !r.byMonth.includes(month)) return false;
  const monthLength =
    dayFromGregorian(month === 12 ? year + 1 : year, (month % 12) + 1, 1) - dayFromGregorian(year, month, 1);
  const yearBegins = dayFromGregorian(year, 1, 1);
  const yearLength = dayFromGregorian(year + 1, 1, 1) - yearBegins;
  const ofYear = day - yearBegins + 1;
  if (r.byMonthDay.length > 0 && !r.byMonthDay.some((n) => n === dom || n === dom - monthLength - 1)) return false;
  if (r.byYearDay.length > 0 && !r.byYearDay.some((n) => n === ofYear || n === ofYear - yearLength - 1)) return false;
  if (r.byWeekNo.length > 0 && !r.byWeekNo.includes(weekOf(day, r.weekStart))) return false;
  if (r.byDay.length > 0) {
    const own = weekday(day);
    const inMonth = r.freq === "MONTHLY" || (r.freq === "YEARLY" && r.byMonth.length > 0);
    const [at, length] = inMonth ? [dom, monthLength] : [ofYear, yearLength];
    const fits = ({ day: d, nth }: { day: number; nth: number }) =>
      d === own && (nth === 0 || nth === Math.ceil(at / DAY_7) || nth === -Math.ceil((length - at + 1) / DAY_7));
    return r.byDay.some(fits);
  }
  if (r.byMonthDay.length > 0 || r.byYearDay.length > 0) return true;
  // What the rule leaves open is as on the first day.
  switch (r.freq) {
    case "DAILY":
      return true;
    case "WEEKLY":
      return weekday(day) === weekday(first);
    case "MONTHLY":
      return dom === begun.day;
    case "YEARLY":
      if (r.byWeekNo.length > 0) return weekday(day) === weekday(first);
      return dom === begun.day && (r.byMonth.length > 0 || month === begun.month);
  }
}

/** The number of a day's week: the first has four days of the year or more (ISO 8601, with another first day where that is said). */
function weekOf(day: number, weekStart: number): number {
  const start = day - ((weekday(day) - weekStart + DAY_7) % DAY_7);
  const { year } = gregorianFromDay(start + 3);
  const first = dayFromGregorian(year, 1, 4);
  const firstStart = first - ((weekday(first) - weekStart + DAY_7) % DAY_7);
  return (start - firstStart) / DAY_7 + 1;
}
