import * as fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Op } from "@/core/change/change";
import { blocksOf, plainTextOf } from "@/core/text/description";
import { readWhen } from "@/core/time/read/read-when";
import { UNDATED } from "@/core/time/when";
import { orderOf, rowsOf } from "@/core/timeline/order";
import { readLine } from "@/core/timeline/read-line";
import { categoriesOf, itemsOf, type Timeline } from "@/core/timeline/timeline";
import { EVENT, valuesOf } from "@/core/timeline/fields";
import {
  addAt,
  addLines,
  categoryFor,
  dateEvent,
  insertBeside,
  insertChapter,
  isUntouched,
  makePartOf,
  moveByKey,
  moveCategory,
  moveItem,
  moveUndated,
  placedByHand,
  putCategory,
  putLabelsBack,
} from "./event-deeds";
import { moveItemTo } from "./media-deeds";
import { chance, Disk, World } from "./testing/world";
import type { TimelineStore } from "./timeline-store";

const opened = (...ops: Op[]): TimelineStore => {
  const { store } = new World().open("nia", new Disk());
  store.edit(ops);
  return store;
};
const now = (store: TimelineStore): Timeline => store.getState().timeline;
const titles = (store: TimelineStore) => orderOf(now(store).events).map((e) => e.title || e.id);
const idOf = (store: TimelineStore, title: string) => orderOf(now(store).events).find((e) => e.title === title)!.id;
const lines = (store: TimelineStore, ...texts: string[]) =>
  addLines(
    store,
    texts.map((t) => readLine(t)),
  );
/** What somebody sees of a timeline: nothing that is deleted, everything in its order. */
const seen = (t: Timeline) => ({
  rows: rowsOf(t.events).map((e) => [e.id, valuesOf(EVENT, { ...e, when: { ...e.when, place: undefined } })]),
  categories: categoriesOf(t).map((c) => [c.id, c.name]),
  items: rowsOf(t.events).map((e) => itemsOf(t, e.id, "media").map((i) => i.id)),
});

describe("lines that are written", () => {
  it("are events at the end of the order, in the categories they name, made once", () => {
    const store = opened();
    expect(
      lines(store, "1872 Flood #weather", "Fund opens", "1600 Ferry #crossing", "Meeting #weather @Ambrelford +ice"),
    ).toHaveProperty("id");
    expect(titles(store)).toEqual(["Ferry", "Flood", "Fund opens", "Meeting"]);
    expect(categoriesOf(now(store)).map((c) => c.name)).toEqual(["Weather", "Crossing"]);
    const meeting = now(store).events.get(idOf(store, "Meeting"))!;
    expect([meeting.place, meeting.tags]).toEqual(["Ambrelford", ["ice"]]);
    store.undo();
    expect([titles(store), categoriesOf(now(store))]).toEqual([[], []]);
    store.redo();
    expect(titles(store)).toEqual(["Ferry", "Flood", "Fund opens", "Meeting"]);
  });

  it("find a category that is there by its first word, and never one that is deleted", () => {
    const store = opened(
      { kind: "add_category", id: "c", fields: { name: "River crossings", place: "a0" } },
      { kind: "add_category", id: "d", fields: { name: "Weather", place: "a1" } },
      { kind: "delete_category", id: "d" },
    );
    expect(categoryFor(now(store), "river")).toEqual({ id: "c", ops: [] });
    expect(categoryFor(now(store), "rivercrossings")).toEqual({ id: "c", ops: [] });
    const made = categoryFor(now(store), "weather");
    expect(made.id).not.toBe("d");
    expect(made.ops).toMatchObject([{ kind: "add_category", fields: { name: "Weather" } }]);
    // Each gets a look that no other has.
    const looks = new Set<string>();
    for (const word of ["trade", "people", "law", "bell", "school"]) {
      const { id, ops } = categoryFor(now(store), word);
      store.edit(ops);
      const { colour, pattern } = now(store).categories.get(id)!;
      looks.add(`${colour} ${pattern}`);
    }
    expect(looks.size).toBe(5);
  });

  it("bring the paragraph that was pasted with them", () => {
    const store = opened();
    const done = addLines(store, [{ ...readLine("1872 Flood"), description: "The bell was rung by hand." }]);
    expect(plainTextOf(blocksOf(now(store).events.get((done as { id: string }).id)!.description))).toBe(
      "The bell was rung by hand.",
    );
  });

  it("are as many changes as they need, and the last of them is the one that is undone first", () => {
    const store = opened();
    const many = Array.from({ length: 4_500 }, (_, i) => `${1000 + (i % 900)} Event ${i}`);
    expect(lines(store, ...many)).toHaveProperty("id");
    expect(now(store).events.size).toBe(4_500);
    store.undo();
    expect(titles(store)).toHaveLength(4_000);
    store.undo();
    expect(titles(store)).toHaveLength(0);
  });

  it("that are too many are refused with a sentence", () => {
    const store = opened();
    const done = lines(store, `1872 ${"x".repeat(301)}`);
    expect(done).toHaveProperty("problem", expect.stringMatching(/300/));
    expect(titles(store)).toEqual([]);
  });
});

describe("a date that is given", () => {
  it("keeps the place an event had among those without one, for when it loses it again", () => {
    const store = opened();
    lines(store, "1600 Ferry", "Meeting", "Fund");
    const id = idOf(store, "Fund");
    const { place } = now(store).events.get(id)!.when;
    expect(place).toBeDefined();
    expect(dateEvent(store, id, "1500")).toBeNull();
    expect(titles(store)).toEqual(["Fund", "Ferry", "Meeting"]);
    expect(now(store).events.get(id)!.when).toMatchObject({ typed: "1500", place });
    dateEvent(store, id, "");
    expect(titles(store)).toEqual(["Ferry", "Meeting", "Fund"]);
  });

  it("says for the whole timeline that it goes through one day, in the same change", () => {
    const store = opened({ kind: "add_event", id: "a", fields: { title: "Bell", when: UNDATED } });
    dateEvent(store, "a", "22:10");
    expect(now(store).timesOn).not.toBeNull();
    store.undo();
    expect([now(store).timesOn, now(store).events.get("a")!.when.typed]).toEqual([null, ""]);
  });
});

describe("an event that is made where one points", () => {
  it("has the date that is meant there, or stands beside its neighbour, or at the end", () => {
    const store = opened();
    lines(store, "1600 Ferry #crossing", "1900 Viaduct");
    const dated = addAt(store, { date: "1840s", before: null, after: null });
    expect(now(store).events.get(dated)!.when.typed).toBe("1840s");
    const ferry = idOf(store, "Ferry");
    const after = addAt(store, { date: null, before: ferry, after: null });
    expect(titles(store)).toEqual(["Ferry", after, dated, "Viaduct"]);
    // It is of the category of the one it stands beside.
    expect(now(store).events.get(after)!.category).toBe(now(store).events.get(ferry)!.category);
    const before = addAt(store, { date: null, before: null, after: ferry });
    expect(titles(store)).toEqual([before, "Ferry", after, dated, "Viaduct"]);
    const end = addAt(store, { date: null, before: null, after: null });
    expect(titles(store).at(-1)).toBe(end);
  });

  it("is part of what a close-up shows", () => {
    const store = opened();
    lines(store, "1872 Flood");
    const flood = idOf(store, "Flood");
    for (const at of [
      { date: "14 Nov 1872", before: null, after: null },
      { date: null, before: flood, after: null },
    ]) {
      const id = addAt(store, at, flood);
      expect(now(store).events.get(id)!.partOf).toBe(flood);
    }
  });

  it("is untouched until something is said of it; another date alone says nothing", () => {
    const store = opened();
    lines(store, "1600 Ferry #crossing");
    const ferry = idOf(store, "Ferry");
    const set = (id: string, field: keyof typeof EVENT, value: unknown) =>
      store.edit([{ kind: "set_event", id, field, value } as Op]);
    for (const [field, value] of [
      ["title", "Bridge"],
      ["shortTitle", "Br."],
      ["place", "Ambrelford"],
      ["tags", ["ice"]],
      ["note", "Ask at the archive"],
      ["emphasis", true],
      ["category", null],
      ["colour", "#aa3300"],
      ["point", { lat: 1, lon: 2 }],
    ] as const) {
      const id = insertBeside(store, ferry, "after");
      const made = now(store).events.get(id)!;
      set(id, "when", readWhen("1700"));
      expect([field, isUntouched(now(store), made)]).toEqual([field, true]);
      set(id, field, value);
      expect([field, isUntouched(now(store), made)]).toEqual([field, false]);
    }
    const id = insertBeside(store, ferry, "after");
    const made = now(store).events.get(id)!;
    store.edit([{ kind: "add_item", id: "m", fields: { of: id, list: "media", place: "a0" } }]);
    expect(isUntouched(now(store), made)).toBe(false);
    store.edit([{ kind: "delete_item", id: "m" }]);
    expect(isUntouched(now(store), made)).toBe(true);
    store.edit([{ kind: "delete_event", id }]);
    expect(isUntouched(now(store), made)).toBe(false);
  });
});

describe("what is moved", () => {
  it("by keys: an event without a date among the others, into what holds it and out again", () => {
    const store = opened();
    lines(store, "1840 - 1900 Railways", "1860 Line opens", "Meeting", "Fund");
    const [meeting, line, railways] = ["Meeting", "Line opens", "Railways"].map((t) => idOf(store, t)) as [
      string,
      string,
      string,
    ];
    expect(moveByKey(store, meeting, "ArrowDown")).toBe(true);
    expect(titles(store)).toEqual(["Railways", "Line opens", "Fund", "Meeting"]);
    moveByKey(store, meeting, "ArrowUp");
    moveByKey(store, meeting, "ArrowUp");
    expect(titles(store)).toEqual(["Railways", "Meeting", "Line opens", "Fund"]);
    moveByKey(store, line, "ArrowUp");
    expect(store.getState().notice).toContain("stands where its date puts it");
    moveByKey(store, line, "ArrowRight");
    expect(now(store).events.get(line)!.partOf).toBe(railways);
    moveByKey(store, line, "ArrowLeft");
    expect(now(store).events.get(line)!.partOf).toBeNull();
    expect(moveByKey(store, line, "Home")).toBe(false);
  });

  it("is never part of itself, of its own part or of a chapter", () => {
    const store = opened();
    lines(store, "1840 - 1900 Railways", "1850 - 1870 Lines", "1860 Line opens");
    const [railways, middle, line] = ["Railways", "Lines", "Line opens"].map((t) => idOf(store, t)) as [
      string,
      string,
      string,
    ];
    makePartOf(store, line, middle);
    makePartOf(store, middle, railways);
    makePartOf(store, railways, line);
    expect(store.getState().notice).toContain("is itself part of");
    expect(now(store).events.get(railways)!.partOf).toBeNull();
    const chapter = insertChapter(store, middle);
    makePartOf(store, chapter, railways);
    makePartOf(store, line, chapter);
    expect(store.getState().notice).toContain("A chapter is part of nothing");
    expect([chapter, line].map((id) => now(store).events.get(id)!.partOf)).toEqual([null, middle]);
    moveByKey(store, chapter, "ArrowRight");
    expect(now(store).events.get(chapter)!.partOf).toBeNull();
    expect(rowsOf(now(store).events).map((e) => e.id)).toEqual([railways, chapter, middle, line]);
    expect(rowsOf(now(store).events).at(-1)!.id).not.toBe(insertChapter(store, null));
  });

  it("by hand on the chart goes back all at once, in one step", () => {
    const store = opened();
    lines(store, "1600 Ferry", "1700 Bridge", "1800 Viaduct");
    for (const t of ["Ferry", "Viaduct"])
      store.edit([{ kind: "set_event", id: idOf(store, t), field: "spot", value: { x: 10, y: -40 } } as Op]);
    store.edit([{ kind: "delete_event", id: idOf(store, "Viaduct") }]);
    expect(placedByHand(now(store).events)).toEqual([idOf(store, "Ferry")]);
    putLabelsBack(store);
    expect(placedByHand(now(store).events)).toEqual([]);
    store.undo();
    expect(placedByHand(now(store).events)).toHaveLength(1);
    store.redo();
    putLabelsBack(store);
    expect(store.getState().canRedo).toBe(false);
  });

  const keys = fc.array(fc.constantFrom("a0", "a1", "a1", "a2", "a2", "a3"), { minLength: 2, maxLength: 7 });

  it("in a key of categories stands where it was put, also where two people gave theirs one place", () => {
    fc.assert(
      fc.property(keys, fc.nat(), fc.nat(), fc.boolean(), (places, from, to, toEnd) => {
        const store = opened(
          ...places.map((place, i): Op => ({ kind: "add_category", id: `c${i}`, fields: { name: `C${i}`, place } })),
        );
        const before = categoriesOf(now(store)).map((c) => c.id);
        const [look, next] = [(from % before.length) + 1, toEnd ? null : (to % before.length) + 1];
        moveCategory(store, look, next);
        const wanted = before.filter((_, i) => i !== look - 1);
        const at = next === null ? wanted.length : next === look ? look - 1 : wanted.indexOf(before[next - 1]!);
        wanted.splice(at, 0, before[look - 1]!);
        expect(categoriesOf(now(store)).map((c) => c.id)).toEqual(wanted);
        putCategory(store, before[0]!, to % before.length);
        const rest = wanted.filter((id) => id !== before[0]);
        rest.splice(to % before.length, 0, before[0]!);
        expect(categoriesOf(now(store)).map((c) => c.id)).toEqual(rest);
      }),
      { seed: 31, numRuns: 300 },
    );
  });

  it("in a list of pictures stands where it was put, by key and by hand", () => {
    fc.assert(
      fc.property(keys, fc.nat(), fc.nat(), (places, from, to) => {
        const store = opened(
          { kind: "add_event", id: "e", fields: { title: "Flood" } },
          ...places.map(
            (place, i): Op => ({ kind: "add_item", id: `m${i}`, fields: { of: "e", list: "media", place } }),
          ),
        );
        const listed = () => itemsOf(now(store), "e", "media").map((i) => i.id);
        const before = listed();
        const id = before[from % before.length]!;
        moveItemTo(store, id, before[to % before.length]!);
        const wanted = before.filter((i) => i !== id);
        wanted.splice(to % before.length, 0, id);
        expect(listed()).toEqual(wanted);
        for (const way of [1, -1] as const) {
          const at = listed().indexOf(id);
          const next = listed();
          if (at + way >= 0 && at + way < next.length) [next[at], next[at + way]] = [next[at + way]!, next[at]!];
          moveItem(store, now(store).items.get(id)!, way);
          expect(listed()).toEqual(next);
        }
      }),
      { seed: 32, numRuns: 300 },
    );
  });
});

describe("whatever is done", () => {
  it("is one step each, and undone step by step comes back as it was; done again it is as it became", () => {
    for (let seed = 1; seed <= 40; seed++) {
      const r = chance(seed);
      const any = <T>(list: readonly T[]): T => list[Math.floor(r() * list.length)]!;
      const store = opened();
      lines(store, "1840 - 1900 Railways #trade", "1860 Line opens #trade", "Meeting #people", "Fund");
      const states = [seen(now(store))];
      for (let n = 0; n < 12; n++) {
        const rows = rowsOf(now(store).events);
        const [one, other] = [any(rows), any(rows)];
        const deeds = [
          () => insertBeside(store, one.id, any(["before", "after"])),
          () => insertChapter(store, any([null, one.id])),
          () => addAt(store, { date: any([null, "1850", "22 Mar 1861"]), before: one.id, after: null }),
          () => dateEvent(store, one.id, any(["1871", "spring 1783", "", "about 1702", "no day at all"])),
          () => makePartOf(store, one.id, other.id),
          () => moveByKey(store, one.id, any(["ArrowUp", "ArrowDown", "ArrowLeft", "ArrowRight"])),
          () => one.id !== other.id && moveUndated(store, one.id, other.id, any(["before", "after"])),
          () => moveCategory(store, 1 + Math.floor(r() * 2), any([null, 1, 2])),
          () => lines(store, any(["1705 Toll #law", "Vote", "1700 - 1710 Bridge #trade"])),
          () => store.edit([{ kind: "delete_event", id: one.id }]),
        ];
        any(deeds)();
        const after = seen(now(store));
        if (JSON.stringify(after) !== JSON.stringify(states.at(-1))) states.push(after);
      }
      // What alters nothing anybody sees may have altered a place in the order: then it is a step all the same.
      const back = [...states].reverse();
      for (const state of back) {
        while (JSON.stringify(seen(now(store))) !== JSON.stringify(state) && store.getState().canUndo) store.undo();
        expect([seed, seen(now(store))]).toEqual([seed, state]);
      }
      for (const state of states) {
        while (JSON.stringify(seen(now(store))) !== JSON.stringify(state) && store.getState().canRedo) store.redo();
        expect([seed, seen(now(store))]).toEqual([seed, state]);
      }
    }
  });
});
