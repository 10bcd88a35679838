import { describe, expect, it } from "vitest";
import { apply } from "@/core/change/apply";
import type { Change, ConfirmedChange, Op } from "@/core/change/change";
import { toSnapshot } from "@/core/formats/snapshot";
import { emptyTimeline, type Timeline } from "@/core/timeline/timeline";
import type { Answer } from "@/ui/ask-server";
import type { LiveMessage } from "@/ui/live";
import type { CaughtUp, PendingChanges, Ports } from "./ports";
import type { SetAside } from "./pending-db";
import { TimelineStore } from "./timeline-store";

/** Numbers by chance that are the same each time. */
function chance(seed: number): () => number {
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

type Fault = "none" | "lost" | "answer_lost" | "proxy" | "broken" | "refused" | "signed_out";
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
class Disk {
  pending = new Map<string, { tab: string; change: Change }>();
  aside: SetAside[] = [];
  tabs = new Set<string>();
  private n = 0;

  tab(name: string): PendingChanges {
    this.tabs.add(name);
    const keys = new Map<string, string>();
    const put = async (change: Change) => {
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
      remove,
      takeOver: async () => {
        const taken: Change[] = [];
        for (const [key, s] of [...this.pending].sort((a, b) => (a[0] < b[0] ? -1 : 1))) {
          if (s.tab !== name && this.tabs.has(s.tab)) continue;
          this.pending.delete(key);
          await put(s.change);
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

class World {
  readonly time = new Time();
  readonly server = new Server();
  /** What goes wrong with the next request, asked for each. */
  fault: (path: "send" | "catch_up") => Fault = () => "none";
  private ids = 0;
  private readonly ears = new Set<(m: LiveMessage) => void>();
  deaf = false;

  tell(): void {
    if (!this.deaf) this.say({ kind: "changed", timeline: "t", seq: this.server.log.length });
  }

  say(message: LiveMessage): void {
    for (const e of this.ears) e(message);
  }

  ports(account: string, disk: Disk): Ports {
    const answer = async <T>(path: "send" | "catch_up", ms: number, real: () => T): Promise<Answer<T>> => {
      const fault = this.fault(path);
      await new Promise<void>((resolve) => this.time.after(ms, resolve));
      switch (fault) {
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
            publication: null,
            work: null,
          }),
        ),
      listen: (hear) => {
        this.ears.add(hear);
        return () => this.ears.delete(hear);
      },
      pending: disk.tab(`tab${this.ids++}`),
      newId: () => `id${this.ids++}`,
      after: (ms, run) => this.time.after(ms, run),
      every: (ms, run) => this.time.every(ms, run),
      watchPage: () => () => {},
    };
  }

  open(account: string, disk: Disk): { store: TimelineStore; close: () => void } {
    const snapshot = toSnapshot(this.server.timeline, this.server.log.length);
    const around = { editors: [], publication: null, work: null };
    const store = new TimelineStore(account, snapshot, around, this.ports(account, disk));
    const close = store.start();
    return { store, close };
  }
}

const add = (id: string, title = ""): Op => ({ kind: "add_event", id, fields: { title } });
const title = (id: string, value: string): Op => ({ kind: "set_event", id, field: "title", value });
const titles = (t: Timeline) => [...t.events.values()].map((e) => e.title).sort();

describe("an editor's traffic", () => {
  it("sends what is written, one change for words that follow each other, and says when all is saved", async () => {
    const w = new World();
    const { store } = w.open("nia", new Disk());
    store.edit([add("a")]);
    expect(store.getState()).toMatchObject({ saving: "saving", waiting: 1 });
    for (const words of ["F", "Fl", "Flood"]) {
      store.edit([title("a", words)], "title:a");
      await w.time.pass(100);
    }
    await w.time.pass(2_000);
    expect(store.getState()).toMatchObject({ saving: "saved", waiting: 0, canUndo: true });
    expect(w.server.log.map((c) => c.ops.length)).toEqual([1, 1]);
    store.undo();
    await w.time.pass(1_000);
    expect(w.server.timeline.events.get("a")!.title).toBe("");
    store.redo();
    await w.time.pass(1_000);
    expect(w.server.timeline.events.get("a")!.title).toBe("Flood");
  });

  it("asks again where nobody answers, and each change is done once", async () => {
    const w = new World();
    const { store } = w.open("nia", new Disk());
    await w.time.pass(100);
    const faults: Fault[] = ["lost", "answer_lost", "proxy", "answer_lost"];
    w.fault = (path) => (path === "send" ? (faults.shift() ?? "none") : "none");
    store.edit([add("a", "Flood")]);
    await w.time.pass(60);
    expect(store.getState().saving).toBe("offline");
    await w.time.pass(60_000);
    expect(store.getState()).toMatchObject({ saving: "saved", waiting: 0, setAside: [] });
    expect(w.server.log).toHaveLength(1);
  });

  it("sets aside what is refused, or fails again and again, and goes on with the rest", async () => {
    for (const fault of ["refused", "broken"] as const) {
      const w = new World();
      const disk = new Disk();
      const { store } = w.open("nia", disk);
      await w.time.pass(100);
      store.edit([add("a", "Flood")]);
      let first: string | null = null;
      w.fault = (path) => {
        if (path !== "send") return "none";
        const now = [...disk.pending.values()][0]?.change.id ?? null;
        first ??= now;
        return now === first ? fault : "none";
      };
      await w.time.pass(10);
      store.edit([add("b", "Ferry")]);
      await w.time.pass(120_000);
      expect([fault, titles(w.server.timeline)]).toEqual([fault, [...titles(store.getState().timeline)]]);
      expect(disk.aside.length + w.server.log.length).toBe(2);
      expect(store.getState().setAside).toHaveLength(disk.aside.length);
      expect([...disk.pending]).toEqual([]);
    }
  });

  it("a tab that closed without its answer leaves nothing that goes round for ever", async () => {
    const w = new World();
    const disk = new Disk();
    const one = w.open("nia", disk);
    await w.time.pass(100);
    w.fault = (path) => (path === "send" ? "answer_lost" : "none");
    one.store.edit([add("a", "Flood")]);
    await w.time.pass(45);
    one.close();
    w.fault = () => "none";
    const two = w.open("nia", disk);
    await w.time.pass(5_000);
    expect(w.server.log).toHaveLength(1);
    expect(two.store.getState()).toMatchObject({ saving: "saved", waiting: 0 });
    expect([...disk.pending]).toEqual([]);
  });

  it("hears of others, and without the stream asks by itself", async () => {
    const w = new World();
    const nia = w.open("nia", new Disk());
    const obi = w.open("obi", new Disk());
    obi.store.edit([add("a", "Flood")]);
    await w.time.pass(500);
    expect(titles(nia.store.getState().timeline)).toEqual(["Flood"]);
    w.deaf = true;
    w.say({ kind: "hearing", hearing: false });
    obi.store.edit([add("b", "Ferry")]);
    await w.time.pass(3_000);
    expect([titles(nia.store.getState().timeline), nia.store.getState().hearing]).toEqual([["Flood"], true]);
    await w.time.pass(20_000);
    expect([titles(nia.store.getState().timeline), nia.store.getState().hearing]).toEqual([["Ferry", "Flood"], false]);
    w.say({ kind: "hearing", hearing: true });
    expect(nia.store.getState().hearing).toBe(true);
  });

  it("ends at once when the right is gone or nobody is signed in, and keeps what was not sent", async () => {
    const w = new World();
    const disk = new Disk();
    const { store } = w.open("nia", disk);
    await w.time.pass(100);
    w.fault = () => "signed_out";
    store.edit([add("a", "Flood")]);
    await w.time.pass(60_000);
    expect(store.getState()).toMatchObject({ saving: "signed_out", waiting: 1 });
    expect(disk.pending.size).toBe(1);
  });
});

describe("histories by chance", () => {
  it("of three people and their tabs, with requests and answers lost, proxies, faults, tabs closed and opened again: all ends are equal and nothing is lost", async () => {
    for (let seed = 1; seed <= 60; seed++) {
      const next = chance(seed);
      const pick = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!;
      const w = new World();
      w.server.timeline = apply(w.server.timeline, [add("a"), add("b"), add("c")]).timeline;
      w.server.log.push({ id: "first", author: "nia", base: 0, ops: [add("a"), add("b"), add("c")], seq: 1, at: "" });
      const faults: Fault[] = ["none", "none", "none", "lost", "answer_lost", "proxy", "broken"];
      w.fault = () => pick(faults);
      const people = ["nia", "obi", "wren"].map((account) => ({ account, disk: new Disk() }));
      const tabs = people.map((p) => ({ ...p, ...w.open(p.account, p.disk) }));
      let n = 0;
      const written: string[] = [];
      for (let step = 0; step < 40; step++) {
        const tab = pick(tabs);
        const what = next();
        if (what < 0.55) {
          const id = `e${seed}-${n++}`;
          if (!tab.store.edit([add(id, id)])) written.push(id);
        } else if (what < 0.75) tab.store.edit([title(pick(["a", "b", "c"]), `t${n++}`)], "title");
        else if (what < 0.82) tab.store.undo();
        else if (what < 0.86) tab.store.redo();
        else if (what < 0.94) {
          // Closed in the middle of it all, and opened again.
          tab.close();
          Object.assign(tab, w.open(tab.account, tab.disk));
        } else w.deaf = !w.deaf;
        await w.time.pass(Math.floor(next() * 900));
      }
      w.fault = () => "none";
      w.deaf = false;
      w.tell();
      await w.time.pass(120_000);
      for (const t of tabs) void t.store.refresh();
      await w.time.pass(5_000);
      for (const t of tabs) {
        expect([seed, t.account, t.store.getState().saving, t.store.getState().waiting]).toEqual([
          seed,
          t.account,
          "saved",
          0,
        ]);
        expect([seed, t.account, t.store.getState().timeline.events]).toEqual([
          seed,
          t.account,
          w.server.timeline.events,
        ]);
        expect([seed, t.disk.pending.size]).toEqual([seed, 0]);
      }
      // Every event that was written is in the log once, or set aside where its author sees it.
      const kept = [...w.server.log, ...people.flatMap((p) => p.disk.aside.map((a) => a.change))].flatMap((c) =>
        c.ops.flatMap((op) => (op.kind === "add_event" ? [op.id] : [])),
      );
      for (const id of written) expect([seed, id, kept.filter((k) => k === id).length]).toEqual([seed, id, 1]);
      for (const t of tabs) t.close();
    }
  });
});
