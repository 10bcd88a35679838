import type { LedgerColumn } from "../ledger/columns";
import { shifted, type Shift } from "../time/shift";
import type { ReadOptions } from "../time/read/options";
import { readWhen } from "../time/read/read-when";
import { isDated, type When } from "../time/when";
import { whenLabel } from "../time/write-when";
import { readCoordinates } from "../places/coordinates";
import type { Point } from "../timeline/fields";
import type { Use } from "./guess-uses";

/** A picture that a row names by its web address. */
export interface BroughtPicture {
  address: string;
  caption: string;
  credit: string;
  licence: string;
}

/** One row of a table as the event it would be. */
export interface BroughtRow {
  /** Its number in the table, from 1; the row of names has none. */
  number: number;
  /** What it is known by in its table; "" where nothing says that. */
  origin: string;
  /** The date as one text, put together from all columns that say a part of it. */
  typed: string;
  when: When;
  /** What the other columns of the ledger get. */
  cells: Partial<Record<LedgerColumn, string>>;
  /** The row it says it is part of by a number or what that is known by; its title is then no longer asked for. */
  partOfRow: number | null;
  /** The paragraphs of its description, those of the column's own and of columns we have no place for. */
  description: string[];
  /** So many of them, from the end, are of columns we have no place for. */
  more: number;
  pictures: BroughtPicture[];
  /** Where on the earth it was, where coordinates say so. */
  point: Point | null;
}

export interface BroughtTable {
  rows: BroughtRow[];
  counts: { events: number; undated: number; notUnderstood: number; twoDigitYears: number; empty: number };
}

/** What somebody has said of a table on the screen. */
export interface Said {
  /** Dates that were written anew, by the row's number. */
  mended?: ReadonlyMap<number, string>;
  /** The century of years written with two digits: 18 for 1872. */
  century?: number | null;
}

const MONTHS = [
  "january",
  "february",
  "march",
  "april",
  "may",
  "june",
  "july",
  "august",
  "september",
  "october",
  "november",
  "december",
];

/**
 * The rows of a table as the events they would be: parts of dates put together, texts of several columns joined. Rows in which
 * nothing of use stands are counted and left out.
 */
export function putTogether(
  cells: readonly (readonly string[])[],
  named: boolean,
  uses: readonly Use[],
  options: ReadOptions,
  { mended = new Map(), century = null }: Said = {},
): BroughtTable {
  const names = named ? (cells[0] ?? []) : [];
  const table: BroughtTable = {
    rows: [],
    counts: { events: 0, undated: 0, notUnderstood: 0, twoDigitYears: 0, empty: 0 },
  };
  const read = (text: string) => readWhen(text, { ...options, sentence: false });
  for (const [i, raw] of cells.slice(named ? 1 : 0).entries()) {
    const number = i + 1;
    const row = raw.map((c) => c.trim());
    const of = (use: Use) => row.filter((c, k) => uses[k] === use && c !== "");
    const { text: put, lasts } = dateText(of, options);
    let typed = mended.get(number) ?? put;
    let when = read(typed);
    if (isTwoDigits(when)) {
      table.counts.twoDigitYears++;
      const inCentury = century === null ? null : centuryOf(when, century);
      if (inCentury) when = read((typed = inCentury));
    }
    const own = of("description").flatMap((text) => text.split(/\n\s*\n/));
    const more = [
      ...row.flatMap((c, k) =>
        uses[k] === "more" && c !== "" ? [names[k]?.trim() ? `${names[k]!.trim()}: ${c}` : c] : [],
      ),
      // A length that is none is said in words rather than lost.
      ...(lasts ? [lasts] : []),
    ];
    const description = [...own, ...more].filter((p) => p.trim() !== "");
    const brought: BroughtRow = {
      number,
      origin: of("id")[0]?.slice(0, 300) ?? "",
      typed,
      when,
      cells: {},
      partOfRow: null,
      description,
      more: more.length,
      pictures: picturesOf(of),
      point: null,
    };
    for (const column of ["title", "shortTitle", "category", "partOf", "emphasis", "sign", "done", "note"] as const) {
      const [text] = of(column);
      if (text) brought.cells[column] = text;
    }
    const { name: place, point } = placeOf(of);
    if (place) brought.cells.place = place;
    brought.point = point;
    const tags = of("tags").map((t) => (/[,;\n]/.test(t) ? t : t.replaceAll(/\s*[|/]\s*/g, ", ")));
    if (tags.length > 0) brought.cells.tags = tags.join(", ");
    const sources = of("source");
    if (sources.length > 0) brought.cells.source = sources.join("\n");
    const links = of("link").flatMap(linksIn);
    if (links.length > 0) brought.cells.link = links.join("\n");
    if (
      typed === "" &&
      Object.keys(brought.cells).length === 0 &&
      description.length === 0 &&
      brought.pictures.length === 0 &&
      point === null
    ) {
      table.counts.empty++;
      continue;
    }
    table.rows.push(brought);
  }
  findWholes(table.rows);
  Object.assign(table.counts, countsOf(table.rows));
  return table;
}

/** What is said of rows in numbers. */
export function countsOf(
  rows: readonly BroughtRow[],
): Pick<BroughtTable["counts"], "events" | "notUnderstood" | "undated"> {
  const notUnderstood = rows.filter((r) => r.when.readAs.kind === "not_understood").length;
  return { events: rows.length, notUnderstood, undated: rows.filter((r) => !isDated(r.when)).length - notUnderstood };
}

const isTwoDigits = ({ readAs }: When) => readAs.kind === "not_understood" && readAs.problem.code === "two_digit_year";

/** A date with its year in a century: of what may be meant the first, with that century's number in its place. */
function centuryOf({ readAs }: When, century: number): string | null {
  if (readAs.kind !== "not_understood" || readAs.problem.code !== "two_digit_year") return null;
  const [first] = readAs.problem.readings;
  const text = first?.replace(/\b\d{2}(\d{2})$/, `${century}$1`);
  return text && text !== first ? text : (first ?? null);
}

/** Several addresses in a cell are links of their own; words before an address are its words. */
function linksIn(cell: string): string[] {
  return cell.split(/\n|[;,]\s+(?=https?:)/).flatMap((line) => {
    const all = line.trim().split(/\s+/);
    return all.length > 1 && all.every((a) => /^https?:\/\//i.test(a)) ? all : line.trim() ? [line.trim()] : [];
  });
}

function picturesOf(of: (use: Use) => string[]): BroughtPicture[] {
  const [caption = "", credit = "", licence = ""] = (["caption", "credit", "licence"] as const).map((u) => of(u)[0]);
  return of("picture")
    .flatMap((c) => c.split(/[\s;]+/))
    .filter((a) => /^https?:\/\//i.test(a))
    .map((address) => ({ address: address.slice(0, 2_000), caption, credit, licence }));
}

const pointIn = (text: string): Point | null => {
  const read = readCoordinates(text);
  return typeof read === "string" ? null : read;
};

/**
 * A place by its name and its point: from columns of their own, or in brackets behind the name. Coordinates that are on no place of the
 * earth stay in brackets behind the name, to be seen.
 */
function placeOf(of: (use: Use) => string[]): { name: string; point: Point | null } {
  const [name = ""] = of("place");
  const [latitude, longitude] = [of("latitude")[0], of("longitude")[0]];
  const at = of("at")[0] ?? (latitude && longitude ? `${latitude}, ${longitude}` : "");
  if (at) {
    const point = pointIn(at);
    if (point) return { name, point };
    return { name: name && !name.includes(at) ? `${name} (${at})` : name || at, point };
  }
  const behind = /^(.+?)\s*\(([^()]+)\)$/.exec(name);
  const point = pointIn(behind?.[2] ?? name);
  return { name: point ? (behind?.[1] ?? "") : name, point };
}

/** What is part of another row by what that is known by, or by its number in the table; a title counts before both. */
function findWholes(rows: readonly BroughtRow[]): void {
  const titles = new Set(rows.map((r) => r.cells.title?.toLowerCase()));
  const byOrigin = new Map(rows.flatMap((r) => (r.origin ? [[r.origin, r.number] as const] : [])));
  const hasOrigins = byOrigin.size > 0;
  const numbers = new Set(rows.map((r) => r.number));
  for (const r of rows) {
    const text = r.cells.partOf;
    if (!text || titles.has(text.toLowerCase())) continue;
    const n =
      byOrigin.get(text) ?? (!hasOrigins && /^\d+$/.test(text) && numbers.has(Number(text)) ? Number(text) : null);
    if (n === null || n === r.number) continue;
    r.partOfRow = n;
    delete r.cells.partOf;
  }
}

/** One text out of the columns that each say a part of a date; `lasts`: a length that could not be used. */
function dateText(of: (use: Use) => string[], options: ReadOptions): { text: string; lasts: string } {
  const [when] = of("when");
  const [start, end, year, month, day, time, duration] = (
    ["start", "end", "year", "month", "day", "time", "duration"] as const
  ).map((u) => of(u)[0] ?? "");
  let text = when ?? "";
  if (start && end && start !== end) text = `${start} to ${end}`;
  else if (start || (end && !text)) text = start || `until ${end}`;
  if (!text && year) text = [day && month ? day : "", monthName(month!), year].filter(Boolean).join(" ");
  text = time && text && !text.includes(time) ? `${text} ${time}` : text || time!;
  if (!duration) return { text, lasts: "" };
  const length = readLength(duration);
  const from = length && text ? readWhen(text, { ...options, sentence: false }) : null;
  const to = from?.readAs.kind === "moment" && length ? shifted(from, length, options) : null;
  return to ? { text: `${text} to ${whenLabel(to)}`, lasts: "" } : { text, lasts: duration };
}

const UNITS: [RegExp, Shift["unit"]][] = [
  [/^(y|yr|yrs|years?|jahre?|ans?|años?)$/, "years"],
  [/^(mo|months?|monate?|mois|mes(es)?)$/, "months"],
  [/^(w|wk|wks|weeks?|wochen?|semanas?)$/, "weeks"],
  [/^(d|days?|tage?|jours?|días?)$/, "days"],
  [/^(h|hr|hrs|hours?|stunden?|horas?)$/, "hours"],
  [/^(m|min|mins|minutes?|minuten?|minutos?)$/, "minutes"],
];

/** A length of time as tables write it: "3 weeks", "90 min", "1:30", "P3D" (ISO 8601-1, 5.5.2), a number of days. Null for anything else. */
export function readLength(text: string): Shift | null {
  const clock = /^(\d{1,3}):([0-5]\d)(?::00)?$/.exec(text);
  if (clock) return { amount: Number(clock[1]) * 60 + Number(clock[2]), unit: "minutes" };
  const iso = /^P(?:(\d+)([YMWD])|T(\d+)([HM]))$/i.exec(text);
  if (iso) {
    const unit = iso[2]
      ? ({ Y: "years", M: "months", W: "weeks", D: "days" } as const)[iso[2].toUpperCase() as "Y"]
      : iso[4]!.toUpperCase() === "H"
        ? "hours"
        : "minutes";
    return { amount: Number(iso[1] ?? iso[3]), unit };
  }
  const at = /^(\d+)\s*([\p{L}.]*)$/u.exec(text.trim().toLowerCase());
  if (!at) return null;
  const word = at[2]!.replaceAll(".", "");
  const unit = word === "" ? "days" : UNITS.find(([p]) => p.test(word))?.[1];
  const amount = Number(at[1]);
  return unit && amount > 0 && amount < 1e6 ? { amount, unit } : null;
}

/** A month by its name, also where its number stands there. */
function monthName(text: string): string {
  const n = Number(text);
  return Number.isInteger(n) && n >= 1 && n <= 12 ? MONTHS[n - 1]! : text;
}
