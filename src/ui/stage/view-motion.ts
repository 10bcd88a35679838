import {
  centred,
  type Ground,
  isWhole,
  panned,
  type View,
  viewOf,
  viewText,
  wholeView,
  zoomed,
} from "@/core/chart/axis/view";
import { glide } from "./stage-pieces";

/** After so long without movement a view is at rest, ms. */
const REST_MS = 280;

/** What moves the view, and hears of it. */
interface Moved {
  ground(): Ground | null;
  paint(): void;
  /** The view is at rest: what it shows as text, and whether that is all. */
  rested(text: string, whole: boolean): void;
}

/** Which part of the ridge is seen, how it moves, and when it is at rest. */
export class ViewMotion {
  view: View | null = null;
  moving = false;
  restedAt = 0;
  private readonly host: Moved;
  private restTimer: ReturnType<typeof setTimeout> | undefined;
  private stopGlide = (): void => {};

  constructor(host: Moved) {
    this.host = host;
  }

  get isWhole(): boolean {
    const g = this.host.ground();
    return !g || !this.view || isWhole(g, this.view);
  }

  now(view: View): void {
    this.view = view;
    this.moving = true;
    this.host.paint();
    this.soon();
  }

  /** The view will be at rest when nothing more comes. */
  soon(): void {
    clearTimeout(this.restTimer);
    this.restTimer = setTimeout(() => this.rest(), REST_MS);
  }

  rest(): void {
    clearTimeout(this.restTimer);
    this.moving = false;
    this.restedAt = performance.now();
    this.host.paint();
    const g = this.host.ground();
    if (g && this.view) this.host.rested(viewText(g, this.view), isWhole(g, this.view));
  }

  /** Stops where it is. */
  stop(): void {
    this.stopGlide();
  }

  end(): void {
    this.stopGlide();
    clearTimeout(this.restTimer);
  }

  /** Goes to a view in a short movement that shows where it went. */
  to(view: View): void {
    this.stop();
    const from = this.view;
    if (!from || !this.host.ground()) return;
    if (matchMedia("(prefers-reduced-motion: reduce)").matches) {
      this.now(view);
      this.rest();
      return;
    }
    this.stopGlide = glide(from, view, (v) => this.now(v));
  }

  /** Zooms; what stands at `x` px along the ridge stays there. */
  zoomAt(x: number, factor: number): void {
    const g = this.host.ground();
    if (!g || !this.view) return;
    this.stop();
    this.now(zoomed(g, this.view, x, factor));
  }

  /** The same in a movement. */
  zoomTo(x: number, factor: number): void {
    const g = this.host.ground();
    if (g && this.view) this.to(zoomed(g, this.view, x, factor));
  }

  pan(px: number): void {
    const g = this.host.ground();
    if (!g || !this.view || isWhole(g, this.view)) return;
    this.stop();
    this.now(panned(g, this.view, px));
  }

  /** To a share of the whole ridge, as the beginning or the middle of what is seen. */
  lookAt(share: number, isMiddle: boolean): void {
    const g = this.host.ground();
    if (!g || !this.view) return;
    this.stop();
    const at = { hi: share * g.axis.length, lo: 0 };
    const { scale } = this.view;
    this.now(isMiddle ? centred(g, at, scale) : viewOf(g, at, { hi: at.hi + (g.size - 2 * g.pad) / scale, lo: 0 }));
  }

  whole(): void {
    const g = this.host.ground();
    if (g) this.to(wholeView(g));
  }
}
