import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { civilFrom, dayFromGregorian, dayFromJulian, gregorianFromDay, julianFromDay, weekday } from "../calendar";
import { dateProblemText } from "../../words/dates";
import { gapText } from "../gap";
import { readWhen } from "./read-when";
import { extent, inDays, startDay } from "../when";
import { whenLabel } from "../write-when";

describe("the calendar", () => {
  it.each<[string, number, number]>([
    ["day 0 is 1 January of the year 0", dayFromGregorian(0, 1, 1), 0],
    ["1 BC, a leap year, has 366 days", dayFromGregorian(1, 1, 1), 366],
    ["15 Oct 1582 Gregorian follows 4 Oct 1582 Julian", dayFromGregorian(1582, 10, 15), dayFromJulian(1582, 10, 4) + 1],
    ["29 Feb 1700 existed in the Julian calendar only", dayFromJulian(1700, 2, 29) + 1, dayFromJulian(1700, 3, 1)],
    ["11 days were left out in September 1752", dayFromJulian(1752, 9, 3), dayFromGregorian(1752, 9, 14)],
    ["1 Jan 4713 BC Julian is Julian day 0", dayFromJulian(-4712, 1, 1), dayFromGregorian(1970, 1, 1) - 2_440_588],
    ["14 November 1872 was a Thursday", weekday(dayFromGregorian(1872, 11, 14)), 3],
  ])("%s", (_, got, wanted) => expect(got).toBe(wanted));

  it("goes there and back in both calendars, 800,000 times to 5 x 10^12 days either way", () => {
    let s = 1;
    let wrong = 0;
    for (let i = 0; i < 400_000; i++) {
      s = (s * 16_807) % 2_147_483_647;
      // A third near us, where calendars differ by a day; the rest anywhere.
      const n = i % 3 === 0 ? (s % 800_000) - 20_000 : Math.round((s / 2_147_483_647 - 0.5) * 1e13);
      const [g, j] = [gregorianFromDay(n), julianFromDay(n)];
      if (dayFromGregorian(g.year, g.month, g.day) !== n || dayFromJulian(j.year, j.month, j.day) !== n) wrong++;
    }
    expect(wrong).toBe(0);
  });

  it("goes there and back in both calendars", () => {
    fc.assert(
      fc.property(fc.integer({ min: -5_000_000_000_000, max: 5_000_000_000_000 }), (n) => {
        const g = gregorianFromDay(n);
        const j = julianFromDay(n);
        expect(dayFromGregorian(g.year, g.month, g.day)).toBe(n);
        expect(dayFromJulian(j.year, j.month, j.day)).toBe(n);
      }),
      { seed: 1, numRuns: 20_000 },
    );
  });
});

// typed, EDTF, shown back as
const UNDERSTOOD: [string, string, string][] = [
  ["1846", "1846", "1846"],
  ["14 Nov 1872", "1872-11-14", "14 Nov 1872"],
  ["Nov 14, 1872", "1872-11-14", "14 Nov 1872"],
  ["November 14th 1872", "1872-11-14", "14 Nov 1872"],
  ["Thursday, 14 November 1872", "1872-11-14", "14 Nov 1872"],
  ["the 1840s", "184X", "1840s"],
  ["14.11.1872", "1872-11-14", "14 Nov 1872"],
  ["1872-11-14", "1872-11-14", "14 Nov 1872"],
  ["11/14/1872", "1872-11-14", "14 Nov 1872"],
  ["14/11/1872", "1872-11-14", "14 Nov 1872"],
  ["14 Nov 1872 22:10", "1872-11-14T22:10", "14 Nov 1872 22:10"],
  ["14 Nov 1872, 10:10 pm", "1872-11-14T22:10", "14 Nov 1872 22:10"],
  ["22:10 on 14 Nov 1872", "1872-11-14T22:10", "14 Nov 1872 22:10"],
  ["1872-11-14T22:10", "1872-11-14T22:10", "14 Nov 1872 22:10"],
  ["14 Nov 1872 6 pm", "1872-11-14T18", "14 Nov 1872 6 pm"],
  ["Nov 1872", "1872-11", "Nov 1872"],
  ["1872-11", "1872-11", "Nov 1872"],
  ["spring 1783", "1783-21", "spring 1783"],
  ["1840s", "184X", "1840s"],
  ["1600s", "16XX", "1600s"],
  ["19th century", "[1801..1900]", "19th century"],
  ["5th century BC", "[-0499..-0400]", "5th century BC"],
  ["early 1840s", "[1840..1843]", "early 1840s"],
  ["mid-1840s", "[1844..1846]", "mid 1840s"],
  ["late 1840s", "[1847..1849]", "late 1840s"],
  ["late 1600s", "[1667..1699]", "late 1600s"],
  ["c. 1604", "1604~", "about 1604"],
  ["ca 1604", "1604~", "about 1604"],
  ["c1604", "1604~", "about 1604"],
  ["about 1702", "1702~", "about 1702"],
  ["1702?", "1702?", "1702?"],
  ["about 1702?", "1702%", "about 1702?"],
  ["before 1650", "[..1649]", "before 1650"],
  ["after 1931", "[1932..]", "after 1931"],
  ["310 BC", "-0309", "310 BC"],
  ["-310", "-0309", "310 BC"],
  ["-0309", "-0309", "310 BC"],
  ["500 BCE", "-0499", "500 BC"],
  ["AD 96", "0096", "AD 96"],
  ["96 AD", "0096", "AD 96"],
  ["1 BC", "0000", "1 BC"],
  ["1 Jan 4713 BC", "-4712-01-01", "1 Jan 4713 BC"],
  ["1631-1702", "1631/1702", "1631 – 1702"],
  ["1631–1702", "1631/1702", "1631 – 1702"],
  ["1631 to about 1702", "1631/1702~", "1631 – about 1702"],
  ["about 1840 - 1852", "1840~/1852", "about 1840 – 1852"],
  ["from 1890", "1890/..", "from 1890"],
  ["1958-present", "1958/..", "from 1958"],
  ["until 1702", "../1702", "until 1702"],
  ["2-5 Feb 1900", "1900-02-02/1900-02-05", "2 – 5 Feb 1900"],
  ["Nov 1872 - Jan 1873", "1872-11/1873-01", "Nov 1872 – Jan 1873"],
  ["310-281 BC", "-0309/-0280", "310 BC – 281 BC"],
  ["1872-73", "1872/1873", "1872 – 1873"],
  ["between 1631 and 1702", "[1631..1702]", "between 1631 and 1702"],
  ["14 Nov 1872 22:10 - 23:40", "1872-11-14T22:10/1872-11-14T23:40", "14 Nov 1872 22:10 – 23:40"],
];

describe("reading", () => {
  it.each(UNDERSTOOD)("%s", (typed, edtf, label) => {
    const when = readWhen(typed);
    expect([when.edtf, whenLabel(when)]).toEqual([edtf, label]);
    expect(when.typed).toBe(typed);
  });

  it.each(UNDERSTOOD)("shows %s back as something that reads the same", (typed) => {
    const when = readWhen(typed);
    expect(readWhen(whenLabel(when)).edtf).toBe(when.edtf);
  });

  it.each<[string, string]>([
    ["66 million years ago", "66 million years ago"],
    ["4.6 Ga", "4.6 billion years ago"],
    ["12,000 BP", "12,000 BP"],
    ["3 Mar 1702 (Julian)", "3 Mar 1702 (Julian)"],
  ])("%s", (typed, label) => expect(whenLabel(readWhen(typed))).toBe(label));

  it("reaches half a unit of the last digit for years ago", () => {
    const r = readWhen("66 million years ago").readAs;
    if (r.kind !== "moment") throw new Error("not a moment");
    expect(civilFrom("gregorian", r.at.from!.day).year).toBe(1950 - 66_500_000);
    expect(civilFrom("gregorian", r.at.to!.day).year).toBe(1950 - 65_500_000);
  });

  it("knows the Julian day", () => {
    expect(readWhen("3 Mar 1702 (Julian)").edtf).toBe("1702-03-14");
  });

  it("asks about the order once and follows it", () => {
    const asked = readWhen("03/04/1872").readAs;
    expect(asked).toEqual({
      kind: "not_understood",
      problem: { code: "two_orders", readings: ["3 Apr 1872", "4 Mar 1872"] },
    });
    expect(readWhen("03/04/1872", { order: "dmy" }).edtf).toBe("1872-04-03");
    expect(readWhen("03/04/1872", { order: "mdy" }).edtf).toBe("1872-03-04");
  });

  it.each<[string, string, string[]]>([
    ["31 Feb 1900", "no_such_day", ["28 Feb 1900", "3 Mar 1900"]],
    ["29 Feb 1900", "no_such_day", ["28 Feb 1900", "1 Mar 1900"]],
    ["72", "two_digit_year", ["1872", "1972", "2072", "AD 72"]],
    ["0", "year_nought", ["1 BC", "AD 1"]],
    ["1931 - 1604", "end_before_start", ["1604 - 1931"]],
    ["22:10", "no_day_for_time", []],
    ["25:10 14 Nov 1872", "no_such_time", []],
    ["14 Nov", "no_year", []],
    ["14/13/1872 and more", "not_a_date", []],
    ["the day the bell rang", "not_a_date", []],
  ])("%s is refused with a sentence", (typed, code, readings) => {
    const r = readWhen(typed).readAs;
    if (r.kind !== "not_understood") throw new Error(`understood as ${r.kind}`);
    expect(r.problem.code).toBe(code);
    expect("readings" in r.problem ? r.problem.readings : []).toEqual(readings);
    expect(dateProblemText(r.problem)).toMatch(/kept as typed/);
    for (const offered of readings) expect(readWhen(offered).edtf).toBeDefined();
  });

  it("never throws, whatever is typed, and keeps it", () => {
    const piece = fc.constantFrom(
      "14",
      "Nov",
      "1872",
      "-",
      "to",
      "about",
      "BC",
      "/",
      "03",
      "century",
      "s",
      "?",
      "early",
      "22:10",
      "pm",
      " ",
      ",",
      "0",
      "ago",
      "million",
      "\u0000",
      "🌉",
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.array(piece, { maxLength: 8 }).map((p) => p.join(" ")),
        ),
        (typed) => {
          const when = readWhen(typed);
          expect(when.typed).toBe(typed);
          if (when.readAs.kind === "moment") {
            const { from, to } = extent(when.readAs.at);
            if (from && to) expect(inDays(from)).toBeLessThan(inDays(to));
          }
          if (when.readAs.kind === "moment" || when.readAs.kind === "span")
            expect(Number.isFinite(startDay(when))).toBe(true);
        },
      ),
      { seed: 2, numRuns: 3_000 },
    );
  });
});

describe("time passed", () => {
  it.each<[string, string, string | null]>([
    ["1845", "1872", "27 years"],
    ["1840s", "1872", "23 to 32 years"],
    ["14 Nov 1872 19:30", "14 Nov 1872 22:10", "3 hours"],
    ["14 Nov 1872", "19 Nov 1872", "5 days"],
    ["1744 - 1783", "1797", "14 years"],
    ["4.6 Ga", "66 million years ago", "about 4.5 billion years"],
    [
      "about 560 million years ago",
      "430 million years ago - 400 million years ago",
      "120 million to 140 million years",
    ],
    ["1872", "1845", null],
    ["1890-present", "1931", null],
  ])("from %s to %s", (a, b, words) => expect(gapText(readWhen(a), readWhen(b))).toBe(words));
});
