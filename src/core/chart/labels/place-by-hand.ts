import type { Spot } from "../../timeline/fields";
import type { ChartData } from "../data/chart-data";
import { CLEARANCE, labelStart, sidesOf } from "./whole-search";
import { BOB } from "../style/house-style";
import { apartFrom } from "./place-rest";
import { type Place, type Places, placeOf, setPlace } from "./places";
import type { Ranks } from "./ranks";
import { fitScale, type Ground, largestScale } from "../axis/view";

export interface Hand extends Ranks {
  data: ChartData;
  ground: Ground;
  small: boolean;
  /** The drawing's extent across, the ridge's middle in it, and where the first row of labels begins, px. */
  across: number;
  ridgeMiddle: number;
  ridge: number;
  labelsTop: number;
}

/** The labels as they stand without anything placed by hand; changed in place. */
export interface Placed extends Places {
  handY: Float32Array;
  /** What the labels that stand elsewhere now were without anything placed by hand. */
  before: Earlier[];
  pitch: number;
  rows: number;
}

/** Where a label stood. */
export interface Earlier {
  rank: number;
  place: Place;
}

/** A label may lie so far over the ridge where no roofs are, px. */
const MOST_LIFT = 320;
/** Between a label placed by hand and another across the ridge, px. */
const APART = 4;
const NEVER = Number.POSITIVE_INFINITY;
/** What a row further out costs a label that makes way, in octaves of zoom. */
const PER_ROW = 0.15;

/**
 * Puts labels where they were placed by hand, in the frame at the whole, and moves only those that truly meet one of them:
 * to the place that is free at the smallest scale. Those that move make no others move. The rest of the drawing is what it
 * would be if nothing had been placed by hand. False: nothing was.
 */
export function placeByHand(q: Hand, h: Placed): boolean {
  const hands: number[] = [];
  const fit = fitScale(q.ground);
  for (const { rank, place } of h.before) {
    setPlace(h, rank, place);
    h.handY[rank] = Number.NaN;
  }
  h.before = [];
  for (const [r, { along, across }] of handsOf(q)) {
    hands.push(r);
    h.before.push({ rank: r, place: placeOf(h, r) });
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
  const block = new Hands(q, h, hands);
  const met: number[] = [];
  const { row, from, to, z } = h;
  const touched = Uint8Array.from({ length: h.rows }, (_, k) => (block.across[k] ? 1 : 0));
  for (let r = 0; r < row.length; r++) {
    const k = row[r]!;
    if (k < 0 || touched[k] === 0) continue;
    if (block.clearFrom(r, k, from[r]!, to[r]!) > z[r]! * (1 + 1e-9)) met.push(r);
  }
  // The important first, so that they get the better of the places that are left.
  const weight = (r: number) => q.data.importance[q.byApex[r]!]!;
  met.sort((a, b) => weight(b) - weight(a) || a - b);
  for (const i of met) {
    h.before.push({ rank: i, place: placeOf(h, i) });
    h.row[i] = -1;
    h.z[i] = NEVER;
    h.shift[i] = 0;
  }
  const others = new Others(q, h);
  for (const i of met) makeWay(q, h, i, block, others, fit);
  return true;
}

/** Where labels placed by hand are in the way. */
class Hands {
  private q: Hand;
  private h: Placed;
  /** By row: the labels across it, where there are any. */
  across: (number[] | undefined)[];

  constructor(q: Hand, h: Placed, hands: readonly number[]) {
    this.q = q;
    this.h = h;
    // A row's labels may be lower or higher than its pitch: whether one truly meets another is asked again below.
    const tallest = h.h.reduce((most, x) => Math.max(most, x), h.pitch);
    this.across = Array.from({ length: h.rows }, (_, row) => {
      const y = q.labelsTop + row * h.pitch;
      const found = hands.filter((r) => y < h.handY[r]! + h.h[r]! + APART && h.handY[r]! < y + tallest + APART);
      return found.length > 0 ? found : undefined;
    });
  }

  /** The scale from which on a label in a place of its own is clear of all of them; nothing in between counts. */
  clearFrom(i: number, row: number, from: number, to: number): number {
    const { q, h } = this;
    const y = q.labelsTop + row * h.pitch;
    let least = 0;
    for (const hand of this.across[row] ?? []) {
      if (y >= h.handY[hand]! + h.h[hand]! + APART || h.handY[hand]! >= y + h.h[i]! + APART) continue;
      const d = q.hi[hand]! - q.hi[i]! + (q.lo[hand]! - q.lo[i]!);
      // Along the ridge they meet while the distance of their moments is between these.
      const low = from - h.to[hand]! - CLEARANCE;
      const high = to - h.from[hand]! + CLEARANCE;
      const s = d > 0 ? Math.max(0, high) / d : d < 0 ? Math.min(0, low) / d : low < 0 && high > 0 ? NEVER : 0;
      if (s > least) least = s;
    }
    return least;
  }
}

/** The labels placed by hand on a ridge that lies as this one does, by rank in the order of time. */
function handsOf(q: Pick<Hand, "data" | "ground" | "byApex">): [rank: number, spot: Spot][] {
  const found: [number, Spot][] = [];
  for (const [i, spot] of q.data.spots) {
    const r = (spot.upright ?? false) === q.ground.upright ? q.byApex.indexOf(i) : -1;
    if (r >= 0) found.push([r, spot]);
  }
  return found.sort((a, b) => a[0] - b[0]);
}

/** How much more room over the ridge the labels placed there need, px. */
export function liftFor(q: Pick<Hand, "data" | "ground" | "byApex" | "ridgeMiddle">): number {
  let lift = 0;
  for (const [, { across }] of handsOf(q)) if (across < 0) lift = Math.max(lift, 4 - (q.ridgeMiddle + across));
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
function makeWay(q: Hand, h: Placed, i: number, block: Hands, others: Others, fit: number): void {
  const size = h.to[i]! - h.from[i]!;
  const { upright } = q.ground;
  const most = largestScale(q.ground);
  const x = q.ground.pad + (q.hi[i]! + q.lo[i]!) * fit;
  let best = NEVER;
  let found: { row: number; side: number; from: number; z: number } | null = null;
  for (let row = 0; row < h.rows; row++)
    for (const side of sidesOf(upright)) {
      const from = labelStart(side, size, upright);
      const inFrame = x + from >= 4 && x + from + size <= q.ground.size - 4;
      const extra = PER_ROW * row + (side < 0 ? 0.02 : 0);
      // Beyond this scale another place is better already.
      const bound = Math.min(most, fit * 2 ** (best - extra));
      const least = Math.max(inFrame ? fit : fit * (1 + 1e-6), block.clearFrom(i, row, from, from + size));
      const z = others.freeFrom(i, { row, side, shift: 0, from, to: from + size, z: 0 }, least, bound);
      if (z > most) continue;
      const cost = Math.log2(z / fit) + extra;
      if (cost >= best) continue;
      best = cost;
      found = { row, side, from, z };
    }
  h.from[i] = found ? found.from : 0;
  h.to[i] = h.from[i]! + size;
  if (!found) return;
  h.row[i] = found.row;
  h.side[i] = found.side;
  h.z[i] = found.z;
  others.add(i);
}

/** The labels that stand where they stood, to be asked for those near a place. */
class Others {
  private q: Hand;
  private h: Placed;
  /** Ranks by row; of a small chart all in one list, because there lines count too. */
  private start: Int32Array;
  private ranks: Int32Array;
  private added: number[] = [];
  private reach: number;

  constructor(q: Hand, h: Placed) {
    this.q = q;
    this.h = h;
    this.reach = reachOf(h);
    const rows = q.small ? 1 : h.rows;
    const start = new Int32Array(rows + 1);
    const rowOf = (r: number) => (q.small && h.row[r]! >= 0 ? 0 : h.row[r]!);
    for (let r = 0; r < q.byApex.length; r++) if (h.row[r]! >= 0) start[rowOf(r) + 1]!++;
    for (let k = 0; k < rows; k++) start[k + 1]! += start[k]!;
    const next = start.slice();
    this.ranks = new Int32Array(start[rows]!);
    for (let r = 0; r < q.byApex.length; r++) if (h.row[r]! >= 0) this.ranks[next[rowOf(r)]!++] = r;
    this.start = start;
  }

  /** A label that has found another place. */
  add(i: number): void {
    this.added.push(i);
  }

  /**
   * The scale from which on a label may stand in a place, at least `least`: clear of all that are there by then. Asked
   * outwards from its moment, as far as any could reach at the scale found so far. More than `bound`: of no use.
   */
  freeFrom(i: number, me: Place, least: number, bound: number): number {
    const { q, h, ranks } = this;
    const row = q.small ? 0 : me.row;
    let z = least;
    for (const j of this.added) if (q.small || h.row[j] === me.row) z = Math.max(z, this.apart(i, j, me, z));
    let low = this.start[row]!;
    let high = this.start[row + 1]!;
    while (low < high) {
      const mid = (low + high) >> 1;
      if (ranks[mid]! < i) low = mid + 1;
      else high = mid;
    }
    for (let k = low - 1; k >= this.start[row]! && z <= bound; k--) {
      if (this.distance(i, ranks[k]!) * -z > this.reach) break;
      z = this.apart(i, ranks[k]!, me, z);
    }
    for (let k = low; k < this.start[row + 1]! && z <= bound; k++) {
      if (this.distance(i, ranks[k]!) * z > this.reach) break;
      z = this.apart(i, ranks[k]!, me, z);
    }
    return z;
  }

  private distance(i: number, j: number): number {
    const { hi, lo } = this.q;
    return hi[j]! - hi[i]! + (lo[j]! - lo[i]!);
  }

  /** How many rows a label takes. */
  private rowsOf(r: number): number {
    return Math.max(1, Math.ceil((this.h.h[r]! + APART) / this.h.pitch));
  }

  private other: Place = { row: 0, side: 1, shift: 0, from: 0, to: 0, z: 0 };
  /** z, or the greater scale from which on a label in a place is clear of another. */
  private apart(i: number, j: number, me: Place, z: number): number {
    const d = this.distance(i, j);
    const other = placeOf(this.h, j, this.other);
    // In a large chart each has a row's height.
    const [mine, its] = this.q.small
      ? [
          { ...me, rows: this.rowsOf(i) },
          { ...other, rows: this.rowsOf(j) },
        ]
      : [me, other];
    const { upright } = this.q.ground;
    const s = d > 0 || (d === 0 && j > i) ? apartFrom(mine, its, d, upright) : apartFrom(its, mine, -d, upright);
    return s > other.z && s > z ? s : z;
  }
}

const reaches = new WeakMap<Float32Array, number>();
/** How far apart the moments of two labels that meet can be, px. */
function reachOf(h: Placed): number {
  let reach = reaches.get(h.h);
  if (reach === undefined) {
    let far = 0;
    for (let r = 0; r < h.from.length; r++)
      if (h.row[r]! >= 0) far = Math.max(far, -h.from[r]!, h.to[r]!, Math.abs(h.shift[r]!));
    reach = 2 * far + 400 + CLEARANCE;
    reaches.set(h.h, reach);
  }
  return reach;
}
