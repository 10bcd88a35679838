import "server-only";
import { db } from "./db/pool";
import { closeAllStreams } from "./live/hub";
import { tidy } from "./tidy";

const HOUR_MS = 3_600_000;

const TIDYING = 7_102_027;

/** Does something unless another process is at it: the database knows, whichever machine that is on. */
async function alone(run: () => Promise<unknown>): Promise<void> {
  const own = await db().reserve();
  try {
    const [lock] = await own<{ mine: boolean }[]>`select pg_try_advisory_lock(${TIDYING}) as mine`;
    if (!lock!.mine) return;
    try {
      await run();
    } finally {
      await own`select pg_advisory_unlock(${TIDYING})`;
    }
  } finally {
    own.release();
  }
}

/** Ends open streams when the process is told to stop, and tidies up once an hour. */
export function begin(): void {
  for (const signal of ["SIGTERM", "SIGINT"] as const) process.on(signal, closeAllStreams);
  const run = () =>
    alone(() => tidy(process.env.FASTIGO_BUILD ?? "unknown")).catch((error: unknown) =>
      console.error("Tidying up failed; it is tried again in an hour.", error),
    );
  void run();
  setInterval(run, HOUR_MS).unref();
}
