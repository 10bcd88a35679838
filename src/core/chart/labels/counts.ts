import { drawnIn } from "../../words/chart";
import { textWidth } from "../../text/measure";
import { type ChartStyle, titleFace } from "../../looks/style";
import { MORE_ROW, TITLE_SIZE } from "../style/house-style";
import type { Laid } from "../frame/layout";
import { firstRank, rankX, type ShownCount, type ShownLabel } from "../frame/shown";
import { fitScale, type Ground, type View, xOf } from "../axis/view";

/** The least a bin is wide, px: room for the widest count. */
const BIN = 112;
const BIN_UPRIGHT = 30;
const BADGE_HEIGHT = 21;
/** Deeper than this bins no longer split, so that their numbers stay exact. */
const DEEPEST = 44;

/**
 * Events below the ridge that have no label in a view, counted in bins: halves of halves of the ridge, at least as wide as a
 * count. Bins stand still while the view moves, and come apart in two when it zooms in.
 */
export function counts(laid: Laid, g: Ground, v: View, labels: readonly ShownLabel[]): ShownCount[] {
  const { layout } = laid;
  const n = layout.byApex.length;
  if (!layout.counted || n === 0) return [];
  const least = g.upright ? BIN_UPRIGHT : BIN;
  const deep = Math.max(0, Math.min(DEEPEST, Math.floor(Math.log2((g.axis.length * v.scale) / least))));
  const width = g.axis.length / 2 ** deep;
  const last = 2 ** deep - 1;
  const bin = (rank: number) => Math.min(last, Math.floor((layout.hi[rank]! + layout.lo[rank]!) / width));
  const binLeft = (b: number) => xOf(g, v, { hi: b * width, lo: 0 });
  const found: ShownCount[] = [];
  const { style } = laid.data;
  let r = firstRank(laid, g, v, -width * v.scale);
  if (r < n) r = firstOfBin(n, bin, bin(r));
  while (r < n) {
    const b = bin(r);
    const left = binLeft(b);
    if (left > g.size) break;
    const end = firstOfBin(n, bin, b + 1, r);
    const right = left + width * v.scale;
    if (right > 0) {
      const count = end - r - labelled(laid, g, v, labels, r, end);
      if (count > 0) {
        const w = g.upright ? BADGE_HEIGHT : badgeWidth(count, style);
        // In sight as long as a part of the bin is that has room for it.
        const middle = (Math.max(left, 0) + Math.min(right, g.size)) / 2;
        const x = Math.min(Math.max(middle - w / 2, left), right - w);
        const across = g.upright ? badgeWidth(count, style) : BADGE_HEIGHT;
        const y = g.upright ? layout.across - across - 3 : layout.across - MORE_ROW;
        found.push({ first: r, end, count, x, y, w, h: across });
      }
    }
    r = end;
  }
  return found;
}

/** Whether an event needs no count: its label is shown, or would be if its moment were not beyond the frame's edge. */
function needsNone(laid: Laid, g: Ground, v: View, rank: number, shown: ReadonlySet<number>): boolean {
  if (shown.has(rank)) return true;
  if (laid.layout.z[rank]! > v.scale * (1 + 1e-9)) return false;
  const x = rankX(laid, g, v, rank);
  return x < 0 || x > g.size;
}

/** How many of the ranks [first, end) need no count. In a large chart without asking each. */
function labelled(laid: Laid, g: Ground, v: View, labels: readonly ShownLabel[], first: number, end: number): number {
  const { layout } = laid;
  let n = 0;
  let low = 0;
  let high = labels.length;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (labels[mid]!.rank < first) low = mid + 1;
    else high = mid;
  }
  const shown = new Set<number>();
  for (; low < labels.length && labels[low]!.rank < end; low++) shown.add(labels[low]!.rank);
  n = shown.size;
  if (rankX(laid, g, v, first) >= 0 && rankX(laid, g, v, end - 1) <= g.size) return n;
  const { start, ranks } = layout.octaves;
  const deepest = Math.floor(Math.log2(v.scale / fitScale(g)) + 1e-9);
  for (let k = 0; k <= Math.min(deepest, start.length - 2); k++) {
    let a = start[k]!;
    let b = start[k + 1]!;
    while (a < b) {
      const mid = (a + b) >> 1;
      if (ranks[mid]! < first) a = mid + 1;
      else b = mid;
    }
    for (; a < start[k + 1]! && ranks[a]! < end; a++)
      if (!shown.has(ranks[a]!) && needsNone(laid, g, v, ranks[a]!, shown)) n++;
  }
  return n;
}

/** The ranks a count counts. */
export function countedRanks(laid: Laid, g: Ground, v: View, labels: readonly ShownLabel[], c: ShownCount): number[] {
  const shown = new Set(labels.map((l) => l.rank));
  const ranks: number[] = [];
  for (let r = c.first; r < c.end; r++) if (!needsNone(laid, g, v, r, shown)) ranks.push(r);
  return ranks;
}

/** The first of them. */
export function firstCounted(laid: Laid, g: Ground, v: View, labels: readonly ShownLabel[], c: ShownCount): number {
  const shown = new Set(labels.map((l) => l.rank));
  for (let r = c.first; r < c.end; r++) if (!needsNone(laid, g, v, r, shown)) return r;
  return c.first;
}

function firstOfBin(n: number, bin: (r: number) => number, b: number, from = 0): number {
  let low = from;
  let high = n;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (bin(mid) < b) low = mid + 1;
    else high = mid;
  }
  return low;
}

export function countText(count: number, { language }: Pick<ChartStyle, "language">): string {
  return drawnIn(language).more(count);
}

export function badgeWidth(count: number, style: ChartStyle): number {
  return textWidth(countText(count, style), titleFace(style), TITLE_SIZE) + 14;
}
