// Writes src/core/text/font-tables: the advance width of every character of the shipped fonts,
// in thousandths of the type size, for the weights the chart uses. Run again when a font file changes.
import { mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { chromium } from "@playwright/test";
import { CHROMIUM, CHROMIUM_ARGS } from "./lib/chromium.mjs";
import { bundle } from "./lib/machine.mjs";

const { FAMILIES, HEADINGS, fontFaces, WEIGHTS } = await import(await bundle("src/core/text/families.ts", "families"));
const RANGES = [
  [0x20, 0x7e],
  [0xa0, 0x17f],
  [0x2010, 0x2026],
  [0x20ac, 0x20ac],
  [0x2190, 0x2193],
  [0x2212, 0x2212],
];

const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
const page = await browser.newPage();
/** Of one weight of a family: the width of each character it has. */
async function widthsOf({ file, weights }, weight) {
  const files = ["latin-ext", "latin"].map((set) =>
    readFileSync(`public/fonts/${file}-${set}-wght-normal.woff2`).toString("base64"),
  );
  return page.evaluate(
    async ([files, weights, weight, ranges]) => {
      // What was measured before went by the same names.
      document.fonts.clear();
      const names = files.map((_, i) => `face${i}`);
      for (const [i, data] of files.entries()) {
        const face = new FontFace(`face${i}`, `url(data:font/woff2;base64,${data})`, { weight: weights });
        document.fonts.add(await face.load());
      }
      const ctx = document.createElement("canvas").getContext("2d");
      ctx.fontKerning = "none";
      const width = (font, text) => {
        ctx.font = `${weight} 1000px ${font}`;
        return Math.round(ctx.measureText(text).width);
      };
      const widths = {};
      for (const [from, to] of ranges)
        for (let code = from; code <= to; code++) {
          const text = String.fromCodePoint(code);
          // A character that one of the two files has measures the same whatever stands behind it in the list.
          const list = [...names].reverse().join(",");
          const a = width(`${list},monospace`, text);
          const b = width(`${list},serif`, text);
          if (a === b) widths[code] = a;
        }
      return widths;
    },
    [files, weights, weight, RANGES],
  );
}
// Runs of neighbouring code points: [first, "w w w ..."].
const packed = (widths) => {
  const runs = [];
  let last = -2;
  for (const [code, width] of Object.entries(widths).map(([c, w]) => [Number(c), w])) {
    if (code === last + 1) runs.at(-1)[1].push(width);
    else runs.push([code, [width]]);
    last = code;
  }
  return runs.map(([first, list]) => [first, list.join(" ")]);
};
mkdirSync("src/core/text/font-tables", { recursive: true });
const names = Object.keys(FAMILIES);
for (const name of names) {
  const tables = {};
  for (const weight of WEIGHTS) tables[weight] = packed(await widthsOf(FAMILIES[name], weight));
  writeFileSync(
    `src/core/text/font-tables/${name}.ts`,
    `// Made by scripts/make-font-tables.mjs from public/fonts. Do not edit.
import type { FamilyTable } from "./family-table";

export const ${name.toUpperCase()}: FamilyTable = ${JSON.stringify(tables, null, 1)};
`,
  );
}
await browser.close();
writeFileSync(
  "src/core/text/font-tables/all-families.ts",
  `// Made by scripts/make-font-tables.mjs. Do not edit.
import type { Family } from "../families";
import type { FamilyTable } from "./family-table";
${names.map((n) => `import { ${n.toUpperCase()} } from "./${n}";`).join("\n")}

/** The widths of all letters of all families. What a reader's page loads has the house's alone (scripts/lib/machine.mjs). */
export const TABLES: Partial<Record<Family, FamilyTable>> = { ${names.map((n) => `${n}: ${n.toUpperCase()}`).join(", ")} };
`,
);
const faces = Object.keys({ ...FAMILIES, ...HEADINGS }).map((name) =>
  fontFaces(name).replaceAll("@font-face", "\n@font-face"),
);
writeFileSync("src/app/fonts.css", `/* Made by scripts/make-font-tables.mjs. Do not edit. */${faces.join("")}\n`);
