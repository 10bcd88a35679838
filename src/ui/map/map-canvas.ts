import { gatherPoints } from "@/core/places/gather";

/** Something that is marked on a map whose places are of kind `P`. */
export interface MapMark<P> {
  id: string;
  colour: string;
  at: P;
}

/** Marks that share one, where the map lies without being moved or enlarged. */
interface Gathered<P> {
  x: number;
  y: number;
  marks: MapMark<P>[];
}

export interface MapHooks<P> {
  /** A mark was pressed: what it stands for. */
  pick?: (ids: string[]) => void;
  /** A place on the map was pressed. */
  point?: (at: P) => void;
}

const INK = "#16323A";
const SUN = "#F2B632";
/** Marks nearer than that share one, px; radius of one and of many. */
const NEAR = 22;
const ONE = 7;
const MANY = 13;
const COVERS = 23;
const MOST_ZOOM = 60;

/**
 * A map with marks on a canvas: it can be moved and drawn nearer; marks that lie close share one that says how many. What is under them,
 * and where a place lies on it, is its kind's to say.
 */
export abstract class MapCanvas<P> {
  protected readonly canvas = document.createElement("canvas");
  protected readonly host: HTMLElement;
  protected readonly hooks: MapHooks<P>;
  protected marks: readonly MapMark<P>[] = [];
  protected size = { w: 0, h: 0 };
  /** How the map as it was laid out is moved and enlarged. */
  protected view = { x: 0, y: 0, k: 1 };
  private readonly watch: ResizeObserver;
  private selected: string | null = null;
  private chosen: P | null = null;
  /** What is to be seen, as it was asked for last; null: what is marked. */
  private wanted: readonly P[] | null = null;
  private places: { mark: MapMark<P>; x: number; y: number }[] | null = null;
  private groups: { k: number; of: readonly MapMark<P>[]; laid: number; list: Gathered<P>[] } | null = null;
  /** Counts how often the map was laid out. */
  private laid = 0;
  private frame = 0;
  private drag: { x: number; y: number; moved: boolean } | null = null;
  private readonly fingers = new Map<number, { x: number; y: number }>();

  constructor(host: HTMLElement, hooks: MapHooks<P>) {
    this.host = host;
    this.hooks = hooks;
    this.canvas.setAttribute("aria-hidden", "true");
    this.canvas.style.cssText = "display:block;width:100%;height:100%;touch-action:none";
    host.append(this.canvas);
    this.canvas.addEventListener("pointerdown", this.down);
    this.canvas.addEventListener("pointermove", this.move);
    this.canvas.addEventListener("pointerup", this.up);
    this.canvas.addEventListener("pointercancel", this.up);
    this.canvas.addEventListener("wheel", this.wheel, { passive: false });
    this.watch = new ResizeObserver(() => this.resize());
    this.watch.observe(host);
  }

  /** The colour beside what is drawn. */
  protected abstract readonly under: string;
  /** Where a place lies as the map was laid out, px; null: nowhere on it. */
  protected abstract lay(at: P): readonly [x: number, y: number] | null;
  /** The place that lies there; null: none. */
  protected abstract placeAt(x: number, y: number): P | null;
  /** Lays the map out for the room there is, so that some places are seen. */
  protected abstract layOut(around: readonly P[]): void;
  /** Draws what is under the marks; false: it has not come yet. */
  protected abstract paintGround(paint: CanvasRenderingContext2D): boolean;
  /** It was drawn nearer or away. */
  protected zoomed(): void {}

  destroy(): void {
    this.watch.disconnect();
    cancelAnimationFrame(this.frame);
    this.canvas.remove();
  }

  /** What is marked, which of it is selected, and a place that is being chosen. */
  show(marks: readonly MapMark<P>[], selected: string | null, chosen: P | null = null): void {
    if (marks !== this.marks) this.places = null;
    this.marks = marks;
    this.selected = selected;
    this.chosen = chosen;
    this.draw();
  }

  /** Shows all that is marked, or the whole map. */
  fit(around?: readonly P[]): void {
    this.wanted = around ?? null;
    this.view = { x: 0, y: 0, k: 1 };
    this.layAnew();
  }

  /** Moves the map so that a place is seen; one that is in view already moves nothing. */
  bring(at: P): void {
    const p = this.placeOf(at);
    const { w, h } = this.size;
    if (!p || w === 0 || (p.x > NEAR && p.y > NEAR && p.x < w - NEAR && p.y < h - NEAR)) return;
    this.view.x += w / 2 - p.x;
    this.view.y += h / 2 - p.y;
    this.draw();
  }

  /** Draws nearer (more than 1) or away, about the middle. */
  zoomBy(factor: number): void {
    this.zoomAt(this.size.w / 2, this.size.h / 2, factor);
  }

  /** Where a place stands on the map, px from its left upper corner. */
  placeOf(at: P): { x: number; y: number } | null {
    const p = this.lay(at);
    return p && { x: p[0] * this.view.k + this.view.x, y: p[1] * this.view.k + this.view.y };
  }

  private resize(): void {
    const { clientWidth: w, clientHeight: h } = this.host;
    if (w === 0 || h === 0 || (w === this.size.w && h === this.size.h)) return;
    this.size = { w, h };
    const dense = window.devicePixelRatio || 1;
    this.canvas.width = Math.round(w * dense);
    this.canvas.height = Math.round(h * dense);
    this.layAnew();
  }

  /** Lays the map out anew: everything on it has another place. */
  protected layAnew(): void {
    this.layOut(this.seen());
    this.places = null;
    this.laid++;
    this.draw();
  }

  private seen(): readonly P[] {
    return this.wanted ?? this.marks.map((m) => m.at);
  }

  protected draw(): void {
    cancelAnimationFrame(this.frame);
    this.frame = requestAnimationFrame(() => this.paint());
  }

  private paint(): void {
    const paint = this.canvas.getContext("2d");
    const { w, h } = this.size;
    if (!paint || w === 0) return;
    const dense = window.devicePixelRatio || 1;
    paint.setTransform(dense, 0, 0, dense, 0, 0);
    paint.fillStyle = this.under;
    paint.fillRect(0, 0, w, h);
    const { x, y, k } = this.view;
    paint.save();
    paint.translate(x, y);
    paint.scale(k, k);
    const there = this.paintGround(paint);
    paint.restore();
    if (!there) return;
    for (const g of this.gathered()) this.paintMark(paint, { ...g, x: g.x * k + x, y: g.y * k + y });
    if (this.chosen) {
      const at = this.placeOf(this.chosen);
      if (at) cross(paint, at.x, at.y);
    }
    this.host.dataset.marks = String(this.marks.length);
  }

  /** The marks as they are gathered at this nearness; moving the map moves them as they are. */
  private gathered(): Gathered<P>[] {
    const { k } = this.view;
    if (this.groups?.k === k && this.groups.of === this.marks && this.groups.laid === this.laid)
      return this.groups.list;
    this.places ??= this.marks.flatMap((mark) => {
      const at = this.lay(mark.at);
      return at ? [{ mark, x: at[0], y: at[1] }] : [];
    });
    const seen = this.places;
    let groups = gatherPoints(seen, NEAR / k);
    // Marks of many are larger than what they were made of: those that would cover each other become one.
    for (let before = seen.length; groups.length < before; ) {
      before = groups.length;
      const found = groups;
      groups = gatherPoints(found, COVERS / k).map((g) => ({ ...g, of: g.of.flatMap((i) => found[i]!.of) }));
    }
    const list = groups.map((g) => ({ x: g.x, y: g.y, marks: g.of.map((i) => seen[i]!.mark) }));
    this.groups = { k, of: this.marks, laid: this.laid, list };
    return list;
  }

  private paintMark(paint: CanvasRenderingContext2D, g: Gathered<P>): void {
    const r = g.marks.length > 1 ? MANY : ONE;
    if (g.x < -r || g.y < -r || g.x > this.size.w + r || g.y > this.size.h + r) return;
    const on = g.marks.some((m) => m.id === this.selected);
    const colours = new Set(g.marks.map((m) => m.colour));
    paint.beginPath();
    paint.arc(g.x, g.y, on ? r + 3 : r, 0, 2 * Math.PI);
    paint.fillStyle = colours.size === 1 ? g.marks[0]!.colour : INK;
    paint.fill();
    paint.lineWidth = on ? 4 : 2;
    paint.strokeStyle = on ? SUN : "#FFFFFF";
    paint.stroke();
    if (g.marks.length < 2) return;
    paint.fillStyle = "#FFFFFF";
    paint.font = "700 12px 'Atkinson Hyperlegible Next Variable', sans-serif";
    paint.textAlign = "center";
    paint.textBaseline = "middle";
    paint.fillText(g.marks.length > 999 ? "999+" : String(g.marks.length), g.x, g.y + 0.5);
  }

  private readonly at = (e: PointerEvent | WheelEvent) => {
    const box = this.canvas.getBoundingClientRect();
    return { x: e.clientX - box.left, y: e.clientY - box.top };
  };

  private readonly down = (e: PointerEvent) => {
    const at = this.at(e);
    this.canvas.setPointerCapture(e.pointerId);
    this.fingers.set(e.pointerId, at);
    this.drag = { ...at, moved: this.fingers.size > 1 };
  };

  private readonly move = (e: PointerEvent) => {
    const at = this.at(e);
    const before = this.fingers.get(e.pointerId);
    if (!before || !this.drag) return;
    if (this.fingers.size === 2) {
      const [other] = [...this.fingers].filter(([id]) => id !== e.pointerId).map(([, p]) => p);
      const [was, is] = [
        Math.hypot(before.x - other!.x, before.y - other!.y),
        Math.hypot(at.x - other!.x, at.y - other!.y),
      ];
      if (was > 0) this.zoomAt((at.x + other!.x) / 2, (at.y + other!.y) / 2, is / was);
    } else if (this.drag.moved || Math.hypot(at.x - this.drag.x, at.y - this.drag.y) > 4) {
      this.drag.moved = true;
      this.view.x += at.x - before.x;
      this.view.y += at.y - before.y;
      this.draw();
    }
    this.fingers.set(e.pointerId, at);
  };

  private readonly up = (e: PointerEvent) => {
    const pressed = this.drag && !this.drag.moved && e.type === "pointerup" ? this.at(e) : null;
    this.fingers.delete(e.pointerId);
    if (this.fingers.size === 0) this.drag = null;
    if (!pressed) return;
    const { x, y, k } = this.view;
    const hit = this.gathered()
      .map((g) => ({
        g,
        d: Math.hypot(g.x * k + x - pressed.x, g.y * k + y - pressed.y) - (g.marks.length > 1 ? MANY : ONE),
      }))
      .filter(({ d }) => d < 8)
      .toSorted((a, b) => a.d - b.d)[0];
    if (hit && this.hooks.pick) {
      this.hooks.pick(hit.g.marks.map((m) => m.id));
      return;
    }
    const found = this.placeAt((pressed.x - x) / k, (pressed.y - y) / k);
    if (found) this.hooks.point?.(found);
  };

  private readonly wheel = (e: WheelEvent) => {
    e.preventDefault();
    const at = this.at(e);
    this.zoomAt(at.x, at.y, 2 ** (-e.deltaY / 300));
  };

  private zoomAt(x: number, y: number, factor: number): void {
    const k = Math.min(MOST_ZOOM, Math.max(0.6, this.view.k * factor));
    const by = k / this.view.k;
    this.view = { k, x: x - (x - this.view.x) * by, y: y - (y - this.view.y) * by };
    this.zoomed();
    this.draw();
  }
}

function cross(paint: CanvasRenderingContext2D, x: number, y: number): void {
  paint.strokeStyle = INK;
  paint.lineWidth = 3;
  paint.beginPath();
  paint.arc(x, y, 9, 0, 2 * Math.PI);
  paint.moveTo(x - 16, y);
  paint.lineTo(x + 16, y);
  paint.moveTo(x, y - 16);
  paint.lineTo(x, y + 16);
  paint.stroke();
  paint.fillStyle = SUN;
  paint.beginPath();
  paint.arc(x, y, 4, 0, 2 * Math.PI);
  paint.fill();
}
