import { object } from "@/core/text/schema";
import { type Cut, CUT_SHAPE } from "@/core/timeline/fields";
import { isFailure } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { cutPicture } from "@/server/media/make-media";

const isCut = shape<Omit<Cut, "of">>(object(CUT_SHAPE));

/** Makes a picture of a part of an uploaded one, turned if wanted; gives it as an upload does. */
export const POST = memberRoute({ body: isCut }, async ({ user, params, body }) => {
  const media = await cutPicture(params.id!, user.id, params.media!, body);
  return isFailure(media) ? media : { media };
});
