import { db } from "@/server/db/pool";
import { fail } from "@/server/http/failure";
import { MOST_SEQ, wholeNumber } from "@/server/http/read-body";
import { memberRoute } from "@/server/http/route";
import { requireRight } from "@/server/timelines/access";
import { historyOf } from "@/server/timelines/queries";

export const GET = memberRoute({}, async ({ request, user, params }) => {
  await requireRight(db(), params.id!, user.id, "edit");
  const before = wholeNumber(new URL(request.url).searchParams.get("before"), 0, MOST_SEQ, MOST_SEQ);
  if (before === null) return fail("invalid");
  return { rows: await historyOf(params.id!, before, 100) };
});
