import type { ValidateFunction } from "ajv";
import { returnWork } from "@/server/classes/marking";
import { ajv, memberRoute } from "@/server/http/route";
import { object } from "@/core/text/schema";

const readReturn = ajv.compile(object({ toImprove: { type: "boolean" } })) as unknown as ValidateFunction<{
  toImprove: boolean;
}>;

/** Returned for good. */
export const POST = memberRoute({}, async ({ user, params }) => {
  const done = await returnWork(params.id!, user.id);
  return "failed" in done ? done : { returned: true };
});

/** Returned, and whether it may be handed in again; that can be altered later. */
export const PUT = memberRoute({ body: readReturn }, async ({ user, params, body }) => {
  const done = await returnWork(params.id!, user.id, body.toImprove);
  return "failed" in done ? done : { returned: true };
});
