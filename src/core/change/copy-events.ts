import { toBase64 } from "../text/base64";
import { isDated, type Place } from "../time/when";
import { withEntries } from "../text/description";
import { canonicalJson } from "../text/canonical-json";
import { sameValue } from "../text/same-value";
import {
  CATEGORY,
  type Cut,
  EVENT,
  emptyOf,
  ITEM,
  ITEM_LISTS,
  namesOf,
  SOURCE,
  TIMELINE,
  valuesOf,
} from "../timeline/fields";
import { inRows } from "../timeline/order";
import { between, placeAfter, placeAtEnd } from "../timeline/place";
import {
  categoriesOf,
  type Item,
  itemsByOwner,
  nextLook,
  OWN_TEXTS,
  type Source,
  type Timeline,
} from "../timeline/timeline";
import type { Op, Value } from "./change";

const COPIED = namesOf(EVENT, (f) => !f.serverOnly);

export interface Copied {
  ops: Op[];
  /** The new events, in the order of those they were made of. */
  ids: string[];
}

/**
 * The steps that make each of some events once more with all it has: within its own timeline directly after it, or (`into`) in
 * another one, where categories are found or made by their names and what has no date stands at the end. What is part of something
 * that is copied too is part of the copy. `mediaFor`: the file an entry shows there; null leaves it out.
 */
export function copyEvents(
  from: Timeline,
  ids: readonly string[],
  newId: () => string,
  other?: { into: Timeline; mediaFor: (media: string) => string | null },
): Copied {
  const items = itemsByOwner(from);
  const wanted = new Set(ids);
  const list = inRows(from.events.values()).filter((e) => wanted.has(e.id));
  const made = new Map(list.map((e) => [e.id, newId()]));
  const ops: Op[] = [];
  const categories = categoryFinder(from, other?.into, newId, ops);
  const sources = sourceFinder(from, other?.into, newId, ops);
  let last = null as Place | null;
  for (const found of list) {
    const e = from.events.get(found.id)!;
    const id = made.get(e.id)!;
    const all = valuesOf(EVENT, e) as Record<string, unknown>;
    const fields = Object.fromEntries(COPIED.map((f) => [f, all[f]]));
    // A copy has no place by hand: the two would lie on each other.
    fields.spot = null;
    // The other timeline has another map.
    if (other) fields.onMap = null;
    if (!other) fields.origin = "";
    fields.category = categories(e.category);
    const whole = e.partOf && (made.get(e.partOf) ?? (other ? null : e.partOf));
    fields.partOf = whole ?? null;
    if (!isDated(e.when)) {
      if (!other) fields.when = { ...e.when, place: placeAfter(from.events, e.id) };
      else {
        last = last ? { after: last.after, key: between(last.key, null) } : placeAtEnd(other.into.events);
        fields.when = { ...e.when, place: last };
      }
    }
    ops.push({ kind: "add_event", id, fields });
    const entries = new Map<string, string>();
    const described = ops.length;
    for (const listName of ITEM_LISTS)
      for (const i of items(e.id, listName)) {
        const media = i.media && other ? other.mediaFor(i.media) : i.media;
        // What stays at another site does so without its still too.
        if (i.media && !media && i.player === "") continue;
        const item = newId();
        entries.set(i.id, item);
        ops.push({
          kind: "add_item",
          id: item,
          fields: {
            ...valuesOf(ITEM, i),
            media,
            cut: other ? cutThere(i.cut, other.mediaFor) : i.cut,
            of: id,
            source: sources(i.source),
          },
        });
      }
    if (e.description.length > 0)
      ops.splice(described, 0, { kind: "describe", of: id, update: toBase64(withEntries(e.description, entries)) });
  }
  return { ops, ids: list.map((e) => made.get(e.id)!) };
}

/**
 * The steps that make an empty timeline the same as another one, under another title: ids stay, what is the server's to set and what
 * was deleted is left out. `mediaFor`: the file an entry shows there; null leaves it out.
 */
export function copyTimeline(from: Timeline, title: string, mediaFor: (media: string) => string | null): Op[] {
  const ops: Op[] = [];
  const own = valuesOf(TIMELINE, from) as Record<string, unknown>;
  const usual = emptyOf(TIMELINE) as Record<string, unknown>;
  // A new timeline has the language of whoever made it: that of the other one is said always.
  for (const field of namesOf(TIMELINE, (f) => !f.serverOnly))
    if (field !== "title" && (field === "language" || !sameValue(own[field], usual[field])))
      ops.push({ kind: "set_timeline", field, value: own[field] as Value });
  ops.push({ kind: "set_timeline", field: "title", value: title });
  for (const text of OWN_TEXTS)
    if (from[text].length > 0) ops.push({ kind: "describe", of: text, update: toBase64(from[text]) });
  for (const c of from.categories.values())
    if (!c.deleted) ops.push({ kind: "add_category", id: c.id, fields: valuesOf(CATEGORY, c) });
  for (const s of from.sources.values())
    if (!s.deleted) ops.push({ kind: "add_source", id: s.id, fields: valuesOf(SOURCE, s) });
  for (const e of from.events.values()) {
    if (e.deleted) continue;
    const all = valuesOf(EVENT, e) as Record<string, unknown>;
    ops.push({ kind: "add_event", id: e.id, fields: Object.fromEntries(COPIED.map((f) => [f, all[f]])) });
    if (e.description.length > 0) ops.push({ kind: "describe", of: e.id, update: toBase64(e.description) });
  }
  for (const i of from.items.values()) {
    const owner = from.events.get(i.of);
    if (i.deleted || (i.of !== "timeline" && (!owner || owner.deleted))) continue;
    const media = i.media && mediaFor(i.media);
    if (i.media && !media && i.player === "") continue;
    ops.push({
      kind: "add_item",
      id: i.id,
      fields: { ...valuesOf(ITEM, i), media: media ?? null, cut: cutThere(i.cut, mediaFor) },
    });
  }
  return ops;
}

/** A cut by the file it is cut out of there; without that file the part stands for itself. */
export function cutThere(cut: Cut | null, mediaFor: (media: string) => string | null): Cut | null {
  const of = cut && mediaFor(cut.of);
  return cut && of ? { ...cut, of } : null;
}

/** The uploaded files that entries show, and those they are cut out of. */
export function filesOf(items: Iterable<Pick<Item, "media" | "cut">>): string[] {
  return [...items].flatMap((i) => [...(i.media ? [i.media] : []), ...(i.cut ? [i.cut.of] : [])]);
}

/** A source's id where the copy goes: the same, or one there that says the same, made where there is none. */
function sourceFinder(
  from: Timeline,
  into: Timeline | undefined,
  newId: () => string,
  ops: Op[],
): (id: string | null) => string | null {
  if (!into) return (id) => id;
  const said = (s: Source) => canonicalJson(valuesOf(SOURCE, s));
  const known = new Map([...into.sources.values()].filter((s) => !s.deleted).map((s) => [said(s), s.id]));
  return (id) => {
    const own = from.sources.get(id ?? "");
    if (!own || own.deleted) return null;
    const found = known.get(said(own));
    if (found) return found;
    const source = newId();
    ops.push({ kind: "add_source", id: source, fields: valuesOf(SOURCE, own) });
    known.set(said(own), source);
    return source;
  };
}

/** A category's id where the copy goes: the same, or the one of its name there, made where there is none. */
function categoryFinder(
  from: Timeline,
  into: Timeline | undefined,
  newId: () => string,
  ops: Op[],
): (id: string | null) => string | null {
  if (!into) return (id) => id;
  const there = categoriesOf(into);
  const known = new Map(there.map((c) => [c.name.trim().toLowerCase(), c.id]));
  const used = [...there];
  return (id) => {
    const own = from.categories.get(id ?? "");
    if (!own || own.deleted) return null;
    const name = own.name.trim().toLowerCase();
    const found = known.get(name);
    if (found) return found;
    const look = used.some((c) => c.colour === own.colour) ? nextLook(used) : own;
    const made = {
      name: own.name,
      colour: look.colour,
      pattern: look.pattern,
      place: between(used.at(-1)?.place ?? null, null),
    };
    const category = newId();
    ops.push({ kind: "add_category", id: category, fields: made });
    used.push({ ...own, ...made, id: category });
    known.set(name, category);
    return category;
  };
}
