import { createClass } from "@/server/classes/class";
import { memberRoute, stringsOf } from "@/server/http/route";

export const POST = memberRoute({ body: stringsOf("name") }, async ({ user, body }) => {
  const made = await createClass(user.id, body.name);
  return "failed" in made ? made : { id: made.id };
});
