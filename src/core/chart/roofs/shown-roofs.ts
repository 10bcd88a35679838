import { OUTER_END } from "../data/chart-data";
import { SLOPE } from "../style/house-style";
import type { Laid } from "../frame/layout";
import { labelStart } from "../labels/whole-search";
import { OVER_GAP, OVER_PITCH } from "./titles-over";
import { AFTER, ASIDE, INSET, LEAST_ROOF, ON_ROOF, OVER } from "./roof-titles";
import { pointX, type ShownRoof } from "../frame/shown";
import type { Ground, View } from "../axis/view";

/** The roofs in view, with their titles. */
export function shownRoofs(laid: Laid, g: Ground, v: View): ShownRoof[] {
  const { layout, p } = laid;
  const found: ShownRoof[] = [];
  const { roof, gap } = layout.roofs;
  for (let row = 0; row < layout.roofRows; row++) {
    const y1 = layout.ridgeTop - gap - row * (roof + gap);
    const end = layout.spanStart[row + 1]!;
    // Roofs of a row follow each other; where slopes meet, two before the first that begins in view may still reach into it.
    let k = firstSpan(laid, g, v, layout.spanStart[row]!, end, 0);
    k = Math.max(layout.spanStart[row]!, k - 2);
    const after = (n: number) => (n + 1 < end ? pointX(laid, g, v, layout.spans[n + 1]!, 0) : Number.POSITIVE_INFINITY);
    for (; k < end; k++) {
      const i = layout.spans[k]!;
      const x0 = pointX(laid, g, v, i, 0);
      if (x0 > g.size + 400) break;
      const next = after(k);
      const made = roofAt(laid, g, v, i, x0, next, y1 - roof, y1);
      if (made.x1 >= 0 && x0 <= g.size) found.push(made);
      else if (made.title && made.title.x < g.size && made.title.x + made.title.w > 0) found.push(made);
      // A crowd of specks in the same few px: one of them is enough.
      if (next - x0 < 3 && p.hi.length > 4_000) k = Math.max(k, firstSpan(laid, g, v, k + 1, end, x0 + 3.5) - 1);
    }
  }
  return found;
}

function firstSpan(laid: Laid, g: Ground, v: View, from: number, to: number, x: number): number {
  let low = from;
  let high = to;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (pointX(laid, g, v, laid.layout.spans[mid]!, 0) < x) low = mid + 1;
    else high = mid;
  }
  return low;
}

function roofAt(
  laid: Laid,
  g: Ground,
  v: View,
  i: number,
  x0: number,
  next: number,
  y0: number,
  y1: number,
): ShownRoof {
  const least = Math.min(LEAST_ROOF, Math.max(0.4, next - x0));
  const x1 = Math.max(pointX(laid, g, v, i, OUTER_END), x0 + least);
  const steep = Math.min(SLOPE, (x1 - x0) / 3);
  let top0 = Math.max(pointX(laid, g, v, i, 1), x0 + steep);
  let top1 = Math.min(pointX(laid, g, v, i, 2), x1 - steep);
  // Doubt at both ends that meets: the roof has a point instead of a flat top.
  if (top0 > top1) top0 = top1 = Math.min(x1, Math.max(x0, (top0 + top1) / 2));
  return { i, x0, x1, top0, top1, y0, y1, title: titleAt(laid, g, v, i, x0, x1, top0, top1) };
}

/** Where a title over all roofs stands across, and its line: from the roof up, to its own anchor, and along it. */
function titleOver({ layout }: Pick<Laid, "layout">, i: number, top0: number, top1: number) {
  const { titles, ridgeTop, roofRows, roofs } = layout;
  const highest = ridgeTop - roofs.gap - (roofRows - 1) * (roofs.roof + roofs.gap) - roofs.roof;
  const from = top0 + (top1 - top0) * titles.overAt[i]!;
  return {
    y: highest - OVER_GAP - (titles.overRow[i]! + 1) * OVER_PITCH + 2,
    h: OVER_PITCH - 4,
    from,
    at: from + titles.overShift[i]!,
    bend: highest - 1,
  };
}

function titleAt(
  { layout }: Laid,
  g: Ground,
  v: View,
  i: number,
  x0: number,
  x1: number,
  top0: number,
  top1: number,
): ShownRoof["title"] {
  const { titles } = layout;
  const scale = v.scale * (1 + 1e-9);
  if (scale < titles.z[i]!) return null;
  const whole = titles.width[i]!;
  // What is cut says the same until all of it has room.
  const cut = titles.cut[i]! > 0 && scale < titles.wholeFrom[i]! ? titles.cut[i]! : null;
  const w = cut === null ? whole : Math.min(cut, whole);
  const mode = titles.mode[i]!;
  // On it, kept in sight while the roof runs on to the left.
  const sticky = Math.min(Math.max(top0, 2) + INSET, Math.max(top0 + INSET, top1 - INSET - w));
  const picture = cut === null ? titles.picture[i]! : 0;
  if (mode === ON_ROOF) return { x: sticky, w, on: true, cut, picture };
  if (mode === OVER) {
    const over = titleOver({ layout }, i, top0, top1);
    if (over.from >= 0 && over.from <= g.size) {
      const x = over.at + labelStart(titles.overSide[i]!, whole, false);
      return { x, w: whole, on: false, cut: null, picture: 0, over };
    }
  }
  const x = mode === OVER ? Number.NEGATIVE_INFINITY : mode === AFTER ? x1 + ASIDE : x0 - ASIDE - w;
  const inSight = x >= 0 && x + w <= g.size;
  // Where it would be out of sight, it stands on its roof as soon as that has room.
  if (!inSight && top1 - top0 - 2 * INSET >= whole && x1 > 0 && x0 < g.size)
    return {
      x: Math.min(Math.max(top0, 2) + INSET, Math.max(top0 + INSET, top1 - INSET - whole)),
      w: whole,
      on: true,
      cut: null,
      picture,
    };
  return mode === OVER ? null : { x, w, on: false, cut, picture };
}
