import { beginAssignment } from "@/server/classes/assignment";
import { memberRoute } from "@/server/http/route";

export const POST = memberRoute({}, async ({ user, params }) => {
  const begun = await beginAssignment(params.id!, user.id);
  return "failed" in begun ? begun : { timeline: begun.timeline };
});
