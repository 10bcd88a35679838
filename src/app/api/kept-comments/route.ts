import { keepComment, keptComments } from "@/server/classes/kept-comments";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";

/** The comments one uses again, the most used first. */
export const GET = memberRoute({}, async ({ user }) => ({ comments: await keptComments(user.id) }));

/** Keeps one; one that is kept already has been used once more. */
export const POST = memberRoute({ body: stringsOf("text") }, async ({ user, body }) => {
  const done = await keepComment(user.id, body.text);
  return "failed" in done ? done : { comments: done.comments };
});
