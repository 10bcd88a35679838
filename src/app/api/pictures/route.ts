import { pageOf } from "@/server/http/page-of";
import { memberRoute } from "@/server/http/route";
import { pictureSearch } from "@/server/media/picture-search";

/** Pictures that may be used, by words. */
export const GET = memberRoute({}, async ({ request }) => {
  const at = new URL(request.url);
  return { ...(await pictureSearch().search(at.searchParams.get("words") ?? "", pageOf(at))) };
});
