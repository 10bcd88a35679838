import { maybe, object } from "@/core/text/schema";
import { extend } from "@/server/classes/groups";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readExtension = shape<{ accounts: string[]; dueAt: string | null }>(
  object({
    accounts: { type: "array", minItems: 1, maxItems: 60, items: { type: "string", maxLength: 40 } },
    dueAt: maybe({ type: "string", maxLength: 40 }),
  }),
);

/** More time for some; null takes it back. */
export const PUT = memberRoute({ body: readExtension }, async ({ user, params, body }) => {
  const done = await extend(params.id!, user.id, body.accounts, body.dueAt);
  return "failed" in done ? done : { done: true };
});
