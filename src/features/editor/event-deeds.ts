import { nanoid } from "nanoid";
import { apply } from "@/core/change/apply";
import type { Op } from "@/core/change/change";
import { isDated, UNDATED } from "@/core/time/when";
import { between, placeAfter, placeAtEnd, placeBefore } from "@/core/timeline/place";
import { readWhen } from "@/core/time/read-when";
import { readOptionsOf } from "@/core/timeline/read-options";
import { isMeantBy, type ReadLine } from "@/core/timeline/read-line";
import { categoriesOf, itemsOf, type ItemList, nextLook, type Timeline } from "@/core/timeline/timeline";
import type { TimelineStore } from "./timeline-store";

/** The category a marker means, with the step that makes it when there is none yet. */
export function categoryFor(t: Timeline, marker: string): { id: string; ops: Op[] } {
  const known = categoriesOf(t).find((c) => isMeantBy(marker, c.name));
  if (known) return { id: known.id, ops: [] };
  return newCategory(t, marker.charAt(0).toUpperCase() + marker.slice(1).replaceAll(/[-_]/g, " "));
}

export function newCategory(t: Timeline, name: string): { id: string; ops: Op[] } {
  const used = categoriesOf(t);
  const id = nanoid(10);
  const place = between(used.at(-1)?.place ?? null, null);
  return { id, ops: [{ kind: "add_category", id, fields: { name, ...nextLook(used), place } }] };
}

/** A change holds this many steps at most; more lines than that are several. */
const STEPS = 4_000;

/** Adds the events that lines describe, at the end of the order: one change, one undo. Gives the last id, or a sentence why not. */
export function addLines(store: TimelineStore, lines: readonly ReadLine[]): { id: string } | { problem: string } {
  let t = store.getState().timeline;
  let ops: Op[] = [];
  let id = "";
  for (const read of lines) {
    id = nanoid(10);
    const category = read.category ? categoryFor(t, read.category) : null;
    const when = isDated(read.when) ? read.when : { ...read.when, place: placeAtEnd(t.events) };
    const fields = { title: read.title, when, category: category?.id ?? null, emphasis: read.emphasis };
    const next: Op[] = [...(category?.ops ?? []), { kind: "add_event", id, fields }];
    t = apply(t, next).timeline;
    ops.push(...next);
    if (ops.length < STEPS) continue;
    const problem = store.edit(ops);
    if (problem) return { problem };
    ops = [];
  }
  const problem = store.edit(ops);
  return problem ? { problem } : { id };
}

/** An empty event in that place of the order. */
export function insertBeside(store: TimelineStore, id: string, side: "before" | "after"): string {
  const { timeline } = store.getState();
  const place = side === "before" ? placeBefore(timeline.events, id) : placeAfter(timeline.events, id);
  const made = nanoid(10);
  store.edit([
    {
      kind: "add_event",
      id: made,
      fields: { when: { ...UNDATED, place }, category: timeline.events.get(id)?.category ?? null },
    },
  ]);
  return made;
}

/**
 * An event where the chart was pointed at: with the date that is meant there, or, where there is none, in that place of the
 * order. Gives its id.
 */
export function addAt(
  store: TimelineStore,
  at: { date: string | null; before: string | null; after: string | null },
): string {
  const { timeline } = store.getState();
  if (at.date === null && at.before) return insertBeside(store, at.before, "after");
  if (at.date === null && at.after) return insertBeside(store, at.after, "before");
  const id = nanoid(10);
  const when =
    at.date === null ? { ...UNDATED, place: placeAtEnd(timeline.events) } : readWhen(at.date, readOptionsOf(timeline));
  store.edit([{ kind: "add_event", id, fields: { when } }]);
  return id;
}

/** Whether nothing has been written into an event but its date. */
export function isBlank(t: Timeline, id: string): boolean {
  const e = t.events.get(id);
  const words = e && (e.title || e.shortTitle || e.description.length > 0);
  return e !== undefined && !e.deleted && !words && ![...t.items.values()].some((i) => i.of === id && !i.deleted);
}

export function placeForNewItem(t: Timeline, of: string, list: ItemList): string {
  return between(itemsOf(t, of, list).at(-1)?.place ?? null, null);
}
