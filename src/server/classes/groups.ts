import "server-only";
import { WORDS as NOTICES } from "@/core/words/notices";
import { tellPeople } from "../accounts/notices";
import { nanoid } from "nanoid";
import { zonedText } from "@/core/time/zoned";
import { emptyTimeline } from "@/core/timeline/timeline";
import { db } from "../db/pool";
import { type Failure, fail, refusal } from "../http/failure";
import { rightsChanged, workChanged } from "../live/notify";
import { createTimelineIn } from "../timelines/create";
import { makeEditor } from "../timelines/invite";
import { findAssignment, instantOf } from "./assignment";
import { rightsOfTeacher, setUp } from "./begin";
import { findClassRole, TEACHERS_NAME } from "./class";

/** The most groups that are made at once. */
const MOST_GROUPS = 200;

/**
 * Makes groups of students who have not begun, each with a timeline of their own: nobody twice, all of the class. One transaction; they
 * are told. The class's teachers only.
 */
export async function makeGroups(
  id: string,
  teacher: string,
  groups: readonly (readonly string[])[],
): Promise<Failure | { made: number }> {
  const assignment = await findAssignment(id);
  if (!assignment || (await findClassRole(db(), assignment.classId, teacher)) !== "teacher") return fail("not_found");
  if (assignment.over) return fail("year_over");
  const wanted = groups.filter((g) => g.length > 0).slice(0, MOST_GROUPS);
  const everybody = wanted.flat();
  if (everybody.length === 0) return fail("groups_empty");
  if (new Set(everybody).size < everybody.length) return fail("twice_in_groups");
  const made = await db()
    .begin(async (tx): Promise<Failure | { timelines: string[] }> => {
      await tx`select from assignment where id = ${id} for update`;
      const free = await tx`
        select m.account_id from class_member m
        where m.class_id = ${assignment.classId} and m.account_id = any(${everybody})
          and not exists (select from group_member g where g.assignment_id = ${id} and g.account_id = m.account_id)`;
      if (free.length < everybody.length) return fail("begun_meanwhile");
      const timelines: string[] = [];
      for (const people of wanted) {
        const [first, ...others] = people as [string, ...string[]];
        const ops = await setUp(assignment, emptyTimeline(""));
        const timeline = await createTimelineIn(tx, first, { title: assignment.title, subject: "" }, ops);
        if ("failed" in timeline) return timeline;
        const group = nanoid(12);
        await tx`insert into group_work (id, assignment_id, timeline_id, created_at) values (${group}, ${id}, ${timeline.id}, clock_timestamp())`;
        for (const account of people)
          await tx`insert into group_member (assignment_id, account_id, group_id) values (${id}, ${account}, ${group})`;
        for (const account of others) {
          await makeEditor(tx, timeline.id, account);
          // They stand in the order they were put in.
          await tx`
            update editor set joined_at = clock_timestamp() where timeline_id = ${timeline.id} and account_id = ${account}`;
        }
        const names = await tx<{ id: string; displayName: string }[]>`
          select id, display_name from account where id = any(${[...people]}) order by display_name`;
        await tellPeople(tx, "class", [...people], (of) =>
          NOTICES.groupsMade(
            assignment.title,
            names.filter((p) => p.id !== of).map((p) => p.displayName),
          ),
        );
        timelines.push(timeline.id);
      }
      return { timelines };
    })
    .catch(refusal);
  if ("failed" in made) return made;
  for (const account of everybody) await rightsChanged(account);
  for (const timeline of made.timelines) await rightsOfTeacher(timeline);
  return { made: made.timelines.length };
}

/** The students of an assignment's class who have not begun it. */
export async function notBegun(id: string): Promise<{ id: string; displayName: string }[]> {
  return db()<{ id: string; displayName: string }[]>`
    select p.id, ${db().unsafe(TEACHERS_NAME)} as display_name
    from assignment a join class_member m on m.class_id = a.class_id join account p on p.id = m.account_id,
      lateral (select a.class_id as klass) as in_class
    where a.id = ${id} and not exists (select from group_member g where g.assignment_id = a.id and g.account_id = p.id)
    order by lower(p.display_name), p.id`;
}

/** Gives people more time for an assignment, or takes that back with null; they are told. The class's teachers only. */
export async function extend(
  id: string,
  teacher: string,
  accounts: readonly string[],
  dueAt: string | null,
): Promise<Failure | { done: true }> {
  const a = await findAssignment(id);
  if (!a || (await findClassRole(db(), a.classId, teacher)) !== "teacher") return fail("not_found");
  const due = dueAt === null ? null : await instantOf(dueAt, a.classId);
  if (dueAt !== null && (!due || due.getTime() <= a.dueAt.getTime())) return fail("extension_not_later");
  const told = await db().begin(async (tx) => {
    const people = await tx<{ id: string }[]>`
      select account_id as id from class_member where class_id = ${a.classId} and account_id = any(${[...accounts]})`;
    for (const p of people) {
      if (due)
        await tx`
          insert into extension (assignment_id, account_id, due_at) values (${id}, ${p.id}, ${due})
          on conflict (assignment_id, account_id) do update set due_at = excluded.due_at`;
      else await tx`delete from extension where assignment_id = ${id} and account_id = ${p.id}`;
    }
    await tellPeople(
      tx,
      "class",
      people.map((p) => p.id),
      () =>
        due ? NOTICES.moreTime(a.title, zonedText(due, a.zone)) : NOTICES.asOthers(a.title, zonedText(a.dueAt, a.zone)),
    );
    return people;
  });
  if (told.length === 0) return fail("not_found");
  for (const t of await db()<{ id: string }[]>`
    select distinct g.timeline_id as id from group_member m join group_work g on g.id = m.group_id
    where m.assignment_id = ${id} and m.account_id = any(${told.map((p) => p.id)})`)
    await workChanged(t.id);
  return { done: true };
}
