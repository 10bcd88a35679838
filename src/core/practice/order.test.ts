import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readWhen } from "../time/read/read-when";
import { emptyEvent, emptyTimeline, type Timeline } from "../timeline/timeline";
import { type Card, centuryOf, checkPlace, chooseCards, markOrder, placeFor, shuffled } from "./order";

const card = (id: string, from: number, to = from): Card => ({ id, title: id, date: "", from, to });
const chance = (seed: number) => () => {
  seed = (seed * 16_807) % 2_147_483_647;
  return seed / 2_147_483_647;
};
const distinct = (n: number) => Array.from({ length: n }, (_, i) => card(`c${i}`, i * 100));

describe("an order is marked", () => {
  it("a right order is always full marks, also where dates are wide or the same", () => {
    const spans = fc.array(
      fc
        .tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 12 }))
        .map(([a, b]) => ({ from: a, to: a + b })),
      { minLength: 1, maxLength: 14 },
    );
    fc.assert(
      fc.property(spans, (all) => {
        const cards = all.map((s, i) => card(`c${i}`, s.from, s.to)).sort((a, b) => a.from + a.to - b.from - b.to);
        expect(markOrder(cards)).toEqual({ right: cards.length, of: cards.length, share: 1, off: [] });
      }),
      { seed: 3 },
    );
  });
  it("a swap costs more the farther apart the two are, and turned round it is nothing", () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 20 }), (n) => {
        const costs = Array.from({ length: n - 1 }, (_, d) => {
          const cards = distinct(n);
          [cards[0], cards[d + 1]] = [cards[d + 1]!, cards[0]!];
          return 1 - markOrder(cards).share;
        });
        for (let d = 1; d < costs.length; d++) expect(costs[d]).toBeGreaterThan(costs[d - 1]!);
        expect(markOrder(distinct(n).reverse()).share).toBeCloseTo(0, 9);
      }),
      { seed: 5 },
    );
  });
  it("says of each how many places and how long it is off", () => {
    const [a, b, c] = distinct(3) as [Card, Card, Card];
    expect(markOrder([c, a, b])).toEqual({
      right: 0,
      of: 3,
      share: 0,
      off: [
        { id: "c2", places: -2, days: 200 },
        { id: "c0", places: 1, days: 100 },
        { id: "c1", places: 1, days: 100 },
      ],
    });
  });
});

describe("a card is placed among others", () => {
  const placed = [card("a", 0), card("b", 100), card("c", 200)];
  it.each([
    [0, 50, 0, -50],
    [1, 50, 0, 0],
    [2, 50, 0, 50],
    [3, 50, 0, 150],
    [3, 100, 100, 0],
    [1, 90, 20, 0],
    [2, 90, 20, 0],
  ])("at place %i, from day %i for %i days: %i days off", (at, from, long, days) => {
    expect(checkPlace(placed, at, card("x", from, from + long))).toBe(days);
  });
  it("where it belongs it is never off", () => {
    const day = fc.integer({ min: 0, max: 400 });
    fc.assert(
      fc.property(fc.array(day, { maxLength: 12 }), day, (days, x) => {
        const cards = days.sort((a, b) => a - b).map((d, i) => card(`c${i}`, d));
        const own = card("x", x);
        expect(Math.abs(checkPlace(cards, placeFor(cards, own), own))).toBe(0);
      }),
      { seed: 7 },
    );
  });
});

describe("which events are asked", () => {
  const timeline = (lines: [string, string, object?][]): Timeline => ({
    ...emptyTimeline("t"),
    events: new Map(
      lines.map(([typed, title, more], i) => [
        `e${i}`,
        { ...emptyEvent(`e${i}`), title, when: readWhen(typed), ...more },
      ]),
    ),
  });
  const t = timeline([
    ["1604", "Rope ferry"],
    ["1766 - 1880", "School"],
    ["", "Some day"],
    ["1783", ""],
    ["14 Nov 1872", "Bell", { partOf: "e1" }],
    ["1889", "Viaduct", { deleted: true }],
  ]);
  const ids = (chosen: Parameters<typeof chooseCards>[1]) =>
    chooseCards(t, chosen, chance(4))
      .map((c) => c.id)
      .sort();
  it("never one without a date or a title; spans and parts only if wanted; so many", () => {
    expect(ids({ count: 9, parts: false, spans: false })).toEqual(["e0"]);
    expect(ids({ count: 9, parts: true, spans: true })).toEqual(["e0", "e1", "e4"]);
    expect(ids({ count: 2, parts: true, spans: true })).toHaveLength(2);
  });
  it("a year lasts from its first day to its last, so that a day within it stands on either side", () => {
    const [year, day] = chooseCards(
      timeline([
        ["1872", "Year"],
        ["14 Nov 1872", "Day"],
      ]),
      { count: 2, parts: true, spans: true },
      chance(1),
    ).sort((a) => (a.title === "Year" ? -1 : 1));
    expect(year!.to - year!.from).toBeGreaterThan(364);
    expect(markOrder([year!, day!]).share).toBe(1);
    expect(markOrder([day!, year!]).share).toBe(1);
  });
  it.each([
    ["1604", "17th century"],
    ["1600", "16th century"],
    ["31 Dec 1900", "19th century"],
    ["1 Jan 1901", "20th century"],
    ["310 BC", "4th century BC"],
    ["about 1200 BC", "13th century BC"],
    ["66 million years ago", null],
  ])("%s is of the %s", (typed, century) => {
    const [card] = chooseCards(timeline([[typed, "It"]]), { count: 1, parts: true, spans: true }, chance(1));
    expect(centuryOf(card!)).toBe(century);
  });
  it("an order by chance has all of them once", () => {
    const list = Array.from({ length: 30 }, (_, i) => i);
    const other = shuffled(list, chance(9));
    expect(other).not.toEqual(list);
    expect([...other].sort((a, b) => a - b)).toEqual(list);
  });
});
