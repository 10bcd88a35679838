import { ownPath } from "@/server/http/own-path";
import { mayTryFrom } from "@/server/accounts/tried";
import { fail, isFailure } from "@/server/http/failure";
import { ownAddress } from "@/server/http/origin";
import { openRoute } from "@/server/http/route";
import { beginSignOn } from "@/server/sign-on/sign-on";
import { BACK_PATH, heldCookie } from "../sign-on-cookie";

/** Sends a browser to a school's own accounts. `with`: the provider; `to`: the path it leads to afterwards. */
export const GET = openRoute({ page: true }, async ({ request }) => {
  if (!(await mayTryFrom("link", request, "sign-on"))) return fail("too_often");
  const asked = new URL(request.url).searchParams;
  const to = ownPath(asked.get("to") ?? undefined);
  const begun = await beginSignOn(asked.get("with") ?? "", to, ownAddress(request, BACK_PATH).href);
  if (isFailure(begun)) return begun;
  return new Response(null, {
    status: 302,
    headers: { Location: begun.to, "Set-Cookie": heldCookie(begun.state), "Cache-Control": "no-store" },
  });
});
