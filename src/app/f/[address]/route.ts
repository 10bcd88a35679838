import { WORDS } from "@/core/words/pages";
import { findUser } from "@/server/accounts/sessions";
import { openRoute } from "@/server/http/route";
import { canSeeCopy, findFrozenCopy } from "@/server/timelines/frozen-copy";
import { plainPage } from "@/server/http/plain-page";
import { outsideFor, pageName, pageOfVersion, sendPage, variantOf } from "../../reader-response";

export const dynamic = "force-dynamic";

/** A frozen, dated copy by its own link: for whoever has the link. */
export const GET = openRoute({ page: true }, async ({ request, params }) => {
  const copy = await findFrozenCopy(params.address!);
  if (!copy) return plainPage(404, WORDS.thereIsNoFrozenCopy, WORDS.theAddressMayBeMistyped);
  if (copy.closed) return plainPage(410, WORDS.thisLinkHasBeenClosed, WORDS.whoeverMadeThisFrozenCopy);
  const account = (await findUser(request))?.id ?? null;
  if (!(await canSeeCopy(copy, account))) return plainPage(404, WORDS.thereIsNothingHereThat, WORDS.theClassItWasMade);
  const variant = variantOf(request);
  const outside = await outsideFor(account);
  const page = await pageOfVersion(copy.version, pageName("copy", variant, outside), {
    variant,
    outside,
    notes: null,
    address: null,
    mediaPath: `/f/${params.address}/media`,
    note: {
      text: { frozenAt: copy.at.toISOString(), hash: copy.hash, file: `/f/${params.address}/file` },
      link: null,
    },
    listed: false,
    published: null,
  });
  return sendPage(request, page, copy.limit === "class" || copy.limit === "only_me" ? "private, no-cache" : "no-cache");
});
