import { maybe, object } from "../text/schema";
import { MOST_DAY } from "./instant";

/** Long enough for the sentence of the field that was written too long. */
const text = { type: "string", maxLength: 2_000_000 };
const id = { type: "string", pattern: "^[A-Za-z0-9_-]{1,40}$" };

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
/** How far "about" reaches. */
export const MARGIN_SCHEMA = object({
  amount: { type: "number", minimum: 0, maximum: 1e10 },
  unit: { enum: ["day", "year"] },
});
/** A date as a browser sends it (JSON Schema). */
export const WHEN_SCHEMA = object(
  {
    typed: text,
    readAs: reading,
    edtf: { type: "string", maxLength: 200 },
    calendar: { enum: ["gregorian", "julian"] },
    margin: maybe(MARGIN_SCHEMA),
    place: object({ after: maybe(id), key: { type: "string", maxLength: 200 } }),
  },
  ["edtf", "place"],
);
