import "server-only";
import type { Change, Op } from "@/core/change/change";
import type { ArchivedChange } from "@/core/change/history-there";
import { MOST_OPS, MOST_UPDATE } from "@/core/change/limits";
import { object } from "@/core/text/schema";
import { type Field, TABLES } from "@/core/timeline/fields";
import { MOST_SEQ } from "../http/read-body";
import { shape } from "../http/shape";

const id = { type: "string", pattern: "^[A-Za-z0-9_-]{1,40}$" };

/** Fields as a record is made with them: each may be missing, and what is the server's has no place. */
function settable(fields: Record<string, Field<unknown>>): object {
  const own = Object.entries(fields).filter(([, f]) => !f.serverOnly);
  const schemas = Object.fromEntries(own.map(([name, f]) => [name, f.schema]));
  return object(schemas, Object.keys(schemas));
}

const opSchema = {
  type: "object",
  byKind: [
    ...Object.entries<Record<string, Field<unknown>>>(TABLES).flatMap(([table, fields]) => [
      ...Object.entries(fields)
        .filter(([, f]) => !f.fixed && !f.serverOnly)
        .map(([field, { schema }]) =>
          object(
            {
              kind: { const: `set_${table}` },
              ...(table === "timeline" ? {} : { id }),
              field: { const: field },
              value: schema,
              onlyIf: schema,
            },
            ["onlyIf"],
          ),
        ),
      ...(table === "timeline"
        ? []
        : [
            object({ kind: { const: `add_${table}` }, id, fields: settable(fields) }),
            object({ kind: { enum: [`delete_${table}`, `restore_${table}`] }, id }),
          ]),
    ]),
    object({
      kind: { const: "describe" },
      of: id,
      update: { type: "string", maxLength: MOST_UPDATE, pattern: "^[A-Za-z0-9+/]*={0,2}$" },
    }),
  ],
};

/** So many characters has the history of a timeline that is brought back, and so many changes. */
export const MOST_HISTORY = 30_000_000;
const MOST_CHANGES = 20_000;

/** A history as an archive holds it, with the files of where it is brought back to. */
export const readHistory = shape<{ changes: ArchivedChange[] }>(
  object({
    changes: {
      type: "array",
      minItems: 1,
      maxItems: MOST_CHANGES,
      items: object({
        at: { type: "string", maxLength: 40 },
        author: { type: "string", maxLength: 60 },
        ops: { type: "array", minItems: 1, maxItems: MOST_OPS, items: opSchema },
      }),
    },
  }),
);

/**
 * A change as a browser sends it: the author is whoever is signed in. `known` is the number up to which it has everything by now,
 * which is later than `base` for what was written offline.
 */
export const readChange = shape<Omit<Change, "author"> & { ops: Op[]; known?: number }>(
  object(
    {
      id,
      base: { type: "integer", minimum: 0, maximum: MOST_SEQ },
      known: { type: "integer", minimum: 0, maximum: MOST_SEQ },
      ops: { type: "array", minItems: 1, maxItems: MOST_OPS, items: opSchema },
    },
    ["known"],
  ),
);
