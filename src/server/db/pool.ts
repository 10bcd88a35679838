import "server-only";
import { isMainThread } from "node:worker_threads";
import postgres, { type Sql as AnySql, type TransactionSql } from "postgres";

/** Either the pool or one transaction of it: queries take this and do not care. */
export type Sql = AnySql | TransactionSql;
export type Tx = TransactionSql;

const holder = globalThis as { fastigoSql?: AnySql };

/** The pool, one a process. Column names are snake_case in the database and camelCase here; jsonb keys stay as they are. */
export function db(): AnySql {
  holder.fastigoSql ??= connect();
  return holder.fastigoSql;
}

function connect(): AnySql {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error("DATABASE_URL is not set. `npm start` sets it; so do the tests.");
  return postgres(url, {
    // Threads work on one thing at a time; several processes share what one database has.
    max: !isMainThread ? 2 : Number(process.env.WEB ?? 1) > 1 ? 8 : 12,
    transform: { column: { from: postgres.toCamel, to: postgres.fromCamel } },
    onnotice: () => {},
    // A thread that computes looks at its clock before it looks at what has come: on a busy machine less than this was too little.
    connect_timeout: 30,
    // While the database is away every question hears so within a second, and the first after it is back waits no longer:
    // the library's own pause grows to twenty seconds, and whoever asked sits through it.
    backoff: (retries) => Math.min(1, 0.05 * 2 ** retries),
    // Bytes of timelines and files: never `Date` for days of history.
    types: {},
  });
}

/** Ends the pool; for tests and for the end of the process. */
export async function closeDb(): Promise<void> {
  await holder.fastigoSql?.end({ timeout: 2 });
  delete holder.fastigoSql;
}
