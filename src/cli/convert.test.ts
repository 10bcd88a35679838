import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { unzipSync } from "fflate";
import sharp from "sharp";
import { afterAll, describe, expect, it, vi } from "vitest";
import { bundleForReaders } from "../../scripts/lib/machine.mjs";
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
    if (ending === ".zip") await bundleForReaders();
    if (known || ending === ".zip") await convert(ged, input, OPTIONS);
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
    ["an unknown ending", () => put("x.doc", ""), /a file ending in .csv, .*.json or .zip is needed/],
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

describe("what is made of a timeline", () => {
  const CSV = "When,Title,Category\n1604,Rope ferry,Crossing\n1702 - 1790,Timber bridge,Crossing\n1872,Flood,Water\n";
  const warnings = async (out: string, more: object = {}) => {
    const said: string[] = [];
    await convert(put("made.csv", CSV), to(out), { ...OPTIONS, ...more, warn: (s) => said.push(s) });
    return said;
  };

  it("is a PDF of the paper that was asked for", async () => {
    expect(await warnings("a.pdf", { paper: "900x300mm" })).toEqual([]);
    const text = readFileSync(to("a.pdf"), "latin1");
    expect(text.slice(0, 8)).toBe("%PDF-1.7");
    expect(text).toMatch(/MediaBox \[0 0 2551\.\d+ 850\.\d+\]/);
    await expect(warnings("b.pdf", { paper: "a99" })).rejects.toThrow("--paper a99 is no paper");
  });

  it("is a PNG of the scale that was asked for, and another where another part or look is seen", async () => {
    await warnings("a.png", { pngScale: 3 });
    await warnings("b.png", { from: "1600", to: "1700" });
    await warnings("c.png", { look: "oak" });
    const size = async (name: string) => (await sharp(to(name)).metadata()).width;
    expect([await size("a.png"), await size("b.png")]).toEqual([2_400, 1_600]);
    expect(readFileSync(to("b.png")).equals(readFileSync(to("c.png")))).toBe(false);
  });

  it("is a folder whose page, data and fingerprint are there; read again it is the same", async () => {
    await bundleForReaders();
    await warnings("a.zip");
    const files = unzipSync(new Uint8Array(readFileSync(to("a.zip"))));
    for (const name of ["index.html", "README.txt", "data.json", "data.csv", "reader/chart.js"])
      expect(files).toHaveProperty([name]);
    const html = new TextDecoder().decode(files["index.html"]);
    expect(html).toContain("Timber bridge");
    // Nothing is asked of a server.
    expect(html).not.toMatch(/(?:src|href)="\/(?!\/)/);
    expect(html).not.toContain("url(/");
    const written = new TextDecoder().decode(files["data.json"]);
    writeFileSync(to("again.json"), written);
    await convert(to("again.json"), to("once-more.json"), OPTIONS);
    expect(readFileSync(to("once-more.json"), "utf8")).toBe(written);
    await warnings("b.zip");
    expect(readFileSync(to("b.zip")).equals(readFileSync(to("a.zip")))).toBe(true);
  });

  it("is served as a page on this machine until it is ended", async () => {
    const { serve } = await import("./serve");
    let said = "";
    const write = vi.spyOn(process.stdout, "write").mockImplementation((text) => {
      said += String(text);
      return true;
    });
    const ended = serve([put("served.csv", CSV)]);
    await vi.waitFor(() => expect(said).toMatch(/^http:\/\/127\.0\.0\.1:\d+\/$/m), { timeout: 20_000 });
    write.mockRestore();
    const url = said.trim();
    expect(await (await fetch(url)).text()).toContain("Rope ferry");
    expect((await fetch(`${url}reader/chart.js`)).status).toBe(200);
    expect((await fetch(`${url}..%2f..%2fpackage.json`)).status).toBe(404);
    expect((await fetch(url, { method: "POST" })).status).toBe(404);
    process.emit("SIGTERM");
    expect(await ended).toBe(0);
  });

  it("is told from what was altered by its fingerprint", async () => {
    const { verify } = await import("./verify");
    await convert(put("v.csv", CSV), to("v.json"), OPTIONS);
    const run = async (...args: string[]) => {
      let out = "";
      const spies = [
        vi.spyOn(process.stdout, "write").mockImplementation((t) => {
          out += String(t);
          return true;
        }),
        vi.spyOn(process.stderr, "write").mockImplementation(() => true),
      ];
      const status = await verify(args).finally(() => spies.forEach((s) => void s.mockRestore()));
      return { status, ...(JSON.parse(out) as { fingerprint: string; whole: boolean; same: boolean }) };
    };
    const { fingerprint, ...first } = await run(to("v.json"));
    expect(first).toMatchObject({ status: 0, whole: true, same: true });
    expect((await run(to("v.json"), "--fingerprint", fingerprint.slice(0, 12))).status).toBe(0);
    const text = readFileSync(to("v.json"), "utf8");
    expect(await run(put("spaced.json", text.replace(",", ", ")))).toMatchObject({ status: 1, whole: false });
    expect(await run(put("other.json", text.replace("Flood", "Frost")), "--fingerprint", fingerprint)).toMatchObject({
      status: 1,
      same: false,
    });
    await expect(verify([put("half.zip", "PK\u0003\u0004broken")])).rejects.toThrow("no whole zip");
    await expect(verify([to("missing.json")])).rejects.toThrow("there is no such file");
  });
});
