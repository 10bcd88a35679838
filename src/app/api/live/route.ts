import { sessionKey } from "@/server/accounts/sessions";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { openStream } from "@/server/live/hub";

export const dynamic = "force-dynamic";

export const GET = memberRoute({}, async ({ request, user }) => {
  const session = sessionKey(request);
  if (!session) return fail("sign_in_first");
  return new Response(await openStream(user.id, session), {
    headers: { "Content-Type": "text/event-stream", "Cache-Control": "no-cache, no-transform", "X-Accel-Buffering": "no" },
  });
});
