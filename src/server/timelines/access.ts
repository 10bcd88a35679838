import "server-only";
import { modelFor, worksFor } from "../classes/reach";
import type { Sql } from "../db/pool";
import { fail, Refused } from "../http/failure";

/**
 * What a person may do in a timeline, each holding all before it: read it as it stands, comment on it, add to it, edit all of
 * it, own it.
 */
export const RIGHTS = ["read", "comment", "add", "edit", "own"] as const;
export type Right = (typeof RIGHTS)[number];

/** What stands beside a name in the list of a timeline's people. */
export type Role = "owner" | "editor";
const RIGHT_OF: Record<Role, Right> = { owner: "own", editor: "edit" };

interface Where {
  /** Of a deleted timeline, which is in its owner's bin, too. */
  deleted?: boolean;
}

/**
 * The furthest right of a person; null: none, or there is no such timeline. Those who teach the class it is made for read it,
 * and so do students to whom it is shown as a model.
 */
export async function findRight(sql: Sql, timeline: string, account: string, where: Where = {}): Promise<Right | null> {
  const [row] = await sql<{ role: Role }[]>`
    select e.role from editor e join timeline t on t.id = e.timeline_id
    where e.timeline_id = ${timeline} and e.account_id = ${account} and (t.deleted_at is null or ${where.deleted ?? false})`;
  if (row) return RIGHT_OF[row.role];
  return (await worksFor(sql, timeline, account)) || (await modelFor(sql, timeline, account)) ? "read" : null;
}

/** Whether one right holds another. */
export function holds(has: Right | null, asked: Right): boolean {
  return has !== null && RIGHTS.indexOf(has) >= RIGHTS.indexOf(asked);
}

export async function hasRight(sql: Sql, timeline: string, account: string, right: Right): Promise<boolean> {
  return holds(await findRight(sql, timeline, account), right);
}

/**
 * Refuses (`Refused`) whoever has not the right: as if there were nothing, but that who may edit is told that only the owner can.
 * Asked within the transaction of what is done, so that a right taken away meanwhile counts.
 */
export async function requireRight(
  sql: Sql,
  timeline: string,
  account: string,
  right: Right,
  where: Where = {},
): Promise<void> {
  const has = await findRight(sql, timeline, account, where);
  if (holds(has, right)) return;
  throw new Refused(fail(right === "own" && holds(has, "edit") ? "owner_only" : "not_found"));
}

/** Every timeline a person may edit. */
export async function editableBy(sql: Sql, account: string): Promise<string[]> {
  const rows = await sql<{ id: string }[]>`
    select t.id from editor e join timeline t on t.id = e.timeline_id
    where e.account_id = ${account} and t.deleted_at is null`;
  return rows.map((r) => r.id);
}
