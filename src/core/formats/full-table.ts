import { canonicalJson } from "../text/canonical-json";
import { type Block, plainTextOf } from "../text/description";
import { referencesText } from "../sources/cited";
import { lineOf, mediaText } from "../ledger/cell-text";
import { civilFrom } from "../time/calendar";
import { whenLabel } from "../time/write-when";
import type { When } from "../time/when";
import { CATEGORY, EVENT, emptyOf, ITEM, SOURCE, TIMELINE } from "../timeline/fields";
import { mannerOf } from "../timeline/read-options";
import type { Frozen, FrozenEvent } from "./frozen";

/** The columns of a table with everything, in their order. Those from "Id" on are for bringing it in again. */
export const FULL_COLUMNS = [
  "When",
  "Title",
  "Short title",
  "Category",
  "Part of",
  "Place",
  "Tags",
  "Description",
  "Source",
  "Link",
  "Picture",
  "Credit",
  "Important",
  "Sign",
  "Percent done",
  "Private note",
  "Media",
  "Id",
] as const;
export type FullColumn = (typeof FULL_COLUMNS)[number];
/** The column, or the sheet, that holds as JSON what no other column says. */
export const FIELDS = "Fields";
/** The row that stands for the timeline itself, by its id. */
export const TIMELINE_ROW = "timeline";

/** A table of the events of a timeline. */
export interface FullTable {
  rows: { id: string; cells: Record<FullColumn, string>; when: When | null; fields: string }[];
}

type Items = readonly Frozen["items"][number][];
/** What the cells of an event are written from, beside itself. */
export interface CellSources {
  frozen: Pick<Frozen, "categories" | "dateStyle" | "timesOn">;
  sources: ReadonlyMap<string, NonNullable<Frozen["sources"]>[number]>;
  titleOf: (event: string | null) => string;
}

export function cellSources(f: Frozen): CellSources {
  const titles = new Map(f.events.map((e) => [e.id, e.title]));
  return {
    frozen: f,
    sources: new Map((f.sources ?? []).map((s) => [s.id, s])),
    titleOf: (id) => titles.get(id ?? "") ?? "",
  };
}

/** What the readable cells say of an event; `items`: its entries in their order. */
export function cellsOf(from: CellSources, e: FrozenEvent, items: Items): Record<FullColumn, string> {
  const list = (kind: string) => items.filter((i) => i.list === kind);
  const pictures = list("media").filter((i) => i.kind === "picture");
  return {
    When: e.when.typed.trim() || whenLabel(e.when, mannerOf(from.frozen)),
    Title: e.title,
    "Short title": e.shortTitle,
    Category: from.frozen.categories.find((c) => c.id === e.category)?.name ?? "",
    "Part of": from.titleOf(e.partOf),
    Place: e.place,
    Tags: e.tags.join(", "),
    Description: wordsOf(e.description),
    Source: referencesText(from.sources, list("source")),
    Link: list("link").map(lineOf).join("\n"),
    Picture: pictures.flatMap((i) => i.address || []).join("\n"),
    Credit: [...new Set(pictures.flatMap((i) => i.credit || []))].join("\n"),
    Important: e.emphasis ? "yes" : "",
    Sign: e.sign,
    "Percent done": e.done === null ? "" : String(e.done),
    "Private note": e.note,
    Media: mediaText(list("media")),
    Id: e.id,
  };
}

export const wordsOf = (blocks: readonly Block[]) => blocks.map((b) => plainTextOf([b])).join("\n\n");

/** Everything as a table: a row an event, and a last one for the timeline itself. */
export function fullTable(f: Frozen): FullTable {
  const from = cellSources(f);
  const items = itemsOf(f);
  const rows = f.events.map((e) => ({
    id: e.id,
    cells: cellsOf(from, e, items(e.id)),
    when: e.when as When | null,
    fields: canonicalJson({
      ...without(emptyOf(EVENT), e),
      id: e.id,
      description: e.description,
      items: items(e.id).map((i) => without(emptyOf(ITEM), i, ["id"])),
    }),
  }));
  const { events: _, items: __, categories, sources = [], ...own } = f;
  const itself = {
    ...without(emptyOf(TIMELINE), own, ["format", "introduction", "closing", "chapters"]),
    categories: categories.map((c) => without(emptyOf(CATEGORY), c, ["id"])),
    sources: sources.map((s) => without(emptyOf(SOURCE), s, ["id"])),
    items: items("timeline").map((i) => without(emptyOf(ITEM), i, ["id"])),
  };
  const none = Object.fromEntries(FULL_COLUMNS.map((c) => [c, ""])) as Record<FullColumn, string>;
  const cells = { ...none, Title: f.title, Id: TIMELINE_ROW };
  return { rows: [...rows, { id: TIMELINE_ROW, cells, when: null, fields: canonicalJson(itself) }] };
}

/** The entries of each event, in their order. */
export function itemsOf(f: Frozen): (of: string) => Items {
  const by = new Map<string, Frozen["items"][number][]>();
  for (const i of f.items) {
    const list = by.get(i.of);
    if (list) list.push(i);
    else by.set(i.of, [i]);
  }
  return (of) => by.get(of) ?? [];
}

/** A record without what is as usual; `also`: names that are no fields of the table and stay. */
function without(usual: object, record: object, also: readonly string[] = []): Record<string, unknown> {
  const known = usual as Record<string, unknown>;
  return Object.fromEntries(
    Object.entries(record).filter(([k, v]) =>
      also.includes(k) ? v !== undefined : k in known && canonicalJson(known[k]) !== canonicalJson(v),
    ),
  );
}

/** The first and the last day of a date that is known by days, from 1 March 1900 on, where every spreadsheet counts alike; else null. */
export function daysOf(when: When | null): { first: string | null; last: string | null } {
  const r = when?.readAs;
  const exact = (m: { precision: string; about: boolean; from: { day: number } | null } | null) =>
    m?.from &&
    !m.about &&
    ["day", "hour", "minute", "second"].includes(m.precision) &&
    m.from.day >= FIRST_DAY &&
    m.from.day <= LAST_DAY
      ? isoDay(m.from.day)
      : null;
  if (r?.kind === "moment") return { first: exact(r.at), last: null };
  if (r?.kind === "span") return { first: exact(r.start), last: exact(r.end) };
  return { first: null, last: null };
}

/** 1 March 1900 and 31 December 9999. */
const FIRST_DAY = 694_020;
const LAST_DAY = 3_652_424;

function isoDay(day: number): string {
  const { year, month, day: dom } = civilFrom("gregorian", day);
  const two = (n: number) => String(n).padStart(2, "0");
  return `${String(year).padStart(4, "0")}-${two(month)}-${two(dom)}`;
}

/**
 * A text that a spreadsheet takes for text, whatever it begins with: what could be a formula gets an apostrophe in front, and one
 * that begins with such already another. `asWritten` takes it off again. Plain numbers stay, with their sign.
 */
export const neverFormula = (text: string) =>
  /^'*[=+\-@\t\r]/.test(text) && !/^[+-]?\d+([.,]\d+)?$/.test(text) ? `'${text}` : text;
export const asWritten = (cell: string) => (cell.startsWith("'") && /^'+[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);
