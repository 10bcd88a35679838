import "server-only";
import { WORDS as NOTICES } from "@/core/words/notices";
import { tellPeople } from "../accounts/notices";
import type { Reply } from "@/core/check/own-work";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { workChanged } from "../live/notify";
import { hasRight } from "../timelines/access";
import { findSubmissionRef, teaches } from "./submission-ref";

const MOST_REPLIES = 100;
/** So much of it stands in a notice. */
const IN_NOTICE = 200;

/** What was said about a mark after it came back, in its order. */
export async function repliesTo(submission: string): Promise<Reply[]> {
  const rows = await db()<(Omit<Reply, "at"> & { at: Date })[]>`
    select r.id::int, coalesce(a.display_name, 'Deleted account') as by, r.by_teacher, r.text, r.at
    from mark_reply r left join account a on a.id = r.account_id where r.submission_id = ${submission} order by r.id`;
  return rows.map((r) => ({ ...r, at: r.at.toISOString() }));
}

/** Answers to a mark that came back: its group, and its teachers. The other side is told. */
export async function reply(submission: string, by: string, text: string): Promise<Failure | { replied: true }> {
  const s = await findSubmissionRef(submission);
  const teacher = s !== null && (await teaches(s.assignmentId, by));
  if (!s || !(teacher || (await hasRight(db(), s.timelineId, by, "edit")))) return fail("not_found");
  const words = text.trim();
  if (words.length < 1 || words.length > 2_000) return fail("reply_empty");
  const done = await db()`
    insert into mark_reply (submission_id, account_id, by_teacher, text)
    select m.submission_id, ${by}, ${teacher}, ${words} from mark m
    where m.submission_id = ${submission} and m.returned_at is not null
      and (select count(*) from mark_reply r where r.submission_id = ${submission}) < ${MOST_REPLIES} returning id`;
  if (done.length === 0) return fail("not_returned_yet");
  const told = await db()<{ id: string; title: string; by: string }[]>`
    select p.account_id as id, a.title, (select display_name from account where id = ${by}) as by
    from submission s join group_work g on g.id = s.group_id join assignment a on a.id = g.assignment_id,
      lateral (
        select m.account_id from group_member m where m.group_id = g.id and ${teacher}
        union select t.account_id from class_teacher t where t.class_id = a.class_id and t.role <> 'assistant' and not ${teacher}) p
    where s.id = ${submission} and p.account_id <> ${by}`;
  await tellPeople(
    db(),
    "class",
    told.map((t) => t.id),
    () => NOTICES.repliedAbout(told[0]!.by, told[0]!.title, words.slice(0, IN_NOTICE)),
  );
  await workChanged(s.timelineId);
  return { replied: true };
}
