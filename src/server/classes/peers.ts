import "server-only";
import { WORDS as NOTICES } from "@/core/words/notices";
import { tellPeople } from "../accounts/notices";
import { nanoid } from "nanoid";
import { type Agreement, agreementOf, drawReviews } from "@/core/classes/peers";
import { MOST_CRITERIA, type Rubric, rubricSum } from "@/core/classes/rubric";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { teaches } from "./submission-ref";

/** Work of somebody else that a student reads. */
export interface OwnReview {
  id: string;
  submission: string;
  /** "" while neither is to know whose the other is. */
  names: string;
  rubric: Rubric | null;
  total: number;
  levels: (number | null)[];
  comment: string;
  done: boolean;
}

/** What was said of a work by one who read it. */
export interface ReviewSeen {
  /** "" for those who are not to know. */
  by: string;
  levels: (number | null)[];
  /** By the rubric; null where it is open or there is none. */
  points: number | null;
  comment: string;
}

/**
 * Lets everybody who handed in read `count` works of others: drawn by lot, nobody their own group's. Drawn again, those who are done
 * keep what they said. The class's teachers only.
 */
export async function beginReviews(
  assignment: string,
  teacher: string,
  count: number,
  blind: boolean,
  seed: number,
): Promise<Failure | { given: number }> {
  if (!(await teaches(assignment, teacher))) return fail("not_found");
  return db().begin(async (tx): Promise<Failure | { given: number }> => {
    await tx`select from assignment where id = ${assignment} for update`;
    const works = await tx<{ submission: string; group: string }[]>`
      select s.id as submission, s.group_id as "group" from current_submission s join group_work g on g.id = s.group_id
      where g.assignment_id = ${assignment} order by s.submitted_at, s.id`;
    if (works.length < 2) return fail("too_few_to_review");
    const submissionOf = new Map(works.map((w) => [w.group, w.submission]));
    const readers = await tx<{ id: string; group: string }[]>`
      select m.account_id as id, m.group_id as "group" from group_member m
      where m.assignment_id = ${assignment} and m.group_id = any(${[...submissionOf.keys()]}) order by m.account_id`;
    await tx`delete from peer_review where assignment_id = ${assignment} and done_at is null`;
    const drawn = drawReviews(readers, [...submissionOf.keys()], count, seed);
    for (const d of drawn)
      await tx`
        insert into peer_review (id, assignment_id, submission_id, account_id, blind)
        values (${nanoid(12)}, ${assignment}, ${submissionOf.get(d.work)!}, ${d.reader}, ${blind}) on conflict do nothing`;
    const told = await tx<{ id: string; title: string }[]>`
      select distinct p.account_id as id, a.title
      from peer_review p join assignment a on a.id = p.assignment_id where p.assignment_id = ${assignment} and p.done_at is null`;
    await tellPeople(
      tx,
      "class",
      told.map((t) => t.id),
      () => NOTICES.toRead(told[0]!.title),
    );
    return { given: drawn.length };
  });
}

/** What a student is to read of an assignment, and what they said. */
export async function reviewsBy(assignment: string, account: string): Promise<OwnReview[]> {
  return db()<OwnReview[]>`
    select p.id, p.submission_id as submission, case when p.blind then '' else array_to_string(s.members, ', ') end as names,
      as_json(s.content) -> 'rubric' as rubric, (as_json(s.content) ->> 'total')::int as total, p.levels, p.comment,
      p.done_at is not null as done
    from peer_review p join submission s on s.id = p.submission_id
    where p.assignment_id = ${assignment} and p.account_id = ${account} and s.taken_back_at is null order by p.id`;
}

/** Says what one thinks of a work one was given to read; it can be said anew. */
export async function review(
  id: string,
  account: string,
  said: { levels: (number | null)[]; comment: string },
): Promise<Failure | { saved: true }> {
  const comment = said.comment.trim();
  const levels = said.levels.slice(0, MOST_CRITERIA);
  if (comment === "" && levels.every((l) => l === null)) return fail("review_empty");
  const done = await db()`
    update peer_review set levels = ${db().json(levels as never)}, comment = ${comment.slice(0, 4_000)}, done_at = now()
    where id = ${id} and account_id = ${account} returning id`;
  return done.length > 0 ? { saved: true } : fail("not_found");
}

/** What those said who read a work, and how far they agree. `named`: for its teacher, who sees who said it. */
export async function reviewsOf(
  submission: string,
  named: boolean,
): Promise<{ said: ReviewSeen[]; agreement: Agreement | null }> {
  const rows = await db()<
    { by: string; levels: (number | null)[]; comment: string; rubric: Rubric | null; total: number }[]
  >`
    select case when ${named} or not p.blind then a.display_name else '' end as by, p.levels, p.comment,
      as_json(s.content) -> 'rubric' as rubric, (as_json(s.content) ->> 'total')::int as total
    from peer_review p join account a on a.id = p.account_id join submission s on s.id = p.submission_id
    where p.submission_id = ${submission} and p.done_at is not null order by p.done_at`;
  const said = rows.map(({ rubric, total, ...r }) => ({
    ...r,
    points: rubric ? rubricSum(rubric, r.levels, total).points : null,
  }));
  const points = said.flatMap((s) => (s.points === null ? [] : [s.points]));
  return { said, agreement: agreementOf(points, rows[0]?.total ?? 1) };
}
