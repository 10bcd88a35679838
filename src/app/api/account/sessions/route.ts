import { endSessions } from "@/server/accounts/sessions";
import { memberRoute } from "@/server/http/route";

/** Ends every session but the one that asks. */
export const DELETE = memberRoute({}, async ({ request, user }) => ({
  ended: await endSessions(user.id, null, request),
}));
