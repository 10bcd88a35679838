import { memberRoute } from "@/server/http/route";
import { readGivenEvent } from "@/server/timelines/own-event-schema";
import { addOwnEvent, ownEventsOf } from "@/server/timelines/own-events";

/** What whoever asks has added to it. */
export const GET = memberRoute({}, async ({ user, params }) => ownEventsOf(params.id!, user.id));

export const POST = memberRoute({ body: readGivenEvent }, async ({ user, params, body }) =>
  addOwnEvent(params.id!, user.id, body),
);
