import { takeSubmissionBack } from "@/server/classes/submit";
import { memberRoute } from "@/server/http/route";
import { inThread } from "@/threads/in-thread";
import { freezing } from "../../../../freezing";

export const POST = memberRoute({}, async ({ user, params }) => {
  const done = await inThread("submit", [params.id!, user.id], freezing(user.id));
  return "failed" in done ? done : { receipt: done.receipt };
});

export const DELETE = memberRoute({}, async ({ user, params }) => {
  const done = await takeSubmissionBack(params.id!, user.id);
  return "failed" in done ? done : { takenBack: true };
});
