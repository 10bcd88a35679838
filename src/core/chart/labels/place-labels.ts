import { COUNT_COLUMN } from "../style/house-style";
import { labelStart } from "./whole-search";
import { LINE, lineOf, MORE_ROW } from "../style/house-style";
import type { Places } from "./places";
import type { BelowRidge } from "./ranks";
import {
  DENSE,
  DENSE_LOW,
  type LabelText,
  labelText,
  labelWidth,
  pictureRoom,
  roomiestOfSeveral,
  type Setting,
  settingsFor,
} from "./label-text";
import { placeOnce } from "./place-once";
import { placeRest } from "./place-rest";
import { type Found, growWords, type How, searchLabels, type SearchRoom } from "./search-labels";
import { fitScale, largestScale } from "../axis/view";

/** What a row further out costs, in octaves of zoom. */
const PER_ROW = 0.04;
const PER_ROW_REST = 0.15;

/** The frame that gives a label the whole depth for its words (see `labelText`). */
function widthForWords(depth: number): number {
  return Math.max(60, depth - 8) / 0.42;
}

/** Up to SMALL events: searched for the best at the whole; what finds no place there gets one for larger scales. */
export function placeFew<T extends Places>(
  { data, byApex, hi, lo, order, ground, depth, oneOfSeveral, stretches }: BelowRidge,
  none: T,
) {
  const fit = fitScale(ground);
  // Moments at different instants keep their order on paper, however close they are.
  let nudge = 0;
  const apexes = Array.from(hi, (_, r) => {
    if (r > 0 && hi[r]! - hi[r - 1]! + (lo[r]! - lo[r - 1]!) > 0) nudge += 1e-6;
    return ground.pad + (hi[r]! + lo[r]!) * fit + nudge;
  });
  // Those that may have a label, by rank; all of them, unless something hangs open before them.
  const whole = ground.size - 4;
  const among = Array.from(hi.keys()).filter(
    (r) =>
      stretches.some((s) => s.from === 4 && s.to === whole) ||
      stretches.some((s) => apexes[r]! >= s.from && apexes[r]! <= s.to),
  );
  const apex = among.map((r) => apexes[r]!);
  const at = new Map(among.map((r, k) => [r, k]));
  const byImportance = Array.from(order).flatMap((r) => at.get(r) ?? []);
  const m = among.length;
  const { upright } = ground;
  const settings = settingsFor(data);
  const countRoom = upright ? COUNT_COLUMN : MORE_ROW;
  const extent = (t: LabelText) => (upright ? { along: t.h, across: t.w } : { along: t.w, across: t.h });
  const wordsWidth = (s: Setting, how: How) =>
    upright ? widthForWords(depth - (how === "counted" ? countRoom : 0) - pictureRoom(s)) : ground.size;
  const searchRoom: SearchRoom = {
    stretches,
    depth,
    extent,
    centred: upright,
    countRoom,
    settings,
    picturesGrow: data.held.pictures === "large",
    roomiest: oneOfSeveral ? roomiestOfSeveral(settings) : 0,
  };
  const grows = oneOfSeveral ? [] : byImportance;
  const textFor = (how: How) => (k: number, s: Setting) => labelText(data, byApex[among[k]!]!, s, wordsWidth(s, how));
  const search = (how: How) => searchLabels(apex, textFor(how), searchRoom, how, grows);
  let how: How = "quick";
  let found = search(how);
  if (found.placed.length < m) {
    const better = search("thorough");
    if (better.placed.length > found.placed.length) found = better;
  }
  if (found.placed.length < m) {
    how = "counted";
    found = search(how);
  }
  const counted = found.placed.length < m;
  const places = { ...none };
  put(found, places, among, extent, upright, fit);
  let spread = { first: 0, pitch: found.pitch };
  if (!counted && !oneOfSeveral && !upright) {
    spread = spreadRows(found, places, depth);
    // Where rows stand further apart there may be room for more words.
    found.pitch = spread.pitch;
    if (found.worded.length > 0) {
      growWords(found, apex, textFor(how), { ...searchRoom, depth: depth - spread.first }, grows);
      put(found, places, among, extent, upright, fit);
    }
  }
  const along = Float32Array.from(places.to, (to, r) => to - places.from[r]!);
  const grown = new Float32Array(data.count);
  const worded = new Uint8Array(data.count);
  for (const [k, height] of found.grown.entries()) grown[byApex[among[k]!]!] = height;
  for (const [k, lines] of found.worded.entries()) worded[byApex[among[k]!]!] = lines;
  const tallest = Math.max(lineOf(found.setting.type) + 2, ...places.h);
  const room = depth - spread.first - (counted ? countRoom : 0);
  const rows = Math.max(1, Math.floor((room + spread.pitch - tallest) / spread.pitch));
  if (counted)
    placeRest({ count: hi.length, hi, lo, along, order }, places, {
      rows,
      perRow: PER_ROW_REST,
      least: fit,
      most: largestScale(ground),
      centred: upright,
    });
  return {
    ...places,
    grown,
    worded,
    pitch: spread.pitch,
    drop: spread.first,
    rows,
    setting: found.setting,
    wordsWidth: wordsWidth(found.setting, how),
    counted,
  };
}

/** What was found, as the places of labels by rank; those without one have their size all the same. `among`: the rank of each. */
function put(
  { texts, placed }: Found,
  places: Places,
  among: readonly number[],
  extent: SearchRoom["extent"],
  upright: boolean,
  fit: number,
): void {
  for (const [k, t] of texts.entries()) {
    const r = among[k]!;
    places.from[r] = 0;
    places.to[r] = extent(t).along;
    places.h[r] = extent(t).across;
  }
  for (const p of placed) {
    const r = among[Number(p.id)]!;
    const along = places.to[r]!;
    places.z[r] = fit;
    places.row[r] = p.row;
    places.side[r] = p.side;
    places.shift[r] = p.shift;
    places.from[r] = places.shift[r]! + labelStart(p.side, along, upright);
    places.to[r] = places.from[r]! + along;
  }
}

/** How much of the room that is left over goes to the lines above the first row, and the most of it, px. */
const FIRST_SHARE = 0.3;
const FIRST_MOST = 84;
/** Rows move apart by up to this share of the tallest label. */
const APART_SHARE = 0.8;

/** Room that is left over below goes to the plumb lines: the first row hangs lower, and the others further from it. */
function spreadRows(found: Found, places: Places, depth: number): { first: number; pitch: number } {
  let last = -1;
  for (const k of places.row) last = Math.max(last, k);
  const { pitch } = found;
  if (last < 0) return { first: 0, pitch };
  let foot = 0;
  let tallest = 0;
  for (const [r, k] of places.row.entries()) {
    if (k < 0) continue;
    foot = Math.max(foot, k * pitch + places.h[r]!);
    tallest = Math.max(tallest, places.h[r]!);
  }
  const left = depth - foot;
  if (left <= 0) return { first: 0, pitch };
  const first = Math.min(FIRST_MOST, Math.floor(left * FIRST_SHARE));
  // Rows stand apart as far as they should already.
  if (found.lowered) return { first, pitch };
  let more = APART_SHARE * (found.stacked ? pitch : tallest);
  for (const [r, k] of places.row.entries())
    if (k > 0) more = Math.min(more, (depth - first - places.h[r]!) / k - pitch);
  return { first, pitch: pitch + Math.max(0, Math.floor(more)) };
}

/** More than SMALL events: placed once for all zooms, lines behind labels. */
export function placeMany<T extends Places>(
  { data, byApex, hi, lo, order, ground, depth, stretches }: BelowRidge,
  none: T,
) {
  const fit = fitScale(ground);
  const m = byApex.length;
  const { upright } = ground;
  const countRoom = upright ? COUNT_COLUMN : MORE_ROW;
  const frameWidth = upright ? widthForWords(depth - countRoom) : ground.size;
  const tall = upright || depth - countRoom >= 4 * (2 * LINE + 2 + 7);
  const usual = tall ? DENSE : DENSE_LOW;
  const { type } = data.held;
  const setting = type === null ? usual : { ...usual, type, most: Math.round((usual.most * type) / usual.type) };
  const line = lineOf(setting.type);
  const along = new Float32Array(m);
  const h = new Float32Array(m);
  let tallest = line + 2;
  for (let r = 0; r < m; r++) {
    const width = labelWidth(data, byApex[r]!, setting, frameWidth);
    const high = setting.oneLine || !data.dates[byApex[r]!] ? line + 2 : 2 * line + 2;
    along[r] = upright ? high : width;
    h[r] = upright ? width : high;
    tallest = Math.max(tallest, h[r]!);
  }
  const pitch = tallest + (upright ? 14 : setting.oneLine ? 4 : 7);
  const rows = Math.max(1, Math.floor((depth - countRoom + pitch - tallest) / pitch));
  const placed = placeOnce(
    { count: m, hi, lo, along, order },
    {
      rows,
      perRow: PER_ROW,
      least: fit,
      most: largestScale(ground),
      centred: upright,
      fits: (r, from, to) => {
        const x = ground.pad + (hi[r]! + lo[r]!) * fit;
        return stretches.some((s) => x + from >= s.from && x + to <= s.to);
      },
    },
  );
  // A label without a place has its width all the same, for a view at rest.
  for (let r = 0; r < m; r++) if (placed.row[r]! < 0) placed.to[r] = along[r]!;
  const counted = placed.z.some((z) => z > fit);
  return {
    ...none,
    ...placed,
    h,
    grown: new Float32Array(0),
    worded: new Uint8Array(0),
    pitch,
    drop: 0,
    rows,
    setting,
    wordsWidth: frameWidth,
    counted,
  };
}
