import AxeBuilder from "@axe-core/playwright";
import { expect, type Page, test } from "@playwright/test";
import { chartButton, newPerson, newTimeline, saved, writeLines } from "./harness/people";

async function nothingFound(page: Page, what: string) {
  const { violations } = await new AxeBuilder({ page })
    .withTags(["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice"])
    .analyze();
  const found = violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(" ")).join(" | ")}`);
  expect({ [what]: found }).toEqual({ [what]: [] });
}

test("axe finds nothing on any screen, at laptop and phone size", async ({ browser }) => {
  test.setTimeout(240_000);
  const anybody = await (await browser.newContext({ baseURL: process.env.E2E_URL! })).newPage();
  for (const path of ["/", "/sign-in", "/sign-up", "/published", "/nowhere"]) {
    await anybody.goto(path);
    await nothingFound(anybody, path);
  }
  const nia = await newPerson(browser, "Nia");
  const { page } = nia;
  await nothingFound(page, "home, empty");
  await page.goto("/new");
  await nothingFound(page, "new timeline");
  const address = await newTimeline(page, "How the Ambrel was crossed");
  await nothingFound(page, "editor, empty");
  await writeLines(page, [
    "about 1604 Rope ferry #crossing",
    "1744 - 1783 Timber bridge #crossing",
    "1838 - present Barges #trade",
    "31 Feb 1900 Ice",
    "Fire!",
  ]);
  await saved(page);
  await nothingFound(page, "editor");
  await chartButton(page, /Rope ferry/).click();
  await expect(page.getByRole("textbox", { name: "Description" })).toBeVisible();
  await page.getByRole("button", { name: "Add a source" }).click();
  await nothingFound(page, "event sheet");
  await page.getByRole("button", { name: "not understood" }).click();
  await nothingFound(page, "event sheet with a date that was not understood");
  await page.getByRole("button", { name: "About", exact: true }).click();
  await expect(page.getByRole("textbox", { name: "Introduction" })).toBeVisible();
  await nothingFound(page, "about");
  await page.getByRole("button", { name: "History" }).click();
  await expect(page.getByRole("complementary", { name: "History" }).getByRole("listitem").first()).toBeVisible();
  await nothingFound(page, "history");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Share" }).click();
  await page.getByLabel(/Everybody/).check();
  await page.getByRole("button", { name: "Publish" }).click();
  await page.getByRole("button", { name: "Invite by a link" }).click();
  const invitation = await page.getByLabel(/Whoever opens this link/).inputValue();
  const published = await page.getByLabel("Link to the published page").inputValue();
  await nothingFound(page, "share");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Keys" }).click();
  await nothingFound(page, "keys");
  await page.keyboard.press("Escape");
  await page.goto(invitation);
  await nothingFound(page, "invitation");
  await page.goto("/");
  await nothingFound(page, "home");
  await page.goto(`${address}/reader`);
  await nothingFound(page, "draft as a reader, chart");
  await anybody.goto(published);
  await nothingFound(anybody, "published, chart");
  await anybody.getByRole("link", { name: "Read", exact: true }).click();
  await nothingFound(anybody, "published, read");
  await anybody.setViewportSize({ width: 390, height: 844 });
  await anybody.goto(published);
  await nothingFound(anybody, "published on a phone");
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(address);
  await expect(page.getByTestId("next-event")).toBeVisible();
  await nothingFound(page, "editor on a phone");
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
