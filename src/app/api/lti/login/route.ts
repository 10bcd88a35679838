import { isFailure } from "@/server/http/failure";
import { ownAddress } from "@/server/http/origin";
import { openRoute } from "@/server/http/route";
import { beginLogin } from "@/server/lti/launch";
import { LAUNCH_PATH, loginCookie } from "../lti-cookie";

/** A learning platform begins to say who somebody is: their browser is sent back to it with a question. */
const begin = async (request: Request, asked: URLSearchParams) => {
  const begun = await beginLogin(asked, ownAddress(request, LAUNCH_PATH).href);
  if (isFailure(begun)) return begun;
  return new Response(null, {
    status: 302,
    headers: { Location: begun.to, "Set-Cookie": loginCookie(begun.state), "Cache-Control": "no-store" },
  });
};

export const GET = openRoute({ page: true, foreign: true, longQuery: true }, async ({ request }) =>
  begin(request, new URL(request.url).searchParams),
);

export const POST = openRoute({ page: true, foreign: true }, async ({ request }) =>
  begin(request, new URLSearchParams((await request.text()).slice(0, 20_000))),
);
