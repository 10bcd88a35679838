import { type Calendar, civilFrom, dayFrom } from "./calendar";
import type { Instant } from "./instant";
import { readWhen } from "./read/read-when";
import type { ReadOptions } from "./read/options";
import { addSeconds, isTimeAlone, type Moment, type Precision, SECONDS_PER_DAY, startDay, type When } from "./when";
import { USUAL_MANNER, whenLabel } from "./write-when";

/** How far dates are moved; negative: earlier. */
export interface Shift {
  amount: number;
  unit: "years" | "months" | "weeks" | "days" | "hours" | "minutes";
}

const MONTH_SECONDS = (365.2425 / 12) * SECONDS_PER_DAY;
const IN_SECONDS = { weeks: 7 * SECONDS_PER_DAY, days: SECONDS_PER_DAY, hours: 3_600, minutes: 60 } as const;
/** What a precision counts in: calendar months, or seconds. Others ("between 1640 and 1702") go exactly as far as is asked. */
const COUNTS: Partial<Record<Precision, { months: number } | { seconds: number }>> = {
  second: { seconds: 1 },
  minute: { seconds: 60 },
  hour: { seconds: 3_600 },
  day: { seconds: SECONDS_PER_DAY },
  month: { months: 1 },
  season: { months: 3 },
  year: { months: 12 },
  decade: { months: 120 },
  century: { months: 1_200 },
  millennium: { months: 12_000 },
};
type Step = { months: number } | { seconds: number };

/**
 * A date moved by an amount of time, as precise as it was: a year moves by whole years, a decade by whole decades (the nearest), a
 * day by days and by calendar months (31 Jan and a month is the last of February). The very date that was given where it is known
 * less exactly than the amount; null where it cannot be moved (no date, a form that moving would alter, beyond what can be read).
 */
export function shifted(when: When, by: Shift, options: ReadOptions = {}): When | null {
  const r = when.readAs;
  if (r.kind !== "moment" && r.kind !== "span") return null;
  const alone = isTimeAlone(when);
  if (alone && (by.unit === "years" || by.unit === "months")) return null;
  const move = (m: Moment | null) => m && movedMoment(m, by, when.calendar);
  const moved = r.kind === "moment" ? { ...r, at: move(r.at) } : { ...r, start: move(r.start), end: move(r.end) };
  const lost =
    moved.kind === "moment"
      ? !moved.at
      : (r.kind === "span" && r.start && !moved.start) || (r.kind === "span" && r.end && !moved.end);
  if (lost) return null;
  const next = { ...when, readAs: moved } as When;
  if (startDay(next) === startDay(when) && whenLabel(next) === whenLabel(when)) return when;
  const typed = whenLabel(next, {
    ...USUAL_MANNER,
    ...(options.language ? { language: options.language } : {}),
    ...(options.day == null ? {} : { silentDay: options.day }),
  });
  const read = readWhen(typed, { ...options, sentence: false });
  if (read.readAs.kind !== r.kind || startDay(read) !== startDay(next)) return null;
  return { ...read, margin: when.margin, ...(when.place ? { place: when.place } : {}) };
}

function movedMoment(m: Moment, by: Shift, calendar: Calendar): Moment | null {
  if (m.wording?.kind === "edtf") return null;
  // Years known to their last digit are wider than what one would move them by.
  if (m.wording?.kind === "ago" || m.precision === "digits") return m;
  const step = stepOf(by, COUNTS[m.precision]);
  const go = (i: Instant | null): Instant | null =>
    i && ("seconds" in step ? addSeconds(i, step.seconds) : addMonths(i, step.months, calendar));
  const from = go(m.from);
  // Of a day the next one ends it, whatever the length of its month.
  const to =
    "months" in step && from && m.from && m.to && COUNTS[m.precision] && "seconds" in COUNTS[m.precision]!
      ? addSeconds(from, (m.to.day - m.from.day) * SECONDS_PER_DAY + m.to.second - m.from.second)
      : go(m.to);
  if (m.wording?.kind !== "season") return { ...m, from, to };
  const { season, year } = m.wording;
  const turns = "months" in step ? Math.round(step.months / 3) : 0;
  const at = SEASONS.indexOf(season) + turns;
  const wording = {
    kind: "season" as const,
    season: SEASONS[((at % 4) + 4) % 4]!,
    year: year + Math.floor(at / 4),
  };
  return { ...m, from, to, wording };
}

const SEASONS = ["spring", "summer", "autumn", "winter"] as const;

/** How far a date of a precision goes when it is moved by an amount: the nearest whole number of what it is counted in. */
function stepOf({ amount, unit }: Shift, counts: Step | undefined): Step {
  const months = unit === "years" ? amount * 12 : unit === "months" ? amount : null;
  const seconds = months === null ? amount * IN_SECONDS[unit as keyof typeof IN_SECONDS] : null;
  if (counts && "months" in counts) {
    const exact = months ?? seconds! / MONTH_SECONDS;
    return { months: nearest(exact, counts.months) };
  }
  if (months !== null) return { months };
  const grain = counts && "seconds" in counts ? counts.seconds : 1;
  return { seconds: nearest(seconds!, grain) };
}

/** The nearest multiple, the same either way, so that what was moved can be moved back. */
function nearest(amount: number, of: number): number {
  return Math.sign(amount) * Math.round(Math.abs(amount) / of) * of || 0;
}

/** So many calendar months later; a day that month does not have is its last. */
function addMonths(i: Instant, months: number, calendar: Calendar): Instant {
  const { year, month, day } = civilFrom(calendar, i.day);
  const at = year * 12 + (month - 1) + months;
  const [toYear, toMonth] = [Math.floor(at / 12), (((at % 12) + 12) % 12) + 1];
  const first = dayFrom(calendar, toYear, toMonth, 1);
  const next = dayFrom(calendar, toMonth === 12 ? toYear + 1 : toYear, toMonth === 12 ? 1 : toMonth + 1, 1);
  return { day: first + Math.min(day, next - first) - 1, second: i.second };
}
