import type { Cut } from "./fields";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readWhen } from "../time/read/read-when";
import { UNDATED } from "../time/when";
import { inOrder } from "./order";
import { placeAfter, placeAtEnd, placeBefore, placesToMove } from "./place";
import { problems } from "./problems";
import { emptyCategory, emptyEvent, emptyItem, emptyTimeline, nextLook, type TimelineEvent } from "./timeline";

const make = (id: string, typed: string, more: Partial<TimelineEvent> = {}): TimelineEvent => ({
  ...emptyEvent(id),
  when: readWhen(typed),
  ...more,
});
const map = (list: TimelineEvent[]) => new Map(list.map((e) => [e.id, e]));
const ids = (events: Iterable<TimelineEvent>) =>
  inOrder(events)
    .map((e) => e.id)
    .join(" ");

describe("the order", () => {
  it("goes by start as written, the longer first, then by hand, then id", () => {
    expect(
      ids([
        make("a", "1872"),
        make("b", "310 BC"),
        make("c", "1840 - 1900"),
        make("d", "1840"),
        make("e", "about 1604"),
      ]),
    ).toBe("b e c d a");
    expect(ids([make("b", "1872"), make("a", "1872"), make("c", "1872", { byHand: "a0" })])).toBe("a b c");
  });

  it("leaves out what is deleted", () => {
    expect(ids([make("a", "1872"), make("b", "1800", { deleted: true })])).toBe("a");
  });

  it("is total, and the same whatever the order of input", () => {
    const date = fc.constantFrom("1872", "1840s", "about 1840", "1840 - 1850", "", "not a date", "310 BC");
    const anchor = fc.constantFrom(null, "e0", "e1", "e2", "gone");
    fc.assert(
      fc.property(fc.array(fc.tuple(date, anchor, fc.constantFrom("a0", "a1", "a2")), { maxLength: 12 }), (list) => {
        const events = list.map(([typed, after, key], i) => {
          const e = make(`e${i}`, typed);
          return e.when.readAs.kind === "undated" ? { ...e, when: { ...e.when, place: { after, key } } } : e;
        });
        const order = ids(events);
        expect(ids([...events].reverse())).toBe(order);
        expect(order === "" ? 0 : order.split(" ").length).toBe(events.length);
      }),
      { seed: 10, numRuns: 400 },
    );
  });
});

/** Beside which event one is put, on which side, and whether somebody else puts another there at the same moment. */
const inserts = (maxLength: number) => fc.array(fc.tuple(fc.nat(), fc.boolean(), fc.boolean()), { maxLength });

describe("a place for an undated event", () => {
  it("is directly before or after the event it was asked for, again and again", () => {
    fc.assert(
      fc.property(inserts(25), (list) => {
        let events = map([make("a", "1600"), make("b", "1700"), make("c", "1800")]);
        for (const [i, [n, before, atOnce]] of list.entries()) {
          const order = inOrder(events.values());
          const at = order[n % order.length]!;
          const id = `n${i}`;
          const place = before ? placeBefore(events, at.id) : placeAfter(events, at.id);
          events = new Map(events).set(id, { ...emptyEvent(id), when: { ...UNDATED, place } });
          const now = inOrder(events.values()).map((e) => e.id);
          expect(now.indexOf(id) - now.indexOf(at.id)).toBe(before ? -1 : 1);
          if (atOnce) events.set(`${id}too`, { ...emptyEvent(`${id}too`), when: { ...UNDATED, place } });
        }
      }),
      { seed: 11, numRuns: 200 },
    );
  });

  it("is where an event without a date was moved to; nothing else changes its place in the order", () => {
    const move = fc.tuple(fc.nat(), fc.nat(), fc.boolean());
    fc.assert(
      fc.property(inserts(8), fc.array(move), (list, moves) => {
        let events = map([make("a", "1600"), make("b", "1700")]);
        for (const [i, [n, before, atOnce]] of list.entries()) {
          const at = inOrder(events.values())[n % events.size]!;
          const place = before ? placeBefore(events, at.id) : placeAfter(events, at.id);
          events = new Map(events).set(`n${i}`, { ...emptyEvent(`n${i}`), when: { ...UNDATED, place } });
          if (atOnce) events.set(`n${i}too`, { ...emptyEvent(`n${i}too`), when: { ...UNDATED, place } });
        }
        for (const [n, m, before] of moves) {
          if (list.length === 0) break;
          const id = `n${n % list.length}${m % 2 === 0 && list[n % list.length]![2] ? "too" : ""}`;
          const order = inOrder(events.values()).map((e) => e.id);
          const target = order[m % order.length]!;
          if (target === id) continue;
          for (const { id: moved, place } of placesToMove(events, id, target, before ? "before" : "after")) {
            const e = events.get(moved)!;
            events = new Map(events).set(moved, { ...e, when: { ...e.when, place } });
          }
          const rest = order.filter((o) => o !== id);
          rest.splice(rest.indexOf(target) + (before ? 0 : 1), 0, id);
          expect(inOrder(events.values()).map((e) => e.id)).toEqual(rest);
        }
      }),
      { seed: 12, numRuns: 300 },
    );
  });

  it("at the end is the end", () => {
    const events = map([make("a", "1600"), make("b", "1700")]);
    const x = { ...emptyEvent("x"), when: { ...UNDATED, place: placeAtEnd(events) } };
    expect(ids([...events.values(), x])).toBe("a b x");
  });
});

describe("findings", () => {
  const base = emptyTimeline("t");
  it("name what lies outside the period, and cut nothing off", () => {
    const t = {
      ...base,
      period: readWhen("1600 - 1900"),
      events: map([make("a", "1931"), make("b", "1700"), make("c", "310 BC")]),
    };
    expect(problems(t)).toEqual([
      { code: "outside_period", event: "a", side: "after" },
      { code: "outside_period", event: "c", side: "before" },
    ]);
  });
  it("name dates that were not understood", () => {
    expect(problems({ ...base, events: map([make("a", "31 Feb 1900")]) })).toMatchObject([
      { code: "date_not_understood", event: "a", typed: "31 Feb 1900" },
    ]);
  });
  it("name a part outside its whole, and a circle", () => {
    const t = {
      ...base,
      events: map([
        make("w", "1872"),
        make("p", "1873", { partOf: "w" }),
        make("x", "1800", { partOf: "y" }),
        make("y", "1800", { partOf: "x" }),
      ]),
    };
    expect(problems(t)).toEqual([
      { code: "part_outside_whole", event: "p", whole: "w", early: 0, late: 365 },
      { code: "part_of_itself", event: "x", whole: "y" },
      { code: "part_of_itself", event: "y", whole: "x" },
    ]);
  });
  it("name a picture without a credit or without words for those who cannot see it, unless its event is deleted", () => {
    const picture = { ...emptyItem("i"), list: "media" as const, kind: "picture" as const, media: "m", of: "a" };
    expect(problems({ ...base, events: map([make("a", "1872")]), items: new Map([["i", picture]]) })).toEqual([
      { code: "no_credit", event: "a", item: "i" },
      { code: "no_alternative", event: "a", item: "i" },
    ]);
    const whole = { ...picture, credit: "Nia", text: "A ferry" };
    const found = (licence: string, cut: Cut | null = null) =>
      problems({
        ...base,
        events: map([make("a", "1872")]),
        items: new Map([["i", { ...whole, licence, cut }]]),
      }).map((p) => (p.code === "licence_forbids" ? p.what : p.code));
    const half: Cut = { of: "m", x: 0, y: 0, width: 50, height: 100, turn: 0 };
    expect(found("CC BY 4.0", half)).toEqual([]);
    expect(found("CC BY-ND 4.0")).toEqual([]);
    expect(found("CC BY-ND 4.0", half)).toEqual(["altered"]);
    expect(found("© Ambrel Post")).toEqual(["shown"]);
    expect(
      problems({ ...base, events: map([make("a", "1872", { deleted: true })]), items: new Map([["i", picture]]) }),
    ).toEqual([]);
  });
});

it("gives the next category a look that no other has", () => {
  const used = [];
  const seen = new Set<string>();
  for (let i = 0; i < 16; i++) {
    const look = nextLook(used);
    seen.add(`${look.colour} ${look.pattern}`);
    used.push({ ...emptyCategory(`c${i}`), ...look });
  }
  expect(seen.size).toBe(16);
});

describe("a date in the other order than is said for the timeline", () => {
  it.each<["dmy" | "mdy" | null, string, boolean]>([
    ["dmy", "05/14/1921", true],
    ["mdy", "14/05/1921", true],
    ["dmy", "14/05/1921", false],
    ["mdy", "05/14/1921", false],
    ["dmy", "05/06/1921", false],
    ["dmy", "05/05/1921", false],
    [null, "05/14/1921", false],
    ["dmy", "from 05/14/1921", true],
    ["dmy", "1921-05-14", false],
    ["dmy", "14 May 1921", false],
  ])("%s: %s is a finding: %s", (dateOrder, typed, wanted) => {
    const when = readWhen(typed, { order: dateOrder });
    expect(when.readAs.kind).not.toBe("not_understood");
    const t = { ...emptyTimeline("t"), dateOrder, events: new Map([["a", { ...emptyEvent("a"), when }]]) };
    const found = problems(t).filter((p) => p.code === "other_order");
    expect(found).toHaveLength(wanted ? 1 : 0);
    if (wanted) expect(found[0]).toMatchObject({ typed, order: dateOrder });
  });
});
