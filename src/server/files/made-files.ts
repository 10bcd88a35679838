import "server-only";
import { nanoid } from "nanoid";
import { db, type Tx } from "../db/pool";
import type { JobState } from "../jobs/kinds";

const PIECE = 1_048_576;
/** A file is there for so long, and a person has so many at a time. */
export const KEPT_HOURS = 24;
const MOST = 12;

export interface MadeFile {
  id: string;
  name: string;
  type: string;
  size: number;
  notices: string[];
  /** Null while it is being made. */
  madeAt: Date | null;
  job: JobState | null;
}

/** Begins a file that a job will write; the oldest of very many goes. Gives its id. */
export async function beginFile(
  tx: Tx,
  { account, timeline, name, type }: { account: string; timeline: string | null; name: string; type: string },
): Promise<string> {
  const id = nanoid(20);
  await tx`
    insert into made_file (id, account_id, timeline_id, name, type) values (${id}, ${account}, ${timeline}, ${name}, ${type})`;
  await tx`
    delete from made_file where account_id = ${account} and id not in
      (select id from made_file where account_id = ${account} order by at desc limit ${MOST})`;
  return id;
}

export async function setJob(tx: Tx, id: string, job: number): Promise<void> {
  await tx`update made_file set job_id = ${job} where id = ${id}`;
}

/** Writes a file as its bytes come, a piece at a time; what was written before is replaced. Nothing of it is seen before it is whole. */
export async function writeFile(
  id: string,
  chunks: AsyncIterable<Uint8Array> | Iterable<Uint8Array>,
  notices: readonly string[] = [],
): Promise<void> {
  const sql = db();
  await sql`delete from made_piece where file_id = ${id}`;
  let [n, size, held] = [0, 0, 0];
  let parts: Uint8Array[] = [];
  const flush = async () => {
    if (held === 0) return;
    const whole = Buffer.concat(parts, held);
    parts = [];
    held = 0;
    for (let at = 0; at < whole.length; at += PIECE)
      await sql`insert into made_piece (file_id, n, bytes) values (${id}, ${n++}, ${whole.subarray(at, at + PIECE)})`;
  };
  for await (const chunk of chunks) {
    parts.push(chunk);
    held += chunk.length;
    size += chunk.length;
    if (held >= PIECE) await flush();
  }
  await flush();
  await sql`
    update made_file set size = ${size}, notices = ${sql.json([...notices])}, made_at = now() where id = ${id}`;
}

/** A file of somebody's own, with how far it is; null for everybody else's. */
export async function findFile(id: string, account: string): Promise<MadeFile | null> {
  const [row] = await db()<
    (Omit<MadeFile, "job" | "size"> & {
      size: string;
      state: JobState["state"] | null;
      jobId: string | null;
      done: number;
      total: number | null;
      failed: string | null;
    })[]
  >`
    select f.id, f.name, f.type, f.size, f.notices, f.made_at, f.job_id, j.state, j.done, j.total, j.failed
    from made_file f left join job j on j.id = f.job_id where f.id = ${id} and f.account_id = ${account}`;
  if (!row) return null;
  const { state, jobId, done, total, failed, ...file } = row;
  return {
    ...file,
    size: Number(file.size),
    job: state && jobId ? { id: Number(jobId), state, done, total, failed } : null,
  };
}

/** Its bytes, as the reader takes them. */
export function streamFile(id: string): ReadableStream<Uint8Array> {
  let n = 0;
  return new ReadableStream<Uint8Array>({
    async pull(controller) {
      const [row] = await db()<
        { bytes: Uint8Array }[]
      >`select bytes from made_piece where file_id = ${id} and n = ${n++}`;
      if (!row) controller.close();
      else controller.enqueue(new Uint8Array(row.bytes));
    },
  });
}

export async function removeFile(id: string, account: string): Promise<void> {
  await db()`delete from made_file where id = ${id} and account_id = ${account}`;
}

/** Removes what has been there for its time. */
export async function forgetFiles(now: Date): Promise<void> {
  await db()`delete from made_file where at < ${new Date(now.getTime() - KEPT_HOURS * 3_600_000)}`;
}
