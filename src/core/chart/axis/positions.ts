import {
  type ChartData,
  INNER_START,
  MOMENT_KIND,
  OUTER_END,
  OUTER_START,
  SPAN_KIND,
  UNDATED_KIND,
} from "../data/chart-data";
import { type Axis, pointOf } from "./axis";
import { minus, type Pair, plus, twoSum, ZERO } from "./pair";

/** u of the drawn points of every event, as pairs; read by the functions below, which cost no more than the sums they hide. */
export interface Positions {
  hi: Float64Array;
  lo: Float64Array;
}

/** How many points of an event are drawn: `OUTER_START` to `OUTER_END`. */
const DRAWN_POINTS = OUTER_END + 1;
const indexOf = (i: number, point: number) => i * DRAWN_POINTS + point;

/** u of a point of an event. */
export function pairAt(p: Positions, i: number, point: number): Pair {
  const k = indexOf(i, point);
  return { hi: p.hi[k]!, lo: p.lo[k]! };
}

/** The same as one number, which is exact enough to compare and to draw the whole. */
export function plainAt(p: Positions, i: number, point: number): number {
  const k = indexOf(i, point);
  return p.hi[k]! + p.lo[k]!;
}

/** u from point `a` of event i to point `b` of event j, exact where they are close. */
export function lengthBetween(p: Positions, i: number, a: number, j: number, b: number): number {
  const [from, to] = [indexOf(i, a), indexOf(j, b)];
  return p.hi[to]! - p.hi[from]! + (p.lo[to]! - p.lo[from]!);
}

/** The positions of some events. */
export function pickPositions(p: Positions, index: readonly number[]): Positions {
  const picked = noPositions(index.length);
  for (const [n, i] of index.entries())
    for (const column of ["hi", "lo"] as const)
      picked[column].set(p[column].subarray(indexOf(i, 0), indexOf(i + 1, 0)), indexOf(n, 0));
  return picked;
}

function noPositions(count: number): Positions {
  return { hi: new Float64Array(indexOf(count, 0)), lo: new Float64Array(indexOf(count, 0)) };
}

function setPair(p: Positions, i: number, point: number, u: Pair): void {
  const k = indexOf(i, point);
  p.hi[k] = u.hi;
  p.lo[k] = u.lo;
}

export function positions(data: ChartData, axis: Axis): Positions {
  const n = data.count;
  const p = noPositions(n);
  const rank = (i: number): Pair => ({ hi: i + 0.5, lo: 0 });
  if (axis.scale === "even") {
    for (let i = 0; i < n; i++) {
      const end = pointOf(data, i, OUTER_END);
      const last =
        data.kind[i] !== SPAN_KIND ? rank(i) : !end ? { hi: axis.length, lo: 0 } : longer(axis.at(end), i + 0.5);
      const points = data.kind[i] === SPAN_KIND ? [rank(i), rank(i), last, last] : Array(DRAWN_POINTS).fill(rank(i));
      for (const [k, u] of points.entries()) setPair(p, i, k, u);
    }
    return p;
  }
  for (let i = 0; i < n; i++) {
    if (data.kind[i] === UNDATED_KIND) continue;
    for (let k = OUTER_START; k <= OUTER_END; k++) {
      const t = pointOf(data, i, k);
      setPair(p, i, k, t ? axis.at(t) : k < 2 ? ZERO : { hi: axis.datedLength, lo: 0 });
    }
  }
  placeUndated(data, axis, p);
  return p;
}

function longer(u: Pair, least: number): Pair {
  return u.hi < least ? { hi: least, lo: 0 } : u;
}

/** Undated events share the room between the dated ones on either side of them. */
function placeUndated(data: ChartData, axis: Axis, p: Positions): void {
  let before: Pair = ZERO;
  let first = -1;
  const share = (to: number, after: Pair) => {
    const run = to - first;
    const room = minus(after, before);
    for (let i = first; i < to; i++) {
      const u = plus(before, ((i - first + 1) / (run + 1)) * room);
      for (let k = OUTER_START; k <= OUTER_END; k++) setPair(p, i, k, u);
    }
    first = -1;
  };
  for (let i = 0; i < data.count; i++) {
    if (data.kind[i] === UNDATED_KIND) {
      if (first < 0) first = i;
      continue;
    }
    const u = pairAt(p, i, data.kind[i] === MOMENT_KIND ? INNER_START : OUTER_START);
    if (first >= 0) share(i, u);
    before = u;
  }
  if (first < 0) return;
  before = minus({ hi: axis.datedLength, lo: 0 }, before) > 0 ? { hi: axis.datedLength, lo: 0 } : before;
  share(data.count, twoSum(axis.length, 0));
}
