import { memberRoute, stringsOf } from "@/server/http/route";
import { createTimeline } from "@/server/timelines/create";

export const POST = memberRoute({ body: stringsOf("title", "subject") }, async ({ user, body }) => {
  const made = await createTimeline(user.id, body);
  return "failed" in made ? made : { id: made.id };
});
