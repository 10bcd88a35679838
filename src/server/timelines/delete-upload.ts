import "server-only";
import { nanoid } from "nanoid";
import { db, type Tx } from "../db/pool";
import { type Failure, fail, refusal } from "../http/failure";
import { removeUnused } from "../media/collect";
import { requireRight } from "./access";
import { purgeRecords } from "./purge";
import { takeChangeIn } from "./take-change";

/** What became of a deleted upload. */
export interface Deleted {
  /** Entries of timelines that showed it, and are gone with it. */
  entries: number;
  /** Titles of the timelines of which a frozen version shows it: for these it is kept, and only there it is still seen. */
  frozen: string[];
}

/**
 * Deletes for good what somebody has uploaded, wherever they used it in timelines they may edit, with every part that was cut out of
 * it: from the timelines, from what can be put back, and its bytes. What a frozen version shows is kept for that alone.
 */
export async function deleteUpload(timeline: string, media: string, by: string): Promise<Failure | Deleted> {
  let bytes: string[] = [];
  const done = await db()
    .begin(async (tx): Promise<Failure | Deleted> => {
      await requireRight(tx, timeline, by, "edit");
      const whole = await tx<{ hash: string }[]>`
        select f.hash from media m join media_file f on f.media_id = m.id
        where m.id = ${media} and m.timeline_id = ${timeline} and m.created_by = ${by} and f.size in ('large', 'whole')`;
      if (whole.length === 0) return fail("not_found");
      const files = await tx<{ id: string; timeline: string }[]>`
        with own as (
          select distinct m.id, m.timeline_id from media m join media_file f on f.media_id = m.id
          join editor e on e.timeline_id = m.timeline_id and e.account_id = ${by}
          where m.created_by = ${by} and f.size in ('large', 'whole') and f.hash = any(${whole.map((w) => w.hash)}))
        select m.id, m.timeline_id as timeline from media m
        where m.id in (select id from own) or m.made_of in (select id from own)
        order by m.timeline_id, m.id`;
      let entries = 0;
      for (const own of new Set(files.map((f) => f.timeline)))
        entries += await takeOut(
          tx,
          own,
          files.filter((f) => f.timeline === own).map((f) => f.id),
          by,
        );
      const ids = files.map((f) => f.id);
      const frozen = await tx<{ media: string; title: string }[]>`
        select distinct v.media_id as media, t.title from version_media v join media m on m.id = v.media_id
        join timeline t on t.id = m.timeline_id where v.media_id = any(${ids})`;
      const kept = new Set(frozen.map((f) => f.media));
      await tx`update media set put_away = true where id = any(${[...kept]})`;
      bytes = (await tx<{ hash: string }[]>`select distinct hash from media_file where media_id = any(${ids})`).map(
        (f) => f.hash,
      );
      await tx`delete from media where id = any(${ids.filter((id) => !kept.has(id))})`;
      return { entries, frozen: [...new Set(frozen.map((f) => f.title))].sort() };
    })
    .catch(refusal);
  if (!("failed" in done)) await removeUnused(new Date(), bytes);
  return done;
}

/** Takes entries with these files out of a timeline for good; others who have it open see them go. */
async function takeOut(tx: Tx, timeline: string, files: readonly string[], by: string): Promise<number> {
  const [locked] = await tx<{ seq: number; deletedAt: Date | null }[]>`
    select seq, deleted_at from timeline where id = ${timeline} for update`;
  // One that lies in the bin can be put back, so it goes there too: within this transaction it is no deleted one.
  if (locked?.deletedAt) await tx`update timeline set deleted_at = null where id = ${timeline}`;
  const rows = await tx<{ id: string; deleted: boolean }[]>`
    select id, deleted from item where timeline_id = ${timeline} and (media = any(${[...files]}) or cut ->> 'of' = any(${[...files]}))`;
  const there = rows.filter((r) => !r.deleted).map((r) => r.id);
  if (there.length > 0) {
    const ops = there.map((id) => ({ kind: "delete_item" as const, id }));
    await takeChangeIn(tx, timeline, { id: nanoid(), author: by, base: locked!.seq, ops });
  }
  const none: ReadonlySet<string> = new Set();
  await purgeRecords(tx, timeline, { event: none, category: none, item: new Set(rows.map((r) => r.id)), source: none });
  if (locked?.deletedAt) await tx`update timeline set deleted_at = ${locked.deletedAt} where id = ${timeline}`;
  return there.length;
}
