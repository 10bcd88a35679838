import "server-only";
import postgres from "postgres";

/** Locks of runners, together with the runner's number. */
const ALIVE = 7_102_028;

/** That this runner lives, as a lock of the database that ends with its connection; and what those who do not had begun. */
export class Alive {
  /** A connection of its own, which makes itself anew when it is lost; one of the pool that is held would not. */
  private readonly sql = postgres(process.env.DATABASE_URL!, { max: 1, onnotice: () => {} });
  private id: number | null = null;
  private looking: Promise<void> | null = null;
  private readonly holders: readonly string[];

  /** `holders`: in which names this runner's jobs are locked; may grow. */
  constructor(holders: readonly string[]) {
    this.holders = holders;
  }

  /** One at a time: two that find the lock gone would both begin, and take each other for dead. */
  look(): Promise<void> {
    this.looking ??= this.lookOnce().finally(() => (this.looking = null));
    return this.looking;
  }

  private async lookOnce(): Promise<void> {
    const { sql } = this;
    const id = (this.id = (await this.holds()) ?? (await this.begin()));
    const others = await sql<{ id: number; workers: string[] }[]>`
      select id, workers from job_runner where id <> ${id}`;
    for (const other of others) {
      const [lock] = await sql<{ free: boolean }[]>`select pg_try_advisory_lock(${ALIVE}, ${other.id}) as free`;
      if (!lock!.free) continue;
      await sql`select graphile_worker.force_unlock_workers(${other.workers})`;
      await sql`delete from job_runner where id = ${other.id}`;
      await sql`select pg_advisory_unlock(${ALIVE}, ${other.id})`;
    }
    // Of one that died before it could say in which names it locks.
    await sql`
      select graphile_worker.force_unlock_workers(array_agg(j.locked_by)) from graphile_worker.jobs j
      where j.locked_at < now() - interval '20 seconds' and not exists (select from job_runner r where j.locked_by = any(r.workers))
      having count(*) > 0`;
  }

  async end(): Promise<void> {
    await this.looking?.catch(() => {});
    if (this.id !== null) await this.sql`delete from job_runner where id = ${this.id}`.catch(() => {});
    this.id = null;
    await this.sql.end({ timeout: 1 }).catch(() => {});
  }

  /** This runner's number while its lock is held; null where the connection, and the lock with it, was lost. */
  private async holds(): Promise<number | null> {
    const { sql, id } = this;
    if (id === null) return null;
    const [there] = await sql`
      update job_runner set workers = ${[...this.holders]} where id = ${id} and exists (
        select from pg_locks where locktype = 'advisory' and pid = pg_backend_pid() and classid = ${ALIVE} and objid = ${id})
      returning id`;
    if (there) return id;
    await sql`delete from job_runner where id = ${id}`;
    return null;
  }

  private async begin(): Promise<number> {
    // In one statement: nobody sees a runner without its lock, and takes it for dead.
    const [row] = await this.sql<{ id: number }[]>`
      with made as (insert into job_runner (workers) values (${[...this.holders]}) returning id)
      select id, pg_advisory_lock(${ALIVE}, id) from made`;
    return row!.id;
  }
}
