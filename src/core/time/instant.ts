/** A point in time: a day number (see calendar.ts) and the second of that day, 0 to 86,399. Local time, no zone. */
export interface Instant {
  day: number;
  second: number;
}

/**
 * No date lies further from day 0 than this many days, about 27,000 million years: day numbers, differences of them and
 * halves stay exact in a float64, and the whole history of the universe fits twice.
 */
export const MOST_DAY = 1e13;

/** Whether an instant is a whole day in range and a second within it. */
export function isInstant(i: Instant): boolean {
  return Number.isInteger(i.day) && Math.abs(i.day) <= MOST_DAY && i.second >= 0 && i.second <= 86_400;
}

/** The nearest instant in range. */
export function clampInstant(i: Instant): Instant {
  if (Math.abs(i.day) <= MOST_DAY) return i;
  return { day: i.day < 0 ? -MOST_DAY : MOST_DAY, second: 0 };
}
