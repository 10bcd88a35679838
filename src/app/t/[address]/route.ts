import { findUser } from "@/server/accounts/sessions";
import { openRoute } from "@/server/http/route";
import { countOpened } from "@/server/publishing/opened";
import { findPublished, isOpenToAll } from "@/server/publishing/published";
import { frameRule, maySee, notShown, publishedPage } from "../../published-page";
import { outsideFor, pageOfVersion, sendPage, variantOf } from "../../reader-response";

export const dynamic = "force-dynamic";

/** A published timeline: the page that was rendered once, after the check of who may see it. */
export const GET = openRoute({ page: true }, async ({ request, params }) => {
  const variant = variantOf(request);
  const published = await findPublished(params.address!);
  if (!published) return notShown(null, params.address!, variant);
  const account = (await findUser(request))?.id ?? null;
  if (!(await maySee(request, published, account))) return notShown(published, params.address!, variant);
  const page = await pageOfVersion(...publishedPage(published, await outsideFor(account), variant));
  if (variant !== "print" && !request.headers.get("sec-purpose")?.includes("prefetch")) countOpened(published.timeline);
  return sendPage(
    request,
    page,
    isOpenToAll(published) ? "no-cache" : "private, no-cache",
    frameRule(published, variant),
  );
});
