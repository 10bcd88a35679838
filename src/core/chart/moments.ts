import { cutToWidth, textWidth, wrap, type Face } from "../text/measure";
import { whenLabel } from "../time/write-when";
import { itemsOf, type Timeline, type TimelineEvent } from "../timeline/timeline";
import { drawnExtent, type Axis } from "./axis";
import {
  BOB,
  chartTitle,
  DATE_FACE,
  DATE_SIZE,
  type DrawOptions,
  FAN,
  INK,
  LINE,
  type Look,
  MORE_ROW,
  PAPER,
  QUIET,
  rectangle,
  RIDGE,
  SUN,
  TITLE_FACE,
  TITLE_SIZE,
  WASH,
} from "./house-style";
import { awayCost, placeLabels, type Hanging, type Placed } from "./place-labels";
import type { Shape, Target } from "./scene";

/** How labels are set, from the roomiest to the tightest; the first in which all find a place is used. */
const SETTINGS = [
  { most: 158, lines: 3, picture: 40, oneLine: false },
  { most: 150, lines: 2, picture: 36, oneLine: false },
  { most: 140, lines: 2, picture: 0, oneLine: false },
  { most: 118, lines: 2, picture: 0, oneLine: false },
  { most: 190, lines: 1, picture: 0, oneLine: false },
  { most: 260, lines: 1, picture: 0, oneLine: true },
  { most: 190, lines: 1, picture: 0, oneLine: true },
  { most: 120, lines: 1, picture: 0, oneLine: true },
] as const;
/** What the next tighter setting costs, in the same measure as labels away from their moments. */
const TIGHTER = 6;
/** What a title cut short costs; a date twice as much. */
const CUT = 5;
type Setting = (typeof SETTINGS)[number];

interface Label extends Hanging {
  event: TimelineEvent;
  date: string;
  lines: string[];
  picture: string | null;
}

interface Chosen {
  labels: Label[];
  placed: Placed[];
  pitch: number;
  setting: Setting;
}

export const NO_LABELS: Chosen = { labels: [], placed: [], pitch: 0, setting: SETTINGS[0] };

export function chooseLabels(
  timeline: Timeline,
  moments: readonly TimelineEvent[],
  axis: Axis,
  toPx: (u: number) => number,
  width: number,
  roomHeight: number,
): Chosen {
  let best: Chosen | null = null;
  let bestCost = Number.POSITIVE_INFINITY;
  for (const [tightness, setting] of SETTINGS.entries()) {
    // Even perfectly placed, a tighter setting would cost more than what has been found.
    if (bestCost <= tightness * TIGHTER) break;
    const labels = moments.map((e) => makeLabel(timeline, e, toPx(axis.apexOf(e)), setting, width));
    const tallest = Math.max(LINE + 2, ...labels.map((l) => l.h));
    const pitch = tallest + (setting.oneLine ? 4 : 9);
    const rows = Math.max(1, Math.floor((roomHeight + 10) / pitch));
    // More words than the rows hold in all: a tighter setting is needed, if there is one.
    const fill = labels.reduce((sum, l) => sum + l.w + 14, 0) / (rows * width);
    if (fill > 1 && setting !== SETTINGS.at(-1)) continue;
    let placed = placeLabels(labels, { from: 4, to: width - 4, rows, pitch });
    // What found no room is counted at the foot, which then belongs to the counts.
    if (placed.length < labels.length)
      placed = placed.filter((p) => p.row * pitch + tallest + LINE < roomHeight - MORE_ROW);
    const apex = new Map(labels.map((l) => [l.id, l.apex]));
    const away = placed.reduce((sum, p) => sum + awayCost(p.anchor - apex.get(p.id)!), 0);
    const cut = labels.reduce(
      (sum, l) => sum + (l.lines.at(-1)?.endsWith("…") ? CUT : 0) + (l.date.endsWith("…") ? 2 * CUT : 0),
      0,
    );
    const cost = tightness * TIGHTER + away + cut + (labels.length - placed.length) * 1_000;
    if (cost < bestCost) {
      bestCost = cost;
      best = { labels, placed, pitch, setting };
    }
  }
  return best ?? NO_LABELS;
}

function makeLabel(timeline: Timeline, e: TimelineEvent, apex: number, s: Setting, frameWidth: number): Label {
  const size = e.emphasis ? TITLE_SIZE + 1 : TITLE_SIZE;
  const most = Math.min(s.most, frameWidth * 0.42);
  const date = whenLabel(e.when, timeline.dateStyle);
  const title = chartTitle(e);
  const picture =
    s.picture > 0 ? (itemsOf(timeline, e.id, "media").find((i) => i.kind === "picture")?.id ?? null) : null;
  if (s.oneLine) {
    const dateCut = cutToWidth(date, DATE_FACE, DATE_SIZE, most * 0.6);
    const dateWidth = dateCut ? textWidth(dateCut, DATE_FACE, DATE_SIZE) + 6 : 0;
    const line = cutToWidth(title, TITLE_FACE, size, most - dateWidth);
    return {
      id: e.id,
      event: e,
      apex,
      w: dateWidth + textWidth(line, TITLE_FACE, size),
      h: LINE + 2,
      date: dateCut,
      lines: [line],
      picture: null,
    };
  }
  const dateCut = cutToWidth(date, DATE_FACE, DATE_SIZE, Math.max(most, 150));
  const lines = wrap(title, TITLE_FACE, size, most, s.lines);
  const textW = Math.max(textWidth(dateCut, DATE_FACE, DATE_SIZE), ...lines.map((l) => textWidth(l, TITLE_FACE, size)));
  const textH = (dateCut ? LINE : 0) + lines.length * LINE;
  return {
    id: e.id,
    event: e,
    apex,
    w: Math.ceil(textW + (picture ? s.picture + 8 : 0)),
    h: Math.max(textH, picture ? s.picture : 0) + 2,
    date: dateCut,
    lines,
    picture,
  };
}

export function drawLine(
  shapes: Shape[],
  e: TimelineEvent,
  apex: number,
  p: Placed | undefined,
  label: Label | undefined,
  pitch: number,
  ridgeTop: number,
  look: Look,
  options: DrawOptions,
): void {
  if (!p || !label) return;
  const y0 = ridgeTop + RIDGE + BOB - 2;
  const y1 = ridgeTop + RIDGE + BOB + FAN;
  const foot = y1 + p.row * pitch + label.h;
  const selected = options.selected === e.id;
  const points = Math.abs(p.anchor - apex) < 0.5 ? [apex, y0, apex, foot] : [apex, y0, p.anchor, y1, p.anchor, foot];
  shapes.push({ kind: "line", points, stroke: look(e).colour, width: selected ? 3 : e.emphasis ? 2 : 1.25 });
}

/** How much of the ridge a bob takes; the broad are painted first, so that they hide nothing. */
export function bobWidth(e: TimelineEvent, axis: Axis): number {
  const r = e.when.readAs;
  if (r.kind !== "moment" || axis.scale === "even") return 0;
  const [from, to] = drawnExtent(r.at, e);
  return axis.at(to) - axis.at(from);
}

/** The tip in the middle of what is known, the top as wide as that; hollow when marked uncertain. */
export function drawBob(
  shapes: Shape[],
  targets: Target[],
  e: TimelineEvent,
  axis: Axis,
  toPx: (u: number) => number,
  ridgeTop: number,
  look: Look,
  options: DrawOptions,
  hasLabel: boolean,
): void {
  const { colour, pattern } = look(e);
  const y = ridgeTop + RIDGE;
  const apex = toPx(axis.apexOf(e));
  const r = e.when.readAs;
  let [a, b] = [apex, apex];
  if (r.kind === "moment" && axis.scale !== "even") {
    const [from, to] = drawnExtent(r.at, e);
    a = toPx(axis.at(from));
    b = toPx(axis.at(to));
  }
  const half = e.emphasis ? 6 : 4.5;
  const [x0, x1] = [Math.min(a, apex - half), Math.max(b, apex + half)];
  const hollow = r.kind === "moment" && r.at.uncertain;
  const undated = r.kind === "undated" || r.kind === "not_understood";
  if (undated)
    shapes.push({
      kind: "area",
      points: [apex, y + 1, apex + 6, y + 7, apex, y + 13, apex - 6, y + 7],
      fill: PAPER,
      stroke: colour,
      strokeWidth: 1.75,
    });
  else
    shapes.push({
      kind: "area",
      points: [x0, y, x1, y, apex, y + BOB],
      fill: hollow ? PAPER : colour,
      ...(hollow ? { stroke: colour, strokeWidth: 1.75 } : x1 - x0 > 16 ? { pattern } : {}),
      ...(options.selected === e.id ? { stroke: SUN, strokeWidth: 2.5 } : {}),
    });
  if (!hasLabel) targets.push({ ids: [e.id], kind: "event", x: apex - 8, y, w: 16, h: BOB + 4, name: "" });
}

export function drawLabel(
  shapes: Shape[],
  targets: Target[],
  l: Label,
  p: Placed,
  pitch: number,
  s: Setting,
  top: number,
  look: Look,
  options: DrawOptions,
): void {
  const e = l.event;
  const y = top + p.row * pitch;
  const x = p.side === 1 ? p.anchor + 6 : p.anchor - 6 - l.w;
  const selected = options.selected === e.id;
  shapes.push({
    kind: "area",
    points: rectangle(x - 4, y - 2, l.w + 8, l.h + 4),
    fill: selected ? WASH : PAPER,
    ...(selected ? { stroke: SUN, strokeWidth: 2 } : {}),
  });
  const size = e.emphasis ? TITLE_SIZE + 1 : TITLE_SIZE;
  const align = p.side === 1 ? "start" : "end";
  let edge = p.side === 1 ? x : x + l.w;
  if (l.picture) {
    shapes.push({
      kind: "picture",
      x: p.side === 1 ? x : x + l.w - s.picture,
      y: y + 1,
      w: s.picture,
      h: s.picture,
      item: l.picture,
    });
    edge += p.side * (s.picture + 8);
  }
  const colour = look(e).colour;
  const put = (
    text: string,
    tx: number,
    ty: number,
    face: Face,
    at: number,
    fill: string,
    to: "start" | "end" = align,
  ) => shapes.push({ kind: "text", x: tx, y: ty, text, face, size: at, fill, align: to });
  if (s.oneLine) {
    if (l.date) put(l.date, x, y + 14, DATE_FACE, DATE_SIZE, colour, "start");
    put(
      l.lines[0] ?? "",
      x + (l.date ? textWidth(l.date, DATE_FACE, DATE_SIZE) + 6 : 0),
      y + 14,
      TITLE_FACE,
      size,
      INK,
      "start",
    );
  } else {
    let ty = y + 13;
    if (l.date) {
      put(l.date, edge, ty, DATE_FACE, DATE_SIZE, colour);
      ty += LINE;
    }
    for (const line of l.lines) {
      put(line, edge, ty, TITLE_FACE, size, INK);
      ty += LINE;
    }
  }
  targets.push({ ids: [e.id], kind: "event", x: x - 4, y: y - 2, w: l.w + 8, h: l.h + 4, name: "" });
}

/** What found no room is counted at the foot of the drawing, in stretches as wide as a count needs. */
export function drawMore(
  shapes: Shape[],
  targets: Target[],
  left: readonly TimelineEvent[],
  axis: Axis,
  toPx: (u: number) => number,
  height: number,
  inner: { from: number; to: number },
): void {
  if (left.length === 0) return;
  const bins = new Map<number, TimelineEvent[]>();
  const count = Math.max(1, Math.floor((inner.to - inner.from) / 110));
  const width = (inner.to - inner.from) / count;
  for (const e of left) {
    const bin = Math.min(count - 1, Math.floor((toPx(axis.apexOf(e)) - inner.from) / width));
    bins.set(bin, [...(bins.get(bin) ?? []), e]);
  }
  for (const [bin, events] of [...bins].sort((a, b) => a[0] - b[0])) {
    const text = `${events.length} more`;
    const w = textWidth(text, TITLE_FACE, TITLE_SIZE) + 16;
    const x = inner.from + (bin + 0.5) * width - w / 2;
    const y = height - MORE_ROW;
    shapes.push({ kind: "area", points: rectangle(x, y, w, 21), fill: "#EAF1EF", stroke: QUIET, strokeWidth: 1 });
    shapes.push({
      kind: "text",
      x: x + w / 2,
      y: y + 15,
      text,
      face: TITLE_FACE,
      size: TITLE_SIZE,
      fill: INK,
      align: "middle",
    });
    targets.push({
      ids: events.map((e) => e.id),
      kind: "more",
      x,
      y,
      w,
      h: 21,
      name: `${text} events without room for a label`,
    });
  }
}
