import { alterAssignment } from "@/server/classes/assignment";
import { MOST_ASSIGNMENT, readAssignment } from "@/server/classes/assignment-schema";
import { memberRoute } from "@/server/http/route";

/** Alters an assignment; those who have begun are told. */
export const PUT = memberRoute({ body: readAssignment, mostBody: MOST_ASSIGNMENT }, async ({ user, params, body }) => {
  const done = await alterAssignment(params.id!, user.id, body);
  return "failed" in done ? done : { told: done.told };
});
