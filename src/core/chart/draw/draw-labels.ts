import { textWidth } from "../../text/measure";
import { EMPHASIS, SPAN_KIND } from "../data/chart-data";
import { SAYS_UNMARKED } from "../data/label-says";
import { STILL } from "../data/event-media";
import { countText } from "../labels/counts";
import { BOB, dateSize, lineOf, rectangle, TITLE_SIZE, titleSize, wordsSize } from "../style/house-style";
import {
  DATE_GAP,
  type LabelText,
  labelText,
  PICTURE_GAP,
  UNDER_GAP,
  withPicture,
  withWords,
  WORDS_GAP,
} from "../labels/label-text";
import type { Laid } from "../frame/layout";
import { type ChartStyle, dateFace, titleFace, wordsFace } from "../../looks/style";
import type { Shape } from "./scene";
import { inFrame, type ShownCount, type ShownLabel } from "../frame/shown";
import { drawMarks, drawStillSign, markRoom } from "../style/signs";
import { plateOf } from "../style/plates";

const texts = new WeakMap<object, Map<number, LabelText>>();
/** The words of a label, set once for each layout. */
export function textOfLabel({ data, layout }: Laid, i: number): LabelText {
  let known = texts.get(layout);
  if (!known) texts.set(layout, (known = new Map()));
  let t = known.get(i);
  if (!t) {
    const [grown, worded] = [layout.grown[i] ?? 0, layout.worded[i] ?? 0];
    let setting = layout.setting;
    if (grown > 0) setting = withPicture(setting, grown);
    if (worded > 0) setting = withWords(setting, worded);
    t = labelText(data, i, setting, layout.wordsWidth);
    known.set(i, t);
  }
  return t;
}

/** Where the picture of a label lies, along and across its ridge as the label's own box; null: it has none. */
export function pictureOf(
  { layout }: Laid,
  l: ShownLabel,
  t: LabelText,
): { x: number; y: number; w: number; h: number } | null {
  if (!t.picture) return null;
  const box = inFrame(layout.upright, l);
  const side = layout.upright ? 1 : l.side;
  return { x: side > 0 ? box.x : box.x + box.w - t.pictureW, y: box.y + 1, w: t.pictureW, h: t.pictureH };
}

/** The plumb line of a label: from its bob down, along to where it hangs, and down to the label's foot. */
export function leader({ layout, data }: Laid, l: ShownLabel): number[] {
  if (!Number.isNaN(layout.handY[l.rank]!)) return leaderByHand(layout, l);
  const { roof, gap } = layout.roofs;
  // A span's begins at its roof and crosses the ridge.
  const y0 =
    data.kind[l.i] === SPAN_KIND
      ? layout.ridgeTop - gap - layout.roofRow[l.i]! * (roof + gap) - roof / 2
      : layout.ridgeTop + layout.ridge + BOB - 2;
  // Where labels hang lower, lines have that room too to reach their places.
  const y1 = layout.labelsTop;
  // To the label's foot; where it stands at the line's end, to its beginning.
  const foot = layout.upright ? l.y - 5 : l.y + l.h;
  return Math.abs(l.anchor - l.apex) < 0.5 ? [l.apex, y0, l.apex, foot] : [l.apex, y0, l.anchor, y1, l.anchor, foot];
}

/** To a label placed by hand: straight from the bob, or from the ridge's other side, to the nearest of its box. */
function leaderByHand(layout: Laid["layout"], l: ShownLabel): number[] {
  const above = l.y + l.h / 2 < layout.ridgeTop + layout.ridge / 2;
  const y0 = above ? layout.ridgeTop : layout.ridgeTop + layout.ridge + BOB - 2;
  const x = Math.max(l.x - 4, Math.min(l.apex, l.x + l.w + 4));
  return [l.apex, y0, x, above ? l.y + l.h + 2 : Math.max(y0, l.y - 2)];
}

/** By how much finer, as usual and stronger lines differ. */
const WEIGHT = [0.6, 1, 2] as const;

export function drawLine(shapes: Shape[], laid: Laid, l: ShownLabel, selected: boolean): void {
  const { data } = laid;
  const important = (data.flags[l.i]! & EMPHASIS) !== 0;
  shapes.push({
    kind: "line",
    points: leader(laid, l),
    stroke: data.looks[data.paint[l.i]!]!.colour,
    width: (selected ? 3 : important ? 2 : 1.25) * data.style.lines * WEIGHT[data.weight[l.i]! + 1]!,
  });
}

/** `said`: what stands on the ridge, which a label need not say once more where its author wants it so. */
export function drawLabel(
  shapes: Shape[],
  laid: Laid,
  l: ShownLabel,
  selected: boolean,
  said: ReadonlySet<string>,
  plates = true,
): void {
  const { data, layout } = laid;
  const { style } = data;
  const set = textOfLabel(laid, l.i);
  const isSaid = (data.says[l.i]! & SAYS_UNMARKED) !== 0 && set.lines.length > 0 && said.has(set.date);
  const t = isSaid ? { ...set, date: "" } : set;
  const { x, y, w, h } = inFrame(layout.upright, l);
  const side = layout.upright ? 1 : l.side;
  // In a dense drawing lines run behind the labels, a hair's breadth beside the words.
  const [across, down] = layout.upright ? [1, 1] : layout.small ? [4, 2] : [3, 1];
  if (plates || selected)
    shapes.push({
      kind: "area",
      points: rectangle(x - across, y - down, w + 2 * across, h + 2 * down),
      ...(selected ? { fill: style.wash, stroke: style.sun, strokeWidth: 2 } : plateOf(style)),
    });
  const { type } = t;
  const size = titleSize((data.flags[l.i]! & EMPHASIS) !== 0, type);
  const [dated, line] = [dateSize(type), lineOf(type)];
  const { colour } = data.looks[data.paint[l.i]!]!;
  const marks = markRoom(data, l.i);
  const put = (text: string, tx: number, ty: number, date: boolean, to: "start" | "end") =>
    shapes.push({
      kind: "text",
      x: tx,
      y: ty,
      text,
      face: date ? dateFace(style) : titleFace(style),
      size: date ? dated : size,
      fill: date ? colour : style.ink,
      align: to,
    });
  if (layout.setting.oneLine) {
    let at = x;
    const base = y + Math.round(type * 1.04);
    drawMarks(shapes, data, l.i, at, base - 4.5, colour);
    at += marks;
    if (t.date) {
      put(t.date, at, base, true, "start");
      at += textWidth(t.date, dateFace(style), dated) + DATE_GAP;
    }
    put(t.lines[0] ?? "", at, base, false, "start");
    return;
  }
  const align = side > 0 ? "start" : "end";
  let edge = side > 0 ? x : x + w;
  let ty = y + Math.round(type * 0.96);
  if (t.picture) {
    const at = pictureOf(laid, l, t)!;
    const focus = data.focus.get(l.i);
    shapes.push({
      kind: "picture",
      ...at,
      item: t.picture,
      proportion: data.proportions[l.i]!,
      ...(focus ? { focus } : {}),
    });
    if (data.media[l.i]! & STILL) drawStillSign(shapes, style, at);
    if (t.over) ty += t.pictureH + UNDER_GAP;
    else edge += side * (t.pictureW + PICTURE_GAP);
  }
  let room = marks;
  const first = (text: string, date: boolean) => {
    const width = textWidth(text, date ? dateFace(style) : titleFace(style), date ? dated : size);
    // Letter and sign stand before the words, whichever way they hang.
    if (room > 0) drawMarks(shapes, data, l.i, side > 0 ? edge : edge - width - room, ty - type / 3, colour);
    put(text, side > 0 ? edge + room : edge, ty, date, align);
    ty += line;
    room = 0;
  };
  if (t.date) first(t.date, true);
  for (const [k, words] of t.lines.entries()) {
    if (k === 0 && !t.date) first(words, false);
    else {
      put(words, edge, ty, false, align);
      ty += line;
    }
  }
  drawWords(shapes, style, t, edge, ty, align);
}

/** The first words of a description, under the title, whose next line would stand at `y`. */
function drawWords(
  shapes: Shape[],
  style: ChartStyle,
  t: LabelText,
  x: number,
  y: number,
  align: "start" | "end",
): void {
  const size = wordsSize(t.type);
  const next = lineOf(size);
  let at = y - lineOf(t.type) + next + WORDS_GAP;
  for (const text of t.words) {
    shapes.push({ kind: "text", x, y: at, text, face: wordsFace(style), size, fill: style.quiet, align });
    at += next;
  }
}

export function drawCount(shapes: Shape[], style: ChartStyle, upright: boolean, count: ShownCount): void {
  const c = inFrame(upright, count);
  shapes.push({
    kind: "area",
    points: rectangle(c.x, c.y, c.w, c.h),
    fill: style.count,
    stroke: style.quiet,
    strokeWidth: 1,
  });
  shapes.push({
    kind: "text",
    x: c.x + c.w / 2,
    y: c.y + 15,
    text: countText(count.count, style),
    face: titleFace(style),
    size: TITLE_SIZE,
    fill: style.ink,
    align: "middle",
  });
}
