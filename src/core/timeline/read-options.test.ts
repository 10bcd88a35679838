import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readWhen } from "../time/read/read-when";
import type { ReadOptions } from "../time/read/options";
import type { When } from "../time/when";
import { confirmReading } from "./read-options";

const TEXTS = [
  "",
  "1872",
  "14 Nov 1872",
  "03/04/1872",
  "05/14/1921",
  "spring 1783",
  "about 1702",
  "1840s",
  "22:10",
  "10 pm - 2 am",
  "today",
  "12,000 BP",
  "1631 - about 1702",
  "nonsense",
  "31 Feb 1900",
  "the flood of 1872, in autumn",
];
const options: fc.Arbitrary<ReadOptions> = fc.record({
  order: fc.constantFrom("dmy" as const, "mdy" as const, null),
  hemisphere: fc.constantFrom("north" as const, "south" as const),
  day: fc.constantFrom(null, 683_988),
  today: fc.constantFrom(null, 740_000),
});

describe("a reading from a browser", () => {
  it("that the reader of dates gives in any of its ways is kept, whatever the timeline is set to by now", () => {
    fc.assert(
      fc.property(fc.constantFrom(...TEXTS), options, options, (typed, read, now) => {
        const sent = readWhen(typed, read);
        expect(confirmReading(sent, now)).toEqual({ ...sent, margin: sent.margin });
      }),
      { seed: 3, numRuns: 1_000 },
    );
  });

  it("that says another date is read anew from what was typed", () => {
    fc.assert(
      fc.property(fc.constantFrom(...TEXTS), fc.constantFrom(...TEXTS), options, (typed, other, now) => {
        const lie: When = { ...readWhen(other), typed };
        const { readAs } = confirmReading(lie, now);
        const honest = [null, "dmy", "mdy", "ymd"].flatMap((order) =>
          (["north", "south"] as const).flatMap((hemisphere) =>
            [null, 683_988, 740_000, dayOf(lie)].map(
              (day) => readWhen(typed, { order: order as "dmy" | null, hemisphere, day, today: day }).readAs,
            ),
          ),
        );
        expect(honest).toContainEqual(readAs);
      }),
      { seed: 4, numRuns: 1_000 },
    );
  });

  it("keeps what its author set beside it: the width of “about” and the place", () => {
    const sent = {
      ...readWhen("about 1702"),
      margin: { amount: 2, unit: "year" as const },
      place: { after: "e1", key: "a0" },
    };
    expect(confirmReading(sent, {})).toEqual(sent);
    expect(confirmReading({ ...sent, typed: "x" }, {})).toMatchObject({
      readAs: { kind: "not_understood" },
      place: sent.place,
    });
  });
});

function dayOf(w: When): number | null {
  const r = w.readAs;
  return r.kind === "moment"
    ? (r.at.from?.day ?? null)
    : r.kind === "span"
      ? (r.start?.from?.day ?? r.end?.from?.day ?? null)
      : null;
}
