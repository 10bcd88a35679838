import Papa from "papaparse";
import { cellsFromText } from "../ledger/clipboard";
import { readLine } from "../timeline/read-line";
import { readWhen } from "../time/read/read-when";
import type { ReadOptions } from "../time/read/options";
import { isDated } from "../time/when";
import type { Delimiter } from "./files/found";
import { MOST_SHEET_ROWS } from "./files/limits";

/** Rows of text cells as they were found, before anything is made of them. */
export interface Rows {
  /** How they lay there: with signs between the cells, a table of Markdown, headings with text below, or a list of one event a line. */
  kind: "table" | "markdown" | "headings" | "list";
  /** What stood between the cells of a table. */
  delimiter?: Delimiter;
  cells: string[][];
}

/** One more than there may be, so that it is seen, and said, that there are too many. */
const MOST_READ = MOST_SHEET_ROWS + 1;
/** So many lines tell what a text is. */
const LOOKED_AT = 200;

/**
 * Reads a pasted text or a file's text as rows: a table of Markdown, tab-separated text, a table with commas, semicolons or bars
 * between its cells (RFC 4180), dated headings with text below them, or a list. Rows without a word in them are left out. `said`:
 * what stands between the cells, where somebody says it; "table": a list is not thought of.
 */
export function readRows(text: string, options: ReadOptions = {}, said?: Delimiter | "table"): Rows {
  const plain = text.startsWith("\uFEFF") ? text.slice(1) : text;
  const all = plain.includes("\r") ? plain.replaceAll(/\r\n?/g, "\n") : plain;
  if (said === "list") return { kind: "list", delimiter: said, cells: listRows(all, options) };
  if (said === undefined) {
    const markdown = readMarkdown(all);
    if (markdown) return { kind: "markdown", cells: markdown };
    const headings = readHeadings(all, options);
    if (headings) return { kind: "headings", cells: headings };
  }
  const delimiter = said && said !== "table" ? said : (delimiterOf(all) ?? (said ? "," : null));
  if (!delimiter) return { kind: "list", delimiter: "list", cells: listRows(all, options) };
  if (delimiter === "\t") return { kind: "table", delimiter, cells: full(cellsFromText(all)) };
  const { data } = Papa.parse<string[]>(all, { delimiter, newline: "\n", skipEmptyLines: "greedy" });
  return { kind: "table", delimiter, cells: full(data) };
}

const full = (rows: string[][]) => rows.filter((r) => r.some((c) => c.trim() !== "")).slice(0, MOST_READ);

/** What stands between the cells: that sign with which nearly all lines have the same number of cells, more than one. */
function delimiterOf(text: string): Delimiter | null {
  const lines = text.split("\n", LOOKED_AT).filter((l) => l.trim() !== "");
  if (lines.length > 0 && lines.filter((l) => l.includes("\t")).length * 2 > lines.length) return "\t";
  let best: { delimiter: Delimiter; cells: number } | null = null;
  for (const delimiter of [",", ";", "|"] as const) {
    const { data } = Papa.parse<string[]>(text, {
      delimiter,
      newline: "\n",
      skipEmptyLines: "greedy",
      preview: LOOKED_AT,
    });
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

const HEADING = /^(#{1,6})\s+(.*?)\s*#*$/;

/**
 * Headings that begin with a date, each an event with the text below it up to the next one. Lines like "Source: ..." at its end are
 * cells of their own. Null where fewer than half of the headings of some depth are dated.
 */
function readHeadings(text: string, options: ReadOptions): string[][] | null {
  const lines = text.split("\n");
  const found = lines.flatMap((l, at) => {
    const m = HEADING.exec(l.trim());
    return m ? [{ at, depth: m[1]!.length, words: m[2]! }] : [];
  });
  const depth = [1, 2, 3, 4, 5, 6].find((d) => {
    const of = found.filter((h) => h.depth === d);
    const dated = of.filter((h) => dateAtBegin(h.words, options) !== null);
    return of.length > 0 && dated.length * 2 >= of.length;
  });
  if (depth === undefined) return null;
  // Where the text below each ends: at the next heading that is no deeper.
  const ends = new Map<number, number>();
  let end = lines.length;
  for (const h of [...found].reverse()) {
    ends.set(h.at, end);
    if (h.depth <= depth) end = h.at;
  }
  const rows = found
    .filter((h) => h.depth === depth)
    .slice(0, MOST_READ)
    .map((h) => {
      const next = ends.get(h.at)!;
      const below = lines
        .slice(h.at + 1, next)
        .join("\n")
        .trim();
      const read = dateAtBegin(h.words, options) ?? { date: "", title: h.words };
      const marked = new Map<string, string[]>();
      const text = below.replaceAll(
        /^(?:[-*] )?\*{0,2}(\p{Lu}[\p{Ll} ]{2,15}):\*{0,2} (.+)$/gmu,
        (line, name: string, words: string) => {
          const column = MARKS[name];
          if (!column) return line;
          marked.set(column, [...(marked.get(column) ?? []), words.trim()]);
          return "";
        },
      );
      return [
        read.date,
        read.title,
        text.replaceAll(/\n{3,}/g, "\n\n").trim(),
        ...MARKED.map((m) => marked.get(m)?.join("\n") ?? ""),
      ];
    });
  return [["When", "Title", "Description", ...MARKED], ...rows].slice(0, MOST_READ);
}

/** What a line below a heading may begin with to be a cell of its own. */
const MARKED = ["Category", "Part of", "Place", "Tags", "Source", "Link"] as const;
/** The same as each language writes it into a document (`core/words/take-out`). */
const MARKS: Readonly<Record<string, (typeof MARKED)[number] | undefined>> = {
  ...Object.fromEntries(MARKED.map((m) => [m, m])),
  Kategorie: "Category",
  Categoría: "Category",
  "Teil von": "Part of",
  "Parte de": "Part of",
  Ort: "Place",
  Lugar: "Place",
  Schlagwörter: "Tags",
  Etiquetas: "Tags",
  Quelle: "Source",
  Fuente: "Source",
  Enlace: "Link",
};

/** So many signs in a heading are tried. */
const MOST_SIGNS = 12;

function dateAtBegin(words: string, options: ReadOptions): { date: string; title: string } | null {
  // The longest one that is a date: in "1631 - 1702: Tolls" the first year alone is not.
  for (const m of [...words.matchAll(/\s*(?:: | [-–—|] |, |\. )/g)].slice(0, MOST_SIGNS).reverse()) {
    const date = words.slice(0, m.index).trim();
    const title = words.slice(m.index + m[0].length).trim();
    if (date && title && isDated(readWhen(date, { ...options, sentence: false }))) return { date, title };
  }
  return null;
}

/** One event a line: bullets and numbers of a list fall away; its date, and what is marked in it, go into cells of their own. */
function listRows(text: string, options: ReadOptions): string[][] {
  const lines: { read: ReturnType<typeof readLine>; below: string }[] = [];
  let blank = false;
  for (const raw of text.split("\n")) {
    const line = raw.trim();
    if (line === "") {
      blank = true;
      continue;
    }
    const last = lines.at(-1);
    // What is set in below a line belongs to it; a line of a list in a list is one of its own.
    if (last && /^(?: {4}|\t)/.test(raw) && !BULLET.test(line))
      last.below += `${last.below ? (blank ? "\n\n" : "\n") : ""}${line}`;
    else if (lines.length < MOST_READ) lines.push({ read: readLine(line.replace(BULLET, ""), options), below: "" });
    blank = false;
  }
  const isMarked = lines.some(({ read: l }) => l.category || l.place || l.emphasis || l.tags.length > 0);
  const isDescribed = lines.some((l) => l.below !== "");
  if (!isMarked && !isDescribed) return lines.map(({ read: l }) => [l.when.typed, l.title]);
  return [
    ["When", "Title", "Category", "Place", "Tags", "Important", ...(isDescribed ? ["Description"] : [])],
    ...lines.map(({ read: l, below }) => [
      l.when.typed,
      l.title,
      asCategory(l.category),
      l.place,
      l.tags.join(", "),
      l.emphasis ? "yes" : "",
      ...(isDescribed ? [below] : []),
    ]),
  ];
}

const BULLET = /^(?:[-*•–—◦▪]\s+|\(?\d{1,3}[.)]\s+)/;

/** As the line one writes in makes a category of it. */
const asCategory = (word: string | null) => (word ? word[0]!.toUpperCase() + word.slice(1) : "");
