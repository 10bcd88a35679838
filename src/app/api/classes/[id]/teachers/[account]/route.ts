import { handOverLead, removeTeacher } from "@/server/classes/people";
import { memberRoute } from "@/server/http/route";

/** Hands the leading of the class to another of its teachers. */
export const PUT = memberRoute({}, async ({ user, params }) => {
  const done = await handOverLead(params.id!, user.id, params.account!);
  return "failed" in done ? done : { done: true };
});

/** Takes a teacher or assistant out of the class, or leaves it. */
export const DELETE = memberRoute({}, async ({ user, params }) => {
  const done = await removeTeacher(params.id!, user.id, params.account!);
  return "failed" in done ? done : { done: true };
});
