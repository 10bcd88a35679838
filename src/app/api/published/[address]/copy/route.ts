import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { copyPublished } from "@/server/publishing/copy-published";
import { seenAt } from "../../../../published-page";

/** Begins a timeline of one's own with what is published, where its author permits it. */
export const POST = memberRoute({}, async ({ request, params, user }) => {
  const published = await seenAt(request, params.address!);
  if (!published) return fail("not_found");
  const done = await copyPublished(published, user.id);
  return "failed" in done ? done : { ...done };
});
