import type { When } from "../../time/when";
import type { Scale } from "../../timeline/fields";
import { makeAxis } from "../axis/axis";
import { plainAt, positions } from "../axis/positions";
import { type ChartData, OUTER_END, OUTER_START, SPAN_KIND } from "../data/chart-data";
import { usedHeight } from "../frame/lanes";
import { type Frame, type Laid, layoutChart, uprightLength } from "../frame/layout";

/** "auto": as its author set it, else by itself where there is too little room; "all" and "none" whatever was set. */
export type CloseUpMode = "auto" | "all" | "none";

/** Something with parts, opened in more room: a wider roof over the chart with a ridge of its own. */
export interface CloseUp {
  /** The index among all events of what is opened, and those of its parts in the order of `laid`. */
  whole: number;
  at: Int32Array;
  /** 1 over the chart, 2 over such a close-up, 3 over one of those. */
  level: number;
  /** The index in the list of the close-up it belongs to; -1: the chart itself. */
  parent: number;
  laid: Laid;
  /** Its box in the frame, px; its ridge's own frame begins HEAD below the top. */
  x: number;
  y: number;
  w: number;
  h: number;
}

export interface Opened {
  closeUps: CloseUp[];
  /** The events on the main ridge, as indexes among all; null: they are all. */
  main: number[] | null;
  /** Where the chart itself begins, px from the top. */
  top: number;
  /** What would be opened if there were room: its parts are gathered in it, and not drawn. By index among all. */
  gathered: ReadonlyMap<number, readonly number[]>;
}

/** What "auto" may do where there is too little room for close-ups. */
export interface Gathering {
  /** The index of an event that must be seen; -1: none. */
  seen: number;
}

export interface Opening {
  scale: Scale;
  /** From when to when the chart goes, and what one event covers. */
  period: When;
  whenOf: (i: number) => When;
  frame: Frame;
  upright: boolean;
  mode: CloseUpMode;
  /** Where close-ups that would open by themselves leave too little for the chart's pictures, their parts are gathered; null: never. */
  gather: Gathering | null;
  /** The columns of some of the events, as for a chart of their own. */
  columns: (index: number[]) => ChartData;
}

export const HEAD = 30;
export const MOST_LEVELS = 3;
/** Parts closer together than this open by themselves, px. */
const TOO_CLOSE = 60;
/** Beside close-ups, between them, and between their rows, px. */
const SIDE = 8;
const GAP = 10;
const ROW_GAP = 16;
const LEAST_WIDTH = 300;
/** What is left at least for a chart with pictures beside a close-up that opens by itself, px; without any it is as it comes. */
const LEAST_LEFT = 430;
/** The share of the frame's height a row of close-ups may take for its ridge, and the bounds of it, px. */
const SHARE = 0.44;
const LEAST_HEIGHT = 150;
const MOST_HEIGHT = 290;
const BELOW = 4;

/** Which events are opened, outermost first: their level, by index among all. */
function openOnes(data: ChartData, o: Opening): Map<number, number> {
  const open = new Map<number, number>();
  if (o.mode === "none") return open;
  const depth = (i: number) => {
    let d = 0;
    for (let at = data.whole[i]!; at >= 0; at = data.whole[at]!) d++;
    return d;
  };
  const wholes = data.letters.flatMap((letter, i) => (letter ? [{ i, depth: depth(i) }] : []));
  wholes.sort((a, b) => a.depth - b.depth || a.i - b.i);
  const spread = spreadOn(data, o);
  for (const { i } of wholes) {
    const over = openOver(data, open, i);
    const level = over < 0 ? 1 : open.get(over)! + 1;
    if (level > MOST_LEVELS) continue;
    const byHand = data.closeUp[i]!;
    if (o.mode === "all" || byHand === 1 || (byHand === 0 && spread(over, i) <= TOO_CLOSE)) open.set(i, level);
  }
  return open;
}

/** The innermost open event that another is part of, over others; -1: none. */
function openOver(data: ChartData, open: ReadonlyMap<number, number>, i: number): number {
  let at = data.whole[i]!;
  while (at >= 0 && !open.has(at)) at = data.whole[at]!;
  return at;
}

/**
 * How many px the parts of one event would take on the ridge of another (-1: the chart's), all of which stands on it; of a
 * single part any number is enough.
 */
function spreadOn(data: ChartData, o: Opening): (on: number, whole: number) => number {
  const parts = new Map<number, number[]>();
  for (let i = 0; i < data.count; i++)
    for (let at = data.whole[i]!; at >= 0; at = data.whole[at]!) {
      const list = parts.get(at);
      if (list) list.push(i);
      else parts.set(at, [i]);
    }
  const ridges = new Map<number, Map<number, [number, number]>>();
  const ridgeOf = (on: number) => {
    let known = ridges.get(on);
    if (known) return known;
    const index = on < 0 ? Array.from({ length: data.count }, (_, i) => i) : parts.get(on)!;
    const own = on < 0 ? data : o.columns(index);
    const axis = makeAxis({ scale: o.scale, period: on < 0 ? o.period : o.whenOf(on) }, own);
    const p = positions(own, axis);
    const px = (o.upright ? o.frame.height : o.frame.width) / axis.length;
    const at = (k: number, point: number) => plainAt(p, k, point) * px;
    known = new Map(
      index.map((i, k) => {
        const [a, b] = own.kind[k] === SPAN_KIND ? [OUTER_START, OUTER_END] : [1, 1];
        return [i, [at(k, a), at(k, b)]];
      }),
    );
    ridges.set(on, known);
    return known;
  };
  return (on, whole) => {
    const own = parts.get(whole) ?? [];
    if (own.length < 2) return Number.POSITIVE_INFINITY;
    const ridge = ridgeOf(on);
    const ends = own.map((i) => ridge.get(i)!);
    return Math.max(...ends.map((e) => e[1])) - Math.min(...ends.map((e) => e[0]));
  };
}

/** Opens what is to be seen in a close-up, and says what is left for the main ridge and where that begins. */
export function openUp(data: ChartData, o: Opening): Opened {
  const none: Opened = { closeUps: [], main: null, top: 0, gathered: new Map() };
  if (!data.letters.some(Boolean)) return none;
  const open = openOnes(data, o);
  if (open.size === 0) return none;
  const wide = openAll(data, o, open);
  if (!o.gather || o.upright || o.mode !== "auto") return wide;
  if (o.frame.height - wide.top >= LEAST_LEFT || !data.pictures.some(Boolean)) return wide;
  const gathered = gather(data, open, o.gather.seen);
  if (gathered.size === 0) return wide;
  const hidden = new Set([...gathered.values()].flat());
  for (const i of [...open.keys()]) if (gathered.has(i) || hidden.has(i)) open.delete(i);
  const rest = open.size === 0 ? { ...none, main: data.ids.map((_, i) => i) } : openAll(data, o, open);
  return { ...rest, main: rest.main!.filter((i) => !hidden.has(i)), gathered };
}

/** The outermost that are open by themselves, with all that is part of them, but what holds the event that must be seen. */
function gather(data: ChartData, open: ReadonlyMap<number, number>, seen: number): Map<number, number[]> {
  const isWithin = (i: number, whole: number) => {
    for (let at = data.whole[i]!; at >= 0; at = data.whole[at]!) if (at === whole) return true;
    return false;
  };
  const gathered = new Map<number, number[]>();
  for (const [i, level] of open)
    if (level === 1 && data.closeUp[i] === 0 && !(seen >= 0 && isWithin(seen, i))) gathered.set(i, []);
  if (gathered.size > 0)
    for (let i = 0; i < data.count; i++)
      for (let at = data.whole[i]!; at >= 0; at = data.whole[at]!) gathered.get(at)?.push(i);
  return gathered;
}

function openAll(data: ChartData, o: Opening, open: ReadonlyMap<number, number>): Opened {
  const groups = new Map<number, number[]>([[-1, []]]);
  for (const i of open.keys()) groups.set(i, []);
  for (let i = 0; i < data.count; i++) groups.get(openOver(data, open, i))!.push(i);
  const main = groups.get(-1)!;
  const closeUps: CloseUp[] = [];
  let y = 6;
  // The innermost stand highest, each row over what it belongs to.
  for (let level = MOST_LEVELS; level >= 1; level--) {
    const wholes = [...open.keys()].filter((i) => open.get(i) === level).sort((a, b) => a - b);
    for (const row of rowsOf(wholes, o)) {
      const made = layRow(row, groups, level, y, o);
      closeUps.push(...made);
      y = Math.max(...made.map((c) => c.y + c.h)) + ROW_GAP;
    }
  }
  const index = new Map(closeUps.map((c, k) => [c.whole, k]));
  for (const c of closeUps) c.parent = index.get(openOver(data, open, c.whole)) ?? -1;
  return { closeUps, main, top: y, gathered: new Map() };
}

function rowsOf(wholes: number[], { frame, upright }: Opening): number[][] {
  const most = upright ? 1 : Math.max(1, Math.floor((frame.width - 2 * SIDE + GAP) / (LEAST_WIDTH + GAP)));
  const rows = Math.ceil(wholes.length / most);
  const each = Math.ceil(wholes.length / Math.max(1, rows));
  return Array.from({ length: rows }, (_, k) => wholes.slice(k * each, (k + 1) * each)).filter((r) => r.length > 0);
}

function layRow(row: number[], groups: ReadonlyMap<number, number[]>, level: number, y: number, o: Opening): CloseUp[] {
  const room = o.frame.width - 2 * SIDE - GAP * (row.length - 1);
  // The more parts, the wider; none too narrow to be read.
  const weights = row.map((i) => Math.max(3, groups.get(i)!.length));
  const all = weights.reduce((a, b) => a + b, 0);
  const least = Math.min(LEAST_WIDTH, room / row.length);
  const spare = room - least * row.length;
  const height = Math.max(LEAST_HEIGHT, Math.min(MOST_HEIGHT, Math.round(o.frame.height * SHARE) - HEAD));
  let x = SIDE;
  const made = row.map((whole, k): CloseUp => {
    const w = Math.floor(least + (spare * weights[k]!) / all);
    const index = groups.get(whole)!;
    const own = o.columns(index);
    const frame = { width: w, height: o.upright ? uprightLength(own.count) : height };
    const laid = layoutChart({ scale: o.scale, period: o.whenOf(whole) }, own, frame, {
      upright: o.upright,
      closeUp: true,
    });
    const used = o.upright ? frame.height : Math.max(90, usedHeight(laid.layout));
    const made = { whole, at: Int32Array.from(index), level, parent: -1, laid, x, y, w, h: HEAD + used + BELOW };
    x += w + GAP;
    return made;
  });
  const h = Math.max(...made.map((c) => c.h));
  for (const c of made) {
    c.h = h;
    // An upright one may be broader than its frame.
    if (o.upright) c.w = Math.max(c.w, c.laid.layout.across);
    else c.laid.layout.across = h - HEAD - BELOW;
  }
  return made;
}
