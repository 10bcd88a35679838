import "server-only";
import {
  Logger,
  makeWorkerUtils,
  parseCronItems,
  type Runner,
  run,
  type TaskList,
  type WorkerEvents,
} from "graphile-worker";
import { EventEmitter } from "node:events";
import type { ReservedSql } from "postgres";
import { db } from "../db/pool";
import { type Failure, isFailure } from "../http/failure";
import type { Inputs, Kind } from "./kinds";

/** What a job may do while it works. */
export interface AtWork {
  /** When it was asked for: a job that is begun again leaves alone what it did since. */
  askedAt: Date;
  /** Set when somebody wants it stopped, or the process ends. */
  signal: AbortSignal;
  /** Says how far it is. */
  report: (done: number, total: number) => Promise<void>;
}
/** What is done for each kind. A failure is expected and final; what is thrown is a fault, and tried again. */
export type Works = { [K in Kind]: (input: Inputs[K], at: AtWork) => Promise<Failure | null> };

/** When what nobody asks for is done: minute, hour, day of the month, month, day of the week. */
const REGULAR: { kind: Kind; when: string }[] = [
  { kind: "thumbnails", when: "* * * * *" },
  { kind: "prune", when: "17 * * * *" },
  { kind: "move_files", when: "*/5 * * * *" },
  { kind: "published_addresses", when: "43 3 * * *" },
];
const AT_ONCE = 4;
const POLL_MS = 2_000;
/** How often a runner looks whether others have died. */
const LOOK_MS = 5_000;
/** Locks of runners, together with the runner's number. */
const ALIVE = 7_102_028;

export interface Running {
  /** Settles when it has ended, also by itself: without a database for long, it gives up. */
  ended: Promise<void>;
  /** Ends it: what runs is told to stop, and is begun again by whoever comes next. */
  stop(): Promise<void>;
}

/** Does jobs in this process until it is stopped. Any number of processes, on any number of machines, share the work. */
export async function beginRunner(works: Works, regular = true): Promise<Running> {
  const stops = new Map<number, AbortController>();
  const ears = await db().listen("fastigo_job", (payload) => {
    const { job, stop } = JSON.parse(payload) as { job: number; stop?: true };
    if (stop) stops.get(job)?.abort();
  });
  const taskList: TaskList = {};
  for (const kind of Object.keys(works) as Kind[])
    taskList[kind] = async (payload, helpers) => {
      const asked = (payload as { job?: number }).job;
      const id = asked === undefined ? await addRegular(kind) : asked;
      const stop = new AbortController();
      stops.set(id, stop);
      try {
        await work(works, kind, id, stop, helpers.abortSignal, helpers.job.attempts >= helpers.job.max_attempts);
      } finally {
        stops.delete(id);
      }
    };
  const events: WorkerEvents = new EventEmitter();
  const workers: string[] = [];
  events.on("worker:create", ({ worker }) => workers.push(worker.workerId));
  const alive = new Alive(workers);
  await alive.look();
  const runner: Runner = await run({
    connectionString: process.env.DATABASE_URL!,
    concurrency: AT_ONCE,
    maxPoolSize: AT_ONCE + 1,
    pollInterval: POLL_MS,
    noHandleSignals: true,
    taskList,
    events,
    logger: new Logger(() => (level, message) => {
      if (level === "error") console.error(message);
    }),
    parsedCronItems: parseCronItems(
      regular ? REGULAR.map(({ kind, when }) => ({ task: kind, match: when, options: { queueName: kind } })) : [],
    ),
  });
  await alive.look();
  const timer = setInterval(() => void alive.look().catch(console.error), LOOK_MS);
  timer.unref();
  return {
    ended: runner.promise,
    stop: async () => {
      clearInterval(timer);
      await runner.stop().catch(() => {});
      await ears.unlisten().catch(() => {});
      await alive.end();
    },
  };
}

/** Removes what the queue itself keeps of jobs that are over: lanes nobody uses, and what failed for good. */
export async function cleanQueue(): Promise<void> {
  const utils = await makeWorkerUtils({ connectionString: process.env.DATABASE_URL!, maxPoolSize: 1 });
  try {
    await utils.cleanup({ tasks: ["GC_JOB_QUEUES", "DELETE_PERMAFAILED_JOBS"] });
  } finally {
    await utils.release();
  }
}

async function addRegular(kind: Kind): Promise<number> {
  const [row] = await db()<
    { id: number }[]
  >`insert into job (kind, about, input, state) values (${kind}, 'regular', '{}', 'running') returning id::int`;
  return row!.id;
}

async function work<K extends Kind>(
  works: Works,
  kind: K,
  id: number,
  stop: AbortController,
  ending: AbortSignal | undefined,
  last: boolean,
): Promise<void> {
  const sql = db();
  const [begun] = await sql<{ input: Inputs[K]; askedAt: Date }[]>`
    update job set state = 'running', begun_at = now(), done = 0, total = null
    where id = ${id} and state in ('waiting', 'running') and not stop returning input, asked_at`;
  if (!begun) return void (await end(id, "stopped", null));
  const signal = ending ? AbortSignal.any([stop.signal, ending]) : stop.signal;
  let failure: Failure | null;
  try {
    failure = await works[kind](begun.input, {
      signal,
      askedAt: begun.askedAt,
      report: async (done, total) => {
        await sql`update job set done = ${done}, total = ${total} where id = ${id}`;
      },
    });
  } catch (error) {
    if (stop.signal.aborted) return void (await end(id, "stopped", null));
    if (last || ending?.aborted) console.error(`Job ${id}, ${kind}, failed.`, error);
    if (last) await end(id, "failed", "broken");
    throw error;
  }
  if (stop.signal.aborted && !ending?.aborted) await end(id, "stopped", null);
  else if (ending?.aborted) throw new Error("The process ends; the job is begun again by another.");
  else await (isFailure(failure) ? end(id, "failed", failure.failed) : end(id, "done", null));
}

async function end(id: number, state: "done" | "failed" | "stopped", failed: string | null): Promise<void> {
  await db()`
    with over as (
      update job set state = ${state}, failed = ${failed}, ended_at = now()
      where id = ${id} and state in ('waiting', 'running') returning id)
    select pg_notify('fastigo_job', json_build_object('job', ${id}::bigint, 'ended', true)::text)`;
}

/** That this runner lives, as a lock of the database that ends with its connection; and what those who do not had begun. */
class Alive {
  private own: { sql: ReservedSql; id: number } | null = null;
  private readonly workers: readonly string[];

  constructor(workers: readonly string[]) {
    this.workers = workers;
  }

  async look(): Promise<void> {
    if (this.own) {
      try {
        const [there] = await this.own.sql`
          update job_runner set workers = ${[...this.workers]} where id = ${this.own.id} and exists (
            select from pg_locks where locktype = 'advisory' and pid = pg_backend_pid() and classid = ${ALIVE} and objid = ${this.own.id})
          returning id`;
        // The connection was lost, and the lock with it: somebody else may have taken this runner for dead.
        if (!there) await this.end();
      } catch {
        this.own = null;
      }
    }
    this.own ??= await this.begin();
    const { sql, id } = this.own;
    const others = await sql<{ id: number; workers: string[] }[]>`
      select id, workers from job_runner where id <> ${id}`;
    for (const other of others) {
      const [lock] = await sql<{ free: boolean }[]>`select pg_try_advisory_lock(${ALIVE}, ${other.id}) as free`;
      if (!lock!.free) continue;
      await sql`select graphile_worker.force_unlock_workers(${other.workers})`;
      await sql`delete from job_runner where id = ${other.id}`;
      await sql`select pg_advisory_unlock(${ALIVE}, ${other.id})`;
    }
    // Of one that died before it could say which workers are its own.
    await sql`
      select graphile_worker.force_unlock_workers(array_agg(j.locked_by)) from graphile_worker.jobs j
      where j.locked_at < now() - interval '20 seconds' and not exists (select from job_runner r where j.locked_by = any(r.workers))
      having count(*) > 0`;
  }

  async end(): Promise<void> {
    const own = this.own;
    this.own = null;
    if (!own) return;
    try {
      await own.sql`delete from job_runner where id = ${own.id}`;
      await own.sql`select pg_advisory_unlock(${ALIVE}, ${own.id})`;
    } catch {
      // gone with its connection
    } finally {
      own.sql.release();
    }
  }

  private async begin(): Promise<{ sql: ReservedSql; id: number }> {
    const sql = await db().reserve();
    const [row] = await sql<
      { id: number }[]
    >`insert into job_runner (workers) values (${[...this.workers]}) returning id`;
    await sql`select pg_advisory_lock(${ALIVE}, ${row!.id})`;
    return { sql, id: row!.id };
  }
}
