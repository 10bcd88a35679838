import { cutToWidth, textWidth } from "../text/measure";
import { type ChartData, EMPHASIS, OPEN_END, OPEN_START, UNCERTAIN } from "./chart-data";
import { INK, PAPER, rectangle, SIGN_ROOM, SUN, TITLE_FACE, titleSize } from "./house-style";
import type { Shape, Target } from "./scene";
import type { ShownRoof } from "./shown";
import { signAt } from "./signs";

/** A roof lower than this carries no pattern. */
const PATTERN_FROM = 10;

export function drawRoof(shapes: Shape[], data: ChartData, r: ShownRoof, selected: boolean, frameWidth: number): void {
  const { colour, pattern } = data.looks[data.look[r.i]!]!;
  const flags = data.flags[r.i]!;
  const hollow = (flags & UNCERTAIN) !== 0;
  const h = r.y1 - r.y0;
  const area = (points: number[], opacity?: number) =>
    shapes.push({
      kind: "area",
      points,
      fill: hollow ? PAPER : colour,
      ...(hollow || h < PATTERN_FROM || pattern === "solid" ? {} : { pattern }),
      ...(hollow || selected ? { stroke: selected ? SUN : colour, strokeWidth: selected ? 3 : 1.5 } : {}),
      ...(opacity === undefined ? {} : { opacity }),
    });
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

/** What is written of a roof's title, which may be cut. */
export function titleText(data: ChartData, r: ShownRoof): string {
  const full = data.titles[r.i]!;
  const size = titleSize((data.flags[r.i]! & EMPHASIS) !== 0);
  const cut = r.title?.cut ?? null;
  return cut === null ? full : cutToWidth(full, TITLE_FACE, size, cut - (data.sign[r.i] ? SIGN_ROOM : 0));
}

/** The words of a roof, painted after all roofs so that none covers them; beside it on a `ground` that hides lines. */
export function drawTitle(shapes: Shape[], data: ChartData, r: ShownRoof, ground: boolean): void {
  const { title } = r;
  if (!title) return;
  const { colour, pattern } = data.looks[data.look[r.i]!]!;
  const flags = data.flags[r.i]!;
  const hollow = (flags & UNCERTAIN) !== 0;
  const size = titleSize((flags & EMPHASIS) !== 0);
  const sign = data.sign[r.i]!;
  const room = sign ? SIGN_ROOM : 0;
  const text = titleText(data, r);
  const w = room + textWidth(text, TITLE_FACE, size);
  const light = title.on && !hollow;
  // A plain ground behind the words, so that no pattern runs through them.
  if (light && pattern !== "solid")
    shapes.push({ kind: "area", points: rectangle(title.x - 4, r.y0 + 2, w + 8, r.y1 - r.y0 - 4), fill: colour });
  if (!title.on && ground)
    shapes.push({ kind: "area", points: rectangle(title.x - 3, r.y0, w + 6, r.y1 - r.y0), fill: PAPER });
  const middle = (r.y0 + r.y1) / 2;
  if (sign)
    for (const points of signAt(sign, title.x, middle - 7, 14))
      shapes.push({ kind: "area", points, fill: light ? PAPER : colour });
  shapes.push({
    kind: "text",
    x: title.x + room,
    y: middle + 5,
    text,
    face: TITLE_FACE,
    size,
    fill: light ? PAPER : INK,
    align: "start",
  });
}

export function roofTarget(r: ShownRoof, id: string): Target {
  const t = r.title;
  const x = Math.min(r.x0, t ? t.x : r.x0);
  const to = Math.max(r.x1, t ? t.x + t.w : r.x1, x + 8);
  return { ids: [id], kind: "event", x, y: r.y0, w: to - x, h: r.y1 - r.y0, name: "" };
}
