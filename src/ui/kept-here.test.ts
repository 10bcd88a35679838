import "fake-indexeddb/auto";
import { IDBFactory } from "fake-indexeddb";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Change } from "@/core/change/change";
import { findUnsent, forgetUnsent, isOwnDevice, keepThisPage, leftInTab, returnUnsent, sendUnsent } from "./kept-here";

/** As an editor keeps what it has not sent: by account, timeline and tab, in order. */
interface Row {
  key: string;
  at?: number;
  scope: string;
  tab: string;
  change: Change | string;
}
const change = (id: string): Change => ({
  id,
  author: "",
  base: 3,
  ops: [{ kind: "set_event", id: "e", field: "title", value: id }],
});
const row = (
  account: string,
  timeline: string,
  n: number,
  of: Change | string = change(`${account}${timeline}${n}`),
): Row => ({
  key: `${account}/${timeline}/tab/${String(n).padStart(9, "0")}`,
  scope: `${account}/${timeline}`,
  tab: "tab",
  change: of,
});
function keep(...rows: Row[]): Promise<void> {
  return new Promise((resolve, reject) => {
    const asked = indexedDB.open("fastigo", 1);
    asked.onupgradeneeded = () => {
      for (const name of ["pending", "refused"])
        asked.result.createObjectStore(name, { keyPath: "key" }).createIndex("scope", "scope");
    };
    asked.onerror = () => reject(asked.error);
    asked.onsuccess = () => {
      const tx = asked.result.transaction("pending", "readwrite");
      for (const r of rows) tx.objectStore("pending").put(r);
      tx.oncomplete = () => {
        asked.result.close();
        resolve();
      };
    };
  });
}

/** What the server was sent, and what it answers to each. */
let sent: { path: string; body: { id: string; base: number; ops: unknown[] } }[];
let answer: (path: string, id: string) => Response;
beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  sent = [];
  answer = () => Response.json({ seq: 1, changes: [] });
  vi.stubGlobal("fetch", async (path: string, init: RequestInit) => {
    const body = JSON.parse(String(init.body));
    sent.push({ path, body });
    return answer(path, body.id);
  });
});
afterEach(() => vi.unstubAllGlobals());
const no = () => Response.json({ failed: "not_found", sentence: "There is nothing here." }, { status: 404 });
const ids = () => sent.map((s) => s.body.id);

describe("what was not sent when somebody signs out", () => {
  it("is nothing where no editor was ever open, and nothing is made by asking", async () => {
    expect(await findUnsent("nia")).toEqual({ by: [], text: "" });
    await sendUnsent("nia");
    expect((await indexedDB.databases()).map((d) => d.name)).not.toContain("fastigo");
    expect(sent).toEqual([]);
  });

  it("of several tabs is sent, and comes back out of a file, as it was written, whichever of them wrote it", async () => {
    const of = (tab: string, n: number, at: number | undefined, id: string): Row => ({
      ...row("nia", "t1", n, change(id)),
      key: `nia/t1/${tab}/${String(n).padStart(9, "0")}`,
      tab,
      ...(at === undefined ? {} : { at }),
    });
    await keep(
      of("zed", 0, 1_000, "b"),
      of("amy", 0, 2_000, "c"),
      of("zed", 1, 3_000, "d"),
      of("ben", 0, undefined, "a"),
    );
    const { text } = await findUnsent("nia");
    await sendUnsent("nia");
    expect(ids()).toEqual(["a", "b", "c", "d"]);
    sent = [];
    await returnUnsent(text);
    expect(ids()).toEqual(["a", "b", "c", "d"]);
  });

  it("is also what is in this tab alone, where the disk took nothing: as it is now, once, and of its author only", async () => {
    const waiting = new Map([change("old"), change("new")].map((c) => [c.id, c]));
    waiting.set("old", {
      ...change("old"),
      ops: [{ kind: "set_event", id: "e", field: "title", value: "older, and more" }],
    });
    leftInTab.set("nia/t1", {
      waiting: () => [...waiting.values()],
      handOver: () => {
        const all = [...waiting.values()];
        waiting.clear();
        return all;
      },
      remove: async (id) => void waiting.delete(id),
    });
    try {
      // On the disk is a shorter form of one of them.
      await keep(row("nia", "t1", 0, change("old")));
      expect((await findUnsent("obi")).by).toEqual([]);
      expect((await findUnsent("nia")).by).toEqual([{ timeline: "t1", changes: 2 }]);
      answer = (_, id) => (id === "new" ? no() : Response.json({ seq: 1, changes: [] }));
      await sendUnsent("nia");
      expect(ids()).toEqual(["old", "new"]);
      expect(sent[0]!.body.ops).toEqual([{ kind: "set_event", id: "e", field: "title", value: "older, and more" }]);
      for (const id of ["later", "last"]) waiting.set(id, change(id));
      const { by, text } = await findUnsent("nia");
      expect(by).toEqual([{ timeline: "t1", changes: 3 }]);
      await forgetUnsent("nia");
      expect((await findUnsent("nia")).by).toEqual([]);
      answer = () => Response.json({ seq: 1, changes: [] });
      sent = [];
      expect(await returnUnsent(text)).toMatchObject({ sent: 3, left: 0 });
      expect(ids()).toEqual(["new", "later", "last"]);
    } finally {
      leftInTab.clear();
    }
  });

  it("is sent first, oldest first; what the server would not take stays, with what comes after it", async () => {
    await keep(
      row("nia", "t1", 1),
      row("nia", "t1", 0, JSON.stringify(change("many"))),
      row("nia", "t2", 0),
      row("nia", "t2", 1),
    );
    answer = (path) => (path.includes("/t2/") ? no() : Response.json({ seq: 1, changes: [] }));
    await sendUnsent("nia");
    expect(sent.map((s) => [s.path, s.body.id])).toEqual([
      ["/api/timelines/t1/changes", "many"],
      ["/api/timelines/t1/changes", "niat11"],
      ["/api/timelines/t2/changes", "niat20"],
    ]);
    expect(sent[0]!.body).toEqual({ id: "many", base: 3, ops: change("many").ops });
    expect((await findUnsent("nia")).by).toEqual([{ timeline: "t2", changes: 2 }]);
  });

  it("is theirs alone: what others wrote on this device is neither sent, shown, saved nor thrown away with it", async () => {
    await keep(row("nia", "t1", 0), row("obi", "t1", 0), row("obi", "t9", 0), row("nobody", "local", 0));
    await sendUnsent("obi");
    expect(ids()).toEqual(["obit10", "obit90"]);
    await keep(row("obi", "t1", 1));
    const { by, text } = await findUnsent("obi");
    expect(by).toEqual([{ timeline: "t1", changes: 1 }]);
    expect(text).not.toContain("nia");
    await forgetUnsent("obi");
    expect((await findUnsent("obi")).by).toEqual([]);
    expect((await findUnsent("nia")).by).toEqual([{ timeline: "t1", changes: 1 }]);
    // What is kept without an account stays what it is too.
    expect((await findUnsent("nobody")).by).toEqual([{ timeline: "local", changes: 1 }]);
    // An id that begins as another does is another's.
    expect((await findUnsent("ni")).by).toEqual([]);
  });
});

describe("a file of what was not sent", () => {
  it("is what was found, and comes back in its order, each once", async () => {
    await keep(row("nia", "t1", 10), row("nia", "t1", 2), row("nia", "t2", 0, JSON.stringify(change("many"))));
    const { text } = await findUnsent("nia");
    expect(await returnUnsent(text)).toEqual({ sent: 3, left: 0, timelines: ["t1", "t2"], why: "" });
    expect(ids()).toEqual(["niat12", "niat110", "many"]);
  });

  it("says what of it the server would not take, and why; of that timeline nothing later is sent", async () => {
    await keep(row("nia", "t1", 0), row("nia", "t1", 1), row("nia", "t2", 0));
    const { text } = await findUnsent("nia");
    answer = (path) => (path.includes("/t1/") ? no() : Response.json({ seq: 1, changes: [] }));
    expect(await returnUnsent(text)).toEqual({ sent: 1, left: 2, timelines: ["t2"], why: "There is nothing here." });
    expect(ids()).toEqual(["niat10", "niat20"]);
  });

  it.each([
    ["no JSON", "When,Title"],
    ["no list", '{"scope":"nia/t1"}'],
    ["no changes", '[{"scope":"nia/t1"}]'],
    ["a path in place of a timeline", '[{"scope":"nia/../../account","change":{"id":"a","base":0,"ops":[]}}]'],
    ["steps that are none", '[{"scope":"nia/t1","change":{"id":"a","base":0,"ops":"x"}}]'],
    ["a text that is no change", '[{"scope":"nia/t1","change":"{"}]'],
    ["one row among good ones", JSON.stringify([row("nia", "t1", 0), null])],
  ])("is none where it holds %s; nothing is sent then", async (_, text) => {
    expect(await returnUnsent(text)).toBeNull();
    expect(sent).toEqual([]);
  });
});

describe("a device of one's own", () => {
  it("is one that somebody has said is theirs, in a browser that keeps pages", async () => {
    expect([isOwnDevice(), await keepThisPage("build")]).toEqual([false, false]);
    vi.stubGlobal("localStorage", { getItem: () => "yes" });
    expect(isOwnDevice()).toBe(true);
    vi.stubGlobal("navigator", {});
    vi.stubGlobal("window", { isSecureContext: true });
    expect(await keepThisPage("build")).toBe(false);
    vi.stubGlobal("localStorage", {
      getItem: () => {
        throw new DOMException("denied", "SecurityError");
      },
    });
    expect(isOwnDevice()).toBe(false);
  });
});
