import "fake-indexeddb/auto";
import { openDB } from "idb";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Change } from "@/core/change/change";
import type { LeftInTab } from "@/ui/kept-here";
import { Keeping } from "./keeping";
import { PendingDb } from "./pending-db";

/** Locks as a browser holds them for its tabs (Web Locks API): one holder each, until it lets go or its tab is gone. */
class Locks {
  private readonly held = new Set<string>();

  readonly request = async (name: string, ...more: unknown[]) => {
    const options = (more.length > 1 ? more[0] : {}) as { ifAvailable?: boolean };
    const run = more.at(-1) as (lock: object | null) => unknown;
    if (this.held.has(name)) {
      if (options.ifAvailable) return run(null);
      throw new Error(`nobody waits for ${name} here`);
    }
    if (options.ifAvailable) return run({ name });
    this.held.add(name);
    await run({ name });
    this.held.delete(name);
  };

  /** As when a tab crashes. */
  drop(tab: string): void {
    this.held.delete(`fastigo-tab-${tab}`);
  }
}

let locks: Locks;
let n = 0;
let timeline: string;
beforeEach(() => {
  locks = new Locks();
  timeline = `t${n++}`;
  vi.stubGlobal("navigator", { locks });
});
afterEach(() => vi.unstubAllGlobals());

const change = (id: string, steps = 1): Change => ({
  id,
  author: "nia",
  base: 0,
  ops: Array.from({ length: steps }, (_, i) => ({ kind: "add_event", id: `${id}${i}`, fields: { title: id } })),
});
const tab = (name: string, account = "nia", of = timeline) => new PendingDb(account, of, name);
const ids = (changes: readonly Change[]) => changes.map((c) => c.id);

describe("what has not reached the server", () => {
  it("is taken over, in its order, by the next tab of the same person and timeline when its own is gone", async () => {
    const one = tab("one");
    expect(await one.takeOver()).toEqual([]);
    for (const id of ["a", "b", "c"]) await one.put(change(id));
    await one.remove("b");
    await one.put({ ...change("a"), base: 7 });
    // As long as its tab lives it is nobody else's.
    expect(await tab("two").takeOver()).toEqual([]);
    locks.drop("one");
    for (const other of [tab("three", "obi"), tab("four", "nia", `${timeline}x`)])
      expect(await other.takeOver()).toEqual([]);
    const heir = tab("five");
    const taken = await heir.takeOver();
    expect(ids(taken)).toEqual(["a", "c"]);
    expect(taken[0]).toMatchObject({ base: 7, ops: change("a").ops });
    // It is theirs now: once, and not lost with them either.
    expect(await tab("six").takeOver()).toEqual([]);
    await heir.remove("a");
    locks.drop("five");
    expect(ids(await tab("seven").takeOver())).toEqual(["c"]);
  });

  it("of several tabs that are gone comes as it was written, whichever of them wrote it, also through a heir that is gone too", async () => {
    const clock = vi.spyOn(Date, "now");
    const write = async (by: PendingDb, id: string, at: number) => {
      clock.mockReturnValue(at);
      await by.put(change(id));
    };
    // By their names the later one comes first; a clock that is set back alters nothing within a tab.
    const [zed, amy] = [tab("zed"), tab("amy")];
    await write(zed, "a", 1_000);
    await write(amy, "b", 2_000);
    await write(zed, "c", 3_000);
    await write(zed, "d", 500);
    await write(amy, "e", 4_000);
    clock.mockReturnValue(9_000);
    expect(ids(await tab("kim").takeOver())).toEqual(["a", "b", "c", "d", "e"]);
    await write(tab("ben"), "f", 8_000);
    locks.drop("kim");
    expect(ids(await tab("zoe").takeOver())).toEqual(["a", "b", "c", "d", "e", "f"]);
    clock.mockRestore();
  });

  it("that an earlier version put there without a time comes before what has one", async () => {
    const scope = `nia/${timeline}`;
    await tab("amy").put(change("b"));
    const db = await openDB("fastigo");
    await db.put("pending", { key: `${scope}/zed/000000000`, scope, tab: "zed", change: change("a") });
    db.close();
    expect(ids(await tab("two").takeOver())).toEqual(["a", "b"]);
  });

  it("is taken over from a disk that takes nothing more, and is gone from it once it is sent", async () => {
    await tab("one").put(change("a"));
    const put = vi.spyOn(IDBObjectStore.prototype, "put").mockImplementation(() => {
      throw new DOMException("No room.", "QuotaExceededError");
    });
    const heir = tab("two");
    expect(ids(await heir.takeOver())).toEqual(["a"]);
    await expect(heir.put(change("b"))).rejects.toThrow("No room.");
    put.mockRestore();
    locks.drop("two");
    const next = tab("three");
    expect(ids(await next.takeOver())).toEqual(["a"]);
    await next.remove("a");
    locks.drop("three");
    expect(await tab("four").takeOver()).toEqual([]);
  });

  it("is there in its later form alone, where a tab ended while it took it over", async () => {
    const clock = vi.spyOn(Date, "now").mockReturnValue(1_000);
    await tab("zed").put(change("a"));
    clock.mockReturnValue(2_000);
    await tab("amy").put(change("a", 2));
    clock.mockRestore();
    expect(await tab("two").takeOver()).toEqual([change("a", 2)]);
    locks.drop("two");
    expect(await tab("three").takeOver()).toEqual([change("a", 2)]);
  });

  it("lies there as it became in the tab that was left, not as its first letters lay there, in its place", async () => {
    const first = tab("one");
    for (const id of ["a", "b"]) await first.put(change(id));
    const left = new Map<string, LeftInTab>();
    const whole = change("a", 2);
    left.set("nia", { waiting: () => [whole], handOver: () => [whole], remove: async () => {} });
    const heir = tab("two");
    const keeping = new Keeping("nia", { pending: heir, left, after: () => () => {}, holdPage: () => {} }, () => {});
    expect(await keeping.takeOver()).toEqual([whole, change("b")]);
    await heir.setAside();
    locks.drop("two");
    expect(await tab("three").takeOver()).toEqual([whole, change("b")]);
  });

  it("keeps its place under another number, and is there once", async () => {
    const one = tab("one");
    for (const id of ["a", "b", "c"]) await one.put(change(id));
    await one.rename("a", { ...change("a"), id: "z" });
    await one.remove("b");
    expect(ids(await tab("two").takeOver())).toEqual(["z", "c"]);
  });

  it("is left to the next tab when one leaves", async () => {
    const one = tab("one");
    await one.takeOver();
    await one.put(change("a"));
    one.leave();
    await Promise.resolve();
    expect(ids(await tab("two").takeOver())).toEqual(["a"]);
  });

  it("stays on the disk when its own tab asks what was left, as when it comes back out of the browser's memory", async () => {
    const one = tab("one");
    await one.takeOver();
    await one.put(change("a"));
    await one.put(change("b"));
    one.leave();
    await Promise.resolve();
    await one.takeOver();
    await one.put(change("c"));
    locks.drop("one");
    expect(ids(await tab("two").takeOver())).toEqual(["a", "b", "c"]);
  });

  it("that was written before the disk had answered is kept too", async () => {
    const one = tab("one");
    const asked = one.takeOver();
    await one.put(change("a"));
    await asked;
    locks.drop("one");
    expect(ids(await tab("two").takeOver())).toEqual(["a"]);
  });

  it("is kept whole however many steps it has", async () => {
    const one = tab("one");
    await one.put(change("many", 4_000));
    await one.put(change("few", 2));
    const [many, few] = await tab("two").takeOver();
    expect([many!.ops.length, few!.ops.length]).toEqual([4_000, 2]);
    expect(many).toEqual(change("many", 4_000));
  });

  it("is found where a browser has no locks: then no other tab is taken to live", async () => {
    vi.stubGlobal("navigator", {});
    await tab("one").put(change("a"));
    expect(ids(await tab("two").takeOver())).toEqual(["a"]);
  });
});

describe("what the server refused", () => {
  it("waits with its sentence and its words until somebody has dealt with it, in any tab", async () => {
    const one = tab("one");
    await one.put(change("a"));
    await one.put(change("b"));
    await one.refuse(change("a"), "That is too long.");
    expect(await tab("two").setAside()).toEqual([
      { key: `nia/${timeline}/a`, sentence: "That is too long.", change: change("a") },
    ]);
    expect(await tab("two", "obi").setAside()).toEqual([]);
    // It is sent no more.
    expect(ids(await tab("three").takeOver())).toEqual(["b"]);
    const [aside] = await one.setAside();
    await tab("four").forget(aside!.key);
    expect(await one.setAside()).toEqual([]);
  });
});
