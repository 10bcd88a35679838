import { fromBase64 } from "../text/base64";
import { mergeDescriptions } from "../text/description";
import {
  type Category,
  emptyCategory,
  emptyEvent,
  emptyItem,
  type Item,
  type Timeline,
  type TimelineEvent,
} from "../timeline/timeline";
import { type Op, type Skipped, tableOf, touchesGiven, type Value } from "./change";
import { partOfFor } from "../timeline/parts";
import { sameValue } from "./same-value";

export interface Applied {
  timeline: Timeline;
  skipped: Skipped[];
}

/**
 * The timeline after the steps, in their order; the one given is not altered. A step that cannot have an
 * effect is skipped and reported, never refused: the server merges in the same way, so all ends are equal.
 */
export function apply(before: Timeline, ops: readonly Op[]): Applied {
  let timeline = before;
  const skipped: Skipped[] = [];
  for (const op of ops) {
    const result = applyOp(timeline, op);
    if (typeof result === "string") skipped.push({ op, why: result });
    else timeline = result;
  }
  return { timeline, skipped };
}

function applyOp(t: Timeline, op: Op): Timeline | Skipped["why"] {
  switch (op.kind) {
    case "set_timeline": {
      const now = t[op.field];
      if (op.onlyIf !== undefined && !sameValue(now, op.onlyIf)) return "changed_since";
      return sameValue(now, op.value) ? t : { ...t, [op.field]: op.value };
    }
    case "describe": {
      const update = fromBase64(op.update);
      if (op.of === "introduction") return { ...t, introduction: mergeDescriptions(t.introduction, update) };
      const event = t.events.get(op.of);
      if (!event) return "missing";
      return withRecord(t, "events", { ...event, description: mergeDescriptions(event.description, update) });
    }
    case "add_event":
      if (t.events.has(op.id)) return "there_already";
      return withRecord(t, "events", { ...emptyEvent(op.id), ...op.fields });
    case "add_category":
      if (t.categories.has(op.id)) return "there_already";
      return withRecord(t, "categories", { ...emptyCategory(op.id), ...op.fields });
    case "add_item":
      if (t.items.has(op.id)) return "there_already";
      return withRecord(t, "items", { ...emptyItem(op.id), ...op.fields });
    default:
      return alter(t, op);
  }
}

type AlterOp = Exclude<Op, { kind: "set_timeline" | "describe" | "add_event" | "add_category" | "add_item" }>;
const COLLECTION = { event: "events", category: "categories", item: "items" } as const;
type Collection = (typeof COLLECTION)[keyof typeof COLLECTION];
type AnyRecord = TimelineEvent | Category | Item;

function alter(t: Timeline, op: AlterOp): Timeline | Skipped["why"] {
  const collection = COLLECTION[tableOf(op)];
  const record: AnyRecord | undefined = t[collection].get(op.id);
  if (!record) return "missing";
  if (touchesGiven(op, t.events.get(op.id))) return "given";
  if ("field" in op) {
    const now = record[op.field as keyof AnyRecord] as Value;
    if (op.onlyIf !== undefined && !sameValue(now, op.onlyIf)) return "changed_since";
    const value = op.field === "partOf" ? partOfFor(t.events, op.id, op.value as string | null) : op.value;
    return sameValue(now, value) ? t : withRecord(t, collection, { ...record, [op.field]: value });
  }
  const deleted = op.kind.startsWith("delete");
  return record.deleted === deleted ? t : withRecord(t, collection, { ...record, deleted });
}

function withRecord(t: Timeline, collection: Collection, record: AnyRecord): Timeline {
  return {
    ...t,
    [collection]: new Map<string, AnyRecord>(t[collection] as Map<string, AnyRecord>).set(record.id, record),
  };
}
