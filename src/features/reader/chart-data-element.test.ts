import { describe, expect, it } from "vitest";
import { textOfLabel } from "@/core/chart/draw/draw-labels";
import { chartOf } from "@/core/chart/frame/chart";
import { drawChart } from "@/core/chart/draw/draw-chart";
import { uprightLength } from "@/core/chart/frame/layout";
import { toFrozen } from "@/core/formats/frozen";
import { seededTimeline, studentTimeline } from "@/core/testing/seeded-timeline";
import { descriptionFrom } from "@/core/text/write-description";
import { readWhen } from "@/core/time/read/read-when";
import { NO_DAY, UNDATED } from "@/core/time/when";
import type { Colour, Pattern } from "@/core/timeline/looks";
import {
  emptyCategory,
  emptyEvent,
  emptyItem,
  emptyTimeline,
  type Item,
  type Timeline,
  type TimelineEvent,
} from "@/core/timeline/timeline";
import { chartDataText, readChartData } from "./chart-data-element";
import { DEMO, type DemoTimeline } from "../../../scripts/demo/world";

/** A timeline of the demo, as its editor has it. */
function demoTimeline(demo: DemoTimeline): Timeline {
  const id = (title: string) => `e${demo.events.findIndex((e) => e.title === title)}`;
  const events = demo.events.map(
    (e, i): TimelineEvent => ({
      ...emptyEvent(`e${i}`),
      title: e.title,
      shortTitle: e.short ?? "",
      when: e.when
        ? readWhen(e.when, demo.hours ? { day: NO_DAY } : {})
        : { ...UNDATED, place: { after: i > 0 ? `e${i - 1}` : null, key: "a0" } },
      category: e.category ?? null,
      partOf: e.partOf ? id(e.partOf) : null,
      emphasis: e.important ?? false,
      sign: e.sign ?? "",
      closeUp: e.closeUp ?? "",
      done: e.done ?? null,
      spot: e.spot ?? null,
      description: e.text ? descriptionFrom(e.text, i + 1) : new Uint8Array(0),
    }),
  );
  const items = demo.events.flatMap((e, i): Item[] => {
    const item = (key: string, part: Partial<Item>): Item => ({
      ...emptyItem(`${key}${i}`),
      of: `e${i}`,
      place: key,
      ...part,
    });
    const media = (key: string, part: Partial<Item>) => item(key, { list: "media", media: `${key}${i}`, ...part });
    return [
      ...(e.picture ? [media("p", { kind: "picture", width: 960, height: 600, text: e.picture.shows })] : []),
      ...(e.film ? [media("f", { kind: "video", width: 960, height: 600, text: e.film.title })] : []),
      ...(e.sound ? [media("s", { kind: "sound", text: e.sound.title })] : []),
      ...(e.source ? [item("q", { list: "source", text: JSON.stringify(e.source) })] : []),
      ...(e.link ? [item("l", { list: "link", ...e.link })] : []),
    ];
  });
  const categories = demo.categories.map(([name, colour, pattern], i) => ({
    ...emptyCategory(name),
    name,
    colour: colour as Colour,
    pattern: pattern as Pattern,
    place: `a${i}`,
  }));
  return {
    ...emptyTimeline("demo"),
    title: demo.title,
    scale: demo.scale ?? "balanced",
    gridlines: demo.gridlines ?? false,
    marks: demo.marks ?? null,
    lengths: demo.lengths ?? false,
    timesOn: demo.hours ? UNDATED : null,
    events: new Map(events.map((e) => [e.id, e])),
    items: new Map(items.map((i) => [i.id, i])),
    categories: new Map(categories.map((c) => [c.id, c])),
  };
}

const FRAMES = [
  { width: 1_280, height: 800 },
  { width: 1_280, height: 420 },
  { width: 390, height: 844 },
];

/** What a reader sees of it in a frame, and what its editor sees there. */
function both(timeline: Timeline, { width, height }: { width: number; height: number }) {
  const upright = width < 560;
  const frame = { width, height: upright ? Math.max(height, uprightLength(timeline.events.size)) : height };
  const options = { upright, gather: { seen: null } };
  const reader = readChartData(chartDataText(toFrozen(timeline), "hyperlegible"));
  return [drawChart(reader, frame, options), drawChart(timeline, frame, options)] as const;
}

describe("a reader sees what its editor sees in the same frame", () => {
  it.each(DEMO.map((d) => [d.title, d] as const))("%s", (_, demo) => {
    for (const frame of FRAMES) {
      const [reader, editor] = both(demoTimeline(demo), frame);
      expect(reader).toEqual(editor);
    }
  });

  it.each(DEMO.map((d) => [d.title, d] as const))("on a phone all words of %s are whole", (_, demo) => {
    const timeline = demoTimeline(demo);
    for (const width of [360, 390]) {
      const frame = { width, height: Math.max(844, uprightLength(timeline.events.size)) };
      const chart = chartOf(timeline, frame, { upright: true });
      for (const { laid } of [chart, ...chart.closeUps])
        for (const i of laid.layout.byApex) {
          const { date, lines } = textOfLabel(laid, i);
          expect([date, ...lines].filter((text) => text.endsWith("…"))).toEqual([]);
        }
    }
  });

  it("of 200 seeded timelines", () => {
    for (let n = 0; n < 200; n++) {
      const kind = (["spread", "busy", "deep", "same", "mixed"] as const)[n % 5]!;
      const t =
        n % 2 === 0 ? studentTimeline(4 + (n % 30), n) : seededTimeline([8, 40, 150][n % 3]!, n, kind, "balanced");
      const [first] = t.events.keys();
      const said = { ...t.events.get(first!)!, description: descriptionFrom([`In the year ${n} the water rose.`], n) };
      const [reader, editor] = both({ ...t, events: new Map(t.events).set(first!, said) }, FRAMES[n % 3]!);
      expect([n, reader]).toEqual([n, editor]);
    }
  });
});
