import type { Pattern } from "../../timeline/looks";

/** A repeated tile: lines as x, y, x, y, ... and dots as x, y, radius; drawn in white over the colour. */
export interface Tile {
  size: number;
  lines: number[][];
  dots: [number, number, number][];
  width: number;
}

export const PATTERN_OPACITY = 0.42;

export const TILES: Record<Exclude<Pattern, "solid">, Tile> = {
  slanted: {
    size: 8,
    lines: [
      [-2, 2, 2, -2],
      [0, 8, 8, 0],
      [6, 10, 10, 6],
    ],
    dots: [],
    width: 1.6,
  },
  dots: {
    size: 8,
    lines: [],
    dots: [
      [2, 2, 1.1],
      [6, 6, 1.1],
    ],
    width: 0,
  },
  waves: {
    size: 12,
    lines: [
      [0, 4, 3, 2, 6, 4, 9, 6, 12, 4],
      [0, 10, 3, 8, 6, 10, 9, 12, 12, 10],
    ],
    dots: [],
    width: 1.4,
  },
  grid: {
    size: 7,
    lines: [
      [0, 3.5, 7, 3.5],
      [3.5, 0, 3.5, 7],
    ],
    dots: [],
    width: 1,
  },
  uprights: { size: 6, lines: [[3, 0, 3, 6]], dots: [], width: 1.4 },
  steps: { size: 10, lines: [[0, 8, 5, 8, 5, 3, 10, 3]], dots: [], width: 1.3 },
  rings: {
    size: 10,
    lines: [[5, 2.5, 6.8, 3.2, 7.5, 5, 6.8, 6.8, 5, 7.5, 3.2, 6.8, 2.5, 5, 3.2, 3.2, 5, 2.5]],
    dots: [],
    width: 1.2,
  },
};
