import { describe, expect, it } from "vitest";
import { chartOf } from "../frame/chart";
import { cropOf } from "../draw/scene";
import { drawChart } from "../draw/draw-chart";
import { textOfLabel } from "../draw/draw-labels";
import { LINK, SOUND, STILL, VIDEO } from "../data/event-media";
import { toSvg } from "../draw/to-svg";
import { studentTimeline, typedTimeline } from "../../testing/seeded-timeline";
import { emptyItem, type Item, type Timeline } from "../../timeline/timeline";

const FRAME = { width: 1_280, height: 800 };
const TEXT = "The water rose nine feet in one night, and the bell of the school was found in June, two miles down.";

const withText = (t: Timeline): Timeline => ({
  ...t,
  firstWords: new Map([...t.events.keys()].map((id) => [id, TEXT])),
});
const labels = (t: Timeline) => {
  const { laid } = chartOf(t, FRAME);
  return Array.from(laid.layout.byApex, (i) => ({ id: laid.data.ids[i]!, ...textOfLabel(laid, i) }));
};
const with2 = (t: Timeline, part: (id: string, k: number) => object): Timeline => ({
  ...t,
  events: new Map([...t.events.values()].map((e, k) => [e.id, { ...e, ...part(e.id, k) }])),
});

describe("first words of descriptions", () => {
  it("stand under titles where there is room, unless the author holds them back; titles and pictures stay", () => {
    let shown = 0;
    for (const seed of [2, 5, 9, 14, 15, 16]) {
      const t = studentTimeline(9, seed);
      const [plain, worded] = [labels(t), labels(withText(t))];
      shown += worded.filter((l) => l.words.length > 0).length;
      expect(worded.map((l) => [l.lines, l.pictureH, l.type])).toEqual(plain.map((l) => [l.lines, l.pictureH, l.type]));
      for (const l of worded) if (l.words.length > 0) expect(TEXT.startsWith(l.words[0]!.replace("…", ""))).toBe(true);
      expect(labels({ ...withText(t), labelWords: "none" })).toEqual(plain);
    }
    expect(shown).toBeGreaterThan(10);
  });

  it("stand on no chart of more than 60 events", () => {
    const many = typedTimeline(Array.from({ length: 61 }, (_, i) => [String(1700 + i), `E${i}`] as [string, string]));
    expect(chartOf(withText(many), FRAME).laid.data.words.some(Boolean)).toBe(false);
    const sixty = { ...many, events: new Map([...many.events].slice(1)) };
    expect(chartOf(withText(sixty), FRAME).laid.data.words.every(Boolean)).toBe(true);
  });
});

describe("a label", () => {
  it("louder than the others has larger type, a quieter one smaller and no large picture", () => {
    for (const seed of [2, 5, 9]) {
      const t = studentTimeline(8, seed);
      const usual = labels(t);
      const first = usual.find((l) => l.picture)!.id;
      const said = (loudness: number) => labels(with2(t, (id) => (id === first ? { loudness } : {})));
      const type = (list: ReturnType<typeof labels>) => list.find((l) => l.id === first)!.type;
      expect(type(said(1))).toBeGreaterThan(
        Math.max(
          ...said(1)
            .filter((l) => l.id !== first)
            .map((l) => l.type),
        ),
      );
      expect(type(said(-1))).toBeLessThan(
        Math.min(
          ...said(-1)
            .filter((l) => l.id !== first)
            .map((l) => l.type),
        ),
      );
      expect(type(said(-1))).toBeGreaterThanOrEqual(12);
    }
  });

  it("louder cuts no title of the others that was whole before", () => {
    const frame = { width: 860, height: 380 };
    const cut = (t: Timeline) => {
      const { laid } = chartOf(t, frame);
      return Array.from(laid.layout.byApex, (i) => textOfLabel(laid, i)).filter((l) => l.lines.at(-1)?.endsWith("…"))
        .length;
    };
    let tried = 0;
    for (let seed = 1; seed <= 30; seed++) {
      const t = studentTimeline(12, seed);
      if (cut(t) > 0) continue;
      tried++;
      const first = [...t.events.keys()][0]!;
      expect([seed, cut(with2(t, (id) => (id === first ? { loudness: 1 } : {})))]).toEqual([seed, 0]);
    }
    expect(tried).toBeGreaterThan(15);
  });

  it("louder on a roof too", () => {
    const t = typedTimeline([
      ["1604 - 1688", "Tolls paid in salt"],
      ["1744 - 1783", "Timber bridge"],
    ]);
    const sizes = (u: Timeline) =>
      drawChart(u, FRAME).shapes.flatMap((s) => (s.kind === "text" && /Tolls|Timber/.test(s.text) ? [s.size] : []));
    const [a, b] = sizes(with2(t, (_, k) => ({ loudness: k === 0 ? 1 : -1 })));
    expect(a!).toBeGreaterThan(sizes(t)[0]!);
    expect(b!).toBeLessThan(sizes(t)[1]!);
  });

  it("says once of undated events that stand together that they have no date yet, and joins them", () => {
    const t = typedTimeline([["1604", "Ferry"]]);
    const undated = (id: string, after: string | null, key: string) => ({
      ...[...t.events.values()][0]!,
      id,
      title: id,
      when: typedUndated(after, key),
    });
    const events = new Map(t.events);
    for (const [id, after, key] of [
      ["a", null, "a0"],
      ["b", "e000", "a0"],
      ["c", "e000", "a1"],
    ] as const)
      events.set(id, undated(id, after, key));
    const { laid } = chartOf({ ...t, events }, FRAME);
    const dates = Object.fromEntries(laid.data.titles.map((title, i) => [title, laid.data.dates[i]]));
    expect(dates).toEqual({ a: "no date yet", Ferry: "1604", b: "no date yet", c: "" });
    const joined = drawChart({ ...t, events }, FRAME).shapes.filter((s) => s.kind === "line" && s.dash);
    expect(joined).toHaveLength(1);
  });
});

const typedUndated = (after: string | null, key: string) => ({
  ...[...typedTimeline([["", "x"]]).events.values()][0]!.when,
  place: { after, key },
});

describe("what there is to see and hear of an event", () => {
  const t = typedTimeline([["1604", "Ferry"]]);
  const item = (id: string, part: Partial<Item>): [string, Item] => [
    id,
    { ...emptyItem(id), of: "e000", list: "media", place: id, media: id, ...part },
  ];
  const found = (...items: [string, Item][]) => {
    const { data } = chartOf({ ...t, items: new Map(items) }, FRAME).laid;
    return [data.pictures[0], data.media[0]];
  };
  const picture = item("p", { kind: "picture", width: 640, height: 400 });
  const film = item("f", { kind: "video" });
  const still = item("s", { kind: "video", width: 960, height: 600 });
  it.each([
    ["nothing", [], [null, 0]],
    ["a picture", [picture], ["p", 0]],
    ["a video without a still is a sign", [film], [null, VIDEO]],
    ["a video with a still is shown by it", [still], ["s", STILL]],
    ["a picture stands before a still", [still, picture], ["p", VIDEO]],
    ["a sound", [item("a", { kind: "sound" })], [null, SOUND]],
    ["a link", [item("l", { list: "link", media: null })], [null, LINK]],
    ["a source is nothing", [item("q", { list: "source", media: null })], [null, 0]],
    ["what was deleted is nothing", [item("p", { kind: "picture", deleted: true })], [null, 0]],
    ["a cover is nothing of an event", [item("p", { kind: "picture", of: "timeline" })], [null, 0]],
  ] as const)("%s", (_, items, expected) => expect(found(...items)).toEqual(expected));

  it("signs take their room before the words", () => {
    const scene = (...items: [string, Item][]) => drawChart({ ...t, items: new Map(items) }, FRAME);
    const x = (s: ReturnType<typeof scene>) => s.shapes.filter((k) => k.kind === "text" && k.text === "1604").at(-1)!;
    const at = (s: ReturnType<typeof scene>) => (x(s) as { x: number }).x;
    const none = at(scene());
    expect(at(scene(item("a", { kind: "sound" }))) - none).toBe(16);
    expect(at(scene(item("a", { kind: "sound" }), item("l", { list: "link" }))) - none).toBe(32);
  });

  it("a picture is cropped about what must be seen, on canvas and in a file alike", () => {
    expect(cropOf({ w: 100, h: 100 }, 2)).toEqual({ x: [0.25, 0.5], y: [0, 1] });
    expect(cropOf({ w: 100, h: 100, focus: { x: 0, y: 50 } }, 2)).toEqual({ x: [0, 0.5], y: [0, 1] });
    expect(cropOf({ w: 100, h: 100, focus: { x: 90, y: 50 } }, 2)).toEqual({ x: [0.5, 0.5], y: [0, 1] });
    expect(cropOf({ w: 200, h: 100, focus: { x: 0, y: 75 } }, 1)).toEqual({ x: [0, 1], y: [0.5, 0.5] });
    const wide = item("p", { kind: "picture", width: 2_000, height: 500, focus: { x: 100, y: 50 } });
    const svg = toSvg(drawChart({ ...t, items: new Map([wide]) }, FRAME), { pictureUrl: (i) => `/${i}` });
    const [, left, w] = /<svg x="[^"]+"[^>]*><image x="(-?[\d.]+)" y="0" width="([\d.]+)"/.exec(svg)!;
    const [, shown] = /<svg x="[^"]+" y="[^"]+" width="([\d.]+)"/.exec(svg)!;
    expect(Number(left) + Number(w)).toBeCloseTo(Number(shown), 0);
  });
});
