import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { seededTimeline, typedTimeline } from "../../testing/seeded-timeline";
import { textWidth } from "../../text/measure";
import { dayFromGregorian } from "../../time/calendar";
import { readWhen } from "../../time/read/read-when";
import { emptyEvent, emptyTimeline, type Timeline } from "../../timeline/timeline";
import { type Chart, chartOf } from "../frame/chart";
import { dateAt, dateText } from "./date-at";
import { groundOf } from "../frame/layout";
import { ZERO } from "../axis/pair";
import { ridgeOf } from "../draw/ridge";
import { edgeText, marksWithin, markText, NESTED, tickYear, UNITS } from "./tick-units";
import { tickFace, TICK_SIZE } from "./ticks";
import { isWhole, largestScale, panned, uAt, type View, viewOf, wholeView, xOf, zoomed } from "../axis/view";

const FRAME = { width: 1_000, height: 400 };
const at = (year: number, month = 1, day = 1, second = 0) => ({ day: dayFromGregorian(year, month, day), second });

function charts(): [string, Chart][] {
  return (["spread", "busy", "deep", "mixed"] as const).flatMap((kind) =>
    (["true", "balanced", "even"] as const).map((scale): [string, Chart] => [
      `${kind} ${scale}`,
      chartOf(seededTimeline(80, 6, kind, scale), FRAME),
    ]),
  );
}

function* views(chart: Chart): Generator<View> {
  const g = groundOf(chart.laid.axis, chart.laid.layout);
  let v = wholeView(g);
  for (let k = 0; k < 60 && v.scale < largestScale(g); k++) {
    yield v;
    yield panned(g, v, 313);
    v = zoomed(g, v, 200 + ((k * 97) % 600), 1.9);
  }
}

describe.each(charts())("the ridge of %s", (_, chart) => {
  const g = groundOf(chart.laid.axis, chart.laid.layout);

  it("has no two labels that meet, none that the frame cuts, and dates at both ends, at every zoom", () => {
    const faults: string[] = [];
    for (const v of views(chart)) {
      const { ends, row } = ridgeOf(chart.laid, g, v, chart.words);
      const boxes = [
        ...row.ticks
          .filter((t) => t.text)
          .map((t) => ({ from: t.x - t.width / 2, to: t.x + t.width / 2, text: t.text })),
        ...ends,
      ].sort((a, b) => a.from - b.from);
      for (const [i, b] of boxes.entries()) {
        const free = i === 0 || b.from >= boxes[i - 1]!.to + 4;
        const whole = chart.laid.axis.scale === "even" || (b.from >= 0 && b.to <= g.size);
        if (!free || !whole || /NaN|undefined|\b0 BC|AD 0\b/.test(b.text))
          faults.push(`${boxes[i - 1]?.text} | ${b.text} from ${b.from} to ${b.to} at ${v.scale}`);
      }
      if (chart.laid.axis.scale !== "even" && (isWhole(g, v) || row.unit)) expect(ends.length).toBeGreaterThan(0);
      for (let i = 1; i < row.ticks.length; i++)
        if (!(row.ticks[i]!.x >= row.ticks[i - 1]!.x)) faults.push(`tick ${i} before the one before it at ${v.scale}`);
      for (const [i, l] of row.larger.entries())
        if (i > 0) {
          const before = row.larger[i - 1]!;
          expect(l.x).toBeGreaterThan(before.x + textWidth(before.text, tickFace("hyperlegible"), TICK_SIZE));
        }
    }
    expect(faults).toEqual([]);
  });

  it("keeps its unit and its labels while the view moves along", () => {
    for (const v of views(chart)) {
      if (isWhole(g, v)) continue;
      const moved = panned(g, v, 41);
      const [a, b] = [v, moved].map((view) => ridgeOf(chart.laid, g, view, chart.words));
      if (chart.laid.axis.scale === "true") expect(b!.row.unit).toEqual(a!.row.unit);
      const px = (moved.u0.hi - v.u0.hi + moved.u0.lo - v.u0.lo) * v.scale;
      const there = new Map(b!.row.ticks.map((t) => [t.text, t]));
      const [left, right] = [
        Math.max(...b!.ends.map((e) => (e.from < 400 ? e.to : 0)), 0),
        Math.min(...b!.ends.map((e) => (e.from > 500 ? e.from : g.size))),
      ];
      for (const t of a!.row.ticks) {
        const x = t.x - px;
        if (!t.text || x - t.width / 2 < left + 40 || x + t.width / 2 > right - 40) continue;
        if (!there.has(t.text)) throw new Error(`${t.text} went`);
      }
    }
  });
});

describe("marks", () => {
  it.each<[string, number, number, string[]]>([
    ["have no year nought between the eras", -149, 120, ["150 BC", "100 BC", "50 BC", "AD 1", "AD 50", "AD 100"]],
    ["stand on round years", 1610, 1790, ["1650", "1700", "1750"]],
  ])("%s", (_, from, to, texts) => {
    const marks = marksWithin({ kind: "years", step: 50 }, at(from), at(to), 100)!;
    expect(marks.map((m) => markText({ kind: "years", step: 50 }, m, { era: "BC" }, false))).toEqual(texts);
  });

  it("of a finer unit have all those of the coarser ones among them, where that is promised", () => {
    for (let i = 1; i < NESTED.length; i++) {
      const u = NESTED[i]!;
      if (u.kind === "years" && u.step > 1_000) continue;
      const [from, to] =
        u.kind === "years"
          ? [at(-1_500), at(2_100)]
          : u.kind === "seconds"
            ? [at(1872, 11, 14, 80_000), at(1872, 11, 15, 9_000)]
            : [at(1872, 10, 28), at(1873, 11, 16)];
      const coarse = marksWithin(NESTED[i - 1]!, from, to, 1e6)!;
      const fine = new Set(marksWithin(u, from, to, 1e7)!.map((m) => `${m.day} ${m.second}`));
      expect(coarse.filter((m) => !fine.has(`${m.day} ${m.second}`))).toEqual([]);
    }
  });

  it("are too many to be worth counting rather than endless", () => {
    for (const u of UNITS)
      expect(marksWithin(u, at(-13_800_000_000), at(2_026), 500)?.length ?? 0).toBeLessThanOrEqual(502);
  });

  it.each<[number, number, string]>([
    [-65_999_999, 1_000_000, "66 m yrs ago"],
    [-65_999_999, 1_000, "66 m yrs ago"],
    [-66_043_999, 1_000, "66.044 m yrs ago"],
    [-4_599_999_999, 100_000_000, "4.6 bn yrs ago"],
    [-13_799_999_999, 1_000_000_000, "13.8 bn yrs ago"],
    [-309, 50, "310 BC"],
    [0, 1, "1 BC"],
    [1, 1, "AD 1"],
    [12_345, 5, "12345"],
  ])("say the year %d in steps of %d as %s", (year, step, text) => {
    expect(tickYear(year, { era: "BC" }, step).replace(/,/g, "")).toBe(text);
  });

  it("of one's own are the ones that were asked for, thinned by halves where they are too close", () => {
    const base = typedTimeline(
      [
        ["1600", "a"],
        ["1931", "b"],
      ],
      "true",
    );
    const labels = (marks: Timeline["marks"], width = 1_000) => {
      const chart = chartOf({ ...base, marks }, { width, height: 400 });
      const g = groundOf(chart.laid.axis, chart.laid.layout);
      return ridgeOf(chart.laid, g, wholeView(g), chart.words)
        .row.ticks.filter((t) => t.text)
        .map((t) => t.text);
    };
    expect(labels({ kind: "step", unit: "years", step: 60 })).toEqual(["1680", "1740", "1800", "1860"]);
    const twelve = labels({ kind: "step", unit: "years", step: 12 }).map(Number);
    expect(twelve.length).toBeGreaterThan(4);
    for (const y of twelve) expect(y % 12).toBe(0);
    expect(labels({ kind: "list", text: "14 Nov 1872; 1702\nnonsense" })).toEqual(["1702", "14 Nov 1872"]);
    expect(labels({ kind: "list", text: "nonsense" }).length).toBeGreaterThan(0);
  });

  it("of hours have the day in the second row, of days the month, of months the year", () => {
    const chart = chartOf(
      typedTimeline(
        [
          ["1872", "a"],
          ["1873", "b"],
        ],
        "true",
      ),
      FRAME,
    );
    const g = groundOf(chart.laid.axis, chart.laid.layout);
    const larger = (from: ReturnType<typeof at>, to: ReturnType<typeof at>) =>
      ridgeOf(chart.laid, g, viewOf(g, chart.laid.axis.at(from), chart.laid.axis.at(to)), chart.words).row.larger.map(
        (l) => l.text,
      );
    expect(larger(at(1872, 11, 14, 57_600), at(1872, 11, 15, 14_400))).toEqual(["14 Nov 1872", "15 Nov 1872"]);
    expect(larger(at(1872, 11, 20), at(1872, 12, 9))).toEqual(["Nov 1872", "Dec 1872"]);
    expect(larger(at(1872, 9), at(1873, 6))).toEqual(["1872", "1873"]);
    expect(ridgeOf(chart.laid, g, wholeView(g), chart.words).row.unit?.kind).toBe("months");
  });
});

describe("a date that is pointed at", () => {
  it("is read back as a date that holds the place", () => {
    for (const kind of ["spread", "busy", "deep"] as const)
      for (const scale of ["true", "balanced"] as const) {
        const chart = chartOf(seededTimeline(70, 9, kind, scale), FRAME);
        const g = groundOf(chart.laid.axis, chart.laid.layout);
        for (const v of views(chart))
          for (const x of [60, 333, 700, 940]) {
            const text = dateAt(g, v, x);
            if (text === null) continue;
            const r = readWhen(text).readAs;
            expect(r.kind, text).toBe("moment");
            if (r.kind !== "moment" || r.at.about || !r.at.from || !r.at.to || r.at.precision === "digits") continue;
            const t = chart.laid.axis.timeAt(uAt(g, v, x))!;
            expect(r.at.from.day * 86_400 + r.at.from.second, text).toBeLessThanOrEqual(t.day * 86_400 + t.second + 1);
            expect(r.at.to.day * 86_400 + r.at.to.second, text).toBeGreaterThanOrEqual(
              t.day * 86_400 + t.second - 3_600,
            );
          }
      }
  });

  it.each<[number, string]>([
    [1 / 86_400, "14 Nov 1872 22:10:05"],
    [1 / 300, "14 Nov 1872 22:10"],
    [1 / 30, "14 Nov 1872 22:00"],
    [0.2, "14 Nov 1872"],
    [1.2, "14 Nov 1872"],
    [3, "Nov 1872"],
    [40, "Nov 1872"],
    [500, "1872"],
    [4_000, "1870s"],
    [30_000, "about 1870"],
    [90_000, "about 1900"],
  ])("where %d days can be told apart is %s", (days, text) => {
    expect(dateText(at(1872, 11, 14, 79_805), days, { era: "BC" })).toBe(text);
  });

  it("at the edge of a view is as exact as the marks", () => {
    expect(edgeText({ kind: "seconds", step: 3_600 }, at(1872, 11, 14, 79_800), { era: "BC" })).toBe(
      "14 Nov 1872 22:10",
    );
    expect(edgeText({ kind: "days", step: 1 }, at(1872, 11, 14, 79_800), { era: "BC" })).toBe("14 Nov 1872");
    expect(edgeText({ kind: "months", step: 3 }, at(1872, 11, 14), { era: "BC" })).toBe("Nov 1872");
    expect(edgeText({ kind: "years", step: 10 }, at(-309), { era: "BCE" })).toBe("310 BCE");
  });
});

describe("what stands at the edges", () => {
  it("no mark's words reach beyond the ridge or the frame, wherever one looks", () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1500, max: 2000 }), { minLength: 1, maxLength: 12 }),
        fc.constantFrom("true" as const, "balanced" as const),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.integer({ min: 0, max: 14 }),
        (years, scale, at, zoom) => {
          const events = years.map((y, i) => ({ ...emptyEvent(`e${i}`), title: "x", when: readWhen(`5 Mar ${y}`) }));
          const t = { ...emptyTimeline("t"), scale, events: new Map(events.map((e) => [e.id, e])) };
          const chart = chartOf(t, { width: 900, height: 400 });
          const g = groundOf(chart.laid.axis, chart.laid.layout);
          const v = zoomed(g, wholeView(g), at * 900, 2 ** zoom);
          const { ends, row } = ridgeOf(chart.laid, g, v, chart.words);
          const [from, to] = [xOf(g, v, ZERO) - 18, xOf(g, v, { hi: g.axis.length, lo: 0 }) + 18];
          for (const tick of row.ticks.filter((x) => x.text)) {
            expect(tick.x - tick.width / 2).toBeGreaterThanOrEqual(Math.max(0, from));
            expect(tick.x + tick.width / 2).toBeLessThanOrEqual(Math.min(g.size, to));
            for (const e of ends)
              expect(tick.x + tick.width / 2 <= e.from || tick.x - tick.width / 2 >= e.to).toBe(true);
          }
          for (const l of row.larger) expect(l.x).toBeGreaterThanOrEqual(0);
        },
      ),
      { seed: 11, numRuns: 300 },
    );
  });
});
