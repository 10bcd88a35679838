// What of a mark goes elsewhere, once it came back to the pupils.
import "server-only";
import type { Sql } from "../db/pool";

export interface MarkBack {
  assignment: string;
  points: number;
  /** The most there were when it was handed in. */
  total: number;
  comment: string;
  at: Date;
  /** Everybody of the group, by their accounts. */
  members: string[];
}

/** The points of a submission that came back; null while they have not, and where none were given. */
export async function markBackOf(sql: Sql, submission: string): Promise<MarkBack | null> {
  const [row] = await sql<(Omit<MarkBack, "points"> & { points: string })[]>`
    select g.assignment_id as assignment, m.points, (as_json(s.content) ->> 'total')::int as total, m.comment, m.at,
      array(select n.account_id from group_member n where n.group_id = g.id order by n.account_id) as members
    from submission s join group_work g on g.id = s.group_id join mark m on m.submission_id = s.id
    where s.id = ${submission} and m.returned_at is not null and m.points is not null`;
  return row ? { ...row, points: Number(row.points) } : null;
}

/** For which assignment each of these was handed in. */
export async function assignmentsHandedIn(
  sql: Sql,
  submissions: readonly string[],
): Promise<{ submission: string; assignment: string }[]> {
  return sql<{ submission: string; assignment: string }[]>`
    select s.id as submission, g.assignment_id as assignment from submission s join group_work g on g.id = s.group_id
    where s.id = any(${[...submissions]})`;
}
