import type { Family } from "../../text/families";
import { type Axis, type AxisSettings, makeAxis } from "../axis/axis";
import { minus, type Pair, plus } from "../axis/pair";
import { lengthBetween, pairAt, plainAt, type Positions, positions } from "../axis/positions";
import { type ChartData, INNER_END, INNER_START, OUTER_START, pickData, SPAN_KIND } from "../data/chart-data";
import { COUNT_COLUMN } from "../style/house-style";
import { placeFew, placeMany } from "../labels/place-labels";
import {
  BOB,
  CAP,
  FAN,
  FOOT,
  FULL,
  LINE,
  MARGIN,
  MORE_ROW,
  RIDGE,
  TITLE_SIZE,
  UPRIGHT_RIDGE,
} from "../style/house-style";
import { DENSE, type Setting } from "../labels/label-text";
import { type Earlier, liftFor, placeByHand } from "../labels/place-by-hand";
import { noPlaces, type Places } from "../labels/places";
import type { Ranks } from "../labels/ranks";
import { type Arranged, arrangeRoofs } from "../roofs/arrange-roofs";
import { roofRows } from "../roofs/roof-rows";
import { type ArrangedOver, arrangeOver, OVER_GAP, OVER_PITCH } from "../roofs/titles-over";
import { type RoofGround, type RoofTitles, titlesShown } from "../roofs/roof-titles";
import {
  largerRoofs,
  lowRoofs,
  measuresFor,
  ROOF_SHARE,
  roofsAlone,
  type RoofMeasures,
  TITLED_LOW,
  TITLED_LOW_ROWS,
} from "../roofs/roof-measures";
import { fitScale, type Ground } from "../axis/view";

export interface Frame {
  width: number;
  height: number;
}

/** Up to so many events every label is searched a place for, and no line passes another's label. */
export const SMALL = 60;
/** Room for a row's name, and its line; and above the ridge over all rows. */
const LANE_NAME = 24;
const LANE_LINE = 4;
const HEAD_TOP = 18;
/** The least a label has beside an upright ridge, px. */
const LEAST_UPRIGHT = 64;

/**
 * Where everything of a chart stands at every zoom: a function of events, frame, scale and font tables. Offsets in px from
 * a moment's apex do not change with the zoom; `z` is the scale (px per u) from which on something is shown.
 */
export interface ChartLayout extends Ranks, Places {
  frame: Frame;
  /** The ridge runs down, roofs on its left. */
  upright: boolean;
  /** What it is written in. */
  family: Family;
  /** What the drawing needs across the ridge, at least the frame's size. */
  across: number;
  strip: boolean;
  pad: number;
  roofs: RoofMeasures;
  roofRow: Int32Array;
  roofRows: number;
  titles: RoofTitles;
  ridgeTop: number;
  /** How thick the ridge is. */
  ridge: number;
  labelsTop: number;
  /** From row to row, and how many there are. */
  pitch: number;
  rows: number;
  setting: Setting;
  /** How high pictures are that have grown into room that was left, by event, px; 0 for the others. */
  grown: Float32Array;
  /** How many lines of first words stand under titles, by event. */
  worded: Uint8Array;
  /** The width of the frame for the words of labels (see `labelText`), px. */
  wordsWidth: number;
  /** No line passes a label. */
  small: boolean;
  /** Whether the foot of the drawing belongs to the counts. */
  counted: boolean;
  /** Belongs to what hangs open; null: nothing does. */
  taken: Stretch | null;
  /** Across from the top of the drawing for labels placed by hand, px; NaN for the others. */
  handY: Float32Array;
  /** How far all moved down for labels placed over the ridge, px. */
  lift: number;
  /** Where labels stood that stand elsewhere for one that was placed by hand. */
  before: Earlier[];
  /** Ranks in the order they come into view when zooming in, an octave at a time; each octave's by u. */
  octaves: { start: Int32Array; ranks: Int32Array; of: Int8Array };
  /** Spans by row, each row's by u. */
  spanStart: Int32Array;
  spans: Int32Array;
}

export interface Laid {
  data: ChartData;
  axis: Axis;
  p: Positions;
  layout: ChartLayout;
}

export interface LayoutOptions {
  /** Ridge, roofs and bobs only, small and without labels. */
  strip?: boolean;
  upright?: boolean;
  /** One row of several under one ridge: a line stands for the ridge, with a name above it. */
  lane?: boolean;
  /** The ridge alone. */
  bare?: boolean;
  /** No row of roofs more than there must be. */
  lean?: boolean;
  /** A close-up, beside the chart it belongs to. */
  closeUp?: boolean;
  /** What hangs open below the ridge takes this stretch of it: labels stand beside that, and roofs are low. */
  taken?: Stretch | undefined;
}

/** Along a ridge, px. */
export interface Stretch {
  from: number;
  to: number;
}

export function layoutChart(settings: AxisSettings, data: ChartData, frame: Frame, options: LayoutOptions = {}): Laid {
  const axis = makeAxis(settings, data);
  const p = positions(data, axis);
  return { data, axis, p, layout: layOut(data, axis, p, frame, options) };
}

/** Where an event's label belongs: at a moment's apex, in the middle of a span. */
function apexOf(data: ChartData, p: Positions, i: number): Pair {
  const from = pairAt(p, i, INNER_START);
  return data.kind[i] === SPAN_KIND ? plus(from, lengthBetween(p, i, INNER_START, i, INNER_END) / 2) : from;
}

export function groundOf(axis: Axis, layout: Pick<ChartLayout, "pad" | "frame" | "upright" | "family">): Ground {
  const { pad, frame, upright, family } = layout;
  return { axis, pad, size: upright ? frame.height : frame.width, upright, family };
}

/** How long an upright ridge must be for every label of a small chart, px. */
export function uprightLength(events: number): number {
  return Math.min(3_200, 110 + 62 * Math.min(SMALL, events));
}

/** Where everything stands when its place along the ridge is known. */
export function layOut(data: ChartData, axis: Axis, p: Positions, frame: Frame, options: LayoutOptions): ChartLayout {
  const strip = options.strip ?? false;
  const upright = options.upright ?? false;
  const [size, depthOfFrame] = upright ? [frame.height, frame.width] : [frame.width, frame.height];
  const pad = Math.min(MARGIN, size / 10) + CAP + 4;
  const { family } = data.style;
  const ground: Ground = { axis, pad, size, upright, family };
  const fit = fitScale(ground);
  const small = data.count <= SMALL;
  const taken = options.taken ?? null;

  const place = { fit, pad, size, gables: !upright && !strip && !options.lane, type: TITLE_SIZE, roof: FULL.roof };
  const most = options.lean ? 0 : Math.floor((depthOfFrame * (upright ? 0.25 : ROOF_SHARE)) / (FULL.roof + FULL.gap));
  const spanned = options.bare ? pickData(data, []) : data;
  const low =
    taken && small ? arrangeRoofs(spanned, axis, p, { ...place, type: TITLED_LOW.type }, TITLED_LOW_ROWS) : null;
  const titledLow = low !== null && low.depth <= TITLED_LOW_ROWS;
  const usual = titledLow ? low : arrangeRoofs(spanned, axis, p, place, small && !strip && !taken ? most : null);
  // Where not every title has room in a few rows, those that have none stand over all roofs, on lines.
  const over =
    small && !strip && !upright && !taken ? titlesOver(spanned, axis, p, place, usual, depthOfFrame, options) : null;
  const plainly = over || strip || upright || taken || options.lane || options.closeUp || options.lean;
  const larger =
    small && !plainly && usual.depth > 0
      ? largerRoofs(depthOfFrame, spanned, usual, place, (type, roof) =>
          arrangeRoofs(spanned, axis, p, { ...place, type, roof }, most),
        )
      : null;
  const { row: roofRow, depth, titles } = over ?? larger?.arranged ?? usual;
  const overRoom = over && over.over > 0 ? OVER_GAP + over.over * OVER_PITCH : 0;
  const roofs =
    larger?.roofs ??
    (over && data.kind.every((k) => k === SPAN_KIND) ? roofsAlone(over.depth, overRoom, depthOfFrame) : null) ??
    (titledLow ? TITLED_LOW : taken ? lowRoofs(depth) : measuresFor(depth, strip, upright, depthOfFrame));
  if (strip || upright || roofs.roof < LINE) titles.z.fill(Number.POSITIVE_INFINITY);
  const above = options.lane ? LANE_NAME : options.bare ? HEAD_TOP : roofs.top;
  const ridgeTop = Math.round(above + overRoom + depth * (roofs.roof + roofs.gap) + (depth > 0 ? 4 : 0));
  const ridge = upright ? UPRIGHT_RIDGE : options.lane ? LANE_LINE : RIDGE;
  const labelsTop = ridgeTop + ridge + BOB + FAN;
  const across = options.bare
    ? ridgeTop + ridge + 4
    : strip
      ? ridgeTop + ridge + BOB + 6
      : Math.max(depthOfFrame, labelsTop + (upright ? COUNT_COLUMN + LEAST_UPRIGHT : 60) + FOOT);
  const depthLeft = across - labelsTop - FOOT;

  // What has a label in the rows, by u: moments; where the ridge runs down spans too, so that their words run across.
  const below: { i: number; u: Pair }[] = [];
  for (let i = 0; i < data.count && !options.bare; i++)
    if (data.kind[i] !== SPAN_KIND || (upright && !strip)) below.push({ i, u: apexOf(data, p, i) });
  below.sort((a, b) => minus(a.u, b.u) || a.i - b.i);
  const m = below.length;
  const byApex = Int32Array.from(below, (b) => b.i);
  const apexes = below.map((b) => b.u);
  const hi = Float64Array.from(apexes, (u) => u.hi);
  const lo = Float64Array.from(apexes, (u) => u.lo);
  const order = Int32Array.from({ length: m }, (_, k) => k);
  const weight = Float64Array.from(byApex, (i) => data.importance[i]!);
  order.sort((a, b) => weight[b]! - weight[a]! || a - b);

  const base = {
    frame,
    upright,
    family,
    across,
    strip,
    pad,
    roofs,
    roofRow,
    roofRows: depth,
    titles,
    ridgeTop,
    ridge,
    labelsTop,
    lift: 0,
    small,
    taken,
    byApex,
    hi,
    lo,
    order,
    ...spansByRow(options.bare ? pickData(data, []) : data, p, roofRow, depth),
  };
  const none = {
    ...noPlaces(m),
    handY: new Float32Array(m).fill(Number.NaN),
    before: [],
  };
  const room = {
    data,
    byApex,
    hi,
    lo,
    order,
    ground,
    depth: depthLeft,
    oneOfSeveral: (options.lane || options.closeUp) ?? false,
    stretches: stretchesBeside(size, taken),
  };
  let places: typeof none & {
    pitch: number;
    drop: number;
    rows: number;
    setting: Setting;
    wordsWidth: number;
    counted: boolean;
    grown: Float32Array;
    worded: Uint8Array;
  };
  if (strip)
    places = {
      ...none,
      grown: new Float32Array(0),
      worded: new Uint8Array(0),
      pitch: 1,
      drop: 0,
      rows: 0,
      setting: DENSE,
      wordsWidth: size,
      counted: false,
    };
  else if (small) places = placeFew(room, none);
  else places = placeMany(room, none);
  const { drop, ...placed } = places;
  const plain: ChartLayout = { ...base, ...placed, labelsTop: labelsTop + drop, octaves: octavesOf(placed.z, fit) };
  // Where labels were placed by hand something may hang open now.
  if (options.lean || strip || options.bare || taken) return plain;
  let layout = plain;
  // Where labels find no place, the roofs' titles give way before them.
  if (small && places.counted && depth > 1) {
    const lean = layOut(data, axis, p, frame, { ...options, lean: true });
    if (lean.roofRows < depth && missing(lean, fit) < missing(plain, fit)) layout = lean;
  }
  if (placeHands(layout, data, ground)) {
    if (!layout.counted && missing(layout, fit) > 0) {
      // The counts get room below what stands there already.
      layout.counted = true;
      layout.across += MORE_ROW - FOOT + 4;
    }
  }
  return layout;
}

/** Beyond so many rows more than there must be, titles over the roofs are better than titles beside them. */
const MANY_MORE = 2;

/** Roofs with some of their titles over them, where that shows more of these, or takes far fewer rows; null: it does not. */
function titlesOver(
  data: ChartData,
  axis: Axis,
  p: Positions,
  g: RoofGround,
  usual: Arranged,
  height: number,
  options: LayoutOptions,
): ArrangedOver | null {
  if (usual.depth === 0 || options.lane || options.closeUp || options.lean || options.bare) return null;
  const spans = data.kind.reduce((n, k) => n + (k === SPAN_KIND ? 1 : 0), 0);
  const isWhole = titlesShown(data, usual.titles, g.fit) >= spans - 1e-9;
  if (isWhole && usual.depth <= roofRows(data, axis).depth + MANY_MORE) return null;
  const fits = (rows: number, over: number) =>
    FULL.top + rows * (FULL.roof + FULL.gap) + OVER_GAP + over * OVER_PITCH <= height * ROOF_SHARE;
  return arrangeOver(data, axis, p, g, fits);
}

function placeHands(layout: ChartLayout, data: ChartData, ground: Ground): boolean {
  // The whole drawing moves down where a label over the ridge needs the room; upright there is none to be had.
  const middle = layout.ridgeTop + layout.ridge / 2 - layout.lift;
  const lift = layout.upright ? 0 : liftFor({ data, ground, byApex: layout.byApex, ridgeMiddle: middle });
  for (const k of ["ridgeTop", "labelsTop", "across"] as const) layout[k] += lift - layout.lift;
  layout.lift = lift;
  const ridgeMiddle = middle + lift;
  const was = layout.before;
  const has = placeByHand({ ...layout, data, ground, ridgeMiddle }, layout);
  if (was.length === 0 && !has) return false;
  const of = layout.octaves.of.slice();
  for (const { rank } of [...was, ...layout.before]) of[rank] = octave(layout.z[rank]!, fitScale(ground));
  layout.octaves = inOctaves(of);
  return has;
}

/**
 * The same chart after labels were placed by hand or put back, without laying it out anew; what the layout of more than SMALL
 * events would be. `spots`: as in `ChartData`. Takes over the arrays of the old one.
 */
export function replaceHands(laid: Laid, spots: ChartData["spots"]): Laid {
  const data = { ...laid.data, spots };
  // What is known of a layout is remembered by its identity.
  const layout = { ...laid.layout, from: laid.layout.from.slice() };
  placeHands(layout, data, groundOf(laid.axis, layout));
  return { ...laid, data, layout };
}

function missing(layout: ChartLayout, fit: number): number {
  return layout.z.reduce((n, z) => n + (z > fit ? 1 : 0), 0);
}

/** Narrower than this a stretch holds no labels, px. */
const LEAST_STRETCH = 130;
/** Between what hangs open and a label beside it, px. */
const BESIDE = 10;

/** Where labels may stand along a ridge. */
function stretchesBeside(size: number, taken: Stretch | null): Stretch[] {
  if (!taken) return [{ from: 4, to: size - 4 }];
  const both = [
    { from: 4, to: taken.from - BESIDE },
    { from: taken.to + BESIDE, to: size - 4 },
  ];
  return both.filter((s) => s.to - s.from >= LEAST_STRETCH);
}

/** The octave of zoom in which a label comes into view; -1: it never does. */
function octave(z: number, fit: number): number {
  return z === Number.POSITIVE_INFINITY ? -1 : Math.max(0, Math.floor(Math.log2(z / fit)));
}

function octavesOf(z: Float64Array, fit: number): ChartLayout["octaves"] {
  return inOctaves(Int8Array.from(z, (s) => octave(s, fit)));
}

function inOctaves(of: Int8Array): ChartLayout["octaves"] {
  let most = 0;
  for (let r = 0; r < of.length; r++) if (of[r]! > most) most = of[r]!;
  const start = new Int32Array(most + 2);
  for (let r = 0; r < of.length; r++) if (of[r]! >= 0) start[of[r]! + 1]!++;
  for (let k = 0; k <= most; k++) start[k + 1]! += start[k]!;
  const next = start.slice();
  const ranks = new Int32Array(start[most + 1]!);
  for (let r = 0; r < of.length; r++) if (of[r]! >= 0) ranks[next[of[r]!]!++] = r;
  return { start, ranks, of };
}

function spansByRow(data: ChartData, p: Positions, row: Int32Array, rows: number) {
  const lists: number[][] = Array.from({ length: rows }, () => []);
  for (let i = 0; i < data.count; i++) if (data.kind[i] === SPAN_KIND) lists[row[i]!]!.push(i);
  const u = (i: number) => plainAt(p, i, OUTER_START);
  for (const list of lists) list.sort((a, b) => u(a) - u(b) || a - b);
  const spanStart = new Int32Array(rows + 1);
  for (const [k, list] of lists.entries()) spanStart[k + 1] = spanStart[k]! + list.length;
  return { spanStart, spans: Int32Array.from(lists.flat()) };
}
