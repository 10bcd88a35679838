import { TABLES } from "../timeline/fields";
import { cutThere } from "./copy-events";
import type { Op } from "./change";
import type { Cut } from "../timeline/fields";

/** A change as an archive holds it: when, by whom, and its steps. */
export interface ArchivedChange {
  at: string;
  author: string;
  ops: readonly Op[];
}

/** Fields that only a server sets, by table: what a history says of them is another server's. */
const OWN = new Map(
  Object.entries(TABLES).map(([table, fields]) => [
    table,
    new Set(Object.entries(fields).flatMap(([name, f]) => ((f as { serverOnly?: true }).serverOnly ? [name] : []))),
  ]),
);

/**
 * The changes of a history as they can be made once more in an empty timeline of another server: what is a server's to set is left out,
 * files are those `mediaFor` names there, and entries whose file is gone are left out with all that was ever done to them. A change of
 * which nothing is left is none.
 */
export function historyThere(
  changes: readonly ArchivedChange[],
  mediaFor: (media: string) => string | null,
): ArchivedChange[] {
  const gone = new Set<string>();
  return changes.flatMap(({ at, author, ops }) => {
    const left = ops.flatMap((op) => stepThere(op, mediaFor, gone) ?? []);
    return left.length > 0 ? [{ at, author, ops: left }] : [];
  });
}

function stepThere(op: Op, mediaFor: (media: string) => string | null, gone: Set<string>): Op | null {
  if (op.kind === "describe") return op;
  const table = op.kind.slice(op.kind.indexOf("_") + 1);
  if ("id" in op && table === "item" && gone.has(op.id)) return null;
  if (op.kind === "add_item") {
    const media = op.fields.media ? mediaFor(op.fields.media) : null;
    if (op.fields.media && !media) {
      gone.add(op.id);
      return null;
    }
    return {
      ...op,
      fields: { ...op.fields, media, ...(op.fields.cut ? { cut: cutThere(op.fields.cut, mediaFor) } : {}) },
    };
  }
  if (op.kind === "set_item" && (op.field === "media" || op.field === "cut")) {
    const there = (value: unknown) =>
      op.field === "cut" ? cutThere(value as Cut | null, mediaFor) : value ? mediaFor(String(value)) : null;
    const value = there(op.value);
    if (op.field === "media" && value === null) return null;
    return { ...op, value, ...(op.onlyIf === undefined ? {} : { onlyIf: there(op.onlyIf) }) };
  }
  const own = OWN.get(table);
  if ("field" in op) return own?.has(op.field) ? null : op;
  if (!("fields" in op)) return op;
  return { ...op, fields: Object.fromEntries(Object.entries(op.fields).filter(([f]) => !own?.has(f))) } as Op;
}
