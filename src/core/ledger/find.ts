import { ITEM_LISTS, type ItemList } from "../timeline/fields";
import type { EventField, ItemField, Op, SourceField, TimelineField } from "../change/change";
import { blocksOf, plainTextOf } from "../text/description";
import { placesIn, placesInDescription, replacedIn, replaceInDescription, type Wanted } from "../text/replace-words";
import { readWhen } from "../time/read/read-when";
import { inRows } from "../timeline/order";
import { readOptionsFor } from "../timeline/read-options";
import { categoriesOf, isOwnText, itemsByOwner, type Timeline } from "../timeline/timeline";

/** One text of a timeline that may be looked through. */
export type TextOf =
  | { kind: "timeline"; field: TimelineField }
  | { kind: "event"; id: string; field: EventField }
  | { kind: "category"; id: string }
  | { kind: "item"; id: string; list: ItemList; field: ItemField }
  | { kind: "source"; id: string; field: SourceField }
  /** "introduction", "closing" or an event's id. */
  | { kind: "description"; of: string };

/** One place where what is looked for stands. */
export interface FoundPlace {
  /** The same for the same place as long as its text stays. */
  key: string;
  /** The event it belongs to; null: the whole timeline. */
  event: string | null;
  of: TextOf;
  /** The text around it, and where in it it is. */
  text: string;
  from: number;
  to: number;
  /** Given by a teacher: it can be found, not replaced. */
  locked: boolean;
}

/** So many places are listed; more are counted as "more". */
export const MOST_FOUND = 2_000;

const EVENT_TEXTS = ["title", "shortTitle", "when", "place", "note"] as const;
const ITEM_TEXTS = ["text", "caption", "credit", "address", "page", "quote"] as const;
const SOURCE_TEXTS = ["title", "authors", "within", "publisher", "place", "callNumber", "address"] as const;
/** Authors are looked through as one text. */
const BETWEEN_AUTHORS = "; ";
const TIMELINE_TEXTS = ["title", "subject", "byline"] as const;

/** Every place of a text in a timeline, in the order of the events; `more`: there are more than are listed. */
export function findPlaces(t: Timeline, wanted: Wanted): { places: FoundPlace[]; more: boolean } {
  const places: FoundPlace[] = [];
  if (wanted.text === "") return { places, more: false };
  const put = (of: TextOf, event: string | null, text: string, locked = false) => {
    for (const [n, p] of placesIn(text, wanted).entries())
      places.push({ key: `${keyOf(of)}:${n}`, event, of, text, ...p, locked });
  };
  const inDescription = (of: string, state: Uint8Array) => {
    if (state.length === 0 || placesIn(plain(state), wanted).length === 0) return;
    for (const [n, p] of placesInDescription(state, wanted).entries())
      places.push({
        key: `description:${of}:${n}`,
        event: isOwnText(of) ? null : of,
        of: { kind: "description", of },
        ...p,
        locked: false,
      });
  };
  const items = itemsByOwner(t);
  const listed = (of: string, event: string | null) => {
    for (const list of ITEM_LISTS)
      for (const i of items(of, list))
        for (const field of ITEM_TEXTS) put({ kind: "item", id: i.id, list, field }, event, i[field]);
  };
  for (const field of TIMELINE_TEXTS) put({ kind: "timeline", field }, null, t[field]);
  inDescription("introduction", t.introduction);
  inDescription("closing", t.closing);
  listed("timeline", null);
  for (const c of categoriesOf(t)) put({ kind: "category", id: c.id }, null, c.name);
  for (const s of t.sources.values())
    if (!s.deleted)
      for (const field of SOURCE_TEXTS)
        put(
          { kind: "source", id: s.id, field },
          null,
          field === "authors" ? s.authors.join(BETWEEN_AUTHORS) : s[field],
        );
  for (const { id } of inRows(t.events.values())) {
    const e = t.events.get(id)!;
    for (const field of EVENT_TEXTS)
      put(
        { kind: "event", id, field },
        id,
        field === "when" ? e.when.typed : e[field],
        e.locked && (field === "title" || field === "when"),
      );
    inDescription(id, e.description);
    listed(id, id);
    if (places.length > MOST_FOUND) return { places: places.slice(0, MOST_FOUND), more: true };
  }
  return { places, more: false };
}

const texts = new WeakMap<Uint8Array, string>();
function plain(state: Uint8Array): string {
  let text = texts.get(state);
  if (text === undefined) {
    text = plainTextOf(blocksOf(state));
    texts.set(state, text);
  }
  return text;
}

function keyOf(of: TextOf): string {
  switch (of.kind) {
    case "timeline":
      return `timeline:${of.field}`;
    case "category":
      return `category:${of.id}`;
    case "description":
      return `description:${of.of}`;
    default:
      return `${of.kind}:${of.id}:${of.field}`;
  }
}

export interface Replaced {
  ops: Op[];
  /** Places that are replaced. */
  places: number;
  /** Titles that would be left without a word, and stay. */
  emptied: number;
}

/** The steps that replace the chosen places (by key): one change. */
export function replacePlaces(
  t: Timeline,
  found: readonly FoundPlace[],
  chosen: ReadonlySet<string>,
  wanted: Wanted,
  by: string,
): Replaced {
  const done: Replaced = { ops: [], places: 0, emptied: 0 };
  const texts = new Map<string, FoundPlace[]>();
  for (const p of found) {
    if (p.locked || !chosen.has(p.key)) continue;
    const key = keyOf(p.of);
    const list = texts.get(key);
    if (list) list.push(p);
    else texts.set(key, [p]);
  }
  for (const list of texts.values()) {
    const { of, text } = list[0]!;
    const which = (n: number) => chosen.has(`${keyOf(of)}:${n}`);
    if (of.kind === "description") {
      const state = isOwnText(of.of) ? t[of.of] : t.events.get(of.of)!.description;
      const update = replaceInDescription(state, wanted, by, which);
      if (update) done.ops.push({ kind: "describe", of: of.of, update });
      done.places += list.length;
      continue;
    }
    const value = replacedIn(text, wanted, by, which);
    if (value.trim() === "" && (of.kind === "category" || ("field" in of && of.field === "title"))) {
      done.emptied++;
      continue;
    }
    done.places += list.length;
    if (of.kind === "timeline") done.ops.push({ kind: "set_timeline", field: of.field, value });
    else if (of.kind === "category") done.ops.push({ kind: "set_category", id: of.id, field: "name", value });
    else if (of.kind === "item") done.ops.push({ kind: "set_item", id: of.id, field: of.field, value });
    else if (of.kind === "source")
      done.ops.push({
        kind: "set_source",
        id: of.id,
        field: of.field,
        value: of.field === "authors" ? value.split(BETWEEN_AUTHORS).filter((a) => a.trim()) : value,
      });
    else if (of.field === "when") {
      const { place } = t.events.get(of.id)!.when;
      const read = readWhen(value, readOptionsFor(t, of.id));
      done.ops.push({ kind: "set_event", id: of.id, field: "when", value: place ? { ...read, place } : read });
    } else done.ops.push({ kind: "set_event", id: of.id, field: of.field, value });
  }
  return done;
}
