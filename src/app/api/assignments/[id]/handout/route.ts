import { findAssignment } from "@/server/classes/assignment";
import { findClassRole } from "@/server/classes/class";
import { handoutOf } from "@/server/classes/paper";
import { db } from "@/server/db/pool";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { pdfResponse } from "../../../../pdf-response";

/** The task on a page, for all of the class. */
export const GET = memberRoute({}, async ({ user, params }) => {
  const a = await findAssignment(params.id!);
  if (!a || (await findClassRole(db(), a.classId, user.id)) === null) return fail("not_found");
  return pdfResponse(a.title, [await handoutOf(a)], user.id);
});
