import { maybe, object } from "@/core/text/schema";
import { INVITED_AS, type InvitedAs } from "@/core/timeline/roles";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { closeInvitation, openInvitation } from "@/server/timelines/invite";

const readLink = shape<{ renew: boolean; role?: InvitedAs; endsAt?: string | null }>(
  object(
    { renew: { type: "boolean" }, role: { enum: [...INVITED_AS] }, endsAt: maybe({ type: "string", maxLength: 40 }) },
    ["role", "endsAt"],
  ),
);
const readToken = shape<{
  token: string;
}>(object({ token: { type: "string", maxLength: 40 } }));

/** The link for a role, made where there is none; `endsAt`: until when it is good, an instant as ISO 8601. */
export const POST = memberRoute({ body: readLink }, async ({ user, params, body }) => {
  const endsAt = body.endsAt ? new Date(body.endsAt) : null;
  if (endsAt && Number.isNaN(endsAt.getTime())) return fail("no_such_time");
  return openInvitation(params.id!, user.id, body.renew, body.role, endsAt);
});

/** Closes a link, or withdraws what somebody was invited to. */
export const DELETE = memberRoute({ body: readToken }, async ({ user, params, body }) =>
  closeInvitation(params.id!, user.id, body.token),
);
