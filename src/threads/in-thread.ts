import "server-only";
import { language } from "@/core/language/spoken";
import { join } from "node:path";
import { Piscina } from "piscina";
import { type Failure, isFailure } from "@/server/http/failure";
import type * as deeds from "./deeds";
import { Lane } from "@/server/lane";

type Deeds = typeof deeds;
type Result<K extends keyof Deeds> = Awaited<ReturnType<Deeds[K]>>;

/** Changes have threads of their own: typing never waits for a drawing. */
const THREADS = { changes: 2, reading: 2, drawings: 2 } as const;
const MOST_WAITING = 400;
const MOST_MEMORY_MB = 700;
/**
 * Of that, for what is thrown away at once. The process has much room for it from its start (`scripts/lib/memory.mjs`), because it answers
 * everybody; six threads with as much each would take 200 MB of a school's machine and be none the quicker.
 */
const MOST_YOUNG_MB = 12;

type Pools = Record<keyof typeof THREADS, { lane: Lane; pool: Piscina }>;
const holder = globalThis as { fastigoThreads?: Pools };

function pools(): Pools {
  return (holder.fastigoThreads ??= {
    changes: made(THREADS.changes, 1),
    reading: made(THREADS.reading, 1),
    drawings: made(THREADS.drawings, 0),
  });
}

function made(threads: number, least: number): Pools["changes"] {
  const pool = new Piscina({
    filename: join(process.env.FASTIGO_ROOT ?? process.cwd(), "dist", "work.mjs"),
    minThreads: least,
    maxThreads: threads,
    idleTimeout: 60_000,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB, maxYoungGenerationSizeMb: MOST_YOUNG_MB },
  });
  pool.on("error", (error) => console.error("A thread ended.", error));
  return { lane: new Lane(threads, MOST_WAITING), pool };
}

interface How {
  /** Changes; whole documents read and checked; or drawn. */
  in: keyof Pools;
  /** Who or what may have one job at a time. */
  key: string;
  /** What is worked on; rests for a while after it has taken too long. */
  what: string;
  limitMs: number;
}

/**
 * Does a deed in a thread, under a time limit: a document that takes too long, or ends the thread, is nobody else's delay. A
 * thread that is stopped loses its connection, and PostgreSQL takes back what it had begun.
 */
export async function inThread<K extends keyof Deeds & string>(
  name: K,
  args: Parameters<Deeds[K]>[0],
  how: How,
): Promise<Result<K> | Failure> {
  const { lane, pool } = pools()[how.in];
  const done = await lane.run(
    how.key,
    how.what,
    how.limitMs,
    (signal) => pool.run({ name, args, language: language() }, { signal }) as Promise<Result<K>>,
  );
  return isFailure(done) ? done : done.ok;
}
