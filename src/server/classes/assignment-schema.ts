import "server-only";
import type { ValidateFunction } from "ajv";
import { ajv } from "../http/route";
import { object } from "@/core/text/schema";
import { WHEN_SCHEMA } from "@/core/time/when-schema";
import type { AssignmentInput } from "./assignment";

const count = { type: "integer", minimum: 1, maximum: 10_000 };
/** An assignment as its teacher sets it. */
export const readAssignment = ajv.compile(
  object({
    class: { type: "string", maxLength: 40 },
    title: { type: "string", maxLength: 1_000 },
    instructions: { type: "string", maxLength: 10_000 },
    period: WHEN_SCHEMA,
    requirements: {
      type: "array",
      maxItems: 20,
      items: {
        anyOf: [
          object({ kind: { enum: ["events", "media", "words"] }, count }),
          object({ kind: { const: "sources" } }),
          object({
            kind: { const: "categories" },
            names: { type: "array", minItems: 1, maxItems: 20, items: { type: "string", minLength: 1, maxLength: 60 } },
          }),
        ],
      },
    },
    given: {
      type: "array",
      maxItems: 100,
      items: object({ title: { type: "string", maxLength: 300 }, when: WHEN_SCHEMA, locked: { type: "boolean" } }),
    },
    total: { type: "integer", minimum: 1, maximum: 1_000 },
    dueAt: { type: "string", maxLength: 40 },
  }),
) as unknown as ValidateFunction<AssignmentInput>;
