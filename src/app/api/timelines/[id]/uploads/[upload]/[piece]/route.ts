import { fail } from "@/server/http/failure";
import { readBytes, wholeNumber } from "@/server/http/read-body";
import { memberRoute } from "@/server/http/route";
import { PIECE } from "@/server/media/stores";
import { MOST_PIECES, putPiece } from "@/server/media/uploads";

export const PUT = memberRoute({}, async ({ request, user, params }) => {
  const n = wholeNumber(params.piece!, 0, MOST_PIECES, 0);
  if (n === null) return fail("not_found");
  let read: Awaited<ReturnType<typeof readBytes>>;
  try {
    read = await readBytes(request, PIECE);
  } catch {
    return fail("piece_size");
  }
  if ("failed" in read) return fail("piece_size");
  const done = await putPiece(params.id!, user.id, params.upload!, n, read.bytes);
  return "failed" in done ? done : { stored: done.stored };
});
