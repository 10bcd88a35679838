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
