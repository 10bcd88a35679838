import { MOST } from "@/core/change/limits";
import { isFailure } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { copyInto } from "@/server/timelines/copy-into";

const id = { type: "string", pattern: "^[A-Za-z0-9_-]{1,40}$" };
const readCopy = shape<{ to: string; events: string[] }>({
  type: "object",
  properties: { to: id, events: { type: "array", items: id, minItems: 1, maxItems: MOST.events.most } },
  required: ["to", "events"],
  additionalProperties: false,
});

/** Copies events into another timeline. */
export const POST = memberRoute({ body: readCopy, mostBody: 2_000_000 }, async ({ user, params, body }) => {
  const done = await copyInto(params.id!, body.to, body.events, user.id);
  return isFailure(done) ? done : { ...done };
});
