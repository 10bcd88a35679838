import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { seededTimeline, typedTimeline } from "../../testing/seeded-timeline";
import { compareInstants } from "../../time/when";
import type { Instant } from "../../time/instant";
import type { Timeline, TimelineEvent } from "../../timeline/timeline";
import { axisFrom, axisNumbers, makeAxis, PULL, SHARE } from "./axis";
import { positions } from "./positions";
import { chartData, shownEvents } from "../data/chart-data";
import { chartOf } from "../frame/chart";
import { answerTo, buffersOf, laidFrom, taskOf } from "../frame/hand-over";
import { groundOf, layoutChart } from "../frame/layout";
import { minus, over, plus, sum, twoProduct, twoSum } from "./pair";
import { rankX } from "../frame/shown";
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
        // Without the outer halves of the first and the last year, which take the scale beside them.
        const inner = [...rate.keys()].slice(1, -1);
        const gaps = inner.map((k) => (u[k + 1]! - u[k]!) / rate[k]!);
        const taken = u[inner.at(-1)! + 1]! - u[1]!;
        const total = gaps.reduce((a, b) => a + b, 0);
        const all = gaps.reduce((a, g) => a + g ** PULL, 0);
        for (const [k, g] of gaps.entries()) {
          const room = (u[k + 2]! - u[k + 1]!) / taken;
          expect(room).toBeCloseTo((1 - SHARE) * (g / total) + SHARE * (g ** PULL / all), 9);
          expect(room).toBeGreaterThanOrEqual((1 - SHARE) * (g / total) - 1e-12);
          for (const [j, h] of gaps.entries())
            if (h > g) {
              const other = (u[j + 2]! - u[j + 1]!) / taken;
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

describe("a moment at an end of the ridge", () => {
  /** How wide each moment is drawn in a frame of 1,200 px, from the first to the last instant it may mean. */
  const widths = (dates: string[], scale: "true" | "balanced" = "balanced") => {
    const { data, axis } = axisOf({ ...typedTimeline(dates.map((d) => [d, ""])), scale });
    const p = positions(data, axis);
    return dates.map(
      (_, i) => ((p.hi[i * 4 + 3]! + p.lo[i * 4 + 3]! - p.hi[i * 4]! - p.lo[i * 4]!) * 1_200) / axis.length,
    );
  };

  it.each<[string, string[], number, number]>([
    ["a day at the end of a century", ["1850", "1880", "1900", "14 Nov 1950"], 3, 6],
    ["half an hour at the end of an evening", ["14 Nov 1872 18:00", "14 Nov 1872 20:00", "14 Nov 1872 22:10"], 2, 12],
    ["a day before centuries", ["3 Mar 1702", "1750", "1850"], 0, 6],
    ["the last day of a week of days", ["1 May 1900", "3 May 1900", "7 May 1900"], 2, 250],
  ])("%s is as wide as it is exact", (_, dates, i, most) => expect(widths(dates)[i]!).toBeLessThan(most));

  it("is no wider than the scale beside it makes it, in random tables", () => {
    const year = fc.integer({ min: 1200, max: 1990 });
    const date = fc.oneof(
      year.map(String),
      year.map((y) => `14 Nov ${y}`),
      year.map((y) => `${Math.floor(y / 10) * 10}s`),
      fc.tuple(year, fc.integer({ min: 0, max: 23 })).map(([y, h]) => `3 Mar ${y} ${h}:10`),
    );
    fc.assert(
      fc.property(fc.array(date, { minLength: 3, maxLength: 12 }), (dates) => {
        const { data, axis } = axisOf({ ...typedTimeline(dates.map((d) => [d, ""])), scale: "balanced" });
        const k = axis.knots!;
        const n = k.rate.length;
        const middles = new Set(
          Array.from({ length: data.count }, (_, i) => `${data.days[i * 4 + 1]} ${data.seconds[i * 4 + 1]}`),
        );
        if (middles.size < 2) return;
        const isMiddle = (j: number) => middles.has(`${k.days[j]} ${k.seconds[j]}`);
        if (!isMiddle(0)) expect(k.rate[0]!).toBeLessThanOrEqual(k.rate[1]! * (1 + 1e-5));
        if (!isMiddle(n)) expect(k.rate[n - 1]!).toBeLessThanOrEqual(k.rate[n - 2]! * (1 + 1e-5));
        expect(k.u[n]! / axis.length).toBeCloseTo(1, 9);
        for (let j = 0; j < n; j++) expect(k.u[j + 1]!).toBeGreaterThan(k.u[j]!);
      }),
      { seed: 8, numRuns: 400 },
    );
  });

  it("of one date alone leaves those without a date in even steps, and tells no hours", () => {
    for (const scale of ["true", "balanced"] as const) {
      const t = { ...typedTimeline(["", "14 Nov 1872", "", "", ""].map((d) => [d, ""])), scale };
      const { data, axis } = axisOf(t);
      const p = positions(data, axis);
      const u = Array.from({ length: data.count }, (_, i) => p.hi[i * 4 + 1]!);
      expect(new Set(u.slice(1).map((x, i) => Math.round((x - u[i]!) * 1e6))).size).toBe(1);
    }
  });
});
