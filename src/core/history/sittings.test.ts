import fc from "fast-check";
import { expect, it } from "vitest";
import { BREAK_MS, type ChangeMark, type Deed, sittingsOf, type StepMark } from "./sittings";

const MINUTE = 60_000;
const change = (
  seq: number,
  minute: number,
  author: string,
  ...marks: [StepMark["kind"], string, string?][]
): ChangeMark => ({
  seq,
  at: minute * MINUTE,
  author,
  marks: marks.map(([kind, id, field = ""]) => ({ kind, id, field })),
  steps: marks.length,
});

it("a sitting ends with a break of half an hour, for each person by themselves", () => {
  const found = sittingsOf([
    change(1, 0, "nia", ["add_event", "a"]),
    change(2, 10, "obi", ["set_event", "a", "when"]),
    change(3, 22, "nia", ["describe", "a"]),
    change(4, 23, "nia", ["describe", "a"]),
    change(5, 55, "nia", ["add_event", "b"]),
  ]);
  expect(found).toEqual([
    { author: "nia", from: 55 * MINUTE, to: 55 * MINUTE, first: 5, last: 5, changes: 1, deeds: { eventsAdded: 1 } },
    {
      author: "nia",
      from: 0,
      to: 23 * MINUTE,
      first: 1,
      last: 4,
      changes: 3,
      deeds: { eventsAdded: 1, descriptionsWritten: 1 },
    },
    { author: "obi", from: 10 * MINUTE, to: 10 * MINUTE, first: 2, last: 2, changes: 1, deeds: { datesSet: 1 } },
  ]);
});

it.each<[string, ChangeMark[], Partial<Record<Deed, number>>]>([
  [
    "what is written in a new event goes with it",
    [change(1, 0, "n", ["add_event", "a"], ["set_event", "a", "title"], ["set_event", "b", "title"])],
    { eventsAdded: 1, titlesWritten: 1 },
  ],
  [
    "one thing touched often counts once",
    [change(1, 0, "n", ["set_event", "a", "when"]), change(2, 1, "n", ["set_event", "a", "when"])],
    { datesSet: 1 },
  ],
  [
    "entries count by their list",
    [change(1, 0, "n", ["add_item", "p"], ["set_item", "s", "text"])],
    { mediaAltered: 1, sourcesAltered: 1 },
  ],
  [
    "the introduction is no description",
    [change(1, 0, "n", ["describe", "introduction"], ["set_timeline", "", "title"])],
    { introductionWritten: 1, settingsAltered: 1 },
  ],
  [
    "of very many steps the first say what the others are",
    [{ ...change(1, 0, "n", ["add_event", "a"], ["add_event", "b"]), steps: 5_000 }],
    { eventsAdded: 5_000 },
  ],
])("%s", (_, changes, deeds) => {
  expect(sittingsOf(changes, (id) => (id === "p" ? "media" : "source"))[0]!.deeds).toEqual(deeds);
});

it("every change is in one sitting, and no break within one is too long", () => {
  const any = fc.array(fc.record({ minute: fc.nat(600), author: fc.constantFrom("a", "b") }), { maxLength: 40 });
  fc.assert(
    fc.property(any, (list) => {
      const changes = list
        .sort((x, y) => x.minute - y.minute)
        .map((c, i) => change(i + 1, c.minute, c.author, ["set_event", "e", "title"]));
      const found = sittingsOf(changes);
      expect(found.reduce((sum, s) => sum + s.changes, 0)).toBe(changes.length);
      for (const s of found) {
        const own = changes.filter((c) => c.author === s.author && c.seq >= s.first && c.seq <= s.last);
        expect(own).toHaveLength(s.changes);
        for (let i = 1; i < own.length; i++) expect(own[i]!.at - own[i - 1]!.at).toBeLessThan(BREAK_MS);
      }
    }),
    { seed: 3, numRuns: 300 },
  );
});
