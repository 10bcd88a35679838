import { describe, expect, it } from "vitest";
import { KINDS, seededTimeline, studentTimeline, typedTimeline } from "../../testing/seeded-timeline";
import { emptyItem, type Timeline } from "../../timeline/timeline";
import { drawThumbnail } from "./draw-thumbnail";
import type { Shape } from "./scene";

const SIZE = { width: 300, height: 132 };
const pictures = (t: Timeline) =>
  drawThumbnail(t, SIZE).shapes.filter((s): s is Extract<Shape, { kind: "picture" }> => s.kind === "picture");
const cover = (width: number, height: number) => ({
  ...emptyItem("cover"),
  of: "timeline",
  list: "media" as const,
  kind: "picture" as const,
  media: "m",
  width,
  height,
});

describe("a timeline in small", () => {
  it("has its cover at its side, and pictures at their dates, all within it and none on another", () => {
    for (let seed = 1; seed <= 20; seed++) {
      const t = studentTimeline(12, seed);
      const shown = pictures({ ...t, items: new Map(t.items).set("cover", cover(800, 600)) });
      expect(shown[0]).toMatchObject({ item: "cover", x: 0, y: 0, h: SIZE.height });
      expect(shown[0]!.w).toBeLessThanOrEqual(SIZE.width * 0.3);
      expect(shown.length).toBeGreaterThan(1);
      for (const [k, a] of shown.entries()) {
        expect([seed, a.x >= 0, a.x + a.w <= SIZE.width, a.y + a.h <= SIZE.height]).toEqual([seed, true, true, true]);
        for (const b of shown.slice(k + 1)) expect([seed, a.x + a.w <= b.x || b.x + b.w <= a.x]).toEqual([seed, true]);
      }
      expect(pictures({ ...t, pictures: "none" })).toEqual([]);
    }
  });

  it("has a few titles where there are no pictures, none of them cut", () => {
    const t = typedTimeline([
      ["1604", "Rope ferry"],
      ["1688", "Market moves"],
      ["1744 - 1783", "Timber bridge"],
      ["1931", "Last ferry"],
    ]);
    const texts = drawThumbnail(t, SIZE).shapes.flatMap((s) => (s.kind === "text" ? [s.text] : []));
    expect(texts).toContain("Rope ferry");
    expect(texts).toContain("Last ferry");
    expect(texts.some((x) => x.endsWith("…"))).toBe(false);
  });

  it("is drawn of every kind of timeline, the same from the same", () => {
    for (const kind of KINDS)
      for (const n of [0, 1, 20, 3_000]) {
        const t = seededTimeline(n, 3, kind);
        const scene = drawThumbnail(t, SIZE);
        expect([scene.width, scene.height]).toEqual([SIZE.width, SIZE.height]);
        expect(drawThumbnail(t, SIZE)).toEqual(scene);
      }
  });
});
