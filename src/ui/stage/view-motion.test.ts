import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { type Ground, isWhole, viewText, wholeView } from "@/core/chart/axis/view";
import { chartOf } from "@/core/chart/frame/chart";
import { groundOf } from "@/core/chart/frame/layout";
import { seededTimeline } from "@/core/testing/seeded-timeline";
import { ViewMotion } from "./view-motion";

let ground: Ground | null;
let painted: number;
let rested: [text: string, whole: boolean][];
let reduced: boolean;
let motion: ViewMotion;

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal("matchMedia", () => ({ matches: reduced }));
  vi.stubGlobal("requestAnimationFrame", (run: () => void) => setTimeout(run, 16));
  vi.stubGlobal("cancelAnimationFrame", (n: number) => clearTimeout(n));
  const { laid } = chartOf(seededTimeline(40, 3), { width: 1_000, height: 500 });
  ground = groundOf(laid.axis, laid.layout);
  [painted, rested, reduced] = [0, [], false];
  motion = new ViewMotion({
    ground: () => ground,
    paint: () => painted++,
    rested: (text, whole) => rested.push([text, whole]),
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** All of it, at rest. */
const whole = () => {
  motion.now(wholeView(ground!));
  motion.rest();
  rested = [];
};

describe("what of the ridge is seen", () => {
  it("is at rest a while after it moved last, and is told once, as text", async () => {
    whole();
    for (let i = 0; i < 5; i++) {
      motion.zoomAt(500, 1.3);
      await vi.advanceTimersByTimeAsync(100);
    }
    expect([motion.moving, rested]).toEqual([true, []]);
    await vi.advanceTimersByTimeAsync(300);
    expect([motion.moving, motion.isWhole]).toEqual([false, false]);
    expect(rested).toEqual([[viewText(ground!, motion.view!), false]]);
    expect(painted).toBeGreaterThan(6);
  });

  it("goes to another view in a movement that ends there, each step between the two", async () => {
    whole();
    const from = motion.view!.scale;
    motion.zoomTo(500, 4);
    const scales: number[] = [];
    for (let i = 0; i < 40; i++) {
      scales.push(motion.view!.scale);
      await vi.advanceTimersByTimeAsync(16);
    }
    expect(scales).toEqual([...scales].sort((a, b) => a - b));
    expect(new Set(scales).size).toBeGreaterThan(5);
    expect(motion.view!.scale / from).toBeCloseTo(4, 5);
    await vi.advanceTimersByTimeAsync(400);
    expect(rested).toHaveLength(1);
  });

  it("goes there at once where somebody wants nothing to move", () => {
    whole();
    reduced = true;
    const from = motion.view!.scale;
    motion.zoomTo(500, 4);
    expect([motion.view!.scale / from, motion.moving, rested.length]).toEqual([expect.closeTo(4, 5), false, 1]);
  });

  it("stops where it is when one takes hold of it", async () => {
    whole();
    motion.zoomTo(500, 4);
    await vi.advanceTimersByTimeAsync(64);
    motion.stop();
    const at = motion.view!.scale;
    await vi.advanceTimersByTimeAsync(1_000);
    expect(motion.view!.scale).toBe(at);
    // A movement of one's own ends one that is under way.
    motion.zoomTo(500, 4);
    motion.pan(10);
    const there = motion.view!.scale;
    await vi.advanceTimersByTimeAsync(1_000);
    expect(motion.view!.scale).toBe(there);
  });

  it("keeps what stands under the pointer where it is, and never leaves the ridge", () => {
    whole();
    const at = (x: number) => motion.view!.u0.hi + motion.view!.u0.lo + (x - ground!.pad) / motion.view!.scale;
    motion.zoomAt(640, 3);
    const under = at(640);
    motion.zoomAt(640, 2);
    expect(at(640)).toBeCloseTo(under, 6);
    motion.pan(1e9);
    expect(at(ground!.size - ground!.pad)).toBeLessThanOrEqual(ground!.axis.length + 1e-6);
    motion.pan(-1e9);
    expect(at(ground!.pad)).toBeGreaterThanOrEqual(-1e-6);
    motion.zoomAt(640, 1e-9);
    expect(isWhole(ground!, motion.view!)).toBe(true);
    // The whole has nothing at its sides.
    const before = painted;
    motion.pan(100);
    expect(painted).toBe(before);
  });

  it("is looked at by a share of the whole, as its beginning or its middle", () => {
    whole();
    motion.zoomAt(500, 8);
    const shown = (ground!.size - 2 * ground!.pad) / motion.view!.scale;
    const begin = () => motion.view!.u0.hi + motion.view!.u0.lo;
    motion.lookAt(0.5, true);
    expect(begin() + shown / 2).toBeCloseTo(0.5 * ground!.axis.length, 6);
    motion.lookAt(0.25, false);
    expect(begin()).toBeCloseTo(0.25 * ground!.axis.length, 6);
  });

  it("is nothing while there is no chart: nothing fails, nothing is told", async () => {
    ground = null;
    expect(motion.isWhole).toBe(true);
    motion.zoomAt(1, 2);
    motion.zoomTo(1, 2);
    motion.pan(5);
    motion.lookAt(0.5, true);
    motion.whole();
    motion.rest();
    motion.end();
    await vi.advanceTimersByTimeAsync(1_000);
    expect(rested).toEqual([]);
  });
});
