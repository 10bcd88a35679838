import { SaxesParser } from "saxes";
import { readWhen } from "../../time/read/read-when";
import { WORDS } from "../../words/bring-in";
import type { Found } from "./found";
import { numberText } from "./read-xlsx";
import { MOST_CELLS, MOST_COLUMNS, MOST_SHEET_ROWS } from "./limits";
import { Sheets } from "./sheets";
import { NotReadable, unpack } from "./unpack";

/** Repeated rows that hold something are taken so often at most: what is repeated oftener is the empty rest of a sheet. */
const MOST_REPEATS = 1_000;

/**
 * Reads a spreadsheet of the OpenDocument format (ISO/IEC 26300, part 1, 9): what its cells show, days exact. Throws `NotReadable`.
 */
export function readOds(bytes: Uint8Array): Found {
  const content = unpack(bytes, (name) => name === "content.xml").get("content.xml");
  if (!content) throw new NotReadable(WORDS.brokenFile);
  const sheets = new Sheets();
  let cells = 0;
  let sheet: { name: string; rows: string[][]; links: string[][]; cut: boolean } | null = null;
  let row: { cells: string[]; links: string[]; repeated: number } | null = null;
  let cell: {
    value: string | null;
    type: string;
    text: string;
    link: string;
    repeated: number;
    paragraphs: number;
  } | null = null;
  /** Notes and drawings within a cell are none of its words. */
  let aside = 0;
  const xml = new SaxesParser();
  xml.on("doctype", () => {
    throw new NotReadable(WORDS.brokenFile);
  });
  xml.on("error", () => {
    throw new NotReadable(WORDS.brokenFile);
  });
  xml.on("opentag", ({ name, attributes: a }) => {
    if (name === "office:annotation" || name === "draw:frame" || name === "table:tracked-changes") aside++;
    if (aside > 0) return;
    const repeated = (attribute: string) => Math.max(1, Math.floor(Number(a[attribute]) || 1));
    if (name === "table:table") sheet = { name: a["table:name"] ?? "", rows: [], links: [], cut: false };
    else if (name === "table:table-row" && sheet)
      row = { cells: [], links: [], repeated: repeated("table:number-rows-repeated") };
    else if ((name === "table:table-cell" || name === "table:covered-table-cell") && row) {
      const type = a["office:value-type"] ?? "";
      const value =
        a["office:date-value"] ?? a["office:time-value"] ?? a["office:value"] ?? a["office:boolean-value"] ?? null;
      cell = { type, value, text: "", link: "", repeated: repeated("table:number-columns-repeated"), paragraphs: 0 };
    } else if (cell && (name === "text:p" || name === "text:h")) {
      if (cell.paragraphs++ > 0) cell.text += "\n";
    } else if (cell && name === "text:s") cell.text += " ".repeat(Math.min(1_000, Number(a["text:c"]) || 1));
    else if (cell && name === "text:tab") cell.text += "\t";
    else if (cell && name === "text:line-break") cell.text += "\n";
    else if (cell && name === "text:a") cell.link ||= a["xlink:href"] ?? "";
  });
  xml.on("text", (text) => {
    if (cell && aside === 0 && cell.paragraphs > 0) cell.text += text;
  });
  xml.on("closetag", ({ name }) => {
    if (name === "office:annotation" || name === "draw:frame" || name === "table:tracked-changes") aside--;
    if (aside > 0) return;
    if ((name === "table:table-cell" || name === "table:covered-table-cell") && row && cell && sheet) {
      const text = cellText(cell);
      for (let n = 0; n < cell.repeated && text !== ""; n++) {
        if (row.cells.length + n >= MOST_COLUMNS) {
          sheet.cut = true;
          break;
        }
        if (++cells > MOST_CELLS) throw new NotReadable(WORDS.tooManyCells);
        row.cells[row.cells.length] = text;
        if (cell.link && cell.link !== text) row.links[row.cells.length - 1] = cell.link;
      }
      if (text === "") row.cells.length = Math.min(MOST_COLUMNS, row.cells.length + cell.repeated);
      cell = null;
    } else if (name === "table:table-row" && row && sheet) {
      const said = row.cells.some((c) => c?.trim());
      for (let n = 0; said && n < Math.min(row.repeated, MOST_REPEATS) && sheet.rows.length <= MOST_SHEET_ROWS; n++) {
        if (n > 0) cells += row.cells.length;
        if (cells > MOST_CELLS) throw new NotReadable(WORDS.tooManyCells);
        sheet.links[sheet.rows.length] = row.links;
        sheet.rows.push(row.cells);
      }
      row = null;
    } else if (name === "table:table" && sheet) {
      sheets.add(sheet.name, sheet.rows, sheet.links, sheet.cut);
      sheet = null;
    }
  });
  try {
    xml.write(new TextDecoder().decode(content)).close();
  } catch (e) {
    throw e instanceof NotReadable ? e : new NotReadable(WORDS.brokenFile);
  }
  return sheets.found();
}

/** What a cell says: of a date its day, unless less than a day is shown of it. */
function cellText({ type, value, text }: { type: string; value: string | null; text: string }): string {
  if (value === null) return text;
  switch (type) {
    case "date": {
      const shown = readWhen(text, { sentence: false }).readAs;
      if (shown.kind === "moment" && ["year", "month"].includes(shown.at.precision)) return text;
      const at = /^(-?)(\d+)-(\d\d)-(\d\d)(?:T(\d\d:\d\d)(:\d\d)?)?/.exec(value);
      if (!at || at[1] || at[2]!.length > 4) return text;
      const clock = at[5] && at[5] !== "00:00" ? ` ${at[5]}` : "";
      return `${at[2]!.padStart(4, "0")}-${at[3]}-${at[4]}${clock}`;
    }
    case "float":
      return numberText(Number(value));
    case "percentage":
      return numberText(Number(value), "%");
    case "boolean":
      return value === "true" ? "yes" : "no";
    default:
      return text;
  }
}
