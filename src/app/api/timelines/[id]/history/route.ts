import { db } from "@/server/db/pool";
import { fail, isFailure } from "@/server/http/failure";
import { MOST_SEQ, wholeNumber } from "@/server/http/read-body";
import { memberRoute } from "@/server/http/route";
import { requireRight } from "@/server/timelines/access";
import { MOST_HISTORY, readHistory } from "@/server/timelines/change-schema";
import { historyOf } from "@/server/timelines/queries";
import { inThread } from "@/threads/in-thread";

/** A history of a day is made once more in seconds; the longest that may be takes minutes. */
const LIMIT_MS = 300_000;

/** Makes the changes of an archive once more, in a timeline in which nothing was written yet. */
export const POST = memberRoute({ body: readHistory, mostBody: MOST_HISTORY }, async ({ user, params, body }) => {
  const done = await inThread("restoreHistory", [params.id!, user.id, body.changes], {
    in: "changes",
    key: user.id,
    what: `changes of ${user.id}`,
    limitMs: LIMIT_MS,
  });
  return isFailure(done) ? done : { ...done };
});

const MOST_ROWS = 100;
const MOST_STEPS = 2_000;

/** Changes with what each replaced: `before` and `after` a number, of one `author`, so many `steps` of each, `from` the nth on. */
export const GET = memberRoute({}, async ({ request, user, params }) => {
  await requireRight(db(), params.id!, user.id, "edit");
  const { searchParams } = new URL(request.url);
  const number = (name: string, most: number, missing: number) => wholeNumber(searchParams.get(name), 0, most, missing);
  const before = number("before", MOST_SEQ, MOST_SEQ);
  const after = number("after", MOST_SEQ, 0);
  const steps = number("steps", MOST_STEPS, 5);
  const from = number("from", MOST_SEQ, 0);
  if (before === null || after === null || steps === null || from === null) return fail("invalid");
  const author = searchParams.get("author");
  return { rows: await historyOf(params.id!, before, MOST_ROWS, { after, author, steps, from }) };
});
