import { addClassmate } from "@/server/classes/begin";
import { memberRoute, stringsOf } from "@/server/http/route";

export const POST = memberRoute({ body: stringsOf("account") }, async ({ user, params, body }) => {
  const done = await addClassmate(params.id!, user.id, body.account);
  return "failed" in done ? done : { added: true };
});
