import "server-only";
import { db } from "../db/pool";

const FLUSH_MS = 2_000;
const holder = globalThis as { fastigoOpened?: Map<string, number>; fastigoOpenedTimer?: NodeJS.Timeout | null };

/**
 * Counts that a published page was opened. Nothing is kept about who, and nobody waits for it: what was counted in two seconds is
 * written in one go.
 */
export function countOpened(timeline: string): void {
  holder.fastigoOpened ??= new Map();
  holder.fastigoOpened.set(timeline, (holder.fastigoOpened.get(timeline) ?? 0) + 1);
  holder.fastigoOpenedTimer ??= setTimeout(() => void writeOpened(), FLUSH_MS);
  holder.fastigoOpenedTimer.unref?.();
}

/** Writes what was counted. What cannot be written is counted again next time. */
export async function writeOpened(): Promise<void> {
  const counted = [...(holder.fastigoOpened ?? [])];
  holder.fastigoOpened = new Map();
  if (holder.fastigoOpenedTimer) clearTimeout(holder.fastigoOpenedTimer);
  holder.fastigoOpenedTimer = null;
  if (counted.length === 0) return;
  try {
    const rows = counted.map(([timeline, count]) => ({ timeline_id: timeline, count }));
    await db().begin(async (tx) => {
      await tx`
        insert into opened_day (timeline_id, day, count)
        select r.timeline_id, current_date, r.count from jsonb_to_recordset(${tx.json(rows)}) as r (timeline_id text, count integer)
        join timeline t on t.id = r.timeline_id order by r.timeline_id
        on conflict (timeline_id, day) do update set count = opened_day.count + excluded.count`;
      await tx`
        update publication p set opened = p.opened + r.count
        from jsonb_to_recordset(${tx.json(rows)}) as r (timeline_id text, count integer) where p.timeline_id = r.timeline_id`;
    });
  } catch (error) {
    console.error("Openings could not be counted just now.", error);
  }
}

/** How often a page was opened on each of the last days, the first day first; days without any are 0. */
export async function openedOn(timelines: readonly string[], days: number): Promise<Map<string, number[]>> {
  const rows = await db()<{ timelineId: string; ago: number; count: number }[]>`
    select timeline_id, current_date - day as ago, count from opened_day
    where timeline_id = any(${[...timelines]}) and day > current_date - ${days}::int`;
  const found = new Map(timelines.map((t) => [t, new Array<number>(days).fill(0)]));
  for (const r of rows) found.get(r.timelineId)![days - 1 - r.ago] = r.count;
  return found;
}
