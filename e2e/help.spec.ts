import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { GUIDE } from "../src/core/words/guide";
import { newPerson, newTimeline } from "./harness/people";

test("the guide is found by words, and no link in it leads nowhere", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await page.goto("/");
  await page.getByRole("link", { name: "Help" }).click();
  await page.getByLabel("Find").fill("print a0 wall");
  await page.getByRole("button", { name: "Search" }).click();
  await expect(page.getByRole("main").getByRole("listitem")).toHaveCount(1);
  await page.getByRole("link", { name: "Make a poster or a printout" }).click();
  await expect(page.getByRole("heading", { name: "Make a poster or a printout" })).toBeVisible();
  await page.goto("/help?q=zzzz");
  await expect(page.getByRole("status")).toContainText("Nothing in the guide names “zzzz”");

  const asked = new Set(["/help", "/help/pdf", ...GUIDE.map((t) => `/help/${t.id}`)]);
  const nowhere: string[] = [];
  for (const path of asked) {
    const answer = await page.request.get(path);
    if (answer.status() >= 400) nowhere.push(`${path}: ${answer.status()}`);
    if (!answer.headers()["content-type"]!.startsWith("text/html")) continue;
    // What a page leads to and shows is asked for too; pages of the guide lead on. What others have published they may take back.
    for (const [, to] of (await answer.text()).matchAll(/(?:href|src)="(\/[^"#]*)/g))
      if (!/^\/(_next|t|published)\/./.test(to!)) asked.add(to!.replaceAll("&amp;", "&"));
    expect(asked.size).toBeLessThan(200);
  }
  expect(nowhere).toEqual([]);
  for (const t of GUIDE) if (t.picture) expect(asked).toContain(`/help/pictures/${t.picture.file}`);
  const pdf = await (await page.request.get("/help/pdf")).body();
  expect(pdf.subarray(0, 5).toString()).toBe("%PDF-");
  expect((await page.request.get("/help/pictures/package.json")).status()).toBe(404);
});

test("each task is opened from where it is done", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "The flood");
  const leadsTo = (task: string) => expect(page.locator(`a[href="/help/${task}"]`).first()).toBeVisible();
  await page.getByRole("button", { name: "Share" }).click();
  await leadsTo("publish");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "On paper, as a picture, as a folder" }).click();
  await leadsTo("poster");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Bring in" }).first().click();
  await leadsTo("bring-in");
});
