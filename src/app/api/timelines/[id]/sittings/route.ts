import { db } from "@/server/db/pool";
import { fail } from "@/server/http/failure";
import { MOST_SEQ, wholeNumber } from "@/server/http/read-body";
import { memberRoute } from "@/server/http/route";
import { requireRight } from "@/server/timelines/access";
import { changeMarks } from "@/server/timelines/past";

/** Who changed what when, in short; `before` pages on, `after` and `event` leave out the others. */
export const GET = memberRoute({}, async ({ request, user, params }) => {
  await requireRight(db(), params.id!, user.id, "edit");
  const { searchParams } = new URL(request.url);
  const before = wholeNumber(searchParams.get("before"), 0, MOST_SEQ, MOST_SEQ);
  const after = wholeNumber(searchParams.get("after"), 0, MOST_SEQ, 0);
  if (before === null || after === null) return fail("invalid");
  return { ...(await changeMarks(params.id!, { before, after, event: searchParams.get("event") })) };
});
