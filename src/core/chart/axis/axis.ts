import { endOf, isDated, SECONDS_PER_DAY, startOf, type When } from "../../time/when";
import type { Instant } from "../../time/instant";
import type { Scale } from "../../timeline/fields";
import {
  type ChartData,
  INNER_START,
  MOMENT_KIND,
  OUTER_END,
  OUTER_START,
  POINTS,
  SPAN_KIND,
  UNDATED_KIND,
  WRITTEN,
} from "../data/chart-data";
import { minus, over, type Pair, plus, sum, twoProduct, ZERO } from "./pair";

/**
 * Where everything stands along the ridge: u, from 0 (its first date) to `length`. True: u is days. Even: u is the place
 * in the order. Balanced: u is a share of the ridge. Whatever draws sees only u.
 */
export interface Axis {
  scale: Scale;
  /** The first and the last date drawn; null when nothing has one. */
  from: Instant | null;
  to: Instant | null;
  length: number;
  /** From here on to `length` stand events that follow the last date without one of their own. */
  datedLength: number;
  /** Position of an instant; grows with it. */
  at: (i: Instant) => Pair;
  /** The instant at a position; null where there is none. On the even scale: of the event that stands there. */
  timeAt: (u: Pair) => Instant | null;
  /** Where the drawing changes pace: position and how many times faster (or, below 1, slower) time runs after it. */
  changes: { u: number; factor: number }[];
  /** On the balanced scale. */
  knots?: Knots;
}

/** An axis without its functions, as a worker can hand it on. */
export type AxisNumbers = Pick<Axis, "scale" | "from" | "to" | "length" | "datedLength" | "knots">;

export function axisNumbers({ scale, from, to, length, datedLength, knots }: Axis): AxisNumbers {
  return { scale, from, to, length, datedLength, ...(knots ? { knots } : {}) };
}

/** The axis that was taken apart; the data are needed on the even scale. */
export function axisFrom(a: AxisNumbers, data: ChartData): Axis {
  const share = a.datedLength / a.length;
  if (a.scale === "even" || !a.from || !a.to) return evenAxis(data, a.from, a.to);
  const ends = { from: a.from, to: a.to };
  return a.knots ? balancedAxis(ends, share, a.knots) : trueAxis(ends, share);
}

export interface AxisSettings {
  scale: Scale;
  period: When;
}

/**
 * Balanced: of the room between two neighbouring dates this share goes by the time between them raised to PULL, the rest
 * by the time itself: `room = (1 - SHARE) * g / total + SHARE * g^PULL / sum of all g^PULL`. So the order is kept, busy
 * stretches get more, and the greatest distortion is known: no stretch is drawn narrower than (1 - SHARE) of its true
 * room, and of two stretches the longer is never drawn narrower, nor wider by more than the time it is longer by.
 */
export const SHARE = 0.9;
export const PULL = 0.25;
/** Time must run this many times slower or faster than before for the ridge to say so. */
const PACE_CHANGE = 4;

export function pointOf(data: ChartData, i: number, point: number): Instant | null {
  const day = data.days[i * POINTS + point]!;
  return Number.isNaN(day) ? null : { day, second: data.seconds[i * POINTS + point]! };
}

const compare = (a: Instant, b: Instant) => a.day - b.day || a.second - b.second;
/** The time from a to b in days, as a pair. */
const between = (a: Instant, b: Instant): Pair => ({ hi: b.day - a.day, lo: (b.second - a.second) / SECONDS_PER_DAY });

/** The axis of the events, given in their order. */
export function makeAxis(settings: AxisSettings, data: ChartData): Axis {
  let from: Instant | null = null;
  let to: Instant | null = null;
  const take = (i: Instant | null) => {
    if (!i) return;
    if (!from || compare(i, from) < 0) from = i;
    if (!to || compare(i, to) > 0) to = i;
  };
  let dated = 0;
  for (let i = 0; i < data.count; i++) {
    if (data.kind[i] === UNDATED_KIND) continue;
    dated++;
    take(pointOf(data, i, OUTER_START));
    take(pointOf(data, i, INNER_START));
    take(pointOf(data, i, OUTER_END));
  }
  take(startOf(settings.period));
  take(endOf(settings.period));
  // Of one date alone no scale can be told: what has none does not stand at hours of its day.
  const alone = dated === 1 && data.count > 1 && data.kind.includes(MOMENT_KIND) && !isDated(settings.period);
  // With nothing in it yet, the period that was set is drawn, by date: there is no order to go by.
  if (data.count === 0 && from && to) return trueAxis(apart(from, to), 1);
  if (settings.scale === "even" || dated === 0 || alone) return evenAxis(data, from, to);
  const ends = apart(from!, to!);
  let tail = 0;
  while (tail < data.count && data.kind[data.count - 1 - tail] === UNDATED_KIND) tail++;
  const share = 1 - tail / (data.count + 1);
  return settings.scale === "true"
    ? trueAxis(ends, share)
    : balancedAxis(ends, share, makeKnots(share, knotsOf(data, ends), hasEdges(data, ends, settings.period)));
}

/**
 * Whether the axis begins, and ends, within what is known of a moment: before its first and after its last date, with nothing
 * there but how exact that date is.
 */
function hasEdges(data: ChartData, { from, to }: { from: Instant; to: Instant }, period: When): [boolean, boolean] {
  let [first, last] = [true, true];
  const stands = (at: Instant | null) => {
    if (!at) return;
    if (compare(at, from) <= 0) first = false;
    if (compare(at, to) >= 0) last = false;
  };
  for (let i = 0; i < data.count; i++)
    for (const point of data.kind[i] === SPAN_KIND ? [OUTER_START, OUTER_END] : [INNER_START])
      stands(pointOf(data, i, point));
  stands(startOf(period));
  stands(endOf(period));
  return [first, last];
}

/** Two ends that are not the same instant. */
function apart(from: Instant, to: Instant): { from: Instant; to: Instant } {
  return compare(from, to) < 0
    ? { from, to }
    : { from: { day: from.day - 1, second: from.second }, to: { day: to.day + 1, second: to.second } };
}

function trueAxis({ from, to }: { from: Instant; to: Instant }, share: number): Axis {
  const whole = between(from, to);
  const datedLength = whole.hi + whole.lo;
  return {
    scale: "true",
    from,
    to,
    length: datedLength / share,
    datedLength,
    at: (i) => between(from, i),
    timeAt: (u) => (minus(u, whole) > datedLength * 1e-12 ? null : later(from, u)),
    changes: [],
  };
}

/** The instant so many days later, to the millisecond. */
function later(from: Instant, days: Pair): Instant {
  const whole = Math.floor(days.hi);
  const rest = (days.hi - whole + days.lo) * SECONDS_PER_DAY + from.second;
  const carry = Math.floor(rest / SECONDS_PER_DAY);
  return { day: from.day + whole + carry, second: rest - carry * SECONDS_PER_DAY };
}

function knotsOf(data: ChartData, { from, to }: { from: Instant; to: Instant }): Instant[] {
  const knots: Instant[] = [from, to];
  for (let i = 0; i < data.count; i++) {
    const points = data.kind[i] === SPAN_KIND ? [OUTER_START, OUTER_END] : [INNER_START];
    for (const point of points) {
      const at = pointOf(data, i, point);
      if (at) knots.push(at);
    }
  }
  knots.sort(compare);
  return knots.filter((k, i) => i === 0 || compare(k, knots[i - 1]!) > 0);
}

/** The dates between which the pace stays the same, with u of each and the pace after it (u per day). */
export interface Knots {
  days: Float64Array;
  seconds: Float64Array;
  u: Float64Array;
  rate: Float64Array;
}

/** `edges`: whether the first and the last stretch are only the outer half of a moment's own length. */
function makeKnots(share: number, at: readonly Instant[], edges: readonly [boolean, boolean] = [false, false]): Knots {
  const n = at.length - 1;
  const gaps = Float64Array.from({ length: n }, (_, k) => {
    const g = between(at[k]!, at[k + 1]!);
    return g.hi + g.lo;
  });
  const isEdge = (k: number) =>
    n > Number(edges[0]) + Number(edges[1]) && ((k === 0 && edges[0]) || (k === n - 1 && edges[1]));
  let total = 0;
  let all = 0;
  for (let k = 0; k < n; k++) {
    if (isEdge(k)) continue;
    total += gaps[k]!;
    all += gaps[k]! ** PULL;
  }
  const room = gaps.map((g) => ((1 - SHARE) * g) / total + (SHARE * g ** PULL) / all);
  // A moment at an end is as wide as its precision says at the scale beside it, not stretched to the ridge's end.
  for (const [k, beside] of [
    [0, 1],
    [n - 1, n - 2],
  ] as const)
    if (isEdge(k)) room[k] = Math.min(room[k]!, (gaps[k]! / gaps[beside]!) * room[beside]!);
  const taken = room.reduce((a, r) => a + r, 0);
  const u = new Float64Array(n + 1);
  for (let k = 0; k < n; k++) u[k + 1] = k === n - 1 ? share : u[k]! + (share * room[k]!) / taken;
  return {
    days: Float64Array.from(at, (i) => i.day),
    seconds: Float64Array.from(at, (i) => i.second),
    u,
    rate: gaps.map((g, k) => (u[k + 1]! - u[k]!) / g),
  };
}

function balancedAxis(ends: { from: Instant; to: Instant }, share: number, knots: Knots): Axis {
  const { days, seconds, u, rate } = knots;
  const n = rate.length;
  const datedLength = u[n]!;
  const segment = (after: (k: number) => boolean) => {
    let low = 0;
    let high = n;
    while (high - low > 1) {
      const mid = (low + high) >> 1;
      if (after(mid)) high = mid;
      else low = mid;
    }
    return low;
  };
  return {
    scale: "balanced",
    from: ends.from,
    to: ends.to,
    length: datedLength / share,
    datedLength,
    knots,
    at: (i) => {
      const k = segment((m) => (days[m]! - i.day || seconds[m]! - i.second) > 0);
      if (days[k + 1] === i.day && seconds[k + 1] === i.second) return { hi: u[k + 1]!, lo: 0 };
      const r = rate[k]!;
      return sum(
        { hi: u[k]!, lo: 0 },
        plus(twoProduct(i.day - days[k]!, r), ((i.second - seconds[k]!) / SECONDS_PER_DAY) * r),
      );
    },
    timeAt: (p) => {
      if (p.hi + p.lo > datedLength * (1 + 1e-12)) return null;
      const k = segment((m) => u[m]! > p.hi + p.lo);
      return later({ day: days[k]!, second: seconds[k]! }, over(sum(p, { hi: -u[k]!, lo: 0 }), rate[k]!));
    },
    changes: paceChanges(u, rate),
  };
}

/** Stretches too narrow to be seen change nothing: 3 % of the ridge. */
function paceChanges(u: Float64Array, rate: Float64Array): Axis["changes"] {
  const found: Axis["changes"] = [];
  let before = 0;
  const whole = u.at(-1)!;
  for (const [k, r] of rate.entries()) {
    if (u[k + 1]! - u[k]! < 0.03 * whole) continue;
    if (before > 0 && (before / r > PACE_CHANGE || r / before > PACE_CHANGE))
      found.push({ u: u[k]!, factor: before / r });
    before = r;
  }
  return found;
}

function evenAxis(data: ChartData, from: Instant | null, to: Instant | null): Axis {
  const n = Math.max(1, data.count);
  const dated: number[] = [];
  for (let i = 0; i < data.count; i++) if (pointOf(data, i, WRITTEN)) dated.push(i);
  // An instant stands at the last event that begins on or before it; past its beginning, half a step on.
  const at = (t: Instant): Pair => {
    let low = -1;
    let high = dated.length;
    while (high - low > 1) {
      const mid = (low + high) >> 1;
      if (compare(pointOf(data, dated[mid]!, WRITTEN)!, t) <= 0) low = mid;
      else high = mid;
    }
    if (low < 0) return ZERO;
    const begins = compare(pointOf(data, dated[low]!, WRITTEN)!, t) === 0;
    return { hi: dated[low]! + (begins ? 0.5 : 1), lo: 0 };
  };
  return {
    scale: "even",
    from,
    to,
    length: n,
    datedLength: n,
    at,
    timeAt: (u) => {
      const i = Math.min(data.count - 1, Math.max(0, Math.floor(u.hi)));
      return data.count > 0 ? pointOf(data, i, WRITTEN) : null;
    },
    changes: [],
  };
}
