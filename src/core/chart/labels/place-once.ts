import { CLEARANCE, FLAG_GAP, labelStart, sidesOf } from "./whole-search";
import { noPlaces, type Places } from "./places";
import { RowIndex } from "./row-index";

/** Labels to be placed, by their rank along the ridge. */
export interface Ranked {
  count: number;
  /** u of the moment, as a pair. */
  hi: Float64Array;
  lo: Float64Array;
  /** Extent along the ridge, px. */
  along: Float32Array;
  /** Ranks, the most important first. */
  order: ArrayLike<number>;
}

export interface Rows {
  rows: number;
  /** What a row further out costs, in octaves of zoom. */
  perRow: number;
  /** The smallest and the largest scale there is, px per u. */
  least: number;
  most: number;
  /** Labels stand at the end of their lines. */
  centred: boolean;
  /** Whether the moment's label may stand there in the drawing of the whole. */
  fits: (rank: number, from: number, to: number) => boolean;
}

/** A label on the other side of its line must be worth this many octaves. */
const OTHER_SIDE = 0.02;

/**
 * Gives every label one row and the smallest scale from which on it meets no more important one in that row. With fixed
 * offsets distances in a row only grow with the scale, so labels never overlap, jump or blink at any zoom. Of the rows the
 * one with the least `log2 z + perRow * row` is taken. Labels that would need more than the largest scale get z = Infinity.
 * O(n log n): neighbours come from a tree of bitmaps per row.
 */
export function placeOnce(q: Ranked, rows: Rows): Places {
  const n = q.count;
  const placed = noPlaces(n);
  let reach = 0;
  for (let i = 0; i < n; i++) reach = Math.max(reach, q.along[i]!);
  reach += FLAG_GAP + CLEARANCE;
  const index = Array.from({ length: rows.rows }, () => new RowIndex(n));
  const { z, from, to } = placed;

  /** The scale from which on later members of the row are clear of a label that ends `b` px after its moment. */
  const clearOfNext = (i: number, members: RowIndex, b: number, least: number, limit: number): number => {
    let best = least;
    for (let j = members.next(i); j >= 0; j = members.next(j)) {
      const d = q.hi[j]! - q.hi[i]! + (q.lo[j]! - q.lo[i]!);
      if (d * best >= b + reach) break;
      const need = b - from[j]! + CLEARANCE;
      if (need <= 0) continue;
      const s = need / d;
      if (s > z[j]! && s > best) best = s;
      if (best > limit) break;
    }
    return best;
  };
  /** The same of earlier members, for a label that begins `a` px after its moment. */
  const clearOfPrevious = (i: number, members: RowIndex, a: number, least: number, limit: number): number => {
    let best = least;
    for (let j = members.previous(i); j >= 0; j = members.previous(j)) {
      const d = q.hi[i]! - q.hi[j]! + (q.lo[i]! - q.lo[j]!);
      if (d * best >= reach - a) break;
      const need = to[j]! - a + CLEARANCE;
      if (need <= 0) continue;
      const s = need / d;
      if (s > z[j]! && s > best) best = s;
      if (best > limit) break;
    }
    return best;
  };
  /**
   * The scale from which on a label may stand there; more than `limit` when it is not worth while. The side it hangs on is
   * asked first: there the nearest member soon says how far one must look.
   */
  const scaleFor = (i: number, members: RowIndex, a: number, b: number, limit: number): number => {
    const least = rows.fits(i, a, b) ? rows.least : rows.least * (1 + 1e-6);
    if (b > 0) {
      const s = clearOfNext(i, members, b, least, limit);
      return s > limit ? s : clearOfPrevious(i, members, a, s, limit);
    }
    const s = clearOfPrevious(i, members, a, least, limit);
    return s > limit ? s : clearOfNext(i, members, b, s, limit);
  };

  for (let k = 0; k < n; k++) {
    const i = q.order[k]!;
    const w = q.along[i]!;
    let cost = Number.POSITIVE_INFINITY;
    for (let row = 0; row < rows.rows; row++)
      for (const side of sidesOf(rows.centred)) {
        const extra = rows.perRow * row + (side < 0 ? OTHER_SIDE : 0);
        if (extra >= cost) continue;
        const a = labelStart(side, w, rows.centred);
        const limit = Math.min(rows.most, rows.least * 2 ** (cost - extra));
        const s = scaleFor(i, index[row]!, a, a + w, limit);
        const c = Math.log2(s / rows.least) + extra;
        if (s > rows.most || c >= cost) continue;
        cost = c;
        z[i] = s;
        placed.row[i] = row;
        placed.side[i] = side;
        from[i] = a;
        to[i] = a + w;
      }
    if (placed.row[i]! >= 0) index[placed.row[i]!]!.add(i);
  }
  return placed;
}
