import "server-only";
import { deleteAccount, leaversDue } from "./accounts/account";
import { overdueSubmissions } from "./classes/keep";
import { overdueResults } from "./classes/practice";
import { db } from "./db/pool";
import { forgetFiles } from "./files/made-files";
import { collectMedia } from "./media/collect";
import { BIN_DAYS, purgeDeleted, purgeSubmission, purgeTimeline, purgeVersions } from "./timelines/purge";

const DAY_MS = 86_400_000;
/** So much of each kind at a time: the rest waits for the next round. */
const BATCH = 200;

export interface Tidied {
  sessions: number;
  tries: number;
  pages: number;
  media: number;
  timelines: number;
  records: number;
  versions: number;
  submissions: number;
}

/**
 * Removes what is over: sessions and counted tries, pages and drawings of earlier builds, uploads nobody finished, files that
 * nothing shows, what has been in the bin for its time, submissions beyond their class's retention. Each timeline and each
 * submission is a transaction of its own, so that a stop in between leaves nothing half done.
 */
export async function tidy(build: string, now = new Date()): Promise<Tidied> {
  const sql = db();
  const sessions = await sql`delete from session where expires_at < ${now} returning id`;
  await sql`delete from known_browser where at < ${new Date(now.getTime() - 400 * DAY_MS)}`;
  await sql`delete from one_time_code where expires_at < ${now}`;
  await sql`delete from mail_key where expires_at < ${now}`;
  await forgetFiles(now);
  await sql`delete from page_pass where made_at < ${new Date(now.getTime() - 30 * DAY_MS)}`;
  await sql`delete from mail where at < ${new Date(now.getTime() - 90 * DAY_MS)}`;
  await sql`delete from account_notice where at < ${new Date(now.getTime() - 365 * DAY_MS)}`;
  const yesterday = new Date(now.getTime() - DAY_MS);
  const attempts = await sql`delete from sign_in_attempt where last_at < ${yesterday} returning name`;
  const tried = await sql`delete from tried where at < ${yesterday} returning name`;
  // What was killed and never begun again has no end.
  await sql`delete from job where coalesce(ended_at, begun_at + interval '7 days') < ${yesterday}`;
  await sql`delete from address_check where checked_at < ${new Date(now.getTime() - 400 * DAY_MS)}`;
  const pages = await sql`delete from page where build <> ${build} and build not like ${`${build}-%`} returning build`;
  await sql`delete from thumbnail where build <> ${build}`;

  const bin = new Date(now.getTime() - BIN_DAYS * DAY_MS);
  for (const id of await leaversDue(now, BATCH)) await deleteAccount(id);
  await overdueResults(sql, now);
  let submissions = 0;
  for (const id of await overdueSubmissions(sql, now, BATCH)) {
    await sql.begin((tx) => purgeSubmission(tx, id));
    submissions++;
  }
  let timelines = 0;
  for (const { id } of await sql<{ id: string }[]>`
    select id from timeline t where deleted_at < ${bin}
      -- What is left of one for the sake of a submission has numbers, but no log any more.
      and (t.seq = 0 or exists (select from change c where c.timeline_id = t.id))
    limit ${BATCH}`) {
    await sql.begin((tx) => purgeTimeline(tx, id));
    timelines++;
  }
  let records = 0;
  for (const { id } of await sql<{ id: string }[]>`
    select t.id from timeline t where t.deleted_at is null and (
      exists (select from event r where r.timeline_id = t.id and r.deleted and not r.purged and r.deleted_at < ${bin})
      or exists (select from source r where r.timeline_id = t.id and r.deleted and not r.purged and r.deleted_at < ${bin})
      or exists (select from item r where r.timeline_id = t.id and r.deleted and not r.purged and r.deleted_at < ${bin})
      or exists (select from category r where r.timeline_id = t.id and r.deleted and not r.purged and r.deleted_at < ${bin}))
    limit ${BATCH}`)
    records += await sql.begin((tx) => purgeDeleted(tx, id, bin));
  // Versions that were published once and are no more, and frozen copies whose links were closed.
  await sql`delete from frozen_copy where closed_at < ${bin}`;
  const versions = await sql<{ id: string }[]>`
    select v.id from version v where v.created_at < ${bin} and v.purpose <> 'submission'
      and not exists (select from publication p where p.version_id = v.id)
      and not exists (select from frozen_copy f where f.version_id = v.id) limit ${BATCH}`;
  if (versions.length > 0)
    await sql.begin((tx) =>
      purgeVersions(
        tx,
        versions.map((v) => v.id),
      ),
    );
  const { media } = await collectMedia(now);
  return {
    sessions: sessions.length,
    tries: attempts.length + tried.length,
    pages: pages.length,
    media,
    timelines,
    records,
    versions: versions.length,
    submissions,
  };
}
