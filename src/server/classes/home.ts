import "server-only";
import { db } from "../db/pool";

/** One assignment as it stands for a student. */
export interface StudentWork {
  assignment: string;
  title: string;
  className: string;
  dueAt: Date;
  /** The time zone of the class. */
  zone: string;
  total: number;
  timeline: string | null;
  submittedAt: Date | null;
  returnedAt: Date | null;
  /** It came back to be handed in again. */
  toImprove: boolean;
  points: number | null;
  comment: string;
}

/** Every assignment of the classes a person is a student in, the next due first. Marks only where returned. */
export async function workOf(account: string): Promise<StudentWork[]> {
  const rows = await db()<
    (Omit<StudentWork, "points" | "comment"> & { points: string | null; comment: string | null })[]
  >`
    select a.id as assignment, a.title, c.name as class_name, due_for(a.id, ${account}) as due_at, c.zone, a.total, g.timeline_id as timeline, s.submitted_at, m.returned_at, coalesce(m.to_improve, false) as to_improve,
      case when m.returned_at is not null then m.points end as points, case when m.returned_at is not null then m.comment end as comment
    from class_member k join class c on c.id = k.class_id join assignment a on a.class_id = c.id
    left join lateral (
      select g.id, case when t.deleted_at is null then g.timeline_id end as timeline_id
      from group_member m join group_work g on g.id = m.group_id join timeline t on t.id = g.timeline_id
      where m.assignment_id = a.id and m.account_id = ${account}) g on true
    left join current_submission s on s.group_id = g.id
    left join mark m on m.submission_id = s.id
    where k.account_id = ${account} and c.archived_at is null order by due_at, a.id`;
  return rows.map((r) => ({ ...r, points: r.points === null ? null : Number(r.points), comment: r.comment ?? "" }));
}

/** What waits for a teacher in one assignment. */
export interface TeacherWork {
  assignment: string;
  title: string;
  className: string;
  dueAt: Date;
  zone: string;
  /** Handed in and without points. */
  toMark: number;
  /** Of those the ones that were handed in again. */
  again: number;
  /** With points, and not given back yet. */
  toReturn: number;
  /** The one to open first. */
  first: string | null;
}

/** Every assignment of a teacher's classes in which something waits, the longest waiting first. */
export async function waitingFor(teacher: string): Promise<TeacherWork[]> {
  return db()<TeacherWork[]>`
    select a.id as assignment, a.title, c.name as class_name, a.due_at, c.zone,
      count(*) filter (where m.points is null)::int as to_mark,
      count(*) filter (where m.points is null and exists (select from submission o where o.replaced_by = s.id))::int as again,
      count(*) filter (where m.points is not null)::int as to_return,
      (array_agg(s.id order by m.points is not null, s.submitted_at))[1] as first
    from class c join assignment a on a.class_id = c.id join group_work g on g.assignment_id = a.id
    join current_submission s on s.group_id = g.id left join mark m on m.submission_id = s.id
    where teaches(c.id, ${teacher}) and m.returned_at is null
    group by a.id, c.id order by min(s.submitted_at), a.id`;
}
