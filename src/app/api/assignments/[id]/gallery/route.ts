import { object } from "@/core/text/schema";
import { showInGallery } from "@/server/classes/gallery";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readShown = shape<{ submissions: string[] }>(
  object({ submissions: { type: "array", maxItems: 200, items: { type: "string", maxLength: 40 } } }),
);

/** Chooses what is shown to the class. */
export const PUT = memberRoute({ body: readShown }, async ({ user, params, body }) => {
  const done = await showInGallery(params.id!, user.id, body.submissions);
  return "failed" in done ? done : { shown: done.shown };
});
