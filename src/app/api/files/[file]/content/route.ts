import { fail } from "@/server/http/failure";
import { findFile, streamFile } from "@/server/files/made-files";
import { memberRoute } from "@/server/http/route";

export const dynamic = "force-dynamic";

/** A file that was made for whoever asks; `?view`: to be looked at in the page, not saved. */
export const GET = memberRoute({}, async ({ request, user, params }) => {
  const file = await findFile(params.file!, user.id);
  if (!file?.madeAt) return fail("not_found");
  const how =
    new URL(request.url).searchParams.has("view") && file.type !== "application/zip" ? "inline" : "attachment";
  return new Response(streamFile(file.id), {
    headers: {
      "Content-Type": file.type,
      "Content-Length": String(file.size),
      "Content-Disposition": `${how}; filename="timeline"; filename*=UTF-8''${encodeURIComponent(file.name)}`,
      // A drawing may run nothing; a browser's own viewer of documents is not to be kept from its work.
      "Content-Security-Policy": `${file.type === "application/pdf" ? "" : "default-src 'none'; style-src 'unsafe-inline'; img-src data:; font-src data:; "}frame-ancestors 'self'`,
      "X-Content-Type-Options": "nosniff",
      "Cache-Control": "private, no-store",
    },
  });
});
