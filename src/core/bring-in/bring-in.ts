import type { Op } from "../change/change";
import { setReading } from "../change/reading-steps";
import { toBase64 } from "../text/base64";
import { descriptionFrom } from "../text/description";
import { type Filled, fillCells, type TooLongCell } from "../ledger/fill-cells";
import { COUNTED, LEDGER_COLUMNS } from "../ledger/columns";
import type { Timeline } from "../timeline/timeline";
import type { BroughtRow } from "./put-together";

const COLUMNS = LEDGER_COLUMNS.filter((c) => !COUNTED.has(c));

/**
 * The steps that bring rows in as events, as one change: every value through the reader of its column, as if it were typed. `order`:
 * which number is the day, where that was said for the first time. Yields now and then, so that a page can be drawn meanwhile.
 */
export function* bringIn(
  t: Timeline,
  rows: readonly BroughtRow[],
  order: "dmy" | "mdy" | null,
  { newId, client }: { newId: () => string; client: number },
): Generator<void, Filled | TooLongCell> {
  const into = order && order !== t.dateOrder ? { ...t, dateOrder: order } : t;
  const filled = yield* fillCells(into, {
    rows: [],
    columns: COLUMNS,
    cells: rows.map((r) => COLUMNS.map((c) => (c === "when" ? r.typed : (r.cells[c] ?? "")))),
    newId,
  });
  if ("tooLong" in filled) return filled;
  const ops: Op[] = [];
  // Said for the first time it holds for the whole timeline; where that reads its dates otherwise, it goes on to.
  if (into !== t && t.dateOrder === null) ops.push(...setReading(t, { dateOrder: order }));
  ops.push(...filled.ops);
  for (const [n, { description }] of rows.entries()) {
    if (description.length === 0) continue;
    ops.push({ kind: "describe", of: filled.rows[n]!, update: toBase64(descriptionFrom(description, client)) });
    yield;
  }
  return { ...filled, ops };
}
