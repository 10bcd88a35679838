import "server-only";
import { gunzipSync, gzipSync } from "node:zlib";
import { Draft } from "@/core/change/apply";
import type { Op } from "@/core/change/change";
import { fromSnapshot, type Snapshot, toSnapshot } from "@/core/formats/snapshot";
import type { ChangeMark } from "@/core/history/sittings";
import { emptyTimeline, type Timeline } from "@/core/timeline/timeline";
import { db, type Sql } from "../db/pool";

/** A state is kept after every so many changes. */
export const KEEP_EVERY = 500;
/** So many changes are read at once. */
const BATCH = 500;
const FORMAT = 1;
/** More steps of one change are counted, not looked at. */
const MOST_MARKS = 300;
/** Sittings are made from so many changes at once. */
export const MARKS_AT_ONCE = 3_000;

/**
 * A timeline as it was after a change, by replaying its log from the nearest state that is kept; null when there is no such
 * timeline, or it has not come so far. What states there should be on the way are kept.
 */
export async function stateAt(sql: Sql, id: string, seq: number): Promise<{ timeline: Timeline; seq: number } | null> {
  const [row] = await sql<{ seq: number; logEpoch: number }[]>`
    select seq, log_epoch from timeline where id = ${id} and deleted_at is null`;
  if (!row || seq > row.seq || seq < 0) return null;
  const [kept] = await sql<{ seq: number; packed: Uint8Array }[]>`
    select seq, packed from past_state where timeline_id = ${id} and seq <= ${seq} and format = ${FORMAT}
    order by seq desc limit 1`;
  const begun = kept ? fromSnapshot(JSON.parse(gunzipSync(kept.packed).toString()) as Snapshot) : emptyTimeline(id);
  let draft = new Draft(begun);
  let at = kept?.seq ?? 0;
  while (at < seq) {
    const rows = await sql<{ seq: number; ops: Op[] }[]>`
      select seq, ops from change where timeline_id = ${id} and seq > ${at} and seq <= ${Math.min(seq, at + BATCH)} order by seq`;
    if (rows.length === 0) break;
    for (const { seq: next, ops } of rows) {
      for (const op of ops) draft.step(op);
      at = next;
      if (at % KEEP_EVERY === 0) {
        await keep(sql, draft.timeline, at, row.logEpoch);
        // What is kept must not be altered by what comes after it.
        draft = new Draft(draft.timeline);
      }
    }
  }
  return { timeline: draft.timeline, seq: at };
}

async function keep(sql: Sql, timeline: Timeline, seq: number, epoch: number): Promise<void> {
  const packed = gzipSync(JSON.stringify(toSnapshot(timeline, seq)), { level: 1 });
  await sql`
    insert into past_state (timeline_id, seq, format, packed)
    select id, ${seq}, ${FORMAT}, ${packed} from timeline where id = ${timeline.id} and log_epoch = ${epoch} for share
    on conflict (timeline_id, seq) do update set format = excluded.format, packed = excluded.packed`;
}

/** What is kept of the past is thrown away: the log it was made from is altered. */
export async function forgetPast(sql: Sql, id: string): Promise<void> {
  await sql`update timeline set log_epoch = log_epoch + 1 where id = ${id}`;
  await sql`delete from past_state where timeline_id = ${id}`;
}

/** Timelines whose log has grown by more than is replayed in a moment since a state of them was kept. */
export async function withoutPast(most: number): Promise<{ id: string; seq: number }[]> {
  return db()<{ id: string; seq: number }[]>`
    select t.id, t.seq from timeline t
    where t.deleted_at is null and t.seq >= ${KEEP_EVERY} + coalesce(
      (select max(p.seq) from past_state p where p.timeline_id = t.id and p.format = ${FORMAT}), 0)
      -- What is left of one for the sake of a submission has numbers, but no log any more.
      and exists (select from change c where c.timeline_id = t.id)
    order by t.altered_at desc limit ${most}`;
}

export interface Marked {
  marks: ChangeMark[];
  names: Record<string, string>;
  /** Whether there are earlier changes than these. */
  more: boolean;
}

/**
 * The changes before a number, the latest first, as sittings are made from them. `event`: those alone that touch it or an entry of
 * its lists; `after`: those alone that came later than that.
 */
export async function changeMarks(
  id: string,
  { before, after = 0, event = null }: { before: number; after?: number; event?: string | null },
): Promise<Marked> {
  const sql = db();
  const own =
    event === null
      ? []
      : [
          event,
          ...(await sql<{ id: string }[]>`select id from item where timeline_id = ${id} and "of" = ${event}`).map(
            (r) => r.id,
          ),
        ];
  const rows = await sql<
    {
      seq: number;
      at: Date;
      author: string;
      name: string;
      steps: number;
      marks: ([string, string, string] | null)[] | null;
    }[]
  >`
    select c.seq, c.at, c.author_id as author, a.display_name as name, jsonb_array_length(c.ops) as steps,
      (select jsonb_agg(jsonb_build_array(o.op ->> 'kind', coalesce(o.op ->> 'id', o.op ->> 'of', ''), coalesce(o.op ->> 'field', '')))
        from jsonb_array_elements(c.ops) with ordinality o (op, n)
        where o.n <= ${MOST_MARKS} and (${event === null} or o.op ->> 'id' = any(${own}) or o.op ->> 'of' = any(${own}))) as marks
    from change c join account a on a.id = c.author_id
    where c.timeline_id = ${id} and c.seq < ${before} and c.seq > ${after} and c.ops <> '[]'
      and (${event === null} or exists (
        select from jsonb_array_elements(c.ops) o (op) where o.op ->> 'id' = any(${own}) or o.op ->> 'of' = any(${own})))
    order by c.seq desc limit ${MARKS_AT_ONCE}`;
  return {
    marks: rows.map((r) => {
      const marks = (r.marks ?? []).flatMap((m) => (m ? [{ kind: m[0] as Op["kind"], id: m[1], field: m[2] }] : []));
      return {
        seq: r.seq,
        at: r.at.getTime(),
        author: r.author,
        marks,
        steps: event === null ? r.steps : marks.length,
      };
    }),
    names: Object.fromEntries(rows.map((r) => [r.author, r.name])),
    more: rows.length === MARKS_AT_ONCE,
  };
}
