import { describe, expect, it } from "vitest";
import type { Op } from "@/core/change/change";
import { readWhen } from "@/core/time/read/read-when";
import { orderOf, rowsOf } from "@/core/timeline/order";
import { itemsOf } from "@/core/timeline/timeline";
import { deleteEvents, duplicateEvents, moveDates, setMany } from "./many-events";
import { Disk, World } from "./testing/world";
import type { TimelineStore } from "./timeline-store";

const add = (id: string, typed: string, more: object = {}): Op => ({
  kind: "add_event",
  id,
  fields: { title: id, when: readWhen(typed), ...more },
});
const opened = (...ops: Op[]): TimelineStore => {
  const { store } = new World().open("nia", new Disk());
  store.edit(ops);
  return store;
};
const get = (store: TimelineStore, id: string) => store.getState().timeline.events.get(id)!;
const ids = (store: TimelineStore) => orderOf(store.getState().timeline.events).map((e) => e.id);
const FERRY = [
  add("ferry", "1604"),
  add("bridge", "1744 - 1783"),
  add("viaduct", "1889"),
  add("part", "", { chapter: true }),
];
const ALL = ["ferry", "bridge", "viaduct", "part", "gone"];

describe("several events at once", () => {
  it("get one thing in one step; a chapter between them, and what is gone, do not", () => {
    const store = opened(...FERRY, { kind: "add_category", id: "c", fields: { name: "Crossing" } });
    for (const [field, value, empty] of [
      ["category", "c", null],
      ["emphasis", true, false],
      ["done", 40, null],
      ["sign", "bird", ""],
    ] as const) {
      expect(setMany(store, ALL, field, value)).toBeNull();
      expect(["ferry", "bridge", "viaduct", "part"].map((id) => get(store, id)[field])).toEqual([
        value,
        value,
        value,
        empty,
      ]);
      store.undo();
      expect(get(store, "ferry")[field]).toEqual(empty);
    }
  });

  it("become part of another, but for those it is part of itself, and it", () => {
    const store = opened(...FERRY, add("railways", "1800 - 1950"), add("age", "1700 - 2000"));
    setMany(store, ["railways"], "partOf", "age");
    expect(setMany(store, [...ALL, "railways", "age"], "partOf", "railways")).toBeNull();
    expect(["ferry", "bridge", "viaduct", "part", "railways", "age"].map((id) => get(store, id).partOf)).toEqual([
      "railways",
      "railways",
      "railways",
      null,
      "age",
      null,
    ]);
    setMany(store, ALL, "partOf", null);
    expect(get(store, "ferry").partOf).toBeNull();
  });

  it("get a tag and lose it, whatever its capitals; several are parted by commas, and none is there twice", () => {
    const store = opened(...FERRY);
    setMany(store, ["ferry"], "addTag", "River");
    setMany(store, ["ferry", "bridge", "part"], "addTag", "river");
    expect([get(store, "ferry").tags, get(store, "bridge").tags, get(store, "part").tags]).toEqual([
      ["River"],
      ["river"],
      [],
    ]);
    setMany(store, ["bridge"], "addTag", "toll, stone");
    expect(get(store, "bridge").tags).toEqual(["river", "toll", "stone"]);
    setMany(store, ALL, "takeTag", "RIVER");
    expect([get(store, "ferry").tags, get(store, "bridge").tags]).toEqual([[], ["toll", "stone"]]);
    // What nobody has is no change, and nothing to undo.
    setMany(store, ALL, "takeTag", "nobody");
    store.undo();
    expect(get(store, "ferry").tags).toEqual(["River"]);
  });

  it("that have no room for another tag are counted, and the others get it; what is too long is given to none", () => {
    const many = Array.from({ length: 30 }, (_, i) => `t${i}`);
    const store = opened(...FERRY, { kind: "set_event", id: "ferry", field: "tags", value: many } as Op);
    expect(setMany(store, ["ferry", "bridge"], "addTag", "ice")).toMatch(/^1 event has no room/);
    expect([get(store, "ferry").tags, get(store, "bridge").tags]).toEqual([many, ["ice"]]);
    expect(setMany(store, ["bridge", "viaduct"], "addTag", "x".repeat(41))).toMatch(/^2 events have no room/);
    expect(get(store, "viaduct").tags).toEqual([]);
  });
});

describe("the dates of several events", () => {
  it("move together; given ones stay, those without one have none to move, and both are counted", () => {
    const store = opened(...FERRY, add("meeting", ""), add("bell", "1851"));
    const locked = store.getState().timeline.events.get("bell")!;
    Object.assign(locked, { locked: true });
    expect(moveDates(store, [...ALL, "meeting", "bell"], { amount: 10, unit: "years" })).toEqual({
      moved: 3,
      stayed: 0,
      without: 3,
      problem: null,
    });
    expect(["ferry", "bridge", "viaduct", "bell"].map((id) => get(store, id).when.typed)).toEqual([
      "1614",
      "1754 – 1793",
      "1899",
      "1851",
    ]);
    store.undo();
    expect(get(store, "ferry").when.typed).toBe("1604");
    expect(moveDates(store, ["ferry"], { amount: 1, unit: "days" })).toMatchObject({ moved: 0 });
  });
});

describe("several events that are deleted, or made once more", () => {
  it("go in one step, but for those the teacher gave", () => {
    const store = opened(...FERRY);
    Object.assign(get(store, "bridge"), { given: "g" });
    expect(deleteEvents(store, ["ferry", "bridge", "viaduct"])).toBe(1);
    expect(ids(store)).toEqual(["bridge"]);
    store.undo();
    expect(ids(store)).toEqual(["ferry", "bridge", "viaduct"]);
  });

  it("stand directly after what they were made of, with all it has", () => {
    const store = opened(
      ...FERRY,
      { kind: "add_item", id: "m", fields: { of: "ferry", list: "link", text: "The ferry", place: "a0" } },
      { kind: "set_event", id: "ferry", field: "tags", value: ["river"] } as Op,
    );
    const made = duplicateEvents(store, ["ferry", "viaduct"]);
    expect(made).toHaveLength(2);
    expect(ids(store)).toHaveLength(5);
    const copy = get(store, made[0]!);
    expect([copy.when.typed, copy.tags]).toEqual(["1604", ["river"]]);
    expect(itemsOf(store.getState().timeline, made[0]!, "link").map((i) => i.text)).toEqual(["The ferry"]);
    store.undo();
    expect(rowsOf(store.getState().timeline.events)).toHaveLength(4);
    expect(duplicateEvents(store, [])).toEqual([]);
  });
});
