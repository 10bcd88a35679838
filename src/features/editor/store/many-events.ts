import { nanoid } from "nanoid";
import type { Op, Value } from "@/core/change/change";
import { copyEvents } from "@/core/change/copy-events";
import { type Shift, shifted } from "@/core/time/shift";
import { readOptionsOf } from "@/core/timeline/read-options";
import { wouldLoop } from "@/core/timeline/parts";
import { WORDS } from "@/core/words/editor-ledger";
import { readTags } from "@/core/ledger/read-cell";
import type { TimelineStore } from "./timeline-store";

/** What may be set of several events at once. */
export type ManyField = "category" | "partOf" | "emphasis" | "sign" | "done" | "addTag" | "takeTag";

/**
 * Sets one thing of several events: one change, one undo. Chapters between them have none of it. Gives a sentence where it cannot be, or
 * not for all of them.
 */
export function setMany(store: TimelineStore, ids: readonly string[], field: ManyField, value: Value): string | null {
  const { events } = store.getState().timeline;
  let full = 0;
  const ops = ids.flatMap((id): Op[] => {
    const e = events.get(id);
    if (!e || e.deleted || e.chapter) return [];
    if (field === "takeTag") {
      const others = e.tags.filter((t) => t.toLowerCase() !== String(value).toLowerCase());
      return others.length === e.tags.length ? [] : [{ kind: "set_event", id, field: "tags", value: others }];
    }
    if (field === "addTag") {
      const { tags, rest } = readTags([...e.tags, String(value)].join(","));
      if (rest) full++;
      return tags.length > e.tags.length ? [{ kind: "set_event", id, field: "tags", value: tags }] : [];
    }
    // What would be part of itself is left out, as it is from the choices of one event.
    if (field === "partOf" && value !== null && (value === id || wouldLoop(events, id, String(value)))) return [];
    return [{ kind: "set_event", id, field, value }];
  });
  const problem = ops.length === 0 ? null : store.edit(ops);
  return problem ?? (full > 0 ? WORDS.noRoomForTag(full) : null);
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
