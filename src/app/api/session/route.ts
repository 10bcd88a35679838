import { browserOf, closeSession, knownAccount, withCookies } from "@/server/accounts/sessions";
import { signIn } from "@/server/accounts/sign-in";
import { mayTryFrom, succeeded } from "@/server/accounts/tried";
import { fail, isFailure } from "@/server/http/failure";
import { ownAddress } from "@/server/http/origin";
import { endAddress } from "@/server/sign-on/sign-on";
import { openRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const text = { type: "string", maxLength: 1_000 };
/** `code`: the two-step code of those who have one. */
const readSignIn = shape<{ name: string; password: string; code?: string }>({
  type: "object",
  properties: { name: text, password: text, code: { type: "string", maxLength: 40 } },
  required: ["name", "password"],
  additionalProperties: false,
});

export const POST = openRoute({ body: readSignIn }, async ({ request, body }) => {
  const known = await knownAccount(request);
  // Slow limits are for those nobody knows: whoever was signed in here before is not kept out by others' guessing.
  if (!known && !(await mayTryFrom("sign_in", request))) return fail("too_often");
  const done = await signIn(body.name, body.password, { known, browser: browserOf(request), code: body.code });
  // Who is asked for a code has typed the password right: that was no guess.
  if (!known && (!isFailure(done) || done.failed === "step_code_needed")) await succeeded("sign_in", request);
  return isFailure(done) ? done : withCookies({ user: done.user }, done);
});

/** Signs out. `to`: where the browser ends its session at its school too, if it came from there. */
export const DELETE = openRoute({}, async ({ request }) => {
  const { cookie, by } = await closeSession(request);
  const to = by ? await endAddress(by, ownAddress(request, "/").href) : null;
  return Response.json({ signedOut: true, to }, { headers: { "Set-Cookie": cookie } });
});
