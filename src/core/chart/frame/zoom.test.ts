import { describe, expect, it } from "vitest";
import { KINDS, type Kind, seededTimeline } from "../../testing/seeded-timeline";
import type { Timeline } from "../../timeline/timeline";
import { type Chart, chartOf } from "./chart";
import { drawChart } from "../draw/draw-chart";
import { leader } from "../draw/draw-labels";
import { frameContent, type FrameContent } from "./frame";
import { groundOf, uprightLength } from "./layout";
import { minus } from "../axis/pair";
import { rankX, type ShownLabel, titleBox } from "./shown";
import { fitScale, type Ground, isWhole, largestScale, panned, type View, wholeView, xOf, zoomed } from "../axis/view";
import { type Box, meet } from "../../testing/boxes";

const SIZES = [100, 1_000];
const SCALES: Timeline["scale"][] = ["true", "balanced", "even"];
const FRAME = { width: 1_100, height: 460 };
const HALF_OCTAVE = Math.SQRT2;

function sets(): [string, Chart][] {
  return KINDS.flatMap((kind) =>
    SIZES.flatMap((n) =>
      SCALES.map((scale): [string, Chart] => [
        `${n} ${kind} ${scale}`,
        chartOf(seededTimeline(n, 3, kind, scale), FRAME),
      ]),
    ),
  );
}
const SETS = sets();
const PATIENCE = 60_000;

/** Views half an octave apart from the whole to as near as can be, about an event of the set. */
function* zoomIn(chart: Chart, rank: number): Generator<{ view: View; g: Ground }> {
  const g = groundOf(chart.laid.axis, chart.laid.layout);
  let view = wholeView(g);
  const n = chart.laid.layout.byApex.length;
  if (n === 0) return;
  const at = Math.min(n - 1, rank);
  for (let k = 0; k < 80; k++) {
    yield { view, g };
    if (view.scale >= largestScale(g)) return;
    const x = rankX(chart.laid, g, view, at);
    view = zoomed(g, view, x, HALF_OCTAVE);
  }
}

const boxesOf = (c: FrameContent): (Box & { name: string })[] => [
  ...c.labels.map((l) => ({ ...l, name: `label ${l.i}` })),
  ...c.counts.map((b) => ({ ...b, name: `count ${b.first}` })),
  ...c.roofs.flatMap((r) => (r.title ? [{ ...titleBox(r, r.title), name: `title ${r.i}` }] : [])),
];

function overlap(c: FrameContent, size: number): string | null {
  const boxes = boxesOf(c).filter((b) => b.x < size && b.x + b.w > 0);
  boxes.sort((a, b) => a.x - b.x);
  for (const [i, a] of boxes.entries())
    for (let j = i + 1; j < boxes.length && boxes[j]!.x < a.x + a.w; j++)
      if (meet(a, boxes[j]!)) return `${a.name} meets ${boxes[j]!.name}`;
  return null;
}

describe.each(SETS)("zooming in on %s", (_, chart) => {
  const ranks = [0, Math.floor(chart.laid.layout.byApex.length * 0.37)];

  it("never lets labels, titles or counts meet, moving or at rest", { timeout: PATIENCE }, () => {
    for (const rank of ranks)
      for (const { view, g } of zoomIn(chart, rank))
        for (const extras of [[], "at rest"] as const)
          expect(overlap(frameContent(chart.laid, view, extras), g.size)).toBeNull();
  });

  it("moves no label against its moment, and takes none away that is still in view", { timeout: PATIENCE }, () => {
    const faults: string[] = [];
    for (const rank of ranks) {
      let before = new Map<number, ShownLabel>();
      for (const { view, g } of zoomIn(chart, rank)) {
        const now = new Map(frameContent(chart.laid, view, []).labels.map((l) => [l.rank, l]));
        for (const [r, was] of before) {
          const x = rankX(chart.laid, g, view, r);
          if (x < 0 || x > g.size) continue;
          const is = now.get(r);
          if (!is) {
            const left = x + (was.x - was.apex);
            if (!(left >= g.size || left + was.w <= 0)) faults.push(`label ${r} blinked at ${view.scale}`);
            continue;
          }
          const moved = is.x - is.apex - (was.x - was.apex);
          if (!(Math.abs(moved) < 1e-3) || is.y !== was.y)
            faults.push(`label ${r} moved by ${moved}, ${is.y - was.y} at ${view.scale}`);
        }
        before = now;
      }
    }
    expect(faults).toEqual([]);
  });

  it("shows or counts every event below the ridge that is in view, exactly once", { timeout: PATIENCE }, () => {
    for (const rank of ranks)
      for (const { view, g } of zoomIn(chart, rank))
        for (const extras of [[], "at rest"] as const) {
          const c = frameContent(chart.laid, view, extras);
          const shown = new Set(c.labels.map((l) => l.rank));
          expect(shown.size).toBe(c.labels.length);
          let [inBins, counted] = [0, 0];
          for (const b of c.counts) {
            counted += b.count;
            for (let r = b.first; r < b.end; r++) {
              const x = rankX(chart.laid, g, view, r);
              const placedOutside = chart.laid.layout.z[r]! <= view.scale * (1 + 1e-9) && (x < 0 || x > g.size);
              if (!shown.has(r) && !placedOutside) inBins++;
            }
          }
          expect(counted).toBe(inBins);
          const binned = (r: number) => c.counts.some((b) => r >= b.first && r < b.end);
          for (let r = 0; r < chart.laid.layout.byApex.length; r++) {
            const x = rankX(chart.laid, g, view, r);
            if (x >= 0 && x <= g.size && !shown.has(r) && !binned(r)) throw new Error(`event of rank ${r} is lost`);
          }
        }
  });

  it("keeps a count while the view moves along, as long as its bin stays in view", { timeout: PATIENCE }, () => {
    for (const { view, g } of zoomIn(chart, ranks[1]!)) {
      if (isWhole(g, view)) continue;
      const here = frameContent(chart.laid, view, []).counts;
      const there = new Map(
        frameContent(chart.laid, panned(g, view, 37), []).counts.map((c) => [`${c.first}-${c.end}`, c.count]),
      );
      for (const c of here) {
        const [a, b] = [rankX(chart.laid, g, view, c.first), rankX(chart.laid, g, view, c.end - 1)];
        const after = there.get(`${c.first}-${c.end}`);
        if (a > 60 && b < g.size - 60 && after !== undefined) expect(after).toBe(c.count);
      }
    }
  });
});

describe("a small chart", () => {
  it.each([11, 12, 13, 14, 15, 16])(
    "lets no line pass a label at any zoom (seed %i)",
    { timeout: PATIENCE },
    (seed) => {
      for (const kind of ["spread", "busy", "mixed"] as Kind[])
        for (const scale of SCALES) {
          const chart = chartOf(seededTimeline(40, seed, kind, scale), { width: 900, height: 460 });
          for (const { view } of zoomIn(chart, 17))
            for (const extras of [[], "at rest"] as const) {
              const { labels } = frameContent(chart.laid, view, extras);
              for (const l of labels) {
                const [x, top, foot] = [l.anchor, chart.laid.layout.labelsTop, l.y + l.h];
                for (const o of labels)
                  if (o !== l && x > o.x + 0.5 && x < o.x + o.w - 0.5 && o.y < foot && o.y + o.h > top)
                    throw new Error(`the line of ${l.i} passes label ${o.i} at ${view.scale}`);
                if (!leader(chart.laid, l).every(Number.isFinite))
                  throw new Error(`the line of ${l.i} goes nowhere at ${view.scale}`);
              }
            }
        }
    },
  );

  it("has every label within the frame at every width from 320 px", { timeout: PATIENCE }, () => {
    for (const width of [320, 390, 500, 760, 1_024, 1_280, 1_900])
      for (const seed of [1, 2, 3]) {
        const chart = chartOf(seededTimeline(30, seed, "mixed", "balanced"), { width, height: 700 });
        const g = groundOf(chart.laid.axis, chart.laid.layout);
        for (const b of boxesOf(frameContent(chart.laid, wholeView(g), "at rest"))) {
          expect(b.x, `${b.name} at ${width}`).toBeGreaterThanOrEqual(-0.5);
          expect(b.x + b.w, `${b.name} at ${width}`).toBeLessThanOrEqual(width + 0.5);
        }
      }
  });
});

/** As many labels as a greedy search shows in one view: by importance, first free row, either side. */
function greedy(chart: Chart, view: View, g: Ground): number {
  const { layout } = chart.laid;
  const rows: [number, number][][] = Array.from({ length: layout.rows }, () => []);
  let n = 0;
  for (const rank of layout.order) {
    const apex = rankX(chart.laid, g, view, rank);
    if (apex < 0 || apex > g.size) continue;
    const w = layout.to[rank]! - layout.from[rank]!;
    const place = rows.some((row) =>
      [apex + 6, apex - 6 - w].some((x) => {
        if (x < 4 || x + w > g.size - 4 || row.some(([a, b]) => x < b + 7 && a < x + w + 7)) return false;
        row.push([x, x + w]);
        return true;
      }),
    );
    if (place) n++;
  }
  return n;
}

describe("an upright chart", () => {
  it.each([21, 22, 23, 24])("holds the same laws (seed %i)", { timeout: PATIENCE }, (seed) => {
    for (const n of [30, 200])
      for (const scale of SCALES) {
        const chart = chartOf(
          seededTimeline(n, seed, "mixed", scale),
          { width: 390, height: 1_400 },
          { upright: true },
        );
        const { small, upright } = chart.laid.layout;
        expect(upright).toBe(true);
        for (const { view, g } of zoomIn(chart, 11))
          for (const extras of [[], "at rest"] as const) {
            const c = frameContent(chart.laid, view, extras);
            expect(overlap(c, g.size)).toBeNull();
            for (const l of c.labels) {
              if (!small) break;
              for (const o of c.labels)
                if (o !== l && l.anchor > o.x + 0.5 && l.anchor < o.x + o.w - 0.5 && o.y < l.y - 0.5)
                  throw new Error(`the line of ${l.i} passes label ${o.i}`);
            }
          }
      }
  });

  it("has every label of 24 events on a phone, within its width", () => {
    for (let seed = 0; seed < 12; seed++) {
      const t = seededTimeline(24, seed, "spread", "balanced");
      const scene = drawChart(t, { width: 390, height: uprightLength(24) }, { upright: true });
      expect(scene.targets.filter((x) => x.kind === "more")).toEqual([]);
      expect(scene.width).toBe(390);
      for (const x of scene.targets) expect(x.x + x.w).toBeLessThanOrEqual(391);
    }
  });
});

describe("how much is shown", () => {
  it("is at least 3/4 of what a search for each view would show while moving, and 95 % at rest", {
    timeout: PATIENCE,
  }, () => {
    let [moving, rest, most] = [0, 0, 0];
    for (const [name, chart] of SETS) {
      if (name.includes("same")) continue;
      for (const { view, g } of zoomIn(chart, Math.floor(chart.laid.layout.byApex.length / 3))) {
        moving += frameContent(chart.laid, view, []).labels.length;
        rest += frameContent(chart.laid, view, "at rest").labels.length;
        most += greedy(chart, view, g);
      }
    }
    expect(moving / most).toBeGreaterThan(0.75);
    expect(rest / most).toBeGreaterThan(0.95);
  });
});

describe("a view", () => {
  it("is the same whatever the way there, and comes back after 1,000 pinches within half a px", {
    timeout: PATIENCE,
  }, () => {
    for (const [, chart] of SETS) {
      const g = groundOf(chart.laid.axis, chart.laid.layout);
      const start = zoomed(g, zoomed(g, wholeView(g), 400, 6), 700, 5);
      if (start.scale * 1.7 > largestScale(g)) continue;
      let v = start;
      for (let k = 0; k < 1_000; k++) v = zoomed(g, zoomed(g, v, 300 + (k % 500), 1.7), 300 + (k % 500), 1 / 1.7);
      expect(Math.abs(xOf(g, v, start.u0) - g.pad)).toBeLessThan(0.5);
      expect(Math.abs(v.scale / start.scale - 1)).toBeLessThan(1e-9);
      const back = zoomed(g, v, 500, 1e-12);
      expect(back).toEqual(wholeView(g));
      expect(frameContent(chart.laid, back, "at rest").labels).toEqual(
        frameContent(chart.laid, wholeView(g), "at rest").labels,
      );
    }
  });

  it("never shows what lies beyond the ends, nor a second wider than it may be", { timeout: PATIENCE }, () => {
    const faults: string[] = [];
    for (const [name, chart] of SETS) {
      const g = groundOf(chart.laid.axis, chart.laid.layout);
      for (const x of [0, 555, g.size])
        for (let v = wholeView(g), k = 0; k < 90; k++, v = zoomed(g, v, x, 1.7)) {
          const [from, to] = [xOf(g, v, { hi: 0, lo: 0 }), xOf(g, v, { hi: g.axis.length, lo: 0 })];
          const within = from <= g.pad + 1e-6 && to >= g.size - g.pad - 1e-6;
          const near = v.scale <= largestScale(g) && v.scale >= fitScale(g) * (1 - 1e-9);
          if (!within || !near || !Number.isFinite(minus(v.u0, { hi: 0, lo: 0 })))
            faults.push(`${name} about ${x}: from ${from} to ${to}, ${v.scale} px`);
        }
    }
    expect(faults).toEqual([]);
  });
});
