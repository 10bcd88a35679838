import { db } from "@/server/db/pool";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";
import { requireRight } from "@/server/timelines/access";
import { putIntoFolder } from "@/server/timelines/queries";

const MOST = 60;

/** The folder one keeps a timeline in; nobody else sees it. */
export const PUT = memberRoute({ body: stringsOf("folder") }, async ({ user, params, body }) => {
  await requireRight(db(), params.id!, user.id, "edit");
  const folder = body.folder.trim();
  if (folder.length > MOST) return fail("folder_long");
  await putIntoFolder(params.id!, user.id, folder);
  return { folder };
});
