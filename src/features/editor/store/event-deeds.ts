import { WORDS as COMMON } from "@/core/words/common";
import { WORDS } from "@/core/words/editor-store";
import { nanoid } from "nanoid";
import { apply } from "@/core/change/apply";
import type { Op } from "@/core/change/change";
import { isDated, UNDATED, type When } from "@/core/time/when";
import { rowsOf } from "@/core/timeline/order";
import { wholesFor, wouldLoop } from "@/core/timeline/parts";
import { between, keysToPut, placeAfter, placeAtEnd, placeBefore, placesToMove } from "@/core/timeline/place";
import { toBase64 } from "@/core/text/base64";
import { descriptionFrom } from "@/core/text/write-description";
import { readWhen } from "@/core/time/read/read-when";
import { readOptionsFor } from "@/core/timeline/read-options";
import { settingsFor } from "@/core/change/reading-steps";
import { isMeantBy, type ReadLine } from "@/core/timeline/read-line";
import {
  categoriesOf,
  type Item,
  itemsOf,
  nextLook,
  type Timeline,
  type TimelineEvent,
} from "@/core/timeline/timeline";
import { EVENT, type ItemList, valuesOf } from "@/core/timeline/fields";
import { sameValue } from "@/core/text/same-value";
import type { TimelineStore } from "./timeline-store";

/** The category a marker means, with the step that makes it when there is none yet. */
export function categoryFor(t: Timeline, marker: string): { id: string; ops: Op[] } {
  const known = categoriesOf(t).find((c) => isMeantBy(marker, c.name));
  if (known) return { id: known.id, ops: [] };
  return newCategory(t, marker.charAt(0).toUpperCase() + marker.slice(1).replaceAll(/[-_]/g, " "));
}

export function newCategory(t: Timeline, name: string): { id: string; ops: Op[] } {
  const used = categoriesOf(t);
  const id = nanoid(10);
  const place = between(used.at(-1)?.place ?? null, null);
  return { id, ops: [{ kind: "add_category", id, fields: { name, ...nextLook(used), place } }] };
}

/** A change holds this many steps at most; more lines than that are several. */
const STEPS = 4_000;

/** What a line says, and the paragraph that was pasted with it. */
export type NewLine = ReadLine & { description?: string };

/** Adds the events that lines describe, at the end of the order: one change, one undo. Gives the last id, or a sentence why not. */
export function addLines(store: TimelineStore, lines: readonly NewLine[]): { id: string } | { problem: string } {
  let t = store.getState().timeline;
  let ops: Op[] = settingsFor(
    t,
    lines.map((l) => l.when),
  );
  let id = "";
  for (const read of lines) {
    id = nanoid(10);
    const category = read.category ? categoryFor(t, read.category) : null;
    const when = isDated(read.when) ? read.when : { ...read.when, place: placeAtEnd(t.events) };
    const { title, emphasis, place, tags } = read;
    const fields = { title, when, category: category?.id ?? null, emphasis, place, tags };
    const next: Op[] = [...(category?.ops ?? []), { kind: "add_event", id, fields }];
    if (read.description) {
      const clientId = crypto.getRandomValues(new Uint32Array(1))[0]!;
      next.push({ kind: "describe", of: id, update: toBase64(descriptionFrom([read.description], clientId)) });
    }
    t = apply(t, next).timeline;
    ops.push(...next);
    if (ops.length < STEPS) continue;
    const problem = store.edit(ops);
    if (problem) return { problem };
    ops = [];
  }
  const problem = store.edit(ops);
  return problem ? { problem } : { id };
}

/** The steps that give an event a date, with what that decides for the whole timeline. */
export function dateOps(t: Timeline, id: string, when: When): Op[] {
  const place = t.events.get(id)?.when.place;
  const value = place && !when.place ? { ...when, place } : when;
  return [...settingsFor(t, [value]), { kind: "set_event", id, field: "when", value }];
}

/** Gives an event the date that a text says: one change. A sentence where it cannot be. */
export function dateEvent(store: TimelineStore, id: string, typed: string): string | null {
  const { timeline } = store.getState();
  return store.edit(dateOps(timeline, id, readWhen(typed, readOptionsFor(timeline, id))));
}

/** An empty event in that place of the order. */
export function insertBeside(
  store: TimelineStore,
  id: string,
  side: "before" | "after",
  within: string | null = null,
): string {
  const { timeline } = store.getState();
  const place = side === "before" ? placeBefore(timeline.events, id) : placeAfter(timeline.events, id);
  const made = nanoid(10);
  store.edit([
    {
      kind: "add_event",
      id: made,
      fields: { when: { ...UNDATED, place }, category: timeline.events.get(id)?.category ?? null, partOf: within },
    },
  ]);
  return made;
}

/** An empty chapter directly before an event or another chapter; null: after everything. Gives its id. */
export function insertChapter(store: TimelineStore, before: string | null): string {
  const { events } = store.getState().timeline;
  const place = before ? placeBefore(events, before) : placeAtEnd(events);
  const id = nanoid(10);
  store.edit([{ kind: "add_event", id, fields: { chapter: true, when: { ...UNDATED, place } } }]);
  return id;
}

/**
 * An event where the chart was pointed at: with the date that is meant there, or, where there is none, in that place of the
 * order; in a close-up part of what that shows. Gives its id.
 */
export function addAt(
  store: TimelineStore,
  at: { date: string | null; before: string | null; after: string | null },
  within: string | null = null,
): string {
  const { timeline } = store.getState();
  if (at.date === null && at.before) return insertBeside(store, at.before, "after", within);
  if (at.date === null && at.after) return insertBeside(store, at.after, "before", within);
  const id = nanoid(10);
  const when =
    at.date === null ? { ...UNDATED, place: placeAtEnd(timeline.events) } : readWhen(at.date, readOptionsFor(timeline));
  store.edit([...settingsFor(timeline, [when]), { kind: "add_event", id, fields: { when, partOf: within } }]);
  return id;
}

/** Whether nothing has been said of an event since it was made, but perhaps another date: no word, no choice, no entry of a list. */
export function isUntouched(t: Timeline, made: TimelineEvent): boolean {
  const e = t.events.get(made.id);
  if (!e || e.deleted || e.description.length > 0) return false;
  const said = (of: TimelineEvent) => ({ ...valuesOf(EVENT, of), when: null });
  return sameValue(said(e), said(made)) && ![...t.items.values()].some((i) => i.of === made.id && !i.deleted);
}

export function placeForNewItem(t: Timeline, of: string, list: ItemList): string {
  return between(itemsOf(t, of, list).at(-1)?.place ?? null, null);
}

/** An entry of a list changes places with the one before it (-1) or after it (1); nothing at the list's end. */
export function moveItem(store: TimelineStore, item: Item, way: 1 | -1): void {
  const list = itemsOf(store.getState().timeline, item.of, item.list);
  const at = list.findIndex((i) => i.id === item.id);
  if (at < 0 || !list[at + way]) return;
  putItem(store, list, item.id, at + way);
}

/** An entry of a list stands at an index of it, counted without it; others move out of the way where they share a place. */
export function putItem(store: TimelineStore, list: readonly Item[], id: string, index: number): void {
  const places = keysToPut(
    list.filter((i) => i.id !== id),
    id,
    index,
  );
  store.edit(places.map((p): Op => ({ kind: "set_item", id: p.id, field: "place", value: p.place })));
}

export function isWithoutDate(store: TimelineStore, id: string): boolean {
  const e = store.getState().timeline.events.get(id);
  return e !== undefined && !isDated(e.when);
}

/** Makes an event part of another; says why where that cannot be. */
export function makePartOf(store: TimelineStore, id: string, whole: string): void {
  const { events } = store.getState().timeline;
  if (events.get(id)?.chapter || events.get(whole)?.chapter) {
    store.say(WORDS.aChapterIsPartOfNothing);
    return;
  }
  const name = (e: string) => COMMON.named(events.get(e)?.title ?? "");
  if (wouldLoop(events, id, whole)) {
    store.say(WORDS.isItselfPartOfSo(name(whole), name(id)));
    return;
  }
  store.edit([{ kind: "set_event", id, field: "partOf", value: whole }]);
}

/** Puts an event without a date directly before or after another. */
export function moveUndated(store: TimelineStore, id: string, target: string, side: "before" | "after"): void {
  const { events } = store.getState().timeline;
  const places = placesToMove(events, id, target, side);
  store.edit(
    places.map(({ id: moved, place }): Op => {
      const when = events.get(moved)!.when;
      return { kind: "set_event", id: moved, field: "when", value: { ...when, place } };
    }),
  );
}

/**
 * In the ledger, with Alt: up and down move an event without a date, right makes it part of the nearest event above that
 * holds it, left takes it out. True: the key meant something.
 */
export function moveByKey(store: TimelineStore, id: string, key: string): boolean {
  const { timeline } = store.getState();
  const order = rowsOf(timeline.events);
  const at = order.findIndex((e) => e.id === id);
  if (order[at]?.chapter && (key === "ArrowLeft" || key === "ArrowRight")) {
    store.say(WORDS.aChapterIsPartOfNothing);
    return true;
  }
  const step = key === "ArrowUp" ? -1 : key === "ArrowDown" ? 1 : 0;
  if (step !== 0) {
    const next = order[at + step];
    if (!isWithoutDate(store, id)) store.say(WORDS.itStandsWhereItsDate);
    else if (next) moveUndated(store, id, next.id, step < 0 ? "before" : "after");
    return true;
  }
  if (key === "ArrowLeft") {
    store.edit([{ kind: "set_event", id, field: "partOf", value: null }]);
    return true;
  }
  if (key !== "ArrowRight") return false;
  const { holding, others } = wholesFor(timeline, id);
  const above = new Set(order.slice(0, at).map((e) => e.id));
  const whole = holding[0] ?? others.findLast((e) => above.has(e.id));
  if (whole) makePartOf(store, id, whole.id);
  else store.say(WORDS.thereIsNoLongerEvent);
  return true;
}

/** The events whose labels were placed by hand. */
export function placedByHand(events: Timeline["events"]): string[] {
  return [...events.values()].filter((e) => e.spot && !e.deleted).map((e) => e.id);
}

/** Puts all labels back to where there is room: one change, one undo. */
export function putLabelsBack(store: TimelineStore): void {
  const ids = placedByHand(store.getState().timeline.events);
  store.edit(ids.map((id): Op => ({ kind: "set_event", id, field: "spot", value: null })));
}

/** A category stands at an index of the key, counted without it; others move out of the way where they share a place. */
export function putCategory(store: TimelineStore, id: string, index: number): void {
  const others = categoriesOf(store.getState().timeline).filter((c) => c.id !== id);
  const places = keysToPut(others, id, index);
  store.edit(places.map((p): Op => ({ kind: "set_category", id: p.id, field: "place", value: p.place })));
}

/** Moves a category (by its place in the key, from 1) before another; null: to the end. */
export function moveCategory(store: TimelineStore, look: number, before: number | null): void {
  const all = categoriesOf(store.getState().timeline);
  const moved = all[look - 1];
  const next = before === null ? null : all[before - 1];
  if (!moved || moved === next) return;
  const others = all.filter((c) => c !== moved);
  putCategory(store, moved.id, next ? others.indexOf(next) : others.length);
}
