import type { Manner } from "../../time/write-when";
import { pairAt } from "./positions";
import { INNER_START, OUTER_END, OUTER_START, SPAN_KIND, UNDATED_KIND } from "../data/chart-data";
import { dateAt } from "../ticks/date-at";
import type { Laid } from "../frame/layout";
import { minus, type Pair } from "./pair";
import { centred, fitScale, type Ground, largestScale, uAt, type View, viewOf, xOf } from "./view";

/** Where an event stands: a span's beginning, a moment's apex. */
const standing = (laid: Laid, i: number) => (laid.data.kind[i] === SPAN_KIND ? OUTER_START : INNER_START);

const uOf = ({ p }: Laid, i: number, point: number): Pair => pairAt(p, i, point);

/** From where to where an event stands in a view, px. */
export function placeInView(laid: Laid, g: Ground, v: View, i: number): [number, number] {
  const x = (point: number) => xOf(g, v, uOf(laid, i, point));
  return laid.data.kind[i] === SPAN_KIND ? [x(OUTER_START), x(OUTER_END)] : [x(INNER_START), x(INNER_START)];
}

/** The view moved, if need be, so that an event is in it. */
export function withEvent(laid: Laid, g: Ground, v: View, i: number): View {
  const [a, b] = placeInView(laid, g, v, i);
  if (b >= g.pad && a <= g.size - g.pad) return v;
  return centred(g, uOf(laid, i, standing(laid, i)), v.scale);
}

/** The view to look at one event: a span with a little on either side, a moment near enough for its label. */
export function viewOfEvent(laid: Laid, g: Ground, v: View, i: number): View {
  const { data, layout } = laid;
  const length = minus(uOf(laid, i, OUTER_END), uOf(laid, i, OUTER_START));
  if (data.kind[i] === SPAN_KIND && length > 0)
    return around(g, uOf(laid, i, OUTER_START), uOf(laid, i, OUTER_END), 0.15);
  const z = layout.z[layout.byApex.indexOf(i)] ?? 0;
  const near = Math.max(fitScale(g) * 4, Number.isFinite(z) ? z : 0, v.scale);
  return centred(g, uOf(laid, i, INNER_START), Math.min(largestScale(g), near));
}

/** The view from the first to the last of some events; null when they stand at one instant and never come apart. */
export function viewOfEvents(laid: Laid, g: Ground, events: readonly number[]): View | null {
  const at = events.map((i) => uOf(laid, i, INNER_START));
  const first = at.reduce((a, b) => (minus(b, a) < 0 ? b : a));
  const last = at.reduce((a, b) => (minus(b, a) > 0 ? b : a));
  return minus(last, first) > 0 ? around(g, first, last, 0.08) : null;
}

function around(g: Ground, from: Pair, to: Pair, share: number): View {
  const room = minus(to, from) * share;
  return viewOf(g, { hi: from.hi - room, lo: from.lo }, { hi: to.hi + room, lo: to.lo });
}

/** What is meant by pointing at an empty place. */
export interface Pointed {
  /** The date there; null where the scale has no time, or between two events that have none. */
  date: string | null;
  /** The events on either side, in time order. */
  before: string | null;
  after: string | null;
}

export function pointedAt(laid: Laid, g: Ground, v: View, x: number, manner: Manner): Pointed {
  const { data, p } = laid;
  const u = uAt(g, v, x);
  let [before, after] = [-1, -1];
  for (let i = 0; i < data.count; i++) {
    if (minus(pairAt(p, i, standing(laid, i)), u) <= 0) before = i;
    else if (after < 0) after = i;
  }
  const isUndated = (i: number) => i < 0 || data.kind[i] === UNDATED_KIND;
  const date = data.count > 0 && isUndated(before) && isUndated(after) ? null : dateAt(g, v, x, manner);
  return { date, before: data.ids[before] ?? null, after: data.ids[after] ?? null };
}
