import { object } from "@/core/text/schema";
import { mayTryFrom } from "@/server/accounts/tried";
import { fail, isFailure } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { REASONS, type Reason } from "@/server/publishing/reports";
import { reportSaid, SAID_KINDS, type SaidKind } from "@/server/timelines/said-reports";

const readReport = shape<{ kind: SaidKind; thing: string; reason: Reason; words: string }>(
  object({
    kind: { enum: [...SAID_KINDS] },
    thing: { type: "string", maxLength: 40 },
    reason: { enum: [...REASONS] },
    words: { type: "string", maxLength: 2_000 },
  }),
);

/** Reports what somebody else said about this timeline. */
export const POST = memberRoute({ body: readReport }, async ({ request, user, params, body }) => {
  if (!(await mayTryFrom("report", request, user.id))) return fail("too_often");
  const done = await reportSaid(params.id!, user.id, body);
  return isFailure(done) ? done : { ...done };
});
