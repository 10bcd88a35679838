import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { deflateRawSync } from "node:zlib";
import { describe, expect, it } from "vitest";
import { strToU8, zipSync } from "fflate";
import { dayFromGregorian } from "../../time/calendar";
import { readWhen } from "../../time/read/read-when";
import type { Found, ReadFileOptions, Sheet } from "./found";
import { readFile } from "./read-file";
import { dateOfSerial, shownOf } from "./serial-date";
import { NotReadable, unpack } from "./unpack";

type Rows = Extract<Found, { kind: "rows" }>;
const file = (name: string) =>
  new Uint8Array(readFileSync(join(import.meta.dirname, "../../../../fixtures/bring-in", name)));
const bytes = (text: string) => new TextEncoder().encode(text);
const rowsOf = async (name: string, content: Uint8Array, options?: ReadFileOptions): Promise<Rows> => {
  const found = await readFile(name, content, options);
  if (found.kind !== "rows") throw new Error("no rows");
  return found;
};
const refusal = (name: string, content: Uint8Array) =>
  readFile(name, content).then(
    () => "read",
    (e: unknown) => (e instanceof NotReadable ? e.message : Promise.reject(e)),
  );

describe("a spreadsheet that LibreOffice wrote", () => {
  const REST = [
    ["Two arches lost", "Weather & water", "", ""],
    ["Bell recast", "Town life", "", ""],
    ["Bell rung", "Town life", "", ""],
    ["Viaduct tested", "Crossing", "", ""],
    ["No day is known", "", "", ""],
  ];
  it.each(["crossings.xlsx", "crossings.ods"])(
    "%s: days are exact, whatever they look like, and as exact as they are shown",
    async (name) => {
      const { sheets, notes } = await rowsOf(name, file(name));
      expect(sheets.map((s) => s.name)).toEqual(["Crossings", "Tolls"]);
      expect(sheets[1]!.cells).toEqual([
        ["Year", "Toll"],
        ["1631", "Salt"],
      ]);
      expect(notes).toEqual([]);
      const [head, ...rows] = sheets[0]!.cells;
      expect(head).toEqual(["When", "Title", "Title link", "Category", "Note", "Done"]);
      expect(rows.map((r) => r[0])).toEqual([
        "c. 1604",
        "1872-11-14",
        "1872-11-14 22:10",
        "1900-01-01",
        "1900-02-28",
        "1900-03-01",
        "May 1783",
        "1846",
        "1846",
        "31/02/1889",
        "",
        "1931-09-27",
      ]);
      expect(rows[0]).toEqual(["c. 1604", 'Rope ferry, "the long one"', "", "Crossing", "007", ""]);
      expect(rows[1]!.slice(4)).toEqual(["Two\nlines", "40"]);
      expect(rows[2]!.slice(1)).toEqual(["Brücke überspült", "", "Weather & water", "=2+3", "50%"]);
      expect(rows.slice(6, 11).map(([, title, , ...rest]) => [title, ...rest])).toEqual(REST);
      expect(rows[11]!.slice(1, 3)).toEqual(["The last ferry", "The last ferry https://ambrel.example/ferry"]);
    },
  );

  it("whose days are counted from 1904 has the same days", async () => {
    const { sheets } = await rowsOf("crossings-1904.xlsx", file("crossings-1904.xlsx"));
    expect(sheets[0]!.cells.map((r) => r[0])).toEqual(["When", "c. 1604", "31/02/1889", "", "1931-09-27"]);
  });

  it.each([
    ["crossings-utf8.csv", "utf-8", ","],
    ["crossings-1252.csv", "windows-1252", ";"],
    ["crossings-utf16.csv", "utf-16le", "\t"],
  ])("%s: its letters and what stands between its cells are found", async (name, encoding, delimiter) => {
    const found = await rowsOf(name, file(name));
    expect([found.encoding, found.delimiter]).toEqual([encoding, delimiter]);
    const { cells } = found.sheets[0]!;
    expect(cells).toHaveLength(13);
    expect(cells[2]).toEqual(["14.11.1872", "The long night flood", "Weather & water", "Two\nlines", "40"]);
    expect(cells[3]![1]).toBe("Brücke überspült");
  });

  it("can be read in other letters and with another sign where somebody says so", async () => {
    const latin = await rowsOf("x.csv", file("crossings-1252.csv"), { encoding: "windows-1251", delimiter: "," });
    expect(latin.sheets[0]!.cells[0]).toEqual(["When;Title;Category;Note;Done"]);
    expect(latin.sheets[0]!.cells[4]![0]).toContain("Brьcke");
  });
});

describe("days of a workbook", () => {
  const epoch = dayFromGregorian(1899, 12, 30);
  it.each<[number, string, string]>([
    [1, "dd/mm/yyyy", "1900-01-01"],
    [59, "dd/mm/yyyy", "1900-02-28"],
    [60, "dd/mm/yyyy", "1900-02-29"],
    [61, "dd/mm/yyyy", "1900-03-01"],
    [45_000.5, "yyyy\\-mm\\-dd hh:mm", "2023-03-15 12:00"],
    [45_000, "mmm yyyy", "Mar 2023"],
    [45_000, "yyyy", "2023"],
    [0.75, "hh:mm", "18:00"],
    [0.75, '[h]" h "mm', "18:00"],
  ])("%d as %s is %s", (serial, format, text) =>
    expect(dateOfSerial(serial, format, { exact: false, epoch })).toBe(text),
  );

  it("before 15 October 1582 are Julian, and say so", () => {
    const serial = dayFromGregorian(1066, 10, 20) - epoch;
    const text = dateOfSerial(serial, "dd/mm/yyyy", { exact: true, epoch });
    expect(text).toBe("14 Oct 1066 (Julian)");
    expect(readWhen(text).edtf).toBe("1066-10-20");
  });

  it("minutes are no months", () => {
    expect(shownOf("hh:mm:ss")).toEqual({ year: false, month: false, day: false, time: true, seconds: true });
    expect(shownOf('d" de "mmmm')).toMatchObject({ month: true, day: true, year: false, time: false });
  });
});

/** A ZIP of one file that says of itself that it unpacks to ten bytes. */
function lyingZip(name: string, raw: Uint8Array): Uint8Array {
  const packed = deflateRawSync(raw, { level: 1 });
  const header = Buffer.alloc(30);
  header.writeUInt32LE(0x04034b50, 0);
  header.writeUInt16LE(20, 4);
  header.writeUInt16LE(8, 8);
  header.writeUInt32LE(packed.length, 18);
  header.writeUInt32LE(10, 22);
  header.writeUInt16LE(name.length, 26);
  return Buffer.concat([header, Buffer.from(name), packed]);
}

describe("a packed file", () => {
  it("that unpacks to gigabytes is stopped where it reaches the limit, whatever it says of its size", async () => {
    const zeros = new Uint8Array(210_000_000);
    const bomb = lyingZip("xl/worksheets/sheet1.xml", zeros);
    expect(bomb.length).toBeLessThan(1_500_000);
    expect(await refusal("x.xlsx", bomb)).toContain("more than 200 MB");
    expect(await refusal("x.ods", lyingZip("content.xml", zeros))).toContain("more than 200 MB");
  });

  it.each<[string, string, Uint8Array]>([
    ["an empty one", "x.xlsx", zipSync({})],
    ["none", "x.xlsx", bytes("no zip")],
    ["one cut off", "x.xlsx", file("crossings.xlsx").subarray(0, 3_000)],
    ["one of something else", "x.ods", zipSync({ "a.txt": bytes("a") })],
    ["broken XML", "x.ods", zipSync({ "content.xml": bytes("<office:document><a></b>") })],
    ["entities", "x.ods", zipSync({ "content.xml": bytes('<!DOCTYPE a [<!ENTITY b "c">]><a>&b;</a>') })],
  ])("%s is refused with a sentence", async (_, name, content) =>
    expect(await refusal(name, content)).toMatch(/cannot be read|no row with a word/),
  );

  it("with more cells than are read is refused before they are", async () => {
    const sheet = `<worksheet><sheetData>${"<c />".repeat(200_001)}</sheetData></worksheet>`;
    const zip = zipSync({ "xl/workbook.xml": strToU8("<workbook/>"), "xl/worksheets/sheet1.xml": strToU8(sheet) });
    expect(await refusal("x.xlsx", zip)).toContain("more than 200,000 cells");
  });

  it("repeated cells and rows are taken as often as somebody wrote them, not as often as a sheet is long", async () => {
    const cell = (text: string, more = "") =>
      `<table:table-cell office:value-type="string" ${more}><text:p>${text}</text:p></table:table-cell>`;
    const xml = `<office:document xmlns:office="o" xmlns:table="t" xmlns:text="x"><table:table table:name="A"><table:table-row>${cell("1846")}${cell("Bell")}<table:table-cell table:number-columns-repeated="16382"/></table:table-row><table:table-row table:number-rows-repeated="2">${cell("1872")}${cell("Flood")}</table:table-row><table:table-row table:number-rows-repeated="1048573"><table:table-cell table:number-columns-repeated="16384"/></table:table-row></table:table></office:document>`;
    const { sheets } = await rowsOf("x.ods", zipSync({ "content.xml": bytes(xml) }));
    expect(sheets[0]!.cells).toEqual([
      ["1846", "Bell"],
      ["1872", "Flood"],
      ["1872", "Flood"],
    ]);
  });

  it("names are read only where they are wanted", () => {
    const zip = zipSync({ "a.xml": bytes("a"), "b/c.bin": bytes("b") });
    expect([...unpack(zip, (n) => n.endsWith(".xml")).keys()]).toEqual(["a.xml"]);
  });
});

describe("a page", () => {
  it("gives its largest table first, links beside their words, and nothing of its scripts", async () => {
    const page = `<script>alert(1)</script><table><tr><td>menu</td></tr></table>
      <table><caption>Crossings</caption><tr><th>Date</th><th>Event</th></tr>
      <tr><td>1846</td><td><a href="https://ambrel.example/bell">Bell</a><script>x</script></td></tr>
      <tr><td>1872</td><td><a href="javascript:alert(1)">Flood</a></td></tr></table>`;
    const { sheets } = await rowsOf("x.html", bytes(page));
    expect(sheets.map((s) => s.name)).toEqual(["Crossings", "1"]);
    expect(sheets[0]!.cells).toEqual([
      ["Date", "Event", "Event link"],
      ["1846", "Bell", "Bell https://ambrel.example/bell"],
      ["1872", "Flood", ""],
    ]);
  });

  it("without a table is a list of its lines, however deep it is", async () => {
    const { sheets } = await rowsOf("x.htm", bytes("<ul><li>1846 - Bell<li><b>1872</b>: Flood</ul>"));
    expect(sheets[0]!.cells).toEqual([
      ["1846", "Bell"],
      ["1872", "Flood"],
    ]);
    const deep = await rowsOf("x.htm", bytes(`${"<div>".repeat(5_000)}1846 Bell`));
    expect(deep.sheets[0]!.cells).toEqual([["1846", "Bell"]]);
  });
});

describe("Markdown with a heading for each event", () => {
  it("is events with the text below them", async () => {
    const text =
      "# How the Ambrel was crossed\n\nEvery way across.\n\n## 1846: Bell recast\n\nIt was *loud*.\n\nTwice.\n\nCategory: Town life\nSource: Parish book, 4\n\n## c. 1604 - Rope ferry\n\n## A bridge\n\nOne day.\n";
    const { sheets } = await rowsOf("x.md", bytes(text));
    expect(sheets[0]!.cells.map((r) => r.slice(0, 4))).toEqual([
      ["When", "Title", "Description", "Category"],
      ["1846", "Bell recast", "It was *loud*.\n\nTwice.", "Town life"],
      ["c. 1604", "Rope ferry", "", ""],
      ["", "A bridge", "One day.", ""],
    ]);
  });
});

describe("JSON", () => {
  it("of a list of objects is a table", async () => {
    const { sheets } = await rowsOf(
      "x.json",
      bytes('[{"year":1846,"what":"Bell","tags":["a","b"]},{"what":"Flood","is":true}]'),
    );
    expect(sheets[0]!.cells).toEqual([
      ["year", "what", "tags", "is"],
      ["1846", "Bell", "a, b", ""],
      ["", "Flood", "", "yes"],
    ]);
  });
  it("of a timeline is one", async () =>
    expect((await readFile("x.json", bytes('{"events":[]}'))).kind).toBe("timeline"));
  it("of anything else is refused with a sentence", async () => {
    expect(await refusal("x.json", bytes('{"a":1}'))).toContain("no list of events");
    expect(await refusal("x.json", bytes("{"))).toContain("no JSON that can be read");
  });
});

describe("any file", () => {
  it("of another kind is refused by its name", async () =>
    expect(await refusal("x.docx", bytes("x"))).toContain("“x.docx”"));
  it.each<[string, string]>([
    ["x.html", "<table><tr><td>1846<td>Be&#7;ll<tr><td>1<td>2</table>"],
    ["x.json", '[{"When":"1846","Title":"Be\\u0007ll"}]'],
    ["x.ics", "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nSUMMARY:Be\u0007ll\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n"],
  ])("%s: nor where it is written in another way", async (name, text) => {
    const { sheets } = await rowsOf(name, bytes(text));
    expect(JSON.stringify(sheets)).toContain("Bell");
  });
  it("holds no character that nobody can see", async () => {
    const { sheets } = await rowsOf("x.csv", bytes("When,Title\n1846,Be\u0000ll\u0007\n"));
    expect(sheets[0]!.cells[1]).toEqual(["1846", "Bell"]);
  });
  it.each([
    ["x.csv", "When,Title\n", "1846,Bell\n"],
    ["x.txt", "", "- 1846 Bell\n"],
    ["x.md", "", "# 1846: Bell\n"],
    ["x.html", "<table>", "<tr><td>1846<td>Bell"],
  ])("%s with more rows than are looked at says so", async (name, begin, row) => {
    const { sheets, notes } = await rowsOf(name, bytes(begin + row.repeat(20_005)));
    expect(sheets[0]!.cells).toHaveLength(20_000);
    expect(notes.join()).toMatch(/more than 20,000 rows: those beyond were left out\.$/);
  });
  it("of one quotation mark says nothing, and a list of one long line is one row", async () => {
    expect(await refusal("x.csv", bytes('"'))).toContain("no row with a word");
    const long = (await rowsOf("x.txt", bytes(`1846 ${"x".repeat(1_000_000)}`))).sheets as Sheet[];
    expect(long[0]!.cells).toHaveLength(1);
  });
});

describe("files that every reader of tables should read (csv-spectrum)", () => {
  const folder = join(import.meta.dirname, "../../../../node_modules/csv-spectrum");
  const names = readdirSync(join(folder, "csvs")).map((n) => n.replace(".csv", ""));
  it.each(names)("%s", async (name) => {
    const given = JSON.parse(readFileSync(join(folder, "json", `${name}.json`), "utf8"));
    const expected = (Array.isArray(given) ? given : [given]) as Record<string, string>[];
    const found = await rowsOf(`${name}.csv`, new Uint8Array(readFileSync(join(folder, "csvs", `${name}.csv`))));
    const [head, ...rows] = found.sheets[0]!.cells;
    const objects = rows.map((r) => Object.fromEntries(head!.map((h, i) => [h, r[i] ?? ""])));
    // Line ends within a cell are one character here.
    const lines = expected.map((o) =>
      Object.fromEntries(Object.entries(o).map(([k, v]) => [k, v.replaceAll("\r\n", "\n")])),
    );
    // In the package this table and what it should be name two different telephone numbers.
    if (name === "location_coordinates") for (const o of [...objects, ...lines]) delete o["Contact Phone Number"];
    expect(objects).toEqual(lines);
  });
  it("are all there", () => expect(names.length).toBeGreaterThan(10));
});
