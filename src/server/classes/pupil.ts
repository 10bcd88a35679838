import "server-only";
import { WORDS as NOTICES } from "@/core/words/notices";
import { tellPeople } from "../accounts/notices";
import { db, type Sql, type Tx } from "../db/pool";
import { type Failure, fail, isFailure } from "../http/failure";
import { rightsChanged } from "../live/notify";
import { purgeSubmission } from "../timelines/purge";

/** A week to change one's mind, as for those who delete their account themselves. */
const ACCOUNT_DAYS = 7;

/** What a pupil is in a class: in it, or of a group that worked for it; null: neither, or no business of whoever asks. */
async function pupilOf(sql: Sql, klass: string, teacher: string, pupil: string): Promise<Pupil | null> {
  const [row] = await sql<Pupil[]>`
    select a.display_name, a.sign_in_name, a.made_in_class = c.id as made_here, c.name as class_name, m.note
    from class c join account a on a.id = ${pupil} left join class_member m on m.class_id = c.id and m.account_id = a.id
    where c.id = ${klass} and teaches(c.id, ${teacher}) and (m.account_id is not null or exists (
      select from group_member g join assignment s on s.id = g.assignment_id where s.class_id = c.id and g.account_id = a.id))`;
  return row ?? null;
}

interface Pupil {
  displayName: string;
  signInName: string | null;
  /** The account was made in this class. */
  madeHere: boolean | null;
  className: string;
  note: string | null;
}

/**
 * Everything a class keeps of one of its pupils, as it goes into a file: who they are in it, what they handed in with its marks, what was
 * asked, answered, reviewed and practised. Its teachers only.
 */
export async function keptOfPupil(klass: string, teacher: string, pupil: string): Promise<Failure | object> {
  const found = await pupilOf(db(), klass, teacher, pupil);
  if (!found) return fail("not_found");
  const { displayName, signInName, className, note } = found;
  const submissions = await db()<{ content: string }[]>`
    select s.id, a.title as assignment, s.submitted_at, s.due_at, s.taken_back_at, s.hash, s.members, s.content, m.points, m.levels, m.comment,
      m.returned_at, m.to_improve,
      (select coalesce(jsonb_agg(jsonb_build_object('event', c.event_id, 'text', c.text)), '[]') from event_comment c
        where c.submission_id = s.id) as comments,
      (select coalesce(jsonb_agg(jsonb_build_object('points', b.points, 'comment', b.comment, 'reason', b.reason, 'at', b.at) order by b.n), '[]')
        from mark_before b where b.submission_id = s.id) as marks_before,
      (select coalesce(jsonb_agg(jsonb_build_object('byTeacher', r.by_teacher, 'own', r.account_id = ${pupil}, 'text', r.text, 'at', r.at)
        order by r.id), '[]') from mark_reply r where r.submission_id = s.id) as replies,
      (select jsonb_build_object('seconds', v.seconds, 'words', v.spoken) from mark_voice v where v.submission_id = s.id) as spoken_comment
    from group_member g join assignment a on a.id = g.assignment_id join submission s on s.group_id = g.group_id
    left join mark m on m.submission_id = s.id
    where a.class_id = ${klass} and g.account_id = ${pupil} order by s.submitted_at, s.id`;
  const extensions = await db()`
    select a.title as assignment, x.due_at from extension x join assignment a on a.id = x.assignment_id
    where a.class_id = ${klass} and x.account_id = ${pupil} order by x.due_at`;
  const questions = await db()`
    select a.title as assignment, q.event_id as event, q.text, q.at, q.answer, q.answered_at from question q
    join group_work g on g.timeline_id = q.timeline_id join assignment a on a.id = g.assignment_id
    where a.class_id = ${klass} and q.account_id = ${pupil} order by q.id`;
  const reviews = await db()`
    select a.title as assignment, p.levels, p.comment, p.done_at from peer_review p join assignment a on a.id = p.assignment_id
    where a.class_id = ${klass} and p.account_id = ${pupil} order by p.done_at`;
  const practice = await db()`
    select p.title, r.right_count, r.share, r.at from practice_result r join practice p on p.id = r.practice_id
    where p.class_id = ${klass} and r.account_id = ${pupil} order by r.at`;
  return {
    fastigo: "what a class keeps of a student",
    format: 1,
    class: className,
    student: { displayName, signInName: found.madeHere ? signInName : null, note: note ?? "" },
    submissions: submissions.map(({ content, ...s }) => ({ ...s, content: JSON.parse(content) as unknown })),
    extensions,
    questions,
    reviews,
    practice,
  };
}

/**
 * Destroys what a class keeps of one of its pupils, and takes them out of it. What they handed in alone goes with marks and comments; of
 * what they handed in with others their name goes. What they have made stays theirs. `account`: the account too, in a week, where it was
 * made in this class. Its teachers only.
 */
export async function forgetPupil(
  klass: string,
  teacher: string,
  pupil: string,
  account: boolean,
): Promise<Failure | { destroyed: number }> {
  const done = await db().begin(async (tx): Promise<Failure | { destroyed: number }> => {
    const found = await pupilOf(tx, klass, teacher, pupil);
    if (!found) return fail("not_found");
    if (account && !found.madeHere) return fail("account_of_their_own");
    await tx`
      delete from question q using group_work g, assignment a
      where g.timeline_id = q.timeline_id and a.id = g.assignment_id and a.class_id = ${klass} and q.account_id = ${pupil}`;
    await tx`
      delete from mark_reply r using submission s, group_work g, assignment a
      where s.id = r.submission_id and g.id = s.group_id and a.id = g.assignment_id and a.class_id = ${klass} and r.account_id = ${pupil}`;
    for (const table of ["peer_review", "extension"])
      await tx`
        delete from ${tx(table)} p using assignment a where a.id = p.assignment_id and a.class_id = ${klass} and p.account_id = ${pupil}`;
    const groups = await tx<{ id: string; alone: boolean }[]>`
      select g.group_id as id, not exists (select from group_member o where o.group_id = g.group_id and o.account_id <> ${pupil}) as alone
      from group_member g join assignment a on a.id = g.assignment_id where a.class_id = ${klass} and g.account_id = ${pupil}`;
    let destroyed = 0;
    for (const g of groups)
      if (g.alone) destroyed += await destroyGroup(tx, g.id);
      else
        await tx`
          update submission set members = array_replace(members, ${found.displayName}, 'Former student') where group_id = ${g.id}`;
    await tx`
      delete from group_member g using assignment a where a.id = g.assignment_id and a.class_id = ${klass} and g.account_id = ${pupil}`;
    await tx`
      delete from practice_result r using practice p where p.id = r.practice_id and p.class_id = ${klass} and r.account_id = ${pupil}`;
    await tx`delete from class_member where class_id = ${klass} and account_id = ${pupil}`;
    if (account)
      await tx`update account set delete_at = coalesce(delete_at, now() + ${`${ACCOUNT_DAYS} days`}::interval) where id = ${pupil}`;
    await tellPeople(tx, "account", [pupil], () => NOTICES.nothingKept(found.className, account));
    await rightsChanged(pupil, tx);
    return { destroyed };
  });
  if (!isFailure(done)) await rightsChanged(teacher);
  return done;
}

/** Destroys all a group of one has handed in, and the group; the timeline stays. Gives how many submissions there were. */
async function destroyGroup(tx: Tx, group: string): Promise<number> {
  const all = await tx<
    { id: string }[]
  >`select id from submission where group_id = ${group} order by submitted_at desc, id`;
  for (const { id } of all) await purgeSubmission(tx, id);
  await tx`delete from group_work where id = ${group}`;
  return all.length;
}
