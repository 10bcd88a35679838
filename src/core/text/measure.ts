import { type Face, type Family, partsOf } from "./families";
import { TABLES } from "./font-tables/all-families";
import type { FamilyTable } from "./font-tables/family-table";

export type { Face } from "./families";

/** Characters without a table entry (other scripts, emoji) count this wide: measured over common system fonts. */
const OTHER_WIDTH = 1_060;
/** Code points below this are looked up in an array. */
const LOW = 0x2200;
interface Table {
  low: Float32Array;
  high: Map<number, number>;
}
const tables = new Map<Face, Table>();
/** The face that was asked for last: one text is measured many times. */
let latest: { face: Face; table: Table } | null = null;

/** The widths of a family, where what was loaded does not have them all; null: it has them not either. */
export function tableOfFamily(family: Family): FamilyTable | null {
  return TABLES[family] ?? null;
}

/** Makes a family known whose widths come along with what is drawn. */
export function knowFamily(family: Family, table: FamilyTable): void {
  if (TABLES[family]) return;
  TABLES[family] = table;
  tables.clear();
  latest = null;
}

function tableOf(face: Face): Table {
  if (latest?.face === face) return latest.table;
  let table = tables.get(face);
  if (!table) {
    table = { low: new Float32Array(LOW).fill(OTHER_WIDTH), high: new Map() };
    const { family, weight } = partsOf(face);
    for (const [first, widths] of (TABLES[family] ?? TABLES.hyperlegible!)[weight])
      for (const [i, w] of widths.split(" ").entries())
        if (first + i < LOW) table.low[first + i] = Number(w);
        else table.high.set(first + i, Number(w));
    // Combining marks and joiners add nothing of their own.
    table.low.fill(0, 0x300, 0x370);
    table.low[0x200d] = 0;
    tables.set(face, table);
  }
  latest = { face, table };
  return table;
}

/** The width of one line in px, without kerning: the same in browser, server and command line. */
export function textWidth(text: string, face: Face, sizePx: number): number {
  return (width(text, face) * sizePx) / 1000;
}

/** The same in thousandths of the size. */
function width(text: string, face: Face): number {
  const { low, high } = tableOf(face);
  let sum = 0;
  for (let i = 0; i < text.length; i++) {
    let code = text.charCodeAt(i);
    if (code < LOW) {
      sum += low[code]!;
      continue;
    }
    if (code >= 0xd800 && code < 0xdc00) {
      code = text.codePointAt(i)!;
      if (code > 0xffff) i++;
    }
    if (code >= 0xfe00 && code <= 0xfe0f) continue;
    sum += high.get(code) ?? OTHER_WIDTH;
  }
  return sum;
}

/** The text cut to the width with "…" at its end; unchanged when it fits. */
export function cutToWidth(text: string, face: Face, sizePx: number, mostPx: number): string {
  if (textWidth(text, face, sizePx) <= mostPx) return text;
  const dots = width("…", face);
  let [sum, at, end] = [0, 0, 0];
  for (const c of text) {
    at += c.length;
    sum += width(c, face);
    if (c.trim() === "") continue;
    if (((sum + dots) * sizePx) / 1000 > mostPx) break;
    end = at;
  }
  return `${text.slice(0, end)}…`;
}

/** Lines of at most `mostPx`, broken between words (within one that is wider), the last cut with "…". */
export function wrap(text: string, face: Face, sizePx: number, mostPx: number, mostLines: number): string[] {
  const lines: string[] = [];
  const words = text.split(/\s+/).filter(Boolean);
  const space = width(" ", face);
  let line = "";
  // Widths are whole thousandths and nothing is kerned: what words take together is their sum.
  let taken = 0;
  for (let i = 0; i < words.length; i++) {
    const word = words[i]!;
    const alone = width(word, face);
    const together = line ? taken + space + alone : alone;
    if ((together * sizePx) / 1000 <= mostPx) {
      line = line ? `${line} ${word}` : word;
      taken = together;
      continue;
    }
    if (lines.length === mostLines - 1) {
      const rest = [line, ...words.slice(i)].filter(Boolean).join(" ");
      return [...lines, cutToWidth(rest, face, sizePx, mostPx)];
    }
    if (line) lines.push(line);
    line = word;
    taken = alone;
    while ((taken * sizePx) / 1000 > mostPx && lines.length < mostLines - 1) {
      let n = [...line].length - 1;
      while (n > 1 && textWidth([...line].slice(0, n).join(""), face, sizePx) > mostPx) n--;
      lines.push([...line].slice(0, n).join(""));
      line = [...line].slice(n).join("");
      taken = width(line, face);
    }
  }
  if (line) lines.push(cutToWidth(line, face, sizePx, mostPx));
  return lines;
}
