import "server-only";
import postgres from "postgres";
import { forgetPracticesOf } from "../classes/practice";
import { type Op, type Table, tableOf } from "@/core/change/change";
import { CATEGORY, EVENT, emptyOf, ITEM, SOURCE } from "@/core/timeline/fields";
import { forgetGroup, forgetSubmission, keptVersions } from "../classes/keep";
import type { Tx } from "../db/pool";
import { forgetPast } from "./past";
import { forgetStandIns } from "./restore-history";
import { columnValue } from "./take-change";

/** What is deleted can be put back for so long; then it is gone for good. */
export const BIN_DAYS = 30;

/** Within this transaction what is frozen may be destroyed, but never altered. */
export async function allowPurge(tx: Tx): Promise<void> {
  await tx`select set_config('fastigo.purge', 'on', true)`;
}

/**
 * Destroys a timeline with its log, its versions and their pages, its files and its links. Where a submission of it is still to
 * be kept, what was submitted stays, without a draft around it, and goes with the submission.
 */
export async function purgeTimeline(tx: Tx, id: string): Promise<void> {
  await allowPurge(tx);
  const versions = await keptVersions(tx, id);
  await purgeParts(tx, id, versions);
  // What is kept of it was handed in, or marked, by those who stand for people of an archive.
  if (versions.length === 0) await forgetStandIns(tx, id);
}

async function purgeParts(tx: Tx, id: string, versions: string[]): Promise<void> {
  await tx`delete from publication where timeline_id = ${id}`;
  await tx`delete from frozen_copy where timeline_id = ${id}`;
  for (const table of ["short_link", "page_pass", "opened_day", "page_report", "made_file"])
    await tx`delete from ${tx(table)} where timeline_id = ${id}`;
  await forgetPracticesOf(tx, id);
  await purgeVersions(tx, await versionsOf(tx, id, versions));
  if (versions.length === 0) {
    await forgetGroup(tx, id);
    await tx`delete from timeline where id = ${id}`;
    return;
  }
  await tx`delete from change where timeline_id = ${id}`;
  await forgetPast(tx, id);
  await tx`delete from event where timeline_id = ${id}`;
  await tx`delete from category where timeline_id = ${id}`;
  await tx`delete from item where timeline_id = ${id}`;
  await tx`delete from source where timeline_id = ${id}`;
  for (const table of [
    "guest",
    "invitation",
    "comment",
    "comment_seen",
    "call_for_events",
    "sent_event",
    "suggestion",
    "said_report",
  ])
    await tx`delete from ${tx(table)} where timeline_id = ${id}`;
  await tx`delete from upload where timeline_id = ${id}`;
  await tx`delete from thumbnail where timeline_id = ${id}`;
  await tx`delete from check_result where timeline_id = ${id}`;
  await tx`
    delete from media m where timeline_id = ${id} and not exists (select from version_media v where v.media_id = m.id)`;
  await tx`
    update timeline set title = '', subject = '', byline = '', introduction = '', closing = '', log_bytes = 0,
      deleted_at = coalesce(deleted_at, now()) where id = ${id}`;
}

async function versionsOf(tx: Tx, timeline: string, without: string[]): Promise<string[]> {
  const rows = await tx<
    { id: string }[]
  >`select id from version where timeline_id = ${timeline} and id <> all(${without})`;
  return rows.map((r) => r.id);
}

/** Destroys versions that nothing refers to, with the pages made of them. */
export async function purgeVersions(tx: Tx, ids: readonly string[]): Promise<void> {
  if (ids.length === 0) return;
  await allowPurge(tx);
  await tx`delete from page where version_id = any(${[...ids]})`;
  await tx`delete from version_media where version_id = any(${[...ids]})`;
  await tx`delete from version where id = any(${[...ids]})`;
}

/** Destroys a submission whole: what was handed in, its mark and its comments; and what was left of a deleted draft. */
export async function purgeSubmission(tx: Tx, id: string): Promise<void> {
  await allowPurge(tx);
  const gone = await forgetSubmission(tx, id);
  if (!gone) return;
  await purgeVersions(tx, gone.versions);
  if (!gone.deleted) return;
  const [log] = await tx`select from change where timeline_id = ${gone.timelineId} limit 1`;
  if (!log) await purgeTimeline(tx, gone.timelineId);
}

/**
 * Takes what was deleted `before` a moment out of a timeline for good: the rows hold nothing any more, and neither does the
 * log. A replay of the log gives the rows as they are from then on. Gives how many records were emptied.
 */
export async function purgeDeleted(tx: Tx, timeline: string, before: Date): Promise<number> {
  await tx`select from timeline where id = ${timeline} for update`;
  const due = async (table: string) =>
    (
      await tx<
        { id: string }[]
      >`select id from ${tx(table)} where timeline_id = ${timeline} and deleted and not purged and deleted_at < ${before}`
    ).map((r) => r.id);
  const events = new Set(await due("event"));
  const categories = new Set(await due("category"));
  const items = new Set(await due("item"));
  for (const { id } of await tx<{ id: string }[]>`
    select id from item where timeline_id = ${timeline} and not purged and "of" = any(${[...events]})`)
    items.add(id);
  const sources = new Set(await due("source"));
  return purgeRecords(tx, timeline, { event: events, category: categories, item: items, source: sources });
}

/** The same for records one names, in a timeline that is locked. */
export async function purgeRecords(
  tx: Tx,
  timeline: string,
  gone: Record<Table, ReadonlySet<string>>,
): Promise<number> {
  const { event: events, category: categories, item: items, source: sources } = gone;
  const found = events.size + categories.size + items.size + sources.size;
  if (found === 0) return 0;
  await forgetPast(tx, timeline);

  // What was said about them quotes them.
  await tx`delete from comment where timeline_id = ${timeline} and event_id = any(${[...events]})`;
  await tx`delete from suggestion where timeline_id = ${timeline} and event_id = any(${[...events]})`;
  await blank(tx, timeline, "event", [...events], { ...emptyOf(EVENT), description: Buffer.alloc(0) });
  await blank(tx, timeline, "category", [...categories], emptyOf(CATEGORY));
  // What an item belonged to stays: the log says it too.
  const { of: _, list: __, ...nothing } = emptyOf(ITEM);
  await blank(tx, timeline, "item", [...items], nothing);

  await blank(tx, timeline, "source", [...sources], emptyOf(SOURCE));

  let bytes = 0;
  for (let after = -1; ; ) {
    const [row] = await tx<{ seq: number; ops: Op[]; was: unknown[] }[]>`
      select seq, ops, was from change where timeline_id = ${timeline} and seq > ${after} order by seq limit 1`;
    if (!row) break;
    after = row.seq;
    const kept = row.ops.flatMap((op, n) => {
      const blank = blanked(op, gone);
      return blank ? [{ op: blank, was: blank === op ? row.was[n] : null }] : [];
    });
    const ops = kept.map((k) => k.op);
    const was = kept.map((k) => k.was ?? null);
    bytes += Buffer.byteLength(JSON.stringify(ops)) + Buffer.byteLength(JSON.stringify(was));
    if (kept.length !== row.ops.length || kept.some((k, n) => k.op !== row.ops[n]))
      await tx`
        update change set ops = ${tx.json(ops as never)}, was = ${tx.json(was as never)}
        where timeline_id = ${timeline} and seq = ${row.seq}`;
  }
  await tx`update timeline set log_bytes = ${bytes} where id = ${timeline}`;
  return found;
}

/** Empties records. Which were given, and how, is their assignment's to say, and stays. */
async function blank(tx: Tx, timeline: string, table: string, ids: string[], values: object): Promise<void> {
  const { given: _, locked: __, ...fields } = values as Record<string, unknown>;
  const row = Object.fromEntries(
    Object.entries({ ...fields, purged: true }).map(([f, v]) => [postgres.fromCamel(f), columnValue(tx, v)]),
  );
  await tx`update ${tx(table)} set ${tx(row as never)} where timeline_id = ${timeline} and id = any(${ids})`;
}

/** A step without what was in the records that are gone; null where nothing of it is left; itself where it is of others. */
function blanked(op: Op, gone: Record<Table, ReadonlySet<string>>): Op | null {
  if (op.kind === "set_timeline") return op;
  if (op.kind === "describe") return gone.event.has(op.of) ? null : op;
  if (!gone[tableOf(op)].has(op.id)) return op;
  if ("field" in op) return null;
  if (!("fields" in op)) return op;
  if (op.kind !== "add_item") return { ...op, fields: {} };
  const { of, list } = op.fields;
  return { ...op, fields: { ...(of === undefined ? {} : { of }), ...(list === undefined ? {} : { list }) } };
}
