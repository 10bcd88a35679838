import type { Publication } from "@/core/published/publication";
import { apply } from "@/core/change/apply";
import type { Change, ConfirmedChange } from "@/core/change/change";
import { toSnapshot } from "@/core/formats/snapshot";
import { emptyTimeline, type Timeline } from "@/core/timeline/timeline";
import type { Answer } from "@/ui/ask-server";
import type { LiveMessage } from "@/ui/live";
import type { SetAside } from "../pending-db";
import type { CaughtUp, PendingChanges, Ports } from "../ports";
import { TimelineStore } from "../timeline-store";

/** Numbers by chance that are the same each time. */
export function chance(seed: number): () => number {
  let a = seed;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** Lets everything happen that waits for nothing but its turn. */
const turns = () => new Promise<void>((resolve) => setImmediate(resolve));

/** Time that passes when it is told to. */
class Time {
  now = 0;
  private waiting: { at: number; run: () => void }[] = [];

  after(ms: number, run: () => void): () => void {
    const entry = { at: this.now + ms, run };
    this.waiting.push(entry);
    return () => {
      this.waiting = this.waiting.filter((w) => w !== entry);
    };
  }
  every(ms: number, run: () => void): () => void {
    let stop = () => {};
    const again = () => {
      stop = this.after(ms, () => {
        again();
        run();
      });
    };
    again();
    return () => stop();
  }
  async pass(ms: number): Promise<void> {
    const end = this.now + ms;
    for (;;) {
      await turns();
      const next = this.waiting.filter((w) => w.at <= end).sort((a, b) => a.at - b.at)[0];
      if (!next) break;
      this.now = next.at;
      this.waiting = this.waiting.filter((w) => w !== next);
      next.run();
    }
    this.now = end;
    await turns();
  }
}

export type Path = "send" | "catch_up" | "whole";
export type Fault = "none" | "never" | "lost" | "answer_lost" | "proxy" | "broken" | "refused" | "signed_out";
const no = <T>(failed: string, status: number): Answer<T> => ({ ok: false, failed, status, sentence: `${failed}.` });

/** A server as Fastigo's is: one number a change, the same id again gets its first answer. */
class Server {
  timeline: Timeline = emptyTimeline("t");
  log: ConfirmedChange[] = [];
  readonly fresh = emptyTimeline("t");

  take(change: Omit<Change, "author">, author: string): { seq: number } {
    const known = this.log.find((c) => c.id === change.id);
    if (known) return { seq: known.seq };
    const seq = this.log.length + 1;
    this.log.push({ ...change, author, seq, at: "2026-11-26T00:00:00Z" });
    this.timeline = apply(this.timeline, change.ops).timeline;
    return { seq };
  }
  after(seq: number): ConfirmedChange[] {
    return this.log.slice(seq);
  }
}

/** What is kept on one device, by account: outlives tabs. */
export class Disk {
  /** What can be undone, as a tab of it keeps it. */
  undo: string | null = null;
  pending = new Map<string, { tab: string; change: Change }>();
  aside: SetAside[] = [];
  tabs = new Set<string>();
  /** Takes nothing more. */
  isFull = false;
  /** What is in a tab that is still open: who has it ask before it goes, and the editors that were left in it. */
  readonly holding = new Set<object>();
  readonly left: Ports["left"] = new Map();
  private n = 0;

  tab(name: string): PendingChanges {
    this.tabs.add(name);
    const keys = new Map<string, string>();
    const put = async (change: Change) => {
      if (this.isFull) throw new DOMException("No room.", "QuotaExceededError");
      const key = keys.get(change.id) ?? `${String(this.n++).padStart(6, "0")}`;
      keys.set(change.id, key);
      this.pending.set(key, { tab: name, change });
    };
    const remove = async (id: string) => {
      const key = keys.get(id);
      if (key) this.pending.delete(key);
      keys.delete(id);
    };
    return {
      put,
      rename: async (from, to) => {
        const key = keys.get(from);
        keys.delete(from);
        if (key) keys.set(to.id, key);
        await put(to);
      },
      remove,
      takeOver: async () => {
        const taken: Change[] = [];
        for (const [key, s] of [...this.pending].sort((a, b) => (a[0] < b[0] ? -1 : 1))) {
          if (s.tab !== name && this.tabs.has(s.tab)) continue;
          if (!this.isFull) {
            this.pending.delete(key);
            await put(s.change);
          } else keys.set(s.change.id, key);
          taken.push(s.change);
        }
        return taken;
      },
      refuse: async (change, sentence) => {
        this.aside.push({ key: change.id, sentence, change });
        await remove(change.id);
      },
      setAside: async () => this.aside,
      forget: async (key) => {
        this.aside = this.aside.filter((a) => a.key !== key);
      },
      leave: () => {
        this.tabs.delete(name);
      },
    };
  }
}

export class World {
  readonly time = new Time();
  readonly server = new Server();
  /** What goes wrong with the next request, asked for each. */
  fault: (path: Path) => Fault = () => "none";
  private ids = 0;
  private readonly ears = new Set<(m: LiveMessage) => void>();
  deaf = false;
  /** The last change that the published page shows; null: nothing is published. */
  shown: number | null = null;

  /** What the server knows of the published page by now. */
  publication(): Publication | null {
    if (this.shown === null) return null;
    return {
      address: "ambrel",
      word: null,
      visibility: "link",
      classId: null,
      organisationId: null,
      takenBack: false,
      state: "open",
      publishedAt: "2026-11-25T09:00:00.000Z",
      zone: "UTC",
      laterChanges: this.server.log.length - this.shown,
      seq: this.shown,
      opensAt: null,
      closesAt: null,
      hasPassword: false,
      copies: false,
      embedSites: [],
      opened: 0,
    };
  }

  tell(): void {
    if (!this.deaf) this.say({ kind: "changed", timeline: "t", seq: this.server.log.length });
  }

  say(message: LiveMessage): void {
    for (const e of this.ears) e(message);
  }

  ports(account: string, disk: Disk): Ports {
    const answer = async <T>(path: Path, ms: number, real: () => T): Promise<Answer<T>> => {
      const fault = this.fault(path);
      await new Promise<void>((resolve) => this.time.after(ms, resolve));
      switch (fault) {
        case "never":
          return new Promise(() => {});
        case "lost":
          return no("no_answer", 0);
        case "proxy":
          return no("no_answer", 403);
        case "broken":
          return no("broken", 500);
        case "refused":
          return no("text_long", 400);
        case "signed_out":
          return no("sign_in_first", 401);
        case "answer_lost":
          real();
          return no("no_answer", 0);
        default:
          return { ok: true, value: real() };
      }
    };
    return {
      send: (change, _patience) =>
        answer("send", 40, () => {
          const { known, ...body } = change;
          const { seq } = this.server.take(body, account);
          this.tell();
          return { seq, changes: this.server.after(known) };
        }),
      catchUp: (after) =>
        answer(
          "catch_up",
          30,
          (): CaughtUp => ({
            changes: this.server.after(after).slice(0, 50),
            seq: this.server.log.length,
            editors: [],
            publication: this.publication(),
            work: null,
          }),
        ),
      readWhole: () => answer("whole", 60, () => toSnapshot(this.server.timeline, this.server.log.length)),
      listen: (hear) => {
        this.ears.add(hear);
        return () => this.ears.delete(hear);
      },
      pending: disk.tab(`tab${this.ids++}`),
      left: disk.left,
      kept: {
        read: () => disk.undo,
        write: (text) => {
          disk.undo = text;
        },
      },
      newId: () => `id${this.ids++}`,
      after: (ms, run) => this.time.after(ms, run),
      every: (ms, run) => this.time.every(ms, run),
      watchPage: () => () => {},
      holdPage: (by, held) => {
        if (held) disk.holding.add(by);
        else disk.holding.delete(by);
      },
    };
  }

  open(account: string, disk: Disk): { store: TimelineStore; close: () => void } {
    const snapshot = toSnapshot(this.server.timeline, this.server.log.length);
    const around = { editors: [], publication: this.publication(), work: null };
    const store = new TimelineStore(account, snapshot, around, this.ports(account, disk));
    const close = store.start();
    return { store, close };
  }
}
