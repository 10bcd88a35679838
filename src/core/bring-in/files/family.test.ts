import { describe, expect, it } from "vitest";
import { dayFromGregorian } from "../../time/calendar";
import { readWhen } from "../../time/read/read-when";
import type { Found, ReadFileOptions } from "./found";
import { gedcomDate } from "./gedcom-date";
import { readFile, readText } from "./read-file";

type Rows = Extract<Found, { kind: "rows" }>;

describe("dates of a family file", () => {
  it.each([
    ["3 MAR 1702", "3 Mar 1702", "1702-03-03"],
    ["MAR 1702", "Mar 1702", "1702-03"],
    ["ABT 1840", "about 1840", "1840~"],
    ["EST 1840", "about 1840", "1840~"],
    ["BEF 1840", "before 1840", "[..1839]"],
    ["AFT 1840", "after 1840", "[1841..]"],
    ["BET 1840 AND 1850", "between 1840 and 1850", "[1840..1850]"],
    ["FROM 1840 TO 1850", "1840 to 1850", "1840/1850"],
    ["FROM MAR 1840", "from Mar 1840", "1840-03/.."],
    ["TO 1850", "until 1850", "../1850"],
    ["INT 1840 (they say)", "1840", "1840"],
    ["@#DJULIAN@ 3 MAR 1702", "3 Mar 1702 (Julian)", "1702-03-14"],
    ["JULIAN 3 MAR 1702", "3 Mar 1702 (Julian)", "1702-03-14"],
    ["GREGORIAN 3 MAR 1702", "3 Mar 1702", "1702-03-03"],
    ["3 FEB 1701/02", "3 Feb 1702", "1702-02-03"],
    ["44 B.C.", "44 BC", "-0043"],
    ["JULIAN 3 MAR 44 BCE", "3 Mar 44 BC (Julian)", "-0043-03-01"],
    ["@#DFRENCH R@ 1 VEND 1", "22 Sep 1792", "1792-09-22"],
    ["FRENCH_R 18 BRUM 8", "9 Nov 1799", "1799-11-09"],
    ["@#DFRENCH R@ 9 THER 2", "27 Jul 1794", "1794-07-27"],
    ["@#DHEBREW@ 1 TSH 5785", "3 Oct 2024", "2024-10-03"],
    ["HEBREW 15 NSN 5608", "18 Apr 1848", "1848-04-18"],
  ])("%s is %s", (value, text, edtf) => {
    expect(gedcomDate(value)).toBe(text);
    expect(readWhen(text, { sentence: false }).edtf).toBe(edtf);
  });

  it("Hebrew ones agree with the calendar of the runtime over two centuries", () => {
    const format = new Intl.DateTimeFormat("en-u-ca-hebrew", {
      year: "numeric",
      month: "long",
      day: "numeric",
      timeZone: "UTC",
    });
    const names: Record<string, string> = {
      Tishri: "TSH",
      Heshvan: "CSH",
      Kislev: "KSL",
      Tevet: "TVT",
      Shevat: "SHV",
      "Adar I": "ADR",
      Adar: "ADS",
      "Adar II": "ADS",
      Nisan: "NSN",
      Iyar: "IYR",
      Sivan: "SVN",
      Tamuz: "TMZ",
      Av: "AAV",
      Elul: "ELL",
    };
    for (let t = Date.UTC(1800, 0, 1); t < Date.UTC(2000, 0, 1); t += 86_400_000 * 97) {
      const part = Object.fromEntries(format.formatToParts(t).map((p) => [p.type, p.value]));
      const read = readWhen(gedcomDate(`HEBREW ${part.day} ${names[part.month!]} ${part.year}`), { sentence: false });
      expect([part.month, read.edtf]).toEqual([part.month, new Date(t).toISOString().slice(0, 10)]);
    }
  });

  it("what is none comes back as it is", () => expect(gedcomDate("when the bell fell")).toBe("when the bell fell"));
});

describe("a family file", () => {
  const TODAY = dayFromGregorian(2026, 11, 26);
  const FAMILY = `0 HEAD
1 GEDC
2 VERS 5.5.1
1 CHAR UTF-8
0 @I1@ INDI
1 NAME Ada /Bell/
1 BIRT
2 DATE ABT 1840
2 PLAC Ambrelford
3 MAP
4 LATI N51.5
4 LONG W2.25
2 SOUR @S1@
3 PAGE 12
1 OCCU Bell founder
2 DATE FROM 1860 TO 1890
1 RESI
2 DATE BET 1861 AND 1871
2 NOTE First line
3 CONT second line
3 CONC , the rest
1 DEAT Y
1 BURI
2 DATE 3 MAR 1902
0 @I2@ INDI
1 NAME Tom /Reed/
1 BIRT
2 DATE 1838
1 DEAT
2 DATE BEF 1900
1 FAMS @F1@
0 @I3@ INDI
1 NAME Nia /Reed/
1 BIRT
2 DATE 14 NOV 1990
0 @F1@ FAM
1 HUSB @I2@
1 WIFE @I1@
1 MARR
2 DATE JUN 1862
2 PLAC @@ the ford
0 @S1@ SOUR
1 TITL Parish book
1 AUTH R. Hale
0 TRLR
`;
  const read = (text: string, options: ReadFileOptions = {}) =>
    readText("ged", text, { today: TODAY, ...options }) as Rows;

  it("is births, deaths, marriages and what else is dated, and leaves out who may be living", () => {
    const found = read(FAMILY);
    expect(found.sheets[0]!.cells.slice(1)).toEqual([
      [
        "about 1840",
        "Birth of Ada Bell",
        "",
        "Ambrelford",
        "51.5, -2.25",
        "Birth",
        "R. Hale: Parish book, 12",
        "I1/BIRT",
      ],
      ["1860 to 1890", "Occupation of Ada Bell", "Bell founder", "", "", "Occupation", "", "I1/OCCU"],
      [
        "between 1861 and 1871",
        "Residence of Ada Bell",
        "First line\nsecond line, the rest",
        "",
        "",
        "Residence",
        "",
        "I1/RESI",
      ],
      ["3 Mar 1902", "Burial of Ada Bell", "", "", "", "Burial", "", "I1/BURI"],
      ["1838", "Birth of Tom Reed", "", "", "", "Birth", "", "I2/BIRT"],
      ["before 1900", "Death of Tom Reed", "", "", "", "Death", "", "I2/DEAT"],
      ["Jun 1862", "Marriage of Tom Reed and Ada Bell", "", "@ the ford", "", "Marriage", "", "F1/MARR"],
    ]);
    expect(found.living).toBe(1);
    const all = read(FAMILY, { living: true });
    expect(all.sheets[0]!.cells.map((r) => r[1])).toContain("Birth of Nia Reed");
    expect(all.living).toBe(1);
  });

  it("in the letters of its time is read in them", async () => {
    const text = FAMILY.replace("UTF-8", "ANSEL").replace("Ada /Bell/", "Ada /B\u00e8ll/");
    const ansel = Uint8Array.from([...text].flatMap((c) => (c === "\u00e8" ? [225, 101] : [c.charCodeAt(0)])));
    const { sheets } = (await readFile("x.ged", ansel, { today: TODAY })) as Rows;
    expect(sheets[0]!.cells[1]![1]).toBe("Birth of Ada B\u00e8ll");
  });

  it("with a circle of families, lines that are none and levels that jump is read as far as it goes", () => {
    const odd = FAMILY.replace("1 FAMS @F1@", "1 FAMC @F1@\n1 FAMS @F1@\nno line\n9 LOST x").replace("0 TRLR\n", "");
    expect(read(odd).sheets[0]!.cells).toHaveLength(8);
    expect(() => read("1 NAME x")).toThrow(/no family file/);
  });
});
