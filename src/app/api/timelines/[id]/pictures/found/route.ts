import { db } from "@/server/db/pool";
import { fail, isFailure } from "@/server/http/failure";
import { ownAddress } from "@/server/http/origin";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";
import { makePicture } from "@/server/media/make-media";
import { pictureSearch } from "@/server/media/picture-search";
import { requireRight } from "@/server/timelines/access";

/** A picture of a collection is taken into a timeline, with what has to be said of it. */
export const POST = memberRoute({ body: stringsOf("picture") }, async ({ request, user, params, body }) => {
  await requireRight(db(), params.id!, user.id, "edit");
  const search = pictureSearch();
  const found = await search.find(body.picture);
  const bytes = found && (await search.fetch(body.picture));
  if (!found || !bytes) return fail("not_found");
  const media = await makePicture(params.id!, user.id, found.title, bytes);
  if (isFailure(media)) return media;
  const { says, credit, licence } = found;
  const address = found.address.startsWith("/") ? ownAddress(request, found.address).href : found.address;
  return { media, text: says, credit, licence, address, foundOn: new Date().toISOString().slice(0, 10) };
});
