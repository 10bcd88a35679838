import { describe, expect, it } from "vitest";
import type { Op } from "@/core/change/change";
import { Disk, World } from "./testing/world";
import type { TimelineStore } from "./timeline-store";

const add = (id: string, title = ""): Op => ({ kind: "add_event", id, fields: { title } });

describe("what is published", () => {
  const later = (store: TimelineStore) => store.getState().publication?.laterChanges;

  it("is behind by what was saved since, whether that is told of or not", async () => {
    const w = new World();
    w.shown = 0;
    const [nia, obi] = [w.open("nia", new Disk()).store, w.open("obi", new Disk()).store];
    await w.time.pass(200);
    expect(later(nia)).toBe(0);
    // The notice of one's own change comes after its answer, or never: nothing is asked for then.
    w.deaf = true;
    nia.edit([add("a", "Flood")]);
    expect(later(nia)).toBe(0);
    await w.time.pass(2_000);
    expect(nia.getState().saving).toBe("saved");
    expect([later(nia), later(obi)]).toEqual([1, 0]);
    w.deaf = false;
    obi.edit([add("b", "Ferry")]);
    await w.time.pass(2_000);
    expect([later(nia), later(obi)]).toEqual([2, 2]);
  });

  it("stays as publishing was answered, whatever was under way meanwhile", async () => {
    const w = new World();
    w.shown = 0;
    const { store } = w.open("nia", new Disk());
    store.edit([add("a", "Flood")]);
    await w.time.pass(2_000);
    expect(later(store)).toBe(1);
    // Asked for before it was published, and answered afterwards with what was read before.
    const old = w.publication();
    w.publication = () => old;
    void store.refresh();
    w.shown = 1;
    const { publication } = World.prototype;
    store.setPublication(publication.call(w));
    expect(later(store)).toBe(0);
    await w.time.pass(20);
    const seen: (number | undefined)[] = [];
    store.subscribe(() => seen.push(store.getState().publication?.seq));
    // The first answer is let go of; the second is what is true by then.
    await w.time.pass(15);
    w.publication = publication;
    await w.time.pass(1_000);
    expect(seen).not.toContain(0);
    expect(store.getState().publication).toMatchObject({ seq: 1, laterChanges: 0 });
  });
});
