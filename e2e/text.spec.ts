import { expect } from "@playwright/test";
import { test } from "./harness/test";
import sharp from "sharp";
import { cell, row, stand, writeCell } from "./harness/ledger";
import { newPerson, newTimeline, saved, writeLines } from "./harness/people";

test("a picture and a quotation with its source stand in the text: in the sheet, the reader's list, what hangs, in print, in a copy", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  const address = (await newTimeline(page, "Floods")).split(/[?#]/)[0]!;
  await writeLines(page, ["1872 Flood", "1889 Viaduct"]);
  await writeCell(cell(page, "source", "Flood"), "Ambrel Post, no. 3914");
  await stand(cell(page, "title", "Flood"));
  await page.keyboard.press("Shift+Enter");
  const sheet = page.getByRole("complementary");
  const buffer = await sharp({ create: { width: 300, height: 200, channels: 3, background: "#1F5FA8" } })
    .png()
    .toBuffer();
  await sheet.locator("input[type=file]").first().setInputFiles({ name: "x.png", mimeType: "image/png", buffer });
  await sheet.getByTestId("media-item").getByLabel("Caption").fill("The east bank");

  const text = sheet.getByRole("textbox", { name: "Description", exact: true });
  await text.click();
  await page.keyboard.type("The river rose.");
  await page.keyboard.press("Enter");
  await sheet.getByLabel("A picture, video or sound of this event").selectOption("The east bank");
  await expect(text.locator("figure img")).toBeVisible();
  await page.keyboard.press("ArrowDown");
  await sheet.getByRole("button", { name: "Quote", exact: true }).click();
  await page.keyboard.type("No lamp was seen.");
  await sheet.getByLabel("Where the quotation is from").selectOption("Ambrel Post, no. 3914");
  await expect(text.locator("blockquote")).toContainText("No lamp was seen.");
  await expect(text.locator("blockquote footer")).toHaveText("Ambrel Post, no. 3914");
  await saved(page);
  await page.reload();
  await expect(row(page, "Flood")).toContainText("7 words");

  const reader = await page.context().newPage();
  const said = (within: string) => reader.locator(`${within} .text`).first();
  for (const [to, within] of [
    ["#read", "#read .event"],
    ["?as=print", "#read .event"],
  ] as const) {
    await reader.goto("about:blank");
    await reader.goto(`${address}/reader${to}`);
    await expect(said(within).locator("figure")).toContainText("The east bank");
    await expect(said(within).locator("blockquote")).toContainText("No lamp was seen.Ambrel Post, no. 3914");
    // It stands once: where its author put it.
    await expect(reader.locator(`${within} figure`)).toHaveCount(1);
  }
  await reader.goto(`${address}/reader#chart`);
  await reader
    .getByRole("button", { name: /^1872, Flood|Flood/ })
    .first()
    .click();
  await expect(said(".hung").locator("figure")).toContainText("The east bank");
  await expect(reader.locator(".hung figure")).toHaveCount(1);

  // A copy has its own: the first one may go.
  await row(page, "Flood").getByRole("button", { name: /More/ }).click();
  await page.getByRole("menuitem", { name: "Duplicate" }).click();
  await saved(page);
  const flood = cell(page, "title", "Flood");
  await expect(flood).toHaveCount(2);
  await stand(flood.first());
  await page.keyboard.press("Shift+Enter");
  await sheet.getByTestId("media-item").getByRole("button", { name: "Remove", exact: false }).first().click();
  await expect(text.locator("figure")).toContainText("What stood here was removed.");
  await stand(flood.nth(1));
  await page.keyboard.press("Shift+Enter");
  await expect(text.locator("figure img")).toBeVisible();
  await expect(text.locator("blockquote footer")).toHaveText("Ambrel Post, no. 3914");
});

test("words written before the tab was loaded again are taken back and done again in the description", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Floods");
  await writeLines(page, ["1872 Flood"]);
  const open = async () => {
    await stand(cell(page, "title", "Flood"));
    await page.keyboard.press("Shift+Enter");
  };
  await open();
  const text = page.getByRole("textbox", { name: "Description", exact: true });
  await text.click();
  // At once: words with a pause between them are steps of their own.
  await page.keyboard.insertText("The river rose.");
  await saved(page);
  await page.reload();
  await open();
  await expect(text).toHaveText("The river rose.");
  await text.click();
  await page.keyboard.press("Control+z");
  await expect(text).toHaveText("");
  await page.keyboard.press("Control+Shift+z");
  await expect(text).toHaveText("The river rose.");
  await saved(page);
  await page.reload();
  await open();
  await expect(text).toHaveText("The river rose.");
});
