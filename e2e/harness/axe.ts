import { createRequire } from "node:module";
import { readFileSync } from "node:fs";
import { expect, type Page } from "@playwright/test";
import type { AxeResults, RunOptions } from "axe-core";

const SOURCE = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");

/** Ways for people (WCAG 2.2, A and AA), and what is good practice beside them. */
const OPTIONS: RunOptions = {
  runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice"],
  // What passes is not written out node by node; what stands in frames is looked at where it is the page.
  resultTypes: ["violations"],
  iframes: false,
};

interface Looked {
  axe?: { run(context: unknown, options: RunOptions): Promise<AxeResults> };
}

/**
 * Says that axe finds nothing on a page as it stands, and else what and where; it is read once a page, not once a look.
 * `without`: what stands in it of other pages; `rules`: those that do not hold here; `only`: where what stands there was looked at by all
 * of them, and only some may have changed since.
 */
export async function nothingFound(
  page: Page,
  what: string,
  { without, rules = [], only }: { without?: string; rules?: readonly string[]; only?: readonly string[] } = {},
): Promise<void> {
  if (!(await page.evaluate(() => (window as Looked).axe !== undefined))) await page.evaluate(SOURCE);
  const found = await page.evaluate(
    async ([exclude, options]) => {
      const { violations } = await (window as Looked).axe!.run(
        { include: [["html"]], exclude: exclude ? [[exclude]] : [] },
        options,
      );
      return violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(" ")).join(" | ")}`);
    },
    [
      without,
      {
        ...OPTIONS,
        ...(only ? { runOnly: { type: "rule" as const, values: [...only] } } : {}),
        rules: Object.fromEntries(rules.map((r) => [r, { enabled: false }])),
      },
    ] as const,
  );
  expect({ [what]: found }).toEqual({ [what]: [] });
}
