import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readWhen } from "../../time/read/read-when";
import { emptyEvent, emptyItem, emptyTimeline, type Timeline, type TimelineEvent } from "../../timeline/timeline";
import { textWidth } from "../../text/measure";
import { placesAlong } from "../frame/places-along";
import { wholeView } from "../axis/view";
import { chartOf } from "../frame/chart";
import { frameContent } from "../frame/frame";
import { groundOf } from "../frame/layout";
import { seededTimeline } from "../../testing/seeded-timeline";
import { drawChart, drawView } from "./draw-chart";
import type { Shape } from "./scene";
import { toSvg } from "./to-svg";
import { type Box, meet } from "../../testing/boxes";

function timelineOf(lines: [string, string][], scale: Timeline["scale"] = "balanced"): Timeline {
  const events = lines.map(
    ([typed, title], i): TimelineEvent => ({
      ...emptyEvent(`e${String(i).padStart(3, "0")}`),
      title,
      when: readWhen(typed),
    }),
  );
  return { ...emptyTimeline("t"), scale, events: new Map(events.map((e) => [e.id, e])) };
}

const title = fc
  .array(
    fc.constantFrom("flood", "bridge", "ferry", "of", "the", "Ambrel", "opens", "market", "licensed", "night", "a"),
    { minLength: 1, maxLength: 9 },
  )
  .map((w) => w.join(" "));
const year = fc.oneof(
  fc.integer({ min: 1600, max: 1931 }),
  fc.integer({ min: 1860, max: 1875 }),
  fc.integer({ min: 100, max: 1931 }),
);
const date = fc.oneof(
  year.map(String),
  year.map((y) => `about ${y}`),
  year.map((y) => `14 Nov ${y}`),
  fc.tuple(year, fc.integer({ min: 0, max: 90 })).map(([a, n]) => `${a} - ${a + n}`),
  fc.constant(""),
);
const lines = (maxLength: number) => fc.array(fc.tuple(date, title), { maxLength });

function textBoxes(shapes: readonly Shape[]): (Box & { text: string })[] {
  return shapes.flatMap((s) => {
    if (s.kind !== "text") return [];
    const w = textWidth(s.text, s.face, s.size);
    const x = s.align === "start" ? s.x : s.align === "end" ? s.x - w : s.x - w / 2;
    return [{ x, y: s.y - s.size * 0.8, w, h: s.size, text: s.text }];
  });
}

/** Whether a line passes through a box, sampled finely along each of its pieces. */
function passes(points: readonly number[], b: Box): boolean {
  for (let i = 0; i + 3 < points.length; i += 2) {
    const [x0, y0, x1, y1] = points.slice(i, i + 4) as [number, number, number, number];
    for (let t = 0; t <= 1; t += 1 / 64) {
      const [x, y] = [x0 + (x1 - x0) * t, y0 + (y1 - y0) * t];
      if (x > b.x + 0.5 && x < b.x + b.w - 0.5 && y > b.y + 0.5 && y < b.y + b.h - 0.5) return true;
    }
  }
  return false;
}

describe("the drawing", () => {
  const scales = fc.constantFrom<Timeline["scale"]>("balanced", "true", "even");
  const widths = fc.constantFrom(320, 390, 760, 1280, 1900);

  it("never lets two texts overlap, nor a line strike through words, nor a text leave the frame", () => {
    fc.assert(
      fc.property(lines(60), scales, widths, fc.constantFrom(300, 420, 700), (list, scale, width, height) => {
        const scene = drawChart(timelineOf(list, scale), { width, height });
        const boxes = textBoxes(scene.shapes);
        for (const [i, a] of boxes.entries()) {
          for (const b of boxes.slice(i + 1)) if (meet(a, b)) throw new Error(`"${a.text}" meets "${b.text}"`);
          if (a.x < -0.5 || a.x + a.w > width + 0.5) throw new Error(`"${a.text}" leaves the frame`);
          for (const s of scene.shapes)
            if (s.kind === "line" && passes(s.points, a)) throw new Error(`a line strikes "${a.text}"`);
        }
      }),
      { seed: 3, numRuns: 250 },
    );
  });

  it("shows or counts every event, exactly once", () => {
    fc.assert(
      fc.property(lines(120), scales, widths, (list, scale, width) => {
        const timeline = timelineOf(list, scale);
        const scene = drawChart(timeline, { width, height: 420 });
        const reached = new Set(scene.targets.flatMap((t) => t.ids));
        expect(reached.size).toBe(timeline.events.size);
        const counted = scene.targets.filter((t) => t.kind === "more").flatMap((t) => t.ids);
        expect(new Set(counted).size).toBe(counted.length);
      }),
      { seed: 4, numRuns: 150 },
    );
  });

  it("finds a label for each of up to 60 events at 1280 px", () => {
    fc.assert(
      fc.property(lines(60), (list) => {
        const scene = drawChart(timelineOf(list), { width: 1280, height: 560 });
        expect(scene.targets.filter((t) => t.kind === "more")).toEqual([]);
      }),
      { seed: 5, numRuns: 150 },
    );
  });

  it("is the same to the byte whatever the order of input", () => {
    fc.assert(
      fc.property(lines(40), scales, (list, scale) => {
        const a = timelineOf(list, scale);
        const b: Timeline = { ...a, events: new Map([...a.events].reverse()) };
        const frame = { width: 1280, height: 420 };
        const svg = (t: Timeline) => toSvg(drawChart(t, frame), { pictureUrl: () => null });
        expect(svg(b)).toBe(svg(a));
      }),
      { seed: 6, numRuns: 60 },
    );
  });

  it("writes the first and the last date on the ridge", () => {
    const scene = drawChart(
      timelineOf([
        ["about 1200 BC", "Ford stones"],
        ["1604", "Ferry"],
        ["27 Sep 1931", "Last crossing"],
      ]),
      { width: 1280, height: 420 },
    );
    const texts = scene.shapes.flatMap((s) => (s.kind === "text" && s.y < scene.ridgeY + 12 ? [s.text] : []));
    expect(texts).toContain("about 1200 BC");
    expect(texts).toContain("27 Sep 1931");
  });

  it("ends the ridge with the period where one is set that reaches further", () => {
    const t = {
      ...timelineOf([
        ["1700", "x"],
        ["1800", "y"],
      ]),
      period: readWhen("1600 - 1931"),
    };
    const texts = drawChart(t, { width: 1280, height: 420 }).shapes.flatMap((s) => (s.kind === "text" ? [s.text] : []));
    expect(texts).toContain("1600");
    expect(texts).toContain("1931");
  });

  it("survives nothing, one, all at one instant and nothing dated", () => {
    for (const list of [
      [],
      [["1872", "Flood"]],
      Array(30).fill(["14 Nov 1872", "Flood"]),
      Array(12).fill(["", "Scene"]),
      [
        ["4.6 Ga", "Earth"],
        ["14 Nov 1872 22:10", "Flood"],
      ],
    ] as [string, string][][])
      for (const scale of ["balanced", "true", "even"] as const) {
        const scene = drawChart(timelineOf(list, scale), { width: 1280, height: 420 });
        for (const s of scene.shapes)
          for (const v of "points" in s ? s.points : [s.x, s.y]) expect(Number.isFinite(v)).toBe(true);
        expect(new Set(scene.targets.flatMap((t) => t.ids)).size).toBe(list.length);
      }
  });

  it("escapes what people typed", () => {
    const svg = toSvg(drawChart(timelineOf([["1872", `<script>"&'`]]), { width: 800, height: 300 }), {
      pictureUrl: () => null,
    });
    expect(svg).not.toContain("<script>");
    expect(svg).toContain("&lt;script&gt;");
  });
});

describe("the balanced scale", () => {
  it("keeps the order and never draws a stretch narrower than a tenth of its true room", () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: -3000, max: 2000 }), { minLength: 3, maxLength: 40 }), (years) => {
        const t = timelineOf(years.sort((a, b) => a - b).map((y) => [y < 1 ? `${1 - y} BC` : `AD ${y}`, "x"]));
        const places = (scale: Timeline["scale"]) => [...placesAlong({ ...t, scale }).values()];
        const [balanced, byDate] = [places("balanced"), places("true")];
        for (let i = 1; i < years.length; i++) {
          const room = (at: readonly number[]) => at[i]! - at[i - 1]!;
          expect(room(balanced)).toBeGreaterThan(0);
          expect(room(balanced)).toBeGreaterThanOrEqual(0.1 * room(byDate) - 1e-9);
        }
      }),
      { seed: 7, numRuns: 200 },
    );
  });
});

describe("a picture in place of a bob", () => {
  const pictured = (...own: [id: string, typed: string, bob: boolean][]): Timeline => {
    const t = timelineOf(own.map(([id, typed]) => [typed, `Event ${id}`]));
    const events = new Map([...t.events].map(([id, e], i) => [id, { ...e, pictureBob: own[i]![2] }]));
    const items = new Map(
      [...t.events.keys()].map((of, i) => {
        const at = {
          of,
          list: "media",
          place: "a0",
          media: `m${i}`,
          kind: "picture",
          width: 300,
          height: 200,
        } as const;
        return [`p${i}`, { ...emptyItem(`p${i}`), ...at }];
      }),
    );
    return { ...t, events, items };
  };
  const picturesOf = (shapes: readonly Shape[]) => shapes.flatMap((s) => (s.kind === "picture" ? [s] : []));

  it("hangs from the ridge with its middle and its tip at the moment, and is not once more in the label", () => {
    const frame = { width: 900, height: 500 };
    const usual = picturesOf(drawChart(pictured(["a", "1800", false], ["b", "1900", false]), frame).shapes);
    expect(usual.map((s) => s.item).sort()).toEqual(["p0", "p1"]);
    const t = pictured(["a", "1800", true], ["b", "1900", false]);
    const { shapes, ridgeY } = drawChart(t, frame);
    const [bob] = picturesOf(shapes).filter((s) => s.item === "p0");
    expect(bob).toMatchObject({ w: 22, h: 22, proportion: 1.5 });
    expect(bob!.y).toBeGreaterThan(ridgeY);
    const middle = bob!.x + 11;
    const tip = shapes.flatMap((s) => (s.kind === "area" && s.points.length === 14 ? [s.points] : []));
    expect(tip).toHaveLength(1);
    expect(tip[0]![8]).toBeCloseTo(middle, 6);
    const [line] = shapes.filter(
      (s) => s.kind === "line" && Math.abs(s.points[0]! - middle) < 0.01 && s.points[1]! > ridgeY,
    );
    expect(line).toBeDefined();
    expect(picturesOf(shapes).filter((s) => s.item === "p0")).toHaveLength(1);
  });
  it("stands upright too, and in a strip there is none", () => {
    const t = pictured(["a", "1800", true], ["b", "1900", false]);
    const upright = picturesOf(drawChart(t, { width: 380, height: 600 }, { upright: true }).shapes);
    expect(upright.find((s) => s.item === "p0")).toMatchObject({ w: 22, h: 22 });
    expect(picturesOf(drawChart(t, { width: 900, height: 60 }, { strip: true }).shapes)).toEqual([]);
  });
  it("of two that would cover each other the other one keeps its bob", () => {
    const own = pictured(["a", "1850", true], ["b", "2 Jan 1850", true], ["c", "1700", true], ["d", "1900", false]);
    const t = { ...own, scale: "true" as const };
    const bobs = picturesOf(drawChart(t, { width: 900, height: 500 }).shapes).filter((s) => s.w === 22);
    expect(bobs).toHaveLength(2);
    const far = Math.abs(bobs[0]!.x - bobs[1]!.x);
    expect(far).toBeGreaterThan(26);
  });
});

describe("a crowd of spans", () => {
  it("has every roof once, those of one colour together", () => {
    const chart = chartOf(seededTimeline(10_000, 5, "spread", "true", 0.1), { width: 1_280, height: 480 });
    const view = wholeView(groundOf(chart.laid.axis, chart.laid.layout));
    const { roofs } = frameContent(chart.laid, view, []);
    expect(roofs.length).toBeGreaterThan(500);
    const across = (r: { x0: number; top0: number; top1: number; x1: number }) =>
      [r.x0, r.top0, r.top1, r.x1].join(" ");
    const expected = roofs.map(across).sort();
    const fills: string[] = [];
    const drawn: string[] = [];
    const wanted = new Set(expected);
    for (const s of drawView(chart, view, [], null).scene.shapes) {
      if (s.kind !== "area" || s.points.length !== 8) continue;
      const [x0, , top0, , top1, , x1] = s.points as [number, number, number, number, number, number, number, number];
      const key = across({ x0, top0, top1, x1 });
      if (!wanted.has(key)) continue;
      drawn.push(key);
      if (fills.at(-1) !== s.fill) fills.push(s.fill);
    }
    expect(drawn.sort()).toEqual(expected);
    expect(fills.length).toBeGreaterThan(2);
    expect(new Set(fills).size).toBe(fills.length);
  });
});
