import "server-only";
import type { Sql, Tx } from "../db/pool";

/** The versions of a timeline that submissions still keep. */
export async function keptVersions(tx: Tx, timeline: string): Promise<string[]> {
  const rows = await tx<{ versionId: string }[]>`
    select s.version_id from submission s join group_work g on g.id = s.group_id where g.timeline_id = ${timeline}`;
  return rows.map((r) => r.versionId);
}

/** Takes a timeline out of its assignment, before it is destroyed. */
export async function forgetGroup(tx: Tx, timeline: string): Promise<void> {
  await tx`delete from group_work where timeline_id = ${timeline}`;
}

/** The submissions whose class no longer keeps them, the oldest first. */
export async function overdueSubmissions(sql: Sql, now: Date, most: number): Promise<string[]> {
  const rows = await sql<{ id: string }[]>`
    select s.id from submission s join group_work g on g.id = s.group_id join assignment a on a.id = g.assignment_id
    join class c on c.id = a.class_id
    where s.submitted_at + make_interval(months => c.retention_months) < ${now}
    order by s.submitted_at, s.id limit ${most}`;
  return rows.map((r) => r.id);
}

/**
 * Destroys a submission with mark and comments, and those that were handed in before it by the same group. Gives the versions
 * that are nobody's any more, and whether the draft was deleted; null when it is gone already.
 */
export async function forgetSubmission(
  tx: Tx,
  id: string,
): Promise<{ versions: string[]; timelineId: string; deleted: boolean } | null> {
  const [row] = await tx<{ timelineId: string; deleted: boolean }[]>`
    select g.timeline_id, t.deleted_at is not null as deleted
    from submission s join group_work g on g.id = s.group_id join timeline t on t.id = g.timeline_id where s.id = ${id}`;
  if (!row) return null;
  const all = await tx<{ id: string; versionId: string }[]>`
    with recursive line (id, version_id) as (
      select id, version_id from submission where id = ${id}
      union all select s.id, s.version_id from submission s join line l on s.replaced_by = l.id)
    select id, version_id from line`;
  const ids = all.map((s) => s.id);
  await tx`delete from event_comment where submission_id = any(${ids})`;
  await tx`delete from mark where submission_id = any(${ids})`;
  await tx`delete from submission where id = any(${ids})`;
  return { ...row, versions: all.map((s) => s.versionId) };
}
