import { afterEach, describe, expect, it } from "vitest";
import { db } from "../db/pool";
import { fail } from "../http/failure";
import { withTestDatabase } from "../testing/test-database";
import type { Kind } from "./kinds";
import { addJob, doneJob, findJob, stopJob } from "./queue";
import { type AtWork, beginRunner, type Running, type Works } from "./runner";

withTestDatabase("jobs");

const LIMIT_MS = 30_000;
let running: Running | null = null;
afterEach(async () => {
  await running?.stop();
  running = null;
  await db()`delete from graphile_worker._private_jobs`;
  await db()`delete from job`;
});

type Doing = (input: never, at: AtWork) => Promise<ReturnType<typeof fail> | null>;
/** Works of which only those that a test names do something. */
const works = (some: Partial<Record<Kind, Doing>>): Works =>
  new Proxy({} as Works, {
    get: (_, kind: Kind) => some[kind] ?? (async () => null),
    ownKeys: () => ["thumbnail", "addresses", "submission_drawing"],
    getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
  });
const begin = async (some: Partial<Record<Kind, Doing>>) => {
  running = await beginRunner(works(some), false);
};
/** A promise with its resolve beside it. */
function gate<T = void>() {
  let open!: (value: T) => void;
  const passed = new Promise<T>((resolve) => (open = resolve));
  return { passed, open };
}
const wait = (about: string) => doneJob("thumbnail", about, { timeline: about }, { limitMs: LIMIT_MS });

describe("jobs", () => {
  it("are done, told of to whoever waits, and fail with a sentence of their own", async () => {
    const done: string[] = [];
    await begin({
      thumbnail: async ({ timeline }: { timeline: string }) => {
        done.push(timeline);
        return timeline === "large" ? fail("too_slow") : null;
      },
    });
    expect(await wait("small")).toBeNull();
    expect(await wait("large")).toEqual(fail("too_slow"));
    expect(done).toEqual(["small", "large"]);
  });

  it("that were asked for in a transaction that is taken back were never asked for", async () => {
    await db()
      .begin(async (tx) => {
        await addJob(tx, "thumbnail", "t", { timeline: "t" });
        throw new Error("taken back");
      })
      .catch(() => {});
    const [left] =
      await db()`select count(*)::int as jobs, (select count(*)::int from graphile_worker.jobs) as queued from job`;
    expect(left).toEqual({ jobs: 0, queued: 0 });
  });

  it("of one lane follow each other at once, without the queue being asked again", async () => {
    running = await beginRunner(works({}), false, 10 * LIMIT_MS);
    const all = Array.from({ length: 12 }, (_, i) =>
      doneJob("thumbnail", `t${i}`, { timeline: `t${i}` }, { lane: "nia", limitMs: LIMIT_MS / 2 }),
    );
    expect(await Promise.all(all)).toEqual(all.map(() => null));
  });

  it("about the same are one while it waits, told what was said last; what runs already does not hold up the next", async () => {
    const [first, second] = [
      await addJob(db(), "thumbnail", "t", { timeline: "earlier" }),
      await addJob(db(), "thumbnail", "t", { timeline: "later" }),
    ];
    expect(second).toBe(first);
    const [began, go] = [gate<string>(), gate()];
    const seen: string[] = [];
    await begin({
      thumbnail: async ({ timeline }: { timeline: string }) => {
        seen.push(timeline);
        began.open(timeline);
        if (seen.length === 1) await go.passed;
        return null;
      },
    });
    await began.passed;
    const third = addJob(db(), "thumbnail", "t", { timeline: "anew" });
    expect(await third).not.toBe(first);
    go.open();
    expect(await wait("t")).toBeNull();
    expect(seen.slice(0, 1)).toEqual(["later"]);
  });

  it("that throw are tried again, and in the end fail by a fault", async () => {
    let tries = 0;
    await begin({
      thumbnail: async () => {
        tries += 1;
        if (tries < 2) throw new Error("the network was gone");
        return null;
      },
    });
    expect(await wait("t")).toBeNull();
    expect(tries).toBe(2);
  });

  it("say how far they are, and stop when somebody wants it", async () => {
    const [began, ended] = [gate(), gate<boolean>()];
    await begin({
      addresses: async (_: unknown, { signal, report }: AtWork) => {
        await report(3, 12);
        began.open();
        await new Promise((resolve) => signal.addEventListener("abort", resolve));
        ended.open(signal.aborted);
        return null;
      },
    });
    const id = await addJob(db(), "addresses", "t", { timeline: "t" });
    await began.passed;
    expect(await findJob(id)).toEqual({ id, state: "running", done: 3, total: 12, failed: null });
    await stopJob(id);
    expect(await ended.passed).toBe(true);
    await expect.poll(() => findJob(id).then((j) => j!.state)).toBe("stopped");
  });

  it("that wait and are stopped never begin", async () => {
    const id = await addJob(db(), "thumbnail", "t", { timeline: "t" });
    await stopJob(id);
    expect(await findJob(id)).toMatchObject({ state: "stopped" });
    const seen: string[] = [];
    await begin({
      thumbnail: async ({ timeline }: { timeline: string }) => {
        seen.push(timeline);
        return null;
      },
    });
    expect(await wait("other")).toBeNull();
    expect(seen).toEqual(["other"]);
  });

  it("of a process that died half way are begun again at once by the next", async () => {
    const id = await addJob(db(), "submission_drawing", "s", { submission: "s" });
    // As a process leaves it that was killed: the job is locked in its name, and nobody holds its own lock.
    await db()`insert into job_runner (workers) values (array['worker-of-the-dead'])`;
    await db()`update graphile_worker._private_jobs set locked_by = 'worker-of-the-dead', locked_at = now(), attempts = 1`;
    await db()`update job set state = 'running', done = 1, total = 2 where id = ${id}`;
    const again = gate<string>();
    await begin({
      submission_drawing: async ({ submission }: { submission: string }) => {
        again.open(submission);
        return null;
      },
    });
    expect(await again.passed).toBe("s");
    await expect.poll(() => findJob(id).then((j) => j!.state)).toBe("done");
    const others = await db()`select id from job_runner where workers = array['worker-of-the-dead']`;
    expect(others).toHaveLength(0);
  });

  it("are not taken from a process that lives, however long they take", async () => {
    const [began, go] = [gate(), gate()];
    let times = 0;
    const some = {
      thumbnail: async () => {
        times += 1;
        began.open();
        await go.passed;
        return null;
      },
    };
    await begin(some);
    const done = wait("t");
    await began.passed;
    await db()`update graphile_worker._private_jobs set locked_at = now() - interval '1 hour'`;
    const other = await beginRunner(works(some), false);
    // What is asked for later is done by either, so that both have looked for work since.
    const later = (about: string) => doneJob("addresses", about, { timeline: about }, { limitMs: LIMIT_MS });
    const since = await Promise.all(["u", "v"].map(later));
    go.open();
    expect(since).toEqual([null, null]);
    expect(await done).toBeNull();
    await other.stop();
    expect(times).toBe(1);
  });

  it("are locked in a name that their runner says is its own", async () => {
    const [began, go] = [gate(), gate()];
    await begin({
      thumbnail: async () => {
        began.open();
        await go.passed;
        return null;
      },
    });
    const done = wait("t");
    await began.passed;
    const said =
      await db()`select from graphile_worker._private_jobs j, job_runner r where j.locked_by = any(r.workers)`;
    go.open();
    expect(await done).toBeNull();
    expect(said).toHaveLength(1);
  });

  it("go on after the connection that says a runner lives was cut, and no other is used up", async () => {
    await begin({});
    expect(await wait("before")).toBeNull();
    /** 0 between the end of one and the next. */
    const alive = async () => (await db()<{ id: number }[]>`select id from job_runner`)[0]?.id ?? 0;
    for (let cut = 0; cut < 3; cut++) {
      const old = await alive();
      const ended = await db()`
        select pg_terminate_backend(pid) from pg_locks where locktype = 'advisory' and objid = ${old}
          and database = (select oid from pg_database where datname = current_database())`;
      expect(ended).toHaveLength(1);
      await expect.poll(alive, { timeout: 60_000 }).toBeGreaterThan(old);
    }
    expect(await wait("after")).toBeNull();
    // Every connection of the pool can still be had at once.
    const held = await Promise.all(Array.from({ length: 11 }, () => db().reserve()));
    for (const sql of held) sql.release();
  });

  it("hear that they are to stop at their next report, also where the notice was missed", async () => {
    const [began, go, ended] = [gate(), gate(), gate<boolean>()];
    await begin({
      addresses: async (_: unknown, { signal, report }: AtWork) => {
        began.open();
        await go.passed;
        await report(1, 2);
        ended.open(signal.aborted);
        return null;
      },
    });
    const id = await addJob(db(), "addresses", "t", { timeline: "t" });
    await began.passed;
    await db()`update job set stop = true where id = ${id}`;
    go.open();
    expect(await ended.passed).toBe(true);
    await expect.poll(() => findJob(id).then((j) => j!.state)).toBe("stopped");
  });

  it("that nobody does are told of as a queue that is too long", async () => {
    expect(await doneJob("thumbnail", "t", { timeline: "t" }, { limitMs: 50 })).toEqual(fail("busy"));
  });
});
