import "server-only";
import { db } from "../db/pool";
import { BIN_DAYS } from "./purge";

/** Something deleted that can still be put back. */
export interface Binned {
  /** "record": a source of the timeline; "source": where an event named one. */
  kind: "event" | "category" | "record" | "picture" | "video" | "sound" | "page" | "source" | "link";
  id: string;
  title: string;
  /** Of an entry the title of its event; "" for the timeline's own. */
  of: string;
  deletedAt: Date;
  /** Who deleted it; "" where the account has gone. */
  by: string;
}

/** More than so many are not listed. */
const MOST = 500;

/** What was deleted in a timeline and can be put back, the last first, with who did it: what lies in a deleted event goes with it. */
export async function binOf(timeline: string): Promise<Binned[]> {
  return db()<Binned[]>`
    with gone as (
      select 'event' as kind, id, title, '' as "of", deleted_at from event
      where timeline_id = ${timeline} and deleted and not purged
      union all
      select 'category', id, name, '', deleted_at from category where timeline_id = ${timeline} and deleted and not purged
      union all
      select 'record', id, coalesce(nullif(title, ''), address), '', deleted_at from source
      where timeline_id = ${timeline} and deleted and not purged
      union all
      select coalesce(i.kind, i.list), i.id, coalesce(nullif(i.text, ''), nullif(i.address, ''), s.title, ''), coalesce(e.title, ''), i.deleted_at
      from item i left join event e on e.timeline_id = i.timeline_id and e.id = i."of"
        left join source s on s.timeline_id = i.timeline_id and s.id = i.source
      where i.timeline_id = ${timeline} and i.deleted and not i.purged and not coalesce(e.deleted, false)
      order by deleted_at desc limit ${MOST})
    select g.*, coalesce((
      select a.display_name from change c join account a on a.id = c.author_id
      where c.timeline_id = ${timeline} and c.ops @> jsonb_build_array(jsonb_build_object('id', g.id, 'kind',
        case g.kind when 'event' then 'delete_event' when 'category' then 'delete_category'
          when 'record' then 'delete_source' else 'delete_item' end))
      order by c.seq desc limit 1), '') as by
    from gone g order by g.deleted_at desc, g.id`;
}

export interface BinnedTimeline {
  id: string;
  title: string;
  events: number;
  deletedAt: Date;
  /** How many days are left until it is gone for good. */
  daysLeft: number;
}

/** The timelines of a person that they deleted and can still put back, the last first. */
export async function binnedTimelines(account: string): Promise<BinnedTimeline[]> {
  return db()<BinnedTimeline[]>`
    select t.id, t.title, t.deleted_at,
      (select count(*)::int from event v where v.timeline_id = t.id and not v.deleted) as events,
      greatest(0, ceil(extract(epoch from t.deleted_at + make_interval(days => ${BIN_DAYS}) - now()) / 86400))::int as days_left
    from editor e join timeline t on t.id = e.timeline_id
    where e.account_id = ${account} and e.role = 'owner' and t.deleted_at is not null
      -- What is kept for the sake of a submission alone cannot come back.
      and (t.seq = 0 or exists (select from change c where c.timeline_id = t.id))
    order by t.deleted_at desc, t.id`;
}
