import { WORDS as COMMON } from "../words/common";
import type { ReadOptions } from "../time/read/options";
import { WORDS } from "../words/sources";
import type { SourceValues } from "./cited";
import { type CitationFiles, citationFiles } from "./processor";
import { fromCsl } from "./csl-json";

export type SourceFormat = "bibtex" | "ris" | "csl-json";

export interface ReadSources {
  /** What was recognised; null where it is none of the three. */
  format: SourceFormat | null;
  sources: SourceValues[];
  /** A sentence for each entry that could not be read, or that was too long to be kept whole. */
  problems: string[];
}

/** So many entries are read at once, and so many sentences said. */
const MOST_ENTRIES = 5_000;
const MOST_PROBLEMS = 50;

/**
 * Reads sources as other programs write them: BibTeX, RIS or CSL-JSON, told apart by how they begin. Each entry is read alone, so that
 * a broken one takes no other with it. Never throws and asks nobody for anything: the entries' addresses and numbers are not looked up.
 */
export async function readSources(text: string, options: ReadOptions = {}): Promise<ReadSources> {
  const given = text.replace(/^\uFEFF/, "");
  const format = formatOf(given);
  const found: ReadSources = { format, sources: [], problems: [] };
  const say = (sentence: string) => {
    if (found.problems.length < MOST_PROBLEMS) found.problems.push(sentence);
  };
  if (format === null) return found;
  const plugins = await citationFiles();
  for (const piece of format === "csl-json"
    ? jsonPieces(given, say)
    : format === "ris"
      ? risPieces(given)
      : bibtexPieces(given)) {
    if (found.sources.length >= MOST_ENTRIES) {
      say(WORDS.moreThanRead(MOST_ENTRIES));
      break;
    }
    if (piece.broken) {
      say(piece.broken);
      continue;
    }
    for (const entry of entriesOf(plugins, format, piece, say)) {
      const read = fromCsl(entry, options);
      if (!read || !isSomething(read.source)) say(WORDS.entryEmpty(piece.name, piece.line));
      else {
        found.sources.push(read.source);
        if (read.cut.length > 0) say(WORDS.entryCut(piece.name, read.cut));
      }
    }
  }
  return found;
}

function formatOf(text: string): SourceFormat | null {
  const start = text.trimStart();
  if (/^[[{]\s*[\]{"}]/.test(start)) return "csl-json";
  if (/^TY {2}- /m.test(start)) return "ris";
  return /@\s*[a-z]+\s*[{(]/i.test(start) ? "bibtex" : null;
}

interface Piece {
  /** What it is called in a sentence. */
  name: string;
  line: number;
  content: unknown;
  /** Why it cannot be read. */
  broken?: string;
}

const TYPE = { bibtex: "@biblatex/text", ris: "@ris/file" } as const;

function entriesOf(
  plugins: CitationFiles,
  format: SourceFormat,
  piece: Piece,
  say: (sentence: string) => void,
): unknown[] {
  if (format === "csl-json") return [piece.content];
  try {
    return plugins.input.chain(piece.content, { forceType: TYPE[format], generateGraph: false });
  } catch {
    say(WORDS.entryBroken(piece.name, piece.line));
    return [];
  }
}

function isSomething(s: SourceValues): boolean {
  return s.title !== "" || s.authors.length > 0 || s.address !== "" || s.within !== "";
}

function jsonPieces(text: string, say: (sentence: string) => void): Piece[] {
  try {
    const value: unknown = JSON.parse(text);
    const list = Array.isArray(value) ? value : [value];
    return list.map((content, i) => ({ name: idOf(content) ?? WORDS.entryNumber(i + 1), line: 0, content }));
  } catch (error) {
    say(WORDS.notJson((error as Error).message));
    return [];
  }
}

function idOf(value: unknown): string | null {
  const id = (value as { id?: unknown } | null)?.id;
  return typeof id === "string" || typeof id === "number" ? COMMON.named(String(id).slice(0, 60)) : null;
}

/** The records of a RIS file, each from its TY to its ER; one without an ER ends where the next begins. */
function risPieces(text: string): Piece[] {
  const pieces: Piece[] = [];
  let lines: string[] = [];
  let begun = 0;
  const end = () => {
    if (lines.length > 0)
      pieces.push({
        name: WORDS.entryNumber(pieces.length + 1),
        line: begun,
        content: [...lines, "ER  - ", ""].join("\n"),
      });
    lines = [];
  };
  for (const [n, raw] of text.split(/\r\n?|\n/).entries()) {
    const line = raw.replace(/^([A-Z][A-Z0-9]) {1,2}-\s?/, "$1  - ");
    if (line.startsWith("TY  - ")) {
      end();
      begun = n + 1;
    }
    if (line.startsWith("ER  - ") || /^ER {2}-\s*$/.test(line)) end();
    else if (begun > 0 && (lines.length > 0 || line.startsWith("TY  - ")) && line.trim()) lines.push(line);
  }
  end();
  return pieces;
}

/** The entries of a BibTeX file with its strings before each; braces that do not close end where the next entry begins. */
function bibtexPieces(text: string): Piece[] {
  const starts = [...text.matchAll(/^[ \t]*@\s*([a-z]+)\s*[{(]/gim)];
  const pieces: Piece[] = [];
  let strings = "";
  for (const [n, start] of starts.entries()) {
    const body = text.slice(start.index, starts[n + 1]?.index ?? text.length).trim();
    const type = start[1]!.toLowerCase();
    const line = text.slice(0, start.index).split("\n").length + (/^\n/.test(start[0]) ? 1 : 0);
    const name = COMMON.named(/[{(]\s*([^\s,{}]*)/.exec(body)?.[1]?.slice(0, 60) || type);
    const closed = closedPart(body);
    if (type === "comment" || type === "preamble") continue;
    if (closed === null) pieces.push({ name, line, content: "", broken: WORDS.bracesOpen(name, line) });
    else if (type === "string") strings += `${closed}\n`;
    else pieces.push({ name, line, content: strings + closed });
  }
  return pieces;
}

/** An entry up to the brace that closes it; null where none does. */
function closedPart(body: string): string | null {
  const open = body.search(/[{(]/);
  const round = body[open] === "(";
  let depth = 0;
  for (let i = open; i < body.length; i++) {
    const c = body[i];
    if (c === "\\") i++;
    else if (c === "{" || (round && i === open)) depth++;
    else if (c === "}" || (round && c === ")" && depth === 1)) {
      depth--;
      if (depth === 0) return body.slice(0, i + 1);
    }
  }
  return null;
}
