import { browserOf } from "@/server/accounts/sessions";
import { isFailure } from "@/server/http/failure";
import { ownAddress } from "@/server/http/origin";
import { openRoute } from "@/server/http/route";
import { launch } from "@/server/lti/launch";
import { heldBy, loginCookie } from "../lti-cookie";

const MOST = 100_000;

/** Somebody comes from a learning platform, with a signed message that says who they are and where they want to go. */
export const POST = openRoute({ page: true, foreign: true }, async ({ request }) => {
  const form = new URLSearchParams((await request.text()).slice(0, MOST));
  const done = await launch(form.get("id_token") ?? "", form.get("state") ?? "", heldBy(request), browserOf(request));
  if (isFailure(done)) return done;
  const response = new Response(null, {
    status: 303,
    headers: { Location: ownAddress(request, done.to).href, "Cache-Control": "no-store" },
  });
  for (const c of [...done.cookies, loginCookie("over").replace(/Max-Age=\d+/, "Max-Age=0")])
    response.headers.append("Set-Cookie", c);
  return response;
});
