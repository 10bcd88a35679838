import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, it } from "vitest";
import { makeSheets } from "./text-document";

const hasPoppler = spawnSync("pdftotext", ["-v"]).error === undefined;

/** What poppler reads out of a PDF, page by page. */
function read(pdf: Uint8Array): { pages: string[]; fonts: string; info: string } {
  const folder = mkdtempSync(join(tmpdir(), "fastigo-sheets-"));
  try {
    const file = join(folder, "a.pdf");
    writeFileSync(file, pdf);
    const run = (program: string, ...args: string[]) => spawnSync(program, args, { encoding: "utf8" }).stdout;
    return {
      pages: run("pdftotext", "-layout", file, "-").split("\f").slice(0, -1),
      fonts: run("pdffonts", file),
      info: run("pdfinfo", file),
    };
  } finally {
    rmSync(folder, { recursive: true });
  }
}

it.skipIf(!hasPoppler)(
  "sheets of text begin on pages of their own, their text is read in order, type is embedded",
  async () => {
    const pdf = await makeSheets("Marking sheets", [
      [
        { kind: "title", text: "Nia, Obi" },
        { kind: "small", text: "Rubric" },
        { kind: "item", text: "Dates: exact (4 of 4)", bullet: "–" },
        { kind: "text", text: "One line\nand the next" },
      ],
      [
        { kind: "title", text: "Wren" },
        ...Array.from({ length: 90 }, (_, i) => ({ kind: "text" as const, text: `Line ${i}` })),
      ],
    ]);
    const { pages, fonts, info } = read(pdf);
    expect(pages.length).toBeGreaterThan(2);
    expect(pages[0]).toMatch(/Nia, Obi[\s\S]*Rubric[\s\S]*Dates: exact \(4 of 4\)[\s\S]*One line[\s\S]*and the next/);
    expect(pages[0]).not.toContain("Wren");
    const rest = pages.slice(1).join("\n");
    for (let i = 1; i < 90; i++) expect(rest.indexOf(`Line ${i}`)).toBeGreaterThan(rest.indexOf(`Line ${i - 1}\n`));
    // No font stands for another.
    for (const line of fonts.trim().split("\n").slice(2)) expect(line).toMatch(/\byes yes yes\b/);
    expect(info).toMatch(/Title:\s+Marking sheets/);
    expect(info).toMatch(/Tagged:\s+yes/);
    expect(info).toMatch(/\(A4\)/);
  },
);
