import { object } from "../text/schema";
import { MEDIA_SORTS, type RequirementKind } from "./requirements";

/** An assignment asks for so many things. */
export const MOST_REQUIREMENTS = 40;

const some = { type: "integer", minimum: 0, maximum: 1_000 };
const asked = (kinds: RequirementKind[], more: Record<string, object>, optional: string[] = []) =>
  object({ kind: { enum: kinds }, ...more, wished: { const: true } }, [...optional, "wished"]);
const count = { type: "integer", minimum: 1, maximum: 10_000 };
/** A requirement, as JSON Schema. */
export const REQUIREMENT_SCHEMA = {
  anyOf: [
    asked(
      ["events", "spans", "words_in_all", "introduction", "conclusion", "further", "close_up", "places", "parts"],
      { count, most: count },
      ["most"],
    ),
    asked(["media"], { count, of: { type: "array", minItems: 1, uniqueItems: true, items: { enum: MEDIA_SORTS } } }, [
      "of",
    ]),
    asked(["sources"], { count }, ["count"]),
    asked(["words"], { count, least: count }, ["count", "least"]),
    asked(["around"], { event: { type: "string", maxLength: 300 }, before: some, after: some }),
    asked(["structured", "beyond_encyclopedias", "credits", "given", "voice_each", "voice_whole"], {}),
    asked(["categories"], {
      names: {
        type: "array",
        minItems: 1,
        maxItems: 20,
        items: { type: "string", minLength: 1, maxLength: 60 },
      },
    }),
  ],
};
