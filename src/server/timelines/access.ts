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

/** What stands beside a name in the list of those who edit a timeline. */
export type Role = "owner" | "editor";
/** What guests of a timeline are. */
export type GuestRole = "reader" | "commenter" | "adder";
const RIGHT_OF: Record<Role | GuestRole, Right> = {
  owner: "own",
  editor: "edit",
  adder: "add",
  commenter: "comment",
  reader: "read",
};

interface Where {
  /** Of a deleted timeline, which is in its owner's bin, too. */
  deleted?: boolean;
}

/**
 * The furthest right of a person; null: none, or there is no such timeline. Guests read it, comment too, or add events of their own. Those who teach the class it is made for
 * comment, and students to whom it is shown as a model read it.
 */
export async function findRight(sql: Sql, timeline: string, account: string, where: Where = {}): Promise<Right | null> {
  const [row] = await sql<{ role: Role | GuestRole }[]>`
    select p.role from (
      select e.role, e.timeline_id from editor e where e.timeline_id = ${timeline} and e.account_id = ${account}
      union all select g.role, g.timeline_id from guest g where g.timeline_id = ${timeline} and g.account_id = ${account}) p
    join timeline t on t.id = p.timeline_id
    where t.deleted_at is null or (${where.deleted ?? false} and p.role in ('owner', 'editor'))`;
  if (row) return RIGHT_OF[row.role];
  if (await worksFor(sql, timeline, account)) return "comment";
  return (await modelFor(sql, timeline, account)) ? "read" : null;
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

/** Every timeline a person reads as a guest. */
export async function visitedBy(sql: Sql, account: string): Promise<string[]> {
  const rows = await sql<{ id: string }[]>`
    select t.id from guest g join timeline t on t.id = g.timeline_id
    where g.account_id = ${account} and t.deleted_at is null`;
  return rows.map((r) => r.id);
}

/** Every timeline a person may edit. */
export async function editableBy(sql: Sql, account: string): Promise<string[]> {
  const rows = await sql<{ id: string }[]>`
    select t.id from editor e join timeline t on t.id = e.timeline_id
    where e.account_id = ${account} and t.deleted_at is null`;
  return rows.map((r) => r.id);
}
