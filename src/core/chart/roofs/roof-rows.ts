import type { Instant } from "../../time/instant";
import { type Axis, pointOf } from "../axis/axis";
import { type ChartData, INNER_END, INNER_START, OUTER_END, OUTER_START, SPAN_KIND } from "../data/chart-data";

const before = (a: Instant, b: Instant) => a.day < b.day || (a.day === b.day && a.second < b.second);

/** The ends of a span with their doubt; null where an end is open, or where it may not last at all. */
interface Ends {
  outerStart: Instant;
  innerStart: Instant;
  innerEnd: Instant;
  outerEnd: Instant;
}

function endsOf(data: ChartData, i: number): Ends | null {
  const [outerStart, innerStart, innerEnd, outerEnd] = [OUTER_START, INNER_START, INNER_END, OUTER_END].map((p) =>
    pointOf(data, i, p),
  );
  return outerStart && innerStart && innerEnd && outerEnd && before(innerStart, innerEnd)
    ? { outerStart, innerStart, innerEnd, outerEnd }
    : null;
}

/**
 * Whether two spans that share time do so by no more than the doubt about the end of the first and the beginning of the second:
 * they can stand in one row, where their slopes meet.
 */
export function touch(data: ChartData, i: number, j: number): boolean {
  const [a, b] = [endsOf(data, i), endsOf(data, j)];
  return a !== null && b !== null && !before(b.outerStart, a.innerEnd) && !before(b.innerStart, a.outerEnd);
}

/** From when to when a roof covers the ridge; a doubtful start past its end covers from the earlier to the later. */
function covered(data: ChartData, i: number, axis: Axis): [Instant, Instant] {
  const points = [OUTER_START, INNER_START, INNER_END, OUTER_END].map((p) => pointOf(data, i, p));
  const known = points.filter((p): p is Instant => p !== null);
  const least = (list: readonly Instant[]) => list.reduce((a, b) => (before(b, a) ? b : a));
  const most = (list: readonly Instant[]) => list.reduce((a, b) => (before(a, b) ? b : a));
  const from = axis.from ?? known[0]!;
  const to = axis.to ?? known.at(-1)!;
  return [points[0] ? least(known) : from, points[3] ? most(known) : to];
}

/**
 * A row for each span, so that spans that share time have different ones and there are as many rows as spans at the
 * busiest instant, the least there can be: a sweep in time into the lowest free row. Row -1: no span.
 */
export function roofRows(data: ChartData, axis: Axis): { row: Int32Array; depth: number } {
  const row = new Int32Array(data.count).fill(-1);
  const spans: { i: number; from: Instant; to: Instant }[] = [];
  for (let i = 0; i < data.count; i++) {
    if (data.kind[i] !== SPAN_KIND) continue;
    const [from, to] = covered(data, i, axis);
    spans.push({ i, from, to });
  }
  spans.sort((a, b) => (before(a.from, b.from) ? -1 : before(b.from, a.from) ? 1 : a.i - b.i));
  if (spans.length <= FEW) return { row, depth: firstFit(data, spans, row) };
  const ends: Instant[] = [];
  const open = new Heap<number>((a, b) => before(ends[a]!, ends[b]!));
  const free = new Heap<number>((a, b) => a < b);
  let used = 0;
  for (const s of spans) {
    // A span without length still takes its row for an instant.
    while (open.size > 0 && !before(s.from, ends[open.top()]!)) free.push(open.pop());
    const taken = free.size > 0 ? free.pop() : used++;
    row[s.i] = taken;
    ends[taken] = before(s.from, s.to) ? s.to : { day: s.from.day, second: s.from.second + 1e-6 };
    open.push(taken);
  }
  return { row, depth: used };
}

/** Up to so many spans those that only touch share a row. */
const FEW = 400;

/** Each into the lowest row whose last span is over by then, or touches it; gives how many rows. */
function firstFit(
  data: ChartData,
  spans: readonly { i: number; from: Instant; to: Instant }[],
  row: Int32Array,
): number {
  const last: { i: number; to: Instant }[] = [];
  for (const s of spans) {
    // A span without length still takes its row for an instant.
    const to = before(s.from, s.to) ? s.to : { day: s.from.day, second: s.from.second + 1e-6 };
    let k = last.findIndex((l) => !before(s.from, l.to) || touch(data, l.i, s.i));
    if (k < 0) k = last.length;
    row[s.i] = k;
    last[k] = { i: s.i, to };
  }
  return last.length;
}

/** The least first. */
class Heap<T> {
  private list: T[] = [];
  private less: (a: T, b: T) => boolean;

  constructor(less: (a: T, b: T) => boolean) {
    this.less = less;
  }

  get size(): number {
    return this.list.length;
  }

  top(): T {
    return this.list[0]!;
  }

  push(item: T): void {
    const { list, less } = this;
    let i = list.push(item) - 1;
    while (i > 0) {
      const up = (i - 1) >> 1;
      if (!less(item, list[up]!)) break;
      list[i] = list[up]!;
      i = up;
    }
    list[i] = item;
  }

  pop(): T {
    const { list, less } = this;
    const top = list[0]!;
    const last = list.pop()!;
    if (list.length === 0) return top;
    let i = 0;
    for (;;) {
      let child = 2 * i + 1;
      if (child >= list.length) break;
      if (child + 1 < list.length && less(list[child + 1]!, list[child]!)) child++;
      if (!less(list[child]!, last)) break;
      list[i] = list[child]!;
      i = child;
    }
    list[i] = last;
    return top;
  }
}
