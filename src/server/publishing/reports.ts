import "server-only";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import type { Published } from "./published";

export const REASONS = ["harmful", "private", "copied", "advertising", "other"] as const;
export type Reason = (typeof REASONS)[number];
/** What waits of one page is enough; further reports say nothing new. */
const MOST_WAITING = 50;

/** Keeps what a reader says is wrong with a page; nothing about who. */
export async function reportPage(
  published: Published,
  reason: Reason,
  words: string,
): Promise<Failure | { reported: true }> {
  if (words.trim() === "") return fail("report_empty");
  await db()`
    insert into page_report (timeline_id, reason, words)
    select ${published.timeline}, ${reason}, ${words.trim().slice(0, 2_000)}
    where (select count(*) from page_report r where r.timeline_id = ${published.timeline} and r.decided_at is null) < ${MOST_WAITING}`;
  return { reported: true };
}

/** Whether somebody keeps this site: looks at what is reported, and hides it. */
export async function isOperator(account: string): Promise<boolean> {
  const [row] = await db()`select from account where id = ${account} and operator and deleted_at is null`;
  return row !== undefined;
}

export interface ReportedPage {
  timeline: string;
  address: string;
  title: string;
  byline: string;
  hiddenAt: Date | null;
  reports: { reason: Reason; words: string; at: string }[];
}

/** Pages somebody reported and nobody has looked at, the longest waiting first; then those that are hidden. */
export async function reportedPages(): Promise<{ waiting: ReportedPage[]; hidden: ReportedPage[] }> {
  const rows = await db()<ReportedPage[]>`
    select p.timeline_id as timeline, p.address, p.title, p.byline, p.hidden_at,
      coalesce((select jsonb_agg(jsonb_build_object('reason', r.reason, 'words', r.words, 'at', r.at) order by r.at)
        from page_report r where r.timeline_id = p.timeline_id and r.decided_at is null), '[]') as reports
    from publication p
    where p.hidden_at is not null or exists (select from page_report r where r.timeline_id = p.timeline_id and r.decided_at is null)
    order by (select min(r.at) from page_report r where r.timeline_id = p.timeline_id and r.decided_at is null) nulls last, p.hidden_at desc
    limit 200`;
  return {
    waiting: rows.filter((r) => r.reports.length > 0),
    hidden: rows.filter((r) => r.hiddenAt && r.reports.length === 0),
  };
}

/** Hides a page or shows it again, by somebody who keeps this site; what was reported of it is done with. */
export async function decide(timeline: string, by: string, hide: boolean): Promise<Failure | { hidden: boolean }> {
  if (!(await isOperator(by))) return fail("operator_only");
  return db().begin(async (tx): Promise<Failure | { hidden: boolean }> => {
    const [row] = await tx`
      update publication set hidden_at = ${hide ? tx`coalesce(hidden_at, now())` : null} where timeline_id = ${timeline} returning timeline_id`;
    if (!row) return fail("not_found");
    await tx`update page_report set decided_at = now() where timeline_id = ${timeline} and decided_at is null`;
    return { hidden: hide };
  });
}
