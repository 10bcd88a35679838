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
import { db } from "../db/pool";
import { type Failure, isFailure } from "../http/failure";
import { Alive } from "./alive";
import { ADDRESS_LANES, type Inputs, type Kind, TIDYING } from "./kinds";

/** What a job may do while it works. */
export interface AtWork {
  /** When it was asked for: a job that is begun again leaves alone what it did since. */
  askedAt: Date;
  /** Its number. */
  job: number;
  /** Set when somebody wants it stopped, or the process ends. */
  signal: AbortSignal;
  /** Says how far it is. */
  report: (done: number, total: number) => Promise<void>;
}
/** What is done for each kind. A failure is expected and final; what is thrown is a fault, and tried again. */
export type Works = { [K in Kind]: (input: Inputs[K], at: AtWork) => Promise<Failure | null> };

/** When what nobody asks for is done: minute, hour, day of the month, month, day of the week. */
const REGULAR: { kind: Kind; when: string; lane: string }[] = [
  { kind: "thumbnails", when: "* * * * *", lane: "thumbnails" },
  { kind: "past_states", when: "* * * * *", lane: "past_states" },
  { kind: "held_marks", when: "* * * * *", lane: "held_marks" },
  { kind: "digests", when: "*/10 * * * *", lane: "digests" },
  { kind: "prune", when: "17 * * * *", lane: TIDYING },
  { kind: "move_files", when: "*/5 * * * *", lane: TIDYING },
  { kind: "published_addresses", when: "43 3 * * *", lane: ADDRESS_LANES[0] },
];
/** More than the lanes of slow jobs together, so that what somebody waits for is never behind them all. */
const AT_ONCE = 5;
const POLL_MS = 2_000;
/** How often a runner looks whether others have died. */
const LOOK_MS = 5_000;

export interface Running {
  /** Settles when it has ended, also by itself: without a database for long, it gives up. */
  ended: Promise<void>;
  /** Ends it: what runs is told to stop, and is begun again by whoever comes next. */
  stop(): Promise<void>;
}

/**
 * Does jobs in this process until it is stopped. Any number of processes, on any number of machines, share the work. `pollMs`: how
 * often it asks for what it was not told of.
 */
export async function beginRunner(works: Works, regular = true, pollMs = POLL_MS): Promise<Running> {
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
  // Jobs are locked in the name of the pool, not of the worker that does them.
  const holders: string[] = [];
  events.on("pool:create", ({ workerPool }) => holders.push(workerPool.id));
  const alive = new Alive(holders);
  const giveUp = async () => {
    await ears.unlisten().catch(() => {});
    await alive.end();
  };
  const begun = async (): Promise<Runner> => {
    await alive.look();
    const runner = await run({
      connectionString: process.env.DATABASE_URL!,
      concurrency: AT_ONCE,
      maxPoolSize: AT_ONCE + 1,
      pollInterval: pollMs,
      noHandleSignals: true,
      taskList,
      events,
      logger: new Logger(() => (level, message) => {
        if (level === "error") console.error(message);
      }),
      parsedCronItems: parseCronItems(
        // What fails comes again by itself.
        regular
          ? REGULAR.map(({ kind, when, lane }) => ({
              task: kind,
              match: when,
              options: { queueName: lane, maxAttempts: 1 },
            }))
          : [],
      ),
    });
    await alive.look();
    return runner;
  };
  const runner = await begun().catch(async (error: unknown) => {
    await giveUp();
    throw error;
  });
  const timer = setInterval(() => void alive.look().catch(console.error), LOOK_MS);
  timer.unref();
  return {
    ended: runner.promise,
    stop: async () => {
      clearInterval(timer);
      await runner.stop().catch(() => {});
      await giveUp();
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
      job: id,
      report: async (done, total) => {
        const [row] = await sql<{ stop: boolean }[]>`
          update job set done = ${done}, total = ${total} where id = ${id} returning stop`;
        // A notice may be missed.
        if (row?.stop) stop.abort();
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
