import { reply } from "@/server/classes/replies";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";

/** Answers to a mark that came back. */
export const POST = memberRoute({ body: stringsOf("text") }, async ({ user, params, body }) => {
  const done = await reply(params.id!, user.id, body.text);
  return "failed" in done ? done : { replied: true };
});
