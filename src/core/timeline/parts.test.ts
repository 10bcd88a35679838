import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { apply } from "../change/apply";
import type { Op } from "../change/change";
import { invert } from "../change/invert";
import { readWhen } from "../time/read/read-when";
import { holds, isTooDeep, MOST_DEEP, partsAfterWholes, wholesFor, wholesOf, wouldLoop } from "./parts";
import { problems } from "./problems";
import { emptyEvent, emptyTimeline, type Timeline } from "./timeline";

const made = (id: string, when: string, partOf: string | null = null) => ({
  ...emptyEvent(id),
  title: id.toUpperCase(),
  when: readWhen(when),
  partOf,
});
const timeline = (...events: ReturnType<typeof made>[]): Timeline => ({
  ...emptyTimeline("t"),
  events: new Map(events.map((e) => [e.id, e])),
});
const part = (id: string, value: string | null): Op => ({ kind: "set_event", id, field: "partOf", value });

describe("what an event can be part of", () => {
  it.each<[string, string, string, boolean]>([
    ["a night holds an hour of it", "14 Nov 1872 16:00 - 15 Nov 1872 06:00", "14 Nov 1872 22:10", true],
    ["a year holds its days, though it is no span", "1872", "14 Nov 1872", true],
    ["a span holds its first and its last day", "2 - 5 Feb 1900", "5 Feb 1900", true],
    ["not what begins before it", "1840 - 1852", "1839 - 1850", false],
    ["not what lasts longer", "1840 - 1852", "1840s", true],
    ["nothing holds its equal", "1872", "1872", false],
    ["what is still going on holds what comes", "1958 - present", "1963 - 1970", true],
    ["without a date it holds nothing", "", "1872", false],
  ])("%s", (_, whole, inner, expected) => {
    expect(holds(made("w", whole), made("p", inner))).toBe(expected);
  });

  it("is listed with the shortest first, then other spans, and never what is part of it", () => {
    const t = timeline(
      made("century", "1801 - 1900"),
      made("decade", "1870 - 1880", "century"),
      made("other", "1500 - 1510"),
      made("day", "14 Nov 1872"),
      made("moment", "1600"),
    );
    const { holding, others } = wholesFor(t, "day");
    expect(holding.map((e) => e.id)).toEqual(["decade", "century"]);
    expect(others.map((e) => e.id)).toEqual(["other"]);
    expect(wholesFor(t, "century").others.map((e) => e.id)).toEqual(["other"]);
  });
});

describe("a circle", () => {
  it("cannot be made: the later step counts as unset and is a finding until it is set anew", () => {
    const before = timeline(made("a", "1800 - 1900"), made("b", "1800 - 1900"), made("c", "1850"));
    const first = apply(before, [part("a", "b")]).timeline;
    const second = apply(first, [part("b", "a")]).timeline;
    expect(wholesOf(second.events)).toEqual(new Map([["a", "b"]]));
    expect(problems(second)).toContainEqual({ code: "part_of_itself", event: "b", whole: "a" });
    const mended = apply(second, [part("b", null)]).timeline;
    expect(problems(mended).filter((p) => p.code === "part_of_itself")).toEqual([]);
  });

  it("of any length is never there, and every step is undone exactly", () => {
    const ids = ["a", "b", "c", "d", "e"];
    const step = fc.tuple(fc.constantFrom(...ids), fc.constantFrom(null, ...ids)).map(([id, to]) => part(id, to));
    fc.assert(
      fc.property(fc.array(step, { maxLength: 15 }), fc.array(fc.constantFrom(...ids)), (ops, gone) => {
        let t = timeline(...ids.map((id) => made(id, "1800")));
        t = apply(
          t,
          gone.map((id): Op => ({ kind: "delete_event", id })),
        ).timeline;
        for (const op of ops) {
          const after = apply(t, [op]).timeline;
          expect(apply(after, invert(t, [op])).timeline).toEqual(t);
          t = after;
          for (const e of t.events.values()) expect(e.partOf === null || e.partOf !== e.id).toBe(true);
          const wholes = wholesOf(t.events);
          for (const id of wholes.keys()) {
            let steps = 0;
            for (let at = wholes.get(id); at !== undefined; at = wholes.get(at)) expect(++steps).toBeLessThan(6);
          }
        }
        expect(
          partsAfterWholes(t.events)
            .map((p) => p.event.id)
            .sort(),
        ).toEqual(
          [...t.events.values()]
            .filter((e) => !e.deleted)
            .map((e) => e.id)
            .sort(),
        );
      }),
      { seed: 14, numRuns: 400 },
    );
  });

  it("that came in a file is broken where it is found, the same whatever the order", () => {
    const [a, b, c] = [made("a", "1800", "b"), made("b", "1800", "c"), made("c", "1800", "a")];
    const wholes = wholesOf(timeline(a, b, c).events);
    expect(wholes).toEqual(
      new Map([
        ["a", "b"],
        ["b", "c"],
      ]),
    );
    expect(wholesOf(timeline(c, a, b).events)).toEqual(wholes);
    expect(wouldLoop(timeline(a, b, c).events, "a", "b")).toBe(true);
  });
});

describe("a part outside its whole", () => {
  it.each<[string, string, string, number, number]>([
    ["two hours early", "14 Nov 1872 16:00 - 15 Nov 1872 06:00", "14 Nov 1872 14:00", 2 / 24, 0],
    ["a day late", "2 - 5 Feb 1900", "6 Feb 1900", 0, 1],
    ["on both sides", "1840 - 1850", "1830 - 1860", 3_652, 3_653],
  ])("is a finding that says by how much: %s", (_, whole, inner, early, late) => {
    const found = problems(timeline(made("w", whole), made("p", inner, "w")));
    expect(found).toHaveLength(1);
    expect(found[0]).toMatchObject({ code: "part_outside_whole", event: "p", whole: "w" });
    const { early: e, late: l } = found[0] as { early: number; late: number };
    expect(e).toBeCloseTo(early, 6);
    expect(l).toBeCloseTo(late, 6);
  });
});

describe("reading", () => {
  it("has the parts directly after their whole, however deep, and everything once", () => {
    const t = timeline(
      made("night", "14 Nov 1872 16:00 - 15 Nov 1872 06:00"),
      made("hour", "14 Nov 1872 22:00", "fall"),
      made("fall", "14 Nov 1872 21:00 - 15 Nov 1872", "night"),
      made("before", "1800"),
      made("between", "15 Nov 1872"),
      made("early", "1700", "night"),
    );
    const order = partsAfterWholes(t.events).map((p) => `${" ".repeat(p.depth)}${p.event.id}`);
    expect(order).toEqual(["before", "night", " early", " fall", "  hour", "between"]);
  });
});

describe("what is part of what, whatever a file says", () => {
  /** Step by step, in the order of ids: slow, and plainly right. */
  const slowly = (t: Timeline) => {
    const found = new Map<string, string>();
    const ids = [...t.events.keys()].sort((a, b) => (a < b ? -1 : 1));
    for (const id of ids) {
      const e = t.events.get(id)!;
      const whole = e.partOf;
      if (e.deleted || whole === null || whole.startsWith("~") || whole === id) continue;
      if (t.events.get(whole)?.deleted !== false) continue;
      let at: string | undefined = whole;
      while (at !== undefined && at !== id) at = found.get(at);
      if (at === undefined) found.set(id, whole);
    }
    return found;
  };

  it("has no circles, and says the same whatever the order of the events", () => {
    const id = fc.constantFrom(..."abcdefgh".split(""));
    fc.assert(
      fc.property(
        fc.array(fc.record({ id, partOf: fc.option(id, { nil: null }), deleted: fc.boolean() }), { maxLength: 12 }),
        (list) => {
          const events = list.map((e) => ({ ...made(e.id, "1872", e.partOf), deleted: e.deleted && e.id > "e" }));
          const wanted = slowly(timeline(...events));
          expect(wholesOf(timeline(...events).events)).toEqual(wanted);
          const last = new Map(events.map((e) => [e.id, e]));
          expect(wholesOf(timeline(...[...last.values()].reverse()).events)).toEqual(wanted);
        },
      ),
      { seed: 9, numRuns: 2_000 },
    );
  });

  it("is found in time for a chain of 20,000, cut where it is too deep", () => {
    const events = Array.from({ length: 20_000 }, (_, i) => made(`e${i}`, "1872", i === 0 ? null : `e${i - 1}`));
    const t = timeline(...events);
    const wholes = wholesOf(t.events);
    const depth = (id: string) => {
      let d = 0;
      for (let at = wholes.get(id); at !== undefined; at = wholes.get(at)) d++;
      return d;
    };
    expect(Math.max(...events.map((e) => depth(e.id)))).toBe(MOST_DEEP);
    expect(isTooDeep(t.events)).toBe(true);
    expect(isTooDeep(timeline(...events.slice(0, MOST_DEEP + 1)).events)).toBe(false);
  });

  it("is found in time for a circle of 20,000", () => {
    const events = Array.from({ length: 20_000 }, (_, i) => made(`e${i}`, "1872", `e${(i + 1) % 20_000}`));
    expect(wholesOf(timeline(...events).events).size).toBeGreaterThan(18_000);
  });
});
