import { whenInRange } from "../time/range";
import { UNDATED, type When } from "../time/when";
import { emptyCategory, emptyEvent, emptyItem, emptySource, emptyTimeline } from "../timeline/timeline";
import type { Spot } from "../timeline/fields";
import { FROZEN_FORMAT, type Frozen, toFrozen } from "./frozen";

const isObject = (v: unknown): v is Record<string, unknown> => typeof v === "object" && v !== null && !Array.isArray(v);

/** Reads the JSON that `canonicalJson(toFrozen(...))` writes. What is missing gets its usual value; a sentence when it is something else. */
export function readJson(text: string): { frozen: Frozen } | { problem: string } {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (e) {
    return { problem: `This is not JSON: ${(e as Error).message}.` };
  }
  if (!isObject(value) || !Array.isArray(value.events))
    return { problem: "This JSON is no timeline of Fastigo: it has no list of events." };
  if (typeof value.format === "number" && value.format > FROZEN_FORMAT)
    return { problem: `This timeline was written by a later Fastigo (format ${value.format}).` };
  const wrong = value.events.findIndex((e) => !isObject(e) || (e.when !== undefined && !isWhen(e.when)));
  if (wrong >= 0)
    return {
      problem: `Event ${wrong + 1} in this JSON has no date that can be read: "when" is not as Fastigo writes it.`,
    };
  const list = (v: unknown) => (Array.isArray(v) ? v.filter(isObject) : []);
  const { deleted: _e, ...event } = emptyEvent("");
  const { deleted: _c, ...category } = emptyCategory("");
  const { deleted: _i, ...item } = emptyItem("");
  const { deleted: _s, ...source } = emptySource("");
  const frozen = {
    ...toFrozen(emptyTimeline("file")),
    ...value,
    format: FROZEN_FORMAT,
    events: list(value.events).map((e, i) => ({
      ...fitted(event, e),
      when: e.when === undefined ? UNDATED : whenInRange(e.when as When),
      partOf: typeof e.partOf === "string" ? e.partOf : null,
      category: typeof e.category === "string" ? e.category : null,
      spot: isSpot(e.spot) ? e.spot : null,
      done: typeof e.done === "number" && e.done >= 0 && e.done <= 100 ? e.done : null,
      id: typeof e.id === "string" && e.id ? e.id : String(i + 1),
      description: Array.isArray(e.description) ? e.description : [],
    })),
    categories: list(value.categories).map((c, i) => ({ ...fitted({ ...category, id: `c${i + 1}` }, c) })),
    sources: list(value.sources).map((s, i) => ({
      ...fitted({ ...source, id: `s${i + 1}` }, s),
      date: isWhen(s.date) ? whenInRange(s.date) : UNDATED,
      authors: Array.isArray(s.authors) ? s.authors.filter((a) => typeof a === "string") : [],
    })),
    items: list(value.items).map((m, i) => ({ ...item, id: `i${i + 1}`, ...m })),
  } as Frozen;
  return { frozen };
}

/** The usual values with those given in their place, as far as they are of the same kind. */
function fitted<T extends object>(usual: T, given: Record<string, unknown>): T {
  const known = Object.entries(given).filter(
    ([k, v]) => !(k in usual) || usual[k as keyof T] === null || typeof usual[k as keyof T] === typeof v,
  );
  return { ...usual, ...Object.fromEntries(known) };
}

function isSpot(v: unknown): v is Spot {
  return isObject(v) && Number.isFinite(v.along) && Number.isFinite(v.across);
}

function isWhen(v: unknown): v is When {
  if (!isObject(v) || !isObject(v.readAs)) return false;
  const r = v.readAs;
  const instant = (i: unknown) => i === null || (isObject(i) && Number.isFinite(i.day) && Number.isFinite(i.second));
  const moment = (m: unknown) => isObject(m) && instant(m.from) && instant(m.to);
  if (r.kind === "moment") return moment(r.at);
  if (r.kind === "span") return [r.start, r.end].every((m) => m === null || moment(m));
  return r.kind === "undated" || r.kind === "not_understood";
}
