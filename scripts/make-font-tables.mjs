// Writes src/core/text/font-tables.ts: the advance width of every character of the shipped fonts,
// in thousandths of the type size, for the weights the chart uses. Run again when a font file changes.
import { readFileSync, writeFileSync } from "node:fs";
import { chromium } from "@playwright/test";
import { CHROMIUM, CHROMIUM_ARGS } from "./lib/chromium.mjs";

const FACES = {
  text400: ["atkinson-hyperlegible-next", 400],
  text600: ["atkinson-hyperlegible-next", 600],
  text700: ["atkinson-hyperlegible-next", 700],
  head650: ["bricolage-grotesque", 650],
};
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
const tables = {};
for (const [name, [family, weight]] of Object.entries(FACES)) {
  const files = ["latin-ext", "latin"].map((set) =>
    readFileSync(`public/fonts/${family}-${set}-wght-normal.woff2`).toString("base64"),
  );
  tables[name] = await page.evaluate(
    async ([files, weight, ranges]) => {
      const names = files.map((_, i) => `face${i}`);
      for (const [i, data] of files.entries()) {
        const face = new FontFace(`face${i}`, `url(data:font/woff2;base64,${data})`, { weight: "200 800" });
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
    [files, weight, RANGES],
  );
}
await browser.close();

// Runs of neighbouring code points: [first, "w w w ..."].
const packed = Object.fromEntries(
  Object.entries(tables).map(([name, widths]) => {
    const runs = [];
    let last = -2;
    for (const [code, width] of Object.entries(widths).map(([c, w]) => [Number(c), w])) {
      if (code === last + 1) runs.at(-1)[1].push(width);
      else runs.push([code, [width]]);
      last = code;
    }
    return [name, runs.map(([first, list]) => [first, list.join(" ")])];
  }),
);
writeFileSync(
  "src/core/text/font-tables.ts",
  `// Made by scripts/make-font-tables.mjs from public/fonts. Do not edit. Long because it is data.
// A face: runs of [first code point, advance widths in thousandths of the type size].
export const FONT_TABLES: Record<${Object.keys(FACES)
    .map((f) => `"${f}"`)
    .join(" | ")}, [number, string][]> = ${JSON.stringify(packed, null, 1)};
`,
);
