import { canonicalJson } from "../text/canonical-json";
import { isDated, type When } from "../time/when";
import type { TimelineEvent } from "../timeline/timeline";
import type { BroughtRow } from "./put-together";

/** As much of an event as it is known again by. */
export type KnownEvent = Pick<TimelineEvent, "id" | "title" | "origin" | "given" | "when">;

/** Which rows of a table are events that are there already. */
export interface Matched {
  /** The event of a row, by the row's number. */
  events: ReadonlyMap<number, string>;
  /** Events no row speaks of, in their order: not those a teacher gave. */
  absent: string[];
}

/**
 * Finds the events that rows were before: by what a row is known by, else by title and date, else by a title that stands once on
 * either side. Each event is one row's. `events`: those that are there, in their order.
 */
export function matchRows(events: readonly KnownEvent[], rows: readonly BroughtRow[]): Matched {
  const hasOrigins = rows.some((r) => r.origin);
  const found = new Map<number, string>();
  const taken = new Set<string>();
  const pass = (
    keyOfRow: (r: BroughtRow) => string | null,
    keyOfEvent: (e: KnownEvent) => string | null,
    once: boolean,
  ) => {
    const byKey = new Map<string, KnownEvent[]>();
    for (const e of events) {
      const key = taken.has(e.id) ? null : keyOfEvent(e);
      if (key === null) continue;
      const list = byKey.get(key);
      if (list) list.push(e);
      else byKey.set(key, [e]);
    }
    for (const list of byKey.values()) list.reverse();
    const left = rows.filter((r) => !found.has(r.number));
    const counted = new Map<string, number>();
    for (const r of once ? left : []) {
      const key = keyOfRow(r);
      if (key !== null) counted.set(key, (counted.get(key) ?? 0) + 1);
    }
    for (const r of left) {
      const key = keyOfRow(r);
      const same = key === null ? undefined : byKey.get(key);
      if (!same || same.length === 0 || (once && (same.length > 1 || counted.get(key!) !== 1))) continue;
      // Taken from the end of the turned list: of many alike each is found at once.
      const e = same.pop()!;
      found.set(r.number, e.id);
      taken.add(e.id);
    }
  };
  const title = (text: string) => text.trim().toLowerCase() || null;
  const dated = (text: string | null, when: When) => text && `${dateKey(when)} ${text}`;
  pass(
    (r) => r.origin || null,
    (e) => e.origin || null,
    false,
  );
  // A table that was taken out of this timeline knows its events by their own ids.
  pass(
    (r) => r.origin || null,
    (e) => e.id,
    false,
  );
  // What has a number of its own in both is not the same by its name.
  pass(
    (r) => dated(title(r.cells.title ?? ""), r.when),
    (e) => (e.origin && hasOrigins ? null : dated(title(e.title), e.when)),
    false,
  );
  pass(
    (r) => title(r.cells.title ?? ""),
    (e) => (e.origin && hasOrigins ? null : title(e.title)),
    true,
  );
  return { events: found, absent: events.filter((e) => !taken.has(e.id) && e.given === null).map((e) => e.id) };
}

/** What a date means, however it was typed. */
export function dateKey(when: When): string {
  if (!isDated(when)) return when.typed.trim();
  return when.edtf ?? canonicalJson(when.readAs);
}
