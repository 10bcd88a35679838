import { joinAsMe } from "@/server/classes/join-class";
import { memberRoute, stringsOf } from "@/server/http/route";

export const POST = memberRoute({ body: stringsOf("code") }, async ({ user, body }) => {
  const done = await joinAsMe(user.id, body.code);
  return "failed" in done ? done : { class: done.class };
});
