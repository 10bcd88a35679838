import { dayFromGregorian, daysInMonth } from "../calendar";
import { addSeconds, type Moment, type Reading } from "../when";
import type { Instant } from "../instant";

/**
 * Reads ISO 8601-2:2019 (EDTF) levels 0 and 1, and of level 2 long years with exponent, significant digits, one-of
 * sets and masked digits. Null when the text is none of these. A value whose form cannot be found again from its meaning
 * ("2004-XX", "1950S2") keeps it as `wording`.
 */
export function readEdtf(text: string): Reading | null {
  const slash = text.indexOf("/");
  if (slash < 0) {
    const at = text.startsWith("[") ? readSet(text) : readMoment(text);
    return at ? { kind: "moment", at } : null;
  }
  if (text.indexOf("/", slash + 1) >= 0) return null;
  const [left, right] = [text.slice(0, slash), text.slice(slash + 1)];
  const start = readEnd(left);
  const end = readEnd(right);
  if (start === undefined || end === undefined || (start === null && end === null)) return null;
  if (start?.from && end?.to && instantNumber(start.from) >= instantNumber(end.to)) return null;
  const unknown = left === "" ? "start" : right === "" ? "end" : null;
  return { kind: "span", start, end, ...(unknown ? { unknown } : {}) };
}

const instantNumber = (i: Instant) => i.day * 86_400 + i.second;

/** An interval's end: a moment; null for open (..) or unknown (empty); undefined when it cannot be read. */
function readEnd(text: string): Moment | null | undefined {
  if (text === "" || text === "..") return null;
  return readMoment(text) ?? undefined;
}

const YEAR_BEGIN = (year: number): Instant => ({ day: dayFromGregorian(year, 1, 1), second: 0 });
const plain = (from: Instant, to: Instant, precision: Moment["precision"]): Moment => ({
  from,
  to,
  precision,
  about: false,
  uncertain: false,
});

/** One date with its mark: "?" uncertain, "~" approximate, "%" both (8.4). */
function readMoment(text: string): Moment | null {
  const last = text.at(-1);
  const mark = last === "?" || last === "~" || last === "%" ? last : undefined;
  const body = mark ? text.slice(0, -1) : text;
  const m = readBody(body);
  return m ? { ...m, about: mark === "~" || mark === "%", uncertain: mark === "?" || mark === "%" } : null;
}

function readBody(text: string): Moment | null {
  const at = text.indexOf("T");
  if (at >= 0) {
    const [date, time] = [text.slice(0, at), text.slice(at + 1)];
    const day = readDate(date);
    return day?.precision === "day" ? readTime(day.from!, time) : null;
  }
  return readDate(text);
}

function readTime(day: Instant, text: string): Moment | null {
  const m = /^(\d{2})(?::(\d{2})(?::(\d{2}))?)?(Z|[+-]\d{2}(?::\d{2})?)?$/.exec(text);
  if (!m) return null;
  const [hour, minute, second] = [Number(m[1]), Number(m[2] ?? 0), Number(m[3] ?? 0)];
  if (hour > 23 || minute > 59 || second > 60) return null;
  const from = addSeconds(day, hour * 3_600 + minute * 60 + second);
  const made =
    m[3] !== undefined
      ? plain(from, addSeconds(from, 1), "second")
      : m[2] !== undefined
        ? plain(from, addSeconds(from, 60), "minute")
        : plain(from, addSeconds(from, 3_600), "hour");
  return m[4] ? { ...made, offset: m[4] } : made;
}

function readDate(text: string): Moment | null {
  if (/^\d{4}$/.test(text)) return readDigits(Number(text));
  let m: RegExpExecArray | null;
  // Long years: Y17101, Y-17E7, Y3388E2S3 (4.4.1, 8.3).
  if ((m = /^Y(-?)(\d+)(?:E(\d+))?(?:S(\d+))?$/.exec(text))) {
    const year = Number(m[2]) * 10 ** Number(m[3] ?? 0) * (m[1] ? -1 : 1);
    if (!Number.isSafeInteger(year) || Math.abs(year) > 1e12) return null;
    if (!m[3] && m[2]!.length <= 4) return null;
    if (m[4]) return significant(year, Number(m[4]), text);
    const at = plain(YEAR_BEGIN(year), YEAR_BEGIN(year + 1), "year");
    return m[3] ? formed(at, text) : at;
  }
  if ((m = /^(-?\d{4})S(\d+)$/.exec(text))) return significant(Number(m[1]), Number(m[2]), text);
  if ((m = /^(-?)([\dX]{4})(?:-([\dX]{2})(?:-([\dX]{2}))?)?$/.exec(text))) {
    if (m[1] && m[2] === "0000") return null;
    return text.includes("X")
      ? readMasked(text, m[1]!, m[2]!, m[3], m[4])
      : readDigits(Number(`${m[1]}${m[2]}`), m[3], m[4]);
  }
  return null;
}

const SEASONS = { 21: "spring", 22: "summer", 23: "autumn", 24: "winter" } as const;

function readDigits(year: number, monthText?: string, dayText?: string): Moment | null {
  if (monthText === undefined) return plain(YEAR_BEGIN(year), YEAR_BEGIN(year + 1), "year");
  const month = Number(monthText);
  if (month >= 21 && month <= 24) {
    if (dayText !== undefined) return null;
    const first = [3, 6, 9, 12][month - 21]!;
    const at = (n: number): Instant => ({
      day: dayFromGregorian(n > 12 ? year + 1 : year, n > 12 ? n - 12 : n, 1),
      second: 0,
    });
    return {
      ...plain(at(first), at(first + 3), "season"),
      wording: { kind: "season", season: SEASONS[month as 21], year },
    };
  }
  if (month < 1 || month > 12) return null;
  if (dayText === undefined)
    return plain(
      { day: dayFromGregorian(year, month, 1), second: 0 },
      { day: dayFromGregorian(month === 12 ? year + 1 : year, month === 12 ? 1 : month + 1, 1), second: 0 },
      "month",
    );
  const day = Number(dayText);
  if (day < 1 || day > daysInMonth(year, month, "gregorian")) return null;
  const n = dayFromGregorian(year, month, day);
  return plain({ day: n, second: 0 }, { day: n + 1, second: 0 }, "day");
}

/** Masked digits (8.2): the earliest and the latest date the mask allows. */
function readMasked(text: string, sign: string, yearText: string, monthText?: string, dayText?: string): Moment | null {
  const low = Number(yearText.replaceAll("X", "0"));
  const high = Number(yearText.replaceAll("X", "9"));
  const [y0, y1] = sign ? [-high, -low] : [low, high];
  if (monthText === undefined) {
    const at = plain(YEAR_BEGIN(y0), YEAR_BEGIN(y1 + 1), "stretch");
    if (/^\d{3}X$/.test(yearText) && !sign) return { ...at, precision: "decade" };
    if (/^\d{2}XX$/.test(yearText) && !sign) return { ...at, precision: "century" };
    return formed(at, text);
  }
  const months = fitting(monthText, 1, 12);
  if (months.length === 0) return null;
  if (dayText === undefined) {
    const last = months.at(-1)!;
    return formed(
      plain(
        { day: dayFromGregorian(y0, months[0]!, 1), second: 0 },
        { day: dayFromGregorian(last === 12 ? y1 + 1 : y1, last === 12 ? 1 : last + 1, 1), second: 0 },
        "stretch",
      ),
      text,
    );
  }
  // The earliest and the latest day that exist: 29 February only in leap years.
  const first = firstDay(y0, y1, months, dayText, 1);
  const last = firstDay(y0, y1, months, dayText, -1);
  return first === null || last === null
    ? null
    : formed(plain({ day: first, second: 0 }, { day: last + 1, second: 0 }, "stretch"), text);
}

function firstDay(y0: number, y1: number, months: readonly number[], dayText: string, way: 1 | -1): number | null {
  // Eight years hold a leap year, whatever the century.
  for (let n = 0; n <= Math.min(8, y1 - y0); n++) {
    const year = way > 0 ? y0 + n : y1 - n;
    for (const month of way > 0 ? months : [...months].reverse()) {
      const days = fitting(dayText, 1, daysInMonth(year, month, "gregorian"));
      if (days.length > 0) return dayFromGregorian(year, month, way > 0 ? days[0]! : days.at(-1)!);
    }
  }
  return null;
}

/** The numbers within [from, to] that a two-digit mask allows. */
function fitting(mask: string, from: number, to: number): number[] {
  const found: number[] = [];
  for (let n = from; n <= to; n++) {
    const text = String(n).padStart(2, "0");
    if ((mask[0] === "X" || mask[0] === text[0]) && (mask[1] === "X" || mask[1] === text[1])) found.push(n);
  }
  return found;
}

/** A year known to so many digits (8.3): 1950S2 is some year from 1900 to 1999. */
function significant(year: number, digits: number, text: string): Moment | null {
  const length = String(Math.abs(year)).length;
  if (digits < 1 || digits > length) return null;
  const unit = 10 ** (length - digits);
  const low = Math.floor(Math.abs(year) / unit) * unit;
  const [a, b] = year < 0 ? [-(low + unit - 1), -low] : [low, low + unit - 1];
  return formed(plain(YEAR_BEGIN(a), YEAR_BEGIN(b + 1), "digits"), text);
}

/** One of a set (8.6): [1667,1668,1670..1672], [..1760-12-03], [1760-12..]. */
function readSet(text: string): Moment | null {
  const mark = /^(\[.*\])([?~%]?)$/.exec(text);
  if (!mark) return null;
  const members = mark[1]!.slice(1, -1).split(",");
  let from: Instant | null = { day: Number.POSITIVE_INFINITY, second: 0 };
  let to: Instant | null = { day: Number.NEGATIVE_INFINITY, second: 0 };
  let precision: Moment["precision"] = "stretch";
  for (const member of members) {
    const range = member.trim().split("..");
    if (range.length > 2) return null;
    const first = range[0] === "" && range.length === 2 ? null : readBody(range[0]!);
    const last = range.length === 1 ? first : range[1] === "" ? null : readBody(range[1]!);
    if ((range[0] !== "" || range.length === 1) && !first) return null;
    if (range.length === 2 && range[1] !== "" && !last) return null;
    if (!first && !last) return null;
    precision = (first ?? last)!.precision;
    if (!first) from = null;
    else if (from && instantNumber(first.from!) < instantNumber(from)) from = first.from;
    if (!last) to = null;
    else if (to && instantNumber(last.to!) > instantNumber(to)) to = last.to;
  }
  if (from && to && instantNumber(from) >= instantNumber(to)) return null;
  if (from === null && to === null) return null;
  const both = { about: mark[2] === "~" || mark[2] === "%", uncertain: mark[2] === "?" || mark[2] === "%" };
  if (members.length === 1 && members[0]!.includes("..")) {
    if (from === null) return { from, to, precision, ...both, wording: { kind: "before" } };
    if (to === null) return { from, to, precision, ...both, wording: { kind: "after" } };
    return { from, to, precision: "stretch", ...both, wording: { kind: "between" } };
  }
  return { from, to, precision: "stretch", ...both, wording: { kind: "edtf", text: mark[1]! } };
}

/** Keeps the form of a value that its meaning alone does not tell. */
function formed(m: Moment, text: string): Moment {
  return { ...m, wording: { kind: "edtf", text } };
}
