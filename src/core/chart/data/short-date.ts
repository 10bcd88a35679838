import { civilFrom } from "../../time/calendar";
import { middleOf, type Moment, startOf } from "../../time/when";
import { isTimed, monthText, timeText, yearText } from "../../time/write-when";
import { tongueOf } from "../../time/tongues/tongues";
import { mannerOf } from "../../timeline/read-options";
import type { Timeline, TimelineEvent } from "../../timeline/timeline";

/** From the first to the last beginning, in years. */
export function yearsCovered(events: readonly TimelineEvent[]): number {
  let [first, last] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const e of events) {
    const at = startOf(e.when);
    if (!at) continue;
    first = Math.min(first, at.day);
    last = Math.max(last, at.day);
  }
  return (last - first) / 365.2425;
}

/** Charts shorter than that, in years, are told apart by the time of day, or by day and month. */
export const WITHIN_DAYS = 2.5 / 365.2425;
const WITHIN_A_YEAR = 1;
/** What tells a date apart in this chart: the time in a night, the day in a year, the year in centuries, millions in deep time. */
export function shortDate(e: TimelineEvent, full: string, years: number, timeline: Timeline): string {
  const r = e.when.readAs;
  const manner = mannerOf(timeline);
  const tongue = tongueOf(manner.language);
  const about = (is: boolean, text: string) => (is ? tongue.about(text) : text);
  if (r.kind === "span" && years < WITHIN_DAYS && r.start?.from && r.end?.from) {
    const [a, b] = [r.start, r.end];
    if (isTimed(a.precision) && isTimed(b.precision) && !a.about && !b.about)
      return `${timeText(r.start.from, a.precision, manner)} – ${timeText(r.end.from, b.precision, manner)}`;
  }
  if (r.kind === "span" && years > 20 && r.start?.from && r.end?.from) {
    const [a, b] = [r.start, r.end].map((m) => civilFrom("gregorian", middleOf(m).day).year);
    // Within a year that tells it apart.
    if (a === b && a! > EARTH_HISTORY) return about(r.start.about || r.end.about, yearText(a!, manner));
    if (b! <= EARTH_HISTORY) {
      const [size, unit] = unitOf(b!);
      const said = (m: Moment, year: number) => about(m.about, tongue.decimal(digits(-year / size)));
      return `${said(r.start, a!)} – ${said(r.end, b!)} ${unit}`;
    }
  }
  if (r.kind !== "moment" || !r.at.from) return full;
  if (years < WITHIN_DAYS && isTimed(r.at.precision))
    return about(r.at.about, timeText(r.at.from, r.at.precision, manner));
  if (years < WITHIN_A_YEAR && r.at.precision === "day" && manner.finest !== "month") {
    const { month, day } = civilFrom("gregorian", r.at.from.day);
    return about(r.at.about, tongue.dayMonth(day, monthText(month, false, manner), false));
  }
  if (!(years > 20)) return full;
  const year = civilFrom("gregorian", middleOf(r.at).day).year;
  if (year <= EARTH_HISTORY) {
    const [size, unit] = unitOf(year);
    return about(r.at.about, `${tongue.decimal(digits(-year / size))} ${unit}`);
  }
  const exact = ["second", "minute", "hour", "day", "month", "season"].includes(r.at.precision);
  const ago = r.at.wording?.kind === "ago";
  return exact || ago ? about(r.at.about, yearText(year, manner)) : full;
}

/** Years before this are told in units of earth history. */
const EARTH_HISTORY = -10_000;
const digits = (n: number) => String(Number(n.toPrecision(3)));

/** The unit a year is told in: thousands, millions and thousands of millions of years ago (ka, Ma, Ga). */
function unitOf(year: number): readonly [size: number, unit: string] {
  return year <= -1e9 ? [1e9, "Ga"] : year <= -1e6 ? [1e6, "Ma"] : [1e3, "ka"];
}
