import { readFileSync } from "node:fs";
import { join } from "node:path";
import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { type Chart, chartOf } from "../src/core/chart/frame/chart";
import { drawView } from "../src/core/chart/draw/draw-chart";
import { groundOf, uprightLength } from "../src/core/chart/frame/layout";
import type { Scene, Shape } from "../src/core/chart/draw/scene";
import { toSvg } from "../src/core/chart/draw/to-svg";
import { wholeView, zoomed } from "../src/core/chart/axis/view";
import { KINDS, seededTimeline, studentTimeline } from "../src/core/testing/seeded-timeline";
import { textWidth } from "../src/core/text/measure";

const PER_PAGE = 10;
const TIMELINES = 200;
const PAPER = "#FFFFFF";

/** The labels below the ridge: a ground and the words and pictures that follow it. */
function labelsOf(scene: Scene, upright = false): { rest: Shape[]; labels: Shape[][] } {
  // Where the ridge runs down, labels stand to its right.
  const at = (s: Shape) => (s.kind === "area" || s.kind === "line" ? s.points[upright ? 0 : 1]! : upright ? s.x : s.y);
  const [ridge, bobs] = upright ? [36, 46] : [20, 30];
  const rest: Shape[] = [];
  const labels: Shape[][] = [];
  for (const s of scene.shapes) {
    const below = s.kind !== "line" && at(s) > scene.ridgeY + ridge;
    if (!below) {
      rest.push(s);
      continue;
    }
    // Bobs hang at the ridge itself; they are no labels.
    if (s.kind === "area" && at(s) < scene.ridgeY + bobs) continue;
    const isGround = s.kind === "area" && s.points.length === 8 && (s.fill === PAPER || s.stroke !== undefined);
    if (isGround || labels.length === 0) labels.push([s]);
    else labels.at(-1)!.push(s);
  }
  return { rest: rest.filter((s) => s.kind !== "line"), labels };
}

interface Case {
  name: string;
  /** The chart, and its words alone in two orders: as SVG. */
  drawn: string[];
  width: number;
  height: number;
  boxes: { text: string; x: number; y: number; w: number; h: number }[];
}

const FRAMES = [
  [1_280, 800],
  [1_280, 420],
  [390, 844],
] as const;
const STUDENTS = 14;

/** What students hand in, with pictures and first words, in the three frames a chart is looked at in most. */
function studentCase(n: number): Case {
  const [width, height] = FRAMES[n % FRAMES.length]!;
  const seed = 1 + Math.floor(n / FRAMES.length);
  const t = studentTimeline(6 + (seed % 15), seed);
  const words = "The water rose nine feet in one night, and the bell was found in June in a field of beans.";
  const firstWords = new Map([...t.events.keys()].map((id) => [id, words]));
  const upright = width < 560;
  const frame = { width, height: upright ? Math.max(height, uprightLength(t.events.size)) : height };
  return cased(`student ${seed} ${width} x ${height}`, chartOf({ ...t, firstWords }, frame, { upright }));
}

function caseOf(n: number): Case {
  if (n >= TIMELINES) return studentCase(n - TIMELINES);
  const count = [15, 40, 60, 150, 600][n % 5]!;
  const kind = KINDS[Math.floor(n / 5) % KINDS.length]!;
  const scale = (["balanced", "true", "even"] as const)[n % 3]!;
  const width = [1_280, 900, 390, 320][n % 4]!;
  const timeline = { ...seededTimeline(count, n, kind, scale), gridlines: n % 2 === 0 };
  const chart = chartOf(timeline, { width, height: 480 });
  return cased(`${n}: ${count} ${kind} ${scale} ${width}`, chart, n % 3 === 2 ? width * 0.6 : null);
}

/** A chart of the whole, or zoomed in at a place. */
function cased(name: string, chart: Chart, zoomedAt: number | null = null): Case {
  const g = groundOf(chart.laid.axis, chart.laid.layout);
  const view = zoomedAt === null ? wholeView(g) : zoomed(g, wholeView(g), zoomedAt, 5);
  const { scene } = drawView(chart, view, "at rest", null);
  const { rest, labels } = labelsOf(scene, chart.laid.layout.upright);
  const svg = (shapes: Shape[], prefix: string) =>
    toSvg(
      { ...scene, shapes: shapes.filter((s) => !(s.kind === "area" && s.fill === "#F1F4F3")) },
      { pictureUrl: () => null, ground: true, prefix },
    );
  return {
    name,
    // What the words look like with nothing but their own grounds: in two orders, so that one label over another shows.
    drawn: [
      svg(scene.shapes, "full"),
      svg([...rest, ...labels.flat()], "forwards"),
      svg([...rest, ...labels.reverse().flat()], "backwards"),
    ],
    width: scene.width,
    height: scene.height,
    boxes: scene.shapes.flatMap((s) => {
      if (s.kind !== "text" || s.y < 20) return [];
      const w = textWidth(s.text, s.face, s.size) * 0.97;
      const x = s.align === "start" ? s.x : s.align === "end" ? s.x - w : s.x - w / 2;
      return [{ text: s.text, x, y: s.y - s.size * 0.75, w, h: s.size * 0.95 }];
    }),
  };
}

test(`no word is struck through or covered in ${TIMELINES} seeded timelines, nor in what students hand in`, async ({
  page,
}) => {
  test.setTimeout(900_000);
  const font = readFileSync(
    join(import.meta.dirname, "..", "public", "fonts", "atkinson-hyperlegible-next-latin-wght-normal.woff2"),
  ).toString("base64");
  await page.evaluate((data) => {
    (window as unknown as { font: string }).font =
      `@font-face{font-family:"Atkinson Hyperlegible Next Variable";src:url(data:font/woff2;base64,${data}) format("woff2");font-weight:200 800}`;
  }, font);
  let words = 0;
  const bad: string[] = [];
  for (let first = 0; first < TIMELINES + STUDENTS * FRAMES.length; first += PER_PAGE) {
    const cases = Array.from({ length: PER_PAGE }, (_, k) => caseOf(first + k));
    words += cases.reduce((n, c) => n + c.boxes.length, 0);
    bad.push(
      ...(await page.evaluate(async (list) => {
        const { font } = window as unknown as { font: string };
        const found: string[] = [];
        /** Drawings below each other in one picture, which reads the type once; how high each has room. */
        const pixels = async (drawn: string[], width: number, room: number) => {
          const below = drawn.map((d, k) => d.replace("<svg ", `<svg y="${k * room}" `)).join("");
          const size = `width="${width}" height="${room * drawn.length}"`;
          const all = `<svg xmlns="http://www.w3.org/2000/svg" ${size}><style>${font}</style>${below}</svg>`;
          const image = new Image();
          image.src = URL.createObjectURL(new Blob([all], { type: "image/svg+xml" }));
          await image.decode();
          const canvas = document.createElement("canvas");
          canvas.width = width;
          canvas.height = room * drawn.length;
          const ctx = canvas.getContext("2d", { willReadFrequently: true })!;
          ctx.drawImage(image, 0, 0);
          URL.revokeObjectURL(image.src);
          return ctx;
        };
        for (const c of list) {
          const room = Math.ceil(c.height);
          const seen = await pixels(c.drawn, c.width, room);
          for (const b of c.boxes) {
            const [x, y] = [Math.max(0, Math.ceil(b.x)), Math.max(0, Math.ceil(b.y))];
            const w = Math.min(Math.floor(b.x + b.w), c.width) - x;
            const h = Math.min(Math.floor(b.y + b.h), c.height) - y;
            if (w <= 1 || h <= 1) continue;
            const [is, ...alone] = c.drawn.map((_, k) => seen.getImageData(x, k * room + y, w, h).data);
            for (const should of alone) {
              let worst = 0;
              for (let k = 0; k < should.length; k++) worst = Math.max(worst, Math.abs(is![k]! - should[k]!));
              if (worst > 12) {
                found.push(`${c.name}: "${b.text}" at ${b.x.toFixed(0)}, ${b.y.toFixed(0)} differs by ${worst}`);
                break;
              }
            }
          }
        }
        return found;
      }, cases)),
    );
  }
  expect(words).toBeGreaterThan(5_000);
  expect(bad.slice(0, 20)).toEqual([]);
});
