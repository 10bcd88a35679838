import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readWhen } from "../time/read/read-when";
import { USUAL_MANNER } from "../time/write-when";
import { seededTimeline } from "../testing/seeded-timeline";
import { byCategory, byTag, byTime } from "./groups";
import { inOrder } from "./order";

const dated = (...typed: string[]) => typed.map((t, i) => ({ id: String(i), when: readWhen(t) }));
const names = (...typed: string[]) => byTime(dated(...typed), USUAL_MANNER).map((g) => `${g.name}: ${g.ids.join(" ")}`);

describe("grouped by time", () => {
  it.each<[string, string[], string[]]>([
    ["decades", ["1841", "1846", "1849", "1852", "1855", "1861", "1869"], ["1840s: 0 1 2", "1850s: 3 4", "1860s: 5 6"]],
    [
      "centuries",
      ["1604", "1631", "1702", "1766", "1783", "1846", "1872", "1889"],
      ["17th century: 0 1", "18th century: 2 3 4", "19th century: 5 6 7"],
    ],
    ["months", ["9 Mar 2025", "22 Mar 2025", "3 Apr 2025", "17 Apr 2025"], ["Mar 2025: 0 1", "Apr 2025: 2 3"]],
    [
      "hours of one day",
      ["14 Nov 1872 21:10", "14 Nov 1872 21:40", "14 Nov 1872 22:10", "14 Nov 1872 22:30"],
      ["14 Nov 1872, 9 pm: 0 1", "14 Nov 1872, 10 pm: 2 3"],
    ],
    ["before Christ", ["310 BC", "305 BC", "120 BC", "101 BC"], ["4th century BC: 0 1", "2nd century BC: 2 3"]],
    ["what has no date last", ["1841", "", "1846"], ["1840s: 0 2", ": 1"]],
    ["a single one", ["1846"], ["1846: 0"]],
    ["nothing", [], []],
  ])("by %s", (_, typed, expected) => {
    expect(names(...typed)).toEqual(expected);
  });

  it("holds every event once, in few groups, in the order of time", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 0, max: 9_999 }), (count, seed) => {
        const events = inOrder(seededTimeline(count, seed).events.values());
        const groups = byTime(events, USUAL_MANNER);
        expect(groups.flatMap((g) => g.ids).sort()).toEqual(events.map((e) => e.id).sort());
        expect(groups.length).toBeLessThanOrEqual(15);
        expect(new Set(groups.map((g) => g.name)).size).toBe(groups.length);
      }),
      { seed: 4, numRuns: 60 },
    );
  });
});

describe("grouped otherwise", () => {
  it("by category in the order of the key, those without or of one that is gone last", () => {
    const events = [
      { id: "1", category: "b" },
      { id: "2", category: null },
      { id: "3", category: "a" },
      { id: "4", category: "gone" },
    ];
    const categories = [
      { id: "a", name: "Trade" },
      { id: "b", name: "Water" },
      { id: "c", name: "Empty" },
    ];
    expect(byCategory(events, categories)).toEqual([
      { name: "Trade", ids: ["3"] },
      { name: "Water", ids: ["1"] },
      { name: "", ids: ["2", "4"] },
    ]);
  });

  it("by tag, whatever its letters' case, an event under each of its own", () => {
    const events = [
      { id: "1", tags: ["river", "Toll"] },
      { id: "2", tags: [] },
      { id: "3", tags: ["toll"] },
    ];
    expect(byTag(events)).toEqual([
      { name: "river", ids: ["1"] },
      { name: "Toll", ids: ["1", "3"] },
      { name: "", ids: ["2"] },
    ]);
  });
});
