import { browserOf, withCookies } from "@/server/accounts/sessions";
import { mayTryFrom } from "@/server/accounts/tried";
import { fail, isFailure } from "@/server/http/failure";
import { openRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { endClaim, proveClaim } from "@/server/sign-on/sign-on";
import { heldCookie, heldIn } from "../sign-on-cookie";

/** With a password the account that has the address is one's own; without, one of one's own is made. */
const readAnswer = shape<{ password?: string; code?: string }>({
  type: "object",
  properties: { password: { type: "string", maxLength: 1_000 }, code: { type: "string", maxLength: 40 } },
  additionalProperties: false,
});

/** Says whether the account that has somebody's address already is theirs. */
export const POST = openRoute({ body: readAnswer }, async ({ request, body }) => {
  if (!(await mayTryFrom("sign_in", request))) return fail("too_often");
  const claim = heldIn(request.headers.get("cookie"));
  if (!claim) return fail("sign_on_over");
  const proven = body.password === undefined ? null : await proveClaim(claim, body.password, body.code);
  if (isFailure(proven)) return proven;
  const done = await endClaim(claim, proven?.account ?? null, browserOf(request));
  if (isFailure(done)) return done;
  return withCookies({ to: done.to }, { cookies: [...done.cookies, heldCookie("")] });
});
