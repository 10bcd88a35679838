import "server-only";
import type { ConfirmedChange } from "@/core/change/change";
import type { Category, Item, Timeline, TimelineEvent } from "@/core/timeline/timeline";
import { db, type Sql } from "../db/pool";
import type { Role } from "./access";

export interface Editor {
  id: string;
  displayName: string;
  role: Role;
}

/** The confirmed changes after a number, in their order. */
export async function changesAfter(sql: Sql, timeline: string, seq: number): Promise<ConfirmedChange[]> {
  const rows = await sql<(Omit<ConfirmedChange, "at" | "author"> & { at: Date; authorId: string })[]>`
    select id, author_id, base, ops, seq, at from change
    where timeline_id = ${timeline} and seq > ${seq} order by seq`;
  return rows.map(({ authorId, at, ...r }) => ({ ...r, author: authorId, at: at.toISOString() }));
}

/** The number of the last confirmed change and who may edit. */
export async function editorsOf(sql: Sql, timeline: string): Promise<Editor[]> {
  return sql<Editor[]>`
    select a.id, a.display_name, e.role from editor e join account a on a.id = e.account_id
    where e.timeline_id = ${timeline} order by e.joined_at, a.id`;
}

/** A timeline as it stands, with the number of its last change, read at one moment; null when it is gone. */
export async function findTimeline(id: string): Promise<{ timeline: Timeline; seq: number } | null> {
  return db().begin("isolation level repeatable read read only", (tx) => readTimeline(tx, id));
}

export async function readTimeline(tx: Sql, id: string): Promise<{ timeline: Timeline; seq: number } | null> {
  type Row = Pick<
    Timeline,
    | "title"
    | "subject"
    | "byline"
    | "introduction"
    | "period"
    | "scale"
    | "dateOrder"
    | "dateStyle"
    | "hemisphere"
    | "margins"
    | "gridlines"
    | "lengths"
    | "today"
    | "marks"
    | "firstView"
  > & {
    seq: number;
  };
  const [row] = await tx<Row[]>`
    select title, subject, byline, introduction, period, scale, date_order, date_style, hemisphere, margins, gridlines, marks, lengths, today, first_view, seq from timeline where id = ${id} and deleted_at is null`;
  if (!row) return null;
  const events = await tx<TimelineEvent[]>`
    select id, title, short_title, "when", category, part_of, emphasis, sign, spot, close_up, done, by_hand, description, given, locked, deleted from event where timeline_id = ${id} order by id`;
  const categories = await tx<Category[]>`
    select id, name, colour, pattern, place, deleted from category where timeline_id = ${id} order by id`;
  const items = await tx<Item[]>`
    select id, "of", list, place, media, kind, width, height, text, credit, licence, address, found_on, deleted from item where timeline_id = ${id} order by id`;
  const { seq, ...fields } = row;
  return {
    seq,
    timeline: {
      id,
      ...fields,
      introduction: new Uint8Array(row.introduction),
      events: new Map(events.map((e) => [e.id, { ...e, description: new Uint8Array(e.description) }])),
      categories: new Map(categories.map((c) => [c.id, { ...c }])),
      items: new Map(items.map((i) => [i.id, { ...i }])),
    },
  };
}

export interface TimelineCard {
  id: string;
  title: string;
  role: Role;
  events: number;
  others: string[];
  alteredAt: Date;
  visibility: "only_me" | "class" | "link" | "everybody" | null;
  address: string | null;
  takenBackAt: Date | null;
}

/** Everything a person may edit, the last altered first. */
export async function timelinesOf(account: string): Promise<TimelineCard[]> {
  return db()<TimelineCard[]>`
    select t.id, t.title, mine.role, t.altered_at,
      (select count(*)::int from event v where v.timeline_id = t.id and not v.deleted) as events,
      coalesce((select array_agg(a.display_name order by e.joined_at) from editor e join account a on a.id = e.account_id
        where e.timeline_id = t.id and e.account_id <> ${account}), '{}') as others,
      p.visibility, p.address, p.taken_back_at
    from editor mine join timeline t on t.id = mine.timeline_id
    left join publication p on p.timeline_id = t.id
    where mine.account_id = ${account} and t.deleted_at is null
    order by t.altered_at desc, t.id`;
}

export interface HistoryRow {
  seq: number;
  at: Date;
  author: string;
  ops: ConfirmedChange["ops"];
  was: ({ value?: unknown; skipped?: string } | null)[];
}

/** The last changes with what each replaced, newest first; `before` pages on. */
export async function historyOf(timeline: string, before: number, most: number): Promise<HistoryRow[]> {
  return db()<HistoryRow[]>`
    select c.seq, c.at, a.display_name as author, c.ops, c.was
    from change c join account a on a.id = c.author_id
    where c.timeline_id = ${timeline} and c.seq < ${before} order by c.seq desc limit ${most}`;
}
