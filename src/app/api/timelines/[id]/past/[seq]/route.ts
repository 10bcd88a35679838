import { db } from "@/server/db/pool";
import { fail, isFailure } from "@/server/http/failure";
import { packedResponse } from "@/server/http/packed";
import { MOST_SEQ, wholeNumber } from "@/server/http/read-body";
import { memberRoute } from "@/server/http/route";
import { requireRight } from "@/server/timelines/access";
import { inThread } from "@/threads/in-thread";

const LIMIT_MS = 30_000;

/** The timeline as it was after a change, as JSON packed with gzip: `Snapshot`. */
export const GET = memberRoute({}, async ({ user, params }) => {
  const id = params.id!;
  await requireRight(db(), id, user.id, "edit");
  const seq = wholeNumber(params.seq ?? null, 0, MOST_SEQ, -1);
  if (seq === null || seq < 0) return fail("not_found");
  const packed = await inThread("past", [id, seq], {
    in: "reading",
    key: user.id,
    what: `past of ${id}`,
    limitMs: LIMIT_MS,
  });
  if (packed === null) return fail("not_found");
  if (isFailure(packed)) return packed;
  return packedResponse(packed);
});
