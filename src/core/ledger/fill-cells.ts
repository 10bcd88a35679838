import { COLUMN_NAMES } from "../words/editor-ledger";
import { Draft } from "../change/apply";
import type { EventField, ItemField, Op, Value } from "../change/change";
import { settingsFor } from "../change/reading-steps";
import { isCited, referenceText, sourceText } from "../sources/cited";
import { sameValue } from "../text/same-value";
import { readWhen } from "../time/read/read-when";
import { endDay, isDated, type Place, startDay, UNDATED, type When } from "../time/when";
import { categoriesOf, type Item, itemsByOwner, nextLook, type Timeline } from "../timeline/timeline";
import { type Sign, SIGNS } from "../timeline/looks";
import { holds, namedWhole, wouldLoop } from "../timeline/parts";
import { between, placeAtEnd } from "../timeline/place";
import { readOptionsFor } from "../timeline/read-options";
import { cellText, lineOf, type RowSources } from "./cell-text";
import type { Cells } from "./clipboard";
import { COUNTED, type LedgerColumn, MOST_CELL } from "./columns";
import { linesOf, readSourceLine, readTags, readYes } from "./read-cell";

/** What came of filling cells, beside the steps: for the sentence that says it. */
export interface Filled {
  ops: Op[];
  /** The rows that were filled, in their order: those that were there, then the new ones. */
  rows: string[];
  added: number;
  /** Dates that are kept as they were typed and not understood. */
  datesNotUnderstood: number;
  /** Cells whose words are no value of their column; they stand in the event's private note. */
  noted: number;
  /** Cells of given events that stay as their teacher set them. */
  given: number;
  /** Cells of columns that are counted from elsewhere. */
  counted: number;
  /** Cells beyond the last column. */
  beyond: number;
}

/** A text that is longer than its column holds: nothing is filled. */
export interface TooLongCell {
  tooLong: { row: number; column: LedgerColumn; length: number; most: number };
}

export interface Filling {
  /** The rows from the active one on, by id. */
  rows: readonly string[];
  columns: readonly LedgerColumn[];
  cells: Cells;
  newId: () => string;
}

/**
 * The steps that fill cells with texts: those of a block go to the given rows and columns, further rows become events. Every text
 * goes through the reader of its column; a text that reads as what is there alters nothing. What is no value of its column is kept
 * in the event's private note. One change, whatever the size. Runs in pieces: each `yield` is a place to let others go on.
 */
export function* fillCells(
  t: Timeline,
  { rows, columns, cells, newId }: Filling,
): Generator<void, Filled | TooLongCell> {
  const writer = new Writer(t, newId);
  const found: Filled = {
    ops: writer.ops,
    rows: [],
    added: 0,
    datesNotUnderstood: 0,
    noted: 0,
    given: 0,
    counted: 0,
    beyond: 0,
  };
  for (const [n, row] of cells.entries()) {
    for (const [k, text] of row.entries()) {
      const most = columns[k] && MOST_CELL[columns[k]];
      if (most !== undefined && text.length > most)
        return { tooLong: { row: n + 1, column: columns[k]!, length: text.length, most } };
    }
  }
  // Dates first: they say where further rows stand.
  for (const [n, row] of cells.entries()) {
    const known = rows[n];
    const id = known ?? writer.addEvent();
    if (!known) found.added++;
    found.rows.push(id);
    found.beyond += Math.max(0, row.length - columns.length);
    for (const [k, column] of columns.entries()) {
      const text = row[k];
      if (text === undefined) continue;
      const came = writer.put(id, column, text);
      if (came === "not_understood") found.datesNotUnderstood++;
      else if (came !== "done") found[came]++;
    }
    if (!known) writer.standsAfter(id);
    if (n % 25 === 24) yield;
  }
  found.noted += yield* writer.finish();
  found.ops = writer.ops;
  return found;
}

type Came = "done" | "not_understood" | "noted" | "given" | "counted";

/** Gathers the steps of one change while it keeps the timeline as it stands after them. */
class Writer {
  ops: Op[] = [];
  private readonly draft: Draft;
  private readonly newId: () => string;
  private readonly options: ReturnType<typeof readOptionsFor>;
  private readonly before: RowSources;
  private byTitle: Map<string, string[]> | null = null;
  private categories: Map<string, string> | null = null;
  private byLine: Map<string, string> | null = null;
  private readonly whens: When[] = [];
  private readonly settled: Pick<Timeline, "timesOn" | "dateStyle">;
  /** New events by id: where their step stands, so that their fields go into it. */
  private readonly fresh = new Map<string, Extract<Op, { kind: "add_event" }>>();
  /** Where the next new event without a date stands. */
  private place: Place | null = null;
  /** What is part of what, once all titles are there. */
  private readonly parts: { id: string; title: string }[] = [];
  private readonly notes = new Map<string, string[]>();

  constructor(t: Timeline, newId: () => string) {
    this.draft = new Draft(t);
    this.newId = newId;
    this.options = { ...readOptionsFor(t), sentence: false };
    this.before = { timeline: t, items: itemsByOwner(t), words: () => 0 };
    this.settled = t;
  }

  private get now(): Timeline {
    return this.draft.timeline;
  }

  private step(op: Op): void {
    this.ops.push(op);
    this.draft.step(op);
  }

  addEvent(): string {
    const id = this.newId();
    const op: Extract<Op, { kind: "add_event" }> = { kind: "add_event", id, fields: { when: UNDATED } };
    this.fresh.set(id, op);
    this.step(op);
    return id;
  }

  private set(id: string, field: EventField, value: Value): void {
    const fresh = this.fresh.get(id);
    if (fresh) {
      Object.assign(fresh.fields, { [field]: value });
      this.draft.step({ kind: "set_event", id, field, value });
    } else if (!sameValue(this.now.events.get(id)?.[field], value)) this.step({ kind: "set_event", id, field, value });
  }

  put(id: string, column: LedgerColumn, given: string): Came {
    const event = this.now.events.get(id);
    if (!event) return "done";
    if (!this.fresh.has(id) && given === cellText(this.before, event, column)) return "done";
    const text = column === "note" ? given : given.trim();
    if (COUNTED.has(column)) return text === "" || text === "0" ? "done" : "counted";
    // Of a chapter only its title and what editors say of it are written in the ledger.
    if (event.chapter && column !== "title" && column !== "note") return text === "" ? "done" : "counted";
    if (event.locked && (column === "title" || column === "when")) {
      const same = text === (column === "title" ? event.title : event.when.typed);
      return same ? "done" : "given";
    }
    switch (column) {
      case "title":
      case "shortTitle":
      case "place":
        this.set(id, column, text.replaceAll(/\s*\n\s*/g, " "));
        return "done";
      case "note":
        this.set(id, "note", text);
        return "done";
      case "when":
        return this.putWhen(id, text);
      case "category":
        this.set(id, "category", text === "" ? null : this.categoryOf(text));
        return "done";
      case "partOf":
        if (text === "") this.set(id, "partOf", null);
        else this.parts.push({ id, title: text });
        return "done";
      case "tags": {
        const { tags, rest } = readTags(text);
        this.set(id, "tags", tags);
        return rest ? this.note(id, column, rest) : "done";
      }
      case "source":
        this.putSources(id, given);
        return "done";
      case "link":
        this.putLinks(id, given);
        return "done";
      case "emphasis": {
        const yes = readYes(text);
        if (yes === null) return this.note(id, column, text);
        this.set(id, "emphasis", yes);
        return "done";
      }
      case "sign": {
        const sign = text.toLowerCase();
        if (sign !== "" && !(SIGNS as readonly string[]).includes(sign)) return this.note(id, column, text);
        this.set(id, "sign", sign as Sign);
        return "done";
      }
      case "done": {
        if (text === "") {
          this.set(id, "done", null);
          return "done";
        }
        const n = /^(\d{1,3})\s*%?$/.exec(text);
        if (!n || Number(n[1]) > 100) return this.note(id, column, text);
        this.set(id, "done", Number(n[1]));
        return "done";
      }
      default:
        return "counted";
    }
  }

  private putWhen(id: string, text: string): Came {
    const old = this.now.events.get(id)!.when;
    if (text === old.typed) return old.readAs.kind === "not_understood" && text !== "" ? "not_understood" : "done";
    const read = readWhen(text, this.options);
    this.whens.push(read);
    this.set(id, "when", old.place && !isDated(read) ? { ...read, place: old.place } : read);
    return read.readAs.kind === "not_understood" ? "not_understood" : "done";
  }

  /** A new event without a date stands after the one before it among the new ones; with one, the next stands after it. */
  standsAfter(id: string): void {
    const { when } = this.now.events.get(id)!;
    if (isDated(when)) {
      this.place = { after: id, key: "" };
      return;
    }
    const last = this.place;
    const place = last
      ? { after: last.after, key: last.key === "" ? between(null, null) : between(last.key, null) }
      : placeAtEnd(new Map([...this.now.events].filter(([k]) => !this.fresh.has(k))));
    this.place = place;
    this.set(id, "when", { ...when, place });
  }

  private categoryOf(name: string): string {
    this.categories ??= new Map(categoriesOf(this.now).map((c) => [c.name.trim().toLowerCase(), c.id]));
    const known = this.categories.get(name.toLowerCase());
    if (known) return known;
    const id = this.newId();
    const used = categoriesOf(this.now);
    const place = between(used.at(-1)?.place ?? null, null);
    this.step({ kind: "add_category", id, fields: { name, ...nextLook(used), place } });
    this.categories.set(name.toLowerCase(), id);
    return id;
  }

  private putLinks(id: string, text: string): void {
    const lines = linesOf(text).map(readSourceLine);
    const known = this.fresh.has(id) ? [] : this.before.items(id, "link");
    const place = this.placesAfter(known);
    for (const [n, line] of lines.entries()) {
      const item = known[n];
      if (!item) {
        this.step({ kind: "add_item", id: this.newId(), fields: { of: id, list: "link", place: place(), ...line } });
        continue;
      }
      for (const field of ["text", "address"] as const)
        if (lineOf(item) !== lineOf(line) && item[field] !== line[field])
          this.step({ kind: "set_item", id: item.id, field, value: line[field] });
    }
    for (const item of known.slice(lines.length)) this.step({ kind: "delete_item", id: item.id });
  }

  /**
   * Entries whose line is still there stay as they are, with all they have. A line that is a source of the timeline names it; where a
   * line has become another one, the entry that stood there says it instead.
   */
  private putSources(id: string, text: string): void {
    const { sources } = this.before.timeline;
    const known = (this.fresh.has(id) ? [] : this.before.items(id, "source")).filter((i) => isCited(sources, i));
    const left = new Map<string, Item[]>();
    for (const item of known) {
      const line = referenceText(sources, item);
      left.set(line, [...(left.get(line) ?? []), item]);
    }
    const stays = linesOf(text).map((line) => ({ line, item: left.get(line)?.shift() }));
    const gone = [...left.values()].flat();
    let last: string | null = null;
    for (const { line, item: same } of stays) {
      const item = same ?? gone.shift();
      const named = same ? null : this.sourceOfLine(line);
      const { text: words, address } = named ? { text: "", address: "" } : readSourceLine(line);
      const fields = { source: named?.id ?? null, page: named?.page ?? "", text: words, address };
      const place: string = item && (last === null || item.place > last) ? item.place : between(last, null);
      last = place;
      if (!item) {
        this.step({ kind: "add_item", id: this.newId(), fields: { of: id, list: "source", place, ...fields } });
        continue;
      }
      const set: Partial<Item> = same ? { place } : { place, ...fields };
      for (const [field, value] of Object.entries(set))
        if (item[field as ItemField] !== value)
          this.step({ kind: "set_item", id: item.id, field: field as ItemField, value: value as Value });
    }
    for (const item of gone) this.step({ kind: "delete_item", id: item.id });
  }

  /** The source that a line is, and the page behind it; of sources that are a line the line alone. */
  private sourceOfLine(line: string): { id: string; page: string } | null {
    this.byLine ??= new Map(
      [...this.before.timeline.sources.values()].filter((s) => !s.deleted).map((s) => [sourceText(s), s.id]),
    );
    const whole = this.byLine.get(line);
    if (whole) return { id: whole, page: "" };
    const at = line.lastIndexOf(", ");
    const id = at < 0 ? undefined : this.byLine.get(line.slice(0, at));
    return id ? { id, page: line.slice(at + 2).replace(/^pp?\. /, "") } : null;
  }

  /** Places for new entries after those that are there, one after the other. */
  private placesAfter(known: readonly Item[]): () => string {
    let last = known.at(-1)?.place ?? null;
    return () => (last = between(last, null));
  }

  private note(id: string, column: LedgerColumn, text: string): "noted" {
    this.notes.set(id, [...(this.notes.get(id) ?? []), `${COLUMN_NAMES[column] ?? column}: ${text}`]);
    return "noted";
  }

  /** What needs all rows: what is part of what, settings that first dates decide, and words for notes. Gives how many were noted. */
  *finish(): Generator<void, number> {
    let noted = 0;
    for (const { id, title } of this.parts) {
      const whole = this.wholeOf(id, title);
      if (whole) this.set(id, "partOf", whole);
      else {
        this.note(id, "partOf", title);
        noted++;
      }
    }
    yield* this.keepOrder();
    for (const [id, lines] of this.notes) {
      const { note } = this.now.events.get(id)!;
      const added = lines.filter((l) => !note.includes(l)).join("\n");
      if (added) this.set(id, "note", `${note}${note ? "\n" : ""}${added}`);
    }
    this.ops = [...settingsFor(this.settled, this.whens), ...this.ops];
    return noted;
  }

  /** New events that begin and end together stay in the order of their rows. */
  private *keepOrder(): Generator<void, void> {
    const together = new Map<string, string[]>();
    for (const id of this.fresh.keys()) {
      const { when } = this.now.events.get(id)!;
      const start = startDay(when);
      if (start === null) continue;
      const key = `${start} ${endDay(when)}`;
      const list = together.get(key);
      if (list) list.push(id);
      else together.set(key, [id]);
    }
    yield;
    let n = 0;
    for (const list of together.values()) {
      let last: string | null = null;
      for (const id of list.length > 1 ? list : []) this.set(id, "byHand", (last = between(last, null)));
      if (n++ % 25 === 24) yield;
    }
  }

  /** Of several events of a title the one that holds it. */
  private wholeOf(id: string, title: string): string | null {
    const event = this.now.events.get(id)!;
    const now = this.now.events.get(namedWhole(event) ?? "");
    if (now && !now.deleted && now.title === title) return now.id;
    if (!this.byTitle) {
      this.byTitle = new Map();
      for (const e of this.now.events.values()) {
        if (e.deleted || !e.title) continue;
        const key = e.title.toLowerCase();
        const list = this.byTitle.get(key);
        if (list) list.push(e.id);
        else this.byTitle.set(key, [e.id]);
      }
    }
    const fit = (this.byTitle.get(title.toLowerCase()) ?? []).filter(
      (w) => w !== id && !wouldLoop(this.now.events, id, w),
    );
    return fit.find((w) => holds(this.now.events.get(w)!, event)) ?? fit[0] ?? null;
  }
}
