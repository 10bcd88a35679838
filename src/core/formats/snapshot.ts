import { fromBase64, toBase64 } from "../text/base64";
import type { Category, Item, Timeline, TimelineEvent } from "../timeline/timeline";

/** A timeline with the number of its last change, as JSON between server and browser. */
export interface Snapshot {
  seq: number;
  timeline: Omit<Timeline, "introduction" | "events" | "categories" | "items"> & {
    introduction: string;
    events: (Omit<TimelineEvent, "description"> & { description: string })[];
    categories: Category[];
    items: Item[];
  };
}

export function toSnapshot(timeline: Timeline, seq: number): Snapshot {
  return {
    seq,
    timeline: {
      ...timeline,
      introduction: toBase64(timeline.introduction),
      events: [...timeline.events.values()].map((e) => ({ ...e, description: toBase64(e.description) })),
      categories: [...timeline.categories.values()],
      items: [...timeline.items.values()],
    },
  };
}

export function fromSnapshot({ timeline }: Snapshot): Timeline {
  return {
    ...timeline,
    introduction: fromBase64(timeline.introduction),
    events: new Map(timeline.events.map((e) => [e.id, { ...e, description: fromBase64(e.description) }])),
    categories: new Map(timeline.categories.map((c) => [c.id, c])),
    items: new Map(timeline.items.map((i) => [i.id, i])),
  };
}
