import type { Point } from "../timeline/fields";

const NUMBER = String.raw`([+-]?\d{1,3}(?:\.\d+)?)`;
const DEGREES = String.raw`(\d{1,3}(?:\.\d+)?)\s*°?\s*(?:(\d{1,2}(?:\.\d+)?)\s*['′’]\s*)?(?:(\d{1,2}(?:\.\d+)?)\s*(?:"|″|”|'')\s*)?`;
const DECIMAL = new RegExp(`^\\s*${NUMBER}\\s*°?\\s*[,;\\s]\\s*${NUMBER}\\s*°?\\s*$`);
const WORDED = new RegExp(`^\\s*${DEGREES}([NS])\\s*[,;]?\\s*${DEGREES}([EWO])\\s*$`, "i");
/** So exact is a point kept: about a metre. */
const EXACT = 100_000;

const rounded = (v: number) => Math.round(v * EXACT) / EXACT;

/** What coordinates say: a point, null where they are none, or which of them cannot be on the earth. */
export function readCoordinates(text: string): Point | null | "latitude" | "longitude" {
  const decimal = DECIMAL.exec(text);
  const worded = decimal ? null : WORDED.exec(text);
  let [lat, lon] = [Number.NaN, Number.NaN];
  if (decimal) [lat, lon] = [Number(decimal[1]), Number(decimal[2])];
  if (worded) {
    const [d, m, s, ns, d2, m2, s2, ew] = worded.slice(1);
    const degrees = (a?: string, b?: string, c?: string) => Number(a) + Number(b ?? 0) / 60 + Number(c ?? 0) / 3_600;
    lat = degrees(d, m, s) * (/s/i.test(ns!) ? -1 : 1);
    lon = degrees(d2, m2, s2) * (/w/i.test(ew!) ? -1 : 1);
  }
  if (Number.isNaN(lat) || Number.isNaN(lon)) return null;
  if (Math.abs(lat) > 90) return "latitude";
  if (Math.abs(lon) > 180) return "longitude";
  return { lat: rounded(lat), lon: rounded(lon) };
}

/** A point as people write it: 51.50853, -0.12574. */
export const coordinatesText = ({ lat, lon }: Point): string => `${rounded(lat)}, ${rounded(lon)}`;
