import { MOST_CHANGE } from "@/core/change/limits";
import { ownWork } from "@/server/classes/submit";
import { db } from "@/server/db/pool";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { requireRight } from "@/server/timelines/access";
import { readChange } from "@/server/timelines/change-schema";
import { publicationOf } from "@/server/publishing/publish";
import { changesAfter, editorsOf, lastSeq, markSeen } from "@/server/timelines/queries";
import { MOST_SEQ, wholeNumber } from "@/server/http/read-body";
import { takeChange } from "@/server/timelines/take-change";
import { inThread } from "@/threads/in-thread";

/** Everything after a number: what a browser asks when it is told of a change, or comes back. */
export const GET = memberRoute({}, async ({ request, user, params }) => {
  const id = params.id!;
  await requireRight(db(), id, user.id, "edit");
  const after = wholeNumber(new URL(request.url).searchParams.get("after"), 0, MOST_SEQ, 0);
  if (after === null) return fail("invalid");
  const seq = await lastSeq(id);
  await markSeen(id, user.id, seq);
  return {
    changes: await changesAfter(db(), id, after),
    seq,
    editors: await editorsOf(db(), id),
    publication: await publicationOf(id),
    work: await ownWork(id),
  };
});

/** Steps that take as long as their author wants them to are taken in a thread, under a time limit. */
const MOST_HERE = 100;
const LIMIT_MS = 10_000;
const LIMIT_MS_A_STEP = 1;

export const POST = memberRoute({ body: readChange, mostBody: MOST_CHANGE }, async ({ user, params, body }) => {
  const { known = body.base, ...sent } = body;
  const change = { ...sent, author: user.id };
  const here = change.ops.length <= MOST_HERE && !change.ops.some((op) => op.kind === "describe");
  const taken = here
    ? await takeChange(params.id!, change, known)
    : await inThread("takeChange", [params.id!, change, known], {
        in: "changes",
        key: user.id,
        what: `changes of ${user.id}`,
        limitMs: LIMIT_MS + change.ops.length * LIMIT_MS_A_STEP,
      });
  return "failed" in taken ? taken : { seq: taken.seq, changes: taken.changes };
});
