import { inAlphabet } from "../language/spoken";
import { isCited } from "../sources/cited";
import { ITEM_LISTS } from "../timeline/fields";
import { isDated } from "../time/when";
import { problems } from "../timeline/problems";
import type { Timeline, TimelineEvent } from "../timeline/timeline";
import { cellText, type RowSources } from "./cell-text";
import type { LedgerColumn } from "./columns";

/** What an event may lack, or have, that one looks for. */
export const LACKS = ["date", "source", "picture", "description", "finding"] as const;
export type Lack = (typeof LACKS)[number];

/** Which events are looked at, and in which order. An event is looked at when it fits every part that is set. */
export interface LookAt {
  /** All of these words somewhere in its texts, whatever their case. */
  text: string;
  /** One of these; "" for no category. */
  categories: readonly string[];
  /** One of these, in lower case. */
  tags: readonly string[];
  /** Written by one of these accounts. */
  people: readonly string[];
  /** All of these: without a date, source, picture, description; with a finding. */
  lacks: readonly Lack[];
  /** Null: the order of time. */
  sort: { column: LedgerColumn; down: boolean } | null;
}

export const LOOK_AT_ALL: LookAt = { text: "", categories: [], tags: [], people: [], lacks: [], sort: null };

export function isFiltered(look: LookAt): boolean {
  return look.text.trim() !== "" || [look.categories, look.tags, look.people, look.lacks].some((l) => l.length > 0);
}

export interface LookSources extends RowSources {
  plainText: (description: Uint8Array) => string;
  /** Who added an event; undefined where that is not known. */
  writerOf: (event: string) => string | undefined;
}

/** The events that are looked at, in the order they are looked at in; `order`: all of them in the order of time. */
export function lookedAt(from: LookSources, order: readonly TimelineEvent[], look: LookAt): readonly TimelineEvent[] {
  const kept = isFiltered(look) ? order.filter(fits(from, look)) : order;
  return look.sort ? sorted(from, kept, look.sort) : kept;
}

function fits(from: LookSources, look: LookAt): (e: TimelineEvent) => boolean {
  const words = look.text.toLowerCase().split(/\s+/).filter(Boolean);
  const found = look.lacks.includes("finding") ? new Set(problems(from.timeline).map((p) => p.event)) : null;
  const lacks: Record<Lack, (e: TimelineEvent) => boolean> = {
    date: (e) => !isDated(e.when),
    source: (e) => !from.items(e.id, "source").some((i) => isCited(from.timeline.sources, i)),
    picture: (e) => !from.items(e.id, "media").some((i) => i.kind === "picture"),
    description: (e) => from.plainText(e.description).trim() === "",
    finding: (e) => found!.has(e.id),
  };
  return (e) => {
    if (look.categories.length > 0 && !look.categories.includes(categoryOf(from.timeline, e))) return false;
    if (look.tags.length > 0 && !e.tags.some((t) => look.tags.includes(t.toLowerCase()))) return false;
    if (look.people.length > 0 && !look.people.includes(from.writerOf(e.id) ?? "")) return false;
    if (look.lacks.some((l) => !lacks[l](e))) return false;
    if (words.length === 0) return true;
    const text = allText(from, e).toLowerCase();
    return words.every((w) => text.includes(w));
  };
}

function categoryOf(t: Timeline, e: TimelineEvent): string {
  const category = t.categories.get(e.category ?? "");
  return category && !category.deleted ? category.id : "";
}

/** Everything written in an event, as one text to look through. */
function allText(from: LookSources, e: TimelineEvent): string {
  const items = ITEM_LISTS.flatMap((list) => from.items(e.id, list));
  return [
    e.title,
    e.shortTitle,
    e.when.typed,
    e.place,
    ...e.tags,
    e.note,
    cellText(from, e, "category"),
    from.plainText(e.description),
    ...items.flatMap((i) => [i.text, i.caption, i.credit, i.address, i.quote]),
    cellText(from, e, "source"),
  ].join("\n");
}

const NUMBERS: ReadonlySet<LedgerColumn> = new Set(["words", "done"]);

/** By one column; what has nothing in it stands at the end either way, and equals keep the order of time. */
function sorted(
  from: LookSources,
  events: readonly TimelineEvent[],
  { column, down }: NonNullable<LookAt["sort"]>,
): TimelineEvent[] {
  if (column === "when") return down ? [...events].reverse() : [...events];
  const keyed = events.map((event) => {
    const text = cellText(from, event, column);
    return { event, text, n: NUMBERS.has(column) ? Number(text) || 0 : 0 };
  });
  const way = down ? -1 : 1;
  return keyed
    .sort((a, b) => {
      const empty = Number(a.text === "" || a.text === "0") - Number(b.text === "" || b.text === "0");
      return empty || way * (NUMBERS.has(column) ? a.n - b.n : inAlphabet(a.text, b.text));
    })
    .map((k) => k.event);
}

/** Every tag in use, in the order of the alphabet, with how many events have it. */
export function tagsIn(events: Iterable<TimelineEvent>): { tag: string; events: number }[] {
  const counts = new Map<string, { tag: string; events: number }>();
  for (const e of events) {
    if (e.deleted) continue;
    for (const tag of e.tags) {
      const known = counts.get(tag.toLowerCase());
      if (known) known.events++;
      else counts.set(tag.toLowerCase(), { tag, events: 1 });
    }
  }
  return [...counts.values()].sort((a, b) => inAlphabet(a.tag, b.tag));
}
