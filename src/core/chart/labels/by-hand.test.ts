import { describe, expect, it } from "vitest";
import { KINDS, chance, seededTimeline } from "../../testing/seeded-timeline";
import type { Timeline } from "../../timeline/timeline";
import type { Spot } from "../../timeline/fields";
import { chartOf } from "../frame/chart";
import { drawChart } from "../draw/draw-chart";
import { frameContent, type FrameContent } from "../frame/frame";
import { groundOf } from "../frame/layout";
import { rankX } from "../frame/shown";
import { toSvg } from "../draw/to-svg";
import { largestScale, wholeView, zoomed } from "../axis/view";

const FRAME = { width: 1_000, height: 480 };

function withSpot(t: Timeline, id: string, spot: Spot | null): Timeline {
  return { ...t, events: new Map(t.events).set(id, { ...t.events.get(id)!, spot }) };
}

const whole = (t: Timeline) => {
  const chart = chartOf(t, FRAME);
  const content = frameContent(chart.laid, wholeView(groundOf(chart.laid.axis, chart.laid.layout)), []);
  return { chart, content, at: new Map(content.labels.map((l) => [chart.laid.data.ids[l.i]!, l])) };
};
const svg = (t: Timeline) => toSvg(drawChart(t, FRAME), { pictureUrl: () => null });

/** Labels that meet, but for two that were both placed by hand. */
function meeting({ labels, counts }: FrameContent, hand: (i: number) => boolean): string[] {
  const found: string[] = [];
  const boxes = [...labels, ...counts.map((c) => ({ ...c, i: -1 }))];
  for (const [k, a] of boxes.entries())
    for (const b of boxes.slice(k + 1))
      if (
        !(hand(a.i) && hand(b.i)) &&
        a.x < b.x + b.w - 0.5 &&
        b.x < a.x + a.w - 0.5 &&
        a.y < b.y + b.h - 0.5 &&
        b.y < a.y + a.h - 0.5
      )
        found.push(`${a.i} meets ${b.i}`);
  return found;
}

describe("a label placed by hand", () => {
  it.each([20, 60, 300, 1_000])(
    "stays where it was put, moves at most 5 of %i others, and leaves no trace when put back",
    { timeout: 60_000 },
    (n) => {
      for (const kind of KINDS)
        for (const seed of [1, 2]) {
          const t = seededTimeline(n, seed, kind, "balanced");
          const before = whole(t);
          const r = chance(seed * 7 + n);
          const shown = [...before.at.keys()];
          if (shown.length === 0) continue;
          const id = shown[Math.floor(r() * shown.length)]!;
          const spot = { along: -120 + 240 * r(), across: 60 + 200 * r() };
          const placed = withSpot(t, id, spot);
          const after = whole(placed);
          const label = after.at.get(id)!;
          expect(label).toBeDefined();
          const middle = after.chart.laid.layout.ridgeTop + after.chart.laid.layout.ridge / 2;
          const left = Math.max(4, Math.min(label.apex + spot.along, FRAME.width - 4 - label.w));
          expect(label.x).toBeCloseTo(left, 2);
          const lowest = after.chart.laid.layout.across - 2 - label.h;
          expect([middle + spot.across, lowest].some((y) => Math.abs(y - label.y) < 20)).toBe(true);
          const moved = shown.filter((o) => {
            const [a, b] = [before.at.get(o)!, after.at.get(o)];
            return o !== id && (!b || Math.abs(a.x - b.x) > 0.5 || a.y !== b.y);
          });
          expect(moved.length).toBeLessThanOrEqual(5);
          expect(svg(withSpot(placed, id, null))).toBe(svg(t));
        }
    },
  );

  it("is met by no other at any zoom, and moves none against its moment", { timeout: 60_000 }, () => {
    for (const n of [30, 200])
      for (const seed of [3, 4, 5]) {
        let t = seededTimeline(n, seed, "spread", "balanced");
        const r = chance(seed);
        const ids = [...t.events.keys()];
        for (let k = 0; k < 3; k++)
          t = withSpot(t, ids[Math.floor(r() * ids.length)]!, {
            along: 300 * (r() - 0.5),
            across: (r() < 0.3 ? -1 : 1) * (40 + 160 * r()),
          });
        const chart = chartOf(t, FRAME);
        const g = groundOf(chart.laid.axis, chart.laid.layout);
        const { data, layout } = chart.laid;
        const hand = (i: number) => i >= 0 && data.spots.has(i);
        let view = wholeView(g);
        for (let k = 0; k < 40 && view.scale < largestScale(g); k++) {
          for (const extras of [[], "at rest"] as const)
            expect(meeting(frameContent(chart.laid, view, extras), hand)).toEqual([]);
          view = zoomed(g, view, rankX(chart.laid, g, view, Math.floor(layout.byApex.length / 2)), 1.5);
        }
      }
  });

  it("on another placed by hand is kept, both are, within the frame", () => {
    let t = seededTimeline(20, 8, "spread", "true", 0);
    const [a, b] = [...t.events.keys()];
    const spot = { along: 5_000, across: 5_000 };
    t = withSpot(withSpot(t, a!, spot), b!, spot);
    const { at, chart } = whole(t);
    for (const id of [a!, b!]) {
      const l = at.get(id)!;
      expect(l.x + l.w).toBeLessThanOrEqual(FRAME.width);
      expect(l.y + l.h).toBeLessThanOrEqual(chart.laid.layout.across);
    }
  });
});
