import { db } from "@/server/db/pool";
import { isFailure } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";
import { fetchPicture } from "@/server/media/fetch-picture";
import { allowedHosts } from "@/server/media/guarded-get";
import { makePicture } from "@/server/media/make-media";
import { requireRight } from "@/server/timelines/access";

/** A picture by its web address: fetched by the server, stored here, and never loaded from there again. */
export const POST = memberRoute({ body: stringsOf("address") }, async ({ user, params, body }) => {
  await requireRight(db(), params.id!, user.id, "edit");
  const fetched = await fetchPicture(body.address, { allowed: allowedHosts() });
  if (isFailure(fetched)) return fetched;
  const media = await makePicture(params.id!, user.id, fetched.name, fetched.bytes);
  if (isFailure(media)) return media;
  return { media, address: body.address.trim(), foundOn: new Date().toISOString().slice(0, 10) };
});
