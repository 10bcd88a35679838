import { describe, expect, it } from "vitest";
import type { Op } from "@/core/change/change";
import type { Timeline } from "@/core/timeline/timeline";
import { Disk, World } from "./testing/world";

const add = (id: string, title: string): Op => ({ kind: "add_event", id, fields: { title } });
const title = (id: string, value: string): Op => ({ kind: "set_event", id, field: "title", value });
const titles = (t: Timeline) => [...t.events.values()].map((e) => e.title).sort();

describe("a device whose disk takes nothing more", () => {
  it("is said to be so while something is in the tab alone, which does not go unasked, until the disk or the server has it", async () => {
    const w = new World();
    const disk = new Disk();
    const { store } = w.open("nia", disk);
    await w.time.pass(100);
    const stands = () => {
      const { isKept, notice, waiting } = store.getState();
      return { isKept, said: notice !== null, waiting, held: disk.holding.size > 0 };
    };
    w.fault = () => "lost";
    store.edit([add("a", "Flood")]);
    // Until it is on the disk the page is held, which is a moment.
    expect(disk.holding.size).toBe(1);
    await w.time.pass(100);
    expect(stands()).toEqual({ isKept: true, said: false, waiting: 1, held: false });
    disk.isFull = true;
    store.edit([add("b", "Ferry")]);
    store.edit([title("b", "Rope ferry")]);
    await w.time.pass(60_000);
    expect(stands()).toEqual({ isKept: false, said: true, waiting: 3, held: true });
    expect(disk.pending.size).toBe(1);
    // Room is made: what is missing comes to stand in its order.
    disk.isFull = false;
    await w.time.pass(6_000);
    expect(stands()).toEqual({ isKept: true, said: false, waiting: 3, held: false });
    const kept = [...disk.pending].sort(([a], [b]) => (a < b ? -1 : 1)).flatMap(([, { change }]) => change.ops);
    expect(kept).toEqual([add("a", "Flood"), add("b", "Ferry"), title("b", "Rope ferry")]);
    // The server has it: it need not be on the disk.
    disk.isFull = true;
    store.edit([add("c", "Ice")]);
    await w.time.pass(100);
    expect(stands()).toEqual({ isKept: false, said: true, waiting: 4, held: true });
    w.fault = () => "none";
    await w.time.pass(20_000);
    expect(stands()).toEqual({ isKept: true, said: false, waiting: 0, held: false });
    expect(titles(w.server.timeline)).toEqual(["Flood", "Ice", "Rope ferry"]);
  });

  it("has the whole of what was typed there, also where its first letters lay on the disk before it was full", async () => {
    const w = new World();
    w.server.take({ id: "first", base: 0, ops: [add("a", "")] }, "nia");
    const disk = new Disk();
    const one = w.open("nia", disk);
    await w.time.pass(100);
    w.fault = () => "lost";
    one.store.edit([title("a", "F")], "title:a");
    await w.time.pass(50);
    disk.isFull = true;
    one.store.edit([title("a", "Flood")], "title:a");
    await w.time.pass(1_000);
    one.close();
    disk.isFull = false;
    const two = w.open("nia", disk);
    await w.time.pass(100);
    expect(titles(two.store.getState().timeline)).toEqual(["Flood"]);
    expect([...disk.pending.values()].map((p) => p.change.ops)).toEqual([[title("a", "Flood")]]);
    w.fault = () => "none";
    await w.time.pass(20_000);
    expect(titles(w.server.timeline)).toEqual(["Flood"]);
    expect(disk.pending.size).toBe(0);
  });

  it("keeps in the tab what is left within it, and sends it when the timeline is opened there again", async () => {
    const w = new World();
    const disk = new Disk();
    const one = w.open("nia", disk);
    await w.time.pass(100);
    w.fault = () => "lost";
    one.store.edit([add("a", "Flood")]);
    await w.time.pass(100);
    disk.isFull = true;
    one.store.edit([add("b", "Ferry")]);
    await w.time.pass(100);
    one.close();
    expect(disk.holding.size).toBe(1);
    await w.time.pass(10_000);
    // Somebody else finds nothing of it.
    const other = w.open("obi", new Disk());
    await w.time.pass(100);
    expect(other.store.getState().waiting).toBe(0);
    const two = w.open("nia", disk);
    await w.time.pass(100);
    expect(two.store.getState()).toMatchObject({ waiting: 2, isKept: false });
    disk.isFull = false;
    await w.time.pass(6_000);
    expect(two.store.getState()).toMatchObject({ waiting: 2, isKept: true });
    expect(disk.holding.size).toBe(0);
    expect(disk.pending.size).toBe(2);
    w.fault = () => "none";
    await w.time.pass(20_000);
    expect(titles(w.server.timeline)).toEqual(["Ferry", "Flood"]);
    expect([...disk.pending]).toEqual([]);
  });
});
