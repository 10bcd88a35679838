// Long because what is shown, seen, reached and painted meets here; view-motion, pointed-at, stage-keys, carry and overlay do their own.
import { viewOfEvent, viewOfEvents, withEvent } from "@/core/chart/axis/look-at";
import type { Chart } from "@/core/chart/frame/chart";
import { pageVariables } from "@/core/looks/page-style";
import type { ChartStyle } from "@/core/looks/style";
import { drawView, type Extras } from "@/core/chart/draw/draw-chart";
import type { Part } from "@/core/chart/frame/frame";
import { type Standing, mainIndex, roofUnder, standing } from "@/core/chart/pointing/standing";
import { BOB } from "@/core/chart/style/house-style";
import { groundOf, replaceHands } from "@/core/chart/frame/layout";
import type { Scene, Target } from "@/core/chart/draw/scene";
import { targetsOf } from "@/core/chart/draw/targets";
import { type Ground, isWhole, readView, viewText, wholeView } from "@/core/chart/axis/view";
import type { TimelineEvent } from "@/core/timeline/timeline";
import { meetingHands } from "@/core/chart/pointing/grab";
import { Card } from "./card";
import { Carry } from "./carry";
import { nearestTo, whereItHangs } from "./hanging";
import { listenGestures } from "./gestures";
import { LayoutQueue } from "./layout-queue";
import { type Flag, Overlay } from "./overlay";
import { paintCanvas, type PictureOf } from "./paint-canvas";
import { BOARD_SCALE, type Hung, sameLayout, type StageHooks, type StageSubject, withSpots } from "./stage-hooks";
import { large, pictureStore, today } from "./stage-pieces";
import { listenKeys } from "./stage-keys";
import { countFrom, emptyPlaceAt, readingAt } from "./pointed-at";
import { Strip } from "./strip";
import { ViewMotion } from "./view-motion";

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
  private card: Card | null = null;
  private cursor = "";
  private met = "";
  /** Where a walk by keys is going, until the focus has arrived. */
  private walking: string | null = null;
  private strip: Strip;
  private pictureOf: PictureOf;
  private subject: StageSubject | null = null;
  private chart: Chart | null = null;
  private events: readonly TimelineEvent[] = [];
  private size = { width: 0, height: 0 };
  /** A view asked for before there was a chart. */
  private wanted = "";
  /** What hangs open from the ridge, and the view there was before. */
  private hung: Hung | null = null;
  private viewBefore: string | null = null;
  private readonly motion: ViewMotion;
  private extras: Extras = [];
  /** An event whose close-up was opened to see it, where there is too little room for that to open by itself. */
  private seen: string | null = null;
  /** A close-up that is to be closed. */
  private closing: string | null = null;
  private selected: string | null = null;
  private dressed: ChartStyle | null = null;
  private parts: Part[] = [];
  private scene: Scene | null = null;
  private frame = 0;
  private elementsAt = 0;
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
    this.motion = new ViewMotion({
      ground: () => this.ground(),
      paint: () => this.paint(),
      // While something hangs open the whole is seen, which is nobody's choice.
      rested: (text, whole) => this.hung || hooks.seen(text, whole),
    });
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
      focused: (t) => this.cardFor(t, true),
    });
    this.card = hooks.card ? new Card(sheet, hooks.card) : null;
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
    this.strip = new Strip(box, (u, isMiddle) => this.motion.lookAt(u, isMiddle));
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
        isWhole: () => this.motion.isWhole,
        isUpright: () => this.upright,
      }),
    );
    this.stops.push(listenKeys(box, this.carry, (key, shift) => this.act(key, shift)));
    this.resize();
  }

  destroy(): void {
    for (const stop of this.stops) stop();
    cancelAnimationFrame(this.frame);
    this.motion.end();
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
    // One key after the other moves a label from where the last one put it.
    const { chart } = this;
    this.layOut(before !== null && chart !== null && withSpots(before, subject, chart.data, this.events) !== null);
  }

  /** Where all that changed are labels placed by hand in a large chart, nothing else needs to be laid out anew. */
  private showSpots(before: StageSubject, now: StageSubject): boolean {
    const { chart } = this;
    if (!chart || chart.laid.layout.small || chart.main || chart.lanes || this.layouts.busy) return false;
    if (!sameLayout({ ...before, timeline: { ...before.timeline, events: now.timeline.events } }, now)) return false;
    const moved = withSpots(before, now, chart.data, this.events);
    if (!moved) return false;
    const laid = replaceHands(chart.laid, moved.spots);
    this.events = moved.events;
    this.chart = { ...chart, data: laid.data, laid };
    this.motion.rest();
    return true;
  }

  select(id: string | null): void {
    if (id === this.selected) return;
    this.selected = id;
    if (id !== null) this.reach(id);
    this.paint();
    this.motion.soon();
  }

  /**
   * An event hangs open below the ridge, on a stretch of it that is left to it: the whole is seen, roofs are low, and labels stand
   * beside. Null: as it was before, the view too.
   */
  hang(hung: Hung | null): void {
    if (!hung && !this.hung) return;
    const g = this.ground();
    if (hung && !this.hung) this.viewBefore = g && this.motion.view ? viewText(g, this.motion.view) : null;
    const same = hung && this.hung && hung.from === this.hung.from && hung.to === this.hung.to;
    this.hung = hung;
    this.selected = hung?.id ?? this.selected;
    this.motion.stop();
    if (same) this.paint();
    else this.layOut();
  }

  /** The keyboard's focus goes to an event of the chart. */
  focus(id: string): void {
    this.overlay.focus(id, () => {});
  }

  /** Shows what a text of `viewText` says. */
  lookAtText(text: string): void {
    this.wanted = text;
    const g = this.ground();
    if (g) this.motion.to(readView(g, text));
  }

  private resize(): void {
    const width = Math.max(280, this.box.clientWidth);
    const height = Math.max(160, this.box.clientHeight);
    if (width === this.size.width && height === this.size.height) return;
    this.size = { width, height };
    this.layOut();
  }

  private layOut(now = false): void {
    const { subject } = this;
    if (!subject || this.size.width === 0) return;
    const { hung } = this;
    const upright = !hung && (subject.upright ?? this.size.width < NARROW);
    const height = this.size.height - (hung ? 0 : this.strip.height);
    const room = { width: this.size.width, height };
    const { timeline, hidden } = subject;
    const rows = hung ? null : subject.rows;
    const taken = hung ? { from: hung.from, to: hung.to } : undefined;
    this.layouts.run({ timeline, hidden, room, upright, rows, today: today(), seen: this.seen, taken }, now);
  }

  /** What lies over the chart, and around it in its box, is in the same style. */
  private dress({ data: { style } }: Chart): void {
    if (this.dressed === style) return;
    this.dressed = style;
    for (const [name, value] of Object.entries(pageVariables(style))) this.box.style.setProperty(name, value);
    this.box.style.background = style.paper;
  }

  private take(chart: Chart, events: readonly TimelineEvent[]): void {
    const { laid } = chart;
    const g = this.ground();
    const seen = g && this.motion.view && !isWhole(g, this.motion.view) ? viewText(g, this.motion.view) : "";
    const next = groundOf(laid.axis, laid.layout);
    const sameAxis =
      g !== null && g.axis.length === next.axis.length && g.size === next.size && g.upright === next.upright;
    this.chart = chart;
    this.events = events;
    this.dress(chart);
    const ground = this.ground()!;
    if (this.hung) this.motion.view = wholeView(ground);
    else if (this.viewBefore !== null) {
      this.motion.view = readView(ground, this.viewBefore);
      this.viewBefore = null;
    } else if (!(this.motion.view && sameAxis)) this.motion.view = readView(ground, seen || this.wanted);
    this.wanted = "";
    const { closing } = this;
    this.closing = null;
    // There is room for it after all: then it is closed for good.
    if (closing && chart.closeUps.some((c) => chart.data.ids[c.whole] === closing))
      this.hooks.closeUp?.(closing, false);
    this.strip.show(this.subject!.timeline, laid.data, this.size.width - this.hooks.footInset);
    this.motion.rest();
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

  // ------------------------------------------------------------ moving

  /** Says which labels placed by hand lie on each other. */
  private pointOut(): void {
    if (!this.hooks.meeting || this.motion.moving) return;
    const pairs = meetingHands(this.parts);
    const met = pairs.flat().join(" ");
    if (met === this.met) return;
    this.met = met;
    this.hooks.meeting(pairs);
  }

  zoomAt(x: number, factor: number): void {
    if (!this.hung) this.motion.zoomAt(x - this.begin, factor);
  }

  pan(px: number): void {
    if (!this.hung) this.motion.pan(px);
  }

  zoomBy(way: 1 | -1): void {
    const size = this.ground()?.size ?? 0;
    const at = this.selected === null ? null : this.placeOf(this.selected);
    const x = at && at.closeUp < 0 ? (at.from + at.to) / 2 - this.begin : size / 2;
    this.motion.zoomTo(x > 0 && x < size ? x : size / 2, STEP ** way);
  }

  whole(): void {
    this.motion.whole();
  }

  /** To the selected event. */
  toSelected(): void {
    const g = this.ground();
    const i = this.chart ? mainIndex(this.chart, this.selected) : -1;
    if (g && i >= 0 && this.chart && this.motion.view)
      this.motion.to(viewOfEvent(this.chart.laid, g, this.motion.view, i));
  }

  // ------------------------------------------------------------ reaching

  /** Brings an event into view; what is gathered in its whole is opened for it, and stays so. */
  private reach(id: string): void {
    if (this.isGathered(id)) {
      this.seen = id;
      this.layOut();
      return;
    }
    this.bringIntoView(id);
    this.scrollTo(id);
  }

  private isGathered(id: string): boolean {
    const i = this.indexOf(id);
    return i >= 0 && [...(this.chart?.gathered.values() ?? [])].some((parts) => parts.includes(i));
  }

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
    if (g && this.motion.view && i >= 0 && !isWhole(g, this.motion.view))
      this.motion.view = withEvent(this.chart!.laid, g, this.motion.view, i);
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
    this.reach(next);
    this.motion.rest();
    this.hooks.select(next, false);
    this.walking = next;
    this.overlay.focus(next, () => {
      if (this.walking === next) this.walking = null;
    });
  }

  /** Opens or closes what has parts: for this viewer alone where they were only gathered for want of room. */
  private pressCloseUp(id: string): void {
    const { chart } = this;
    if (!chart) return;
    const whole = this.indexOf(id);
    const gathered = chart.gathered.get(whole);
    const isOpen = chart.closeUps.some((c) => c.whole === whole);
    const seen = isOpen && this.seen !== null && chart.data.closeUp[whole] === 0;
    if (!gathered && !seen) {
      this.hooks.closeUp?.(id, !isOpen);
      return;
    }
    this.seen = gathered ? chart.data.ids[gathered[0]!]! : null;
    this.closing = gathered ? null : id;
    this.layOut();
  }

  private press(kind: Target["kind"], first: string): void {
    this.card?.hide();
    if (kind === "lane") {
      this.hooks.fold?.(Number(first));
      return;
    }
    if (kind === "close-up") {
      this.pressCloseUp(first);
      return;
    }
    if (kind === "event") {
      this.hooks.select(first, true);
      return;
    }
    const g = this.ground();
    const { parts, chart } = this;
    if (!g || !this.motion.view || !chart) return;
    const pressed = countFrom(parts, first);
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
    if (target && target.scale > this.motion.view.scale * 1.05) this.motion.to(target);
    else this.hooks.list(ids);
  }

  private tap(x: number, y: number): void {
    const g = this.ground();
    const { add } = this.hooks;
    if (!g || !this.motion.view || !this.chart) return;
    const hit = this.overlay.at(x, y);
    if (hit) {
      this.press(hit.kind, hit.ids[0]!);
      return;
    }
    const roof = roofUnder(this.parts, x, y);
    if (roof) {
      this.press("event", roof);
      return;
    }
    if (!add) {
      const onRidge = this.hung && y < this.ridgeFoot + BOB;
      const near = onRidge ? nearestTo(this.parts[0]!, x) : null;
      this.hooks.select(near, near !== null);
      return;
    }
    const at = emptyPlaceAt(this.chart, this.parts, x, y);
    if (at && "whole" in at) this.hooks.select(at.whole, true);
    else if (at) add(at.place, at.within);
  }

  /** The event whose label, bob or roof lies at a point of the window; null: none. */
  eventAt(clientX: number, clientY: number): string | null {
    const box = this.sheet.getBoundingClientRect();
    const scale = box.width / Math.max(1, this.sheet.offsetWidth);
    const [x, y] = [(clientX - box.left) / scale, (clientY - box.top) / scale];
    const hit = this.overlay.at(x, y);
    if (hit) return hit.kind === "event" ? hit.ids[0]! : null;
    return roofUnder(this.parts, x, y);
  }

  /** Where a mouse rests over the chart. */
  private pointer: { x: number; y: number } | null = null;

  private hover(at: number | null, y: number): void {
    this.cardFor(at === null ? null : this.overlay.at(at, y), false);
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
    const line = x === null || !this.chart ? null : readingAt(this.chart, this.parts, x, y);
    if (x === null || !line) this.overlay.readingLine(null, "", 0, 0);
    else this.overlay.readingLine(line.date === null ? null : x, line.date ?? "", line.top, line.ridgeTop, line.foot);
  }

  /** A card for what a pointer is on, or the focus; none for what hangs open already, or while things move. */
  private cardFor(t: Target | null, atOnce: boolean): void {
    const { card, scene } = this;
    if (!card || !scene) return;
    const id = t?.kind === "event" ? t.ids[0]! : null;
    if (id === null || id === this.hung?.id || this.motion.moving) card.hide();
    else if (atOnce) card.show(id, t!, scene);
    else card.pointAt(id, t!, scene);
  }

  private grab(x: number, y: number, touch: boolean): boolean {
    this.card?.hide();
    if (!this.carry) return false;
    // A finger moves the view, but for what is selected.
    if (this.subject?.board) return this.carry.begin(x, y, { reach: REACH_TOUCH, whole: true });
    if (touch) return this.carry.begin(x, y, { reach: REACH_TOUCH, only: this.selected });
    return this.carry.begin(x, y, {});
  }

  /** What a key without others means to the chart; false: nothing. */
  private act(key: string, shift: boolean): boolean {
    const size = this.ground()?.size ?? this.size.width;
    const acts: Record<string, () => void> = {
      "+": () => this.zoomBy(1),
      "=": () => this.zoomBy(1),
      "-": () => this.zoomBy(-1),
      "0": () => this.whole(),
      z: () => this.toSelected(),
      PageDown: () => this.pan(size * 0.8),
      PageUp: () => this.pan(-size * 0.8),
      Home: () => this.walk(null, "first"),
      End: () => this.walk(null, "last"),
      ...(shift ? { ArrowRight: () => this.pan(80), ArrowLeft: () => this.pan(-80) } : {}),
    };
    if (this.hung) return false;
    if (key === "Escape") this.card?.hide();
    acts[key]?.();
    return key in acts;
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
    const { chart } = this;
    const { view } = this.motion;
    if (!chart || !view) return;
    const begun = performance.now();
    const { scene, parts } = drawView(chart, view, this.motion.moving ? this.extras : "at rest", this.selected);
    this.extras = parts.map((p) => p.content.extras);
    this.parts = parts;
    this.fitSheet(scene);
    this.hung?.hangs(whereItHangs(parts[0]!, this.hung));
    const faded = this.motion.moving ? 1 : Math.min(1, (begun - this.motion.restedAt + 16) / FADE_MS);
    const ratio = (window.devicePixelRatio || 1) * (this.subject?.board ? BOARD_SCALE : 1);
    paintCanvas(this.canvas, scene, ratio, this.pictureOf, faded);
    this.strip.mark(this.ground()!, view);
    if (!this.motion.moving && faded < 1 && parts.some((p) => p.content.extras.length > 0)) this.paint();
    this.scene = scene;
    if (!this.motion.moving || performance.now() - this.elementsAt > ELEMENTS_MS) this.elements();
    this.pointOut();
    // What moves, opens or narrows under a pointer at rest is another date there.
    if (this.pointer) this.hover(this.pointer.x, this.pointer.y);
    this.frameTimes?.push(performance.now() - begun);
  }

  private fitSheet({ width, height }: Scene): void {
    this.hooks.drawn?.(height);
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
    const flag = this.flag(targets, scene);
    this.overlay.show(
      this.subject?.board ? targets.map(large) : targets,
      this.selected,
      flag,
      scene.width,
      scene.height,
    );
  }

  /** The selected one can always be reached, also where its label found no room: it shows a small flag of its own. */
  private flag(targets: readonly Target[], scene: Scene): Flag | null {
    const { chart, selected } = this;
    const at = this.indexOf(selected);
    // What hangs open says its title itself.
    if (!chart || selected === null || at < 0 || this.hung) return null;
    if (targets.some((t) => t.kind === "event" && t.ids[0] === selected && t.h > 20)) return null;
    const place = this.placeOf(selected);
    const size = this.upright ? scene.height : scene.width;
    if (!place || place.to < this.begin || place.from > size) return null;
    const along = Math.max(8, Math.min(size - 8, place.from));
    const across = place.across + 32;
    return {
      id: selected,
      x: this.upright ? across : along,
      y: this.upright ? along : across,
      text: `${chart.data.dates[at] ?? ""} ${chart.data.titles[at] ?? ""}`.trim(),
      name: chart.nameOf(at),
    };
  }
}
