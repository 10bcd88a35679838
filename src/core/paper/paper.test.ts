import { Ajv } from "ajv";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readWhen } from "../time/read/read-when";
import { emptyEvent, emptyTimeline, type Timeline } from "../timeline/timeline";
import { fitChart, sheetThatFits } from "./fit-chart";
import { foldOrder } from "./fold";
import { MADE_SCHEMA, PAPER_SCHEMA } from "./read-wishes";
import {
  halfOf,
  isFolded,
  marginOf,
  MOST_SHEETS,
  OVERLAP,
  PAPERS,
  PT_PER_MM,
  partsOver,
  readPaper,
  sheetOf,
  USUAL_WISHES,
} from "./sheets";

describe("a booklet that is folded", () => {
  it("is read from the first page to the last, whatever its length, and empty pages stand at its end", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), (pages) => {
        const sides = foldOrder(pages);
        // The outermost sheet first: fronts and backs, laid into each other.
        const fronts = sides.filter((_, n) => n % 2 === 0);
        const backs = sides.filter((_, n) => n % 2 === 1);
        const half = fronts.flatMap((front, n) => [front[1], backs[n]![0]]);
        const rest = fronts.flatMap((_, n) => [backs.at(-1 - n)![1], fronts.at(-1 - n)![0]]);
        const read = [...half, ...rest];
        expect(read.slice(0, pages)).toEqual(Array.from({ length: pages }, (_, n) => n));
        expect(read.slice(pages).every((p) => p === null)).toBe(true);
        expect(read.length - pages).toBeLessThan(4);
      }),
    );
  });

  it("takes half a sheet for a page, however the sheet was said to lie", () => {
    expect(halfOf({ paper: "a4" })).toEqual({ w: 148.5, h: 210 });
    expect(halfOf({ paper: { w: 200, h: 300 } })).toEqual({ w: 150, h: 200 });
    expect(isFolded({ what: "chart", folded: true })).toBe(false);
  });
});

describe("sheets", () => {
  it("of ISO 216 are each half of the next larger one, to the millimetre", () => {
    for (const [small, large] of [
      ["a5", "a4"],
      ["a4", "a3"],
      ["a3", "a2"],
      ["a2", "a1"],
      ["a1", "a0"],
    ] as const) {
      expect(PAPERS[large][0]).toBe(PAPERS[small][1]);
      expect(Math.abs(PAPERS[large][1] / 2 - PAPERS[small][0])).toBeLessThan(1);
    }
  });

  it.each<[string, unknown]>([
    ["a4", "a4"],
    ["A0", "a0"],
    ["Tabloid", "tabloid"],
    ["900x300", { w: 900, h: 300 }],
    ["900 x 300 mm", { w: 900, h: 300 }],
    ["90x30cm", { w: 900, h: 300 }],
    ["36x12in", { w: 36 * 25.4, h: 12 * 25.4 }],
    ["5000x841mm", { w: 5_000, h: 841 }],
    ["5001x841mm", null],
    ["10x10mm", null],
    ["a7", null],
    ["", null],
    ["-5x300", null],
  ])("%s", (typed, paper) => expect(readPaper(typed)).toEqual(paper));

  it("lie across or upright", () => {
    expect(sheetOf({ paper: "a4", across: true })).toEqual({ w: 297, h: 210 });
    expect(sheetOf({ paper: "a4", across: false })).toEqual({ w: 210, h: 297 });
    expect(sheetOf({ paper: { w: 900, h: 300 }, across: false })).toEqual({ w: 900, h: 300 });
    expect(marginOf({ w: 297, h: 210 })).toBe(10.5);
  });

  it("beside each other show all of the drawing, and neighbours the same strip", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: MOST_SHEETS.across }),
        fc.integer({ min: 1, max: MOST_SHEETS.down }),
        fc.double({ min: 100, max: 2_000, noNaN: true }),
        fc.double({ min: 100, max: 2_000, noNaN: true }),
        (across, down, w, h) => {
          const { parts, w: width, h: height } = partsOver({ across, down }, { w, h });
          expect(parts).toHaveLength(across * down);
          expect(Math.max(...parts.map((p) => p.x + p.w))).toBeCloseTo(width, 6);
          expect(Math.max(...parts.map((p) => p.y + p.h))).toBeCloseTo(height, 6);
          for (const p of parts) {
            const next = parts.find((o) => o.row === p.row && o.column === p.column + 1);
            if (next) expect(p.x + p.w - next.x).toBeCloseTo(OVERLAP * PT_PER_MM, 6);
          }
        },
      ),
    );
  });
});

function timelineOf(count: number): Timeline {
  const events = Array.from({ length: count }, (_, i) => {
    const year = 1600 + Math.floor((i * 331) / Math.max(1, count));
    return [
      `e${i}`,
      { ...emptyEvent(`e${i}`), title: `Event number ${i} of them`, when: readWhen(String(year)) },
    ] as const;
  });
  return { ...emptyTimeline("t"), title: "Many", events: new Map(events) };
}
const a4 = { w: 277 * PT_PER_MM, h: 150 * PT_PER_MM };

describe("a chart fitted into a sheet", () => {
  it("fills it with few events in large type, and leaves none without a label", () => {
    const { scene, ptPerPx, gathered } = fitChart(timelineOf(8), a4);
    expect(gathered).toBe(0);
    expect(scene.shapes.some((s) => s.kind === "text" && s.text.endsWith("…"))).toBe(false);
    expect(scene.width * ptPerPx).toBeGreaterThan(a4.w * 0.95);
    expect(ptPerPx).toBeGreaterThan(0.6);
  });

  it("stays within the sheet, whatever stands on it, and never under 5.5 pt", () => {
    for (const count of [0, 1, 3, 40, 160, 600]) {
      const { scene, ptPerPx } = fitChart(timelineOf(count), a4);
      expect([count, scene.width * ptPerPx <= a4.w + 1, scene.height * ptPerPx <= a4.h + 1]).toEqual([
        count,
        true,
        true,
      ]);
      if (scene.height * ptPerPx < a4.h * 0.99) expect(ptPerPx * 12).toBeGreaterThan(5.4);
    }
  });

  it("says from which sheet on all have room; of ten thousand none is large enough", () => {
    const innerOf = (name: keyof typeof PAPERS) => ({
      w: (PAPERS[name][1] - 40) * PT_PER_MM,
      h: (PAPERS[name][0] - 60) * PT_PER_MM,
    });
    const many = timelineOf(150);
    const small = { w: 190 * PT_PER_MM, h: 90 * PT_PER_MM };
    expect(fitChart(many, small).gathered).toBeGreaterThan(0);
    const fits = sheetThatFits(many, small, innerOf)!;
    expect(fits).toMatch(/^a[0-4]$/);
    expect(fitChart(many, innerOf(fits)).gathered).toBe(0);
  });
});

describe("wishes", () => {
  const ajv = new Ajv({ strict: true, allowUnionTypes: true });
  const paper = ajv.compile(PAPER_SCHEMA);
  const made = ajv.compile(MADE_SCHEMA);
  it.each<[string, unknown, boolean]>([
    ["the usual", USUAL_WISHES, true],
    ["a banner", { ...USUAL_WISHES, paper: { w: 5_000, h: 500 } }, true],
    ["larger than a banner", { ...USUAL_WISHES, paper: { w: 5_001, h: 500 } }, false],
    ["a thousand sheets", { ...USUAL_WISHES, sheets: { across: 1_000, down: 1 } }, false],
    ["another paper", { ...USUAL_WISHES, paper: "a9" }, false],
    ["more than there is", { ...USUAL_WISHES, script: "x" }, false],
  ])("%s", (_, wishes, ok) => expect(paper(wishes)).toBe(ok));
  it("of a file name its kind, and nothing else", () => {
    expect(made({ kind: "folder" })).toBe(true);
    expect(made({ kind: "pdf", paper: USUAL_WISHES })).toBe(true);
    expect(made({ kind: "exe" })).toBe(false);
    expect(made({ kind: "png", picture: { width: 90_000, height: 900, scale: 1, transparent: false, view: "" } })).toBe(
      false,
    );
  });
});
