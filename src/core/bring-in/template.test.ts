import { expect, it } from "vitest";
import { templateCsv, templateXlsx } from "../formats/template";
import { WORDS } from "../words/template";
import { readFile } from "./files/read-file";
import { lookAtRows } from "./look-at-rows";

it.each<[string, () => Promise<Uint8Array>]>([
  ["x.csv", async () => new TextEncoder().encode(templateCsv())],
  ["x.xlsx", () => templateXlsx(["Crossing", 'With "marks", and commas', "Trade"])],
])("the table to fill in is read with every column known and every date understood: %s", async (name, make) => {
  const found = await readFile(name, await make());
  if (found.kind !== "rows") throw new Error("no rows");
  // Columns in which no example stands are known by their names too, where the form keeps them.
  const looked = lookAtRows(found.sheets[0]!.cells, {}, []);
  expect(looked.uses).not.toContain("more");
  expect(looked.named).toBe(true);
  expect(looked.table.counts).toMatchObject({ events: WORDS.rows.length, notUnderstood: 0, undated: 1 });
  expect(looked.table.rows.find((r) => r.cells.title === "East quay under water")!.cells.partOf).toBe(
    "The long night flood",
  );
});

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
