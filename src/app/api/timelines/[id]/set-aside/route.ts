import { maybe, object } from "@/core/text/schema";
import { setAside } from "@/server/classes/set-aside";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readAside = shape<{ finding: string; reason: string | null }>(
  object({
    finding: { type: "string", minLength: 1, maxLength: 200 },
    reason: maybe({ type: "string", maxLength: 500 }),
  }),
);

/** Sets a finding of the ready check aside with a reason, or takes that back. */
export const PUT = memberRoute({ body: readAside }, async ({ user, params, body }) => {
  const done = await setAside(params.id!, user.id, body.finding, body.reason);
  return "failed" in done ? done : { saved: true };
});
