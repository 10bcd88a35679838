import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";
import { createTimeline } from "@/server/timelines/create";
import { titlesOf } from "@/server/timelines/queries";

/** The timelines a person may edit, by title. */
export const GET = memberRoute({}, async ({ user }) => ({ timelines: await titlesOf(user.id) }));

export const POST = memberRoute({ body: stringsOf("title", "subject") }, async ({ user, body }) => {
  const made = await createTimeline(user.id, body);
  return "failed" in made ? made : { id: made.id };
});
