import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { seededTimeline, typedTimeline } from "../testing/seeded-timeline";
import { markDate, reachOf } from "./dates";
import { chooseCards } from "./order";
import { offSpan, withinQuestions } from "./within";

const chance = (seed: number) => () => {
  seed = (seed * 16_807) % 2_147_483_647;
  return seed / 2_147_483_647;
};
const t = typedTimeline([
  ["1604", "Rope ferry"],
  ["14 Nov 1872", "Long night"],
  ["1840s", "Steam mill"],
  ["about 1702", "Toll"],
]);
const cards = chooseCards(t, { count: 9, parts: true, spans: true }, chance(3));
const card = (title: string) => cards.find((c) => c.title === title)!;
const reach = reachOf(cards);

describe("a date that was written", () => {
  it.each([
    ["Rope ferry", "1604", "right", 0],
    ["Rope ferry", "14 May 1604", "right", 0],
    ["Rope ferry", "17th century", "broad", 0],
    ["Rope ferry", "1600s", "right", 0],
    ["Long night", "1872", "right", 0],
    ["Long night", "14 Nov 1872", "right", 0],
    ["Long night", "13 Nov 1872", "off", 0],
    ["Steam mill", "1845", "right", 0],
    ["Steam mill", "1840s", "right", 0],
    ["Steam mill", "1850", "off", 0],
    ["Toll", "1703", "right", 0],
    ["Rope ferry", "1614", "off", 3_287],
    ["Rope ferry", "1594", "off", -3_287],
    ["Rope ferry", "some day", "unread", 0],
    ["Rope ferry", "", "unread", 0],
  ] as const)("of %s as %s is %s", (title, typed, how, days) => {
    const mark = markDate(card(title), typed, t, reach);
    // "1600s" is a decade here.
    const expected = typed === "1600s" ? "broad" : how;
    expect(mark.how).toBe(expected);
    if (Math.abs(days) > 1) expect(Math.abs(mark.days - days)).toBeLessThanOrEqual(1);
  });

  it("counts less the farther it is off, and never as much as what is broad", () => {
    const shares = Array.from({ length: 30 }, (_, i) => markDate(card("Rope ferry"), String(1606 + 12 * i), t, reach));
    for (const [i, m] of shares.entries()) {
      expect(m.how).toBe("off");
      expect(m.share).toBeLessThan(0.5);
      expect(m.share).toBeGreaterThanOrEqual(0);
      if (i > 0) expect(m.share).toBeLessThanOrEqual(shares[i - 1]!.share);
    }
  });

  it.each([
    "1846",
    "c. 1604",
    "14 Nov 1872",
    "14 Nov 1872 22:10",
    "310 BC",
    "about 1702",
    "spring 1783",
    "66 million years ago",
    "18th century",
    "1840s",
    "between 1640 and 1702",
    "1631 - 1702",
    "1702?",
  ])("as the timeline itself has it is always right: %s", (typed) => {
    const own = typedTimeline([[typed, "It"]]);
    const [asked] = chooseCards(own, { count: 1, parts: true, spans: true }, chance(1));
    expect(markDate(asked!, typed, own, 1).how).toBe("right");
  });
});

describe("which of four fell within a span", () => {
  it("has one right answer, three that surely are not, and asks no span twice", () => {
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 80 }), fc.integer({ min: 1, max: 9_999 }), (count, seed) => {
        const questions = withinQuestions(seededTimeline(count, seed), 8, chance(seed));
        for (const q of questions) {
          expect(q.cards).toHaveLength(4);
          expect(new Set(q.cards.map((c) => c.id)).size).toBe(4);
          expect(q.cards.filter((c) => offSpan(q, c) === 0)).toEqual([q.right]);
        }
        const spans = questions.map((q) => `${q.span.title} ${q.span.date}`);
        expect(new Set(spans).size).toBe(spans.length);
      }),
      { seed: 7, numRuns: 60 },
    );
  });

  it("says how far outside an event lies; centuries stand in where there are no spans", () => {
    const [q] = withinQuestions(
      typedTimeline([
        ["1604", "a"],
        ["1631", "b"],
        ["1640", "c"],
        ["1745", "d"],
      ]),
      9,
      chance(5),
    ).filter((x) => x.right.title === "d");
    expect(q!.span).toMatchObject({ title: "", date: "18th century" });
    const off = q!.cards.map((c) => Math.round(offSpan(q!, c) / 365.2425));
    expect(off.sort((a, b) => a - b)).toEqual([-96, -69, -60, 0]);
    expect(withinQuestions(typedTimeline([["1604", "a"]]), 9, chance(5))).toEqual([]);
  });
});
