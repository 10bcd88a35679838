import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { apply } from "../change/apply";
import { invert } from "../change/invert";
import type { Filled } from "../ledger/fill-cells";
import { blocksOf, plainTextOf } from "../text/description";
import { inOrder } from "../timeline/order";
import { emptyTimeline, itemsOf, type Timeline } from "../timeline/timeline";
import { bringIn } from "./bring-in";
import { dayOrderOf, guessUses } from "./guess-uses";
import { lookAtRows } from "./look-at-rows";
import { putTogether } from "./put-together";
import { readRows } from "./read-rows";

let made = 0;
function brought(
  t: Timeline,
  text: string,
  order: "dmy" | "mdy" | null = null,
): { ops: Filled["ops"]; after: Timeline } {
  const { cells } = readRows(text);
  const { named, uses } = guessUses(cells);
  const { rows } = putTogether(cells, named, uses, { order });
  const steps = bringIn(t, rows, { order, newId: () => `n${++made}`, client: 7 });
  let step = steps.next();
  while (!step.done) step = steps.next();
  const { ops } = step.value as Filled;
  return { ops, after: apply(t, ops).timeline };
}

describe("rows of a text", () => {
  it.each([
    [
      "commas",
      'When,Title\n1846,"Bell, recast"\n1872,Flood\n',
      "table",
      [
        ["When", "Title"],
        ["1846", "Bell, recast"],
        ["1872", "Flood"],
      ],
    ],
    [
      "semicolons",
      "Datum;Ereignis\n14.11.1872;Flut, lange\n1889;Viadukt\n",
      "table",
      [
        ["Datum", "Ereignis"],
        ["14.11.1872", "Flut, lange"],
        ["1889", "Viadukt"],
      ],
    ],
    [
      "tabs",
      "1846\tBell\n1872\tFlood, long\n",
      "table",
      [
        ["1846", "Bell"],
        ["1872", "Flood, long"],
      ],
    ],
    [
      "Markdown",
      "Intro\n\n| When | Title |\n| --- | :-: |\n| 1846 | Bell \\| two |\n\nEnd",
      "markdown",
      [
        ["When", "Title"],
        ["1846", "Bell | two"],
      ],
    ],
    [
      "a list",
      "- 1846 - Bell recast\n2. 1872: The long flood, they say\n\n• Bridge\n",
      "list",
      [
        ["1846", "Bell recast"],
        ["1872", "The long flood, they say"],
        ["", "Bridge"],
      ],
    ],
    [
      "sentences with commas",
      "In 1846, the bell was recast.\nThe flood came, late, at night.\n",
      "list",
      [
        ["In 1846", "the bell was recast."],
        ["", "The flood came, late, at night."],
      ],
    ],
    [
      "a list with marks",
      "1846 Bell recast #town @Ambrelford +bell !\n1872 Flood\n",
      "list",
      [
        ["When", "Title", "Category", "Place", "Tags", "Important"],
        ["1846", "Bell recast", "Town", "Ambrelford", "bell", "yes"],
        ["1872", "Flood", "", "", "", ""],
      ],
    ],
  ])("%s", (_, text, kind, cells) => {
    const read = readRows(text);
    expect(read.kind).toBe(kind);
    expect(read.cells).toEqual(cells);
  });

  it("of one quotation mark, of nothing and of anything are rows of text, never a fault", () => {
    expect(readRows('"').cells).toEqual([["", '"']]);
    expect(readRows(" \n\t\n").cells).toEqual([]);
    fc.assert(
      fc.property(fc.string(), (text) => readRows(text).cells.every((r) => r.every((c) => typeof c === "string"))),
      {
        numRuns: 500,
      },
    );
  });
});

describe("what columns are", () => {
  it.each([
    [
      "names",
      [
        ["When", "Title", "Category", "Notes"],
        ["1846", "Bell", "Town", "Long"],
      ],
      true,
      ["when", "title", "category", "description"],
    ],
    [
      "names of another language",
      [
        ["Datum", "Ereignis", "Ort"],
        ["1846", "Glocke", "Furt"],
      ],
      true,
      ["when", "title", "place"],
    ],
    [
      "start and end",
      [
        ["Start", "End", "Event"],
        ["1744", "1783", "Bridge"],
      ],
      true,
      ["start", "end", "title"],
    ],
    [
      "a date and its end",
      [
        ["Date", "End date", "Event"],
        ["1744", "1783", "Bridge"],
      ],
      true,
      ["start", "end", "title"],
    ],
    [
      "year, month and day",
      [
        ["Year", "Month", "Day", "What"],
        ["1872", "11", "14", "Flood"],
      ],
      true,
      ["year", "month", "day", "title"],
    ],
    [
      "no names",
      [
        ["Bell", "1846"],
        ["Flood", "14 Nov 1872"],
      ],
      false,
      ["title", "when"],
    ],
    [
      "two columns of dates",
      [
        ["1744", "1783", "Bridge"],
        ["1811", "1815", "Stone bridge"],
      ],
      false,
      ["start", "end", "title"],
    ],
    [
      "a column we have no use for",
      [
        ["When", "Title", "Width"],
        ["1846", "Bell", "3 m"],
      ],
      true,
      ["when", "title", "more"],
    ],
    [
      "addresses",
      [
        ["1846", "Bell", "https://a.example"],
        ["1872", "Flood", "https://b.example/x"],
      ],
      false,
      ["when", "title", "link"],
    ],
    [
      "two of a name",
      [
        ["Title", "When", "Title"],
        ["Bell", "1846", "Big"],
      ],
      true,
      ["title", "when", "more"],
    ],
  ])("%s", (_, rows, named, uses) => expect(guessUses(rows)).toEqual({ named, uses }));

  it.each([
    [["31/12/1872", "03/04/1872"], "dmy"],
    [["12/31/1872", "03/04/1872"], "mdy"],
    [["31/12/1872", "12/31/1872"], "mixed"],
    [["03/04/1872", "1846"], "open"],
    [["3.4.1872", "1846", "04/04/1872"], null],
  ])("%j are %s", (texts, order) => expect(dayOrderOf(texts)).toBe(order));
});

describe("rows put together", () => {
  it("say what is understood, what is not, and what is empty", () => {
    const cells = [
      ["Year", "Month", "Day", "Time", "What", "Width"],
      ["1872", "11", "14", "22:10", "Flood", "3 m"],
      ["1872", "Nov", "", "", "Enquiry", ""],
      ["1889", "2", "31", "", "Viaduct tested", ""],
      ["", "", "", "", "Bridge", ""],
      ["", "", "", "", " ", ""],
    ];
    const { named, uses } = guessUses(cells);
    const table = putTogether(cells, named, uses, {});
    expect(table.rows.map((r) => r.typed)).toEqual(["14 november 1872 22:10", "Nov 1872", "31 february 1889", ""]);
    expect(table.rows[0]).toMatchObject({ number: 1, description: ["Width: 3 m"], cells: { title: "Flood" } });
    expect(table.counts).toEqual({ events: 4, undated: 1, notUnderstood: 1, twoDigitYears: 0, empty: 1 });
    const mended = putTogether(cells, named, uses, {}, { mended: new Map([[3, "28 Feb 1889"]]) });
    expect(mended.counts.notUnderstood).toBe(0);
  });

  it.each<[string, readonly string[], readonly string[], string | undefined, unknown]>([
    ["two columns", ["Place", "Lat", "Lon"], ["Ford", "51.5", "-2.25"], "Ford", { lat: 51.5, lon: -2.25 }],
    ["one column", ["Place", "Coordinates"], ["Ford", "51.5, -2.25"], "Ford", { lat: 51.5, lon: -2.25 }],
    ["without a name", ["Place", "Coordinates"], ["", "51.5, -2.25"], undefined, { lat: 51.5, lon: -2.25 }],
    ["behind the name", ["Place"], ["Ford (51°30'N 2°15'W)"], "Ford", { lat: 51.5, lon: -2.25 }],
    ["alone where names stand", ["Place"], ["51.5, -2.25"], undefined, { lat: 51.5, lon: -2.25 }],
    ["on no earth", ["Place", "Coordinates"], ["Ford", "95, -2.25"], "Ford (95, -2.25)", null],
    ["no coordinates", ["Place"], ["Ford (the old one)"], "Ford (the old one)", null],
    ["half of them", ["Place", "Lat", "Lon"], ["Ford", "51.5", ""], "Ford", null],
  ])("coordinates are a point: %s", (_, names, row, place, point) => {
    const cells = [
      ["When", "Title", ...names],
      ["1604", "Ferry", ...row],
    ];
    const { named, uses } = guessUses(cells);
    const [read] = putTogether(cells, named, uses, {}).rows;
    expect([read!.cells.place, read!.point]).toEqual([place, point]);
  });
});

it("counts speak of the rows that can come in, and it is said when no column has dates", () => {
  const looked = lookAtRows(
    [
      ["colour", "weight"],
      ["red", "12"],
      ["x".repeat(301), "9"],
    ],
    {},
    [],
  );
  expect(looked.refused.map((r) => [r.row.number, r.column, r.length])).toEqual([[3, "title", 301]]);
  expect(looked.table.counts).toMatchObject({ events: 2, undated: 2, notUnderstood: 0 });
  expect(looked.hasDates).toBe(false);
  expect(
    lookAtRows(
      [
        ["When", "Title"],
        ["1846", "Bell"],
      ],
      {},
      [],
    ).hasDates,
  ).toBe(true);
});

it("of very many headings each has its own text", () => {
  const text = Array.from(
    { length: 30_000 },
    (_, i) => `## ${1000 + (i % 900)}: Event ${i}\n\nText ${i}\n\n### Within\n`,
  ).join("\n");
  const { kind, cells } = readRows(text);
  expect([kind, cells.length]).toEqual(["headings", 20_001]);
  expect(cells[19_999]!.slice(0, 3)).toEqual(["1198", "Event 19998", "Text 19998\n\n### Within"]);
});

describe("a table that is brought in", () => {
  const TABLE =
    'Date,End,Event,Theme,Text,Source,Tags\n1744,1783,Timber bridge,Crossing,"First.\n\nSecond.",Toll book,"river, toll"\n03/04/1872,,Relief fund,Town life,,,\nearly 1700s,,Ferry,crossing,,,\n';

  it("is one change with everything in it, each value read as if it were typed, and one undo", () => {
    const t = emptyTimeline("t");
    const { ops, after } = brought(t, TABLE, "dmy");
    const events = inOrder(after.events.values());
    expect(events.map((e) => [e.title, e.when.edtf ?? null, after.categories.get(e.category!)!.name])).toEqual([
      ["Ferry", expect.anything(), "Crossing"],
      ["Timber bridge", "1744/1783", "Crossing"],
      ["Relief fund", "1872-04-03", "Town life"],
    ]);
    expect(events[1]!.when.typed).toBe("1744 to 1783");
    expect(events[2]!.when.typed).toBe("03/04/1872");
    expect(events[1]!.tags).toEqual(["river", "toll"]);
    expect(itemsOf(after, events[1]!.id, "source").map((i) => i.text)).toEqual(["Toll book"]);
    expect(plainTextOf(blocksOf(after.events.get(events[1]!.id)!.description))).toBe("First.\nSecond.");
    expect(after.dateOrder).toBe("dmy");
    const undone = apply(after, invert(t, ops)).timeline;
    expect(inOrder(undone.events.values())).toEqual([]);
    expect(undone.dateOrder).toBe(null);
  });

  it("does not change how the timeline reads its own dates", () => {
    const { after } = brought({ ...emptyTimeline("t"), dateOrder: "mdy" }, TABLE, "dmy");
    expect(after.dateOrder).toBe("mdy");
    expect(inOrder(after.events.values()).map((e) => e.when.edtf)).toContain("1872-04-03");
  });
});
