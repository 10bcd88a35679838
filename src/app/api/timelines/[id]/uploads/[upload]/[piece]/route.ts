import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { PIECE } from "@/server/media/blobs";
import { putPiece } from "@/server/media/uploads";

export const PUT = memberRoute({}, async ({ request, user, params }) => {
  if (Number(request.headers.get("content-length") ?? 0) > PIECE) return fail("piece_size");
  let bytes: Uint8Array;
  try {
    bytes = new Uint8Array(await request.arrayBuffer());
  } catch {
    return fail("piece_size");
  }
  const done = await putPiece(params.id!, user.id, params.upload!, Number(params.piece), bytes);
  return "failed" in done ? done : { stored: done.stored };
});
