import type { LedgerColumn } from "../ledger/columns";
import type { ReadOptions } from "../time/read/options";
import { readWhen } from "../time/read/read-when";
import { isDated, type When } from "../time/when";
import type { Use } from "./guess-uses";

/** One row of a table as the event it would be. */
export interface BroughtRow {
  /** Its number in the table, from 1; the row of names has none. */
  number: number;
  /** The date as one text, put together from all columns that say a part of it. */
  typed: string;
  when: When;
  /** What the other columns of the ledger get. */
  cells: Partial<Record<LedgerColumn, string>>;
  /** The paragraphs of its description. */
  description: string[];
}

export interface BroughtTable {
  rows: BroughtRow[];
  counts: { events: number; undated: number; notUnderstood: number; empty: number };
}

const MONTHS = [
  "january",
  "february",
  "march",
  "april",
  "may",
  "june",
  "july",
  "august",
  "september",
  "october",
  "november",
  "december",
];

/**
 * The rows of a table as the events they would be: parts of dates put together, texts of several columns joined. `mended`: dates
 * that were written anew, by the row's number. Rows in which nothing of use stands are counted and left out.
 */
export function putTogether(
  cells: readonly (readonly string[])[],
  named: boolean,
  uses: readonly Use[],
  options: ReadOptions,
  mended: ReadonlyMap<number, string> = new Map(),
): BroughtTable {
  const names = named ? (cells[0] ?? []) : [];
  const table: BroughtTable = { rows: [], counts: { events: 0, undated: 0, notUnderstood: 0, empty: 0 } };
  for (const [i, raw] of cells.slice(named ? 1 : 0).entries()) {
    const number = i + 1;
    const row = raw.map((c) => c.trim());
    const of = (use: Use) => row.filter((c, k) => uses[k] === use && c !== "");
    const typed = mended.get(number) ?? dateText(of);
    const description = [
      ...of("description").flatMap((text) => text.split(/\n\s*\n/)),
      ...row.flatMap((c, k) =>
        uses[k] === "more" && c !== "" ? [names[k]?.trim() ? `${names[k]!.trim()}: ${c}` : c] : [],
      ),
    ].filter((p) => p.trim() !== "");
    const brought: BroughtRow = {
      number,
      typed,
      when: readWhen(typed, { ...options, sentence: false }),
      cells: {},
      description,
    };
    for (const column of [
      "title",
      "shortTitle",
      "category",
      "partOf",
      "place",
      "emphasis",
      "sign",
      "done",
      "note",
    ] as const) {
      const [text] = of(column);
      if (text) brought.cells[column] = text;
    }
    const tags = of("tags");
    if (tags.length > 0) brought.cells.tags = tags.join(", ");
    for (const column of ["source", "link"] as const) {
      const lines = of(column);
      if (lines.length > 0) brought.cells[column] = lines.join("\n");
    }
    if (typed === "" && Object.keys(brought.cells).length === 0 && description.length === 0) {
      table.counts.empty++;
      continue;
    }
    table.rows.push(brought);
    table.counts.events++;
    if (brought.when.readAs.kind === "not_understood") table.counts.notUnderstood++;
    else if (!isDated(brought.when)) table.counts.undated++;
  }
  return table;
}

/** One text out of the columns that each say a part of a date. */
function dateText(of: (use: Use) => string[]): string {
  const [when] = of("when");
  const [start, end, year, month, day, time] = (["start", "end", "year", "month", "day", "time"] as const).map(
    (u) => of(u)[0] ?? "",
  );
  let text = when ?? "";
  if (start && end && start !== end) text = `${start} to ${end}`;
  else if (start || (end && !text)) text = start || `until ${end}`;
  if (!text && year) text = [day && month ? day : "", monthName(month!), year].filter(Boolean).join(" ");
  return time && text && !text.includes(time) ? `${text} ${time}` : text || time!;
}

/** A month by its name, also where its number stands there. */
function monthName(text: string): string {
  const n = Number(text);
  return Number.isInteger(n) && n >= 1 && n <= 12 ? MONTHS[n - 1]! : text;
}
