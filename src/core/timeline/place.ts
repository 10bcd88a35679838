import { generateKeyBetween } from "fractional-indexing";
import type { Place } from "../time/when";
import { inRows } from "./order";
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
  const order = inRows(events.values());
  const at = order.findIndex((e) => e.id === id);
  if (own && isUndated) {
    const keys = followers(events, own.after);
    // Of those that two people put in one place at once no key lies between: then after what stands before it.
    const isShared = keys.filter((k) => k === own.key).length > 1;
    if (!isShared || at <= 0)
      return { after: own.after, key: between(keys.filter((k) => k < own.key).at(-1) ?? null, own.key) };
    const ahead = order[at - 1]!.id;
    if (ahead !== own.after) return { after: ahead, key: between(null, null) };
    return { after: ahead, key: between(null, keys[0]!) };
  }
  return at > 0
    ? { after: order[at - 1]!.id, key: between(null, null) }
    : { after: null, key: between(followers(events, null).at(-1) ?? null, null) };
}

/**
 * The places that put an undated event directly before or after another: its own, and those of the events that hung on it,
 * which stay where they are in the order. Empty when it stands there already.
 */
export function placesToMove(
  events: Events,
  id: string,
  target: string,
  side: "before" | "after",
): { id: string; place: Place }[] {
  const moved = events.get(id);
  if (!moved || target === id || !events.has(target)) return [];
  const old = moved.when.place ?? placeAtEnd(new Map([...events].filter(([k]) => k !== id)));
  const rest = new Map([...events].filter(([k]) => k !== id));
  const hanging = [...rest.values()].filter((e) => !e.deleted && e.when.place?.after === id);
  hanging.sort((a, b) => (a.when.place!.key < b.when.place!.key ? -1 : 1));
  const places: { id: string; place: Place }[] = [];
  let { after } = old;
  let last: string | null = old.key || null;
  if (followers(rest, after).includes(old.key)) {
    // It shares its place with another: what hung on it goes on standing after what stands before it.
    const order = inRows(events.values());
    const ahead = order[order.findIndex((e) => e.id === id) - 1];
    after = ahead ? ahead.id : null;
    last = null;
  }
  for (const e of hanging) {
    const next: string | null = followers(rest, after).find((k) => last === null || k > last) ?? null;
    const place: Place = { after, key: between(last, next) };
    last = place.key;
    places.push({ id: e.id, place });
    rest.set(e.id, { ...e, when: { ...e.when, place } });
  }
  const place = side === "after" ? placeAfter(rest, target) : placeBefore(rest, target);
  return [{ id, place }, ...places];
}

/**
 * The keys that put something at an index of a list that stands in the order of its keys: its own, and those of what shares the key before
 * it (two people at once), which would else stay ahead of it.
 */
export function keysToPut(
  others: readonly { id: string; place: string }[],
  id: string,
  index: number,
): { id: string; place: string }[] {
  const low = others[index - 1]?.place ?? null;
  const shared = low === null ? [] : others.slice(index).filter((o) => o.place <= low);
  const high = others[index + shared.length]?.place ?? null;
  let last = low;
  return [{ id }, ...shared].map((o) => {
    last = between(last, high);
    return { id: o.id, place: last };
  });
}

/** The place after everything. */
export function placeAtEnd(events: Events): Place {
  const last = inRows(events.values()).at(-1);
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
