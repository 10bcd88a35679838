import "server-only";
import { type Op, tableOf } from "@/core/change/change";
import {
  type Category,
  emptyEvent,
  type Item,
  type Source,
  type Timeline,
  type TimelineEvent,
} from "@/core/timeline/timeline";
import type { Sql } from "../db/pool";
import { CATEGORY_COLUMNS, EVENT_COLUMNS, ITEM_COLUMNS, readFields, SOURCE_COLUMNS, sourceOf } from "./queries";

export interface ReadForChange {
  timeline: Timeline;
  /** How many events that are not deleted were not read. */
  unread: number;
}

/**
 * As much of a timeline as steps may ask about: the records they name, and, where it matters, of the others what circles and
 * limits are counted by. Records that are not named hold nothing else that is true. Null when the timeline is gone.
 */
export async function readForChange(tx: Sql, id: string, ops: readonly Op[]): Promise<ReadForChange | null> {
  const named = {
    event: new Set<string>(),
    category: new Set<string>(),
    item: new Set<string>(),
    source: new Set<string>(),
  };
  for (const op of ops) {
    if (op.kind === "describe") named.event.add(op.of);
    else if (op.kind !== "set_timeline") named[tableOf(op)].add(op.id);
  }
  const kinds = new Set(ops.map((op) => op.kind));
  const counts = (...of: Op["kind"][]) => of.some((k) => kinds.has(k));
  const whole = ops.some(
    (op) =>
      op.kind === "restore_event" ||
      (op.kind === "add_event" && op.fields.partOf != null) ||
      (op.kind === "set_event" && op.field === "partOf"),
  );
  const ids = (table: keyof typeof named) => [...named[table]];

  const lists = ops.flatMap((op) => (op.kind === "add_item" && op.fields.of ? [op.fields.of] : []));
  // None of them waits for another's answer.
  const [read, parts, events, categories, items, sources, others] = await Promise.all([
    readFields(tx, id),
    whole
      ? tx<Pick<TimelineEvent, "id" | "partOf" | "deleted">[]>`
          select id, part_of, deleted from event where timeline_id = ${id}`
      : [],
    named.event.size > 0
      ? tx<TimelineEvent[]>`
          select ${tx.unsafe(EVENT_COLUMNS)} from event where timeline_id = ${id} and id = any(${ids("event")})`
      : [],
    tx<Category[]>`
      select ${tx.unsafe(CATEGORY_COLUMNS)} from category
      where timeline_id = ${id} and (${counts("add_category", "restore_category")} or id = any(${ids("category")}))`,
    named.item.size > 0
      ? tx<Item[]>`
          select ${tx.unsafe(ITEM_COLUMNS)} from item
          where timeline_id = ${id} and (id = any(${ids("item")})
            or (${counts("add_item", "restore_item")} and not deleted and "of" = any(${
              lists
            } || array(select "of" from item where timeline_id = ${id} and id = any(${ids("item")})))))`
      : [],
    named.source.size > 0
      ? tx<Source[]>`
          select ${tx.unsafe(SOURCE_COLUMNS)} from source
          where timeline_id = ${id} and (${counts("add_source", "restore_source")} or id = any(${ids("source")}))`
      : [],
    !whole && counts("add_event")
      ? tx<{ n: number }[]>`
          select count(*)::int as n from event where timeline_id = ${id} and not deleted and id <> all(${ids("event")})`
      : [],
  ]);
  if (!read) return null;
  return {
    unread: others[0]?.n ?? 0,
    timeline: {
      ...read.fields,
      events: new Map([
        ...parts.map((e): [string, TimelineEvent] => [e.id, { ...emptyEvent(e.id), ...e }]),
        ...events.map((e): [string, TimelineEvent] => [e.id, { ...e, description: new Uint8Array(e.description) }]),
      ]),
      categories: new Map(categories.map((c) => [c.id, { ...c }])),
      items: new Map(items.map((i) => [i.id, { ...i }])),
      sources: new Map(sources.map((s) => [s.id, sourceOf(s)])),
    },
  };
}
