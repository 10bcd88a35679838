import { LOOKS } from "@/core/timeline/looks";
import { WORDS } from "@/core/words/pages";
import { findUser } from "@/server/accounts/sessions";
import { db } from "@/server/db/pool";
import { openRoute } from "@/server/http/route";
import { findRight, holds } from "@/server/timelines/access";
import { guestRoleOf } from "@/server/timelines/invite";
import { WORDS as TOGETHER } from "@/core/words/together";
import { ownAddress } from "@/server/http/origin";
import { plainPage } from "@/server/http/plain-page";
import { outsideFor, pageOfDraft, sendPage, variantOf } from "../../../reader-response";

export const dynamic = "force-dynamic";

/** The draft as a reader will see it; for its editors, and for the teacher it is made for. */
export const GET = openRoute({ page: true }, async ({ request, params }) => {
  const id = params.id!;
  const user = await findUser(request);
  if (!user)
    return Response.redirect(ownAddress(request, `/sign-in?to=/timelines/${encodeURIComponent(id)}/reader`), 303);
  const right = await findRight(db(), id, user.id);
  if (!right) return plainPage(404, WORDS.thereIsNothingHereThat, WORDS.askItsOwnerForA);
  // Beside the comments it is shown in a frame, from which nothing leads to itself.
  const framed = new URL(request.url).searchParams.has("framed");
  const guest = await guestRoleOf(id, user.id);
  const page = await pageOfDraft(id, user.id, {
    variant: variantOf(request),
    tried: LOOKS.find((l) => l === new URL(request.url).searchParams.get("look")) ?? null,
    outside: await outsideFor(user.id),
    address: null,
    notes: holds(right, "edit") ? `/api/timelines/${id}/notes` : null,
    mediaPath: `/api/timelines/${id}/media`,
    note: holds(right, "edit")
      ? {
          text: WORDS.thisIsHowAReader,
          link: { to: `/timelines/${id}`, text: WORDS.backToTheEditor },
          more: { to: `/timelines/${id}/sizes`, text: WORDS.atOtherSizes },
        }
      : {
          text: guest ? WORDS.thisIsTheDraft : WORDS.thisIsTheDraftAs,
          link: holds(right, "comment") && !framed ? { to: `/timelines/${id}`, text: TOGETHER.commentOnIt } : null,
        },
    listed: false,
    published: null,
  });
  return sendPage(request, page, "private, no-cache");
});
