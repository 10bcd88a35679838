import { sendSignInLink } from "@/server/accounts/mail-keys";
import { mayTryFrom } from "@/server/accounts/tried";
import { fail, isFailure } from "@/server/http/failure";
import { ownAddress } from "@/server/http/origin";
import { openRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";
import { isReal } from "@/server/mail/outgoing";

/** Sends a link that signs in. `to`: where it leads afterwards, a path. */
export const POST = openRoute({ body: stringsOf("email", "to") }, async ({ request, body }) => {
  // Each address on its own, so that nobody's box is filled; and from one place.
  const address = body.email.trim().toLowerCase().slice(0, 100);
  if (!(await mayTryFrom("link", request)) || !(await mayTryFrom("link_to", request, address)))
    return fail("too_often");
  const done = await sendSignInLink(body.email, (key) => {
    const url = ownAddress(request, `/sign-in/link/${key}`);
    if (body.to !== "" && body.to !== "/") url.searchParams.set("to", body.to);
    return url.href;
  });
  return isFailure(done) ? done : { ...done, real: isReal() };
});
