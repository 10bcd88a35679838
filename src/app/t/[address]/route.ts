import { WORDS } from "@/core/words/en/pages";
import { findUser } from "@/server/accounts/sessions";
import { openRoute } from "@/server/http/route";
import { plainPage } from "@/server/http/plain-page";
import { canSee, findPublished } from "@/server/timelines/publish";
import { publishedPage } from "../../published-page";
import { outsideFor, pageOfVersion, sendPage, variantOf } from "../../reader-response";

export const dynamic = "force-dynamic";

/** A published timeline: the page that was rendered once, after the check of who may see it. */
export const GET = openRoute({ page: true }, async ({ request, params }) => {
  const published = await findPublished(params.address!);
  if (!published) return plainPage(404, WORDS.thereIsNoTimelineHere, WORDS.theAddressMayBeMistyped);
  if (published.gone) return plainPage(410, WORDS.thisTimelineHasBeenTaken, WORDS.itsAuthorHasTakenIt);
  const open = published.visibility === "link" || published.visibility === "everybody";
  const account = (await findUser(request))?.id ?? null;
  if (!(await canSee(published, account)))
    return plainPage(
      404,
      WORDS.thereIsNothingHereThat,
      published.visibility === "class" ? WORDS.signInAsSomebodyOf : WORDS.signInAsOneOf,
    );
  const page = await pageOfVersion(
    ...publishedPage(published, params.address!, await outsideFor(account), variantOf(request)),
  );
  return sendPage(request, page, open ? "no-cache" : "private, no-cache");
});
