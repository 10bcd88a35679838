import type { Face } from "../../text/measure";
import type { Pattern } from "../../timeline/looks";

/** What the painters draw, in this order. All lengths in px; points are x, y, x, y, ... */
export type Shape = {
  /** Belongs to a label that was added to a view at rest: a painter may let it come in slowly. */
  added?: true;
} & (
  | {
      kind: "area";
      points: number[];
      fill: string;
      pattern?: Pattern;
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
  | { kind: "picture"; x: number; y: number; w: number; h: number; item: string }
);

/** The sizes in which a picture is kept that a drawing uses. */
export type PictureSize = "small" | "medium";
/** A picture whose longer side is drawn longer than this, px, is not sharp in its smallest size. */
const SMALL_ENOUGH = 150;

export function sizeFor(s: { w: number; h: number }): PictureSize {
  return Math.max(s.w, s.h) > SMALL_ENOUGH ? "medium" : "small";
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
  /** What a screen reader says. */
  name: string;
}

export interface Scene {
  width: number;
  height: number;
  shapes: Shape[];
  targets: Target[];
  /** Middle of the ridge, from the top. */
  ridgeY: number;
}
