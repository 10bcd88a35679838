import { textWidth } from "../../text/measure";
import { lengthBetween, plainAt, type Positions } from "../axis/positions";
import { type ChartData, EMPHASIS, SPAN_KIND } from "../data/chart-data";
import { typeFor } from "../labels/label-text";
import { titleFace } from "../../looks/style";
import { GABLE_GAP, SLOPE, titleSize } from "../style/house-style";
import { markRoom } from "../style/signs";

/** Where a roof's title stands: on it, or beside it; the same at every zoom. */
export const ON_ROOF = 1;
export const AFTER = 2;
export const BEFORE = 3;
/** Over all roofs, on a line (see `titles-over.ts`). */
export const OVER = 4;

export interface RoofTitles {
  /** Shown from this scale on, px per u; Infinity: never. */
  z: Float64Array;
  mode: Uint8Array;
  width: Float32Array;
  /** Where all of it has no room at the scale of the whole: the room there is, px; 0 where it is not cut. */
  cut: Float32Array;
  /** The scale from which on all of it has room where it stands. */
  wholeFrom: Float64Array;
  /** The scale from which on it has room on the roof. */
  roofFrom: Float64Array;
  /** How wide the picture before it is, px; 0: none. It counts as part of the title. */
  picture: Float32Array;
  /** Of titles over all roofs: where their lines begin, as a share of the roof's flat top; their row, side and how far they are shifted. */
  overAt: Float32Array;
  overRow: Int8Array;
  overSide: Int8Array;
  overShift: Float32Array;
}

/** A roof lower than this has no picture, px; and between its edges and a picture, and a picture and the words after it. */
const PICTURED_FROM = 28;
export const PICTURE_INSET = 3;
export const PICTURE_AFTER = 7;

/** How wide the picture of a span is drawn on or beside a roof of a height, px; 0: none. */
function pictureWidth(data: ChartData, i: number, roof: number): number {
  if (roof < PICTURED_FROM || !data.pictures[i] || data.loudness[i]! < 0) return 0;
  const shape = Math.max(0.75, Math.min(1.5, data.proportions[i]! || 1.4));
  return Math.round((roof - 2 * PICTURE_INSET) * shape);
}

/** Between a roof's flat top and its title, and between a roof and a title beside it, px. */
export const INSET = 7;
export const ASIDE = 6;
const CLEAR = 8;
/** Between a title and the end of the frame, px. */
export const EDGE = 4;
/** Fewer px say nothing. */
export const LEAST_CUT = 46;
/** However short, a roof can be seen and pointed at, px. */
export const LEAST_ROOF = 4;

export interface RoofGround {
  fit: number;
  pad: number;
  size: number;
  /** A gable stands on each end of the ridge: titles of the lowest row stop before it. */
  gables: boolean;
  /** Of titles, px. */
  type: number;
  /** How high roofs are, px. */
  roof: number;
}

/**
 * Finds the place of every title: on its roof where that is wide enough at the scale of the whole, else beside it where the
 * row is free, else (`cutOnes`) cut, else wherever it has room first when zooming in. Titles take no part in packing the
 * rows.
 */
export function placeTitles(
  data: ChartData,
  p: Positions,
  row: Int32Array,
  rows: number,
  g: RoofGround,
  cutOnes: boolean,
  words = titleWidths(data, g.type),
): RoofTitles {
  const n = data.count;
  const t: RoofTitles = {
    z: new Float64Array(n).fill(Number.POSITIVE_INFINITY),
    mode: new Uint8Array(n),
    width: new Float32Array(n),
    cut: new Float32Array(n),
    wholeFrom: new Float64Array(n).fill(Number.POSITIVE_INFINITY),
    roofFrom: new Float64Array(n).fill(Number.POSITIVE_INFINITY),
    picture: new Float32Array(n),
    overAt: new Float32Array(n),
    overRow: new Int8Array(n),
    overSide: new Int8Array(n),
    overShift: new Float32Array(n),
  };
  placeInRows(data, p, row, new Set(Array(rows).keys()), g, cutOnes, words, t);
  return t;
}

/** The same where only some rows have others on them than before: the titles of all others stay where they are. */
export function placeTitlesAnew(
  data: ChartData,
  p: Positions,
  row: Int32Array,
  changed: ReadonlySet<number>,
  g: RoofGround,
  cutOnes: boolean,
  words: Float64Array,
  before: RoofTitles,
): RoofTitles {
  const t: RoofTitles = { ...before };
  for (const key of Object.keys(PLACED) as (keyof typeof PLACED)[]) t[key] = before[key].slice() as never;
  for (let i = 0; i < data.count; i++)
    if (data.kind[i] === SPAN_KIND && changed.has(row[i]!))
      for (const key of Object.keys(PLACED) as (keyof typeof PLACED)[]) t[key][i] = PLACED[key];
  placeInRows(data, p, row, changed, g, cutOnes, words, t);
  return t;
}

/** What a place is made of, as it is where there is none yet. */
const PLACED = {
  z: Number.POSITIVE_INFINITY,
  mode: 0,
  width: 0,
  cut: 0,
  wholeFrom: Number.POSITIVE_INFINITY,
  roofFrom: Number.POSITIVE_INFINITY,
  picture: 0,
};

/** How wide the titles of spans are with their marks, px. */
export function titleWidths(data: ChartData, type: number): Float64Array {
  const words = new Float64Array(data.count);
  for (let i = 0; i < data.count; i++)
    if (data.kind[i] === SPAN_KIND) {
      const important = (data.flags[i]! & EMPHASIS) !== 0;
      words[i] =
        textWidth(data.titles[i]!, titleFace(data.style), titleSize(important, typeFor(data, i, type))) +
        markRoom(data, i);
    }
  return words;
}

function placeInRows(
  data: ChartData,
  p: Positions,
  row: Int32Array,
  which: ReadonlySet<number>,
  g: RoofGround,
  cutOnes: boolean,
  words: Float64Array,
  t: RoofTitles,
): void {
  const inRow = new Map<number, number[]>();
  for (const k of which) inRow.set(k, []);
  for (let i = 0; i < data.count; i++) if (data.kind[i] === SPAN_KIND) inRow.get(row[i]!)?.push(i);
  for (const [k, list] of inRow)
    placeInRow(data, p, list, g, k === 0 && g.gables ? g.pad - GABLE_GAP : EDGE, cutOnes, words, t);
}

function placeInRow(
  data: ChartData,
  p: Positions,
  list: number[],
  g: RoofGround,
  edge: number,
  cutOnes: boolean,
  widths: Float64Array,
  t: RoofTitles,
): void {
  const u = (i: number, point: number) => plainAt(p, i, point);
  const from = (i: number, a: number, j: number, b: number) => lengthBetween(p, i, a, j, b);
  list.sort((a, b) => u(a, 0) - u(b, 0) || a - b);
  /** What titles already take of the room before each roof of the row, and after the last; px at the whole. */
  const taken = new Float64Array(list.length + 1);
  const room = new Float64Array(list.length + 1).fill(Number.POSITIVE_INFINITY);
  for (let k = 1; k < list.length; k++) room[k] = from(list[k - 1]!, 3, list[k]!, 0) * g.fit;
  const waiting: number[] = [];
  for (const [k, i] of list.entries()) {
    const words = widths[i]!;
    const flat = Math.max(0, from(i, 1, i, 2));
    const set = (mode: number, z: number, wholeFrom = z) => {
      t.mode[i] = mode;
      t.z[i] = z;
      t.wholeFrom[i] = wholeFrom;
    };
    const x0 = g.pad + u(i, 0) * g.fit;
    const x1 = Math.max(g.pad + u(i, 3) * g.fit, x0 + LEAST_ROOF);
    /** Whether it has room with a picture so wide before it. */
    const fits = (picture: number): boolean => {
      const w = words + (picture > 0 ? picture + PICTURE_AFTER : 0);
      t.width[i] = w;
      t.picture[i] = picture;
      if (flat > 0) t.roofFrom[i] = (w + 2 * INSET + 2 * SLOPE) / flat;
      const need = w + ASIDE + CLEAR;
      if (t.roofFrom[i]! <= g.fit) set(ON_ROOF, g.fit);
      else if (need <= room[k + 1]! - taken[k + 1]! && x1 + ASIDE + w <= g.size - edge) {
        set(AFTER, g.fit);
        taken[k + 1]! += need;
      } else if (need <= room[k]! - taken[k]! && x0 - ASIDE - w >= edge) {
        set(BEFORE, g.fit);
        taken[k]! += need;
      } else return false;
      return true;
    };
    const picture = pictureWidth(data, i, g.roof);
    // Words go before pictures.
    if (!(picture > 0 && fits(picture)) && !fits(0)) waiting.push(k);
  }
  // What is left gets what is left: the widest place, cut; else it waits for a larger scale.
  for (const k of waiting) {
    const i = list[k]!;
    const x0 = g.pad + u(i, 0) * g.fit;
    const x1 = Math.max(g.pad + u(i, 3) * g.fit, x0 + LEAST_ROOF);
    const rooms: [mode: number, px: number][] = [
      [ON_ROOF, Math.max(0, from(i, 1, i, 2)) * g.fit - 2 * INSET - 2 * SLOPE],
      [AFTER, Math.min(room[k + 1]! - taken[k + 1]! - ASIDE - CLEAR, g.size - edge - x1 - ASIDE)],
      [BEFORE, Math.min(room[k]! - taken[k]! - ASIDE - CLEAR, x0 - ASIDE - edge)],
    ];
    const [mode, px] = rooms.reduce((a, b) => (b[1] > a[1] ? b : a));
    /** The scale from which on all of it has room in a gap of the row, beside what stands there already. */
    const roomFrom = (slot: number) => {
      const edge = slot === 0 || slot === list.length;
      if (edge) return g.fit * 1.25;
      const gap = from(list[slot - 1]!, 3, list[slot]!, 0);
      return gap > 0 ? (t.width[i]! + ASIDE + CLEAR + taken[slot]!) / gap : Number.POSITIVE_INFINITY;
    };
    const afterFrom = k + 1 < list.length && taken[k + 1] === 0 ? roomFrom(k + 1) : Number.POSITIVE_INFINITY;
    const wholeFrom = (m: number) => (m === ON_ROOF ? t.roofFrom[i]! : roomFrom(m === AFTER ? k + 1 : k));
    if (cutOnes && px >= LEAST_CUT) {
      t.mode[i] = mode;
      t.z[i] = g.fit;
      t.cut[i] = px;
      t.wholeFrom[i] = Math.max(g.fit * (1 + 1e-6), wholeFrom(mode));
    } else {
      t.mode[i] = afterFrom < t.roofFrom[i]! ? AFTER : ON_ROOF;
      t.z[i] = Math.min(afterFrom, t.roofFrom[i]!);
      t.wholeFrom[i] = t.z[i]!;
    }
    // Nobody else may stand there.
    if (t.mode[i] === AFTER) taken[k + 1] = Number.POSITIVE_INFINITY;
    if (t.mode[i] === BEFORE) taken[k] = Number.POSITIVE_INFINITY;
  }
}

/** How much of the titles is to be read at the scale of the whole: 1 for each that is whole. */
export function titlesShown(data: ChartData, t: RoofTitles, fit: number): number {
  let sum = 0;
  for (let i = 0; i < data.count; i++)
    if (data.kind[i] === SPAN_KIND && t.z[i]! <= fit)
      sum += t.cut[i]! > 0 ? 0.7 * Math.min(1, t.cut[i]! / t.width[i]!) : 1;
  return sum;
}
