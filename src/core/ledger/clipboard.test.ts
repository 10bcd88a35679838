import { readFileSync } from "node:fs";
import { join } from "node:path";
import fc from "fast-check";
import Papa from "papaparse";
import { parseFragment } from "parse5";
import { describe, expect, it } from "vitest";
import { cellsFromHtml, cellsFromText, cellsToHtml, cellsToText, type TableNode } from "./clipboard";

/** What a parser of HTML gives, as a browser gives it. */
function dom(html: string): TableNode {
  interface Parsed {
    nodeName: string;
    value?: string;
    attrs?: { name: string; value: string }[];
    childNodes?: Parsed[];
  }
  const made = (n: Parsed): TableNode => ({
    nodeType: n.nodeName === "#text" ? 3 : 1,
    nodeName: n.nodeName.toUpperCase(),
    nodeValue: n.value ?? null,
    childNodes: (n.childNodes ?? []).map(made),
    getAttribute: (name) => n.attrs?.find((a) => a.name === name)?.value ?? null,
  });
  return made(parseFragment(html) as Parsed);
}

const cell = fc.oneof(
  fc.string({ maxLength: 12 }),
  fc.constantFrom(
    "",
    "007",
    "=SUM(A1)",
    'say "hi"',
    '"quoted"',
    "two\nlines",
    "a\tb",
    '"',
    "  spaced  ",
    "&amp; <b>",
    "\n",
    "\u05e9\u05d9\u05d8 e\u0301",
  ),
);
const cells = fc
  .integer({ min: 1, max: 4 })
  .chain((wide) => fc.array(fc.array(cell, { minLength: wide, maxLength: wide }), { minLength: 1, maxLength: 5 }));
/** Line ends are one character, and no cell holds what a parser of HTML takes out. */
const plain = (all: readonly (readonly string[])[]) => all.map((row) => row.map((c) => c.replaceAll(/\r\n?/g, "\n")));

describe("a spreadsheet", () => {
  // cells.ods was made with LibreOffice Calc, and so were what it copies of it and what it made of pasted.html.
  const file = (name: string) => readFileSync(join(import.meta.dirname, "../../../fixtures/spreadsheet", name), "utf8");
  const CELLS = [
    ["When", "Title", "Category", "Source", "Note"],
    ["c. 1604", 'Rope ferry, "the long one"', "Crossing", "County roll 12\nfolio 3", "007"],
    ["1631-1702", "Tolls paid in salt", "Trade", "", "=2+3"],
    ["14.11.1872", "The long night flood", "Weather", "Ambrel Post, No 39", "00420"],
    ["spring 1783", "Ice & <frost>", "", "", ""],
    ["310 BC", "\u05e9\u05d9\u05d8\u05e4\u05d5\u05df e\u00b4", "Trade", "", "x"],
  ];
  const trimmed = (all: string[][]) => all.map((row) => row.map((c) => c.trim()));

  it("gives its cells without loss, as text and as HTML", () => {
    expect(trimmed(cellsFromText(file("cells-copied.txt")))).toEqual(CELLS);
    expect(cellsFromHtml(dom(file("cells-copied.html")))).toEqual(CELLS);
  });

  it("takes cells without loss: leading zeros and what begins with an equals sign stay text", () => {
    expect(cellsToHtml(CELLS)).toBe(file("pasted.html"));
    expect(Papa.parse<string[]>(file("pasted-as-taken.csv").trimEnd()).data).toEqual(CELLS);
  });
});

describe("cells on a clipboard", () => {
  it("come back from text as they were", () => {
    fc.assert(
      fc.property(cells, (all) => {
        expect(cellsFromText(cellsToText(plain(all)))).toEqual(plain(all));
      }),
      { seed: 3, numRuns: 2_000 },
    );
  });

  it("come back from HTML as they were", () => {
    fc.assert(
      fc.property(cells, (all) => {
        const clean = plain(all).map((row) => row.map((c) => c.replaceAll(/(?![\t\n])\p{Cc}/gu, "")));
        expect(cellsFromHtml(dom(cellsToHtml(clean)))).toEqual(clean);
      }),
      { seed: 4, numRuns: 1_000 },
    );
  });

  it.each<[string, string, string[][]]>([
    [
      "a last line end is none of a cell's",
      "1604\tFerry\r\n1766\tBridge\r\n",
      [
        ["1604", "Ferry"],
        ["1766", "Bridge"],
      ],
    ],
    ["quotation marks within a text stay", 'The "long" night\t"half', [['The "long" night', '"half']]],
    [
      "a cell of several lines",
      '1872\t"one\n""two"""\n1880\tx',
      [
        ["1872", 'one\n"two"'],
        ["1880", "x"],
      ],
    ],
    ["empty cells", "\t\ta", [["", "", "a"]]],
    ["nothing", "", [[""]]],
  ])("text: %s", (_, text, read) => expect(cellsFromText(text)).toEqual(read));

  it.each<[string, string, string[][] | null]>([
    [
      "cells over several columns and rows",
      "<table><tr><td rowspan=2>a<td colspan=2>b<tr><td>c<td>d</table>",
      [
        ["a", "b", ""],
        ["", "c", "d"],
      ],
    ],
    [
      "spaces and line ends of the markup are none of a text's",
      "<table>\n<tr>\n<td> 14  Nov\n 1872 </td></tr></table>",
      [["14 Nov 1872"]],
    ],
    [
      "paragraphs and breaks are lines",
      "<table><tr><td><p>one</p><p>two</p>three<br>four</table>",
      [["one\ntwo\nthree\nfour"]],
    ],
    ["a table within a table is a cell's text", "<table><tr><td>a<table><tr><td>b</table><td>c</table>", [["ab", "c"]]],
    ["styles are no text", "<style>td{}</style><table><tr><td><style>x</style>a</table>", [["a"]]],
    ["no table", "<p>1604 Ferry</p>", null],
  ])("HTML: %s", (_, html, read) => expect(cellsFromHtml(dom(html))).toEqual(read));

  it("a page made to be deep is read all the same", () => {
    const deep = `${"<div>".repeat(400)}<table><tr><td>a</table>`;
    expect(cellsFromHtml(dom(deep))).toEqual([["a"]]);
  });
});
