import { describe, expect, it } from "vitest";
import { agreementOf, drawReviews, type Reader } from "./peers";

const readers = (groups: number, each: number): Reader[] =>
  Array.from({ length: groups * each }, (_, i) => ({ id: `r${i}`, group: `w${i % groups}` }));
const works = (n: number) => Array.from({ length: n }, (_, i) => `w${i}`);

describe("who reads whom", () => {
  it("each reads as many as wanted, none of their own group, none twice, and each work is read about equally often", () => {
    for (const [groups, each, count] of [
      [10, 3, 2],
      [30, 1, 3],
      [5, 2, 4],
      [3, 4, 2],
      [8, 1, 7],
    ] as const)
      for (let seed = 0; seed < 30; seed++) {
        const all = readers(groups, each);
        const drawn = drawReviews(all, works(groups), count, seed);
        expect(drawn).toHaveLength(all.length * count);
        expect(new Set(drawn.map((d) => `${d.reader} ${d.work}`)).size).toBe(drawn.length);
        for (const d of drawn) expect(all.find((r) => r.id === d.reader)!.group).not.toBe(d.work);
        const times = works(groups).map((w) => drawn.filter((d) => d.work === w).length);
        expect(Math.max(...times) - Math.min(...times)).toBeLessThanOrEqual(Math.max(2, each));
      }
  });

  it("with fewer others than wanted each reads all of them; alone nobody reads", () => {
    expect(drawReviews(readers(2, 1), works(2), 5, 1)).toHaveLength(2);
    expect(drawReviews(readers(1, 3), works(1), 2, 1)).toEqual([]);
    expect(drawReviews([], [], 2, 1)).toEqual([]);
  });

  it("is the same for the same seed", () => {
    const one = drawReviews(readers(10, 3), works(10), 2, 5);
    expect(drawReviews(readers(10, 3), works(10), 2, 5)).toEqual(one);
    expect(drawReviews(readers(10, 3), works(10), 2, 6)).not.toEqual(one);
  });
});

it.each([
  [[], null],
  [[12], null],
  [[12, 14], { count: 2, mean: 13, least: 12, most: 14, how: "close" }],
  [[12, 16, 13], { count: 3, mean: 13.5, least: 12, most: 16, how: "some" }],
  [[5, 16], { count: 2, mean: 10.5, least: 5, most: 16, how: "apart" }],
])("%j of 20 agree as %j", (points, wanted) => expect(agreementOf(points, 20)).toEqual(wanted));
