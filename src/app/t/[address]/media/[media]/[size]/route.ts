import { findUser } from "@/server/accounts/sessions";
import { fail } from "@/server/http/failure";
import { openRoute } from "@/server/http/route";
import { blobResponse } from "@/server/media/blobs";
import { findFrozenFile } from "@/server/media/find-file";
import { canSee, findPublished } from "@/server/timelines/publish";

export const dynamic = "force-dynamic";

/** A picture, video or sound of a published version, for whoever may see the version. */
export const GET = openRoute({}, async ({ request, params }) => {
  const published = await findPublished(params.address!);
  if (!published || published.gone) return fail("not_found");
  const open = published.visibility === "link" || published.visibility === "everybody";
  const account = open ? null : ((await findUser(request))?.id ?? null);
  if (!(await canSee(published, account))) return fail("not_found");
  const blob = await findFrozenFile(published.version, params.media!, params.size!);
  return blob ? blobResponse(request, blob, "private, no-cache") : fail("not_found");
});
