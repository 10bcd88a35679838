import type { Face, Family } from "../../text/families";
import { textWidth, wrap } from "../../text/measure";
import { dayFromGregorian } from "../../time/calendar";
import { isDateless } from "../../time/when";
import type { Instant } from "../../time/instant";
import { type Ground, uAt, type View, xOf } from "../axis/view";
import {
  edgeText,
  largerUnit,
  markText,
  marksWithin,
  NESTED,
  stepDays,
  type TickManner,
  type Unit,
  UNITS,
} from "./tick-units";
import { USUAL_MANNER } from "../../time/write-when";

export interface Tick {
  /** Middle, px along the frame. */
  x: number;
  /** "" for a minor tick. */
  text: string;
  width: number;
}

/** A mark of the author's own choice, with what it says. */
export interface OwnMark {
  at: Instant;
  text: string;
}
export type OwnMarks = { unit: Unit } | { list: OwnMark[] };

export interface TickRow {
  ticks: Tick[];
  /** The second row: the larger unit, x at its left. */
  larger: { x: number; text: string }[];
  /** The unit of the labelled ticks; null where there are none. */
  unit: Unit | null;
}

export const tickFace = (family: Family): Face => `${family}600`;
export const TICK_SIZE = 13;
export const TICK_GAP = 26;
const LEAST_MAJOR = 90;
const LEAST_MAJOR_UPRIGHT = 48;
const LEAST_MINOR = 7;
/** No label is narrower than this with the gap beside it. */
const LEAST_LABEL = 40;
/** Marks this far outside the frame still keep their neighbours within it from being labelled. */
const REACH = 200;
const MOST = 4_000;
/** Of marks so many apart, no two stand in one frame. */
const MOST_STRIDE = 2 ** 44;

const widths = new Map<Family, Map<string, number>>();
function widthOf(text: string, family: Family): number {
  let known = widths.get(family);
  if (!known) widths.set(family, (known = new Map()));
  let w = known.get(text);
  if (w === undefined) {
    if (known.size > 20_000) known.clear();
    w = textWidth(text, tickFace(family), TICK_SIZE);
    known.set(text, w);
  }
  return w;
}

/** Words across an upright ridge are set in lines of at most this, px. */
const ACROSS = 50;
const UPRIGHT_SIZE = 12;
const UPRIGHT_APART = 18;
export const UPRIGHT_LINE = 13;

/** Deep time in short, in each language. */
const SHORT: readonly (readonly [RegExp, string])[] = [
  [/\bbillion years ago\b/, "bn yrs ago"],
  [/\bmillion years ago\b/, "m yrs ago"],
  [/\bMilliarden? Jahren\b/, "Mrd. J."],
  [/\bMillion(?:en)? Jahren\b/, "Mio. J."],
  [/\bmil millones de años\b/, "mil M a"],
  [/\bmillon(?:es)? de años\b/, "M a"],
];

/** The lines of a label across an upright ridge. */
export function uprightLines(text: string, family: Family): string[] {
  const short = SHORT.reduce((t, [long, abbreviated]) => t.replace(long, abbreviated), text);
  return wrap(short, tickFace(family), UPRIGHT_SIZE, ACROSS, 3);
}

/** What a label takes along the ridge, px. */
export function alongRidge(g: Ground, text: string): number {
  return g.upright ? uprightLines(text, g.family).length * UPRIGHT_LINE + 2 : widthOf(text, g.family);
}

/** The time seen in a frame, `reach` px beyond both edges; null where the scale has no time. */
function timeSeen(g: Ground, v: View, reach: number): [Instant, Instant] | null {
  const { axis } = g;
  if (axis.scale === "even" || !axis.from || !axis.to) return null;
  const a = uAt(g, v, -reach);
  const b = uAt(g, v, g.size + reach);
  const from = a.hi + a.lo <= 0 ? axis.from : axis.timeAt(a);
  const to = b.hi + b.lo >= axis.datedLength ? axis.to : axis.timeAt(b);
  return from && to ? [from, to] : null;
}

/**
 * The ticks in a view, none of whose labels meets another. What is labelled depends on the scale alone, never on where the
 * view stands. On the true scale one unit is used throughout, chosen by its widest label; on the balanced one a mark is
 * labelled where it is clear of both its neighbours of its own unit and coarser.
 */
export function makeTicks(g: Ground, v: View, said: TickManner = USUAL_MANNER, own: OwnMarks | null = null): TickRow {
  const manner = { ...said, weekdays: withinWeek(g) };
  const seen = timeSeen(g, v, REACH);
  if (!seen) return { ticks: [], larger: [], unit: null };
  const row = own
    ? ownTicks(g, v, seen, own, manner)
    : g.axis.scale === "true"
      ? trueTicks(g, v, seen, manner)
      : balancedTicks(g, v, seen, manner);
  const ticks = row.ticks.filter((t) => t.x >= -REACH && t.x <= g.size + REACH);
  return { ticks, larger: row.unit ? largerRow(g, v, row.unit, manner) : [], unit: row.unit };
}

/**
 * The ticks without the labels that touch the `taken` stretches, or that the frame's edge or the ridge's end would cut. `ridge`: from
 * where to where it goes, px.
 */
export function clearOf(
  ticks: readonly Tick[],
  taken: readonly [number, number][],
  { size, upright }: Ground,
  ridge: readonly [number, number],
): Tick[] {
  const gap = upright ? 3 : TICK_GAP / 2;
  const [first, last] = [Math.max(4, ridge[0] + 2), Math.min(size - 4, ridge[1] - 2)];
  const free = (t: Tick) =>
    t.x - t.width / 2 >= first &&
    t.x + t.width / 2 <= last &&
    taken.every(([x, y]) => t.x + t.width / 2 + gap <= x || t.x - t.width / 2 - gap >= y);
  return ticks.map((t) => (t.text === "" || free(t) ? t : { x: t.x, text: "", width: 0 }));
}

/** Within a week days are told apart by their names; before 15 October 1582 they are counted in another calendar. */
function withinWeek({ axis: { from, to } }: Ground): boolean {
  return from !== null && to !== null && to.day - from.day <= 8 && from.day >= FIRST_NAMED_DAY;
}
const FIRST_NAMED_DAY = dayFromGregorian(1582, 10, 15);

/** The unit whose widest label, anywhere on the axis, has room. */
function unitFor(g: Ground, v: View, manner: TickManner): number {
  const { from, to } = g.axis;
  let found = 0;
  for (const [i, u] of UNITS.entries()) {
    const px = stepDays(u) * v.scale;
    if (g.upright) {
      if (px < LEAST_MAJOR_UPRIGHT) break;
    } else if (px < LEAST_MAJOR || px < widestOf(u, from!, to!, manner, g.family) + TICK_GAP) break;
    found = i;
  }
  return found;
}

function widestOf(u: Unit, from: Instant, to: Instant, manner: TickManner, family: Family): number {
  if (u.kind !== "years") {
    const half = manner.clock === "12" ? " pm" : "";
    const day = manner.weekdays ? "Wed 00 MMM" : "00 MMM";
    return widthOf(u.kind === "seconds" ? (u.step < 60 ? `00:00:00${half}` : half ? "00:00 pm" : day) : day, family);
  }
  const half: Instant = { day: Math.floor((from.day + to.day) / 2), second: 0 };
  return (
    Math.max(
      ...[from, half, to].map((at) => widthOf(markText(u, { day: at.day + 1, second: 0 }, manner, false), family)),
    ) + 10
  );
}

function trueTicks(g: Ground, v: View, [from, to]: [Instant, Instant], manner: TickManner): Omit<TickRow, "larger"> {
  const at = unitFor(g, v, manner);
  const unit = UNITS[at]!;
  const make = (u: Unit, labelled: boolean): Tick[] =>
    (marksWithin(u, from, to, MOST) ?? []).map((i) => {
      const text = labelled ? markText(u, i, manner, false) : "";
      return { x: xOf(g, v, g.axis.at(i)), text, width: text ? alongRidge(g, text) : 0 };
    });
  const ticks = make(unit, true);
  const finest = UNITS.slice(at + 1).findLast((u) => stepDays(u) * v.scale * 0.9 >= LEAST_MINOR && nests(u, unit));
  if (finest) {
    const majors = ticks.map((t) => t.x);
    let k = 0;
    for (const t of make(finest, false)) {
      while (k < majors.length && majors[k]! < t.x - 1) k++;
      if (!(k < majors.length && Math.abs(majors[k]! - t.x) <= 1)) ticks.push(t);
    }
    ticks.sort((a, b) => a.x - b.x);
  }
  return { ticks, unit };
}

/** Whether every mark of `b` is one of `a` too. */
function nests(a: Unit, b: Unit): boolean {
  if (a.kind === b.kind) return b.step % a.step === 0;
  if (a.kind === "days") return a.step === 1;
  return !(b.kind === "days" && a.kind === "months");
}

interface Mark {
  at: Instant;
  x: number;
  unit: Unit;
  shown: "label" | "tick" | "no";
}

function balancedTicks(
  g: Ground,
  v: View,
  [from, to]: [Instant, Instant],
  manner: TickManner,
): Omit<TickRow, "larger"> {
  const x = (i: Instant) => xOf(g, v, g.axis.at(i));
  let marks: Mark[] = [];
  let finest: Unit | null = null;
  const [left, right] = [x(from), x(to)];
  for (const unit of NESTED) {
    const next: Mark[] = [];
    for (let k = 0; k <= marks.length; k++) {
      const a = marks[k - 1];
      const b = marks[k];
      const room = (b?.x ?? right) - (a?.x ?? left);
      // More marks than that are too close for even the smallest tick.
      if (room >= 2 * LEAST_MINOR)
        for (const at of marksWithin(unit, a?.at ?? from, b?.at ?? to, room / 3) ?? [])
          if (!(a && same(a.at, at)) && !(b && same(b.at, at))) next.push({ at, x: x(at), unit, shown: "no" });
      if (b) next.push(b);
    }
    marks = next;
    const text = (m: Mark) => markText(m.unit, m.at, manner, true);
    for (const [k, m] of marks.entries()) {
      if (m.unit !== unit) continue;
      const a = marks[k - 1];
      const b = marks[k + 1];
      const gaps = [a ? m.x - a.x : Number.POSITIVE_INFINITY, b ? b.x - m.x : Number.POSITIVE_INFINITY];
      if (Math.min(...gaps) < (g.upright ? UPRIGHT_LINE : LEAST_LABEL)) {
        if (Math.min(...gaps) >= LEAST_MINOR) m.shown = "tick";
        continue;
      }
      const w = alongRidge(g, text(m));
      const apart = g.upright ? UPRIGHT_APART : TICK_GAP;
      const clear = (gap: number, o: Mark | undefined) => !o || gap >= (w + alongRidge(g, text(o))) / 2 + apart;
      if (clear(gaps[0]!, a) && clear(gaps[1]!, b)) {
        m.shown = "label";
        if (m.x >= 0 && m.x <= g.size) finest = unit;
      } else if (Math.min(...gaps) >= LEAST_MINOR) m.shown = "tick";
    }
  }
  const ticks = marks
    .filter((m) => m.shown !== "no")
    .map((m): Tick => {
      const text = m.shown === "label" ? markText(m.unit, m.at, manner, true) : "";
      return { x: m.x, text, width: text ? alongRidge(g, text) : 0 };
    });
  return { ticks, unit: finest };
}

const same = (a: Instant, b: Instant) => a.day === b.day && a.second === b.second;

/** The author's marks; where they are too close for their labels, every second, fourth, eighth ... is labelled. */
function ownTicks(
  g: Ground,
  v: View,
  [from, to]: [Instant, Instant],
  own: OwnMarks,
  manner: TickManner,
): Omit<TickRow, "larger"> {
  const listed =
    "list" in own
      ? own.list.map((m) => ({ ...m }))
      : (marksWithin(own.unit, from, to, MOST) ?? []).map((at) => ({
          at,
          text: markText(own.unit, at, manner, g.axis.scale !== "true"),
        }));
  const made = listed.map((m) => ({
    x: xOf(g, v, g.axis.at(m.at)),
    text: m.text,
    width: alongRidge(g, m.text),
    at: m.at,
  }));
  const index = (at: Instant, i: number) =>
    "list" in own ? i : Math.round((at.day + at.second / 86_400) / stepDays(own.unit));
  for (let stride = 1; stride <= 2 * MOST_STRIDE; stride *= 2) {
    const kept = made.filter((m, i) => index(m.at, i) % stride === 0);
    if (
      kept.every(
        (m, i) =>
          i === 0 ||
          m.x - kept[i - 1]!.x >= (m.width + kept[i - 1]!.width) / 2 + (g.upright ? UPRIGHT_APART : TICK_GAP),
      ) ||
      kept.length < 2 ||
      stride > MOST_STRIDE
    ) {
      const labelled = new Set(kept);
      const ticks: Tick[] = [];
      for (const m of made) {
        if (labelled.has(m)) ticks.push({ x: m.x, text: m.text, width: m.width });
        else if (m.x - (ticks.at(-1)?.x ?? Number.NEGATIVE_INFINITY) >= LEAST_MINOR)
          ticks.push({ x: m.x, text: "", width: 0 });
      }
      return { ticks, unit: "unit" in own ? own.unit : null };
    }
  }
  throw new RangeError("marks never came to an end");
}

/** The second row: the larger unit where it begins, and the one under way at the left edge, pushed out by the next. */
function largerRow(g: Ground, v: View, unit: Unit, manner: TickManner): TickRow["larger"] {
  const larger = largerUnit(unit);
  const seen = larger && timeSeen(g, v, 0);
  if (!larger || !seen || isDateless(seen[0].day)) return [];
  const marks = marksWithin(larger, seen[0], seen[1], 200);
  if (!marks) return [];
  const GAP = 14;
  const long = (text: string) => (g.upright ? UPRIGHT_LINE : widthOf(text, g.family));
  const row = marks.map((at) => ({ x: xOf(g, v, g.axis.at(at)) + 4, text: edgeText(larger, at, manner) }));
  const first = edgeText(larger, seen[0], manner);
  if (row[0]?.text !== first) row.unshift({ x: 6, text: first });
  row[0]!.x = Math.max(row[0]!.x, 6);
  const kept: TickRow["larger"] = [];
  for (const r of [...row].reverse()) {
    const next = kept.at(-1);
    const x = Math.min(r.x, (next?.x ?? Number.POSITIVE_INFINITY) - long(r.text) - GAP);
    // Only the one under way may be pushed, as far as the frame's edge does not cut it; another that has no room is left out.
    if (r === row[0] ? x >= 2 : x === r.x && x + long(r.text) <= g.size - 4) kept.push({ ...r, x });
  }
  return kept.reverse();
}
