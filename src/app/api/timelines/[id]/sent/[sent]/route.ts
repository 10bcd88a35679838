import type { ValidateFunction } from "ajv";
import { object } from "@/core/text/schema";
import { ajv, memberRoute } from "@/server/http/route";
import { decideSent } from "@/server/timelines/calls";

const readDecision = ajv.compile(object({ accept: { type: "boolean" } })) as unknown as ValidateFunction<{
  accept: boolean;
}>;

/** Takes it into the timeline, or leaves it out. */
export const PUT = memberRoute({ body: readDecision }, async ({ user, params, body }) =>
  decideSent(params.id!, params.sent!, user.id, body.accept),
);
