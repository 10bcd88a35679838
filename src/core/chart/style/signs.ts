import { type ChartStyle, dateFace } from "../../looks/style";
import type { ChartData } from "../data/chart-data";
import { LINK, SOUND, VIDEO } from "../data/event-media";
import { RING, RING_ROOM, rectangle, SIGN_ROOM, SIGN_SIZE } from "./house-style";
import type { Shape } from "../draw/scene";

/** The small signs of what there is to see and hear, in the order they stand in, on a field of 14 by 14. */
const MEDIA_SIGNS: readonly [bit: number, shape: readonly number[][]][] = [
  // A sheet of film with a window that points on.
  [
    VIDEO,
    [
      [1, 2.5, 13, 2.5, 13, 4, 1, 4],
      [1, 10, 13, 10, 13, 11.5, 1, 11.5],
      [5, 4.8, 10, 7, 5, 9.2],
    ],
  ],
  // Loud and soft, one after the other.
  [
    SOUND,
    [
      [1.5, 5.5, 3, 5.5, 3, 8.5, 1.5, 8.5],
      [4.5, 3, 6, 3, 6, 11, 4.5, 11],
      [7.5, 1.5, 9, 1.5, 9, 12.5, 7.5, 12.5],
      [10.5, 4.5, 12, 4.5, 12, 9.5, 10.5, 9.5],
    ],
  ],
  // Two eyes of a chain.
  [
    LINK,
    [
      [1, 4, 6.5, 4, 6.5, 5.5, 2.5, 5.5, 2.5, 8.5, 6.5, 8.5, 6.5, 10, 1, 10],
      [7.5, 4, 13, 4, 13, 10, 7.5, 10, 7.5, 8.5, 11.5, 8.5, 11.5, 5.5, 7.5, 5.5],
      [4.5, 6.3, 9.5, 6.3, 9.5, 7.7, 4.5, 7.7],
    ],
  ],
];
const MEDIA_SIGN = 13;
const MEDIA_ROOM = 16;

/** How many small signs stand before an event's words. */
function mediaSigns(data: ChartData, i: number): number {
  const bits = data.media[i]! & (VIDEO | SOUND | LINK);
  return (bits & 1) + ((bits >> 1) & 1) + ((bits >> 2) & 1) + ((bits >> 3) & 1);
}

/** What letter, sign and small signs take before an event's words, px. */
export function markRoom(data: ChartData, i: number): number {
  return (
    (data.sign[i] ? SIGN_ROOM : 0) +
    (data.letters[i] ? RING_ROOM : 0) +
    MEDIA_ROOM * (data.media[i] ? mediaSigns(data, i) : 0)
  );
}

/** The sign of a video on its still, in the corner where it begins. */
export function drawStillSign(
  shapes: Shape[],
  { ink, paper }: ChartStyle,
  at: { x: number; y: number; h: number },
): void {
  const size = Math.max(12, Math.min(26, at.h * 0.3));
  const [x, y] = [at.x + 4, at.y + at.h - 4 - size];
  shapes.push({ kind: "area", points: rectangle(x, y, size, size), fill: ink, opacity: 0.86 });
  const k = size / 14;
  shapes.push({
    kind: "area",
    points: [x + 4.5 * k, y + 3 * k, x + 11 * k, y + 7 * k, x + 4.5 * k, y + 11 * k],
    fill: paper,
  });
}

const CORNERS = 20;

/** A letter in a ring, as it marks a detail on a builder's drawing. */
export function drawRing(
  shapes: Shape[],
  x: number,
  y: number,
  letter: string,
  colour: string,
  style: ChartStyle,
): void {
  const points: number[] = [];
  for (let k = 0; k < CORNERS; k++) {
    const a = (2 * Math.PI * k) / CORNERS;
    points.push(x + RING * Math.cos(a), y + RING * Math.sin(a));
  }
  shapes.push({ kind: "area", points, fill: style.paper, stroke: colour, strokeWidth: 1.75 });
  const size = letter.length > 1 ? 9.5 : 12;
  shapes.push({
    kind: "text",
    x,
    y: y + size * 0.36,
    text: letter,
    face: dateFace(style),
    size,
    fill: style.ink,
    align: "middle",
  });
}

/** An event's letter, sign and small signs, one after the other, in the room before its words; `middle` is the height of both. */
export function drawMarks(shapes: Shape[], data: ChartData, i: number, x: number, middle: number, fill: string): void {
  const letter = data.letters[i]!;
  const sign = data.sign[i]!;
  if (letter) drawRing(shapes, x + RING, middle, letter, data.looks[data.paint[i]!]!.colour, data.style);
  if (sign)
    shapes.push({
      kind: "sign",
      sign,
      x: x + (letter ? RING_ROOM : 0),
      y: middle - SIGN_SIZE / 2,
      size: SIGN_SIZE,
      stroke: fill,
    });
  let at = x + (letter ? RING_ROOM : 0) + (sign ? SIGN_ROOM : 0);
  const bits = data.media[i]!;
  if (bits === 0) return;
  for (const [bit, polygons] of MEDIA_SIGNS) {
    if (!(bits & bit)) continue;
    const k = MEDIA_SIGN / 14;
    for (const points of polygons)
      shapes.push({
        kind: "area",
        points: points.map((p, n) => (n % 2 === 0 ? at : middle - MEDIA_SIGN / 2) + p * k),
        fill,
      });
    at += MEDIA_ROOM;
  }
}
