import type { ValidateFunction } from "ajv";
import { object } from "@/core/text/schema";
import { showInGallery } from "@/server/classes/gallery";
import { ajv, memberRoute } from "@/server/http/route";

const readShown = ajv.compile(
  object({ submissions: { type: "array", maxItems: 200, items: { type: "string", maxLength: 40 } } }),
) as unknown as ValidateFunction<{ submissions: string[] }>;

/** Chooses what is shown to the class. */
export const PUT = memberRoute({ body: readShown }, async ({ user, params, body }) => {
  const done = await showInGallery(params.id!, user.id, body.submissions);
  return "failed" in done ? done : { shown: done.shown };
});
