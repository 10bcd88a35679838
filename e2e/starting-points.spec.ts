import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { cell, row } from "./harness/ledger";
import { newPerson, saved } from "./harness/people";

test("a timeline is begun with a starting point that one looks at first; its examples are taken away by one click, and by one undo are back", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await page.goto("/new");
  await page.getByRole("link", { name: "A day by the hour" }).click();
  await expect(page.getByRole("heading", { name: "A day by the hour" })).toBeVisible();
  await expect(page.getByRole("img", { name: "The chart of A day by the hour" })).toBeVisible();
  await expect(page.getByRole("listitem").filter({ hasText: "The ferry horn" })).toContainText("09:30");
  await page.getByRole("button", { name: "Begin with this" }).click();
  await expect(page).toHaveURL(/\/timelines\//);
  await expect(cell(page, "when", "The ferry horn")).toHaveText("09:30");
  await expect(cell(page, "category", "The ferry horn")).toHaveText("Heard");
  await expect(cell(page, "partOf", "The ferry horn")).toHaveText("At the boat yard");
  await expect(page.getByText("9 events here are examples.")).toBeVisible();

  // What somebody has written in is theirs.
  await cell(page, "title", "The kettle").dblclick();
  await page.keyboard.press("Control+A");
  await page.keyboard.type("My kettle");
  await page.keyboard.press("Enter");
  await expect(page.getByText("8 events here are examples.")).toBeVisible();
  await page.getByRole("button", { name: "Take the examples away" }).click();
  await expect(page.getByText("1 event", { exact: true }).first()).toBeVisible();
  await expect(row(page, "My kettle")).toBeVisible();
  await expect(page.getByText(/events? here (is|are) (an )?examples?/)).toHaveCount(0);
  await saved(page);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("9 events", { exact: true }).first()).toBeVisible();
  await page.getByRole("button", { name: "Keep them as mine" }).click();
  await expect(page.getByText("here are examples")).toHaveCount(0);
  await saved(page);
  await page.reload();
  await expect(row(page, "Choir")).toBeVisible();
  await expect(page.getByText("here are examples")).toHaveCount(0);

  expect((await page.request.post("/api/starting-points/none", { data: {} })).status()).toBe(404);
  expect((await page.goto("/new/none"))?.status()).toBe(404);
});
