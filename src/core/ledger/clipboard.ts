/**
 * Cells as they lie on a clipboard: as tab-separated text, in which a cell that holds a tab, a line end or begins with a quotation
 * mark stands in quotation marks (as RFC 4180 does for commas), and as an HTML table, which says that its cells are text, so that a
 * spreadsheet keeps leading zeros and what begins with an equals sign.
 */
export type Cells = readonly (readonly string[])[];

/** The number format of text, as one family of spreadsheets reads it; the other reads it from the style. */
const TEXT = 'sdnum="1033;0;@"';
/** Marks a table that Fastigo wrote: its cells are read to the last space. */
const MARK = "data-fastigo-cells";

export function cellsToText(cells: Cells): string {
  const quoted = (cell: string) =>
    /[\t\n\r]/.test(cell) || cell.startsWith('"') ? `"${cell.replaceAll('"', '""')}"` : cell;
  const text = cells.map((row) => row.map(quoted).join("\t")).join("\n");
  // A last row of one empty cell is a line of its own all the same.
  return text.endsWith("\n") ? `${text}\n` : text;
}

/**
 * Reads tab-separated text. Quotation marks count only where a cell both begins with one and ends with one: other programs leave
 * those within a text as they are. A last line end is none of a cell's.
 */
export function cellsFromText(text: string): string[][] {
  const all = text.replaceAll(/\r\n?/g, "\n").replace(/\n$/, "");
  const rows: string[][] = [[]];
  let at = 0;
  for (;;) {
    const quoted = all[at] === '"' ? closing(all, at) : null;
    const end = quoted ?? nextEnd(all, at);
    const raw = all.slice(at, end);
    rows.at(-1)!.push(quoted === null ? raw : raw.slice(1, -1).replaceAll('""', '"'));
    if (end >= all.length) return rows;
    if (all[end] === "\n") rows.push([]);
    at = end + 1;
  }
}

/** Where a cell that begins with a quotation mark ends, behind its last one; null when none closes it. */
function closing(all: string, at: number): number | null {
  for (let i = at + 1; i < all.length; i++) {
    if (all[i] !== '"') continue;
    if (all[i + 1] === '"') {
      i++;
      continue;
    }
    const next = all[i + 1];
    return next === undefined || next === "\t" || next === "\n" ? i + 1 : null;
  }
  return null;
}

function nextEnd(all: string, at: number): number {
  for (let i = at; i < all.length; i++) if (all[i] === "\t" || all[i] === "\n") return i;
  return all.length;
}

export function cellsToHtml(cells: Cells): string {
  const escaped = (s: string) =>
    s
      .replaceAll("&", "&amp;")
      .replaceAll("<", "&lt;")
      .replaceAll(">", "&gt;")
      .replaceAll('"', "&quot;")
      .replaceAll(/\r\n?|\n/g, "<br>")
      .replaceAll("\t", "&#9;");
  const rows = cells.map(
    (row) =>
      `<tr>${row.map((c) => `<td ${TEXT} style="mso-number-format:'\\@';white-space:pre-wrap">${escaped(c)}</td>`).join("")}</tr>`,
  );
  return `<meta charset="utf-8"><table ${MARK}="1"><tbody>${rows.join("")}</tbody></table>`;
}

/** As much of an HTML element as reading a table takes: what a browser's parser gives has it. */
export interface TableNode {
  nodeType: number;
  nodeName: string;
  nodeValue: string | null;
  childNodes: ArrayLike<TableNode>;
  getAttribute?(name: string): string | null;
}

/** The tables within a parsed document, none of them within another. */
export const tablesIn = (root: TableNode): TableNode[] => all(root, "TABLE");

/**
 * The cells of the first table within a parsed document (or of that table itself), null where there is none. Cells that span several
 * take the room they take, empty. `root` is what a parser of HTML made; nothing in it is run. `onLink`: is told of the first web
 * address that a cell's words lead to.
 */
export function cellsFromHtml(
  root: TableNode,
  onLink?: (row: number, column: number, address: string) => void,
): string[][] | null {
  const table = root.nodeName === "TABLE" ? root : (all(root, "TABLE")[0] ?? null);
  if (!table) return null;
  const own = table.getAttribute?.(MARK) === "1";
  const rows: string[][] = [];
  const taken: number[] = [];
  for (const row of all(table, "TR")) {
    const cells: string[] = [];
    const put = (text: string, rowSpan: number) => {
      while ((taken[cells.length] ?? 0) > 0) {
        taken[cells.length]!--;
        cells.push("");
      }
      if (rowSpan > 1) taken[cells.length] = rowSpan - 1;
      cells.push(text);
    };
    for (const cell of Array.from(row.childNodes)) {
      if (cell.nodeName !== "TD" && cell.nodeName !== "TH") continue;
      const span = (name: string) => Math.min(200, Math.max(1, Number(cell.getAttribute?.(name)) || 1));
      put(textOf(cell, own), span("rowspan"));
      const link =
        onLink &&
        all(cell, "A")
          .map((a) => a.getAttribute?.("href") ?? "")
          .find((a) => /^https?:/i.test(a));
      if (link && link !== cells.at(-1)) onLink(rows.length, cells.length - 1, link);
      for (let n = 1; n < span("colspan"); n++) put("", 1);
    }
    while ((taken[cells.length] ?? 0) > 0) {
      taken[cells.length]!--;
      cells.push("");
    }
    if (cells.length > 0) rows.push(cells);
  }
  return rows.length === 0 ? null : rows;
}

/** Elements of a name, in the order of the document; none within another of the name. Without recursion: a page may be deep. */
function all(root: TableNode, name: string): TableNode[] {
  const found: TableNode[] = [];
  const stack = [root];
  while (stack.length > 0) {
    const node = stack.pop()!;
    if (node.nodeName === name && node !== root) {
      found.push(node);
      continue;
    }
    for (let i = node.childNodes.length - 1; i >= 0; i--) stack.push(node.childNodes[i]!);
  }
  return found;
}

const BLOCKS = new Set(["P", "DIV", "LI"]);

/** The words within an element, as they are read. */
export const textOfHtml = (node: TableNode): string => textOf(node, false);

function textOf(cell: TableNode, exact: boolean): string {
  let text = "";
  /** Null: a block ends here, so what follows begins a line. */
  const stack: (TableNode | null)[] = [...Array.from(cell.childNodes)].reverse();
  let begins = false;
  while (stack.length > 0) {
    const node = stack.pop();
    if (!node) {
      begins = true;
      continue;
    }
    if (node.nodeType === 3) {
      const raw = node.nodeValue ?? "";
      const words = exact ? raw : raw.replaceAll(/[ \t\r\n]+/g, " ");
      if (begins && words.trim() !== "") {
        if (text.trim() !== "") text += "\n";
        begins = false;
      }
      text += words;
      continue;
    }
    if (node.nodeName === "BR") text += "\n";
    if (node.nodeName === "STYLE" || node.nodeName === "SCRIPT") continue;
    if (BLOCKS.has(node.nodeName)) {
      begins = true;
      stack.push(null);
    }
    for (let i = node.childNodes.length - 1; i >= 0; i--) stack.push(node.childNodes[i]!);
  }
  if (exact) return text;
  return text
    .split("\n")
    .map((line) => line.trim())
    .join("\n")
    .trim()
    .replaceAll("\u00a0", " ");
}
