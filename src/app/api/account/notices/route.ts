import { dismissNotices } from "@/server/accounts/account";
import { memberRoute } from "@/server/http/route";

/** The notices have been read. */
export const DELETE = memberRoute({}, async ({ user }) => {
  await dismissNotices(user.id);
  return { read: true };
});
