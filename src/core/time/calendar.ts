/**
 * Days are counted from 0000-01-01 in the proleptic Gregorian calendar (day 0) with astronomical
 * years: 1 BC is year 0, 2 BC is year -1. Integer arithmetic only, exact while the day number stays
 * below 2^53 (about 24 million million years either way).
 */

export interface CivilDate {
  year: number;
  month: number;
  day: number;
}

const DAYS_PER_400_YEARS = 146_097;
const DAYS_PER_4_JULIAN_YEARS = 1_461;
/** Day number of 0000-03-01, from which the counting below starts so that a leap day ends its year. */
const GREGORIAN_MARCH = 60;
/** Julian 0000-03-01 is Gregorian 0000-02-28: two days earlier. */
const JULIAN_MARCH = 58;

const mod = (a: number, n: number) => a - n * Math.floor(a / n);

/** Day number of a Gregorian date. Source: the March-based count of E. G. Richards, "Mapping Time", ch. 25. */
export function dayFromGregorian(year: number, month: number, day: number): number {
  const y = month > 2 ? year : year - 1;
  const monthFromMarch = mod(month - 3, 12);
  const era = Math.floor(y / 400);
  const inEra = y - era * 400;
  const dayOfYear = Math.floor((153 * monthFromMarch + 2) / 5) + day - 1;
  return (
    era * DAYS_PER_400_YEARS +
    inEra * 365 +
    Math.floor(inEra / 4) -
    Math.floor(inEra / 100) +
    dayOfYear +
    GREGORIAN_MARCH
  );
}

/** The Gregorian date of a day number. */
export function gregorianFromDay(dayNumber: number): CivilDate {
  const fromMarch = Math.floor(dayNumber) - GREGORIAN_MARCH;
  const era = Math.floor(fromMarch / DAYS_PER_400_YEARS);
  const inEra = fromMarch - era * DAYS_PER_400_YEARS;
  const yearOfEra = Math.floor(
    (inEra - Math.floor(inEra / 1460) + Math.floor(inEra / 36_524) - Math.floor(inEra / 146_096)) / 365,
  );
  const dayOfYear = inEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  return civil(era * 400 + yearOfEra, dayOfYear);
}

/** Day number of a Julian date (old style). */
export function dayFromJulian(year: number, month: number, day: number): number {
  const y = month > 2 ? year : year - 1;
  const monthFromMarch = mod(month - 3, 12);
  const cycle = Math.floor(y / 4);
  return (
    cycle * DAYS_PER_4_JULIAN_YEARS +
    (y - cycle * 4) * 365 +
    Math.floor((153 * monthFromMarch + 2) / 5) +
    day -
    1 +
    JULIAN_MARCH
  );
}

/** The Julian date of a day number. */
export function julianFromDay(dayNumber: number): CivilDate {
  const fromMarch = Math.floor(dayNumber) - JULIAN_MARCH;
  const cycle = Math.floor(fromMarch / DAYS_PER_4_JULIAN_YEARS);
  const inCycle = fromMarch - cycle * DAYS_PER_4_JULIAN_YEARS;
  const yearOfCycle = Math.min(3, Math.floor(inCycle / 365));
  return civil(cycle * 4 + yearOfCycle, inCycle - yearOfCycle * 365);
}

/** Turns a year that begins in March and the day within it into an ordinary date. */
function civil(marchYear: number, dayOfYear: number): CivilDate {
  const monthFromMarch = Math.floor((5 * dayOfYear + 2) / 153);
  const month = monthFromMarch < 10 ? monthFromMarch + 3 : monthFromMarch - 9;
  return {
    year: month <= 2 ? marchYear + 1 : marchYear,
    month,
    day: dayOfYear - Math.floor((153 * monthFromMarch + 2) / 5) + 1,
  };
}

export type Calendar = "gregorian" | "julian";

export function isLeapYear(year: number, calendar: Calendar): boolean {
  if (mod(year, 4) !== 0) return false;
  return calendar === "julian" || mod(year, 100) !== 0 || mod(year, 400) === 0;
}

/** 28 to 31. */
export function daysInMonth(year: number, month: number, calendar: Calendar): number {
  if (month === 2) return isLeapYear(year, calendar) ? 29 : 28;
  return [4, 6, 9, 11].includes(month) ? 30 : 31;
}

export function dayFrom(calendar: Calendar, year: number, month: number, day: number): number {
  return calendar === "julian" ? dayFromJulian(year, month, day) : dayFromGregorian(year, month, day);
}

export function civilFrom(calendar: Calendar, dayNumber: number): CivilDate {
  return calendar === "julian" ? julianFromDay(dayNumber) : gregorianFromDay(dayNumber);
}

/** 0 = Monday ... 6 = Sunday. Day 0 (0000-01-01 Gregorian) was a Saturday. */
export function weekday(dayNumber: number): number {
  return mod(Math.floor(dayNumber) + 5, 7);
}
