import { endDay, isTimeAlone, startDay, type When } from "../time/when";
import type { TimelineEvent } from "./timeline";

/** The events that are not deleted, in their one order: what `inRows` gives without the chapters. */
export function inOrder(events: Iterable<TimelineEvent>): TimelineEvent[] {
  const rows = inRows(events);
  return rows.some((e) => e.chapter) ? rows.filter((e) => !e.chapter) : rows;
}

/**
 * All events that are not deleted, and the chapters between them, in their one order, the same in ledger, chart and keys: earliest start as
 * written, then the longer, then by hand, then id. Undated ones stand after the event their place names. Times of a day nobody
 * has named stand at the end where other events have dates, as dates that are not understood: nobody knows when they were.
 */
export function inRows(events: Iterable<TimelineEvent>): TimelineEvent[] {
  const dated: { event: TimelineEvent; start: number; length: number }[] = [];
  const undated: TimelineEvent[] = [];
  const given = [...events].filter((e) => !e.deleted);
  const mixed = mixesLoneTimes(given);
  for (const found of given) {
    const event = mixed && isTimeAlone(found.when) ? { ...found, when: withoutDay(found.when) } : found;
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

type Found = { rows: readonly TimelineEvent[]; order: readonly TimelineEvent[] };
const known = new WeakMap<ReadonlyMap<string, TimelineEvent>, Found>();

function foundIn(events: ReadonlyMap<string, TimelineEvent>): Found {
  let found = known.get(events);
  if (!found) {
    const rows = inRows(events.values());
    found = { rows, order: rows.some((e) => e.chapter) ? rows.filter((e) => !e.chapter) : rows };
    known.set(events, found);
  }
  return found;
}

/** The same of the events of a timeline, found once for each state of them: what is shown asks for it in several places. */
export function orderOf(events: ReadonlyMap<string, TimelineEvent>): readonly TimelineEvent[] {
  return foundIn(events).order;
}

/** The same with the chapters between the events: what stands in the ledger and is read. */
export function rowsOf(events: ReadonlyMap<string, TimelineEvent>): readonly TimelineEvent[] {
  return foundIn(events).rows;
}

/** Whether some events are at times of a day nobody has named, and others at dates. */
export function mixesLoneTimes(events: readonly Pick<TimelineEvent, "when">[]): boolean {
  let [alone, dated] = [false, false];
  for (const { when } of events) {
    if (startDay(when) === null) continue;
    if (isTimeAlone(when)) alone = true;
    else dated = true;
    if (alone && dated) return true;
  }
  return false;
}

function withoutDay(when: When): When {
  return { ...when, readAs: { kind: "not_understood", problem: { code: "no_day_for_time" } } };
}

function compare(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}
