import { strToU8, zipSync } from "fflate";
import { escapeXml } from "../chart/draw/to-svg";
import { WORDS } from "../words/take-out";
import type { Frozen } from "./frozen";
import { FIELDS } from "./full-table";
import { sheetsOf } from "./write-xlsx";

const MIME = "application/vnd.oasis.opendocument.spreadsheet";
const NAMES = `xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0" xmlns:style="urn:oasis:names:tc:opendocument:xmlns:style:1.0" xmlns:number="urn:oasis:names:tc:opendocument:xmlns:datastyle:1.0" office:version="1.2"`;

/** Everything as a spreadsheet of the OpenDocument format (ISO/IEC 26300, part 1 and 3): texts as texts, days as days. */
export function writeOds(f: Frozen): Uint8Array {
  const { columns, rows, fields } = sheetsOf(f);
  const table = (name: string, all: readonly (readonly (string | { day: string })[])[], style = "") =>
    `<table:table table:name="${escapeXml(name)}"${style}>${all.map((r) => `<table:table-row>${r.map(cell).join("")}</table:table-row>`).join("")}</table:table>`;
  const content = `<?xml version="1.0" encoding="UTF-8"?>
<office:document-content ${NAMES}><office:automatic-styles><number:date-style style:name="N1"><number:year number:style="long"/><number:text>-</number:text><number:month number:style="long"/><number:text>-</number:text><number:day number:style="long"/></number:date-style><style:style style:name="day" style:family="table-cell" style:data-style-name="N1"/><style:style style:name="unseen" style:family="table"><style:table-properties table:display="false"/></style:style></office:automatic-styles><office:body><office:spreadsheet>${table(WORDS.eventsSheet, [columns, ...rows])}${table(FIELDS, [["Id", FIELDS], ...fields], ' table:style-name="unseen"')}</office:spreadsheet></office:body></office:document-content>`;
  const manifest = `<?xml version="1.0" encoding="UTF-8"?>
<manifest:manifest xmlns:manifest="urn:oasis:names:tc:opendocument:xmlns:manifest:1.0" manifest:version="1.2"><manifest:file-entry manifest:full-path="/" manifest:media-type="${MIME}"/><manifest:file-entry manifest:full-path="content.xml" manifest:media-type="text/xml"/></manifest:manifest>`;
  // The type of the whole stands first and is not packed, so that it can be told by its first bytes.
  return zipSync({
    mimetype: [strToU8(MIME), { level: 0, mtime: DATED }],
    "content.xml": [strToU8(content), { mtime: DATED }],
    "META-INF/manifest.xml": [strToU8(manifest), { mtime: DATED }],
  });
}

/** The same timeline is the same file. */
const DATED = "2000-01-01T00:00:00Z";

function cell(c: string | { day: string }): string {
  if (c === "") return "<table:table-cell/>";
  if (typeof c !== "string")
    return `<table:table-cell table:style-name="day" office:value-type="date" office:date-value="${c.day}"><text:p>${c.day}</text:p></table:table-cell>`;
  return `<table:table-cell office:value-type="string">${c
    .split("\n")
    .map((line) => `<text:p>${spaced(line)}</text:p>`)
    .join("")}</table:table-cell>`;
}

/** Spaces in a row, and tabs, are elements of their own: others are one (ISO/IEC 26300, part 1, 6.1.2). */
function spaced(line: string): string {
  return escapeXml(line)
    .replaceAll("\t", "<text:tab/>")
    .replaceAll(/^ +| {2,}/g, (run) => `<text:s text:c="${run.length}"/>`);
}
