import type { ValidateFunction } from "ajv";
import { object } from "@/core/text/schema";
import { isFailure } from "@/server/http/failure";
import { ajv, memberRoute } from "@/server/http/route";
import { decideSaid } from "@/server/timelines/said-reports";

const readDecision = ajv.compile(object({ remove: { type: "boolean" } })) as unknown as ValidateFunction<{
  remove: boolean;
}>;

/** Takes away what was reported, or leaves it, by somebody who keeps this site. */
export const PUT = memberRoute({ body: readDecision }, async ({ params, user, body }) => {
  const done = await decideSaid(params.report!, user.id, body.remove);
  return isFailure(done) ? done : { ...done };
});
