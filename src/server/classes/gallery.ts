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

/** What of an assignment is shown to its class, in its order. */
export async function galleryOf(assignment: string): Promise<Shown[]> {
  return db()<Shown[]>`
    select s.id as submission, array_to_string(s.members, ', ') as names, s.submitted_at from gallery g
    join submission s on s.id = g.submission_id
    where g.assignment_id = ${assignment} and s.taken_back_at is null order by g.place, s.id`;
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

/** The charts of works as they were handed in, as SVG, by their ids; one that is not drawn yet is missing. */
export async function drawingsIn(
  submissions: readonly string[],
  kind: "alone" | "beside",
): Promise<Record<string, string>> {
  const rows = await db()<{ id: string; svg: string }[]>`
    select submission_id as id, svg from submission_drawing where submission_id = any(${[...submissions]}) and kind = ${kind}`;
  return Object.fromEntries(rows.map((r) => [r.id, r.svg]));
}
