import { requirementName } from "@/core/words/class-work";
import { findAssignment } from "@/server/classes/assignment";
import { groupsOf } from "@/server/classes/marking";
import { oneRosterResults } from "@/server/classes/results";
import { teaches } from "@/server/classes/submission-ref";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { csvResponse, xlsxResponse } from "../../../../csv-response";
import { checkDraft } from "../../../../desk-work";

/** The marks as a table, one line a student: as CSV, with `as=xlsx` as a workbook, with `as=oneroster` as OneRoster results. */
export const GET = memberRoute({}, async ({ request, user, params }) => {
  const assignment = await findAssignment(params.id!);
  if (!assignment || !(await teaches(assignment.id, user.id))) return fail("not_found");
  const as = new URL(request.url).searchParams.get("as");
  if (as === "oneroster") return csvResponse(await oneRosterResults(assignment), "results", false);
  const lines = (await groupsOf(assignment.id, checkDraft)).flatMap((g) =>
    g.members.map((name) => ({
      Student: name,
      Group: g.members.join(", "),
      State: g.state.replace("_", " "),
      Submitted: g.submittedAt?.toISOString() ?? "",
      "Late (hours)": g.late > 0 ? (g.late / 3600).toFixed(1) : "",
      ...Object.fromEntries(
        assignment.requirements.map((r, i) => [
          requirementName(r),
          g.checks[i] ? `${g.checks[i].have} of ${g.checks[i].need}` : "",
        ]),
      ),
      "Given dates right": g.given.of > 0 ? `${g.given.right} of ${g.given.of}` : "",
      Points: g.points ?? "",
      Total: assignment.total,
    })),
  );
  const title = `${assignment.title} - marks`;
  return as === "xlsx" ? xlsxResponse(lines, title) : csvResponse(lines, title);
});
