import type { Op } from "../change/change";
import { sameValue } from "../change/same-value";
import { type ReadOptions, readWhen } from "../time/read-when";
import { isInstant } from "../time/range";
import { isDated, isTimeAlone, NO_DAY, startOf, UNDATED, type When } from "../time/when";
import { type Manner, USUAL_MANNER } from "../time/write-when";
import type { Timeline } from "./timeline";

type Settings = Pick<Timeline, "dateOrder" | "hemisphere" | "margins" | "timesOn">;

/** How dates are read in a timeline. */
export function readOptionsOf(t: Settings): ReadOptions {
  return { order: t.dateOrder, hemisphere: t.hemisphere, margins: t.margins ?? {}, day: silentDayOf(t.timesOn) };
}

/** The day number that times alone belong to; null where none was said. */
function silentDayOf(timesOn: When | null): number | null {
  if (!timesOn) return null;
  return startOf(timesOn)?.day ?? NO_DAY;
}

/** How a timeline writes its dates: what was set, and the day that goes without saying. */
export function mannerOf(t: { dateStyle?: Manner | null; timesOn?: When | null }): Manner {
  const manner = t.dateStyle ?? USUAL_MANNER;
  const { timesOn } = t;
  const day = silentDayOf(timesOn ?? null);
  if (!timesOn || day === null) return manner;
  const known = manners.get(timesOn);
  if (known?.of === manner) return known.manner;
  const made = { ...manner, silentDay: day };
  manners.set(timesOn, { of: manner, manner: made });
  return made;
}

/** The same settings give the same object. */
const manners = new WeakMap<When, { of: Manner; manner: Manner }>();

/**
 * What a line or a date field is read with: in a timeline that has no date yet, times alone are taken to be hours of one day
 * that nobody has named (`settingsFor` then says so in the same change). `event`: the one whose date is read.
 */
export function readOptionsFor(t: Settings & Pick<Timeline, "events">, event: string | null = null): ReadOptions {
  const options = readOptionsOf(t);
  return options.day === null && !hasDates(t.events, event) ? { ...options, day: NO_DAY } : options;
}

function hasDates(events: Timeline["events"], but: string | null): boolean {
  for (const e of events.values()) if (e.id !== but && !e.deleted && isDated(e.when)) return true;
  return false;
}

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
export function setReading(t: Timeline, change: Partial<Settings>): Op[] {
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
  return ops;
}

/** The steps that put all times alone on the day that a text says; "" for one day nobody names. */
export function timesOnOps(t: Timeline, day: string): Op[] {
  return setReading(t, { timesOn: readWhen(day, { ...readOptionsOf(t), day: null, sentence: false }) });
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
