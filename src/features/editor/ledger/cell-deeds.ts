import { locale } from "@/core/language/spoken";
import { nanoid } from "nanoid";
import { itemsByOwner, type Timeline } from "@/core/timeline/timeline";
import { cellText, type RowSources } from "@/core/ledger/cell-text";
import {
  type Cells,
  cellsFromHtml,
  cellsFromText,
  cellsToHtml,
  cellsToText,
  type TableNode,
} from "@/core/ledger/clipboard";
import { orderOf, rowsOf } from "@/core/timeline/order";
import { COUNTED, type LedgerColumn } from "@/core/ledger/columns";
import { type Filled, fillCells, type TooLongCell } from "@/core/ledger/fill-cells";
import { MOST } from "@/core/change/limits";
import { LIMIT_SENTENCES } from "@/core/words/limits";
import { COLUMN_NAMES, WORDS } from "@/core/words/editor-ledger";
import type { TimelineStore } from "../store/timeline-store";
import { wordsIn } from "../words";

/** So many cells are read at once; of more the browser is let go now and then. */
const AT_ONCE = 400;
/** How long reading may hold a frame up, ms. */
const SLICE_MS = 10;
/** How often it is said how far one is, ms: saying it draws too. */
const SAY_MS = 250;
/** Until what was drawn has been seen. */
const nextFrame = () => new Promise((go) => requestAnimationFrame(() => setTimeout(go)));

export function rowSources(timeline: Timeline): RowSources {
  return { timeline, items: itemsByOwner(timeline), words: wordsIn };
}

/** The texts of cells, as they are copied. */
export function textsOf(timeline: Timeline, rows: readonly string[], columns: readonly LedgerColumn[]): string[][] {
  const from = rowSources(timeline);
  return rows.flatMap((id) => {
    const event = timeline.events.get(id);
    return event ? [columns.map((c) => cellText(from, event, c))] : [];
  });
}

export function putOnClipboard(to: DataTransfer, cells: Cells): void {
  to.setData("text/plain", cellsToText(cells));
  to.setData("text/html", cellsToHtml(cells));
}

/** What lies on a clipboard as cells: a table where there is one and nothing beside it, else its text. */
export function cellsOn(from: DataTransfer): string[][] | null {
  const html = from.getData("text/html");
  const text = from.getData("text/plain");
  if (html.includes("<t")) {
    // A document of its own: nothing in it is run or fetched.
    const { body } = new DOMParser().parseFromString(html, "text/html");
    const cells = body.querySelectorAll("table").length === 1 ? cellsFromHtml(body as unknown as TableNode) : null;
    if (cells) return cells;
  }
  return text === "" ? null : cellsFromText(text);
}

export interface FillWish {
  rows: readonly string[];
  columns: readonly LedgerColumn[];
  cells: Cells;
}

/** How a large block gets on: how many rows were read, and whether it is still wanted. */
export interface Progress {
  read: (rows: number) => void;
  wanted: () => boolean;
}

/**
 * Fills cells: one change, one undo. Gives the rows that were filled, or null and says why nothing was; says too what was not
 * understood and what was left alone.
 */
export async function fillIn(store: TimelineStore, wish: FillWish, progress?: Progress): Promise<string[] | null> {
  const { timeline } = store.getState();
  const fresh = Math.max(0, wish.cells.length - wish.rows.length);
  let living = 0;
  for (const e of timeline.events.values()) if (!e.deleted) living++;
  if (fresh > 0 && living + fresh > MOST.events.most) {
    store.say(WORDS.nothingPastedBecause(LIMIT_SENTENCES.events));
    return null;
  }
  const steps = fillCells(timeline, { ...wish, newId: () => nanoid(10) });
  const many = wish.cells.length * (wish.cells[0]?.length ?? 0) > AT_ONCE;
  let since = performance.now();
  let said = since;
  let read = 0;
  let came: Filled | TooLongCell;
  for (;;) {
    const step = steps.next();
    if (step.done) {
      came = step.value;
      break;
    }
    read += 25;
    if (!many || performance.now() - since < SLICE_MS) continue;
    if (performance.now() - said > SAY_MS) {
      progress?.read(Math.min(read, wish.cells.length));
      said = performance.now();
    }
    // A timer alone would let the next slice run before anything is drawn.
    await nextFrame();
    if (progress && !progress.wanted()) return null;
    since = performance.now();
  }
  if ("tooLong" in came) {
    store.say(tooLongCell(came));
    return null;
  }
  // Reading and doing are frames of their own.
  if (many) await nextFrame();
  const problem = came.ops.length === 0 ? null : store.edit(came.ops);
  if (problem) {
    store.say(WORDS.nothingPastedBecause(problem));
    return null;
  }
  // Saying it would draw all of it within this very task; the order of the rows is worked out before. And whoever writes the first
  // number in a language waits until the browser has fetched how: a frame of its own.
  if (many) {
    await nextFrame();
    rowsOf(store.getState().timeline.events);
    orderOf(store.getState().timeline.events);
    await nextFrame();
  }
  const words = saying(came);
  if (many) await nextFrame();
  if (words) store.say(words);
  return came.rows;
}

/**
 * The first and the last of rows that were filled, where they stand now: dates have put them in order. Where others have come to stand
 * between them, the first alone: what is chosen is what was filled, and nothing else.
 */
export function endsOf(store: TimelineStore, filled: readonly string[]): [first: string, last: string] {
  const theirs = new Set(filled);
  const order = rowsOf(store.getState().timeline.events).map((e) => e.id);
  const from = order.findIndex((id) => theirs.has(id));
  const to = order.findLastIndex((id) => theirs.has(id));
  if (from < 0 || to - from + 1 !== theirs.size) return [filled[0]!, filled[0]!];
  return [order[from]!, order[to]!];
}

/** A sentence for a cell whose text does not fit. */
export function tooLongCell({ tooLong: { row, column, length, most } }: TooLongCell): string {
  const n = (x: number) => x.toLocaleString(locale());
  return WORDS.cellTooLong(n(row), COLUMN_NAMES[column], n(length), n(most));
}

/** What a person should know of what was filled; "" when all went as one expects. */
function saying(f: Filled): string {
  return [
    f.added > 0 ? WORDS.eventsAdded(f.added) : "",
    f.datesNotUnderstood > 0 ? WORDS.datesKeptAsTyped(f.datesNotUnderstood) : "",
    f.noted > 0 ? WORDS.keptInNotes(f.noted) : "",
    f.given > 0 ? WORDS.givenLeft(f.given) : "",
    f.counted > 0 ? WORDS.countedTakeNothing(f.counted) : "",
    f.beyond > 0 ? WORDS.beyondLastColumn(f.beyond) : "",
  ]
    .filter(Boolean)
    .join(" ");
}

/** One cell, as it is typed. Gives a sentence when it cannot be. */
export function typeInto(
  store: TimelineStore,
  row: string,
  column: LedgerColumn,
  text: string,
  group: string | null = null,
): string | null {
  const { timeline } = store.getState();
  const steps = fillCells(timeline, { rows: [row], columns: [column], cells: [[text]], newId: () => nanoid(10) });
  let step = steps.next();
  while (!step.done) step = steps.next();
  const came = step.value;
  if ("tooLong" in came) {
    const n = (x: number) => x.toLocaleString(locale());
    return WORDS.textTooLong(COLUMN_NAMES[column], n(came.tooLong.length), n(came.tooLong.most));
  }
  if (came.noted > 0) return WORDS.notAValue(column, text.trim().slice(0, 60));
  return came.ops.length === 0 ? null : store.edit(came.ops, group);
}

/** Empties cells: one change. */
export function clearCells(store: TimelineStore, rows: readonly string[], columns: readonly LedgerColumn[]): void {
  const writable = columns.filter((c) => !COUNTED.has(c));
  if (writable.length === 0) {
    store.say(WORDS.countedTakeNothing(rows.length));
    return;
  }
  void fillIn(store, { rows, columns: writable, cells: rows.map(() => writable.map(() => "")) });
}

/** The first row's cells into all others of the block. */
export function fillDown(store: TimelineStore, rows: readonly string[], columns: readonly LedgerColumn[]): void {
  const writable = columns.filter((c) => !COUNTED.has(c));
  const [first] = textsOf(store.getState().timeline, rows.slice(0, 1), writable);
  if (!first || rows.length < 2 || writable.length === 0) return;
  void fillIn(store, { rows: rows.slice(1), columns: writable, cells: rows.slice(1).map(() => first) });
}
