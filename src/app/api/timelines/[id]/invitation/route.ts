import type { ValidateFunction } from "ajv";
import { ajv, memberRoute } from "@/server/http/route";
import { closeInvitation, openInvitation } from "@/server/timelines/invite";

const readRenew = ajv.compile({
  type: "object",
  properties: { renew: { type: "boolean" } },
  required: ["renew"],
  additionalProperties: false,
}) as ValidateFunction<{ renew: boolean }>;

export const POST = memberRoute({ body: readRenew }, async ({ user, params, body }) => {
  const made = await openInvitation(params.id!, user.id, body.renew);
  return "failed" in made ? made : { token: made.token };
});

export const DELETE = memberRoute({}, async ({ user, params }) => {
  const done = await closeInvitation(params.id!, user.id);
  return "failed" in done ? done : { closed: true };
});
