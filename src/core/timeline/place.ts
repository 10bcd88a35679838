import { generateKeyBetween } from "fractional-indexing";
import type { Place } from "../time/when";
import { inOrder } from "./order";
import type { TimelineEvent } from "./timeline";

type Events = ReadonlyMap<string, TimelineEvent>;

/** Undated events that hang on an anchor, by their keys. */
function followers(events: Events, anchor: string | null): string[] {
  return [...events.values()]
    .filter((e) => !e.deleted && e.when.place && e.when.place.after === anchor)
    .map((e) => e.when.place!.key)
    .filter(Boolean)
    .sort();
}

/** The place directly after an event, for an undated one. */
export function placeAfter(events: Events, id: string): Place {
  return { after: id, key: between(null, followers(events, id)[0] ?? null) };
}

/** The place directly before an event, for an undated one. */
export function placeBefore(events: Events, id: string): Place {
  const own = events.get(id)?.when.place;
  const isUndated =
    events.get(id)?.when.readAs.kind === "undated" || events.get(id)?.when.readAs.kind === "not_understood";
  if (own && isUndated) {
    const before = followers(events, own.after).filter((k) => k < own.key);
    return { after: own.after, key: between(before.at(-1) ?? null, own.key) };
  }
  const order = inOrder(events.values());
  const at = order.findIndex((e) => e.id === id);
  return at > 0
    ? { after: order[at - 1]!.id, key: between(null, null) }
    : { after: null, key: between(followers(events, null).at(-1) ?? null, null) };
}

/** The place after everything. */
export function placeAtEnd(events: Events): Place {
  const last = inOrder(events.values()).at(-1);
  return last ? placeAfter(events, last.id) : { after: null, key: between(null, null) };
}

/** A fractional key between two others; equal or crossed neighbours (two people at once) give one after the first. */
export function between(a: string | null, b: string | null): string {
  try {
    return generateKeyBetween(a, b);
  } catch {
    try {
      return generateKeyBetween(a, null);
    } catch {
      return generateKeyBetween(null, null);
    }
  }
}
