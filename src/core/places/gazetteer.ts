import type { Point } from "../timeline/fields";

/** A town of the gazetteer. */
export interface Town extends Point {
  name: string;
  /** Names it had, or has in other tongues. */
  others: readonly string[];
  /** Its country, as ISO 3166-1 names it: "GB". */
  country: string;
  /** How many people live there, thousands. */
  people: number;
}

/** A town that was found, and the name by which. */
export interface FoundTown {
  town: Town;
  by: string;
}

export interface Gazetteer {
  towns: readonly Town[];
  /** Every name as it is looked for, sorted, with its town. */
  names: readonly string[];
  of: readonly number[];
}

/** Letters without their marks, small, with one space between words. */
export const plainName = (name: string): string =>
  name
    .normalize("NFD")
    .replaceAll(/\p{M}/gu, "")
    .toLowerCase()
    .replaceAll("ß", "ss")
    .replaceAll("ø", "o")
    .replaceAll("ł", "l")
    .replaceAll(/[^\p{L}\p{N}]+/gu, " ")
    .trim();

/** Reads the list of towns: a line each, with name, other names, country, latitude, longitude and thousands of people. */
export function readGazetteer(text: string): Gazetteer {
  const towns: Town[] = [];
  const found: [string, number][] = [];
  for (const line of text.split("\n")) {
    const [name, others, country, lat, lon, people] = line.split("|");
    if (!name || people === undefined) continue;
    const town: Town = {
      name,
      others: others ? others.split(",").map((o) => o.trim()) : [],
      country: country!,
      lat: Number(lat),
      lon: Number(lon),
      people: Number(people),
    };
    for (const n of [name, ...town.others]) found.push([plainName(n), towns.length]);
    towns.push(town);
  }
  found.sort((a, b) => (a[0] < b[0] ? -1 : a[0] > b[0] ? 1 : a[1] - b[1]));
  return { towns, names: found.map((f) => f[0]), of: found.map((f) => f[1]) };
}

/** The first place of a sorted list at which a name that begins so may stand. */
function firstAt(names: readonly string[], start: string): number {
  let [low, high] = [0, names.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (names[middle]! < start) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** So many towns whose names begin alike are weighed. */
const MOST_WEIGHED = 3_000;

/**
 * The towns a written name may mean, best first: whole names before begun ones, large towns before small. What stands after a comma
 * names the country, by its code or as `countryName` says it. What the list lacks gives nothing.
 */
export function searchTowns(
  g: Gazetteer,
  text: string,
  most: number,
  countryName: (code: string) => string,
): FoundTown[] {
  const [first = "", ...rest] = text.split(",");
  const wanted = plainName(first);
  const country = plainName(rest.join(" "));
  if (wanted.length < 2) return [];
  const best = new Map<number, number>();
  for (let i = firstAt(g.names, wanted), n = 0; i < g.names.length && n < MOST_WEIGHED; i++, n++) {
    const name = g.names[i]!;
    if (!name.startsWith(wanted)) break;
    const town = g.of[i]!;
    const whole = name === wanted ? 2 : name[wanted.length] === " " ? 1 : 0;
    const own = g.towns[town]!;
    if (country && plainName(own.country) !== country && !plainName(countryName(own.country)).startsWith(country))
      continue;
    const score = whole * 100_000 + own.people;
    if (score > (best.get(town) ?? -1)) best.set(town, score);
  }
  return [...best]
    .toSorted((a, b) => b[1] - a[1] || a[0] - b[0])
    .slice(0, most)
    .map(([t]) => {
      const town = g.towns[t]!;
      const by = [town.name, ...town.others].find((n) => plainName(n).startsWith(wanted)) ?? town.name;
      return { town, by };
    });
}

/** So many parts of a text are looked for. */
const MOST_PARTS = 12;

/**
 * The town that is named within something the list itself lacks, such as an address ("12 Mill Lane, Bristol") or a description ("the old
 * mill near Bristol"): what stands after commas first, then the last words. Only whole names count.
 */
export function townsWithin(
  g: Gazetteer,
  text: string,
  most: number,
  countryName: (code: string) => string,
): FoundTown[] {
  const parts = text.split(",").map((p) => p.trim());
  const words = parts[0]!.split(/\s+/);
  const wanted = [
    ...parts.slice(1).map((_, i) => parts.slice(i + 1).join(", ")),
    ...words.slice(1).map((_, i) => words.slice(i + 1).join(" ")),
  ];
  for (const part of wanted.slice(0, MOST_PARTS)) {
    const name = plainName(part.split(",")[0]!);
    const found = searchTowns(g, part, most, countryName).filter((f) => plainName(f.by) === name);
    if (found.length > 0) return found;
  }
  return [];
}

const EARTH_KM = 6_371;

/** The town that lies nearest to a point, and how far it is, km along the earth (haversine); null: there are no towns. */
export function nearestTown(g: Gazetteer, at: Point): { town: Town; km: number } | null {
  const radians = Math.PI / 180;
  const cos = Math.cos(at.lat * radians);
  let best: Town | null = null;
  let least = Number.POSITIVE_INFINITY;
  for (const t of g.towns) {
    const north = Math.sin(((t.lat - at.lat) * radians) / 2);
    const east = Math.sin(((t.lon - at.lon) * radians) / 2);
    const h = north * north + cos * Math.cos(t.lat * radians) * east * east;
    if (h < least) [best, least] = [t, h];
  }
  return best && { town: best, km: 2 * EARTH_KM * Math.asin(Math.min(1, Math.sqrt(least))) };
}
