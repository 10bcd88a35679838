import type { CategoryField, EventField, ItemField, Op, SourceField, TimelineField, Value } from "../change/change";
import { rewriteDescription, saysTheSame } from "../text/replace-words";
import { sameValue } from "../text/same-value";
import { CATEGORY, EVENT, ITEM, namesOf, SOURCE, TIMELINE } from "../timeline/fields";
import {
  type Category,
  type Item,
  OWN_TEXTS,
  type OwnText,
  type Source,
  type Timeline,
  type TimelineEvent,
} from "../timeline/timeline";

/** One thing that is otherwise than it was. `before` and `after` are values of a field, or states of descriptions. */
export type Difference =
  | { kind: "timeline"; field: TimelineField; before: Value; after: Value }
  | { kind: OwnText; before: Uint8Array; after: Uint8Array }
  | { kind: "event"; id: string; field: EventField; before: Value; after: Value }
  | { kind: "description"; id: string; before: Uint8Array; after: Uint8Array }
  | {
      kind: "category";
      id: string;
      what: "added" | "removed" | "changed";
      field?: CategoryField;
      before?: Value;
      after?: Value;
    }
  | {
      kind: "source";
      id: string;
      what: "added" | "removed" | "changed";
      field?: SourceField;
      before?: Value;
      after?: Value;
    }
  /** An entry of an event's list, or of the timeline's (`of` is then "timeline"). */
  | {
      kind: "item";
      id: string;
      of: string;
      what: "added" | "removed" | "changed";
      field?: ItemField;
      before?: Value;
      after?: Value;
    };

export interface Compared {
  /** Events that are there only after, only before, and in both but not alike. */
  added: string[];
  removed: string[];
  changed: string[];
  /** What is otherwise, but for what was added or removed with its event. */
  differences: Difference[];
}

const EVENT_FIELDS = namesOf(EVENT, (f) => !f.serverOnly && !f.fixed) as EventField[];
const CATEGORY_FIELDS = namesOf(CATEGORY) as CategoryField[];
const ITEM_FIELDS = namesOf(ITEM, (f) => !f.fixed) as ItemField[];
const SOURCE_FIELDS = namesOf(SOURCE) as SourceField[];
const TIMELINE_FIELDS = namesOf(TIMELINE, (f) => !f.serverOnly) as TimelineField[];

const living = <T extends { deleted: boolean }>(all: ReadonlyMap<string, T>, id: string): T | null => {
  const found = all.get(id);
  return found && !found.deleted ? found : null;
};

/** What is otherwise after than it was before, in the order of the records. Records that are the same object are not looked into. */
export function compareTimelines(before: Timeline, after: Timeline): Compared {
  const found: Compared = { added: [], removed: [], changed: [], differences: [] };
  const changed = new Set<string>();
  for (const field of TIMELINE_FIELDS)
    if (!sameValue(before[field], after[field]))
      found.differences.push({ kind: "timeline", field, before: before[field] as Value, after: after[field] as Value });
  for (const text of OWN_TEXTS)
    if (!saysTheSame(before[text], after[text]))
      found.differences.push({ kind: text, before: before[text], after: after[text] });
  for (const id of new Set([...before.events.keys(), ...after.events.keys()])) {
    const [a, b] = [living(before.events, id), living(after.events, id)];
    if (a === b || (!a && !b)) continue;
    if (!a) found.added.push(id);
    else if (!b) found.removed.push(id);
    else {
      for (const field of EVENT_FIELDS)
        if (!sameValue(a[field], b[field])) {
          changed.add(id);
          found.differences.push({ kind: "event", id, field, before: a[field] as Value, after: b[field] as Value });
        }
      if (!saysTheSame(a.description, b.description)) {
        changed.add(id);
        found.differences.push({ kind: "description", id, before: a.description, after: b.description });
      }
    }
  }
  compareRecords(before.categories, after.categories, CATEGORY_FIELDS, (id, what, more) =>
    found.differences.push({ kind: "category", id, what, ...more } as Difference),
  );
  compareRecords(before.sources, after.sources, SOURCE_FIELDS, (id, what, more) =>
    found.differences.push({ kind: "source", id, what, ...more } as Difference),
  );
  compareRecords(before.items, after.items, ITEM_FIELDS, (id, what, more) => {
    const { of } = (after.items.get(id) ?? before.items.get(id))!;
    if (of !== "timeline") {
      // With an event that came or went its entries came or went.
      if (!living(before.events, of) || !living(after.events, of)) return;
      changed.add(of);
    }
    found.differences.push({ kind: "item", id, of, what, ...more } as Difference);
  });
  found.changed = [...changed];
  return found;
}

function compareRecords<T extends Category | Item | Source>(
  before: ReadonlyMap<string, T>,
  after: ReadonlyMap<string, T>,
  fields: readonly string[],
  put: (
    id: string,
    what: "added" | "removed" | "changed",
    more: { field?: string; before?: unknown; after?: unknown },
  ) => void,
): void {
  for (const id of new Set([...before.keys(), ...after.keys()])) {
    const [a, b] = [living(before, id), living(after, id)];
    if (a === b || (!a && !b)) continue;
    if (!a) put(id, "added", {});
    else if (!b) put(id, "removed", {});
    else
      for (const field of fields) {
        const [was, is] = [a[field as keyof T], b[field as keyof T]];
        if (!sameValue(was, is)) put(id, "changed", { field, before: was, after: is });
      }
  }
}

/** What is put back: everything, one event with all it has, or one field of it. */
export type PutBack =
  | { what: "all" }
  | { what: "event"; id: string }
  | { what: "field"; id: string; field: EventField | "description" };

/**
 * The steps that make a timeline what it was, as a new change that can itself be undone: nothing of the log is taken away. What was
 * deleted comes back with its values of then; what was added since is deleted, never lost. Given events stay (their steps are left
 * out where they are taken).
 */
export function putBack(now: Timeline, then: Timeline, wish: PutBack): Op[] {
  const ops: Op[] = [];
  /** What is part of what comes last, when nothing of the present can make a circle with it. */
  const last: Op[] = [];
  if (wish.what === "field") {
    const [is, was] = [now.events.get(wish.id), then.events.get(wish.id)];
    if (!is || !was) return [];
    if (wish.field === "description") rewrite(ops, wish.id, is.description, was.description);
    else setField(ops, last, wish.id, wish.field, is, was);
    return [...ops, ...last];
  }
  if (wish.what === "event") {
    putEventBack(ops, last, now, then, wish.id);
    return [...ops, ...last];
  }
  for (const field of TIMELINE_FIELDS)
    if (!sameValue(now[field], then[field])) ops.push({ kind: "set_timeline", field, value: then[field] as Value });
  for (const text of OWN_TEXTS) rewrite(ops, text, now[text], then[text]);
  // Categories first: events name them.
  putRecordsBack(ops, "category", now.categories, then.categories, CATEGORY_FIELDS);
  putRecordsBack(ops, "source", now.sources, then.sources, SOURCE_FIELDS);
  for (const id of new Set([...then.events.keys(), ...now.events.keys()]))
    putEventBack(ops, last, now, then, id, false);
  putRecordsBack(ops, "item", now.items, then.items, ITEM_FIELDS);
  return [...ops, ...last];
}

function putEventBack(ops: Op[], last: Op[], now: Timeline, then: Timeline, id: string, alone = true): void {
  const is = now.events.get(id);
  const was = living(then.events, id);
  if (!is) return;
  if (!was) {
    if (!is.deleted) ops.push({ kind: "delete_event", id });
    return;
  }
  if (is.deleted) ops.push({ kind: "restore_event", id });
  for (const field of EVENT_FIELDS) setField(ops, last, id, field, is, was);
  rewrite(ops, id, is.description, was.description);
  if (!alone) return;
  // A category that has gone since comes back with the event that needs it.
  const category = was.category ? now.categories.get(was.category) : null;
  if (category?.deleted && living(then.categories, category.id))
    ops.push({ kind: "restore_category", id: category.id });
  const own = (all: ReadonlyMap<string, Item>) => new Map([...all].filter(([, i]) => i.of === id));
  const items = own(then.items);
  // So does a source it names.
  for (const id of new Set([...items.values()].map((i) => i.source ?? "")))
    if (now.sources.get(id)?.deleted && living(then.sources, id)) ops.push({ kind: "restore_source", id });
  putRecordsBack(ops, "item", own(now.items), items, ITEM_FIELDS);
}

function setField(ops: Op[], last: Op[], id: string, field: EventField, is: TimelineEvent, was: TimelineEvent): void {
  if (sameValue(is[field], was[field])) return;
  const op: Op = { kind: "set_event", id, field, value: was[field] as Value };
  if (field !== "partOf" || was.partOf === null) ops.push(op);
  else {
    ops.push({ ...op, value: null });
    last.push(op);
  }
}

function rewrite(ops: Op[], of: string, is: Uint8Array, was: Uint8Array): void {
  const update = rewriteDescription(is, was);
  if (update) ops.push({ kind: "describe", of, update });
}

function putRecordsBack<T extends Category | Item | Source>(
  ops: Op[],
  table: "category" | "item" | "source",
  now: ReadonlyMap<string, T>,
  then: ReadonlyMap<string, T>,
  fields: readonly string[],
): void {
  for (const [id, is] of now) {
    const was = living(then, id);
    if (!was) {
      if (!is.deleted) ops.push({ kind: `delete_${table}`, id } as Op);
      continue;
    }
    if (is.deleted) ops.push({ kind: `restore_${table}`, id } as Op);
    for (const field of fields) {
      const value = was[field as keyof T];
      if (!sameValue(is[field as keyof T], value)) ops.push({ kind: `set_${table}`, id, field, value } as Op);
    }
  }
}
