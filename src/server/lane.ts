import "server-only";
import { type Failure, fail } from "./http/failure";

interface Job {
  key: string;
  begin: () => Promise<void>;
}

/** How long what took too long is not tried again, ms: doubled each time, up to the second number. */
const REST_MS = 60_000;
const LONGEST_REST_MS = 3_600_000;
const MOST_RESTING = 10_000;

/**
 * A queue before threads. `width` jobs run at once, one at a time of a key (a person, or a document), so that nobody can take
 * all threads; what has taken too long rests before it is tried again.
 */
export class Lane {
  private readonly waiting: Job[] = [];
  private readonly running = new Set<string>();
  private readonly resting = new Map<string, { until: number; ms: number }>();
  private readonly width: number;
  private readonly most: number;
  private readonly now: () => number;

  constructor(width: number, most: number, now: () => number = Date.now) {
    this.width = width;
    this.most = most;
    this.now = now;
  }

  /**
   * Runs a job under a time limit that begins when it does. `what` names what is worked on: after a time-out of it the same is
   * refused for a while at once.
   */
  run<T>(
    key: string,
    what: string,
    limitMs: number,
    job: (signal: AbortSignal) => Promise<T>,
  ): Promise<{ ok: T } | Failure> {
    if ((this.resting.get(what)?.until ?? 0) > this.now()) return Promise.resolve(fail("too_slow"));
    if (this.waiting.length >= this.most) return Promise.resolve(fail("busy"));
    return new Promise((resolve, reject) => {
      const begin = async () => {
        const stop = new AbortController();
        const timer = setTimeout(() => stop.abort(), limitMs);
        try {
          const ok = await job(stop.signal);
          this.resting.delete(what);
          resolve({ ok });
        } catch (error) {
          // Out of its memory is as out of its time.
          if (stop.signal.aborted || (error as { code?: string } | null)?.code === "ERR_WORKER_OUT_OF_MEMORY") {
            this.rest(what);
            resolve(fail("too_slow"));
          } else reject(error);
        } finally {
          clearTimeout(timer);
        }
      };
      this.waiting.push({ key, begin });
      this.next();
    });
  }

  private next(): void {
    while (this.running.size < this.width) {
      const at = this.waiting.findIndex((j) => !this.running.has(j.key));
      if (at < 0) return;
      const [job] = this.waiting.splice(at, 1);
      this.running.add(job!.key);
      void job!.begin().finally(() => {
        this.running.delete(job!.key);
        this.next();
      });
    }
  }

  private rest(what: string): void {
    const ms = Math.min(LONGEST_REST_MS, (this.resting.get(what)?.ms ?? REST_MS / 2) * 2);
    this.resting.set(what, { until: this.now() + ms, ms });
    if (this.resting.size > MOST_RESTING) this.resting.delete(this.resting.keys().next().value!);
  }
}
