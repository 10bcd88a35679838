import type { Op } from "@/core/change/change";
import { language } from "@/core/language/spoken";
import { coordinatesText } from "@/core/places/coordinates";
import { readWhen } from "@/core/time/read/read-when";
import { sameValue } from "@/core/text/same-value";
import { isDated, type When } from "@/core/time/when";
import { type Manner, whenLabel } from "@/core/time/write-when";
import type { Focus, Marks, Point } from "@/core/timeline/fields";
import type { Item, Timeline } from "@/core/timeline/timeline";
import { WORDS as ABOUT } from "@/core/words/editor-about";
import { WORDS as CHART } from "@/core/words/editor-chart";
import { WORDS as LOOK } from "@/core/words/looks";
import { WORDS as SOURCES } from "@/core/words/sources";
import { FIELD, VALUE, WORDS } from "@/core/words/steps";

/** What one step replaced, as the history answers it. */
export type StepWas = { value?: unknown; skipped?: string } | null;

/** A field by the name people know it by. */
export const fieldName = (field: string | undefined): string => FIELD[field ?? ""] ?? field ?? "";

/** Fields of an entry that follow from its file: what is said of that says it all. */
const FOLLOWING = new Set<string>(["width", "height", "moving", "cut", "length", "tones"]);

/** Whether a field of an entry is spoken of in the history. */
export const isSpoken = (kind: string, field: string | undefined): boolean =>
  kind !== "item" || !FOLLOWING.has(field ?? "");

/** One step as a sentence. */
export function inWords(op: Op, was: StepWas, t: Timeline): string {
  const left = was?.skipped ? WORDS.noEffect : "";
  switch (op.kind) {
    case "describe":
      return op.of === "introduction" || op.of === "closing"
        ? WORDS.wroteInPage[op.of]
        : WORDS.wroteIn(eventName(op.of, t));
    case "set_timeline":
      return WORDS.setTimeline(fieldName(op.field), value(was?.value, op.field), value(op.value, op.field)) + left;
    case "set_event":
      if (isOrder("event", op.field, was?.value, op.value)) return WORDS.moved(eventName(op.id, t)) + left;
      return setIn(op, eventName(op.id, t), was, t) + left;
    case "add_event":
      return WORDS.did.add(eventName(op.id, t));
    case "delete_event":
      return WORDS.did.delete(eventName(op.id, t));
    case "restore_event":
      return WORDS.did.restore(eventName(op.id, t));
    case "set_category":
      if (op.field === "place") return WORDS.moved(WORDS.category(t.categories.get(op.id)?.name ?? "")) + left;
      return setIn(op, WORDS.aCategory, was, t) + left;
    case "set_source":
      return setIn(op, WORDS.source(sourceName(op.id, t)), was, t) + left;
    case "set_item": {
      const item = t.items.get(op.id);
      if (op.field === "media") return (item?.kind === "picture" ? WORDS.cutPicture : WORDS.otherStill) + left;
      const of = itemName(item);
      return op.field === "place" ? WORDS.moved(of) + left : setIn(op, of, was, t) + left;
    }
    default: {
      const [verb, what] = op.kind.split("_") as ["add" | "delete" | "restore", string];
      return WORDS.did[verb](
        what === "category"
          ? WORDS.category(t.categories.get(op.id)?.name ?? "")
          : what === "source"
            ? WORDS.source(sourceName(op.id, t))
            : itemName(t.items.get(op.id)),
      );
    }
  }
}

const setIn = (op: { field: string; value: unknown }, of: string, was: StepWas, t: Timeline): string =>
  WORDS.set(fieldName(op.field), of, value(was?.value, op.field, t), value(op.value, op.field, t));

/** Whether a field says where something stands in an order; of a date: whether only its place among those without one is another. */
export function isOrder(kind: string, field: string, was: unknown, now: unknown): boolean {
  if (field === "place") return kind === "category" || kind === "item";
  if (field !== "when") return field === "byHand";
  const is = (v: unknown): v is When => typeof v === "object" && v !== null && "typed" in v;
  return is(was) && is(now) && was.typed === now.typed && !isDated(now) && !sameValue(was.place, now.place);
}

const itemName = (item: Item | undefined): string => WORDS.one[item?.kind ?? item?.list ?? "item"] ?? WORDS.one.item;

function eventName(id: string, t: Timeline): string {
  return WORDS.named(t.events.get(id)?.title || WORDS.untitled);
}

function sourceName(id: string, t: Timeline): string {
  return WORDS.named(t.sources.get(id)?.title.slice(0, 60) || WORDS.untitled);
}

/** The names of values that are chosen from a list, by field, in the language of the moment. */
const names = (): Readonly<Record<string, Readonly<Record<string, string>>>> => ({
  pictures: VALUE.pictures,
  labelWords: VALUE.labelWords,
  closeUp: VALUE.closeUp,
  dateOrder: VALUE.dateOrder,
  scale: CHART.scales,
  look: LOOK.names,
  colour: LOOK.colours,
  pattern: LOOK.patterns,
  sign: LOOK.signs,
  texture: LOOK.textures,
  backFit: LOOK.fits,
  lineWeight: LOOK.lineWeights,
  loudness: LOOK.loudness,
  labelDates: LOOK.labelDates,
  labelTitles: LOOK.labelTitles,
  coverPlace: ABOUT.coverPlaces,
  hemisphere: { north: ABOUT.ofTheNorth, south: ABOUT.ofTheSouth },
  sourceManner: SOURCES.manners,
  kind: SOURCES.kinds,
});

/** A date with all that a manner of writing dates says otherwise. */
const SAMPLE = "14 Nov 310 BC 22:10";

/** The value of a field in words. `t`: where what it names by an id has its name. */
export function value(v: unknown, field: string, t?: Timeline): string {
  const chosen = typeof v === "string" || typeof v === "number" ? names()[field]?.[String(v)] : undefined;
  if (chosen !== undefined) return WORDS.named(chosen);
  if (v === null || v === undefined || v === "") return WORDS.nothing;
  if (typeof v === "boolean") return v ? WORDS.yes : WORDS.no;
  if (Array.isArray(v)) {
    if (v.length === 0) return WORDS.nothing;
    if (field === "mapTies") return WORDS.points(v.length);
    const parts = field === "labelSays" ? v.map((p: keyof typeof LOOK.parts) => LOOK.parts[p] ?? p) : v;
    return WORDS.named(parts.join(", "));
  }
  if (typeof v === "object") return ofParts(v, field);
  const id = String(v).replace(/^~/, "");
  const named = t?.categories.get(id)?.name ?? t?.events.get(id)?.title ?? t?.sources.get(id)?.title;
  return WORDS.named(named ?? String(v));
}

/** A value that has parts. */
function ofParts(v: object, field: string): string {
  if ("along" in v) return WORDS.byHand;
  if ("lat" in v) return coordinatesText(v as Point);
  if ("typed" in v) return WORDS.named((v as When).typed || WORDS.noDate);
  if ("kind" in v) {
    const marks = v as Marks;
    return marks.kind === "list" ? WORDS.named(marks.text) : WORDS.every(marks.step, marks.unit);
  }
  if ("x" in v) {
    const { x, y } = v as Focus;
    return WORDS.spotAt(Math.round(x), Math.round(y));
  }
  if (Object.keys(v).length === 0) return WORDS.nothing;
  if (field === "dateStyle")
    return WORDS.named(whenLabel(readWhen(SAMPLE), { ...(v as Manner), language: language() }));
  if (field === "margins") return WORDS.ownMargins;
  return WORDS.named(Object.values(v).join(", ").slice(0, 120));
}
