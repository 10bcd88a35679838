import { fromBase64 } from "../text/base64";
import { undoUpdate } from "../text/replace-words";
import type { Timeline } from "../timeline/timeline";
import { type Applied, Draft, type Was } from "./apply";
import { type Op, tableOf, type Value } from "./change";

/**
 * The timeline after the steps, and the steps that undo them: one pass. Each undoing step names the value it expects to find
 * (`onlyIf`), so that what someone else has changed since is left alone; a step that had no effect has nothing to undo. An update
 * of a description is undone by another one, which leaves what others wrote.
 */
export function applyAndInvert(before: Timeline, ops: readonly Op[]): Applied & { inverse: Op[] } {
  const draft = new Draft(before);
  const inverse: Op[] = [];
  const skipped: Applied["skipped"] = [];
  for (const op of ops) {
    const words = op.kind === "describe" ? draft.description(op.of) : null;
    const was = draft.step(op);
    if (was && "skipped" in was) {
      skipped.push({ op, why: was.skipped });
      continue;
    }
    const undo = op.kind === "describe" ? words && undoWords(op, words) : undoOf(op, was, draft.timeline);
    if (undo) inverse.push(undo);
  }
  return { timeline: draft.timeline, skipped, inverse: inverse.reverse() };
}

/** The steps that undo the given ones, for a timeline as it stood before them. */
export function invert(before: Timeline, ops: readonly Op[]): Op[] {
  return applyAndInvert(before, ops).inverse;
}

function undoWords(op: Extract<Op, { kind: "describe" }>, before: Uint8Array): Op | null {
  const update = undoUpdate(before, fromBase64(op.update));
  return update === null ? null : { ...op, update };
}

/** What takes one step back, by what it replaced and the timeline after it; null where there is nothing to take back. */
function undoOf(
  op: Exclude<Op, { kind: "describe" }>,
  was: Exclude<Was, { skipped: unknown }>,
  after: Timeline,
): Op | null {
  switch (op.kind) {
    case "add_event":
      return { kind: "delete_event", id: op.id };
    case "add_category":
    case "add_item":
    case "add_source":
      return { kind: `delete_${tableOf(op)}`, id: op.id } as Op;
    case "set_timeline":
      return { ...op, value: was!.value as Value, onlyIf: op.value };
    case "set_event": {
      // What was stored may be marked (a circle of parts), and is what is expected.
      const now = after.events.get(op.id)![op.field] as Value;
      return { ...op, value: was!.value as Value, onlyIf: op.field === "partOf" ? now : op.value };
    }
    case "set_category":
    case "set_item":
    case "set_source":
      return { ...op, value: was!.value as Value, onlyIf: op.value };
    default: {
      const deletes = op.kind.startsWith("delete");
      if (was!.value === deletes) return null;
      return { kind: `${deletes ? "restore" : "delete"}_${tableOf(op)}`, id: op.id } as Op;
    }
  }
}
