import { describe, expect, it } from "vitest";
import { spreadOf } from "./figures";

describe("the spread of marks", () => {
  it("puts each mark into one bar, the full mark into the last", () => {
    const s = spreadOf([0, 1.5, 2, 19.5, 20], 20);
    expect(s.bins).toHaveLength(10);
    expect(s.bins.filter((b) => b.count > 0)).toEqual([
      { from: 0, to: 2, count: 2 },
      { from: 2, to: 4, count: 1 },
      { from: 18, to: 20, count: 2 },
    ]);
    expect([s.count, s.mean, s.median, s.least, s.most]).toEqual([5, 8.6, 2, 0, 20]);
  });

  it.each([
    [1, 1],
    [7, 7],
    [15, 8],
    [30, 6],
    [100, 10],
    [1000, 10],
  ])("of %d points has %d bars that reach from nothing to all", (total, count) => {
    const { bins } = spreadOf([], total);
    expect(bins).toHaveLength(count);
    expect([bins[0]!.from, bins.at(-1)!.to]).toEqual([0, total]);
    for (const [i, b] of bins.slice(1).entries()) expect(b.from).toBe(bins[i]!.to);
  });

  it("of none says nothing, and of an even number the median lies between", () => {
    expect(spreadOf([], 20)).toMatchObject({ count: 0, mean: null, median: null, least: null, most: null });
    expect(spreadOf([3, 8], 20).median).toBe(5.5);
    for (let n = 1; n < 40; n++) {
      const points = Array.from({ length: n }, (_, i) => (i * 7) % 21);
      expect(spreadOf(points, 20).bins.reduce((s, b) => s + b.count, 0)).toBe(n);
    }
  });
});
