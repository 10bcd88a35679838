import { civilFrom } from "./calendar";
import type { Instant } from "./instant";
import { readEdtf } from "./read/notation";
import { addSeconds, isTimeAlone, type Moment, type Reading, SECONDS_PER_DAY } from "./when";
import { clock } from "./write-when";

const two = (n: number) => String(n).padStart(2, "0");

/**
 * ISO 8601-2 (EDTF) of what was understood, exactly where it can say it, otherwise the nearest value that encloses it (see
 * `isExact`); undefined where there is nothing to say, as of times alone, which have no day.
 */
export function edtfOf(r: Reading): string | undefined {
  if (isTimeAlone({ readAs: r })) return undefined;
  if (r.kind === "moment") return momentEdtf(r.at);
  if (r.kind !== "span") return undefined;
  const start = r.start ? edgeEdtf(r.start, "start") : r.unknown === "start" ? "" : "..";
  const end = r.end ? edgeEdtf(r.end, "end") : r.unknown === "end" ? "" : "..";
  return `${start}/${end}`;
}

/** Whether the EDTF text of a reading means exactly what was understood, found by reading it back. */
export function isExact(r: Reading): boolean {
  const text = edtfOf(r);
  const back = text === undefined ? null : readEdtf(text);
  if (!back || back.kind !== r.kind) return false;
  if (r.kind === "moment" && back.kind === "moment") return sameMoment(r.at, back.at);
  if (r.kind === "span" && back.kind === "span") return sameMoment(r.start, back.start) && sameMoment(r.end, back.end);
  return false;
}

function sameMoment(a: Moment | null, b: Moment | null): boolean {
  if (!a || !b) return a === b;
  const same = (x: Instant | null, y: Instant | null) => (x && y ? x.day === y.day && x.second === y.second : x === y);
  return (
    same(a.from, b.from) &&
    same(a.to, b.to) &&
    a.about === b.about &&
    a.uncertain === b.uncertain &&
    a.offset === b.offset
  );
}

/** An interval's ends may not be sets: a set's outer edge stands for it. */
function edgeEdtf(m: Moment, side: "start" | "end"): string {
  const text = momentEdtf(m);
  if (!text.startsWith("[")) return text;
  const outer = side === "start" ? (m.from ?? addSeconds(m.to!, -1)) : m.to ? addSeconds(m.to, -1) : m.from!;
  return isoEdge(outer, m) + mark(m);
}

function momentEdtf(m: Moment): string {
  return `${plainEdtf(m)}${m.offset && /T/.test(plainEdtf(m)) ? m.offset : ""}${mark(m)}`;
}

/** ISO 8601-2:2019, 8.4: "?" uncertain, "~" approximate, "%" both. */
function mark(m: Moment): string {
  return m.about && m.uncertain ? "%" : m.about ? "~" : m.uncertain ? "?" : "";
}

function plainEdtf(m: Moment): string {
  const { from, to } = m;
  if (m.wording?.kind === "edtf") return m.wording.text;
  if (!from && to) return `[..${isoEdge(addSeconds(to, -1), m)}]`;
  if (from && !to) return `[${isoEdge(from, m)}..]`;
  if (!from || !to) return "[..]";
  const a = civilFrom("gregorian", from.day);
  const last = addSeconds(to, -1);
  const z = civilFrom("gregorian", last.day);
  const whole = from.second === 0 && last.second === SECONDS_PER_DAY - 1;
  const oneYear = whole && a.month === 1 && a.day === 1 && z.month === 12 && z.day === 31;
  if (m.wording?.kind === "season") {
    const code = { spring: 21, summer: 22, autumn: 23, winter: 24 }[m.wording.season];
    return `${isoYear(m.wording.year)}-${code}`;
  }
  if (oneYear && a.year === z.year) return isoYear(a.year);
  if (m.precision === "decade" && !m.wording && a.year >= 0 && a.year % 10 === 0)
    return `${isoYear(a.year).slice(0, -1)}X`;
  if (m.precision === "century" && !m.wording && a.year >= 0 && a.year % 100 === 0)
    return `${isoYear(a.year).slice(0, -2)}XX`;
  if (oneYear) return `[${isoYear(a.year)}..${isoYear(z.year)}]`;
  // Only a year can have more than four digits: anything finer in such a year is enclosed by its years.
  if (Math.abs(a.year) > 9_999 || Math.abs(z.year) > 9_999)
    return a.year === z.year ? isoYear(a.year) : `[${isoYear(a.year)}..${isoYear(z.year)}]`;
  if (!m.wording)
    switch (m.precision) {
      case "month":
        return `${isoYear(a.year)}-${two(a.month)}`;
      case "day":
        return isoDay(from);
      case "hour":
        return `${isoDay(from)}T${two(Math.floor(from.second / 3600))}`;
      case "minute":
        return `${isoDay(from)}T${clock(from)}`;
      case "second":
        return `${isoDay(from)}T${clock(from)}:${two(from.second % 60)}`;
    }
  if (whole) return `[${isoDay(from)}..${isoDay(last)}]`;
  return `[${isoDay(from)}T${clock(from)}..${isoDay(last)}T${clock(last)}]`;
}

function isoEdge(at: Instant, m: Moment): string {
  if (m.precision === "month") {
    const { year, month, day } = civilFrom("gregorian", at.day);
    const edge = m.from ? day === 1 : civilFrom("gregorian", at.day + 1).day === 1;
    if (edge) return `${isoYear(year)}-${two(month)}`;
  }
  if (m.precision === "day" || m.precision === "month" || m.precision === "season") return isoDay(at);
  if (["hour", "minute", "second"].includes(m.precision)) return `${isoDay(at)}T${clock(at)}`;
  return isoYear(civilFrom("gregorian", at.day).year);
}

function isoDay(at: Instant): string {
  const { year, month, day } = civilFrom("gregorian", at.day);
  return `${isoYear(year)}-${two(month)}-${two(day)}`;
}

/** Four digits, a sign before years below nought, "Y" before more than four digits (ISO 8601-2:2019, 4.3). */
export function isoYear(year: number): string {
  const sign = year < 0 ? "-" : "";
  const digits = String(Math.abs(year)).padStart(4, "0");
  return digits.length > 4 ? `Y${sign}${digits}` : `${sign}${digits}`;
}
