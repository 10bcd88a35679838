import { beginSteps, confirmSteps, endSteps } from "@/server/accounts/steps";
import { isFailure } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";

const kept = (value: object) => Response.json(value, { headers: { "Cache-Control": "no-store" } });

/** Begins two-step codes: gives the secret for a device. */
export const POST = memberRoute({ body: stringsOf("password") }, async ({ user, body }) => {
  const done = await beginSteps(user.id, body.password);
  return isFailure(done) ? done : kept(done);
});

/** Turns them on with the first code; gives the spare ones. */
export const PUT = memberRoute({ body: stringsOf("code") }, async ({ user, body }) => {
  const done = await confirmSteps(user.id, body.code);
  return isFailure(done) ? done : kept(done);
});

/** Turns them off. */
export const DELETE = memberRoute({ body: stringsOf("password") }, async ({ user, body }) => {
  const done = await endSteps(user.id, body.password);
  return isFailure(done) ? done : { ...done };
});
