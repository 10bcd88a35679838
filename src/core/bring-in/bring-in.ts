import { apply } from "../change/apply";
import type { Op } from "../change/change";
import { setReading } from "../change/reading-steps";
import { toBase64 } from "../text/base64";
import { sameValue } from "../text/same-value";
import { blocksOf, plainTextOf } from "../text/description";
import { descriptionFrom, moreParagraphs } from "../text/write-description";
import { rewriteDescription } from "../text/replace-words";
import { type Filled, fillCells, type TooLongCell } from "../ledger/fill-cells";
import { cellText, type RowSources } from "../ledger/cell-text";
import { COUNTED, LEDGER_COLUMNS, type LedgerColumn } from "../ledger/columns";
import { itemsByOwner, type Timeline, type TimelineEvent } from "../timeline/timeline";
import { between } from "../timeline/place";
import type { Use } from "./guess-uses";
import { dateKey } from "./match-rows";
import type { BroughtPicture, BroughtRow } from "./put-together";

const COLUMNS = LEDGER_COLUMNS.filter((c) => !COUNTED.has(c));
/** So many rows are made between two places where others can go on. */
const PIECE = 25;

/** How a table is brought in. */
export interface BringInWish {
  newId: () => string;
  /** Who writes descriptions, as their documents count. */
  client: number;
  /** Which number is the day, where that was said for the first time. */
  order?: "dmy" | "mdy" | null;
  /** Rows that are events already, by number; `columns`: what the table says of them, the rest stays. */
  again?: { events: ReadonlyMap<number, string>; uses: ReadonlySet<Use> };
  /** Events that are taken away. */
  remove?: readonly string[];
  /** The row that becomes the opening page. */
  opening?: number | null;
  /** What became of pictures that were fetched, by address: the fields of their entry. One that is missing is kept as a link. */
  fetched?: ReadonlyMap<string, FetchedPicture>;
}

/** A picture as it was stored: fields of its entry. */
export interface FetchedPicture {
  media: string;
  width: number | null;
  height: number | null;
  address: string;
  foundOn: string;
}

export interface BroughtIn extends Filled {
  /** Rows that were events and are otherwise now. */
  changed: number;
  removed: number;
}

/**
 * The steps that bring rows in as events, as one change: every value through the reader of its column, as if it were typed. Rows
 * that are events already alter those, in what the table says. Yields now and then, so that a page can be drawn meanwhile.
 */
export function* bringIn(
  t: Timeline,
  given: readonly BroughtRow[],
  { newId, client, order = null, again, remove = [], opening = null, fetched = new Map() }: BringInWish,
): Generator<void, BroughtIn | TooLongCell> {
  const into = order && order !== t.dateOrder ? { ...t, dateOrder: order } : t;
  const rows = given.filter((r) => r.number !== opening);
  // An event that somebody has deleted meanwhile is none any more: its row is a new one.
  const isThere = (r: BroughtRow) => t.events.get(again?.events.get(r.number) ?? "")?.deleted === false;
  const known = rows.filter(isThere);
  const fresh = rows.filter((r) => !isThere(r));
  const textOf = (r: BroughtRow, c: LedgerColumn) => (c === "when" ? r.typed : (r.cells[c] ?? ""));
  const said = again ? columnsOf(again.uses) : COLUMNS;
  const items = itemsByOwner(t);
  const from: RowSources = { timeline: t, items, words: () => 0 };
  const first = yield* fillCells(into, {
    rows: known.map((r) => again!.events.get(r.number)!),
    columns: said,
    cells: known.map((r) => said.map((c) => textAgain(from, again!.events.get(r.number)!, r, c, textOf(r, c)))),
    newId,
  });
  if ("tooLong" in first) return { tooLong: { ...first.tooLong, row: known[first.tooLong.row - 1]!.number } };
  const changedEvents = new Set(first.ops.flatMap((op) => eventOf(t, op) ?? []));
  // Categories and settings that the first rows have made are there for the others.
  const filled = yield* fillCells(first.ops.length > 0 ? apply(into, first.ops).timeline : into, {
    rows: [],
    columns: COLUMNS,
    cells: fresh.map((r) => COLUMNS.map((c) => textOf(r, c))),
    newId,
  });
  if ("tooLong" in filled) return { tooLong: { ...filled.tooLong, row: fresh[filled.tooLong.row - 1]!.number } };
  const ops: Op[] = [];
  // Said for the first time it holds for the whole timeline; where that reads its dates otherwise, it goes on to.
  if (into !== t && t.dateOrder === null) ops.push(...setReading(t, { dateOrder: order }));
  ops.push(...first.ops, ...filled.ops);
  const idOf = new Map<number, string>([
    ...known.map((r) => [r.number, again!.events.get(r.number)!] as const),
    ...fresh.map((r, n) => [r.number, filled.rows[n]!] as const),
  ]);
  const added = new Map(filled.ops.flatMap((op) => (op.kind === "add_event" ? [[op.id, op] as const] : [])));
  const wholes = new Map(rows.flatMap((r) => (r.partOfRow ? [[r.number, r.partOfRow] as const] : [])));
  for (const [n, r] of [...known, ...fresh].entries()) {
    if (n % PIECE === PIECE - 1) yield;
    const id = idOf.get(r.number)!;
    const add = added.get(id);
    const event = t.events.get(id);
    const whole = r.partOfRow && !goesRound(wholes, r.number) ? (idOf.get(r.partOfRow) ?? null) : null;
    if (add) {
      if (r.origin) add.fields.origin = r.origin;
      if (whole) add.fields.partOf = whole;
      if (r.point) add.fields.point = r.point;
    } else if (event && !event.locked) {
      if (r.origin && event.origin !== r.origin && event.id !== r.origin)
        ops.push({ kind: "set_event", id, field: "origin", value: r.origin });
      if (whole && event.partOf !== whole) {
        ops.push({ kind: "set_event", id, field: "partOf", value: whole });
        changedEvents.add(id);
      }
      if (r.point && !sameValue(event.point, r.point)) {
        ops.push({ kind: "set_event", id, field: "point", value: r.point });
        changedEvents.add(id);
      }
    }
    const update = described(r, event?.description ?? null, client, isSameBy(event, r), again?.uses);
    if (update) {
      ops.push({ kind: "describe", of: id, update });
      if (!add) changedEvents.add(id);
    }
    let last = items(id, "media").at(-1)?.place ?? null;
    const there = new Set(items(id, "media").map((i) => i.address));
    for (const p of r.pictures) {
      if (there.has(p.address)) continue;
      const entry = pictureEntry(p, fetched.get(p.address));
      if (entry.list === "link" && items(id, "link").some((i) => i.address === p.address)) continue;
      last = between(last, null);
      ops.push({ kind: "add_item", id: newId(), fields: { of: id, place: last, ...entry } });
      if (!add) changedEvents.add(id);
    }
  }
  for (const id of remove) ops.push({ kind: "delete_event", id });
  const page = given.find((r) => r.number === opening);
  if (page) ops.push(...openingSteps(t, page, client));
  return {
    ...filled,
    ops,
    rows: rows.map((r) => idOf.get(r.number)!),
    datesNotUnderstood: first.datesNotUnderstood + filled.datesNotUnderstood,
    noted: first.noted + filled.noted,
    given: first.given + filled.given,
    changed: changedEvents.size,
    removed: remove.length,
  };
}

/** Whether a row is an event by its number or name, and not only by a title and a date. */
const isSameBy = (e: TimelineEvent | undefined, r: BroughtRow) =>
  e !== undefined && r.origin !== "" && (e.origin === r.origin || e.id === r.origin);

/**
 * What a row says of an event that is there: a date that means the same in other words stays as it was typed, and where the row is only
 * taken for the event, an empty cell takes nothing away.
 */
function textAgain(from: RowSources, event: string, r: BroughtRow, column: LedgerColumn, text: string): string {
  const e = from.timeline.events.get(event);
  if (!e) return text;
  if (column === "when" && dateKey(e.when) === dateKey(r.when)) return e.when.typed || text;
  return text === "" && !isSameBy(e, r) ? cellText(from, e, column) : text;
}

/** The event that a step alters, where it is one that was there. */
function eventOf(t: Timeline, op: Op): string | null {
  if (op.kind === "set_event") return op.id;
  if (op.kind === "add_item") return typeof op.fields.of === "string" ? op.fields.of : null;
  return op.kind === "set_item" || op.kind === "delete_item" ? (t.items.get(op.id)?.of ?? null) : null;
}

/** The columns of the ledger that a table speaks of. */
function columnsOf(uses: ReadonlySet<Use>): LedgerColumn[] {
  const dates: Use[] = ["when", "start", "end", "year", "month", "day", "time", "duration"];
  const places: Use[] = ["place", "at", "latitude", "longitude"];
  return COLUMNS.filter((c) =>
    c === "when"
      ? dates.some((u) => uses.has(u))
      : c === "place"
        ? places.some((u) => uses.has(u))
        : uses.has(c as Use),
  );
}

/**
 * The update that makes a description what a row says; null where it says that already, or the table says nothing of it. Words of
 * columns we have no place for are put behind a text that is there. `isKnown`: the row is this event by its number or name, so that what
 * is empty in it is meant to be.
 */
function described(
  r: BroughtRow,
  now: Uint8Array | null,
  client: number,
  isKnown: boolean,
  uses?: ReadonlySet<Use>,
): string | null {
  if (now === null || now.length === 0)
    return r.description.length > 0 ? toBase64(descriptionFrom(r.description, client)) : null;
  const words = (text: string) => text.replaceAll(/\s+/g, " ").trim();
  const there = words(plainTextOf(blocksOf(now)));
  const own = r.description.length - r.more;
  if (uses?.has("description") && (own > 0 || isKnown)) {
    if (there === words(r.description.join("\n"))) return null;
    return rewriteDescription(now, descriptionFrom(r.description, client));
  }
  const more = r.description.slice(own).filter((p) => !there.includes(words(p)));
  return more.length > 0 ? toBase64(moreParagraphs(now, more, client)) : null;
}

function pictureEntry(p: BroughtPicture, got: FetchedPicture | undefined) {
  const { caption, credit, licence } = p;
  if (!got) return { list: "link" as const, text: caption, address: p.address };
  return { list: "media" as const, kind: "picture" as const, caption, credit, licence, ...got };
}

function openingSteps(t: Timeline, page: BroughtRow, client: number): Op[] {
  const title = page.cells.title ?? "";
  const ops: Op[] = [];
  if (title && !t.title) ops.push({ kind: "set_timeline", field: "title", value: title });
  const text = title && t.title && title !== t.title ? [title, ...page.description] : page.description;
  if (text.length === 0) return ops;
  ops.push({ kind: "describe", of: "introduction", update: toBase64(moreParagraphs(t.introduction, text, client)) });
  return ops;
}

/** Whether what a row is part of comes back to it. */
function goesRound(wholes: ReadonlyMap<number, number>, number: number): boolean {
  const seen = new Set<number>();
  for (let at = wholes.get(number); at !== undefined && !seen.has(at); at = wholes.get(at)) {
    if (at === number) return true;
    seen.add(at);
  }
  return false;
}
