import { takePracticeBack } from "@/server/classes/practice";
import { memberRoute } from "@/server/http/route";

/** Takes a practice back, with what was made of it. */
export const DELETE = memberRoute({}, async ({ user, params }) =>
  takePracticeBack(params.id!, user.id, params.practice!),
);
