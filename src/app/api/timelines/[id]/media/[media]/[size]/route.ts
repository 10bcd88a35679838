import { db } from "@/server/db/pool";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { blobResponse } from "@/server/media/blobs";
import { findDraftFile } from "@/server/media/find-file";
import { requireRight } from "@/server/timelines/access";

export const GET = memberRoute({}, async ({ request, user, params }) => {
  await requireRight(db(), params.id!, user.id, "read");
  const blob = await findDraftFile(params.id!, params.media!, params.size!);
  return blob ? blobResponse(request, blob, "private, no-cache") : fail("not_found");
});
