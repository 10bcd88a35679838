import type { Axis } from "../axis/axis";
import { plainAt, type Positions } from "../axis/positions";
import { type ChartData, SPAN_KIND } from "../data/chart-data";
import { placeLabels } from "../labels/whole-search";
import type { Arranged } from "./arrange-roofs";
import { roofRows } from "./roof-rows";
import {
  AFTER,
  ASIDE,
  BEFORE,
  EDGE,
  LEAST_ROOF,
  OVER,
  placeTitles,
  type RoofGround,
  type RoofTitles,
} from "./roof-titles";

/** From row to row of titles that stand over all roofs, and from the highest roof to the first of them, px. */
export const OVER_PITCH = 20;
export const OVER_GAP = 20;
/** More rows of them are no title of a roof any more. */
const MOST_ROWS = 6;
/** Between a line and what it passes, px. */
const CLEAR = 5;

/** Roofs in as few rows as there can be, with the titles that have no room in them over all of them, each on a line from its roof. */
export interface ArrangedOver extends Arranged {
  /** How many rows of titles stand over the roofs. */
  over: number;
}

/** As it is, where every title finds its place so; null where one does not, or the roofs and these rows are higher than `most` px. */
export function arrangeOver(
  data: ChartData,
  axis: Axis,
  p: Positions,
  g: RoofGround,
  most: (rows: number, over: number) => boolean,
): ArrangedOver | null {
  const { row, depth } = roofRows(data, axis);
  const titles = placeTitles(data, p, row, depth, g, false);
  const waiting: number[] = [];
  for (let i = 0; i < data.count; i++) if (data.kind[i] === SPAN_KIND && titles.z[i]! > g.fit) waiting.push(i);
  if (waiting.length === 0) return { row, depth, titles, over: 0 };
  const labels: { id: string; apex: number; w: number; h: number; i: number }[] = [];
  for (const i of waiting) {
    const x = clearPlace(data, p, row, g, titles, i);
    if (x === null) return null;
    labels.push({ id: String(i).padStart(6, "0"), apex: x, w: titles.width[i]!, h: OVER_PITCH - 4, i });
  }
  for (let rows = 1; rows <= MOST_ROWS && most(depth, rows); rows++) {
    const room = { from: EDGE, to: g.size - EDGE, rows, pitch: OVER_PITCH, centred: false };
    const placed = placeLabels(labels, room, "quick");
    if (placed.length < labels.length) continue;
    for (const at of placed) {
      const { i, apex } = labels.find((l) => l.id === at.id)!;
      const [from, to] = flatTop(p, g, i);
      titles.mode[i] = OVER;
      titles.z[i] = titles.wholeFrom[i] = g.fit;
      titles.cut[i] = 0;
      titles.overAt[i] = to > from ? (apex - from) / (to - from) : 0.5;
      titles.overRow[i] = at.row;
      titles.overSide[i] = at.side;
      titles.overShift[i] = at.shift;
    }
    return { row, depth, titles, over: rows };
  }
  return null;
}

/** The flat top of a roof at the scale of the whole, px. */
function flatTop(p: Positions, g: RoofGround, i: number): [number, number] {
  const at = (k: number) => g.pad + plainAt(p, i, k) * g.fit;
  const [a, b] = [at(1), at(2)];
  return a <= b ? [a, b] : [(a + b) / 2, (a + b) / 2];
}

/** Where a line from a roof passes none of the roofs above it nor their titles, as near to its middle as there is; null: nowhere. */
function clearPlace(
  data: ChartData,
  p: Positions,
  row: Int32Array,
  g: RoofGround,
  t: RoofTitles,
  i: number,
): number | null {
  const taken: [number, number][] = [];
  for (let j = 0; j < data.count; j++) {
    if (data.kind[j] !== SPAN_KIND || row[j]! <= row[i]!) continue;
    const x0 = g.pad + plainAt(p, j, 0) * g.fit;
    const x1 = Math.max(g.pad + plainAt(p, j, 3) * g.fit, x0 + LEAST_ROOF);
    const shown = t.z[j]! <= g.fit;
    const before = shown && t.mode[j] === BEFORE ? ASIDE + t.width[j]! : 0;
    const after = shown && t.mode[j] === AFTER ? ASIDE + t.width[j]! : 0;
    taken.push([x0 - before - CLEAR, x1 + after + CLEAR]);
  }
  const [a, b] = flatTop(p, g, i);
  const [from, to] = [Math.max(a, 2 * EDGE), Math.min(b, g.size - 2 * EDGE)];
  const middle = (from + to) / 2;
  const isClear = (x: number) => x >= from && x <= to && taken.every(([l, r]) => x <= l || x >= r);
  const places = [middle, ...taken.flat()].filter(isClear).sort((x, y) => Math.abs(x - middle) - Math.abs(y - middle));
  return places[0] ?? null;
}
