import { readWhen } from "../../time/read/read-when";
import { gregorianFromDay } from "../../time/calendar";
import { GEDCOM_FACTS, WORDS } from "../../words/bring-in";
import type { Use } from "../guess-uses";
import { fromAnsel } from "./ansel";
import type { Found, ReadFileOptions } from "./found";
import { gedcomDate } from "./gedcom-date";
import { MOST_SHEET_ROWS } from "./limits";
import { NotReadable } from "./unpack";

/** One line of a family file with those below it. */
interface Line {
  tag: string;
  xref: string;
  value: string;
  below: Line[];
}

/** Who was born within so many years and of whom no death is told is taken for living. */
const LIVING_YEARS = 110;
const MOST_LINES = 2_000_000;
const COLUMNS = ["When", "Title", "Description", "Place", "Coordinates", "Category", "Source", "Id"] as const;
const USES: readonly Use[] = ["when", "title", "description", "place", "at", "category", "source", "id"];
const DEATHS = new Set(["DEAT", "BURI", "CREM", "PROB"]);
const FAMILY = new Set(["MARR", "DIV", "ENGA", "ANUL", "MARB", "MARC", "MARL", "MARS", "DIVF", "CENS", "EVEN", "RESI"]);

/** A family file's own letters: what its header says it is written in. */
export function gedcomText(bytes: Uint8Array, text: string): string {
  return /^\s*1\s+CHAR\s+(ANSEL|ANSI_Z39\.47)\s*$/im.test(text.slice(0, 5_000)) ? fromAnsel(bytes) : text;
}

/**
 * Reads a family file (FamilySearch GEDCOM 7.0; GEDCOM 5.5.1) as rows: what is told of persons and families with a date or a place,
 * each fact an event. Living persons are left out unless they are asked for. Throws `NotReadable`.
 */
export function readGedcom(text: string, { living = false, today = 0 }: ReadFileOptions = {}): Found {
  const records = linesOf(text);
  if (records[0]?.tag !== "HEAD") throw new NotReadable(WORDS.noFamilyFile);
  const byXref = new Map(records.filter((r) => r.xref).map((r) => [r.xref, r]));
  const names = new Map<string, string>();
  const alive = new Set<string>();
  const year = gregorianFromDay(today).year;
  for (const r of records) {
    if (r.tag !== "INDI") continue;
    names.set(r.xref, nameOf(r));
    if (isLiving(r, year)) alive.add(r.xref);
  }
  const rows: string[][] = [];
  const left = new Set<string>();
  const add = (r: Line, who: string, persons: readonly string[], facts: ReadonlySet<string> | null) => {
    const counted = new Map<string, number>();
    for (const fact of r.below) {
      const name = GEDCOM_FACTS[fact.tag];
      if (!name || (facts && !facts.has(fact.tag))) continue;
      const n = (counted.get(fact.tag) ?? 0) + 1;
      counted.set(fact.tag, n);
      const date = value(fact, "DATE");
      const place = value(fact, "PLAC");
      // "DEAT Y" says that it was, and nothing else of it.
      if (!date && !place && (fact.value === "Y" || fact.value === "") && !value(fact, "NOTE")) continue;
      const hidden = persons.filter((p) => alive.has(p));
      if (hidden.length > 0 && !living) {
        for (const p of hidden) left.add(p);
        continue;
      }
      if (rows.length >= MOST_SHEET_ROWS) continue;
      const kind = value(fact, "TYPE");
      const detail = fact.value && fact.value !== "Y" ? fact.value : "";
      const row: Record<(typeof COLUMNS)[number], string> = {
        When: whenOf(fact),
        Title: WORDS.fact(kind && (fact.tag === "EVEN" || fact.tag === "FACT") ? kind : name, who),
        Description: [detail, textOf(fact, byXref)].filter(Boolean).join("\n\n"),
        Place: place,
        Coordinates: coordinatesOf(fact),
        Category: name,
        Source: sourcesOf(fact, byXref),
        Id: `${r.xref.replaceAll("@", "")}/${fact.tag}${n > 1 ? n : ""}`,
      };
      rows.push(COLUMNS.map((c) => row[c]));
    }
  };
  for (const r of records) {
    if (r.tag === "INDI") add(r, names.get(r.xref)!, [r.xref], null);
    if (r.tag !== "FAM") continue;
    const persons = r.below.filter((l) => l.tag === "HUSB" || l.tag === "WIFE").map((l) => l.value);
    const who = persons.flatMap((p) => names.get(p) ?? []);
    add(r, who.join(WORDS.and) || WORDS.somebody, persons, FAMILY);
  }
  const kept = living ? alive.size : left.size;
  return {
    kind: "rows",
    sheets: [{ name: "", cells: [[...COLUMNS], ...rows], uses: USES }],
    ...(kept > 0 ? { living: kept } : {}),
    notes: rows.length >= MOST_SHEET_ROWS ? [WORDS.rowsBeyond("", MOST_SHEET_ROWS)] : [],
  };
}

/** Where a fact's place lies on the earth (PLAC.MAP): "N18.15" and "W45.3" as numbers, north and east positive; "" where it does not say. */
function coordinatesOf(fact: Line): string {
  const map = fact.below.find((l) => l.tag === "PLAC")?.below.find((l) => l.tag === "MAP");
  const [lat, lon] = (["LATI", "LONG"] as const).map((tag) => {
    const m = /^([NSEW])?\s*(-?\d{1,3}(?:\.\d+)?)$/i.exec(map ? value(map, tag).trim() : "");
    return m ? `${/[SW]/i.test(m[1] ?? "") ? "-" : ""}${m[2]}` : "";
  });
  return lat && lon ? `${lat}, ${lon}` : "";
}

/** Lines as a tree. A line that is none belongs to the text before it: some programs break long notes. */
function linesOf(text: string): Line[] {
  const records: Line[] = [];
  const open: Line[] = [];
  let at = 0;
  let count = 0;
  while (at < text.length && count++ < MOST_LINES) {
    let end = at;
    while (end < text.length && text[end] !== "\n" && text[end] !== "\r") end++;
    const raw = text.slice(at, end);
    at = end + 1;
    const m = /^\s*(\d{1,2})[ \t]+(?:(@[^@\s]+@)[ \t]+)?([A-Za-z0-9_]+)(?: (.*))?$/s.exec(raw);
    if (!m) {
      const last = open.at(-1);
      if (last && raw.trim()) last.value += `\n${raw.trim()}`;
      continue;
    }
    const level = Number(m[1]);
    const tag = m[3]!.toUpperCase();
    // A leading at sign that is no pointer is written twice.
    const value = (m[4] ?? "").replace(/^@@/, "@");
    const parent = level > 0 ? open[level - 1] : undefined;
    if ((tag === "CONT" || tag === "CONC") && parent) {
      parent.value += tag === "CONT" ? `\n${value}` : value;
      continue;
    }
    const line: Line = { tag, xref: m[2] ?? "", value, below: [] };
    if (level === 0) records.push(line);
    else if (parent) parent.below.push(line);
    else continue;
    open.length = Math.min(open.length, level);
    open[level] = line;
  }
  return records;
}

const first = (of: Line, tag: string) => of.below.find((l) => l.tag === tag);
const value = (of: Line, tag: string) => (first(of, tag)?.value ?? "").replaceAll(/\s*\n\s*/g, " ").trim();

function nameOf(person: Line): string {
  const name = first(person, "NAME");
  const written = (name?.value ?? "").replaceAll("/", " ").replaceAll(/\s+/g, " ").trim();
  const parts = name ? [value(name, "GIVN"), value(name, "SURN")].filter(Boolean).join(" ") : "";
  return written || parts || WORDS.somebody;
}

function isLiving(person: Line, thisYear: number): boolean {
  if (person.below.some((l) => DEATHS.has(l.tag))) return false;
  const years = person.below.flatMap((fact) => {
    const date = GEDCOM_FACTS[fact.tag] ? value(fact, "DATE") : "";
    const { readAs } = readWhen(date ? gedcomDate(date) : "", { sentence: false });
    const moment = readAs.kind === "moment" ? readAs.at : readAs.kind === "span" ? (readAs.start ?? readAs.end) : null;
    const at = moment?.to ?? moment?.from;
    return at ? [gregorianFromDay(at.day).year] : [];
  });
  // Of whom nothing is known by a year it is not known either that they are dead.
  return years.length === 0 || thisYear - Math.min(...years) < LIVING_YEARS;
}

function whenOf(fact: Line): string {
  const date = first(fact, "DATE");
  if (!date) return "";
  const time = value(date, "TIME");
  // A phrase stands for a date that cannot be written as one.
  const phrase = value(date, "PHRASE") || /^\((.*)\)$/.exec(date.value.trim())?.[1];
  const text = date.value.trim() && !/^\(.*\)$/.test(date.value.trim()) ? gedcomDate(date.value) : (phrase ?? "");
  const clock = /^(\d{1,2}:\d{2})/.exec(time)?.[1];
  return clock && /^\d{1,2} [A-Z][a-z]{2} \d+$/.test(text) ? `${text} ${clock}` : text;
}

/** Notes of a fact, its cause and its age; and the date as it stands in another calendar. */
function textOf(fact: Line, byXref: ReadonlyMap<string, Line>): string {
  const notes = fact.below.flatMap((l) => {
    if (l.tag === "NOTE" || l.tag === "SNOTE") {
      const shared = byXref.get(l.value);
      return [shared ? shared.value : l.value];
    }
    const label = { CAUS: WORDS.cause, AGE: WORDS.age, AGNC: WORDS.agency }[l.tag];
    return label && l.value ? [`${label}: ${l.value}`] : [];
  });
  const date = first(fact, "DATE")?.value ?? "";
  if (/@#D(?!GREGORIAN|JULIAN)|\b(FRENCH_R|HEBREW)\b/i.test(date)) notes.push(`${WORDS.dateInFile}: ${date}`);
  return notes
    .map((n) => n.trim())
    .filter(Boolean)
    .join("\n\n");
}

function sourcesOf(fact: Line, byXref: ReadonlyMap<string, Line>): string {
  return fact.below
    .flatMap((l) => {
      if (l.tag !== "SOUR") return [];
      const record = byXref.get(l.value);
      const page = value(l, "PAGE");
      const title = record ? value(record, "TITL") || value(record, "ABBR") : l.value.replaceAll(/\s*\n\s*/g, " ");
      const author = record ? value(record, "AUTH") : "";
      const line = [[author, title].filter(Boolean).join(": "), page].filter(Boolean).join(", ");
      return line ? [line] : [];
    })
    .join("\n");
}
