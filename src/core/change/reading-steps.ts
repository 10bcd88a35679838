import { sameValue } from "../text/same-value";
import { readWhen } from "../time/read/read-when";
import { isTimeAlone, UNDATED, type When } from "../time/when";
import { USUAL_MANNER } from "../time/write-when";
import { type ReadSettings, readOptionsOf } from "../timeline/read-options";
import type { Timeline } from "../timeline/timeline";
import type { Op } from "./change";

/**
 * The settings that dates typed for the first time decide for the whole timeline, in the same change: that it goes through
 * one day, and whether times are written by 24 hours or by am and pm.
 */
export function settingsFor(t: Pick<Timeline, "timesOn" | "dateStyle">, whens: readonly When[]): Op[] {
  const ops: Op[] = [];
  if (!t.timesOn && whens.some(isTimeAlone)) ops.push({ kind: "set_timeline", field: "timesOn", value: UNDATED });
  if (t.dateStyle?.clock === undefined) {
    const clock = clockOf(whens);
    if (clock)
      ops.push({ kind: "set_timeline", field: "dateStyle", value: { ...(t.dateStyle ?? USUAL_MANNER), clock } });
  }
  return ops;
}

/** The first manner of writing times that occurs in what was typed; null where there is no time. */
function clockOf(whens: readonly When[]): "24" | "12" | null {
  for (const { typed, readAs } of whens) {
    if (readAs.kind !== "moment" && readAs.kind !== "span") continue;
    if (/\d\s*[ap]\.?m\b/i.test(typed)) return "12";
    if (/\d{1,2}:\d{2}|\d\s*h\b/i.test(typed)) return "24";
  }
  return null;
}

/**
 * The steps that set how dates are read and read anew what was typed: one change, in which every date that is now meant
 * otherwise is named. A date whose reading stays the same is not touched.
 */
export function setReading(t: Timeline, change: Partial<ReadSettings>): Op[] {
  const next = { ...t, ...change };
  const options = readOptionsOf(next);
  const ops: Op[] = [];
  for (const field of ["dateOrder", "hemisphere", "margins", "timesOn"] as const)
    if (field in change) ops.push({ kind: "set_timeline", field, value: next[field] });
  for (const e of t.events.values()) {
    if (e.when.typed.trim() === "" || e.locked) continue;
    const read = readWhen(e.when.typed, options);
    const value = e.when.place ? { ...read, place: e.when.place } : read;
    if (!sameValue(value, e.when)) ops.push({ kind: "set_event", id: e.id, field: "when", value });
  }
  for (const s of t.sources.values()) {
    if (s.date.typed.trim() === "") continue;
    const value = readWhen(s.date.typed, { ...options, day: null });
    if (!sameValue(value, s.date)) ops.push({ kind: "set_source", id: s.id, field: "date", value });
  }
  return ops;
}

/** The steps that put all times alone on the day that a text says; "" for one day nobody names. */
export function timesOnOps(t: Timeline, day: string): Op[] {
  return setReading(t, { timesOn: readWhen(day, { ...readOptionsOf(t), day: null, sentence: false }) });
}
