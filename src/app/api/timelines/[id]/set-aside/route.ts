import type { ValidateFunction } from "ajv";
import { maybe, object } from "@/core/text/schema";
import { setAside } from "@/server/classes/set-aside";
import { ajv, memberRoute } from "@/server/http/route";

const readAside = ajv.compile(
  object({
    finding: { type: "string", minLength: 1, maxLength: 200 },
    reason: maybe({ type: "string", maxLength: 500 }),
  }),
) as unknown as ValidateFunction<{ finding: string; reason: string | null }>;

/** Sets a finding of the ready check aside with a reason, or takes that back. */
export const PUT = memberRoute({ body: readAside }, async ({ user, params, body }) => {
  const done = await setAside(params.id!, user.id, body.finding, body.reason);
  return "failed" in done ? done : { saved: true };
});
