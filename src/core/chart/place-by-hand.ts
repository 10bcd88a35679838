import { type ChartData, SPOT } from "./chart-data";
import { CLEARANCE, hangFrom, sidesOf } from "./hang-labels";
import { BOB } from "./house-style";
import { apartFrom } from "./place-rest";
import { fitScale, type Ground, largestScale } from "./view";

export interface Hand {
  data: ChartData;
  byApex: Int32Array;
  hi: Float64Array;
  lo: Float64Array;
  /** Ranks, the most important first. */
  order: Int32Array;
  ground: Ground;
  small: boolean;
  /** The drawing's extent across, the ridge's middle in it, and where the first row of labels begins, px. */
  across: number;
  ridgeMiddle: number;
  ridge: number;
  labelsTop: number;
}

/** The labels as they hang without anything placed by hand; changed in place. */
export interface Hangs {
  z: Float64Array;
  row: Int16Array;
  side: Int8Array;
  shift: Float32Array;
  from: Float32Array;
  to: Float32Array;
  h: Float32Array;
  handY: Float32Array;
  /** What the labels that stand elsewhere now were without anything placed by hand. */
  before: Hung[];
  pitch: number;
  rows: number;
}

/** How one label hangs. */
export interface Hung {
  r: number;
  z: number;
  row: number;
  side: number;
  shift: number;
  from: number;
  to: number;
}

function stateOf(h: Hangs, r: number): Hung {
  const [z, row, side, shift] = [h.z[r]!, h.row[r]!, h.side[r]!, h.shift[r]!];
  return { r, z, row, side, shift, from: h.from[r]!, to: h.to[r]! };
}

function putBack(h: Hangs, b: Hung): void {
  h.z[b.r] = b.z;
  h.row[b.r] = b.row;
  h.side[b.r] = b.side;
  h.shift[b.r] = b.shift;
  h.from[b.r] = b.from;
  h.to[b.r] = b.to;
  h.handY[b.r] = Number.NaN;
}

/** A label may lie so far over the ridge where no roofs are, px. */
const MOST_LIFT = 320;
/** Between a label placed by hand and another across the ridge, px. */
const APART = 4;
/** What a row further out costs a label that makes way, in octaves of zoom. */
const PER_ROW = 0.15;

/**
 * Puts labels where they were placed by hand, in the frame at the whole, and moves only those that truly meet one of them:
 * to the place that is free at the smallest scale. Those that move make no others move. The rest of the drawing is what it
 * would be if nothing had been placed by hand. False: nothing was.
 */
export function placeByHand(q: Hand, h: Hangs): boolean {
  const hands: number[] = [];
  const fit = fitScale(q.ground);
  for (const b of h.before) putBack(h, b);
  h.before = [];
  for (let r = 0; r < q.byApex.length; r++) {
    const i = q.byApex[r]!;
    const spot = spotOf(q, i);
    if (!spot) continue;
    const [along, across] = spot;
    hands.push(r);
    h.before.push(stateOf(h, r));
    const size = h.to[r]! - h.from[r]!;
    const x = q.ground.pad + (q.hi[r]! + q.lo[r]!) * fit;
    const left = Math.max(4, Math.min(x + along, q.ground.size - 4 - size));
    h.from[r] = left - x;
    h.to[r] = h.from[r]! + size;
    h.handY[r] = offTheRidge(q, h.h[r]!, Math.max(2, Math.min(q.ridgeMiddle + across, q.across - 2 - h.h[r]!)));
    h.z[r] = fit;
    h.row[r] = -1;
    h.side[r] = 1;
    h.shift[r] =
      h.from[r]! + (q.ground.upright ? size / 2 : along < 0 && along + size > 0 ? size / 2 : along < 0 ? size : 0);
  }
  if (hands.length === 0) return false;
  const isHand = new Set(hands);
  const u = (a: number, b: number) => q.hi[b]! - q.hi[a]! + (q.lo[b]! - q.lo[a]!);
  /** The scale from which on a place is clear of a hand's label; nothing in between counts. */
  const clearOfHand = (i: number, row: number, from: number, to: number, hand: number): number => {
    const y = q.labelsTop + row * h.pitch;
    if (y >= h.handY[hand]! + h.h[hand]! + APART || h.handY[hand]! >= y + h.h[i]! + APART) return 0;
    const d = u(i, hand);
    // Along the ridge they meet while the distance of their moments is between these.
    const [low, high] = [from - h.to[hand]! - CLEARANCE, to - h.from[hand]! + CLEARANCE];
    if (d === 0) return low < 0 && high > 0 ? Number.POSITIVE_INFINITY : 0;
    return d > 0 ? (high > 0 ? high / d : 0) : low < 0 ? low / d : 0;
  };
  const clearOfHands = (i: number, row: number, from: number, to: number) =>
    hands.reduce((s, hand) => Math.max(s, clearOfHand(i, row, from, to, hand)), 0);
  const met = Array.from(q.order).filter(
    (r) => !isHand.has(r) && h.row[r]! >= 0 && clearOfHands(r, h.row[r]!, h.from[r]!, h.to[r]!) > h.z[r]! * (1 + 1e-9),
  );
  for (const i of met) h.before.push(stateOf(h, i));
  for (const i of met) makeWay(q, h, i, clearOfHands, fit);
  return true;
}

/** Where an event's label was placed on a ridge that lies as this one does; null: it was not. */
function spotOf(q: Pick<Hand, "data" | "ground">, i: number): [along: number, across: number] | null {
  const [along, across, upright] = q.data.spots.subarray(i * SPOT, i * SPOT + SPOT);
  return Number.isNaN(along!) || (upright === 1) !== q.ground.upright ? null : [along!, across!];
}

/** How much more room over the ridge the labels placed there need, px. */
export function liftFor(q: Pick<Hand, "data" | "ground" | "byApex" | "ridgeMiddle">): number {
  let lift = 0;
  for (const i of q.byApex) {
    const spot = spotOf(q, i);
    if (spot && spot[1] < 0) lift = Math.max(lift, 4 - (q.ridgeMiddle + spot[1]));
  }
  return Math.min(MOST_LIFT, Math.ceil(lift));
}

/** Nothing hides the dates on the ridge: what would lie on it stands directly over or under it. */
function offTheRidge(q: Hand, h: number, y: number): number {
  const over = q.ridgeMiddle - q.ridge / 2 - 4 - h;
  const under = q.ridgeMiddle + q.ridge / 2 + BOB + 2;
  if (y >= under || y <= over) return y;
  return over >= 2 && y - over < under - y ? over : under;
}

/** Finds another place for one label, clear of all the others as they stand. */
function makeWay(
  q: Hand,
  h: Hangs,
  i: number,
  clearOfHands: (i: number, row: number, from: number, to: number) => number,
  fit: number,
): void {
  const size = h.to[i]! - h.from[i]!;
  const { upright } = q.ground;
  h.row[i] = -1;
  h.z[i] = Number.POSITIVE_INFINITY;
  h.shift[i] = 0;
  let best = Number.POSITIVE_INFINITY;
  let found: { row: number; side: number; from: number; z: number } | null = null;
  for (let row = 0; row < h.rows; row++)
    for (const side of sidesOf(upright)) {
      const from = hangFrom(side, size, upright);
      const x = q.ground.pad + (q.hi[i]! + q.lo[i]!) * fit;
      const inFrame = x + from >= 4 && x + from + size <= q.ground.size - 4;
      let z = Math.max(inFrame ? fit : fit * (1 + 1e-6), clearOfHands(i, row, from, from + size));
      const me = { row, shift: 0, from, to: from + size };
      for (let j = 0; j < q.byApex.length && z <= largestScale(q.ground); j++) {
        if (j === i || h.row[j]! < 0 || (!q.small && h.row[j] !== row)) continue;
        const d = q.hi[j]! - q.hi[i]! + (q.lo[j]! - q.lo[i]!);
        const other = { row: h.row[j]!, shift: h.shift[j]!, from: h.from[j]!, to: h.to[j]! };
        const s = d >= 0 ? apartFrom(me, other, d, upright) : apartFrom(other, me, -d, upright);
        if (s > h.z[j]! && s > z) z = s;
      }
      const cost = Math.log2(z / fit) + PER_ROW * row + (side < 0 ? 0.02 : 0);
      if (z > largestScale(q.ground) || cost >= best) continue;
      best = cost;
      found = { row, side, from, z };
    }
  h.from[i] = found ? found.from : 0;
  h.to[i] = h.from[i]! + size;
  if (!found) return;
  h.row[i] = found.row;
  h.side[i] = found.side;
  h.z[i] = found.z;
}
