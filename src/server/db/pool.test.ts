import { setTimeout as rest } from "node:timers/promises";
import postgres from "postgres";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { withTestDatabase } from "../testing/test-database";

withTestDatabase("pool");

const open = (more = {}) =>
  postgres(process.env.DATABASE_URL!, { max: 1, connect_timeout: 5, backoff: () => 0.05, onnotice: () => {}, ...more });

/** Ends the connections of a pool as PostgreSQL does when it is stopped. */
async function end(name: string): Promise<void> {
  const admin = open();
  await admin`select pg_terminate_backend(pid) from pg_stat_activity where application_name = ${name}`;
  await admin.end();
}

/** The time something takes, ms. */
async function took(run: () => Promise<unknown>): Promise<number> {
  const begun = performance.now();
  await run();
  return performance.now() - begun;
}

describe("a pool whose connection was lost", () => {
  let sql: postgres.Sql;
  let faults: unknown[];
  const note = (error: unknown) => void faults.push(error);
  beforeEach(() => {
    faults = [];
    sql = open({ connection: { application_name: "lost" } });
    process.on("uncaughtException", note);
  });
  afterEach(async () => {
    process.off("uncaughtException", note);
    await sql.end({ timeout: 1 });
  });

  const COSTS_NOTHING_MS = 3_000;

  it.each([
    ["while a question is being answered", (tx: postgres.TransactionSql) => tx`select pg_sleep(20)`],
    [
      "between two questions",
      async (tx: postgres.TransactionSql) => {
        await tx`select 1`;
        await rest(400);
        await tx`select 2`;
      },
    ],
    [
      "and only what it ends with was left to do",
      async (tx: postgres.TransactionSql) => {
        await tx`select 1`;
        await rest(400);
      },
    ],
  ])("in a transaction, %s: it is refused, and the next one is done at once", async (_, work) => {
    const lost = sql.begin(work as never).then(
      () => "done",
      () => "refused",
    );
    await rest(150);
    await end("lost");
    expect(await lost).toBe("refused");
    for (let n = 0; n < 4; n++) {
      const ms = await took(() => sql.begin((tx) => tx`select 1`));
      expect(ms).toBeLessThan(COSTS_NOTHING_MS);
    }
    expect(faults).toEqual([]);
  });

  it("does nothing more on a connection that serves somebody else by then", async () => {
    await sql`create table if not exists written (n int)`;
    const first = sql.begin(async (tx) => {
      await tx`select 1`;
      await rest(900);
      await tx`insert into written values (1)`;
    });
    const told = expect(first).rejects.toThrow("CONNECTION_CLOSED");
    await rest(150);
    const second = sql.begin(async (tx) => {
      await tx`insert into written values (2)`;
      await rest(1_200);
      await tx`insert into written values (3)`;
    });
    await end("lost");
    await told;
    await second;
    expect((await sql<{ n: number }[]>`select n from written order by n`).map((r) => r.n)).toEqual([2, 3]);
    expect(faults).toEqual([]);
  });
});
