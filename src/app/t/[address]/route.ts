import { findUser } from "@/server/accounts/sessions";
import { openRoute } from "@/server/http/route";
import { plainPage } from "@/server/http/plain-page";
import { canSee, findPublished } from "@/server/timelines/publish";
import { publishedPage } from "../../published-page";
import { pageOfVersion, sendPage, variantOf } from "../../reader-response";

export const dynamic = "force-dynamic";

/** A published timeline: the page that was rendered once, after the check of who may see it. */
export const GET = openRoute({ page: true }, async ({ request, params }) => {
  const published = await findPublished(params.address!);
  if (!published)
    return plainPage(404, "There is no timeline here", "The address may be mistyped. Ask whoever gave it to you.");
  if (published.gone)
    return plainPage(
      410,
      "This timeline has been taken back",
      "Its author has taken it back. If they publish it again, it will be at this same address.",
    );
  const open = published.visibility === "link" || published.visibility === "everybody";
  const account = open ? null : ((await findUser(request))?.id ?? null);
  if (!(await canSee(published, account)))
    return plainPage(
      404,
      "There is nothing here that you may see",
      published.visibility === "class"
        ? "Sign in as somebody of the class it was published to, or ask its author to open it."
        : "Sign in as one of its editors, or ask its author to open it.",
    );
  const page = await pageOfVersion(...publishedPage(published, params.address!, variantOf(request)));
  return sendPage(request, page, open ? "no-cache" : "private, no-cache");
});
