import Papa from "papaparse";
import { cellsFromText } from "../ledger/clipboard";
import { readLine } from "../timeline/read-line";
import type { ReadOptions } from "../time/read/options";

/** Rows of text cells as they were found, before anything is made of them. */
export interface Rows {
  /** How they lay there: with signs between the cells, a table of Markdown, or a list of one event a line. */
  kind: "table" | "markdown" | "list";
  cells: string[][];
}

/** More rows are not looked at. */
export const MOST_ROWS = 20_000;
/** So much text is read, characters. */
export const MOST_TEXT = 10_000_000;
/** So many lines tell what a text is. */
const LOOKED_AT = 200;

/**
 * Reads a pasted text or a file's text as rows: a table of Markdown, tab-separated text, a table with commas, semicolons or bars
 * between its cells (RFC 4180), or a list. Rows without a word in them are left out.
 */
export function readRows(text: string, options: ReadOptions = {}): Rows {
  const all = text.replace(/^\uFEFF/, "").replaceAll(/\r\n?/g, "\n");
  const lines = all.split("\n", LOOKED_AT).filter((l) => l.trim() !== "");
  const markdown = readMarkdown(all);
  if (markdown) return { kind: "markdown", cells: markdown };
  if (lines.length > 0 && lines.filter((l) => l.includes("\t")).length * 2 > lines.length)
    return { kind: "table", cells: full(cellsFromText(all)) };
  const delimiter = delimiterOf(all);
  if (delimiter) {
    const { data } = Papa.parse<string[]>(all, { delimiter, skipEmptyLines: "greedy" });
    return { kind: "table", cells: full(data) };
  }
  return { kind: "list", cells: listRows(all, options) };
}

const full = (rows: string[][]) => rows.filter((r) => r.some((c) => c.trim() !== "")).slice(0, MOST_ROWS);

/** What stands between the cells: that sign with which nearly all lines have the same number of cells, more than one. */
function delimiterOf(text: string): string | null {
  let best: { delimiter: string; cells: number } | null = null;
  for (const delimiter of [",", ";", "|"]) {
    const { data } = Papa.parse<string[]>(text, { delimiter, skipEmptyLines: "greedy", preview: LOOKED_AT });
    const counts = new Map<number, number>();
    for (const row of data) counts.set(row.length, (counts.get(row.length) ?? 0) + 1);
    const [cells, rows] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [0, 0];
    // In sentences there are commas too, but hardly ever the same number of them.
    const alike = data.length > 1 ? rows / data.length >= 0.8 : data.length === 1 && cells > 2;
    if (cells > 1 && alike && (!best || cells > best.cells)) best = { delimiter, cells };
  }
  return best?.delimiter ?? null;
}

/** A table as Markdown writes it: a row of names, a row of dashes, rows. Null where there is none. */
function readMarkdown(text: string): string[][] | null {
  const lines = text.split("\n").map((l) => l.trim());
  const at = lines.findIndex(
    (l, i) => i > 0 && /^\|?\s*:?-+:?\s*(\|\s*:?-+:?\s*)+\|?$/.test(l) && lines[i - 1]!.includes("|"),
  );
  if (at < 1) return null;
  const rows = [lines[at - 1]!];
  for (let i = at + 1; i < lines.length && lines[i]!.includes("|"); i++) rows.push(lines[i]!);
  const cellsOf = (line: string) =>
    line
      .replace(/^\|/, "")
      .replace(/\|$/, "")
      .split(/(?<!\\)\|/)
      .map((c) => c.trim().replaceAll("\\|", "|"));
  return full(rows.map(cellsOf));
}

/** One event a line: bullets and numbers of a list fall away; its date, and what is marked in it, go into cells of their own. */
function listRows(text: string, options: ReadOptions): string[][] {
  const lines = text
    .split("\n")
    .map((l) => l.trim().replace(/^(?:[-*•–—◦▪]\s+|\(?\d{1,3}[.)]\s+)/, ""))
    .filter((l) => l !== "")
    .slice(0, MOST_ROWS)
    .map((line) => readLine(line, options));
  const isMarked = lines.some((l) => l.category || l.place || l.emphasis || l.tags.length > 0);
  if (!isMarked) return lines.map((l) => [l.when.typed, l.title]);
  return [
    ["When", "Title", "Category", "Place", "Tags", "Important"],
    ...lines.map((l) => [
      l.when.typed,
      l.title,
      asCategory(l.category),
      l.place,
      l.tags.join(", "),
      l.emphasis ? "yes" : "",
    ]),
  ];
}

/** As the line one writes in makes a category of it. */
const asCategory = (word: string | null) => (word ? word[0]!.toUpperCase() + word.slice(1) : "");
