import { type Margins, UNDATED, type When } from "../time/when";
import type { Manner } from "../time/write-when";

/** The colours a category may have (see docs/architecture.md, "Colours"); white text on each reaches 4.5:1. */
export const COLOURS = {
  verdigris: "#0B6E69",
  copper: "#B4481E",
  plum: "#6A3D9A",
  river: "#1F5FA8",
  moss: "#56751A",
  rose: "#A62B5F",
  umber: "#6B4B3A",
  steel: "#4A6572",
} as const;
export type Colour = keyof typeof COLOURS;

/** A pattern goes with every colour, so that colour is never the only sign. */
export const PATTERNS = ["solid", "slanted", "dots", "waves", "grid", "uprights", "steps", "rings"] as const;
export type Pattern = (typeof PATTERNS)[number];

export type Scale = "balanced" | "true" | "even";

/** A small sign before an event's words on the chart; "" for none. Drawn by `core/chart/signs.ts`. */
export const SIGNS = ["bell", "boat", "book", "drop", "flag", "flame", "key", "leaf"] as const;
export type Sign = (typeof SIGNS)[number] | "";

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

export interface Category {
  id: string;
  name: string;
  colour: Colour;
  pattern: Pattern;
  /** Fractional key: the order in the key of the chart. */
  place: string;
  deleted: boolean;
}

export interface TimelineEvent {
  id: string;
  title: string;
  /** What stands on the chart when the title is long; "" for none. */
  shortTitle: string;
  when: When;
  category: string | null;
  partOf: string | null;
  emphasis: boolean;
  sign: Sign;
  /** Where its label was placed by hand; null: wherever there is room. */
  spot: Spot | null;
  /** Whether its parts are drawn in a close-up; "": when there is too little room for them. */
  closeUp: "" | "open" | "closed";
  /** How much of it is done, percent; null: that is not asked. */
  done: number | null;
  /** Fractional key, for events that begin together; "" for none. */
  byHand: string;
  /** The merged Yjs state of the description; empty: nothing written yet. */
  description: Uint8Array;
  /** The id of the given event it came from; null for the students' own. A given event cannot be deleted. */
  given: string | null;
  /** Given with its date: title and date stay. */
  locked: boolean;
  deleted: boolean;
}

export type ItemList = "media" | "source" | "link";
export type MediaKind = "picture" | "video" | "sound";

/** One entry of a list that belongs to an event, or to the whole timeline (`of` is then "timeline"). */
export interface Item {
  id: string;
  of: string;
  list: ItemList;
  place: string;
  deleted: boolean;
  /** Media: what was uploaded. */
  media: string | null;
  kind: MediaKind | null;
  width: number | null;
  height: number | null;
  /** Media: what it shows, in words; source and link: the text. */
  text: string;
  credit: string;
  licence: string;
  /** Web address: where a picture was found, where a source or link leads. */
  address: string;
  /** The day the address was looked up, as ISO date; "" when it was not. */
  foundOn: string;
}

export interface Timeline {
  id: string;
  title: string;
  subject: string;
  /** Who stands as its author on published pages; "" until chosen. */
  byline: string;
  introduction: Uint8Array;
  /** From when to when it goes; undated: worked out from the events. */
  period: When;
  scale: Scale;
  dateOrder: "dmy" | "mdy" | null;
  /** How dates are written; null: as usual (day first, names of months, BC). */
  dateStyle: Manner | null;
  /** Whose seasons are meant. */
  hemisphere: "north" | "south";
  /** How far "about" reaches either way, where it is not as usual. */
  margins: Margins | null;
  /** The day that times alone belong to; undated: one day nobody has named; null: not said, so a time alone needs its day. */
  timesOn: When | null;
  /** Thin lines across the chart at the marks of the ridge. */
  gridlines: boolean;
  /** Marks of one's own; null: chosen by what there is room for. */
  marks: Marks | null;
  /** Spans say on the chart how long they last. */
  lengths: boolean;
  /** Today is a line across the chart. */
  today: boolean;
  /** What a reader sees first, as `viewText` writes it; "" for the whole. */
  firstView: string;
  categories: ReadonlyMap<string, Category>;
  events: ReadonlyMap<string, TimelineEvent>;
  items: ReadonlyMap<string, Item>;
}

const NOTHING = new Uint8Array(0);

export function emptyTimeline(id: string): Timeline {
  return {
    id,
    title: "",
    subject: "",
    byline: "",
    introduction: NOTHING,
    period: UNDATED,
    scale: "balanced",
    dateOrder: null,
    dateStyle: null,
    hemisphere: "north",
    margins: null,
    timesOn: null,
    gridlines: false,
    lengths: false,
    today: false,
    marks: null,
    firstView: "",
    categories: new Map(),
    events: new Map(),
    items: new Map(),
  };
}

export function emptyEvent(id: string): TimelineEvent {
  return {
    id,
    title: "",
    shortTitle: "",
    when: UNDATED,
    category: null,
    partOf: null,
    emphasis: false,
    sign: "",
    spot: null,
    closeUp: "",
    done: null,
    byHand: "",
    description: NOTHING,
    given: null,
    locked: false,
    deleted: false,
  };
}

export function emptyCategory(id: string): Category {
  return { id, name: "", colour: "verdigris", pattern: "solid", place: "a0", deleted: false };
}

export function emptyItem(id: string): Item {
  return {
    id,
    of: "timeline",
    list: "source",
    place: "a0",
    deleted: false,
    media: null,
    kind: null,
    width: null,
    height: null,
    text: "",
    credit: "",
    licence: "",
    address: "",
    foundOn: "",
  };
}

const byPlace = (a: { place: string; id: string }, b: { place: string; id: string }) =>
  a.place < b.place ? -1 : a.place > b.place ? 1 : a.id < b.id ? -1 : 1;

/** The entries of one list of one event (or of "timeline") that are not deleted, in their order. */
export function itemsOf(timeline: Pick<Timeline, "items">, of: string, list: ItemList): Item[] {
  return [...timeline.items.values()].filter((i) => i.of === of && i.list === list && !i.deleted).sort(byPlace);
}

/** All entries that are not deleted, by what they belong to and their list, in their order: for going through all events. */
export function itemsByOwner(timeline: Pick<Timeline, "items">): (of: string, list: ItemList) => readonly Item[] {
  const lists = new Map<string, Item[]>();
  for (const i of timeline.items.values()) {
    if (i.deleted) continue;
    const key = `${i.list} ${i.of}`;
    const list = lists.get(key);
    if (list) list.push(i);
    else lists.set(key, [i]);
  }
  for (const list of lists.values()) list.sort(byPlace);
  return (of, list) => lists.get(`${list} ${of}`) ?? [];
}

/** The categories that are not deleted, in the order of the key. */
export function categoriesOf(timeline: Pick<Timeline, "categories">): Category[] {
  return [...timeline.categories.values()].filter((c) => !c.deleted).sort(byPlace);
}

/** The colour and pattern the next category gets: the first pair not in use, then pairs in turn. */
export function nextLook(used: readonly Category[]): { colour: Colour; pattern: Pattern } {
  const colours = Object.keys(COLOURS) as Colour[];
  const free = colours.find((c) => !used.some((u) => u.colour === c));
  const i = free ? colours.indexOf(free) : used.length % colours.length;
  const shift = free ? 0 : Math.floor(used.length / colours.length);
  return { colour: colours[i]!, pattern: PATTERNS[(i + shift) % PATTERNS.length]! };
}
