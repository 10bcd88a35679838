import type { ValidateFunction } from "ajv";
import { MOST } from "@/core/change/limits";
import { isFailure } from "@/server/http/failure";
import { ajv, memberRoute } from "@/server/http/route";
import { copyInto } from "@/server/timelines/copy-into";

const id = { type: "string", pattern: "^[A-Za-z0-9_-]{1,40}$" };
const readCopy = ajv.compile({
  type: "object",
  properties: { to: id, events: { type: "array", items: id, minItems: 1, maxItems: MOST.events.most } },
  required: ["to", "events"],
  additionalProperties: false,
}) as ValidateFunction<{ to: string; events: string[] }>;

/** Copies events into another timeline. */
export const POST = memberRoute({ body: readCopy, mostBody: 2_000_000 }, async ({ user, params, body }) => {
  const done = await copyInto(params.id!, body.to, body.events, user.id);
  return isFailure(done) ? done : { ...done };
});
