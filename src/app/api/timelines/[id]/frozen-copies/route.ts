import { db } from "@/server/db/pool";
import { memberRoute } from "@/server/http/route";
import { requireRight } from "@/server/timelines/access";
import { frozenCopiesOf } from "@/server/timelines/frozen-copy";
import { inThread } from "@/threads/in-thread";
import { freezing } from "../../../../freezing";

export const GET = memberRoute({}, async ({ user, params }) => {
  await requireRight(db(), params.id!, user.id, "edit");
  return { copies: await frozenCopiesOf(params.id!) };
});

export const POST = memberRoute({}, async ({ user, params }) => {
  const made = await inThread("makeFrozenCopy", [params.id!, user.id], freezing(user.id));
  return "failed" in made ? made : { copy: made.copy };
});
