import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium, expect, type Page, test } from "@playwright/test";
import { CHROMIUM, CHROMIUM_ARGS } from "../scripts/lib/chromium.mjs";
import { row } from "./harness/ledger";
import {
  chartButton,
  newEmail,
  newPerson,
  newTimeline,
  PASSWORD,
  saved,
  serverUrl,
  writeLines,
} from "./harness/people";

test("on a device of one's own: closed offline, opened offline, written in, and all is sent when the network is back", async () => {
  const folder = mkdtempSync(join(tmpdir(), "fastigo-own-"));
  const open = () =>
    chromium.launchPersistentContext(folder, {
      executablePath: CHROMIUM,
      args: CHROMIUM_ARGS,
      baseURL: serverUrl(),
      viewport: { width: 1280, height: 800 },
      reducedMotion: "reduce",
    });
  try {
    let context = await open();
    let page: Page = await context.newPage();
    const email = newEmail("nia");
    await page.request.post("/api/account", { data: { displayName: "Nia", email, password: PASSWORD } });
    const made = (await (
      await page.request.post("/api/timelines", { data: { title: "Crossings", subject: "" } })
    ).json()) as { id: string };
    const address = `/timelines/${made.id}`;
    await page.goto(address);
    await writeLines(page, ["1604 Rope ferry #crossing"]);
    await saved(page);
    await page.getByRole("button", { name: "About", exact: true }).click();
    await page.getByLabel(/^This device is my own/).check();
    await expect(page.getByText("It is kept on this device now.")).toBeVisible();
    // What the sheet loads is kept as well, once the editor has come to rest.
    await page.reload();
    await expect(row(page, "Rope ferry")).toBeVisible();
    await expect
      .poll(() =>
        page.evaluate(async () =>
          (await (await caches.open((await caches.keys()).find((n) => n.startsWith("fastigo-kept-"))!)).keys()).map(
            (r) => new URL(r.url).pathname,
          ),
        ),
      )
      .toContain(`/api${address}`);
    await context.setOffline(true);
    await context.close();

    // Another day, without a network.
    context = await open();
    await context.setOffline(true);
    page = await context.newPage();
    await page.goto("/");
    await page.getByRole("link", { name: "Crossings" }).click();
    await expect(row(page, "Rope ferry")).toBeVisible();
    await writeLines(page, ["1744 Timber bridge #crossing"]);
    await expect(chartButton(page, /Timber bridge, event 2 of 2/)).toBeVisible();
    await expect(page.getByTestId("saving")).toContainText("kept on this device");
    await context.close();

    // Opened once more offline: what was written is there; back on the network it is sent.
    context = await open();
    await context.setOffline(true);
    page = await context.newPage();
    await page.goto(address);
    await expect(row(page, "Timber bridge")).toBeVisible();
    // Signing out removes what was kept; with all sent nothing is asked.
    await context.setOffline(false);
    await saved(page);
    await page.goto("/account");
    await page.getByRole("button", { name: "Sign out" }).click();
    await expect(page).toHaveURL(/\/$/);
    expect(await page.evaluate(async () => (await caches.keys()).filter((n) => n.startsWith("fastigo-kept-")))).toEqual(
      [],
    );
    await page.request.post("/api/session", { data: { name: email, password: PASSWORD } });
    await page.goto(address);
    await expect(row(page, "Timber bridge")).toBeVisible();
    await context.close();
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});

test("signing out with unsent work says so, and saves it as a file before it goes", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  await writeLines(page, ["1604 Rope ferry"]);
  await saved(page);
  await page.route("**/api/timelines/*/changes", (route) =>
    route.request().method() === "POST" ? route.abort() : route.continue(),
  );
  await writeLines(page, ["1744 Timber bridge"]);
  await expect(page.getByTestId("saving")).toContainText("kept on this device");
  await page.goto("/account");
  await page.getByRole("button", { name: "Sign out" }).click();
  const dialog = page.getByRole("dialog", { name: "Not everything has been sent" });
  await expect(dialog).toContainText("1 change that was written on this device has not reached the server yet.");
  await dialog.getByRole("button", { name: "Stay signed in" }).click();
  await expect(dialog).toHaveCount(0);
  await page.getByRole("button", { name: "Sign out" }).click();
  const file = page.waitForEvent("download");
  await dialog.getByRole("button", { name: "Save as a file and sign out" }).click();
  expect(readFileSync((await (await file).path())!, "utf8")).toContain("Timber bridge");
  await expect(page).toHaveURL(/\/$/);
  await expect(page.getByRole("link", { name: "Begin now, without an account" })).toBeVisible();
});
