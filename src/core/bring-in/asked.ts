import type { ReadOptions } from "../time/read/options";
import type { ReadFileOptions, Found } from "./files/found";
import { readFile, readText } from "./files/read-file";
import { NotReadable } from "./files/unpack";
import { WORDS } from "../words/bring-in";
import { type Looked, type LookWish, lookAtRows, type Refused } from "./look-at-rows";
import type { KnownEvent } from "./match-rows";
import type { BroughtRow } from "./put-together";

/** What is brought in: a file's bytes, or a text that was pasted; `html`: as a page's. */
export type Source = { name: string; bytes: Uint8Array } | { text: string; html?: boolean };

export type Asked =
  | { kind: "read"; source: Source; options: ReadFileOptions; dates: ReadOptions }
  | { kind: "look"; sheet: number; dates: ReadOptions; events: readonly KnownEvent[] | null; wish: LookWish }
  | { kind: "rows"; from: number; to: number };

/** A row as the screen shows it: beside the event it would be, its cells. */
export interface ShownRow {
  row: BroughtRow;
  cells: readonly string[];
  event: string | null;
}

/** What was found in a file, without its rows. */
export type ReadAnswer =
  | { problem: string }
  | (Omit<Extract<Found, { kind: "rows" }>, "sheets"> & { sheets: { name: string; rows: number }[] })
  | Extract<Found, { kind: "timeline" }>;

export interface LookAnswer extends Omit<Looked, "table" | "refused"> {
  counts: Looked["table"]["counts"];
  names: readonly string[];
  /** Those that want mending first. */
  shown: ShownRow[];
  more: number;
  refused: Refused[];
  /** The numbers of rows without a date. */
  pictures: number;
}

export interface Answers {
  read: ReadAnswer;
  look: LookAnswer;
  rows: BroughtRow[];
}

/** So many rows are shown. */
const SHOWN = 150;
const REFUSED_SHOWN = 1_000;

/** Reads what is brought in and keeps it, so that only what is seen goes to the screen: what a worker does. */
export class BringInDesk {
  private found: Found | null = null;
  private looked: Looked | null = null;
  private events: readonly KnownEvent[] = [];

  async answer(asked: Asked): Promise<Answers[keyof Answers]> {
    switch (asked.kind) {
      case "read":
        return this.read(asked);
      case "look":
        return this.look(asked);
      case "rows":
        return (this.looked?.table.rows ?? []).slice(asked.from, asked.to);
    }
  }

  private async read({ source, options, dates }: Extract<Asked, { kind: "read" }>): Promise<ReadAnswer> {
    try {
      // Of what was brought in before nothing is looked at any more, whatever becomes of this.
      this.found = this.looked = null;
      this.found =
        "bytes" in source
          ? await readFile(source.name, source.bytes, { ...options, dates })
          : readText(source.html ? "html" : "text", source.text, { ...options, dates });
    } catch (e) {
      if (e instanceof NotReadable) return { problem: e.message };
      throw e;
    }
    if (this.found.kind === "timeline") return this.found;
    const { sheets, ...rest } = this.found;
    return { ...rest, sheets: sheets.map((s) => ({ name: s.name, rows: s.cells.length })) };
  }

  private look({ sheet, dates, events, wish }: Extract<Asked, { kind: "look" }>): LookAnswer {
    if (events) this.events = events;
    const of = this.found?.kind === "rows" ? this.found.sheets[sheet] : undefined;
    if (!of) throw new Error(WORDS.nothingInIt);
    const known = of.uses && wish.uses === undefined ? { ...wish, uses: of.uses, named: true } : wish;
    this.looked = lookAtRows(of.cells, dates, this.events, known);
    const { table, refused, ...rest } = this.looked;
    const isWrong = (r: BroughtRow) => r.when.readAs.kind === "not_understood";
    const rows = [...table.rows.filter(isWrong), ...table.rows.filter((r) => !isWrong(r))].slice(0, SHOWN);
    const from = rest.named ? 1 : 0;
    return {
      ...rest,
      counts: table.counts,
      names: (rest.named ? of.cells[0]! : []).map((n) => n.slice(0, 80)),
      shown: rows.map((row) => ({
        row,
        cells: (of.cells[row.number - 1 + from] ?? []).map((c) => c.slice(0, 200)),
        event: rest.matched.events.get(row.number) ?? null,
      })),
      more: table.rows.length - rows.length,
      refused: refused.slice(0, REFUSED_SHOWN),
      pictures: table.rows.reduce((n, r) => n + r.pictures.length, 0),
    };
  }
}
