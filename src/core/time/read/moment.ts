import { type Calendar, civilFrom, dayFrom, daysInMonth } from "../calendar";
import type { DateProblem } from "../date-problem";
import type { Instant } from "../instant";
import { addSeconds, inDays, type Moment, type Precision, SECONDS_PER_DAY, type Wording } from "../when";
import type { DateOrder, ReadOptions } from "./options";
import type { Fields } from "./words";

/** "BP", "ago", Ma and Ga count back from 1950 (the radiocarbon convention). */
export const BEFORE_PRESENT = 1950;

/** What one date came to, or why it did not. */
export type Result<T> = { ok: true; value: T } | { ok: false; problem: DateProblem };
export const ok = <T>(value: T): Result<T> => ({ ok: true, value });
const no = (problem: DateProblem): Result<never> => ({ ok: false, problem });

/** One date from its parts, checked against the calendar. */
export function momentOf(f: Fields, options: ReadOptions): Result<Moment> {
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
function agoMoment(ago: { amount: string; unit: import("../when").AgoUnit }): Result<Moment> {
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

export const SHORT_MONTHS = [
  "Jan",
  "Feb",
  "Mar",
  "Apr",
  "May",
  "Jun",
  "Jul",
  "Aug",
  "Sep",
  "Oct",
  "Nov",
  "Dec",
] as const;
function monthName(month: number): string {
  return SHORT_MONTHS[month - 1] ?? String(month);
}
