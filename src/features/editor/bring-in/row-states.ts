import type { BroughtIn } from "@/core/bring-in/bring-in";
import type { Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/bring-in";

/** What becomes of a row that is an event already: the names of what is otherwise. */
export interface RowState {
  fields: string[];
}

/** For each row that is an event, what the steps alter of it. */
export function rowStates(t: Timeline, events: ReadonlyMap<number, string>, plan: BroughtIn): Map<number, RowState> {
  const fields = new Map<string, Set<string>>();
  const add = (id: string | undefined, name: string) => {
    if (id !== undefined) fields.set(id, (fields.get(id) ?? new Set()).add(name));
  };
  for (const op of plan.ops) {
    if (op.kind === "set_event" && op.field !== "origin") add(op.id, WORDS.field(op.field));
    if (op.kind === "describe") add(op.of, WORDS.field("description"));
    if (op.kind === "add_item" && typeof op.fields.of === "string")
      add(op.fields.of, WORDS.list(String(op.fields.list)));
    if (op.kind === "set_item" || op.kind === "delete_item") {
      const item = t.items.get(op.id);
      if (item) add(item.of, WORDS.list(item.list));
    }
  }
  return new Map([...events].map(([row, id]) => [row, { fields: [...(fields.get(id) ?? [])] }]));
}
