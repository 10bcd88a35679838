import { textWidth } from "../../text/measure";
import { INNER_START, WRITTEN } from "../data/chart-data";
import { CAP, GABLE, GABLE_GAP, rectangle } from "../style/house-style";
import { pointOf } from "../axis/axis";
import { pairAt } from "../axis/positions";
import type { Laid } from "../frame/layout";
import type { Shape } from "./scene";
import { ZERO } from "../axis/pair";
import { alongRidge, clearOf, makeTicks, TICK_SIZE, type TickRow, UPRIGHT_LINE, uprightLines } from "../ticks/ticks";
import { edgeText, type Unit } from "../ticks/tick-units";
import { type Ground, uAt, type View, xOf } from "../axis/view";
import type { Words } from "../data/words";
import { drawWordsOver } from "../style/plates";
import { type ChartStyle, titleFace } from "../../looks/style";

/** What the row of the larger unit takes over the ridge, px. */
const LARGER_ROW = 13;

/** Half as wide as the mark of a chapter, px. */
const CHAPTER = 5;

/** A date on the ridge that is always there: the first and the last, or those at the edges of what is seen. */
export interface EndLabel {
  text: string;
  from: number;
  to: number;
}

export interface Ridge {
  ends: EndLabel[];
  row: TickRow;
}

/** Dates and ticks of the ridge in a view. */
export function ridgeOf(laid: Laid, g: Ground, v: View, words: Words): Ridge {
  const { axis } = laid;
  if (axis.scale === "even" || !axis.from) {
    const ends = evenLabels(laid, g, v, words);
    return { ends, row: { ticks: [], larger: [], unit: null } };
  }
  const row = makeTicks(g, v, words.manner, words.marks);
  const ends = endLabels(laid, g, v, words, row.unit);
  const taken = ends.map((e): [number, number] => [e.from, e.to]);
  const ridge = [xOf(g, v, ZERO) - CAP, xOf(g, v, { hi: axis.length, lo: 0 }) + CAP] as const;
  return { ends, row: { ...row, ticks: clearOf(row.ticks, taken, g, ridge) } };
}

function endLabels(laid: Laid, g: Ground, v: View, words: Words, unit: Unit | null): EndLabel[] {
  const { axis } = laid;
  const left = xOf(g, v, { hi: 0, lo: 0 });
  const right = xOf(g, v, { hi: axis.datedLength, lo: 0 });
  const edge = (x: number) => {
    const at = axis.timeAt(uAt(g, v, x));
    return at && unit ? edgeText(unit, at, words.manner) : "";
  };
  const atStart = left >= 0;
  const atEnd = right <= g.size;
  const first = atStart ? words.first : edge(0);
  const last = atEnd ? words.last : edge(g.size);
  const [w1, w2] = [alongRidge(g, first), alongRidge(g, last)];
  const from = atStart ? Math.max(left, 4) : 8;
  const to = atEnd ? Math.min(right, g.size - 4) : g.size - 8;
  if (first === last || !last) return first ? [{ text: first, from, to: from + w1 }] : [];
  if (!first) return [{ text: last, from: to - w2, to }];
  if (w1 + w2 + 20 > to - from) {
    const whole = `${first} – ${last}`;
    const { shortDates, first: a, last: b } = laid.data;
    // On a very short ridge the years must do, or what else tells them apart.
    const narrow = alongRidge(g, whole) > right - left + 2 * CAP && atStart && atEnd && a >= 0 && b >= 0 && a !== b;
    const text = narrow ? `${shortDates[a]} – ${last === words.last && shortDates[b] ? shortDates[b] : last}` : whole;
    const w = alongRidge(g, text);
    const x = Math.max(4, Math.min(from, g.size - 4 - w));
    return [{ text, from: x, to: x + w }];
  }
  return [
    { text: first, from, to: from + w1 },
    { text: last, from: to - w2, to },
  ];
}

/**
 * On the even scale the ridge carries the events' own dates: the first and the last, and of the others every one, every
 * second, every fourth ... as there is room for the widest, so that they stay the same while the view moves.
 */
function evenLabels(laid: Laid, g: Ground, v: View, words: Words): EndLabel[] {
  const { data } = laid;
  const n = data.count;
  const isDated = (i: number) => pointOf(data, i, WRITTEN) !== null;
  const made = (i: number): EndLabel => {
    const text = words.startOf(i);
    const w = alongRidge(g, text);
    const x = xOf(g, v, { hi: i + 0.5, lo: 0 }) - w / 2;
    return { text, from: x, to: x + w };
  };
  let first = 0;
  while (first < n && !isDated(first)) first++;
  let last = n - 1;
  while (last > first && !isDated(last)) last--;
  if (first >= n) return [];
  const inFrame = (l: EndLabel): EndLabel => {
    // On the ridge, which ends before the frame does.
    const from = Math.max(8, xOf(g, v, ZERO));
    const to = Math.min(g.size - 8, xOf(g, v, { hi: g.axis.length, lo: 0 }));
    const x = Math.max(from, Math.min(l.from, to - (l.to - l.from)));
    return { text: l.text, from: x, to: x + l.to - l.from };
  };
  const low = Math.max(0, Math.floor(uAt(g, v, -100).hi));
  const high = Math.min(n - 1, Math.ceil(uAt(g, v, g.size + 100).hi));
  const apart = g.upright ? 6 : 18;
  const seen = (l: EndLabel) => l.to > 0 && l.from < g.size;
  const kept: EndLabel[] = [];
  const clear = (l: EndLabel) => kept.every((k) => l.to + apart <= k.from || l.from >= k.to + apart);
  for (const i of first === last ? [first] : [first, last]) {
    const l = made(i);
    // At the ends of the ridge the label is moved into the frame, not cut by it.
    if (seen(l) || (i === first ? low === 0 : high === n - 1)) {
      const fixed = inFrame(l);
      if (clear(fixed)) kept.push(fixed);
    }
  }
  let widest = g.upright ? 30 : 60;
  for (let i = 0; i < n; i += Math.max(1, Math.floor(n / 200)))
    if (isDated(i)) widest = Math.max(widest, alongRidge(g, words.startOf(i)));
  const stride = 2 ** Math.max(0, Math.ceil(Math.log2((widest + apart) / v.scale)));
  for (let i = Math.ceil(low / stride) * stride; i <= high; i += stride) {
    if (i === first || i === last || !isDated(i)) continue;
    const l = made(i);
    if (seen(l) && clear(l)) kept.push(l);
  }
  return kept;
}

/** Shades every second stretch between labelled ticks, where there is no texture, on scales where that stays the same while the view moves. */
export function drawBands(
  shapes: Shape[],
  style: ChartStyle,
  row: TickRow,
  g: Ground,
  height: number,
  whole: boolean,
  lines: boolean,
): void {
  if (lines) {
    for (const t of row.ticks)
      if (t.text && t.x >= 0 && t.x <= g.size)
        shapes.push({ kind: "line", points: [t.x, 0, t.x, height], stroke: style.grid, width: style.lines });
    return;
  }
  if (!whole || style.backdrop.texture) return;
  const ticks = row.ticks.filter((t) => t.text);
  for (let i = 0; i < ticks.length; i += 2) {
    const to = ticks[i + 1]?.x ?? g.size - g.pad;
    shapes.push({ kind: "area", points: rectangle(ticks[i]!.x, 0, to - ticks[i]!.x, height), fill: style.band });
  }
}

/** From where to where the ridge is drawn, px: over the first and the last date by a gable each; as far as it is seen. */
function ridgeEnds(g: Ground, v: View): [number, number] {
  const over = GABLE.width + GABLE_GAP;
  const clip = (x: number) => Math.max(-60, Math.min(g.size + 60, x));
  return [clip(xOf(g, v, ZERO) - over), clip(xOf(g, v, { hi: g.axis.length, lo: 0 }) + over)];
}

/** As high as there is room over the ridge; 0 on a line that only stands for it. */
function gableHeight({ layout }: Laid): number {
  const high = Math.min(GABLE.height, layout.ridgeTop - 1);
  return layout.ridge < GABLE.height || high < 4 ? 0 : high;
}

/** The ridge itself with its ticks, in ridge coordinates. */
export function drawRidge(shapes: Shape[], laid: Laid, g: Ground, v: View, ridge: Ridge): void {
  const { ridgeTop: top, ridge: thick } = laid.layout;
  const foot = top + thick;
  const { ridge: fill, tick, ridgeEnd, lines } = laid.data.style;
  const [a, b] = ridgeEnds(g, v);
  if (g.upright)
    // Running down, the ridge is a house itself: its roof on the first date.
    shapes.push({
      kind: "area",
      points: [a, top + thick / 2, a + CAP, top, b, top, b, foot, a + CAP, foot],
      fill,
    });
  else {
    shapes.push({ kind: "area", points: rectangle(a, top, b - a, thick), fill });
    const high = gableHeight(laid);
    const wall = (high * GABLE.wall) / GABLE.height;
    if (high > 0)
      for (const x of [a, b - GABLE.width])
        shapes.push({
          kind: "area",
          points: [
            x,
            top,
            x,
            top - wall,
            x + GABLE.width / 2,
            top - high,
            x + GABLE.width,
            top - wall,
            x + GABLE.width,
            top,
          ],
          fill,
        });
  }
  for (const t of ridge.row.ticks)
    shapes.push({ kind: "line", points: [t.x, top, t.x, top + (t.text ? 4 : 3)], stroke: tick, width: lines });
  // Before the first event of a chapter, on the ridge's upper edge.
  if (thick >= GABLE.height)
    for (const { before } of laid.data.chapters) {
      const x = xOf(g, v, pairAt(laid.p, before, INNER_START));
      if (x >= -CHAPTER && x <= g.size + CHAPTER)
        shapes.push({ kind: "area", points: [x - CHAPTER, top, x + CHAPTER, top, x, top + CHAPTER + 2], fill: tick });
    }
  // Where time changes pace a notch is cut into the foot of the ridge.
  for (const c of g.axis.changes) {
    const x = xOf(g, v, { hi: c.u, lo: 0 });
    if (x < -6 || x > g.size + 6) continue;
    shapes.push({ kind: "area", points: [x - 5, foot, x, foot - 5, x + 5, foot], fill: ridgeEnd });
  }
}

/** The words of the ridge, in the frame. */
export function drawRidgeWords(shapes: Shape[], laid: Laid, g: Ground, v: View, ridge: Ridge): void {
  const { ridgeTop: top, ridge: thick } = laid.layout;
  const { style } = laid.data;
  const face = titleFace(style);
  const put = (text: string, from: number, to: number, fill: string) => {
    const middle = (from + to) / 2;
    if (!g.upright) {
      shapes.push({
        kind: "text",
        x: middle,
        y: top + 17,
        text,
        face,
        size: TICK_SIZE,
        fill,
        align: "middle",
      });
      return;
    }
    const lines = uprightLines(text, style.family);
    for (const [k, line] of lines.entries())
      shapes.push({
        kind: "text",
        x: top + thick / 2 + 1,
        y: middle + (k - (lines.length - 1) / 2) * UPRIGHT_LINE + 4.5,
        text: line,
        face,
        size: 12,
        fill,
        align: "middle",
      });
  };
  for (const t of ridge.row.ticks) if (t.text) put(t.text, t.x - t.width / 2, t.x + t.width / 2, style.ridgeInk);
  for (const e of ridge.ends) put(e.text, e.from, e.to, style.ridgeEnd);
  // Beside an upright ridge the larger unit stands where no roof does and it does not reach the ridge.
  const beside = laid.layout.roofRows === 0 ? top - 8 : 0;
  // Where they share their height, words stand behind the gable.
  const shared = top - gableHeight(laid) < 14;
  const clearOfGable = shared ? ridgeEnds(g, v)[0] + GABLE.width + 4 : 0;
  const beforeGable = shared ? ridgeEnds(g, v)[1] - GABLE.width - 4 : Number.POSITIVE_INFINITY;
  for (const [k, l] of ridge.row.larger.entries()) {
    if ((laid.layout.strip || laid.layout.taken) && laid.layout.roofRows > 0) break;
    // A low strip has no room over its ridge.
    if (!g.upright && top < LARGER_ROW) break;
    const width = textWidth(l.text, face, 12);
    if (g.upright && width > beside) continue;
    const x = Math.max(l.x, clearOfGable);
    if (!g.upright && x + width > beforeGable) continue;
    const next = ridge.row.larger[k + 1];
    // Moved behind the gable they may reach the next.
    if (!g.upright && x > l.x && next && x + width + 8 > next.x) continue;
    drawWordsOver(shapes, style, {
      x: g.upright ? 4 : x,
      y: g.upright ? l.x + 9 : 12,
      text: l.text,
      face,
      size: 12,
      fill: style.quiet,
      align: "start",
    });
  }
}
