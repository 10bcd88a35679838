import { endSessions } from "@/server/accounts/sessions";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";

export const DELETE = memberRoute({}, async ({ request, user, params }) => {
  const ended = await endSessions(user.id, params.session!, request);
  return ended > 0 ? { ended } : fail("not_found");
});
