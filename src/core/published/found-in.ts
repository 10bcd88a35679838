import type { Frozen } from "../formats/frozen";
import { plainTextOf } from "../text/description";
import { endDay, isDated, startDay, type When } from "../time/when";

/** What a published timeline is found by. */
export interface FoundIn {
  /** The dictionary PostgreSQL takes its words apart with. */
  config: string;
  title: string;
  /** Subject, author, places and tags. */
  about: string;
  /** Titles of events. */
  events: string;
  /** What is written in descriptions, introduction and closing page, as much as an index holds. */
  texts: string;
  /** From which to before which day it goes, as days since 0000-01-01; null where nothing has a date. An end that goes on is Infinity. */
  fromDay: number | null;
  toDay: number | null;
  pictures: number;
}

/** PostgreSQL's dictionaries by the language of a text (BCP 47); "simple" takes words as they stand. */
const CONFIGS: Record<string, string> = {
  ar: "arabic",
  hy: "armenian",
  eu: "basque",
  ca: "catalan",
  da: "danish",
  nl: "dutch",
  en: "english",
  fi: "finnish",
  fr: "french",
  de: "german",
  el: "greek",
  hi: "hindi",
  hu: "hungarian",
  id: "indonesian",
  ga: "irish",
  it: "italian",
  lt: "lithuanian",
  ne: "nepali",
  nb: "norwegian",
  nn: "norwegian",
  no: "norwegian",
  pt: "portuguese",
  ro: "romanian",
  ru: "russian",
  sr: "serbian",
  es: "spanish",
  sv: "swedish",
  ta: "tamil",
  tr: "turkish",
  yi: "yiddish",
};
/** A document of words holds a megabyte; of longer texts the beginning counts. */
const MOST_TEXT = 200_000;

export function configOf(language: string): string {
  return CONFIGS[language.split("-")[0]!.toLowerCase()] ?? "simple";
}

/** What a frozen timeline is found by once it is published for everybody. */
export function foundIn(f: Frozen): FoundIn {
  const joined = (parts: readonly string[]) => parts.filter(Boolean).join("\n").slice(0, MOST_TEXT);
  const { from, to } = daysOf(f.period, f.events);
  return {
    config: configOf(f.language ?? "en"),
    title: f.title,
    about: joined([f.subject, f.byline, ...f.events.flatMap((e) => [e.place ?? "", ...(e.tags ?? [])])]),
    events: joined(f.events.map((e) => e.title)),
    texts: joined([
      plainTextOf(f.introduction),
      ...f.events.map((e) => plainTextOf(e.description)),
      plainTextOf(f.closing ?? []),
    ]),
    fromDay: from,
    toDay: to,
    pictures: f.items.filter((i) => i.list === "media" && i.kind === "picture").length,
  };
}

/** The days a timeline goes over, to before the last: its period where one is set, else from its first date to its last. */
export function daysOf(period: When, events: readonly { when: When }[]): { from: number | null; to: number | null } {
  const dates = isDated(period) ? [period] : events.map((e) => e.when).filter(isDated);
  let [from, to] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const when of dates) {
    const start = startDay(when);
    const end = endDay(when);
    const goesOn = when.readAs.kind === "span" && when.readAs.end === null;
    from = Math.min(from, start ?? end ?? Number.POSITIVE_INFINITY);
    to = Math.max(to, goesOn ? Number.POSITIVE_INFINITY : (end ?? start ?? Number.NEGATIVE_INFINITY));
  }
  return from > to ? { from: null, to: null } : { from, to };
}
