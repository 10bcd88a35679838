import { db } from "@/server/db/pool";
import { fail, isFailure } from "@/server/http/failure";
import { packedResponse } from "@/server/http/packed";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { requireRight } from "@/server/timelines/access";
import { setDeleted } from "@/server/timelines/create";
import { inThread } from "@/threads/in-thread";

const LIMIT_MS = 20_000;

/** The timeline as it stands, as JSON packed with gzip: `Snapshot`. Made where nobody waits for it but who asked. */
export const GET = memberRoute({}, async ({ user, params }) => {
  const id = params.id!;
  await requireRight(db(), id, user.id, "edit");
  const packed = await inThread("snapshot", [id], {
    in: "reading",
    key: user.id,
    what: `reading of ${id}`,
    limitMs: LIMIT_MS,
  });
  if (packed === null) return fail("not_found");
  if (isFailure(packed)) return packed;
  return packedResponse(packed);
});

const readDeleted = shape<{ deleted: boolean }>({
  type: "object",
  properties: { deleted: { type: "boolean" } },
  required: ["deleted"],
  additionalProperties: false,
});

export const PATCH = memberRoute({ body: readDeleted }, async ({ user, params, body }) => {
  const done = await setDeleted(params.id!, user.id, body.deleted);
  return "failed" in done ? done : { deleted: done.deleted };
});
