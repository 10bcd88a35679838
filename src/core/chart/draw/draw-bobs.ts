import { EMPHASIS, MOMENT_KIND, OUTER_END, OUTER_START, SPAN_KIND, UNCERTAIN, UNDATED_KIND } from "../data/chart-data";
import { BOB, PAPER, SUN } from "../style/house-style";
import type { Laid } from "../frame/layout";
import type { Shape } from "./scene";
import { firstRank, pointX, rankX } from "../frame/shown";
import type { Ground, View } from "../axis/view";

/** A bob in a frame, px; the top from x0 to x1. */
export interface ShownBob {
  i: number;
  apex: number;
  x0: number;
  x1: number;
}

/** Above so many bobs in view one is drawn for every few px. */
const MOST = 400;
/** Up to so many events all are asked whether they reach into the view. */
const ASK_ALL = 2_000;
const CELL = 4;

export function bobAt(laid: Laid, g: Ground, v: View, rank: number): ShownBob {
  const i = laid.layout.byApex[rank]!;
  const apex = rankX(laid, g, v, rank);
  const wide = laid.data.kind[i] === MOMENT_KIND && laid.axis.scale !== "even";
  return {
    i,
    apex,
    x0: wide ? Math.min(apex, pointX(laid, g, v, i, OUTER_START)) : apex,
    x1: wide ? Math.max(apex, pointX(laid, g, v, i, OUTER_END)) : apex,
  };
}

/** The bobs in view; of a crowd one for every few px, at places that do not move with the view. */
export function shownBobs(laid: Laid, g: Ground, v: View, every = false): ShownBob[] {
  const n = laid.layout.byApex.length;
  // Where the ridge runs down, spans have labels in the rows too, but no bobs.
  const isSpan = (r: number) => laid.data.kind[laid.layout.byApex[r]!] === SPAN_KIND;
  const found: ShownBob[] = [];
  if (every || n <= ASK_ALL) {
    for (let r = 0; r < n; r++) {
      if (isSpan(r)) continue;
      const b = bobAt(laid, g, v, r);
      if (every || (b.x1 > -8 && b.x0 < g.size + 8)) found.push(b);
    }
    if (every || found.length <= MOST) return found;
    found.length = 0;
  }
  const from = firstRank(laid, g, v, -300);
  const to = firstRank(laid, g, v, g.size + 300);
  if (to - from <= MOST) {
    for (let r = from; r < to; r++) if (!isSpan(r)) found.push(bobAt(laid, g, v, r));
    return found;
  }
  const { layout } = laid;
  const cell = g.axis.length / 2 ** Math.min(50, Math.floor(Math.log2((g.axis.length * v.scale) / CELL)));
  for (let r = from; r < to; ) {
    if (!isSpan(r)) found.push(bobAt(laid, g, v, r));
    const end = Math.floor((layout.hi[r]! + layout.lo[r]!) / cell + 1) * cell;
    // Gallop to the first in the next cell.
    let step = 1;
    let low = r;
    while (low + step < to && layout.hi[low + step]! + layout.lo[low + step]! < end) {
      low += step;
      step *= 2;
    }
    let high = Math.min(to, low + step);
    while (low < high) {
      const mid = (low + high) >> 1;
      if (layout.hi[mid]! + layout.lo[mid]! < end) low = mid + 1;
      else high = mid;
    }
    r = Math.max(low, r + 1);
  }
  return found;
}

/** The tip in the middle of what is known, the top as wide as that; hollow when marked uncertain. */
export function drawBob(shapes: Shape[], laid: Laid, b: ShownBob, selected: boolean, frameWidth: number): void {
  const { data, layout } = laid;
  const { colour, pattern } = data.looks[data.look[b.i]!]!;
  const flags = data.flags[b.i]!;
  const y = layout.ridgeTop + layout.ridge;
  const { apex } = b;
  if (data.kind[b.i] === UNDATED_KIND) {
    shapes.push({
      kind: "area",
      points: [apex, y + 1, apex + 6, y + 7, apex, y + 13, apex - 6, y + 7],
      fill: PAPER,
      stroke: selected ? SUN : colour,
      strokeWidth: selected ? 2.5 : 1.75,
    });
    return;
  }
  const half = (flags & EMPHASIS) !== 0 ? 6 : 4.5;
  const hollow = (flags & UNCERTAIN) !== 0;
  const clip = (x: number) => Math.max(-2_000, Math.min(frameWidth + 2_000, x));
  const [x0, x1] = [clip(Math.min(b.x0, apex - half)), clip(Math.max(b.x1, apex + half))];
  shapes.push({
    kind: "area",
    points: [x0, y, x1, y, clip(apex), y + BOB],
    fill: hollow ? PAPER : colour,
    ...(hollow ? { stroke: colour, strokeWidth: 1.75 } : x1 - x0 > 16 && pattern !== "solid" ? { pattern } : {}),
    ...(selected ? { stroke: SUN, strokeWidth: 2.5 } : {}),
  });
}
