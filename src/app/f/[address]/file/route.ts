import { FORMATS } from "@/core/formats/formats";
import { findUser } from "@/server/accounts/sessions";
import { fail, isFailure } from "@/server/http/failure";
import { asBody, folderOf } from "@/threads/folder-stream";
import { openRoute } from "@/server/http/route";
import { canSeeCopy, findFrozenCopy } from "@/server/timelines/frozen-copy";
import { findVersionText } from "@/server/publishing/versions";

export const dynamic = "force-dynamic";

const JSON_FORMAT = FORMATS.find((f) => f.id === "json")!;

/** The frozen copy as its canonical JSON, byte for byte what its fingerprint was made from. */
export const GET = openRoute({}, async ({ request, params }) => {
  const copy = await findFrozenCopy(params.address!);
  const allowed = copy && (await canSeeCopy(copy, (await findUser(request))?.id ?? null));
  // Everything that was frozen, as a folder that works without any server: its data.json is the same to the byte.
  if (allowed && new URL(request.url).searchParams.get("as") === "folder") {
    const zip = await folderOf({ version: copy.version, timeline: copy.timeline }, false, copy.version);
    if (isFailure(zip)) return zip;
    return new Response(asBody(zip), {
      headers: {
        "Content-Type": "application/zip",
        "Content-Disposition": `attachment; filename="timeline-${copy.hash.slice(0, 8)}.zip"`,
        "X-Content-Type-Options": "nosniff",
        "Cache-Control": "private, no-cache",
      },
    });
  }
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
