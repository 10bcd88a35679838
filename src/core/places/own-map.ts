import type { Focus, Point, Tie } from "../timeline/fields";

/** Two ways between a map of one's own (percent of its width and height) and the earth. */
export interface MapFit {
  toMap: (at: Point) => Focus;
  toWorld: (at: Focus) => Point;
}

const RADIANS = Math.PI / 180;
/** Mercator's projection, in which a small piece of the earth has its true shape, ends before the poles. */
const MOST_LAT = 85;
/** Points that lie nearer than this share of the map do not tell how it lies. */
const LEAST = 0.005;
/** And places nearer than a few metres, or three that lie in one line as good as exactly (the sine of their angle). */
const LEAST_DEGREES = 0.00005;
const LEAST_ANGLE = 0.01;

const mercator = (lat: number) =>
  Math.log(Math.tan(Math.PI / 4 + (Math.max(-MOST_LAT, Math.min(MOST_LAT, lat)) * RADIANS) / 2)) / RADIANS;
const unmercator = (y: number) => (2 * Math.atan(Math.exp(y * RADIANS)) - Math.PI / 2) / RADIANS;

/** The plane map x' = ax + by + c, y' = dx + ey + f. */
type Affine = readonly [a: number, b: number, c: number, d: number, e: number, f: number];
const apply = ([a, b, c, d, e, f]: Affine, x: number, y: number) => [a * x + b * y + c, d * x + e * y + f] as const;

function inverse([a, b, c, d, e, f]: Affine): Affine | null {
  const det = a * e - b * d;
  if (!Number.isFinite(det) || det === 0) return null;
  return [e / det, -b / det, (b * f - c * e) / det, -d / det, a / det, (c * d - a * f) / det];
}

/**
 * How a map of one's own lies on the earth, from two points known on both (turned, enlarged and moved) or three (drawn out and aslant
 * too). `proportion`: its width by its height. Null where the points do not tell: fewer than two, or on one spot or in one line.
 */
export function fitMap(ties: readonly Tie[], proportion: number): MapFit | null {
  if (ties.length < 2) return null;
  // Across the 180th meridian one goes on counting.
  const first = ties[0]!.lon;
  const unwrapped = (lon: number) => first + ((((lon - first + 180) % 360) + 360) % 360) - 180;
  const on = ties.slice(0, 3).map((t) => [(t.x / 100) * proportion, -t.y / 100] as const);
  const earth = ties.slice(0, 3).map((t) => [unwrapped(t.lon), mercator(t.lat)] as const);
  const forth = ties.length === 2 ? similarity(on, earth) : affine(on, earth);
  const back = forth && inverse(forth);
  if (!forth || !back) return null;
  return {
    toMap: (p) => {
      const [x, y] = apply(back, unwrapped(p.lon), mercator(p.lat));
      return { x: (x / proportion) * 100, y: -y * 100 };
    },
    toWorld: (s) => {
      const [x, y] = apply(forth, (s.x / 100) * proportion, -s.y / 100);
      return { lat: unmercator(y), lon: ((((x + 180) % 360) + 360) % 360) - 180 };
    },
  };
}

type Place = readonly [x: number, y: number];

function similarity([p, q]: readonly Place[], [u, v]: readonly Place[]): Affine | null {
  const [dx, dy] = [q![0] - p![0], q![1] - p![1]];
  const [du, dv] = [v![0] - u![0], v![1] - u![1]];
  const long = dx * dx + dy * dy;
  if (Math.sqrt(long) < LEAST || Math.hypot(du, dv) < LEAST_DEGREES) return null;
  // (du + i dv) / (dx + i dy): how much larger, and how far turned.
  const [re, im] = [(du * dx + dv * dy) / long, (dv * dx - du * dy) / long];
  return [re, -im, u![0] - (re * p![0] - im * p![1]), im, re, u![1] - (im * p![0] + re * p![1])];
}

function affine([p, q, r]: readonly Place[], [u, v, w]: readonly Place[]): Affine | null {
  const [ax, ay, bx, by] = [q![0] - p![0], q![1] - p![1], r![0] - p![0], r![1] - p![1]];
  const det = ax * by - ay * bx;
  const [es, et] = [
    [v![0] - u![0], v![1] - u![1]],
    [w![0] - u![0], w![1] - u![1]],
  ] as const;
  const inLine = (s: Place, t: Place, least: number) => {
    const [long, wide] = [Math.hypot(...s), Math.hypot(...t)];
    return long < least || wide < least || Math.abs(s[0] * t[1] - s[1] * t[0]) < LEAST_ANGLE * long * wide;
  };
  if (inLine([ax, ay], [bx, by], LEAST) || inLine(es, et, LEAST_DEGREES)) return null;
  const row = (k: 0 | 1): [number, number, number] => {
    const [s, t] = [v![k] - u![k], w![k] - u![k]];
    const [a, b] = [(s * by - t * ay) / det, (t * ax - s * bx) / det];
    return [a, b, u![k] - a * p![0] - b * p![1]];
  };
  return [...row(0), ...row(1)];
}

/** Where an event stands on the map of one's own: where it was set, or where its place on the earth lies on it; null: not on it. */
export function spotOf(e: { onMap: Focus | null; point: Point | null }, fit: MapFit | null): Focus | null {
  if (e.onMap) return e.onMap;
  const s = fit && e.point ? fit.toMap(e.point) : null;
  return s && s.x >= 0 && s.x <= 100 && s.y >= 0 && s.y <= 100 ? s : null;
}

/** Where an event stands on the earth: as it was said, or where its spot on the map of one's own lies. */
export function pointOf(e: { onMap: Focus | null; point: Point | null }, fit: MapFit | null): Point | null {
  return e.point ?? (fit && e.onMap ? fit.toWorld(e.onMap) : null);
}
