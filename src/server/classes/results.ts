import "server-only";
import { db } from "../db/pool";
import type { Assignment } from "./assignment";

/**
 * What came back, as rows of `results.csv` of OneRoster (IMS Global, 1.1, section 4.13; 1.2 adds columns that may be left out): one a
 * student. Students are named by the id they have in the school's export, or by their sign-in name where they came otherwise.
 */
export async function oneRosterResults(a: Assignment): Promise<Record<string, string>[]> {
  const rows = await db()<{ submission: string; student: string; points: string; at: Date; comment: string }[]>`
    select s.id as submission, coalesce(nullif(k.roster_id, ''), p.sign_in_name, p.id) as student, m.points, m.returned_at as at, m.comment
    from group_work g join current_submission s on s.group_id = g.id join mark m on m.submission_id = s.id
    join group_member n on n.group_id = g.id join account p on p.id = n.account_id
    left join class_member k on k.class_id = ${a.classId} and k.account_id = p.id
    where g.assignment_id = ${a.id} and m.returned_at is not null and m.points is not null order by student`;
  return rows.map((r) => ({
    sourcedId: `${r.submission}-${r.student}`,
    status: "",
    dateLastModified: "",
    lineItemSourcedId: a.id,
    studentSourcedId: r.student,
    scoreStatus: "fully graded",
    score: String(Number(r.points)),
    scoreDate: r.at.toISOString().slice(0, 10),
    comment: r.comment.replaceAll(/\s+/g, " ").slice(0, 500),
  }));
}
