import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Deck, findSlide, type Slide } from "./deck";

const slide = (title: string, date = "", parts = 1): Slide => ({ id: title, title, date, parts });
const SLIDES = [
  slide("How the Ambrel was crossed"),
  slide("Rope ferry licensed", "about 1604", 3),
  slide("School on the bridge", "1766 – 1880", 2),
  slide("Été, a dry summer", "14 Aug 1842"),
  slide("Bell rung", "14 Nov 1872 19:30"),
];

describe("a presentation", () => {
  it("shows slide after slide, and part after part where one wants", () => {
    const deck = new Deck(SLIDES);
    expect(deck.back()).toBe(false);
    expect(deck.next()).toBe(true);
    expect(deck.at).toEqual({ slide: 1, seen: 3 });
    deck.reveal(true);
    expect(deck.at).toEqual({ slide: 1, seen: 1 });
    const way = [deck.next(), deck.next(), deck.next()];
    expect(way).toEqual([true, true, true]);
    expect(deck.at).toEqual({ slide: 2, seen: 1 });
    // Back, what was revealed before is still there.
    deck.back();
    expect(deck.at).toEqual({ slide: 1, seen: 3 });
    deck.goTo(99);
    expect(deck.at).toEqual({ slide: 4, seen: 1 });
    expect(deck.next()).toBe(false);
    expect(deck.at).toEqual({ slide: 4, seen: 1 });
  });
  it("any way on and back is within what there is, and as many steps back lead to the beginning", () => {
    const slides = fc.array(
      fc.integer({ min: 0, max: 4 }).map((parts) => slide("s", "", parts)),
      { minLength: 1, maxLength: 9 },
    );
    fc.assert(
      fc.property(slides, fc.boolean(), fc.array(fc.boolean(), { maxLength: 40 }), (all, oneByOne, way) => {
        const deck = new Deck(all);
        deck.reveal(oneByOne);
        for (const on of way) {
          const before = JSON.stringify(deck.at);
          const moved = on ? deck.next() : deck.back();
          expect(JSON.stringify(deck.at) !== before).toBe(moved);
          const { slide: at, seen } = deck.at;
          expect(at >= 0 && at < all.length && seen >= 1 && seen <= Math.max(1, all[at]!.parts)).toBe(true);
        }
        let steps = 0;
        while (deck.back()) steps++;
        expect(deck.at.slide).toBe(0);
        let on = 0;
        while (deck.next()) on++;
        expect(on).toBeGreaterThanOrEqual(steps);
      }),
      { seed: 17 },
    );
  });
});

describe("what is typed to jump", () => {
  it.each([
    ["1604", 1],
    ["1870", 4],
    ["1900", 2],
    ["1766", 2],
    ["1880", 2],
    ["school", 2],
    ["ETE", 3],
    ["the bridge", 2],
    ["bell 1872", 4],
    ["19", 4],
    ["nothing of it", null],
    ["", null],
  ])("“%s” leads to %s", (typed, at) => {
    expect(findSlide(SLIDES, typed, 0)).toBe(at);
  });
  it("the same words again lead on to the next one that has them", () => {
    const twice = [slide("Flood"), slide("Ferry"), slide("Flood again")];
    expect(findSlide(twice, "flood", 0)).toBe(2);
    expect(findSlide(twice, "flood", 2)).toBe(0);
  });
});
