import { createAssignment } from "@/server/classes/assignment";
import { MOST_ASSIGNMENT, readAssignment } from "@/server/classes/assignment-schema";
import { memberRoute } from "@/server/http/route";

export const POST = memberRoute({ body: readAssignment, mostBody: MOST_ASSIGNMENT }, async ({ user, body }) => {
  const made = await createAssignment(user.id, body);
  return "failed" in made ? made : { id: made.id };
});
