import { MONTHS } from "../date-problem";
import type { Tongue } from "./tongue";

const WEEKDAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"] as const;

function ordinal(n: number): string {
  const tail = n % 100 >= 11 && n % 100 <= 13 ? "th" : (["th", "st", "nd", "rd"][n % 10] ?? "th");
  return `${n}${tail}`;
}

export const EN: Tongue = {
  months: MONTHS,
  shortMonths: MONTHS.map((m) => m.slice(0, 3)),
  weekdays: WEEKDAYS,
  shortWeekdays: WEEKDAYS.map((d) => d.slice(0, 3)),
  seasons: { spring: "spring", summer: "summer", autumn: "autumn", winter: "winter" },
  number: (n) => (n >= 10_000 ? n.toLocaleString("en") : String(n)),
  decimal: (digits) => digits,
  before1: (year, era) => `${year} ${era}`,
  after1: (year, era) => (era === "BC" ? `AD ${year}` : `${year} CE`),
  date: (day, month, year) => `${day} ${month} ${year}`,
  dayMonth: (day, month) => `${day} ${month}`,
  day: String,
  monthYear: (month, year) => `${month} ${year}`,
  numbers: (day, month, year) => `${day}/${month}/${year}`,
  onWeekday: (weekday, date) => `${weekday} ${date}`,
  hour: (hour) => `${hour % 12 === 0 ? 12 : hour % 12} ${hour < 12 ? "am" : "pm"}`,
  decade: (year) => `${year}s`,
  hundreds: (year) => `${year}s`,
  century: (n) => `${ordinal(n)} century`,
  millennium: (n) => `${ordinal(n)} millennium`,
  ofEra: (name, era) => `${name} ${era}`,
  season: (season, year) => `${season} ${year}`,
  part: (part, whole) => `${part} ${whole}`,
  about: (date) => `about ${date}`,
  before: (date) => `before ${date}`,
  after: (date) => `after ${date}`,
  between: (first, last) => `between ${first} and ${last}`,
  from: (date) => `from ${date}`,
  until: (date) => `until ${date}`,
  ago: (amount, unit) =>
    unit === "bp" ? `${amount} BP` : unit === "years" ? `${amount} years ago` : `${amount} ${unit} years ago`,
  julian: "(Julian)",
  unknown: "unknown",
  present: "present",
  aDayLater: (time) => `${time}, a day later`,
  someTime: (year) => `some time in ${year}`,
  someDay: (month) => `some day in ${month}`,
  orLater: (first, last) => `${first} or later, by ${last}`,
  someTimeBetween: (first, last) => `some time between ${first} and ${last}`,
  shortAgo: (amount, unit) => `${amount} ${unit === "million" ? "m" : "bn"} yrs ago`,
  toYears: (from, to) => `${from} to ${to}`,
  scaled: (amount, scale) => (scale ? `${amount} ${scale}` : amount),
  length: (amount, scale, unit, one) => `${amount} ${scale ? `${scale} ` : ""}${unit}${one ? "" : "s"}`,
  upTo: (length) => `up to ${length}`,
  range: (least, most) => `${least} to ${most}`,
};
