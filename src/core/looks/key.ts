import type { AnyColour } from "../timeline/fields";
import { freeLooks } from "../timeline/free-looks";
import type { Pattern } from "../timeline/looks";
import { inOrder } from "../timeline/order";
import { wholesOf } from "../timeline/parts";
import { categoriesOf, type Timeline, type TimelineEvent } from "../timeline/timeline";

/** One entry of the key: a category; or a span with parts, or an event, that has a colour of its own. */
export interface KeyEntry {
  id: string;
  name: string;
  colour: AnyColour;
  pattern: Pattern;
  /** Others are no filter. */
  isCategory: boolean;
}

/** So many events with colours of their own are listed; of more the first. */
const MOST_OWN = 12;

/** What the colours and patterns of a chart mean, in the order of the key. */
export function keyOf(timeline: Pick<Timeline, "categories" | "events">): KeyEntry[] {
  const categories = categoriesOf(timeline);
  const free = freeLooks(timeline);
  const named = (e: TimelineEvent) => e.shortTitle.trim() || e.title.trim();
  return [
    ...categories.map((c) => ({ ...c, isCategory: true })),
    ...free.map((l) => ({ ...l, name: named(timeline.events.get(l.id)!), isCategory: false })),
    ...ownColours(timeline).map(({ event, pattern }) => ({
      id: event.id,
      name: named(event),
      colour: event.colour as AnyColour,
      pattern,
      isCategory: false,
    })),
  ];
}

/** Events with a colour of their own, each with the pattern it keeps: its category's, or that of what it is part of. */
function ownColours(timeline: Pick<Timeline, "categories" | "events">): { event: TimelineEvent; pattern: Pattern }[] {
  const own = [...timeline.events.values()].filter((e) => !e.deleted && !e.chapter && e.colour !== "");
  if (own.length === 0) return [];
  const wholes = wholesOf(timeline.events);
  const free = new Map(freeLooks(timeline, wholes).map((l) => [l.id, l.pattern]));
  const patternOf = (e: TimelineEvent): Pattern => {
    for (let at: TimelineEvent | undefined = e, n = 0; at && n < 8; n++) {
      const category = timeline.categories.get(at.category ?? "");
      if (category && !category.deleted) return category.pattern;
      const made = free.get(at.id);
      if (made) return made;
      at = timeline.events.get(wholes.get(at.id) ?? "");
    }
    return "solid";
  };
  return inOrder(own)
    .slice(0, MOST_OWN)
    .map((event) => ({ event, pattern: patternOf(event) }));
}
