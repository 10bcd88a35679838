import "server-only";
import { WORDS as COMMON } from "@/core/words/common";
import postgres from "postgres";
import { CATEGORY, EVENT, type Field, ITEM, SOURCE, TIMELINE } from "@/core/timeline/fields";
import type { Visibility } from "@/core/timeline/visibility";
import type { ConfirmedChange } from "@/core/change/change";
import { whenInRange } from "@/core/time/range";
import type { Category, Item, Source, Timeline, TimelineEvent } from "@/core/timeline/timeline";
import { rowsOf } from "@/core/timeline/order";
import { db, type Sql } from "../db/pool";
import type { Role } from "./access";

export interface Editor {
  id: string;
  displayName: string;
  role: Role;
}

/**
 * An answer holds so many bytes and so many changes, but always one whole change; the rest is asked for with the next number, or
 * the timeline as it stands is: what an answer costs does not grow with the log.
 */
const MOST_ANSWER = 2_000_000;
export const MOST_CHANGES = 200;

/** The confirmed changes after a number, in their order, as many as one answer holds. */
export async function changesAfter(sql: Sql, timeline: string, seq: number): Promise<ConfirmedChange[]> {
  const rows = await sql<(Omit<ConfirmedChange, "at" | "author"> & { at: Date; authorId: string })[]>`
    select id, author_id, base, ops, seq, at from change
    where timeline_id = ${timeline} and seq > ${seq} and seq <= (
      select coalesce(max(seq) filter (where before < ${MOST_ANSWER}), ${seq}) from (
        select seq, sum(bytes) over (order by seq) - bytes as before from (
          select seq, octet_length(ops::text) as bytes from change
          where timeline_id = ${timeline} and seq > ${seq} order by seq limit ${MOST_CHANGES}) sizes) sums)
    order by seq`;
  return rows.map(({ authorId, at, ...r }) => ({ ...r, author: authorId, at: at.toISOString() }));
}

/** The number of the last confirmed change. */
export async function lastSeq(timeline: string): Promise<number> {
  const [row] = await db()<{ seq: number }[]>`select seq from timeline where id = ${timeline}`;
  return row?.seq ?? 0;
}

/** Its title as it stands; "" for none. */
export async function titleOf(timeline: string): Promise<string> {
  const [row] = await db()<{ title: string }[]>`select title from timeline where id = ${timeline}`;
  return row?.title ?? "";
}

/** Who may edit. */
export async function editorsOf(sql: Sql, timeline: string): Promise<Editor[]> {
  return sql<Editor[]>`
    select a.id, a.display_name, e.role from editor e join account a on a.id = e.account_id
    where e.timeline_id = ${timeline} order by e.joined_at, a.id`;
}

/** A timeline as it stands, with the number of its last change, read at one moment; null when it is gone. */
export async function findTimeline(id: string): Promise<{ timeline: Timeline; seq: number } | null> {
  return db().begin("isolation level repeatable read read only", (tx) => readTimeline(tx, id));
}

type Fields = Omit<Timeline, "events" | "categories" | "items" | "sources">;

/** A timeline's own fields and the number of its last change. */
export async function readFields(tx: Sql, id: string): Promise<{ fields: Fields; seq: number } | null> {
  const [row] = await tx<(Fields & { seq: number })[]>`
    select ${tx.unsafe(columnsOf(TIMELINE))}, introduction, closing, seq from timeline where id = ${id} and deleted_at is null`;
  if (!row) return null;
  const { seq, ...fields } = row;
  return {
    seq,
    fields: {
      ...fields,
      period: whenInRange(fields.period),
      timesOn: fields.timesOn && whenInRange(fields.timesOn),
      introduction: new Uint8Array(row.introduction),
      closing: new Uint8Array(row.closing),
    },
  };
}

/** The columns of a record, as SQL: its id and its fields, which the table names. */
function columnsOf(table: Record<string, Field<unknown>>): string {
  return ["id", ...Object.keys(table).map((f) => postgres.fromCamel(f))].map((c) => `"${c}"`).join(", ");
}

export const EVENT_COLUMNS = `${columnsOf(EVENT)}, description, deleted`;
export const CATEGORY_COLUMNS = `${columnsOf(CATEGORY)}, deleted`;
export const ITEM_COLUMNS = `${columnsOf(ITEM)}, deleted`;
export const SOURCE_COLUMNS = `${columnsOf(SOURCE)}, deleted`;

export const sourceOf = (row: Source): Source => ({ ...row, date: whenInRange(row.date) });

export async function readTimeline(tx: Sql, id: string): Promise<{ timeline: Timeline; seq: number } | null> {
  const read = await readFields(tx, id);
  if (!read) return null;
  const events = await tx<TimelineEvent[]>`
    select ${tx.unsafe(EVENT_COLUMNS)} from event where timeline_id = ${id} order by id`;
  const categories = await tx<Category[]>`
    select ${tx.unsafe(CATEGORY_COLUMNS)} from category where timeline_id = ${id} order by id`;
  const items = await tx<Item[]>`
    select ${tx.unsafe(ITEM_COLUMNS)} from item where timeline_id = ${id} order by id`;
  const sources = await tx<Source[]>`
    select ${tx.unsafe(SOURCE_COLUMNS)} from source where timeline_id = ${id} order by id`;
  return {
    seq: read.seq,
    timeline: {
      ...read.fields,
      events: new Map(
        events.map((e) => [e.id, { ...e, when: whenInRange(e.when), description: new Uint8Array(e.description) }]),
      ),
      categories: new Map(categories.map((c) => [c.id, { ...c }])),
      items: new Map(items.map((i) => [i.id, { ...i }])),
      sources: new Map(sources.map((s) => [s.id, sourceOf(s)])),
    },
  };
}

export interface TimelineCard {
  id: string;
  title: string;
  subject: string;
  role: Role;
  /** The person's own folder for it; "" for none. */
  folder: string;
  /** How many changes of others came since they were in its editor, and whose. */
  news: number;
  newsBy: string[];
  /** Comments of others they have not read. */
  unread: number;
  /** Events that others have sent in and nobody has looked at. */
  sentIn: number;
  events: number;
  others: string[];
  alteredAt: Date;
  visibility: Visibility | null;
  address: string | null;
  takenBackAt: Date | null;
  /** The chart in small as it was drawn last; null where it cannot be drawn; missing where it has changed since. */
  thumbnail?: string | null;
}

/** The events and chapters of a timeline in the order of its rows, with their titles. */
export async function eventTitles(timeline: string): Promise<{ id: string; title: string }[]> {
  const found = await findTimeline(timeline);
  return rowsOf(found?.timeline.events ?? new Map()).map((e) => ({ id: e.id, title: e.title || COMMON.untitled }));
}

/** Everything a person may edit, the last altered first. */
export async function timelinesOf(account: string, build: string): Promise<TimelineCard[]> {
  const rows = await db()<(TimelineCard & { drawn: boolean; svg: string | null })[]>`
    select h.timeline_id is not null as drawn, h.svg, t.id, t.title, t.subject, mine.role, mine.folder, t.altered_at,
      (select count(*)::int from event v where v.timeline_id = t.id and not v.deleted and not v.chapter) as events,
      n.news, n.news_by,
      (select count(*)::int from comment c where c.timeline_id = t.id and c.account_id <> ${account}
        and c.at > coalesce((select s.at from comment_seen s where s.timeline_id = t.id and s.account_id = ${account}), mine.joined_at)) as unread,
      (select count(*)::int from sent_event v where v.timeline_id = t.id) as sent_in,
      coalesce((select array_agg(a.display_name order by e.joined_at) from editor e join account a on a.id = e.account_id
        where e.timeline_id = t.id and e.account_id <> ${account}), '{}') as others,
      p.visibility, p.address, p.taken_back_at
    from editor mine join timeline t on t.id = mine.timeline_id
    left join shown_publication p on p.timeline_id = t.id
    left join thumbnail h on h.timeline_id = t.id and h.seq = t.seq and h.build = ${build}
    left join lateral (
      select count(*)::int as news, coalesce(array_agg(distinct a.display_name), '{}') as news_by
      from change c join account a on a.id = c.author_id
      where c.timeline_id = t.id and c.seq > mine.seen and c.author_id <> ${account}) n on true
    where mine.account_id = ${account} and t.deleted_at is null
    order by t.altered_at desc, t.id`;
  return rows.map(({ drawn, svg, ...card }) => (drawn ? { ...card, thumbnail: svg } : card));
}

/** Id and title of every timeline a person may edit, the last altered first. */
export async function titlesOf(account: string): Promise<{ id: string; title: string }[]> {
  return db()<{ id: string; title: string }[]>`
    select t.id, t.title from editor e join timeline t on t.id = e.timeline_id
    where e.account_id = ${account} and t.deleted_at is null order by t.altered_at desc, t.id`;
}

/** What others changed since a person was in its editor last; null where nothing was, or they were never there. */
export async function newsFor(
  timeline: string,
  account: string,
): Promise<{ since: number; changes: number; by: string[] } | null> {
  const [row] = await db()<{ since: number; changes: number; by: string[] }[]>`
    select e.seen as since, count(c.seq)::int as changes, coalesce(array_agg(distinct a.display_name), '{}') as by
    from editor e join change c on c.timeline_id = e.timeline_id and c.seq > e.seen and c.author_id <> e.account_id
    join account a on a.id = c.author_id
    where e.timeline_id = ${timeline} and e.account_id = ${account} and e.seen > 0 group by e.seen`;
  return row ?? null;
}

/** That a person has seen a timeline up to a change. */
export async function markSeen(timeline: string, account: string, seq: number): Promise<void> {
  await db()`
    update editor set seen = ${seq} where timeline_id = ${timeline} and account_id = ${account} and seen < ${seq}`;
}

/** Puts a timeline into a folder of a person's own; "" for none. */
export async function putIntoFolder(timeline: string, account: string, folder: string): Promise<void> {
  await db()`update editor set folder = ${folder} where timeline_id = ${timeline} and account_id = ${account}`;
}

/** Which account added which event, as pairs. */
export async function writersOf(timeline: string): Promise<[string, string][]> {
  const rows = await db()<{ event: string; author: string }[]>`
    select o.op ->> 'id' as event, c.author_id as author from change c, jsonb_array_elements(c.ops) o (op)
    where c.timeline_id = ${timeline} and o.op ->> 'kind' = 'add_event'`;
  return rows.map((r) => [r.event, r.author]);
}

/** The chart in small as it was drawn last; null where it cannot be drawn; undefined where it never was. */
export async function findThumbnail(timeline: string): Promise<string | null | undefined> {
  const [row] = await db()<{ svg: string | null }[]>`select svg from thumbnail where timeline_id = ${timeline}`;
  return row?.svg;
}

/** Whether the chart in small is drawn as the timeline stands now. */
export async function hasThumbnail(timeline: string, build: string): Promise<boolean> {
  const [row] = await db()`
    select from thumbnail h join timeline t on t.id = h.timeline_id and t.seq = h.seq
    where h.timeline_id = ${timeline} and h.build = ${build}`;
  return row !== undefined;
}

export interface HistoryRow {
  seq: number;
  at: Date;
  author: string;
  /** The first steps, without what was written in descriptions. */
  ops: ConfirmedChange["ops"];
  was: ({ value?: unknown; skipped?: string } | null)[];
  /** How many steps there are in all. */
  steps: number;
}

/**
 * Changes with what each replaced, newest first: those from `after` (not counted) to `before` (not counted), `author`'s alone where
 * one is named. Of each the first steps, `steps` of them, from the `from`th on.
 */
export async function historyOf(
  timeline: string,
  before: number,
  most: number,
  {
    after = 0,
    author = null,
    steps = 5,
    from = 0,
  }: { after?: number; author?: string | null; steps?: number; from?: number } = {},
): Promise<HistoryRow[]> {
  return db()<HistoryRow[]>`
    select c.seq, c.at, a.display_name as author, jsonb_array_length(c.ops) as steps,
      (select jsonb_agg(case when o.op ->> 'kind' = 'describe' then o.op - 'update' else o.op end order by o.n)
        from jsonb_array_elements(c.ops) with ordinality o (op, n) where o.n > ${from} and o.n <= ${from + steps}) as ops,
      (select jsonb_agg(w.was order by w.n) from jsonb_array_elements(c.was) with ordinality w (was, n)
        where w.n > ${from} and w.n <= ${from + steps}) as was
    from change c join account a on a.id = c.author_id
    where c.timeline_id = ${timeline} and c.seq < ${before} and c.seq > ${after} and c.ops <> '[]'
      and (${author}::text is null or c.author_id = ${author})
    order by c.seq desc limit ${most}`;
}

/** What editors noted, by event. */
export async function notesOf(timeline: string): Promise<Record<string, string>> {
  const rows = await db()<{ id: string; note: string }[]>`
    select id, note from event where timeline_id = ${timeline} and not deleted and note <> ''`;
  return Object.fromEntries(rows.map((r) => [r.id, r.note]));
}
