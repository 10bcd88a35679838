import { afterEach, describe, expect, it } from "vitest";
import { db } from "../db/pool";
import { withTestDatabase } from "../testing/test-database";
import { Alive } from "./alive";

withTestDatabase("alive");

const begun: Alive[] = [];
afterEach(async () => {
  for (const one of begun.splice(0)) await one.end();
  await db()`delete from job_runner`;
});
/** A runner with workers of these names. */
function runner(...workers: string[]): Alive {
  const one = new Alive(workers);
  begun.push(one);
  return one;
}

const runners = () => db()<{ id: number; workers: string[] }[]>`select id, workers from job_runner order by id`;
/** Who holds the lock of a runner, as a process of the database. */
const holders = () =>
  db()<{ pid: number; id: number }[]>`
    select pid, objid::int as id from pg_locks where locktype = 'advisory' and granted
      and database = (select oid from pg_database where datname = current_database()) order by objid`;
/** Cuts the connection by which a runner says that it lives, as a network would; settles when the database knows. */
async function cut(id: number): Promise<void> {
  const [held] = (await holders()).filter((h) => h.id === id);
  await db()`select pg_terminate_backend(${held!.pid})`;
  await expect.poll(async () => (await holders()).some((h) => h.pid === held!.pid)).toBe(false);
}

describe("a runner that looks", () => {
  it("is there with its lock and its workers, and gone when it ends", async () => {
    const one = runner("w1", "w2");
    await one.look();
    const [row] = await runners();
    expect(row!.workers).toEqual(["w1", "w2"]);
    expect((await holders()).map((h) => h.id)).toEqual([row!.id]);
    await one.end();
    expect(await runners()).toEqual([]);
    await expect.poll(holders).toEqual([]);
  });

  it("is one, however many of its looks are under way at once, also after its connection was cut", async () => {
    const one = runner("w1");
    await Promise.all([one.look(), one.look(), one.look()]);
    const [row, ...more] = await runners();
    expect(more).toEqual([]);
    await cut(row!.id);
    await Promise.allSettled([one.look(), one.look()]);
    await one.look();
    const after = await runners();
    expect(after).toHaveLength(1);
    expect((await holders()).map((h) => h.id)).toEqual([after[0]!.id]);
  });

  it("says which workers it has by now", async () => {
    const workers = ["w1"];
    const one = new Alive(workers);
    begun.push(one);
    await one.look();
    workers.push("w2");
    await one.look();
    expect((await runners()).map((r) => r.workers)).toEqual([["w1", "w2"]]);
  });

  it("leaves those alone that live, and takes away those that died with what their workers held", async () => {
    const [one, other] = [runner("w1"), runner("w2")];
    await one.look();
    await other.look();
    await one.look();
    expect((await runners()).map((r) => r.workers[0])).toEqual(["w1", "w2"]);
    // A job and a lane that the other's worker was at.
    await db()`select graphile_worker.add_job('thumbnail', '{}', 'lane')`;
    await db()`update graphile_worker._private_jobs set locked_by = 'w2', locked_at = now()`;
    await db()`update graphile_worker._private_job_queues set locked_by = 'w2', locked_at = now()`;
    const [, row] = await runners();
    await cut(row!.id);
    await one.look();
    expect((await runners()).map((r) => r.workers[0])).toEqual(["w1"]);
    expect(await db()`select locked_by from graphile_worker._private_jobs`).toMatchObject([{ lockedBy: null }]);
    await db()`delete from graphile_worker._private_jobs`;
  });

  it("frees what a worker of nobody has held for long, and not what it holds since a moment", async () => {
    const one = runner("w1");
    await one.look();
    await db()`select graphile_worker.add_job('thumbnail', '{}', job_key := 'old')`;
    await db()`select graphile_worker.add_job('thumbnail', '{}', job_key := 'new')`;
    await db()`update graphile_worker._private_jobs set locked_by = 'nobody', locked_at = now() - interval '1 minute' where key = 'old'`;
    await db()`update graphile_worker._private_jobs set locked_by = 'another', locked_at = now() where key = 'new'`;
    await one.look();
    const held = await db()<{ key: string; lockedBy: string | null }[]>`
      select key, locked_by from graphile_worker._private_jobs order by key`;
    expect(held.map((j) => [j.key, j.lockedBy])).toEqual([
      ["new", "another"],
      ["old", null],
    ]);
    await db()`delete from graphile_worker._private_jobs`;
  });
});
