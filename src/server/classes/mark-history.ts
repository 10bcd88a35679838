import "server-only";
import { db } from "../db/pool";

/** What a mark was before it was changed after it had come back, with the reasons, the first first. */
export async function earlierMarks(
  submission: string,
): Promise<{ points: number | null; reason: string; at: string }[]> {
  const rows = await db()<{ points: string | null; reason: string; at: Date }[]>`
    select points, reason, at from mark_before where submission_id = ${submission} order by n`;
  return rows.map((r) => ({
    points: r.points === null ? null : Number(r.points),
    reason: r.reason,
    at: r.at.toISOString(),
  }));
}
