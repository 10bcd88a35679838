// Long because the board and the moves on it share one working state, and run at every keystroke.
import type { Place } from "./places";

/** A label that wants a place, `w` along and `h` across, px. */
export interface Unplaced {
  id: string;
  /** Where its moment stands along the ridge, px. */
  apex: number;
  w: number;
  h: number;
}

/** Where it stands; its line is shifted where neighbours are spread out. */
export interface Placed extends Pick<Place, "row" | "side" | "shift"> {
  id: string;
}

export interface Room {
  /** Labels stay within [from, to] along. */
  from: number;
  to: number;
  rows: number;
  pitch: number;
  /** Rows are lower than labels: each label takes as many as it needs, down to this depth, px. Left out: one row a label. */
  depth?: number;
  /** Labels stand at the end of their lines, their middle on it, instead of beside them. */
  centred: boolean;
}

/** Where a label begins, px from its line. */
export function labelStart(side: number, along: number, centred: boolean): number {
  if (centred) return -along / 2;
  return side > 0 ? FLAG_GAP : -FLAG_GAP - along;
}

/** The sides a label may have; -1: before its line. */
export const sidesOf = (centred: boolean): readonly (1 | -1)[] => (centred ? RIGHT_ONLY : RIGHT_FIRST);
const RIGHT_ONLY = [1] as const;
const RIGHT_FIRST = [1, -1] as const;
const LEFT_FIRST = [-1, 1] as const;

/** Between a plumb line and its own label, and between a line or label and another label, px. */
export const FLAG_GAP = 6;
export const CLEARANCE = 7;

/**
 * Hangs labels on their plumb lines like flags, left or right of the line, so that no label meets another and no
 * line passes through a label. Deterministic; independent of the order of input but for ties, which go by id.
 * What finds no place is missing in the result. `effort`: "all" tries all ways there are until
 * one shows every label; "most" shows as many as it can.
 */
export function placeLabels(
  labels: readonly Unplaced[],
  room: Room,
  effort: "quick" | "most" | "all" = "quick",
): Placed[] {
  const thorough = effort === "all";
  const sorted = [...labels].sort((a, b) => a.apex - b.apex || (a.id < b.id ? -1 : 1));
  const boards: { board: Board; cost: number }[] = [];
  const attempt = (anchors: readonly number[]) => {
    for (const order of [rightToLeft, leftToRight]) {
      const board = new Board(sorted, anchors, room);
      board.place(order(sorted.length));
      boards.push({ board, cost: board.cost() });
      // The other direction seldom finds more than a tidier order of rows.
      if (board.missing === 0) return true;
    }
    return false;
  };
  // Straight lines for all: nothing further apart can be better.
  if (!attempt(sorted.map((l) => l.apex))) {
    for (const spread of [6, 12, 20]) attempt(spreadOut(sorted, () => spread, room));
    // One under the other: all in the first row.
    if (room.centred) attempt(spreadOut(sorted, (a, b) => (a.w + b.w) / 2 + CLEARANCE + 1, room));
    for (const step of STEPS) {
      let fitting = 0;
      for (
        let most = 2;
        most <= Math.min(inOneColumn(room, sorted), sorted.length) && fitting < (thorough ? room.rows : COLUMN_WAYS);
        most++
      ) {
        const anchors = inColumns(sorted, most, step, room, thorough);
        if (!anchors) continue;
        fitting++;
        attempt(anchors);
      }
    }
  }
  // The most promising are worked on; a rough one that is far behind does not catch up.
  boards.sort((x, y) => x.cost - y.cost);
  let best = boards[0]!;
  if (effort === "quick" && best.board.missing > MOST_MISSING * sorted.length) return best.board.result();
  for (const b of boards.slice(0, thorough ? boards.length : WORKED_ON)) {
    if (b.board.missing > 0) b.board.squeeze();
    b.board.improve();
    if (b.board.missing === 0) b.board.relax();
    b.cost = b.board.cost();
    if (b.cost < best.cost - 1e-9 || b === best) best = b;
    if (thorough && best.board.missing === 0) break;
  }
  return best.board.result();
}

/**
 * Makes labels larger where there is room left, one after the other in the order given, each to the first of its sizes for which
 * it has a place on its line; the others stay. Gives the number of each label's new size; those that stay as they are are missing.
 * Changes `placed`.
 */
export function growLabels(
  labels: readonly Unplaced[],
  placed: Placed[],
  room: Room,
  order: readonly string[],
  sizes: (id: string) => readonly { w: number; h: number }[],
): Map<string, number> {
  const { sorted, at, board } = boardOf(labels, placed, room);
  const index = new Map(sorted.map((l, i) => [l.id, i]));
  const grown = new Map<string, number>();
  for (const id of order) {
    const i = index.get(id);
    const p = at.get(id);
    if (i === undefined || !p) continue;
    for (const [k, size] of sizes(id).entries()) {
      const found = board.resize(i, size);
      if (!found) continue;
      p.row = found.row;
      p.side = found.side > 0 ? 1 : -1;
      grown.set(id, k);
      break;
    }
  }
  return grown;
}

/**
 * Lets every second label hang lower, as low as there is room, where labels leave much of the depth empty. Changes `placed`.
 */
export function lowerLabels(labels: readonly Unplaced[], placed: Placed[], room: Room): void {
  const { sorted, at, board } = boardOf(labels, placed, room);
  for (const [i, l] of sorted.entries()) {
    const p = at.get(l.id);
    if (p && i % 2 === 1) p.row = board.lower(i);
  }
}

/** Labels where they hang. */
function boardOf(labels: readonly Unplaced[], placed: readonly Placed[], room: Room) {
  const sorted = [...labels].sort((a, b) => a.apex - b.apex || (a.id < b.id ? -1 : 1));
  const at = new Map(placed.map((p) => [p.id, p]));
  const board = new Board(
    sorted,
    sorted.map((l) => l.apex + (at.get(l.id)?.shift ?? 0)),
    room,
  );
  for (const [i, l] of sorted.entries()) {
    const p = at.get(l.id);
    if (p) board.setAt(i, p.row, p.side);
  }
  return { sorted, at, board };
}

const rightToLeft = (n: number) => [...Array(n).keys()].reverse();
const leftToRight = (n: number) => [...Array(n).keys()];

/** So many labels can hang one under the other. */
function inOneColumn(room: Room, labels: readonly Unplaced[]): number {
  if (room.depth === undefined) return room.rows;
  return Math.max(1, Math.floor(room.depth / (Math.min(...labels.map((l) => l.h)) + 4)));
}

/** So many of the ways to run the lines are worked on to the end. */
const WORKED_ON = 3;
/** Where more than this share finds no place at first, working on it does not help. */
const MOST_MISSING = 0.25;
/** So many heights of columns are tried, from the first on that lets them stand side by side in the frame. */
const COLUMN_WAYS = 3;
/** Between two lines, px. */
const LINES_APART = 5;
/** Where between its moment and its present place a label is tried. */
const NEARER = [0, 0.25, 0.5, 0.75];

/** What it costs to hang a label away from its moment: nothing to speak of at first, then more and more. */
export function awayCost(distance: number): number {
  return (Math.abs(distance) / 40) ** 2;
}

/** What a row further out costs, and the left side of a line. */
const ROW_COST = 0.25;
const SIDE_COST = 0.1;

/** Where labels hang that may be in a label's way, px across; made once, because it is asked for at every step. */
const TAKEN_TOP: number[] = [];
const TAKEN_BOTTOM: number[] = [];

/** Labels on their lines while a place is being looked for; plain numbers, because this runs at every keystroke. */
class Board {
  missing: number;
  private n: number;
  private row: Int16Array;
  private side: Int8Array;
  private anchor: Float64Array;
  private w: Float64Array;
  private h: Float64Array;
  /** Labels whose lines are further apart than this have nothing to do with each other. */
  private reach: number;
  private labels: readonly Unplaced[];
  private room: Room;
  /** The last row in which each label ends within the depth. */
  private last: Int16Array;
  /** What a row further out costs. */
  private rowCost: number;
  /** How many rows a label takes, about. */
  private step: number;

  constructor(labels: readonly Unplaced[], anchors: readonly number[], room: Room) {
    this.labels = labels;
    this.room = room;
    this.n = labels.length;
    this.missing = this.n;
    this.row = new Int16Array(this.n).fill(-1);
    this.side = new Int8Array(this.n).fill(1);
    this.anchor = Float64Array.from(anchors);
    this.w = new Float64Array(this.n);
    this.h = new Float64Array(this.n);
    this.last = new Int16Array(this.n);
    const { rows, pitch, depth } = room;
    let [sum, widest] = [0, 0];
    for (const [i, l] of labels.entries()) {
      this.w[i] = l.w;
      this.h[i] = l.h;
      this.last[i] = depth === undefined ? rows - 1 : Math.min(rows - 1, Math.floor((depth - l.h) / pitch));
      sum += l.h + 9;
      widest = Math.max(widest, l.w);
    }
    this.step = depth === undefined ? 1 : Math.max(1, Math.round(sum / Math.max(1, this.n) / pitch));
    this.rowCost = ROW_COST / this.step;
    this.reach = 2 * (widest + FLAG_GAP + CLEARANCE) + 1;
  }

  place(order: readonly number[]): void {
    for (const i of order) this.placeOne(i);
  }

  /** Hangs one label where it is best now, if anywhere. */
  private placeOne(i: number): boolean {
    let [row, side] = [-1, 0];
    for (const s of sidesOf(this.room.centred)) {
      if (!this.inside(i, s)) continue;
      const r = this.freeRow(i, s, this.step * this.shut(i, s));
      if (r >= 0 && (row < 0 || r < row)) [row, side] = [r, s];
    }
    if (row < 0) return false;
    this.put(i, row, side);
    return true;
  }

  /**
   * The first row from `first` on in which a label on a side of its line meets none that hangs; -1: there is none. The last is looked at
   * in any case. Asks each neighbour once which rows it leaves, where `clashes` would be asked for each row.
   */
  private freeRow(i: number, side: number, first: number): number {
    const { pitch, centred } = this.room;
    const a = this.left(i, side);
    const b = a + this.w[i]!;
    const h = this.h[i]!;
    const own = this.anchor[i]!;
    const last = this.last[i]!;
    let from = Math.min(first, last);
    let to = last;
    let taken = 0;
    for (let step = -1; step <= 1; step += 2)
      for (let j = i + step; j >= 0 && j < this.n; j += step) {
        const x = this.anchor[j]!;
        if (Math.abs(x - own) > this.reach) break;
        const otherRow = this.row[j]!;
        if (otherRow < 0) continue;
        const c = this.left(j, this.side[j]!);
        const d = c + this.w[j]!;
        const apart = !centred && x === own;
        const boxes = a < d + CLEARANCE && c < b + CLEARANCE;
        const itsLine = !apart && x > a - CLEARANCE + 1 && x < b + CLEARANCE;
        const myLine = !apart && own > c - CLEARANCE + 1 && own < d + CLEARANCE;
        if (!boxes && !itsLine && !myLine) continue;
        const top = otherRow * pitch;
        const bottom = top + this.h[j]!;
        // Its line runs down to its foot: from there on it may be passed. Mine does the same to it.
        if (itsLine) {
          const foot = centred ? top : bottom;
          while (from <= to && foot > from * pitch) from++;
        }
        if (myLine) while (to >= from && (centred ? to * pitch : to * pitch + h) > top) to--;
        if (from > to) return -1;
        if (boxes) {
          TAKEN_TOP[taken] = top;
          TAKEN_BOTTOM[taken++] = bottom;
        }
      }
    for (let row = from, k = 0; row <= to; ) {
      if (k === taken) return row;
      const top = row * pitch;
      if (top < TAKEN_BOTTOM[k]! + 4 && TAKEN_TOP[k]! < top + h + 4) {
        row++;
        k = 0;
      } else k++;
    }
    return -1;
  }

  private put(i: number, row: number, side: number): void {
    this.row[i] = row;
    this.side[i] = side;
    this.missing--;
  }

  private take(i: number): void {
    this.row[i] = -1;
    this.missing++;
  }

  /** Hangs a label where it is known to hang. */
  setAt(i: number, row: number, side: number): void {
    this.put(i, row, side);
  }

  /** Gives a label another size, and the first place on its line that has room for it; null: there is none, all stays. */
  resize(i: number, size: { w: number; h: number }): { row: number; side: number } | null {
    const was = { row: this.row[i]!, side: this.side[i]!, w: this.w[i]!, h: this.h[i]!, last: this.last[i]! };
    const { depth, pitch } = this.room;
    this.take(i);
    this.w[i] = size.w;
    this.h[i] = size.h;
    if (depth !== undefined) this.last[i] = Math.floor((depth - size.h) / pitch);
    this.reach = Math.max(this.reach, 2 * (size.w + FLAG_GAP + CLEARANCE) + 1);
    const last = this.last[i]!;
    for (let far = 0; far < this.room.rows; far++)
      for (const row of far === 0 ? [was.row] : [was.row - far, was.row + far])
        for (const side of [was.side, -was.side]) {
          if (row < 0 || row > last || !this.inside(i, side) || this.clashes(i, row, side, 1) > 0) continue;
          this.put(i, row, side);
          return { row, side };
        }
    this.w[i] = was.w;
    this.h[i] = was.h;
    this.last[i] = was.last;
    this.put(i, was.row, was.side);
    return null;
  }

  /** Hangs a label as low as it can on its line and side; gives its row. */
  lower(i: number): number {
    const was = this.row[i]!;
    const side = this.side[i]!;
    this.take(i);
    let row = this.last[i]!;
    while (row > was && this.clashes(i, row, side, 1) > 0) row--;
    this.put(i, Math.max(was, row), side);
    return this.row[i]!;
  }

  private left(i: number, side: number): number {
    return this.anchor[i]! + labelStart(side, this.w[i]!, this.room.centred);
  }

  private inside(i: number, side: number): boolean {
    const left = this.left(i, side);
    return left >= this.room.from && left + this.w[i]! <= this.room.to;
  }

  /** How many labels without a place yet would have to hang above this one, because it stands in their lines' way. */
  private shut(i: number, side: number): number {
    const left = this.left(i, side) - CLEARANCE;
    const right = left + this.w[i]! + 2 * CLEARANCE;
    const own = this.anchor[i]!;
    let count = 0;
    for (const step of [-1, 1])
      for (let j = i + step; j >= 0 && j < this.n; j += step) {
        const x = this.anchor[j]!;
        if (step < 0 ? x < left : x > right) break;
        if (this.row[j]! < 0 && x > left && x < right && x !== own) count++;
      }
    return count;
  }

  /** How many hung labels a place would meet, by their boxes or their lines; stops counting at `most`. */
  private clashes(i: number, row: number, side: number, most: number, found?: number[]): number {
    const { pitch, centred } = this.room;
    const a = this.left(i, side);
    const b = a + this.w[i]!;
    const top = row * pitch;
    const bottom = top + this.h[i]!;
    const own = this.anchor[i]!;
    let count = 0;
    for (let step = -1; step <= 1; step += 2)
      for (let j = i + step; j >= 0 && j < this.n; j += step) {
        const x = this.anchor[j]!;
        if (Math.abs(x - own) > this.reach) break;
        const otherRow = this.row[j]!;
        if (otherRow < 0) continue;
        const otherTop = otherRow * pitch;
        const otherBottom = otherTop + this.h[j]!;
        const c = this.left(j, this.side[j]!);
        const d = c + this.w[j]!;
        const boxes = top < otherBottom + 4 && otherTop < bottom + 4 && a < d + CLEARANCE && c < b + CLEARANCE;
        // Each line runs from the ridge to its label's foot; to its beginning where it stands at the line's end.
        const itsLine =
          (centred || x !== own) &&
          (centred ? otherTop > top : otherBottom > top) &&
          x > a - CLEARANCE + 1 &&
          x < b + CLEARANCE;
        const myLine =
          (centred || x !== own) &&
          (centred ? top > otherTop : bottom > otherTop) &&
          own > c - CLEARANCE + 1 &&
          own < d + CLEARANCE;
        if (boxes || itsLine || myLine) {
          found?.push(j);
          if (++count >= most) return count;
        }
      }
    return count;
  }

  /** Makes room for labels that found none: puts each in, takes out what is in its way, and places that anew. */
  squeeze(): void {
    for (let i = 0; i < this.n; i++) if (this.row[i]! < 0) this.forceIn(i);
  }

  private forceIn(i: number): void {
    for (let row = 0; row <= this.last[i]!; row++)
      for (const side of sidesOf(this.room.centred)) {
        if (!this.inside(i, side)) continue;
        const out: number[] = [];
        if (this.clashes(i, row, side, 4, out) > 3) continue;
        const before = out.map((j) => [j, this.row[j]!, this.side[j]!] as const);
        for (const j of out) this.take(j);
        this.put(i, row, side);
        if (out.every((j) => this.placeOne(j))) return;
        for (const j of out) if (this.row[j]! >= 0) this.take(j);
        this.take(i);
        for (const was of before) this.put(...was);
      }
  }

  /** Takes each label out and puts it back where it is best now, until nothing changes. */
  improve(): void {
    for (let pass = 0; pass < 6; pass++) {
      let changed = false;
      for (let i = 0; i < this.n; i++) {
        const [row, side] = [this.row[i]!, this.side[i]!];
        if (row >= 0) this.take(i);
        if (!this.placeOne(i) && row >= 0) this.put(i, row, side);
        if (this.row[i] !== row || this.side[i] !== side) changed = true;
      }
      if (!changed) return;
    }
  }

  /**
   * Draws each label nearer to its moment, as far as there is room; lines keep their order, so that they still do when
   * moments move apart.
   */
  relax(): void {
    for (let pass = 0; pass < 8; pass++) {
      let changed = false;
      for (let k = 0; k < this.n; k++) {
        const i = pass % 2 === 0 ? k : this.n - 1 - k;
        const apex = this.labels[i]!.apex;
        const [row, side, anchor] = [this.row[i]!, this.side[i]!, this.anchor[i]!];
        // Moments at one instant may share their line.
        const low =
          i > 0 ? this.anchor[i - 1]! + (this.labels[i - 1]!.apex < apex ? LINES_APART : 0) : Number.NEGATIVE_INFINITY;
        const high =
          i < this.n - 1
            ? this.anchor[i + 1]! - (this.labels[i + 1]!.apex > apex ? LINES_APART : 0)
            : Number.POSITIVE_INFINITY;
        if (low > high) continue;
        const target = Math.min(high, Math.max(low, apex));
        let best = this.costOf(i);
        const found = { row, side, anchor };
        this.take(i);
        for (const share of NEARER) {
          const x = target + share * (anchor - target);
          const away = awayCost(x - apex);
          if (away >= best) continue;
          this.anchor[i] = x;
          // The first free row of a side costs least; the nearer of the two comes first.
          const right = this.inside(i, 1) ? this.freeRow(i, 1, 0) : -1;
          const left = !this.room.centred && this.inside(i, -1) ? this.freeRow(i, -1, 0) : -1;
          for (const s of left < right ? LEFT_FIRST : RIGHT_FIRST) {
            const r = s > 0 ? right : left;
            const cost = away + r * this.rowCost + (s > 0 ? 0 : SIDE_COST);
            if (r < 0 || cost >= best - 1e-6) continue;
            best = cost;
            found.row = r;
            found.side = s;
            found.anchor = x;
            changed = true;
          }
        }
        this.anchor[i] = found.anchor;
        this.put(i, found.row, found.side);
      }
      if (!changed) return;
    }
  }

  private costOf(i: number): number {
    return this.row[i]! < 0
      ? 1_000
      : awayCost(this.anchor[i]! - this.labels[i]!.apex) +
          this.row[i]! * this.rowCost +
          (this.side[i]! > 0 ? 0 : SIDE_COST);
  }

  cost(): number {
    let cost = 0;
    for (let i = 0; i < this.n; i++) cost += this.costOf(i);
    return cost;
  }

  result(): Placed[] {
    const placed: Placed[] = [];
    for (let i = 0; i < this.n; i++)
      if (this.row[i]! >= 0)
        placed.push({
          id: this.labels[i]!.id,
          shift: this.anchor[i]! - this.labels[i]!.apex,
          side: this.side[i]! > 0 ? 1 : -1,
          row: this.row[i]!,
        });
    return placed;
  }
}

/** Between the lines of one column, px: roomy, and as close as lines can still be told apart. */
const STEPS = [13, 6];

/**
 * Lines gathered into columns of up to `most`, in which each label hangs above the one before it, like steps: the way
 * that fills the rows. Columns stand as near to their moments as their widths allow; null when they do not fit into the frame, unless
 * they are to be `squeezed` into it.
 */
function inColumns(
  sorted: readonly Unplaced[],
  most: number,
  step: number,
  room: Room,
  squeezed: boolean,
): number[] | null {
  const columns: { first: number; labels: Unplaced[]; w: number; wanted: number }[] = [];
  for (const [i, l] of sorted.entries()) {
    const last = columns.at(-1);
    // A label that is clear of the column begins a column of its own.
    if (last && last.labels.length < most && l.apex < last.wanted + last.w) last.labels.push(l);
    else columns.push({ first: i, labels: [l], w: 0, wanted: l.apex });
    const c = columns.at(-1)!;
    c.w = Math.max(...c.labels.map((x, k) => k * step + FLAG_GAP + x.w)) + CLEARANCE + 2;
    c.wanted = c.labels.reduce((sum, x, k) => sum + x.apex - k * step, 0) / c.labels.length;
  }
  if (!squeezed && columns.reduce((sum, c) => sum + c.w, 0) > room.to - room.from) return null;
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
      for (const k of c.labels.keys()) anchors.push(x + k * step);
      x += c.w;
    }
    at = b.from + b.w;
  }
  return anchors;
}

/** The least movement that keeps lines so far apart, and in their order (pool adjacent violators). */
function spreadOut(sorted: readonly Unplaced[], apart: (a: Unplaced, b: Unplaced) => number, room: Room): number[] {
  const offset = [0];
  for (let i = 1; i < sorted.length; i++) offset.push(offset[i - 1]! + apart(sorted[i - 1]!, sorted[i]!));
  const blocks: { sum: number; n: number }[] = [];
  for (const [i, l] of sorted.entries()) {
    blocks.push({ sum: l.apex - offset[i]!, n: 1 });
    while (blocks.length > 1) {
      const [a, b] = [blocks.at(-2)!, blocks.at(-1)!];
      if (a.sum / a.n <= b.sum / b.n) break;
      blocks.splice(-2, 2, { sum: a.sum + b.sum, n: a.n + b.n });
    }
  }
  const inset = (l: Unplaced | undefined) => (room.centred && l ? l.w / 2 : 0);
  const least = room.from + inset(sorted[0]);
  const most = Math.max(least, room.to - inset(sorted.at(-1)) - (offset.at(-1) ?? 0));
  return blocks
    .flatMap((b) => Array<number>(b.n).fill(Math.min(most, Math.max(least, b.sum / b.n))))
    .map((x, i) => x + offset[i]!);
}
