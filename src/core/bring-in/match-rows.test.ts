import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readWhen } from "../time/read/read-when";
import { dateKey, type KnownEvent, matchRows } from "./match-rows";
import type { BroughtRow } from "./put-together";

const event = (id: string, title: string, when = "", more: Partial<KnownEvent> = {}): KnownEvent => ({
  id,
  title,
  when: readWhen(when),
  origin: "",
  given: null,
  ...more,
});
const row = (number: number, title: string, when = "", origin = ""): BroughtRow => ({
  number,
  origin,
  typed: when,
  when: readWhen(when),
  cells: { title },
  partOfRow: null,
  description: [],
  more: 0,
  pictures: [],
  point: null,
});
const pairs = (events: KnownEvent[], rows: BroughtRow[]) => {
  const { events: found, absent } = matchRows(events, rows);
  return [Object.fromEntries(found), absent] as const;
};

describe("which rows are events that are there already", () => {
  it.each<[string, KnownEvent[], BroughtRow[], Record<number, string>, string[]]>([
    [
      "by title and date, however they are written",
      [event("a", "Rope ferry", "1604")],
      [row(1, " rope FERRY ", "AD 1604")],
      { 1: "a" },
      [],
    ],
    [
      "by what a row is known by, whatever it is called now",
      [event("a", "Ferry", "1604", { origin: "7" })],
      [row(1, "Bridge", "1783", "7")],
      { 1: "a" },
      [],
    ],
    [
      "by the event's own id, where a table was taken out of the timeline",
      [event("a", "Ferry", "1604")],
      [row(1, "Bridge", "1783", "a")],
      { 1: "a" },
      [],
    ],
    [
      "by a title that stands once on either side, though the date is another",
      [event("a", "Ferry", "1604"), event("b", "Mill", "1700")],
      [row(1, "Ferry", "1605")],
      { 1: "a" },
      ["b"],
    ],
    [
      "not by a title that stands twice among the events",
      [event("a", "Flood", "1604"), event("b", "Flood", "1783")],
      [row(1, "Flood", "1900")],
      {},
      ["a", "b"],
    ],
    [
      "not by a title that stands twice among the rows",
      [event("a", "Flood", "1604")],
      [row(1, "Flood", "1783"), row(2, "Flood", "1900")],
      {},
      ["a"],
    ],
    [
      "not by a name where both have a number of their own",
      [event("a", "Ferry", "1604", { origin: "7" })],
      [row(1, "Ferry", "1604", "8")],
      {},
      ["a"],
    ],
    [
      "by its name where the table has no numbers, whatever the event has",
      [event("a", "Ferry", "1604", { origin: "7" })],
      [row(1, "Ferry", "1604")],
      { 1: "a" },
      [],
    ],
    [
      "alike ones in their order, one each",
      [event("a", "Flood", "1783"), event("b", "Flood", "1783")],
      [row(1, "Flood", "1783"), row(2, "Flood", "1783"), row(3, "Flood", "1783")],
      { 1: "a", 2: "b" },
      [],
    ],
    ["without a title by nothing", [event("a", "", "1604")], [row(1, "", "1604")], {}, ["a"]],
    [
      "what a teacher gave is not said to be missing",
      [event("a", "Ferry", "1604", { given: "g1" }), event("b", "Mill")],
      [],
      {},
      ["b"],
    ],
    [
      "undated ones by what stands there",
      [event("a", "Ferry", "some day"), event("b", "Ferry", "another")],
      [row(1, "Ferry", "another")],
      { 1: "b" },
      ["a"],
    ],
  ])("%s", (_, events, rows, found, absent) => {
    expect(pairs(events, rows)).toEqual([found, absent]);
  });

  it("is the event with that number even where another has its title and date", () => {
    const events = [event("a", "Ferry", "1604"), event("b", "Bridge", "1783", { origin: "7" })];
    expect(pairs(events, [row(1, "Ferry", "1604", "7"), row(2, "Ferry", "1604")])).toEqual([{ 1: "b", 2: "a" }, []]);
  });

  const title = fc.constantFrom("Ferry", "ferry ", "Mill", "Flood", "");
  const when = fc.constantFrom("1604", "1783", "", "some day", "AD 1604");
  const origin = fc.constantFrom("", "", "1", "2", "e1");
  const events = fc
    .array(fc.tuple(title, when, origin, fc.constantFrom(null, null, "g")), { maxLength: 8 })
    .map((list) => list.map(([t, w, o, given], i) => event(`e${i}`, t, w, { origin: o, given })));
  const rows = fc
    .array(fc.tuple(title, when, origin), { maxLength: 8 })
    .map((list) => list.map(([t, w, o], i) => row(i + 1, t, w, o)));

  it("gives each event to one row at most, and tells each of the others but given ones as absent, in order", () => {
    fc.assert(
      fc.property(events, rows, (es, rs) => {
        const { events: found, absent } = matchRows(es, rs);
        const taken = [...found.values()];
        expect(new Set(taken).size).toBe(taken.length);
        for (const number of found.keys()) expect(rs.some((r) => r.number === number)).toBe(true);
        expect(absent).toEqual(es.filter((e) => !taken.includes(e.id) && e.given === null).map((e) => e.id));
      }),
      { numRuns: 400, seed: 1604 },
    );
  });

  it("finds every event again in a table of all of them, whatever the order of its rows", () => {
    const own = events.map((es) => es.map((e) => ({ ...e, origin: "" })));
    fc.assert(
      fc.property(own, fc.infiniteStream(fc.nat(1_000)), (es, lots) => {
        const rs = es.map((e, i) => row(i + 1, e.title, e.when.typed, e.id));
        const mixed = rs.map((r) => [lots.next().value, r] as const).sort((a, b) => a[0] - b[0]);
        const { events: found, absent } = matchRows(
          es,
          mixed.map(([, r]) => r),
        );
        expect([Object.fromEntries(found), absent]).toEqual([Object.fromEntries(es.map((e, i) => [i + 1, e.id])), []]);
      }),
      { numRuns: 200, seed: 1783 },
    );
  });
});

describe("what a date means", () => {
  it.each([
    ["1604", "AD 1604", true],
    ["17 Aug 1851", "1851-08-17", true],
    ["about 1604", "1604", false],
    ["1604 - 1610", "1604", false],
    ["some day", " some day ", true],
    ["some day", "another", false],
    ["", "1604", false],
  ])("%s and %s: the same is %s", (a, b, same) => {
    expect(dateKey(readWhen(a)) === dateKey(readWhen(b))).toBe(same);
  });
});
