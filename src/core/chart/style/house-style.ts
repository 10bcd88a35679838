import { languageLike } from "../../language/asked-language";
import { drawnIn } from "../../words/chart";
import type { TimelineEvent } from "../../timeline/timeline";

export const RIDGE = 24;
export const FULL = { roof: 24, gap: 4, top: 14 };
/** Roofs where there is room for larger ones, from the largest down, with the type of their titles, px. */
export const LARGE_ROOFS = [
  // The highest two only where spans carry pictures.
  { roof: 60, gap: 8, type: 20, pictured: true },
  { roof: 52, gap: 7, type: 20, pictured: true },
  { roof: 44, gap: 7, type: 20 },
  { roof: 40, gap: 6, type: 18.5 },
  { roof: 36, gap: 6, type: 17 },
  { roof: 32, gap: 5, type: 16 },
  { roof: 28, gap: 5, type: 15 },
] as const;
/** The ridge that runs down is wide enough for short words across. */
export const UPRIGHT_RIDGE = 56;
export const UPRIGHT = { roof: 19, gap: 3, top: 6 };
export const STRIP = { roof: 9, gap: 2, top: 5 };
export const CAP = 14;
export const MARGIN = 20;
/** The small gable on each end of the ridge: how wide, how high its wall and how high all of it, px. */
export const GABLE = { width: 26, wall: 5, height: 12 };
/** Between it and the first or the last date, px. */
export const GABLE_GAP = 2;
export const BOB = 15;
export const FAN = 18;
export const SLOPE = 5;
export const FOOT = 10;
export const MORE_ROW = 24;

export const DATE_SIZE = 12.5;
export const TITLE_SIZE = 13.5;
export const LINE = 17;
/** What goes with titles of a type size: the date's size, and from line to line, px. */
export const dateSize = (type: number) => (type * DATE_SIZE) / TITLE_SIZE;
export const lineOf = (type: number) => Math.round((type * LINE) / TITLE_SIZE);

/** The size of a description's first words under a title of a type. */
export const wordsSize = (type: number) => Math.max(12, Math.round(type * 3.3) / 4);

/** Room for a sign before words, px. */
export const SIGN_ROOM = 19;
/** How large a sign is, px. */
export const SIGN_SIZE = 15.5;

/** Room for the letter of a close-up in its ring, px; and the ring's radius. */
export const RING_ROOM = 23;
export const RING = 9;

export function titleSize(important: boolean, type = TITLE_SIZE): number {
  return important ? type + 1 : type;
}

export function chartTitle(e: TimelineEvent, { language }: { language?: string } = {}): string {
  return e.shortTitle.trim() || e.title.trim() || drawnIn(languageLike(language)).untitled;
}

export function rectangle(x: number, y: number, w: number, h: number): number[] {
  return [x, y, x + w, y, x + w, y + h, x, y + h];
}

/** What counts take beside an upright chart, px. */
export const COUNT_COLUMN = 84;
