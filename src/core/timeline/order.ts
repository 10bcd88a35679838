import { endDay, startDay } from "../time/when";
import type { TimelineEvent } from "./timeline";

/**
 * All events that are not deleted in their one order, the same in ledger, chart and keys: earliest start as
 * written, then the longer, then by hand, then id. Undated ones stand after the event their place names.
 */
export function inOrder(events: Iterable<TimelineEvent>): TimelineEvent[] {
  const dated: { event: TimelineEvent; start: number; length: number }[] = [];
  const undated: TimelineEvent[] = [];
  for (const event of events) {
    if (event.deleted) continue;
    const start = startDay(event.when);
    if (start === null) undated.push(event);
    else dated.push({ event, start, length: (endDay(event.when) ?? start) - start });
  }
  dated.sort(
    (a, b) =>
      a.start - b.start ||
      b.length - a.length ||
      compare(a.event.byHand, b.event.byHand) ||
      compare(a.event.id, b.event.id),
  );
  if (undated.length === 0) return dated.map((d) => d.event);

  const known = new Set([...dated.map((d) => d.event.id), ...undated.map((e) => e.id)]);
  const followers = new Map<string | null, TimelineEvent[]>();
  const last = dated.at(-1)?.event.id ?? null;
  for (const event of undated) {
    const wanted = event.when.place ? event.when.place.after : last;
    // An anchor that was deleted, or that never was, leaves its followers at the end.
    const after = wanted === null || known.has(wanted) ? wanted : last;
    followers.set(after, [...(followers.get(after) ?? []), event]);
  }
  for (const list of followers.values())
    list.sort((a, b) => compare(a.when.place?.key ?? "", b.when.place?.key ?? "") || compare(a.id, b.id));

  const result: TimelineEvent[] = [];
  const seen = new Set<string>();
  const put = (event: TimelineEvent) => {
    const stack = [event];
    while (stack.length > 0) {
      const next = stack.pop()!;
      if (seen.has(next.id)) continue;
      seen.add(next.id);
      result.push(next);
      stack.push(...[...(followers.get(next.id) ?? [])].reverse());
    }
  };
  for (const event of followers.get(null) ?? []) put(event);
  for (const { event } of dated) put(event);
  // Two undated events, each placed after the other by two people at once: neither is lost.
  for (const event of [...undated].sort((a, b) => compare(a.id, b.id))) put(event);
  return result;
}

function compare(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}
