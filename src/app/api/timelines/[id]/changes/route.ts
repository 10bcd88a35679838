import { ownWork } from "@/server/classes/submit";
import { db } from "@/server/db/pool";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { findRole } from "@/server/timelines/access";
import { readChange } from "@/server/timelines/change-schema";
import { publicationOf } from "@/server/timelines/publish";
import { changesAfter, editorsOf } from "@/server/timelines/queries";
import { takeChange } from "@/server/timelines/take-change";

/** Everything after a number: what a browser asks when it is told of a change, or comes back. */
export const GET = memberRoute({}, async ({ request, user, params }) => {
  const id = params.id!;
  if (!(await findRole(db(), id, user.id))) return fail("not_found");
  const after = Number(new URL(request.url).searchParams.get("after") ?? 0);
  if (!Number.isInteger(after) || after < 0) return fail("invalid");
  return {
    changes: await changesAfter(db(), id, after),
    editors: await editorsOf(db(), id),
    publication: await publicationOf(id),
    work: await ownWork(id),
  };
});

export const POST = memberRoute({ body: readChange, mostBody: 4_000_000 }, async ({ user, params, body }) => {
  const taken = await takeChange(params.id!, { ...body, author: user.id });
  return "failed" in taken ? taken : { seq: taken.seq, changes: taken.changes };
});
