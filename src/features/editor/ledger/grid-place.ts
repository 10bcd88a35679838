import type { LedgerColumn } from "@/core/ledger/columns";

/** The columns one can stand in: those of the ledger, the box that marks a row before them, what else can be done behind. */
export type GridColumn = LedgerColumn | "mark" | "more";
/** The row of the column's names. */
export const HEADER = "";

export interface Place {
  /** An event's id, or HEADER. */
  row: string;
  column: GridColumn;
}

/** Where one is, and from where a block of cells was drawn; the same place for one cell. */
export interface Standing {
  active: Place;
  anchor: Place;
}

/** What there is to stand in, in the order it is shown. */
export interface GridShape {
  rows: readonly string[];
  rowAt: ReadonlyMap<string, number>;
  columns: readonly GridColumn[];
}

export type Way = "up" | "down" | "left" | "right" | "rowStart" | "rowEnd" | "first" | "last" | "pageUp" | "pageDown";

/** So many rows are a page. */
const PAGE = 10;

/** Where a step leads; a block grows with it where `extend`. Stays within the grid; the header is above the first row. */
export function stepped(at: Standing, way: Way, extend: boolean, { rows, rowAt, columns }: GridShape): Standing {
  const row = at.active.row === HEADER ? -1 : (rowAt.get(at.active.row) ?? 0);
  const column = Math.max(0, columns.indexOf(at.active.column));
  // A block holds no header.
  const top = extend ? 0 : -1;
  const clamp = (n: number, low: number, high: number) => Math.max(low, Math.min(high, n));
  const to = {
    up: [row - 1, column],
    down: [row + 1, column],
    left: [row, column - 1],
    right: [row, column + 1],
    rowStart: [row, 0],
    rowEnd: [row, columns.length - 1],
    first: [0, 0],
    last: [rows.length - 1, columns.length - 1],
    pageUp: [Math.max(0, row - PAGE), column],
    pageDown: [row + PAGE, column],
  }[way] as [number, number];
  const atRow = clamp(to[0], Math.min(top, rows.length - 1), rows.length - 1);
  const active = {
    row: atRow < 0 ? HEADER : rows[atRow]!,
    column: columns[clamp(to[1], 0, columns.length - 1)]!,
  };
  return { active, anchor: extend && at.anchor.row !== HEADER ? at.anchor : active };
}

/** The cells of a block by their numbers, from 0, ends included; null where one stands in the header or in no row. */
export interface Block {
  top: number;
  bottom: number;
  left: number;
  right: number;
}

export function blockOf({ active, anchor }: Standing, { rowAt, columns }: GridShape): Block | null {
  const rows = [rowAt.get(active.row), rowAt.get(anchor.row) ?? rowAt.get(active.row)];
  const cols = [columns.indexOf(active.column), columns.indexOf(anchor.column)];
  if (rows[0] === undefined || cols[0]! < 0) return null;
  if (cols[1]! < 0) cols[1] = cols[0]!;
  return {
    top: Math.min(rows[0], rows[1]!),
    bottom: Math.max(rows[0], rows[1]!),
    left: Math.min(cols[0]!, cols[1]!),
    right: Math.max(cols[0]!, cols[1]!),
  };
}

export function isOneCell(b: Block): boolean {
  return b.top === b.bottom && b.left === b.right;
}

/** The ledger's own columns of a block. */
export function ownColumns(b: Block, columns: readonly GridColumn[]): LedgerColumn[] {
  return columns.slice(b.left, b.right + 1).filter((c): c is LedgerColumn => c !== "mark" && c !== "more");
}
