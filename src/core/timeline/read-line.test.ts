import { describe, expect, it } from "vitest";
import { whenLabel } from "../time/write-when";
import { LINE_GRAMMAR } from "../words/editor-ledger";
import { isMeantBy, readLine } from "./read-line";

describe("a line of the ledger", () => {
  it.each<[string, string, string, string | null]>([
    ["about 1840 - 1852 Steam mill #trade", "about 1840 – 1852", "Steam mill", "trade"],
    ["1604 Rope ferry licensed", "1604", "Rope ferry licensed", null],
    ["14 Nov 1872 22:10 East quay under water", "14 Nov 1872 22:10", "East quay under water", null],
    ["310 BC: Ford stones laid", "310 BC", "Ford stones laid", null],
    ["1872 - The long night flood", "1872", "The long night flood", null],
    ["May Day riots 1911", "1911", "May Day riots", null],
    ["12 boats", "", "12 boats", null],
    ["Fire!", "", "Fire!", null],
    ["Fire#trade", "", "Fire#trade", null],
    ["#trade is a word here", "", "#trade is a word here", null],
    ["1840s Mill no. #3", "1840s", "Mill no.", "3"],
    ["1872 5# of salt", "1872", "5# of salt", null],
    ["31 Feb 1900 Ice on the river", "31 Feb 1900", "Ice on the river", null],
    ["03/04/1872 Winter relief", "03/04/1872", "Winter relief", null],
    ["1958-present Footbridge", "from 1958", "Footbridge", null],
    ["May 1688 Market moves east", "May 1688", "Market moves east", null],
    ["2-5 Feb 1900 Frost fair", "2 – 5 Feb 1900", "Frost fair", null],
    ["1766", "1766", "", null],
    ["", "", "", null],
  ])("%s", (line, when, title, category) => {
    const read = readLine(line);
    expect([whenLabel(read.when), read.title, read.category]).toEqual([when, title, category]);
  });

  it.each<[string, string, string, string[], string | null]>([
    ["1604 Rope ferry @Ambrelford +river +toll", "Rope ferry", "Ambrelford", ["river", "toll"], null],
    ['1604 Rope ferry @"East bank" +"long night" #town', "Rope ferry", "East bank", ["long night"], "town"],
    ["1604 @Stratford-upon-Ambrel Ferry", "Ferry", "Stratford-upon-Ambrel", [], null],
    ["1900 Frost of +3 degrees", "Frost of +3 degrees", "", [], null],
    ["1900 Letter to nia@hollinbank.example", "Letter to nia@hollinbank.example", "", [], null],
    ["1900 A + b", "A + b", "", [], null],
    ["@Ambrelford is a word here", "@Ambrelford is a word here", "", [], null],
    [`1900 Ice +${"x".repeat(41)}`, `Ice +${"x".repeat(41)}`, "", [], null],
  ])("%s", (line, title, place, tags, category) =>
    expect(readLine(line)).toMatchObject({ title, place, tags, category }),
  );

  it("marks as important only after a space", () => {
    expect(readLine("1872 Flood !")).toMatchObject({ title: "Flood", emphasis: true });
    expect(readLine("1872 Flood!")).toMatchObject({ title: "Flood!", emphasis: false });
  });

  it("leaves everything in the title when told to", () => {
    expect(readLine("1872 overture", {}, true)).toMatchObject({ title: "1872 overture", when: { typed: "" } });
  });

  it.each<[string, string, boolean]>([
    ["town-life", "Town life", true],
    ["weather", "Weather & water", true],
    ["trade", "Trade", true],
    ["tra", "Trade", false],
  ])("#%s and %s: %s", (marker, name, wanted) => expect(isMeantBy(marker, name)).toBe(wanted));
});

it.each<[string, string, string]>([
  ["• 1604 Rope ferry", "1604", "Rope ferry"],
  ["- about 1840 Steam mill", "about 1840", "Steam mill"],
  ["* 14 Nov 1872 The flood", "14 Nov 1872", "The flood"],
  ["1. 1604 Rope ferry", "1604", "Rope ferry"],
  ["12) 1931 Last crossing", "1931", "Last crossing"],
  ["3. 4. 1872 Enquiry", "", "3. 4. 1872 Enquiry"],
  ["-310 The first stones", "-310", "The first stones"],
  ["1. Rope ferry", "", "1. Rope ferry"],
])("a pasted line “%s” has the date “%s”", (line, date, title) => {
  const read = readLine(line, { order: "dmy" });
  expect([read.when.typed, read.title]).toEqual([date, title]);
});

it("every example beside the line works: a date is read where one is, and every marker", () => {
  for (const [example] of LINE_GRAMMAR) {
    const read = readLine(example);
    expect([example, read.when.readAs.kind]).toEqual([
      example,
      /\d/.test(example) ? expect.stringMatching(/moment|span/) : "undated",
    ]);
    expect([example, /[#@+!"]/.test(read.title)]).toEqual([example, false]);
  }
});
