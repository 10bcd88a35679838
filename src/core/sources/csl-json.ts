import { readWhen } from "../time/read/read-when";
import type { ReadOptions } from "../time/read/options";
import { isDated, UNDATED, type When } from "../time/when";
import { whenLabel } from "../time/write-when";
import {
  emptyOf,
  MOST_AUTHOR,
  MOST_AUTHORS,
  MOST_REST,
  MOST_REST_TEXT,
  SOURCE,
  type SourceKind,
} from "../timeline/fields";
import { cleanText } from "../text/clean";
import type { SourceValues } from "./cited";

/** One entry of CSL-JSON 1.0.2: variables by their names. */
export type CslItem = Record<string, unknown> & { id: string; type: string };
interface CslName {
  family?: string;
  given?: string;
  literal?: string;
  "non-dropping-particle"?: string;
  "dropping-particle"?: string;
  suffix?: string;
}
interface CslDate {
  "date-parts"?: (number | string)[][];
  literal?: string;
  raw?: string;
  circa?: unknown;
}

const TYPE_OF: Record<SourceKind, string> = {
  line: "document",
  book: "book",
  article: "article-journal",
  newspaper: "article-newspaper",
  web: "webpage",
  archive: "manuscript",
  film: "motion_picture",
  interview: "interview",
  object: "graphic",
  other: "document",
};
const KIND_OF: Record<string, SourceKind> = {
  book: "book",
  chapter: "book",
  "entry-encyclopedia": "book",
  "entry-dictionary": "book",
  "article-journal": "article",
  "article-magazine": "article",
  article: "article",
  review: "article",
  "paper-conference": "article",
  "article-newspaper": "newspaper",
  webpage: "web",
  "post-weblog": "web",
  post: "web",
  manuscript: "archive",
  collection: "archive",
  personal_communication: "archive",
  motion_picture: "film",
  broadcast: "film",
  video: "film",
  interview: "interview",
  graphic: "object",
  figure: "object",
};
const NAMES = new Set([
  "author",
  "editor",
  "translator",
  "director",
  "interviewer",
  "recipient",
  "composer",
  "container-author",
  "collection-editor",
  "editorial-director",
  "illustrator",
  "original-author",
  "reviewed-author",
  "reporter",
]);
/** Who made it, by type: where there is no author. */
const MAKERS = ["author", "reporter", "director", "interviewee", "creator"];
const DATES = new Set(["event-date", "original-date", "submitted", "available-date", "accessed"]);
const OURS: Partial<Record<string, keyof SourceValues>> = {
  title: "title",
  "container-title": "within",
  volume: "volume",
  issue: "issue",
  page: "pages",
  publisher: "publisher",
  "publisher-place": "place",
  URL: "address",
  "call-number": "callNumber",
};
/** What it is kept in, of a paper in an archive and of a thing in a museum. */
const ARCHIVED: Partial<Record<string, keyof SourceValues>> = {
  archive: "within",
  "archive-place": "place",
  archive_location: "callNumber",
};
const isArchived = (kind: SourceKind) => kind === "archive" || kind === "object";

/** A source as an entry of CSL-JSON; what came along from elsewhere goes with it. */
export function toCsl(id: string, s: SourceValues): CslItem {
  const item: CslItem = { id, type: s.rest.type ?? (s.kind === "book" && s.within ? "chapter" : TYPE_OF[s.kind]) };
  for (const [name, text] of Object.entries(s.rest)) {
    if (name === "type") continue;
    if (NAMES.has(name)) item[name] = text.split("; ").map(cslName);
    else if (DATES.has(name)) item[name] = { literal: text };
    else item[name] = text;
  }
  const put = (table: Partial<Record<string, keyof SourceValues>>) => {
    for (const [variable, field] of Object.entries(table)) {
      const text = String(s[field!]).trim();
      if (text) item[variable] = text;
    }
  };
  put(OURS);
  if (isArchived(s.kind)) {
    for (const variable of ["container-title", "publisher-place", "call-number"]) delete item[variable];
    put(ARCHIVED);
  }
  if (s.authors.length > 0) item.author = s.authors.map(cslName);
  const issued = cslDate(s.date);
  if (issued) item.issued = issued;
  if (s.lookedUp) item.accessed = { "date-parts": [s.lookedUp.split("-").map(Number)] };
  return item;
}

/** "Family, Given"; a name without a comma is a body's, and stands as it is. */
export function cslName(name: string): CslName {
  const comma = name.indexOf(",");
  if (comma < 0) return { literal: name.trim() };
  return { family: name.slice(0, comma).trim(), given: name.slice(comma + 1).trim() };
}

/** A date as date-parts where ISO 8601-2 says it exactly, in words where it does not; null where nothing was written. */
function cslDate(when: When): CslDate | null {
  if (!isDated(when)) return when.typed.trim() ? { literal: when.typed.trim() } : null;
  const parts = (when.edtf ?? "").split("/").map((text) => /^(-?\d{4})(?:-(\d\d)(?:-(\d\d))?)?([~?%]?)$/.exec(text));
  const exact = parts.every((p) => p !== null && (p[2] === undefined || Number(p[2]) <= 12) && !/[?%]/.test(p[4]!));
  if (!exact || parts.length > 2) return { literal: whenLabel(when) };
  return {
    "date-parts": parts.map((p) => p!.slice(1, 4).flatMap((n) => (n === undefined ? [] : [yearOf(Number(n), n)]))),
    ...(parts.some((p) => p![4] === "~") ? { circa: true } : {}),
  };
}

/** CSL counts years before 1 as people do (-310 is 310 BC), ISO 8601 has a year 0. */
const yearOf = (n: number, text: string) => (text.length >= 4 && n <= 0 ? n - 1 : n);

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];

/** An entry's date as one writes it. */
function dateText(value: unknown): string {
  const date = (value ?? {}) as CslDate;
  const parts = Array.isArray(date["date-parts"]) ? date["date-parts"] : [];
  const one = (part: unknown): string => {
    if (!Array.isArray(part)) return "";
    const [year, month, day] = part.map(Number);
    if (year === undefined || !Number.isFinite(year)) return "";
    const y = year < 0 ? `${-year} BC` : String(year);
    if (!month || !MONTHS[month - 1]) return y;
    return day ? `${day} ${MONTHS[month - 1]} ${y}` : `${MONTHS[month - 1]} ${y}`;
  };
  const text = parts.map(one).filter(Boolean).join(" to ");
  if (text) return date.circa && date.circa !== "false" ? `about ${text}` : text;
  return typeof date.literal === "string" ? date.literal : typeof date.raw === "string" ? date.raw : "";
}

function nameText(value: unknown): string {
  const name = (value ?? {}) as CslName;
  if (typeof value === "string") return value.trim();
  if (name.literal) return String(name.literal).replaceAll(/[,;]\s*/g, " ");
  const family = [name["non-dropping-particle"], name["dropping-particle"], name.family].filter(Boolean).join(" ");
  const given = [name.given, name.suffix].filter(Boolean).join(" ");
  return given && family ? `${family}, ${given}` : family || given;
}

const namesText = (value: unknown) => (Array.isArray(value) ? value.map(nameText).filter(Boolean) : []);

/** A source out of an entry, and what of it did not fit, by the variables' names. Null where it is no entry at all. */
export function fromCsl(value: unknown, options: ReadOptions = {}): { source: SourceValues; cut: string[] } | null {
  if (typeof value !== "object" || value === null || Array.isArray(value)) return null;
  const item = value as Record<string, unknown>;
  const type = typeof item.type === "string" ? item.type : "document";
  const kind = KIND_OF[type] ?? "other";
  const source: { -readonly [K in keyof SourceValues]: SourceValues[K] } = { ...emptyOf(SOURCE), kind };
  const rest: Record<string, string> = {};
  const cut: string[] = [];
  const fitted = (name: string, text: string, most: number) => {
    const clean = cleanText(text);
    if (clean.length > most) cut.push(name);
    return clean.slice(0, most);
  };
  // What is written out again from the kind alone need not be kept.
  if (type !== TYPE_OF[kind] && type !== "chapter") rest.type = fitted("type", type, 60);
  const maker = MAKERS.find((m) => namesText(item[m]).length > 0);
  for (const [name, given] of Object.entries(item)) {
    if (given === null || given === undefined || name === "id" || name === "type" || name.startsWith("_")) continue;
    const field = (isArchived(kind) ? ARCHIVED[name] : undefined) ?? OURS[name];
    if (name === maker) {
      const names = namesText(given);
      if (names.length > MOST_AUTHORS) cut.push(name);
      source.authors = names.slice(0, MOST_AUTHORS).map((n) => fitted(name, n, MOST_AUTHOR));
    } else if (name === "issued") {
      const text = fitted(name, dateText(given), 300);
      source.date = text ? readWhen(text, { ...options, sentence: false }) : UNDATED;
    } else if (name === "accessed" && isoDay(given)) source.lookedUp = isoDay(given)!;
    else if (field && (typeof given === "string" || typeof given === "number") && source[field] === "")
      Object.assign(source, { [field]: fitted(name, String(given).trim(), SOURCE[field as "title"].most!) });
    else {
      const text = Array.isArray(given) && NAMES.has(name) ? namesText(given).join("; ") : plainText(given);
      if (!text || !/^[A-Za-z][A-Za-z0-9_-]{0,59}$/.test(name)) continue;
      if (Object.keys(rest).length >= MOST_REST) cut.push(name);
      else rest[name] = fitted(name, text, MOST_REST_TEXT);
    }
  }
  source.rest = rest;
  return { source, cut };
}

function isoDay(value: unknown): string | null {
  const [part] = ((value ?? {}) as CslDate)["date-parts"] ?? [];
  if (!Array.isArray(part) || part.length !== 3) return null;
  const text = part.map((n, i) => String(Number(n)).padStart(i === 0 ? 4 : 2, "0")).join("-");
  return /^\d{4}-\d{2}-\d{2}$/.test(text) ? text : null;
}

function plainText(value: unknown): string {
  if (typeof value === "string") return value.trim();
  if (typeof value === "number" || typeof value === "boolean") return String(value);
  if (typeof value === "object") return dateText(value);
  return "";
}
