import { db } from "@/server/db/pool";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { findRight } from "@/server/timelines/access";

/** What whoever asks may do in it: "read", "comment", "edit" or "own". */
export const GET = memberRoute({}, async ({ user, params }) => {
  const right = await findRight(db(), params.id!, user.id);
  return right === null ? fail("not_found") : { right };
});
