import type { Item, Timeline } from "../../timeline/timeline";

/** Bits of what there is to see and hear of an event. The picture that is shown is a video's still; there are a video, a sound, a link that are not shown. */
export const STILL = 1;
export const VIDEO = 2;
export const SOUND = 4;
export const LINK = 8;

interface Media {
  /** The first picture, or else the first video with a still. */
  shown: Item | null;
  bits: number;
}

const SIZED = { picture: 0, video: 1 } as const;

/** What there is to see and hear of each event. */
export function mediaOf(timeline: Timeline): Map<string, Media> {
  const found = new Map<string, Media>();
  for (const i of timeline.items.values()) {
    if (i.deleted || i.of === "timeline" || i.list === "source") continue;
    let of = found.get(i.of);
    if (!of) found.set(i.of, (of = { shown: null, bits: 0 }));
    if (i.list === "link" || i.kind === "page") of.bits |= LINK;
    else if (i.kind === "sound") of.bits |= SOUND;
    else if (i.kind) {
      if (i.kind === "video") of.bits |= VIDEO;
      const seen = timeline.pictures !== "none" && (i.kind === "picture" || (i.media !== null && i.width !== null));
      if (seen && (!of.shown || isBefore(i, of.shown))) of.shown = i;
    }
  }
  // A video that is shown by its still has its sign on that.
  for (const of of found.values()) if (of.shown?.kind === "video") of.bits = (of.bits & ~VIDEO) | STILL;
  return found;
}

/** Pictures before videos, each in their order. */
function isBefore(a: Item, b: Item): boolean {
  const [ka, kb] = [SIZED[a.kind as "picture"], SIZED[b.kind as "picture"]];
  if (ka !== kb) return ka < kb;
  return a.place < b.place || (a.place === b.place && a.id < b.id);
}
