import { describe, expect, it } from "vitest";
import { typedTimeline } from "../testing/seeded-timeline";
import { descriptionFrom } from "../text/write-description";
import { readWhen } from "../time/read/read-when";
import type { AnyColour } from "../timeline/fields";
import type { Pattern } from "../timeline/looks";
import { emptyCategory, type Timeline } from "../timeline/timeline";
import { findingText } from "../words/look-over";
import { findingKey, lookOver } from "./look-over";

const codes = (t: Timeline) => lookOver(t).map((f) => f.code);
const changed = (t: Timeline, id: string, part: object): Timeline => ({
  ...t,
  events: new Map(t.events).set(id, { ...t.events.get(id)!, ...part }),
});
/** One event with a description. */
const told = (text: string, language = "en"): Timeline => ({
  ...changed(typedTimeline([["1744", "Timber bridge"]]), "e000", { description: descriptionFrom([text], 1) }),
  language,
});
const times = (text: string, n: number) => Array.from({ length: n }, () => text).join(" ");

describe("what is worth a look before work is handed in", () => {
  it.each<[string, [string, string][], string[]]>([
    ["nothing", [], []],
    [
      "what is said once",
      [
        ["1744", "Timber bridge"],
        ["1783", "Spring flood"],
      ],
      [],
    ],
    [
      "the same at the same time",
      [
        ["1783", "The flood"],
        ["1783", "Flood"],
      ],
      ["twice"],
    ],
    [
      "in another order of words",
      [
        ["1783", "Flood of the river"],
        ["Mar 1783", "River flood"],
      ],
      ["twice"],
    ],
    [
      "the same where one has no date",
      [
        ["1783", "The flood"],
        ["", "flood!"],
      ],
      ["twice"],
    ],
    [
      "the same again later",
      [
        ["1783", "Flood"],
        ["1872", "Flood"],
      ],
      [],
    ],
    [
      "three of them",
      [
        ["1783", "Flood"],
        ["1783", "The flood"],
        ["1783", "A flood"],
      ],
      ["twice", "twice"],
    ],
    [
      "events without a title",
      [
        ["1783", ""],
        ["1783", ""],
      ],
      [],
    ],
  ])("%s", (_, lines, expected) => expect(codes(typedTimeline(lines))).toEqual(expected));

  it("a part outside its whole, what is wrong with dates first", () => {
    const t = changed(
      typedTimeline([
        ["1744 - 1783", "Bridge"],
        ["1800", "Toll"],
        ["1800", "The toll"],
      ]),
      "e001",
      {
        partOf: "e000",
      },
    );
    const findings = lookOver(t);
    expect(findings.map((f) => f.code)).toEqual(["problem", "twice"]);
    expect(findingText(findings[0]!, t)).toMatch(/Bridge/);
  });

  it.each([
    ["long sentences", times("the river rose over the old bridge and then", 6), ["long_sentences"]],
    ["as many words in short ones", times("The river rose over the old bridge. And then?", 6), []],
    ["a short text in one sentence", times("the river rose over the old bridge and then", 3), []],
    [
      "long words",
      times("Municipal authorities subsequently established considerable infrastructural reconstruction.", 7),
      ["hard_to_read"],
    ],
  ])("%s", (_, text, expected) => expect(codes(told(text))).toEqual(expected));

  it("how hard a text is to read is asked of its language alone", () => {
    const german = times("Die Brücke brach. Das Wasser stieg. Viele Leute liefen fort.", 6);
    expect(codes(told(german, "de"))).toEqual([]);
    expect(
      codes(told(times("Verwaltungsangelegenheiten beeinträchtigen Wiederherstellungsmaßnahmen.", 15), "de-CH")),
    ).toEqual(["hard_to_read"]);
    expect(
      codes(told(times("Verwaltungsangelegenheiten beeinträchtigen Wiederherstellungsmaßnahmen.", 15), "fi")),
    ).toEqual([]);
  });

  it("a period with nothing in most of it, as it was set or as the events reach", () => {
    const early: [string, string][] = ["1700", "1705", "1710", "1715", "1720"].map((y) => [y, `In ${y}`]);
    expect(codes(typedTimeline(early))).toEqual([]);
    expect(codes(typedTimeline([...early, ["1900", "Late"]]))).toEqual(["empty_stretch"]);
    const asked = { ...typedTimeline(early), period: readWhen("1700 - 1800") };
    expect(codes(asked)).toEqual(["empty_stretch"]);
    expect(findingText(lookOver(asked)[0]!, asked)).toContain("Nothing stands between 1 Jan 1721 and 1 Jan 1801");
    // Of four events nothing is said.
    expect(codes({ ...typedTimeline(early.slice(1)), period: readWhen("1700 - 1800") })).toEqual([]);
  });

  it("what is shown otherwise so that it can be read, and categories that look the same", () => {
    const coloured = (...categories: [id: string, colour: AnyColour, pattern: Pattern][]): Timeline => ({
      ...typedTimeline([["1783", "Flood"]]),
      categories: new Map(
        categories.map(([id, colour, pattern]) => [id, { ...emptyCategory(id), name: id, colour, pattern }]),
      ),
    });
    const said = (t: Timeline) => lookOver(t).map((f) => findingText(f, t));
    expect(said(coloured(["town", "verdigris", "solid"], ["trade", "plum", "solid"]))).toEqual([]);
    expect(said(coloured(["town", "#ffffff", "solid"]))).toEqual([
      expect.stringMatching(/^town is shown as #[0-9A-F]{6} instead of #FFFFFF, so that/),
    ]);
    expect(said(coloured(["town", "plum", "solid"], ["trade", "plum", "solid"]))).toEqual([
      "town and trade look the same on the chart: give one of them another colour or pattern.",
    ]);
    // The pattern tells them apart.
    expect(said(coloured(["town", "plum", "solid"], ["trade", "plum", "dots"]))).toEqual([]);
    const grey = { ...coloured(), paper: "#777777" };
    expect(said(grey)).toEqual([expect.stringMatching(/^The paper is #[0-9A-F]{6} instead of #777777/)]);
    const keys = [grey, { ...grey, paper: "#808080" }].map((t) => lookOver(t).map(findingKey));
    expect(keys[0]).not.toEqual(keys[1]);
  });

  it("is another finding when what it is about is another, and the same when it is not", () => {
    const t = typedTimeline([
      ["1783", "Flood"],
      ["1783", "The flood"],
    ]);
    const renamed = changed(t, "e000", { title: "A flood" });
    expect(lookOver(renamed).map(findingKey)).toEqual(lookOver(t).map(findingKey));
    const keys = [told(times("the river rose over the old bridge and then", 6)), t].flatMap((x) =>
      lookOver(x).map(findingKey),
    );
    expect(new Set(keys).size).toBe(2);
  });
});
