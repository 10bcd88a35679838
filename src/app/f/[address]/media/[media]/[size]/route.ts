import { findUser } from "@/server/accounts/sessions";
import { fail } from "@/server/http/failure";
import { openRoute } from "@/server/http/route";
import { blobResponse } from "@/server/media/blobs";
import { findFrozenFile } from "@/server/media/find-file";
import { canSeeCopy, findFrozenCopy } from "@/server/timelines/frozen-copy";

export const dynamic = "force-dynamic";

export const GET = openRoute({}, async ({ request, params }) => {
  const copy = await findFrozenCopy(params.address!);
  const blob =
    copy && (await canSeeCopy(copy, (await findUser(request))?.id ?? null))
      ? await findFrozenFile(copy.version, params.media!, params.size!)
      : null;
  return blob ? blobResponse(request, blob, "private, no-cache") : fail("not_found");
});
