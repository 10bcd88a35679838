import { locale } from "../language/spoken";
import { gregorianFromDay } from "../time/calendar";
import type { Instant } from "../time/instant";
import { startOf, type When } from "../time/when";
import { tongueOf } from "../time/tongues/tongues";
import { centuryText, dayText, isSilent, isTimed, type Manner, timeText, yearText } from "../time/write-when";

/** Events that stand together in an index, under what they share. */
export interface Group {
  /** "" for those without: a date, a category, a tag. */
  name: string;
  ids: string[];
}

/** No more groups than that: a longer list of headings is none. */
const MOST_GROUPS = 14;

/** Where the divisions of these stand among all. */
const [HOURS, DAYS, MONTHS_OF, YEARS] = [0, 1, 2, 3];

/** One way to divide time: what an instant falls into, and what that is called. */
interface Division {
  of: (at: Instant) => number;
  name: (n: number) => string;
}

function divisions(manner: Manner): Division[] {
  const tongue = tongueOf(manner.language);
  const year = (at: Instant) => gregorianFromDay(at.day).year;
  const years = (step: number, name: (from: number) => string): Division => ({
    of: (at) => Math.floor(year(at) / step),
    name: (n) => name(n * step),
  });
  return [
    {
      of: (at) => Math.floor(at.second / 3600) + 24 * at.day,
      name: (n) => {
        const at = { day: Math.floor(n / 24), second: (((n % 24) + 24) % 24) * 3600 };
        const hour = timeText(at, "hour", manner);
        return isSilent(at, manner) ? hour : `${dayText(at.day, manner)}, ${hour}`;
      },
    },
    { of: (at) => at.day, name: (n) => dayText(n, manner) },
    {
      of: (at) => {
        const { year, month } = gregorianFromDay(at.day);
        return year * 12 + month - 1;
      },
      name: (n) =>
        tongue.monthYear(tongue.shortMonths[((n % 12) + 12) % 12]!, yearText(Math.floor(n / 12), manner), false),
    },
    years(1, (from) => yearText(from, manner)),
    years(10, (from) => (from >= 10 ? tongue.decade(String(from)) : spanned(from, from + 9, manner))),
    // The first century begins with the year 1.
    { of: (at) => Math.floor((year(at) - 1) / 100), name: (n) => centuryText(n * 100 + 50, manner) },
    ...[1_000, 10_000, 100_000, 1_000_000, 10_000_000, 100_000_000, 1_000_000_000].map((step) =>
      years(step, (from) => spanned(from, from + step - 1, manner)),
    ),
  ];
}

const spanned = (from: number, to: number, manner: Manner) =>
  tongueOf(manner.language).toYears(yearText(from, manner), yearText(to, manner));

/** The finest division in which a date can be told: of a year nobody says in which month it lies. */
function finestOf({ readAs: r }: When): number {
  const at = r.kind === "moment" ? r.at : r.kind === "span" ? r.start : null;
  if (!at) return HOURS;
  if (isTimed(at.precision)) return HOURS;
  return at.precision === "day" ? DAYS : at.precision === "month" ? MONTHS_OF : YEARS;
}

/**
 * Events by when they begin: by hours, days, months, years, decades, centuries, or more, the finest of these in which there are not
 * too many groups. Those without a date come last. The order within a group, and of the groups, is that of the events.
 */
export function byTime(events: readonly { id: string; when: When }[], manner: Manner): Group[] {
  const dated = events.flatMap((e) => {
    const at = startOf(e.when);
    return at ? [{ id: e.id, at }] : [];
  });
  const all = divisions(manner);
  const count = (d: Division) => new Set(dated.map((e) => d.of(e.at))).size;
  const finest = Math.max(0, ...events.map((e) => finestOf(e.when)));
  const found =
    all.slice(finest).find((d) => count(d) <= MOST_GROUPS && count(d) * 2 <= Math.max(2, dated.length)) ??
    all.slice(finest).find((d) => count(d) <= MOST_GROUPS) ??
    all.at(-1)!;
  const groups = new Map<number, Group>();
  for (const { id, at } of dated) {
    const n = found.of(at);
    const group = groups.get(n);
    if (group) group.ids.push(id);
    else groups.set(n, { name: found.name(n), ids: [id] });
  }
  const known = new Set(dated.map((e) => e.id));
  const undated = events.filter((e) => !known.has(e.id)).map((e) => e.id);
  return [...groups.entries()]
    .sort(([a], [b]) => a - b)
    .map(([, g]) => g)
    .concat(undated.length > 0 ? [{ name: "", ids: undated }] : []);
}

/** Events by their categories, in the order of the key; those without come last. */
export function byCategory(
  events: readonly { id: string; category: string | null }[],
  categories: readonly { id: string; name: string }[],
): Group[] {
  const known = new Set(categories.map((c) => c.id));
  return [
    ...categories.map((c) => ({
      name: c.name,
      ids: events.filter((e) => e.category === c.id).map((e) => e.id),
    })),
    { name: "", ids: events.filter((e) => !known.has(e.category ?? "")).map((e) => e.id) },
  ].filter((g) => g.ids.length > 0);
}

/** Events by their tags, in the order of the alphabet: an event stands under each of its own; those without any come last. */
export function byTag(events: readonly { id: string; tags: readonly string[] }[]): Group[] {
  const groups = new Map<string, Group>();
  for (const { id, tags } of events)
    for (const tag of tags) {
      const group = groups.get(tag.toLowerCase());
      if (group) group.ids.push(id);
      else groups.set(tag.toLowerCase(), { name: tag, ids: [id] });
    }
  const without = events.filter((e) => e.tags.length === 0).map((e) => e.id);
  return [
    ...[...groups.values()].sort((a, b) => a.name.localeCompare(b.name, locale())),
    ...(without.length > 0 ? [{ name: "", ids: without }] : []),
  ];
}
