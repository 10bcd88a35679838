import type { Op } from "../change/change";
import { MOST } from "../change/limits";
import { fitsSchema } from "../text/fits-schema";
import { maybe, object } from "../text/schema";
import { CATEGORY, TIMELINE, type ValuesOf } from "../timeline/fields";
import { categoriesOf, type Timeline } from "../timeline/timeline";

/** What of a timeline is its look, apart from its categories and the picture behind it. */
const WORN = [
  "look",
  "paper",
  "texture",
  "lineWeight",
  "labelDates",
  "labelTitles",
  "labelWords",
  "pictures",
  "typeSize",
] as const satisfies (keyof typeof TIMELINE)[];
type Worn = (typeof WORN)[number];

/** A look as it is kept and handed on: categories go by their names. */
export type LookFile = {
  fastigo: "look";
  version: 1;
  wears: Pick<ValuesOf<typeof TIMELINE>, Worn>;
  categories: Pick<ValuesOf<typeof CATEGORY>, "name" | "colour" | "pattern" | "loudness">[];
};

/** Its shape, as JSON Schema. */
export const LOOK_SCHEMA = object({
  fastigo: { const: "look" },
  version: { const: 1 },
  wears: object(
    Object.fromEntries(WORN.map((k) => [k, TIMELINE[k].schema])),
    // Files of before a field was there have none.
    WORN,
  ),
  categories: {
    type: "array",
    maxItems: MOST.categories.most,
    items: object(
      {
        name: { type: "string", maxLength: CATEGORY.name.most },
        colour: CATEGORY.colour.schema,
        pattern: CATEGORY.pattern.schema,
        loudness: CATEGORY.loudness.schema,
      },
      ["loudness"],
    ),
  },
});
/** A saved look's name has so many characters, and somebody so many of them. */
export const MOST_LOOK_NAME = 60;
export const LOOK_NAME = { type: "string", pattern: "\\S", maxLength: MOST_LOOK_NAME };
/** The class a look is saved for. */
export const LOOK_CLASS = maybe({ type: "string", pattern: "^[A-Za-z0-9_-]{1,40}$" });

/** The look of a timeline. */
export function lookOf(t: Timeline): LookFile {
  return {
    fastigo: "look",
    version: 1,
    wears: Object.fromEntries(WORN.map((k) => [k, t[k]])) as LookFile["wears"],
    categories: categoriesOf(t).map(({ name, colour, pattern, loudness }) => ({ name, colour, pattern, loudness })),
  };
}

/** What is wrong with a file that should hold a look. */
export type LookFault = "no_json" | "no_look" | "other_version" | "broken";

/** Reads a look out of a file's text. */
export function readLook(text: string): LookFile | LookFault {
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\ufeff/, ""));
  } catch {
    return "no_json";
  }
  if (typeof value !== "object" || value === null || !("fastigo" in value) || value.fastigo !== "look")
    return "no_look";
  if (!("version" in value) || value.version !== 1) return "other_version";
  return fitsSchema(LOOK_SCHEMA, value) ? (value as LookFile) : "broken";
}

/**
 * The steps that make a timeline look so: its own fields, and of its categories those that the look has by the same name, whatever
 * their letters' case. Nothing that is so already.
 */
export function wearOps(t: Timeline, look: LookFile): Op[] {
  const same = (name: string) => name.trim().toLowerCase();
  const known = new Map(look.categories.map((c) => [same(c.name), c]));
  const own = WORN.flatMap((field): Op[] => {
    const value = look.wears[field];
    return value === undefined || value === t[field] ? [] : [{ kind: "set_timeline", field, value }];
  });
  const categories = categoriesOf(t).flatMap((c) => {
    const as = known.get(same(c.name));
    if (!as) return [];
    const { id } = c;
    return (["colour", "pattern", "loudness"] as const).flatMap((field): Op[] => {
      const value = as[field];
      return value === undefined || value === c[field] ? [] : [{ kind: "set_category", id, field, value }];
    });
  });
  return [...own, ...categories];
}
