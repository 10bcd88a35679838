import { fail } from "@/server/http/failure";
import { readBytes } from "@/server/http/read-body";
import { memberRoute } from "@/server/http/route";
import { putStill } from "@/server/media/make-media";
import { MOST_STILL } from "@/server/media/uploads";

/** The still picture of a video, as its uploader's browser drew it. */
export const PUT = memberRoute({}, async ({ request, user, params }) => {
  const read = await readBytes(request, MOST_STILL).catch(() => fail("bad_json"));
  return "failed" in read ? read : putStill(params.id!, user.id, params.media!, read.bytes);
});
