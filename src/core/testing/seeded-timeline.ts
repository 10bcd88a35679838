import { readWhen } from "../time/read/read-when";
import { UNDATED, type When } from "../time/when";
import { civilFrom, dayFromGregorian } from "../time/calendar";
import { emptyCategory, emptyEvent, emptyItem, emptyTimeline, type Timeline } from "../timeline/timeline";

/** Numbers that look like chance and are the same every time, 0 to 1 (minimal standard generator, Park and Miller 1988). */
export function chance(seed: number): () => number {
  let s = (seed % 2_147_483_646) + 1;
  return () => {
    s = (s * 16_807) % 2_147_483_647;
    return s / 2_147_483_647;
  };
}

/** Kinds of timelines: spread over centuries, gathered in a few busy years, deep time, all at one instant, mixed. */
export type Kind = "spread" | "busy" | "deep" | "same" | "mixed";
export const KINDS: readonly Kind[] = ["spread", "busy", "deep", "same", "mixed"];

const WORDS =
  "flood bridge ferry of the Ambrel opens market licensed night timber stone viaduct school toll river east quay bell rung".split(
    " ",
  );

/** A timeline of so many events, the same for the same arguments. Times are made without reading text, so that it is quick. */
export function seededTimeline(
  count: number,
  seed: number,
  kind: Kind = "spread",
  scale: Timeline["scale"] = "true",
  spans = 0.2,
): Timeline {
  const r = chance(seed * 977 + count);
  const centres = Array.from({ length: 5 }, () => 1600 + 331 * r());
  const events = Array.from({ length: count }, (_, i) => {
    const e = emptyEvent(`e${String(i).padStart(6, "0")}`);
    const title = Array.from({ length: 1 + Math.floor(r() * 6) }, () => WORDS[Math.floor(r() * WORDS.length)]).join(
      " ",
    );
    return {
      ...e,
      title: title.charAt(0).toUpperCase() + title.slice(1),
      when: whenFor(kind, r, centres, spans),
      category: `c${Math.floor(r() * 4)}`,
      emphasis: r() < 0.03,
    };
  });
  const looks = [
    ["verdigris", "solid"],
    ["copper", "slanted"],
    ["plum", "dots"],
    ["river", "waves"],
  ] as const;
  const categories = looks.map(([colour, pattern], i) => ({
    ...emptyCategory(`c${i}`),
    name: ["Crossing", "Trade", "Town life", "Weather"][i]!,
    colour,
    pattern,
    place: `a${i}`,
  }));
  const items = events
    .filter((_, i) => i % 5 === 0)
    .map((e) => ({ ...emptyItem(`p${e.id}`), of: e.id, list: "media" as const, kind: "picture" as const, media: "m" }));
  return {
    ...emptyTimeline("seeded"),
    title: "Seeded",
    scale,
    events: new Map(events.map((e) => [e.id, e])),
    categories: new Map(categories.map((c) => [c.id, c])),
    items: new Map(items.map((i) => [i.id, i])),
  };
}

function whenFor(kind: Kind, r: () => number, centres: readonly number[], spans: number): When {
  const which = kind === "mixed" ? (["spread", "busy", "deep"] as const)[Math.floor(r() * 3)]! : kind;
  if (kind === "mixed" && r() < 0.06) return UNDATED;
  if (which === "same") return dayWhen(dayFromGregorian(1872, 11, 14), 79_800, "minute", 60);
  if (which === "deep") {
    const year = -Math.round(10 ** (3 + 7.1 * r()));
    return dayWhen(dayFromGregorian(year, 1, 1), 0, "year", 0, 1);
  }
  const year = which === "busy" ? centres[Math.floor(r() * centres.length)]! + 3 * (r() + r() - 1) : 1600 + 331 * r();
  const day = Math.floor(year * 365.2425);
  if (r() < spans) {
    const from = moment(day, 0, "day", 86_400);
    const to = moment(day + Math.floor(r() * r() * 9_000), 0, "day", 86_400);
    return { ...UNDATED, typed: "seeded", readAs: { kind: "span", start: from, end: to } };
  }
  if (r() < 0.3) return dayWhen(dayFromGregorian(Math.floor(year), 1, 1), 0, "year", 0, 1);
  return r() < 0.2 ? dayWhen(day, Math.floor(r() * 1_440) * 60, "minute", 60) : dayWhen(day, 0, "day", 86_400);
}

function moment(day: number, second: number, precision: "day" | "minute" | "year", seconds: number, years = 0) {
  const to =
    years > 0
      ? { day: dayFromGregorian(civilFrom("gregorian", day).year + years, 1, 1), second: 0 }
      : carried(day, second + seconds);
  return { from: { day, second }, to, precision, about: false, uncertain: false };
}

function carried(day: number, second: number) {
  return second >= 86_400 ? { day: day + 1, second: second - 86_400 } : { day, second };
}

function dayWhen(day: number, second: number, precision: "day" | "minute" | "year", seconds: number, years = 0): When {
  return {
    ...UNDATED,
    typed: "seeded",
    readAs: { kind: "moment", at: moment(day, second, precision, seconds, years) },
  };
}

/**
 * What a student hands in: up to 20 events of a few centuries, most of them years and days, a quarter spans, titles of three to
 * nine words, and a picture at every second event, of the proportions pictures have.
 */
export function studentTimeline(count: number, seed: number): Timeline {
  const r = chance(seed * 613 + count);
  const t = seededTimeline(count, seed, r() < 0.3 ? "busy" : "spread", "balanced", 0.25);
  const events = [...t.events.values()].map((e) => {
    const words = Array.from({ length: 3 + Math.floor(r() * 6) }, () => WORDS[Math.floor(r() * WORDS.length)]).join(
      " ",
    );
    return { ...e, title: words.charAt(0).toUpperCase() + words.slice(1), emphasis: r() < 0.1 };
  });
  const shapes = [
    [640, 400],
    [800, 600],
    [400, 600],
    [500, 500],
  ] as const;
  const items = events
    .filter((_, i) => i % 2 === 0)
    .map((e) => {
      const [width, height] = shapes[Math.floor(r() * shapes.length)]!;
      const media = { list: "media" as const, kind: "picture" as const, media: "m", width, height };
      return { ...emptyItem(`p${e.id}`), of: e.id, ...media };
    });
  return {
    ...t,
    title: "Student",
    events: new Map(events.map((e) => [e.id, e])),
    items: new Map(items.map((i) => [i.id, i])),
  };
}

/** A timeline of dates and titles as one types them. */
export function typedTimeline(
  lines: readonly (readonly [string, string])[],
  scale: Timeline["scale"] = "balanced",
): Timeline {
  const events = lines.map(([typed, title], i) => ({
    ...emptyEvent(`e${String(i).padStart(3, "0")}`),
    title,
    when: readWhen(typed),
  }));
  return { ...emptyTimeline("t"), scale, events: new Map(events.map((e) => [e.id, e])) };
}
