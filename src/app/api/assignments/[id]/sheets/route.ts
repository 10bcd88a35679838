import { WORDS } from "@/core/words/sheets";
import { findAssignment } from "@/server/classes/assignment";
import { markingSheets } from "@/server/classes/paper";
import { teaches } from "@/server/classes/submission-ref";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { pdfResponse } from "../../../../pdf-response";

/** A marking sheet for every group that has handed in, as one PDF. */
export const GET = memberRoute({}, async ({ user, params }) => {
  const a = await findAssignment(params.id!);
  if (!a || !(await teaches(a.id, user.id))) return fail("not_found");
  const sheets = await markingSheets(a);
  return pdfResponse(
    WORDS.sheets(a.title),
    sheets.length > 0 ? sheets : [[{ kind: "text", text: WORDS.noSheets }]],
    user.id,
  );
});
