import "server-only";
import type { PageState } from "@/core/published/publication";
import type { Visibility } from "@/core/timeline/visibility";
import { classNameOf, schoolNameOf } from "../classes/reach";
import { db } from "../db/pool";
import { stateOf } from "./published";
import { openedOn } from "./opened";

export const DAYS_SHOWN = 30;

export interface OwnPublished {
  timeline: string;
  address: string;
  title: string;
  visibility: Visibility;
  className: string | null;
  schoolName: string | null;
  state: PageState;
  opensAt: Date | null;
  closesAt: Date | null;
  publishedAt: Date;
  zone: string;
  later: number;
  opened: number;
  /** How often on each of the last days, the first day first. */
  days: number[];
  embedSites: string[];
  copies: boolean;
}

/** Everything a person has published, of the timelines they own, the last published first. */
export async function publishedBy(account: string): Promise<OwnPublished[]> {
  const sql = db();
  const rows = await sql<(Omit<OwnPublished, "days" | "opened"> & { opened: string })[]>`
    select p.timeline_id as timeline, coalesce(p.word, p.address) as address, p.title, p.visibility, 
      ${classNameOf(sql, sql`p.class_id`)} as class_name, ${schoolNameOf(sql, sql`p.organisation_id`)} as school_name,
      p.opens_at, p.closes_at, p.published_at, p.zone, p.opened, p.embed_sites, p.copies,
      ${stateOf(sql)} as state,
      (select count(*)::int from change h where h.timeline_id = p.timeline_id and h.seq > v.seq) as later
    from shown_publication p join version v on v.id = p.version_id
    join timeline t on t.id = p.timeline_id join editor e on e.timeline_id = p.timeline_id
    where e.account_id = ${account} and e.role = 'owner' and t.deleted_at is null
    order by p.published_at desc, p.timeline_id`;
  const days = await openedOn(
    rows.map((r) => r.timeline),
    DAYS_SHOWN,
  );
  return rows.map((r) => ({ ...r, opened: Number(r.opened), days: days.get(r.timeline)! }));
}
