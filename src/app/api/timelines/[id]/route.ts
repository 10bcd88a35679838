import type { ValidateFunction } from "ajv";
import { toSnapshot } from "@/core/formats/snapshot";
import { db } from "@/server/db/pool";
import { fail } from "@/server/http/failure";
import { ajv, memberRoute } from "@/server/http/route";
import { findRole } from "@/server/timelines/access";
import { setDeleted } from "@/server/timelines/create";
import { publicationOf } from "@/server/timelines/publish";
import { editorsOf, findTimeline } from "@/server/timelines/queries";

export const GET = memberRoute({}, async ({ user, params }) => {
  const id = params.id!;
  const role = await findRole(db(), id, user.id);
  const found = role ? await findTimeline(id) : null;
  if (!role || !found) return fail("not_found");
  return {
    ...toSnapshot(found.timeline, found.seq),
    role,
    editors: await editorsOf(db(), id),
    publication: await publicationOf(id),
  };
});

const readDeleted = ajv.compile({
  type: "object",
  properties: { deleted: { type: "boolean" } },
  required: ["deleted"],
  additionalProperties: false,
}) as ValidateFunction<{ deleted: boolean }>;

export const PATCH = memberRoute({ body: readDeleted }, async ({ user, params, body }) => {
  const done = await setDeleted(params.id!, user.id, body.deleted);
  return "failed" in done ? done : { deleted: done.deleted };
});
