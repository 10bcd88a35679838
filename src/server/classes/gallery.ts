import "server-only";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { teaches } from "./submission-ref";

/** A work that is shown to the whole class. */
export interface Shown {
  submission: string;
  names: string;
  submittedAt: Date;
}

/**
 * What of an assignment a person of its class sees in its gallery: what its teachers chose, in their order, and after it all that was
 * handed in, to a student to whom that is open. Names are "" for those who are to mark without them.
 */
export async function galleryFor(assignment: string, account: string): Promise<Shown[]> {
  return db()<Shown[]>`
    select s.id as submission, s.submitted_at,
      case when a.blind and k.returned_at is null and watches(a.class_id, ${account}) then ''
        else array_to_string(s.members, ', ') end as names
    from submission s join group_work w on w.id = s.group_id join assignment a on a.id = w.assignment_id
    left join gallery g on g.submission_id = s.id and g.assignment_id = a.id left join mark k on k.submission_id = s.id
    where w.assignment_id = ${assignment} and s.taken_back_at is null
      and (g.place is not null or (s.replaced_by is null and sees_works(${assignment}, ${account})))
    order by g.place nulls last, s.submitted_at, s.id`;
}

/** The submissions that its teachers chose for the gallery of an assignment, in their order. */
export async function chosenFor(assignment: string): Promise<string[]> {
  const rows = await db()<{ id: string }[]>`
    select s.id from gallery g join submission s on s.id = g.submission_id
    where g.assignment_id = ${assignment} and s.taken_back_at is null order by g.place, s.id`;
  return rows.map((r) => r.id);
}

/** Chooses what is shown to the class, in this order; none takes all of it back. The class's teachers only. */
export async function showInGallery(
  assignment: string,
  teacher: string,
  submissions: readonly string[],
): Promise<Failure | { shown: number }> {
  if (!(await teaches(assignment, teacher))) return fail("not_found");
  const wanted = [...new Set(submissions)];
  return db().begin(async (tx): Promise<Failure | { shown: number }> => {
    const there = await tx<{ id: string }[]>`
      select s.id from submission s join group_work g on g.id = s.group_id
      where g.assignment_id = ${assignment} and s.taken_back_at is null and s.id = any(${wanted})`;
    if (there.length < wanted.length) return fail("not_found");
    await tx`delete from gallery where assignment_id = ${assignment}`;
    for (const [place, id] of wanted.entries())
      await tx`insert into gallery (assignment_id, submission_id, place) values (${assignment}, ${id}, ${place})`;
    return { shown: wanted.length };
  });
}
