import { fromBase64, toBase64 } from "../text/base64";
import type { Category, Item, Source, Timeline, TimelineEvent } from "../timeline/timeline";

/** A timeline with the number of its last change, as JSON between server and browser. */
export interface Snapshot {
  seq: number;
  timeline: Omit<Timeline, "introduction" | "closing" | "events" | "categories" | "items" | "sources"> & {
    introduction: string;
    closing: string;
    events: (Omit<TimelineEvent, "description"> & { description: string })[];
    categories: Category[];
    items: Item[];
    /** Missing in a state kept from before there were any. */
    sources?: Source[];
  };
}

export function toSnapshot(timeline: Timeline, seq: number): Snapshot {
  return {
    seq,
    timeline: {
      ...timeline,
      introduction: toBase64(timeline.introduction),
      closing: toBase64(timeline.closing),
      events: [...timeline.events.values()].map((e) => ({ ...e, description: toBase64(e.description) })),
      categories: [...timeline.categories.values()],
      items: [...timeline.items.values()],
      sources: [...timeline.sources.values()],
    },
  };
}

export function fromSnapshot({ timeline }: Snapshot): Timeline {
  return {
    ...timeline,
    introduction: fromBase64(timeline.introduction),
    // A state kept from before there was one has none.
    closing: fromBase64(timeline.closing ?? ""),
    events: new Map(timeline.events.map((e) => [e.id, { ...e, description: fromBase64(e.description) }])),
    categories: new Map(timeline.categories.map((c) => [c.id, c])),
    items: new Map(timeline.items.map((i) => [i.id, i])),
    sources: new Map((timeline.sources ?? []).map((s) => [s.id, s])),
  };
}
