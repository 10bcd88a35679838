// Long because it is the one place where every field is spelt.
import { maybe, object } from "../text/schema";
import { type Margins, UNDATED, type When } from "../time/when";
import { MARGIN_SCHEMA, WHEN_SCHEMA } from "../time/when-schema";
import type { Manner } from "../time/write-when";
import {
  COLOURS,
  type Colour,
  LOOKS,
  type LookName,
  OWN_COLOUR,
  OWN_TEXTURES,
  type OwnTexture,
  PATTERNS,
  type Pattern,
  SIGNS,
  type Sign,
} from "./looks";

/**
 * One field of a record, in one line: the one place where it is spelt. From these tables come the types and empty records
 * (timeline.ts), what a change may set and how long its texts may be (change.ts, limits.ts, the server's schema), the columns that
 * are read and written, the frozen form, and whether another value is another drawing.
 */
export interface Field<T> {
  /** Its value where nothing was said. */
  empty: T;
  /** What it may hold, as JSON Schema. Lengths of texts are checked by `tooLong`, which has the sentence. */
  schema: object;
  /** The most characters of a text. */
  most?: number;
  /** A date: it is read again from what was typed. */
  isWhen?: true;
  /** Another value draws nothing anew. */
  undrawn?: true;
  /** Set once, when the record is made. */
  fixed?: true;
  /** The server's to set: a change from a browser has no place for it. */
  serverOnly?: true;
  /** For those who edit the timeline only: never in what is frozen, published or handed in. */
  editorsOnly?: true;
}
type Fields = Record<string, Field<unknown>>;
/** The values of a table's fields. */
export type ValuesOf<F> = { -readonly [K in keyof F]: F[K] extends Field<infer T> ? T : never };

type More = Omit<Field<unknown>, "empty" | "schema">;
const field = <T>(empty: T, schema: object, more: More = {}): Field<T> => ({ empty, schema, ...more });
/** Long enough for the sentence of the field that was written too long. */
const TEXT = { type: "string", maxLength: 2_000_000 };
const ID = { type: "string", pattern: "^[A-Za-z0-9_-]{1,40}$" };
const text = (most: number, more: More = {}) => field<string>("", TEXT, { most, ...more });
const yes = (more: More = {}) => field<boolean>(false, { type: "boolean" }, more);
const oneOf = <T>(empty: T, ...others: NoInfer<T>[]) => field<T>(empty, { enum: [empty, ...others] });
const key = (empty: string) => field<string>(empty, { type: "string", pattern: "^[A-Za-z0-9]{0,200}$" });
const when = () => field<When>(UNDATED, WHEN_SCHEMA, { isWhen: true });
const isoDay = () => field<string>("", { type: "string", pattern: "^(\\d{4}-\\d{2}-\\d{2})?$" });
const whole = (minimum: number, maximum: number, more: More = {}) =>
  field<number | null>(null, maybe({ type: "integer", minimum, maximum }), more);

const second = (more: More = {}) =>
  field<number | null>(null, maybe({ type: "number", minimum: 0, maximum: 360_000 }), more);

export type Scale = "balanced" | "true" | "even";
/** How large pictures stand on the chart: as there is room, small, or not at all. */
export type PicturesShown = "large" | "small" | "none";
/** Where the cover stands on the opening page. */
export type CoverPlace = "beside" | "above";
export type LabelWords = "room" | "none";
/** Dates on labels: always, only where no mark of the ridge says the same, or never. */
export type LabelDates = "always" | "unmarked" | "never";
/** Titles on labels: always, or only on those that show no picture. */
export type LabelTitles = "always" | "unpictured";
/** How strong lines are, beside what the look has: finer, as it has them, stronger. */
export type LineWeight = -1 | 0 | 1;
/** What may stand on a label. */
export const LABEL_PARTS = ["date", "title", "words", "picture"] as const;
export type LabelPart = (typeof LABEL_PARTS)[number];
/** How the picture behind a chart is placed: it fills the chart, or all of it is seen. */
export type BackFit = "fill" | "whole";
/** Of one label beside the others: quieter, as usual, louder. */
export type Loudness = -1 | 0 | 1;
/** "map": the picture that is the map of the timeline; "back": the one that lies behind its chart. */
export const ITEM_LISTS = ["media", "source", "link", "map", "back"] as const;
export type ItemList = (typeof ITEM_LISTS)[number];
/** Whether entries of a list are files: pictures, videos, sounds. */
export const holdsFiles = (list: ItemList): boolean => list !== "source" && list !== "link";
export type MediaKind = "picture" | "video" | "sound";
/** What an entry of an event's media is: also a web page, of which only what it says of itself is kept. */
export type ItemKind = MediaKind | "page";
/** What a source is. "line": it was written in one line, which stands as it is. */
export const SOURCE_KINDS = [
  "line",
  "book",
  "article",
  "newspaper",
  "web",
  "archive",
  "film",
  "interview",
  "object",
  "other",
] as const;
export type SourceKind = (typeof SOURCE_KINDS)[number];
/** How the list of sources is written: by author and date in one of two ways, or numbered in the order of the events. */
export type SourceManner = "apa" | "harvard" | "numbered";

/**
 * A label's corner, px from its moment along the ridge, and from the ridge's middle across it (negative: roofs' side). It counts
 * where the ridge lies as it did when the label was placed: upright or not.
 */
export interface Spot {
  along: number;
  across: number;
  upright?: boolean;
}

/** Marks on the ridge of the author's own choice: one unit and step, or dates as they were typed, one a line. */
export type Marks =
  | { kind: "step"; unit: "years" | "months" | "days" | "hours" | "minutes"; step: number }
  | { kind: "list"; text: string };

/** Of a picture's width and height, percent. */
export interface Focus {
  x: number;
  y: number;
}
/** A place on the earth, degrees (WGS 84): north and east are positive. */
export interface Point {
  lat: number;
  lon: number;
}
/** What a copy says of what it was copied from: its title and author as they were then, its address, and when, ISO 8601. */
export type BasedOn = Readonly<Record<"title" | "byline" | "address" | "at", string>>;
const BASED_ON = object({
  title: { type: "string", maxLength: 300 },
  byline: { type: "string", maxLength: 300 },
  address: { type: "string", maxLength: 200 },
  at: { type: "string", maxLength: 40 },
});

const POINT = object({
  lat: { type: "number", minimum: -90, maximum: 90 },
  lon: { type: "number", minimum: -180, maximum: 180 },
});

/** A spot on the map of one's own, percent of its width and height, and where on the earth it lies. */
export interface Tie extends Focus, Point {}
export const MOST_TIES = 3;

/** The darkest and the lightest that is to be seen of a picture, as #rrggbb: what stands on it is told from both. */
export interface Tones {
  dark: string;
  light: string;
}
const HEX = { type: "string", pattern: OWN_COLOUR };
const TONES = object({ dark: HEX, light: HEX });
/** A colour of the look, by its name, or one of one's own; "" where there need be none. */
export type AnyColour = Colour | `#${string}`;
const ANY_COLOUR = { anyOf: [{ enum: Object.keys(COLOURS) }, HEX] };

const PERCENT = { type: "number", minimum: 0, maximum: 100 };

const TIES = {
  type: "array",
  maxItems: MOST_TIES,
  items: object({
    x: PERCENT,
    y: PERCENT,
    lat: { type: "number", minimum: -90, maximum: 90 },
    lon: { type: "number", minimum: -180, maximum: 180 },
  }),
};

/**
 * What of an uploaded picture is shown: `of` is the picture it is cut out of, which stays as it was. It is turned first, clockwise,
 * by so many degrees; the other numbers are percent of the turned width and height.
 */
export interface Cut {
  of: string;
  x: number;
  y: number;
  width: number;
  height: number;
  turn: 0 | 90 | 180 | 270;
}
/** The shape of a cut without the picture it is cut out of, as a route takes it. */
export const CUT_SHAPE = {
  x: PERCENT,
  y: PERCENT,
  width: { type: "number", exclusiveMinimum: 0, maximum: 100 },
  height: { type: "number", exclusiveMinimum: 0, maximum: 100 },
  turn: { enum: [0, 90, 180, 270] },
} as const;

const PIXELS = { type: "number", minimum: -20_000, maximum: 20_000 };
const SPOT = object({ along: PIXELS, across: PIXELS, upright: { type: "boolean" } }, ["upright"]);
const MANNER = object(
  {
    order: { enum: ["dmy", "mdy"] },
    months: { enum: ["names", "numbers"] },
    era: { enum: ["BC", "BCE"] },
    weekdays: { type: "boolean" },
    julian: { type: "boolean" },
    clock: { enum: ["24", "12"] },
    finest: { enum: ["month"] },
  },
  ["clock", "finest"],
);
const MARGINS = {
  type: "object",
  properties: Object.fromEntries(["day", "month", "year", "decade", "century"].map((p) => [p, MARGIN_SCHEMA])),
  additionalProperties: false,
};
const MARKS = {
  anyOf: [
    object({
      kind: { const: "step" },
      unit: { enum: ["years", "months", "days", "hours", "minutes"] },
      step: { type: "integer", minimum: 1, maximum: 10_000_000_000 },
    }),
    object({ kind: { const: "list" }, text: { type: "string", maxLength: 4_000 } }),
  ],
};

/** A tag is one short word or a few; an event has so many. */
export const MOST_TAGS = 30;
export const MOST_TAG = 40;
/** A source names so many authors, each so long; and so much that has no field of its own came along with it. */
export const MOST_AUTHORS = 50;
export const MOST_AUTHOR = 200;
const AUTHORS = {
  type: "array",
  maxItems: MOST_AUTHORS,
  items: { type: "string", minLength: 1, maxLength: MOST_AUTHOR },
};
export const MOST_REST = 60;
export const MOST_REST_TEXT = 5_000;
const REST = {
  type: "object",
  maxProperties: MOST_REST,
  propertyNames: { pattern: "^[A-Za-z][A-Za-z0-9_-]{0,59}$" },
  additionalProperties: { type: "string", maxLength: MOST_REST_TEXT },
};
const TAGS = { type: "array", maxItems: MOST_TAGS, items: { type: "string", minLength: 1, maxLength: MOST_TAG } };

export const TIMELINE = {
  title: text(300, { undrawn: true }),
  subject: text(120, { undrawn: true }),
  /** Who stands as its author on published pages; "" until chosen. */
  byline: text(120, { undrawn: true }),
  /** From when to when it goes; undated: worked out from the events. */
  period: when(),
  scale: oneOf<Scale>("balanced", "true", "even"),
  dateOrder: field<"dmy" | "mdy" | null>(null, maybe({ enum: ["dmy", "mdy"] }), { undrawn: true }),
  /** How dates are written; null: as usual (day first, names of months, BC). */
  dateStyle: field<Manner | null>(null, maybe(MANNER)),
  /** Whose seasons are meant. */
  hemisphere: field<"north" | "south">("north", { enum: ["north", "south"] }, { undrawn: true }),
  /** How far "about" reaches either way, where it is not as usual. */
  margins: field<Margins | null>(null, maybe(MARGINS), { undrawn: true }),
  /** The day that times alone belong to; undated: one day nobody has named; null: not said, so a time alone needs its day. */
  timesOn: field<When | null>(null, maybe(WHEN_SCHEMA), { isWhen: true }),
  /** Thin lines across the chart at the marks of the ridge. */
  gridlines: yes(),
  /** Marks of one's own; null: chosen by what there is room for. */
  marks: field<Marks | null>(null, maybe(MARKS)),
  /** Spans say on the chart how long they last. */
  lengths: yes(),
  /** Today is a line across the chart. */
  today: yes(),
  pictures: oneOf<PicturesShown>("large", "small", "none"),
  /** The type of titles on the chart, px; null: as there is room. */
  typeSize: whole(12, 22),
  /** First words of descriptions under titles on the chart: where there is room for them, or nowhere. */
  labelWords: oneOf<LabelWords>("room", "none"),
  labelDates: oneOf<LabelDates>("always", "unmarked", "never"),
  labelTitles: oneOf<LabelTitles>("always", "unpictured"),
  look: field<LookName>("slate", { enum: [...LOOKS] }),
  /** The ground of the chart, as #rrggbb; "": as the look has it. */
  paper: field<string>("", { anyOf: [{ const: "" }, HEX] }),
  texture: field<OwnTexture>("", { enum: [...OWN_TEXTURES] }),
  /** How strongly the picture of the list "back" is seen, percent; where more would hide what stands on it, less. */
  backStrength: field<number>(20, { type: "integer", minimum: 1, maximum: 100 }),
  backFit: oneOf<BackFit>("fill", "whole"),
  lineWeight: oneOf<LineWeight>(0, -1, 1),
  /** What a reader sees first, as `viewText` writes it; "" for the whole. */
  firstView: field<string>("", { type: "string", maxLength: 200 }, { undrawn: true }),
  /** Where its cover stands on the page it begins with: beside the title, or across the page over it. */
  coverPlace: oneOf<CoverPlace>("beside", "above"),
  /** Spots of the map of one's own whose place on the earth is known. */
  mapTies: field<readonly Tie[]>([], TIES, { undrawn: true }),
  sourceManner: field<SourceManner>("apa", { enum: ["apa", "harvard", "numbered"] }, { undrawn: true }),
  /** The published timeline it was begun with; null where it was begun anew. */
  basedOn: field<BasedOn | null>(null, maybe(BASED_ON), { undrawn: true, serverOnly: true }),
  /** The language it is written in, as BCP 47 names it: for spelling, hyphens, screen readers, and how dates are written. */
  language: field<string>("en", { type: "string", pattern: "^[a-z]{2,3}(-[A-Za-z0-9]{2,8}){0,3}$" }),
} as const;

export const EVENT = {
  title: text(300),
  /** What stands on the chart when the title is long; "" for none. */
  shortTitle: text(120),
  when: when(),
  category: field<string | null>(null, maybe(ID)),
  partOf: field<string | null>(null, maybe({ type: "string", pattern: "^~?[A-Za-z0-9_-]{1,40}$" })),
  /** Where it happened, by name. */
  place: text(200, { undrawn: true }),
  /** Where on the earth that is; null: not said. */
  point: field<Point | null>(null, maybe(POINT), { undrawn: true }),
  /** Where on the map of one's own that is; null: not said. */
  onMap: field<Focus | null>(null, maybe(object({ x: PERCENT, y: PERCENT }, [])), { undrawn: true }),
  /** Words of one's own to find it by. */
  tags: field<readonly string[]>([], TAGS, { undrawn: true }),
  /** What editors tell each other about it. */
  note: text(5_000, { undrawn: true, editorsOnly: true }),
  /** By what it is known in the table or file it was brought in from; "" where it was written here. */
  origin: text(300, { undrawn: true, editorsOnly: true }),
  /** A title and some text between the events, which stands where its place in the order says. */
  chapter: yes({ fixed: true }),
  emphasis: yes(),
  /** Its label on the chart beside the others. */
  loudness: oneOf<Loudness>(0, -1, 1),
  /** Its picture stands on the chart in place of its bob. */
  pictureBob: yes(),
  sign: field<Sign>("", { enum: ["", ...SIGNS] }),
  /** Its own, beside its category's; "": as its category's. */
  colour: field<AnyColour | "">("", { anyOf: [{ const: "" }, ...ANY_COLOUR.anyOf] }),
  /** Its line beside the others: finer, as usual, stronger. */
  lineWeight: oneOf<LineWeight>(0, -1, 1),
  /** What its label says, beside the others; null: as they do. */
  labelSays: field<readonly LabelPart[] | null>(
    null,
    maybe({ type: "array", uniqueItems: true, minItems: 1, maxItems: 4, items: { enum: [...LABEL_PARTS] } }),
  ),
  /** Where its label was placed by hand; null: wherever there is room. */
  spot: field<Spot | null>(null, maybe(SPOT)),
  /** Whether its parts are drawn in a close-up; "": when there is too little room for them. */
  closeUp: oneOf<"" | "open" | "closed">("", "open", "closed"),
  /** How much of it is done, percent; null: that is not asked. */
  done: whole(0, 100),
  /** Fractional key, for events that begin together; "" for none. */
  byHand: key(""),
  /** The id of the given event it came from; null for the students' own. A given event cannot be deleted. */
  given: field<string | null>(null, maybe(ID), { serverOnly: true }),
  /** Given with its date: title and date stay. */
  locked: yes({ serverOnly: true }),
} as const;

export const CATEGORY = {
  name: text(60),
  colour: field<AnyColour>("verdigris", ANY_COLOUR),
  /** Its labels beside those of others; an event's own counts on top. */
  loudness: oneOf<Loudness>(0, -1, 1),
  pattern: field<Pattern>("solid", { enum: [...PATTERNS] }),
  /** Fractional key: the order in the key of the chart. */
  place: key("a0"),
} as const;

export const ITEM = {
  of: field<string>("timeline", ID, { fixed: true }),
  list: field<ItemList>("source", { enum: [...ITEM_LISTS] }, { fixed: true }),
  place: key("a0"),
  /** Media and map: what was uploaded, or was made of it: cut, or with another still. Its size, px. */
  media: field<string | null>(null, maybe(ID)),
  kind: field<ItemKind | null>(null, maybe({ enum: ["picture", "video", "sound", "page"] }), { fixed: true }),
  /** Video and sound that stay at another site: the address of its player. Their own file is a still then, or none. */
  player: text(2_000, { fixed: true, undrawn: true }),
  width: whole(1, 1_000_000),
  height: whole(1, 1_000_000),
  /** Pictures: which part of which picture `media` is; null: all of what was uploaded. */
  cut: field<Cut | null>(null, maybe(object({ of: ID, ...CUT_SHAPE }, [])), { undrawn: true, editorsOnly: true }),
  /** Pictures: they have frames that follow each other. */
  moving: yes({ undrawn: true }),
  /** Pictures: what is to be seen of them where they are cropped; null: the middle. */
  focus: field<Focus | null>(null, maybe(object({ x: PERCENT, y: PERCENT }, []))),
  /** The picture behind the chart: what has to be told from it. */
  tones: field<Tones | null>(null, maybe(TONES)),
  /** Video and sound: from which second to which it is played; null: from its beginning, to its end. How long it is, seconds. */
  startAt: second({ undrawn: true }),
  endAt: second({ undrawn: true }),
  length: second({ undrawn: true }),
  /** Sound: somebody speaks, recorded for this. */
  voice: yes({ fixed: true, undrawn: true }),
  /** Video and sound: what is said in it, in one text. */
  spoken: text(20_000, { undrawn: true }),
  /** Video: its subtitles, as WebVTT. */
  subtitles: text(200_000, { undrawn: true }),
  /** Media: what it shows, in words; source and link: the text. */
  text: text(2_000),
  /** Media: what stands under it, for everybody to read. */
  caption: text(500),
  credit: text(300),
  licence: text(120),
  /** Web address: where a picture was found, where a source or link leads. */
  address: text(2_000),
  /** The day the address was looked up, as ISO date; "" when it was not. */
  foundOn: isoDay(),
  /** Sources: the source of the timeline that is meant; null: the line in `text` and `address` stands for itself. */
  source: field<string | null>(null, maybe(ID)),
  /** Sources: where in it, as it was written: "12", "3-5", "fol. 7r". */
  page: text(120),
  /** Sources: its very words. */
  quote: text(2_000),
} as const;

/** Something that statements are taken from: any number of events name it. */
export const SOURCE = {
  kind: oneOf<SourceKind>("line", ...SOURCE_KINDS.slice(1)),
  /** Its title; of a line the whole line. */
  title: text(2_000),
  /** "Family name, given name", or a body's name without a comma. */
  authors: field<readonly string[]>([], AUTHORS),
  /** What it is a part of: a book, a journal, a newspaper, a collection. */
  within: text(500),
  volume: text(60),
  issue: text(60),
  pages: text(60),
  publisher: text(300),
  /** Of the publisher, the archive, the museum. */
  place: text(200),
  date: when(),
  address: text(2_000),
  /** The day the address was looked up, as ISO date; "" when it was not. */
  lookedUp: isoDay(),
  /** What it is ordered by in its library or archive. */
  callNumber: text(200),
  /** What came along from elsewhere and has no field here, by the names of CSL-JSON 1.0.2. */
  rest: field<Readonly<Record<string, string>>>({}, REST),
} as const;

/** The tables by the name of what they hold. */
export const TABLES = { timeline: TIMELINE, event: EVENT, category: CATEGORY, item: ITEM, source: SOURCE } as const;

/** The empty value of every field of a table. */
export function emptyOf<F extends Fields>(table: F): ValuesOf<F> {
  return Object.fromEntries(Object.entries(table).map(([k, f]) => [k, f.empty])) as unknown as ValuesOf<F>;
}

/** The names of a table's fields, those that `keep` lets through. */
export function namesOf<F extends Fields>(
  table: F,
  keep: (f: Field<unknown>) => boolean = () => true,
): (keyof F & string)[] {
  return Object.keys(table).filter((k) => keep(table[k]!));
}

/** A table's fields out of a record that may hold more, or less: what is missing gets its empty value. */
export function valuesOf<F extends Fields>(table: F, record: { [K in keyof F]?: unknown }): ValuesOf<F> {
  return Object.fromEntries(
    Object.entries(table).map(([k, f]) => [k, record[k] === undefined ? f.empty : record[k]]),
  ) as unknown as ValuesOf<F>;
}
