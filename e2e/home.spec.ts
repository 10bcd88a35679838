import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { cell, writeCell } from "./harness/ledger";
import { invited, newPerson, newTimeline, saved, writeLines } from "./harness/people";

test("many timelines are found, sorted, filed in folders and duplicated; each says what is new", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  for (let i = 0; i < 13; i++)
    await page.request.post("/api/timelines", {
      data: { title: `Timeline ${String.fromCharCode(77 - i)}`, subject: i < 2 ? "Rivers" : "" },
    });
  const address = await newTimeline(page, "Crossings");
  await writeLines(page, ["1604 Rope ferry #crossing"]);
  await writeCell(cell(page, "source", "Rope ferry"), "County roll 12");
  await saved(page);
  const obi = await invited(browser, page, address);
  await page.goto("/");
  const cards = page.getByRole("main").getByRole("heading", { level: 2 });
  await expect(cards).toHaveCount(14);
  await page.getByLabel("Find a timeline").fill("rivers");
  await expect(cards).toHaveCount(2);
  await page.getByLabel("Find a timeline").fill("");
  await expect(cards).toHaveCount(14);
  await page.getByLabel("Sort by").selectOption("title");
  await expect(cards.nth(1)).toHaveText("Timeline A");
  await expect(cards.first()).toHaveText("Crossings");

  // What Obi writes is news until she has seen it.
  await writeLines(obi.page, ["1744 Timber bridge"]);
  await saved(obi.page);
  await page.reload();
  await expect(page.getByText("1 change by Obi since you were here")).toBeVisible();
  // An editor that has asked for what is new counts as having seen it.
  const asked = page.waitForResponse(/\/changes\?after=/);
  await page.goto(address);
  await expect(page.getByTestId("ledger").getByRole("row")).toHaveCount(3);
  await (await asked).finished();
  await page.goto("/?sort=title");
  await expect(cards.first()).toHaveText("Crossings");
  await expect(page.getByText(/since you were here/)).toHaveCount(0);

  await page.getByRole("button", { name: "More about Crossings" }).click();
  await page.getByRole("menuitem", { name: "Put into a folder" }).click();
  await page.getByRole("dialog").getByLabel("Folder", { exact: true }).fill("School");
  await page.getByRole("button", { name: "Keep" }).click();
  await expect(page.getByText("In School")).toBeVisible();
  await page.getByLabel("Folder", { exact: true }).selectOption("School");
  await expect(cards).toHaveText(["Crossings"]);
  await page.getByRole("button", { name: "More about Crossings" }).click();
  await page.getByRole("menuitem", { name: "Duplicate" }).click();
  await page.getByLabel("Folder", { exact: true }).selectOption("all folders");
  await expect(cards).toHaveCount(15);
  await page.getByRole("link", { name: "Copy of Crossings" }).click();
  await expect(cell(page, "source", "Rope ferry")).toHaveText("County roll 12");
  await expect(page.getByText("Draft", { exact: true })).toBeVisible();
});

test("home asks the server for no page before a link is followed, and then for that one", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  for (const title of ["Ferries", "Bridges"])
    await page.request.post("/api/timelines", { data: { title, subject: "" } });
  const asked: string[] = [];
  page.on("request", (r) => {
    if (r.url().includes("_rsc=")) asked.push(new URL(r.url()).pathname);
  });
  await page.goto("/");
  await page.getByRole("link", { name: "Ferries" }).hover();
  // The page lives, and what it does when it has time is done.
  await page.getByRole("button", { name: "More about Ferries" }).click();
  await page.getByRole("menuitem", { name: "Duplicate" }).waitFor();
  await page.keyboard.press("Escape");
  await page.evaluate(() => new Promise((resolve) => requestIdleCallback(resolve, { timeout: 1_000 })));
  expect(asked).toEqual([]);
  await page.getByRole("link", { name: "Help" }).click();
  await expect(page).toHaveURL(/\/help$/);
  expect(asked).toEqual(["/help"]);
});
