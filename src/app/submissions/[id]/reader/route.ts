import { WORDS } from "@/core/words/pages";
import { createHash } from "node:crypto";
import { findUser } from "@/server/accounts/sessions";
import { findSubmissionRef, maySeeSubmission, namesFor } from "@/server/classes/submission-ref";
import { openRoute } from "@/server/http/route";
import { isFailure } from "@/server/http/failure";
import { escaped, plainPage } from "@/server/http/plain-page";
import { outsideFor, pageName, pageOfVersion, sendPage, variantOf } from "../../../reader-response";

export const dynamic = "force-dynamic";

/** A submission as it was handed in: for its teacher and its group. */
export const GET = openRoute({ page: true }, async ({ request, params }) => {
  const user = await findUser(request);
  const s = user ? await findSubmissionRef(params.id!) : null;
  if (!user || !s || !(await maySeeSubmission(s, user.id)))
    return plainPage(user ? 404 : 401, WORDS.thereIsNothingHereThat, WORDS.signInAsTheTeacher);
  // The stored page has no names in it: they stand beside, and may go.
  const place = `members-of-${s.versionId}`;
  const variant = variantOf(request);
  const outside = await outsideFor(user.id);
  const page = await pageOfVersion(s.versionId, pageName("submission", variant, outside), {
    variant,
    outside,
    notes: null,
    address: null,
    mediaPath: `/submissions/${s.id}/media`,
    note: {
      text: { by: place, submittedAt: s.submittedAt.toISOString(), zone: s.zone },
      link: null,
    },
    listed: false,
    published: null,
  });
  if (isFailure(page)) return page;
  const names = await namesFor(s, user.id);
  const named = {
    ...page,
    html: page.html.replace(place, () => escaped(names)),
    etag: `${page.etag.slice(0, -1)}-${createHash("sha256").update(names).digest("hex").slice(0, 8)}"`,
  };
  return sendPage(request, named, "private, no-cache");
});
