import { fail, isFailure } from "@/server/http/failure";
import { openRoute } from "@/server/http/route";
import { linkPreview } from "@/server/media/link-preview";
import { findVersion } from "@/server/publishing/versions";
import { inThread } from "@/threads/in-thread";
import { seenAt } from "../../../published-page";

/** The chart of 20,000 events, drawn and cut into pixels. */
const LIMIT_MS = 30_000;

export const dynamic = "force-dynamic";

/** The picture that stands where somebody posts the link: the cover of what is published, or its chart, for whoever may see that. */
export const GET = openRoute({}, async ({ request, params }) => {
  const published = await seenAt(request, params.address!);
  if (!published) return fail("not_found");
  const made = await linkPreview(
    published.version,
    async () => {
      const version = await findVersion(published.version);
      const cover = version?.frozen.items.find(
        (i) => i.of === "timeline" && i.list === "media" && i.kind === "picture",
      );
      return cover?.media ? { media: cover.media, focus: cover.focus ?? null } : null;
    },
    () =>
      inThread("linkPicture", [published.version, published.timeline], {
        in: "drawings",
        key: published.version,
        what: `link picture of ${published.version}`,
        limitMs: LIMIT_MS,
      }),
  );
  if (isFailure(made)) return made;
  return new Response(made as BodyInit, {
    headers: {
      "Content-Type": "image/jpeg",
      "Cache-Control": "private, no-cache",
      "X-Content-Type-Options": "nosniff",
    },
  });
});
