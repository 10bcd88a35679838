import { parse } from "parse5";
import { cellsFromHtml, type TableNode, tablesIn, textOfHtml } from "../../ledger/clipboard";
import type { Sheet } from "./found";
import { MOST_COLUMNS } from "./limits";
import { denseRows } from "./sheets";

interface Parsed {
  nodeName: string;
  value?: string;
  attrs?: { name: string; value: string }[];
  childNodes?: Parsed[];
  /** What a template holds is none of the page. */
  content?: Parsed;
}

/** A node of the parser as a browser gives it; made where it is looked at. */
class Node implements TableNode {
  readonly nodeType: number;
  readonly nodeName: string;
  readonly nodeValue: string | null;
  private readonly of: Parsed;
  private children: Node[] | null = null;
  constructor(of: Parsed) {
    this.of = of;
    this.nodeType = of.nodeName === "#text" ? 3 : of.nodeName.startsWith("#") ? 8 : 1;
    this.nodeName = of.nodeName.toUpperCase();
    this.nodeValue = of.nodeName === "#text" ? (of.value ?? "") : null;
  }
  get childNodes(): Node[] {
    this.children ??= (this.of.childNodes ?? []).map((n) => new Node(n));
    return this.children;
  }
  getAttribute(name: string): string | null {
    return this.of.attrs?.find((a) => a.name === name)?.value ?? null;
  }
}

/** The nodes of a page. Nothing in it is run or fetched. */
export const pageOf = (html: string): TableNode => new Node(parse(html) as unknown as Parsed);

/**
 * The tables of a page (HTML, WHATWG), those with two rows or more first by their size; none where it has none. A link in a cell
 * comes along in a column of its own.
 */
export function tablesOfHtml(page: TableNode): Sheet[] {
  const sheets: Sheet[] = [];
  for (const [n, table] of tablesIn(page).entries()) {
    const links: string[][] = [];
    const cells = cellsFromHtml(table, (row, column, address) => ((links[row] ??= [])[column] = address));
    if (!cells) continue;
    const rows = denseRows(
      cells.map((r) => r.slice(0, MOST_COLUMNS)),
      links,
    );
    if (rows.length > 0) sheets.push({ name: captionOf(table) || String(n + 1), cells: rows });
  }
  const size = (s: Sheet) => s.cells.length * s.cells[0]!.length;
  return sheets.sort((a, b) => size(b) - size(a));
}

function captionOf(table: TableNode): string {
  const caption = Array.from(table.childNodes).find((n) => n.nodeName === "CAPTION");
  return caption ? textOfHtml(caption).replaceAll(/\s+/g, " ").slice(0, 60) : "";
}

const LINES = new Set(["LI", "P", "DT", "DD", "H1", "H2", "H3", "H4", "PRE", "DIV", "BR", "TR"]);
const UNSEEN = new Set(["SCRIPT", "STYLE", "HEAD", "TEMPLATE", "NOSCRIPT"]);

/** A page without a table, as lines. */
export function linesOfHtml(page: TableNode): string {
  let text = "";
  const stack: (TableNode | null)[] = [page];
  while (stack.length > 0) {
    const node = stack.pop();
    if (!node) {
      text += "\n";
      continue;
    }
    if (UNSEEN.has(node.nodeName)) continue;
    if (node.nodeType === 3) text += (node.nodeValue ?? "").replaceAll(/\s+/g, " ");
    if (LINES.has(node.nodeName)) {
      text += "\n";
      stack.push(null);
    }
    for (let i = node.childNodes.length - 1; i >= 0; i--) stack.push(node.childNodes[i]!);
  }
  return text
    .split("\n")
    .map((l) => l.trim())
    .filter(Boolean)
    .join("\n");
}
