import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { fontOf } from "../src/core/chart/draw/to-svg";
import { type Face, FAMILIES, type Family, type Weight, WEIGHTS } from "../src/core/text/families";
import { textWidth } from "../src/core/text/measure";
import { serverUrl } from "./harness/people";

const TEXTS = [
  "14 Nov 1872 22:10",
  "about 1200 BC",
  "Rope ferry licensed to the Tolley family",
  "WAVE Tolls paid in salt, 1631 – 1702",
  "Łódź, Čačak, naïve façade “quoted”",
  "fi fl ffi AVAToTa",
];
const SIZES: Record<Weight, number> = { 400: 15, 600: 13.5, 700: 12.5 };
const FACES = (Object.keys(FAMILIES) as Family[]).flatMap((family) =>
  WEIGHTS.map((weight): [Face, number] => [`${family}${weight}`, SIZES[weight]]),
);

test("the core's widths are the browser's, for the shipped fonts", async ({ page }) => {
  await page.goto(serverUrl());
  const fonts = FACES.map(([face, size]) => fontOf(face, size));
  const measured = await page.evaluate(
    async ([fonts, texts]) => {
      for (const f of fonts) for (const t of texts) await document.fonts.load(f, t);
      const ctx = document.createElement("canvas").getContext("2d")!;
      return fonts.map((f) => {
        ctx.font = f;
        return texts.map((t) => ctx.measureText(t).width);
      });
    },
    [fonts, TEXTS] as const,
  );
  for (const [i, [face, size]] of FACES.entries())
    for (const [k, text] of TEXTS.entries()) {
      const [real, table] = [measured[i]![k]!, textWidth(text, face, size)];
      // Kerning and ligatures only ever draw letters together a little: the table may be wider by that, never narrower.
      expect(real, `${face} ${text}`).toBeLessThanOrEqual(table * 1.005 + 0.5);
      expect(real, `${face} ${text}`).toBeGreaterThan(table * 0.9);
    }
});
