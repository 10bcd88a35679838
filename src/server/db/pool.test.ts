import { buffer } from "node:stream/consumers";
import postgres from "postgres";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { withTestDatabase } from "../testing/test-database";

withTestDatabase("pool");

const open = (more = {}) =>
  postgres(process.env.DATABASE_URL!, { max: 1, connect_timeout: 5, backoff: () => 0.05, onnotice: () => {}, ...more });

/**
 * Ends the connections of a pool as PostgreSQL does when it is stopped, once one of them is at such a point. What a connection asks for
 * itself when it begins, the kinds of lists there are, is no such point.
 */
async function end(name: string, when: "active" | "idle in transaction"): Promise<void> {
  const admin = open();
  const there = async () =>
    (
      await admin`
        select pid from pg_stat_activity where application_name = ${name} and state = ${when} and query not ilike 'begin%'
          and query not like '%pg_catalog.pg_type%'`
    ).length;
  await expect.poll(there, { timeout: 30_000 }).toBe(1);
  await admin`select pg_terminate_backend(pid, 10000) from pg_stat_activity where application_name = ${name}`;
  await admin.end();
}

/** A promise with its resolve beside it. */
function gate() {
  let open!: () => void;
  const passed = new Promise<void>((resolve) => (open = resolve));
  return { passed, open };
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
    [
      "while a question is being answered",
      "active",
      (tx: postgres.TransactionSql, _: Promise<void>) => tx`select pg_sleep(60)`,
    ],
    [
      "between two questions",
      "idle in transaction",
      async (tx: postgres.TransactionSql, go: Promise<void>) => {
        await tx`select 1`;
        await go;
        await tx`select 2`;
      },
    ],
    [
      "and only what it ends with was left to do",
      "idle in transaction",
      async (tx: postgres.TransactionSql, go: Promise<void>) => {
        await tx`select 1`;
        await go;
      },
    ],
  ] as const)("in a transaction, %s: it is refused, and the next one is done at once", async (_, when, work) => {
    const go = gate();
    const lost = sql
      .begin((tx) => work(tx, go.passed) as Promise<unknown>)
      .then(
        () => "done",
        () => "refused",
      );
    await end("lost", when);
    go.open();
    expect(await lost).toBe("refused");
    for (let n = 0; n < 4; n++) {
      const ms = await took(() => sql.begin((tx) => tx`select 1`));
      expect(ms).toBeLessThan(COSTS_NOTHING_MS);
    }
    expect(faults).toEqual([]);
  });

  it("does nothing more on a connection that serves somebody else by then", async () => {
    await sql`create table if not exists written (n int)`;
    const [lost, begun, over] = [gate(), gate(), gate()];
    const first = sql.begin(async (tx) => {
      await tx`select 1`;
      await lost.passed;
      await tx`insert into written values (1)`;
    });
    const told = expect(first).rejects.toThrow("CONNECTION_CLOSED");
    const second = sql.begin(async (tx) => {
      await tx`insert into written values (2)`;
      begun.open();
      await over.passed;
      await tx`insert into written values (3)`;
    });
    await end("lost", "idle in transaction");
    await begun.passed;
    lost.open();
    await told;
    over.open();
    await second;
    expect((await sql<{ n: number }[]>`select n from written order by n`).map((r) => r.n)).toEqual([2, 3]);
    expect(faults).toEqual([]);
  });
});

describe("what is copied out", () => {
  const copied = async (sql: postgres.Sql, length: number) =>
    buffer(await sql.unsafe(`copy (select repeat('a', ${length})) to stdout`).readable());

  it.each([3, 20_000, 2_000_000])("%i letters, and the connection answers the next question", async (length) => {
    const sql = open();
    for (let n = 0; n < 3; n++) {
      expect((await copied(sql, length)).toString()).toBe(`${"a".repeat(length)}\n`);
      expect((await sql`select ${n}::int as n`)[0]!.n).toBe(n);
    }
    await sql.end();
  });

  it("fails where the connection is lost meanwhile, and the next is done at once", async () => {
    const sql = open({ connection: { application_name: "copied" } });
    // The first line is more than the server keeps to itself.
    const lines = "select repeat('a', 100000), pg_sleep((n - 1) * 60) from generate_series(1, 2) n";
    const lost = buffer(await sql.unsafe(`copy (${lines}) to stdout`).readable()).then(
      () => "done",
      () => "failed",
    );
    await end("copied", "active");
    expect(await lost).toBe("failed");
    expect((await copied(sql, 3)).toString()).toBe("aaa\n");
    await sql.end();
  });
});
