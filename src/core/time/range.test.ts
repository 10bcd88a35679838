import { describe, expect, it } from "vitest";
import { marksWithin } from "../chart/ticks/tick-units";
import { chartOf } from "../chart/frame/chart";
import { drawChart } from "../chart/draw/draw-chart";
import { emptyEvent, emptyTimeline } from "../timeline/timeline";
import { timelineFromFrozen, toFrozen } from "../formats/frozen";
import { readWhen } from "./read/read-when";
import { readingInRange, whenInRange } from "./range";
import { clampInstant, isInstant, MOST_DAY } from "./instant";
import { extent, type When } from "./when";

describe("the range of all dates", () => {
  it.each<[string, boolean]>([
    ["27.0 Ga", true],
    ["27 Ga", false],
    ["28 Ga", false],
    ["13.8 billion years ago", true],
    ["999 billion years ago", false],
    ["Y-27E9", true],
    ["Y-28E9", false],
    ["Y28E9", false],
    ["Y999999999999", false],
    ["1 Jan 4713 BC", true],
    ["99999999999999999999 BC", false],
  ])("%s lies in it: %s", (typed, wanted) => {
    const { readAs } = readWhen(typed);
    expect(readAs.kind !== "not_understood").toBe(wanted);
    expect(readingInRange(readAs)).toBe(true);
    if (!wanted)
      expect(["out_of_range", "not_a_date"]).toContain((readAs as { problem: { code: string } }).problem.code);
  });

  it.each([
    [{ day: MOST_DAY, second: 0 }, true],
    [{ day: -MOST_DAY, second: 86_400 }, true],
    [{ day: MOST_DAY + 1, second: 0 }, false],
    [{ day: 0.5, second: 0 }, false],
    [{ day: 0, second: -1 }, false],
    [{ day: Number.NaN, second: 0 }, false],
    [{ day: Number.POSITIVE_INFINITY, second: 0 }, false],
  ])("%j is an instant: %s", (at, wanted) => expect(isInstant(at)).toBe(wanted));

  it("holds the widths of “about” too", () => {
    const m = { ...(readWhen("27.0 Ga").readAs as { at: Parameters<typeof extent>[0] }).at, about: true };
    const { from, to } = extent(m, { amount: 1e10, unit: "year" });
    expect(from).toEqual(clampInstant(from!));
    expect(isInstant(from!) && isInstant(to!)).toBe(true);
  });
});

const far: When = {
  typed: "10^23 years",
  readAs: {
    kind: "moment",
    at: {
      from: { day: 3.65e25, second: 0 },
      to: { day: 3.65e25 + 1e12, second: 0 },
      precision: "year",
      about: false,
      uncertain: false,
    },
  },
  edtf: "Y1E23",
  calendar: "gregorian",
  margin: null,
};

describe("a date out of range, as an old file may hold it", () => {
  it("is not understood, and kept as typed", () => {
    expect(whenInRange(far)).toEqual({
      typed: "10^23 years",
      readAs: { kind: "not_understood", problem: { code: "out_of_range" } },
      calendar: "gregorian",
      margin: null,
    });
    const fine = readWhen("1872");
    expect(whenInRange(fine)).toBe(fine);
  });

  it("does not keep a frozen timeline from being drawn", () => {
    const t = { ...emptyTimeline("t"), events: new Map([["a", { ...emptyEvent("a"), title: "Far", when: far }]]) };
    const read = timelineFromFrozen(toFrozen(t));
    expect(drawChart(read, { width: 800, height: 300 }).shapes.length).toBeGreaterThan(0);
    expect(chartOf(read, { width: 800, height: 300 }).data.kind[0]).toBe(0);
  });
});

it.each(["years", "months", "days", "seconds"] as const)(
  "marks of %s whose numbers no longer move come to an end",
  (kind) => {
    const at = { day: 3.65e25, second: 0 };
    let found: unknown[] | null = [];
    try {
      found = marksWithin({ kind, step: 1 }, at, at, 4_000);
    } catch (error) {
      expect(error).toBeInstanceOf(RangeError);
    }
    expect(found === null || found.length <= 1).toBe(true);
  },
);
