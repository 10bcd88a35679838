import { fail } from "@/server/http/failure";
import { openRoute } from "@/server/http/route";
import { blobResponse } from "@/server/media/blobs";
import { findFrozenFile } from "@/server/media/find-file";
import { seenAt } from "../../../../../published-page";

export const dynamic = "force-dynamic";

/** A picture, video or sound of a published version, for whoever may see the version. */
export const GET = openRoute({}, async ({ request, params }) => {
  const published = await seenAt(request, params.address!);
  if (!published) return fail("not_found");
  const blob = await findFrozenFile(published.version, params.media!, params.size!);
  return blob ? blobResponse(request, blob, "private, no-cache") : fail("not_found");
});
