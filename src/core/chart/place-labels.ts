/** A label that hangs on a plumb line at `anchor`, `w` along and `h` across. */
export interface Hanging {
  id: string;
  /** Where its moment stands along the ridge, px. */
  apex: number;
  w: number;
  h: number;
}

export interface Placed {
  id: string;
  /** Where the plumb line runs, px along; differs from the apex where neighbours are spread out. */
  anchor: number;
  side: 1 | -1;
  row: number;
}

export interface Room {
  /** Labels stay within [from, to] along. */
  from: number;
  to: number;
  rows: number;
  pitch: number;
}

/** Between a plumb line and its own label, and between a line or label and another label, px. */
export const FLAG_GAP = 6;
const CLEARANCE = 7;

/**
 * Hangs labels on their plumb lines like flags, left or right of the line, so that no label meets another and no
 * line passes through a label. Deterministic; independent of the order of input but for ties, which go by id.
 * What finds no place is missing in the result.
 */
export function placeLabels(labels: readonly Hanging[], room: Room): Placed[] {
  const sorted = [...labels].sort((a, b) => a.apex - b.apex || (a.id < b.id ? -1 : 1));
  let best: Placed[] = [];
  let bestCost = Number.POSITIVE_INFINITY;
  // Straight lines first; then lines spread apart a little, then as far as the fullest rows need.
  const ways = [
    ...[0, 6, 12, 20].map((spread) => () => spreadOut(sorted, spread, room)),
    ...[...Array(room.rows).keys()].slice(1).map((n) => () => inColumns(sorted, n + 1, room)),
  ];
  for (const way of ways) {
    const anchors = way();
    for (const order of [rightToLeft, leftToRight, outwards]) {
      const placed = improve(sorted, anchors, room, squeeze(sorted, anchors, room, place(sorted, anchors, room, order(sorted.length))));
      const cost = costOf(sorted, anchors, placed);
      if (cost < bestCost - 1e-9) {
        bestCost = cost;
        best = placed.filter((p) => p !== null);
      }
    }
    // Straight lines for all: nothing further apart can be better.
    if (best.length === sorted.length && way === ways[0]) break;
  }
  return best;
}

/** Between the lines of one column, px. */
const STEP = 13;

/**
 * Lines gathered into columns of up to `most`, in which each label hangs above the one before it, like steps: the way
 * that fills the rows. Columns stand as near to their moments as their widths allow.
 */
function inColumns(sorted: readonly Hanging[], most: number, room: Room): number[] {
  const columns: { first: number; labels: Hanging[]; w: number; wanted: number }[] = [];
  for (const [i, l] of sorted.entries()) {
    const last = columns.at(-1);
    // A label that is clear of the column begins a column of its own.
    if (last && last.labels.length < most && l.apex < last.wanted + last.w) last.labels.push(l);
    else columns.push({ first: i, labels: [l], w: 0, wanted: l.apex });
    const c = columns.at(-1)!;
    c.w = Math.max(...c.labels.map((x, k) => k * STEP + FLAG_GAP + x.w)) + CLEARANCE + 2;
    c.wanted = c.labels.reduce((sum, x, k) => sum + x.apex - k * STEP, 0) / c.labels.length;
  }
  // Pool adjacent violators: columns that would meet move together to their common middle.
  const blocks: { from: number; w: number; n: number; columns: typeof columns }[] = [];
  for (const c of columns) {
    blocks.push({ from: c.wanted, w: c.w, n: 1, columns: [c] });
    while (blocks.length > 1) {
      const [a, b] = [blocks.at(-2)!, blocks.at(-1)!];
      if (a.from + a.w <= b.from) break;
      const from = (a.from * a.n + (b.from - a.w) * b.n) / (a.n + b.n);
      blocks.splice(-2, 2, { from, w: a.w + b.w, n: a.n + b.n, columns: [...a.columns, ...b.columns] });
    }
  }
  // Back into the frame: from the right, then from the left.
  let limit = room.to;
  for (const b of [...blocks].reverse()) {
    b.from = Math.min(b.from, limit - b.w);
    limit = b.from;
  }
  let at = room.from;
  const anchors: number[] = [];
  for (const b of blocks) {
    b.from = Math.max(b.from, at);
    let x = b.from;
    for (const c of b.columns) {
      for (const k of c.labels.keys()) anchors.push(x + k * STEP);
      x += c.w;
    }
    at = b.from + b.w;
  }
  return anchors;
}

type Slots = (Placed | null)[];

const rightToLeft = (n: number) => [...Array(n).keys()].reverse();
const leftToRight = (n: number) => [...Array(n).keys()];
const outwards = (n: number) => [...Array(n).keys()].sort((a, b) => Math.abs(a - n / 2) - Math.abs(b - n / 2) || a - b);

/** The least movement that keeps lines `spread` apart and in their order (pool adjacent violators). */
function spreadOut(sorted: readonly Hanging[], spread: number, room: Room): number[] {
  if (spread === 0) return sorted.map((l) => l.apex);
  const blocks: { sum: number; n: number }[] = [];
  for (const [i, l] of sorted.entries()) {
    blocks.push({ sum: l.apex - i * spread, n: 1 });
    while (blocks.length > 1) {
      const [a, b] = [blocks.at(-2)!, blocks.at(-1)!];
      if (a.sum / a.n <= b.sum / b.n) break;
      blocks.splice(-2, 2, { sum: a.sum + b.sum, n: a.n + b.n });
    }
  }
  const least = room.from;
  const most = room.to - (sorted.length - 1) * spread;
  return blocks
    .flatMap((b) => Array<number>(b.n).fill(Math.min(Math.max(most, least), Math.max(least, b.sum / b.n))))
    .map((x, i) => x + i * spread);
}

function place(sorted: readonly Hanging[], anchors: readonly number[], room: Room, order: readonly number[]): Slots {
  const slots: Slots = sorted.map(() => null);
  for (const i of order) slots[i] = bestSlot(sorted, anchors, room, slots, i);
  return slots;
}

/** Makes room for labels that found none: puts each in, takes out what is in its way, and places that anew. */
function squeeze(sorted: readonly Hanging[], anchors: readonly number[], room: Room, slots: Slots): Slots {
  let now = slots;
  for (let i = 0; i < now.length; i++) {
    if (now[i]) continue;
    search: for (let row = 0; row < room.rows; row++)
      for (const side of [1, -1] as const) {
        const p: Placed = { id: sorted[i]!.id, anchor: anchors[i]!, side, row };
        const trial: Slots = [...now];
        const out: number[] = [];
        for (let j = 0; j < trial.length; j++) {
          if (!trial[j]) continue;
          const alone: Slots = trial.map((s, k) => (k === j ? s : null));
          if (!fits(sorted, anchors, room, alone, i, p)) {
            trial[j] = null;
            out.push(j);
          }
        }
        if (out.length > 3 || !fits(sorted, anchors, room, trial, i, p)) continue;
        trial[i] = p;
        if (out.every((j) => (trial[j] = bestSlot(sorted, anchors, room, trial, j)))) {
          now = trial;
          break search;
        }
      }
  }
  return now;
}

/** Takes each label out and puts it back where it is best now, until nothing changes. */
function improve(sorted: readonly Hanging[], anchors: readonly number[], room: Room, slots: Slots): Slots {
  for (let pass = 0; pass < 6; pass++) {
    let changed = false;
    for (let i = 0; i < slots.length; i++) {
      const before = slots[i]!;
      slots[i] = null;
      const now = bestSlot(sorted, anchors, room, slots, i);
      slots[i] = now;
      if (before?.row !== now?.row || before?.side !== now?.side) changed = true;
    }
    if (!changed) break;
  }
  return slots;
}

function bestSlot(sorted: readonly Hanging[], anchors: readonly number[], room: Room, slots: Slots, i: number): Placed | null {
  const label = sorted[i]!;
  for (let row = 0; row < room.rows; row++)
    for (const side of [1, -1] as const) {
      const candidate: Placed = { id: label.id, anchor: anchors[i]!, side, row };
      if (row < Math.min(shut(sorted, anchors, slots, i, candidate), room.rows - 1)) continue;
      if (fits(sorted, anchors, room, slots, i, candidate)) return candidate;
    }
  return null;
}

/** How many labels without a place yet would have to hang above this one, because it stands in their lines' way. */
function shut(sorted: readonly Hanging[], anchors: readonly number[], slots: Slots, i: number, p: Placed): number {
  const [a, b] = boxOf(sorted[i]!, p);
  let n = 0;
  for (let j = 0; j < slots.length; j++) if (j !== i && !slots[j] && anchors[j]! > a - CLEARANCE && anchors[j]! < b + CLEARANCE && anchors[j] !== p.anchor) n++;
  return n;
}

function boxOf(label: Hanging, p: Placed): [number, number] {
  return p.side === 1 ? [p.anchor + FLAG_GAP, p.anchor + FLAG_GAP + label.w] : [p.anchor - FLAG_GAP - label.w, p.anchor - FLAG_GAP];
}

function fits(sorted: readonly Hanging[], anchors: readonly number[], room: Room, slots: Slots, i: number, p: Placed): boolean {
  const label = sorted[i]!;
  const [a, b] = boxOf(label, p);
  if (a < room.from || b > room.to) return false;
  const top = p.row * room.pitch;
  const bottom = top + label.h;
  for (let j = 0; j < slots.length; j++) {
    const other = slots[j];
    if (!other) continue;
    const otherTop = other.row * room.pitch;
    const otherBottom = otherTop + sorted[j]!.h;
    const [c, d] = boxOf(sorted[j]!, other);
    const acrossMeets = top < otherBottom + 4 && otherTop < bottom + 4;
    if (acrossMeets && a < d + CLEARANCE && c < b + CLEARANCE) return false;
    // The other's line runs from the ridge to its label's foot; mine likewise.
    const x = anchors[j]!;
    if (otherBottom > top && x > a - CLEARANCE + 1 && x < b + CLEARANCE && x !== p.anchor) return false;
    if (bottom > otherTop && p.anchor > c - CLEARANCE + 1 && p.anchor < d + CLEARANCE && x !== p.anchor) return false;
  }
  return true;
}

/** What it costs to hang a label away from its moment: nothing to speak of at first, then more and more. */
export function awayCost(distance: number): number {
  return (Math.abs(distance) / 40) ** 2;
}

function costOf(sorted: readonly Hanging[], anchors: readonly number[], slots: Slots): number {
  let cost = 0;
  for (const [i, slot] of slots.entries())
    cost += slot ? slot.row * 0.5 + (slot.side === 1 ? 0 : 0.1) + awayCost(anchors[i]! - sorted[i]!.apex) : 1_000;
  return cost;
}
