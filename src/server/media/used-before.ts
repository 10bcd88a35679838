import "server-only";
import { db } from "../db/pool";
import type { MediaKind } from "@/core/timeline/fields";

/** Something one has uploaded, wherever it is used. */
export interface UsedBefore {
  media: string;
  /** The timeline it was uploaded into. */
  timeline: string;
  timelineTitle: string;
  kind: MediaKind;
  name: string;
  width: number | null;
  height: number | null;
  uploadedAt: string;
  text: string;
  caption: string;
  credit: string;
  licence: string;
  address: string;
  /** The events that show it, by their titles; "" is the timeline itself. */
  events: string[];
}

const PAGE = 24;
/** A word that is looked for anywhere in a text, for `like`. */
const anywhere = (word: string) => `%${word.replaceAll(/[\\%_]/g, "\\$&")}%`;

/**
 * What somebody has uploaded into timelines they may edit, the newest first: all words are in its name, what is said of it, the title
 * of its timeline or of an event that shows it, or the day of its upload (YYYY-MM-DD). Parts that were cut out of a picture stand for
 * themselves only as what they are: the picture is listed once.
 */
export async function usedBefore(
  account: string,
  words: string,
  page: number,
): Promise<{ found: UsedBefore[]; more: boolean }> {
  const wanted = words.split(/\s+/).filter(Boolean).slice(0, 8).map(anywhere);
  const rows = await db()<(Omit<UsedBefore, "uploadedAt"> & { uploadedAt: Date })[]>`
    select * from (
      select distinct on (coalesce(whole.hash, m.id))
        m.id as media, m.timeline_id as timeline, t.title as timeline_title, m.kind, m.name, m.width, m.height,
        m.created_at as uploaded_at,
        coalesce(i.text, '') as text, coalesce(i.caption, '') as caption, coalesce(i.credit, '') as credit,
        coalesce(i.licence, '') as licence, coalesce(i.address, '') as address,
        coalesce(used.events, '{}') as events
      from media m
      join timeline t on t.id = m.timeline_id and t.deleted_at is null
      join editor e on e.timeline_id = t.id and e.account_id = ${account}
      left join media_file whole on whole.media_id = m.id and whole.size in ('large', 'whole')
      left join lateral (
        select text, caption, credit, licence, address from item
        where timeline_id = m.timeline_id and not deleted and (media = m.id or cut ->> 'of' = m.id)
        order by (credit <> '') desc, id limit 1) i on true
      left join lateral (
        select array_agg(distinct coalesce(ev.title, '')) as events from item x left join event ev
          on ev.timeline_id = x.timeline_id and ev.id = x.of and not ev.deleted
        where x.timeline_id = m.timeline_id and not x.deleted and (x.media = m.id or x.cut ->> 'of' = m.id)
          and (x.of = 'timeline' or ev.id is not null)) used on true
      where m.created_by = ${account} and m.made_of is null and not m.put_away
        and (m.name || ' ' || t.title || ' ' || to_char(m.created_at, 'YYYY-MM-DD') || ' ' || coalesce(i.text, '') || ' '
          || coalesce(i.caption, '') || ' ' || coalesce(i.credit, '') || ' ' || array_to_string(coalesce(used.events, '{}'), ' '))
          ilike all (${wanted.length > 0 ? wanted : ["%"]})
      order by coalesce(whole.hash, m.id), m.created_at desc) once
    order by uploaded_at desc, media
    offset ${page * PAGE} limit ${PAGE + 1}`;
  return {
    found: rows.slice(0, PAGE).map((r) => ({ ...r, uploadedAt: r.uploadedAt.toISOString() })),
    more: rows.length > PAGE,
  };
}
