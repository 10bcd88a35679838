import { type Block, blocksOf } from "../text/description";
import { whenInRange } from "../time/range";
import type { When } from "../time/when";
import { inOrder } from "../timeline/order";
import { wholesOf } from "../timeline/parts";
import {
  type Category,
  categoriesOf,
  emptyEvent,
  emptyTimeline,
  type Item,
  itemsByOwner,
  type Scale,
  type Timeline,
  type TimelineEvent,
} from "../timeline/timeline";

/** The number of the format below; raised when its meaning changes, and old ones stay readable. */
export const FROZEN_FORMAT = 1;

export type FrozenEvent = Omit<TimelineEvent, "description" | "deleted"> & { description: Block[] };

/** A timeline as it was at one moment, as plain data: only what is not deleted, events in their order. */
export interface Frozen {
  format: typeof FROZEN_FORMAT;
  title: string;
  subject: string;
  byline: string;
  introduction: Block[];
  period: When;
  scale: Scale;
  dateOrder: "dmy" | "mdy" | null;
  dateStyle: Timeline["dateStyle"];
  hemisphere: Timeline["hemisphere"];
  margins: Timeline["margins"];
  /** Missing in versions of before there was such a day. */
  timesOn?: Timeline["timesOn"];
  gridlines: boolean;
  lengths: boolean;
  today: boolean;
  marks: Timeline["marks"];
  firstView: string;
  categories: Omit<Category, "deleted">[];
  events: FrozenEvent[];
  items: Omit<Item, "deleted">[];
}

/** Takes the timeline as it stands. */
export function toFrozen(t: Timeline): Frozen {
  const events = inOrder(t.events.values());
  const wholes = wholesOf(t.events);
  const items = itemsByOwner(t);
  const owners = ["timeline", ...events.map((e) => e.id)];
  const without = <T extends { deleted: boolean }>({ deleted: _, ...rest }: T) => rest;
  return {
    format: FROZEN_FORMAT,
    title: t.title,
    subject: t.subject,
    byline: t.byline,
    introduction: blocksOf(t.introduction),
    period: t.period,
    scale: t.scale,
    dateOrder: t.dateOrder,
    dateStyle: t.dateStyle,
    hemisphere: t.hemisphere,
    margins: t.margins,
    ...(t.timesOn ? { timesOn: t.timesOn } : {}),
    gridlines: t.gridlines,
    lengths: t.lengths,
    today: t.today,
    marks: t.marks,
    firstView: t.firstView,
    categories: categoriesOf(t).map(without),
    events: events.map((e) => ({
      ...without(e),
      partOf: wholes.get(e.id) ?? null,
      description: blocksOf(e.description),
    })),
    items: owners.flatMap((of) =>
      (["media", "source", "link"] as const).flatMap((list) => items(of, list).map(without)),
    ),
  };
}

/** A frozen timeline as the chart takes it (the chart needs no descriptions). */
export function timelineFromFrozen(f: Frozen, id = "frozen"): Timeline {
  const living = <T extends { id: string }>(list: readonly T[]) =>
    new Map(list.map((r) => [r.id, { ...r, deleted: false }]));
  return {
    ...emptyTimeline(id),
    title: f.title,
    subject: f.subject,
    byline: f.byline,
    period: whenInRange(f.period),
    scale: f.scale,
    dateOrder: f.dateOrder,
    dateStyle: f.dateStyle ?? null,
    hemisphere: f.hemisphere ?? "north",
    margins: f.margins ?? null,
    timesOn: f.timesOn ? whenInRange(f.timesOn) : null,
    // Versions of before the chart had these have none.
    gridlines: f.gridlines ?? false,
    lengths: f.lengths ?? false,
    today: f.today ?? false,
    marks: f.marks ?? null,
    firstView: f.firstView ?? "",
    categories: living(f.categories),
    items: living(f.items),
    events: new Map(
      f.events.map((e) => [
        e.id,
        { ...emptyEvent(e.id), ...e, when: whenInRange(e.when), description: new Uint8Array(0) },
      ]),
    ),
  };
}

/** The ids of the uploaded media a frozen timeline shows. */
export function mediaIn(f: Frozen): string[] {
  return [...new Set(f.items.flatMap((i) => (i.media ? [i.media] : [])))].sort();
}

/** JSON with sorted keys and no spaces: equal values give equal bytes (RFC 8785 for what occurs here). */
export function canonicalJson(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonicalJson).join(",")}]`;
  if (value !== null && typeof value === "object")
    return `{${Object.entries(value)
      .filter(([, v]) => v !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([k, v]) => `${JSON.stringify(k)}:${canonicalJson(v)}`)
      .join(",")}}`;
  return JSON.stringify(value);
}
