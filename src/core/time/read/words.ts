import type { AgoUnit } from "../when";

/** The parts of one date as found in a text, before they are completed from the other end of a range. */
export interface Fields {
  about: boolean;
  uncertain: boolean;
  julian: boolean;
  part?: "early" | "mid" | "late";
  bound?: "before" | "after";
  /** As typed, without a sign; see era. */
  year?: number;
  yearDigits?: number;
  era?: "bc" | "ad";
  /** An astronomical year (EDTF, ISO), which may be 0 or negative and needs no era. */
  astronomical?: boolean;
  month?: number;
  day?: number;
  /** Two numbers whose order nobody said: 03/04/1872. */
  twoNumbers?: [number, number];
  season?: "spring" | "summer" | "autumn" | "winter";
  /** Everything from `year` on for this many years: 10 for the 1840s. */
  years?: 10 | 100;
  century?: number;
  millennium?: number;
  /** "am" or "pm" as written, for a range that says it once. */
  half?: "a" | "p";
  /** A UTC offset as written. */
  offset?: string;
  hour?: number;
  minute?: number;
  second?: number;
  ago?: { amount: string; unit: AgoUnit };
}

const MONTH_NAMES: Record<string, number> = Object.fromEntries(
  (
    [
      ["january", "jan"],
      ["february", "feb"],
      ["march", "mar"],
      ["april", "apr"],
      ["may"],
      ["june", "jun"],
      ["july", "jul"],
      ["august", "aug"],
      ["september", "sept", "sep"],
      ["october", "oct"],
      ["november", "nov"],
      ["december", "dec"],
    ] as const
  ).flatMap((names, i) => names.map((n) => [n, i + 1])),
);

const MONTH = `(${Object.keys(MONTH_NAMES)
  .sort((a, b) => b.length - a.length)
  .join("|")})\\.?`;
const DAY = "(\\d{1,2})(?:st|nd|rd|th)?";
const ERA = "(?:bce|bc|b\\.c\\.e\\.|b\\.c\\.|ce|ad|a\\.d\\.|c\\.e\\.)";
const YEAR = `(?:(?:ad|a\\.d\\.|ce)\\s*)?(?:\\d{1,3}(?:,\\d{3})+|\\d{1,9})(?:\\s*${ERA})?|-\\d{1,9}`;
const WEEKDAY = /^(?:on )?(?:mon|tues?|wed(?:nes)?|thu(?:rs)?|fri|sat(?:ur)?|sun)(?:day)?\.?,?\s+/;

const only = (source: string) => new RegExp(`^(?:${source})$`);
const RE = {
  dayMonthYear: only(`${DAY}(?: of)? ${MONTH},? ?(${YEAR})`),
  monthDayYear: only(`${MONTH} ${DAY},? (${YEAR})`),
  dayMonth: only(`${DAY}(?: of)? ${MONTH}`),
  monthDay: only(`${MONTH} ${DAY}`),
  monthYear: only(`${MONTH},? (?:of )?(${YEAR})`),
  month: only(MONTH),
  numbers: /^(\d{1,2})([./-])(\d{1,2})\2((?:ad\s*)?\d{1,9}(?:\s*(?:bce?|ad|ce))?)$/,
  iso: /^([+-]?\d{4,})-(\d{2})-(\d{2})$/,
  isoMonth: /^(\d{4})-(\d{2})$/,
  yearFirst: /^(\d{4})[./](\d{1,2})[./](\d{1,2})$/,
  season: only(`(spring|summer|autumn|fall|winter),?(?: of)? (${YEAR})`),
  century: only(`(?:the )?(\\d{1,2})(?:st|nd|rd|th)[ -]?(?:century|cent\\.?|c\\.?)(?:\\s*(${ERA}))?`),
  millennium: only(`(?:the )?(\\d{1,2})(?:st|nd|rd|th)[ -]?millennium(?:\\s*(${ERA}))?`),
  years: only(`(?:the )?(\\d{1,7}0)'?s(?:\\s*(${ERA}))?`),
  year: only(`(?:the )?(?:year )?(${YEAR})`),
  time: /^(?:at )?(\d{1,2})(?:[:.](\d{2}))?(?::(\d{2}))?\s*(am|pm|a\.m\.|p\.m\.|h)?$/,
  ago: /^(\d+(?:,\d{3})*(?:\.\d+)?) ?(thousand|million|billion|ka|kya|ma|mya|ga|gya|bya|k|m|bn)?\.? ?(?:(?:years?|yrs?) )?(ago|bp|b\.p\.|before present)?$/,
} as const;

/**
 * Finds the parts of a single date in a normalised lower-case text ("14 nov 1872, 22:10"); null when there
 * are none. Nothing is checked against the calendar here.
 */
export function readFields(text: string): Fields | null {
  const f: Fields = { about: false, uncertain: false, julian: false };
  let rest = text.trim();
  // Digits and signs alone: none of the words below can stand there.
  if (!/[a-z~?(]/.test(rest)) return rest === "" ? null : readDateAndTime(rest, f);
  const take = (re: RegExp, then: () => void) => {
    const next = rest.replace(re, "");
    if (next !== rest) {
      rest = next.trim();
      then();
    }
  };
  if (/[)nes.]$/.test(rest)) take(/\s*\(?(?:julian|old style|o\.?s\.?)\)?$/, () => (f.julian = true));
  if (rest.endsWith(")")) take(/\s*\((?:gregorian|new style|n\.?s\.?)\)$/, () => {});
  take(/^(?:probably|perhaps|possibly|maybe)\s+/, () => (f.uncertain = true));
  if (rest.includes("?")) take(/\s*\(?\?\)?$/, () => (f.uncertain = true));
  take(
    /^(?:c(?:irc)?a\.?\s*(?=\d)|c\.?\s*(?=\d)|ca\.?\s+|circa\s+|about\s+|around\s+|approx(?:\.|imately)?\s+|roughly\s+|some\s+|~\s*)/,
    () => (f.about = true),
  );
  take(/(?:~|\s*\((?:about|circa|approx\.?)\))$/, () => (f.about = true));
  take(/^(?:in|on|during|at)\s+(?:the\s+)?(?=\S)/, () => {});
  take(/^(?:before|by|pre-?)\s+/, () => (f.bound = "before"));
  take(/^(?:after|post-?)\s+/, () => (f.bound = "after"));
  take(/^(?:about|circa|c\.)\s*(?=\d)/, () => (f.about = true));
  take(/^(?:the\s+)?(early|mid|late)[\s-]+(?:the\s+)?/, () => {
    f.part = /early/.test(text) ? "early" : /late/.test(text) ? "late" : "mid";
  });
  take(WEEKDAY, () => {});
  if (rest === "") return null;
  return readDateAndTime(rest, f);
}

function readDateAndTime(rest: string, f: Fields): Fields | null {
  if (readDate(rest, f)) return f;
  if (readTime(rest, f)) return f;
  // A date, then a time; or a time, then a date. Every gap is tried: texts are short.
  for (const match of rest.matchAll(/(?:,|t(?=\d)|\s)\s*(?:at |on )?/g)) {
    const left = rest.slice(0, match.index).trim().replace(/,$/, "");
    const right = rest.slice(match.index + match[0].length).trim();
    if (!left || !right) continue;
    const dateFirst = { ...f };
    if (readDate(left, dateFirst) && readTime(right, dateFirst, true)) return dateFirst;
    const timeFirst = { ...f };
    if (readTime(left, timeFirst, true) && readDate(right.replace(WEEKDAY, ""), timeFirst)) return timeFirst;
  }
  return null;
}

function readDate(text: string, f: Fields): boolean {
  const words = /[a-z]/.test(text);
  return (words && readWords(text, f)) || readNumbers(text, f);
}

/** Dates of digits and signs, and bare years with their era. */
function readNumbers(text: string, f: Fields): boolean {
  let m: RegExpMatchArray | null;
  if ((m = text.match(RE.iso))) {
    f.year = Number(m[1]);
    f.astronomical = true;
    f.month = Number(m[2]);
    f.day = Number(m[3]);
    return true;
  }
  if ((m = text.match(RE.isoMonth)) && Number(m[2]) >= 1 && Number(m[2]) <= 12) {
    f.year = Number(m[1]);
    f.astronomical = true;
    f.month = Number(m[2]);
    return true;
  }
  if ((m = text.match(RE.yearFirst))) {
    f.year = Number(m[1]);
    f.yearDigits = 4;
    f.month = Number(m[2]);
    f.day = Number(m[3]);
    return true;
  }
  if ((m = text.match(RE.numbers))) {
    setYear(f, m[4]!);
    if (m[2] === ".") {
      f.day = Number(m[1]);
      f.month = Number(m[3]);
    } else f.twoNumbers = [Number(m[1]), Number(m[3])];
    return true;
  }
  if ((m = text.match(RE.year))) {
    setYear(f, m[1]!);
    return true;
  }
  return false;
}

/** Dates with a name in them: of a month, a season, a unit. */
function readWords(text: string, f: Fields): boolean {
  let m: RegExpMatchArray | null;
  if ((m = text.match(RE.dayMonthYear))) {
    f.day = Number(m[1]);
    f.month = MONTH_NAMES[m[2]!]!;
    setYear(f, m[3]!);
    return true;
  }
  if ((m = text.match(RE.monthDayYear))) {
    f.month = MONTH_NAMES[m[1]!]!;
    f.day = Number(m[2]);
    setYear(f, m[3]!);
    return true;
  }
  if ((m = text.match(RE.dayMonth)) || (m = text.match(RE.monthDay))) {
    const [a, b] = [m[1]!, m[2]!];
    f.day = Number(/\d/.test(a) ? a : b);
    f.month = MONTH_NAMES[/\d/.test(a) ? b : a]!;
    if (f.day <= 31) return true;
    // "Nov 72" is a month and a year, not a day.
    f.yearDigits = 2;
    f.year = f.day;
    delete f.day;
    return true;
  }
  if ((m = text.match(RE.monthYear))) {
    f.month = MONTH_NAMES[m[1]!]!;
    setYear(f, m[2]!);
    return true;
  }
  if ((m = text.match(RE.month))) {
    f.month = MONTH_NAMES[m[1]!]!;
    return true;
  }
  if ((m = text.match(RE.season))) {
    f.season = m[1] === "fall" ? "autumn" : (m[1] as NonNullable<Fields["season"]>);
    setYear(f, m[2]!);
    return true;
  }
  if ((m = text.match(RE.century))) {
    f.century = Number(m[1]);
    if (m[2]) f.era = eraOf(m[2]);
    return true;
  }
  if ((m = text.match(RE.millennium))) {
    f.millennium = Number(m[1]);
    if (m[2]) f.era = eraOf(m[2]);
    return true;
  }
  if ((m = text.match(RE.years))) {
    f.year = Number(m[1]);
    f.yearDigits = m[1]!.length;
    f.years = m[1]!.endsWith("00") ? 100 : 10;
    if (m[2]) f.era = eraOf(m[2]);
    return true;
  }
  if ((m = text.match(RE.ago)) && (m[3] || /^(?:ka|kya|ma|mya|ga|gya|bya)$/.test(m[2] ?? ""))) {
    const unit = m[3]?.startsWith("b") ? "bp" : agoUnit(m[2] ?? "");
    f.ago = { amount: m[1]!.replaceAll(",", ""), unit };
    return unit !== "bp" || !m[2];
  }
  return false;
}

function agoUnit(word: string): AgoUnit {
  if (/^(?:thousand|k|ka|kya)$/.test(word)) return "thousand";
  if (/^(?:million|m|ma|mya)$/.test(word)) return "million";
  if (/^(?:billion|bn|ga|gya|bya)$/.test(word)) return "billion";
  return "years";
}

/** A lone number is a time only when something says so: a colon, am or pm. */
function readTime(text: string, f: Fields, besideDate = false): boolean {
  if (text === "noon" || text === "midnight") {
    f.hour = text === "noon" ? 12 : 0;
    f.minute = 0;
    return true;
  }
  const zoned = text.match(/^(.*\d)\s*(z|utc|[+-]\d{2}:\d{2})$/);
  if (zoned && /[:.]/.test(zoned[1]!)) {
    if (!readTime(zoned[1]!, f, besideDate)) return false;
    f.offset = zoned[2] === "utc" ? "Z" : zoned[2]!.toUpperCase();
    return true;
  }
  const m = text.match(RE.time);
  if (!m || !(m[2] || m[4]) || (m[2] && /^\d{1,2}\.\d/.test(text.replace("at ", "")) && !m[4] && !besideDate))
    return false;
  let hour = Number(m[1]);
  const half = m[4]?.[0];
  if (half === "a" || half === "p") f.half = half;
  if (half === "a" || half === "p") {
    if (hour < 1 || hour > 12)
      hour = 99; // no such time; said by the checker
    else hour = (hour % 12) + (half === "p" ? 12 : 0);
  }
  f.hour = hour;
  if (m[2]) f.minute = Number(m[2]);
  if (m[3]) f.second = Number(m[3]);
  return true;
}

function setYear(f: Fields, text: string): void {
  const digits = text.replace(/[^\d]/g, "");
  f.year = Number(digits);
  f.yearDigits = digits.length;
  if (text.startsWith("-")) {
    // Four digits after the sign are astronomical (ISO 8601); fewer are years BC.
    if (f.year === 0) return; // there is no year 0, with or without a sign
    if (digits.length === 4) {
      f.year = -f.year;
      f.astronomical = true;
    } else f.era = "bc";
    return;
  }
  const era = text.match(/[a-z]/i);
  if (era) f.era = eraOf(text.replace(/[\d,\s]/g, ""));
}

function eraOf(text: string): "bc" | "ad" {
  return text.startsWith("b") ? "bc" : "ad";
}
