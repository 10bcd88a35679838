import { db } from "@/server/db/pool";
import { memberRoute } from "@/server/http/route";
import { requireRight } from "@/server/timelines/access";
import { binOf } from "@/server/timelines/bin";
import { BIN_DAYS } from "@/server/timelines/purge";

/** What was deleted and can be put back. */
export const GET = memberRoute({}, async ({ user, params }) => {
  await requireRight(db(), params.id!, user.id, "edit");
  return { days: BIN_DAYS, binned: await binOf(params.id!) };
});
