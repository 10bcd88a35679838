import { MOST_TEXT, readRows } from "@/core/bring-in/read-rows";
import { cellsFromHtml, type TableNode } from "@/core/ledger/clipboard";
import { lettersOf } from "@/core/text/letters";
import { WORDS } from "@/core/words/en/bring-in";
import { type Given, READABLE } from "./readable";

/** A file's rows; a sentence where it has none. */
export async function rowsOfFile(file: File): Promise<Given | { problem: string }> {
  if (!READABLE.test(file.name)) return { problem: WORDS.noSuchFile(file.name) };
  if (file.size > MOST_TEXT) return { problem: WORDS.tooLong };
  const { text, latin } = lettersOf(new Uint8Array(await file.arrayBuffer()));
  return rowsOf(text, file.name, /\.html?$/i.test(file.name), latin ? WORDS.latin : null);
}

export function rowsOf(
  text: string,
  name: string,
  html = false,
  note: string | null = null,
): Given | { problem: string } {
  if (text.length > MOST_TEXT) return { problem: WORDS.tooLong };
  // A document of its own: nothing in it is run or fetched.
  const body = html ? new DOMParser().parseFromString(text, "text/html").body : null;
  const cells = body ? cellsFromHtml(body as unknown as TableNode) : null;
  const rows = cells ?? readRows(body ? linesOf(body) : text).cells;
  return rows.length === 0 ? { problem: WORDS.nothingInIt } : { name, cells: rows, note };
}

/** A document without a table, as lines. */
function linesOf(body: HTMLElement): string {
  const parts = [...body.querySelectorAll("li, p, dt, dd, h1, h2, h3, h4, pre")];
  return (parts.length > 0 ? parts : [body]).map((e) => e.textContent?.trim() ?? "").join("\n");
}
