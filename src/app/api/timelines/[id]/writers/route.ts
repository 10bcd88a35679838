import { db } from "@/server/db/pool";
import { memberRoute } from "@/server/http/route";
import { requireRight } from "@/server/timelines/access";
import { writersOf } from "@/server/timelines/queries";

/** Who added which event. */
export const GET = memberRoute({}, async ({ user, params }) => {
  await requireRight(db(), params.id!, user.id, "edit");
  return { writers: await writersOf(params.id!) };
});
