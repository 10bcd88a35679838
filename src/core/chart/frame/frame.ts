import { counts } from "../labels/counts";
import { groundOf, type Laid } from "./layout";
import { INSET, LEAST_CUT } from "../roofs/roof-titles";
import { fillGaps } from "../labels/fill-gaps";
import { type Extra, firstRank, labelAt, type ShownCount, type ShownLabel, type ShownRoof, titleBox } from "./shown";
import { shownRoofs } from "../roofs/shown-roofs";
import { fitScale, type Ground, type View } from "../axis/view";

export interface FrameContent {
  ground: Ground;
  view: View;
  roofs: ShownRoof[];
  labels: ShownLabel[];
  counts: ShownCount[];
  /** The labels that were added to the placed ones. */
  extras: Extra[];
}

/** What a view shows of a part of a chart: of the main ridge, of one row, or of a close-up. */
export interface Part {
  laid: Laid;
  content: FrameContent;
  /** Where it begins in the drawing, px. */
  left: number;
  top: number;
  /** The index of one of its events among all. */
  of: (i: number) => number;
  /** The index of the close-up; -1: the chart itself. */
  closeUp: number;
}

const reaches = new WeakMap<Float32Array, number>();
/** How far a label may stand from its moment, px. */
function reachOf({ layout }: Laid): number {
  let reach = reaches.get(layout.from);
  if (reach === undefined) {
    reach = 0;
    for (let r = 0; r < layout.from.length; r++) reach = Math.max(reach, -layout.from[r]!, layout.to[r]!);
    reaches.set(layout.from, reach);
  }
  return reach;
}

/** The labels placed for all zooms that a view shows, by u in each octave. */
function placedLabels(laid: Laid, g: Ground, v: View): ShownLabel[] {
  const { layout } = laid;
  const { start, ranks } = layout.octaves;
  const found: ShownLabel[] = [];
  const reach = reachOf(laid);
  const from = firstRank(laid, g, v, -reach);
  const to = firstRank(laid, g, v, g.size + reach);
  const deepest = Math.floor(Math.log2(v.scale / fitScale(g)) + 1e-9);
  for (let k = 0; k <= Math.min(deepest, start.length - 2); k++) {
    let low = start[k]!;
    let high = start[k + 1]!;
    while (low < high) {
      const mid = (low + high) >> 1;
      if (ranks[mid]! < from) low = mid + 1;
      else high = mid;
    }
    for (; low < start[k + 1]! && ranks[low]! < to; low++) {
      const rank = ranks[low]!;
      if (layout.z[rank]! > v.scale * (1 + 1e-9)) continue;
      const label = labelAt(
        laid,
        g,
        v,
        rank,
        layout.row[rank]!,
        layout.side[rank]!,
        layout.shift[rank]!,
        layout.from[rank]!,
      );
      // Where the moment is in view its label counts as shown, even if that hangs beyond the frame's edge.
      const inView = label.apex >= 0 && label.apex <= g.size;
      if (inView || (label.x + label.w > 0 && label.x < g.size)) found.push(label);
    }
  }
  return found;
}

/** A title under a label placed by hand stands on its own roof instead, cut if need be; where that is covered too, it waits. */
function letTitlePass({ titles }: Laid["layout"], r: ShownRoof, hands: readonly ShownLabel[]): void {
  const covered = (t: NonNullable<ShownRoof["title"]>) => {
    const b = titleBox(r, t);
    return hands.some((l) => l.x - 4 < b.x + b.w && b.x < l.x + l.w + 4 && l.y - 2 < b.y + b.h && b.y < l.y + l.h + 2);
  };
  if (!r.title || !covered(r.title)) return;
  const whole = titles.width[r.i]!;
  const w = Math.min(whole, r.top1 - r.top0 - 2 * INSET);
  const instead = { x: r.top0 + INSET, w, on: true, cut: w < whole ? w : null, picture: 0 };
  r.title = !r.title.on && w >= Math.min(whole, LEAST_CUT) && !covered(instead) ? instead : null;
}

/** Behind what hangs open. */
function isTaken({ taken }: Laid["layout"], c: { x: number; w: number }): boolean {
  return taken !== null && c.x < taken.to && taken.from < c.x + c.w;
}

/**
 * What a view shows, in px. At rest (`extras` "at rest") labels are added where there is room; while it moves the given
 * ones stay as long as they meet none of the placed ones.
 */
export function frameContent(laid: Laid, view: View, extras: readonly Extra[] | "at rest"): FrameContent {
  const { layout } = laid;
  const ground = groundOf(laid.axis, layout);
  const labels = layout.strip ? [] : placedLabels(laid, ground, view);
  const kept = layout.strip ? { labels: [], extras: [] } : fillGaps(laid, ground, view, labels, extras);
  labels.push(...kept.labels);
  labels.sort((a, b) => a.rank - b.rank);
  const hands = labels.filter((l) => !Number.isNaN(layout.handY[l.rank]!));
  const roofs = shownRoofs(laid, ground, view);
  if (hands.length > 0) for (const r of roofs) letTitlePass(layout, r, hands);
  return {
    ground,
    view,
    roofs,
    labels,
    counts: layout.strip ? [] : counts(laid, ground, view, labels).filter((c) => !isTaken(layout, c)),
    extras: kept.extras,
  };
}
