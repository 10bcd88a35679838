import type { Op, Value } from "@/core/change/change";
import { coordinatesText } from "@/core/places/coordinates";
import type { Point } from "@/core/timeline/fields";
import type { Item, Timeline } from "@/core/timeline/timeline";
import { FIELD, WORDS } from "@/core/words/steps";

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
      return WORDS.setTimeline(fieldName(op.field), value(was?.value), value(op.value)) + left;
    case "set_event":
      return WORDS.set(fieldName(op.field), eventName(op.id, t), value(was?.value, t), value(op.value, t)) + left;
    case "add_event":
      return WORDS.did.add(eventName(op.id, t));
    case "delete_event":
      return WORDS.did.delete(eventName(op.id, t));
    case "restore_event":
      return WORDS.did.restore(eventName(op.id, t));
    case "set_category":
      return WORDS.set(fieldName(op.field), WORDS.aCategory, value(was?.value), value(op.value)) + left;
    case "set_source":
      return (
        WORDS.set(fieldName(op.field), WORDS.source(sourceName(op.id, t)), value(was?.value), value(op.value)) + left
      );
    case "set_item": {
      const item = t.items.get(op.id);
      if (op.field === "media") return (item?.kind === "picture" ? WORDS.cutPicture : WORDS.otherStill) + left;
      const of = WORDS.one[item?.list ?? "source"] ?? WORDS.one.item;
      return WORDS.set(fieldName(op.field), of, value(was?.value, t), value(op.value, t)) + left;
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

const itemName = (item: Item | undefined): string => WORDS.one[item?.kind ?? item?.list ?? "item"] ?? WORDS.one.item;

function eventName(id: string, t: Timeline): string {
  return WORDS.named(t.events.get(id)?.title || WORDS.untitled);
}

function sourceName(id: string, t: Timeline): string {
  return WORDS.named(t.sources.get(id)?.title.slice(0, 60) || WORDS.untitled);
}

/** A value in words. */
export function value(v: unknown, t?: Timeline): string {
  if (v === null || v === undefined || v === "") return WORDS.nothing;
  if (Array.isArray(v)) return v.length === 0 ? WORDS.nothing : WORDS.named(v.join(", "));
  if (
    typeof v === "object" &&
    !("typed" in v) &&
    Object.values(v).every((x) => typeof x === "string") &&
    !("kind" in v)
  )
    return Object.keys(v).length === 0 ? WORDS.nothing : WORDS.named(Object.values(v).join(", ").slice(0, 120));
  if (typeof v === "object" && "along" in v) return WORDS.byHand;
  if (typeof v === "object" && "lat" in v) return coordinatesText(v as Point);
  if (typeof v === "object" && "kind" in v)
    return v.kind === "list"
      ? WORDS.named((v as { text?: string }).text ?? "")
      : WORDS.every((v as { step?: number }).step ?? 1, (v as { unit?: string }).unit ?? "years");
  if (typeof v === "object") return WORDS.named((v as { typed?: string }).typed || WORDS.noDate);
  if (typeof v === "boolean") return v ? WORDS.yes : WORDS.no;
  const id = String(v).replace(/^~/, "");
  const named = t?.categories.get(id)?.name ?? t?.events.get(id)?.title ?? t?.sources.get(id)?.title;
  return WORDS.named(named ?? String(v as Value));
}
