import "server-only";
import { WORDS as NOTICES } from "@/core/words/notices";
import { tellPeople } from "../accounts/notices";
import { readEmail } from "../accounts/sign-up";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { rightsChanged } from "../live/notify";
import { findClassRole } from "./class";

export type TeacherRole = "lead" | "teacher" | "assistant";

export interface ClassTeacher {
  id: string;
  displayName: string;
  role: TeacherRole;
}

/** Who teaches a class and who helps, the one who leads it first. */
export async function teachersOf(id: string): Promise<ClassTeacher[]> {
  return db()<ClassTeacher[]>`
    select a.id, a.display_name, t.role from class_teacher t join account a on a.id = t.account_id
    where t.class_id = ${id} order by t.role <> 'lead', t.role <> 'teacher', t.joined_at, a.id`;
}

/**
 * Takes somebody with an account into a class as teacher or assistant, or lets them be the other; they are told. Any teacher of the class.
 * A student of the class cannot be both.
 */
export async function addTeacher(
  id: string,
  by: string,
  email: string,
  role: "teacher" | "assistant",
): Promise<Failure | { done: true }> {
  const address = readEmail(email);
  if (!address) return fail("email_malformed");
  const done = await db().begin(async (tx): Promise<Failure | { account: string }> => {
    const [klass] = await tx<{ name: string; by: string }[]>`
      select c.name, (select display_name from account where id = ${by}) as by from class c
      where c.id = ${id} and teaches(c.id, ${by}) for update`;
    if (!klass) return fail("not_found");
    const [found] = await tx<{ id: string; role: TeacherRole | null; student: boolean }[]>`
      select a.id, t.role, exists (select from class_member m where m.class_id = ${id} and m.account_id = a.id) as student
      from account a left join class_teacher t on t.class_id = ${id} and t.account_id = a.id
      where lower(a.email) = ${address.toLowerCase()} and a.deleted_at is null`;
    if (!found) return fail("no_such_colleague");
    if (found.student) return fail("student_here");
    if (found.role === "lead") return fail("leads_already");
    await tx`
      insert into class_teacher (class_id, account_id, role) values (${id}, ${found.id}, ${role})
      on conflict (class_id, account_id) do update set role = excluded.role`;
    if (found.role !== role)
      await tellPeople(tx, "class", [found.id], () =>
        (role === "teacher" ? NOTICES.teachWith : NOTICES.assistIn)(klass.by, klass.name),
      );
    return { account: found.id };
  });
  if ("failed" in done) return done;
  await rightsChanged(done.account);
  return { done: true };
}

/**
 * Takes a teacher or assistant out of a class; what they have set and marked stays. Any teacher of the class, and everybody for
 * themselves; whoever leads it stays, so that a class is never nobody's.
 */
export async function removeTeacher(id: string, by: string, account: string): Promise<Failure | { done: true }> {
  const done = await db().begin(async (tx): Promise<Failure | { done: true }> => {
    const [row] = await tx<{ name: string; role: TeacherRole; may: boolean }[]>`
      select c.name, t.role, (teaches(c.id, ${by}) or ${account === by}) as may
      from class c join class_teacher t on t.class_id = c.id and t.account_id = ${account}
      where c.id = ${id} and watches(c.id, ${by}) for update of t`;
    if (!row?.may) return fail("not_found");
    if (row.role === "lead") return fail("lead_stays");
    await tx`delete from class_teacher where class_id = ${id} and account_id = ${account}`;
    if (account !== by) await tellPeople(tx, "class", [account], () => NOTICES.teachesNoMore(row.name));
    return { done: true };
  });
  if (!("failed" in done)) await rightsChanged(account);
  return done;
}

/** Hands the leading of a class to another of its teachers; who led it teaches on. */
export async function handOverLead(id: string, by: string, to: string): Promise<Failure | { done: true }> {
  return db().begin(async (tx): Promise<Failure | { done: true }> => {
    const [lead] = await tx`
      select from class_teacher where class_id = ${id} and account_id = ${by} and role = 'lead' for update`;
    if (!lead) return fail((await findClassRole(tx, id, by)) === "teacher" ? "lead_only" : "not_found");
    const next = await tx`
      update class_teacher set role = 'lead' where class_id = ${id} and account_id = ${to} and role = 'teacher' returning account_id`;
    if (next.length === 0) return fail("not_found");
    await tx`update class_teacher set role = 'teacher' where class_id = ${id} and account_id = ${by}`;
    return { done: true };
  });
}
