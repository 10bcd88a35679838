import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { cell, row, stand } from "./harness/ledger";
import { chartButton, newPerson, newTimeline, saved, writeLines } from "./harness/people";

test("found anywhere, replaced with a preview as one change; what would empty a title stays", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "The ferry");
  await writeLines(page, ["1604 Rope ferry #crossing", "1931 Ferry", "1744 Timber bridge"]);
  await chartButton(page, /Timber bridge/).click();
  const description = page.getByRole("textbox", { name: "Description" });
  await description.click();
  await page.keyboard.type("Beside the ferry, and dearer than the ferry.");
  await saved(page);
  // From within the grid too, where no single key is a command.
  await stand(cell(page, "title", "Rope ferry"));
  await page.keyboard.press("Control+f");
  const panel = page.getByRole("complementary", { name: "Find and replace" });
  await expect(panel.getByLabel("Find", { exact: true })).toBeFocused();
  await page.keyboard.type("ferry");
  await expect(panel.getByText("5 places", { exact: true })).toBeVisible();
  await panel.getByLabel("Capital letters count").check();
  await expect(panel.getByText("4 places", { exact: true })).toBeVisible();
  await panel.getByLabel("Capital letters count").uncheck();
  await panel.getByLabel("Replace", { exact: true }).check();
  await panel.getByLabel("Replace with").fill("boat");
  await expect(panel.locator("ins").first()).toHaveText("boat");
  await panel.getByRole("checkbox", { name: "Replace this one, in title" }).first().uncheck();
  await panel.getByRole("button", { name: "Replace 4 places" }).click();
  await expect(panel.getByText("4 places were replaced. Undo puts them back.")).toBeVisible();
  await expect(row(page, "Rope boat")).toBeVisible();
  await expect(row(page, "boat")).toBeVisible();
  await expect(page.getByRole("heading", { name: "The ferry" })).toBeAttached();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(row(page, "Rope ferry")).toBeVisible();
  await panel.getByLabel("Find", { exact: true }).fill("Ferry");
  await panel.getByLabel("Replace with").fill("");
  await panel.getByRole("button", { name: "Replace 5 places" }).click();
  await expect(panel.getByText("1 title or name would have been left empty and stays as it is.")).toBeVisible();
  await expect(row(page, "Ferry")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  // The description came back too, on the screen of whoever has it open.
  await row(page, "Timber bridge").getByRole("button", { name: "Open Timber bridge" }).click();
  await expect(description).toHaveText("Beside the ferry, and dearer than the ferry.");
  await saved(page);
});

test("the line understands @place and +tag, shows what it understands, and takes a paragraph apart", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  const line = page.getByTestId("next-event");
  await line.fill('1744 Timber bridge @"East bank" +river +toll #crossing');
  const read = page.locator("#next-event-read");
  await expect(read).toContainText("Place East bank");
  await expect(read).toContainText("Tags river, toll");
  await line.press("Enter");
  await expect(row(page, "Timber bridge")).toBeVisible();
  await page.getByRole("button", { name: "What this line understands" }).click();
  await page.getByRole("button", { name: "1783 Spring flood +river +ice" }).click();
  await expect(line).toHaveValue("1783 Spring flood +river +ice");
  await expect(line).toBeFocused();
  await line.press("Enter");
  await line.fill(
    "The rope ferry was licensed to the Tolley family in 1604. It took a farthing a head. In 1744 a bridge was built beside it.",
  );
  await expect(read).toContainText("Date 1604");
  await expect(read).toContainText("the rest, 14 words, becomes its description");
  await line.press("Enter");
  const ferry = row(page, "The rope ferry was licensed to the Tolley family in 1604");
  await expect(ferry.locator("[data-col=words]")).toHaveText("14 words");
  await expect(ferry.locator("[data-col=when]")).toHaveText("1604");
  await expect(chartButton(page, /event 3 of 3$/)).toBeVisible();
  await chartButton(page, /Timber bridge/).click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await expect(sheet.getByLabel("Place")).toHaveValue("East bank");
  await expect(sheet.getByRole("button", { name: "Take the tag river away" })).toBeVisible();
  // A tag is written and taken away, a note is for editors.
  await sheet.getByLabel("Tags").fill("ice");
  await sheet.getByLabel("Tags").press("Enter");
  await expect(sheet.getByRole("button", { name: "Take the tag ice away" })).toBeVisible();
  await sheet.getByRole("button", { name: "Take the tag toll away" }).click();
  await sheet.getByLabel("Private note").fill("Ask at the archive");
  await saved(page);
  const reader = await page.context().newPage();
  await reader.goto(`${page.url().replace(/[?#].*$/, "")}/reader`);
  await expect(reader.getByText("East bank").first()).toBeAttached();
  expect(await reader.content()).not.toContain("Ask at the archive");
});
