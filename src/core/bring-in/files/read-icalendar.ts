import ICAL from "ical.js";
import { dayFromGregorian, gregorianFromDay } from "../../time/calendar";
import { WORDS } from "../../words/bring-in";
import type { Use } from "../guess-uses";
import type { Found, ReadFileOptions } from "./found";
import { type RepeatRule, repeatedDays } from "./repeats";
import { MOST_SHEET_ROWS } from "./limits";
import { NotReadable } from "./unpack";

/** So many repeats of all events together are unfolded. */
export const MOST_REPEATED = 5_000;
/** So many days of all rules together are looked at. */
const MOST_DAYS = 5_000_000;
/** Repeats are unfolded for so long where nobody says for how long, days. */
const USUAL_PERIOD = 365;

const COLUMNS = [
  "When",
  "Title",
  "Description",
  "Place",
  "Coordinates",
  "Category",
  "Tags",
  "Link",
  "Done",
  "Id",
] as const;
const USES: readonly Use[] = ["when", "title", "description", "place", "at", "category", "tags", "link", "done", "id"];
/** A date as it was typed in Fastigo: more than a calendar can say. */
export const WHEN_PROPERTY = "x-fastigo-when";

/** A day of the calendar and what the clock said, as it is written there. */
interface Stamp {
  day: number;
  clock: string | null;
}

interface Entry {
  row: Record<(typeof COLUMNS)[number], string>;
  start: Stamp | null;
  /** Days from the start's to the end's. */
  days: number;
  endClock: string | null;
  typed: string | null;
  rule: RepeatRule | null;
  more: number[];
  without: Set<number>;
  uid: string;
  /** Of one repeat that was moved or reworded: the day it replaces. */
  replaces: number | null;
}

/**
 * Reads a calendar (RFC 5545): events, tasks and journal entries as rows. Repeats are unfolded within a period; times stay as they
 * are written, in whatever zone. Throws `NotReadable`.
 */
export function readICalendar(text: string, options: ReadFileOptions = {}): Found {
  let root: ICAL.Component;
  try {
    const read = ICAL.parse(text) as unknown[];
    root = new ICAL.Component(Array.isArray(read[0]) ? ["x", [], read] : ["x", [], [read]]);
  } catch {
    throw new NotReadable(WORDS.noCalendar);
  }
  const notes = new Set<string>();
  const entries: Entry[] = [];
  let utc = false;
  for (const calendar of root.getAllSubcomponents("vcalendar"))
    for (const c of calendar.getAllSubcomponents()) {
      if (!["vevent", "vtodo", "vjournal"].includes(c.name)) continue;
      if (entries.length >= MOST_SHEET_ROWS) {
        notes.add(WORDS.rowsBeyond("", MOST_SHEET_ROWS));
        break;
      }
      const e = entryOf(c, notes);
      utc ||= rawOf(c, "dtstart").some((r) => r.endsWith("Z"));
      entries.push(e);
    }
  if (entries.length === 0) throw new NotReadable(WORDS.noCalendar);
  if (utc) notes.add(WORDS.utcKept);
  const period = entries.some((e) => e.rule || e.more.length > 0) ? (options.repeats ?? usualPeriod(entries)) : null;
  const rows: string[][] = [];
  const moved = new Map<string, Set<number>>();
  for (const e of entries) if (e.replaces !== null) moved.set(e.uid, (moved.get(e.uid) ?? new Set()).add(e.replaces));
  let unfolded = 0;
  let daysLeft = MOST_DAYS;
  for (const e of entries) {
    if ((!e.rule && e.more.length === 0) || e.replaces !== null || !e.start || !period) {
      rows.push(rowOf(e, e.start));
      continue;
    }
    const [from, to] = [dayOf(period.from), dayOf(period.to)];
    const skip = new Set([...e.without, ...(moved.get(e.uid) ?? [])]);
    daysLeft -= e.rule ? Math.max(0, to - e.start.day) : 0;
    if (daysLeft < 0 || unfolded > MOST_REPEATED) {
      // Of very many rules the last are here once.
      notes.add(WORDS.repeatsBeyond(MOST_REPEATED));
      rows.push(rowOf(e, e.start));
      continue;
    }
    const days = new Set(e.rule ? repeatedDays(e.rule, e.start.day, to) : [e.start.day]);
    for (const day of e.more) days.add(day);
    for (const day of [...days].sort((a, b) => a - b)) {
      if (skip.has(day) || day < from || day > to) continue;
      if (++unfolded > MOST_REPEATED || rows.length >= MOST_SHEET_ROWS) {
        notes.add(WORDS.repeatsBeyond(MOST_REPEATED));
        break;
      }
      rows.push(rowOf(e, { ...e.start, day }, day === e.start.day ? "" : `/${isoDay(day)}`));
    }
  }
  return {
    kind: "rows",
    sheets: [{ name: "", cells: [[...COLUMNS], ...rows], uses: USES }],
    ...(period ? { repeats: period } : {}),
    notes: [...notes],
  };
}

/** Values of a property as the standard's JSON form has them: no date is corrected there. */
function rawOf(c: ICAL.Component, name: string): string[] {
  return c
    .getAllProperties(name)
    .flatMap((p) => (p.toJSON().slice(3) as unknown[]).filter((v) => typeof v === "string"));
}

const textsOf = (c: ICAL.Component, name: string) =>
  rawOf(c, name)
    .map((t) => t.trim())
    .filter(Boolean);

function entryOf(c: ICAL.Component, notes: Set<string>): Entry {
  const first = (name: string) => textsOf(c, name)[0] ?? "";
  const start = stampOf(first("dtstart")) ?? (c.name === "vtodo" ? stampOf(first("due")) : null);
  const [category = "", ...tags] = textsOf(c, "categories");
  const end = start && endOf(c, start);
  const geo = (c.getFirstProperty("geo")?.toJSON()[3] ?? null) as unknown;
  const done = String(c.getFirstProperty("percent-complete")?.toJSON()[3] ?? "");
  return {
    row: {
      When: "",
      Title: first("summary"),
      Description: textsOf(c, "description").join("\n\n"),
      Place: first("location"),
      Coordinates: Array.isArray(geo) && geo.length === 2 ? geo.join(", ") : "",
      Category: category,
      Tags: tags.join(", "),
      Link: textsOf(c, "url").join("\n"),
      Done: done,
      Id: first("uid"),
    },
    start,
    days: end ? end.day - start!.day : 0,
    endClock: end?.clock ?? null,
    typed: first(WHEN_PROPERTY) || null,
    rule: ruleOf(c, notes),
    more: textsOf(c, "rdate").flatMap((t) => stampOf(t)?.day ?? []),
    without: new Set(textsOf(c, "exdate").flatMap((t) => stampOf(t)?.day ?? [])),
    uid: first("uid"),
    replaces: stampOf(first("recurrence-id"))?.day ?? null,
  };
}

function stampOf(raw: string): Stamp | null {
  const at = /^(\d{4})-(\d\d)-(\d\d)(?:T(\d\d):(\d\d):(\d\d)Z?)?$/.exec(raw);
  if (!at) return null;
  const [year, month, dom] = [Number(at[1]), Number(at[2]), Number(at[3])];
  const day = dayFromGregorian(year, month, dom);
  // A day that never was stays a text that is asked about.
  if (gregorianFromDay(day).day !== dom || month < 1 || month > 12) return null;
  return { day, clock: at[4] ? `${at[4]}:${at[5]}${at[6] === "00" ? "" : `:${at[6]}`}` : null };
}

/** When it ends, as a day it still takes up: a calendar's end without a clock is the day after. */
function endOf(c: ICAL.Component, start: Stamp): Stamp | null {
  const end = stampOf(textsOf(c, c.name === "vtodo" ? "due" : "dtend")[0] ?? "");
  if (end) {
    const last = end.clock === null && c.name !== "vtodo" ? { ...end, day: end.day - 1 } : end;
    return last.day > start.day || (last.day === start.day && (last.clock ?? "") > (start.clock ?? "")) ? last : null;
  }
  const seconds = secondsOf(rawOf(c, "duration")[0] ?? "");
  if (!(seconds > 0) || seconds > 1e10) return null;
  if (start.clock === null) return { day: start.day + Math.ceil(seconds / 86_400) - 1, clock: null };
  const [h = 0, m = 0, s = 0] = start.clock.split(":").map(Number);
  const at = h * 3600 + m * 60 + s + seconds;
  const two = (n: number) => String(n).padStart(2, "0");
  const inDay = at % 86_400;
  return {
    day: start.day + Math.floor(at / 86_400),
    clock: `${two(Math.floor(inDay / 3600))}:${two(Math.floor(inDay / 60) % 60)}`,
  };
}

/** A length of time in seconds; 0 for what is none. */
function secondsOf(raw: string): number {
  try {
    return raw ? ICAL.Duration.fromString(raw).toSeconds() : 0;
  } catch {
    return 0;
  }
}

const WEEKDAYS = ["MO", "TU", "WE", "TH", "FR", "SA", "SU"];
const KNOWN = new Set([
  "FREQ",
  "INTERVAL",
  "COUNT",
  "UNTIL",
  "WKST",
  "BYMONTH",
  "BYMONTHDAY",
  "BYYEARDAY",
  "BYWEEKNO",
  "BYDAY",
  "BYSETPOS",
]);

/** A rule as it is written; what comes more than once a day, or is no rule, is said and not followed. */
function ruleOf(c: ICAL.Component, notes: Set<string>): RepeatRule | null {
  const property = c.getFirstProperty("rrule");
  if (!property) return null;
  const parts = new Map<string, string[]>();
  const raw = property.toJSON()[3] as unknown;
  if (typeof raw !== "object" || raw === null) return null;
  for (const [k, v] of Object.entries(raw)) parts.set(k.toUpperCase(), (Array.isArray(v) ? v : [v]).map(String));
  const [freq = ""] = parts.get("FREQ") ?? [];
  if (!["DAILY", "WEEKLY", "MONTHLY", "YEARLY"].includes(freq) || [...parts.keys()].some((k) => !KNOWN.has(k))) {
    notes.add(WORDS.ruleNotFollowed);
    return null;
  }
  const numbers = (k: string) => (parts.get(k) ?? []).map(Number).filter((n) => Number.isInteger(n) && n !== 0);
  const byDay = (parts.get("BYDAY") ?? []).flatMap((t) => {
    const at = /^([+-]?\d{1,2})?(MO|TU|WE|TH|FR|SA|SU)$/.exec(t);
    return at ? [{ day: WEEKDAYS.indexOf(at[2]!), nth: Number(at[1] ?? 0) }] : [];
  });
  const wkst = parts.get("WKST")?.[0] ?? "MO";
  const start = WEEKDAYS.includes(wkst) ? WEEKDAYS.indexOf(wkst) : Math.max(0, (Number(wkst) + 5) % 7);
  return {
    freq: freq as RepeatRule["freq"],
    interval: Math.max(1, Math.min(10_000, numbers("INTERVAL")[0] ?? 1)),
    count: numbers("COUNT")[0] ?? null,
    until: stampOf(parts.get("UNTIL")?.[0] ?? "")?.day ?? null,
    byMonth: numbers("BYMONTH"),
    byMonthDay: numbers("BYMONTHDAY"),
    byYearDay: numbers("BYYEARDAY"),
    byWeekNo: numbers("BYWEEKNO"),
    byDay,
    bySetPos: numbers("BYSETPOS"),
    weekStart: start,
  };
}

function rowOf(e: Entry, start: Stamp | null, repeat = ""): string[] {
  const row = { ...e.row, Id: e.row.Id && `${e.row.Id}${repeat}` };
  row.When = e.typed && !repeat ? e.typed : start ? whenText(start, e) : "";
  return COLUMNS.map((c) => row[c]);
}

function whenText(start: Stamp, { days, endClock }: Entry): string {
  const from = `${isoDay(start.day)}${start.clock ? ` ${start.clock}` : ""}`;
  if (days === 0 && endClock === null) return from;
  return `${from} to ${days === 0 && start.clock ? "" : `${isoDay(start.day + days)}${endClock ? " " : ""}`}${endClock ?? ""}`;
}

/** Where nobody says: from the first day of all to the last one that is written, a year at least. */
function usualPeriod(entries: readonly Entry[]): { from: string; to: string } {
  const starts = entries.flatMap((e) => (e.start ? [e.start.day] : []));
  const first = starts.reduce((a, b) => Math.min(a, b), Number.POSITIVE_INFINITY);
  const last = starts.reduce((a, b) => Math.max(a, b), Number.NEGATIVE_INFINITY);
  if (!Number.isFinite(first)) return { from: "2000-01-01", to: "2000-12-31" };
  return { from: isoDay(first), to: isoDay(Math.max(last, first + USUAL_PERIOD)) };
}

function isoDay(day: number): string {
  const { year, month, day: dom } = gregorianFromDay(day);
  const two = (n: number) => String(n).padStart(2, "0");
  return `${String(Math.max(0, year)).padStart(4, "0")}-${two(month)}-${two(dom)}`;
}

function dayOf(iso: string): number {
  const [y = 0, m = 1, d = 1] = iso.split("-").map(Number);
  return dayFromGregorian(y, m, d);
}
