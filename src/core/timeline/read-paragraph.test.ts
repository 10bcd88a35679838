import { expect, it } from "vitest";
import { whenLabel } from "../time/write-when";
import { readParagraph } from "./read-paragraph";

it.each<[string, string, string, string, string]>([
  [
    "the first date, the first sentence, the rest",
    "The rope ferry was licensed to the Tolley family in 1604. It took a farthing a head. In 1744 a timber bridge was built beside it.",
    "1604",
    "The rope ferry was licensed to the Tolley family in 1604",
    "It took a farthing a head. In 1744 a timber bridge was built beside it.",
  ],
  [
    "stops that end no sentence",
    "About c. 1702 Mr. J. Tolley of No. 3 stopped the ferry for good! Nobody in the town had asked him to, and many complained.",
    "about 1702",
    "About c. 1702 Mr. J. Tolley of No. 3 stopped the ferry for good!",
    "Nobody in the town had asked him to, and many complained.",
  ],
  [
    "no date at all",
    "The keeper was paid in eels. Nobody knows when this began, for the rolls of the abbey do not say so anywhere at all.",
    "",
    "The keeper was paid in eels",
    "Nobody knows when this began, for the rolls of the abbey do not say so anywhere at all.",
  ],
])("%s", (_, text, date, title, rest) => {
  const read = readParagraph(text)!;
  expect([whenLabel(read.when), read.title, read.rest]).toEqual([date, title, rest]);
});

it("a first sentence that no title holds is cut at a comma, and all of it is kept", () => {
  const long = `In 1872 the river rose, ${"and it rose, ".repeat(40)}until dawn. Then it fell.`;
  const read = readParagraph(long)!;
  expect(read.title.length).toBeLessThanOrEqual(300);
  expect(read.title).toMatch(/rose…$/);
  expect(read.rest).toBe(long);
});

it.each([
  ["a line", "1604 Rope ferry licensed to the Tolley family. With a rope."],
  ["one sentence, however long", `In 1604 ${"the ferry ".repeat(20)}came.`],
  ["several lines", `1604 Ferry.\n1744 Bridge. ${"x ".repeat(60)}`],
])("%s is no paragraph", (_, text) => expect(readParagraph(text)).toBeNull());
