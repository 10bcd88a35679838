import { memberRoute } from "@/server/http/route";
import { readGivenEvent } from "@/server/timelines/own-event-schema";
import { alterOwnEvent, deleteOwnEvent } from "@/server/timelines/own-events";

export const PUT = memberRoute({ body: readGivenEvent }, async ({ user, params, body }) =>
  alterOwnEvent(params.id!, params.own!, user.id, body),
);

export const DELETE = memberRoute({}, async ({ user, params }) => deleteOwnEvent(params.id!, params.own!, user.id));
