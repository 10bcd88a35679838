import type ExcelJS from "exceljs";
import { strToU8, zipSync } from "fflate";
import { dayFromGregorian } from "../../time/calendar";
import { WORDS } from "../../words/bring-in";
import { dateOfSerial } from "./serial-date";
import type { Found } from "./found";
import { MOST_CELLS, MOST_COLUMNS } from "./limits";
import { Sheets } from "./sheets";
import { NotReadable, unpack } from "./unpack";

/** The day of a spreadsheet's number 0, as the library counts it. */
const EPOCH = dayFromGregorian(1899, 12, 30);
const DAY_MS = 86_400_000;
const EPOCH_MS = Date.UTC(1899, 11, 30);
/** From the number 0 of 1904 to that of 1900, days. */
const SYSTEM_1904 = 1_462;

/**
 * Reads a workbook (ECMA-376, Office Open XML): cells as they read, dates as exact as they are shown, of formulas what they came
 * to. Unpacked under a count first, and packed loosely again for the library. Throws `NotReadable`.
 */
export async function readXlsx(bytes: Uint8Array): Promise<Found> {
  const parts = unpack(
    bytes,
    (name) => /^(\[Content_Types\]\.xml|_rels\/|xl\/|docProps\/)/.test(name) && !UNUSED.test(name),
  );
  if (![...parts.keys()].some((n) => n.startsWith("xl/workbook"))) throw new NotReadable(WORDS.brokenFile);
  let cells = 0;
  for (const [name, part] of parts)
    if (/^xl\/worksheets\/[^/]+\.xml$/.test(name)) cells += countOf(part, strToU8("<c "));
  if (cells > MOST_CELLS) throw new NotReadable(WORDS.tooManyCells);
  const { default: Excel } = await import("exceljs");
  const book = new Excel.Workbook();
  try {
    const loose = zipSync(Object.fromEntries(parts), { level: 0 });
    await book.xlsx.load(loose.buffer as ArrayBuffer);
  } catch {
    throw new NotReadable(WORDS.brokenFile);
  }
  // What the file says itself; and what the library has taken it for.
  const is1904 = /<workbookPr\b[^>]*\bdate1904\s*=\s*"(1|true)"/.test(headOf(parts.get("xl/workbook.xml")));
  const counted = book.properties.date1904 === true ? SYSTEM_1904 : 0;
  // Some programs count 29 February 1900, which never was, as a day; this family does not.
  const exact = is1904 || headOf(parts.get("docProps/app.xml")).includes("LibreOffice");
  const system: DateSystem = { epoch: EPOCH + (is1904 ? SYSTEM_1904 : 0), exact, counted };
  const sheets = new Sheets();
  for (const sheet of book.worksheets) {
    if (sheet.state === "veryHidden") continue;
    const rows: string[][] = [];
    const links: string[][] = [];
    let cut = false;
    sheet.eachRow({ includeEmpty: false }, (row, r) => {
      row.eachCell({ includeEmpty: false }, (cell, c) => {
        const text = textOf(cell, system);
        if (text === "") return;
        if (c > MOST_COLUMNS) {
          cut = true;
          return;
        }
        const line = (rows[r - 1] ??= []);
        line[c - 1] = text;
        if (cell.hyperlink && cell.hyperlink !== text) (links[r - 1] ??= [])[c - 1] = cell.hyperlink;
      });
    });
    sheets.add(sheet.name, rows, links, cut);
  }
  return sheets.found();
}

interface DateSystem {
  epoch: number;
  exact: boolean;
  /** Days the library has added to what stands in the file. */
  counted: number;
}

/** The beginning of a part of XML. */
const headOf = (part: Uint8Array | undefined) =>
  new TextDecoder().decode((part ?? new Uint8Array(0)).subarray(0, 20_000));

/** Parts of a workbook in which no cell stands. */
const UNUSED =
  /^xl\/(media|drawings|charts|embeddings|printerSettings|theme|pivot|vba|externalLinks|ctrlProps|activeX)/;

function countOf(bytes: Uint8Array, what: Uint8Array): number {
  let count = 0;
  const [a, b, c] = what;
  for (let i = 0; i + 2 < bytes.length; i++)
    if (bytes[i] === a && bytes[i + 1] === b && (bytes[i + 2] === c || bytes[i + 2] === 0x3e)) count++;
  return count;
}

/** What a cell says. */
function textOf(cell: ExcelJS.Cell, system: DateSystem): string {
  const text = valueText(cell.value, cell.numFmt ?? "", system);
  return text.includes("\r") ? text.replaceAll(/\r\n?/g, "\n") : text;
}

function valueText(value: ExcelJS.CellValue, format: string, system: DateSystem): string {
  if (value === null || value === undefined) return "";
  if (typeof value === "string") return value;
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value === "number") return numberText(value, format);
  if (value instanceof Date) {
    return dateOfSerial((value.getTime() - EPOCH_MS) / DAY_MS - system.counted, format, system);
  }
  if ("richText" in value) return value.richText.map((r) => r.text).join("");
  if ("hyperlink" in value) {
    const text = value.text as unknown;
    return typeof text === "string" ? text : valueText(text as ExcelJS.CellValue, format, system);
  }
  if ("result" in value || "formula" in value || "sharedFormula" in value)
    return valueText((value as { result?: ExcelJS.CellValue }).result ?? null, format, system);
  return "";
}

/** A number as it is meant: percents as such, without what binary fractions add. */
export function numberText(n: number, format = ""): string {
  const plain = (x: number) => String(Number(x.toPrecision(15)));
  return format.includes("%") ? `${plain(n * 100)}%` : plain(n);
}
