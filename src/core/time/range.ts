import type { Instant, Moment, Reading, When } from "./when";

/**
 * No date lies further from day 0 than this many days, about 27,000 million years: day numbers, differences of them and
 * halves stay exact in a float64, and the whole history of the universe fits twice.
 */
export const MOST_DAY = 1e13;

/** Whether an instant is a whole day in range and a second within it. */
export function isInstant(i: Instant): boolean {
  return Number.isInteger(i.day) && Math.abs(i.day) <= MOST_DAY && i.second >= 0 && i.second <= 86_400;
}

const fits = (m: Moment | null) => !m || ((!m.from || isInstant(m.from)) && (!m.to || isInstant(m.to)));

/** Whether everything a date says lies in range; what does not is not understood, and nothing computes with it. */
export function readingInRange(r: Reading): boolean {
  if (r.kind === "moment") return fits(r.at);
  return r.kind !== "span" || (fits(r.start) && fits(r.end));
}

/** The nearest instant in range. */
export function clampInstant(i: Instant): Instant {
  if (Math.abs(i.day) <= MOST_DAY) return i;
  return { day: i.day < 0 ? -MOST_DAY : MOST_DAY, second: 0 };
}

/** A date as it may be computed with: one from an old or a foreign file that lies out of range is not understood. */
export function whenInRange(when: When): When {
  if (readingInRange(when.readAs)) return when;
  const { edtf: _, ...rest } = when;
  return { ...rest, readAs: { kind: "not_understood", problem: { code: "out_of_range" } } };
}
