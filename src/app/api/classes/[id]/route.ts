import type { ValidateFunction } from "ajv";
import { alterClass } from "@/server/classes/class";
import { ajv, memberRoute } from "@/server/http/route";
import type { Visibility } from "@/core/timeline/visibility";

const readAlter = ajv.compile({
  type: "object",
  properties: {
    code: { enum: ["renew", "close"] },
    publishLimit: { enum: ["only_me", "class", "link", "everybody"] },
    retentionMonths: { type: "integer", minimum: 1, maximum: 120 },
    zone: { type: "string", maxLength: 60 },
    outsidePlayers: { type: "boolean" },
    recording: { type: "boolean" },
  },
  additionalProperties: false,
}) as ValidateFunction<{
  code?: "renew" | "close";
  publishLimit?: Visibility;
  retentionMonths?: number;
  zone?: string;
  outsidePlayers?: boolean;
  recording?: boolean;
}>;

export const PATCH = memberRoute({ body: readAlter }, async ({ user, params, body }) => {
  const done = await alterClass(params.id!, user.id, body);
  return "failed" in done ? done : { done: true };
});
