import { Ajv } from "ajv";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { TABLES } from "@/core/timeline/fields";
import { readChange, readHistory } from "../timelines/change-schema";
import { shape, stringsOf } from "./shape";

interface OfAKind {
  properties: Record<string, { const?: string; enum?: string[] }>;
  required: string[];
}
const stepsOf = (of: { schema: object }, list: "ops" | "changes"): OfAKind[] => {
  const { properties } = of.schema as { properties: Record<string, { items: never }> };
  const items = properties[list]!.items as {
    byKind?: OfAKind[];
    properties: { ops: { items: { byKind: OfAKind[] } } };
  };
  return items.byKind ?? items.properties.ops.items.byKind;
};
const STEPS = stepsOf(readChange, "ops");

describe("a shape", () => {
  const word = shape<{ word: string }>({
    type: "object",
    properties: { word: { type: "string", maxLength: 5 } },
    required: ["word"],
    additionalProperties: false,
  });

  it("says whether a value has it, and what it lacks", () => {
    expect(word({ word: "ferry" })).toBe(true);
    expect(word({ word: "bridge" })).toBe(false);
    expect(word.lacks("the body")).toBe("the body/word must NOT have more than 5 characters");
    expect(word({})).toBe(false);
    expect(word.lacks("it")).toBe("it must have required property 'word'");
    expect(word({ word: "ferry" })).toBe(true);
    expect(word.lacks("it")).toBe("No errors");
  });

  it("is made when the first value is looked at, and a schema that is none is said then", () => {
    const wrong = shape({ type: "whole" });
    expect(() => wrong(1)).toThrow(/schema is invalid/);
  });

  it("of strings alone takes these and no others", () => {
    const two = stringsOf("from", "to");
    expect(two({ from: "a", to: "b" })).toBe(true);
    for (const other of [{ from: "a" }, { from: "a", to: 1 }, { from: "a", to: "b", more: "c" }, [], null, "a"])
      expect([other, two(other)]).toEqual([other, false]);
  });
});

describe("the shape of steps, which say by their kind what they are", () => {
  // The slow way, which looks at every one of them.
  const ajv = new Ajv({ strict: true, allowUnionTypes: true, code: { optimize: false } });
  const each = STEPS.map((s) => ajv.compile(s));
  const anyOf = (value: unknown) => each.some((check) => check(value));
  const read = (op: unknown) => readChange({ id: "c1", base: 0, ops: [op] });

  const empties = Object.entries(TABLES).flatMap(([table, fields]) =>
    Object.entries(fields as Record<string, { empty: unknown; fixed?: true; serverOnly?: true }>)
      .filter(([, f]) => !f.fixed && !f.serverOnly)
      .map(([field, f]) => ({
        kind: `set_${table}`,
        ...(table === "timeline" ? {} : { id: "x1" }),
        field,
        value: f.empty,
      })),
  );
  const tables = Object.keys(TABLES).filter((t) => t !== "timeline");
  const whole = tables.flatMap((table) => [
    { kind: `add_${table}`, id: "x1", fields: {} },
    { kind: `delete_${table}`, id: "x1" },
    { kind: `restore_${table}`, id: "x1" },
  ]);
  const good = [...empties, ...whole, { kind: "describe", of: "x1", update: "AAA=" }];

  it("knows every kind there is, alike in a change and in a history", () => {
    for (const op of good) {
      expect([op, read(op)]).toEqual([op, true]);
      const past = { changes: [{ at: "2031-01-01T00:00:00Z", author: "Nia", ops: [op] }] };
      expect([op, readHistory(past)]).toEqual([op, true]);
    }
    const reached = new Set(good.map((op) => each.findIndex((check) => check(op))));
    // Deleting and bringing back share one.
    expect(reached.size).toBe(STEPS.length);
  });

  it("takes what one of them takes, and nothing else", () => {
    const kinds = [...new Set(good.map((op) => op.kind)), "set_event ", "constructor", "toString", "", 7, null];
    const part = fc.record(
      {
        kind: fc.constantFrom<unknown>(...kinds),
        id: fc.constantFrom<unknown>("x1", "", 7, "a b"),
        field: fc.constantFrom<unknown>("title", "when", "constructor", "", null, { const: "title" }),
        value: fc.constantFrom<unknown>("", "Rope ferry", null, 7, [], true, {}),
        onlyIf: fc.constantFrom<unknown>("", null, 7),
        fields: fc.constantFrom<unknown>({}, { title: "Rope ferry" }, { title: 7 }, { more: "" }, []),
        of: fc.constant("x1"),
        update: fc.constantFrom<unknown>("AAA=", "?", 7),
        more: fc.constant(1),
      },
      { requiredKeys: [] },
    );
    // What is right, with something in it exchanged or added; and what is made of parts at random.
    const nearly = fc.tuple(fc.constantFrom(...good), part).map(([op, other]) => ({ ...op, ...other }));
    const taken = new Set<boolean>();
    fc.assert(
      fc.property(fc.oneof(fc.constantFrom(...good), nearly, part, fc.anything()), (op) => {
        const wanted = anyOf(op);
        taken.add(wanted);
        expect(read(op)).toBe(wanted);
      }),
      { numRuns: 3_000, seed: 1604 },
    );
    expect(taken.size).toBe(2);
  });
});
