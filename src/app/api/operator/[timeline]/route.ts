import type { ValidateFunction } from "ajv";
import { ajv, memberRoute } from "@/server/http/route";
import { decide } from "@/server/publishing/reports";

const readDecision = ajv.compile({
  type: "object",
  properties: { hide: { type: "boolean" } },
  required: ["hide"],
  additionalProperties: false,
}) as ValidateFunction<{ hide: boolean }>;

/** Hides a published page or shows it again, by somebody who keeps this site. */
export const PUT = memberRoute({ body: readDecision }, async ({ params, user, body }) => {
  const done = await decide(params.timeline!, user.id, body.hide);
  return "failed" in done ? done : { ...done };
});
