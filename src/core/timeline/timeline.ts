import { CATEGORY, EVENT, emptyOf, ITEM, type ItemList, SOURCE, TIMELINE, type ValuesOf } from "./fields";
import { COLOURS, type Colour, PATTERNS, type Pattern } from "./looks";

/** Whether a record was deleted: a mark, so that it can be put back. */
interface Deletable {
  deleted: boolean;
}

export type Category = ValuesOf<typeof CATEGORY> & { id: string } & Deletable;

export type TimelineEvent = ValuesOf<typeof EVENT> & {
  id: string;
  /** The merged Yjs state of the description; empty: nothing written yet. */
  description: Uint8Array;
} & Deletable;

/** One entry of a list that belongs to an event, or to the whole timeline (`of` is then "timeline"). */
export type Item = ValuesOf<typeof ITEM> & { id: string } & Deletable;

/** Something that statements are taken from; entries of events name it, with the page and the words that are meant. */
export type Source = ValuesOf<typeof SOURCE> & { id: string } & Deletable;

/** Where a timeline holds the records of each table. */
export const COLLECTION = { event: "events", category: "categories", item: "items", source: "sources" } as const;
export type Collection = (typeof COLLECTION)[keyof typeof COLLECTION];
export const RECORD_TABLES = ["event", "category", "item", "source"] as const satisfies (keyof typeof COLLECTION)[];

export type Timeline = ValuesOf<typeof TIMELINE> & {
  id: string;
  /** What stands before the events, and after them: merged Yjs states, as descriptions are. */
  introduction: Uint8Array;
  closing: Uint8Array;
  categories: ReadonlyMap<string, Category>;
  events: ReadonlyMap<string, TimelineEvent>;
  items: ReadonlyMap<string, Item>;
  sources: ReadonlyMap<string, Source>;
  /** The first words of descriptions by event, where the descriptions themselves are not held. */
  firstWords?: ReadonlyMap<string, string>;
};

/** The texts of the timeline itself, by the names that changes call them. */
export const OWN_TEXTS = ["introduction", "closing"] as const;
export type OwnText = (typeof OWN_TEXTS)[number];
export function isOwnText(of: string): of is OwnText {
  return of === "introduction" || of === "closing";
}

const NOTHING = new Uint8Array(0);
const NO_TIMELINE = emptyOf(TIMELINE);
const NO_EVENT = emptyOf(EVENT);
const NO_CATEGORY = emptyOf(CATEGORY);
const NO_ITEM = emptyOf(ITEM);
const NO_SOURCE = emptyOf(SOURCE);

export function emptyTimeline(id: string): Timeline {
  return {
    id,
    ...NO_TIMELINE,
    introduction: NOTHING,
    closing: NOTHING,
    categories: new Map(),
    events: new Map(),
    items: new Map(),
    sources: new Map(),
  };
}

export function emptyEvent(id: string): TimelineEvent {
  return { id, ...NO_EVENT, description: NOTHING, deleted: false };
}

export function emptyCategory(id: string): Category {
  return { id, ...NO_CATEGORY, deleted: false };
}

export function emptyItem(id: string): Item {
  return { id, ...NO_ITEM, deleted: false };
}

export function emptySource(id: string): Source {
  return { id, ...NO_SOURCE, deleted: false };
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
  return (of, list) => lists.get(`${list} ${of}`) ?? NO_ITEMS;
}

/** The same list for all that have none, so that what is drawn of them is not drawn anew. */
const NO_ITEMS: readonly Item[] = [];

/** The categories that are not deleted, in the order of the key. */
export function categoriesOf(timeline: Pick<Timeline, "categories">): Category[] {
  return [...timeline.categories.values()].filter((c) => !c.deleted).sort(byPlace);
}

/** The colour and pattern the next category gets: the first pair not in use, then pairs in turn. */
export function nextLook(used: readonly Pick<Category, "colour" | "pattern">[]): { colour: Colour; pattern: Pattern } {
  const colours = Object.keys(COLOURS) as Colour[];
  const free = colours.find((c) => !used.some((u) => u.colour === c));
  const i = free ? colours.indexOf(free) : used.length % colours.length;
  const shift = free ? 0 : Math.floor(used.length / colours.length);
  return { colour: colours[i]!, pattern: PATTERNS[(i + shift) % PATTERNS.length]! };
}
