import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { chartButton, newPerson, newTimeline, saved, writeLines } from "./harness/people";

test("a day of hours is written without a date, and dated by one setting", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "A day at the hives");
  await writeLines(page, ["5:40 Hives opened", "9:10 - 9:50 Frames spun"]);
  await expect(chartButton(page, /^05:40, Hives opened/)).toBeVisible();
  await expect(chartButton(page, /^09:10 – 09:50, Frames spun/)).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(chartButton(page, /^05:40, Hives opened/)).toBeVisible();

  // The one thing that is not a time of day: it is pointed out, with the day that is meant.
  await writeLines(page, ["14 Nov 1872 The flood"]);
  await expect(chartButton(page, /^14 Nov 1872, The flood/)).toBeVisible();
  await page.getByRole("button", { name: "About", exact: true }).click();
  const about = page.getByRole("complementary", { name: "About this timeline" });
  await expect(about).toContainText("is a time without a day");
  await about.getByRole("button", { name: "All times are on 14 Nov 1872" }).first().click();
  await expect(about).not.toContainText("is a time without a day");
  await expect(about.getByLabel("The day of all times")).toHaveValue("14 Nov 1872");
  await expect(about.getByLabel("Write times by")).toHaveValue("24");
  await about.getByLabel("Write times by").selectOption("12");
  await expect(chartButton(page, /^5:40 am, Hives opened/)).toBeVisible();
  await expect(chartButton(page, /^9:10 am – 9:50 am, Frames spun/)).toBeVisible();
  await about.getByLabel("As exact as").selectOption("month");
  await expect(chartButton(page, /^Nov 1872, The flood/)).toBeVisible();
  await page.keyboard.press("Escape");
  // The field still says all that was understood.
  await chartButton(page, /Hives opened/).click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await expect(sheet.getByText("✓ Thursday 14 November 1872 5:40 am")).toBeVisible();
  await saved(page);
  const id = page.url().split("/").at(-1)!.split("#")[0];
  await page.goto(`/timelines/${id}/reader#chart`);
  await expect(page.getByRole("button", { name: /^5:40 am, Hives opened/ })).toBeVisible();
});
