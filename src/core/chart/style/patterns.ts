import type { ChartStyle } from "../../looks/style";
import type { Pattern, Texture } from "../../timeline/looks";
import type { PatternInk } from "../draw/scene";

/** A repeated tile: lines as x, y, x, y, ... and dots as x, y, radius; drawn in one ink over the colour. */
export interface Tile {
  size: number;
  lines: number[][];
  dots: [number, number, number][];
  width: number;
}

/** A pattern as the style draws it, to be spread into an area; nothing for none. */
export function patternOn({ pattern }: Pick<ChartStyle, "pattern">, name: Pattern): { pattern?: PatternInk } {
  return name === "solid" ? {} : { pattern: { name, ...pattern } };
}

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

/** Textures of the ground. */
export const TEXTURE_TILES: Record<Exclude<Texture, "">, Tile> = {
  linen: {
    size: 5,
    lines: [
      [0, 0.5, 5, 0.5],
      [0.5, 0, 0.5, 5],
    ],
    dots: [],
    width: 0.7,
  },
  stipple: {
    size: 23,
    lines: [],
    dots: [
      [2, 3, 0.8],
      [9, 1.5, 0.6],
      [16, 5, 0.9],
      [21, 11, 0.6],
      [5, 10, 0.6],
      [12, 12, 0.8],
      [18, 17, 0.7],
      [3, 18, 0.9],
      [9, 20, 0.6],
      [14, 21.5, 0.5],
    ],
    width: 0,
  },
  courses: {
    size: 48,
    lines: [
      [0, 0.5, 48, 0.5],
      [0, 24.5, 48, 24.5],
      [12, 0.5, 12, 24.5],
      [36, 24.5, 36, 48],
    ],
    dots: [],
    width: 1,
  },
  veins: {
    size: 64,
    lines: [
      [0, 6, 16, 4, 32, 7, 48, 9, 64, 6],
      [0, 17, 16, 19, 32, 16, 48, 15, 64, 17],
      [0, 29, 20, 27, 32, 30, 46, 32, 64, 29],
      [0, 43, 16, 45, 34, 42, 48, 41, 64, 43],
      [0, 54, 18, 52, 32, 56, 50, 57, 64, 54],
    ],
    dots: [],
    width: 0.9,
  },
  tiles: {
    size: 28,
    lines: [[0, 0, 0, 8, 7, 13, 14, 8, 21, 13, 28, 8, 28, 0]],
    dots: [],
    width: 0.9,
  },
};
