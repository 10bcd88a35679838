import { db } from "@/server/db/pool";
import { memberRoute } from "@/server/http/route";
import { requireRight } from "@/server/timelines/access";
import { notesOf } from "@/server/timelines/queries";

/** The private notes of a timeline's events, for whoever of its editors presents it. */
export const GET = memberRoute({}, async ({ user, params }) => {
  await requireRight(db(), params.id!, user.id, "edit");
  return { notes: await notesOf(params.id!) };
});
