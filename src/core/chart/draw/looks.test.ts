import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { timelineFromFrozen, toFrozen } from "../../formats/frozen";
import { contrastFacts } from "../../looks/facts";
import { keyOf } from "../../looks/key";
import { styleOf } from "../../looks/style";
import { type Box, meet } from "../../testing/boxes";
import { textWidth } from "../../text/measure";
import { readWhen } from "../../time/read/read-when";
import type { AnyColour, LabelPart } from "../../timeline/fields";
import { COLOURS, type Colour, LOOKS, OWN_TEXTURES, PATTERNS, SIGNS } from "../../timeline/looks";
import {
  emptyCategory,
  emptyEvent,
  emptyItem,
  emptyTimeline,
  type Timeline,
  type TimelineEvent,
} from "../../timeline/timeline";
import { drawChart } from "./draw-chart";
import { drawThumbnail } from "./draw-thumbnail";
import type { Scene, Shape } from "./scene";
import { toSvg } from "./to-svg";

/** WCAG 2.2, "relative luminance" and "contrast ratio", written out here and nowhere else. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((i) => {
    const v = Number.parseInt(hex.slice(i, i + 2), 16) / 255;
    return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
}
function ratio(a: string, b: string): number {
  const [x, y] = [luminance(a), luminance(b)].sort((p, q) => q - p);
  return (x! + 0.05) / (y! + 0.05);
}
const long = (c: string) => (c.length === 4 ? `#${[...c.slice(1)].map((x) => x + x).join("")}` : c);
function over(under: string, paint: string, share: number): string {
  const [a, b] = [long(under), long(paint)];
  return `#${[1, 3, 5]
    .map((i) => {
      const [x, y] = [a, b].map((c) => Number.parseInt(c.slice(i, i + 2), 16));
      return Math.round(x! + (y! - x!) * share)
        .toString(16)
        .padStart(2, "0");
    })
    .join("")}`;
}

function holds(points: readonly number[], x: number, y: number): boolean {
  let inside = false;
  for (let i = 0, j = points.length - 2; i < points.length; j = i, i += 2) {
    const [xi, yi, xj, yj] = [points[i]!, points[i + 1]!, points[j]!, points[j + 1]!];
    if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) inside = !inside;
  }
  return inside;
}

/** What lies under a place of a drawing before the shape `n` is painted: as light and as dark as it may be. */
function groundsUnder(scene: Scene, n: number, x: number, y: number, tones: { dark: string; light: string }): string[] {
  const { paper, texture, picture } = scene.backdrop;
  let grounds = [paper];
  if (texture) grounds.push(over(paper, texture.ink, texture.opacity));
  if (picture) grounds = grounds.flatMap((g) => [tones.dark, tones.light].map((t) => over(g, t, picture.opacity)));
  for (const s of scene.shapes.slice(0, n)) {
    if (s.kind !== "area" || !holds(s.points, x, y)) continue;
    grounds = grounds.map((g) => over(g, s.fill, s.opacity ?? 1));
    const { pattern } = s;
    if (pattern) grounds.push(...grounds.map((g) => over(g, pattern.ink, Math.min(1, pattern.opacity + 0.15))));
  }
  return grounds;
}

function boxOf(s: Extract<Shape, { kind: "text" }>): Box & { text: string } {
  const w = textWidth(s.text, s.face, s.size);
  const x = s.align === "start" ? s.x : s.align === "end" ? s.x - w : s.x - w / 2;
  return { x, y: s.y - s.size * 0.8, w, h: s.size, text: s.text };
}

/** The worst contrast of all words of a drawing with what they stand on, and which that is. */
function worst(scene: Scene, tones: { dark: string; light: string }): { ratio: number; text: string } {
  let found = { ratio: 99, text: "" };
  for (const [n, s] of scene.shapes.entries()) {
    if (s.kind !== "text" || s.turned) continue;
    const b = boxOf(s);
    for (const x of [b.x + 1, b.x + b.w / 2, b.x + b.w - 1])
      for (const ground of groundsUnder(scene, n, x, b.y + b.h / 2, tones)) {
        const r = ratio(long(s.fill), ground);
        if (r < found.ratio) found = { ratio: r, text: `${s.text}: ${s.fill} on ${ground}` };
      }
  }
  return found;
}

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, "0")}` as `#${string}`);
const colour: fc.Arbitrary<AnyColour> = fc.oneof(fc.constantFrom(...(Object.keys(COLOURS) as Colour[])), hex);
const year = fc.integer({ min: 1600, max: 1931 });
const date = fc.oneof(
  year.map(String),
  year.map((y) => `about ${y}`),
  year.map((y) => `14 Nov ${y}?`),
  fc.tuple(year, fc.integer({ min: 0, max: 90 })).map(([a, n]) => `${a} - ${a + n}`),
  fc.constant(""),
);
const title = fc
  .array(fc.constantFrom("flood", "bridge", "ferry", "Ambrel", "market", "licensed", "Überfahrt", "1846"), {
    minLength: 1,
    maxLength: 7,
  })
  .map((w) => w.join(" "));
const says: fc.Arbitrary<readonly LabelPart[] | null> = fc.option(
  fc.subarray<LabelPart>(["date", "title", "words", "picture"], { minLength: 1 }),
);

const dressed = fc
  .record({
    look: fc.constantFrom(...LOOKS),
    paper: fc.oneof({ weight: 2, arbitrary: fc.constant("") }, { weight: 1, arbitrary: hex }),
    texture: fc.constantFrom(...OWN_TEXTURES),
    lineWeight: fc.constantFrom(-1 as const, 0 as const, 1 as const),
    labelDates: fc.constantFrom("always" as const, "unmarked" as const, "never" as const),
    labelTitles: fc.constantFrom("always" as const, "unpictured" as const),
    gridlines: fc.boolean(),
    backStrength: fc.integer({ min: 1, max: 100 }),
    tones: fc.option(fc.record({ dark: hex, light: hex })),
    categories: fc.array(
      fc.record({
        colour,
        pattern: fc.constantFrom(...PATTERNS),
        loudness: fc.constantFrom(-1 as const, 0 as const, 1 as const),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    events: fc.array(
      fc.record({
        typed: date,
        title,
        category: fc.nat({ max: 4 }),
        colour: fc.oneof(
          { weight: 3, arbitrary: fc.constant("" as const) },
          { weight: 1, arbitrary: colour as fc.Arbitrary<AnyColour | ""> },
        ),
        sign: fc.constantFrom("" as const, ...SIGNS),
        labelSays: says,
        done: fc.option(fc.nat({ max: 100 })),
      }),
      { maxLength: 30 },
    ),
  })
  .map(({ tones, categories, events, ...own }): { timeline: Timeline; tones: { dark: string; light: string } } => ({
    tones: tones ?? { dark: "#ffffff", light: "#ffffff" },
    timeline: {
      ...emptyTimeline("t"),
      ...own,
      categories: new Map(
        categories.map((c, i) => [`c${i}`, { ...emptyCategory(`c${i}`), ...c, name: `c${i}`, place: `a${i}` }]),
      ),
      items: tones
        ? new Map([
            [
              "b",
              {
                ...emptyItem("b"),
                list: "back" as const,
                kind: "picture" as const,
                media: "m",
                width: 4,
                height: 3,
                tones,
              },
            ],
          ])
        : new Map(),
      events: new Map(
        events.map(({ typed, category, ...e }, i): [string, TimelineEvent] => {
          const id = `e${String(i).padStart(2, "0")}`;
          return [id, { ...emptyEvent(id), ...e, when: readWhen(typed), category: `c${category}` }];
        }),
      ),
    },
  }));

describe("in every look", () => {
  const widths = fc.constantFrom(390, 760, 1_280);

  it("words can be told from what they stand on, whatever paper, colours and picture were chosen", () => {
    fc.assert(
      fc.property(dressed, widths, ({ timeline, tones }, width) => {
        const scene = drawChart(timeline, { width, height: 520 });
        const found = worst(scene, tones);
        // A rounding of one in 255 is nothing anybody sees.
        expect([found.text, found.ratio >= 4.4]).toEqual([found.text, true]);
        const small = worst(drawThumbnail(timeline, { width: 240, height: 120 }), tones);
        expect([small.text, small.ratio >= 4.4]).toEqual([small.text, true]);
      }),
      { seed: 17, numRuns: 140 },
    );
  });

  it("no two texts overlap, and no text leaves the frame", () => {
    fc.assert(
      fc.property(dressed, widths, fc.constantFrom(300, 520), ({ timeline }, width, height) => {
        const boxes = drawChart(timeline, { width, height }).shapes.flatMap((s) =>
          s.kind === "text" && !s.turned ? [boxOf(s)] : [],
        );
        for (const [i, a] of boxes.entries()) {
          for (const b of boxes.slice(i + 1)) if (meet(a, b)) throw new Error(`"${a.text}" meets "${b.text}"`);
          if (a.x < -0.5 || a.x + a.w > width + 0.5) throw new Error(`"${a.text}" leaves the frame`);
        }
      }),
      { seed: 18, numRuns: 160 },
    );
  });

  it("every fact that is told of contrast is at least 4.5, and is what is painted", () => {
    fc.assert(
      fc.property(dressed, ({ timeline }) => {
        for (const f of contrastFacts(timeline)) expect([f.what, f.ratio >= 4.5]).toEqual([f.what, true]);
      }),
      { seed: 19, numRuns: 120 },
    );
    const [words] = contrastFacts({ ...emptyTimeline("t"), texture: "plain" });
    const { ink, band, paper, wash } = styleOf(emptyTimeline("t"));
    expect(words!.ratio).toBeCloseTo(Math.min(...[band, paper, wash].map((g) => ratio(ink, g))), 2);
  });
});

const event = (id: string, typed: string, more: Partial<TimelineEvent> = {}): [string, TimelineEvent] => [
  id,
  { ...emptyEvent(id), title: id, when: readWhen(typed), ...more },
];
const withEvents = (...events: [string, TimelineEvent][]): Timeline => ({
  ...emptyTimeline("t"),
  categories: new Map([
    ["c", { ...emptyCategory("c"), name: "Trade", colour: "copper", pattern: "dots", place: "a0" }],
  ]),
  events: new Map(events),
});
const textsOf = (t: Timeline) =>
  drawChart(t, { width: 900, height: 400 }).shapes.flatMap((s) => (s.kind === "text" ? [s.text] : []));

describe("what one event has otherwise", () => {
  it("is a colour of its own with its category's pattern, which the key lists by its title", () => {
    const t = withEvents(
      event("Toll", "1700 - 1800", { category: "c", colour: "#0b6e69" }),
      event("Mill", "1720 - 1790", { category: "c" }),
    );
    const fills = drawChart(t, { width: 900, height: 400 }).shapes.flatMap((s) =>
      s.kind === "area" && s.pattern ? [`${s.fill} ${s.pattern.name}`] : [],
    );
    expect(fills).toContain("#0B6E69 dots");
    expect(fills).toContain("#B4481E dots");
    expect(keyOf(t)).toMatchObject([
      { id: "c", name: "Trade", isCategory: true },
      { id: "Toll", name: "Toll", colour: "#0b6e69", pattern: "dots", isCategory: false },
    ]);
  });

  it("is a finer or stronger line", () => {
    const width = (lineWeight: -1 | 0 | 1) => {
      const lines = drawChart(withEvents(event("Flood", "1766", { lineWeight })), { width: 900, height: 400 }).shapes;
      return Math.max(
        ...lines.flatMap((s) => (s.kind === "line" && s.stroke === "#4A6572" && !s.dash ? [s.width] : [])),
      );
    };
    expect(width(-1)).toBeLessThan(width(0));
    expect(width(1)).toBeGreaterThan(width(0));
  });

  it("is what its label says", () => {
    const labelled = (labelSays: readonly LabelPart[] | null) =>
      textsOf(withEvents(event("a", "1700"), event("Flood", "14 Nov 1766", { labelSays }), event("z", "1800")));
    expect(labelled(null)).toEqual(expect.arrayContaining(["14 Nov 1766", "Flood"]));
    expect(labelled(["title"])).not.toContain("14 Nov 1766");
    expect(labelled(["date"])).not.toContain("Flood");
    // A picture it has not: its title stands there all the same.
    expect(labelled(["picture"])).toContain("Flood");
  });
});

describe("a version of before there were looks", () => {
  it("is drawn as it was: in the house's look, what is louder still louder", () => {
    const t = withEvents(
      event("Flood", "1766", { category: "c", loudness: 1 }),
      event("Mill", "1790", { category: "c" }),
      event("Ferry", "1604"),
    );
    const now = toFrozen(t);
    const NEW = ["look", "paper", "texture", "backStrength", "backFit", "lineWeight", "labelDates", "labelTitles"];
    const NEWER = [...NEW, "colour", "labelSays", "loudness", "tones"];
    const without = <T extends object>(record: T, names: readonly string[]) =>
      Object.fromEntries(Object.entries(record).filter(([k]) => !names.includes(k))) as T;
    const old = {
      ...without(now, NEW),
      categories: now.categories.map((c) => without(c, ["loudness"])),
      events: now.events.map((e) =>
        without(
          e,
          NEWER.filter((k) => k !== "loudness"),
        ),
      ),
    };
    const drawn = (f: typeof now) => drawChart(timelineFromFrozen(f), { width: 900, height: 400 }).shapes;
    expect(drawn(old)).toEqual(drawn(now));
  });
});

describe("what labels say", () => {
  const t = withEvents(event("Ferry", "1700"), event("Flood", "1766"), event("Bridge", "1800"));

  it("is no date where its author wants none", () => {
    expect(textsOf(t)).toContain("1766");
    const without = textsOf({ ...t, labelDates: "never" });
    expect(without).not.toContain("1766");
    expect(without).toEqual(expect.arrayContaining(["Ferry", "Flood", "Bridge"]));
  });

  it("is a date only where no mark of the ridge says the same", () => {
    const count = (of: Timeline) => textsOf(of).filter((x) => x === "1700").length;
    expect(count(t)).toBe(2);
    const unmarked = { ...t, labelDates: "unmarked" as const };
    expect(count(unmarked)).toBe(1);
    expect(textsOf(unmarked)).toContain("1766");
  });
});

describe("a file of the drawing", () => {
  it("has its paper, its texture, and every pattern and sign it names", () => {
    const t = {
      ...withEvents(event("Toll", "1700 - 1800", { category: "c", sign: "anchor" })),
      look: "oak" as const,
    };
    const svg = toSvg(drawChart(t, { width: 900, height: 400 }), { pictureUrl: () => null, ground: true });
    expect(svg).toContain('fill="#FDF9EF"');
    expect(svg).toContain("Alegreya Variable");
    for (const [, id] of svg.matchAll(/url\(#([^)]+)\)/g)) expect(svg).toContain(`id="${id}"`);
    expect(svg.match(/url\(#/g)!.length).toBeGreaterThan(1);
    expect(svg).toContain("stroke-linecap");
  });
});
