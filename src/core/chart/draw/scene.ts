import type { Face } from "../../text/measure";
import type { Backdrop } from "../../looks/style";
import type { Pattern, Sign } from "../../timeline/looks";

/** A pattern, and how it is drawn: its ink, how strongly, and how coarse. */
export interface PatternInk {
  name: Exclude<Pattern, "solid">;
  ink: string;
  opacity: number;
  scale: number;
}

/** What the painters draw, in this order. All lengths in px; points are x, y, x, y, ... */
export type Shape = {
  /** Belongs to a label that was added to a view at rest: a painter may let it come in slowly. */
  added?: true;
} & (
  | {
      kind: "area";
      points: number[];
      fill: string;
      /** Drawn over the fill as the style has patterns. */
      pattern?: PatternInk;
      stroke?: string;
      strokeWidth?: number;
      opacity?: number;
    }
  | { kind: "line"; points: number[]; stroke: string; width: number; dash?: [number, number] }
  | {
      kind: "text";
      x: number;
      y: number;
      text: string;
      face: Face;
      size: number;
      fill: string;
      align: "start" | "middle" | "end";
      /** Reads upwards: turned a quarter about x, y. */
      turned?: true;
    }
  | {
      /** One of the signs, on a square field. */
      kind: "sign";
      sign: Exclude<Sign, "">;
      x: number;
      y: number;
      size: number;
      stroke: string;
    }
  | {
      kind: "picture";
      x: number;
      y: number;
      w: number;
      h: number;
      item: string;
      /** What of it is to be seen where it is cropped, percent; left out: the middle. */
      focus?: { x: number; y: number };
      /** Its own width by its height; 0 where that is not known. */
      proportion: number;
    }
);

/** The sizes in which a picture is kept that a drawing uses. */
export type PictureSize = "small" | "medium";
/** A picture whose longer side is drawn longer than this, px, is not sharp in its smallest size. */
const SMALL_ENOUGH = 150;

export function sizeFor(s: { w: number; h: number }): PictureSize {
  return Math.max(s.w, s.h) > SMALL_ENOUGH ? "medium" : "small";
}

/** Which stretch of a picture fills a place when it is cropped, in shares of its width or height: [from, size]. */
export function cropOf(
  s: { w: number; h: number; focus?: { x: number; y: number } },
  proportion: number,
): { x: [number, number]; y: [number, number] } {
  const wanted = s.w / s.h;
  const [w, h] = proportion > wanted ? [wanted / proportion, 1] : [1, proportion / wanted];
  const { x, y } = s.focus ?? { x: 50, y: 50 };
  const from = (size: number, at: number) => Math.max(0, Math.min(1 - size, at / 100 - size / 2));
  return { x: [from(w, x), w], y: [from(h, y), h] };
}

/** A place that can be pointed at: an event, or a cluster of events that found no room. */
export interface Target {
  ids: string[];
  /** An event, a count of events, the name of a row, or the letter of a close-up. */
  kind: "event" | "more" | "lane" | "close-up";
  x: number;
  y: number;
  w: number;
  h: number;
  /** Belongs to it too: the roof of a title that stands over all roofs. */
  also?: { x: number; y: number; w: number; h: number };
  /** What a screen reader says. */
  name: string;
}

export interface Scene {
  width: number;
  height: number;
  shapes: Shape[];
  targets: Target[];
  /** What lies behind all of it. */
  backdrop: Backdrop;
  /** Middle of the ridge, from the top. */
  ridgeY: number;
}

/** Moves the shapes from an index on. */
export function moveShapes(shapes: Shape[], from: number, x: number, y: number): void {
  if (x === 0 && y === 0) return;
  for (let n = from; n < shapes.length; n++) {
    const s = shapes[n]!;
    if (s.kind === "area" || s.kind === "line")
      for (let k = 0; k < s.points.length; k++) s.points[k]! += k % 2 === 0 ? x : y;
    else {
      s.x += x;
      s.y += y;
    }
  }
}
