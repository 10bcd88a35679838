import type { Op } from "../change/change";
import { sameValue } from "../change/same-value";
import { type ReadOptions, readWhen } from "../time/read-when";
import { isInstant } from "../time/range";
import type { When } from "../time/when";
import type { Timeline } from "./timeline";

type Settings = Pick<Timeline, "dateOrder" | "hemisphere" | "margins">;

/** How dates are read in a timeline. */
export function readOptionsOf(t: Settings): ReadOptions {
  return { order: t.dateOrder, hemisphere: t.hemisphere, margins: t.margins ?? {} };
}

/**
 * The steps that set how dates are read and read anew what was typed: one change, in which every date that is now meant
 * otherwise is named. A date whose reading stays the same is not touched.
 */
export function setReading(t: Timeline, change: Partial<Settings>): Op[] {
  const next = { ...t, ...change };
  const options = readOptionsOf(next);
  const ops: Op[] = [];
  for (const field of ["dateOrder", "hemisphere", "margins"] as const)
    if (field in change) ops.push({ kind: "set_timeline", field, value: next[field] });
  for (const e of t.events.values()) {
    if (e.when.typed.trim() === "" || e.locked) continue;
    const read = readWhen(e.when.typed, options);
    const value = e.when.place ? { ...read, place: e.when.place } : read;
    if (!sameValue(value, e.when)) ops.push({ kind: "set_event", id: e.id, field: "when", value });
  }
  return ops;
}

/** The ways a date may honestly have been read, beside the timeline's own: settings change while changes are under way. */
const WAYS: readonly ReadOptions[] = [
  ...(["dmy", "mdy", "ymd", null] as const).flatMap((order) =>
    (["north", "south"] as const).map((hemisphere) => ({ order, hemisphere })),
  ),
];

/**
 * A date as the reader of dates reads what was typed. What was sent along counts only where the reader gives the same in one of
 * its ways (an order of day and month, a day that a time alone belongs to); anything else is read anew. So nobody can
 * store a date that its text does not say. Width of "about" and place in the order are their author's.
 */
export function confirmReading(sent: When, options: ReadOptions): When {
  const said = { margin: sent.margin, ...(sent.place ? { place: sent.place } : {}) };
  const own = readWhen(sent.typed, options);
  if (sameReading(own, sent)) return { ...own, ...said };
  const day = dayOf(sent);
  for (const way of WAYS) {
    const read = readWhen(sent.typed, { ...way, day, today: day });
    if (sameReading(read, sent)) return { ...read, ...said };
  }
  return { ...own, ...said, margin: sent.margin ?? own.margin };
}

function sameReading(a: When, b: When): boolean {
  return sameValue(a.readAs, b.readAs) && a.edtf === b.edtf && a.calendar === b.calendar;
}

function dayOf({ readAs: r }: When): number | null {
  const at = r.kind === "moment" ? r.at.from : r.kind === "span" ? (r.start?.from ?? r.end?.from) : null;
  return at && isInstant(at) ? at.day : null;
}
