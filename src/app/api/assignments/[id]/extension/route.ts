import type { ValidateFunction } from "ajv";
import { maybe, object } from "@/core/text/schema";
import { extend } from "@/server/classes/groups";
import { ajv, memberRoute } from "@/server/http/route";

const readExtension = ajv.compile(
  object({
    accounts: { type: "array", minItems: 1, maxItems: 60, items: { type: "string", maxLength: 40 } },
    dueAt: maybe({ type: "string", maxLength: 40 }),
  }),
) as unknown as ValidateFunction<{ accounts: string[]; dueAt: string | null }>;

/** More time for some; null takes it back. */
export const PUT = memberRoute({ body: readExtension }, async ({ user, params, body }) => {
  const done = await extend(params.id!, user.id, body.accounts, body.dueAt);
  return "failed" in done ? done : { done: true };
});
