import { WORDS } from "../../words/bring-in";
import type { Found, Sheet } from "./found";
import { MOST_COLUMNS } from "./limits";
import { NotReadable } from "./unpack";

/** Gathers the sheets of a file. */
export class Sheets {
  private readonly sheets: Sheet[] = [];
  private readonly notes: string[] = [];

  /** Adds a sheet as its rows lie, with holes; addresses that stand behind words get a column of their own beside them. */
  add(
    name: string,
    rows: readonly (string[] | undefined)[],
    links: readonly (string[] | undefined)[],
    cut: boolean,
  ): void {
    const cells = denseRows(rows, links);
    if (cells.length === 0) return;
    if (cut) this.notes.push(WORDS.columnsBeyond(name, MOST_COLUMNS));
    this.sheets.push({ name, cells });
  }

  found(): Found {
    if (this.sheets.length === 0) throw new NotReadable(WORDS.nothingInIt);
    return { kind: "rows", sheets: this.sheets, notes: this.notes };
  }
}

/** So many rows without a word are taken for rows somebody left out. */
const MOST_BLANK = 20;

/** Rows without holes, all as long as the longest. A column whose words are links gets another beside it. */
export function denseRows(
  rows: readonly (readonly string[] | undefined)[],
  links: readonly (readonly string[] | undefined)[] = [],
): string[][] {
  let width = 0;
  const used = new Set<number>();
  const linked = new Set<number>();
  for (const [r, row] of rows.entries())
    for (let c = 0; c < (row?.length ?? 0); c++) {
      if (!row![c]?.trim()) continue;
      used.add(c);
      width = Math.max(width, c + 1);
      if (links[r]?.[c]) linked.add(c);
    }
  const columns = [...used].sort((a, b) => a - b);
  const first = rows.findIndex((row) => row?.some((c) => c?.trim()));
  const dense: string[][] = [];
  let blank = 0;
  for (const [r, row] of rows.entries()) {
    if (!row?.some((c) => c?.trim())) {
      blank++;
      continue;
    }
    // Rows without a word between others are counted on the screen; the empty rest of a sheet is not.
    if (dense.length > 0 && blank <= MOST_BLANK)
      for (; blank > 0; blank--) dense.push(columns.flatMap((c) => (linked.has(c) ? ["", ""] : [""])));
    blank = 0;
    dense.push(
      columns.flatMap((c) => {
        const text = row[c] ?? "";
        if (!linked.has(c)) return [text];
        // In the row of names it has its own; elsewhere the words come along, so that a link reads.
        const link = links[r]?.[c];
        return [
          text,
          link ? `${text.replaceAll(/\s+/g, " ").trim()} ${link}`.trim() : r === first ? WORDS.linksOf(text) : "",
        ];
      }),
    );
  }
  return dense;
}
