import { describe, expect, it } from "vitest";
import type { Op } from "@/core/change/change";
import type { Timeline } from "@/core/timeline/timeline";
import { Disk, type Fault, type Path, World } from "./testing/world";

const add = (id: string, title = ""): Op => ({ kind: "add_event", id, fields: { title } });
const titles = (t: Timeline) => [...t.events.values()].map((e) => e.title).sort();

describe("what is heard of while something of one's own is on its way", () => {
  function opened() {
    const w = new World();
    const asked: Path[] = [];
    const { store } = w.open("nia", new Disk());
    const listen = (fault: (path: Path) => Fault) => {
      w.fault = (path) => {
        asked.push(path);
        return fault(path);
      };
    };
    return { w, store, asked, listen };
  }

  it("is not asked for where it was that", async () => {
    const { w, store, asked, listen } = opened();
    await w.time.pass(100);
    listen(() => "none");
    for (const id of ["a", "b", "c"]) {
      store.edit([add(id)]);
      await w.time.pass(1_000);
    }
    expect(asked).toEqual(["send", "send", "send"]);
    expect(store.getState().saving).toBe("saved");
  });

  it("is asked for at once where others were at work too: who they are is not in an answer", async () => {
    const { w, store, asked, listen } = opened();
    await w.time.pass(100);
    listen(() => "none");
    store.edit([add("a", "Flood")]);
    w.server.take({ id: "theirs", base: 0, ops: [add("b", "Bridge")] }, "obi");
    w.tell();
    await w.time.pass(100);
    expect(asked).toEqual(["send", "catch_up"]);
    expect(titles(store.getState().timeline)).toEqual(["Bridge", "Flood"]);
  });

  it("is asked for after half a second where no answer comes", async () => {
    const { w, store, asked, listen } = opened();
    await w.time.pass(100);
    listen((path) => (path === "send" ? "never" : "none"));
    store.edit([add("a", "Flood")]);
    w.server.take({ id: "theirs", base: 0, ops: [add("b", "Bridge")] }, "obi");
    w.tell();
    await w.time.pass(450);
    expect(asked).toEqual(["send"]);
    await w.time.pass(100);
    expect(asked).toEqual(["send", "catch_up"]);
    expect(titles(store.getState().timeline)).toEqual(["Bridge", "Flood"]);
  });
});
