import { type Language, language } from "../language/spoken";
import { tongueOf } from "./tongues/tongues";
import type { LengthUnit, Scale } from "./tongues/tongue";
import { extent, inDays, type Moment, type When } from "./when";

const YEAR = 365.2425;

/**
 * How much later b begins than a began (or ended, where a is a span that was over), in words and honest about
 * doubt: "27 years", "23 to 32 years", "3 hours". Null when either has no date, or b does not come later.
 */
export function gapText(a: When, b: When, spoken = language()): string | null {
  const from = edge(a, "end");
  const to = edge(b, "start");
  if (!from || !to) return null;
  const [aFrom, aTo] = bounds(from, a.margin);
  const [bFrom, bTo] = bounds(to, b.margin);
  if (![aFrom, aTo, bFrom, bTo].every(Number.isFinite)) return null;
  const least = bFrom - aTo;
  const most = bTo - aFrom;
  if (most <= 0 || bFrom + bTo <= aFrom + aTo) return null;
  return roughly([from, to], rangeText(Math.max(0, least), most, sameYearPrecision(from, to), spoken), spoken);
}

/**
 * How long a span lasts, in words: "12 years" from 1840 to 1852, "4 days" from the 2nd to the 5th, both counted, "3 hours"
 * from ten to one. Null when an end is open or unknown.
 */
export function lengthText(when: When, spoken = language()): string | null {
  const r = when.readAs;
  if (r.kind !== "span" || !r.start || !r.end) return null;
  const [[from, early], [late, to]] = [bounds(r.start, when.margin), bounds(r.end, when.margin)];
  if (![from, early, late, to].every(Number.isFinite)) return null;
  const alike = r.start.precision === r.end.precision && !r.start.about && !r.end.about;
  if (alike && (r.start.precision === "day" || r.start.precision === "month")) return wordsFor(to - from, spoken);
  if (late + to <= from + early) return null;
  return roughly(
    [r.start, r.end],
    rangeText(Math.max(0, late - early), to - from, alike && sameYearPrecision(r.start, r.end), spoken),
    spoken,
  );
}

/** One figure between dates that are only about right is itself about right. */
function roughly(of: readonly Moment[], { text, one }: Length, spoken: Language): string {
  const rough = of.some((m) => m.about || m.precision === "digits");
  return rough && one ? tongueOf(spoken).about(text) : text;
}

/** A length in words, and whether it is one figure: not a range of them. */
interface Length {
  text: string;
  one: boolean;
}

/** Two dates known to the year are a whole number of years apart to any reader: 1845 and 1872, 27 years. */
function sameYearPrecision(a: Moment, b: Moment): boolean {
  return !a.about && !b.about && a.precision === b.precision;
}

function edge(when: When, side: "start" | "end"): Moment | null {
  const r = when.readAs;
  if (r.kind === "moment") return r.at;
  if (r.kind === "span") return side === "end" ? r.end : (r.start ?? r.end);
  return null;
}

function bounds(m: Moment, margin: When["margin"]): [number, number] {
  const e = extent(m, margin);
  return [e.from ? inDays(e.from) : Number.NaN, e.to ? inDays(e.to) : Number.NaN];
}

function rangeText(least: number, most: number, alike: boolean, spoken: Language): Length {
  const one = (days: number): Length => ({ text: wordsFor(days, spoken), one: true });
  if (alike) return one((least + most) / 2);
  const mid = (least + most) / 2;
  const spread = most - least;
  if (spread <= Math.max(mid * 0.02, 1.01) || spread / unitFor(mid).days < 1) return one(mid);
  const unit = unitFor(most);
  // From some year of the 1840s (1849 at the latest) to 1872: whole years are counted from name to name.
  const named = unit.name === "year" ? 1 : 0;
  const [lo, hi] = [Math.floor(least / unit.days + 0.01) + named, Math.ceil(most / unit.days - 0.01) - named];
  if (hi - lo <= 1 && lo > 0) return one(mid);
  const tongue = tongueOf(spoken);
  const longest = count(hi, unit.name, spoken);
  return { text: lo === 0 ? tongue.upTo(longest) : tongue.range(number(lo, spoken), longest), one: false };
}

const UNITS = [
  { name: "minute", days: 1 / 1440, from: 0 },
  { name: "hour", days: 1 / 24, from: 2 / 24 },
  { name: "day", days: 1, from: 2 },
  { name: "week", days: 7, from: 21 },
  { name: "month", days: YEAR / 12, from: 75 },
  { name: "year", days: YEAR, from: 2 * YEAR },
] as const;

function unitFor(days: number): (typeof UNITS)[number] {
  return UNITS.filter((u) => days >= u.from).at(-1) ?? UNITS[0];
}

/** A length of time in words, from days: "2 hours", "27 years". */
export function wordsFor(days: number, spoken = language()): string {
  const unit = unitFor(days);
  return count(Math.max(1, Math.round(days / unit.days)), unit.name, spoken);
}

function count(n: number, unit: LengthUnit, spoken: Language): string {
  const [amount, scale] = scaled(n, spoken);
  return tongueOf(spoken).length(amount, scale, unit, n === 1);
}

function number(n: number, spoken: Language): string {
  const [amount, scale] = scaled(n, spoken);
  return tongueOf(spoken).scaled(amount, scale);
}

/** A number as it is said: "23", "12,000", and beyond a million two digits and what they count. */
function scaled(n: number, spoken: Language): [amount: string, scale: Scale] {
  const tongue = tongueOf(spoken);
  const short = (m: number) => tongue.decimal(String(Number(m.toPrecision(2))));
  if (n >= 1e9) return [short(n / 1e9), "billion"];
  if (n >= 1e6) return [short(n / 1e6), "million"];
  return [tongue.number(n), ""];
}
