import { readFileSync } from "node:fs";
import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { row } from "./harness/ledger";
import { chartButton, newEmail, PASSWORD, serverUrl, writeLines, visitor } from "./harness/people";

test("one tries it without an account, finds it again, signs up, and all of it is there", async ({ browser }) => {
  const page = await visitor(browser);
  const sent: string[] = [];
  page.on("request", (r) => {
    if (r.method() !== "GET" && r.url().includes("/api/")) sent.push(`${r.method()} ${r.url()}`);
  });
  await page.goto("/");
  await page.getByRole("link", { name: "Begin now, without an account" }).click();
  await expect(page.getByText("This timeline is kept in this browser only.")).toBeVisible();
  await writeLines(page, ["c. 1604 Rope ferry #crossing @Ambrelford", "1744 - 1783 Timber bridge #crossing"]);
  await expect(chartButton(page, /Timber bridge, event 2 of 2/)).toBeVisible();
  await row(page, "Rope ferry").getByRole("button", { name: "Open Rope ferry" }).click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await sheet.getByRole("textbox", { name: "Description" }).click();
  await page.keyboard.type("It took a farthing a head.");
  await expect(page.getByTestId("saving")).toHaveText("Saved");
  expect(sent).toEqual([]);
  await page.reload();
  await expect(row(page, "Rope ferry").locator("[data-col=words]")).toHaveText("6 words");
  // Taking a file away needs no account; sharing asks for one.
  const file = page.waitForEvent("download");
  await page.getByRole("button", { name: "The events, for a spreadsheet" }).click();
  expect(readFileSync((await (await file).path())!, "utf8")).toContain("c. 1604,Rope ferry,,Crossing");
  // So does printing: the page that readers get for it.
  await page.getByRole("button", { name: "Print it" }).click();
  const printed = page.frameLocator("#print-here");
  await expect(printed.getByRole("heading", { name: "Rope ferry" })).toBeVisible();
  await expect(printed.locator("#chart .chart svg").first()).toContainText("Timber bridge");
  await page.getByRole("button", { name: "Share" }).click();
  await expect(page.getByRole("dialog")).toContainText("need an account");
  // A second tab does not write over it.
  const second = await page.context().newPage();
  await second.goto("/try");
  await expect(second.getByText(/open in another tab of this browser/)).toBeVisible();
  await second.close();

  await page.getByRole("dialog").getByRole("link", { name: "Sign up" }).click();
  await page.getByLabel("Display name").fill("Nia");
  await page.getByLabel("E-mail").fill(newEmail("nia"));
  await page.getByLabel("Password").fill(PASSWORD);
  await page.getByRole("button", { name: "Sign up" }).click();
  await expect(page.getByText("“Untitled” came along from this browser and is yours now.")).toBeVisible();
  await page.getByRole("link", { name: "Open it" }).click();
  await expect(row(page, "Rope ferry").locator("[data-col=words]")).toHaveText("6 words");
  await expect(row(page, "Timber bridge").locator("[data-col=category]")).toHaveText("Crossing");
  // Nothing of it is left in the browser for whoever uses it next.
  await page.context().clearCookies();
  await page.goto("/try");
  await expect(page.getByTestId("next-event")).toBeEnabled();
  await expect(page.getByTestId("ledger").getByRole("row")).toHaveCount(1);
});

test("what was tried can be cleared from a shared machine", async ({ browser }) => {
  const page = await (
    await browser.newContext({ baseURL: serverUrl(), viewport: { width: 390, height: 844 }, reducedMotion: "reduce" })
  ).newPage();
  await page.goto("/try");
  await writeLines(page, ["1604 Rope ferry"]);
  await expect(page.getByTestId("saving")).toHaveText("Saved");
  await page.getByRole("button", { name: "Clear it" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Clear it" }).click();
  await expect(page).toHaveURL(/\/$/);
  await page.goto("/try");
  await expect(page.getByTestId("next-event")).toBeEnabled();
  await expect(page.getByTestId("ledger").getByRole("row")).toHaveCount(1);
});
