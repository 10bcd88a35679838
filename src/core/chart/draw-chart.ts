import type { Timeline } from "../timeline/timeline";
import { chartData, shownEvents } from "./chart-data";
import { countedRanks, countText, firstCounted } from "./counts";
import { drawBob, type ShownBob, shownBobs } from "./draw-bobs";
import { drawCount, drawLabel, drawLine } from "./draw-labels";
import { drawRoof, drawTitle, roofTarget } from "./draw-roofs";
import { frameContent, type FrameContent } from "./frame";
import { BOB, FOOT } from "./house-style";
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
}

/** A chart laid out: what any view of it is drawn from. */
export interface Chart {
  timeline: Pick<Timeline, "gridlines">;
  laid: Laid;
  words: Words;
}

export function chartOf(timeline: Timeline, frame: Frame, options: DrawOptions = {}): Chart {
  const events = shownEvents(timeline, options.hidden);
  const data = chartData(timeline, events);
  return {
    timeline,
    laid: layoutChart(timeline, data, frame, { strip: options.strip ?? false, upright: options.upright ?? false }),
    words: wordsOf(timeline, events, data),
  };
}

/**
 * The drawing of a timeline in a frame. A function of its arguments alone: the same drawing, to the byte, whatever the
 * order the events are held in. Taller than the frame when the roofs need it.
 */
export function drawChart(timeline: Timeline, frame: Frame, options: DrawOptions = {}): Scene {
  const chart = chartOf(timeline, frame, options);
  const ground = groundOf(chart.laid.axis, chart.laid.layout);
  const view = options.view ? readView(ground, options.view) : wholeView(ground);
  const { scene, content } = drawView(chart, view, "settle", options.selected ?? null);
  scene.targets = targetsOf(chart, content);
  if (options.fit && !options.strip && !options.upright) scene.height = neededHeight(chart.laid, scene);
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

/**
 * Draws one view. `extras`: see `frameContent`; the ones shown are given back in the content. What can be pointed at is
 * left to `targetsOf`, which need not be asked in every frame.
 */
export function drawView(
  chart: Chart,
  view: View,
  extras: readonly Extra[] | "settle",
  selected: string | null,
): { scene: Scene; content: FrameContent } {
  const { laid, words } = chart;
  const { data, layout } = laid;
  const content = frameContent(laid, view, extras);
  const { ground, roofs, labels, counts } = content;
  const ridge = ridgeOf(laid, ground, view, words);
  const bobs = shownBobs(laid, ground, view);
  const shapes: Shape[] = [];
  const isSelected = (i: number) => selected !== null && data.ids[i] === selected;

  if (!layout.strip)
    drawBands(shapes, ridge.row, ground, layout.across, isWhole(ground, view), chart.timeline.gridlines);
  drawRidge(shapes, laid, ground, view, ridge);
  for (const r of roofs) drawRoof(shapes, data, r, isSelected(r.i), ground.size);
  for (const r of roofs) drawTitle(shapes, data, r, chart.timeline.gridlines);
  // Lines first: no label may be struck through by one that is painted later.
  const added = new Set(content.extras.map((e) => e.rank));
  const marked = (l: ShownLabel, draw: () => void) => {
    const from = shapes.length;
    draw();
    if (added.has(l.rank)) for (let k = from; k < shapes.length; k++) shapes[k]!.added = true;
  };
  for (const l of labels) marked(l, () => drawLine(shapes, laid, l, isSelected(l.i)));
  // The broad are painted first, so that they hide nothing; in a crowd those of one colour together, which is quicker.
  const broad = (b: ShownBob) => Math.round(b.x1 - b.x0);
  const look = (b: ShownBob) => data.look[b.i]!;
  bobs.sort(bobs.length > CROWD ? (a, c) => look(a) - look(c) || broad(c) - broad(a) : (a, c) => broad(c) - broad(a));
  for (const b of bobs) drawBob(shapes, laid, b, isSelected(b.i), ground.size);
  if (layout.upright) turn(shapes);
  drawRidgeWords(shapes, laid, ground, ridge);
  for (const l of labels) marked(l, () => drawLabel(shapes, laid, l, isSelected(l.i)));
  for (const c of counts) drawCount(shapes, layout.upright, c);

  const scene: Scene = {
    width: layout.upright ? layout.across : layout.frame.width,
    height: layout.upright ? layout.frame.height : layout.across,
    shapes,
    targets: [],
    ridgeY: layout.ridgeTop + layout.ridge / 2,
  };
  return { scene, content };
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
export function targetsOf({ laid, words }: Chart, c: FrameContent, brief = false): Target[] {
  const { data, layout } = laid;
  const made: { at: number; t: Target }[] = [];
  const event = (i: number, x: number, y: number, w: number, h: number) =>
    made.push({
      at: i,
      t: { ids: [data.ids[i]!], kind: "event", ...inFrame(layout.upright, { x, y, w, h }), name: "" },
    });
  for (const l of c.labels) event(l.i, l.x - 4, l.y - 2, l.w + 8, l.h + 4);
  // Titled roofs first, where there are too many for all.
  const roofs = [...c.roofs].sort((a, b) => Number(b.title !== null) - Number(a.title !== null));
  for (const r of roofs) {
    const t = roofTarget(r, data.ids[r.i]!);
    made.push({ at: r.i, t: { ...t, ...inFrame(layout.upright, t) } });
  }
  const labelled = new Set(c.labels.map((l) => l.i));
  const bare = shownBobs(laid, c.ground, c.view).filter((b) => !labelled.has(b.i));
  if (bare.length + made.length + c.counts.length <= MOST_TARGETS)
    for (const b of bare) event(b.i, b.apex - 8, layout.ridgeTop + layout.ridge, 16, BOB + 4);
  // Counts stand for many: they are never left out.
  made.length = Math.min(made.length, Math.max(0, MOST_TARGETS - c.counts.length));
  for (const { at, t } of made) t.name = words.nameOf(at);
  for (const n of c.counts) {
    const first = firstCounted(laid, c.ground, c.view, c.labels, n);
    const ids = brief ? [data.ids[layout.byApex[first]!]!] : countedIds(laid, c, n);
    const name = `${countText(n.count)}, without room for ${n.count === 1 ? "its label" : "their labels"}`;
    made.push({ at: layout.byApex[first]! + 0.5, t: { ids, kind: "more", ...inFrame(layout.upright, n), name } });
  }
  return made.sort((a, b) => a.at - b.at).map((m) => m.t);
}

/** The ids of the events a count stands for. */
export function countedIds(laid: Laid, c: FrameContent, n: ShownCount): string[] {
  return countedRanks(laid, c.ground, c.view, c.labels, n).map((r) => laid.data.ids[laid.layout.byApex[r]!]!);
}
