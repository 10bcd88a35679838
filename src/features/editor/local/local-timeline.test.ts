import "fake-indexeddb/auto";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Change } from "@/core/change/change";
import { fromSnapshot } from "@/core/formats/snapshot";
import { knowLanguages } from "@/core/testing/languages";
import { speakIn } from "@/core/language/spoken";
import { localPorts } from "./local-ports";
import { LocalTimeline, NOBODY } from "./local-timeline";

knowLanguages();
beforeEach(() => LocalTimeline.clear());
afterEach(() => vi.restoreAllMocks());

const change = (id: string, title = id): Change => ({
  id,
  author: NOBODY,
  base: 0,
  ops: [{ kind: "add_event", id: `e${id}`, fields: { title } }],
});
const titles = (local: LocalTimeline) =>
  [...fromSnapshot(local.snapshot()).events.values()].filter((e) => !e.deleted).map((e) => e.title);
/** The disk takes nothing for so many times. */
function full(times: number): void {
  const put = IDBObjectStore.prototype.put;
  vi.spyOn(IDBObjectStore.prototype, "put").mockImplementation(function (this: IDBObjectStore, ...args) {
    if (times-- > 0) throw new DOMException("full", "QuotaExceededError");
    return put.apply(this, args as Parameters<typeof put>);
  });
}

describe("a timeline of somebody without an account", () => {
  it("is there again as it was, for the next page of this browser", async () => {
    const local = await LocalTimeline.open();
    expect(local.isEmpty).toBe(true);
    expect(await local.take(change("a", "Flood"))).toMatchObject({ seq: 1, changes: [{ id: "a", seq: 1 }] });
    expect(await local.take({ ...change("b", "Ferry"), base: 1 })).toMatchObject({ seq: 2, changes: [{ id: "b" }] });
    const again = await LocalTimeline.open();
    expect([titles(again), again.last, again.isEmpty]).toEqual([["Flood", "Ferry"], 2, false]);
    await again.take({
      id: "c",
      author: NOBODY,
      base: 2,
      ops: [
        { kind: "delete_event", id: "ea" },
        { kind: "delete_event", id: "eb" },
      ],
    });
    // What is deleted is nothing written.
    expect((await LocalTimeline.open()).isEmpty).toBe(true);
    await LocalTimeline.clear();
    expect((await LocalTimeline.open()).last).toBe(0);
  });

  it("takes each change once, and all that come at once in their order", async () => {
    const local = await LocalTimeline.open();
    const taken = await Promise.all(["a", "b", "a", "c", "b"].map((id) => local.take(change(id))));
    expect(taken.map((t) => t.seq)).toEqual([1, 2, 1, 3, 2]);
    expect(titles(await LocalTimeline.open())).toEqual(["a", "b", "c"]);
    expect(local.after(1).map((c) => c.id)).toEqual(["b", "c"]);
  });

  it("counts nothing as taken that the disk did not take; it comes again and is there then", async () => {
    const local = await LocalTimeline.open();
    await local.take(change("a"));
    full(2);
    const both = await Promise.allSettled([local.take(change("b")), local.take(change("c"))]);
    expect(both.map((b) => b.status)).toEqual(["rejected", "rejected"]);
    expect([local.last, titles(local)]).toEqual([1, ["a"]]);
    expect(await local.take(change("b"))).toMatchObject({ seq: 2 });
    expect(titles(await LocalTimeline.open())).toEqual(["a", "b"]);
  });

  it("begins empty, in the language one is spoken to, where nothing is kept or it cannot be read", async () => {
    const fresh = await speakIn("de", () => LocalTimeline.open());
    expect(fromSnapshot(fresh.snapshot()).language).toBe("de");
    await fresh.take(change("a"));
    const get = vi.spyOn(IDBObjectStore.prototype, "get").mockImplementation(function (this: IDBObjectStore) {
      return this.getKey("nothing of that name");
    });
    expect((await LocalTimeline.open()).isEmpty).toBe(true);
    get.mockRestore();
    expect(titles(await LocalTimeline.open())).toEqual(["a"]);
  });

  it("keeps of its changes as many as an editor catches up with", async () => {
    const local = await LocalTimeline.open();
    for (let i = 0; i < 230; i++) await local.take(change(`c${i}`));
    expect([local.last, local.after(0).length, local.after(229).map((c) => c.id)]).toEqual([230, 200, ["c229"]]);
  });
});

describe("the outside of its editor", () => {
  it("answers as a server does; where the disk takes nothing, as one that does not answer, so that it is asked again", async () => {
    vi.stubGlobal("sessionStorage", { getItem: () => null, setItem: () => {} });
    const local = await LocalTimeline.open();
    const ports = localPorts(local);
    const { author: _, ...body } = change("a");
    expect(await ports.send({ ...body, known: 0 }, 1_000)).toMatchObject({ ok: true, value: { seq: 1 } });
    full(1);
    const { author: __, ...next } = change("b");
    expect(await ports.send({ ...next, known: 1 }, 1_000)).toMatchObject({ ok: false, failed: "no_answer", status: 0 });
    expect(await ports.send({ ...next, known: 1 }, 1_000)).toMatchObject({ ok: true, value: { seq: 2 } });
    expect(await ports.catchUp(1)).toMatchObject({
      ok: true,
      value: { seq: 2, changes: [{ id: "b" }], publication: null },
    });
    expect(await ports.readWhole()).toMatchObject({ ok: true, value: { seq: 2 } });
    vi.unstubAllGlobals();
  });
});
