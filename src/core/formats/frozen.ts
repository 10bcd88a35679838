import { type Block, blocksOf } from "../text/description";
import { firstWords } from "../text/first-words";
import { whenInRange } from "../time/range";
import { type Place, UNDATED } from "../time/when";
import { EVENT, emptyOf, ITEM, ITEM_LISTS, namesOf, TIMELINE, type ValuesOf, valuesOf } from "../timeline/fields";
import { MOST_WORDED } from "../timeline/looks";
import { inOrder, rowsOf } from "../timeline/order";
import { wholesOf } from "../timeline/parts";
import {
  type Category,
  categoriesOf,
  emptyCategory,
  emptyEvent,
  emptyItem,
  emptyTimeline,
  emptySource,
  type Item,
  itemsByOwner,
  type Source,
  type Timeline,
  type TimelineEvent,
} from "../timeline/timeline";

/** The number of the format below; raised when its meaning changes, and old ones stay readable. */
export const FROZEN_FORMAT = 1;

export type FrozenEvent = Omit<TimelineEvent, "description" | "deleted"> & { description: Block[] };

/** A chapter: a title and some text before an event (by id), or after all of them (null). `place`: where it stands in the order. */
export interface FrozenChapter {
  id: string;
  title: string;
  description: Block[];
  before: string | null;
  place: Place | null;
}

/** A timeline as it was at one moment, as plain data: only what is not deleted, events in their order. */
export type Frozen = ValuesOf<typeof TIMELINE> & {
  format: typeof FROZEN_FORMAT;
  introduction: Block[];
  /** Missing in versions of before there were any. */
  closing?: Block[];
  chapters?: FrozenChapter[];
  categories: Omit<Category, "deleted">[];
  events: FrozenEvent[];
  items: Omit<Item, "deleted">[];
  sources?: Omit<Source, "deleted">[];
};

/** What only editors see, empty. */
const unsaid = <F extends typeof EVENT | typeof ITEM>(table: F): Partial<ValuesOf<F>> => {
  const usual = emptyOf(table as never) as Record<string, unknown>;
  return Object.fromEntries(
    namesOf(table as never, (f) => f.editorsOnly === true).map((f) => [f, usual[f]]),
  ) as Partial<ValuesOf<F>>;
};
const UNSAID = { event: unsaid(EVENT), item: unsaid(ITEM) };

/** Takes the timeline as it stands; `notes`: with what only its editors see, for a file of their own. */
export function toFrozen(t: Timeline, notes = false): Frozen {
  const events = inOrder(t.events.values());
  const wholes = wholesOf(t.events);
  const items = itemsByOwner(t);
  const owners = ["timeline", ...events.map((e) => e.id)];
  const shown = owners.flatMap((of) => ITEM_LISTS.flatMap((list) => items(of, list)));
  const named = new Set(shown.map((i) => i.source));
  const without = <T extends { deleted: boolean }>({ deleted: _, ...rest }: T) => rest;
  return {
    format: FROZEN_FORMAT,
    ...valuesOf(TIMELINE, t),
    introduction: blocksOf(t.introduction),
    closing: blocksOf(t.closing),
    chapters: chaptersOf(t),
    categories: categoriesOf(t).map(without),
    events: events.map((e) => ({
      ...without(e),
      ...(notes ? {} : UNSAID.event),
      partOf: wholes.get(e.id) ?? null,
      description: blocksOf(e.description),
    })),
    items: shown.map((i) => ({ ...without(i), ...(notes ? {} : UNSAID.item) })),
    // Those that something names; the others are their author's own collection, and come along in a file of theirs.
    sources: [...t.sources.values()].filter((s) => !s.deleted && (notes || named.has(s.id))).map(without),
  };
}

/** The chapters that are not deleted, each with the event it stands before. */
function chaptersOf(t: Timeline): FrozenChapter[] {
  const rows = rowsOf(t.events);
  const found: FrozenChapter[] = [];
  let before: string | null = null;
  for (let i = rows.length - 1; i >= 0; i--) {
    const e = rows[i]!;
    if (!e.chapter) before = e.id;
    else
      found.push({
        id: e.id,
        title: e.title,
        description: blocksOf(e.description),
        before,
        place: e.when.place ?? null,
      });
  }
  return found.reverse();
}

/** A frozen timeline as the chart takes it: of descriptions that needs the first words, where it may show them. */
export function timelineFromFrozen(f: Frozen, id = "frozen"): Timeline {
  // Versions of before a field was there have none of it.
  const living = <T extends { id: string }, W extends T>(list: readonly T[], empty: (id: string) => W) =>
    new Map(list.map((r) => [r.id, { ...empty(r.id), ...r, deleted: false }]));
  return {
    ...emptyTimeline(id),
    // Versions of before a field was there have none.
    ...valuesOf(TIMELINE, f),
    period: whenInRange(f.period),
    timesOn: f.timesOn ? whenInRange(f.timesOn) : null,
    categories: living(f.categories, emptyCategory),
    items: living(f.items, emptyItem),
    sources: new Map((f.sources ?? []).map((s) => [s.id, { ...emptySource(s.id), ...s, date: whenInRange(s.date) }])),
    events: new Map<string, TimelineEvent>([
      ...f.events.map(
        (e) =>
          [e.id, { ...emptyEvent(e.id), ...e, when: whenInRange(e.when), description: new Uint8Array(0) }] as const,
      ),
      ...(f.chapters ?? []).map(
        ({ id: chapter, title, place }) =>
          [
            chapter,
            { ...emptyEvent(chapter), chapter: true, title, when: place ? { ...UNDATED, place } : UNDATED },
          ] as const,
      ),
    ]),
    ...(f.events.length <= MOST_WORDED
      ? { firstWords: new Map(f.events.map((e) => [e.id, firstWords(e.description)])) }
      : {}),
  };
}

/** The ids of the uploaded media a frozen timeline shows. */
export function mediaIn(f: Frozen): string[] {
  return [...new Set(f.items.flatMap((i) => (i.media ? [i.media] : [])))].sort();
}
