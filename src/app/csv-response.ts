import "server-only";
import { WORDS as COMMON } from "@/core/words/common";
import Papa from "papaparse";

type Rows = readonly Record<string, string | number>[];

/**
 * A table as CSV for a spreadsheet: text that begins like a formula stays text. For programs (`shown` false) there is no byte order mark
 * in front, and texts stand as they are.
 */
export function csvResponse(rows: Rows, title: string, shown = true): Response {
  const csv = Papa.unparse([...rows], { escapeFormulae: shown, newline: "\r\n" });
  return new Response(`${shown ? "\uFEFF" : ""}${csv}\r\n`, {
    headers: fileHeaders("text/csv; charset=utf-8", title, "csv"),
  });
}

/** The same as a workbook: numbers are numbers, and texts are never formulas. */
export async function xlsxResponse(rows: Rows, title: string): Promise<Response> {
  const { Workbook } = await import("exceljs");
  const book = new Workbook();
  const sheet = book.addWorksheet(COMMON.marks, { views: [{ state: "frozen", ySplit: 1 }] });
  const names = Object.keys(rows[0] ?? {});
  sheet.columns = names.map((n) => ({ header: n, key: n, width: Math.min(40, Math.max(10, n.length + 2)) }));
  sheet.getRow(1).font = { bold: true };
  for (const r of rows) sheet.addRow(r);
  const bytes = await book.xlsx.writeBuffer();
  return new Response(new Uint8Array(bytes as ArrayBuffer), {
    headers: fileHeaders("application/vnd.openxmlformats-officedocument.spreadsheetml.sheet", title, "xlsx"),
  });
}

/** What says of an answer that it is a file of that name. */
export function fileHeaders(type: string, title: string, ending: string): Record<string, string> {
  const name = title.replaceAll(/[^\p{L}\p{N} -]/gu, "").trim() || "file";
  return {
    "Content-Type": type,
    "Content-Disposition": `attachment; filename="file.${ending}"; filename*=UTF-8''${encodeURIComponent(`${name}.${ending}`)}`,
    "Cache-Control": "no-store",
  };
}
