// Applies the numbered files in db/migrations that a database has not seen, each in a transaction of its own.
// An advisory lock lets only one process at a time do it; the others wait and then find nothing left to do.
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { Logger, runMigrations } from "graphile-worker";
import postgres from "postgres";

const LOCK = 7_102_026;
const SILENT = new Logger(() => () => {});

/** Returns the names of the files that were applied. A file that was altered after it was applied is an error. */
export async function migrate(url, folder = join(import.meta.dirname, "migrations")) {
  const sql = postgres(url, { max: 1, onnotice: () => {} });
  const applied = [];
  try {
    await sql`select pg_advisory_lock(${LOCK})`;
    await sql`create table if not exists migration (name text primary key, text text not null, at timestamptz not null default now())`;
    const known = new Map((await sql`select name, text from migration`).map((row) => [row.name, row.text]));
    for (const name of readdirSync(folder)
      .filter((f) => f.endsWith(".sql"))
      .sort()) {
      const text = readFileSync(join(folder, name), "utf8");
      if (known.has(name)) {
        if (known.get(name) !== text)
          throw new Error(
            `The migration ${name} was altered after it had been applied. Put it back and write a new one.`,
          );
        continue;
      }
      await sql.begin(async (tx) => {
        await tx.unsafe(text);
        await tx`insert into migration (name, text) values (${name}, ${text})`;
      });
      applied.push(name);
    }
    // The queue of jobs brings tables of its own, in a schema of its own.
    await runMigrations({ connectionString: url, logger: SILENT });
  } finally {
    await sql.end();
  }
  return applied;
}
