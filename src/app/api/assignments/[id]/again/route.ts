import { useAgain } from "@/server/classes/year";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";

/** Sets it once more, in this class or another. */
export const POST = memberRoute({ body: stringsOf("class") }, async ({ user, params, body }) => {
  const made = await useAgain(params.id!, user.id, body.class);
  return "failed" in made ? made : { id: made.id };
});
