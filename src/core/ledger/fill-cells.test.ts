import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { apply } from "../change/apply";
import { applyAndInvert } from "../change/invert";
import { seededTimeline } from "../testing/seeded-timeline";
import { readWhen } from "../time/read/read-when";
import { inOrder } from "../timeline/order";
import { emptyEvent, emptyTimeline, itemsByOwner, itemsOf, type Timeline } from "../timeline/timeline";
import { cellText } from "./cell-text";
import type { Cells } from "./clipboard";
import { COUNTED, LEDGER_COLUMNS, type LedgerColumn } from "./columns";
import { type Filled, fillCells, type Filling, type TooLongCell } from "./fill-cells";
import { readSourceLine, readTags } from "./read-cell";

let made = 0;
const newId = () => `n${made++}`;

function run(t: Timeline, filling: Omit<Filling, "newId">): Filled | TooLongCell {
  const steps = fillCells(t, { ...filling, newId });
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
function fill(t: Timeline, rows: string[], columns: LedgerColumn[], cells: Cells): Filled & { after: Timeline } {
  const filled = run(t, { rows, columns, cells });
  if ("tooLong" in filled) throw new Error("too long");
  return { ...filled, after: apply(t, filled.ops).timeline };
}
const texts = (t: Timeline, id: string) => {
  const from = { timeline: t, items: itemsByOwner(t), words: () => 0 };
  return LEDGER_COLUMNS.map((c) => cellText(from, t.events.get(id)!, c));
};

function small(): Timeline {
  const event = (id: string, title: string, when: string, more = {}) =>
    [id, { ...emptyEvent(id), title, when: readWhen(when), ...more }] as const;
  return {
    ...emptyTimeline("t"),
    events: new Map([
      event("bridge", "Timber bridge", "1744 - 1783"),
      event("gate", "Toll gate", "1760"),
      event("given", "The flood", "14 Nov 1872", { given: "g", locked: true }),
    ]),
  };
}

describe("filling cells", () => {
  it("reads every column as if it were typed", () => {
    const { after, added, rows } = fill(
      small(),
      ["gate"],
      [...LEDGER_COLUMNS],
      [
        [
          "c. 1761",
          "Toll house",
          "Toll",
          "Trade",
          "timber BRIDGE",
          "East bank",
          "toll, money; Toll",
          "",
          "",
          "Post, No 3\nRoll https://a.example/r",
          "https://b.example",
          "Yes",
          "Key",
          "40 %",
          "Ask\nagain",
        ],
        ["1790", "New gate", "", "trade", "", "", "", "", "", "", "", "", "", "", ""],
      ],
    );
    const gate = after.events.get("gate")!;
    expect(gate).toMatchObject({
      title: "Toll house",
      shortTitle: "Toll",
      partOf: "bridge",
      place: "East bank",
      tags: ["toll", "money"],
      emphasis: true,
      sign: "key",
      done: 40,
      note: "Ask\nagain",
    });
    expect(gate.when.readAs).toMatchObject({ kind: "moment", at: { about: true } });
    expect(itemsOf(after, "gate", "source").map((i) => [i.text, i.address])).toEqual([
      ["Post, No 3", ""],
      ["Roll", "https://a.example/r"],
    ]);
    expect(itemsOf(after, "gate", "link").map((i) => i.address)).toEqual(["https://b.example"]);
    // One category, though written in two ways; the row below became an event.
    expect([...after.categories.values()].map((c) => c.name)).toEqual(["Trade"]);
    expect([added, after.events.get(rows[1]!)?.title]).toEqual([1, "New gate"]);
  });

  it.each<[string, LedgerColumn, string, Partial<Filled>, string]>([
    ["a date that is none stays as typed", "when", "31 Feb 1760", { datesNotUnderstood: 1 }, "31 Feb 1760"],
    ["two orders are asked about, not guessed", "when", "03/04/1760", { datesNotUnderstood: 1 }, "03/04/1760"],
    ["a whole that is not there is kept in the note", "partOf", "No such bridge", { noted: 1 }, ""],
    ["a sign that is none is kept in the note", "sign", "dragon", { noted: 1 }, ""],
    ["more than all of it is kept in the note", "done", "140", { noted: 1 }, ""],
    ["what begins with an equals sign stays text", "title", "=SUM(A1:A3)", {}, "=SUM(A1:A3)"],
    ["leading zeros stay", "title", "007", {}, "007"],
    ["what is counted takes nothing", "words", "500", { counted: 1 }, "0"],
    ["right-to-left and combining text stays", "title", "שיטפון e\u0301te\u0301", {}, "שיטפון e\u0301te\u0301"],
  ])("%s", (_, column, text, came, reads) => {
    const { after, ...filled } = fill(small(), ["gate"], [column], [[text]]);
    expect(filled).toMatchObject(came);
    const from = { timeline: after, items: itemsByOwner(after), words: () => 0 };
    expect(cellText(from, after.events.get("gate")!, column)).toBe(reads);
    if (came.noted) expect(after.events.get("gate")!.note).toContain(text);
  });

  it("a given event keeps title and date, and takes the rest", () => {
    const { after, given } = fill(small(), ["given"], ["when", "title", "place"], [["1900", "Mine", "Town"]]);
    expect(given).toBe(2);
    expect(after.events.get("given")).toMatchObject({
      title: "The flood",
      when: readWhen("14 Nov 1872"),
      place: "Town",
    });
  });

  it("rows without a date stand after the row above them", () => {
    const { after } = fill(
      small(),
      [],
      ["when", "title"],
      [
        ["1700", "First"],
        ["", "Then"],
        ["", "And then"],
        ["1850", "Late"],
        ["", "Last"],
      ],
    );
    expect(inOrder(after.events.values()).map((e) => e.title)).toEqual([
      "First",
      "Then",
      "And then",
      "Timber bridge",
      "Toll gate",
      "Late",
      "Last",
      "The flood",
    ]);
  });

  it("a text no column holds fills nothing and says where it is", () => {
    expect(
      run(small(), {
        rows: [],
        columns: ["when", "title"],
        cells: [
          ["1700", "a"],
          ["1800", "x".repeat(1_000_000)],
        ],
      }),
    ).toEqual({
      tooLong: { row: 2, column: "title", length: 1_000_000, most: 300 },
    });
  });

  it("cells beyond the last column are counted", () => {
    expect(fill(small(), ["gate"], ["note"], [["a", "b", "c"]])).toMatchObject({ beyond: 2 });
  });

  const column = fc.constantFrom(...LEDGER_COLUMNS);
  const text = fc.oneof(
    fc.string({ maxLength: 20 }),
    fc.constantFrom(
      "1604",
      "c. 1700",
      "spring 1783",
      "1840s",
      "no date",
      "",
      "yes",
      "bell",
      "Trade",
      "50",
      "a, b",
      "x https://a.example/1\ny",
    ),
  );
  const block = fc.record({
    columns: fc.uniqueArray(column, { minLength: 1, maxLength: 6 }),
    cells: fc.array(fc.array(text, { minLength: 1, maxLength: 6 }), { minLength: 1, maxLength: 5 }),
    from: fc.nat(5),
    seed: fc.nat(40),
  });

  it("any block that is pasted and undone leaves every cell as it was, and done again as it became", () => {
    fc.assert(
      fc.property(block, ({ columns, cells, from, seed }) => {
        const before = seededTimeline(6, seed);
        const ids = inOrder(before.events.values()).map((e) => e.id);
        const filled = run(before, { rows: ids.slice(from), columns, cells });
        if ("tooLong" in filled) return;
        const done = applyAndInvert(before, filled.ops);
        expect(done.skipped).toEqual([]);
        const undone = applyAndInvert(done.timeline, done.inverse);
        const again = apply(undone.timeline, undone.inverse).timeline;
        for (const id of ids) {
          expect(texts(undone.timeline, id)).toEqual(texts(before, id));
          expect(texts(again, id)).toEqual(texts(done.timeline, id));
        }
        expect(inOrder(undone.timeline.events.values()).map((e) => e.id)).toEqual(ids);
        expect(inOrder(again.events.values()).map((e) => e.id)).toEqual(
          inOrder(done.timeline.events.values()).map((e) => e.id),
        );
      }),
      { seed: 14, numRuns: 300 },
    );
  });

  it("what is copied from cells and pasted into them again alters nothing", () => {
    fc.assert(
      fc.property(block, ({ columns, cells, from, seed }) => {
        const begun = seededTimeline(6, seed);
        const ids = inOrder(begun.events.values()).map((e) => e.id);
        const first = run(begun, { rows: ids.slice(from), columns, cells });
        if ("tooLong" in first) return;
        const t = apply(begun, first.ops).timeline;
        const writable = LEDGER_COLUMNS.filter((c) => !COUNTED.has(c));
        const copied = first.rows.map((id) =>
          LEDGER_COLUMNS.flatMap((c, i) => (COUNTED.has(c) ? [] : [texts(t, id)[i]!])),
        );
        expect(run(t, { rows: first.rows, columns: writable, cells: copied })).toMatchObject({ ops: [] });
      }),
      { seed: 15, numRuns: 200 },
    );
  });
});

it.each<[string, string[], string]>([
  ["flood, long night", ["flood", "long night"], ""],
  ["+flood; Flood;  trade ", ["flood", "trade"], ""],
  ["", [], ""],
  [`a, ${"x".repeat(41)}`, ["a"], "x".repeat(41)],
])("tags are read from %j", (typed, tags, rest) => expect(readTags(typed)).toEqual({ tags, rest }));

it.each<[string, string, string]>([
  ["Ambrel Post, No 39", "Ambrel Post, No 39", ""],
  ["Ambrel Post https://a.example/39", "Ambrel Post", "https://a.example/39"],
  ["https://a.example/39", "", "https://a.example/39"],
])("a source is read from %j", (line, text, address) => expect(readSourceLine(line)).toEqual({ text, address }));
