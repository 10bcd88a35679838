import { EVENT, ITEM } from "../timeline/fields";

/** The columns a ledger may show, in the order they are offered. */
export const LEDGER_COLUMNS = [
  "when",
  "title",
  "shortTitle",
  "category",
  "partOf",
  "place",
  "tags",
  "media",
  "words",
  "source",
  "link",
  "emphasis",
  "sign",
  "done",
  "note",
] as const;
export type LedgerColumn = (typeof LEDGER_COLUMNS)[number];

/** How a column is shown where its width was not set: at least `min` px, and a `share` of what is left. */
export const COLUMN_ROOM: Record<LedgerColumn, { min: number; share: number }> = {
  when: { min: 132, share: 1.1 },
  title: { min: 200, share: 2.2 },
  shortTitle: { min: 110, share: 1 },
  category: { min: 96, share: 0.8 },
  partOf: { min: 80, share: 0.8 },
  place: { min: 96, share: 0.8 },
  tags: { min: 96, share: 0.8 },
  media: { min: 70, share: 0.3 },
  words: { min: 92, share: 0.2 },
  source: { min: 72, share: 0.9 },
  link: { min: 84, share: 0.7 },
  emphasis: { min: 82, share: 0.1 },
  sign: { min: 66, share: 0.1 },
  done: { min: 60, share: 0.1 },
  note: { min: 110, share: 1 },
};
export const NARROWEST = 48;
export const WIDEST = 900;

/** What cannot be written in: counted from elsewhere. */
export const COUNTED: ReadonlySet<LedgerColumn> = new Set(["media", "words"]);

/** The most characters of a cell. */
export const MOST_CELL: Partial<Record<LedgerColumn, number>> = {
  title: EVENT.title.most!,
  shortTitle: EVENT.shortTitle.most!,
  place: EVENT.place.most!,
  note: EVENT.note.most!,
  category: 60,
  source: ITEM.text.most! * 20,
  link: ITEM.text.most! * 20,
  when: 300,
  partOf: EVENT.title.most!,
  tags: 2_000,
  sign: 200,
  done: 200,
  emphasis: 200,
};

/** How a person likes the ledger. */
export interface LedgerColumns {
  shown: readonly LedgerColumn[];
  /** Px, where it was set. */
  widths: Readonly<Partial<Record<LedgerColumn, number>>>;
}

export const USUAL_COLUMNS: LedgerColumns = {
  shown: ["when", "title", "category", "partOf", "media", "words", "source"],
  widths: {},
};

/** The shape of it, as JSON Schema. */
export const COLUMNS_SCHEMA = {
  type: "object",
  properties: {
    shown: { type: "array", items: { enum: [...LEDGER_COLUMNS] }, minItems: 1, uniqueItems: true },
    widths: {
      type: "object",
      properties: Object.fromEntries(
        LEDGER_COLUMNS.map((c) => [c, { type: "integer", minimum: NARROWEST, maximum: WIDEST }]),
      ),
      additionalProperties: false,
    },
  },
  required: ["shown", "widths"],
  additionalProperties: false,
};

/** A column moved before (-1) or after (1) its neighbour; the same object where it stands at that end. */
export function moveColumn(columns: LedgerColumns, column: LedgerColumn, way: 1 | -1): LedgerColumns {
  const shown = [...columns.shown];
  const at = shown.indexOf(column);
  const to = at + way;
  if (at < 0 || to < 0 || to >= shown.length) return columns;
  [shown[at], shown[to]] = [shown[to]!, shown[at]!];
  return { ...columns, shown };
}

/** A column shown, behind those that are there, or no longer; one at least stays. */
export function showColumn(columns: LedgerColumns, column: LedgerColumn, on: boolean): LedgerColumns {
  const without = columns.shown.filter((c) => c !== column);
  if (on) return { ...columns, shown: [...without, column] };
  return without.length === 0 ? columns : { ...columns, shown: without };
}

export function widenColumn(columns: LedgerColumns, column: LedgerColumn, px: number | null): LedgerColumns {
  const { [column]: _, ...rest } = columns.widths;
  const width = px === null ? null : Math.round(Math.max(NARROWEST, Math.min(WIDEST, px)));
  return { ...columns, widths: width === null ? rest : { ...rest, [column]: width } };
}
