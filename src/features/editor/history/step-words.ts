import type { Op, Value } from "@/core/change/change";
import { coordinatesText } from "@/core/places/coordinates";
import type { Point } from "@/core/timeline/fields";
import type { Item, Timeline } from "@/core/timeline/timeline";

/** What one step replaced, as the history answers it. */
export type StepWas = { value?: unknown; skipped?: string } | null;

/** Fields by the names people know them by, where those differ. */
export const FIELD: Record<string, string> = {
  shortTitle: "short title",
  partOf: "part of",
  byHand: "order",
  dateOrder: "order of day and month",
  when: "date",
  foundOn: "day it was looked up",
  text: "words",
  sourceManner: "manner of the list of sources",
  lookedUp: "day it was looked up",
  callNumber: "call number",
  quote: "quoted words",
  rest: "what came along",
  firstView: "first view",
  gridlines: "lines across the chart",
  marks: "marks on the ridge",
  spot: "place of the label",
  closeUp: "close-up",
  done: "percent done",
  lengths: "how long spans last",
  today: "today's line",
  pictures: "pictures on the chart",
  labelWords: "words under titles",
  loudness: "loudness of the label",
  focus: "what of a picture is seen",
  caption: "caption",
  note: "private note",
  origin: "number in the file it came from",
  media: "file that is shown",
  point: "place on the map",
  startAt: "second it is played from",
  endAt: "second it is played to",
  length: "length",
  spoken: "spoken text",
  subtitles: "subtitles",
  emphasis: "importance",
  onMap: "spot on the map",
  mapTies: "ties of the map to the world",
  pictureBob: "picture in place of the bob",
  coverPlace: "place of the cover",
  typeSize: "type of labels",
  texture: "texture behind the chart",
  backStrength: "strength of the picture behind the chart",
  backFit: "place of the picture behind the chart",
  lineWeight: "weight of lines",
  labelDates: "dates on labels",
  labelTitles: "titles on labels",
  labelSays: "what the label says",
};

/** Fields of an entry that follow from its file: what is said of that says it all. */
const FOLLOWING = new Set<string>(["width", "height", "moving", "cut", "length", "tones"]);

/** Whether a field of an entry is spoken of in the history. */
export const isSpoken = (kind: string, field: string | undefined): boolean =>
  kind !== "item" || !FOLLOWING.has(field ?? "");

/** One step as a sentence. */
export function inWords(op: Op, was: StepWas, t: Timeline): string {
  const left = was?.skipped ? " (had no effect: changed by someone else first)" : "";
  switch (op.kind) {
    case "describe":
      return `wrote in the ${op.of === "introduction" ? "introduction" : op.of === "closing" ? "closing page" : `description of ${eventName(op.of, t)}`}`;
    case "set_timeline":
      return `set the timeline's ${FIELD[op.field] ?? op.field} from ${value(was?.value)} to ${value(op.value)}${left}`;
    case "set_event":
      return `set ${FIELD[op.field] ?? op.field} of ${eventName(op.id, t)} from ${value(was?.value, t)} to ${value(op.value, t)}${left}`;
    case "add_event":
      return `added ${eventName(op.id, t)}`;
    case "delete_event":
      return `deleted ${eventName(op.id, t)}`;
    case "restore_event":
      return `put ${eventName(op.id, t)} back`;
    case "set_category":
      return `set ${op.field} of a category from ${value(was?.value)} to ${value(op.value)}${left}`;
    case "set_source":
      return `set ${FIELD[op.field] ?? op.field} of the source ${sourceName(op.id, t)} from ${value(was?.value)} to ${value(op.value)}${left}`;
    case "set_item":
      if (op.field === "media")
        return `${t.items.get(op.id)?.kind === "picture" ? "cut or turned a picture" : "chose another still of a video"}${left}`;
      return `set ${FIELD[op.field] ?? op.field} of a ${t.items.get(op.id)?.list ?? "source"} from ${value(was?.value, t)} to ${value(op.value, t)}${left}`;
    default: {
      const [verb, what] = op.kind.split("_");
      const name =
        what === "category"
          ? `category “${t.categories.get(op.id)?.name ?? ""}”`
          : what === "source"
            ? `the source ${sourceName(op.id, t)}`
            : `a ${itemName(t.items.get(op.id), what)}`;
      return `${verb === "add" ? "added" : verb === "delete" ? "deleted" : "put back"} ${name}`;
    }
  }
}

const itemName = (item: Item | undefined, what: string | undefined) =>
  item?.kind === "page" ? "web page" : (item?.kind ?? item?.list ?? what);

function eventName(id: string, t: Timeline): string {
  return `“${t.events.get(id)?.title || "Untitled"}”`;
}

function sourceName(id: string, t: Timeline): string {
  return `“${t.sources.get(id)?.title.slice(0, 60) || "Untitled"}”`;
}

/** A value in words. */
export function value(v: unknown, t?: Timeline): string {
  if (v === null || v === undefined || v === "") return "nothing";
  if (Array.isArray(v)) return v.length === 0 ? "nothing" : `“${v.join(", ")}”`;
  if (
    typeof v === "object" &&
    !("typed" in v) &&
    Object.values(v).every((x) => typeof x === "string") &&
    !("kind" in v)
  )
    return Object.keys(v).length === 0 ? "nothing" : `“${Object.values(v).join(", ").slice(0, 120)}”`;
  if (typeof v === "object" && "along" in v) return "a place by hand";
  if (typeof v === "object" && "lat" in v) return coordinatesText(v as Point);
  if (typeof v === "object" && "kind" in v)
    return v.kind === "list"
      ? `“${(v as { text?: string }).text}”`
      : `every ${(v as { step?: number }).step} ${(v as { unit?: string }).unit}`;
  if (typeof v === "object") return `“${(v as { typed?: string }).typed || "no date"}”`;
  if (typeof v === "boolean") return v ? "yes" : "no";
  const id = String(v).replace(/^~/, "");
  const named = t?.categories.get(id)?.name ?? t?.events.get(id)?.title ?? t?.sources.get(id)?.title;
  return `“${named ?? String(v as Value)}”`;
}
