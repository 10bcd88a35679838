import "server-only";
import { db } from "../db/pool";

/** One assignment as it stands for a student. */
export interface StudentWork {
  assignment: string;
  title: string;
  className: string;
  dueAt: Date;
  total: number;
  timeline: string | null;
  submittedAt: Date | null;
  returnedAt: Date | null;
  points: number | null;
  comment: string;
}

/** Every assignment of the classes a person is a student in, the next due first. Marks only where returned. */
export async function workOf(account: string): Promise<StudentWork[]> {
  const rows = await db()<
    (Omit<StudentWork, "points" | "comment"> & { points: string | null; comment: string | null })[]
  >`
    select a.id as assignment, a.title, c.name as class_name, a.due_at, a.total, g.timeline_id as timeline, s.submitted_at, m.returned_at,
      case when m.returned_at is not null then m.points end as points, case when m.returned_at is not null then m.comment end as comment
    from class_member k join class c on c.id = k.class_id join assignment a on a.class_id = c.id
    left join lateral (
      select g.id, case when t.deleted_at is null then g.timeline_id end as timeline_id
      from group_member m join group_work g on g.id = m.group_id join timeline t on t.id = g.timeline_id
      where m.assignment_id = a.id and m.account_id = ${account}) g on true
    left join submission s on s.group_id = g.id and s.taken_back_at is null
    left join mark m on m.submission_id = s.id
    where k.account_id = ${account} order by a.due_at, a.id`;
  return rows.map((r) => ({ ...r, points: r.points === null ? null : Number(r.points), comment: r.comment ?? "" }));
}
