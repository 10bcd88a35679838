import fc from "fast-check";
import { expect, it } from "vitest";
import { readWhen } from "./read/read-when";
import { type Shift, shifted } from "./shift";
import { startDay } from "./when";
import { whenLabel } from "./write-when";

it.each<[string, number, Shift["unit"], string | null]>([
  ["1846", -12, "years", "1834"],
  ["14 Nov 1872", 3, "days", "17 Nov 1872"],
  ["31 Jan 1872", 1, "months", "29 Feb 1872"],
  ["29 Feb 1872", 1, "years", "28 Feb 1873"],
  ["14 Nov 1872 22:10", 2, "hours", "15 Nov 1872 00:10"],
  ["14 Nov 1872 22:10", 1, "years", "14 Nov 1873 22:10"],
  ["Nov 1872", 3, "days", "Nov 1872"],
  ["Nov 1872", 30, "days", "Dec 1872"],
  ["1840s", 12, "years", "1850s"],
  ["1840s", 3, "years", "1840s"],
  ["19th century", -100, "years", "18th century"],
  ["spring 1783", 6, "months", "autumn 1783"],
  ["winter 1783", 1, "years", "winter 1784"],
  ["c. 1604", 1, "years", "about 1605"],
  ["1702?", -2, "years", "1700?"],
  ["early 1840s", 10, "years", "early 1850s"],
  ["before 1650", 5, "years", "before 1655"],
  ["after 1931", -1, "years", "after 1930"],
  ["1744 - 1783", 10, "years", "1754 – 1793"],
  ["from 1890", 1, "years", "from 1891"],
  ["2-5 Feb 1900", 2, "weeks", "16 – 19 Feb 1900"],
  ["1 BC", 1, "years", "AD 1"],
  ["310 BC", -40, "years", "350 BC"],
  ["3 Mar 1702 (Julian)", 1, "years", "3 Mar 1703 (Julian)"],
  ["66 million years ago", 100, "years", "66 million years ago"],
  ["", 1, "years", null],
  ["dawn or so", 1, "years", null],
])("%s moved by %i %s is %s", (typed, amount, unit, label) => {
  const moved = shifted(readWhen(typed), { amount, unit });
  expect(moved && whenLabel(moved)).toBe(label);
});

it("what was moved and moved back begins where it began", () => {
  const text = fc.constantFrom(
    "1846",
    "14 Nov 1872",
    "1840s",
    "c. 1604",
    "1631-1702",
    "spring 1783",
    "2-5 Feb 1900",
    "310 BC",
    "14 Nov 1872 22:10",
  );
  const unit = fc.constantFrom<Shift["unit"]>("years", "weeks", "days", "hours", "minutes");
  fc.assert(
    fc.property(text, fc.integer({ min: -500, max: 500 }), unit, (typed, amount, unit) => {
      const when = readWhen(typed);
      const there = shifted(when, { amount, unit })!;
      const back = shifted(there, { amount: -amount, unit })!;
      expect([typed, startDay(back)]).toEqual([typed, startDay(when)]);
    }),
    { seed: 5, numRuns: 500 },
  );
});
