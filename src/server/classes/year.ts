import "server-only";
import { nanoid } from "nanoid";
import { db, type Tx } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { newJoinCode } from "./class";
import { copyPictures } from "./instructions";

/**
 * Ends the year of a class, or takes that back: nobody joins or hands in any more, all of it is still seen, and what was handed in is kept
 * as long as the class says. Only who leads it.
 */
export async function archiveClass(id: string, by: string, over: boolean): Promise<Failure | { done: true }> {
  const done = await db()`
    update class c set archived_at = case when ${over} then coalesce(archived_at, now()) end,
      join_code = case when ${over} then null else join_code end
    where c.id = ${id} and exists (
      select from class_teacher t where t.class_id = c.id and t.account_id = ${by} and t.role = 'lead') returning id`;
  if (done.length > 0) return { done: true };
  const [sees] = await db()`select from class where id = ${id} and watches(id, ${by})`;
  return fail(sees ? "lead_only" : "not_found");
}

/**
 * Begins the next year: another class with the same settings, teachers and assignments, due a year later, and no students. Whoever
 * teaches the class of before; they lead the new one.
 */
export async function nextYear(id: string, by: string, name: string): Promise<Failure | { id: string }> {
  const plain = name.trim();
  if (plain.length < 1 || plain.length > 80) return fail("class_name_missing");
  return db().begin(async (tx): Promise<Failure | { id: string }> => {
    const next = nanoid(12);
    const made = await tx`
      insert into class (id, name, join_code, publish_limit, retention_months, zone, organisation_id, outside_players, recording, bylines, follows)
      select ${next}, ${plain}, ${newJoinCode()}, publish_limit, retention_months, zone, organisation_id, outside_players, recording, bylines, id
      from class where id = ${id} and teaches(id, ${by}) returning id`;
    if (made.length === 0) return fail("not_found");
    await tx`
      insert into class_teacher (class_id, account_id, role)
      select ${next}, account_id, case when account_id = ${by} then 'lead' when role = 'lead' then 'teacher' else role end
      from class_teacher where class_id = ${id}`;
    const set = await tx<{ id: string }[]>`select id from assignment where class_id = ${id} order by created_at, id`;
    for (const a of set) await setAgain(tx, a.id, next, true);
    return { id: next };
  });
}

/** Sets an assignment once more, for another class or the same; with `later` a year later, else at the same time. Gives its id. */
async function setAgain(tx: Tx, assignment: string, klass: string, later: boolean): Promise<string> {
  const id = nanoid(12);
  await tx`
    insert into assignment (id, class_id, title, instructions, period, requirements, total, due_at, late_rule, grouping, blind, rubric,
      texts, model, model_shown, works_shown)
    select ${id}, ${klass}, title, instructions, period, requirements, total,
      due_at + case when ${later} then interval '1 year' else interval '0' end, late_rule, grouping, blind, rubric, texts, model, model_shown, works_shown
    from assignment where id = ${assignment}`;
  await copyPictures(tx, assignment, id);
  for (const g of await tx<
    { id: string }[]
  >`select id from given_event where assignment_id = ${assignment} order by place`)
    await tx`
      insert into given_event (id, assignment_id, place, title, right_when, locked)
      select ${nanoid(12)}, ${id}, place, title, right_when, locked from given_event where id = ${g.id}`;
  return id;
}

/** Sets an assignment again in a class, due as before; both by somebody who teaches them. Gives the new one, to be gone over. */
export async function useAgain(assignment: string, by: string, klass: string): Promise<Failure | { id: string }> {
  return db().begin(async (tx): Promise<Failure | { id: string }> => {
    const [both] = await tx`
      select from assignment a, class c
      where a.id = ${assignment} and teaches(a.class_id, ${by}) and c.id = ${klass} and teaches(c.id, ${by})
        and c.closed_at is null and c.archived_at is null`;
    return both ? { id: await setAgain(tx, assignment, klass, false) } : fail("not_found");
  });
}
