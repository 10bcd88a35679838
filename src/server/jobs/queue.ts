import "server-only";
import { db, type Sql } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { type FailureCode, FAILURES } from "@/core/words/failures";
import type { Inputs, JobState, Kind } from "./kinds";

/** What a job that fails by a fault is tried in all; what is killed half way counts as tried. */
const MOST_TRIES = 5;
/** Notices of the database are quick, and may be missed: it is asked as well. */
const ASK_AGAIN_MS = 1_000;
/** Of graphile-worker: the smaller, the sooner. */
const SOON = -10;

interface How {
  /** Who asked for it. */
  by?: string | null;
  /** Jobs of one lane are done one after another. */
  lane?: string;
  /** Somebody is waiting for it. */
  soon?: boolean;
}

/**
 * Adds a job, in the caller's transaction: what is taken back was never asked for. Where one of the same kind about the same
 * waits already, it is that one, told the newest input. Gives its number.
 */
export async function addJob<K extends Kind>(
  sql: Sql,
  kind: K,
  about: string,
  input: Inputs[K],
  how: How = {},
): Promise<number> {
  const [row] = await sql<{ id: string }[]>`
    insert into job (kind, about, input, asked_by) values (${kind}, ${about}, ${sql.json(input as never)}, ${how.by ?? null})
    on conflict (kind, about) where state = 'waiting' do update set input = excluded.input
    returning id`;
  const id = Number(row!.id);
  await sql`
    select graphile_worker.add_job(${kind}, json_build_object('job', ${id}::bigint), queue_name => ${how.lane ?? null},
      max_attempts => ${MOST_TRIES}, job_key => ${`job-${id}`}, priority => ${how.soon ? SOON : 0})`;
  return id;
}

/** How far a job is; null when there is none of that number. */
export async function findJob(id: number, sql: Sql = db()): Promise<JobState | null> {
  const [row] = await sql<JobState[]>`
    select id::int, state, done, total, failed from job where id = ${id}`;
  return row ?? null;
}

/** The last job of a kind about something. */
export async function lastJob(kind: Kind, about: string): Promise<JobState | null> {
  const [row] = await db()<JobState[]>`
    select id::int, state, done, total, failed from job where kind = ${kind} and about = ${about} order by id desc limit 1`;
  return row ?? null;
}

/** Stops a job: one that waits is not begun, one that runs is told to end. Stopping what has ended does nothing. */
export async function stopJob(id: number, sql: Sql = db()): Promise<void> {
  const [row] = await sql<{ state: JobState["state"] }[]>`
    update job set stop = true, state = case when state = 'waiting' then 'stopped' else state end,
      ended_at = case when state = 'waiting' then now() end
    where id = ${id} and state in ('waiting', 'running') returning state`;
  if (!row) return;
  if (row.state === "stopped") await sql`select graphile_worker.remove_job(${`job-${id}`})`;
  await sql`select pg_notify('fastigo_job', ${JSON.stringify({ job: id, stop: true })})`;
}

/**
 * Has something done and waits for it, up to a limit: null when it is done, else why not. What takes longer than the limit goes
 * on, so that asking again later finds it.
 */
export async function doneJob<K extends Kind>(
  kind: K,
  about: string,
  input: Inputs[K],
  how: How & { limitMs: number },
): Promise<Failure | null> {
  await hearing();
  const id = await addJob(db(), kind, about, input, { ...how, soon: true });
  const end = Date.now() + how.limitMs;
  for (;;) {
    // What ends while it is being asked for is heard of all the same.
    const ear = earFor(id);
    try {
      const state = await findJob(id);
      if (!state || state.state === "stopped") return fail("job_stopped");
      if (state.state === "done") return null;
      if (state.state === "failed") return fail(asCode(state.failed));
      const left = end - Date.now();
      if (left <= 0) return fail("busy");
      await ear.heard(Math.min(left, ASK_AGAIN_MS));
    } finally {
      ear.close();
    }
  }
}

function asCode(text: string | null): FailureCode {
  return text !== null && Object.hasOwn(FAILURES, text) ? (text as FailureCode) : "broken";
}

interface Waiting {
  /** Through which connections it is heard; another pool has ears of its own. */
  pool: Sql | null;
  ears: Promise<unknown> | null;
  for: Map<number, Set<() => void>>;
}
const holder = globalThis as { fastigoJobsWaited?: Waiting };
const waiting: Waiting = (holder.fastigoJobsWaited ??= { pool: null, ears: null, for: new Map() });

/** Hears from now on which jobs end. */
async function hearing(): Promise<void> {
  if (waiting.pool !== db()) waiting.ears = null;
  waiting.pool = db();
  waiting.ears ??= db()
    .listen("fastigo_job", (payload) => {
      const { job, ended } = JSON.parse(payload) as { job: number; ended?: true };
      if (ended) for (const wake of waiting.for.get(job) ?? []) wake();
    })
    .catch(() => {
      waiting.ears = null;
    });
  await waiting.ears;
}

/** Hears of the end of one job; `heard` waits for it, or for so long. */
function earFor(id: number): { heard: (ms: number) => Promise<void>; close: () => void } {
  const wakes = waiting.for.get(id) ?? new Set();
  waiting.for.set(id, wakes);
  let wake!: () => void;
  const told = new Promise<void>((resolve) => (wake = resolve));
  wakes.add(wake);
  return {
    heard: async (ms) => {
      let timer: ReturnType<typeof setTimeout>;
      await Promise.race([told, new Promise((resolve) => (timer = setTimeout(resolve, ms)))]);
      clearTimeout(timer!);
    },
    close: () => {
      wakes.delete(wake);
      if (wakes.size === 0) waiting.for.delete(id);
    },
  };
}
