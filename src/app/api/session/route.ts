import { browserOf, closeSession, knownAccount, withCookies } from "@/server/accounts/sessions";
import { signIn } from "@/server/accounts/sign-in";
import { mayTryFrom, succeeded } from "@/server/accounts/tried";
import { fail, isFailure } from "@/server/http/failure";
import { openRoute, stringsOf } from "@/server/http/route";

export const POST = openRoute({ body: stringsOf("name", "password") }, async ({ request, body }) => {
  const known = await knownAccount(request);
  // Slow limits are for those nobody knows: whoever was signed in here before is not kept out by others' guessing.
  if (!known && !(await mayTryFrom("sign_in", request))) return fail("too_often");
  const done = await signIn(body.name, body.password, { known, browser: browserOf(request) });
  if (isFailure(done)) return done;
  if (!known) await succeeded("sign_in", request);
  return withCookies({ user: done.user }, done);
});

export const DELETE = openRoute({}, async ({ request }) =>
  Response.json({ signedOut: true }, { headers: { "Set-Cookie": await closeSession(request) } }),
);
