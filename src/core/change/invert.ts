import { partOfFor } from "../timeline/parts";
import type { Timeline } from "../timeline/timeline";
import { apply } from "./apply";
import { type Op, tableOf, type Value } from "./change";

/**
 * The steps that undo the given ones, for a timeline as it stood before them. Each names the value it expects to
 * find (`onlyIf`), so that what someone else has changed since is left alone. Edits of descriptions are not
 * among them: a Yjs document knows its own undo.
 */
export function invert(before: Timeline, ops: readonly Op[]): Op[] {
  const inverse: Op[] = [];
  let t = before;
  for (const op of ops) {
    const undo = invertOp(t, op);
    if (undo) inverse.unshift(undo);
    t = apply(t, [op]).timeline;
  }
  return inverse;
}

function invertOp(t: Timeline, op: Op): Op | null {
  switch (op.kind) {
    case "describe":
      return null;
    case "set_timeline":
      return { ...op, value: t[op.field], onlyIf: op.value };
    case "add_event":
      return t.events.has(op.id) ? null : { kind: "delete_event", id: op.id };
    case "add_category":
      return t.categories.has(op.id) ? null : { kind: "delete_category", id: op.id };
    case "add_item":
      return t.items.has(op.id) ? null : { kind: "delete_item", id: op.id };
    case "set_event":
    case "set_category":
    case "set_item": {
      const records = { event: t.events, category: t.categories, item: t.items }[tableOf(op)];
      const record = records.get(op.id) as Record<string, Value> | undefined;
      if (!record) return null;
      const { events } = t;
      const onlyIf = op.field === "partOf" ? partOfFor(events, op.id, op.value as string | null) : op.value;
      return { ...op, value: record[op.field]!, onlyIf } as Op;
    }
    default: {
      const records = { event: t.events, category: t.categories, item: t.items }[tableOf(op)];
      const record = records.get(op.id);
      const deletes = op.kind.startsWith("delete");
      if (!record || record.deleted === deletes) return null;
      return { kind: op.kind.replace(deletes ? "delete" : "restore", deletes ? "restore" : "delete"), id: op.id } as Op;
    }
  }
}
