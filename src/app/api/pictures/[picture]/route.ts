import { fail } from "@/server/http/failure";
import { openRoute } from "@/server/http/route";
import { previewOf } from "@/server/media/pictures";
import { pictureSearch } from "@/server/media/picture-search";

/** So many previews are kept ready. */
const MOST_KEPT = 200;
const kept = new Map<string, Uint8Array>();

/** A picture that may be used, in small. */
export const GET = openRoute({}, async ({ params }) => {
  const id = params.picture!;
  let bytes = kept.get(id);
  if (!bytes) {
    const whole = await pictureSearch().fetch(id);
    if (!whole) return fail("not_found");
    bytes = await previewOf(whole);
    if (kept.size >= MOST_KEPT) kept.clear();
    kept.set(id, bytes);
  }
  return new Response(new Uint8Array(bytes), {
    headers: {
      "Content-Type": "image/webp",
      "X-Content-Type-Options": "nosniff",
      "Content-Security-Policy": "default-src 'none'; sandbox",
      "Cache-Control": "public, max-age=86400",
    },
  });
});
