import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { seededTimeline, typedTimeline } from "../../testing/seeded-timeline";
import type { Timeline } from "../../timeline/timeline";
import type { Spot } from "../../timeline/fields";
import { type Chart, chartOf } from "../frame/chart";
import { drawView } from "../draw/draw-chart";
import type { Part } from "../frame/frame";
import { aligned, boxOf, grabAt, meetingHands, neighbourAt, spotAt } from "./grab";
import { groundOf, replaceHands } from "../frame/layout";
import { wholeView } from "../axis/view";

const FRAME = { width: 1_000, height: 480 };

const partsOf = (chart: Chart): Part[] =>
  drawView(chart, wholeView(groundOf(chart.laid.axis, chart.laid.layout)), [], null).parts;
const withSpot = (t: Timeline, id: string, spot: Spot | null): Timeline => ({
  ...t,
  events: new Map(t.events).set(id, { ...t.events.get(id)!, spot }),
});

describe("what lies under a finger", () => {
  it.each([false, true])(
    "is a label anywhere on it, and put down where it was it has not moved (upright: %s)",
    (upright) => {
      for (const seed of [1, 2, 3]) {
        const t = seededTimeline(24, seed, "spread", "balanced");
        const frame = upright ? { width: 420, height: 1_500 } : FRAME;
        const parts = partsOf(chartOf(t, frame, { upright }));
        const labels = parts[0]!.content.labels;
        expect(labels.length).toBeGreaterThan(5);
        for (const l of labels) {
          const box = boxOf(parts[0]!, l);
          const id = parts[0]!.laid.data.ids[l.i]!;
          const grab = grabAt(parts, box.x + box.w / 2, box.y + box.h / 2);
          expect(grab).toMatchObject({ kind: "label", id });
          if (grab?.kind !== "label") continue;
          const put = partsOf(chartOf(withSpot(t, id, spotAt(grab, box.x, box.y)), frame, { upright }));
          const after = put[0]!.content.labels.find((x) => put[0]!.laid.data.ids[x.i] === id)!;
          const now = boxOf(put[0]!, after);
          expect(Math.abs(now.x - box.x)).toBeLessThanOrEqual(1);
          expect(Math.abs(now.y - box.y)).toBeLessThanOrEqual(1);
        }
      }
    },
  );

  it("is the nearest bob, an end of a roof, or nothing", () => {
    const t = typedTimeline(
      [
        ["1700 - 1760", "Roof"],
        ["1650", "Before"],
        ["1800", "After"],
      ],
      "true",
    );
    const parts = partsOf(chartOf(t, FRAME));
    const { content, laid } = parts[0]!;
    const roof = content.roofs[0]!;
    const id = laid.data.ids[roof.i]!;
    const y = (roof.y0 + roof.y1) / 2;
    expect(grabAt(parts, roof.x0 + 2, y)).toMatchObject({ kind: "date", id, end: "start" });
    expect(grabAt(parts, roof.x1 + 3, y)).toMatchObject({ kind: "date", id, end: "end" });
    expect(grabAt(parts, (roof.x0 + roof.x1) / 2, y)).toBeNull();
    const l = content.labels[0]!;
    const foot = laid.layout.ridgeTop + laid.layout.ridge;
    expect(grabAt(parts, l.apex, foot + 6)).toMatchObject({ kind: "date", end: null });
    expect(grabAt(parts, 500, FRAME.height - 3)).toBeNull();
  });
});

describe("alignment", () => {
  const box = fc.record({
    x: fc.integer({ min: 0, max: 400 }),
    y: fc.integer({ min: 0, max: 400 }),
    w: fc.integer({ min: 20, max: 160 }),
    h: fc.integer({ min: 16, max: 60 }),
  });

  it("moves by no more than its reach, onto an edge of another, and shows which", () => {
    fc.assert(
      fc.property(box, fc.array(box, { maxLength: 12 }), (own, others) => {
        const at = aligned(own, others);
        expect(Math.abs(at.x - own.x)).toBeLessThanOrEqual(5);
        expect(Math.abs(at.y - own.y)).toBeLessThanOrEqual(5);
        const edges = (k: "x" | "y", d: "w" | "h") => others.flatMap((o) => [o[k], o[k] + o[d]]);
        for (const g of at.guides) {
          expect(edges(g.axis, g.axis === "x" ? "w" : "h")).toContain(g.at);
          const mine = g.axis === "x" ? [at.x, at.x + own.w] : [at.y, at.y + own.h];
          expect(mine).toContain(g.at);
        }
        if (others.length === 0) expect(at).toEqual({ x: own.x, y: own.y, guides: [] });
        expect(aligned({ ...own, x: at.x, y: at.y }, others)).toMatchObject({ x: at.x, y: at.y });
      }),
      { seed: 21, numRuns: 400 },
    );
  });
});

describe("labels placed by hand", () => {
  it("on each other are pointed out, others are not", () => {
    const t = seededTimeline(12, 3, "spread", "true", 0);
    const ids = [...t.events.keys()];
    const far = { along: 5_000, across: 200 };
    const both = withSpot(withSpot(t, ids[2]!, far), ids[7]!, far);
    expect(meetingHands(partsOf(chartOf(both, FRAME))).map((p) => p.sort())).toEqual([[ids[2], ids[7]].sort()]);
    const apart = withSpot(withSpot(t, ids[2]!, far), ids[7]!, { along: -5_000, across: 300 });
    expect(meetingHands(partsOf(chartOf(apart, FRAME)))).toEqual([]);
  });

  it("in a large chart are placed without laying it out anew, exactly as if it had been", () => {
    for (const n of [200, 1_500])
      for (const seed of [1, 2]) {
        const t = seededTimeline(n, seed, "mixed", "balanced");
        const start = chartOf(t, FRAME);
        const labels = partsOf(start)[0]!.content.labels;
        let laid = start.laid;
        let now = t;
        const drawn = (c: Chart) =>
          JSON.stringify(drawView(c, wholeView(groundOf(c.laid.axis, c.laid.layout)), "at rest", null).scene);
        const was = drawn(start);
        const moves: [number, Spot | null][] = [
          [0, { along: -80, across: -60 }],
          [5, { along: 40, across: 150 }],
          [5, { along: 10, across: 90 }],
          [9, { along: -20, across: 220 }],
          [0, null],
          [9, null],
          [5, null],
        ];
        for (const [k, spot] of moves) {
          const i = labels[k % labels.length]!.i;
          now = withSpot(now, start.data.ids[i]!, spot);
          const spots = new Map(laid.data.spots);
          if (spot) spots.set(i, spot);
          else spots.delete(i);
          laid = replaceHands(laid, spots);
          expect(drawn({ ...start, laid, data: laid.data })).toBe(drawn(chartOf(now, FRAME)));
        }
        expect(drawn({ ...start, laid, data: laid.data })).toBe(was);
      }
  });

  it("over the ridge get room there, hide neither its dates nor a roof's title, and put back leave the drawing as it was", () => {
    const t = seededTimeline(20, 6, "spread", "true", 0);
    const id = [...t.events.keys()][9]!;
    const over = chartOf(withSpot(t, id, { along: -40, across: -120 }), FRAME);
    const part = partsOf(over)[0]!;
    const l = part.content.labels.find((x) => part.laid.data.ids[x.i] === id)!;
    const { layout } = over.laid;
    expect(l.y).toBeGreaterThanOrEqual(0);
    expect(l.y + l.h).toBeLessThan(layout.ridgeTop);
    const onIt = partsOf(chartOf(withSpot(t, id, { along: -40, across: -10 }), FRAME))[0]!;
    const m = onIt.content.labels.find((x) => onIt.laid.data.ids[x.i] === id)!;
    const at = onIt.laid.layout;
    expect(m.y + m.h < at.ridgeTop || m.y > at.ridgeTop + at.ridge).toBe(true);
    // All moved down alike: nothing else has changed its place against the ridge.
    const plain = partsOf(chartOf(t, FRAME))[0]!;
    for (const p of plain.content.labels) {
      const now = part.content.labels.find((x) => x.i === p.i)!;
      if (p.i !== l.i) expect(now.y - layout.ridgeTop).toBe(p.y - plain.laid.layout.ridgeTop);
    }
  });

  it("on the title beside a roof send it onto the roof, cut if need be, or let it wait; never both in one place", () => {
    const t = typedTimeline(
      [
        ["1700 - 1720", "The bridge keeper's house on the east bank"],
        ["1760", "Toll"],
        ["1900", "Last"],
      ],
      "true",
    );
    const id = [...t.events.values()].find((e) => e.title === "Toll")!.id;
    const seen = (spot: Spot | null) => {
      const part = partsOf(chartOf(withSpot(t, id, spot), FRAME))[0]!;
      const label = part.content.labels.find((l) => part.laid.data.ids[l.i] === id)!;
      return { roof: part.content.roofs[0]!, label };
    };
    expect(seen(null).roof.title).toMatchObject({ on: false });
    const states = new Set<string>();
    for (let along = -260; along < 40; along += 20) {
      const { roof, label } = seen({ along, across: -80 });
      states.add(!roof.title ? "waits" : roof.title.on ? "on" : "beside");
      const { title } = roof;
      if (title)
        expect(
          title.x >= label.x + label.w ||
            title.x + title.w <= label.x ||
            label.y > roof.y1 ||
            label.y + label.h < roof.y0,
        ).toBe(true);
      if (title?.on) expect(title.x + title.w).toBeLessThanOrEqual(roof.x1);
    }
    expect([...states].sort()).toEqual(["beside", "on", "waits"]);
  });

  it("count in the orientation they were placed in", () => {
    const t = seededTimeline(10, 3, "spread", "true", 0);
    const id = [...t.events.keys()][4]!;
    const placed = withSpot(t, id, { along: -40, across: 120 });
    const upright = (x: Timeline) =>
      partsOf(chartOf(x, { width: 420, height: 900 }, { upright: true }))[0]!.content.labels;
    expect(upright(placed)).toEqual(upright(t));
    expect(upright(withSpot(t, id, { along: -40, across: 120, upright: true }))).not.toEqual(upright(t));
  });
});

describe("the place in the order that is pointed at", () => {
  it("is after what stands before it, or before the first", () => {
    const chart = chartOf(seededTimeline(4, 2, "spread", "even", 0), FRAME);
    const { data } = chart;
    const at = [100, 200, 300, 400];
    expect(neighbourAt(data, at, data.ids[3]!, 250)).toEqual({ id: data.ids[1], side: "after" });
    expect(neighbourAt(data, at, data.ids[3]!, 20)).toEqual({ id: data.ids[0], side: "before" });
    expect(neighbourAt(data, at, data.ids[1]!, 250)).toEqual({ id: data.ids[0], side: "after" });
  });
});
