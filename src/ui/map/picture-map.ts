import type { Focus } from "@/core/timeline/fields";
import { MapCanvas, type MapHooks } from "./map-canvas";

const EDGE = 6;

/** A picture as a map, with marks at percent of its width and height. */
export class PictureMap extends MapCanvas<Focus> {
  protected readonly under = "#F6F8F7";
  private readonly picture = new Image();
  private readonly proportion: number;
  private box = { x: 0, y: 0, w: 1, h: 1 };

  /** `proportion`: its width by its height. */
  constructor(host: HTMLElement, picture: { url: string; proportion: number }, hooks: MapHooks<Focus>) {
    super(host, hooks);
    this.proportion = picture.proportion;
    this.picture.onload = () => this.draw();
    this.picture.src = picture.url;
  }

  protected lay(at: Focus) {
    const { x, y, w, h } = this.box;
    return [x + (at.x / 100) * w, y + (at.y / 100) * h] as const;
  }

  protected placeAt(px: number, py: number): Focus | null {
    const { x, y, w, h } = this.box;
    const at = (value: number) => Math.round(value * 10_000) / 100;
    const found = { x: at((px - x) / w), y: at((py - y) / h) };
    return found.x >= 0 && found.x <= 100 && found.y >= 0 && found.y <= 100 ? found : null;
  }

  /** The whole picture, as large as there is room. */
  protected layOut(): void {
    const { w, h } = this.size;
    const wide = Math.min(w - 2 * EDGE, (h - 2 * EDGE) * this.proportion);
    const high = wide / this.proportion;
    this.box = { x: (w - wide) / 2, y: (h - high) / 2, w: wide, h: high };
  }

  protected paintGround(paint: CanvasRenderingContext2D): boolean {
    if (!this.picture.complete || this.picture.naturalWidth === 0) return false;
    const { x, y, w, h } = this.box;
    paint.drawImage(this.picture, x, y, w, h);
    return true;
  }
}
