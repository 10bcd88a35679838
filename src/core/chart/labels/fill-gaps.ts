import { INNER_END, INNER_START, SPAN_KIND } from "../data/chart-data";
import { CLEARANCE, labelStart, sidesOf } from "./whole-search";
import { type Extra, firstRank, labelAt, pointX, rankX, type ShownLabel } from "../frame/shown";
import type { Laid } from "../frame/layout";
import { type Standing, apartFrom } from "./place-rest";
import type { Ground, View } from "../axis/view";

/** Of the labels that have no place at this scale, so many are tried: the most important in view. */
const MOST_TRIED = 500;
/** Of more spans none is looked for whose middle is out of view. */
const MOST_SPANS = 400;
/** So much of a span must be seen for a label at its middle, px. */
const LEAST_SEEN = 24;

/**
 * What is added to the placed labels of a view: at rest ("at rest") whatever still finds room, the important first, all
 * within the frame; while it moves, those of before that meet none of the placed ones. Standingd labels never move for it.
 */
export function fillGaps(
  laid: Laid,
  g: Ground,
  v: View,
  placed: readonly ShownLabel[],
  extras: readonly Extra[] | "at rest",
): { labels: ShownLabel[]; extras: Extra[] } {
  const { layout } = laid;
  const board = new Board(laid, g);
  for (const l of placed)
    if (Number.isNaN(layout.handY[l.rank]!)) board.put(l, rowOf(laid, l));
    else board.hold(l);
  const labels: ShownLabel[] = [];
  const kept: Extra[] = [];
  const there = new Set(placed.map((l) => l.rank));
  const take = (rank: number, row: number, side: number, inView?: true): boolean => {
    const w = layout.to[rank]! - layout.from[rank]!;
    const apex = inView ? middleInView(laid, g, v, rank) : rankX(laid, g, v, rank);
    if (apex === null) return false;
    const label = labelAt(laid, g, v, rank, row, side, 0, labelStart(side, w, layout.upright), apex);
    if (extras === "at rest" && (label.x < 4 || label.x + label.w > g.size - 4)) return false;
    if (layout.taken && label.x < layout.taken.to + CLEARANCE && layout.taken.from < label.x + w + CLEARANCE)
      return false;
    if (!board.free(label, row)) return false;
    board.put(label, row);
    labels.push(label);
    kept.push(inView ? { rank, row, side, inView } : { rank, row, side });
    return true;
  };
  if (extras !== "at rest") {
    for (const e of extras) if (!there.has(e.rank)) take(e.rank, e.row, e.side, e.inView);
    return { labels, extras: kept };
  }
  // Where the ridge runs down, a span whose middle is out of view has its label at what is seen of it.
  if (layout.upright && layout.spans.length <= MOST_SPANS)
    for (const [rank, i] of layout.byApex.entries()) {
      if (laid.data.kind[i] !== SPAN_KIND || there.has(rank)) continue;
      for (let row = 0; row < layout.rows; row++)
        if (take(rank, row, 1, true)) {
          there.add(rank);
          break;
        }
    }
  if (!layout.counted || layout.rows === 0) return { labels, extras: kept };
  const from = firstRank(laid, g, v, 0);
  const to = firstRank(laid, g, v, g.size + 1e-9);
  let tried = 0;
  for (let k = 0; k < layout.order.length && tried < MOST_TRIED; k++) {
    const rank = layout.order[k]!;
    if (rank < from || rank >= to || there.has(rank)) continue;
    tried++;
    board.tryAll(rank, rankX(laid, g, v, rank), take);
  }
  return { labels, extras: kept };
}

/** The middle of what is seen of a span, px along the ridge; null where too little of it is. */
function middleInView(laid: Laid, g: Ground, v: View, rank: number): number | null {
  const i = laid.layout.byApex[rank]!;
  const from = Math.max(0, pointX(laid, g, v, i, INNER_START));
  const to = Math.min(g.size, pointX(laid, g, v, i, INNER_END));
  return to - from < LEAST_SEEN ? null : (from + to) / 2;
}

function rowOf({ layout }: Laid, l: ShownLabel): number {
  return Math.round((l.y - layout.labelsTop) / layout.pitch);
}

/** Which stretches of which rows are taken, in the frame. */
class Board {
  private laid: Laid;
  private g: Ground;
  private held: ShownLabel[] = [];
  private rows: { x: number; to: number; anchor: number; label: ShownLabel }[][];

  constructor(laid: Laid, g: Ground) {
    this.laid = laid;
    this.g = g;
    this.rows = Array.from({ length: laid.layout.rows }, () => []);
  }

  /** A label that was placed by hand, across whatever rows. */
  hold(label: ShownLabel): void {
    this.held.push(label);
  }

  put(label: ShownLabel, row: number): void {
    this.rows[row]?.push({ x: label.x, to: label.x + label.w, anchor: label.anchor, label });
  }

  tryAll(rank: number, apex: number, take: (rank: number, row: number, side: number) => boolean): boolean {
    const w = this.laid.layout.to[rank]! - this.laid.layout.from[rank]!;
    for (let row = 0; row < this.rows.length; row++)
      for (const side of sidesOf(this.laid.layout.upright)) {
        // A glance first: most rows are taken right there.
        const x = apex + labelStart(side, w, this.laid.layout.upright);
        if (x < 0 || x + w > this.g.size) continue;
        if (take(rank, row, side)) return true;
      }
    return false;
  }

  free(label: ShownLabel, row: number): boolean {
    for (const o of this.rows[row]!)
      if (label.x < o.to + CLEARANCE && o.x < label.x + label.w + CLEARANCE) return false;
    for (const o of this.held)
      if (
        label.x < o.x + o.w + CLEARANCE &&
        o.x < label.x + label.w + CLEARANCE &&
        label.y < o.y + o.h + 4 &&
        o.y < label.y + label.h + 4
      )
        return false;
    const { small, upright } = this.laid.layout;
    if (!small) return true;
    // No line may pass a label, neither mine theirs nor theirs mine.
    const me = this.place(label, row);
    for (const [r, list] of this.rows.entries())
      for (const o of list) {
        const other = this.place(o.label, r);
        const d = o.label.apex - label.apex;
        if ((d >= 0 ? apartFrom(me, other, d, upright) : apartFrom(other, me, -d, upright)) > 1) return false;
      }
    return true;
  }

  private place(l: ShownLabel, row: number): Standing {
    return { row, shift: l.anchor - l.apex, from: l.x - l.apex, to: l.x - l.apex + l.w };
  }
}
