import { describe, expect, it } from "vitest";
import { typedTimeline } from "../../testing/seeded-timeline";
import { emptyCategory, emptyItem, type Timeline, type TimelineEvent } from "../../timeline/timeline";
import { chartData, shownEvents } from "../data/chart-data";
import { type Chart, chartOf } from "../frame/chart";
import { drawChart, drawView } from "../draw/draw-chart";
import { groundOf } from "../frame/layout";
import { targetsOf } from "../draw/targets";
import { toSvg } from "../draw/to-svg";
import { wholeView, zoomed } from "../axis/view";

const FRAME = { width: 1_200, height: 620 };

/** A timeline of lines "when | title | part of", with parts and other fields set by title. */
function withParts(
  lines: readonly string[],
  scale: Timeline["scale"] = "true",
  set: Record<string, Partial<TimelineEvent>> = {},
): Timeline {
  const cells = lines.map((l) => l.split("|").map((c) => c.trim()));
  const t = typedTimeline(
    cells.map(([when, title]) => [when!, title!] as [string, string]),
    scale,
  );
  const byTitle = new Map([...t.events.values()].map((e) => [e.title, e]));
  const events = new Map(t.events);
  for (const [k, [, title, whole]] of cells.entries()) {
    const e = [...t.events.values()][k]!;
    events.set(e.id, { ...e, partOf: whole ? byTitle.get(whole)!.id : null, ...set[title!] });
  }
  return { ...t, events };
}

const CENTURIES = ["1604 | Ferry", "1702 - 1766 | Timber bridge", "1931 | Last crossing"];
const NIGHT = [
  "14 Nov 1872 - 15 Nov 1872 | Night",
  "14 Nov 1872 16:00 | Rain | Night",
  "14 Nov 1872 22:10 | Quay | Night",
  "15 Nov 1872 01:45 | Boats | Night",
];

const titles = (c: Chart) => c.closeUps.map((k) => c.data.titles[k.whole]);
const onMain = (c: Chart) => c.laid.data.titles;
const svg = (t: Timeline, o = {}) => toSvg(drawChart(t, FRAME, o), { pictureUrl: () => null });

describe("a close-up opens", () => {
  it("by itself when its parts would fall within 60 px, and takes them off the main ridge", () => {
    const c = chartOf(withParts([...CENTURIES, ...NIGHT]), FRAME);
    expect(titles(c)).toEqual(["Night"]);
    expect(onMain(c)).toEqual(["Ferry", "Timber bridge", "Night", "Last crossing"]);
    expect(c.closeUps[0]!.laid.data.titles).toEqual(["Rain", "Quay", "Boats"]);
  });

  it("not where there is room for them", () => {
    expect(titles(chartOf(withParts([...CENTURIES, ...NIGHT], "even"), FRAME))).toEqual([]);
    expect(titles(chartOf(withParts(NIGHT), FRAME))).toEqual([]);
  });

  it("not for a single part, unless its author says so", () => {
    const lines = [...CENTURIES, ...NIGHT.slice(0, 2)];
    expect(titles(chartOf(withParts(lines), FRAME))).toEqual([]);
    expect(titles(chartOf(withParts(lines, "true", { Night: { closeUp: "open" } }), FRAME))).toEqual(["Night"]);
  });

  it.each([
    ["auto", "closed", []],
    ["auto", "open", ["Night"]],
    ["all", "closed", ["Night"]],
    ["none", "open", []],
  ] as const)("%s, with %s set", (closeUps, closeUp, expected) => {
    const t = withParts([...CENTURIES, ...NIGHT], "true", { Night: { closeUp } });
    expect(titles(chartOf(t, FRAME, { closeUps }))).toEqual(expected);
  });

  it("never in rows, and never in the strip above what is read", () => {
    const t = withParts([...CENTURIES, ...NIGHT], "true", { Night: { closeUp: "open" } });
    expect(titles(chartOf(t, FRAME, { rows: { folded: new Set() } }))).toEqual([]);
    expect(titles(chartOf(t, FRAME, { strip: true }))).toEqual([]);
  });
});

describe("close-ups", () => {
  const NESTED = [
    ...CENTURIES,
    ...NIGHT,
    "14 Nov 1872 21:00 - 23:00 | Fall | Night",
    "14 Nov 1872 21:10 | First arch | Fall",
    "14 Nov 1872 22:20 - 14 Nov 1872 22:50 | Toll house | Fall",
    "14 Nov 1872 22:25 | Roof | Toll house",
    "14 Nov 1872 22:30 - 14 Nov 1872 22:40 | Cellar | Toll house",
    "14 Nov 1872 22:35 | Barrel | Cellar",
  ];

  it("within each other go three levels deep, the innermost highest; what is deeper stays on the third's ridge", () => {
    const c = chartOf(withParts(NESTED), FRAME, { closeUps: "all" });
    const found = c.closeUps.map((k) => [c.data.titles[k.whole], k.level, k.parent]);
    expect(found).toEqual([
      ["Toll house", 3, 1],
      ["Fall", 2, 2],
      ["Night", 1, -1],
    ]);
    const [top, middle, bottom] = c.closeUps;
    expect(top!.laid.data.titles).toEqual(["Roof", "Cellar", "Barrel"]);
    expect(top!.y + top!.h).toBeLessThan(middle!.y);
    expect(middle!.y + middle!.h).toBeLessThan(bottom!.y);
    expect(bottom!.y + bottom!.h).toBeLessThan(c.top);
  });

  it("that are adjacent or overlap stand side by side, and never on each other", () => {
    const lines = [1, 2, 3, 4, 5, 6, 7].flatMap((n) => [
      `${n} Nov 1872 - ${n + 1} Nov 1872 | Day ${n}`,
      `${n} Nov 1872 08:00 | Morning ${n} | Day ${n}`,
      `${n} Nov 1872 20:00 | Evening ${n} | Day ${n}`,
    ]);
    for (const width of [320, 700, 1_200, 1_920]) {
      const c = chartOf(withParts([...CENTURIES, ...lines]), { width, height: 500 });
      expect(titles(c).sort()).toEqual([1, 2, 3, 4, 5, 6, 7].map((n) => `Day ${n}`));
      for (const [k, a] of c.closeUps.entries()) {
        expect(a.x).toBeGreaterThanOrEqual(0);
        expect(a.x + a.w).toBeLessThanOrEqual(width);
        for (const b of c.closeUps.slice(k + 1))
          expect(a.x + a.w <= b.x || b.x + b.w <= a.x || a.y + a.h <= b.y || b.y + b.h <= a.y).toBe(true);
      }
    }
  });

  it("that are empty, or whose parts are all hidden or deleted, are none", () => {
    const open = { Night: { closeUp: "open" as const } };
    expect(titles(chartOf(withParts([...CENTURIES, NIGHT[0]!], "true", open), FRAME, { closeUps: "all" }))).toEqual([]);
    const gone = Object.fromEntries(["Rain", "Quay", "Boats"].map((k) => [k, { deleted: true }]));
    expect(titles(chartOf(withParts([...CENTURIES, ...NIGHT], "true", { ...open, ...gone }), FRAME))).toEqual([]);
    const hidden = Object.fromEntries(["Rain", "Quay", "Boats"].map((k) => [k, { category: "x" }]));
    const t = withParts([...CENTURIES, ...NIGHT], "true", { ...open, ...hidden });
    expect(titles(chartOf(t, FRAME, { hidden: new Set(["x"]) }))).toEqual([]);
  });

  it("whose whole is hidden leave their parts on the ridge", () => {
    const t = withParts([...CENTURIES, ...NIGHT], "true", { Night: { category: "x", closeUp: "open" } });
    expect(onMain(chartOf(t, FRAME, { hidden: new Set(["x"]) }))).toContain("Quay");
  });

  it("carry letters in the order of time, the same on roof and ring, open or closed", () => {
    const lines = Array.from({ length: 28 }, (_, n) => [
      `${1500 + 10 * n} - ${1508 + 10 * n} | Whole ${n}`,
      `${1503 + 10 * n} | Part ${n} | Whole ${n}`,
    ]).flat();
    const c = chartOf(withParts(lines), FRAME, { closeUps: "none" });
    const letters = c.data.letters.filter(Boolean);
    expect(letters.slice(0, 3)).toEqual(["A", "B", "C"]);
    expect(letters.slice(25)).toEqual(["Z", "AA", "AB"]);
    const open = drawChart(withParts([...CENTURIES, ...NIGHT]), FRAME).shapes;
    const ring = open.filter((s) => s.kind === "text" && s.text === "A");
    expect(ring).toHaveLength(2);
  });

  it("closed again leave no trace", () => {
    const t = withParts([...CENTURIES, ...NIGHT], "true", { Night: { closeUp: "closed" } });
    const was = svg(t);
    const open = withParts([...CENTURIES, ...NIGHT], "true", { Night: { closeUp: "open" } });
    expect(svg(open)).not.toBe(was);
    expect(svg(withParts([...CENTURIES, ...NIGHT], "true", { Night: { closeUp: "closed" } }))).toBe(was);
    expect(svg(t)).toBe(svg(open, { closeUps: "none" }));
  });

  it("hold still while the main ridge is zoomed", () => {
    const c = chartOf(withParts([...CENTURIES, ...NIGHT]), FRAME);
    const g = groundOf(c.laid.axis, c.laid.layout);
    const inside = (view: ReturnType<typeof wholeView>) => {
      const { x, y, w, h } = c.closeUps[0]!;
      return targetsOf(c, drawView(c, view, "at rest", null).parts).filter(
        (t) => t.x >= x && t.x + t.w <= x + w && t.y >= y && t.y + t.h <= y + h,
      );
    };
    const before = inside(wholeView(g));
    expect(before.length).toBeGreaterThanOrEqual(4);
    let view = wholeView(g);
    for (let k = 0; k < 20; k++) {
      view = zoomed(g, view, 300, 1.7);
      expect(inside(view)).toEqual(before);
    }
  });

  it.each([true, false])(
    "show every event once, and name themselves with what pressing does (upright: %s)",
    (upright) => {
      const t = withParts(NESTED);
      const frame = upright ? { width: 390, height: 900 } : FRAME;
      const c = chartOf(t, frame, { closeUps: "all", upright });
      const targets = targetsOf(c, drawView(c, wholeView(groundOf(c.laid.axis, c.laid.layout)), "at rest", null).parts);
      const events = targets.filter((x) => x.kind === "event").flatMap((x) => x.ids);
      expect(new Set(events).size).toBe(events.length);
      const counted = targets.filter((x) => x.kind === "more").flatMap((x) => x.ids);
      expect([...events, ...counted].sort()).toEqual([...t.events.keys()].sort());
      const named = targets.filter((x) => x.kind === "close-up").map((x) => x.name);
      expect(named).toContain("Close-up A of Night, 4 parts, open");
      expect(named.filter((n) => n.endsWith("open"))).toHaveLength(3);
    },
  );

  it("can be reached by their parts however crowded the chart is", () => {
    const many = Array.from({ length: 400 }, (_, n) => `${1500 + n} | Event ${n}`);
    const t = withParts([...many, ...NIGHT], "true", { Night: { closeUp: "open" } });
    const c = chartOf(t, FRAME);
    const view = wholeView(groundOf(c.laid.axis, c.laid.layout));
    const targets = targetsOf(c, drawView(c, view, "at rest", null).parts, true);
    for (const title of ["Rain", "Quay", "Boats"])
      expect(targets.some((x) => x.kind === "event" && x.name.includes(`, ${title}, event`))).toBe(true);
    expect(targets.filter((x) => x.kind === "event").length).toBeLessThanOrEqual(150);
  });

  it("draw a part without a category like its whole, however deep, and one with a category as that says", () => {
    const t = typedTimeline([
      ["1840 - 1880", "Rail"],
      ["1850 - 1860", "Line"],
      ["1855", "Cutting"],
      ["1858", "Strike"],
      ["1900", "Else"],
    ]);
    const [rail, line, cutting, strike, other] = [...t.events.values()];
    const events = [
      { ...rail!, category: "c" },
      { ...line!, partOf: rail!.id },
      { ...cutting!, partOf: line!.id },
      { ...strike!, partOf: line!.id, category: "d" },
      other!,
    ];
    const categories = new Map([
      ["c", { ...emptyCategory("c"), place: "a1" }],
      ["d", { ...emptyCategory("d"), place: "a2" }],
    ]);
    const made: Timeline = { ...t, categories, events: new Map(events.map((e) => [e.id, e])) };
    const data = chartData(made, shownEvents(made));
    const look = (title: string) => data.look[data.titles.indexOf(title)];
    expect(["Rail", "Line", "Cutting", "Strike", "Else"].map(look)).toEqual([1, 1, 1, 2, 0]);
  });

  it("say the times of a span that lies within a night too", () => {
    const t = typedTimeline([
      ["14 Nov 1872 22:50 - 15 Nov 1872 00:40", "Fall"],
      ["14 Nov 1872 20:00", "Bell"],
    ]);
    const data = chartData(t, shownEvents(t));
    expect(data.withinDays).toBe(true);
    expect([...data.shortDates].sort()).toEqual(["20:00", "22:50 – 00:40"]);
  });

  it("have the whole's own beginning and end on their ridge, and times instead of dates within a night", () => {
    const c = chartOf(withParts([...CENTURIES, ...NIGHT]), FRAME);
    expect([c.closeUps[0]!.words.first, c.closeUps[0]!.words.last]).toEqual(["14 Nov 1872", "15 Nov 1872"]);
    expect(c.closeUps[0]!.laid.data.dates).toEqual(["16:00", "22:10", "01:45"]);
  });
});

describe("a short title", () => {
  it("keeps the line breaks its author typed, on labels; a roof has one line", () => {
    const lines = ["1700 | Toll house", "1800 - 1890 | Long bridge", "1900 | Ferry"];
    const t = withParts(lines, "true", {
      "Toll house": { shortTitle: "Toll\nhouse" },
      "Long bridge": { shortTitle: "Long\nbridge" },
    });
    const texts = drawChart(t, FRAME).shapes.flatMap((s) => (s.kind === "text" ? [s.text] : []));
    expect(texts).toContain("Toll");
    expect(texts).toContain("house");
    expect(texts).toContain("Long bridge");
  });
});

describe("project use", () => {
  const LINES = ["1 Sep 2026 - 9 Oct 2026 | Gather", "5 Oct 2026 - 20 Nov 2026 | Write", "14 Dec 2026 | Hand in"];

  it("fills a roof as far as it is done, and says so", () => {
    for (const done of [0, 25, 100]) {
      const t = withParts(LINES, "true", { Gather: { done } });
      const scene = drawChart(t, { width: 1_000, height: 300 });
      const target = scene.targets.find((x) => x.name.includes("Gather"))!;
      expect(target.name).toContain(`${done} percent done`);
      const { colour } = chartOf(t, FRAME).data.looks[0]!;
      const filled = scene.shapes.filter(
        (s) => s.kind === "area" && s.fill === colour && s.points[1] === target.y + target.h,
      );
      const widest = Math.max(
        0,
        ...filled.map((s) =>
          s.kind === "area" ? Math.max(...s.points.filter((_, k) => k % 2 === 0)) - s.points[0]! : 0,
        ),
      );
      expect(widest).toBeCloseTo((target.w * done) / 100, 0);
    }
  });

  it("says how long spans last, when asked to", () => {
    const t = { ...withParts(LINES), lengths: true };
    expect(chartOf(t, FRAME).data.titles).toEqual(["Gather, 6 weeks", "Write, 7 weeks", "Hand in"]);
  });

  it("shows today where the ridge has it, and only when asked to", () => {
    const today = { day: 740_310, second: 0 };
    const has = (t: Timeline, o = {}) =>
      drawChart(t, FRAME, o).shapes.some((s) => s.kind === "text" && s.text === "today");
    const t = { ...withParts(LINES), today: true };
    expect(has(t, { today })).toBe(true);
    expect(has({ ...t, today: false }, { today })).toBe(false);
    expect(has(t)).toBe(false);
    expect(has(t, { today: { day: 0, second: 0 } })).toBe(false);
  });
});

describe("where a close-up would leave too little room for pictures", () => {
  const SMALL = { width: 1_200, height: 420 };
  const seen = { ...emptyItem("p"), of: "e000", list: "media" as const, kind: "picture" as const, media: "m" };
  const pictured = (of: Timeline): Timeline => ({ ...of, items: new Map([["p", seen]]) });
  const t = pictured(withParts([...CENTURIES, ...NIGHT]));
  const gathered = (of: Timeline, frame = SMALL, seen: string | null = null) =>
    chartOf(pictured(of), frame, { gather: { seen } });

  it("its parts are gathered in it, which says how many there are; its letter opens it", () => {
    const c = gathered(t);
    expect(titles(c)).toEqual([]);
    expect(onMain(c)).toEqual(["Ferry", "Timber bridge", "Night (3 parts)", "Last crossing"]);
    expect([...c.gathered].map(([w, parts]) => [c.data.titles[w], parts.map((i) => c.data.titles[i])])).toEqual([
      ["Night", ["Rain", "Quay", "Boats"]],
    ]);
    const view = wholeView(groundOf(c.laid.axis, c.laid.layout));
    const targets = targetsOf(c, drawView(c, view, "at rest", null).parts);
    expect(targets.filter((x) => x.kind === "close-up").map((x) => x.name)).toEqual([
      "Close-up A of Night, 3 parts, closed",
    ]);
  });

  it("unless one of them must be seen, its author opened it, or there is room", () => {
    const boats = [...t.events.values()].find((e) => e.title === "Boats")!.id;
    expect(titles(gathered(t, SMALL, boats))).toEqual(["Night"]);
    expect(titles(gathered(withParts([...CENTURIES, ...NIGHT], "true", { Night: { closeUp: "open" } })))).toEqual([
      "Night",
    ]);
    expect(titles(gathered(t, { width: 1_200, height: 800 }))).toEqual(["Night"]);
    expect(titles(chartOf(t, SMALL))).toEqual(["Night"]);
    expect(titles(chartOf({ ...t, items: new Map() }, SMALL, { gather: { seen: null } }))).toEqual(["Night"]);
    expect(titles(chartOf(t, SMALL, { upright: true, gather: { seen: null } }))).toEqual(["Night"]);
  });

  it("with all that is part of its parts", () => {
    const deep = withParts([
      ...CENTURIES,
      ...NIGHT,
      "14 Nov 1872 22:50 - 23:25 | Fall | Night",
      "14 Nov 1872 23:00 | Arch | Fall",
      "14 Nov 1872 23:05 | Arch two | Fall",
    ]);
    const c = gathered(deep);
    expect(onMain(c)).toEqual(["Ferry", "Timber bridge", "Night (4 parts)", "Last crossing"]);
  });
});
