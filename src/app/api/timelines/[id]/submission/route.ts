import { submit, takeSubmissionBack } from "@/server/classes/submit";
import { memberRoute } from "@/server/http/route";

export const POST = memberRoute({}, async ({ user, params }) => {
  const done = await submit(params.id!, user.id);
  return "failed" in done ? done : { receipt: done.receipt };
});

export const DELETE = memberRoute({}, async ({ user, params }) => {
  const done = await takeSubmissionBack(params.id!, user.id);
  return "failed" in done ? done : { takenBack: true };
});
