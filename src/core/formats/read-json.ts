import { WORDS as COMMON } from "../words/common";
import type { Block } from "../text/description";
import { blocksIn } from "../text/write-description";
import { fitsSchema } from "../text/fits-schema";
import { readWhen } from "../time/read/read-when";
import { whenInRange } from "../time/range";
import { UNDATED, type When } from "../time/when";
import { WHEN_SCHEMA } from "../time/when-schema";
import { CATEGORY, EVENT, type Field, ITEM, SOURCE, TIMELINE, type ValuesOf } from "../timeline/fields";
import { FROZEN_FORMAT, type Frozen, type FrozenChapter } from "./frozen";

type Loose = Record<string, unknown>;
const isObject = (v: unknown): v is Loose => typeof v === "object" && v !== null && !Array.isArray(v);
const listOf = (v: unknown) => (Array.isArray(v) ? v.filter(isObject) : []);

/**
 * Reads the JSON that `canonicalJson(toFrozen(...))` writes (docs/timeline-format.md), of this version or an earlier one. What is
 * missing, or is not as its field says, gets its usual value; a date that is no more than what was typed is read. A sentence when it is
 * something else, or of a later version.
 */
export function readJson(text: string): { frozen: Frozen } | { problem: string } {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (e) {
    return { problem: COMMON.json.broken((e as Error).message) };
  }
  if (!isObject(value) || !Array.isArray(value.events)) return { problem: COMMON.json.noEvents };
  if (typeof value.format === "number" && value.format > FROZEN_FORMAT)
    return { problem: COMMON.json.later(value.format) };
  const wrong = value.events.findIndex((e) => !isObject(e) || (e.when !== undefined && whenOf(e.when) === null));
  if (wrong >= 0)
    return {
      problem: COMMON.json.noDate(wrong + 1),
    };
  const given = { events: listOf(value.events), chapters: listOf(value.chapters) };
  const ids = new Ids();
  const eventIds = given.events.map((e, i) => ids.add(e.id, String(i + 1)));
  const chapterIds = given.chapters.map((c, i) => ids.add(c.id, `ch${i + 1}`));
  const own = listOf(value.categories);
  const categoryIds = new Ids();
  const categories = own.map((c, i) => ({ ...fitted(CATEGORY, c), id: categoryIds.add(c.id, `c${i + 1}`) }));
  const sourceIds = new Ids();
  const sources = listOf(value.sources).map((s, i) => ({
    ...fitted(SOURCE, s),
    date: whenOf(s.date) ?? UNDATED,
    id: sourceIds.add(s.id, `s${i + 1}`),
  }));
  const itemIds = new Ids();
  const items = listOf(value.items).map((m, i) => ({
    ...fitted(ITEM, m),
    of: m.of === "timeline" || m.of === undefined ? "timeline" : (ids.get(m.of) ?? "timeline"),
    source: sourceIds.get(m.source),
    id: itemIds.add(m.id, `i${i + 1}`),
  }));
  const texts = (blocks: unknown): Block[] => named(blocksIn(blocks), itemIds);
  const frozen: Frozen = {
    ...fitted(TIMELINE, value),
    period: whenOf(value.period) ?? UNDATED,
    timesOn: value.timesOn == null ? null : whenOf(value.timesOn),
    format: FROZEN_FORMAT,
    introduction: texts(value.introduction),
    closing: texts(value.closing),
    chapters: given.chapters.map(
      (c, i): FrozenChapter => ({
        id: chapterIds[i]!,
        title: typeof c.title === "string" ? c.title : "",
        description: texts(c.description),
        before: ids.get(c.before),
        place: placeOf(c.place, ids),
      }),
    ),
    categories,
    events: given.events.map((e, i) => {
      const when = e.when === undefined ? UNDATED : whenOf(e.when)!;
      return {
        ...fitted(EVENT, e),
        when: when.place ? { ...when, place: placeOf(when.place, ids)! } : when,
        partOf: ids.get(e.partOf),
        category: categoryIds.get(e.category),
        id: eventIds[i]!,
        description: texts(e.description),
      };
    }),
    items,
    sources,
  };
  return { frozen };
}

/** Ids of a file, each once and as ids are; others by what stands for them. */
class Ids {
  private readonly made = new Map<string, string>();
  private readonly taken = new Set<string>();

  add(given: unknown, usual: string): string {
    const name = typeof given === "string" ? given : "";
    let id = /^[A-Za-z0-9_-]{1,40}$/.test(name) && !this.taken.has(name) && name !== "timeline" ? name : usual;
    for (let n = 1; this.taken.has(id); n++) id = `${usual}-${n}`;
    this.taken.add(id);
    if (name && !this.made.has(name)) this.made.set(name, id);
    return id;
  }

  get(given: unknown): string | null {
    return typeof given === "string" ? (this.made.get(given) ?? null) : null;
  }
}

/** The fields of a record: those that are as their table says, the usual value for the others. */
function fitted<F extends Record<string, Field<unknown>>>(table: F, record: Loose): ValuesOf<F> {
  return Object.fromEntries(
    Object.entries(table).map(([k, f]) => [
      k,
      record[k] !== undefined && (f.isWhen || fitsSchema(f.schema, record[k])) ? record[k] : f.empty,
    ]),
  ) as unknown as ValuesOf<F>;
}

/** A date as it was written, or as it is read from what was typed; null for what is none. */
function whenOf(given: unknown): When | null {
  if (typeof given === "string") return readWhen(given, { sentence: false });
  if (!isObject(given)) return null;
  // A day that is no number between the ends of time is taken for what it says in words.
  if (fitsSchema(WHEN_SCHEMA, given)) return whenInRange(given as unknown as When);
  if (typeof given.typed !== "string") return null;
  if (isLoosely(given)) return whenInRange(given as unknown as When);
  return readWhen(given.typed.slice(0, MOST_TYPED), { sentence: false });
}
const MOST_TYPED = 300;

/** A date of a version that said more or less of it than this one. */
function isLoosely({ readAs: r, calendar }: Loose): boolean {
  if (!isObject(r) || (calendar !== "gregorian" && calendar !== "julian")) return false;
  const instant = (i: unknown) => i === null || (isObject(i) && Number.isFinite(i.day) && Number.isFinite(i.second));
  const moment = (m: unknown) => isObject(m) && instant(m.from) && instant(m.to) && typeof m.precision === "string";
  if (r.kind === "moment") return moment(r.at);
  if (r.kind === "span") return [r.start, r.end].every((m) => m === null || moment(m));
  return r.kind === "undated";
}

function placeOf(given: unknown, ids: Ids): NonNullable<When["place"]> | null {
  if (!isObject(given)) return null;
  const { key } = given;
  return { after: ids.get(given.after), key: typeof key === "string" && /^[A-Za-z0-9]{0,200}$/.test(key) ? key : "" };
}

/** Blocks in which entries are named by the ids they have here. */
function named(blocks: readonly Block[], ids: Ids): Block[] {
  return blocks.flatMap((b): Block[] => {
    switch (b.kind) {
      case "medium": {
        const item = ids.get(b.item);
        return item ? [{ ...b, item }] : [];
      }
      case "quote": {
        const { source, ...rest } = b;
        const entry = source ? ids.get(source) : null;
        return [{ ...rest, blocks: named(b.blocks, ids), ...(entry ? { source: entry } : {}) }];
      }
      case "list":
        return [{ ...b, items: b.items.map((i) => named(i, ids)) }];
      default:
        return [b];
    }
  });
}
