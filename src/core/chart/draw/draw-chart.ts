import { drawnIn } from "../../words/chart";
import { compareInstants } from "../../time/when";
import type { Timeline } from "../../timeline/timeline";
import { type Chart, type ChartOptions, chartOf } from "../frame/chart";
import { HEAD } from "../close-ups/close-ups";
import { drawBob, drawPictureBob, picturedBobs, type ShownBob, shownBobs } from "./draw-bobs";
import { drawCloseUp } from "./draw-close-up";
import { drawCount, drawLabel, drawLine } from "./draw-labels";
import { drawOverLine, drawRoof, drawTitle } from "./draw-roofs";
import { frameContent, type Part } from "../frame/frame";
import { BOB, FOOT, rectangle } from "../style/house-style";
import type { Lane } from "../frame/lanes";
import { type Frame, groundOf, type Laid } from "../frame/layout";
import { drawBands, drawRidge, drawRidgeWords, type Ridge, ridgeOf } from "./ridge";
import { moveShapes, type Scene, type Shape } from "./scene";
import { type Extra, rankX, type ShownLabel, type ShownRoof } from "../frame/shown";
import { type ChartData, SPAN_KIND, UNDATED_KIND } from "../data/chart-data";
import { targetsOf } from "./targets";
import { type Ground, isWhole, readView, type View, wholeView, xOf } from "../axis/view";
import type { Words } from "../data/words";
import { dateFace, titleFace } from "../../looks/style";
import { drawWordsOver } from "../style/plates";

export interface DrawOptions extends ChartOptions {
  /** The event shown as selected. */
  selected?: string | null;
  /** No taller than what is drawn needs; the frame's height is then the most it may take. */
  fit?: boolean;
  /** What is seen of it, as `viewText` writes it; the whole when left out. */
  view?: string;
}

/**
 * The drawing of a timeline in a frame. A function of its arguments alone: the same drawing, to the byte, whatever the
 * order the events are held in. Taller than the frame when the roofs need it.
 */
export function drawChart(timeline: Timeline, frame: Frame, options: DrawOptions = {}): Scene {
  const chart = chartOf(timeline, frame, options);
  const ground = groundOf(chart.laid.axis, chart.laid.layout);
  const view = options.view ? readView(ground, options.view) : wholeView(ground);
  const { scene, parts } = drawView(chart, view, "at rest", options.selected ?? null);
  scene.targets = targetsOf(chart, parts);
  if (options.fit && !options.strip && !options.upright && !chart.lanes) scene.height = neededHeight(chart, scene);
  return scene;
}

/** How much of the frame's height the drawing uses. */
function neededHeight({ laid: { layout }, top }: Chart, scene: Scene): number {
  const foot = top + layout.across;
  const lowest = Math.max(
    top + layout.ridgeTop + layout.ridge + BOB,
    ...scene.targets.map((t) => (t.kind === "more" && t.y >= top ? foot - FOOT : t.y + t.h)),
  );
  return Math.min(foot, lowest + FOOT);
}

/** In larger charts undated events are not joined. */
const MOST_JOINED = 400;
/** More bobs than that are a crowd. */
const CROWD = 200;

/** Labels that were added to the placed ones, for each part of a chart. */
export type Extras = readonly (readonly Extra[])[] | "at rest";

/**
 * Draws one view. `extras`: see `frameContent`; the ones shown are given back in the parts. What can be pointed at is left
 * to `targetsOf`, which need not be asked in every frame.
 */
export function drawView(
  chart: Chart,
  view: View,
  extras: Extras,
  selected: string | null,
): { scene: Scene; parts: Part[] } {
  const { laid, words, lanes, main } = chart;
  const { layout } = laid;
  const shapes: Shape[] = [];
  const parts: Part[] = [];
  const add = (of: Laid, seen: View, at: Pick<Part, "left" | "top" | "of" | "closeUp">) => {
    const known = extras === "at rest" ? "at rest" : (extras[parts.length] ?? []);
    const part: Part = { laid: of, content: frameContent(of, seen, known), ...at };
    parts.push(part);
    return part;
  };
  // Words beside a roof need a ground where lines run behind them.
  const { backdrop } = laid.data.style;
  const lines = {
    drawn: chart.timeline.gridlines,
    behind: chart.timeline.gridlines || chart.today !== null || backdrop.picture !== null,
  };
  if (lanes) {
    const ground = groundOf(laid.axis, layout);
    const ridge = ridgeOf(laid, ground, view, words);
    drawBands(shapes, laid.data.style, ridge.row, ground, layout.across, isWhole(ground, view), lines.drawn);
    drawToday(shapes, chart, ground, view);
    drawRidge(shapes, laid, ground, view, ridge);
    drawRidgeWords(shapes, laid, ground, view, ridge);
    for (const lane of lanes) {
      const part = add(lane.laid, view, { left: 0, top: lane.top, of: (i) => lane.at[i]!, closeUp: -1 });
      const from = shapes.length;
      drawLaneName(shapes, lane, chart.names[lane.look] ?? "", ground.size);
      drawPlumbs(shapes, part, selected, lines.behind);
      drawLabels(shapes, part, selected, saidBy(ridge), lines.behind);
      moveShapes(shapes, from, 0, lane.top);
    }
  } else {
    const part = add(laid, view, { left: 0, top: chart.top, of: (i) => main?.[i] ?? i, closeUp: -1 });
    const now = (g: Ground) => drawToday(shapes, chart, g, view);
    drawOnRidge(shapes, part, words, selected, lines, layout.strip ? null : now);
  }
  for (const [k, c] of chart.closeUps.entries()) {
    const whole = wholeView(groundOf(c.laid.axis, c.laid.layout));
    const at = { left: c.x, top: c.y + HEAD, of: (i: number) => c.at[i]!, closeUp: k };
    const part = add(c.laid, whole, at);
    drawCloseUp(shapes, chart, k, view, selected);
    drawOnRidge(shapes, part, c.words, selected, lines, () => {});
  }
  const [width, height] = layout.upright
    ? [layout.across, chart.top + layout.frame.height]
    : [layout.frame.width, chart.top + layout.across];
  const scene: Scene = {
    width: Math.max(width, ...chart.closeUps.map((c) => c.x + c.w)),
    height,
    shapes,
    targets: [],
    backdrop: layout.strip ? { ...backdrop, texture: null, picture: null } : backdrop,
    ridgeY: (layout.upright ? 0 : chart.top) + layout.ridgeTop + layout.ridge / 2,
  };
  return { scene, parts };
}

/** One ridge with all that stands on it, at its place in the drawing. `under`: what lies behind; null: no bands either. */
function drawOnRidge(
  shapes: Shape[],
  part: Part,
  words: Words,
  selected: string | null,
  lines: { drawn: boolean; behind: boolean },
  under: ((g: Ground) => void) | null,
): void {
  const { laid, content } = part;
  const { ground, view } = content;
  const { layout } = laid;
  const ridge = ridgeOf(laid, ground, view, words);
  const from = shapes.length;
  if (under) {
    drawBands(shapes, laid.data.style, ridge.row, ground, layout.across, isWhole(ground, view), lines.drawn);
    under(ground);
  }
  // A line from a roof to a label across the ridge runs behind that, and through none of its words.
  if (layout.upright) drawLines(shapes, part, selected, (l) => laid.data.kind[l.i] === SPAN_KIND);
  drawRidge(shapes, laid, ground, view, ridge);
  drawPlumbs(shapes, part, selected, lines.behind);
  if (layout.upright) turn(shapes, from);
  drawRidgeWords(shapes, laid, ground, view, ridge);
  drawLabels(shapes, part, selected, saidBy(ridge), lines.behind);
  moveShapes(shapes, from, part.left, part.top);
}

/** Today as a line across the chart, its word at the top; nothing where it is not on the ridge. */
function drawToday(shapes: Shape[], { today, laid }: Chart, g: Ground, v: View): void {
  const { axis, layout, data } = laid;
  if (!today || !axis.from || !axis.to || axis.scale === "even") return;
  if (compareInstants(today, axis.from) < 0 || compareInstants(today, axis.to) > 0) return;
  const x = xOf(g, v, axis.at(today));
  if (x < 0 || x > g.size) return;
  shapes.push({
    kind: "line",
    points: [x, 0, x, layout.across],
    stroke: data.style.today,
    width: 1.5 * data.style.lines,
    dash: [5, 4],
  });
  if (layout.upright) return;
  const near = x > g.size - 50;
  drawWordsOver(shapes, data.style, {
    x: near ? x - 5 : x + 5,
    y: layout.across - 3,
    text: drawnIn(data.style.language).today,
    face: titleFace(data.style),
    size: 12,
    fill: data.style.today,
    align: near ? "end" : "start",
  });
}

/** Marks what belongs to a label that was added. */
function marked(
  shapes: Shape[],
  { content }: Part,
  labels: readonly ShownLabel[],
  draw: (l: ShownLabel) => void,
): void {
  const added = new Set(content.extras.map((e) => e.rank));
  for (const l of labels) {
    const from = shapes.length;
    draw(l);
    if (added.has(l.rank)) for (let k = from; k < shapes.length; k++) shapes[k]!.added = true;
  }
}

/** Roofs, their titles, plumb lines and bobs: all that may stand behind a label. */
function drawPlumbs(shapes: Shape[], part: Part, selected: string | null, ground: boolean): void {
  const { laid, content } = part;
  const { data } = laid;
  const isSelected = (i: number) => selected !== null && data.ids[i] === selected;
  for (const some of content.roofs.length > CROWD ? byPaint(content.roofs, data) : [content.roofs])
    for (const r of some) drawRoof(shapes, data, r, isSelected(r.i), content.ground.size);
  for (const r of content.roofs) drawOverLine(shapes, data, r, isSelected(r.i));
  // Lines to labels placed over the ridge run behind the titles of roofs.
  const over = (l: ShownLabel) => laid.layout.handY[l.rank]! < laid.layout.ridgeTop;
  const lines = content.labels.filter(over);
  for (const l of lines) drawLine(shapes, laid, l, isSelected(l.i));
  for (const r of content.roofs) drawTitle(shapes, data, r, ground || lines.length > 0, laid.layout.roofs.type);
  const across = (l: ShownLabel) => laid.layout.upright && data.kind[l.i] === SPAN_KIND;
  drawLines(shapes, part, selected, (l) => !over(l) && !across(l));
  drawUndated(shapes, part);
  // The broad are painted first, so that they hide nothing; in a crowd those of one colour together, which is quicker.
  const bobs = shownBobs(laid, content.ground, content.view);
  const broad = (b: ShownBob) => Math.round(b.x1 - b.x0);
  const look = (b: ShownBob) => data.paint[b.i]!;
  bobs.sort(bobs.length > CROWD ? (a, c) => look(a) - look(c) || broad(c) - broad(a) : (a, c) => broad(c) - broad(a));
  const pictured = picturedBobs(laid, bobs);
  for (const b of bobs) if (!pictured.has(b.i)) drawBob(shapes, laid, b, isSelected(b.i), content.ground.size);
  // They hide what is near to them, so they come last, the loudest on top.
  for (const b of bobs) if (pictured.has(b.i)) drawPictureBob(shapes, laid, b, isSelected(b.i));
}

/** Those of a look together, each as they come: without a sort, which would cost as much as the rest of a frame's drawing. */
function byPaint(roofs: readonly ShownRoof[], { looks, paint }: ChartData): ShownRoof[][] {
  const groups = looks.map((): ShownRoof[] => []);
  for (const r of roofs) groups[paint[r.i]!]!.push(r);
  return groups;
}

/** Events without a date that stand together hang on one broken line. */
function drawUndated(shapes: Shape[], { laid, content: { ground, view } }: Part): void {
  const { data, layout } = laid;
  const { byApex } = layout;
  const isUndated = (rank: number) => rank < byApex.length && data.kind[byApex[rank]!] === UNDATED_KIND;
  if (byApex.length > MOST_JOINED) return;
  const y = layout.ridgeTop + layout.ridge + 7;
  const clip = (x: number) => Math.max(-40, Math.min(ground.size + 40, x));
  for (let from = 0; from < byApex.length; from++) {
    if (!isUndated(from)) continue;
    let to = from;
    while (isUndated(to + 1)) to++;
    const [a, b] = [clip(rankX(laid, ground, view, from)), clip(rankX(laid, ground, view, to))];
    if (b > a) shapes.push({ kind: "line", points: [a, y, b, y], stroke: data.style.quiet, width: 1, dash: [3, 3] });
    from = to;
  }
}

/** The plumb lines of some of the labels. */
function drawLines(shapes: Shape[], part: Part, selected: string | null, which: (l: ShownLabel) => boolean): void {
  const { laid, content } = part;
  marked(shapes, part, content.labels.filter(which), (l) =>
    drawLine(shapes, laid, l, selected !== null && laid.data.ids[l.i] === selected),
  );
}

/** What the ridge says in this view. */
function saidBy({ ends, row }: Ridge): ReadonlySet<string> {
  return new Set([...ends, ...row.ticks].map((t) => t.text));
}

function drawLabels(
  shapes: Shape[],
  part: Part,
  selected: string | null,
  said: ReadonlySet<string>,
  behind: boolean,
): void {
  const { laid, content } = part;
  // Where nothing runs behind words, a texture shows under them.
  const plates = behind || !laid.layout.small || laid.data.style.backdrop.texture === null;
  const isSelected = (i: number) => selected !== null && laid.data.ids[i] === selected;
  marked(shapes, part, content.labels, (l) => drawLabel(shapes, laid, l, isSelected(l.i), said, plates));
  for (const c of content.counts) drawCount(shapes, laid.data.style, laid.layout.upright, c);
}

/** A row's line, with its name above it. */
function drawLaneName(shapes: Shape[], lane: Lane, name: string, width: number): void {
  const { layout, data } = lane.laid;
  const { colour } = data.looks[lane.look]!;
  shapes.push({ kind: "line", points: [0, 0.5, width, 0.5], stroke: data.style.line, width: 1 });
  shapes.push({
    kind: "area",
    points: rectangle(0, layout.ridgeTop, width, layout.ridge),
    fill: colour,
  });
  drawWordsOver(shapes, data.style, {
    x: 22,
    y: 16,
    text: name,
    face: dateFace(data.style),
    size: 13,
    fill: colour,
    align: "start",
  });
  const open = lane.folded ? [9, 6, 14, 11, 9, 16] : [7, 8, 17, 8, 12, 14];
  shapes.push({ kind: "area", points: open, fill: colour });
}

/** Makes shapes along a ridge that runs to the right into the same along one that runs down. */
function turn(shapes: Shape[], from: number): void {
  for (let n = from; n < shapes.length; n++) {
    const s = shapes[n]!;
    if (s.kind === "area" || s.kind === "line")
      for (let k = 0; k < s.points.length; k += 2) {
        const x = s.points[k]!;
        s.points[k] = s.points[k + 1]!;
        s.points[k + 1] = x;
      }
    else if (s.kind === "picture") [s.x, s.y, s.w, s.h] = [s.y, s.x, s.h, s.w];
    else if (s.kind === "sign") [s.x, s.y] = [s.y, s.x];
    else if (s.kind === "text") {
      [s.x, s.y] = [s.y, s.x];
      // Words on roofs read upwards: where they began they end.
      s.align = s.align === "start" ? "end" : s.align === "end" ? "start" : "middle";
      s.turned = true;
    }
  }
}
