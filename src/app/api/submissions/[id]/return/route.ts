import { returnWork } from "@/server/classes/marking";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { object } from "@/core/text/schema";

const readReturn = shape<{
  toImprove: boolean;
}>(object({ toImprove: { type: "boolean" } }));

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
