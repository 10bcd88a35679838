import "server-only";
import type { Sql } from "../db/pool";

export type Role = "owner" | "editor";

/** What a person may do in a timeline; null: nothing, or there is no such timeline. */
export async function findRole(sql: Sql, timeline: string, account: string): Promise<Role | null> {
  const [row] = await sql<{ role: Role }[]>`
    select e.role from editor e join timeline t on t.id = e.timeline_id
    where e.timeline_id = ${timeline} and e.account_id = ${account} and t.deleted_at is null`;
  return row?.role ?? null;
}

/**
 * Whether a person may look at a draft: its editors, and the teacher of the class it is made for, which its students are told. A draft
 * of no assignment is its editors' alone.
 */
export async function mayLookAt(sql: Sql, timeline: string, account: string): Promise<boolean> {
  if (await findRole(sql, timeline, account)) return true;
  const [row] = await sql`
    select from group_work g join assignment a on a.id = g.assignment_id join class c on c.id = a.class_id join timeline t on t.id = g.timeline_id
    where g.timeline_id = ${timeline} and c.teacher_id = ${account} and t.deleted_at is null`;
  return row !== undefined;
}
