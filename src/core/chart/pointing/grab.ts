import { type ChartData, SPAN_KIND, UNDATED_KIND } from "../data/chart-data";
import type { Part } from "../frame/frame";
import { BOB } from "../style/house-style";
import { firstRank, inFrame, rankX } from "../frame/shown";
import type { Spot } from "../../timeline/fields";

export interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** What can be taken hold of in a drawing and moved; px of the drawing. */
export type Grab =
  /** A label, with the place of its moment on the ridge. */
  | { kind: "label"; id: string; part: Part; rank: number; box: Box; apex: { x: number; y: number } }
  /** A moment's bob, or one end of a span. */
  | { kind: "date"; id: string; part: Part; end: "start" | "end" | null }
  /** The bob of an event without a date. */
  | { kind: "place"; id: string; part: Part };

/** How near the end of a roof, or a bob, must be, px. */
const REACH = 7;

/** What lies under a place of the drawing and can be moved; of several what was painted last. `reach`: for thick fingers, px. */
export function grabAt(parts: readonly Part[], x: number, y: number, reach = REACH): Grab | null {
  for (const part of [...parts].reverse()) {
    const found = inPart(part, x, y, reach);
    if (found) return found;
  }
  return null;
}

function inPart(part: Part, x: number, y: number, reach: number): Grab | null {
  const { laid, content } = part;
  const { data, layout } = laid;
  const idOf = (i: number) => data.ids[i]!;
  for (const l of [...content.labels].reverse()) {
    const box = boxOf(part, l);
    if (x >= box.x - 4 && x <= box.x + box.w + 4 && y >= box.y - 2 && y <= box.y + box.h + 2)
      return { kind: "label", id: idOf(l.i), part, rank: l.rank, box, apex: pointOf(part, l.apex) };
  }
  // Along and across, from here on.
  const [a, b] = local(part, x, y);
  for (const r of [...content.roofs].reverse()) {
    if (b < r.y0 || b > r.y1) continue;
    // A short roof is taken by what lies outside of it, a long one by what lies inside too.
    const inside = Math.min(reach, (r.x1 - r.x0) / 3);
    if (a >= r.x0 - reach && a <= r.x0 + inside) return { kind: "date", id: idOf(r.i), part, end: "start" };
    if (a <= r.x1 + reach && a >= r.x1 - inside) return { kind: "date", id: idOf(r.i), part, end: "end" };
  }
  const foot = layout.ridgeTop + layout.ridge;
  if (b < foot - 2 || b > foot + BOB + reach) return null;
  let nearest: { i: number; off: number } | null = null;
  const { ground, view } = content;
  const end = firstRank(laid, ground, view, a + reach + 1.5);
  for (let rank = firstRank(laid, ground, view, a - reach - 1.5); rank < end; rank++) {
    if (data.kind[layout.byApex[rank]!] === SPAN_KIND) continue;
    const off = Math.abs(rankX(laid, ground, view, rank) - a);
    if (off <= reach + 1 && (!nearest || off < nearest.off)) nearest = { i: layout.byApex[rank]!, off };
  }
  if (!nearest) return null;
  const id = idOf(nearest.i);
  return data.kind[nearest.i] === UNDATED_KIND ? { kind: "place", id, part } : { kind: "date", id, part, end: null };
}

/** The box of something shown, in the drawing. */
export function boxOf(part: Part, b: Box): Box {
  const box = inFrame(part.laid.layout.upright, b);
  return { ...box, x: box.x + part.left, y: box.y + part.top };
}

/** A place on a part's ridge, in the drawing. */
function pointOf({ laid: { layout }, left, top }: Part, along: number): { x: number; y: number } {
  const across = layout.ridgeTop + layout.ridge / 2;
  return layout.upright ? { x: left + across, y: top + along } : { x: left + along, y: top + across };
}

/** A place of the drawing, along and across a part's ridge. */
export function local({ laid, left, top }: Part, x: number, y: number): [along: number, across: number] {
  return laid.layout.upright ? [y - top, x - left] : [x - left, y - top];
}

/** The spot of a label whose corner is put at a place of the drawing. */
export function spotAt(grab: Extract<Grab, { kind: "label" }>, x: number, y: number): Spot {
  const { apex, part } = grab;
  const [along, across] = part.laid.layout.upright ? [y - apex.y, x - apex.x] : [x - apex.x, y - apex.y];
  const spot = { along: Math.round(along), across: Math.round(across) };
  return part.laid.layout.upright ? { ...spot, upright: true } : spot;
}

export interface Guide {
  /** A line across the drawing at this x, or along it at this y. */
  axis: "x" | "y";
  at: number;
}

/** A box moved by up to `reach` px so that an edge stands exactly where one of the others does, and the lines that show it. */
export function aligned(box: Box, others: readonly Box[], reach = 5): { x: number; y: number; guides: Guide[] } {
  const best = (own: readonly number[], edges: readonly number[]) => {
    let found: { by: number; at: number } | null = null;
    for (const o of own)
      for (const e of edges)
        if (Math.abs(e - o) <= reach && (!found || Math.abs(e - o) < Math.abs(found.by))) found = { by: e - o, at: e };
    return found;
  };
  const guides: Guide[] = [];
  const x = best(
    [box.x, box.x + box.w],
    others.flatMap((o) => [o.x, o.x + o.w]),
  );
  const y = best(
    [box.y, box.y + box.h],
    others.flatMap((o) => [o.y, o.y + o.h]),
  );
  if (x) guides.push({ axis: "x", at: x.at });
  if (y) guides.push({ axis: "y", at: y.at });
  return { x: box.x + (x?.by ?? 0), y: box.y + (y?.by ?? 0), guides };
}

/** Pairs of labels placed by hand that lie on each other. */
export function meetingHands(parts: readonly Part[]): [string, string][] {
  const hands = parts.flatMap((part) =>
    part.content.labels
      .filter((l) => !Number.isNaN(part.laid.layout.handY[l.rank]!))
      .map((l) => ({ id: part.laid.data.ids[l.i]!, box: boxOf(part, l) })),
  );
  const pairs: [string, string][] = [];
  for (const [k, a] of hands.entries())
    for (const b of hands.slice(k + 1))
      if (
        a.box.x < b.box.x + b.box.w &&
        b.box.x < a.box.x + a.box.w &&
        a.box.y < b.box.y + b.box.h &&
        b.box.y < a.box.y + a.box.h
      )
        pairs.push([a.id, b.id]);
  return pairs;
}

/** The event without a date that is dragged to a place along a ridge stands then before or after this one; null: nothing else is there. */
export function neighbourAt(
  data: ChartData,
  at: readonly number[],
  id: string,
  along: number,
): { id: string; side: "before" | "after" } | null {
  let before = -1;
  let after = -1;
  for (let i = 0; i < data.count; i++) {
    if (data.ids[i] === id) continue;
    if (at[i]! <= along) before = i;
    else if (after < 0) after = i;
  }
  if (before >= 0) return { id: data.ids[before]!, side: "after" };
  return after >= 0 ? { id: data.ids[after]!, side: "before" } : null;
}
