import { inThread } from "@/threads/in-thread";
import { fail, isFailure } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { archiveOf } from "@/threads/archive-stream";
import { asBody } from "@/threads/folder-stream";

const LIMIT_MS = 60_000;

/** Everything of mine, as one archive: timelines with their media and histories, classes, marks. */
export const GET = memberRoute({}, async ({ request, user }) => {
  // The data alone, as one JSON.
  if (new URL(request.url).searchParams.get("as") === "json") {
    const how = { in: "drawings", key: user.id, what: `everything of ${user.id}`, limitMs: LIMIT_MS } as const;
    const text = await inThread("everything", [user.id], how);
    if (text === null) return fail("not_found");
    if (isFailure(text)) return text;
    return new Response(text, {
      headers: {
        "Content-Type": "application/json; charset=utf-8",
        "Content-Disposition": 'attachment; filename="fastigo-everything-of-mine.json"',
        "Cache-Control": "no-store",
        "X-Content-Type-Options": "nosniff",
      },
    });
  }
  const zip = await archiveOf(user.id);
  if (isFailure(zip)) return zip;
  return new Response(asBody(zip), {
    headers: {
      "Content-Type": "application/zip",
      "Content-Disposition": 'attachment; filename="fastigo-everything-of-mine.zip"',
      "Cache-Control": "no-store",
      "X-Content-Type-Options": "nosniff",
    },
  });
});
