import { asWritten, FIELDS, TIMELINE_ROW } from "../../formats/full-table";
import { readFullTable } from "../../formats/read-full-table";
import type { ReadOptions } from "../../time/read/options";
import { cleanText, cleanValue } from "../../text/clean";
import { decode, textIn } from "../../text/letters";
import { WORDS } from "../../words/bring-in";
import { readRows } from "../read-rows";
import { type FileKind, kindOf } from "./endings";
import { ENCODINGS, type Encoding, type Found, type ReadFileOptions } from "./found";
import { MOST_SHEET_ROWS, MOST_TEXT } from "./limits";
import { gedcomText, readGedcom } from "./read-gedcom";
import { linesOfHtml, pageOf, tablesOfHtml } from "./read-html";
import { readICalendar } from "./read-icalendar";
import { readJsonFile } from "./read-json-table";
import { readOds } from "./read-ods";
import { readXlsx } from "./read-xlsx";
import { NotReadable, unpack } from "./unpack";

/**
 * Reads a file that somebody brings in: the one door for screen and command. What it holds decides where the name's ending and the
 * content differ. Throws `NotReadable` with a sentence; bounded in time and memory by the limits of each reader.
 */
export async function readFile(
  name: string,
  bytes: Uint8Array,
  options: ReadFileOptions & { dates?: ReadOptions } = {},
): Promise<Found> {
  return withWhole(limited(await readBytes(name, bytes, options)));
}

const FOLDER_DATA = "data.json";

/** No more rows than are looked at; that there were more is said. */
function limited(found: Found): Found {
  if (found.kind !== "rows" || found.sheets.every((s) => s.cells.length <= MOST_SHEET_ROWS)) return found;
  const beyond = found.sheets.filter((s) => s.cells.length > MOST_SHEET_ROWS);
  return {
    ...found,
    sheets: found.sheets.map((s) => ({ ...s, cells: s.cells.slice(0, MOST_SHEET_ROWS) })),
    notes: [...found.notes, ...beyond.map((s) => WORDS.rowsBeyond(s.name, MOST_SHEET_ROWS))],
  };
}

/** Where a table is one that Fastigo wrote: the timeline beside the rows, without what is only for it. */
function withWhole(found: Found): Found {
  if (found.kind !== "rows") return found;
  const [first, ...others] = found.sheets;
  const apart = others.find((s) => s.name === FIELDS);
  const fields = apart && new Map(apart.cells.slice(1).map((r) => [r[0]!.trim(), r.slice(1).join("")]));
  const [header = [], ...rows] = first!.cells;
  const whole = readFullTable(header, rows, fields);
  if (!whole) return found;
  const id = header.indexOf("Id");
  const shown = header.flatMap((h, i) => (h.startsWith(FIELDS) ? [] : [i]));
  const cells = first!.cells.filter((r) => r[id]?.trim() !== TIMELINE_ROW).map((r) => shown.map((i) => r[i] ?? ""));
  return { ...found, sheets: [{ ...first!, cells }, ...others.filter((s) => s !== apart)], whole };
}

async function readBytes(
  name: string,
  bytes: Uint8Array,
  options: ReadFileOptions & { dates?: ReadOptions },
): Promise<Found> {
  const zipped = bytes[0] === 0x50 && bytes[1] === 0x4b;
  const kind = kindOf(name);
  if (!kind) throw new NotReadable(WORDS.noSuchFile(name));
  if (zipped && kind === "zip") return cleanValue(readFolderData(bytes));
  if (zipped) return cleanValue(kind === "ods" ? readOds(bytes) : await readXlsx(bytes));
  if (kind === "xlsx" || kind === "ods" || kind === "zip") throw new NotReadable(WORDS.brokenFile);
  if (bytes.length > MOST_TEXT * 2) throw new NotReadable(WORDS.tooLong);
  const read = options.encoding
    ? { encoding: options.encoding, text: decode(bytes, options.encoding) }
    : textIn(bytes, ENCODINGS);
  const encoding = read.encoding as Encoding;
  // Cleaned as a whole: what nobody can see is in no cell then.
  const text = cleanText(read.text.replace(/^\uFEFF/, ""));
  if (text.length > MOST_TEXT) throw new NotReadable(WORDS.tooLong);
  const found = readLetters(kind, kind === "ged" && !options.encoding ? gedcomText(bytes, text) : text, options);
  return found.kind === "rows" ? { ...found, encoding } : found;
}

/** The timeline in a folder that works without any server: its data. Throws `NotReadable`. */
function readFolderData(bytes: Uint8Array): Found {
  const data = unpack(bytes, (name) => name === FOLDER_DATA, Number.POSITIVE_INFINITY).get(FOLDER_DATA);
  if (!data) throw new NotReadable(WORDS.noFolder);
  return readJsonFile(cleanText(new TextDecoder().decode(data)));
}

/** Reads a text as the content of a file of some kind; of a pasted text the kind is what it begins like. Throws `NotReadable`. */
export function readText(
  kind: Exclude<FileKind, "xlsx" | "ods" | "zip">,
  text: string,
  options: ReadFileOptions & { dates?: ReadOptions } = {},
): Found {
  return limited(readLetters(kind, cleanText(text), options));
}

function readLetters(
  kind: Exclude<FileKind, "xlsx" | "ods" | "zip">,
  text: string,
  options: ReadFileOptions & { dates?: ReadOptions },
): Found {
  const begin = text.slice(0, 200).trimStart();
  if (kind === "ics" || /^BEGIN:VCALENDAR/i.test(begin)) return cleanValue(readICalendar(text, options));
  if (kind === "ged" || /^0\s+HEAD\b/.test(begin)) return cleanValue(readGedcom(text, options));
  if (kind === "json") return cleanValue(readJsonFile(text));
  if (kind === "html") {
    const page = pageOf(text);
    const sheets = tablesOfHtml(page);
    if (sheets.length > 0) return cleanValue({ kind: "rows", sheets, notes: [] });
    return rowsFound(readRows(cleanText(linesOfHtml(page)), options.dates), "");
  }
  const rows = readRows(text, options.dates, options.delimiter ?? (kind === "csv" ? "table" : undefined));
  for (const row of rows.cells) for (let i = 0; i < row.length; i++) row[i] = asWritten(row[i]!);
  return rowsFound(rows, "");
}

function rowsFound({ cells, delimiter }: ReturnType<typeof readRows>, name: string): Found {
  if (cells.length === 0) throw new NotReadable(WORDS.nothingInIt);
  return { kind: "rows", sheets: [{ name, cells }], ...(delimiter ? { delimiter } : {}), notes: [] };
}
