import { ySyncPluginKey } from "@tiptap/y-tiptap";
import { describe, expect, it } from "vitest";
import * as Y from "yjs";
import { apply } from "@/core/change/apply";
import type { Op } from "@/core/change/change";
import { toBase64 } from "@/core/text/base64";
import { blocksOf, FRAGMENT, plainTextOf } from "@/core/text/description";
import { descriptionFrom } from "@/core/text/write-description";
import type { Timeline } from "@/core/timeline/timeline";
import { chance, Disk, type Fault, type Path, World } from "./testing/world";

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

  it("says nothing more of what has been taken back", () => {
    const { store } = new World().open("nia", new Disk());
    store.edit([add("a", "Flood")]);
    store.say("1 event was added.");
    expect(store.getState().notice).toBe("1 event was added.");
    store.undo();
    expect(store.getState().notice).toBeNull();
    store.say("1 event was taken away.");
    store.redo();
    expect(store.getState().notice).toBeNull();
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

  it("asks again for what it was told of and could not get", async () => {
    const w = new World();
    const { store, close } = w.open("nia", new Disk());
    await w.time.pass(100);
    for (const [n, fault] of (["lost", "proxy", "broken"] as const).entries()) {
      let left = 3;
      w.fault = () => (left-- > 0 ? fault : "none");
      w.server.take({ id: `c${n}`, base: 0, ops: [add(`e${n}`)] }, "obi");
      w.tell();
      await w.time.pass(20_000);
      expect([fault, store.getState().timeline.events.size]).toEqual([fault, n + 1]);
    }
    // And no more once it is closed.
    let asked = 0;
    w.fault = () => {
      asked += 1;
      return "lost";
    };
    w.server.take({ id: "late", base: 0, ops: [add("late")] }, "obi");
    w.tell();
    close();
    await w.time.pass(100_000);
    expect(asked).toBe(1);
    // Begun again, it asks again.
    store.start();
    await w.time.pass(2_000);
    w.fault = () => "none";
    await w.time.pass(10_000);
    expect(store.getState().timeline.events.has("late")).toBe(true);
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

describe("an editor far behind", () => {
  const DESCRIBED = "The ferryman's hut, and what is left of it.";
  /** A world in which nia's tab has missed `n` changes of obi's. */
  async function behind(n: number) {
    const w = new World();
    const disk = new Disk();
    w.server.take({ id: "first", base: 0, ops: [add("a", "Flood")] }, "obi");
    const { store } = w.open("nia", disk);
    await w.time.pass(100);
    const asked: Path[] = [];
    w.fault = (path) => {
      asked.push(path);
      return "none";
    };
    for (let i = 0; i < n; i++) w.server.take({ id: `c${i}`, base: 1, ops: [title("a", `Flood ${i}`)] }, "obi");
    return { w, disk, store, asked };
  }

  it("reads the timeline as it stands once, however much was changed", async () => {
    for (const n of [1_000, 5_000]) {
      const { w, store, asked } = await behind(n);
      w.server.take(
        {
          id: "words",
          base: 1,
          ops: [{ kind: "describe", of: "a", update: toBase64(descriptionFrom([DESCRIBED], 7)) }],
        },
        "obi",
      );
      const open = store.docOf("a").doc;
      w.tell();
      await w.time.pass(10_000);
      expect([n, asked]).toEqual([n, ["catch_up", "whole", "catch_up"]]);
      expect(store.getState().timeline.events).toEqual(w.server.timeline.events);
      // A description that is open gets its words too.
      expect(open.getXmlFragment(FRAGMENT).toString()).toContain(DESCRIBED);
      store.edit([title("a", "Mine")]);
      await w.time.pass(1_000);
      expect(w.server.timeline.events.get("a")!.title).toBe("Mine");
    }
  });

  it("reads every change while something of its own is on its way, and says who else changed the same", async () => {
    const { w, store, asked } = await behind(1_000);
    store.edit([title("a", "Mine")]);
    await w.time.pass(10_000);
    expect(asked).not.toContain("whole");
    expect(store.getState().timeline.events).toEqual(w.server.timeline.events);
    expect(store.getState().overlaps).toMatchObject([{ key: "event:a:title", earlierAuthor: "obi", later: "Mine" }]);
  });

  it("keeps what is written while the whole is being read", async () => {
    const { w, store } = await behind(1_000);
    w.tell();
    await w.time.pass(50);
    store.edit([add("b", "Ferry")]);
    await w.time.pass(10_000);
    expect(titles(w.server.timeline)).toContain("Ferry");
    expect(store.getState().timeline.events).toEqual(w.server.timeline.events);
    expect(store.getState()).toMatchObject({ saving: "saved", waiting: 0 });
  });

  it("goes on change by change where the whole cannot be had", async () => {
    const { w, store } = await behind(1_000);
    w.fault = (path) => (path === "whole" ? "broken" : "none");
    w.tell();
    await w.time.pass(10_000);
    expect(store.getState().timeline.events).toEqual(w.server.timeline.events);
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
        else if (what < 0.93) {
          // Closed in the middle of it all, or only left where it asks first, and opened again.
          tab.close();
          if (tab.disk.holding.size === 0) tab.disk.left.clear();
          Object.assign(tab, w.open(tab.account, tab.disk));
        } else if (what < 0.96) tab.disk.isFull = !tab.disk.isFull;
        else w.deaf = !w.deaf;
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

describe("undo", () => {
  it("survives a reload of the tab, and leaves what others have changed since", async () => {
    const world = new World();
    const disk = new Disk();
    const first = world.open("nia", disk);
    first.store.edit([{ kind: "add_event", id: "u1", fields: { title: "Ferry" } }]);
    first.store.edit([{ kind: "set_event", id: "u1", field: "title", value: "Boat" }]);
    first.store.edit([{ kind: "set_event", id: "u1", field: "place", value: "East bank" }]);
    await world.time.pass(5_000);
    first.close();
    const second = world.open("nia", disk);
    await world.time.pass(1_000);
    expect(second.store.getState().canUndo).toBe(true);
    second.store.undo();
    expect(second.store.getState().timeline.events.get("u1")).toMatchObject({ title: "Boat", place: "" });
    second.store.undo();
    second.store.redo();
    expect(second.store.getState().timeline.events.get("u1")!.title).toBe("Boat");
    await world.time.pass(2_000);
    second.close();
    const other = world.open("obi", new Disk());
    other.store.edit([{ kind: "set_event", id: "u1", field: "title", value: "Theirs" }]);
    await world.time.pass(2_000);
    const third = world.open("nia", disk);
    third.store.undo();
    expect(third.store.getState().timeline.events.get("u1")!.title).toBe("Theirs");
    expect(third.store.getState().notice).toContain("changed");
    third.close();
    other.close();
  });

  it("takes back words of a description that were written before the reload, in their turn, and leaves what others wrote", async () => {
    const world = new World();
    const disk = new Disk();
    const first = world.open("nia", disk);
    first.store.edit([add("d", "Flood")]);
    const write = (words: string, at = 0, cut = 0) => {
      const { doc, undo } = first.store.docOf("d");
      undo.trackedOrigins.add(ySyncPluginKey);
      doc.transact(() => {
        const all = doc.getXmlFragment(FRAGMENT);
        if (all.length === 0) {
          const p = new Y.XmlElement("paragraph");
          p.insert(0, [new Y.XmlText()]);
          all.insert(0, [p]);
        }
        const text = (all.get(0) as Y.XmlElement).get(0) as Y.XmlText;
        if (cut > 0) text.delete(at, cut);
        text.insert(at, words);
      }, ySyncPluginKey);
      undo.stopCapturing();
    };
    const said = (store: typeof first.store) =>
      plainTextOf(blocksOf(store.getState().timeline.events.get("d")!.description));
    write("The river rose.");
    first.store.edit([title("d", "The flood")]);
    write("A river fell", 0, 14);
    write("And ", 0);
    first.store.undo();
    expect(said(first.store)).toBe("A river fell.");
    await world.time.pass(5_000);
    first.close();

    const second = world.open("nia", disk);
    await world.time.pass(1_000);
    expect(second.store.isLeftWords("d", "undo")).toBe(true);
    second.store.redo();
    expect(said(second.store)).toBe("And A river fell.");
    second.store.undo();
    second.store.undo();
    expect(said(second.store)).toBe("The river rose.");
    expect(second.store.getState().timeline.events.get("d")!.title).toBe("The flood");
    second.store.undo();
    expect(second.store.getState().timeline.events.get("d")!.title).toBe("Flood");
    second.store.undo();
    expect(said(second.store)).toBe("");
    second.store.redo();
    expect(said(second.store)).toBe("The river rose.");
    await world.time.pass(2_000);
    second.close();

    const other = world.open("obi", new Disk());
    other.store.docOf("d").doc.transact(() => {
      const p = new Y.XmlElement("paragraph");
      p.insert(0, [new Y.XmlText("Obi wrote this.")]);
      other.store.docOf("d").doc.getXmlFragment(FRAGMENT).insert(0, [p]);
    }, ySyncPluginKey);
    await world.time.pass(2_000);
    const third = world.open("nia", disk);
    third.store.undo();
    expect(said(third.store)).toBe("Obi wrote this.");
    third.close();
    other.close();
  });
});
