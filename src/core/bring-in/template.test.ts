import { expect, it } from "vitest";
import { readYes } from "../ledger/read-cell";
import { templateCsv, templateXlsx } from "../formats/template";
import { speakIn } from "../language/spoken";
import { knowLanguages } from "../testing/languages";
import { DE } from "../words/de/all";
import { EN } from "../words/en/all";
import { ES } from "../words/es/all";
import { WORDS } from "../words/template";
import { readFile } from "./files/read-file";
import { lookAtRows } from "./look-at-rows";

const CATALOGUES = { en: EN, de: DE, es: ES } as const;
const LANGUAGES = knowLanguages();

it.each(
  LANGUAGES.flatMap((language) => [
    [language, "x.csv", async () => new TextEncoder().encode(templateCsv())] as const,
    [language, "x.xlsx", () => templateXlsx(["Crossing", 'With "marks", and commas', "Trade"])] as const,
  ]),
)(
  "the table to fill in, in %s, is read with every column known and every date understood: %s",
  async (language, name, make) => {
    // It is brought in by somebody who may be spoken to in another language.
    const found = await readFile(name, await speakIn(language, make));
    if (found.kind !== "rows") throw new Error("no rows");
    const { WORDS } = CATALOGUES[language].template;
    // Columns in which no example stands are known by their names too, where the form keeps them.
    const looked = lookAtRows(found.sheets[0]!.cells, {}, []);
    expect(looked.uses).not.toContain("more");
    expect(looked.named).toBe(true);
    expect(looked.table.counts).toMatchObject({ events: WORDS.rows.length, notUnderstood: 0, undated: 1 });
    const [, , part, whole] = WORDS.rows;
    expect(looked.table.rows.find((r) => r.cells.title === part![1])!.cells.partOf).toBe(whole![1]);
    const yes = looked.table.rows.map((r) => readYes(r.cells.emphasis ?? ""));
    expect(yes).toEqual(WORDS.rows.map((r) => r[11] !== ""));
  },
);

it("categories are chosen from a list", async () => {
  const { default: Excel } = await import("exceljs");
  const book = new Excel.Workbook();
  await book.xlsx.load((await templateXlsx(["Crossing", 'With "marks"', "Trade"])).buffer as ArrayBuffer);
  expect(book.worksheets[0]!.getCell("C2").dataValidation).toMatchObject({
    type: "list",
    formulae: ['"Crossing,Trade"'],
  });
  expect(book.worksheets.map((s) => s.name)).toEqual([WORDS.events, WORDS.help]);
});
