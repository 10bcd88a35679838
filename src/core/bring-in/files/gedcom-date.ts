import { dayFromGregorian, gregorianFromDay } from "../../time/calendar";

const MONTHS = ["JAN", "FEB", "MAR", "APR", "MAY", "JUN", "JUL", "AUG", "SEP", "OCT", "NOV", "DEC"];
const FRENCH = ["VEND", "BRUM", "FRIM", "NIVO", "PLUV", "VENT", "GERM", "FLOR", "PRAI", "MESS", "THER", "FRUC", "COMP"];
const HEBREW = ["TSH", "CSH", "KSL", "TVT", "SHV", "ADR", "ADS", "NSN", "IYR", "SVN", "TMZ", "AAV", "ELL"];
/** 22 September 1792, the first day of the French Republican calendar. */
const REPUBLIC = dayFromGregorian(1792, 9, 22);
/** 7 October 3761 BC (Julian), the first day of the Hebrew one. */
const HEBREW_EPOCH = dayFromGregorian(-3760, 9, 7);

/**
 * A date of a family file (FamilySearch GEDCOM 7.0, 2.4; 5.5.1, DATE_VALUE) in words that are read here: "ABT 1840" as "about 1840",
 * "BET 1840 AND 1850" as "between 1840 and 1850". Dates of the Julian calendar say so, French Republican and Hebrew ones become
 * Gregorian. What is no date of the standard comes back as it is, for somebody to mend.
 */
export function gedcomDate(value: string): string {
  const text = value.trim().replaceAll(/\s+/g, " ");
  const rest = (n: number) => text.slice(n).trim();
  const word = /^[A-Z]+/.exec(text.toUpperCase())?.[0] ?? "";
  switch (word) {
    case "ABT":
    case "EST":
    case "CAL":
      return `about ${one(rest(3))}`;
    case "BEF":
      return `before ${one(rest(3))}`;
    case "AFT":
      return `after ${one(rest(3))}`;
    case "TO":
      return `until ${one(rest(2))}`;
    case "BET": {
      const at = /^BET (.+) AND (.+)$/i.exec(text);
      return at ? `between ${one(at[1]!)} and ${one(at[2]!)}` : text;
    }
    case "FROM": {
      const at = /^FROM (.+?) TO (.+)$/i.exec(text);
      return at ? `${one(at[1]!)} to ${one(at[2]!)}` : `from ${one(rest(4))}`;
    }
    case "INT":
      return one(rest(3).replace(/\(.*\)$/, ""));
    default:
      return one(text);
  }
}

/** A date without a word before it. */
function one(text: string): string {
  const named = /^(?:@#D([A-Z ]+)@|(GREGORIAN|JULIAN|FRENCH_R|HEBREW)\b)\s*/i.exec(text.trim());
  const calendar = (named?.[1] ?? named?.[2] ?? "GREGORIAN").toUpperCase().replace(" ", "_");
  const rest = text.trim().slice(named?.[0].length ?? 0);
  const at = /^(?:(?:(\d{1,2}) )?([A-Z]{3,4}) )?(\d{1,4})(?:\/(\d{2}))?(?: (B\.?C\.?(?:E\.?)?))?$/i.exec(rest);
  if (!at) return rest;
  const [, dom, name = "", digits, second, era] = at;
  const month = name.toUpperCase();
  const year = Number(digits);
  if (calendar === "FRENCH_R" || calendar === "HEBREW") {
    const names = calendar === "HEBREW" ? HEBREW : FRENCH;
    const n = names.indexOf(month);
    if (month && n < 0) return rest;
    return foreign(calendar, year, month ? n + 1 : null, dom ? Number(dom) : null);
  }
  if (month && !MONTHS.includes(month)) return rest;
  // Between January and March the year was counted in two ways; the later one is the one that is counted today.
  const counted = second ? laterOf(year, second) : year;
  const written = [
    dom,
    month && month[0] + month.slice(1).toLowerCase(),
    counted < 100 && !era ? `AD ${counted}` : counted,
  ];
  const date = `${written.filter(Boolean).join(" ")}${era ? " BC" : ""}`;
  return calendar === "JULIAN" ? `${date} (Julian)` : date;
}

/** 1701/02 is 1702, 1699/00 is 1700; where the second year is not the next one, the first counts. */
function laterOf(year: number, second: string): number {
  const next = year + 1;
  return next % 100 === Number(second) ? next : year;
}

function foreign(calendar: "FRENCH_R" | "HEBREW", year: number, month: number | null, dom: number | null): string {
  const dayAt = calendar === "HEBREW" ? hebrewDay : republicanDay;
  const first = dayAt(year, month ?? 1, dom ?? 1);
  if (dom) return written(first);
  const last =
    (month === null ? dayAt(year + 1, 1, 1) : month === 13 ? dayAt(year + 1, 1, 1) : dayAt(year, month + 1, 1)) - 1;
  return `${written(first)} to ${written(Math.max(first, last))}`;
}

function written(day: number): string {
  const { year, month, day: dom } = gregorianFromDay(day);
  const name = MONTHS[month - 1]!;
  return `${dom} ${name[0]}${name.slice(1).toLowerCase()} ${year > 0 ? year : `${1 - year} BC`}`;
}

/** Years of 12 months of 30 days and 5 or 6 further ones; those of the years 3, 7 and 11 had 6, as the Republic set them. */
function republicanDay(year: number, month: number, dom: number): number {
  const leaps = Math.floor(year / 4);
  return REPUBLIC + (year - 1) * 365 + leaps + (month - 1) * 30 + dom - 1;
}

/** Day of a Hebrew date. Source: Dershowitz and Reingold, "Calendrical Calculations", ch. 8. Months from Tishri; 6 and 7 are the Adars. */
function hebrewDay(year: number, month: number, dom: number): number {
  const leap = (7 * year + 1) % 19 < 7;
  const length = newYear(year + 1) - newYear(year);
  const months = [
    30,
    length % 10 === 5 ? 30 : 29,
    length % 10 === 3 ? 29 : 30,
    29,
    30,
    leap ? 30 : 0,
    29,
    30,
    29,
    30,
    29,
    30,
    29,
  ];
  // In a year with one Adar it is the second of the two that there are.
  const at = !leap && month === 6 ? 7 : month;
  return newYear(year) + months.slice(0, at - 1).reduce((a, b) => a + b, 0) + dom - 1;
}

function newYear(year: number): number {
  return HEBREW_EPOCH + elapsedDays(year) + correction(year);
}

function elapsedDays(year: number): number {
  const monthsBefore = Math.floor((235 * year - 234) / 19);
  const parts = 12_084 + 13_753 * monthsBefore;
  const day = 29 * monthsBefore + Math.floor(parts / 25_920);
  return (3 * (day + 1)) % 7 < 3 ? day + 1 : day;
}

/** So that no year is longer or shorter than there may be. */
function correction(year: number): number {
  const [before, now, next] = [elapsedDays(year - 1), elapsedDays(year), elapsedDays(year + 1)];
  if (next - now === 356) return 2;
  return now - before === 382 ? 1 : 0;
}
