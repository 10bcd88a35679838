import type { Axis } from "../axis/axis";
import { plainAt, type Positions } from "../axis/positions";
import { type ChartData, SPAN_KIND } from "../data/chart-data";
import { roofRows, touch } from "./roof-rows";
import {
  placeTitles,
  placeTitlesAnew,
  type RoofGround,
  type RoofTitles,
  titlesShown,
  titleWidths,
} from "./roof-titles";

export interface Arranged {
  row: Int32Array;
  depth: number;
  titles: RoofTitles;
}

/**
 * Rows and titles of the roofs. There are as many rows as spans at the busiest instant. In a small timeline (`most` is then
 * how many rows there is height for) roofs are moved among the rows, and change places, as long as more of their titles can be
 * read; a row more is taken only when that lets another title be read whole.
 */
export function arrangeRoofs(data: ChartData, axis: Axis, p: Positions, g: RoofGround, most: number | null): Arranged {
  const { row, depth } = roofRows(data, axis);
  const words = titleWidths(data, g.type);
  const first = { row, depth, titles: placeTitles(data, p, row, depth, g, most !== null, words) };
  if (most === null || depth === 0) return first;
  const spans: number[] = [];
  for (let i = 0; i < data.count; i++) if (data.kind[i] === SPAN_KIND) spans.push(i);
  let best = first;
  let shown = -1;
  for (let rows = depth; rows <= Math.max(depth, Math.min(depth + 4, most)); rows++) {
    const next = searchRows(data, p, g, spans, row.slice(), rows, words);
    const n = titlesShown(data, next.titles, g.fit);
    if (n < shown + 0.25) continue;
    shown = n;
    best = next;
    if (n >= spans.length) break;
  }
  return best;
}

function searchRows(
  data: ChartData,
  p: Positions,
  g: RoofGround,
  spans: readonly number[],
  row: Int32Array,
  depth: number,
  words: Float64Array,
): Arranged {
  const u = (i: number, k: number) => plainAt(p, i, k);
  const meet = (i: number, j: number) =>
    ((u(i, 0) < u(j, 3) && u(j, 0) < u(i, 3)) || (u(i, 0) === u(j, 0) && i !== j)) &&
    !touch(data, i, j) &&
    !touch(data, j, i);
  let titles = placeTitles(data, p, row, depth, g, true, words);
  let best = titlesShown(data, titles, g.fit);
  /** Whether it is better that way, with others on two rows; put back when not. */
  const better = (rows: ReadonlySet<number>, change: () => void, back: () => void) => {
    change();
    const next = placeTitlesAnew(data, p, row, rows, g, true, words, titles);
    const shown = titlesShown(data, next, g.fit);
    if (shown > best + 1e-9) {
      best = shown;
      titles = next;
      return true;
    }
    back();
    return false;
  };
  /** To another row; whoever is in the way there comes to this one, if that is free for them. */
  const moveTo = (i: number, r: number) => {
    const was = row[i]!;
    const inWay = spans.filter((j) => row[j] === r && meet(i, j));
    const here = spans.filter((j) => row[j] === was && j !== i);
    if (r === was || inWay.some((j) => here.some((k) => meet(j, k)))) return false;
    const put = (mine: number, theirs: number) => {
      row[i] = mine;
      for (const j of inWay) row[j] = theirs;
    };
    return better(
      new Set([was, r]),
      () => put(r, was),
      () => put(was, r),
    );
  };
  for (let pass = 0; pass < 3 && best < spans.length; pass++) {
    let changed = false;
    for (const i of spans) {
      if (titles.z[i]! <= g.fit && titles.cut[i] === 0) continue;
      for (let r = 0; r < depth; r++)
        if (moveTo(i, r)) {
          changed = true;
          break;
        }
    }
    if (!changed) break;
  }
  return { row, depth, titles };
}
