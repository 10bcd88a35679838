import * as Y from "yjs";
import type { Op } from "@/core/change/change";
import { fromBase64, toBase64 } from "@/core/text/base64";

/** Steps of one group as one: a later value of a field replaces the earlier, updates of a description are merged. */
export function joinOps(before: readonly Op[], after: readonly Op[]): Op[] {
  const ops = [...before];
  for (const op of after) {
    const at = ops.findIndex((o) => sameTarget(o, op));
    if (at < 0) ops.push(op);
    else if (op.kind === "describe") {
      const old = ops[at] as Extract<Op, { kind: "describe" }>;
      ops[at] = { ...op, update: toBase64(Y.mergeUpdates([fromBase64(old.update), fromBase64(op.update)])) };
    } else ops[at] = op;
  }
  return ops;
}

function sameTarget(a: Op, b: Op): boolean {
  if (a.kind !== b.kind) return false;
  if (a.kind === "describe" && b.kind === "describe") return a.of === b.of;
  if ("field" in a && "field" in b) return a.field === b.field && ("id" in a ? a.id : "") === ("id" in b ? b.id : "");
  return false;
}
