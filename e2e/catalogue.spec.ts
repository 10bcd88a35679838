import { expect } from "@playwright/test";
import { nothingFound } from "./harness/axe";
import { test } from "./harness/test";
import sharp from "sharp";
import { WORDS } from "../src/core/words/catalogue";
import { serverUrl } from "./harness/people";
import { startServer, type TestServer } from "./harness/server";

let server: TestServer;
test.beforeAll(async () => {
  server = await startServer("e2e_catalogue", { CATALOGUE: "1" });
});
test.afterAll(() => server.stop());

/** How many pixels of a picture are not white. */
async function inked(png: Buffer): Promise<number> {
  const { data } = await sharp(png).removeAlpha().greyscale().raw().toBuffer({ resolveWithObject: true });
  return data.reduce((n, v) => n + (v < 235 ? 1 : 0), 0);
}

test("the catalogue shows every control and each state of the chart; all are photographed, and nobody is shut out", async ({
  browser,
}, info) => {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: "reduce" });
  const page = await context.newPage();
  const faults: string[] = [];
  page.on("pageerror", (e) => faults.push(String(e)));
  await page.goto(`${server.url}/catalogue`);
  for (const name of Object.values(WORDS.states)) {
    const state = page.getByRole("region", { name, exact: true });
    await state.scrollIntoViewIfNeeded();
    if (name !== WORDS.states.empty)
      await expect(state.locator("button").first(), `${name} has its events as buttons`).toBeAttached();
    const png = await state.screenshot({
      path: info.outputPath(`chart-${name.toLowerCase().replaceAll(/\W+/g, "-")}.png`),
    });
    expect(await inked(png), `something is drawn: ${name}`).toBeGreaterThan(name === WORDS.states.empty ? 300 : 3_000);
  }
  for (const name of [WORDS.buttons, WORDS.fields, WORDS.notices, WORDS.passwords, WORDS.categories, WORDS.times]) {
    const part = page.getByRole("region", { name, exact: true });
    const png = await part.screenshot({ path: info.outputPath(`${name.toLowerCase()}.png`) });
    expect(await inked(png), name).toBeGreaterThan(300);
  }
  await nothingFound(page, "the catalogue", { rules: ["color-contrast"] });
  await page.getByRole("button", { name: WORDS.open }).click();
  await expect(page.getByRole("dialog")).toHaveText(new RegExp(WORDS.inside));
  await page.screenshot({ path: info.outputPath("dialog.png") });
  expect(faults).toEqual([]);
});

test("what is served to people has no catalogue", async ({ page }) => {
  const answer = await page.goto(`${serverUrl()}/catalogue`);
  expect(answer!.status()).toBe(404);
});
