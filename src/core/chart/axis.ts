import { endDay, extent, inDays, middle, type Moment, startDay } from "../time/when";
import type { Scale, Timeline, TimelineEvent } from "../timeline/timeline";

/** Where everything stands along the ridge, from 0 (its first date) to 1 (its last). */
export interface Axis {
  scale: Scale;
  /** Days at the two ends; null when nothing has a date. */
  from: number | null;
  to: number | null;
  /** Position of a day; clamped to the ridge. Meaningless without dates. */
  at: (day: number) => number;
  /** Where an event's middle stands: a moment's apex, an undated event's place. */
  apexOf: (event: TimelineEvent) => number;
  /** Where the drawing changes pace: position and how many times slower or faster time runs after it. */
  changes: { at: number; factor: number }[];
  /** From here on to 1 stand events that follow the last date without one of their own; 1 when there are none. */
  datedEnd: number;
}

/**
 * Balanced: of the room between two neighbouring dates this share goes by the time between them raised to PULL, the rest
 * by the time itself. So the order is kept, busy stretches get more, an hour never gets as much as a century, and no
 * stretch is ever drawn narrower than (1 - SHARE) of its true room.
 */
export const SHARE = 0.9;
const PULL = 0.25;

/** What is drawn of a date: its extent in days, with "about"; an unknown side reaches half a year beyond. */
export function drawnExtent(m: Moment, event: TimelineEvent): [number, number] {
  const e = extent(m, event.when.margin);
  const mid = middle(m);
  return [e.from ? inDays(e.from) : mid - 183, e.to ? inDays(e.to) : mid + 183];
}

/** The axis of the events, given in their order. */
export function makeAxis(timeline: Pick<Timeline, "scale" | "period">, events: readonly TimelineEvent[]): Axis {
  const starts: number[] = [];
  let from = Number.POSITIVE_INFINITY;
  let to = Number.NEGATIVE_INFINITY;
  const take = (day: number | null) => {
    if (day === null || !Number.isFinite(day)) return;
    from = Math.min(from, day);
    to = Math.max(to, day);
  };
  for (const e of events) {
    const r = e.when.readAs;
    if (r.kind === "moment") {
      starts.push(middle(r.at));
      const [a, b] = drawnExtent(r.at, e);
      take(a);
      take(b);
    } else if (r.kind === "span") {
      for (const m of [r.start, r.end]) {
        if (!m) continue;
        const [a, b] = drawnExtent(m, e);
        starts.push(m === r.start ? a : b);
        take(a);
        take(b);
      }
    }
  }
  take(startDay(timeline.period));
  take(endDay(timeline.period));

  const undated = events.filter((e) => e.when.readAs.kind !== "moment" && e.when.readAs.kind !== "span");
  const even = timeline.scale === "even" || starts.length === 0;
  if (even) return evenAxis(events, from, to);

  const tail = trailingUndated(events);
  const datedEnd = 1 - tail / (events.length + 1);
  const knots = timeline.scale === "balanced" ? balancedKnots(starts, from, to) : trueKnots(from, to);
  const at = (day: number) => datedEnd * interpolate(knots, Math.min(to, Math.max(from, day)));
  const places = new Map<string, number>();
  if (undated.length > 0) placeUndated(events, at, datedEnd, places);
  return {
    scale: timeline.scale,
    from,
    to,
    at,
    apexOf: (e) => {
      const r = e.when.readAs;
      if (r.kind === "moment") return at(middle(r.at));
      if (r.kind === "span") return at(startDay(e.when)!);
      return places.get(e.id) ?? 1;
    },
    changes: paceChanges(knots, datedEnd),
    datedEnd,
  };
}

type Knots = { day: number; u: number }[];

function trueKnots(from: number, to: number): Knots {
  return [
    { day: from, u: 0 },
    { day: to, u: 1 },
  ];
}

function balancedKnots(starts: readonly number[], from: number, to: number): Knots {
  const days = [...new Set([from, ...starts, to])].filter((d) => d >= from && d <= to).sort((a, b) => a - b);
  const total = to - from;
  if (days.length < 3 || !(total > 0)) return trueKnots(from, to);
  const gaps = days.slice(1).map((day, i) => day - days[i]!);
  const pulled = gaps.map((g) => g ** PULL);
  const sum = pulled.reduce((a, b) => a + b, 0);
  let u = 0;
  const knots = days.map((day, i) => {
    if (i > 0) u += (1 - SHARE) * (gaps[i - 1]! / total) + SHARE * (pulled[i - 1]! / sum);
    return { day, u };
  });
  // The last one is 1 by definition, whatever the rounding on the way.
  knots[knots.length - 1]!.u = 1;
  return knots;
}

function interpolate(knots: Knots, day: number): number {
  let low = 0;
  let high = knots.length - 1;
  while (high - low > 1) {
    const mid = (low + high) >> 1;
    if (knots[mid]!.day <= day) low = mid;
    else high = mid;
  }
  const a = knots[low]!;
  const b = knots[high]!;
  return b.day === a.day ? a.u : a.u + ((day - a.day) / (b.day - a.day)) * (b.u - a.u);
}

/** Marks where time runs at least four times slower or faster than before. */
function paceChanges(knots: Knots, datedEnd: number): Axis["changes"] {
  const found: Axis["changes"] = [];
  let before = 0;
  for (let i = 1; i < knots.length; i++) {
    const [a, b] = [knots[i - 1]!, knots[i]!];
    if (b.u - a.u < 0.03) continue;
    const pace = (b.day - a.day) / (b.u - a.u);
    if (before > 0 && (pace / before > 4 || before / pace > 4))
      found.push({ at: a.u * datedEnd, factor: pace / before });
    before = pace;
  }
  return found;
}

function evenAxis(events: readonly TimelineEvent[], from: number, to: number): Axis {
  const n = events.length;
  const rank = new Map(events.map((e, i) => [e.id, (i + 0.5) / Math.max(1, n)]));
  const dated = events.filter((e) => startDay(e.when) !== null);
  const days = dated.map((e) => startDay(e.when)!);
  // A day stands at the last event that begins on or before it; past the last one, half a step on.
  const at = (day: number) => {
    let low = -1;
    let high = days.length;
    while (high - low > 1) {
      const mid = (low + high) >> 1;
      if (days[mid]! <= day) low = mid;
      else high = mid;
    }
    return low < 0 ? 0 : Math.min(1, rank.get(dated[low]!.id)! + (days[low]! === day ? 0 : 0.5 / Math.max(1, n)));
  };
  return {
    scale: "even",
    from: Number.isFinite(from) ? from : null,
    to: Number.isFinite(to) ? to : null,
    at,
    apexOf: (e) => rank.get(e.id) ?? 1,
    changes: [],
    datedEnd: 1,
  };
}

function trailingUndated(events: readonly TimelineEvent[]): number {
  let n = 0;
  while (n < events.length && startDay(events[events.length - 1 - n]!.when) === null) n++;
  return n;
}

/** Undated events share the room between the dated ones on either side of them. */
function placeUndated(
  events: readonly TimelineEvent[],
  at: (day: number) => number,
  datedEnd: number,
  places: Map<string, number>,
): void {
  let run: string[] = [];
  let before = 0;
  const settle = (after: number) => {
    for (const [i, id] of run.entries()) places.set(id, before + ((i + 1) / (run.length + 1)) * (after - before));
    run = [];
  };
  for (const e of events) {
    const r = e.when.readAs;
    const day = r.kind === "moment" ? middle(r.at) : startDay(e.when);
    if (day === null) run.push(e.id);
    else {
      const u = at(day);
      settle(u);
      before = u;
    }
  }
  before = Math.max(before, datedEnd);
  settle(1);
}

/** Whether a span's ends are understood and it is drawn as a roof. */
export function isRoof(e: TimelineEvent): boolean {
  return e.when.readAs.kind === "span";
}

/** The two ends of a span as drawn: [outer, inner] at the start, [inner, outer] at the end, in days; null when open. */
export function roofEdges(e: TimelineEvent): { start: [number, number] | null; end: [number, number] | null } {
  const r = e.when.readAs;
  if (r.kind !== "span") return { start: null, end: null };
  const start = r.start ? drawnExtent(r.start, e) : null;
  const end = r.end ? drawnExtent(r.end, e) : null;
  return { start, end };
}
