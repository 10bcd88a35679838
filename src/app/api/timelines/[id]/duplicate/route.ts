import { isFailure } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { duplicateTimeline } from "@/server/timelines/copy-into";

/** The same timeline once more, one's own: with all it has but its history, its readers and its class. */
export const POST = memberRoute({}, async ({ user, params }) => {
  const done = await duplicateTimeline(params.id!, user.id);
  return isFailure(done) ? done : { ...done };
});
