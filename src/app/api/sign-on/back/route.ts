import { browserOf } from "@/server/accounts/sessions";
import { isFailure } from "@/server/http/failure";
import { ownAddress } from "@/server/http/origin";
import { openRoute } from "@/server/http/route";
import { finishSignOn } from "@/server/sign-on/sign-on";
import { BACK_PATH, heldCookie, heldIn } from "../sign-on-cookie";

/** Somebody comes back from their school's own accounts. */
export const GET = openRoute({ page: true, foreign: true, longQuery: true }, async ({ request }) => {
  const url = ownAddress(request, BACK_PATH + new URL(request.url).search);
  const done = await finishSignOn(url, heldIn(request.headers.get("cookie")), browserOf(request));
  if (isFailure(done)) return done;
  const to = "claim" in done ? "/sign-in/claim" : done.to;
  const response = new Response(null, {
    status: 303,
    headers: { Location: ownAddress(request, to).href, "Cache-Control": "no-store" },
  });
  const cookies = "claim" in done ? [heldCookie(done.claim)] : [...done.cookies, heldCookie("")];
  for (const c of cookies) response.headers.append("Set-Cookie", c);
  return response;
});
