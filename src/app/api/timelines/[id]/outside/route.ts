import { db } from "@/server/db/pool";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";
import { findOutside } from "@/server/media/outside";
import { requireRight } from "@/server/timelines/access";

/** What is at a web address, or meant by code made for other pages: a file that is kept, a player that stays there, a card of a page. */
export const POST = memberRoute({ body: stringsOf("address") }, async ({ user, params, body }) => {
  await requireRight(db(), params.id!, user.id, "edit");
  const found = await findOutside(params.id!, user.id, body.address);
  return "failed" in found ? found : { ...found };
});
