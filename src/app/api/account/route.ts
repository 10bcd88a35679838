import { signUp } from "@/server/accounts/sign-up";
import { isFailure } from "@/server/http/failure";
import { openRoute, stringsOf } from "@/server/http/route";

export const POST = openRoute({ body: stringsOf("displayName", "email", "password") }, async ({ body }) => {
  const done = await signUp(body);
  return isFailure(done) ? done : Response.json({ user: done.user }, { headers: { "Set-Cookie": done.cookie } });
});
