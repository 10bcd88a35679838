import { memberRoute } from "@/server/http/route";
import { deleteUpload } from "@/server/timelines/delete-upload";

/** What I have uploaded is deleted for good, wherever I used it. */
export const DELETE = memberRoute({}, async ({ user, params }) => {
  const done = await deleteUpload(params.id!, params.media!, user.id);
  return "failed" in done ? done : { ...done };
});
