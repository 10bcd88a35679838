import { EMPHASIS, MOMENT_KIND, OUTER_END, OUTER_START, SPAN_KIND, UNCERTAIN, UNDATED_KIND } from "../data/chart-data";
import { BOB } from "../style/house-style";
import type { Laid } from "../frame/layout";
import type { Shape } from "./scene";
import { patternOn } from "../style/patterns";
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
  const { paper, sun } = data.style;
  const { colour, pattern } = data.looks[data.paint[b.i]!]!;
  const flags = data.flags[b.i]!;
  const y = layout.ridgeTop + layout.ridge;
  const { apex } = b;
  if (data.kind[b.i] === UNDATED_KIND) {
    shapes.push({
      kind: "area",
      points: [apex, y + 1, apex + 6, y + 7, apex, y + 13, apex - 6, y + 7],
      fill: paper,
      stroke: selected ? sun : colour,
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
    fill: hollow ? paper : colour,
    ...(hollow ? { stroke: colour, strokeWidth: 1.75 } : x1 - x0 > 16 ? patternOn(data.style, pattern) : {}),
    ...(selected ? { stroke: sun, strokeWidth: 2.5 } : {}),
  });
}

/** A picture in place of a bob: its side, its frame, and the tip under it, px. */
const PICTURE = 22;
const FRAME = 2;
const TIP = 6;
/** Nearer to each other than that two of them would cover each other, px. */
const APART = PICTURE + 2 * FRAME + 2;

/** The bobs in whose place a picture stands: of those that would cover each other the most important ones. */
export function picturedBobs(laid: Laid, bobs: readonly ShownBob[]): ReadonlySet<number> {
  const { data, layout } = laid;
  const kept: ShownBob[] = [];
  if (data.bobPictures.size === 0 || layout.strip) return new Set();
  const wanted = bobs
    .filter((b) => data.bobPictures.has(b.i))
    .sort((a, b) => data.importance[b.i]! - data.importance[a.i]! || a.apex - b.apex);
  for (const b of wanted) if (kept.every((k) => Math.abs(k.apex - b.apex) >= APART)) kept.push(b);
  return new Set(kept.map((b) => b.i));
}

/** A picture that hangs from the ridge, framed in the colour of its event; its tip is at the moment, as a bob's is. */
export function drawPictureBob(shapes: Shape[], laid: Laid, b: ShownBob, selected: boolean): void {
  const { data, layout } = laid;
  const { item, proportion } = data.bobPictures.get(b.i)!;
  const { colour } = data.looks[data.paint[b.i]!]!;
  const y = layout.ridgeTop + layout.ridge;
  const half = PICTURE / 2 + FRAME;
  const foot = y + PICTURE + FRAME;
  const focus = data.focus.get(b.i);
  shapes.push({
    kind: "area",
    points: [
      b.apex - half,
      y,
      b.apex + half,
      y,
      b.apex + half,
      foot,
      b.apex + TIP,
      foot,
      b.apex,
      foot + TIP,
      b.apex - TIP,
      foot,
      b.apex - half,
      foot,
    ],
    fill: selected ? data.style.sun : colour,
  });
  shapes.push({
    kind: "picture",
    x: b.apex - PICTURE / 2,
    y,
    w: PICTURE,
    h: PICTURE,
    item,
    proportion,
    ...(focus ? { focus } : {}),
  });
}
