import { cutToWidth, textWidth } from "../../text/measure";
import { type ChartData, EMPHASIS, OPEN_END, OPEN_START, UNCERTAIN } from "../data/chart-data";
import { typeFor } from "../labels/label-text";
import { rectangle, titleSize } from "../style/house-style";
import { patternOn } from "../style/patterns";
import { plateOf } from "../style/plates";
import { titleFace } from "../../looks/style";
import type { Shape, Target } from "./scene";
import { type ShownRoof, titleBox } from "../frame/shown";
import { drawMarks, drawStillSign, markRoom } from "../style/signs";
import { STILL } from "../data/event-media";
import { OVER_GAP } from "../roofs/titles-over";
import { PICTURE_AFTER, PICTURE_INSET } from "../roofs/roof-titles";

/** A roof lower than this carries no pattern. */
const PATTERN_FROM = 10;

export function drawRoof(shapes: Shape[], data: ChartData, r: ShownRoof, selected: boolean, frameWidth: number): void {
  const { colour, pattern } = data.looks[data.paint[r.i]!]!;
  const flags = data.flags[r.i]!;
  const hollow = (flags & UNCERTAIN) !== 0;
  const h = r.y1 - r.y0;
  const { done } = data;
  if (!Number.isNaN(done[r.i]!)) {
    drawDone(shapes, data, r, selected, frameWidth);
    return;
  }
  const plain = h < PATTERN_FROM && !hollow && !selected;
  const area = (points: number[], opacity?: number) =>
    shapes.push(
      // Of a crowd nearly all are like this.
      plain && opacity === undefined
        ? { kind: "area", points, fill: colour }
        : {
            kind: "area",
            points,
            fill: hollow ? data.style.paper : colour,
            ...(hollow || h < PATTERN_FROM ? {} : patternOn(data.style, pattern)),
            ...(hollow || selected
              ? { stroke: selected ? data.style.sun : colour, strokeWidth: selected ? 3 : 1.5 }
              : {}),
            ...(opacity === undefined ? {} : { opacity }),
          },
    );
  // Far outside the frame nothing is to be seen, and huge numbers trouble some painters.
  const clip = (x: number) => Math.max(-2_000, Math.min(frameWidth + 2_000, x));
  const [x0, x1, top0, top1] = [clip(r.x0), clip(r.x1), clip(r.top0), clip(r.top1)];
  // An open end runs out in slices that grow fainter.
  const run = Math.min(48, (x1 - x0) / 3);
  const [openStart, openEnd] = [(flags & OPEN_START) !== 0, (flags & OPEN_END) !== 0];
  const [a, b] = [openStart ? x0 + run : x0, openEnd ? x1 - run : x1];
  area([a, r.y1, openStart ? a : top0, r.y0, openEnd ? b : top1, r.y0, b, r.y1]);
  const SLICES = 6;
  for (let i = 0; i < SLICES && (openStart || openEnd); i++) {
    const w = run / SLICES;
    const opacity = 1 - (i + 1) / (SLICES + 1);
    if (openEnd) area(rectangle(b + i * w, r.y0, w, h), opacity);
    if (openStart) area(rectangle(a - (i + 1) * w, r.y0, w, h), opacity);
  }
}

/** A roof of which some is done: an outline, filled as far as that. */
function drawDone(shapes: Shape[], data: ChartData, r: ShownRoof, selected: boolean, frameWidth: number): void {
  const { colour, pattern } = data.looks[data.paint[r.i]!]!;
  const clip = (x: number) => Math.max(-2_000, Math.min(frameWidth + 2_000, x));
  const share = Math.max(0, Math.min(100, data.done[r.i]!)) / 100;
  const edge = r.x0 + (r.x1 - r.x0) * share;
  const outline = [clip(r.x0), r.y1, clip(r.top0), r.y0, clip(r.top1), r.y0, clip(r.x1), r.y1];
  shapes.push({ kind: "area", points: outline, fill: data.style.paper });
  if (share > 0) {
    // The slopes are cut where the filled part ends.
    const at = (x: number, from: number, to: number) =>
      to === from ? 0 : Math.max(0, Math.min(1, (x - from) / (to - from)));
    const up = at(edge, r.x0, r.top0);
    const down = at(edge, r.top1, r.x1);
    const filled = [clip(r.x0), r.y1, clip(Math.min(edge, r.top0)), r.y1 - (r.y1 - r.y0) * up];
    if (edge > r.top1) filled.push(clip(r.top1), r.y0);
    filled.push(clip(edge), edge > r.top1 ? r.y0 + (r.y1 - r.y0) * down : r.y1 - (r.y1 - r.y0) * up, clip(edge), r.y1);
    shapes.push({
      kind: "area",
      points: filled,
      fill: colour,
      ...(r.y1 - r.y0 < PATTERN_FROM ? {} : patternOn(data.style, pattern)),
    });
  }
  const points = [...outline, outline[0]!, outline[1]!];
  shapes.push({
    kind: "line",
    points,
    stroke: selected ? data.style.sun : colour,
    width: (selected ? 3 : 1.5) * data.style.lines,
  });
}

/** The type of a roof's title where the others have `type`, px. */
export function sizeOf(data: ChartData, i: number, type: number): number {
  return titleSize((data.flags[i]! & EMPHASIS) !== 0, typeFor(data, i, type));
}

/** What is written of a roof's title, which may be cut. */
export function titleText(data: ChartData, r: ShownRoof, type: number): string {
  const full = data.titles[r.i]!;
  const size = sizeOf(data, r.i, type);
  const cut = r.title?.cut ?? null;
  return cut === null ? full : cutToWidth(full, titleFace(data.style), size, cut - markRoom(data, r.i));
}

/** Where the picture of a span stands, along and across its ridge; null: it has none there. */
export function pictureOnRoof({ title, y0, y1 }: ShownRoof): { x: number; y: number; w: number; h: number } | null {
  if (!title || title.picture === 0) return null;
  return { x: title.x, y: y0 + PICTURE_INSET, w: title.picture, h: y1 - y0 - 2 * PICTURE_INSET };
}

/** The words of a roof, painted after all roofs so that none covers them; beside it on a `ground` that hides lines. */
export function drawTitle(shapes: Shape[], data: ChartData, r: ShownRoof, ground: boolean, type: number): void {
  const { title } = r;
  if (!title) return;
  const { colour, pattern } = data.looks[data.paint[r.i]!]!;
  const flags = data.flags[r.i]!;
  const hollow = (flags & UNCERTAIN) !== 0;
  const size = sizeOf(data, r.i, type);
  const lead = title.picture > 0 ? title.picture + PICTURE_AFTER : 0;
  const room = lead + markRoom(data, r.i);
  const text = titleText(data, r, type);
  const w = room + textWidth(text, titleFace(data.style), size);
  const filledTo = r.x0 + ((r.x1 - r.x0) * data.done[r.i]!) / 100;
  const part = filledTo < title.x + w + 4;
  const light = title.on && !hollow && !part;
  // A plain ground behind the words, so that no pattern runs through them.
  if (light && (pattern !== "solid" || ground))
    shapes.push({ kind: "area", points: rectangle(title.x - 4, r.y0 + 2, w + 8, r.y1 - r.y0 - 4), fill: colour });
  if (title.on && part)
    shapes.push({
      kind: "area",
      points: rectangle(title.x - 4, r.y0 + 3, w + 8, r.y1 - r.y0 - 6),
      fill: data.style.paper,
    });
  const box = titleBox(r, title);
  if (!title.on && ground)
    shapes.push({ kind: "area", points: rectangle(title.x - 3, box.y, w + 6, box.h), ...plateOf(data.style) });
  const middle = box.y + box.h / 2;
  const picture = pictureOnRoof(r);
  if (picture) {
    const focus = data.focus.get(r.i);
    const proportion = data.proportions[r.i]!;
    shapes.push({ kind: "picture", ...picture, item: data.pictures[r.i]!, proportion, ...(focus ? { focus } : {}) });
    if (data.media[r.i]! & STILL) drawStillSign(shapes, data.style, picture);
  }
  drawMarks(shapes, data, r.i, title.x + lead, middle, light ? data.style.paper : colour);
  shapes.push({
    kind: "text",
    x: title.x + room,
    y: middle + Math.round(size * 0.36 * 10) / 10,
    text,
    face: titleFace(data.style),
    size,
    fill: light ? data.style.paper : data.style.ink,
    align: "start",
  });
}

/** The line of a title over all roofs, from its own. */
export function drawOverLine(shapes: Shape[], data: ChartData, r: ShownRoof, selected: boolean): void {
  const over = r.title?.over;
  if (!over) return;
  const stroke = data.looks[data.paint[r.i]!]!.colour;
  shapes.push({ kind: "line", points: overLine(r, over), stroke, width: (selected ? 3 : 1.25) * data.style.lines });
}

/** Its points: from the roof up, to its own anchor where that is another, and along its title. */
export function overLine(
  r: ShownRoof,
  { from, at, bend, y }: NonNullable<NonNullable<ShownRoof["title"]>["over"]>,
): number[] {
  const bent = Math.abs(at - from) < 0.5 ? [] : [from, bend, at, bend - OVER_GAP + 1];
  return [from, r.y0, ...bent, at, y + 1];
}

export function roofTarget(r: ShownRoof, id: string): Target {
  const t = r.title;
  if (t?.over) {
    const also = { x: r.x0, y: r.y0, w: Math.max(8, r.x1 - r.x0), h: r.y1 - r.y0 };
    return { ids: [id], kind: "event", ...titleBox(r, t), also, name: "" };
  }
  const x = Math.min(r.x0, t ? t.x : r.x0);
  const to = Math.max(r.x1, t ? t.x + t.w : r.x1, x + 8);
  return { ids: [id], kind: "event", x, y: r.y0, w: to - x, h: r.y1 - r.y0, name: "" };
}
