import { categoriesOf, type Timeline } from "../timeline/timeline";
import { chartData, shownEvents } from "./chart-data";
import { countedRanks, countText, firstCounted } from "./counts";
import { drawBob, type ShownBob, shownBobs } from "./draw-bobs";
import { drawCount, drawLabel, drawLine } from "./draw-labels";
import { drawRoof, drawTitle, roofTarget } from "./draw-roofs";
import { frameContent, type FrameContent } from "./frame";
import { BOB, FOOT, rectangle } from "./house-style";
import { type Lane, layoutLanes } from "./lanes";
import { type Frame, groundOf, type Laid, layoutChart } from "./layout";
import { drawBands, drawRidge, drawRidgeWords, ridgeOf } from "./ridge";
import type { Scene, Shape, Target } from "./scene";
import { type Extra, inFrame, type ShownCount, type ShownLabel } from "./shown";
import { isWhole, readView, type View, wholeView } from "./view";
import { type Words, wordsOf } from "./words";

export type { Frame } from "./layout";

export interface DrawOptions {
  /** The event shown as selected. */
  selected?: string | null;
  /** Categories left out by the reader's filter. */
  hidden?: ReadonlySet<string>;
  /** Ridge, roofs and bobs only, small and without labels, as the strip above the read view. */
  strip?: boolean;
  /** No taller than what is drawn needs; the frame's height is then the most it may take. */
  fit?: boolean;
  /** What is seen of it, as `viewText` writes it; the whole when left out. */
  view?: string;
  /** The ridge runs down. */
  upright?: boolean;
  /** A row for each category, these folded; not in an upright chart. */
  rows?: { folded: ReadonlySet<string> } | undefined;
}

/** A chart laid out: what any view of it is drawn from. */
export interface Chart {
  timeline: Pick<Timeline, "gridlines">;
  /** All events, in rows the ridge over them. */
  laid: Laid;
  words: Words;
  lanes?: Lane[];
  /** Names of the categories, by look. */
  names: string[];
}

/** What a view shows of a part of a chart: of all of it, or of one row. */
export interface Part {
  laid: Laid;
  content: FrameContent;
  /** Px from the top of the drawing. */
  top: number;
  /** The index of one of its events among all. */
  of: (i: number) => number;
}

export function chartOf(timeline: Timeline, frame: Frame, options: DrawOptions = {}): Chart {
  const events = shownEvents(timeline, options.hidden);
  const data = chartData(timeline, events);
  const rest = { timeline, words: wordsOf(timeline, events, data), names: laneNames(timeline) };
  if (options.rows && !options.upright && !options.strip && data.count > 0)
    return { ...rest, ...layoutLanes(timeline, data, frame, foldedLooks(timeline, options.rows.folded)) };
  const laid = layoutChart(timeline, data, frame, { strip: options.strip ?? false, upright: options.upright ?? false });
  return { ...rest, laid };
}

export function laneNames(timeline: Pick<Timeline, "categories">): string[] {
  return ["No category", ...categoriesOf(timeline).map((c) => c.name || "Unnamed")];
}

/** Which rows are folded, by look; "" stands for events without a category. */
export function foldedLooks(timeline: Pick<Timeline, "categories">, folded: ReadonlySet<string>): Set<number> {
  const looks = new Set(categoriesOf(timeline).flatMap((c, i) => (folded.has(c.id) ? [i + 1] : [])));
  if (folded.has("")) looks.add(0);
  return looks;
}

/**
 * The drawing of a timeline in a frame. A function of its arguments alone: the same drawing, to the byte, whatever the
 * order the events are held in. Taller than the frame when the roofs need it.
 */
export function drawChart(timeline: Timeline, frame: Frame, options: DrawOptions = {}): Scene {
  const chart = chartOf(timeline, frame, options);
  const ground = groundOf(chart.laid.axis, chart.laid.layout);
  const view = options.view ? readView(ground, options.view) : wholeView(ground);
  const { scene, parts } = drawView(chart, view, "settle", options.selected ?? null);
  scene.targets = targetsOf(chart, parts);
  if (options.fit && !options.strip && !options.upright && !chart.lanes) scene.height = neededHeight(chart.laid, scene);
  return scene;
}

/** How much of the frame's height the drawing uses. */
function neededHeight({ layout }: Laid, scene: Scene): number {
  const lowest = Math.max(
    layout.ridgeTop + layout.ridge + BOB,
    ...scene.targets.map((t) => (t.kind === "more" ? layout.across - FOOT : t.y + t.h)),
  );
  return Math.min(layout.across, lowest + FOOT);
}

/** More bobs than that are a crowd. */
const CROWD = 200;

/** How many real elements may lie over a drawing. */
const MOST_TARGETS = 150;

/** Labels that were added to the placed ones, for each part of a chart. */
export type Extras = readonly (readonly Extra[])[] | "settle";

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
  const { laid, words, lanes } = chart;
  const { layout } = laid;
  const ground = groundOf(laid.axis, layout);
  const ridge = ridgeOf(laid, ground, view, words);
  const shapes: Shape[] = [];
  const parts: Part[] = [];
  const add = (of: Laid, top: number, at: (i: number) => number) => {
    const known = extras === "settle" ? "settle" : (extras[parts.length] ?? []);
    const part: Part = { laid: of, content: frameContent(of, view, known), top, of: at };
    parts.push(part);
    return part;
  };
  if (!layout.strip)
    drawBands(shapes, ridge.row, ground, layout.across, isWhole(ground, view), chart.timeline.gridlines);
  drawRidge(shapes, laid, ground, view, ridge);
  if (lanes) {
    drawRidgeWords(shapes, laid, ground, ridge);
    for (const lane of lanes) {
      const part = add(lane.laid, lane.top, (i) => lane.at[i]!);
      const from = shapes.length;
      drawLaneName(shapes, lane, chart.names[lane.look] ?? "", ground.size);
      drawPlumbs(shapes, part, selected, chart.timeline.gridlines);
      drawLabels(shapes, part, selected);
      for (let k = from; k < shapes.length; k++) lower(shapes[k]!, lane.top);
    }
  } else {
    const part = add(laid, 0, (i) => i);
    drawPlumbs(shapes, part, selected, chart.timeline.gridlines);
    if (layout.upright) turn(shapes);
    drawRidgeWords(shapes, laid, ground, ridge);
    drawLabels(shapes, part, selected);
  }
  const scene: Scene = {
    width: layout.upright ? layout.across : layout.frame.width,
    height: layout.upright ? layout.frame.height : layout.across,
    shapes,
    targets: [],
    ridgeY: layout.ridgeTop + layout.ridge / 2,
  };
  return { scene, parts };
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
function drawPlumbs(shapes: Shape[], part: Part, selected: string | null, gridlines: boolean): void {
  const { laid, content } = part;
  const { data } = laid;
  const isSelected = (i: number) => selected !== null && data.ids[i] === selected;
  const roofs =
    content.roofs.length > CROWD ? [...content.roofs].sort((a, b) => data.look[a.i]! - data.look[b.i]!) : content.roofs;
  for (const r of roofs) drawRoof(shapes, data, r, isSelected(r.i), content.ground.size);
  for (const r of content.roofs) drawTitle(shapes, data, r, gridlines);
  marked(shapes, part, content.labels, (l) => drawLine(shapes, laid, l, isSelected(l.i)));
  // The broad are painted first, so that they hide nothing; in a crowd those of one colour together, which is quicker.
  const bobs = shownBobs(laid, content.ground, content.view);
  const broad = (b: ShownBob) => Math.round(b.x1 - b.x0);
  const look = (b: ShownBob) => data.look[b.i]!;
  bobs.sort(bobs.length > CROWD ? (a, c) => look(a) - look(c) || broad(c) - broad(a) : (a, c) => broad(c) - broad(a));
  for (const b of bobs) drawBob(shapes, laid, b, isSelected(b.i), content.ground.size);
}

function drawLabels(shapes: Shape[], part: Part, selected: string | null): void {
  const { laid, content } = part;
  const isSelected = (i: number) => selected !== null && laid.data.ids[i] === selected;
  marked(shapes, part, content.labels, (l) => drawLabel(shapes, laid, l, isSelected(l.i)));
  for (const c of content.counts) drawCount(shapes, laid.layout.upright, c);
}

/** A row's line, with its name above it. */
function drawLaneName(shapes: Shape[], lane: Lane, name: string, width: number): void {
  const { layout, data } = lane.laid;
  const { colour } = data.looks[lane.look]!;
  shapes.push({ kind: "line", points: [0, 0.5, width, 0.5], stroke: "#D5DEDC", width: 1 });
  shapes.push({
    kind: "area",
    points: rectangle(0, layout.ridgeTop, width, layout.ridge),
    fill: colour,
  });
  shapes.push({ kind: "text", x: 22, y: 16, text: name, face: "text700", size: 13, fill: colour, align: "start" });
  const open = lane.folded ? [9, 6, 14, 11, 9, 16] : [7, 8, 17, 8, 12, 14];
  shapes.push({ kind: "area", points: open, fill: colour });
}

function lower(s: Shape, by: number): void {
  if (s.kind === "area" || s.kind === "line") for (let k = 1; k < s.points.length; k += 2) s.points[k]! += by;
  else s.y += by;
}

/** Makes shapes along a ridge that runs to the right into the same along one that runs down. */
function turn(shapes: Shape[]): void {
  for (const s of shapes) {
    if (s.kind === "area" || s.kind === "line")
      for (let k = 0; k < s.points.length; k += 2) {
        const x = s.points[k]!;
        s.points[k] = s.points[k + 1]!;
        s.points[k + 1] = x;
      }
    else if (s.kind === "text") {
      [s.x, s.y] = [s.y, s.x];
      // Words on roofs read upwards: where they began they end.
      s.align = s.align === "start" ? "end" : s.align === "end" ? "start" : "middle";
      s.turned = true;
    }
  }
}

/**
 * What can be pointed at and read out, in the order of time; a count stands where its first event would. `brief`: of the
 * events a count stands for only the first is named; `countedIds` gives them all.
 */
export function targetsOf(chart: Chart, parts: readonly Part[], brief = false): Target[] {
  const { words } = chart;
  const made: { at: number; t: Target }[] = [];
  const counted: { at: number; t: Target }[] = [];
  for (const part of parts) {
    const { laid, content: c, top } = part;
    const { data, layout } = laid;
    const boxed = (b: { x: number; y: number; w: number; h: number }) => {
      const box = inFrame(layout.upright, b);
      return { ...box, y: box.y + top };
    };
    const event = (i: number, x: number, y: number, w: number, h: number) =>
      made.push({ at: part.of(i), t: { ids: [data.ids[i]!], kind: "event", ...boxed({ x, y, w, h }), name: "" } });
    for (const l of c.labels) event(l.i, l.x - 4, l.y - 2, l.w + 8, l.h + 4);
    // Titled roofs first, where there are too many for all.
    const roofs = [...c.roofs].sort((a, b) => Number(b.title !== null) - Number(a.title !== null));
    for (const r of roofs) {
      const t = roofTarget(r, data.ids[r.i]!);
      made.push({ at: part.of(r.i), t: { ...t, ...boxed(t) } });
    }
    const labelled = new Set(c.labels.map((l) => l.i));
    const bare = shownBobs(laid, c.ground, c.view).filter((b) => !labelled.has(b.i));
    if (bare.length + made.length + c.counts.length <= MOST_TARGETS)
      for (const b of bare) event(b.i, b.apex - 8, layout.ridgeTop + layout.ridge, 16, BOB + 4);
    for (const n of c.counts) {
      const first = firstCounted(laid, c.ground, c.view, c.labels, n);
      const ids = brief ? [data.ids[layout.byApex[first]!]!] : countedIds(part, n);
      const name = `${countText(n.count)}, without room for ${n.count === 1 ? "its label" : "their labels"}`;
      counted.push({ at: part.of(layout.byApex[first]!) + 0.5, t: { ids, kind: "more", ...boxed(n), name } });
    }
  }
  // Counts stand for many: they are never left out.
  made.length = Math.min(made.length, Math.max(0, MOST_TARGETS - counted.length));
  for (const { at, t } of made) t.name = words.nameOf(at);
  const events = [...made, ...counted].sort((a, b) => a.at - b.at).map((m) => m.t);
  return [...laneTargets(chart), ...events];
}

/** A row's name folds and opens it. */
function laneTargets({ lanes, names }: Chart): Target[] {
  return (lanes ?? []).map((lane): Target => {
    const n = lane.at.length;
    const name = `${names[lane.look]}, ${n} ${n === 1 ? "event" : "events"}, ${lane.folded ? "folded" : "open"}`;
    return { ids: [String(lane.look)], kind: "lane", x: 2, y: lane.top + 1, w: 150, h: 22, name };
  });
}

/** The ids of the events a count stands for. */
export function countedIds({ laid, content: c }: Part, n: ShownCount): string[] {
  return countedRanks(laid, c.ground, c.view, c.labels, n).map((r) => laid.data.ids[laid.layout.byApex[r]!]!);
}
