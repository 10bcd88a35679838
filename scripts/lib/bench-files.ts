import { readFileSync as readDisk } from "node:fs";
import { strToU8 } from "fflate";
import Papa from "papaparse";
import { readFile } from "@/core/bring-in/files/read-file";
import { seededEvents } from "./bench-core";

const TIMES = 7;
const middle = (list: number[]) => list.sort((a, b) => a - b)[Math.floor(list.length / 2)]!;

/** A table of so many rows as people have them. */
export function tableText(rows: number): string {
  const events = seededEvents(rows, 11);
  const lines = events.map((e, i) => [
    e.when.typed,
    e.title,
    ["Crossing", "Trade", "Town life"][i % 3]!,
    `It is said, "so" (${i}).`,
    `County roll ${i % 40}`,
  ]);
  return Papa.unparse([["When", "Title", "Category", "Description", "Source"], ...lines]);
}

/** Two ways of one work, in turns, so that both find the machine alike: the middle time of each, ms. */
async function inTurns(ours: () => unknown, bare: () => unknown): Promise<{ ours: number; bare: number }> {
  const times: { ours: number[]; bare: number[] } = { ours: [], bare: [] };
  await ours();
  await bare();
  for (let i = 0; i < TIMES; i++)
    for (const [name, work] of [
      ["ours", ours],
      ["bare", bare],
    ] as const) {
      const begun = performance.now();
      await work();
      times[name].push(performance.now() - begun);
    }
  return { ours: middle(times.ours), bare: middle(times.bare) };
}

/** Reading 10,000 rows, and the bare parsers of the same file, ms. */
export async function timeReading() {
  const text = tableText(10_000);
  const bytes = strToU8(text);
  const { default: Excel } = await import("exceljs");
  const book = new Excel.Workbook();
  const sheet = book.addWorksheet("Events");
  for (const row of Papa.parse<string[]>(text).data) sheet.addRow(row);
  const xlsx = new Uint8Array(await book.xlsx.writeBuffer());
  return {
    csv: await inTurns(
      () => readFile("x.csv", bytes),
      () => Papa.parse(new TextDecoder().decode(bytes)),
    ),
    xlsx: await inTurns(
      () => readFile("x.xlsx", xlsx),
      async () => {
        const bare = new Excel.Workbook();
        await bare.xlsx.load(xlsx.buffer as ArrayBuffer);
        bare.worksheets[0]!.eachRow((row) => row.eachCell((cell) => void cell.value));
      },
    ),
  };
}

/** The largest workbook that is read: its cells as many as there may be. */
export async function largestFile(): Promise<Uint8Array> {
  const { default: Excel } = await import("exceljs");
  const book = new Excel.Workbook();
  const sheet = book.addWorksheet("Events");
  for (let i = 0; i < 19_900; i++)
    sheet.addRow(Array.from({ length: 10 }, (_, c) => `Row ${i} cell ${c} of the river Ambrel`));
  return new Uint8Array(await book.xlsx.writeBuffer());
}

/** Reads a workbook; gives the most memory this process has needed, MB. */
export async function readLargest(file: string): Promise<number> {
  const found = await readFile(file, new Uint8Array(readDisk(file)));
  if (found.kind !== "rows" || found.sheets[0]!.cells.length !== 19_900) throw new Error("not all of it was read");
  return process.resourceUsage().maxRSS / 1_024;
}
