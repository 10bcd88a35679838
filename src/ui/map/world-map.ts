import { geoAzimuthalEqualArea, geoNaturalEarth1, geoPath, type GeoPath, type GeoProjection } from "d3-geo";
import type { FeatureCollection, Geometry } from "geojson";
import { feature, mesh } from "topojson-client";
import type { GeometryCollection, Topology } from "topojson-specification";
import { gatherPoints } from "@/core/places/gather";
import type { Point } from "@/core/timeline/fields";

/** Something that is marked on the map. */
export interface MapMark extends Point {
  id: string;
  colour: string;
}

export interface MapHooks {
  /** The coasts and borders that are drawn (TopoJSON with `land` and `countries`), and finer ones for when one looks near. */
  coarse: () => Promise<unknown>;
  fine?: () => Promise<unknown>;
  /** A mark was pressed: what it stands for. */
  pick?: (ids: string[]) => void;
  /** A place on the earth was pressed. */
  point?: (at: Point) => void;
}

const SEA = "#DCE9EA";
const LAND = "#F7F4EA";
const BORDER = "#B9C4BE";
const COAST = "#7F9994";
const INK = "#16323A";
const SUN = "#F2B632";
/** Marks nearer than that share one, px; radius of one and of many. */
const NEAR = 22;
const ONE = 7;
const MANY = 13;
/** Where what is marked reaches over more degrees than this, the whole world is drawn. */
const WORLD = 110;
/** The least that is seen around marks, degrees: a town with its country. */
const LEAST = 6;
const MOST_ZOOM = 60;
const EDGE = 34;

type World = Topology<{ land: GeometryCollection; countries: GeometryCollection }>;
interface Earth {
  land: FeatureCollection<Geometry>;
  borders: Geometry;
}
const earthOf = (world: World): Earth => ({
  land: feature(world, world.objects.land),
  borders: mesh(world, world.objects.countries, (a, b) => a !== b),
});
/** A map of the world with marks: it can be moved and drawn nearer; marks that lie close share one that says how many. */
export class WorldMap {
  private readonly canvas = document.createElement("canvas");
  private readonly watch: ResizeObserver;
  private readonly host: HTMLElement;
  private readonly hooks: MapHooks;
  private marks: readonly MapMark[] = [];
  private selected: string | null = null;
  private chosen: Point | null = null;
  private earth: Earth | null = null;
  private projection: GeoProjection = geoNaturalEarth1();
  private base: { land: Path2D; borders: Path2D } | null = null;
  private size = { w: 0, h: 0 };
  /** How the map as it was projected is moved and enlarged. */
  private view = { x: 0, y: 0, k: 1 };
  private fitted = "";
  private frame = 0;
  private drag: { x: number; y: number; moved: boolean } | null = null;
  private readonly fingers = new Map<number, { x: number; y: number }>();

  constructor(host: HTMLElement, hooks: MapHooks) {
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
    void hooks.coarse().then((world) => {
      this.earth ??= earthOf(world as World);
      this.project();
    });
  }

  destroy(): void {
    this.watch.disconnect();
    cancelAnimationFrame(this.frame);
    this.canvas.remove();
  }

  /** What is marked, which of it is selected, and a place that is being chosen. */
  show(marks: readonly MapMark[], selected: string | null, chosen: Point | null = null): void {
    this.marks = marks;
    this.selected = selected;
    this.chosen = chosen;
    this.draw();
  }

  /** Shows all that is marked, or the world. */
  fit(around: readonly Point[] = this.marks): void {
    this.fitted = "";
    this.view = { x: 0, y: 0, k: 1 };
    this.project(around);
  }

  /** Draws nearer (more than 1) or away, about the middle. */
  zoomBy(factor: number): void {
    this.zoomAt(this.size.w / 2, this.size.h / 2, factor);
  }

  /** Where a place stands on the map, px from its left upper corner. */
  placeOf(at: Point): { x: number; y: number } | null {
    const p = this.projection([at.lon, at.lat]);
    return p && { x: p[0] * this.view.k + this.view.x, y: p[1] * this.view.k + this.view.y };
  }

  private resize(): void {
    const { clientWidth: w, clientHeight: h } = this.host;
    if (w === 0 || h === 0 || (w === this.size.w && h === this.size.h)) return;
    this.size = { w, h };
    const dense = window.devicePixelRatio || 1;
    this.canvas.width = Math.round(w * dense);
    this.canvas.height = Math.round(h * dense);
    this.fitted = "";
    this.project();
  }

  /** The projection that shows some places best: the whole world where they are far apart, else the part of it around them. */
  private project(around: readonly Point[] = this.marks): void {
    const { w, h } = this.size;
    if (!this.earth || w === 0) return;
    const key = `${w} ${h} ${around.map((p) => `${p.lat},${p.lon}`).join(" ")}`;
    if (key === this.fitted) {
      this.draw();
      return;
    }
    this.fitted = key;
    const box: [[number, number], [number, number]] = [
      [EDGE, EDGE],
      [w - EDGE, h - EDGE],
    ];
    const middle = middleOf(around);
    if (!middle || middle.reach > WORLD) {
      this.projection = geoNaturalEarth1().fitExtent(
        [
          [4, 4],
          [w - 4, h - 4],
        ],
        { type: "Sphere" },
      );
    } else {
      const points = { type: "MultiPoint" as const, coordinates: around.map((p) => [p.lon, p.lat]) };
      const turned = geoAzimuthalEqualArea()
        .rotate([-middle.lon, -middle.lat])
        .clipAngle(Math.min(179, 100))
        .precision(0.3);
      // Not nearer than that a country can be told around it.
      const least = (Math.min(w, h) / LEAST) * (180 / Math.PI);
      turned.fitExtent(box, points);
      if (!(turned.scale() < least)) turned.scale(least).translate([w / 2, h / 2]);
      this.projection = turned;
      if (turned.scale() > w) this.refine();
    }
    this.base = null;
    this.draw();
  }

  private refined = false;

  /** From now on finer coasts are drawn, once they have come. */
  private refine(): void {
    if (this.refined || !this.hooks.fine) return;
    this.refined = true;
    void this.hooks.fine().then((world) => {
      this.earth = earthOf(world as World);
      this.base = null;
      this.draw();
    });
  }

  private draw(): void {
    cancelAnimationFrame(this.frame);
    this.frame = requestAnimationFrame(() => this.paint());
  }

  /** Coasts and borders, projected once for as long as the projection stays. */
  private ground(): { land: Path2D; borders: Path2D } {
    if (this.base) return this.base;
    const drawn = (shape: FeatureCollection<Geometry> | Geometry) => {
      const path: GeoPath = geoPath(this.projection);
      return new Path2D(path(shape as never) ?? "");
    };
    this.base = { land: drawn(this.earth!.land), borders: drawn(this.earth!.borders) };
    return this.base;
  }

  private paint(): void {
    const paint = this.canvas.getContext("2d");
    const { w, h } = this.size;
    if (!paint || !this.earth || w === 0) return;
    const dense = window.devicePixelRatio || 1;
    paint.setTransform(dense, 0, 0, dense, 0, 0);
    paint.fillStyle = SEA;
    paint.fillRect(0, 0, w, h);
    const { x, y, k } = this.view;
    const ground = this.ground();
    paint.save();
    paint.translate(x, y);
    paint.scale(k, k);
    paint.fillStyle = LAND;
    paint.fill(ground.land);
    paint.lineWidth = 1 / k;
    paint.strokeStyle = COAST;
    paint.stroke(ground.land);
    paint.lineWidth = 0.7 / k;
    paint.strokeStyle = BORDER;
    paint.stroke(ground.borders);
    paint.restore();
    for (const g of this.gathered()) this.paintMark(paint, g);
    if (this.chosen) {
      const at = this.placeOf(this.chosen);
      if (at) cross(paint, at.x, at.y);
    }
    this.host.dataset.marks = String(this.marks.length);
  }

  private gathered() {
    const seen = this.marks.flatMap((mark) => {
      const at = this.placeOf(mark);
      return at ? [{ mark, ...at }] : [];
    });
    return gatherPoints(seen, NEAR).map((g) => ({ x: g.x, y: g.y, marks: g.of.map((i) => seen[i]!.mark) }));
  }

  private paintMark(paint: CanvasRenderingContext2D, g: { x: number; y: number; marks: MapMark[] }): void {
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
    const hit = this.gathered()
      .map((g) => ({ g, d: Math.hypot(g.x - pressed.x, g.y - pressed.y) - (g.marks.length > 1 ? MANY : ONE) }))
      .filter(({ d }) => d < 8)
      .toSorted((a, b) => a.d - b.d)[0];
    if (hit && this.hooks.pick) {
      this.hooks.pick(hit.g.marks.map((m) => m.id));
      return;
    }
    const { x, y, k } = this.view;
    const found = this.projection.invert?.([(pressed.x - x) / k, (pressed.y - y) / k]);
    if (found && this.hooks.point && Math.abs(found[1]) <= 90)
      this.hooks.point({ lat: Math.round(found[1] * 1_000) / 1_000, lon: Math.round(found[0] * 1_000) / 1_000 });
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
    if (k > 3) this.refine();
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

/** The middle of some places, and how many degrees the farthest lies from it; null where there are none. */
function middleOf(points: readonly Point[]): (Point & { reach: number }) | null {
  if (points.length === 0) return null;
  let [x, y, z] = [0, 0, 0];
  const radians = Math.PI / 180;
  const unit = (p: Point) => {
    const c = Math.cos(p.lat * radians);
    return [c * Math.cos(p.lon * radians), c * Math.sin(p.lon * radians), Math.sin(p.lat * radians)] as const;
  };
  for (const p of points) {
    const [a, b, c] = unit(p);
    x += a;
    y += b;
    z += c;
  }
  const long = Math.hypot(x, y, z);
  // On opposite sides of the earth there is no middle.
  if (long / points.length < 0.2) return { lat: 0, lon: 0, reach: 180 };
  const lat = Math.asin(z / long) / radians;
  const lon = Math.atan2(y, x) / radians;
  const [a, b, c] = unit({ lat, lon });
  let reach = 0;
  for (const p of points) {
    const [d, e, f] = unit(p);
    reach = Math.max(reach, 2 * (Math.acos(Math.min(1, Math.max(-1, a * d + b * e + c * f))) / radians));
  }
  return { lat, lon, reach };
}
