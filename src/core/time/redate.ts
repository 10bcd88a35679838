import type { Language } from "../language/spoken";
import { tongueOf } from "./tongues/tongues";
import { type Calendar, civilFrom } from "./calendar";
import { readWhen } from "./read/read-when";
import type { ReadOptions } from "./read/options";
import { extent, inDays, isDateless, isTimeAlone, type Moment, SECONDS_PER_DAY, type When } from "./when";
import type { Instant } from "./instant";
import { momentLabel, timeText, written, type YearManner, yearText } from "./write-when";

const YEAR = 365.2425;

/** Precisions a new date can be written in, with the days each is wide; from the finest. */
const STEPS = [
  ["second", 1 / SECONDS_PER_DAY],
  ["minute", 1 / 1_440],
  ["hour", 1 / 24],
  ["day", 1],
  ["month", YEAR / 12],
  ["year", YEAR],
  ["decade", 10 * YEAR],
  ["century", 100 * YEAR],
] as const;
type Step = (typeof STEPS)[number][0];

/** The index of the coarsest step that what is so many days wide can be told apart in. */
function stepFor(days: number): number {
  let k = 0;
  for (const [i, [, wide]] of STEPS.entries()) if (wide <= days * 1.5) k = i;
  return k;
}

/** An instant in words that are read back, in a precision; beyond centuries rounded to `days`. */
function words(at: Instant, days: number, calendar: Calendar, language: Language | undefined): string {
  const tongue = tongueOf(language);
  const manner = { era: "BC", ...(language ? { language } : {}) } as const;
  if (isDateless(at.day)) {
    const second = Math.floor(at.second);
    const exact = days < 1.5 / 86_400 ? "second" : days < 0.9 / 24 ? "minute" : "hour";
    return timeText({ day: at.day, second }, exact, manner);
  }
  const { year, month, day } = civilFrom(calendar, at.day);
  if (days > 300 * YEAR || year < -9_999) return longAgo(year, days, manner);
  const step: Step = STEPS[stepFor(days)]![0];
  const julian = calendar === "julian" ? ` ${tongue.julian}` : "";
  const name = tongue.shortMonths[month - 1]!;
  const date = tongue.date(day, name, yearText(year, manner), false);
  const second = Math.min(86_399, Math.max(0, Math.floor(at.second)));
  switch (step) {
    case "second":
    case "minute":
    case "hour":
      return `${date} ${timeText({ day: at.day, second }, step, manner)}${julian}`;
    case "day":
      return `${date}${julian}`;
    case "month":
      return `${tongue.monthYear(name, yearText(year, manner), false)}${julian}`;
    case "year":
      return yearText(year, manner);
    case "decade":
      return year >= 10 ? tongue.decade(`${Math.floor(year / 10)}0`) : yearText(year, manner);
    case "century":
      return year > 0 ? tongue.century(Math.floor((year - 1) / 100) + 1) : longAgo(year, days, manner);
  }
}

function longAgo(year: number, days: number, manner: YearManner): string {
  const step = 10 ** Math.max(0, Math.floor(Math.log10(days / YEAR)));
  const rounded = Math.round(year / step) * step;
  if (rounded > -1_000_000) return yearText(rounded === 0 ? 1 : rounded, manner);
  const digits = Math.max(2, Math.floor(Math.log10(-rounded / step)) + 1);
  const tongue = tongueOf(manner.language);
  return tongue.ago(tongue.decimal(String(Number((-rounded / 1e6).toPrecision(Math.min(12, digits))))), "million");
}

/** How wide what is known of a date is, in days, "about" left aside. */
function widthOf(m: Moment): number {
  return m.from && m.to ? Math.max(1 / SECONDS_PER_DAY, inDays(m.to) - inDays(m.from)) : YEAR;
}

/**
 * An event at another date: as precise as it was, but no more than `resolution`, the days that can be told apart where it
 * was pointed at; "about", a question mark and the margin are kept. `end`: which end of a span; null: a moment. Null where
 * the event has no date, or the end would come before the start.
 */
export function redated(
  when: When,
  end: "start" | "end" | null,
  at: Instant,
  resolution: number,
  options: ReadOptions = {},
): When | null {
  const r = when.readAs;
  const tongue = tongueOf(options.language);
  const fresh = (m: Moment | null) => {
    const days = Math.max(m ? widthOf(m) : 0, resolution);
    const text = words(at, days, when.calendar, options.language);
    const plain = m?.about ? tongue.about(text) : text;
    return `${m && !m.from ? tongue.before(plain) : m && !m.to ? tongue.after(plain) : plain}${m?.uncertain ? "?" : ""}`;
  };
  let typed: string;
  if (r.kind === "moment" && end === null) typed = fresh(r.at);
  else if (r.kind === "span" && end !== null) {
    const other = end === "start" ? r.end : r.start;
    const mine = fresh(end === "start" ? r.start : r.end);
    const kept =
      other &&
      (isTimeAlone(when) && other.from
        ? words(other.from, widthOf(other), when.calendar, options.language)
        : momentLabel(other, written(options.language)));
    if (!other) typed = end === "start" ? tongue.from(mine) : mine;
    else typed = end === "start" ? `${mine} - ${kept}` : `${kept} - ${mine}`;
    if (!other && end === "end") return null;
  } else return null;
  const read = readWhen(typed, options);
  const kept: When = { ...read, margin: when.margin, ...(when.place ? { place: when.place } : {}) };
  if (read.readAs.kind !== r.kind) return null;
  if (read.readAs.kind === "span") {
    const [a, b] = [read.readAs.start, read.readAs.end];
    const from = a && extent(a).from;
    const to = b && extent(b).to;
    if (from && to && inDays(from) >= inDays(to)) return null;
  }
  return kept;
}
