import { SECONDS_PER_DAY } from "../../time/when";
import type { Timeline, TimelineEvent } from "../../timeline/timeline";

/** By hand first, then what has a picture, then the longer by thousandths of an octave, so that it only breaks ties. */
export function importanceOf(e: TimelineEvent, hasPicture: boolean, loudness: number): number {
  const r = e.when.readAs;
  const length =
    r.kind === "span" && r.start?.from && r.end?.to
      ? Math.max(0, (r.end.to.day - r.start.from.day) * SECONDS_PER_DAY + r.end.to.second - r.start.from.second)
      : 0;
  return (e.emphasis ? 4 : 0) + loudness * 3 + (e.sign ? 1 : 0) + (hasPicture ? 2 : 0) + Math.log2(1 + length) / 100;
}

/** How loud an event is: as its category is, and on top as it is itself. */
export function loudnessOf(e: TimelineEvent, { categories }: Pick<Timeline, "categories">): number {
  const category = categories.get(e.category ?? "");
  return Math.sign(e.loudness + (category && !category.deleted ? category.loudness : 0));
}

/** A, B, ... Z, AA, AB, ... */
export function letterOf(k: number): string {
  const last = String.fromCharCode(65 + (k % 26));
  return k < 26 ? last : letterOf(Math.floor(k / 26) - 1) + last;
}
