import { answer } from "@/server/classes/questions";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";

/** Answers a question of a group. */
export const PUT = memberRoute({ body: stringsOf("text") }, async ({ user, params, body }) => {
  const done = await answer(Number(params.question), user.id, body.text);
  return "failed" in done ? done : { answered: true };
});
