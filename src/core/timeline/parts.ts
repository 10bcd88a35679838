import { endDay, startDay, type When } from "../time/when";
import { inOrder } from "./order";
import type { Timeline, TimelineEvent } from "./timeline";

type Events = ReadonlyMap<string, TimelineEvent>;

/**
 * Stands before a whole's id in `partOf` when that would have made a circle: two people made each event part of the other
 * unseen. The later of the two counts as unset, and is a finding.
 */
export const CIRCULAR = "~";

/** What an event is said to be part of; null for none. Whether that is there is another question (`wholesOf`). */
export function namedWhole(e: Pick<TimelineEvent, "partOf">): string | null {
  return e.partOf === null || e.partOf.startsWith(CIRCULAR) ? null : e.partOf;
}

/** Whether an event that became part of `whole` would be part of itself, deleted ones counted too. */
export function wouldLoop(events: Events, id: string, whole: string): boolean {
  const seen = new Set<string>();
  for (let at: string | null = whole; at !== null && !seen.has(at); ) {
    if (at === id) return true;
    seen.add(at);
    const e = events.get(at);
    at = e ? namedWhole(e) : null;
  }
  return false;
}

/** The value `partOf` takes: as asked for, or marked as circular. */
export function partOfFor(events: Events, id: string, asked: string | null): string | null {
  return asked !== null && !asked.startsWith(CIRCULAR) && wouldLoop(events, id, asked) ? CIRCULAR + asked : asked;
}

/** So many wholes may lie around an event. */
export const MOST_DEEP = 20;

/**
 * For each event that is part of another that is there: that one's id. Without circles, and at most `MOST_DEEP` deep,
 * whatever was read from a file: of a circle the step of the last id counts as unset, and so does a step deeper than that.
 * Takes time in proportion to the events, whatever they name.
 */
export function wholesOf(events: Events): Map<string, string> {
  const found = namedWholes(events);
  cutDepth(found);
  return found;
}

/** Whether events lie deeper within others than `MOST_DEEP`. */
export function isTooDeep(events: Events): boolean {
  return cutDepth(namedWholes(events));
}

function namedWholes(events: Events): Map<string, string> {
  const found = new Map<string, string>();
  for (const e of events.values()) {
    const whole = e.deleted ? null : namedWhole(e);
    if (whole !== null && whole !== e.id && events.get(whole)?.deleted === false) found.set(e.id, whole);
  }
  cutCircles(found);
  return found;
}

/** Every event names one whole at most, so each circle is met by walking up once. */
function cutCircles(found: Map<string, string>): void {
  const state = new Map<string, number>();
  let walk = 0;
  for (const id of [...found.keys()]) {
    walk++;
    let at: string | undefined = id;
    while (at !== undefined && !state.has(at)) {
      state.set(at, walk);
      at = found.get(at);
    }
    if (at === undefined || state.get(at) !== walk) continue;
    let last = at;
    for (let step = found.get(at)!; step !== at; step = found.get(step)!) if (step > last) last = step;
    found.delete(last);
  }
}

/** Gives whether anything was cut. */
function cutDepth(found: Map<string, string>): boolean {
  let cut = false;
  const parts = new Map<string, string[]>();
  for (const [id, whole] of found) {
    const list = parts.get(whole);
    if (list) list.push(id);
    else parts.set(whole, [id]);
  }
  let level = [...parts.keys()].filter((id) => !found.has(id));
  for (let depth = 1; level.length > 0; depth++) {
    const next = level.flatMap((id) => parts.get(id) ?? []);
    if (depth > MOST_DEEP) {
      for (const id of next) cut = found.delete(id);
      depth = 0;
    }
    level = next;
  }
  return cut;
}

/** From where to where an event goes, in days, an open end without end; null without a date. */
export function stretchOf(when: When): { from: number; to: number } | null {
  const from = startDay(when);
  const to = endDay(when);
  if (from === null || to === null) return null;
  const r = when.readAs;
  return {
    from: r.kind === "span" && r.start === null ? Number.NEGATIVE_INFINITY : from,
    to: r.kind === "span" && r.end === null ? Number.POSITIVE_INFINITY : to,
  };
}

/** Whether what is known of an event lies within a longer one. */
export function holds(whole: Pick<TimelineEvent, "when">, part: Pick<TimelineEvent, "when">): boolean {
  const around = stretchOf(whole.when);
  const own = stretchOf(part.when);
  if (!around || !own) return false;
  return around.from <= own.from && around.to >= own.to && around.to - around.from > own.to - own.from;
}

/**
 * What an event can be part of: first what holds it, the shortest first, then the other spans in time order; nothing that is
 * part of it.
 */
export function wholesFor(timeline: Timeline, id: string): { holding: TimelineEvent[]; others: TimelineEvent[] } {
  const part = timeline.events.get(id);
  if (!part) return { holding: [], others: [] };
  const length = (e: TimelineEvent) => {
    const s = stretchOf(e.when)!;
    return s.to - s.from;
  };
  const all = inOrder(timeline.events.values()).filter((e) => e.id !== id && !wouldLoop(timeline.events, id, e.id));
  const holding = all.filter((e) => holds(e, part));
  const held = new Set(holding);
  return {
    holding: holding.sort((a, b) => length(a) - length(b)),
    others: all.filter((e) => !held.has(e) && (e.when.readAs.kind === "span" || e.id === part.partOf)),
  };
}

/** Events in time order, but with what is part of another directly after it; and how deep each lies within others. */
export function partsAfterWholes(
  events: Events,
  order: readonly TimelineEvent[] = inOrder(events.values()),
): { event: TimelineEvent; depth: number }[] {
  const wholes = wholesOf(events);
  const parts = new Map<string, TimelineEvent[]>();
  const tops: TimelineEvent[] = [];
  for (const e of order) {
    const whole = wholes.get(e.id);
    if (whole === undefined) tops.push(e);
    else {
      const list = parts.get(whole);
      if (list) list.push(e);
      else parts.set(whole, [e]);
    }
  }
  const result: { event: TimelineEvent; depth: number }[] = [];
  const stack = tops.reverse().map((event) => ({ event, depth: 0 }));
  while (stack.length > 0) {
    const next = stack.pop()!;
    result.push(next);
    for (const event of [...(parts.get(next.event.id) ?? [])].reverse()) stack.push({ event, depth: next.depth + 1 });
  }
  return result;
}
