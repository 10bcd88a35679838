import { assignmentPicture } from "@/server/classes/instructions";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";

/** A picture in what is to be done, for those of the class. */
export const GET = memberRoute({}, async ({ user, params }) => {
  const bytes = await assignmentPicture(params.id!, params.picture!, user.id);
  if (!bytes) return fail("not_found");
  return new Response(new Uint8Array(bytes), {
    headers: {
      "Content-Type": "image/webp",
      "Cache-Control": "private, max-age=600",
      "X-Content-Type-Options": "nosniff",
      "Content-Security-Policy": "default-src 'none'",
    },
  });
});
