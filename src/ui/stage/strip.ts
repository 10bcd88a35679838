import { groundOf, layoutChart } from "@/core/chart/frame/layout";
import { USUAL_MANNER } from "@/core/time/write-when";
import type { ChartData } from "@/core/chart/data/chart-data";
import type { Chart } from "@/core/chart/frame/chart";
import { drawView } from "@/core/chart/draw/draw-chart";
import { type Ground, isWhole, uAt, type View, wholeView } from "@/core/chart/axis/view";
import type { Timeline } from "@/core/timeline/timeline";
import { paintCanvas } from "./paint-canvas";

const HEIGHT = 30;
/** The strip says nothing. */
const NO_WORDS = {
  manner: USUAL_MANNER,
  first: "",
  last: "",
  startOf: () => "",
  nameOf: () => "",
  marks: null,
};

/** All of the ridge in small, at the foot of a chart that is zoomed in, with what is seen marked on it. */
export class Strip {
  readonly height = HEIGHT;
  private root: HTMLDivElement;
  private canvas: HTMLCanvasElement;
  private window: HTMLDivElement;
  private look: (u: number, isMiddle: boolean) => void;
  private subject: { timeline: Timeline; data: ChartData; width: number } | null = null;
  private painted: unknown = null;
  /** The strip's own ground: the whole, in its width. */
  private own: Ground | null = null;

  constructor(box: HTMLElement, look: (u: number, isMiddle: boolean) => void) {
    this.look = look;
    this.root = document.createElement("div");
    this.root.className = "chart-strip";
    this.root.hidden = true;
    this.root.setAttribute("aria-hidden", "true");
    this.canvas = document.createElement("canvas");
    this.window = document.createElement("div");
    this.root.append(this.canvas, this.window);
    box.append(this.root);
    let grip: number | null = null;
    const u = (e: PointerEvent) => {
      const g = this.own;
      if (!g) return 0;
      const x = e.clientX - this.root.getBoundingClientRect().left;
      const p = uAt(g, wholeView(g), x);
      return (p.hi + p.lo) / g.axis.length;
    };
    this.root.addEventListener("pointerdown", (e) => {
      this.root.setPointerCapture(e.pointerId);
      const box = this.window.getBoundingClientRect();
      const inside = e.clientX >= box.left && e.clientX <= box.right;
      if (!inside) this.look(u(e), true);
      const now = this.window.getBoundingClientRect();
      grip = inside ? e.clientX - now.left : now.width / 2;
    });
    this.root.addEventListener("pointermove", (e) => {
      const g = this.own;
      if (grip === null || !g) return;
      const x = e.clientX - grip - this.root.getBoundingClientRect().left;
      const p = uAt(g, wholeView(g), x);
      this.look((p.hi + p.lo) / g.axis.length, false);
    });
    const end = () => {
      grip = null;
    };
    this.root.addEventListener("pointerup", end);
    this.root.addEventListener("pointercancel", end);
  }

  show(timeline: Timeline, data: ChartData, width: number): void {
    this.subject = { timeline, data, width };
    this.painted = null;
  }

  /** Marks what is seen; out of sight while all is. */
  mark(g: Ground, v: View): void {
    const hidden = isWhole(g, v) || !this.subject;
    if (this.root.hidden !== hidden) this.root.hidden = hidden;
    if (hidden || !this.subject) return;
    if (this.painted !== this.subject) this.paint();
    const own = this.own!;
    const inner = own.size - 2 * own.pad;
    const x = own.pad + ((v.u0.hi + v.u0.lo) / g.axis.length) * inner;
    const w = Math.max(6, ((g.size - 2 * g.pad) / v.scale / g.axis.length) * inner);
    this.window.style.left = `${Math.min(x, own.size - own.pad - w).toFixed(1)}px`;
    this.window.style.width = `${w.toFixed(1)}px`;
  }

  private paint(): void {
    const { timeline, data, width } = this.subject!;
    this.painted = this.subject;
    const laid = layoutChart(timeline, data, { width, height: HEIGHT }, { strip: true });
    this.own = groundOf(laid.axis, laid.layout);
    const chart: Chart = {
      timeline: { gridlines: false },
      data,
      nameOf: NO_WORDS.nameOf,
      laid,
      words: NO_WORDS,
      main: null,
      top: 0,
      closeUps: [],
      gathered: new Map(),
      names: [],
      today: null,
    };
    const { scene } = drawView(chart, wholeView(this.own), [], null);
    scene.shapes = scene.shapes.filter((s) => s.kind !== "text");
    // However many rows of roofs there are, the strip is as high as it is.
    this.canvas.style.width = `${width}px`;
    this.canvas.style.height = `${HEIGHT}px`;
    paintCanvas(this.canvas, scene, Math.min(2, window.devicePixelRatio || 1), () => null);
  }
}
