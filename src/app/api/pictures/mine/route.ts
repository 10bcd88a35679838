import { pageOf } from "@/server/http/page-of";
import { memberRoute } from "@/server/http/route";
import { usedBefore } from "@/server/media/used-before";

/** What I have uploaded, in all timelines I may edit, by words. */
export const GET = memberRoute({}, async ({ request, user }) => {
  const at = new URL(request.url);
  return { ...(await usedBefore(user.id, at.searchParams.get("words") ?? "", pageOf(at))) };
});
