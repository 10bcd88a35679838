import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { dayFrom } from "./calendar";
import { lengthText } from "./gap";
import { readWhen } from "./read/read-when";
import { redated } from "./redate";
import { inDays } from "./when";
import type { Instant } from "./instant";
import { whenLabel } from "./write-when";

const at = (year: number, month = 1, day = 1, second = 0): Instant => ({
  day: dayFrom("gregorian", year, month, day),
  second,
});
const YEAR = 365.2425;

describe("a date that is moved", () => {
  it.each<[string, string, "start" | "end" | null, Instant, number, string | null]>([
    ["a year stays a year, however near one looks", "1872", null, at(1881, 5, 5), 0.01, "1881"],
    ["a day is no more exact than can be told apart", "14 Nov 1872", null, at(1881, 5, 5), YEAR, "1881"],
    ["a day stays a day where days can be told apart", "14 Nov 1872", null, at(1881, 5, 5), 0.5, "5 May 1881"],
    ["a minute", "14 Nov 1872 22:10", null, at(1872, 11, 15, 7_777), 0.0001, "15 Nov 1872 02:09"],
    ["about is kept", "about 1702", null, at(1690), 300, "about 1690"],
    ["so is doubt", "1702?", null, at(1690, 6), 300, "1690?"],
    ["a decade", "1840s", null, at(1866), 10, "1860s"],
    ["a century", "19th century", null, at(1766), 10, "18th century"],
    ["before the common era", "310 BC", null, at(-200), 30, "201 BC"],
    ["deep time", "66 million years ago", null, { day: -80e6 * YEAR, second: 0 }, 1e5 * YEAR, "80 million years ago"],
    ["in the calendar it was written in", "3 Mar 1702 (Julian)", null, at(1703, 5, 5), 1, "24 Apr 1703 (Julian)"],
    ["only the end of a span that is moved", "1840 - 1852", "end", at(1861, 4), 30, "1840 – 1861"],
    ["only its beginning", "1840 - about 1852", "start", at(1830), 30, "1830 – about 1852"],
    ["an open end stays open", "from 1890", "start", at(1830), 30, "from 1830"],
    ["one known side only", "before 1650", null, at(1640, 6), 1, "before 1640"],
    ["nothing ends before it begins", "1840 - 1852", "end", at(1830), 30, null],
    ["nothing begins after its end", "1840 - 1852", "start", at(1860), 30, null],
    ["a moment has no end of its own", "1840", "end", at(1860), 30, null],
    ["what has no date is not given one", "", null, at(1860), 30, null],
  ])("%s", (_, typed, end, to, resolution, expected) => {
    const when = redated(readWhen(typed), end, to, resolution);
    expect(when && whenLabel(when, null)).toBe(expected);
  });

  it("means the instant it was put at, and is read back as it was written", () => {
    const typed = fc.constantFrom(
      "1872",
      "14 Nov 1872",
      "Nov 1872",
      "14 Nov 1872 22:10",
      "1840s",
      "about 1702",
      "300 BC",
    );
    const day = fc.integer({ min: dayFrom("gregorian", -900, 1, 1), max: dayFrom("gregorian", 2100, 1, 1) });
    fc.assert(
      fc.property(
        typed,
        day,
        fc.integer({ min: 0, max: 86_399 }),
        fc.double({ min: 1e-4, max: 4_000 }),
        (t, d, s, res) => {
          const when = redated(readWhen(t), null, { day: d, second: s }, res);
          expect(when).not.toBeNull();
          expect(readWhen(when!.typed).readAs).toEqual(when!.readAs);
          const r = when!.readAs;
          if (r.kind !== "moment") throw new Error("not a moment");
          expect(inDays(r.at.from!)).toBeLessThanOrEqual(d + s / 86_400);
          expect(inDays(r.at.to!)).toBeGreaterThanOrEqual(d + s / 86_400);
        },
      ),
      { seed: 15, numRuns: 500 },
    );
  });
});

describe("how long a span lasts", () => {
  it.each<[string, string | null]>([
    ["1840 - 1852", "12 years"],
    ["2 - 5 Feb 1900", "4 days"],
    ["Jan 1900 - Mar 1900", "3 months"],
    ["14 Nov 1872 16:00 - 15 Nov 1872 06:00", "14 hours"],
    ["about 1702 - 1766", "59 to 69 years"],
    ["1958 - present", null],
    ["1872", null],
  ])("%s: %s", (typed, expected) => {
    expect(lengthText(readWhen(typed))).toBe(expected);
  });
});
