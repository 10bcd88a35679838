import "server-only";
import { db } from "../db/pool";
import { removeLoose } from "./blobs";

/** Files that are removed from the outside store at a time. */
const MOST_LOOSE = 500;

/**
 * Removes what nothing refers to: uploads left for a week, media of a week ago that neither a timeline's items nor a
 * frozen version mention (as shown, or as what the shown part is cut out of, or as another part of the same, which history may put back), and then the bytes behind them. Deleted items keep theirs: they can be put back.
 */
export async function collectMedia(now = new Date()): Promise<{ media: number; blobs: number }> {
  const week = new Date(now.getTime() - 7 * 86_400_000);
  await db()`delete from upload where created_at < ${week}`;
  const media = await db()`
    delete from media m
    where m.created_at < ${week}
      and not exists (
        select from item i where i.timeline_id = m.timeline_id and (i.media in (m.id, m.made_of) or i.cut ->> 'of' in (m.id, m.made_of)))
      and not exists (select from version_media v where v.media_id = m.id)
    returning id`;
  return { media: media.length, blobs: await removeUnused(now) };
}

/** Removes bytes that belong to no media any more, of these files or of all; says how many files that were. */
export async function removeUnused(now: Date, among?: readonly string[]): Promise<number> {
  const blobs = await db()`
    with gone as (
      delete from blob b where not exists (select from media_file f where f.hash = b.hash)
        and ${among ? db()`b.hash = any(${[...among]})` : db()`true`} returning hash, store),
    outside as (
      insert into blob_loose (hash, at) select hash, 'epoch' from gone where store = 's3' on conflict (hash) do update set at = 'epoch')
    select hash from gone`;
  await removeLoose(now, MOST_LOOSE);
  return blobs.length;
}
