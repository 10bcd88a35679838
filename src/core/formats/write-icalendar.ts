import ICAL from "ical.js";
import { civilFrom } from "../time/calendar";
import { isTimeAlone, type Moment, type When } from "../time/when";
import type { Frozen } from "./frozen";
import { cellSources, cellsOf, itemsOf } from "./full-table";

/**
 * A calendar (RFC 5545). What lies within whole days is an event of those days, what is known by the clock one of that time; the date
 * as it was typed goes along (X-FASTIGO-WHEN). A calendar has no "about" and no years before 1: those, and what has no date, are
 * journal entries with their date in words. `stamp`: when it was made.
 */
export function writeICalendar(f: Frozen, stamp = new Date(0)): string {
  const calendar = new ICAL.Component(["vcalendar", [], []]);
  calendar.addPropertyWithValue("prodid", "-//Fastigo//EN");
  calendar.addPropertyWithValue("version", "2.0");
  if (f.title) calendar.addPropertyWithValue("name", f.title);
  const from = cellSources(f);
  const items = itemsOf(f);
  for (const e of f.events) {
    const cells = cellsOf(from, e, items(e.id));
    const span = daysOrTimes(e.when);
    const c = new ICAL.Component(span ? "vevent" : "vjournal");
    const text = (name: string, value: string) => value && c.addPropertyWithValue(name, value);
    text("uid", `${e.id}@fastigo`);
    c.addPropertyWithValue("dtstamp", ICAL.Time.fromJSDate(stamp, true));
    if (span) {
      c.addPropertyWithValue("dtstart", timeOf(span.start));
      if (span.end) c.addPropertyWithValue("dtend", timeOf(span.end));
    }
    text("summary", cells.Title);
    text("description", [cells.Description, cells.Source].filter(Boolean).join("\n\n"));
    text("location", cells.Place);
    if (e.point) {
      const property = new ICAL.Property("geo");
      property.setValue([e.point.lat, e.point.lon]);
      c.addProperty(property);
    }
    const categories = [cells.Category, ...e.tags].filter(Boolean);
    if (categories.length > 0) {
      const property = new ICAL.Property("categories");
      property.setValues(categories);
      c.addProperty(property);
    }
    const [link] = items(e.id).filter((i) => i.list === "link" && i.address);
    if (link) text("url", link.address);
    text("x-fastigo-when", cells.When);
    calendar.addSubcomponent(c);
  }
  return `${calendar.toString()}\r\n`;
}

interface Stamp {
  day: number;
  /** Seconds of the day; null: the whole of it. */
  second: number | null;
}

const BY_CLOCK = new Set(["hour", "minute", "second"]);
/** 1 January 1 and 31 December 9999. */
const [FIRST, LAST] = [366, 3_652_424];

/** From when to when a calendar has it; an end without a clock is the day after. Null for what it cannot say. */
function daysOrTimes(when: When): { start: Stamp; end: Stamp | null } | null {
  const r = when.readAs;
  if (isTimeAlone(when) || (r.kind !== "moment" && r.kind !== "span")) return null;
  const [a, b] = r.kind === "moment" ? [r.at, r.at] : [r.start, r.end];
  if (!a?.from || !b?.to || a.about || b.about || a.uncertain || b.uncertain) return null;
  if (a.from.day < FIRST || b.to.day > LAST) return null;
  if (BY_CLOCK.has(a.precision)) {
    const start = { day: a.from.day, second: a.from.second };
    const end: Moment = b;
    const at = end.from && BY_CLOCK.has(end.precision) && end !== a ? end.from : null;
    return { start, end: at ? { day: at.day, second: at.second } : null };
  }
  const last = b.to.second > 0 ? b.to.day + 1 : b.to.day;
  return { start: { day: a.from.day, second: null }, end: last > a.from.day + 1 ? { day: last, second: null } : null };
}

function timeOf({ day, second }: Stamp): ICAL.Time {
  const { year, month, day: dom } = civilFrom("gregorian", day);
  if (second === null) return new ICAL.Time({ year, month, day: dom, isDate: true }, ICAL.Timezone.localTimezone);
  const at = {
    year,
    month,
    day: dom,
    hour: Math.floor(second / 3600),
    minute: Math.floor(second / 60) % 60,
    second: Math.floor(second % 60),
    isDate: false,
  };
  return new ICAL.Time(at, ICAL.Timezone.localTimezone);
}
