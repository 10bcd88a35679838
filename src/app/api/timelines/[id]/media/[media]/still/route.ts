import { fail } from "@/server/http/failure";
import { readBytes } from "@/server/http/read-body";
import { memberRoute } from "@/server/http/route";
import { putStill } from "@/server/media/make-media";
import { MOST_STILL } from "@/server/media/uploads";

/** The still picture of a video, as a browser drew it; `?anew`: another one, for the same video as media of its own. */
export const PUT = memberRoute({}, async ({ request, user, params }) => {
  const read = await readBytes(request, MOST_STILL).catch(() => fail("bad_json"));
  if ("failed" in read) return read;
  const anew = new URL(request.url).searchParams.has("anew");
  const media = await putStill(params.id!, user.id, params.media!, read.bytes, anew);
  return "failed" in media ? media : { ...media };
});
