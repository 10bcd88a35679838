import { readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import { chartOf } from "../src/core/chart/frame/chart";
import { drawView } from "../src/core/chart/draw/draw-chart";
import { groundOf } from "../src/core/chart/frame/layout";
import type { Scene, Shape } from "../src/core/chart/draw/scene";
import { toSvg } from "../src/core/chart/draw/to-svg";
import { wholeView, zoomed } from "../src/core/chart/axis/view";
import { KINDS, seededTimeline } from "../src/core/testing/seeded-timeline";
import { textWidth } from "../src/core/text/measure";

const PER_PAGE = 10;
const TIMELINES = 200;
const PAPER = "#FFFFFF";

/** The labels below the ridge: a ground and the words and pictures that follow it. */
function labelsOf(scene: Scene): { rest: Shape[]; labels: Shape[][] } {
  const rest: Shape[] = [];
  const labels: Shape[][] = [];
  for (const s of scene.shapes) {
    const below = s.kind === "area" ? s.points[1]! > scene.ridgeY + 20 : s.kind !== "line" && s.y > scene.ridgeY + 20;
    if (!below) {
      rest.push(s);
      continue;
    }
    // Bobs hang at the ridge itself; they are no labels.
    if (s.kind === "area" && s.points[1]! < scene.ridgeY + 30) continue;
    const isGround = s.kind === "area" && s.points.length === 8 && (s.fill === PAPER || s.stroke !== undefined);
    if (isGround || labels.length === 0) labels.push([s]);
    else labels.at(-1)!.push(s);
  }
  return { rest: rest.filter((s) => s.kind !== "line"), labels };
}

interface Case {
  name: string;
  full: string;
  forwards: string;
  backwards: string;
  width: number;
  height: number;
  boxes: { text: string; x: number; y: number; w: number; h: number }[];
}

function caseOf(n: number): Case {
  const count = [15, 40, 60, 150, 600][n % 5]!;
  const kind = KINDS[Math.floor(n / 5) % KINDS.length]!;
  const scale = (["balanced", "true", "even"] as const)[n % 3]!;
  const width = [1_280, 900, 390, 320][n % 4]!;
  const timeline = { ...seededTimeline(count, n, kind, scale), gridlines: n % 2 === 0 };
  const chart = chartOf(timeline, { width, height: 480 });
  const g = groundOf(chart.laid.axis, chart.laid.layout);
  const view = n % 3 === 2 ? zoomed(g, wholeView(g), width * 0.6, 5) : wholeView(g);
  const { scene } = drawView(chart, view, "at rest", null);
  const { rest, labels } = labelsOf(scene);
  const svg = (shapes: Shape[]) => toSvg({ ...scene, shapes }, { pictureUrl: () => null, paper: PAPER, style: "FONT" });
  // What the words look like with nothing but their own grounds: in two orders, so that one label over another shows.
  return {
    name: `${n}: ${count} ${kind} ${scale} ${width}`,
    full: svg(scene.shapes.filter((s) => !(s.kind === "area" && s.fill === "#F1F4F3"))),
    forwards: svg([...rest, ...labels.flat()].filter((s) => !(s.kind === "area" && s.fill === "#F1F4F3"))),
    backwards: svg([...rest, ...labels.reverse().flat()].filter((s) => !(s.kind === "area" && s.fill === "#F1F4F3"))),
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

test(`no word is struck through or covered in ${TIMELINES} seeded timelines`, async ({ page }) => {
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
  for (let first = 0; first < TIMELINES; first += PER_PAGE) {
    const cases = Array.from({ length: PER_PAGE }, (_, k) => caseOf(first + k));
    words += cases.reduce((n, c) => n + c.boxes.length, 0);
    bad.push(
      ...(await page.evaluate(async (list) => {
        const { font } = window as unknown as { font: string };
        const found: string[] = [];
        const pixels = async (svg: string, w: number, h: number) => {
          const image = new Image();
          image.src = URL.createObjectURL(new Blob([svg.replace("FONT", font)], { type: "image/svg+xml" }));
          await image.decode();
          const canvas = document.createElement("canvas");
          canvas.width = w;
          canvas.height = h;
          const ctx = canvas.getContext("2d", { willReadFrequently: true })!;
          ctx.drawImage(image, 0, 0);
          URL.revokeObjectURL(image.src);
          return ctx;
        };
        for (const c of list) {
          const [full, ...alone] = await Promise.all(
            [c.full, c.forwards, c.backwards].map((s) => pixels(s, c.width, c.height)),
          );
          for (const b of c.boxes) {
            const [x, y] = [Math.max(0, Math.ceil(b.x)), Math.max(0, Math.ceil(b.y))];
            const w = Math.min(Math.floor(b.x + b.w), c.width) - x;
            const h = Math.min(Math.floor(b.y + b.h), c.height) - y;
            if (w <= 1 || h <= 1) continue;
            const is = full!.getImageData(x, y, w, h).data;
            for (const other of alone) {
              const should = other.getImageData(x, y, w, h).data;
              let worst = 0;
              for (let k = 0; k < is.length; k++) worst = Math.max(worst, Math.abs(is[k]! - should[k]!));
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
