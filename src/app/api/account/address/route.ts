import { proveAddress, sendAddressLetter } from "@/server/accounts/mail-keys";
import { mayTryFrom } from "@/server/accounts/tried";
import { fail, isFailure } from "@/server/http/failure";
import { ownAddress } from "@/server/http/origin";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";
import { isReal } from "@/server/mail/outgoing";

/** Sends a letter to one's own address that asks whether it is right. */
export const POST = memberRoute({}, async ({ request, user }) => {
  if (!(await mayTryFrom("link_to", request, user.id))) return fail("too_often");
  const done = await sendAddressLetter(user.id, (key) => ownAddress(request, `/account/address/${key}`).href);
  return isFailure(done) ? done : { ...done, real: isReal() };
});

/** Proves the address by the key of that letter. */
export const PUT = memberRoute({ body: stringsOf("key") }, async ({ user, body }) => {
  const done = await proveAddress(user.id, body.key);
  return isFailure(done) ? done : { ...done };
});
