import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Tie } from "../timeline/fields";
import { fitMap, pointOf, spotOf } from "./own-map";

const percent = fc.integer({ min: 0, max: 1_000 }).map((n) => n / 10);
const near = (a: number, b: number, by = 1e-6) => Math.abs(a - b) <= by;

describe("a map of one's own tied to the earth", () => {
  it("two points: each lies where it was tied, and what is between them lies between", () => {
    // North is up, one percent of the width is a hundredth of a degree.
    const ties: Tie[] = [
      { x: 0, y: 50, lat: 0, lon: 10 },
      { x: 100, y: 50, lat: 0, lon: 11 },
    ];
    const fit = fitMap(ties, 2)!;
    expect(fit.toWorld({ x: 50, y: 50 })).toEqual({ lat: expect.closeTo(0, 9), lon: expect.closeTo(10.5, 9) });
    // The map is twice as wide as high: its upper edge lies a quarter of a degree north.
    expect(fit.toWorld({ x: 50, y: 0 }).lat).toBeCloseTo(0.25, 4);
    expect(fit.toMap({ lat: 0, lon: 10.25 })).toEqual({ x: expect.closeTo(25, 9), y: expect.closeTo(50, 9) });
  });
  it("a map with south on top is turned", () => {
    const fit = fitMap(
      [
        { x: 100, y: 50, lat: 0, lon: 10 },
        { x: 0, y: 50, lat: 0, lon: 11 },
      ],
      1,
    )!;
    expect(fit.toWorld({ x: 50, y: 0 }).lat).toBeLessThan(-0.4);
  });
  it("there and back is the same place, and every tie lies where it was tied", () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            x: percent,
            y: percent,
            lat: fc.integer({ min: -70, max: 70 }),
            lon: fc.integer({ min: -180, max: 180 }),
          }),
          { minLength: 2, maxLength: 3 },
        ),
        fc.integer({ min: 3, max: 30 }).map((n) => n / 10),
        percent,
        percent,
        (ties, proportion, x, y) => {
          // All of them within a few degrees of the first: a map of a region.
          const region = ties.map((t, i) =>
            i === 0 ? t : { ...t, lat: ties[0]!.lat + t.lat / 70, lon: ties[0]!.lon + t.lon / 90 },
          );
          const fit = fitMap(region, proportion);
          fc.pre(fit !== null);
          for (const t of region) {
            const at = fit!.toMap(t);
            expect(near(at.x, t.x, 1e-3) && near(at.y, t.y, 1e-3)).toBe(true);
          }
          const world = fit!.toWorld({ x, y });
          fc.pre(Math.abs(world.lat) < 80);
          const again = fit!.toMap(world);
          const size = Math.max(1, Math.abs(x), Math.abs(y));
          expect(near(again.x, x, 1e-3 * size) && near(again.y, y, 1e-3 * size)).toBe(true);
        },
      ),
      { seed: 16, numRuns: 400 },
    );
  });
  it("goes on over the 180th meridian", () => {
    const fit = fitMap(
      [
        { x: 0, y: 50, lat: 0, lon: 179 },
        { x: 100, y: 50, lat: 0, lon: -179 },
      ],
      1,
    )!;
    expect(Math.abs(fit.toWorld({ x: 50, y: 50 }).lon)).toBeCloseTo(180, 6);
    expect(fit.toMap({ lat: 0, lon: -179.5 }).x).toBeCloseTo(75, 6);
  });
  it.each([
    ["none", []],
    ["one", [{ x: 1, y: 1, lat: 1, lon: 1 }]],
    [
      "two on one spot",
      [
        { x: 1, y: 1, lat: 1, lon: 1 },
        { x: 1, y: 1, lat: 2, lon: 2 },
      ],
    ],
    [
      "two at one place",
      [
        { x: 1, y: 1, lat: 1, lon: 1 },
        { x: 9, y: 1, lat: 1, lon: 1 },
      ],
    ],
    [
      "three in a line",
      [
        { x: 0, y: 0, lat: 1, lon: 1 },
        { x: 10, y: 10, lat: 2, lon: 2 },
        { x: 20, y: 20, lat: 3, lon: 4 },
      ],
    ],
  ])("%s do not tell how it lies", (_, ties) => {
    expect(fitMap(ties, 1)).toBe(null);
  });
  it("an event stands on both where either is said, and on one's own map only within its edges", () => {
    const fit = fitMap(
      [
        { x: 0, y: 50, lat: 0, lon: 10 },
        { x: 100, y: 50, lat: 0, lon: 11 },
      ],
      1,
    );
    expect(spotOf({ onMap: null, point: { lat: 0, lon: 10.5 } }, fit)!.x).toBeCloseTo(50, 9);
    expect(spotOf({ onMap: null, point: { lat: 0, lon: 12 } }, fit)).toBe(null);
    expect(spotOf({ onMap: { x: 7, y: 8 }, point: { lat: 0, lon: 10.5 } }, fit)).toEqual({ x: 7, y: 8 });
    expect(pointOf({ onMap: { x: 50, y: 50 }, point: null }, fit)!.lon).toBeCloseTo(10.5, 9);
    expect(pointOf({ onMap: { x: 50, y: 50 }, point: null }, null)).toBe(null);
    expect(spotOf({ onMap: null, point: { lat: 0, lon: 10.5 } }, null)).toBe(null);
  });
});
