import { inDays, isDated } from "../time/when";
import { type Manner, momentLabel, whenLabel } from "../time/write-when";
import { cutToWidth, type Face, textWidth, wrap } from "../text/measure";
import { inOrder } from "../timeline/order";
import { COLOURS, categoriesOf, itemsOf, type Pattern, type Timeline, type TimelineEvent } from "../timeline/timeline";
import { type Axis, drawnExtent, isRoof, makeAxis, roofEdges } from "./axis";
import { awayCost, type Hanging, type Placed, placeLabels } from "./place-labels";
import type { Scene, Shape, Target } from "./scene";
import { makeTicks, TICK_FACE, TICK_SIZE } from "./ticks";

export interface Frame {
  width: number;
  height: number;
}

export interface DrawOptions {
  /** The event shown as selected. */
  selected?: string | null;
  /** Categories left out by the reader's filter. */
  hidden?: ReadonlySet<string>;
  /** Ridge, roofs and bobs only, small and without labels, as the strip above the read view. */
  strip?: boolean;
  /** No taller than what is drawn needs; the frame's height is then the most it may take. */
  fit?: boolean;
}

const INK = "#16323A";
const QUIET = "#4A6572";
const SUN = "#F2B632";
const WASH = "#FFF4D6";
const PAPER = "#FFFFFF";
const BAND = "#F1F4F3";
const NO_CATEGORY = { colour: "#4A6572", pattern: "solid" as Pattern };

const RIDGE = 24;
const FULL = { roof: 24, gap: 4, top: 14 };
const STRIP = { roof: 9, gap: 2, top: 5 };
type Measures = typeof FULL;
const CAP = 14;
const MARGIN = 20;
const BOB = 15;
const FAN = 18;
const SLOPE = 5;
const FOOT = 10;
const MORE_ROW = 24;

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

const DATE_FACE: Face = "text700";
const TITLE_FACE: Face = "text600";
const DATE_SIZE = 12.5;
const TITLE_SIZE = 13.5;
const LINE = 17;

interface Label extends Hanging {
  event: TimelineEvent;
  date: string;
  lines: string[];
  picture: string | null;
}

/**
 * The drawing of a timeline in a frame. A function of its arguments alone: the same drawing, to the byte, whatever the
 * order the events are held in. Taller than the frame when the roofs need it.
 */
export function drawChart(timeline: Timeline, frame: Frame, options: DrawOptions = {}): Scene {
  const events = inOrder(timeline.events.values()).filter((e) => !options.hidden?.has(e.category ?? ""));
  const axis = makeAxis(timeline, events);
  const left = Math.min(MARGIN, frame.width / 10);
  const inner = { from: left + CAP + 4, to: frame.width - left - CAP - 4 };
  const toPx = (u: number) => inner.from + u * (inner.to - inner.from);
  const look = lookOf(timeline);

  const roofs = placeRoofs(timeline, events.filter(isRoof), axis, toPx, frame, options);
  const rows = roofs.reduce((n, r) => Math.max(n, r.row + 1), 0);
  const sizes: Measures = options.strip ? STRIP : FULL;
  const ridgeTop = sizes.top + rows * (sizes.roof + sizes.gap) + (rows > 0 ? 4 : 0);
  const moments = events.filter((e) => !isRoof(e));
  const labelsFrom = ridgeTop + RIDGE + BOB + FAN;
  const most = options.strip ? ridgeTop + RIDGE + BOB + 6 : Math.max(frame.height, labelsFrom + 60 + FOOT);

  const shapes: Shape[] = [];
  const targets: Target[] = [];
  const ends = endLabels(timeline, axis, events, inner);
  const ticks = makeTicks(
    axis,
    toPx,
    ends.map((e) => [e.from, e.to]),
  );

  const chosen = options.strip
    ? NO_LABELS
    : chooseLabels(timeline, moments, axis, toPx, frame.width, most - labelsFrom - FOOT);
  const needed = Math.max(labelsFrom, ...chosen.placed.map((p) => labelsFrom + (p.row + 1) * chosen.pitch)) + FOOT;
  const height = options.fit && chosen.placed.length === chosen.labels.length ? Math.min(most, needed) : most;
  if (!options.strip) drawBands(shapes, ticks, inner, height);
  drawRidge(shapes, frame.width, left, ridgeTop, ticks, ends, axis, toPx);
  for (const roof of roofs) drawRoof(shapes, targets, roof, ridgeTop, sizes, look, options);
  const label = new Map(chosen.labels.map((l) => [l.id, l]));
  const placed = new Map(chosen.placed.map((p) => [p.id, p]));
  // Lines first: no label may be struck through by one that is painted later.
  for (const e of moments)
    drawLine(shapes, e, toPx(axis.apexOf(e)), placed.get(e.id), label.get(e.id), chosen.pitch, ridgeTop, look, options);
  for (const e of [...moments].sort((a, b) => bobWidth(b, axis) - bobWidth(a, axis)))
    drawBob(shapes, targets, e, axis, toPx, ridgeTop, look, options, placed.has(e.id));
  for (const p of chosen.placed)
    drawLabel(shapes, targets, label.get(p.id)!, p, chosen.pitch, chosen.setting, labelsFrom, look, options);
  if (!options.strip)
    drawMore(
      shapes,
      targets,
      moments.filter((e) => !placed.has(e.id)),
      axis,
      toPx,
      height,
      inner,
    );
  nameTargets(targets, timeline, events);
  return { width: frame.width, height, shapes, targets, ridgeY: ridgeTop + RIDGE / 2 };
}

type Look = (e: TimelineEvent) => { colour: string; pattern: Pattern };

function lookOf(timeline: Timeline): Look {
  const looks = new Map(categoriesOf(timeline).map((c) => [c.id, { colour: COLOURS[c.colour], pattern: c.pattern }]));
  return (e) => (e.category ? looks.get(e.category) : undefined) ?? NO_CATEGORY;
}

function chartTitle(e: TimelineEvent): string {
  return e.shortTitle.trim() || e.title.trim() || "Untitled";
}

// ---------------------------------------------------------------- roofs

interface Roof {
  event: TimelineEvent;
  row: number;
  outer: [number, number];
  inner: [number, number];
  open: { start: boolean; end: boolean };
  title: { text: string; x: number; inside: boolean; align: "start" | "end" };
  taken: [number, number];
}

/** Lowest free row for each, in the order of the events; a title beside its roof counts as part of it. */
function placeRoofs(
  _t: Timeline,
  spans: readonly TimelineEvent[],
  axis: Axis,
  toPx: (u: number) => number,
  frame: Frame,
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

function drawRoof(
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

// ---------------------------------------------------------------- ridge

interface EndLabel {
  text: string;
  from: number;
  to: number;
}

/** The first and the last date, always written; as one text when both do not fit. */
function endLabels(
  timeline: Pick<Timeline, "period" | "dateStyle">,
  axis: Axis,
  events: readonly TimelineEvent[],
  inner: { from: number; to: number },
): EndLabel[] {
  const dated = events.filter((e) => isDated(e.when));
  if (dated.length === 0 || axis.scale === "even")
    return axis.scale === "even" ? evenLabels(timeline.dateStyle, axis, events, inner) : [];
  // A period that was set reaches further than the events where the ridge ends with it.
  const p = timeline.period.readAs;
  const [from, to] = p.kind === "span" ? [p.start, p.end] : p.kind === "moment" ? [p.at, p.at] : [null, null];
  const first =
    from?.from && inDays(from.from) <= axis.from! ? momentLabel(from) : firstDate(dated[0]!, timeline.dateStyle);
  const last = to?.to && inDays(to.to) >= axis.to! ? momentLabel(to) : lastDate(dated, timeline.dateStyle);
  const w1 = textWidth(first, TICK_FACE, TICK_SIZE);
  const w2 = textWidth(last, TICK_FACE, TICK_SIZE);
  const end = inner.from + axis.datedEnd * (inner.to - inner.from);
  if (first === last) return [{ text: first, from: inner.from, to: inner.from + w1 }];
  if (w1 + w2 + 20 > end - inner.from) {
    const text = `${first} – ${last}`;
    return [{ text, from: inner.from, to: inner.from + textWidth(text, TICK_FACE, TICK_SIZE) }];
  }
  return [
    { text: first, from: inner.from, to: inner.from + w1 },
    { text: last, from: end - w2, to: end },
  ];
}

/** On the even scale the ridge carries the events' own dates, as many as fit, first and last before others. */
function evenLabels(
  manner: Manner | null,
  axis: Axis,
  events: readonly TimelineEvent[],
  inner: { from: number; to: number },
): EndLabel[] {
  const made = events
    .filter((e) => isDated(e.when))
    .map((e) => {
      const text = firstDate(e, manner);
      const w = textWidth(text, TICK_FACE, TICK_SIZE);
      const x = inner.from + axis.apexOf(e) * (inner.to - inner.from) - w / 2;
      const from = Math.max(inner.from, Math.min(x, inner.to - w));
      return { text, from, to: from + w };
    });
  const kept: EndLabel[] = [];
  for (const l of [made[0], made.at(-1), ...made.slice(1, -1)])
    if (l && kept.every((k) => l.to + 18 <= k.from || l.from >= k.to + 18)) kept.push(l);
  return kept;
}

function firstDate(e: TimelineEvent, manner: Manner | null): string {
  const r = e.when.readAs;
  const only = r.kind === "span" && r.start ? { ...e.when, readAs: { kind: "moment" as const, at: r.start } } : e.when;
  return whenLabel(only, manner);
}

function lastDate(dated: readonly TimelineEvent[], manner: Manner | null): string {
  let best = "";
  let latest = Number.NEGATIVE_INFINITY;
  for (const e of dated) {
    const r = e.when.readAs;
    if (r.kind === "span" && r.end === null) return "today";
    const m = r.kind === "moment" ? r.at : r.kind === "span" ? (r.end ?? r.start) : null;
    if (!m) continue;
    const day = drawnExtent({ ...m, about: false }, e)[1];
    if (day > latest) {
      latest = day;
      best = whenLabel({ ...e.when, readAs: { kind: "moment", at: m } }, manner);
    }
  }
  return best;
}

function drawBands(
  shapes: Shape[],
  ticks: readonly { along: number; text: string }[],
  inner: { from: number; to: number },
  height: number,
): void {
  const major = ticks.filter((t) => t.text);
  for (let i = 0; i < major.length; i += 2) {
    const to = major[i + 1]?.along ?? inner.to;
    shapes.push({ kind: "area", points: rectangle(major[i]!.along, 0, to - major[i]!.along, height), fill: BAND });
  }
}

function drawRidge(
  shapes: Shape[],
  width: number,
  left: number,
  top: number,
  ticks: ReturnType<typeof makeTicks>,
  ends: EndLabel[],
  axis: Axis,
  toPx: (u: number) => number,
): void {
  const mid = top + RIDGE / 2;
  const [a, b] = [left, width - left];
  shapes.push({
    kind: "area",
    points: [a, mid, a + CAP, top, b - CAP, top, b, mid, b - CAP, top + RIDGE, a + CAP, top + RIDGE],
    fill: INK,
  });
  for (const t of ticks) {
    if (t.text)
      shapes.push({
        kind: "text",
        x: t.along,
        y: top + 17,
        text: t.text,
        face: TICK_FACE,
        size: TICK_SIZE,
        fill: PAPER,
        align: "middle",
      });
    shapes.push({ kind: "line", points: [t.along, top, t.along, top + (t.text ? 4 : 3)], stroke: "#7FC4B8", width: 1 });
  }
  for (const e of ends)
    shapes.push({
      kind: "text",
      x: e.from,
      y: top + 17,
      text: e.text,
      face: TICK_FACE,
      size: TICK_SIZE,
      fill: SUN,
      align: "start",
    });
  // Where time changes pace a notch is cut into the foot of the ridge.
  for (const c of axis.changes) {
    const x = toPx(c.at);
    shapes.push({ kind: "area", points: [x - 5, top + RIDGE, x, top + RIDGE - 5, x + 5, top + RIDGE], fill: SUN });
  }
}

// ---------------------------------------------------------------- moments

interface Chosen {
  labels: Label[];
  placed: Placed[];
  pitch: number;
  setting: Setting;
}

const NO_LABELS: Chosen = { labels: [], placed: [], pitch: 0, setting: SETTINGS[0] };

function chooseLabels(
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

function drawLine(
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
function bobWidth(e: TimelineEvent, axis: Axis): number {
  const r = e.when.readAs;
  if (r.kind !== "moment" || axis.scale === "even") return 0;
  const [from, to] = drawnExtent(r.at, e);
  return axis.at(to) - axis.at(from);
}

/** The tip in the middle of what is known, the top as wide as that; hollow when marked uncertain. */
function drawBob(
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

function drawLabel(
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
function drawMore(
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

function nameTargets(targets: Target[], timeline: Timeline, events: readonly TimelineEvent[]): void {
  const place = new Map(events.map((e, i) => [e.id, i + 1]));
  for (const t of targets) {
    if (t.kind === "more") continue;
    const e = timeline.events.get(t.ids[0]!)!;
    t.name = `${whenLabel(e.when, timeline.dateStyle) || "No date"}, ${e.title.trim() || "Untitled"}, event ${place.get(e.id)} of ${events.length}`;
  }
  targets.sort((a, b) => (place.get(a.ids[0]!) ?? 0) - (place.get(b.ids[0]!) ?? 0));
}

function rectangle(x: number, y: number, w: number, h: number): number[] {
  return [x, y, x + w, y, x + w, y + h, x, y + h];
}
