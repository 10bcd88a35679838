import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { cell, writeCell } from "./harness/ledger";
import { chartButton, newPerson, newTimeline, saved, writeLines } from "./harness/people";

test("BC, about, a day of hours, parts, and the timeline's own manner, in ledger and sheet", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Dates");
  await writeLines(page, [
    "-310 Bronze rings",
    "c. 1604 Rope ferry",
    "14 Nov 1872 22:10 Quay under water",
    "10:45 pm, 14 Nov 1872 Bell rung",
    "winter 1783 Long frost",
    "4.6 Ga Earth",
  ]);
  await expect(cell(page, "when", "Bronze rings")).toHaveText("310 BC");
  await expect(cell(page, "when", "Rope ferry")).toHaveText("about 1604");
  await expect(cell(page, "when", "Bell rung")).toHaveText("14 Nov 1872 22:45");
  await expect(cell(page, "when", "Earth")).toHaveText("4.6 billion years ago");
  // Typed in the ledger; what was typed is there again when one edits it.
  const when = cell(page, "when", "Long frost");
  await writeCell(when, "1 Jan 1784 (Julian)");
  await expect(when).toHaveText("1 Jan 1784 (Julian)");
  await when.press("F2");
  await expect(when.getByRole("textbox")).toHaveValue("1 Jan 1784 (Julian)");
  await page.keyboard.press("Escape");

  // By parts, in the sheet.
  await chartButton(page, /Rope ferry/).click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await sheet.getByRole("button", { name: "Set by parts" }).click();
  await expect(sheet.getByLabel("Date: year")).toHaveValue("1604");
  await expect(sheet.getByLabel("about")).toBeChecked();
  await sheet.getByLabel("Date: month").selectOption("May");
  await sheet.getByLabel("Date: day").fill("3");
  await sheet.getByLabel("about").uncheck();
  await expect(sheet.getByText("✓ Thursday 3 May 1604").or(sheet.getByText(/✓ \w+day 3 May 1604/))).toBeVisible();
  await sheet.getByLabel("A span").check();
  await sheet.getByLabel("End: year").fill("1610");
  await expect(sheet.getByText(/✓ .*3 May 1604 – 1610/)).toBeVisible();
  await sheet.getByRole("group", { name: "End" }).getByLabel("open").check();
  await expect(sheet.getByText(/✓ from .*3 May 1604/)).toBeVisible();
  await expect(sheet.getByLabel("When")).toHaveValue("from 3 May 1604");
  await sheet.getByRole("button", { name: "Only its start" }).click();
  await expect(sheet.getByLabel("When")).toHaveValue("3 May 1604");
  await sheet.getByRole("button", { name: "Make it a span" }).click();
  await expect(sheet.getByLabel("When")).toHaveValue("3 May 1604 - 3 May 1604");
  await sheet.getByLabel("When").fill("c. 1604");
  await sheet.getByLabel("When").press("Enter");

  // The manner of the whole timeline; all dates are shown so.
  await page.getByRole("button", { name: "About", exact: true }).click();
  const settings = page.getByRole("region", { name: "Dates" });
  await settings.getByLabel("Before the year 1").selectOption("BCE");
  await settings.getByLabel("Write first").selectOption("mdy");
  await expect(cell(page, "when", "Bronze rings")).toHaveText("310 BCE");
  await expect(cell(page, "when", "Bell rung")).toHaveText("Nov 14, 1872 22:45");
  await expect(chartButton(page, /Nov 14, 1872 22:45, Bell rung/)).toBeVisible();
  // One undo takes a re-reading of all dates back.
  await writeLines(page, ["spring 1766 School opens"]);
  await settings.getByLabel("Seasons").selectOption("south");
  await saved(page);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(settings.getByLabel("Seasons")).toHaveValue("north");
});

test("dates that contradict the period are pointed out, with ways to mend them", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Period");
  await writeLines(page, ["1931 Last crossing"]);
  await page.getByRole("button", { name: "About", exact: true }).click();
  await page.getByLabel("Period").fill("1600 - 1900");
  await page.getByLabel("Period").press("Enter");
  await page.getByRole("region", { name: "Findings" }).getByRole("button", { name: "Last crossing" }).click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await expect(sheet.getByText("It lies after the period")).toBeVisible();
  await sheet.getByRole("button", { name: "Widen the period to 1600 - 1931" }).click();
  await expect(sheet.getByText("It lies after the period")).toHaveCount(0);
});

test("a day is picked in a calendar, with its time and how long it went on; it opens beside the neighbour's date", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Dates");
  await writeLines(page, ["14 Nov 1872 The long night flood", "Bell rung"]);
  await page.getByRole("button", { name: "Open Bell rung" }).click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await sheet.getByRole("button", { name: "Calendar" }).click();
  const calendar = page.getByRole("dialog", { name: "Choose a day" });
  await expect(calendar.getByLabel("Year, from 1583")).toHaveValue("1872");
  await expect(calendar.getByLabel("Month", { exact: true }).locator("option:checked")).toHaveText("November");
  await calendar.getByRole("button", { name: /November 16th, 1872/ }).click();
  await expect(sheet.getByLabel("When")).toHaveValue("16 Nov 1872");
  await calendar.getByLabel("Time of day").fill("19:30");
  await expect(sheet.getByLabel("When")).toHaveValue("16 Nov 1872 19:30");
  await calendar.getByLabel("Year, from 1583").fill("1931");
  await calendar.getByLabel("Month", { exact: true }).selectOption("September");
  await calendar.getByRole("button", { name: /September 27th, 1931/ }).click();
  await expect(sheet.getByLabel("When")).toHaveValue("27 Sep 1931");
  await calendar.getByLabel("It went on for").fill("3");
  await calendar.getByRole("button", { name: "Set its end" }).click();
  await expect(sheet.getByLabel("When")).toHaveValue("27 Sep 1931 - 18 Oct 1931");
  await calendar.getByRole("button", { name: "End", exact: true }).click();
  await calendar.getByRole("button", { name: /October 20th, 1931/ }).click();
  await expect(sheet.getByLabel("When")).toHaveValue("27 Sep 1931 - 20 Oct 1931");
  await page.keyboard.press("Escape");
  await expect(cell(page, "when", "Bell rung")).toHaveText("27 Sep – 20 Oct 1931");
});
