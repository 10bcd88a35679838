import { nanoid } from "nanoid";
import type { Op, Value } from "@/core/change/change";
import { copyEvents } from "@/core/change/copy-events";
import { type Shift, shifted } from "@/core/time/shift";
import { readOptionsOf } from "@/core/timeline/read-options";
import { wouldLoop } from "@/core/timeline/parts";
import type { TimelineStore } from "./timeline-store";

/** What may be set of several events at once. */
export type ManyField = "category" | "partOf" | "emphasis" | "sign" | "done" | "addTag" | "takeTag";

/** Sets one thing of several events: one change, one undo. Gives a sentence where it cannot be. */
export function setMany(store: TimelineStore, ids: readonly string[], field: ManyField, value: Value): string | null {
  const { events } = store.getState().timeline;
  const ops = ids.flatMap((id): Op[] => {
    const e = events.get(id);
    if (!e || e.deleted) return [];
    if (field === "addTag" || field === "takeTag") {
      const tag = String(value);
      const others = e.tags.filter((t) => t.toLowerCase() !== tag.toLowerCase());
      const has = others.length < e.tags.length;
      if (has === (field === "addTag")) return [];
      return [{ kind: "set_event", id, field: "tags", value: field === "addTag" ? [...e.tags, tag] : others }];
    }
    // What would be part of itself is left out, as it is from the choices of one event.
    if (field === "partOf" && value !== null && (value === id || wouldLoop(events, id, String(value)))) return [];
    return [{ kind: "set_event", id, field, value }];
  });
  return ops.length === 0 ? null : store.edit(ops);
}

/** Moves the dates of several events by an amount of time: one change. Gives how many were moved, stayed, and have none to move. */
export function moveDates(
  store: TimelineStore,
  ids: readonly string[],
  by: Shift,
): { moved: number; stayed: number; without: number; problem: string | null } {
  const { timeline } = store.getState();
  const options = readOptionsOf(timeline);
  const found = { moved: 0, stayed: 0, without: 0 };
  const ops: Op[] = [];
  for (const id of ids) {
    const e = timeline.events.get(id);
    if (!e || e.deleted) continue;
    const value = e.locked ? null : shifted(e.when, by, options);
    if (!value) found.without++;
    else if (value === e.when) found.stayed++;
    else {
      found.moved++;
      ops.push({ kind: "set_event", id, field: "when", value });
    }
  }
  return { ...found, problem: ops.length === 0 ? null : store.edit(ops) };
}

/** Deletes several events; given ones stay. Gives how many did. */
export function deleteEvents(store: TimelineStore, ids: readonly string[]): number {
  const { events } = store.getState().timeline;
  const gone = ids.filter((id) => events.get(id)?.given === null);
  if (gone.length > 0) store.edit(gone.map((id): Op => ({ kind: "delete_event", id })));
  return ids.length - gone.length;
}

/** Each event once more, directly after it, with all it has: one change. Gives the ids of the new ones. */
export function duplicateEvents(store: TimelineStore, ids: readonly string[]): string[] {
  const made = copyEvents(store.getState().timeline, ids, () => nanoid(10));
  return made.ops.length > 0 && store.edit(made.ops) ? [] : made.ids;
}
