import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";
import { takeAgain } from "@/server/timelines/copy-into";

/** Something that was uploaded into another timeline of mine is used in this one; its bytes are not stored again. */
export const POST = memberRoute({ body: stringsOf("from", "media") }, async ({ user, params, body }) =>
  takeAgain(body.from, params.id!, body.media, user.id),
);
