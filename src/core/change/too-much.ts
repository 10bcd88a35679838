import { isTooDeep } from "../timeline/parts";
import type { Timeline } from "../timeline/timeline";
import type { Op } from "./change";
import { MOST, type MostOf } from "./limits";

/**
 * What a change would bring a timeline over, by what it holds after it; null when all fits. `unread`: how many living events there
 * are beside those in the timeline as it was read.
 */
export function tooMuch(before: Timeline, after: Timeline, ops: readonly Op[], unread = 0): MostOf | null {
  if (ops.length > MOST.steps.most) return "steps";
  const touches = (...kinds: Op["kind"][]) => ops.some((op) => kinds.includes(op.kind));
  if (touches("add_event", "restore_event") && living(after.events) + unread > MOST.events.most) return "events";
  if (touches("add_category", "restore_category") && living(after.categories) > MOST.categories.most)
    return "categories";
  if (touches("add_source", "restore_source") && living(after.sources) > MOST.sources.most) return "sources";
  if (touches("add_item", "restore_item") && hasLongList(after, ops)) return "items";
  return ops.some(deepens) && isTooDeep(after.events) && !isTooDeep(before.events) ? "deep" : null;
}

function living(records: ReadonlyMap<string, { deleted: boolean }>): number {
  let n = 0;
  for (const r of records.values()) if (!r.deleted) n++;
  return n;
}

function hasLongList({ items }: Timeline, ops: readonly Op[]): boolean {
  const of = new Set<string>();
  for (const op of ops) if (op.kind === "add_item" || op.kind === "restore_item") of.add(items.get(op.id)?.of ?? "");
  const counts = new Map<string, number>();
  for (const i of items.values()) {
    if (i.deleted || !of.has(i.of)) continue;
    const key = `${i.list} ${i.of}`;
    const n = (counts.get(key) ?? 0) + 1;
    if (n > MOST.items.most) return true;
    counts.set(key, n);
  }
  return false;
}

function deepens(op: Op): boolean {
  if (op.kind === "set_event") return op.field === "partOf" && op.value !== null;
  return op.kind === "restore_event" || (op.kind === "add_event" && op.fields.partOf != null);
}
