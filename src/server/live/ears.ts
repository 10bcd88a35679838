import "server-only";
import postgres from "postgres";

/** Every so often a beat is sent to oneself; one that does not come back says that nothing else does either. */
const BEAT_MS = 5_000;
const PATIENCE_MS = 4_000;
const FIRST_RETRY_MS = 500;
const LAST_RETRY_MS = 10_000;

/**
 * Listens to notices of the database on a connection of its own, for ever: a connection that could not be made, or that hears
 * nothing any more, is given up and made anew. `onHearing` hears when it begins and when it ends.
 */
export class Ears {
  hearing = false;
  private sql: postgres.Sql | null = null;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private retryMs = FIRST_RETRY_MS;
  private beat = 0;
  private heard = 0;
  private ended = false;
  /** Beats of other processes come here too. */
  private readonly name = Math.random().toString(36).slice(2);
  private readonly url: string;
  private readonly onNotice: (payload: string) => void;
  private readonly onHearing: (hearing: boolean) => void;

  constructor(url: string, onNotice: (payload: string) => void, onHearing: (hearing: boolean) => void) {
    this.url = url;
    this.onNotice = onNotice;
    this.onHearing = onHearing;
    void this.begin();
  }

  end(): void {
    this.ended = true;
    if (this.timer) clearTimeout(this.timer);
    void this.sql?.end({ timeout: 1 }).catch(() => {});
  }

  private async begin(): Promise<void> {
    // One connection listens, the other sends the beats.
    const sql = postgres(this.url, { max: 1, connect_timeout: 10, idle_timeout: 0, onnotice: () => {} });
    this.sql = sql;
    try {
      // It is told at the first time, and each time a connection that was lost has been made anew: nobody heard what was said between.
      await sql.listen(
        "fastigo",
        (payload) => this.take(payload),
        () => {
          if (this.ended || this.sql !== sql) return;
          this.set(false);
          this.set(true);
        },
      );
      if (this.ended || this.sql !== sql) return;
      this.retryMs = FIRST_RETRY_MS;
      this.later(BEAT_MS, () => void this.feel(sql));
    } catch {
      this.again(sql);
    }
  }

  private take(payload: string): void {
    const [word, name, beat] = payload.split(" ");
    if (word !== "beat") this.onNotice(payload);
    else if (name === this.name) this.heard = Number(beat);
  }

  private async feel(sql: postgres.Sql): Promise<void> {
    const beat = ++this.beat;
    try {
      await Promise.race([
        sql`select pg_notify('fastigo', ${`beat ${this.name} ${beat}`})`,
        new Promise((_, reject) => setTimeout(() => reject(new Error("no answer")), PATIENCE_MS).unref()),
      ]);
    } catch {
      return this.again(sql);
    }
    this.later(PATIENCE_MS, () => {
      if (this.heard < beat) this.again(sql);
      else this.later(Math.max(0, BEAT_MS - PATIENCE_MS), () => void this.feel(sql));
    });
  }

  private again(sql: postgres.Sql): void {
    if (this.ended || this.sql !== sql) return;
    this.sql = null;
    void sql.end({ timeout: 1 }).catch(() => {});
    this.set(false);
    this.later(this.retryMs, () => void this.begin());
    this.retryMs = Math.min(LAST_RETRY_MS, this.retryMs * 2);
  }

  private set(hearing: boolean): void {
    if (this.hearing === hearing) return;
    this.hearing = hearing;
    this.onHearing(hearing);
  }

  private later(ms: number, run: () => void): void {
    if (this.timer) clearTimeout(this.timer);
    this.timer = setTimeout(run, ms);
    this.timer.unref();
  }
}
