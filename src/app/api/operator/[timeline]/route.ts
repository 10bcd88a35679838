import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { decide } from "@/server/publishing/reports";

const readDecision = shape<{ hide: boolean }>({
  type: "object",
  properties: { hide: { type: "boolean" } },
  required: ["hide"],
  additionalProperties: false,
});

/** Hides a published page or shows it again, by somebody who keeps this site. */
export const PUT = memberRoute({ body: readDecision }, async ({ params, user, body }) => {
  const done = await decide(params.timeline!, user.id, body.hide);
  return "failed" in done ? done : { ...done };
});
