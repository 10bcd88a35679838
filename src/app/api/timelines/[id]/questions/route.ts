import { ask } from "@/server/classes/questions";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";

/** A group is stuck, and asks. */
export const POST = memberRoute({ body: stringsOf("event", "text") }, async ({ user, params, body }) => {
  const done = await ask(params.id!, user.id, body.event, body.text);
  return "failed" in done ? done : { asked: true };
});
