import { CLEARANCE, hangFrom, sidesOf } from "./whole-search";
import type { Hangs } from "./hanging";
import type { Ranked } from "./place-once";

export interface Hangings extends Hangs {
  missing: (rank: number) => boolean;
}

/**
 * Gives the labels of a small timeline that found no place in the whole the smallest scale from which on they have one,
 * where they meet no label and no line passes through any. Changes `h`.
 */
export function placeRest(
  q: Ranked,
  h: Hangings,
  rows: { rows: number; perRow: number; least: number; most: number; centred: boolean },
): void {
  for (const i of Array.from(q.order).filter(h.missing)) {
    let best = Number.POSITIVE_INFINITY;
    for (let row = 0; row < rows.rows; row++)
      for (const side of sidesOf(rows.centred)) {
        const from = hangFrom(side, q.along[i]!, rows.centred);
        const place = { row, shift: 0, from, to: from + q.along[i]! };
        const z = freeFrom(q, h, i, place, rows.least * (1 + 1e-6), rows.centred);
        const cost = Math.log2(z / rows.least) + rows.perRow * row + (side < 0 ? 0.02 : 0);
        if (z > rows.most || cost >= best) continue;
        best = cost;
        h.z[i] = z;
        h.row[i] = row;
        h.side[i] = side;
        h.shift[i] = 0;
        h.from[i] = place.from;
        h.to[i] = place.to;
      }
  }
}

export interface Place {
  row: number;
  shift: number;
  from: number;
  to: number;
}

/** The scale from which on a label may stand somewhere: clear of all that are there by then, and of their lines. */
function freeFrom(q: Ranked, h: Hangings, i: number, me: Place, least: number, centred: boolean): number {
  let z = least;
  for (let j = 0; j < q.count; j++) {
    if (j === i || h.row[j]! < 0) continue;
    const d = q.hi[j]! - q.hi[i]! + (q.lo[j]! - q.lo[i]!);
    const other = { row: h.row[j]!, shift: h.shift[j]!, from: h.from[j]!, to: h.to[j]! };
    const s = d >= 0 ? apartFrom(me, other, d, centred) : apartFrom(other, me, -d, centred);
    if (s > h.z[j]! && s > z) z = s;
  }
  return z;
}

/** The scale from which on two labels are clear of each other, `a` standing before `b` by d units of u. */
export function apartFrom(a: Place, b: Place, d: number, centred: boolean): number {
  if (d === 0) return clearTogether(a, b, centred) ? 0 : Number.POSITIVE_INFINITY;
  let need = 0;
  if (a.row === b.row) need = a.to - b.from + CLEARANCE;
  // The line to the one further out passes the row of the other.
  else if (b.row > a.row) need = a.to - b.shift + CLEARANCE;
  else need = a.shift - b.from + CLEARANCE;
  return need <= 0 ? 0 : need / d;
}

/** Whether two labels of one instant are clear of each other, at every scale. */
function clearTogether(a: Place, b: Place, centred: boolean): boolean {
  if (a.row === b.row) return a.to + CLEARANCE <= b.from || b.to + CLEARANCE <= a.from;
  const [near, far] = a.row < b.row ? [a, b] : [b, a];
  // Two that hang on one line, one under the other; where labels stand at its end, it would run through the nearer.
  if (!centred && near.shift === far.shift) return true;
  return far.shift <= near.from - CLEARANCE || far.shift >= near.to + CLEARANCE;
}
