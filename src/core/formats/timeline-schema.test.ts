import { readFileSync } from "node:fs";
import Ajv2020 from "ajv/dist/2020";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { fitsSchema } from "../text/fits-schema";
import { anyTimeline } from "../testing/any-timeline";
import { EVENT, ITEM, SOURCE, TIMELINE } from "../timeline/fields";
import { toFrozen } from "./frozen";
import { TIMELINE_SCHEMA } from "./timeline-schema";

const ajv = new Ajv2020({ allErrors: false, strict: false });

describe("the schema of a timeline's JSON", () => {
  it.each(["public", "docs"])("%s/timeline.schema.json is as the fields are (else: npm run schema)", (folder) => {
    const file = new URL(`../../../${folder}/timeline.schema.json`, import.meta.url);
    expect(JSON.parse(readFileSync(file, "utf8"))).toEqual(JSON.parse(JSON.stringify(TIMELINE_SCHEMA)));
  });

  it("takes every timeline that is written, and nothing with one field too many", () => {
    const valid = ajv.compile(TIMELINE_SCHEMA);
    fc.assert(
      fc.property(anyTimeline, (t) => {
        const frozen = JSON.parse(JSON.stringify(toFrozen(t, true)));
        expect([valid(frozen), valid.errors]).toEqual([true, null]);
        expect(valid({ ...frozen, more: 1 })).toBe(false);
      }),
      { numRuns: 200, seed: 5 },
    );
  });
});

it("a value fits a field's schema just when the validator says so", () => {
  const fields = [TIMELINE, EVENT, ITEM, SOURCE].flatMap((t) => Object.values(t).map((f) => f.schema));
  const compiled = fields.map((s) => ajv.compile(s));
  const value = fc.oneof(
    fc.jsonValue({ maxDepth: 2 }),
    fc.constantFrom<unknown>(
      null,
      "",
      "a0",
      "plum",
      "solid",
      "2024-01-01",
      12,
      50.5,
      -1,
      true,
      [],
      ["a"],
      ["a", "a"],
      {},
      { along: 1, across: 2 },
      { kind: "step", unit: "years", step: 3 },
      { x: 5, y: 50 },
      { order: "dmy", months: "names", era: "BC", weekdays: false, julian: false },
      { year: { amount: 2, unit: "year" } },
      { publisher: "x" },
    ),
  );
  fc.assert(
    fc.property(fc.nat({ max: fields.length - 1 }), value, (n, v) => {
      expect([JSON.stringify(fields[n]), fitsSchema(fields[n]!, v)]).toEqual([
        JSON.stringify(fields[n]),
        compiled[n]!(v),
      ]);
    }),
    { numRuns: 5_000, seed: 9 },
  );
});
