import { isFailure } from "@/server/http/failure";
import { openRoute } from "@/server/http/route";
import { signOutBy } from "@/server/sign-on/sign-out";

const MOST = 100_000;

/** A provider says that somebody has signed out there (OpenID Connect Back-Channel Logout 1.0). */
export const POST = openRoute({ foreign: true }, async ({ request }) => {
  const form = new URLSearchParams((await request.text()).slice(0, MOST));
  const done = await signOutBy(form.get("logout_token") ?? "");
  return isFailure(done) ? done : Response.json(done, { headers: { "Cache-Control": "no-store" } });
});
