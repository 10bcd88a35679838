import type { Margins, When } from "../time/when";
import type { Manner } from "../time/write-when";
import type {
  CATEGORY,
  EVENT,
  Cut,
  Focus,
  Point,
  ITEM,
  Marks,
  SOURCE,
  Spot,
  Tie,
  TIMELINE,
  ValuesOf,
} from "../timeline/fields";
import type { COLLECTION, TimelineEvent } from "../timeline/timeline";

export type EventField = Exclude<keyof typeof EVENT, "given" | "locked">;
export type CategoryField = keyof typeof CATEGORY;
export type ItemField = keyof typeof ITEM;
export type SourceField = keyof typeof SOURCE;
export type TimelineField = keyof typeof TIMELINE;

export type Value =
  | string
  | number
  | boolean
  | null
  | When
  | Manner
  | Margins
  | Marks
  | Spot
  | Focus
  | Point
  | Cut
  | readonly Tie[]
  | Readonly<Record<string, string>>
  | readonly string[];
export type Table = keyof typeof COLLECTION;

/**
 * One step of a change. `onlyIf` is set by an undo: the step is left out when the field no longer holds that
 * value, because someone else has changed it since. `update` is a Yjs update in base64, the one kind of edit
 * of a description (`of` an event's id, "introduction" or "closing").
 */
export type Op =
  | { kind: "set_timeline"; field: TimelineField; value: Value; onlyIf?: Value }
  /** `given` and `locked` are the server's to set: the shape of a change from a browser has no place for them. */
  | { kind: "add_event"; id: string; fields: Partial<ValuesOf<typeof EVENT>> }
  | { kind: "set_event"; id: string; field: EventField; value: Value; onlyIf?: Value }
  | { kind: "delete_event" | "restore_event"; id: string }
  | { kind: "add_category"; id: string; fields: Partial<ValuesOf<typeof CATEGORY>> }
  | { kind: "set_category"; id: string; field: CategoryField; value: Value; onlyIf?: Value }
  | { kind: "delete_category" | "restore_category"; id: string }
  | { kind: "add_item"; id: string; fields: Partial<ValuesOf<typeof ITEM>> }
  | { kind: "set_item"; id: string; field: ItemField; value: Value; onlyIf?: Value }
  | { kind: "delete_item" | "restore_item"; id: string }
  | { kind: "add_source"; id: string; fields: Partial<ValuesOf<typeof SOURCE>> }
  | { kind: "set_source"; id: string; field: SourceField; value: Value; onlyIf?: Value }
  | { kind: "delete_source" | "restore_source"; id: string }
  | { kind: "describe"; of: string; update: string };

/** An edit as it is sent, stored and repeated: an import or a change-all is one of these, and one undo. */
export interface Change {
  id: string;
  author: string;
  /** The number of the last confirmed change its author had seen. */
  base: number;
  ops: Op[];
}

/** A change with the number the server gave it. */
export interface ConfirmedChange extends Change {
  seq: number;
  /** When it was taken, ISO 8601, UTC. */
  at: string;
}

/** A step that had no effect: its record is not there, or someone else changed the field first. */
export interface Skipped {
  op: Op;
  why: "missing" | "changed_since" | "there_already" | "given";
}

/** Whether a step would alter what a teacher has given: delete a given event, or title or date of a locked one. */
export function touchesGiven(op: Op, event: Pick<TimelineEvent, "given" | "locked"> | undefined): boolean {
  if (!event?.given) return false;
  if (op.kind === "delete_event") return true;
  return op.kind === "set_event" && event.locked && (op.field === "title" || op.field === "when");
}

export function tableOf(op: Exclude<Op, { kind: "set_timeline" | "describe" }>): Table {
  return op.kind.slice(op.kind.indexOf("_") + 1) as Table;
}
