import { memberRoute } from "@/server/http/route";
import { join } from "@/server/timelines/invite";

export const POST = memberRoute({}, async ({ user, params }) => {
  const done = await join(params.token!, user.id);
  return "failed" in done ? done : { timeline: done.id };
});
