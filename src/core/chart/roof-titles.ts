import { cutToWidth, textWidth } from "../text/measure";
import { type ChartData, EMPHASIS, SPAN_KIND } from "./chart-data";
import type { Positions } from "./axis";
import { SIGN_ROOM, TITLE_FACE, titleSize } from "./house-style";

/** Where a roof's title stands: on it, or beside it, at the same place at every zoom. */
export const ON_ROOF = 1;
export const AFTER = 2;
export const BEFORE = 3;
/** On it and cut until there is room for all of it. */
export const CUT = 4;

export interface RoofTitles {
  /** Shown from this scale on, px per u; Infinity: never. */
  z: Float64Array;
  mode: Uint8Array;
  width: Float32Array;
  /** The scale from which on the whole title has room on the roof. */
  wholeFrom: Float64Array;
}

/** Between a roof's flat top and its title, and between a roof and a title beside it, px. */
export const INSET = 7;
export const ASIDE = 6;
const CLEAR = 8;
const LEAST_CUT = 46;

export interface RoofGround {
  fit: number;
  pad: number;
  size: number;
}

/** What a cut title still says at the scale of the whole. */
export function cutTitle(text: string, sizePx: number, room: number): string {
  return cutToWidth(text, TITLE_FACE, sizePx, Math.max(0, room));
}

/**
 * Finds the place of every title: on its roof where that is wide enough at the scale of the whole, else beside it where the
 * row is free, else wherever it has room first when zooming in. Titles take no part in packing the rows.
 */
export function placeTitles(
  data: ChartData,
  p: Positions,
  row: Int32Array,
  rows: number,
  slope: number,
  g: RoofGround,
  cutOnes: boolean,
): RoofTitles {
  const n = data.count;
  const t: RoofTitles = {
    z: new Float64Array(n).fill(Number.POSITIVE_INFINITY),
    mode: new Uint8Array(n),
    width: new Float32Array(n),
    wholeFrom: new Float64Array(n).fill(Number.POSITIVE_INFINITY),
  };
  const inRow: number[][] = Array.from({ length: rows }, () => []);
  for (let i = 0; i < n; i++) if (data.kind[i] === SPAN_KIND) inRow[row[i]!]!.push(i);
  const end = (i: number, k: number) => p.hi[i * 4 + k]! + p.lo[i * 4 + k]!;
  /** u from one point to another, exact where they are close. */
  const from = (i: number, a: number, j: number, b: number) =>
    p.hi[j * 4 + b]! - p.hi[i * 4 + a]! + (p.lo[j * 4 + b]! - p.lo[i * 4 + a]!);
  for (const list of inRow) {
    list.sort((a, b) => end(a, 0) - end(b, 0) || a - b);
    /** What titles already take of the room before each roof of the row, and after the last; px at the whole. */
    const taken = new Float64Array(list.length + 1);
    for (const [k, i] of list.entries()) {
      const w = textWidth(data.titles[i]!, TITLE_FACE, titleSize((data.flags[i]! & EMPHASIS) !== 0)) + (data.sign[i] ? SIGN_ROOM : 0);
      t.width[i] = w;
      const flat = Math.max(0, from(i, 1, i, 2));
      t.wholeFrom[i] = flat > 0 ? (w + 2 * INSET + 2 * slope) / flat : Number.POSITIVE_INFINITY;
      if (t.wholeFrom[i]! <= g.fit) {
        t.z[i] = g.fit;
        t.mode[i] = ON_ROOF;
        continue;
      }
      const x0 = g.pad + end(i, 0) * g.fit;
      const x1 = g.pad + end(i, 3) * g.fit;
      const next = list[k + 1];
      const roomAfter = (next === undefined ? Number.POSITIVE_INFINITY : from(i, 3, next, 0) * g.fit) - taken[k + 1]!;
      const roomBefore = k === 0 ? Number.POSITIVE_INFINITY : from(list[k - 1]!, 3, i, 0) * g.fit - taken[k]!;
      const need = w + ASIDE + CLEAR;
      if (need <= roomAfter && Math.max(x1, x0 + LEAST_ROOF) + ASIDE + w <= g.size - 4) {
        t.z[i] = g.fit;
        t.mode[i] = AFTER;
        taken[k + 1]! += need;
      } else if (need <= roomBefore && x0 - ASIDE - w >= 4) {
        t.z[i] = g.fit;
        t.mode[i] = BEFORE;
        taken[k]! += need;
      } else if (cutOnes && flat * g.fit - 2 * INSET - 2 * slope >= LEAST_CUT) {
        t.z[i] = g.fit;
        t.mode[i] = CUT;
      } else {
        t.mode[i] = ON_ROOF;
        t.z[i] = t.wholeFrom[i]!;
        // Beside it, once there is that much room; a neighbour's title there would have come first.
        const gap = next === undefined ? 0 : from(i, 3, next, 0);
        if (gap > 0 && taken[k + 1] === 0 && need / gap < t.z[i]!) {
          t.z[i] = need / gap;
          t.mode[i] = AFTER;
          // Nobody else may stand in that gap.
          taken[k + 1] = Number.POSITIVE_INFINITY;
        }
      }
    }
  }
  return t;
}

/** However short, a roof can be seen and pointed at, px. */
export const LEAST_ROOF = 4;
