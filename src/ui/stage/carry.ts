import { WORDS as COMMON } from "@/core/words/common";
import { WORDS } from "@/core/words/stage";
import type { Chart } from "@/core/chart/frame/chart";
import { timeNear } from "@/core/chart/ticks/date-at";
import { textOfLabel } from "@/core/chart/draw/draw-labels";
import type { Part } from "@/core/chart/frame/frame";
import { aligned, type Box, boxOf, type Grab, grabAt, local, neighbourAt, spotAt } from "@/core/chart/pointing/grab";
import { OUTER_END, OUTER_START, SPAN_KIND } from "@/core/chart/data/chart-data";
import { pointX } from "@/core/chart/frame/shown";
import { redated } from "@/core/time/redate";
import type { When } from "@/core/time/when";
import { whenLabel } from "@/core/time/write-when";
import { readOptionsOf, mannerOf } from "@/core/timeline/read-options";
import type { Timeline, TimelineEvent } from "@/core/timeline/timeline";
import type { Spot } from "@/core/timeline/fields";

/** What may be moved by hand, and what happens then: each call is one undo. */
export interface MoveHooks {
  spot: (id: string, spot: Spot | null) => void;
  when: (id: string, when: When) => void;
  place: (id: string, target: string, side: "before" | "after") => void;
  /** Moves a category (by look) before another in the key; null: to its end. */
  lane: (look: number, before: number | null) => void;
  say: (sentence: string) => void;
}

/** What of a stage carrying needs to see. */
export interface Carried {
  chart: Chart;
  parts: readonly Part[];
  timeline: Timeline;
  event: (id: string) => TimelineEvent | undefined;
}

/** The part of a row it is dragged by, px. */
const LANE_NAME = { w: 170, h: 24 };
const refusedText = (end: "start" | "end" | null): string =>
  end === "start" ? WORDS.itCannotBeginAfterIts : end === "end" ? WORDS.itCannotEndBeforeIts : WORDS.noDateCanBeTold;
/** A label is moved by so many px at a press of a key. */
const STEP = 8;
/** ... and a date by what so many px can tell apart. */
const DATE_STEP = 6;

/** Moves labels, dates and places in the order: while dragging with a ghost and lines to align by, and by keys. */
export class Carry {
  private see: () => Carried | null;
  private moves: MoveHooks;
  private ghost = element("chart-ghost");
  private tether = element("chart-tether");
  /** Over the label where it stood, while it is carried. */
  private veil = element("chart-veil");
  private lines = [element("chart-guide"), element("chart-guide")];
  private said = element("chart-said");
  private grab: Grab | { kind: "lane"; look: number } | null = null;
  private from = { x: 0, y: 0 };
  private others: Box[] = [];
  /** From the pointer to the moment it moves, px along the ridge. */
  private offset = 0;
  private result: (() => void) | null = null;

  constructor(sheet: HTMLElement, moves: MoveHooks, see: () => Carried | null) {
    this.see = see;
    this.moves = moves;
    this.said.setAttribute("role", "status");
    this.said.removeAttribute("aria-hidden");
    this.said.hidden = false;
    sheet.append(this.veil, this.tether, ...this.lines, this.ghost, this.said);
  }

  /**
   * Takes hold of what lies there, or of nothing but one event (`only`); false: nothing that can be moved. `whole`: a label
   * is not moved for itself, but its event with it, to another date or place in the order.
   */
  begin(x: number, y: number, o: { reach?: number; only?: string | null; whole?: boolean }): boolean {
    const s = this.see();
    const lane = s?.chart.lanes?.find((l) => x < LANE_NAME.w && y >= l.top && y <= l.top + LANE_NAME.h);
    if (lane) {
      if (lane.look === 0) return false;
      this.grab = { kind: "lane", look: lane.look };
      this.result = null;
      return true;
    }
    const grab = s && grabAt(s.parts, x, y, o.reach);
    if (!s || !grab || (o.only !== undefined && grab.id !== o.only)) return false;
    this.grab = grab;
    this.offset = 0;
    if (o.whole && grab.kind === "label") {
      const dated = s.event(grab.id)?.when.readAs.kind === "moment";
      this.grab = dated ? { ...grab, kind: "date", end: null } : { ...grab, kind: "place" };
      this.offset = local(grab.part, grab.apex.x, grab.apex.y)[0] - local(grab.part, x, y)[0];
    }
    this.from = { x, y };
    this.result = null;
    this.others =
      grab.kind === "label"
        ? s.parts.flatMap((p) =>
            p.content.labels.filter((l) => p.laid.data.ids[l.i] !== grab.id).map((l) => boxOf(p, l)),
          )
        : [];
    return true;
  }

  /** Whether a date, or a place in the order, can be taken hold of there. */
  movesAlong(x: number, y: number): boolean {
    const s = this.see();
    const grab = s && grabAt(s.parts, x, y);
    return grab !== null && grab.kind !== "label";
  }

  get active(): boolean {
    return this.grab !== null;
  }

  move(x: number, y: number): void {
    const s = this.see();
    if (!s || !this.grab) return;
    if (this.grab.kind === "lane") this.moveLane(s, this.grab.look, x, y);
    else if (this.grab.kind === "label") this.moveLabel(this.grab, x, y);
    else if (this.grab.kind === "date") this.moveDate(s, this.grab, x, y);
    else this.movePlace(s, this.grab, x, y);
  }

  drop(): void {
    const { result } = this;
    this.cancel();
    result?.();
  }

  cancel(): void {
    this.grab = null;
    this.result = null;
    for (const e of [this.ghost, this.veil, this.tether, ...this.lines]) e.hidden = true;
  }

  private moveLabel(grab: Extract<Grab, { kind: "label" }>, x: number, y: number): void {
    const { box } = grab;
    const wanted = { ...box, x: box.x + x - this.from.x, y: box.y + y - this.from.y };
    const at = aligned(wanted, this.others);
    const { laid } = grab.part;
    const i = laid.layout.byApex[grab.rank]!;
    const t = textOfLabel(laid, i);
    this.show([t.date, ...t.lines].filter(Boolean).join("\n"), at.x - 5, at.y - 3, box.w + 10);
    this.veil.hidden = false;
    this.veil.style.cssText = `left:${box.x - 4}px;top:${box.y - 2}px;width:${box.w + 8}px;height:${box.h + 4}px`;
    this.stretch(grab.apex, { ...box, x: at.x, y: at.y });
    for (const [k, line] of this.lines.entries()) {
      const g = at.guides[k];
      line.hidden = !g;
      if (g)
        line.style.cssText =
          g.axis === "x" ? `left:${g.at}px;top:0;bottom:0;width:1px` : `top:${g.at}px;left:0;right:0;height:1px`;
    }
    this.result = () => this.moves.spot(grab.id, spotAt(grab, at.x, at.y));
  }

  private moveLane(s: Carried, look: number, x: number, y: number): void {
    const lanes = (s.chart.lanes ?? []).filter((l) => l.look !== 0);
    const to = lanes.filter((l) => l.top + l.height / 2 < y).length;
    const next = lanes[to] ?? null;
    const last = lanes.at(-1)!;
    this.show(s.chart.names[look] ?? "", x + 12, y + 8);
    const line = this.lines[0]!;
    line.hidden = false;
    line.style.cssText = `top:${next ? next.top : last.top + last.height}px;left:0;right:0;height:3px`;
    this.result = next?.look === look ? null : () => this.moves.lane(look, next?.look ?? null);
  }

  private moveDate(s: Carried, grab: Extract<Grab, { kind: "date" }>, x: number, y: number): void {
    const along = local(grab.part, x, y)[0] + this.offset;
    const next = this.dateFor(s, grab.id, grab.part, grab.end, along);
    this.result = null;
    if ("problem" in next) {
      this.show(next.problem, x + 12, y + 14);
      this.result = () => this.moves.say(next.problem);
      return;
    }
    this.show(whenLabel(next.when, mannerOf(s.timeline)), x + 12, y + 14);
    this.result = () => this.moves.when(grab.id, next.when);
  }

  private movePlace(s: Carried, grab: Extract<Grab, { kind: "place" }>, x: number, y: number): void {
    const along = local(grab.part, x, y)[0] + this.offset;
    const next = this.neighbour(grab.part, grab.id, along);
    this.result = null;
    if (!next) return;
    const name = s.event(next.id)?.title || WORDS.untitled;
    this.show(COMMON.beside[next.side](name.slice(0, 40)), x + 12, y + 14);
    this.result = () => this.moves.place(grab.id, next.id, next.side);
  }

  private neighbour(part: Part, id: string, along: number) {
    const { laid, content } = part;
    const { data } = laid;
    const at = Array.from({ length: data.count }, (_, i) =>
      pointX(laid, content.ground, content.view, i, data.kind[i] === SPAN_KIND ? OUTER_START : 1),
    );
    return neighbourAt(data, at, id, along);
  }

  private dateFor(
    s: Carried,
    id: string,
    part: Part,
    end: "start" | "end" | null,
    along: number,
  ): { when: When } | { problem: string } {
    const event = s.event(id);
    if (!event) return { problem: "" };
    if (event.locked) return { problem: WORDS.itWasGivenWithIts };
    const { ground, view } = part.content;
    if (ground.axis.scale === "even") return { problem: WORDS.theEvenScaleHasNo };
    const near = timeNear(ground, view, Math.max(ground.pad, Math.min(ground.size - ground.pad, along)));
    const when = near && redated(event.when, end, near.at, near.days, readOptionsOf(s.timeline));
    return when ? { when } : { problem: refusedText(end) };
  }

  // ------------------------------------------------------------ by keys

  /** With Alt: arrows move the label, Backspace puts it back; with Shift too arrows move the date, or the place in the order. */
  key(id: string, e: KeyboardEvent): boolean {
    const s = this.see();
    if (!s) return false;
    const [dx, dy] = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key] ?? [0, 0];
    if (e.key === "Backspace" || e.key === "Delete") {
      this.moves.spot(id, null);
      this.say(WORDS.theLabelIsWhereThere);
      return true;
    }
    if (dx === 0 && dy === 0) return false;
    if (e.shiftKey) this.dateByKey(s, id, dx!, dy!);
    else this.labelByKey(s, id, dx! * STEP, dy! * STEP);
    return true;
  }

  /** With Alt: up and down move a row among the others. */
  laneKey(look: number, key: string): boolean {
    const s = this.see();
    const step = key === "ArrowUp" ? -1 : key === "ArrowDown" ? 1 : 0;
    if (!s?.chart.lanes || step === 0) return false;
    const looks = s.chart.lanes.map((l) => l.look).filter((l) => l !== 0);
    const at = looks.indexOf(look);
    const to = at + step;
    if (at < 0 || to < 0 || to >= looks.length) return true;
    this.moves.lane(look, looks[step < 0 ? to : to + 1] ?? null);
    this.say(WORDS.isRowOf(s.chart.names[look] ?? "", to + 1, looks.length));
    return true;
  }

  private labelByKey(s: Carried, id: string, dx: number, dy: number): void {
    for (const part of s.parts)
      for (const l of part.content.labels) {
        if (part.laid.data.ids[l.i] !== id) continue;
        const box = boxOf(part, l);
        const grab = grabAt([part], box.x + box.w / 2, box.y + box.h / 2);
        if (grab?.kind !== "label" || grab.id !== id) continue;
        const spot = spotAt(grab, box.x + dx, box.y + dy);
        this.moves.spot(id, spot);
        this.say(WORDS.labelMovedPixelsTheRidge(Math.abs(spot.across), spot.across < 0 ? WORDS.above : WORDS.below));
        return;
      }
    this.say(WORDS.itsLabelIsNotShown);
  }

  private dateByKey(s: Carried, id: string, dx: number, dy: number): void {
    const event = s.event(id);
    const part = s.parts.find((p) => p.laid.data.ids.includes(id));
    if (!event || !part) return;
    const { laid, content } = part;
    const i = laid.data.ids.indexOf(id);
    const kind = event.when.readAs.kind;
    if (kind !== "moment" && kind !== "span") {
      const at = this.neighbourOf(s, id, dx + dy);
      if (at) {
        this.moves.place(id, at.id, at.side);
        this.say(WORDS.now(at.side, s.event(at.id)?.title || WORDS.untitled));
      }
      return;
    }
    const end = kind === "moment" ? null : dx !== 0 ? "start" : "end";
    const way = dx !== 0 ? dx : -dy;
    const x = pointX(
      laid,
      content.ground,
      content.view,
      i,
      end === null ? 1 : end === "start" ? OUTER_START : OUTER_END,
    );
    // A precise date may stay the same over a few px: further, until it does not.
    for (let by = DATE_STEP; by < content.ground.size; by *= 1.5) {
      const next = this.dateFor(s, id, part, end, x + way * by);
      if ("problem" in next) {
        this.moves.say(next.problem);
        return;
      }
      const text = whenLabel(next.when, mannerOf(s.timeline));
      if (text === whenLabel(event.when, mannerOf(s.timeline))) continue;
      this.moves.when(id, next.when);
      this.say(text);
      return;
    }
  }

  private neighbourOf({ chart }: Carried, id: string, step: number): { id: string; side: "before" | "after" } | null {
    const { ids } = chart.data;
    const other = ids[ids.indexOf(id) + Math.sign(step)];
    return other === undefined ? null : { id: other, side: step < 0 ? "before" : "after" };
  }

  // ------------------------------------------------------------ what is seen

  private say(sentence: string): void {
    this.said.textContent = sentence;
  }

  private show(text: string, x: number, y: number, width?: number): void {
    this.ghost.hidden = false;
    this.ghost.textContent = text;
    this.ghost.style.transform = `translate(${x.toFixed(1)}px,${y.toFixed(1)}px)`;
    this.ghost.style.minWidth = width ? `${Math.ceil(width)}px` : "0";
  }

  /** A line from a moment to the nearest of a box. */
  private stretch(from: { x: number; y: number }, b: Box): void {
    const to = {
      x: Math.max(b.x, Math.min(from.x, b.x + b.w)),
      y: Math.max(b.y, Math.min(from.y, b.y + b.h)),
    };
    const [dx, dy] = [to.x - from.x, to.y - from.y];
    this.tether.hidden = false;
    this.tether.style.width = `${Math.hypot(dx, dy).toFixed(1)}px`;
    this.tether.style.transform = `translate(${from.x.toFixed(1)}px,${from.y.toFixed(1)}px) rotate(${Math.atan2(dy, dx)}rad)`;
  }
}

function element(name: string): HTMLDivElement {
  const e = document.createElement("div");
  e.className = name;
  e.hidden = true;
  e.setAttribute("aria-hidden", "true");
  return e;
}
