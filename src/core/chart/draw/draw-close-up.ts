import { cutToWidth, textWidth } from "../../text/measure";
import { placeInView } from "../axis/look-at";
import type { Chart } from "../frame/chart";
import { HEAD } from "../close-ups/close-ups";
import { rectangle, RING } from "../style/house-style";
import { groundOf } from "../frame/layout";
import type { Shape } from "./scene";
import { drawRing } from "../style/signs";
import { patternOn } from "../style/patterns";
import { dateFace, titleFace } from "../../looks/style";
import { type View, wholeView } from "../axis/view";

const EAVES = 14;
const TITLE = 14.5;
const DATE = 13;

/** A close-up's own roof with letter, title and date, and the ground below it; at its place in the frame. */
export function drawCloseUp(shapes: Shape[], chart: Chart, k: number, view: View, selected: string | null): void {
  const { data } = chart;
  const { whole, x, y, w, h } = chart.closeUps[k]!;
  const { colour, pattern } = data.looks[data.paint[whole]!]!;
  const { paper, sun } = data.style;
  const [TITLED, DATED] = [
    { face: dateFace(data.style), size: TITLE },
    { face: titleFace(data.style), size: DATE },
  ] as const;
  const isSelected = selected !== null && data.ids[whole] === selected;
  const stroke = isSelected ? sun : colour;
  shapes.push({
    kind: "area",
    points: rectangle(x, y + HEAD - 1, w, h - HEAD + 1),
    fill: paper,
    stroke,
    strokeWidth: isSelected ? 3 : 1.5,
  });
  shapes.push({
    kind: "area",
    points: [x - 3, y + HEAD, x + EAVES, y, x + w - EAVES, y, x + w + 3, y + HEAD],
    fill: colour,
    ...patternOn(data.style, pattern),
    ...(isSelected ? { stroke: sun, strokeWidth: 3 } : {}),
  });
  const middle = y + HEAD / 2;
  const date = data.dates[whole]!;
  const from = x + EAVES + 8;
  const room = w - 2 * EAVES - 70;
  const full = textWidth(data.titles[whole]!, TITLED.face, TITLED.size);
  const dateWidth = date ? textWidth(date, DATED.face, DATED.size) + 12 : 0;
  const withDate = dateWidth > 0 && Math.min(full, 120) + dateWidth <= room;
  const title = cutToWidth(data.titles[whole]!, TITLED.face, TITLED.size, withDate ? room - dateWidth : room);
  const width = textWidth(title, TITLED.face, TITLED.size);
  // A plain ground, so that no pattern runs through the words.
  if (pattern !== "solid")
    shapes.push({
      kind: "area",
      points: rectangle(from - 4, y + 2, 2 * RING + 14 + width + (withDate ? dateWidth : 0), HEAD - 4),
      fill: colour,
    });
  drawRing(shapes, from + RING, middle, data.letters[whole]!, colour, data.style);
  const text = (words: string, at: number, t: typeof TITLED | typeof DATED) =>
    shapes.push({ kind: "text", x: at, y: middle + 5, text: words, ...t, fill: paper, align: "start" });
  text(title, from + 2 * RING + 7, TITLED);
  if (withDate) text(date, from + 2 * RING + 7 + width + 12, DATED);
  // The mark that closes it.
  const fold = x + w - 22;
  shapes.push({ kind: "area", points: rectangle(fold - 11, middle - 11, 22, 22), fill: colour });
  shapes.push({ kind: "area", points: [fold - 6, middle + 3, fold, middle - 5, fold + 6, middle + 3], fill: paper });
  pointDown(shapes, chart, k, view, colour);
}

/** A small point at the close-up's foot, over what it shows nearer. */
function pointDown(shapes: Shape[], chart: Chart, k: number, view: View, colour: string): void {
  const c = chart.closeUps[k]!;
  if (c.laid.layout.upright) return;
  const over = c.parent < 0 ? null : chart.closeUps[c.parent]!;
  const laid = over ? over.laid : chart.laid;
  const g = groundOf(laid.axis, laid.layout);
  const i = laid.data.ids.indexOf(chart.data.ids[c.whole]!);
  if (i < 0) return;
  const [a, b] = placeInView(laid, g, over ? wholeView(g) : view, i);
  const at = (a + b) / 2 + (over ? over.x : 0);
  if (at < c.x + 8 || at > c.x + c.w - 8) return;
  const foot = c.y + c.h;
  shapes.push({ kind: "area", points: [at - 7, foot, at + 7, foot, at, foot + 9], fill: colour });
}
