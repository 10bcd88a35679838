import { CLEARANCE, labelStart, sidesOf } from "./whole-search";
import { type Place, type Places, placeOf, setPlace } from "./places";
import type { Ranked } from "./place-once";

/**
 * Gives the labels of a small timeline that found no place in the whole the smallest scale from which on they have one,
 * where they meet no label and no line passes through any. Changes `places`.
 */
export function placeRest(
  q: Ranked,
  places: Places,
  rows: { rows: number; perRow: number; least: number; most: number; centred: boolean },
): void {
  for (const i of Array.from(q.order).filter((r) => places.row[r]! < 0)) {
    let best = Number.POSITIVE_INFINITY;
    for (let row = 0; row < rows.rows; row++)
      for (const side of sidesOf(rows.centred)) {
        const from = labelStart(side, q.along[i]!, rows.centred);
        const place = { row, side, shift: 0, from, to: from + q.along[i]!, z: 0 };
        place.z = freeFrom(q, places, i, place, rows.least * (1 + 1e-6), rows.centred);
        const cost = Math.log2(place.z / rows.least) + rows.perRow * row + (side < 0 ? 0.02 : 0);
        if (place.z > rows.most || cost >= best) continue;
        best = cost;
        setPlace(places, i, place);
      }
  }
}

/** What of a place says whether two labels meet; how many rows each takes, where that is not one. */
export type Standing = Pick<Place, "row" | "shift" | "from" | "to"> & { rows?: number };

const beside = (a: Standing, b: Standing) => a.row < b.row + (b.rows ?? 1) && b.row < a.row + (a.rows ?? 1);

/** The scale from which on a label may stand somewhere: clear of all that are there by then, and of their lines. */
function freeFrom(q: Ranked, places: Places, i: number, me: Place, least: number, centred: boolean): number {
  let z = least;
  for (let j = 0; j < q.count; j++) {
    if (j === i || places.row[j]! < 0) continue;
    const d = q.hi[j]! - q.hi[i]! + (q.lo[j]! - q.lo[i]!);
    const other = placeOf(places, j);
    const s = d >= 0 ? apartFrom(me, other, d, centred) : apartFrom(other, me, -d, centred);
    if (s > other.z && s > z) z = s;
  }
  return z;
}

/** The scale from which on two labels are clear of each other, `a` standing before `b` by d units of u. */
export function apartFrom(a: Standing, b: Standing, d: number, centred: boolean): number {
  if (d === 0) return clearTogether(a, b, centred) ? 0 : Number.POSITIVE_INFINITY;
  let need = 0;
  if (beside(a, b)) need = a.to - b.from + CLEARANCE;
  // The line to the one further out passes the row of the other.
  else if (b.row > a.row) need = a.to - b.shift + CLEARANCE;
  else need = a.shift - b.from + CLEARANCE;
  return need <= 0 ? 0 : need / d;
}

/** Whether two labels of one instant are clear of each other, at every scale. */
function clearTogether(a: Standing, b: Standing, centred: boolean): boolean {
  if (beside(a, b)) return a.to + CLEARANCE <= b.from || b.to + CLEARANCE <= a.from;
  const [near, far] = a.row < b.row ? [a, b] : [b, a];
  // Two that hang on one line, one under the other; where labels stand at its end, it would run through the nearer.
  if (!centred && near.shift === far.shift) return true;
  return far.shift <= near.from - CLEARANCE || far.shift >= near.to + CLEARANCE;
}
