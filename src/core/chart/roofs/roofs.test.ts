import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { seededTimeline, typedTimeline } from "../../testing/seeded-timeline";
import type { Timeline } from "../../timeline/timeline";
import { OUTER_END, OUTER_START, SPAN_KIND } from "../data/chart-data";
import { type Chart, chartOf } from "../frame/chart";
import { drawChart } from "../draw/draw-chart";
import { frameContent } from "../frame/frame";
import { groundOf } from "../frame/layout";
import { overLine } from "../draw/draw-roofs";
import { titleBox } from "../frame/shown";
import { meet } from "../../testing/boxes";
import { RowIndex } from "../labels/row-index";
import { wholeView, zoomed } from "../axis/view";
import { arrangeRoofs } from "./arrange-roofs";
import { placeTitles } from "./roof-titles";

const FRAME = { width: 1_200, height: 500 };

/** The greatest number of roofs over one place, counted at every beginning. */
function depthOf({ laid: { data, p } }: Chart): number {
  const spans = Array.from({ length: data.count }, (_, i) => i).filter((i) => data.kind[i] === SPAN_KIND);
  const u = (i: number, k: number) => p.hi[i * 4 + k]! + p.lo[i * 4 + k]!;
  return Math.max(
    0,
    ...spans.map(
      (i) =>
        spans.filter((j) => u(j, OUTER_START) <= u(i, OUTER_START) && (u(j, OUTER_END) > u(i, OUTER_START) || j === i))
          .length,
    ),
  );
}

function content(chart: Chart, factor = 1) {
  const g = groundOf(chart.laid.axis, chart.laid.layout);
  return frameContent(chart.laid, factor === 1 ? wholeView(g) : zoomed(g, wholeView(g), 600, factor), "at rest");
}

describe("roofs", () => {
  it("of large charts take as many rows as there are at the busiest instant, and none that certainly share time share a row", () => {
    for (const kind of ["spread", "busy"] as const)
      for (const [n, seed] of [
        [100, 1],
        [300, 2],
        [1_000, 3],
      ] as const) {
        const chart = chartOf(seededTimeline(n, seed, kind, "true", 0.5), FRAME);
        const deep = depthOf(chart);
        // Where slopes meet, spans that touch share a row.
        if (n === 1_000) expect(chart.laid.layout.roofRows).toBe(deep);
        else expect(chart.laid.layout.roofRows).toBeLessThanOrEqual(deep);
        for (const factor of [1, 7]) {
          const rows = new Map<number, [number, number][]>();
          for (const r of content(chart, factor).roofs) rows.set(r.y0, [...(rows.get(r.y0) ?? []), [r.top0, r.top1]]);
          for (const list of rows.values()) {
            list.sort((a, b) => a[0] - b[0]);
            for (let i = 1; i < list.length; i++) expect(list[i]![0]).toBeGreaterThanOrEqual(list[i - 1]![1] - 0.51);
          }
        }
      }
  });

  it("of spans that only touch, or overlap within the doubt about their ends, stand in one row", () => {
    const rows = (...lines: [string, string][]) => chartOf(typedTimeline(lines, "true"), FRAME).laid.layout.roofRows;
    expect(rows(["1700 - 1745", "A"], ["1745 - 1790", "B"], ["1790 - 1850", "C"])).toBe(1);
    expect(rows(["1 Jan 1700 - 3 May 1745", "A"], ["3 May 1745 - 1 Jan 1790", "B"])).toBe(1);
    expect(rows(["1700 - 1747", "A"], ["1745 - 1790", "B"])).toBe(2);
    // The slope of the 1740s would lie on the first one's flat top.
    expect(rows(["1700 - 1745", "A"], ["1740s - 1790", "B"])).toBe(2);
    expect(rows(["1700 - 1745", "A"], ["1700 - 1745", "B"])).toBe(2);
    expect(rows(["1700 - 1701", "A"], ["1701 - 1702", "B"])).toBeLessThanOrEqual(2);
  });

  it("of small charts all have their title to be read, however they lie", () => {
    let [shown, whole] = [0, 0];
    for (let seed = 0; seed < 30; seed++) {
      const chart = chartOf(seededTimeline(30, seed, "spread", "balanced", 0.4), FRAME);
      for (const r of content(chart).roofs) {
        whole++;
        if (r.title && r.title.cut === null) shown++;
      }
    }
    expect(shown / whole).toBeGreaterThan(0.95);
  });

  it("a thousand deep need more height, and get it", () => {
    const lines = Array.from({ length: 1_000 }, (_, i): [string, string] => [`1700 - ${1800 + (i % 90)}`, `Span ${i}`]);
    const scene = drawChart(typedTimeline(lines, "true"), FRAME);
    expect(scene.height).toBeGreaterThan(1_000);
    expect(scene.height).toBeLessThan(6_000);
  });

  it.each<[string, [string, string][]]>([
    [
      "without length",
      [
        ["1800 - 1800", "a"],
        ["1801", "b"],
      ],
    ],
    [
      "that end before they begin",
      [
        ["1850 - 1800", "a"],
        ["1900", "b"],
      ],
    ],
    [
      "open at either end and at both",
      [
        ["from 1800", "a"],
        ["until 1850", "b"],
        ["1700 - 1900", "c"],
      ],
    ],
    [
      "whose doubt about the start reaches past the end",
      [
        ["about 1800 - 1802", "a"],
        ["1700", "b"],
      ],
    ],
    [
      "that touch",
      [
        ["1800 - 1810", "a"],
        ["1811 - 1820", "b"],
        ["1821 - 1830", "c"],
      ],
    ],
    [
      "that cover everything",
      [
        ["1600 - 1931", "a"],
        ["1700", "b"],
        ["1600 - 1931", "c"],
      ],
    ],
    [
      "from one BC to AD one",
      [
        ["1 BC - AD 1", "a"],
        ["50 BC", "b"],
      ],
    ],
  ])("%s are drawn, finite and within the frame", (_, lines) => {
    for (const scale of ["true", "balanced", "even"] as const)
      for (const width of [320, 1_200]) {
        const chart = chartOf(typedTimeline(lines, scale), { width, height: 400 });
        for (const factor of [1, 40]) {
          const c = content(chart, factor);
          for (const r of c.roofs) {
            for (const v of [r.x0, r.x1, r.top0, r.top1, r.y0, r.y1]) expect(Number.isFinite(v)).toBe(true);
            expect(r.x1).toBeGreaterThanOrEqual(r.x0);
            expect(r.top0).toBeLessThanOrEqual(r.top1);
            expect(r.top0).toBeGreaterThanOrEqual(r.x0 - 1e-6);
            expect(r.top1).toBeLessThanOrEqual(r.x1 + 1e-6);
          }
          if (factor === 1) expect(c.roofs.length).toBe(chart.laid.data.kind.filter((k) => k === SPAN_KIND).length);
        }
      }
  });

  it("keep their title in sight while they run on to the left", () => {
    const chart = chartOf(
      typedTimeline(
        [
          ["1600 - 1931", "Barge trade"],
          ["1700", "b"],
          ["1850", "c"],
        ],
        "true",
      ),
      FRAME,
    );
    const g = groundOf(chart.laid.axis, chart.laid.layout);
    const [roof] = frameContent(chart.laid, zoomed(g, wholeView(g), 900, 6), []).roofs;
    expect(roof!.x0).toBeLessThan(0);
    expect(roof!.title!.x).toBeGreaterThan(0);
    expect(roof!.title!.x).toBeLessThan(30);
  });
});

describe("titles that have no room on or beside their roofs", () => {
  const keepers = (n: number, years = 5): Timeline =>
    typedTimeline(
      Array.from({ length: n }, (_, i): [string, string] => [
        `${1700 + i * years} - ${1700 + (i + 1) * years}`,
        `Toll keeper ${i}`,
      ]),
    );

  it.each([
    [31, 1_280, 800],
    [31, 1_280, 420],
    [24, 900, 500],
  ])("of %i one after the other stand over them on lines, in %i x %i px, all whole", (n, width, height) => {
    const chart = chartOf(keepers(n), { width, height });
    const { roofs } = content(chart);
    expect(new Set(roofs.map((r) => r.y0)).size).toBeLessThanOrEqual(2);
    expect(roofs.filter((r) => r.title?.cut === null)).toHaveLength(n);
    expect(roofs.filter((r) => r.title?.over).length).toBeGreaterThan(n / 2);
    for (const r of roofs) {
      const b = titleBox(r, r.title!);
      expect([b.x >= 0, b.x + b.w <= width, b.y >= 0]).toEqual([true, true, true]);
    }
  });

  it("meet no other title, and no line runs through one, at any zoom", () => {
    const busy = typedTimeline([
      ...Array.from({ length: 14 }, (_, i): [string, string] => [
        `${1700 + i * 4} - ${1704 + i * 4}`,
        `Keeper ${i} of the toll`,
      ]),
      ["1600 - 1690", "Ferry"],
      ["1722 - 1726", "Flood"],
      ["1790 - 1880", "Bridge"],
    ]);
    let over = 0;
    for (const t of [keepers(31), keepers(18, 3), busy]) {
      const chart = chartOf(t, { width: 1_280, height: 500 });
      for (const factor of [1, 1.3, 2, 3.1, 5, 9, 30]) {
        const shown = content(chart, factor).roofs.filter((r) => r.title !== null);
        const boxes = shown.map((r) => titleBox(r, r.title!));
        for (const [k, r] of shown.entries()) {
          for (const b of boxes.slice(k + 1)) expect(meet(boxes[k]!, b)).toBe(false);
          if (!r.title!.over) continue;
          over++;
          const points = overLine(r, r.title!.over);
          for (let n = 2; n < points.length; n += 2) {
            const [x, y0, y1] = [
              points[n]!,
              Math.min(points[n - 1]!, points[n + 1]!),
              Math.max(points[n - 1]!, points[n + 1]!),
            ];
            if (points[n - 2] !== x) continue;
            for (const [j, b] of boxes.entries())
              if (j !== k && x > b.x && x < b.x + b.w && y0 < b.y + b.h && b.y < y1)
                throw new Error(`${factor}: the line of ${k} runs through the title of ${j}`);
          }
        }
      }
    }
    expect(over).toBeGreaterThan(100);
  });

  it("are not moved over their roofs where a row or two more show them all", () => {
    const few = typedTimeline([
      ["1700 - 1710", "Timber bridge is built"],
      ["1702 - 1712", "Stone bridge is built"],
      ["1900 - 1910", "Viaduct is built"],
    ]);
    for (const r of content(chartOf(few, FRAME)).roofs)
      expect([r.title?.cut, r.title?.over]).toEqual([null, undefined]);
  });
});

describe("a set of rows", () => {
  it("finds the next and the previous member as a list would", () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.nat(4_000), { maxLength: 60 }), fc.nat(4_000), (members, at) => {
        const index = new RowIndex(4_001);
        for (const m of members) index.add(m);
        const later = members.filter((m) => m > at);
        const earlier = members.filter((m) => m < at);
        expect(index.next(at)).toBe(later.length ? Math.min(...later) : -1);
        expect(index.previous(at)).toBe(earlier.length ? Math.max(...earlier) : -1);
      }),
      { seed: 4, numRuns: 500 },
    );
  });
});

describe("strange titles", () => {
  it.each([
    ["nothing", ""],
    ["emoji", "🌉🌊 flood 👨‍👩‍👧‍👦 night"],
    ["from right to left", "فيضان النهر الكبير في الليل"],
    ["Chinese", "安布雷尔河大洪水之夜的故事与桥梁"],
    ["Devanagari", "नदी में बाढ़ की लंबी रात"],
    ["one word of 200 letters", "x".repeat(200)],
    ["200 letters in words", "flood night ".repeat(17)],
  ])("of %s stay within the frame", (_, title) => {
    const t: Timeline = typedTimeline(
      Array.from({ length: 12 }, (_, i): [string, string] => [
        i % 3 === 0 ? `${1700 + i * 9} - ${1706 + i * 9}` : `${1700 + i * 9}`,
        title,
      ]),
    );
    for (const width of [320, 700, 1_280]) {
      const c = content(chartOf(t, { width, height: 600 }));
      for (const l of c.labels) {
        expect(l.x).toBeGreaterThanOrEqual(0);
        expect(l.x + l.w).toBeLessThanOrEqual(width);
      }
      expect(c.labels.length + c.counts.reduce((n, b) => n + b.count, 0)).toBe(8);
    }
  });
});

describe("roofs that changed places", () => {
  it("have their titles where they would stand had the rows been so from the beginning", () => {
    let several = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const { laid } = chartOf(seededTimeline(24, seed, "spread", "true", 0.7), { width: 900, height: 500 });
      const { data, axis, p } = laid;
      const ground = { fit: (900 - 80) / axis.length, pad: 40, size: 900, gables: true, type: 13.5, roof: 26 };
      const { row, depth, titles } = arrangeRoofs(data, axis, p, ground, 6);
      if (depth > 1) several++;
      expect(titles).toEqual(placeTitles(data, p, row, depth, ground, true));
    }
    expect(several).toBeGreaterThan(30);
  });
});
