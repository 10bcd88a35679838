import { MONTHS } from "./date-problem";
import { type Calendar, civilFrom } from "./calendar";
import { readWhen } from "./read/read-when";
import type { ReadOptions } from "./read/options";
import { extent, inDays, isDateless, isTimeAlone, type Moment, SECONDS_PER_DAY, type When } from "./when";
import type { Instant } from "./instant";
import { momentLabel, timeText, yearText } from "./write-when";

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
function words(at: Instant, days: number, calendar: Calendar): string {
  if (isDateless(at.day)) {
    const second = Math.floor(at.second);
    const exact = days < 1.5 / 86_400 ? "second" : days < 0.9 / 24 ? "minute" : "hour";
    return timeText({ day: at.day, second }, exact, {});
  }
  const { year, month, day } = civilFrom(calendar, at.day);
  if (days > 300 * YEAR || year < -9_999) return longAgo(year, days);
  const step: Step = STEPS[stepFor(days)]![0];
  const julian = calendar === "julian" ? " (Julian)" : "";
  const date = `${day} ${MONTHS[month - 1]!.slice(0, 3)} ${yearText(year)}`;
  const two = (n: number) => String(n).padStart(2, "0");
  const second = Math.min(86_399, Math.max(0, Math.floor(at.second)));
  const [h, m] = [Math.floor(second / 3_600), Math.floor((second % 3_600) / 60)];
  switch (step) {
    case "second":
      return `${date} ${two(h)}:${two(m)}:${two(second % 60)}${julian}`;
    case "minute":
      return `${date} ${two(h)}:${two(m)}${julian}`;
    case "hour":
      return `${date} ${h % 12 === 0 ? 12 : h % 12} ${h < 12 ? "am" : "pm"}${julian}`;
    case "day":
      return `${date}${julian}`;
    case "month":
      return `${MONTHS[month - 1]!.slice(0, 3)} ${yearText(year)}${julian}`;
    case "year":
      return yearText(year);
    case "decade":
      return year >= 10 ? `${Math.floor(year / 10)}0s` : yearText(year);
    case "century":
      return year > 0 ? `${ordinal(Math.floor((year - 1) / 100) + 1)} century` : longAgo(year, days);
  }
}

function ordinal(n: number): string {
  const teen = n % 100 > 10 && n % 100 < 14;
  return `${n}${teen ? "th" : (["th", "st", "nd", "rd"][n % 10] ?? "th")}`;
}

function longAgo(year: number, days: number): string {
  const step = 10 ** Math.max(0, Math.floor(Math.log10(days / YEAR)));
  const rounded = Math.round(year / step) * step;
  if (rounded > -1_000_000) return yearText(rounded === 0 ? 1 : rounded);
  const digits = Math.max(2, Math.floor(Math.log10(-rounded / step)) + 1);
  return `${Number((-rounded / 1e6).toPrecision(Math.min(12, digits)))} million years ago`;
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
  const fresh = (m: Moment | null) => {
    const days = Math.max(m ? widthOf(m) : 0, resolution);
    const text = words(at, days, when.calendar);
    const side = m && !m.from ? "before " : m && !m.to ? "after " : "";
    return `${side}${m?.about ? "about " : ""}${text}${m?.uncertain ? "?" : ""}`;
  };
  let typed: string;
  if (r.kind === "moment" && end === null) typed = fresh(r.at);
  else if (r.kind === "span" && end !== null) {
    const other = end === "start" ? r.end : r.start;
    const mine = fresh(end === "start" ? r.start : r.end);
    const kept =
      other &&
      (isTimeAlone(when) && other.from ? words(other.from, widthOf(other), when.calendar) : momentLabel(other));
    if (!other) typed = end === "start" ? `from ${mine}` : `${mine}`;
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
