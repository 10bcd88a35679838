import { cutToWidth, textWidth } from "../text/measure";
import type { Timeline, TimelineEvent } from "../timeline/timeline";
import { roofEdges, type Axis } from "./axis";
import {
  chartTitle,
  type DrawOptions,
  INK,
  type Look,
  type Measures,
  PAPER,
  rectangle,
  SLOPE,
  SUN,
  TITLE_FACE,
  TITLE_SIZE,
} from "./house-style";
import type { Shape, Target } from "./scene";

export interface Roof {
  event: TimelineEvent;
  row: number;
  outer: [number, number];
  inner: [number, number];
  open: { start: boolean; end: boolean };
  title: { text: string; x: number; inside: boolean; align: "start" | "end" };
  taken: [number, number];
}

/** Lowest free row for each, in the order of the events; a title beside its roof counts as part of it. */
export function placeRoofs(
  _t: Timeline,
  spans: readonly TimelineEvent[],
  axis: Axis,
  toPx: (u: number) => number,
  frame: { width: number },
  options: DrawOptions,
): Roof[] {
  const rows: [number, number][][] = [];
  return spans.map((event) => {
    const { start, end } = roofEdges(event);
    const x0 = start ? toPx(axis.at(start[0])) : toPx(0);
    const x1 = end ? toPx(axis.at(end[1])) : toPx(1);
    const right = Math.max(x1, x0 + 8);
    const i0 = start ? Math.max(toPx(axis.at(start[1])), x0 + SLOPE) : x0;
    const i1 = end ? Math.min(toPx(axis.at(end[0])), right - SLOPE) : right;
    // Doubt at both ends that meets: the roof has a point instead of a flat top.
    const top: [number, number] = i0 <= i1 ? [i0, i1] : [(i0 + i1) / 2, (i0 + i1) / 2];
    const size = event.emphasis ? TITLE_SIZE + 1 : TITLE_SIZE;
    const full = chartTitle(event);
    const width = textWidth(full, TITLE_FACE, size);
    let title: Roof["title"];
    let taken: [number, number];
    const most = Math.min(300, frame.width - 40);
    if (options.strip) {
      title = { text: "", x: 0, inside: true, align: "start" };
      taken = [x0, right];
    } else if (width <= top[1] - top[0] - 12) {
      title = { text: full, x: top[0] + 7, inside: true, align: "start" };
      taken = [x0, right];
    } else {
      const text = cutToWidth(full, TITLE_FACE, size, most);
      const w = textWidth(text, TITLE_FACE, size);
      if (right + 6 + w <= frame.width - 4) {
        title = { text, x: right + 6, inside: false, align: "start" };
        taken = [x0, right + 6 + w];
      } else if (x0 - 6 - w >= 4) {
        title = { text, x: x0 - 6, inside: false, align: "end" };
        taken = [x0 - 6 - w, right];
      } else {
        // No room on either side: what fits of it stays on the roof.
        title = {
          text: cutToWidth(full, TITLE_FACE, size, Math.max(20, top[1] - top[0] - 12)),
          x: top[0] + 7,
          inside: true,
          align: "start",
        };
        taken = [x0, right];
      }
    }
    let row = rows.findIndex((list) => list.every(([a, b]) => taken[1] + 8 <= a || taken[0] >= b + 8));
    if (row < 0) row = rows.push([]) - 1;
    rows[row]!.push(taken);
    return { event, row, outer: [x0, right], inner: top, open: { start: !start, end: !end }, title, taken };
  });
}

export function drawRoof(
  shapes: Shape[],
  targets: Target[],
  roof: Roof,
  ridgeTop: number,
  sizes: Measures,
  look: Look,
  options: DrawOptions,
): void {
  const { event } = roof;
  const { colour, pattern } = look(event);
  const bottom = ridgeTop - sizes.gap - roof.row * (sizes.roof + sizes.gap);
  const top = bottom - sizes.roof;
  const [x0, x1] = roof.outer;
  const [i0, i1] = roof.inner;
  const selected = options.selected === event.id;
  const r = event.when.readAs;
  const hollow = r.kind === "span" && (r.start?.uncertain || r.end?.uncertain);
  const area = (points: number[], opacity?: number) =>
    shapes.push({
      kind: "area",
      points,
      fill: hollow ? PAPER : colour,
      ...(hollow ? {} : { pattern }),
      ...(hollow || selected ? { stroke: selected ? SUN : colour, strokeWidth: selected ? 3 : 1.5 } : {}),
      ...(opacity === undefined ? {} : { opacity }),
    });
  // An open end runs out in slices that grow fainter.
  const run = Math.min(48, (x1 - x0) / 3);
  const [a, b] = [roof.open.start ? x0 + run : x0, roof.open.end ? x1 - run : x1];
  area([a, bottom, roof.open.start ? a : i0, top, roof.open.end ? b : i1, top, b, bottom]);
  const SLICES = 6;
  for (let i = 0; i < SLICES; i++) {
    const w = run / SLICES;
    const opacity = 1 - (i + 1) / (SLICES + 1);
    if (roof.open.end) area(rectangle(b + i * w, top, w, sizes.roof), opacity);
    if (roof.open.start) area(rectangle(a - (i + 1) * w, top, w, sizes.roof), opacity);
  }
  const { title } = roof;
  if (title.text) {
    const size = event.emphasis ? TITLE_SIZE + 1 : TITLE_SIZE;
    const w = textWidth(title.text, TITLE_FACE, size);
    // A plain ground behind the words, so that no pattern runs through them.
    if (title.inside && !hollow && pattern !== "solid")
      shapes.push({ kind: "area", points: rectangle(title.x - 4, top + 2, w + 8, sizes.roof - 4), fill: colour });
    shapes.push({
      kind: "text",
      x: title.x,
      y: top + 17,
      text: title.text,
      face: TITLE_FACE,
      size,
      fill: title.inside && !hollow ? PAPER : INK,
      align: title.align,
    });
  }
  targets.push({
    ids: [event.id],
    kind: "event",
    x: roof.taken[0],
    y: top,
    w: roof.taken[1] - roof.taken[0],
    h: sizes.roof,
    name: "",
  });
}
