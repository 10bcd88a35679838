import Papa from "papaparse";
import type { Frozen } from "./frozen";
import { FIELDS, FULL_COLUMNS, fullTable, neverFormula } from "./full-table";

/** Everything as a table of commas (RFC 4180), in UTF-8 with its mark, so that spreadsheets take its letters for what they are. */
export function writeCsv(f: Frozen): string {
  const { rows } = fullTable(f);
  const all = [
    [...FULL_COLUMNS, FIELDS],
    ...rows.map((r) => [...FULL_COLUMNS.map((c) => neverFormula(r.cells[c])), r.fields]),
  ];
  return `\uFEFF${Papa.unparse(all, { newline: "\r\n" })}\r\n`;
}
