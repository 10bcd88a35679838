import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, describe, expect, it } from "vitest";
import { READ_ENDINGS } from "@/core/bring-in/files/endings";
import { FORMATS } from "@/core/formats/formats";
import { checkLines } from "./check";
import { convert } from "./convert";
import { Refusal } from "./layout";
import { readAny } from "./read-any";

const folder = mkdtempSync(join(tmpdir(), "convert-"));
afterAll(() => rmSync(folder, { recursive: true }));
const put = (name: string, text: string) => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};
const to = (name: string) => join(folder, name);
const OPTIONS = { width: 800, height: 400, fonts: async () => "" };
const GED =
  "0 HEAD\n1 GEDC\n2 VERS 7.0\n0 @I1@ INDI\n1 NAME Ada /Bell/\n1 BIRT\n2 DATE ABT 1840\n1 DEAT\n2 DATE 3 MAR 1902\n0 TRLR\n";

describe("every pair of endings", () => {
  const outs = FORMATS.map((f) => f.endings[0]!);
  it.each(READ_ENDINGS)("from %s", { timeout: 60_000 }, async (ending) => {
    // A file of that ending is made of a family file, whose events every form can hold; and is then read by its ending.
    const ged = put("family.ged", GED);
    const known = outs.find((o) => o === ending);
    const input = to(`in${ending}`);
    if (known) await convert(ged, input, OPTIONS);
    else {
      const like = {
        ".tsv": ".csv",
        ".tab": ".csv",
        ".markdown": ".md",
        ".htm": ".html",
        ".xlsm": ".xlsx",
        ".ical": ".ics",
      }[ending]!;
      await convert(ged, to(`like${like}`), OPTIONS);
      writeFileSync(input, readFileSync(to(`like${like}`)));
    }
    for (const out of outs.filter((o) => o !== ".ged")) {
      const path = to(`out${out}`);
      await convert(input, path, OPTIONS);
      const bytes = readFileSync(path);
      if ([".xlsx", ".ods"].includes(out)) expect(bytes.subarray(0, 2).toString()).toBe("PK");
      else expect(bytes.toString("utf8").replaceAll(/\s+/g, " ")).toContain("Ada");
    }
  });

  it("of a family file goes back to one, and of anything else not", async () => {
    await convert(put("a.ged", GED), to("b.ged"), OPTIONS);
    expect(readFileSync(to("b.ged"), "utf8")).toContain("1 BIRT\n2 DATE ABT 1840\n");
    await expect(convert(put("a.csv", "When,Title\n1846,Bell\n"), to("c.ged"), OPTIONS)).rejects.toThrow(
      /does not come from a family file/,
    );
  });
});

describe("reading as the screen does", () => {
  const fixture = (name: string) => join(import.meta.dirname, "../../fixtures/bring-in", name);
  const read = async (file: string, options = {}) => {
    const said: string[] = [];
    const t = await readAny(file, options, (s) => said.push(s));
    return { titles: [...t.events.values()].map((e) => `${e.when.edtf ?? e.when.typed}: ${e.title}`), said };
  };

  it("takes the sheet that is named, and says which it took where none is", async () => {
    const first = await read(fixture("crossings.xlsx"));
    expect(first.titles).toHaveLength(12);
    expect(first.said.join()).toContain("of its sheets “Crossings” and “Tolls” “Crossings” was read");
    const tolls = await read(fixture("crossings.xlsx"), { sheet: "Tolls" });
    expect(tolls).toEqual({ titles: ["1631: Salt"], said: [] });
    await expect(read(fixture("crossings.ods"), { sheet: "x" })).rejects.toThrow(
      /has no sheet “x”; it has “Crossings” and “Tolls”/,
    );
  });

  it("says what could not be guessed, and which number is the day where nothing says it", async () => {
    const file = put("open.csv", "Date,Event,Width\n03/04/1872,Flood,3 m\n");
    const open = await read(file);
    expect(open.said.join("\n")).toMatch(/the column “Width” is could not|“Width”/);
    expect(open.said.join("\n")).toContain("could be two days");
    expect((await read(file, { order: "mdy" })).titles).toEqual(["1872-03-04: Flood"]);
    expect((await read(file, { order: "dmy" })).titles).toEqual(["1872-04-03: Flood"]);
  });

  it("in the letters that are named", async () => {
    expect((await read(fixture("crossings-1252.csv"))).titles[2]).toContain("Brücke");
    expect((await read(fixture("crossings-1252.csv"), { encoding: "Windows-1251" })).titles[2]).toContain("Brьcke");
    await expect(read(fixture("crossings-1252.csv"), { encoding: "latin9" })).rejects.toThrow(
      /--encoding latin9 is not known/,
    );
  });

  it.each<[string, () => string, RegExp]>([
    ["an unknown ending", () => put("x.doc", ""), /a file ending in .csv, .*.ged or .json is needed/],
    ["no such file", () => to("none.csv"), /there is no such file/],
    ["a broken one", () => put("x.xlsx", "PK"), /x.xlsx: The file cannot be read/],
    ["an empty one", () => put("e.csv", ""), /no row with a word/],
  ])("refuses with a sentence: %s", async (_, file, says) => {
    const refused = await read(file()).catch((e: unknown) => e);
    expect(refused).toBeInstanceOf(Refusal);
    expect((refused as Error).message).toMatch(says);
  });
});

describe("fastigo check", () => {
  it("says what is wrong and what is missing, by event", async () => {
    const file = put(
      "check.csv",
      "When,Title,Part of,Source\n31 Feb 1889,Viaduct tested,,Book\n1744-1783,Timber bridge,,Toll book\n1800,Arch lost,Timber bridge,\n,Some day,,Book\n",
    );
    const lines = checkLines(await readAny(file, {}, () => {}));
    expect(lines.map((l) => [l.level, l.code, l.title])).toEqual(
      expect.arrayContaining([
        ["error", "date_not_understood", "Viaduct tested"],
        ["error", "part_outside_whole", "Arch lost"],
        ["warning", "missing_source", "Arch lost"],
        ["warning", "undated", "Some day"],
      ]),
    );
    expect(lines.every((l) => l.message.endsWith(".") || l.message.endsWith("?"))).toBe(true);
    expect(lines.map((l) => l.event)).toEqual([...lines.map((l) => l.event)].sort((a, b) => a - b));
    expect(checkLines(await readAny(put("ok.csv", "When,Title,Source\n1846,Bell,Book\n"), {}, () => {}))).toEqual([]);
  });
});
