import { addClassmate } from "@/server/classes/begin";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";

export const POST = memberRoute({ body: stringsOf("account") }, async ({ user, params, body }) => {
  const done = await addClassmate(params.id!, user.id, body.account);
  return "failed" in done ? done : { added: true };
});
