import { fail, isFailure } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { inThread } from "@/threads/in-thread";

const LIMIT_MS = 60_000;

/** Everything of mine, as JSON. */
export const GET = memberRoute({}, async ({ user }) => {
  const text = await inThread("everything", [user.id], {
    in: "drawings",
    key: user.id,
    what: `everything of ${user.id}`,
    limitMs: LIMIT_MS,
  });
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
});
