import { useOneTimeCode as takeOneTimeCode } from "@/server/classes/join-class";
import { isFailure } from "@/server/http/failure";
import { openRoute, stringsOf } from "@/server/http/route";

/** A new password for a one-time code. */
export const POST = openRoute({ body: stringsOf("name", "code", "password") }, async ({ body }) => {
  const done = await takeOneTimeCode(body);
  return isFailure(done) ? done : Response.json({ user: done.user }, { headers: { "Set-Cookie": done.cookie } });
});
