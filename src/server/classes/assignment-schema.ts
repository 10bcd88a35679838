import "server-only";
import { shape } from "../http/shape";
import { MOST_INSTRUCTION_PICTURES, MOST_LETTERS, MOST_PICTURE_DATA } from "@/core/classes/instructions";
import { MOST_REQUIREMENTS, REQUIREMENT_SCHEMA } from "@/core/check/requirement-schema";
import { RUBRIC_SCHEMA } from "@/core/classes/rubric";
import { maybe, object } from "@/core/text/schema";
import { WHEN_SCHEMA } from "@/core/time/when-schema";
import type { AssignmentInput } from "./assignment";

export const REQUIREMENTS_SCHEMA = { type: "array", maxItems: MOST_REQUIREMENTS, items: REQUIREMENT_SCHEMA };
export const TEXTS_SCHEMA = {
  type: "array",
  maxItems: 12,
  items: object({ title: { type: "string", maxLength: 200 }, text: { type: "string", maxLength: 20_000 } }),
};
/** An assignment as its teacher sets it. */
export const readAssignment = shape<AssignmentInput>(
  object(
    {
      class: { type: "string", maxLength: 40 },
      title: { type: "string", maxLength: 1_000 },
      instructions: {
        anyOf: [
          { type: "string", maxLength: MOST_LETTERS },
          // What is no block of ours is left out as it is read.
          { type: "array", maxItems: 1_000, items: { type: "object" } },
        ],
      },
      pictures: {
        type: "array",
        maxItems: MOST_INSTRUCTION_PICTURES,
        items: object(
          {
            id: { type: "string", pattern: "^[A-Za-z0-9_-]{1,40}$" },
            text: { type: "string", maxLength: 300 },
            data: { type: "string", maxLength: MOST_PICTURE_DATA, pattern: "^[A-Za-z0-9+/]*={0,2}$" },
          },
          ["data"],
        ),
      },
      period: WHEN_SCHEMA,
      requirements: REQUIREMENTS_SCHEMA,
      given: {
        type: "array",
        maxItems: 100,
        items: object({ title: { type: "string", maxLength: 300 }, when: WHEN_SCHEMA, locked: { type: "boolean" } }),
      },
      total: { type: "integer", minimum: 1, maximum: 1_000 },
      dueAt: { type: "string", maxLength: 40 },
      options: object(
        {
          lateRule: { enum: ["accepted", "refused"] },
          grouping: { enum: ["pupils", "single", "teacher"] },
          blind: { type: "boolean" },
          rubric: maybe(RUBRIC_SCHEMA),
          texts: TEXTS_SCHEMA,
          model: maybe({ type: "string", maxLength: 40 }),
          modelShown: { enum: ["never", "before", "after"] },
          worksShown: { enum: ["chosen", "handed_in", "due"] },
        },
        ["lateRule", "grouping", "blind", "rubric", "texts", "model", "modelShown", "worksShown"],
      ),
    },
    ["options", "pictures"],
  ),
);

/** All its pictures may come with it. */
export const MOST_ASSIGNMENT = 200_000 + MOST_INSTRUCTION_PICTURES * MOST_PICTURE_DATA;
