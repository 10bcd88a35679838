import { maybe, object } from "@/core/text/schema";
import { instantFor } from "@/server/classes/assignment";
import { holdUntil, returnAll } from "@/server/classes/marking";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

/** Gives back all that has points. */
export const POST = memberRoute({}, async ({ user, params }) => {
  const done = await returnAll(params.id!, user.id);
  return "failed" in done ? done : { returned: done.returned };
});

const readHold = shape<{
  at: string | null;
}>(object({ at: maybe({ type: "string", maxLength: 40 }) }));

/** Holds what is given back until a day and time of the class; null: nothing is held. */
export const PUT = memberRoute({ body: readHold }, async ({ user, params, body }) => {
  const at = body.at === null ? null : await instantFor(params.id!, body.at);
  if (body.at !== null && at === null) return fail("no_such_time");
  const done = await holdUntil(params.id!, user.id, at);
  return "failed" in done ? done : { held: done.held };
});
