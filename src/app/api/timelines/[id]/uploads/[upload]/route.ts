import { memberRoute } from "@/server/http/route";
import { arrivedPieces, finishUpload } from "@/server/media/uploads";

/** Which pieces have arrived. */
export const GET = memberRoute({}, async ({ user, params }) => {
  const found = await arrivedPieces(params.id!, user.id, params.upload!);
  return "failed" in found ? found : { ...found };
});

/** All pieces have been sent: make media of them. */
export const POST = memberRoute({}, async ({ user, params }) => {
  const done = await finishUpload(params.id!, user.id, params.upload!);
  return "failed" in done ? done : { media: done.media };
});
