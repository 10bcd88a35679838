import { type Face, textWidth } from "../../text/measure";
import { itemsOf, type Timeline } from "../../timeline/timeline";
import { STILL } from "../data/event-media";
import { chartOf } from "../frame/chart";
import { groundOf } from "../frame/layout";
import { rankX } from "../frame/shown";
import { wholeView } from "../axis/view";
import { BOB } from "../style/house-style";
import { dateFace, titleFace } from "../../looks/style";
import { drawWordsOver } from "../style/plates";
import { drawStillSign } from "../style/signs";
import { drawView } from "./draw-chart";
import { moveShapes, type Scene, type Shape } from "./scene";

/** The cover takes up to this share of the width. */
const COVER_SHARE = 0.3;
const COVER_GAP = 6;
/** Between what hangs, and from the bobs down to it, px. */
const APART = 6;
const DROP = 10;
/** So many things hang below the ridge at most, and so many of them words. */
const MOST_HUNG = 8;
const MOST_WORDS = 4;
const TYPE = 11.5;
const WIDEST_WORDS = 118;
/** Pictures lower than this say nothing, px. */
const LEAST_PICTURE = 22;

/**
 * A timeline in small: its cover, the shape of its chart, the pictures of its most important events at their dates, and a few
 * titles where there is room, all of them whole. A function of its arguments alone.
 */
export function drawThumbnail(timeline: Timeline, { width, height }: { width: number; height: number }): Scene {
  const shapes: Shape[] = [];
  const cover = itemsOf(timeline, "timeline", "media").find((i) => i.kind === "picture");
  let left = 0;
  if (cover && timeline.pictures !== "none") {
    const proportion = cover.width && cover.height ? cover.width / cover.height : 1;
    const w = Math.round(Math.min(width * COVER_SHARE, height * Math.max(0.6, proportion)));
    const focus = cover.focus ? { focus: cover.focus } : {};
    shapes.push({ kind: "picture", x: 0, y: 0, w, h: height, item: cover.id, proportion, ...focus });
    left = w + COVER_GAP;
  }
  const chart = chartOf(timeline, { width: width - left, height }, { strip: true });
  const { laid } = chart;
  const { data, layout } = laid;
  const ground = groundOf(laid.axis, layout);
  const view = wholeView(ground);
  const { scene } = drawView(chart, view, "at rest", null);
  const top = layout.ridgeTop + layout.ridge + BOB + DROP;
  const hung: Shape[] = [];
  const [titled, dated] = [titleFace(data.style), dateFace(data.style)];
  const taken: { from: number; to: number }[] = [];
  const high = height - top - 3;
  let words = 0;
  for (const rank of layout.order) {
    if (taken.length === MOST_HUNG || high < LEAST_PICTURE) break;
    const i = layout.byApex[rank]!;
    const item = data.pictures[i];
    const title = data.titles[i]!.replaceAll("\n", " ");
    const date = data.shortDates[i]!;
    const shape = Math.min(1.5, Math.max(0.75, data.proportions[i]! || 1.3));
    const w = item ? Math.round(high * shape) : Math.max(textWidth(title, titled, TYPE), textWidth(date, dated, TYPE));
    if (!item && (words === MOST_WORDS || w > WIDEST_WORDS || high < 2 * TYPE + 6)) continue;
    const apex = rankX(laid, ground, view, rank);
    const x = Math.max(2, Math.min(ground.size - w - 2, apex - w / 2));
    // It hangs from its own bob, and no line passes anything else.
    const [from, to] = [Math.min(x, apex), Math.max(x + w, apex)];
    if (taken.some((t) => from < t.to + APART && t.from < to + APART)) continue;
    taken.push({ from, to });
    const { colour } = data.looks[data.paint[i]!]!;
    hung.push({ kind: "line", points: [apex, top - DROP - 2, apex, top], stroke: colour, width: 1.25 });
    if (item) {
      const focus = data.focus.get(i);
      const box = { x, y: top, w, h: high };
      hung.push({
        kind: "picture",
        ...box,
        item,
        proportion: data.proportions[i]!,
        ...(focus ? { focus } : {}),
      });
      if (data.media[i]! & STILL) drawStillSign(hung, data.style, box);
      continue;
    }
    words++;
    const put = (text: string, y: number, fill: string, face: Face) =>
      drawWordsOver(hung, data.style, { x, y, text, face, size: TYPE, fill, align: "start" });
    if (date) put(date, top + TYPE, colour, dated);
    put(title, top + (date ? 2 * TYPE + 3 : TYPE), data.style.ink, titled);
  }
  const drawn = [...scene.shapes, ...hung];
  moveShapes(drawn, 0, left, 0);
  return { width, height, shapes: [...shapes, ...drawn], targets: [], backdrop: scene.backdrop, ridgeY: scene.ridgeY };
}
