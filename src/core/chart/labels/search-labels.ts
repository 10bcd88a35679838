import { awayCost, growLabels, lowerLabels, type Placed, placeLabels, type Unplaced } from "./whole-search";
import { LINE, lineOf } from "../style/house-style";
import { GROWN, type LabelText, type Setting, withPicture, withWords, WORDED } from "./label-text";

/** What the next tighter setting costs, in the same measure as labels away from their moments: larger type and pictures come first. */
const TIGHTER = 12;
/** What a title cut short costs, more than any setting that cuts none; a date twice as much. */
const CUT = 200;

/** What it costs to leave a picture out, up to a limit. */
const NO_PICTURE = 5;
const NO_PICTURES = 40;
/** What it costs to show them lower than this, px, as if they were stamps. */
const STAMP = 84;
const STAMPED = 60;

/** So many settings are searched thoroughly. */
const TIGHTEST = 4;
const EFFORT = { quick: "quick", thorough: "all", counted: "most" } as const;

/** Up to so many labels each takes the height it needs, where the tallest is that many times as tall as the lowest. */
const MOST_STACKED = 30;
const STACKED_FROM = 1.25;
/** In rows at least so high, px, and no more of them than that. */
const LEAST_UNIT = 20;
const MOST_UNITS = 30;
/** Fuller than this, by area, nothing fits any more. */
const FULLEST = 0.8;
/** Up to this it is worth while to try all ways there are. */
const ROOMY = 0.5;

export interface Found {
  texts: LabelText[];
  placed: Placed[];
  pitch: number;
  /** The height of pictures that have grown, by rank, px; 0 for the others. */
  grown: number[];
  /** How many lines of first words stand under a title, by rank; 0 for none. */
  worded: number[];
  /** Every second label hangs lower than it must. */
  lowered: boolean;
  /** Labels take as many of the rows as they need, instead of one each. */
  stacked: boolean;
  setting: Setting;
}

/** Counted: some find no place, and their counts need room. */
export type How = "quick" | "thorough" | "counted";

export interface SearchRoom {
  /** Where labels may stand along the ridge, px; each moment is in one of them, or there is only one. */
  stretches: readonly { from: number; to: number }[];
  /** Across, from the first row on, px. */
  depth: number;
  /** What a label takes along and across. */
  extent: (t: LabelText) => { along: number; across: number };
  centred: boolean;
  /** What counts take of the depth, px. */
  countRoom: number;
  /** From the roomiest to the tightest. */
  settings: readonly Setting[];
  /** The first of them that may be chosen. */
  roomiest: number;
  /** Pictures may grow into room that is left. */
  picturesGrow: boolean;
}

/**
 * The best way to show the labels of a small timeline in a frame: settings from roomy to tight, each searched for a place
 * for all, weighed by what is cut, missing, or away from its moment. `apex` in px, ascending by rank; moments at one
 * instant have equal ones. `order`: ranks, the most important first, in which pictures grow into what room is left.
 */
export function searchLabels(
  apex: readonly number[],
  textOf: (rank: number, s: Setting) => LabelText,
  room: SearchRoom,
  how: How,
  order: readonly number[] = [],
): Found {
  const { stretches, settings } = room;
  const wanted = apex.filter((_, rank) => textOf(rank, settings[0]!).picture !== null).length;
  const size = stretches.reduce((sum, s) => sum + s.to - s.from + 8, 0);
  const home = (x: number) => stretches.findIndex((s) => stretches.length === 1 || (x >= s.from && x <= s.to));
  let best: Found | null = null;
  let bestCost = Number.POSITIVE_INFINITY;
  for (const [tightness, setting] of settings.entries()) {
    // Along a ridge that runs down, a picture over its words would take the room of two labels.
    if (tightness < room.roomiest || (setting.over && room.centred)) continue;
    // Where any arrangement shows all, one of the tightest does.
    if (how !== "quick" && tightness < settings.length - TIGHTEST) continue;
    // Even perfectly placed, a tighter setting would cost more than what has been found.
    if (bestCost <= tightness * TIGHTER) break;
    const texts = apex.map((_, rank) => textOf(rank, setting));
    const labels = unplaced(texts, apex, room);
    const tallest = Math.max(lineOf(setting.type) + 2, ...labels.map((l) => l.h));
    const usual = tallest + (room.centred ? 14 : setting.oneLine ? 4 : 9);
    const depth = room.depth - (how === "counted" ? room.countRoom : 0);
    if (tallest > depth && setting !== settings.at(-1)) continue;
    const rows = Math.max(1, Math.floor((depth + (usual - tallest)) / usual));
    const place = (within: { rows: number; pitch: number; depth?: number }, effort = EFFORT[how]) =>
      stretches.flatMap((s, k) =>
        placeLabels(
          stretches.length === 1 ? labels : labels.filter((l) => home(l.apex) === k),
          { from: s.from, to: s.to, ...within, centred: room.centred },
          effort,
        ),
      );
    const lowest = Math.min(...labels.map((l) => l.h));
    let placed: Placed[] | null = null;
    let pitch = usual;
    // Labels of very different heights fill the room best where each takes as much of it as it needs.
    const stacked =
      how === "quick" && !room.centred && labels.length <= MOST_STACKED && tallest > STACKED_FROM * lowest;
    if (stacked) {
      const area = labels.reduce((sum, l) => sum + (l.w + 14) * (l.h + 9), 0) / (depth * size);
      if (area <= FULLEST) {
        const unit = Math.max(LEAST_UNIT, Math.ceil(depth / MOST_UNITS));
        const within = { rows: Math.floor(depth / unit), pitch: unit, depth };
        placed = place(within);
        if (placed.length < labels.length && area <= ROOMY) placed = place(within, "all");
        pitch = unit;
      }
    }
    if (!placed || placed.length < labels.length) {
      // More words than the rows hold in all: a tighter setting is needed, if there is one.
      const fill = labels.reduce((sum, l) => sum + l.w + 14, 0) / (rows * size);
      if (fill > 1 && setting !== settings.at(-1)) continue;
      const inRows = place({ rows, pitch: usual });
      if (!placed || inRows.length >= placed.length) {
        placed = inRows;
        pitch = usual;
      }
    }
    const away = placed.reduce((sum, p) => sum + awayCost(p.shift), 0);
    const cut = texts.reduce(
      (sum, t) => sum + (t.lines.at(-1)?.endsWith("…") ? CUT : 0) + (t.date.endsWith("…") ? 2 * CUT : 0),
      0,
    );
    const stamped = setting.picture < STAMP && room.picturesGrow && wanted > 0 ? STAMPED : 0;
    const left = stamped + (setting.picture > 0 ? 0 : Math.min(NO_PICTURES, wanted * NO_PICTURE));
    const cost = tightness * TIGHTER + left + away + cut + (labels.length - placed.length) * 1_000;
    if (cost < bestCost) {
      bestCost = cost;
      best = { texts, placed, pitch, grown: [], worded: [], lowered: false, stacked: pitch !== usual, setting };
    }
  }
  const growing = how === "quick" && !room.centred && apex.length <= MOST_STACKED;
  if (best && growing && best.placed.length === apex.length) grow(best, apex, textOf, room, order);
  return (
    best ?? {
      texts: [],
      placed: [],
      pitch: LINE + 11,
      grown: [],
      worded: [],
      lowered: false,
      stacked: false,
      setting: settings[0]!,
    }
  );
}

const idOf = (rank: number) => String(rank).padStart(6, "0");

/** Labels that want a place, by rank. */
function unplaced(
  texts: readonly LabelText[],
  apex: readonly number[],
  { extent }: Pick<SearchRoom, "extent">,
): Unplaced[] {
  return texts.map((t, rank) => {
    const { along, across } = extent(t);
    return { id: idOf(rank), apex: apex[rank]!, w: along, h: across };
  });
}

/** Pictures grow singly into the room that is left, the important first; then first words of descriptions. Changes what was found. */
function grow(
  found: Found,
  apex: readonly number[],
  textOf: (rank: number, s: Setting) => LabelText,
  room: SearchRoom,
  order: readonly number[],
): void {
  const { setting, texts } = found;
  found.grown = texts.map(() => 0);
  found.worded = texts.map(() => 0);
  const heights = room.picturesGrow ? GROWN.filter((h) => h > setting.picture) : [];
  const larger = (r: number) => (texts[r]!.picture ? heights.map((h) => textOf(r, withPicture(setting, h))) : []);
  growTo(found, apex, room, order, larger, (r, n) => {
    found.grown[r] = heights[n]!;
  });
  lower(found, apex, room);
  growWords(found, apex, textOf, room, order);
}

/** Where labels take less of the depth than this, every second one hangs lower. */
const SHALLOW = 0.66;
/** ... to about this share of it. */
const LOWER_TO = 0.78;

/** Where much of the depth is empty, plumb lines get different lengths. Changes what was found. */
function lower(found: Found, apex: readonly number[], { stretches, extent, depth }: SearchRoom): void {
  const { texts, placed, pitch } = found;
  let foot = 0;
  for (const p of placed) foot = Math.max(foot, p.row * pitch + extent(texts[Number(p.id)]!).across);
  if (foot > SHALLOW * depth || stretches.length !== 1) return;
  const { from, to } = stretches[0]!;
  const labels = unplaced(texts, apex, { extent });
  const least = Math.max(...labels.map((l) => l.h));
  const within = Math.min(depth, Math.max(LOWER_TO * depth, foot + pitch, 2 * least));
  lowerLabels(labels, placed, { from, to, rows: Math.floor(within / pitch), pitch, centred: false, depth: within });
  found.lowered = true;
}

/** First words of descriptions stand under titles where there is room left, the important first. Changes what was found. */
export function growWords(
  found: Found,
  apex: readonly number[],
  textOf: (rank: number, s: Setting) => LabelText,
  room: SearchRoom,
  order: readonly number[],
): void {
  const { setting, texts, grown, worded } = found;
  const now = (r: number) => (grown[r]! > 0 ? withPicture(setting, grown[r]!) : setting);
  // All there is in one line is worth it; one line of more is not.
  const worth = (t: LabelText) => t.words.length > 1 || (t.words.length === 1 && !t.words[0]!.endsWith("…"));
  growTo(
    found,
    apex,
    room,
    order,
    (r) =>
      WORDED.filter((n) => n > worded[r]!)
        .map((n) => textOf(r, withWords(now(r), n)))
        .filter((t) => worth(t) && t.words.length > worded[r]!),
    (r) => {
      worded[r] = texts[r]!.words.length;
    },
  );
}

/** Gives each label the first of its larger texts that has room; whoever gets one is told, with the number of that. */
function growTo(
  { texts, placed, pitch }: Found,
  apex: readonly number[],
  { stretches, extent, depth }: SearchRoom,
  order: readonly number[],
  larger: (rank: number) => LabelText[],
  took: (rank: number, n: number) => void,
): void {
  const boxOf = (t: LabelText) => {
    const { along, across } = extent(t);
    return { w: along, h: across };
  };
  for (const s of stretches) {
    const isHere = (x: number) => stretches.length === 1 || (x >= s.from && x <= s.to);
    const ranks = [...apex.keys()].filter((r) => isHere(apex[r]!));
    const ids = new Set(ranks.map(idOf));
    const variants = new Map(ranks.map((r) => [idOf(r), larger(r)]));
    const sizes = growLabels(
      ranks.map((r): Unplaced => ({ id: idOf(r), apex: apex[r]!, ...boxOf(texts[r]!) })),
      placed.filter((p) => ids.has(p.id)),
      { from: s.from, to: s.to, rows: Math.floor(depth / pitch), pitch, centred: false, depth },
      order.map(idOf),
      (id) => (variants.get(id) ?? []).map(boxOf),
    );
    for (const [id, n] of sizes) {
      const r = Number(id);
      texts[r] = variants.get(id)![n]!;
      took(r, n);
    }
  }
}
