import type { Visibility } from "@/core/timeline/visibility";
import { alterSchool, endSchool } from "@/server/classes/school";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readAlter = shape<{ name?: string; publishLimit?: Visibility; signOnProvider?: string | null }>({
  type: "object",
  properties: {
    name: { type: "string", maxLength: 1_000 },
    publishLimit: { enum: ["only_me", "class", "school", "link", "everybody"] },
    signOnProvider: { anyOf: [{ type: "null" }, { type: "string", maxLength: 1_100 }] },
  },
  additionalProperties: false,
});

export const PATCH = memberRoute({ body: readAlter }, async ({ user, params, body }) =>
  alterSchool(params.id!, user.id, body),
);

export const DELETE = memberRoute({}, async ({ user, params }) => endSchool(params.id!, user.id));
