import Papa from "papaparse";
import { WORDS } from "../words/template";
import { neverFormula } from "./full-table";

const WIDTHS = [26, 36, 16, 24, 18, 18, 46, 30, 26, 26, 18, 12];
/** So many rows offer the categories to choose from. */
const OFFERED = 1_000;
/** A list of choices within a cell's rule is no longer than this (ECMA-376, 18.3.1.32 as programs have it). */
const MOST_LIST = 250;

/** A table to fill in, as CSV. */
export function templateCsv(): string {
  return `\uFEFF${Papa.unparse([[...WORDS.columns], ...WORDS.rows.map((r) => r.map(neverFormula))], { newline: "\r\n" })}\r\n`;
}

/** Where these stand among the columns, from 1. */
const [CATEGORY_COLUMN, IMPORTANT_COLUMN] = [3, 12];

/**
 * A table to fill in, as a workbook: a sheet with example rows, in which categories are chosen from a list (others may be written), and a
 * page that explains the columns. `categories`: those of the timeline it is for.
 */
export async function templateXlsx(categories: readonly string[]): Promise<Uint8Array> {
  const { default: Excel } = await import("exceljs");
  const book = new Excel.Workbook();
  book.creator = "Fastigo";
  book.created = new Date(0);
  book.modified = new Date(0);
  const sheet = book.addWorksheet(WORDS.events, { views: [{ state: "frozen", ySplit: 1 }] });
  sheet.columns = WORDS.columns.map((header, n) => ({ header, width: WIDTHS[n]! }));
  sheet.getRow(1).font = { bold: true };
  for (const row of WORDS.rows) sheet.addRow([...row]);
  for (let c = 1; c <= WORDS.columns.length; c++) {
    sheet.getColumn(c).numFmt = "@";
    sheet.getColumn(c).alignment = { vertical: "top", wrapText: true };
  }
  const names = (categories.length > 0 ? categories : WORDS.categories).filter((n) => n && !/[",]/.test(n));
  let list = "";
  for (const name of names) if (list.length + name.length < MOST_LIST) list += `${list ? "," : ""}${name}`;
  const [at, important] = [CATEGORY_COLUMN, IMPORTANT_COLUMN];
  for (let r = 2; r <= OFFERED; r++) {
    sheet.getCell(r, at).dataValidation = {
      type: "list",
      allowBlank: true,
      showErrorMessage: false,
      formulae: [`"${list}"`],
    };
    sheet.getCell(r, important).dataValidation = {
      type: "list",
      allowBlank: true,
      showErrorMessage: false,
      formulae: [`"${WORDS.yes}"`],
    };
  }
  const help = book.addWorksheet(WORDS.help);
  help.columns = [{ width: 20 }, { width: 100 }];
  for (const row of WORDS.explained) help.addRow([...row]);
  help.getColumn(1).font = { bold: true };
  help.getColumn(2).alignment = { wrapText: true, vertical: "top" };
  return new Uint8Array(await book.xlsx.writeBuffer());
}
