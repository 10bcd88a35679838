import { overrideGiven } from "@/server/classes/marking";
import type { GivenOverride } from "@/server/classes/overrides";
import { fail } from "@/server/http/failure";
import { wholeNumber } from "@/server/http/read-body";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { object } from "@/core/text/schema";

const readOverride = shape<GivenOverride>(
  object({
    result: { enum: ["right", "less_exact", "wrong", "no_date"] },
    reason: { type: "string", maxLength: 500 },
  }),
);

/** What counts of a given date instead of what was worked out. */
export const PUT = memberRoute({ body: readOverride }, async ({ user, params, body }) => {
  const n = wholeNumber(params.n!, 0, 1_000, 0);
  if (n === null) return fail("not_found");
  const done = await overrideGiven(params.id!, user.id, n, body);
  return "failed" in done ? done : { saved: true };
});

/** What was worked out counts again. */
export const DELETE = memberRoute({}, async ({ user, params }) => {
  const n = wholeNumber(params.n!, 0, 1_000, 0);
  if (n === null) return fail("not_found");
  const done = await overrideGiven(params.id!, user.id, n, null);
  return "failed" in done ? done : { saved: true };
});
