import "server-only";
import { customAlphabet, nanoid } from "nanoid";
import { db, type Sql } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import type { Visibility } from "../timelines/publish";

/** Read aloud and typed from a board: no letter that sounds or looks like another. */
const newCode = customAlphabet("ABCDEFGHJKMNPQRSTUVWXYZ23456789", 6);

export type ClassRole = "teacher" | "student";

export interface SchoolClass {
  id: string;
  name: string;
  joinCode: string | null;
  publishLimit: Visibility;
  /** How long a submission is kept after it was handed in, months. */
  retentionMonths: number;
  teacher: string;
}

/** What a person is in a class; null: nothing. */
export async function findClassRole(sql: Sql, id: string, account: string): Promise<ClassRole | null> {
  const [row] = await sql<{ role: ClassRole }[]>`
    select case when c.teacher_id = ${account} then 'teacher' else 'student' end as role from class c
    where c.id = ${id} and (c.teacher_id = ${account} or exists (select from class_member m where m.class_id = c.id and m.account_id = ${account}))`;
  return row?.role ?? null;
}

/** Makes a class; whoever makes it is its teacher. */
export async function createClass(teacher: string, name: string): Promise<Failure | { id: string }> {
  const plain = name.trim();
  if (plain.length < 1 || plain.length > 80) return fail("class_name_missing");
  const id = nanoid(12);
  await db()`insert into class (id, name, teacher_id, join_code) values (${id}, ${plain}, ${teacher}, ${newCode()})`;
  return { id };
}

/** Renews or closes the join code, or sets how far students may publish. The teacher only. */
export async function alterClass(
  id: string,
  teacher: string,
  change: { code?: "renew" | "close"; publishLimit?: Visibility; retentionMonths?: number },
): Promise<Failure | { done: true }> {
  const done = await db()`
    update class set
      join_code = case ${change.code ?? ""} when 'renew' then ${newCode()} when 'close' then null else join_code end,
      publish_limit = coalesce(${change.publishLimit ?? null}, publish_limit),
      retention_months = coalesce(${change.retentionMonths ?? null}, retention_months)
    where id = ${id} and teacher_id = ${teacher} returning id`;
  return done.length > 0 ? { done: true } : fail("not_found");
}

export async function findClass(id: string): Promise<SchoolClass | null> {
  const [row] = await db()<SchoolClass[]>`
    select c.id, c.name, c.join_code, c.publish_limit, c.retention_months, a.display_name as teacher from class c join account a on a.id = c.teacher_id where c.id = ${id}`;
  return row ?? null;
}

export interface Member {
  id: string;
  displayName: string;
  /** Only in the class in which the account was made; others see the display name alone. */
  signInName: string | null;
  /** Whether the account was made in another class. */
  madeElsewhere: boolean;
}

export async function membersOf(id: string): Promise<Member[]> {
  return db()<Member[]>`
    select a.id, a.display_name, case when a.made_in_class = m.class_id then a.sign_in_name end as sign_in_name,
      a.made_in_class is distinct from m.class_id and a.email is null as made_elsewhere
    from class_member m join account a on a.id = m.account_id
    where m.class_id = ${id} order by lower(a.display_name), a.id`;
}

export interface ClassCard {
  id: string;
  name: string;
  role: ClassRole;
  members: number;
}

export async function classesOf(account: string): Promise<ClassCard[]> {
  return db()<ClassCard[]>`
    select c.id, c.name, case when c.teacher_id = ${account} then 'teacher' else 'student' end as role,
      (select count(*)::int from class_member m where m.class_id = c.id) as members
    from class c
    where c.teacher_id = ${account} or exists (select from class_member m where m.class_id = c.id and m.account_id = ${account})
    order by lower(c.name), c.id`;
}
