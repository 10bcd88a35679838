import { object } from "@/core/text/schema";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { decideSent } from "@/server/timelines/calls";

const readDecision = shape<{
  accept: boolean;
}>(object({ accept: { type: "boolean" } }));

/** Takes it into the timeline, or leaves it out. */
export const PUT = memberRoute({ body: readDecision }, async ({ user, params, body }) =>
  decideSent(params.id!, params.sent!, user.id, body.accept),
);
