import { FORMATS } from "@/core/formats/formats";
import { findUser } from "@/server/accounts/sessions";
import { fail } from "@/server/http/failure";
import { openRoute } from "@/server/http/route";
import { canSeeCopy, findFrozenCopy } from "@/server/timelines/frozen-copy";
import { findVersionText } from "@/server/publishing/versions";

export const dynamic = "force-dynamic";

const JSON_FORMAT = FORMATS.find((f) => f.id === "json")!;

/** The frozen copy as its canonical JSON, byte for byte what its fingerprint was made from. */
export const GET = openRoute({}, async ({ request, params }) => {
  const copy = await findFrozenCopy(params.address!);
  const allowed = copy && (await canSeeCopy(copy, (await findUser(request))?.id ?? null));
  const version = allowed ? await findVersionText(copy.version) : null;
  if (!version) return fail("not_found");
  return new Response(version.json, {
    headers: {
      "Content-Type": JSON_FORMAT.mediaType,
      "Content-Disposition": `attachment; filename="timeline-${version.hash.slice(0, 8)}${JSON_FORMAT.endings[0]}"`,
      "X-Content-Type-Options": "nosniff",
      ETag: `"${version.hash}"`,
    },
  });
});
