import type { AgoUnit } from "../when";

export type Era = "BC" | "BCE";
/** What a part of something larger is part of: each is named in its own way. */
export type WholeOfPart = "decade" | "hundreds" | "century" | "month" | "day" | "year";

export type LengthUnit = "minute" | "hour" | "day" | "week" | "month" | "year";
export type Scale = "" | "million" | "billion";

/** How one language writes dates. Everything but `someTime`, `someDay`, `orLater` and `someTimeBetween` is read back as it is written. */
export interface Tongue {
  months: readonly string[];
  shortMonths: readonly string[];
  weekdays: readonly string[];
  shortWeekdays: readonly string[];
  seasons: Readonly<Record<"spring" | "summer" | "autumn" | "winter", string>>;
  /** A whole number, grouped from five digits on. */
  number: (n: number) => string;
  /** Digits with a point, as this language writes them. */
  decimal: (digits: string) => string;
  /** A year before the year 1, counted from 1; and one that would look like something else without its era. */
  before1: (year: string, era: Era) => string;
  after1: (year: string, era: Era) => string;
  /** The months are names; `long`: as in running text. Day and month without a year where the rest is said elsewhere. */
  date: (day: number, month: string, year: string, long: boolean) => string;
  dayMonth: (day: number, month: string, long: boolean) => string;
  day: (day: number) => string;
  monthYear: (month: string, year: string, long: boolean) => string;
  /** The months are numbers of two digits, the day first. */
  numbers: (day: string, month: string, year: string) => string;
  onWeekday: (weekday: string, date: string, long: boolean) => string;
  /** A whole hour. */
  hour: (hour: number) => string;
  decade: (year: string) => string;
  hundreds: (year: string) => string;
  century: (n: number) => string;
  millennium: (n: number) => string;
  /** What has a name of its own, before the year 1. */
  ofEra: (name: string, era: Era) => string;
  season: (season: string, year: string) => string;
  part: (part: "early" | "mid" | "late", whole: string, of: WholeOfPart) => string;
  about: (date: string) => string;
  before: (date: string) => string;
  after: (date: string) => string;
  between: (first: string, last: string) => string;
  from: (date: string) => string;
  until: (date: string) => string;
  ago: (amount: string, unit: AgoUnit) => string;
  julian: string;
  unknown: string;
  present: string;
  aDayLater: (time: string) => string;
  someTime: (year: string) => string;
  someDay: (month: string) => string;
  orLater: (first: string, last: string) => string;
  someTimeBetween: (first: string, last: string) => string;
  /** Deep time on a ridge: thousands of millions, or millions of years ago, in short. */
  shortAgo: (amount: string, unit: "million" | "billion") => string;
  toYears: (from: string, to: string) => string;
  /** "4.6 billion", and the same of a unit: "4.6 billion years"; `one`: it is exactly one. */
  scaled: (amount: string, scale: Scale) => string;
  length: (amount: string, scale: Scale, unit: LengthUnit, one: boolean) => string;
  upTo: (length: string) => string;
  range: (least: string, most: string) => string;
}
