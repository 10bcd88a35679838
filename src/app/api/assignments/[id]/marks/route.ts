import Papa from "papaparse";
import { requirementName } from "@/core/words/en/class-work";
import { findAssignment } from "@/server/classes/assignment";
import { groupsOf } from "@/server/classes/marking";
import { teaches } from "@/server/classes/submission-ref";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { checkDraft } from "../../../../desk-work";

/** The marks as a table, one line a student. */
export const GET = memberRoute({}, async ({ user, params }) => {
  const assignment = await findAssignment(params.id!);
  if (!assignment || !(await teaches(assignment.id, user.id))) return fail("not_found");
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
  // A name that begins like a formula stays text in a spreadsheet.
  const csv = Papa.unparse(lines, { escapeFormulae: true, newline: "\r\n" });
  const name = assignment.title.replaceAll(/[^\p{L}\p{N} -]/gu, "").trim() || "assignment";
  return new Response(`\uFEFF${csv}\r\n`, {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": `attachment; filename="marks.csv"; filename*=UTF-8''${encodeURIComponent(`${name} - marks.csv`)}`,
      "Cache-Control": "no-store",
    },
  });
});
