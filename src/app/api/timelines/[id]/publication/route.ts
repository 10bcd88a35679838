import type { ValidateFunction } from "ajv";
import { ajv, memberRoute } from "@/server/http/route";
import { findPublished, takeBack } from "@/server/timelines/publish";
import type { Visibility } from "@/core/timeline/visibility";
import { inThread } from "@/threads/in-thread";
import { freezing } from "../../../../freezing";
import { publishedPage } from "../../../../published-page";
import { outsideFor, preparePage } from "../../../../reader-response";

const readPublish = ajv.compile({
  type: "object",
  properties: {
    visibility: { enum: ["only_me", "class", "link", "everybody"] },
    fresh: { type: "boolean" },
    zone: { type: "string", maxLength: 60, pattern: "^[A-Za-z0-9_+/-]+$" },
    class: { type: "string", pattern: "^[A-Za-z0-9_-]{1,40}$" },
  },
  required: ["visibility", "fresh"],
  additionalProperties: false,
}) as ValidateFunction<{ visibility: Visibility; fresh: boolean; class?: string; zone?: string }>;

export const PUT = memberRoute({ body: readPublish }, async ({ user, params, body }) => {
  const done = await inThread(
    "publish",
    [params.id!, user.id, body.visibility, body.fresh, body.class ?? null, body.zone ?? "UTC"],
    freezing(user.id),
  );
  if ("failed" in done) return done;
  // Made while its author still reads that it was published.
  const shown = await findPublished(done.publication.address);
  if (shown && !shown.gone)
    await preparePage(...publishedPage(shown, done.publication.address, await outsideFor(null)));
  return { publication: done.publication };
});

export const DELETE = memberRoute({}, async ({ user, params }) => {
  const done = await takeBack(params.id!, user.id);
  return "failed" in done ? done : { publication: done.publication };
});
