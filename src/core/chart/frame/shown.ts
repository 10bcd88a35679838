import { pairAt } from "../axis/positions";
import type { Laid } from "./layout";
import type { Place } from "../labels/places";
import { type Ground, type View, xOf } from "../axis/view";

/**
 * A label in a frame, px. Here and below x is along the ridge and y across it, from the roofs' side; in an upright chart the
 * two change places when it is drawn (`inFrame`).
 */
export interface ShownLabel {
  /** Index of the event. */
  i: number;
  rank: number;
  apex: number;
  /** Where the line runs. */
  anchor: number;
  side: number;
  x: number;
  y: number;
  w: number;
  h: number;
}

export interface ShownRoof {
  i: number;
  x0: number;
  x1: number;
  /** The flat top. */
  top0: number;
  top1: number;
  y0: number;
  y1: number;
  /** `picture`: how wide the picture is that stands first in it; 0: none. */
  title: {
    x: number;
    w: number;
    on: boolean;
    cut: number | null;
    picture: number;
    /** Over all roofs: its own box across, and its line from the roof, where it bends. */
    over?: { y: number; h: number; from: number; at: number; bend: number };
  } | null;
}

/** The box of a roof's title, along and across its ridge. */
export function titleBox(r: ShownRoof, title: NonNullable<ShownRoof["title"]>) {
  const { over } = title;
  return { x: title.x, y: over ? over.y : r.y0, w: title.w, h: over ? over.h : r.y1 - r.y0 };
}

/** Events without a label, counted. */
export interface ShownCount {
  /** The ranks of its bin: [first, end). */
  first: number;
  end: number;
  /** How many of them have no label. */
  count: number;
  x: number;
  y: number;
  w: number;
  h: number;
}

/** An added label of a view at rest, kept while the view moves on. */
export interface Extra extends Pick<Place, "row" | "side"> {
  rank: number;
  /** A span's whose middle is out of view: it stands at the middle of what is seen of it. */
  inView?: true;
}

/** u of an event's point in px. */
export function pointX({ p }: Laid, g: Ground, v: View, i: number, point: number): number {
  return xOf(g, v, pairAt(p, i, point));
}

export function rankX({ layout }: Laid, g: Ground, v: View, rank: number): number {
  return g.pad + (layout.hi[rank]! - v.u0.hi + (layout.lo[rank]! - v.u0.lo)) * v.scale;
}

/** The first rank whose apex stands at or after x px. */
export function firstRank(laid: Laid, g: Ground, v: View, x: number): number {
  let low = 0;
  let high = laid.layout.byApex.length;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (rankX(laid, g, v, mid) < x) low = mid + 1;
    else high = mid;
  }
  return low;
}

export function rowY({ layout }: Laid, row: number): number {
  return layout.labelsTop + row * layout.pitch;
}

export function labelAt(
  laid: Laid,
  g: Ground,
  v: View,
  rank: number,
  row: number,
  side: number,
  shift: number,
  from: number,
  apex = rankX(laid, g, v, rank),
): ShownLabel {
  const { layout } = laid;
  return {
    i: layout.byApex[rank]!,
    rank,
    apex,
    anchor: apex + shift,
    side,
    x: apex + from,
    y: Number.isNaN(layout.handY[rank]!) ? rowY(laid, row) : layout.handY[rank]!,
    w: layout.to[rank]! - layout.from[rank]!,
    h: layout.h[rank]!,
  };
}

/** A box in the frame: turned where the ridge runs down. */
export function inFrame(upright: boolean, b: { x: number; y: number; w: number; h: number }) {
  return upright ? { x: b.y, y: b.x, w: b.h, h: b.w } : { x: b.x, y: b.y, w: b.w, h: b.h };
}
