import "server-only";
import type { Op } from "@/core/change/change";
import { type Shares, sharesOf } from "@/core/history/shares";
import { db } from "../db/pool";

export interface NamedShares extends Shares {
  /** By the ids of the accounts, all who are of the group or have written. */
  names: Record<string, string>;
  /** Titles of the events, by their ids. */
  titles: Record<string, string>;
}

/** Who did what in a timeline, from its whole log; null when there is no such timeline. */
export async function whoDidWhat(timeline: string): Promise<NamedShares | null> {
  const sql = db();
  const [there] = await sql`select from timeline where id = ${timeline}`;
  if (!there) return null;
  const log = await sql<{ author: string; ops: Op[]; at: Date }[]>`
    select author_id as author, ops, at from change where timeline_id = ${timeline} order by seq`;
  const shares = sharesOf(log.map((c) => ({ ...c, at: c.at.getTime() })));
  const people = await sql<{ id: string; name: string }[]>`
    select a.id, a.display_name as name from account a
    where a.id = any(${shares.people.map((p) => p.author)})
      or exists (select from editor e where e.timeline_id = ${timeline} and e.account_id = a.id)
    order by lower(a.display_name), a.id`;
  const events = await sql<{ id: string; title: string }[]>`
    select id, title from event where timeline_id = ${timeline} and title <> ''`;
  return {
    ...shares,
    names: Object.fromEntries(people.map((p) => [p.id, p.name])),
    titles: Object.fromEntries(events.map((e) => [e.id, e.title])),
  };
}

/** The same, but only what one person sees of themselves. */
export function onlyOf(shares: NamedShares, account: string): NamedShares {
  const own = <T extends { author: string }>(list: readonly T[]) => list.filter((x) => x.author === account);
  return {
    ...shares,
    people: own(shares.people),
    atOnce: own(shares.atOnce),
    stretches: own(shares.stretches),
    names: shares.names[account] ? { [account]: shares.names[account] } : {},
  };
}

/** How long each work was written on, minutes: breaks of more than half an hour do not count. */
export async function minutesOf(timelines: readonly string[]): Promise<Record<string, number>> {
  const rows = await db()<{ id: string; minutes: number }[]>`
    with gaps as (
      select timeline_id, at - lag(at) over (partition by timeline_id, author_id order by at) as gap
      from change where timeline_id = any(${[...timelines]}))
    select timeline_id as id,
      round(sum(case when gap <= interval '30 minutes' then extract(epoch from gap) else 60 end) / 60)::int as minutes
    from gaps group by timeline_id`;
  return Object.fromEntries(rows.map((r) => [r.id, r.minutes]));
}
