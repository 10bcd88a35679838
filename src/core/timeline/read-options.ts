import type { Op } from "../change/change";
import { sameValue } from "../change/same-value";
import { type ReadOptions, readWhen } from "../time/read-when";
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
