import "server-only";
import { locale } from "@/core/language/spoken";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import {
  type FoundTown,
  type Gazetteer,
  nearestTown,
  readGazetteer,
  searchTowns,
  townsWithin,
} from "@/core/places/gazetteer";
import type { Point } from "@/core/timeline/fields";

/** A place a written name may mean. */
export interface FoundPlace extends Point {
  /** As it is written into the event: the name that was looked for where it is one of its names. */
  name: string;
  /** What tells it from others of its name: its usual name where that is another, and its country. */
  more: string;
  /** It is the town within what was written, which stays as it is. */
  within?: true;
}

/** Something that knows where places lie. */
export interface Geocoder {
  /** The places a name may mean, best first; none where it is not known. */
  search(words: string): Promise<FoundPlace[]>;
  /** The place nearest to a point, and how far it is, km; null where none is known. */
  nearest(at: Point): Promise<(FoundPlace & { km: number }) | null>;
}

const MOST_FOUND = 8;
const MOST_WITHIN = 3;
const countryName = (code: string): string => {
  try {
    return new Intl.DisplayNames(locale(), { type: "region" }).of(code) ?? code;
  } catch {
    return code;
  }
};

let known: Gazetteer | null = null;
/** Read when it is first asked for, and kept. */
function gazetteer(): Gazetteer {
  known ??= readGazetteer(
    readFileSync(join(process.env.FASTIGO_ROOT ?? process.cwd(), "data", "gazetteer.txt"), "utf8"),
  );
  return known;
}

const shipped: Geocoder = {
  search: async (words) => {
    const found = searchTowns(gazetteer(), words, MOST_FOUND, countryName);
    if (found.length > 0) return found.map(placeOf);
    return townsWithin(gazetteer(), words, MOST_WITHIN, countryName).map((f) => ({ ...placeOf(f), within: true }));
  },
  nearest: async (at) => {
    const found = nearestTown(gazetteer(), at);
    return found && { ...placeOf({ town: found.town, by: found.town.name }), km: found.km };
  },
};

function placeOf({ town, by }: FoundTown): FoundPlace {
  return {
    name: by,
    more: [by === town.name ? "" : town.name, countryName(town.country)].filter(Boolean).join(", "),
    lat: town.lat,
    lon: town.lon,
  };
}

/** The geocoders there are, by the name the configuration calls them: another one is a module with this one function. */
const GEOCODERS: Record<string, Geocoder> = { gazetteer: shipped };

/** What knows where places lie: `GEOCODER`, or the gazetteer that ships with Fastigo. */
export function geocoder(): Geocoder {
  const name = process.env.GEOCODER ?? "gazetteer";
  const found = GEOCODERS[name];
  if (!found) throw new Error(`GEOCODER is "${name}"; there is: ${Object.keys(GEOCODERS).join(", ")}.`);
  return found;
}
