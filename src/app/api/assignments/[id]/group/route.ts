import { beginAssignment } from "@/server/classes/begin";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";

/** Begins with a timeline that is made. */
export const POST = memberRoute({}, async ({ user, params }) => {
  const begun = await beginAssignment(params.id!, user.id);
  return "failed" in begun ? begun : { timeline: begun.timeline };
});

/** Begins with a timeline of the student's own. */
export const PUT = memberRoute({ body: stringsOf("timeline") }, async ({ user, params, body }) => {
  const begun = await beginAssignment(params.id!, user.id, body.timeline);
  return "failed" in begun ? begun : { timeline: begun.timeline };
});
