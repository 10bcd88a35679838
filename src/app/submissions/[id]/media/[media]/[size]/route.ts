import { findSubmissionRef, maySeeSubmission } from "@/server/classes/submission-ref";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { blobResponse } from "@/server/media/blobs";
import { findFrozenFile } from "@/server/media/find-file";

export const dynamic = "force-dynamic";

export const GET = memberRoute({}, async ({ request, user, params }) => {
  const s = await findSubmissionRef(params.id!);
  if (!s || !(await maySeeSubmission(s, user.id))) return fail("not_found");
  const blob = await findFrozenFile(s.versionId, params.media!, params.size!);
  return blob ? blobResponse(request, blob, "private, no-cache") : fail("not_found");
});
