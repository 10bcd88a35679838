import { object } from "@/core/text/schema";
import { archiveClass, nextYear } from "@/server/classes/year";
import { memberRoute } from "@/server/http/route";
import { shape, stringsOf } from "@/server/http/shape";

const readOver = shape<{ over: boolean }>(object({ over: { type: "boolean" } }));

/** Ends the year of a class, or takes that back. */
export const PUT = memberRoute({ body: readOver }, async ({ user, params, body }) => {
  const done = await archiveClass(params.id!, user.id, body.over);
  return "failed" in done ? done : { done: true };
});

/** Begins the next year with the same set-up. */
export const POST = memberRoute({ body: stringsOf("name") }, async ({ user, params, body }) => {
  const made = await nextYear(params.id!, user.id, body.name);
  return "failed" in made ? made : { id: made.id };
});
