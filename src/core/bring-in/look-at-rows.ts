import { MOST } from "../change/limits";
import { type LedgerColumn, MOST_CELL } from "../ledger/columns";
import type { ReadOptions } from "../time/read/options";
import { dayOrderOf, guessUses, type Use } from "./guess-uses";
import { type KnownEvent, type Matched, matchRows } from "./match-rows";
import { type BroughtRow, type BroughtTable, countsOf, putTogether, type Said } from "./put-together";

/** How a table is to be looked at; what is missing is guessed. */
export interface LookWish extends Said {
  named?: boolean | undefined;
  uses?: readonly Use[] | undefined;
  /** Which number is the day, where somebody said it. */
  order?: "dmy" | "mdy" | null | undefined;
}

/** A row that cannot come in: a text is longer than its place holds. */
export interface Refused {
  row: BroughtRow;
  column: LedgerColumn | "description";
  length: number;
  most: number;
}

export interface Looked {
  named: boolean;
  /** Whether a column says when things were. */
  hasDates: boolean;
  uses: readonly Use[];
  /** What the dates themselves say of which number is the day. */
  orderFound: ReturnType<typeof dayOrderOf>;
  /** What they are read by; null: open ones are asked about. */
  order: "dmy" | "mdy" | null;
  table: BroughtTable;
  refused: Refused[];
  matched: Matched;
}

const WHENS: ReadonlySet<Use> = new Set<Use>(["when", "start", "end", "year", "time"]);
const DATES: ReadonlySet<Use> = new Set<Use>(["when", "start", "end"]);

/** Everything that is shown of a table before it comes in. `events`: those that are there already, in their order. */
export function lookAtRows(
  cells: readonly (readonly string[])[],
  options: ReadOptions,
  events: readonly KnownEvent[],
  wish: LookWish = {},
): Looked {
  const guess = wish.named === undefined || wish.uses === undefined ? guessUses(cells, options) : null;
  const named = wish.named ?? guess!.named;
  const uses = wish.uses ?? guess!.uses;
  const orderFound = dayOrderOf(cells.slice(named ? 1 : 0).flatMap((r) => r.filter((_, i) => DATES.has(uses[i]!))));
  const said = options.order === "dmy" || options.order === "mdy" ? options.order : null;
  const order = wish.order ?? (orderFound === "dmy" || orderFound === "mdy" ? orderFound : said);
  const table = putTogether(cells, named, uses, { ...options, order }, wish);
  const refused: Refused[] = [];
  table.rows = table.rows.filter((row) => {
    const why = tooLongIn(row);
    if (why) refused.push({ row, ...why });
    return !why;
  });
  Object.assign(table.counts, countsOf(table.rows));
  return {
    named,
    hasDates: uses.some((u) => WHENS.has(u)),
    uses,
    orderFound,
    order,
    table,
    refused,
    matched: matchRows(events, table.rows),
  };
}

function tooLongIn(row: BroughtRow): Omit<Refused, "row"> | null {
  for (const [column, text] of [["when", row.typed], ...Object.entries(row.cells)] as [LedgerColumn, string][]) {
    const most = MOST_CELL[column];
    if (most !== undefined && text.length > most) return { column, length: text.length, most };
  }
  const length = row.description.reduce((n, p) => n + p.length, 0);
  const { most } = MOST.description;
  return length > most ? { column: "description", length, most } : null;
}
