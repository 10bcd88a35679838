import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { seededTimeline, typedTimeline } from "../testing/seeded-timeline";
import { compareInstants, type Instant } from "../time/when";
import type { Timeline, TimelineEvent } from "../timeline/timeline";
import { axisFrom, axisNumbers, makeAxis, positions, PULL, SHARE } from "./axis";
import { chartData, shownEvents } from "./chart-data";
import { chartOf } from "./chart";
import { answerTo, buffersOf, laidFrom, taskOf } from "./hand-over";
import { groundOf, layoutChart } from "./layout";
import { minus, over, plus, sum, twoProduct, twoSum } from "./pair";
import { rankX } from "./shown";
import { largestScale, readView, viewText, wholeView, zoomed } from "./view";

const big = (n: number) => BigInt(n);
const whole = fc.integer({ min: -(2 ** 50), max: 2 ** 50 });

describe("numbers of two parts", () => {
  it("add and multiply whole numbers without loss", () => {
    fc.assert(
      fc.property(whole, whole, (a, b) => {
        const s = twoSum(a, b);
        expect(big(s.hi) + big(s.lo)).toBe(big(a) + big(b));
        const p = twoProduct(a, b);
        expect(big(p.hi) + big(p.lo)).toBe(big(a) * big(b));
      }),
      { seed: 1, numRuns: 500 },
    );
  });

  it("divide so that multiplying gives back the number to 30 digits", () => {
    fc.assert(
      fc.property(whole, fc.integer({ min: 1, max: 2 ** 40 }), (a, b) => {
        const q = over({ hi: a, lo: 0 }, b);
        const back = sum(twoProduct(q.hi, b), { hi: q.lo * b, lo: 0 });
        expect(Math.abs(minus(back, { hi: a, lo: 0 }))).toBeLessThan(Math.abs(a) * 1e-28 + 1e-28);
        expect(minus(plus(q, 1), q)).toBeCloseTo(1, 12);
      }),
      { seed: 2, numRuns: 300 },
    );
  });
});

const axisOf = (t: Timeline) => {
  const data = chartData(t, shownEvents(t));
  return { data, axis: makeAxis(t, data) };
};
const instants = (from: Instant, to: Instant) =>
  fc
    .tuple(fc.integer({ min: 0, max: 1_000_000 }), fc.integer({ min: 0, max: 86_399 }))
    .map(([part, second]): Instant => ({ day: from.day + Math.floor(((to.day - from.day - 1) * part) / 1e6), second }))
    .filter((i) => compareInstants(from, i) <= 0);

describe("an axis", () => {
  it.each(["true", "balanced"] as const)("of the %s scale grows with time, and time is found again", (scale) => {
    for (const kind of ["spread", "busy", "deep", "mixed"] as const) {
      const { axis } = axisOf(seededTimeline(200, 4, kind, scale));
      const at = instants(axis.from!, axis.to!);
      fc.assert(
        fc.property(at, at, (a, b) => {
          const [ua, ub] = [axis.at(a), axis.at(b)];
          expect(Math.sign(minus(ub, ua))).toBe(Math.sign(compareInstants(b, a)));
          const back = axis.timeAt(ua)!;
          expect(Math.abs((back.day - a.day) * 86_400 + back.second - a.second)).toBeLessThan(0.5);
        }),
        { seed: 3, numRuns: 150 },
      );
    }
  });

  it("tells two seconds at the beginning of the universe apart, on the true and the balanced scale", () => {
    for (const scale of ["true", "balanced"] as const) {
      const t = typedTimeline([["2026", "Today"]], scale);
      const day = -5_040_000_000_000;
      const early = [0, 1].map(
        (second): TimelineEvent => ({
          ...[...t.events.values()][0]!,
          id: `s${second}`,
          when: {
            ...[...t.events.values()][0]!.when,
            readAs: {
              kind: "moment" as const,
              at: {
                from: { day, second: 100 + second },
                to: { day, second: 101 + second },
                precision: "second" as const,
                about: false,
                uncertain: false,
              },
            },
          },
        }),
      );
      const chart = chartOf(
        { ...t, events: new Map([...t.events, ...early.map((e) => [e.id, e] as const)]) },
        { width: 1_000, height: 400 },
      );
      const g = groundOf(chart.laid.axis, chart.laid.layout);
      let v = wholeView(g);
      while (v.scale < largestScale(g)) {
        const next = zoomed(g, v, rankX(chart.laid, g, v, 0), 2);
        const apart = rankX(chart.laid, g, next, 1) - rankX(chart.laid, g, next, 0);
        expect(apart).toBeGreaterThan(0);
        v = next;
        if (apart > 90) break;
      }
      expect(rankX(chart.laid, g, v, 1) - rankX(chart.laid, g, v, 0)).toBeGreaterThan(50);
      expect(chart.laid.layout.byApex).toHaveLength(3);
    }
  });

  it("of the balanced scale follows its formula: never narrower than a tenth, the longer never narrower", () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 2_000 }), { minLength: 3, maxLength: 40 }), (years) => {
        const { axis } = axisOf(typedTimeline(years.map((y) => [`AD ${y}`, "x"])));
        const { u, rate } = axis.knots!;
        const gaps = [...rate].map((r, k) => (u[k + 1]! - u[k]!) / r);
        const total = gaps.reduce((a, b) => a + b, 0);
        const all = gaps.reduce((a, g) => a + g ** PULL, 0);
        for (const [k, g] of gaps.entries()) {
          const room = u[k + 1]! - u[k]!;
          expect(room).toBeCloseTo((1 - SHARE) * (g / total) + SHARE * (g ** PULL / all), 9);
          expect(room).toBeGreaterThanOrEqual((1 - SHARE) * (g / total) - 1e-12);
          for (const [j, h] of gaps.entries())
            if (h > g) {
              const other = u[j + 1]! - u[j]!;
              expect(other).toBeGreaterThanOrEqual(room - 1e-9);
              expect(other / room).toBeLessThanOrEqual(h / g + 1e-6);
            }
        }
      }),
      { seed: 5, numRuns: 60 },
    );
  });

  it("taken apart and put together again is the same, and a layout handed over by a worker too", () => {
    for (const scale of ["true", "balanced", "even"] as const) {
      const t = seededTimeline(150, 8, "mixed", scale);
      const { data, axis } = axisOf(t);
      const again = axisFrom(structuredClone(axisNumbers(axis)), data);
      expect(positions(data, again)).toEqual(positions(data, axis));
      const frame = { width: 900, height: 420 };
      const answer = answerTo(structuredClone(taskOf(t, data, frame)));
      const buffers = buffersOf(answer);
      expect(buffers.length).toBeGreaterThan(12);
      const passed = structuredClone(answer, { transfer: buffers });
      expect(laidFrom(passed, data).layout).toEqual(layoutChart(t, data, frame).layout);
    }
  });
});

describe("a view in words", () => {
  it("is read back as what it was, within a px", () => {
    for (const scale of ["true", "balanced", "even"] as const)
      for (const kind of ["spread", "busy"] as const) {
        const chart = chartOf(seededTimeline(300, 2, kind, scale), { width: 1_000, height: 400 });
        const g = groundOf(chart.laid.axis, chart.laid.layout);
        for (const factor of [1, 3, 20, 60]) {
          const v = zoomed(g, wholeView(g), 620, factor);
          const back = readView(g, viewText(g, v));
          expect(Math.abs(back.scale / v.scale - 1)).toBeLessThan(2e-3);
          expect(Math.abs(minus(back.u0, v.u0) * v.scale)).toBeLessThan(1);
        }
      }
  });

  it.each(["", "nonsense", "1900..1800", "..1900", "1..2..3", "1850..", "<script>", "1e999..2e999"])(
    "%j shows the whole or a part, never nothing",
    (text) => {
      for (const scale of ["true", "balanced", "even"] as const) {
        const chart = chartOf(seededTimeline(80, 2, "spread", scale), { width: 1_000, height: 400 });
        const g = groundOf(chart.laid.axis, chart.laid.layout);
        const v = readView(g, text);
        expect(Number.isFinite(v.scale) && v.scale > 0 && Number.isFinite(v.u0.hi)).toBe(true);
        if (text !== "1850..") expect(v).toEqual(wholeView(g));
      }
    },
  );
});
