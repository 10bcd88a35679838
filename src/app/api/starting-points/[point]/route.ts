import { nanoid } from "nanoid";
import { beginWith, startingPoint } from "@/core/starting-points/starting-points";
import { db } from "@/server/db/pool";
import { fail, refusal } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { createTimelineIn } from "@/server/timelines/create";

/** Begins a timeline of one's own with a starting point: its categories, and its events as examples. */
export const POST = memberRoute({}, async ({ user, params }) => {
  const point = startingPoint(params.point!);
  if (!point) return fail("not_found");
  const steps = beginWith(point, () => nanoid(10));
  return db()
    .begin((tx) => createTimelineIn(tx, user.id, { title: point.title, subject: point.subject }, steps))
    .catch(refusal);
});
