import { db } from "@/server/db/pool";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { findRole } from "@/server/timelines/access";
import { frozenCopiesOf } from "@/server/timelines/frozen-copy";
import { inThread } from "@/threads/in-thread";
import { freezing } from "../../../../freezing";

export const GET = memberRoute({}, async ({ user, params }) => {
  if (!(await findRole(db(), params.id!, user.id))) return fail("not_found");
  return { copies: await frozenCopiesOf(params.id!) };
});

export const POST = memberRoute({}, async ({ user, params }) => {
  const made = await inThread("makeFrozenCopy", [params.id!, user.id], freezing(user.id));
  return "failed" in made ? made : { copy: made.copy };
});
