import { askToLeave, changeAccount } from "@/server/accounts/account";
import { sendAddressLetter } from "@/server/accounts/mail-keys";
import { browserOf, withCookies } from "@/server/accounts/sessions";
import { signUp } from "@/server/accounts/sign-up";
import { mayTryFrom } from "@/server/accounts/tried";
import { fail, isFailure } from "@/server/http/failure";
import { ownAddress } from "@/server/http/origin";
import { memberRoute, openRoute } from "@/server/http/route";
import { shape, stringsOf } from "@/server/http/shape";

export const POST = openRoute({ body: stringsOf("displayName", "email", "password") }, async ({ request, body }) => {
  if (!(await mayTryFrom("sign_up", request))) return fail("too_often");
  const done = await signUp(body, browserOf(request));
  if (isFailure(done)) return done;
  // The account is there, whatever becomes of the letter.
  await sendAddressLetter(done.user.id, (key) => ownAddress(request, `/account/address/${key}`).href);
  return withCookies({ user: done.user }, done);
});

const text = { type: "string", maxLength: 1_000 };
const readChange = shape<{ displayName?: string; email?: string; password?: string }>({
  type: "object",
  properties: { displayName: text, email: text, password: text },
  additionalProperties: false,
  minProperties: 1,
});

/** Another display name or e-mail address. */
export const PATCH = memberRoute({ body: readChange }, async ({ user, body }) => {
  const done = await changeAccount(user.id, body);
  return isFailure(done) ? done : { changed: true };
});

/** Has the account deleted in a week, with what is only its own. */
export const DELETE = memberRoute({ body: stringsOf("password") }, async ({ user, body }) => {
  const done = await askToLeave(user.id, body.password);
  return isFailure(done) ? done : { ...done };
});
