import { awayCost, type Unplaced, type Placed, placeLabels } from "./whole-search";
import { LINE, lineOf } from "../style/house-style";
import { type LabelText, type Setting, SETTINGS } from "./label-text";

/** What the next tighter setting costs, in the same measure as labels away from their moments. */
const TIGHTER = 6;
/** What a title cut short costs; a date twice as much. */
const CUT = 5;

/** What it costs to leave a picture out, up to a limit. */
const NO_PICTURE = 5;
const NO_PICTURES = 40;

/** So many settings are searched thoroughly. */
const TIGHTEST = 4;
const EFFORT = { quick: "quick", thorough: "all", counted: "most" } as const;

export interface Found {
  texts: LabelText[];
  placed: Placed[];
  pitch: number;
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
  /** The first of `SETTINGS` that may be chosen. */
  roomiest: number;
}

/**
 * The best way to show the labels of a small timeline in a frame: settings from roomy to tight, each searched for a place
 * for all, weighed by what is cut, missing, or away from its moment. `apex` in px, ascending by rank; moments at one
 * instant have equal ones.
 */
export function searchLabels(
  apex: readonly number[],
  textOf: (rank: number, s: Setting) => LabelText,
  room: SearchRoom,
  how: How,
): Found {
  const wanted = apex.filter((_, rank) => textOf(rank, SETTINGS[0]!).picture !== null).length;
  const { stretches } = room;
  const size = stretches.reduce((sum, s) => sum + s.to - s.from + 8, 0);
  const home = (x: number) => stretches.findIndex((s) => stretches.length === 1 || (x >= s.from && x <= s.to));
  let best: Found | null = null;
  let bestCost = Number.POSITIVE_INFINITY;
  for (const [tightness, setting] of SETTINGS.entries()) {
    if (tightness < room.roomiest) continue;
    // Where any arrangement shows all, one of the tightest does.
    if (how !== "quick" && tightness < SETTINGS.length - TIGHTEST) continue;
    // Even perfectly placed, a tighter setting would cost more than what has been found.
    if (bestCost <= tightness * TIGHTER) break;
    const texts = apex.map((_, rank) => textOf(rank, setting));
    const labels = texts.map((t, rank): Unplaced => {
      const { along, across } = room.extent(t);
      return { id: String(rank).padStart(6, "0"), apex: apex[rank]!, w: along, h: across };
    });
    const tallest = Math.max(lineOf(setting.type) + 2, ...labels.map((l) => l.h));
    const pitch = tallest + (room.centred ? 14 : setting.oneLine ? 4 : 9);
    const depth = room.depth - (how === "counted" ? room.countRoom : 0);
    if (tallest > depth && setting !== SETTINGS.at(-1)) continue;
    const rows = Math.max(1, Math.floor((depth + (pitch - tallest)) / pitch));
    // More words than the rows hold in all: a tighter setting is needed, if there is one.
    const fill = labels.reduce((sum, l) => sum + l.w + 14, 0) / (rows * size);
    if (fill > 1 && setting !== SETTINGS.at(-1)) continue;
    const placed = stretches.flatMap((s, k) =>
      placeLabels(
        stretches.length === 1 ? labels : labels.filter((l) => home(l.apex) === k),
        { from: s.from, to: s.to, rows, pitch, centred: room.centred },
        EFFORT[how],
      ),
    );
    const away = placed.reduce((sum, p) => sum + awayCost(p.shift), 0);
    const cut = texts.reduce(
      (sum, t) => sum + (t.lines.at(-1)?.endsWith("…") ? CUT : 0) + (t.date.endsWith("…") ? 2 * CUT : 0),
      0,
    );
    const left = setting.picture > 0 ? 0 : Math.min(NO_PICTURES, wanted * NO_PICTURE);
    const cost = tightness * TIGHTER + left + away + cut + (labels.length - placed.length) * 1_000;
    if (cost < bestCost) {
      bestCost = cost;
      best = { texts, placed, pitch, setting };
    }
  }
  return best ?? { texts: [], placed: [], pitch: LINE + 11, setting: SETTINGS[0]! };
}
