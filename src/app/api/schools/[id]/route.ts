import type { ValidateFunction } from "ajv";
import type { Visibility } from "@/core/timeline/visibility";
import { alterSchool, endSchool } from "@/server/classes/school";
import { ajv, memberRoute } from "@/server/http/route";

const readAlter = ajv.compile({
  type: "object",
  properties: {
    name: { type: "string", maxLength: 1_000 },
    publishLimit: { enum: ["only_me", "class", "school", "link", "everybody"] },
    signOnProvider: { anyOf: [{ type: "null" }, { type: "string", maxLength: 1_100 }] },
  },
  additionalProperties: false,
}) as ValidateFunction<{ name?: string; publishLimit?: Visibility; signOnProvider?: string | null }>;

export const PATCH = memberRoute({ body: readAlter }, async ({ user, params, body }) =>
  alterSchool(params.id!, user.id, body),
);

export const DELETE = memberRoute({}, async ({ user, params }) => endSchool(params.id!, user.id));
