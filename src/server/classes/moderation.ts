import "server-only";
import { seeded, shuffled } from "@/core/classes/random";
import { MOST_CRITERIA } from "@/core/classes/rubric";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { blindName, blindNumbers } from "./blind";
import { teaches } from "./submission-ref";

/** What somebody gave who marked a work as well. */
export interface SecondMark {
  by: string;
  points: number;
  comment: string;
}

/** Second marking of a work, as one of its teachers sees it. */
export interface Second {
  /** It is in the sample, and this teacher is not its first marker and has not given theirs: they give it before they see the first. */
  asked: boolean;
  given: SecondMark[];
}

/** A work of the sample: what the first and the others gave. */
export interface Sampled {
  submission: string;
  names: string;
  first: number | null;
  firstBy: string;
  given: SecondMark[];
}

/**
 * Draws so many works, by lot, that are to be marked by a second teacher too; those a second one has marked stay in the sample. The
 * class's teachers only.
 */
export async function drawSample(
  assignment: string,
  teacher: string,
  count: number,
  seed: number,
): Promise<Failure | { drawn: number }> {
  if (!(await teaches(assignment, teacher))) return fail("not_found");
  return db().begin(async (tx): Promise<Failure | { drawn: number }> => {
    await tx`select from assignment where id = ${assignment} for update`;
    const [others] = await tx<{ n: number }[]>`
      select count(*)::int as n from class_teacher t join assignment a on a.class_id = t.class_id
      where a.id = ${assignment} and t.role <> 'assistant'`;
    if (others!.n < 2) return fail("no_second_teacher");
    const works = await tx<{ id: string; done: boolean }[]>`
      select s.id, exists (select from second_mark k where k.submission_id = s.id) as done
      from current_submission s join group_work g on g.id = s.group_id where g.assignment_id = ${assignment} order by s.id`;
    await tx`
      delete from moderation m using submission s join group_work g on g.id = s.group_id
      where s.id = m.submission_id and g.assignment_id = ${assignment}
        and not exists (select from second_mark k where k.submission_id = m.submission_id)`;
    const kept = works.filter((w) => w.done).map((w) => w.id);
    const free = shuffled(
      works.filter((w) => !w.done).map((w) => w.id),
      seeded(seed),
    );
    const drawn = [...kept, ...free.slice(0, Math.max(0, count - kept.length))];
    for (const id of drawn) await tx`insert into moderation (submission_id) values (${id}) on conflict do nothing`;
    return { drawn: drawn.length };
  });
}

/** Gives a second mark, once or anew, by a teacher of the class who is not the first marker. */
export async function giveSecond(
  submission: string,
  teacher: string,
  input: { points: number; levels: (number | null)[]; comment: string },
): Promise<Failure | { saved: true }> {
  const [s] = await db()<{ assignmentId: string; total: number; first: string | null }[]>`
    select g.assignment_id, (as_json(s.content) ->> 'total')::int as total, m.by_id as first
    from moderation o join submission s on s.id = o.submission_id join group_work g on g.id = s.group_id
    left join mark m on m.submission_id = s.id where s.id = ${submission} and s.taken_back_at is null`;
  if (!s || !(await teaches(s.assignmentId, teacher))) return fail("not_found");
  if (s.first === teacher) return fail("marked_by_you");
  if (!(input.points >= 0 && input.points <= s.total)) return fail("points_out_of_range");
  await db()`
    insert into second_mark (submission_id, account_id, points, levels, comment)
    values (${submission}, ${teacher}, ${input.points}, ${db().json(input.levels.slice(0, MOST_CRITERIA) as never)},
      ${input.comment.trim().slice(0, 4_000)})
    on conflict (submission_id, account_id) do update
    set points = excluded.points, levels = excluded.levels, comment = excluded.comment, at = now()`;
  return { saved: true };
}

/** Second marking of a work as one of its teachers sees it; null where it is not in the sample. */
export async function secondFor(submission: string, teacher: string): Promise<Second | null> {
  const [row] = await db()<{ first: string | null; marked: boolean; mine: boolean }[]>`
    select m.by_id as first, m.points is not null as marked, exists (
      select from second_mark k where k.submission_id = o.submission_id and k.account_id = ${teacher}) as mine
    from moderation o left join mark m on m.submission_id = o.submission_id and m.points is not null
    where o.submission_id = ${submission}`;
  if (!row) return null;
  const asked = row.marked && row.first !== teacher && !row.mine;
  return { asked, given: asked ? [] : await givenOf(submission) };
}

/** The works of an assignment that wait for this teacher's second mark: of these they see nothing of the first. */
export async function waitingForSecond(assignment: string, teacher: string): Promise<string[]> {
  const rows = await db()<{ id: string }[]>`
    select o.submission_id as id from moderation o join submission s on s.id = o.submission_id
    join group_work g on g.id = s.group_id join mark m on m.submission_id = s.id
    where g.assignment_id = ${assignment} and m.points is not null and m.by_id is distinct from ${teacher}
      and not exists (select from second_mark k where k.submission_id = s.id and k.account_id = ${teacher})`;
  return rows.map((r) => r.id);
}

async function givenOf(submission: string): Promise<SecondMark[]> {
  const rows = await db()<{ by: string; points: string; comment: string }[]>`
    select a.display_name as by, k.points, k.comment from second_mark k join account a on a.id = k.account_id
    where k.submission_id = ${submission} order by k.at`;
  return rows.map((r) => ({ ...r, points: Number(r.points) }));
}

/** The sample of an assignment, with what was given; for its teachers. */
export async function sampleOf(assignment: string): Promise<Sampled[]> {
  const rows = await db()<
    {
      submission: string;
      group: string;
      hidden: boolean;
      names: string;
      first: string | null;
      firstBy: string | null;
    }[]
  >`
    select s.id as submission, g.id as "group", x.blind and m.returned_at is null as hidden, array_to_string(s.members, ', ') as names,
      m.points as first, b.display_name as first_by
    from moderation o join submission s on s.id = o.submission_id join group_work g on g.id = s.group_id
    join assignment x on x.id = g.assignment_id left join mark m on m.submission_id = s.id left join account b on b.id = m.by_id
    where g.assignment_id = ${assignment} and s.taken_back_at is null and s.replaced_by is null order by s.id`;
  const all = await db()<{ id: string }[]>`
    select g.id from current_submission s join group_work g on g.id = s.group_id where g.assignment_id = ${assignment}`;
  const numbers = blindNumbers(all.map((g) => g.id));
  return Promise.all(
    rows.map(async (r) => ({
      submission: r.submission,
      names: r.hidden ? blindName(numbers.get(r.group)!) : r.names,
      first: r.first === null ? null : Number(r.first),
      firstBy: r.firstBy ?? "",
      given: await givenOf(r.submission),
    })),
  );
}
