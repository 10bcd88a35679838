// The drawings of what was handed in, as SVG: made once, by a job or by whoever looks first, and kept beside it.
import "server-only";
import { db } from "../db/pool";

/** A work alone, or in half the width beside another. */
export type DrawnAs = "alone" | "beside";

/** What is kept of one. */
export async function storedDrawings(submission: string): Promise<Partial<Record<DrawnAs, string>>> {
  const rows = await db()<{ kind: DrawnAs; svg: string }[]>`
    select kind, svg from submission_drawing where submission_id = ${submission}`;
  return Object.fromEntries(rows.map((r) => [r.kind, r.svg]));
}

/** Keeps one, unless it is there or the submission is gone. */
export async function storeDrawing(submission: string, kind: DrawnAs, svg: string): Promise<void> {
  await db()`
    insert into submission_drawing (submission_id, kind, svg)
    select id, ${kind}, ${svg} from submission where id = ${submission} on conflict do nothing`;
}

/** Those of several, by their ids; one that is not drawn yet is missing. */
export async function drawingsIn(submissions: readonly string[], kind: DrawnAs): Promise<Record<string, string>> {
  const rows = await db()<{ id: string; svg: string }[]>`
    select submission_id as id, svg from submission_drawing where submission_id = any(${[...submissions]}) and kind = ${kind}`;
  return Object.fromEntries(rows.map((r) => [r.id, r.svg]));
}
