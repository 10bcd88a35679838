import { changePassword } from "@/server/accounts/account";
import { browserOf, isFresh, withCookies } from "@/server/accounts/sessions";
import { isFailure } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";

/** Another password: every other session ends. */
export const PUT = memberRoute({ body: stringsOf("password", "next") }, async ({ request, user, body }) => {
  const done = await changePassword(user.id, body, browserOf(request), await isFresh(request));
  return isFailure(done) ? done : withCookies({ changed: true }, done);
});
