import { noteMember, removeMember } from "@/server/classes/class";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";

/** What tells a student from another of the same name. */
export const PATCH = memberRoute({ body: stringsOf("note") }, async ({ user, params, body }) => {
  const done = await noteMember(params.id!, user.id, params.account!, body.note);
  return "failed" in done ? done : { done: true };
});

/** Takes a student out of the class. */
export const DELETE = memberRoute({}, async ({ user, params }) => {
  const done = await removeMember(params.id!, user.id, params.account!);
  return "failed" in done ? done : { done: true };
});
