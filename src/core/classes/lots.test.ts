import { describe, expect, it } from "vitest";
import { drawLots, type Lots } from "./lots";

const people = (n: number) => Array.from({ length: n }, (_, i) => `p${i}`);
const lots = (n: number, size: number, more: Partial<Lots> = {}): Lots => ({
  people: people(n),
  size,
  apart: [],
  together: [],
  ...more,
});
const drawn = (l: Lots, seed: number) => {
  const made = drawLots(l, seed);
  if (!Array.isArray(made)) throw new Error(made.code);
  return made;
};

describe("groups by lot", () => {
  it("hold everybody once, as equal as can be, for any number and size", () => {
    for (let n = 1; n <= 31; n++)
      for (const size of [1, 2, 3, 4, 7]) {
        const groups = drawn(lots(n, size), n * 31 + size);
        expect(groups.flat().sort()).toEqual(people(n).sort());
        expect(groups).toHaveLength(Math.ceil(n / size));
        const sizes = groups.map((g) => g.length);
        expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1);
      }
  });

  it("are the same for the same seed and others for another", () => {
    expect(drawn(lots(28, 3), 7)).toEqual(drawn(lots(28, 3), 7));
    expect(drawn(lots(28, 3), 7)).not.toEqual(drawn(lots(28, 3), 8));
  });

  it("keep apart and together whom they should, whatever the lot", () => {
    const apart = [
      ["p0", "p1"],
      ["p0", "p2"],
      ["p1", "p2"],
      ["p5", "p6"],
    ] as const;
    const together = [
      ["p0", "p9"],
      ["p10", "p11"],
      ["p11", "p12"],
    ] as const;
    for (let seed = 0; seed < 200; seed++) {
      const groups = drawn(lots(24, 3, { apart, together }), seed);
      const of = (p: string) => groups.findIndex((g) => g.includes(p));
      for (const [a, b] of apart) expect(of(a)).not.toBe(of(b));
      for (const [a, b] of together) expect(of(a)).toBe(of(b));
      expect(groups.every((g) => g.length <= 3)).toBe(true);
    }
  });

  it("put a person with each of the others equally often, as lots should", () => {
    const met = new Map<string, number>();
    for (let seed = 0; seed < 3_000; seed++) {
      const own = drawn(lots(9, 3), seed).find((g) => g.includes("p0"))!;
      for (const p of own) if (p !== "p0") met.set(p, (met.get(p) ?? 0) + 1);
    }
    // 3000 draws, two of eight others each time: 750 are expected, with a deviation of about 24.
    for (const n of met.values()) expect(Math.abs(n - 750)).toBeLessThan(150);
    expect(met.size).toBe(8);
  });

  it("say what cannot be", () => {
    expect(drawLots(lots(6, 2, { apart: [["p0", "p1"]], together: [["p0", "p1"]] }), 1)).toEqual({
      code: "both",
      people: ["p0", "p1"],
    });
    const three = [
      ["p0", "p1"],
      ["p1", "p2"],
    ] as const;
    expect(drawLots(lots(6, 2, { together: three }), 1)).toMatchObject({ code: "too_many_together" });
    const all = people(4).flatMap((a, i) =>
      people(4)
        .slice(i + 1)
        .map((b) => [a, b] as const),
    );
    expect(drawLots(lots(4, 2, { apart: all }), 1)).toEqual({ code: "none_found" });
    expect(drawLots(lots(0, 3), 1)).toEqual([]);
    // Pairs of people who are not there do not matter.
    expect(drawn(lots(2, 2, { apart: [["p0", "nobody"]] }), 1)).toHaveLength(1);
  });
});
