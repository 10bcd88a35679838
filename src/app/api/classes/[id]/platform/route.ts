import { memberRoute } from "@/server/http/route";
import { bringMembers } from "@/server/lti/services";

/** Brings in the students of the course that a class is on a learning platform. */
export const POST = memberRoute({}, async ({ user, params }) => {
  const done = await bringMembers(params.id!, user.id);
  return "failed" in done ? done : { added: done.added, there: done.there };
});
