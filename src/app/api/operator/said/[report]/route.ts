import { object } from "@/core/text/schema";
import { isFailure } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { decideSaid } from "@/server/timelines/said-reports";

const readDecision = shape<{
  remove: boolean;
}>(object({ remove: { type: "boolean" } }));

/** Takes away what was reported, or leaves it, by somebody who keeps this site. */
export const PUT = memberRoute({ body: readDecision }, async ({ params, user, body }) => {
  const done = await decideSaid(params.report!, user.id, body.remove);
  return isFailure(done) ? done : { ...done };
});
