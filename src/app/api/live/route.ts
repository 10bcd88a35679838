import { sessionKey } from "@/server/accounts/sessions";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { openStream } from "@/server/live/hub";

export const dynamic = "force-dynamic";

export const GET = memberRoute({}, async ({ request, user }) => {
  const session = sessionKey(request);
  if (!session) return fail("sign_in_first");
  const stream = await openStream(user.id, session);
  if (!stream) return new Response(null, { status: 503, headers: { Connection: "close", "Retry-After": "5" } });
  return new Response(stream, {
    headers: {
      "Content-Type": "text/event-stream",
      "Cache-Control": "no-cache, no-transform",
      "X-Accel-Buffering": "no",
    },
  });
});
