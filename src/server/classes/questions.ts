import "server-only";
import { WORDS as NOTICES } from "@/core/words/notices";
import { tellPeople } from "../accounts/notices";
import type { Question } from "@/core/check/own-work";
import { db } from "../db/pool";
import { type Failure, fail, refusal } from "../http/failure";
import { workChanged } from "../live/notify";
import { requireRight } from "../timelines/access";
import { worksFor } from "./reach";

const MOST_QUESTIONS = 100;
/** So much of what somebody wrote stands in a notice. */
const IN_NOTICE = 300;

/** What a group has asked its teacher, and what was answered, in the order it was asked. */
export async function questionsOf(timeline: string): Promise<Question[]> {
  const rows = await db()<(Omit<Question, "at" | "answeredAt"> & { at: Date; answeredAt: Date | null })[]>`
    select q.id::int, q.event_id as event, coalesce(a.display_name, 'Deleted account') as by, q.text, q.at, q.answer,
      coalesce(t.display_name, '') as answered_by, q.answered_at
    from question q left join account a on a.id = q.account_id left join account t on t.id = q.answered_by
    where q.timeline_id = ${timeline} order by q.id`;
  return rows.map((q) => ({ ...q, at: q.at.toISOString(), answeredAt: q.answeredAt?.toISOString() ?? null }));
}

/** Titles of the events of a timeline, by their ids. */
export async function titlesOf(timeline: string): Promise<Record<string, string>> {
  const rows = await db()<{ id: string; title: string }[]>`
    select id, title from event where timeline_id = ${timeline} and title <> ''`;
  return Object.fromEntries(rows.map((e) => [e.id, e.title]));
}

/** Asks the teachers of the class, at an event or about the whole (""). They are told. */
export async function ask(
  timeline: string,
  by: string,
  event: string,
  text: string,
): Promise<Failure | { asked: true }> {
  const words = text.trim();
  if (words.length < 1 || words.length > 2_000) return fail("question_empty");
  const done = await db()
    .begin(async (tx): Promise<Failure | null> => {
      await requireRight(tx, timeline, by, "edit");
      const [work] = await tx<{ title: string; classId: string; asked: number }[]>`
        select a.title, a.class_id, (select count(*)::int from question where timeline_id = ${timeline}) as asked
        from group_work g join assignment a on a.id = g.assignment_id where g.timeline_id = ${timeline}`;
      if (!work) return fail("not_found");
      if (work.asked >= MOST_QUESTIONS) return fail("questions_full");
      if (event !== "") {
        const [there] = await tx`select from event where timeline_id = ${timeline} and id = ${event} and not deleted`;
        if (!there) return fail("not_found");
      }
      await tx`insert into question (timeline_id, event_id, account_id, text) values (${timeline}, ${event}, ${by}, ${words})`;
      const teachers = await tx<{ id: string; by: string }[]>`
        select t.account_id as id, a.display_name as by
        from class_teacher t, account a where t.class_id = ${work.classId} and a.id = ${by}`;
      await tellPeople(
        tx,
        "class",
        teachers.map((t) => t.id),
        () => NOTICES.stuck(teachers[0]!.by, work.title, words.slice(0, IN_NOTICE)),
      );
      return null;
    })
    .catch(refusal);
  if (done) return done;
  await workChanged(timeline);
  return { asked: true };
}

/** Answers a question of a group; a later answer stands in place of the first. Teachers and assistants of its class. */
export async function answer(question: number, by: string, text: string): Promise<Failure | { answered: true }> {
  const words = text.trim();
  if (words.length < 1 || words.length > 2_000) return fail("question_empty");
  if (!Number.isSafeInteger(question)) return fail("not_found");
  const [row] = await db()<{ timelineId: string }[]>`select timeline_id from question where id = ${question}`;
  if (!row || !(await worksFor(db(), row.timelineId, by))) return fail("not_found");
  await db().begin(async (tx) => {
    await tx`update question set answer = ${words}, answered_by = ${by}, answered_at = now() where id = ${question}`;
    const [asked] = await tx<{ id: string; by: string }[]>`
      select q.account_id as id, a.display_name as by
      from question q, account a where q.id = ${question} and a.id = ${by} and q.account_id is not null`;
    if (asked) await tellPeople(tx, "class", [asked.id], () => NOTICES.answered(asked.by, words.slice(0, IN_NOTICE)));
  });
  await workChanged(row.timelineId);
  return { answered: true };
}
