import { geoAzimuthalEqualArea, geoNaturalEarth1, geoPath, type GeoPath, type GeoProjection } from "d3-geo";
import type { FeatureCollection, Geometry } from "geojson";
import { feature, mesh } from "topojson-client";
import type { GeometryCollection, Topology } from "topojson-specification";
import type { Point } from "@/core/timeline/fields";
import { MapCanvas, type MapHooks } from "./map-canvas";

/** The coasts and borders that are drawn (TopoJSON with `land` and `countries`), and finer ones for when one looks near. */
export interface Coasts {
  coarse: () => Promise<unknown>;
  fine?: () => Promise<unknown>;
}

const LAND = "#F7F4EA";
const BORDER = "#B9C4BE";
const COAST = "#7F9994";
/** Where what is marked reaches over more degrees than this, the whole world is drawn. */
const WORLD = 110;
/** The least that is seen around marks, degrees: a town with its country. */
const LEAST = 6;
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
/** A map of the world with marks. */
export class WorldMap extends MapCanvas<Point> {
  protected readonly under = "#DCE9EA";
  private readonly coasts: Coasts;
  private earth: Earth | null = null;
  private projection: GeoProjection = geoNaturalEarth1();
  private base: { land: Path2D; borders: Path2D } | null = null;
  private fitted = "";
  private refined = false;

  constructor(host: HTMLElement, coasts: Coasts, hooks: MapHooks<Point>) {
    super(host, hooks);
    this.coasts = coasts;
    void coasts.coarse().then((world) => {
      this.earth ??= earthOf(world as World);
      this.layAnew();
    });
  }

  protected lay(at: Point) {
    return this.projection([at.lon, at.lat]);
  }

  protected placeAt(x: number, y: number): Point | null {
    const found = this.projection.invert?.([x, y]);
    if (!found || Math.abs(found[1]) > 90) return null;
    return { lat: Math.round(found[1] * 1_000) / 1_000, lon: Math.round(found[0] * 1_000) / 1_000 };
  }

  protected override zoomed(): void {
    if (this.view.k > 3) this.refine();
  }

  /** The projection that shows some places best: the whole world where they are far apart, else the part of it around them. */
  protected layOut(around: readonly Point[]): void {
    const { w, h } = this.size;
    if (!this.earth || w === 0) return;
    const key = `${w} ${h} ${around.map((p) => `${p.lat},${p.lon}`).join(" ")}`;
    if (key === this.fitted) return;
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
  }

  /** From now on finer coasts are drawn, once they have come. */
  private refine(): void {
    if (this.refined || !this.coasts.fine) return;
    this.refined = true;
    void this.coasts.fine().then((world) => {
      this.earth = earthOf(world as World);
      this.base = null;
      this.draw();
    });
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

  protected paintGround(paint: CanvasRenderingContext2D): boolean {
    if (!this.earth) return false;
    const { k } = this.view;
    const ground = this.ground();
    paint.fillStyle = LAND;
    paint.fill(ground.land);
    paint.lineWidth = 1 / k;
    paint.strokeStyle = COAST;
    paint.stroke(ground.land);
    paint.lineWidth = 0.7 / k;
    paint.strokeStyle = BORDER;
    paint.stroke(ground.borders);
    return true;
  }
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
