import { maybe, object } from "../text/schema";
import { CATEGORY, EVENT, type Field, ITEM, namesOf, SOURCE, TIMELINE } from "../timeline/fields";
import { FROZEN_FORMAT } from "./frozen";

const ID = { type: "string", pattern: "^[A-Za-z0-9_-]{1,40}$" };

/** The fields of a table as properties; texts as long as they may be. */
function propertiesOf(table: Record<string, Field<unknown>>): Record<string, object> {
  return Object.fromEntries(
    namesOf(table).map((k) => {
      const { schema, most } = table[k]!;
      return [k, most === undefined ? schema : { ...schema, maxLength: most }];
    }),
  );
}

const inline = {
  anyOf: [
    object({ kind: { const: "break" } }),
    object({
      kind: { const: "text" },
      text: { type: "string" },
      marks: {
        type: "array",
        items: object(
          {
            kind: { enum: ["bold", "italic", "link", "colour"] },
            address: { type: "string" },
            colour: { type: "string" },
          },
          ["address", "colour"],
        ),
      },
    }),
  ],
};
const content = { type: "array", items: inline };
const align = { enum: ["center", "right"] };
const blocks = { type: "array", items: { $ref: "#/$defs/block" } };
const block = {
  anyOf: [
    object({ kind: { const: "paragraph" }, content, align }, ["align"]),
    object({ kind: { const: "heading" }, level: { enum: [1, 2] }, content, align }, ["align"]),
    object({ kind: { const: "quote" }, blocks, source: ID }, ["source"]),
    object({ kind: { const: "medium" }, item: ID }),
    object({ kind: { const: "list" }, ordered: { type: "boolean" }, items: { type: "array", items: blocks } }),
  ],
};

/** The JSON of a timeline as JSON Schema (2020-12), made from the tables of fields: docs/timeline-format.md says the rest. */
export const TIMELINE_SCHEMA = {
  $schema: "https://json-schema.org/draft/2020-12/schema",
  title: "Timeline",
  $comment: `Version ${FROZEN_FORMAT} of the format.`,
  ...object(
    {
      format: { const: FROZEN_FORMAT },
      ...propertiesOf(TIMELINE),
      introduction: blocks,
      closing: blocks,
      chapters: {
        type: "array",
        items: object({
          id: ID,
          title: { type: "string", maxLength: EVENT.title.most },
          description: blocks,
          before: maybe(ID),
          place: maybe(object({ after: maybe(ID), key: { type: "string", maxLength: 200 } })),
        }),
      },
      categories: { type: "array", items: object({ id: ID, ...propertiesOf(CATEGORY) }) },
      events: { type: "array", items: object({ id: ID, ...propertiesOf(EVENT), description: blocks }) },
      items: { type: "array", items: object({ id: ID, ...propertiesOf(ITEM) }) },
      sources: { type: "array", items: object({ id: ID, ...propertiesOf(SOURCE) }) },
    },
    ["closing", "chapters", "sources"],
  ),
  $defs: { block },
};
