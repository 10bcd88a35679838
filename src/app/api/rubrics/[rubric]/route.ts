import { forgetRubric } from "@/server/classes/rubrics";
import { memberRoute } from "@/server/http/route";

export const DELETE = memberRoute({}, async ({ user, params }) => {
  const done = await forgetRubric(user.id, params.rubric!);
  return "failed" in done ? done : { done: true };
});
