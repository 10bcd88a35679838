import { WORDS } from "../words/take-out";
import type { Frozen } from "./frozen";
import { daysOf, FIELDS, FULL_COLUMNS, type FullColumn, fullTable, TIMELINE_ROW } from "./full-table";

/** A cell of a workbook holds so many characters (ECMA-376, 18.3.1.4 as programs have it); longer JSON goes on in the next cell. */
export const MOST_IN_CELL = 32_000;
const WIDTHS: Partial<Record<FullColumn, number>> = {
  When: 22,
  Title: 40,
  "Short title": 20,
  Category: 18,
  "Part of": 24,
  Place: 20,
  Tags: 20,
  Description: 60,
  Source: 40,
  Link: 30,
  "Private note": 30,
};

/** The cells of a table as a workbook has them: dates as text, days beside them as days, and the JSON apart. */
export function sheetsOf(f: Frozen) {
  const { rows } = fullTable(f);
  const columns = FULL_COLUMNS.flatMap((c) => (c === "When" ? [c, ...WORDS.days] : [c])) as (FullColumn | string)[];
  const events = rows.filter((r) => r.id !== TIMELINE_ROW);
  return {
    columns,
    widths: columns.map((c) => WIDTHS[c as FullColumn] ?? 14),
    rows: events.map((r) => {
      const days = daysOf(r.when);
      return columns.map((c): string | { day: string } => {
        if (c === WORDS.days[0]) return days.first ? { day: days.first } : "";
        if (c === WORDS.days[1]) return days.last ? { day: days.last } : "";
        const text = r.cells[c as FullColumn];
        return text.length > MOST_IN_CELL ? `${text.slice(0, MOST_IN_CELL)}…` : text;
      });
    }),
    fields: rows.map((r) => [r.id, ...pieces(r.fields)]),
  };
}

function pieces(text: string): string[] {
  const found: string[] = [];
  for (let at = 0; at < text.length; at += MOST_IN_CELL) found.push(text.slice(at, at + MOST_IN_CELL));
  return found;
}

/** Everything as a workbook (ECMA-376): texts stay texts whatever they begin with, days are days too. `stamp`: when it was made. */
export async function writeXlsx(f: Frozen, stamp = new Date(0)): Promise<Uint8Array> {
  const { default: Excel } = await import("exceljs");
  const book = new Excel.Workbook();
  book.creator = "Fastigo";
  book.created = stamp;
  book.modified = stamp;
  const { columns, widths, rows, fields } = sheetsOf(f);
  const sheet = book.addWorksheet(WORDS.eventsSheet, { views: [{ state: "frozen", ySplit: 1, xSplit: 1 }] });
  sheet.columns = columns.map((header, n) => ({ header, width: widths[n]! }));
  sheet.getRow(1).font = { bold: true };
  for (const row of rows)
    sheet.addRow(row.map((c) => (typeof c === "string" ? (c === "" ? null : c) : new Date(`${c.day}T00:00:00Z`))));
  for (const [n, column] of columns.entries()) {
    if ((WORDS.days as readonly string[]).includes(column)) sheet.getColumn(n + 1).numFmt = "yyyy-mm-dd";
    else sheet.getColumn(n + 1).numFmt = "@";
    sheet.getColumn(n + 1).alignment = {
      vertical: "top",
      wrapText: ["Title", "Description", "Source"].includes(column),
    };
  }
  const rest = book.addWorksheet(FIELDS, { state: "hidden" });
  rest.addRow(["Id", FIELDS]);
  for (const row of fields) rest.addRow(row);
  return new Uint8Array(await book.xlsx.writeBuffer());
}
