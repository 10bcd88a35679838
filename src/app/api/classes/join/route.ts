import { browserOf, withCookies } from "@/server/accounts/sessions";
import { mayTryFrom, succeeded } from "@/server/accounts/tried";
import { joinNew } from "@/server/classes/join-class";
import { fail, isFailure } from "@/server/http/failure";
import { openRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";

/** A new student, by the class's code. */
export const POST = openRoute({ body: stringsOf("code", "displayName", "password") }, async ({ request, body }) => {
  if (!(await mayTryFrom("code", request))) return fail("too_often");
  const done = await joinNew(body, browserOf(request));
  if (isFailure(done)) return done;
  await succeeded("code", request);
  return withCookies({ user: done.user, signInName: done.signInName, class: done.class }, done);
});
