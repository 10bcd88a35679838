import { pointedAt, viewOfEvent, viewOfEvents, withEvent } from "@/core/chart/axis/look-at";
import { firstCounted } from "@/core/chart/labels/counts";
import { dateAt } from "@/core/chart/ticks/date-at";
import type { Chart } from "@/core/chart/frame/chart";
import { drawView, type Extras } from "@/core/chart/draw/draw-chart";
import type { Part } from "@/core/chart/frame/frame";
import { type Standing, inBox, mainIndex, partAt, standing } from "@/core/chart/pointing/standing";
import { groundOf, replaceHands } from "@/core/chart/frame/layout";
import type { Scene, Target } from "@/core/chart/draw/scene";
import type { ShownCount } from "@/core/chart/frame/shown";
import { countedIds, targetsOf } from "@/core/chart/draw/targets";
import {
  centred,
  type Ground,
  isWhole,
  panned,
  readView,
  type View,
  viewOf,
  viewText,
  wholeView,
  zoomed,
} from "@/core/chart/axis/view";
import type { TimelineEvent } from "@/core/timeline/timeline";
import { meetingHands } from "@/core/chart/pointing/grab";
import { Carry } from "./carry";
import { listenGestures } from "./gestures";
import { LayoutQueue } from "./layout-queue";
import { Overlay } from "./overlay";
import { paintCanvas } from "./paint-canvas";
import { BOARD_SCALE, changedSpots, sameLayout, type StageHooks, type StageSubject } from "./stage-hooks";
import { glide, large, pictureStore, today } from "./stage-pieces";
import { Strip } from "./strip";

/** After so long without movement a view is at rest, ms. */
const REST_MS = 280;
/** Real elements follow a moving view this often, ms. */
const ELEMENTS_MS = 150;
const STEP = 1.6;
/** Narrower than this the ridge runs down, px. */
const NARROW = 560;
const FADE_MS = 150;
/** How near a finger must be, px. */
const REACH_TOUCH = 16;

/**
 * A chart on a screen: canvas, real elements over it, gestures, view. Knows no framework; whoever mounts it hands in the
 * timeline and hears what was chosen. Painting a frame touches nothing but the canvas.
 */
export class ChartStage {
  private box: HTMLElement;
  private canvas: HTMLCanvasElement;
  private sheet: HTMLElement;
  private hooks: StageHooks;
  private overlay: Overlay;
  private carry: Carry | null;
  private cursor = "";
  private met = "";
  /** Where a walk by keys is going, until the focus has arrived. */
  private walking: string | null = null;
  private strip: Strip;
  private pictureOf: (item: string) => CanvasImageSource | null;
  private subject: StageSubject | null = null;
  private chart: Chart | null = null;
  private events: readonly TimelineEvent[] = [];
  private size = { width: 0, height: 0 };
  private view: View | null = null;
  /** A view asked for before there was a chart. */
  private wanted = "";
  private extras: Extras = [];
  private selected: string | null = null;
  private parts: Part[] = [];
  private scene: Scene | null = null;
  private moving = false;
  private frame = 0;
  private restTimer: ReturnType<typeof setTimeout> | undefined;
  private elementsAt = 0;
  private restedAt = 0;
  private stopGlide = (): void => {};
  private layouts: LayoutQueue;
  private stops: (() => void)[] = [];
  /** For measuring: how long the script of each frame took, ms. */
  frameTimes: number[] | null = null;
  /** For measuring: how long each answer of the worker kept the page, ms. */
  get answerTimes(): readonly number[] {
    return this.layouts.answerTimes;
  }

  /** For tests: the foot of the main ridge, px from the top of the drawing. */
  get ridgeFoot(): number {
    const { chart } = this;
    return chart ? chart.top + chart.laid.layout.ridgeTop + chart.laid.layout.ridge : 0;
  }

  constructor(box: HTMLElement, hooks: StageHooks, makeWorker: () => Worker) {
    this.box = box;
    this.hooks = hooks;
    this.layouts = new LayoutQueue(makeWorker, (chart, events) => this.take(chart, events));
    this.pictureOf = pictureStore(hooks.pictureUrl, () => this.paint());
    this.canvas = document.createElement("canvas");
    this.canvas.setAttribute("aria-hidden", "true");
    this.canvas.style.display = "block";
    const sheet = document.createElement("div");
    sheet.style.position = "relative";
    // A chart longer than its box ends above the foot.
    sheet.style.marginBottom = "30px";
    sheet.append(this.canvas);
    box.append(sheet);
    this.sheet = sheet;
    this.overlay = new Overlay(sheet, {
      press: (t) => this.press(t.kind, t.ids[0]!),
      walk: (id, step) => this.walk(id, step),
    });
    this.carry = hooks.moves
      ? new Carry(sheet, hooks.moves, () =>
          this.chart && this.subject
            ? {
                chart: this.chart,
                parts: this.parts,
                timeline: this.subject.timeline,
                event: (id) => this.subject!.timeline.events.get(id),
              }
            : null,
        )
      : null;
    this.strip = new Strip(box, (u, isMiddle) => this.lookAt(u, isMiddle));
    const watch = new ResizeObserver(() => this.resize());
    watch.observe(box);
    const again = () => this.paint();
    document.fonts.addEventListener("loadingdone", again);
    this.stops.push(
      () => watch.disconnect(),
      () => document.fonts.removeEventListener("loadingdone", again),
      listenGestures(sheet, {
        zoom: (at, factor) => this.zoomAt(at, factor),
        pan: (px) => this.pan(px),
        tap: (x, y) => this.tap(x, y),
        hover: (at) => this.hover(at?.x ?? null, at?.y ?? 0),
        grab: (x, y, touch) => this.grab(x, y, touch),
        carry: (x, y) => this.carry?.move(x, y),
        drop: (kept) => (kept ? this.carry?.drop() : this.carry?.cancel()),
        isWhole: () => this.isWhole(),
        isUpright: () => this.upright,
      }),
    );
    box.addEventListener("keydown", this.key);
    this.stops.push(() => box.removeEventListener("keydown", this.key));
    this.resize();
  }

  destroy(): void {
    for (const stop of this.stops) stop();
    cancelAnimationFrame(this.frame);
    this.stopGlide();
    clearTimeout(this.restTimer);
    this.layouts.stop();
    this.box.replaceChildren();
  }

  // ------------------------------------------------------------ what is shown

  show(subject: StageSubject): void {
    const before = this.subject;
    this.subject = subject;
    this.sheet.classList.toggle("chart-edit", this.hooks.moves !== undefined);
    this.sheet.classList.toggle("chart-board", subject.board === true);
    this.sheet.style.marginBottom = subject.board ? "0" : "30px";
    if (before && sameLayout(before, subject)) return;
    if (before && this.showSpots(before, subject)) return;
    this.layOut();
  }

  /** Where all that changed are labels placed by hand in a large chart, nothing else needs to be laid out anew. */
  private showSpots(before: StageSubject, now: StageSubject): boolean {
    const { chart } = this;
    if (!chart || chart.laid.layout.small || chart.main || chart.lanes || this.layouts.busy) return false;
    if (!sameLayout({ ...before, timeline: { ...before.timeline, events: now.timeline.events } }, now)) return false;
    const changed = changedSpots(before.timeline.events, now.timeline.events);
    if (!changed || changed.size === 0) return false;
    const spots = new Map(chart.data.spots);
    const events = this.events.slice();
    for (const [id, spot] of changed) {
      const i = chart.data.ids.indexOf(id);
      if (i < 0) continue;
      if (spot) spots.set(i, spot);
      else spots.delete(i);
      events[i] = now.timeline.events.get(id)!;
    }
    const laid = replaceHands(chart.laid, spots);
    this.events = events;
    this.chart = { ...chart, data: laid.data, laid };
    this.rest();
    return true;
  }

  select(id: string | null): void {
    if (id === this.selected) return;
    this.selected = id;
    if (id !== null) {
      this.bringIntoView(id);
      this.scrollTo(id);
    }
    this.paint();
    this.soon();
  }

  /** Shows what a text of `viewText` says. */
  lookAtText(text: string): void {
    this.wanted = text;
    const g = this.ground();
    if (g) this.moveTo(readView(g, text));
  }

  private resize(): void {
    const width = Math.max(280, this.box.clientWidth);
    const height = Math.max(160, this.box.clientHeight);
    if (width === this.size.width && height === this.size.height) return;
    this.size = { width, height };
    this.layOut();
  }

  private layOut(): void {
    const { subject } = this;
    if (!subject || this.size.width === 0) return;
    const upright = subject.upright ?? this.size.width < NARROW;
    const height = this.size.height - this.strip.height;
    const room = { width: this.size.width, height };
    const { timeline, hidden, rows } = subject;
    this.layouts.run({ timeline, hidden, room, upright, rows, today: today() });
  }

  private take(chart: Chart, events: readonly TimelineEvent[]): void {
    const { laid } = chart;
    const g = this.ground();
    const seen = g && this.view && !isWhole(g, this.view) ? viewText(g, this.view) : "";
    const next = groundOf(laid.axis, laid.layout);
    const sameAxis =
      g !== null && g.axis.length === next.axis.length && g.size === next.size && g.upright === next.upright;
    this.chart = chart;
    this.events = events;
    const ground = this.ground()!;
    if (!(this.view && sameAxis)) this.view = readView(ground, seen || this.wanted);
    this.wanted = "";
    this.strip.show(this.subject!.timeline, laid.data, this.size.width - this.hooks.footInset);
    this.rest();
  }

  private ground(): Ground | null {
    return this.chart ? groundOf(this.chart.laid.axis, this.chart.laid.layout) : null;
  }

  private get upright(): boolean {
    return this.chart?.laid.layout.upright ?? false;
  }

  /** Where the main ridge begins along itself, px: below the close-ups of an upright chart. */
  private get begin(): number {
    return this.upright ? (this.chart?.top ?? 0) : 0;
  }

  private isWhole(): boolean {
    const g = this.ground();
    return !g || !this.view || isWhole(g, this.view);
  }

  // ------------------------------------------------------------ moving

  private moveNow(view: View): void {
    this.view = view;
    this.moving = true;
    this.paint();
    this.soon();
  }

  /** The view will be at rest when nothing more comes. */
  private soon(): void {
    clearTimeout(this.restTimer);
    this.restTimer = setTimeout(() => this.rest(), REST_MS);
  }

  private rest(): void {
    clearTimeout(this.restTimer);
    this.moving = false;
    this.restedAt = performance.now();
    this.paint();
    const g = this.ground();
    if (g && this.view) this.hooks.seen(viewText(g, this.view), isWhole(g, this.view));
  }

  /** Says which labels placed by hand lie on each other. */
  private pointOut(): void {
    if (!this.hooks.meeting || this.moving) return;
    const pairs = meetingHands(this.parts);
    const met = pairs.flat().join(" ");
    if (met === this.met) return;
    this.met = met;
    this.hooks.meeting(pairs);
  }

  /** Goes to a view in a short movement that shows where it went. */
  private moveTo(to: View): void {
    this.stopMoving();
    const from = this.view;
    const g = this.ground();
    if (!from || !g) return;
    if (matchMedia("(prefers-reduced-motion: reduce)").matches) {
      this.moveNow(to);
      this.rest();
      return;
    }
    this.stopGlide = glide(from, to, (view) => this.moveNow(view));
  }

  private stopMoving(): void {
    this.stopGlide();
  }

  zoomAt(x: number, factor: number): void {
    const g = this.ground();
    if (!g || !this.view) return;
    this.stopMoving();
    this.moveNow(zoomed(g, this.view, x - this.begin, factor));
  }

  pan(px: number): void {
    const g = this.ground();
    if (!g || !this.view || isWhole(g, this.view)) return;
    this.stopMoving();
    this.moveNow(panned(g, this.view, px));
  }

  private lookAt(u: number, isMiddle: boolean): void {
    const g = this.ground();
    if (!g || !this.view) return;
    this.stopMoving();
    const at = { hi: u * g.axis.length, lo: 0 };
    this.moveNow(
      isMiddle
        ? centred(g, at, this.view.scale)
        : viewOf(g, at, { hi: at.hi + (g.size - 2 * g.pad) / this.view.scale, lo: 0 }),
    );
  }

  zoomBy(way: 1 | -1): void {
    const g = this.ground();
    if (!g || !this.view) return;
    const at = this.selected === null ? null : this.placeOf(this.selected);
    const x = at && at.closeUp < 0 ? (at.from + at.to) / 2 - this.begin : g.size / 2;
    this.moveTo(zoomed(g, this.view, x > 0 && x < g.size ? x : g.size / 2, STEP ** way));
  }

  whole(): void {
    const g = this.ground();
    if (g) this.moveTo(wholeView(g));
  }

  /** To the selected event. */
  toSelected(): void {
    const g = this.ground();
    const i = this.chart ? mainIndex(this.chart, this.selected) : -1;
    if (g && i >= 0 && this.chart && this.view) this.moveTo(viewOfEvent(this.chart.laid, g, this.view, i));
  }

  // ------------------------------------------------------------ reaching

  private indexOf(id: string | null): number {
    return id === null || !this.chart ? -1 : this.chart.data.ids.indexOf(id);
  }

  /** Where an event stands in the drawing as it is seen. */
  private placeOf(id: string): Standing | null {
    return standing(this.parts, id);
  }

  private bringIntoView(id: string): void {
    const g = this.ground();
    const i = this.chart ? mainIndex(this.chart, id) : -1;
    if (g && this.view && i >= 0 && !isWhole(g, this.view)) this.view = withEvent(this.chart!.laid, g, this.view, i);
  }

  /** A chart may be longer than its box. */
  private scrollTo(id: string): void {
    const at = this.placeOf(id);
    if (!at) return;
    const { scrollTop, clientHeight } = this.box;
    const y = this.upright ? at.from : at.across;
    if (y < scrollTop + 20 || y > scrollTop + clientHeight - 60) this.box.scrollTop = Math.max(0, y - clientHeight / 2);
  }

  private walk(id: string | null, step: number | "first" | "last"): void {
    const { chart } = this;
    if (!chart || this.events.length === 0) return;
    const { ids } = chart.data;
    // A key held down is quicker than the focus that follows.
    const now = this.indexOf(id === null ? null : (this.walking ?? id));
    const to = step === "first" ? 0 : step === "last" ? ids.length - 1 : now < 0 ? 0 : now + step;
    const next = ids[to];
    if (next === undefined) return;
    this.selected = next;
    this.bringIntoView(next);
    this.scrollTo(next);
    this.rest();
    this.hooks.select(next, false);
    this.walking = next;
    this.overlay.focus(next, () => {
      if (this.walking === next) this.walking = null;
    });
  }

  private press(kind: Target["kind"], first: string): void {
    if (kind === "lane") {
      this.hooks.fold?.(Number(first));
      return;
    }
    if (kind === "close-up") {
      const isOpen = this.chart?.closeUps.some((c) => this.chart!.data.ids[c.whole] === first) ?? false;
      this.hooks.closeUp?.(first, !isOpen);
      return;
    }
    if (kind === "event") {
      this.hooks.select(first, true);
      return;
    }
    const g = this.ground();
    const { parts, chart } = this;
    if (!g || !this.view || !chart) return;
    // The button knows the first only.
    const pressed = parts.flatMap((p) =>
      p.content.counts.filter((c) => isFirst(p, c, first)).map((c) => ({ part: p, ids: countedIds(p, c) })),
    )[0];
    const ids = pressed?.ids ?? [first];
    if (ids.length === 1) {
      this.hooks.select(ids[0]!, true);
      return;
    }
    // A close-up has one view.
    if (pressed && pressed.part.closeUp >= 0) {
      this.hooks.list(ids);
      return;
    }
    const index = new Map(chart.laid.data.ids.map((id, i) => [id, i]));
    const target = viewOfEvents(
      chart.laid,
      g,
      ids.map((id) => index.get(id)!),
    );
    // What stands at one instant never comes apart; what is seen as near as can be does not either.
    if (target && target.scale > this.view.scale * 1.05) this.moveTo(target);
    else this.hooks.list(ids);
  }

  private tap(x: number, y: number): void {
    const g = this.ground();
    const { add } = this.hooks;
    if (!g || !this.view || !this.chart) return;
    const hit = this.overlay.at(x, y);
    if (hit) {
      this.press(hit.kind, hit.ids[0]!);
      return;
    }
    if (!add) {
      this.hooks.select(null, false);
      return;
    }
    const part = partAt(this.chart, this.parts, x, y);
    if (!part) {
      const head = this.chart.closeUps.find((c) => inBox(c, x, y));
      if (head) this.hooks.select(this.chart.data.ids[head.whole]!, true);
      return;
    }
    const { laid, content, closeUp } = part;
    const along = content.ground.upright ? y - part.top : x - part.left;
    const within = closeUp < 0 ? null : this.chart.data.ids[this.chart.closeUps[closeUp]!.whole]!;
    const of = this.chart.lanes ? this.chart.laid : laid;
    add(pointedAt(of, content.ground, content.view, along, this.chart.words.manner), within);
  }

  /** Where a mouse rests over the chart. */
  private pointer: { x: number; y: number } | null = null;

  private hover(at: number | null, y: number): void {
    // Beyond the chart's edge, which may have moved, there is nothing.
    const x = at === null || at > this.size.width ? null : at;
    this.pointer = at === null ? null : { x: at, y };
    // What can be moved along the ridge shows it.
    const along = x !== null && (this.carry?.movesAlong(x, y) ?? false);
    const cursor = !along ? "" : this.upright ? "ns-resize" : "ew-resize";
    if (cursor !== this.cursor) {
      this.cursor = cursor;
      this.sheet.style.cursor = cursor;
      this.sheet.style.setProperty("--chart-cursor", cursor || "pointer");
    }
    const part = x === null || !this.chart ? null : partAt(this.chart, this.parts, x, y);
    if (x === null || !part || !this.chart || this.upright) {
      this.overlay.readingLine(null, "", 0, 0);
      return;
    }
    const { content, laid } = part;
    // Of rows the ridge is the one over them.
    const of = this.chart.lanes ? this.chart.laid : laid;
    const top = this.chart.lanes ? 0 : part.top;
    const date = dateAt(content.ground, content.view, x - part.left, this.chart.words.manner);
    const foot = part.closeUp < 0 ? null : top + laid.layout.across;
    this.overlay.readingLine(date === null ? null : x, date ?? "", top, top + of.layout.ridgeTop, foot);
  }

  private grab(x: number, y: number, touch: boolean): boolean {
    if (!this.carry) return false;
    // A finger moves the view, but for what is selected.
    if (this.subject?.board) return this.carry.begin(x, y, { reach: REACH_TOUCH, whole: true });
    if (touch) return this.carry.begin(x, y, { reach: REACH_TOUCH, only: this.selected });
    return this.carry.begin(x, y, {});
  }

  private key = (e: KeyboardEvent): void => {
    if (e.key === "Escape" && this.carry?.active) {
      this.carry.cancel();
      e.stopPropagation();
      return;
    }
    if (e.altKey && !e.ctrlKey && !e.metaKey && this.carry) {
      const id = (document.activeElement as HTMLElement | null)?.dataset.target?.match(/^event-(.+)$/)?.[1];
      const lane = (document.activeElement as HTMLElement | null)?.dataset.target?.match(/^lane-(\d+)$/)?.[1];
      if ((id && this.carry.key(id, e)) || (lane && this.carry.laneKey(Number(lane), e.key))) {
        e.preventDefault();
        e.stopPropagation();
      }
      return;
    }
    if (e.ctrlKey || e.metaKey || e.altKey || !this.act(e.key, e.shiftKey)) return;
    e.preventDefault();
  };

  private act(key: string, shift: boolean): boolean {
    const size = this.ground()?.size ?? this.size.width;
    if (key === "+" || key === "=") this.zoomBy(1);
    else if (key === "-") this.zoomBy(-1);
    else if (key === "0") this.whole();
    else if (key === "z") this.toSelected();
    else if (key === "PageDown") this.pan(size * 0.8);
    else if (key === "PageUp") this.pan(-size * 0.8);
    else if (key === "Home") this.walk(null, "first");
    else if (key === "End") this.walk(null, "last");
    else if (shift && key === "ArrowRight") this.pan(80);
    else if (shift && key === "ArrowLeft") this.pan(-80);
    else return false;
    return true;
  }

  // ------------------------------------------------------------ painting

  private paint(): void {
    if (this.frame) return;
    this.frame = requestAnimationFrame(() => {
      this.frame = 0;
      this.paintNow();
    });
  }

  /** For measuring: what would be painted in the next frame. */
  paintAtOnce(): void {
    cancelAnimationFrame(this.frame);
    this.frame = 0;
    this.paintNow();
  }

  private paintNow(): void {
    const { chart, view } = this;
    if (!chart || !view) return;
    const begun = performance.now();
    const { scene, parts } = drawView(chart, view, this.moving ? this.extras : "settle", this.selected);
    this.extras = parts.map((p) => p.content.extras);
    this.parts = parts;
    this.fitSheet(scene);
    const faded = this.moving ? 1 : Math.min(1, (begun - this.restedAt + 16) / FADE_MS);
    const ratio = (window.devicePixelRatio || 1) * (this.subject?.board ? BOARD_SCALE : 1);
    paintCanvas(this.canvas, scene, ratio, this.pictureOf, faded);
    this.strip.mark(this.ground()!, view);
    if (!this.moving && faded < 1 && parts.some((p) => p.content.extras.length > 0)) this.paint();
    this.scene = scene;
    if (!this.moving || performance.now() - this.elementsAt > ELEMENTS_MS) this.elements();
    this.pointOut();
    // What moves, opens or narrows under a pointer at rest is another date there.
    if (this.pointer) this.hover(this.pointer.x, this.pointer.y);
    this.frameTimes?.push(performance.now() - begun);
  }

  private fitSheet({ width, height }: Scene): void {
    const [w, h] = [`${width}px`, `${height}px`];
    for (const e of [this.sheet, this.canvas]) {
      if (e.style.width !== w) e.style.width = w;
      if (e.style.height !== h) e.style.height = h;
    }
  }

  private elements(): void {
    this.elementsAt = performance.now();
    const { chart, parts, scene } = this;
    if (!chart || !scene) return;
    const targets = targetsOf(chart, parts, true);
    const at = this.selected === null ? -1 : this.indexOf(this.selected);
    // The selected one can always be reached, also where its label found no room: it shows a small flag of its own.
    let flag = null;
    if (at >= 0 && !targets.some((t) => t.kind === "event" && t.ids[0] === this.selected && t.h > 20)) {
      const place = this.placeOf(this.selected!);
      const size = this.upright ? scene.height : scene.width;
      const along = place ? Math.max(8, Math.min(size - 8, place.from)) : 0;
      const across = (place?.across ?? 0) + 32;
      if (place && place.to >= this.begin && place.from <= size)
        flag = {
          id: this.selected!,
          x: this.upright ? across : along,
          y: this.upright ? along : across,
          text: `${chart.data.dates[at] ?? ""} ${chart.data.titles[at] ?? ""}`.trim(),
          name: chart.nameOf(at),
        };
    }
    this.overlay.show(
      this.subject?.board ? targets.map(large) : targets,
      this.selected,
      flag,
      scene.width,
      scene.height,
    );
  }
}

/** Whether an event is the first that a count stands for. */
function isFirst({ laid, content }: Part, c: ShownCount, id: string): boolean {
  return laid.data.ids[laid.layout.byApex[firstCounted(laid, content.ground, content.view, content.labels, c)]!] === id;
}
