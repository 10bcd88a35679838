import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { contrast, isDark, leastContrast, mend, mix } from "./colour";
import { LOOK_TABLE } from "./looks";
import { paperOf } from "./style";

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, "0")}`);

describe("contrast", () => {
  it.each([
    // WCAG 2.2's own extremes, and pairs worked out by hand.
    ["#000000", "#ffffff", 21],
    ["#777777", "#ffffff", 4.48],
    ["#767676", "#ffffff", 4.54],
    ["#16323a", "#ffffff", 13.54],
  ])("of %s and %s is %f", (a, b, ratio) => {
    expect(contrast(a, b)).toBeCloseTo(ratio, 1);
    expect(contrast(b, a)).toBeCloseTo(ratio, 1);
  });
});

describe("mixing", () => {
  it("is what is seen where one colour is painted on another", () => {
    expect(mix("#000000", "#ffffff", 0)).toBe("#000000");
    expect(mix("#000000", "#ffffff", 1)).toBe("#FFFFFF");
    expect(mix("#204060", "#406080", 0.5)).toBe("#305070");
  });
});

describe("mending", () => {
  it("leaves what can be told, and makes anything tellable from any one ground", () => {
    fc.assert(
      fc.property(hex, hex, (colour, ground) => {
        const made = mend(colour, { grounds: [ground], least: 4.5 });
        expect(leastContrast(made, [ground])).toBeGreaterThanOrEqual(4.5);
        if (contrast(colour, ground) >= 4.5) expect(made.toLowerCase()).toBe(colour);
      }),
      { seed: 1, numRuns: 500 },
    );
  });

  it("alters no more than it must", () => {
    // A red a little too light for white stays a red.
    const made = mend("#e05a4a", { grounds: ["#ffffff"], least: 4.5 });
    expect(contrast(made, "#ffffff")).toBeLessThan(5);
    const [r, g, b] = [1, 3, 5].map((i) => Number.parseInt(made.slice(i, i + 2), 16)) as [number, number, number];
    expect(r).toBeGreaterThan(g + 60);
    expect(r).toBeGreaterThan(b + 60);
  });

  it("takes a paper in the middle of light and dark to where words can be read", () => {
    fc.assert(
      fc.property(hex, (wanted) => {
        const paper = paperOf(wanted);
        expect(Math.max(contrast(paper, "#000000"), contrast(paper, "#ffffff"))).toBeGreaterThanOrEqual(7);
      }),
      { seed: 2, numRuns: 300 },
    );
    expect(paperOf("#fdf6e3")).toBe("#FDF6E3");
  });
});

describe("the looks of the house", () => {
  it("need no mending: what is in the table is what is seen", () => {
    for (const [name, look] of Object.entries(LOOK_TABLE)) {
      for (const [colour, value] of Object.entries(look.colours))
        expect([name, colour, contrast(value, look.paper) >= 4.5]).toEqual([name, colour, true]);
      expect([name, contrast(look.ink, look.paper) >= 7]).toEqual([name, true]);
      expect([name, contrast(look.quiet, look.paper) >= 4.5]).toEqual([name, true]);
      expect([name, contrast(look.ridgeInk, look.ridge) >= 4.5]).toEqual([name, true]);
    }
    expect(Object.values(LOOK_TABLE).filter((l) => isDark(l.paper))).toHaveLength(1);
  });
});
