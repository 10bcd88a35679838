import { maybe, object } from "@/core/text/schema";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { callOf, closeCall, openCall } from "@/server/timelines/calls";

const readCall = shape<{ words: string; closesAt: string | null; renew: boolean }>(
  object({
    words: { type: "string", maxLength: 2_000 },
    closesAt: maybe({ type: "string", maxLength: 40 }),
    renew: { type: "boolean" },
  }),
);

/** What others are asked to send in, and how many events wait. */
export const GET = memberRoute({}, async ({ user, params }) => {
  const { call, waiting } = await callOf(params.id!, user.id);
  return { call: call && { ...call, closesAt: call.closesAt?.toISOString() ?? null }, waiting };
});

export const PUT = memberRoute({ body: readCall }, async ({ user, params, body }) => {
  const closesAt = body.closesAt ? new Date(body.closesAt) : null;
  if (closesAt && Number.isNaN(closesAt.getTime())) return fail("no_such_time");
  return openCall(params.id!, user.id, { ...body, closesAt });
});

export const DELETE = memberRoute({}, async ({ user, params }) => closeCall(params.id!, user.id));
