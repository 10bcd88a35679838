import "server-only";
import type { ValidateFunction } from "ajv";
import type { Change, Op } from "@/core/change/change";
import { MOST_OPS, MOST_UPDATE } from "@/core/change/limits";
import { COLOURS, PATTERNS, SIGNS } from "@/core/timeline/timeline";
import { MOST_DAY } from "@/core/time/range";
import { MOST_SEQ } from "../http/read-body";
import { ajv } from "../http/route";

const id = { type: "string", pattern: "^[A-Za-z0-9_-]{1,40}$" };
/** Long enough for the sentence of the field that was written too long. */
const text = { type: "string", maxLength: 2_000_000 };
const maybe = (schema: object) => ({ anyOf: [schema, { type: "null" }] });
export const object = (properties: Record<string, object>, optional: string[] = []) => ({
  type: "object",
  properties,
  required: Object.keys(properties).filter((k) => !optional.includes(k)),
  additionalProperties: false,
});

const instant = object({
  day: { type: "integer", minimum: -MOST_DAY, maximum: MOST_DAY },
  second: { type: "integer", minimum: 0, maximum: 86_400 },
});
const year = { type: "integer", minimum: -1e12, maximum: 1e12 };
const short = (maxLength: number) => ({ type: "string", maxLength });
/** One exact shape a wording: what draws and writes dates relies on all its parts. */
const wording = {
  anyOf: [
    object({ kind: { const: "part" }, part: { enum: ["early", "mid", "late"] } }),
    object({ kind: { const: "season" }, season: { enum: ["spring", "summer", "autumn", "winter"] }, year }),
    object({ kind: { enum: ["before", "after", "between"] } }),
    object({ kind: { const: "edtf" }, text: short(200) }),
    object({
      kind: { const: "ago" },
      amount: { type: "string", pattern: "^[0-9.]{1,40}$" },
      unit: { enum: ["years", "thousand", "million", "billion", "bp"] },
    }),
  ],
};
const moment = object(
  {
    from: maybe(instant),
    to: maybe(instant),
    precision: {
      enum: [
        "second",
        "minute",
        "hour",
        "day",
        "month",
        "season",
        "year",
        "decade",
        "century",
        "millennium",
        "digits",
        "stretch",
      ],
    },
    about: { type: "boolean" },
    uncertain: { type: "boolean" },
    wording,
    offset: { type: "string", maxLength: 10 },
  },
  ["wording", "offset"],
);
const reading = {
  anyOf: [
    object({ kind: { const: "moment" }, at: moment }),
    object({ kind: { const: "span" }, start: maybe(moment), end: maybe(moment), unknown: { enum: ["start", "end"] } }, [
      "unknown",
    ]),
    object({ kind: { const: "undated" } }),
    object({
      kind: { const: "not_understood" },
      // Why is found again from what was typed.
      problem: { type: "object", properties: { code: short(40) }, required: ["code"], maxProperties: 8 },
    }),
  ],
};
const margin = object({ amount: { type: "number", minimum: 0, maximum: 1e10 }, unit: { enum: ["day", "year"] } });
export const when = object(
  {
    typed: text,
    readAs: reading,
    edtf: { type: "string", maxLength: 200 },
    calendar: { enum: ["gregorian", "julian"] },
    margin: maybe(margin),
    place: object({ after: maybe(id), key: { type: "string", maxLength: 200 } }),
  },
  ["edtf", "place"],
);
const pixels = { type: "number", minimum: -20_000, maximum: 20_000 };
const place = { type: "string", pattern: "^[A-Za-z0-9]{0,200}$" };

/** What each field may hold. Lengths of texts are checked by the core (`tooLong`), which has the sentence for it. */
const FIELDS: Record<"timeline" | "event" | "category" | "item", Record<string, object>> = {
  timeline: {
    title: text,
    subject: text,
    byline: text,
    period: when,
    scale: { enum: ["balanced", "true", "even"] },
    dateOrder: maybe({ enum: ["dmy", "mdy"] }),
    dateStyle: maybe(
      object(
        {
          order: { enum: ["dmy", "mdy"] },
          months: { enum: ["names", "numbers"] },
          era: { enum: ["BC", "BCE"] },
          weekdays: { type: "boolean" },
          julian: { type: "boolean" },
          clock: { enum: ["24", "12"] },
          finest: { enum: ["month"] },
        },
        ["clock", "finest"],
      ),
    ),
    hemisphere: { enum: ["north", "south"] },
    margins: maybe({
      type: "object",
      properties: Object.fromEntries(["day", "month", "year", "decade", "century"].map((p) => [p, margin])),
      additionalProperties: false,
    }),
    timesOn: maybe(when),
    lengths: { type: "boolean" },
    today: { type: "boolean" },
    gridlines: { type: "boolean" },
    marks: maybe({
      anyOf: [
        object({
          kind: { const: "step" },
          unit: { enum: ["years", "months", "days", "hours", "minutes"] },
          step: { type: "integer", minimum: 1, maximum: 10_000_000_000 },
        }),
        object({ kind: { const: "list" }, text: { type: "string", maxLength: 4_000 } }),
      ],
    }),
    firstView: { type: "string", maxLength: 200 },
  },
  event: {
    title: text,
    shortTitle: text,
    when,
    category: maybe(id),
    partOf: maybe({ type: "string", pattern: "^~?[A-Za-z0-9_-]{1,40}$" }),
    emphasis: { type: "boolean" },
    sign: { enum: ["", ...SIGNS] },
    spot: maybe(object({ along: pixels, across: pixels, upright: { type: "boolean" } }, ["upright"])),
    closeUp: { enum: ["", "open", "closed"] },
    done: maybe({ type: "integer", minimum: 0, maximum: 100 }),
    byHand: place,
  },
  category: { name: text, colour: { enum: Object.keys(COLOURS) }, pattern: { enum: [...PATTERNS] }, place },
  item: {
    of: id,
    list: { enum: ["media", "source", "link"] },
    place,
    media: maybe(id),
    kind: maybe({ enum: ["picture", "video", "sound"] }),
    width: maybe({ type: "integer", minimum: 1, maximum: 1_000_000 }),
    height: maybe({ type: "integer", minimum: 1, maximum: 1_000_000 }),
    text,
    credit: text,
    licence: text,
    address: text,
    foundOn: { type: "string", pattern: "^(\\d{4}-\\d{2}-\\d{2})?$" },
  },
};
/** Set once, when the item is made: another file is another item. */
const FIXED = new Set(["item.of", "item.list", "item.media", "item.kind", "item.width", "item.height"]);

const opSchema = {
  anyOf: [
    ...Object.entries(FIELDS).flatMap(([table, fields]) => [
      ...Object.entries(fields)
        .filter(([field]) => !FIXED.has(`${table}.${field}`))
        .map(([field, value]) =>
          object(
            {
              kind: { const: `set_${table}` },
              ...(table === "timeline" ? {} : { id }),
              field: { const: field },
              value,
              onlyIf: value,
            },
            ["onlyIf"],
          ),
        ),
      ...(table === "timeline"
        ? []
        : [
            object({ kind: { const: `add_${table}` }, id, fields: object(fields, Object.keys(fields)) }),
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

/**
 * A change as a browser sends it: the author is whoever is signed in. `known` is the number up to which it has everything by now,
 * which is later than `base` for what was written offline.
 */
export const readChange = ajv.compile(
  object(
    {
      id,
      base: { type: "integer", minimum: 0, maximum: MOST_SEQ },
      known: { type: "integer", minimum: 0, maximum: MOST_SEQ },
      ops: { type: "array", minItems: 1, maxItems: MOST_OPS, items: opSchema },
    },
    ["known"],
  ),
) as ValidateFunction<Omit<Change, "author"> & { ops: Op[]; known?: number }>;
