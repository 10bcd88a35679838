import { forgetComment } from "@/server/classes/kept-comments";
import { memberRoute } from "@/server/http/route";

export const DELETE = memberRoute({}, async ({ user, params }) => {
  const done = await forgetComment(user.id, Number(params.comment));
  return "failed" in done ? done : { comments: done.comments };
});
