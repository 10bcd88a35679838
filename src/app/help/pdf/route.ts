import { fail, isFailure } from "@/server/http/failure";
import { openRoute } from "@/server/http/route";
import { inThread } from "@/threads/in-thread";

export const dynamic = "force-dynamic";

const LIMIT_MS = 30_000;
let kept: Uint8Array | null = null;

/** The guide as a PDF, made once a process. */
export const GET = openRoute({}, async () => {
  if (!kept) {
    const how = { in: "drawings", key: "guide", what: "the guide", limitMs: LIMIT_MS } as const;
    const made = await inThread("guide", [], how);
    if (isFailure(made)) return made;
    if (!made) return fail("not_found");
    kept = made;
  }
  return new Response(kept as BodyInit, {
    headers: {
      "Content-Type": "application/pdf",
      "Content-Disposition": 'inline; filename="fastigo-guide.pdf"',
      "X-Content-Type-Options": "nosniff",
    },
  });
});
