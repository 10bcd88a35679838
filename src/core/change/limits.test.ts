import { describe, expect, it } from "vitest";
import { readWhen } from "../time/read/read-when";
import { emptyTimeline } from "../timeline/timeline";
import { apply } from "./apply";
import type { Op } from "./change";
import { MOST, type MostOf } from "./limits";
import { tooMuch } from "./too-much";
import { LIMIT_SENTENCES } from "../words/limits";

const many = (n: number, make: (i: number) => Op): Op[] => Array.from({ length: n }, (_, i) => make(i));
const chain = (n: number) =>
  many(n, (i) => ({ kind: "add_event", id: `e${i}`, fields: { partOf: i === 0 ? null : `e${i - 1}` } }));

function over(ops: Op[], first: Op[] = []): MostOf | null {
  const before = apply(emptyTimeline("t"), first).timeline;
  return tooMuch(before, apply(before, ops).timeline, ops);
}

describe("how much there may be", () => {
  it.each(Object.entries(MOST))("of %s is said in a sentence", (of, { most }) => {
    const sentence = LIMIT_SENTENCES[of as MostOf];
    expect(most).toBeGreaterThan(0);
    expect(sentence).toMatch(/^[A-Z0-9].*[.]$/);
    expect(sentence).not.toMatch(/!/);
  });

  it.each<[string, Op[], Op[], MostOf | null]>([
    [
      "all events there may be",
      many(MOST.events.most, (i) => ({ kind: "add_event", id: `e${i}`, fields: {} })),
      [],
      null,
    ],
    [
      "one more",
      [{ kind: "add_event", id: "x", fields: {} }],
      many(MOST.events.most, (i) => ({ kind: "add_event", id: `e${i}`, fields: {} })),
      "events",
    ],
    [
      "deleted ones, which do not count",
      [{ kind: "add_event", id: "x", fields: {} }],
      [
        ...many(MOST.events.most, (i): Op => ({ kind: "add_event", id: `e${i}`, fields: {} })),
        { kind: "delete_event", id: "e0" },
      ],
      null,
    ],
    ["too many categories", many(201, (i) => ({ kind: "add_category", id: `c${i}`, fields: {} })), [], "categories"],
    [
      "a long list of one event",
      many(101, (i) => ({ kind: "add_item", id: `i${i}`, fields: { of: "e", list: "source" } })),
      [],
      "items",
    ],
    [
      "long lists of two events",
      many(200, (i) => ({ kind: "add_item", id: `i${i}`, fields: { of: `e${i % 2}`, list: "link" } })),
      [],
      null,
    ],
    [
      "a list put back",
      [{ kind: "restore_item", id: "i0" }],
      [
        ...many(100, (i): Op => ({ kind: "add_item", id: `i${i}`, fields: { of: "e", list: "media" } })),
        { kind: "delete_item", id: "i0" },
        { kind: "add_item", id: "x", fields: { of: "e", list: "media" } },
      ],
      "items",
    ],
    ["as deep as may be", chain(21), [], null],
    ["deeper", chain(22), [], "deep"],
    [
      "a deep whole put into another",
      [{ kind: "set_event", id: "e0", field: "partOf", value: "w" }],
      [...chain(21), { kind: "add_event", id: "w", fields: {} }],
      "deep",
    ],
    [
      "an old one that was too deep, made less so",
      [{ kind: "set_event", id: "e21", field: "partOf", value: "e0" }],
      chain(24),
      null,
    ],
    ["a title in it", [{ kind: "set_event", id: "e0", field: "title", value: "x" }], chain(24), null],
    ["too many steps", many(MOST.steps.most + 1, () => ({ kind: "delete_event", id: "e" })), [], "steps"],
  ])("%s", (_, ops, first, wanted) => expect(over(ops, first)).toBe(wanted));
});

it("a change of 50,000 steps is applied in time, and what it was applied to stays as it was", () => {
  const ops = many(25_000, (i): Op => ({ kind: "add_event", id: `e${i}`, fields: { title: "a" } })).concat(
    many(25_000, (i): Op => ({ kind: "set_event", id: `e${i}`, field: "when", value: readWhen("1872") })),
  );
  const before = emptyTimeline("t");
  const { timeline, skipped } = apply(before, ops);
  expect(timeline.events.size).toBe(25_000);
  expect(skipped).toEqual([]);
  expect(before.events.size).toBe(0);
  const same = apply(timeline, [{ kind: "set_event", id: "e1", field: "title", value: "a" }]).timeline;
  expect(same).toBe(timeline);
});

it("an event added as part of what is part of it is marked as a circle", () => {
  const { timeline } = apply(emptyTimeline("t"), [
    { kind: "add_event", id: "a", fields: { partOf: "b" } },
    { kind: "add_event", id: "b", fields: { partOf: "a" } },
    { kind: "add_event", id: "c", fields: { partOf: "c" } },
  ]);
  expect([...timeline.events.values()].map((e) => e.partOf)).toEqual(["b", "~a", "~c"]);
});
