import { findUser } from "@/server/accounts/sessions";
import { openRoute } from "@/server/http/route";
import { canSeeCopy, findFrozenCopy } from "@/server/timelines/frozen-copy";
import { plainPage } from "@/server/http/plain-page";
import { pageName, pageOfVersion, sendPage, variantOf } from "../../reader-response";

export const dynamic = "force-dynamic";

/** A frozen, dated copy by its own link: for whoever has the link. */
export const GET = openRoute({ page: true }, async ({ request, params }) => {
  const copy = await findFrozenCopy(params.address!);
  if (!copy)
    return plainPage(404, "There is no frozen copy here", "The address may be mistyped. Ask whoever gave it to you.");
  if (copy.closed)
    return plainPage(410, "This link has been closed", "Whoever made this frozen copy has closed its link.");
  const account = (await findUser(request))?.id ?? null;
  if (!(await canSeeCopy(copy, account)))
    return plainPage(
      404,
      "There is nothing here that you may see",
      "The class it was made in lets its work be seen only so far. Sign in as somebody of that class, or ask its author.",
    );
  const variant = variantOf(request);
  const page = await pageOfVersion(copy.version, pageName("copy", variant), {
    variant,
    mediaPath: `/f/${params.address}/media`,
    note: {
      text: `A frozen copy of ${copy.at.toLocaleString("en-GB", { dateStyle: "long", timeStyle: "short", timeZone: "UTC" })} UTC; later changes are not in it. Fingerprint ${copy.hash.slice(0, 16)}.`,
      link: { to: `/f/${params.address}/file`, text: "Download it as a file" },
    },
    listed: false,
    published: null,
  });
  return sendPage(request, page, copy.limit === "class" || copy.limit === "only_me" ? "private, no-cache" : "no-cache");
});
