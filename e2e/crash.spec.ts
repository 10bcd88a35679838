import { expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { cell, row, writeCell } from "./harness/ledger";
import { startServer, type TestServer } from "./harness/server";
import { allHere, chartButton, newPerson, newTimeline, otherBrowserOf, saved, writeLines } from "./harness/people";

let server: TestServer;
test.beforeAll(async () => {
  server = await startServer("e2e_crash");
});
test.afterAll(async () => {
  await server.stop();
});

/** Closes a tab as somebody does who stays where the browser asks, and closes it a moment later. */
async function closeTab(tab: Page): Promise<void> {
  tab.on("dialog", (d) => d.dismiss());
  await expect
    .poll(async () => {
      // It may have gone meanwhile.
      await tab.close({ runBeforeUnload: true }).catch(() => {});
      return tab.isClosed();
    })
    .toBe(true);
}

const TYPED =
  "Rain fell on frozen ground for three days before the river rose, and by ten in the evening the quay was under water.";

test("the server is killed in the middle of typing: every word is there afterwards", async ({ browser }) => {
  const nia = await newPerson(browser, "Nia", server.url);
  const { page } = nia;
  await newTimeline(page, "The long night");
  await writeLines(page, ["14 Nov 1872 The long night flood"]);
  await saved(page);
  await chartButton(page, /The long night flood/).click();
  const text = page.getByRole("textbox", { name: "Description" });
  await text.click();
  await page.keyboard.type(TYPED.slice(0, 40));
  await allHere(page);
  await server.kill();
  await page.keyboard.type(TYPED.slice(40));
  await page
    .getByRole("complementary")
    .getByRole("textbox", { name: "Title", exact: true })
    .fill("The long night flood of 1872");
  await writeLines(page, ["15 Nov 1872 01:45 Two boats out"]);
  const saving = page.getByTestId("saving");
  await expect(saving).toHaveText("Not connected – kept on this device");
  // A disk that takes nothing more: that is said, and the tab does not go unasked, until there is room.
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = () => {
      throw new DOMException("There is no room.", "QuotaExceededError");
    };
    Object.assign(window, { makeRoom: () => Object.assign(IDBObjectStore.prototype, { put }) });
  });
  await writeLines(page, ["15 Nov 1872 03:10 Bell rung"]);
  await expect(saving).toHaveText("Not connected – only in this tab");
  await expect(page.getByText("This device takes nothing more")).toBeVisible();
  const asked = page.waitForEvent("dialog");
  await page.close({ runBeforeUnload: true });
  const dialog = await asked;
  expect(dialog.type()).toBe("beforeunload");
  await dialog.dismiss();
  await page.evaluate(() => (window as unknown as { makeRoom(): void }).makeRoom());
  await expect(saving).toHaveText("Not connected – kept on this device");
  await expect(page.getByText("This device takes nothing more")).toHaveCount(0);
  await server.restart();
  await saved(page);

  // As another browser of hers sees it.
  const fresh = await otherBrowserOf(browser, nia, server.url);
  await fresh.goto(page.url());
  await chartButton(fresh, /The long night flood of 1872/).click();
  await expect(fresh.getByRole("textbox", { name: "Description" })).toHaveText(TYPED);
  for (const title of [/Two boats out/, /Bell rung/]) await expect(chartButton(fresh, title)).toBeVisible();
});

test("the server is gone and both tabs are closed: the next one sends what was typed, as it was, whichever of them wrote it", async ({
  browser,
}) => {
  const nia = await newPerson(browser, "Nia", server.url);
  const { page } = nia;
  const address = await newTimeline(page, "Ferries");
  await writeLines(page, ["1604 Rope ferry", "1715 Chain ferry"]);
  await saved(page);
  await allHere(page);
  const second = await nia.context.newPage();
  await second.goto(address);
  await allHere(second);
  // Not a network that is cut for the pages: a page that is closed is let through once more on its way out.
  await server.kill();
  // Each tab has the last word once.
  await writeCell(cell(page, "title", "Rope ferry"), "Rope ferry, first tab");
  await writeCell(cell(second, "title", "Rope ferry"), "Rope ferry, later");
  // Enter has gone on to the next row, in either.
  for (const [tab, text] of [
    [second, "Chain ferry, second tab"],
    [page, "Chain ferry, later"],
  ] as const) {
    await tab.keyboard.type(text);
    await tab.keyboard.press("Enter");
    await expect(row(tab, text)).toBeVisible();
  }
  await expect(second.getByTestId("saving")).toHaveText(/Not connected/);
  await closeTab(second);
  await writeLines(page, ["1931 Last crossing"]);
  await chartButton(page, /Rope ferry/).click();
  await page.getByRole("textbox", { name: "Description" }).click();
  await page.keyboard.type("A farthing a head.");
  await page.getByTestId("next-event").fill("1958 half a li");
  await expect(page.getByTestId("saving")).toHaveText(/Not connected/);
  await closeTab(page);
  await server.restart();

  const again = await nia.context.newPage();
  await again.goto(address);
  await expect(chartButton(again, /Last crossing/)).toBeVisible();
  await expect(again.getByTestId("next-event")).toHaveValue("1958 half a li");
  await saved(again);
  for (const title of ["Rope ferry, later", "Chain ferry, later"]) await expect(row(again, title)).toBeVisible();
  await chartButton(again, /Rope ferry/).click();
  await expect(again.getByRole("textbox", { name: "Description" })).toHaveText("A farthing a head.");

  // And it has reached the server, not only this browser.
  const fresh = await otherBrowserOf(browser, nia, server.url);
  await fresh.goto(address);
  await expect(chartButton(fresh, /Last crossing/)).toBeVisible();
});

test("a lost answer is asked for again, and the change is done once", async ({ browser }) => {
  const nia = await newPerson(browser, "Nia", server.url);
  const { page } = nia;
  // Without the stream, nothing but the answers tells of what was taken.
  await page.route("**/api/live", (route) => route.abort());
  await newTimeline(page, "Ferries");
  let lost = 0;
  await page.route("**/changes", async (route) => {
    if (route.request().method() !== "POST" || lost >= 2) return route.continue();
    lost++;
    await route.fetch(); // the server takes it ...
    await route.abort(); // ... and its answer never arrives
  });
  await writeLines(page, ["1604 Rope ferry"]);
  await saved(page);
  expect(lost).toBe(2);
  await page.reload();
  await expect(page.getByTestId("ledger").getByRole("row")).toHaveCount(2);
});

test("a session that ended keeps what was typed until one has signed in again", async ({ browser }) => {
  const nia = await newPerson(browser, "Nia", server.url);
  const { page } = nia;
  await newTimeline(page, "Ferries");
  const other = await nia.context.newPage();
  await other.goto("/");
  await other.getByRole("button", { name: "Sign out" }).click();
  await expect(page.getByText("You are signed out.")).toBeVisible();
  await writeLines(page, ["1604 Rope ferry"]);
  await page.getByRole("link", { name: "Sign in" }).click();
  await page.getByLabel("E-mail or sign-in name").fill(nia.email);
  await page.getByLabel("Password").fill("over-the-ambrel");
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(chartButton(page, /Rope ferry/)).toBeVisible();
  await saved(page);
});

test("two tabs of one browser share one event stream, and each sees the other's changes", async ({ browser }) => {
  const nia = await newPerson(browser, "Nia", server.url);
  const address = await newTimeline(nia.page, "Ferries");
  const second = await nia.context.newPage();
  let streams = 0;
  second.on("request", (r) => {
    if (r.url().endsWith("/api/live")) streams++;
  });
  await second.goto(address);
  await writeLines(nia.page, ["1604 Rope ferry"]);
  await expect(chartButton(second, /Rope ferry/)).toBeVisible();
  await writeLines(second, ["1931 Last crossing"]);
  await expect(chartButton(nia.page, /Last crossing/)).toBeVisible();
  expect(streams).toBe(0);
  // The tab that held the stream closes: the other takes it over.
  await nia.page.close();
  await expect.poll(() => streams).toBe(1);
});

test("a page of something in between refuses nothing: what was typed waits and is sent", async ({ browser }) => {
  const nia = await newPerson(browser, "Nia", server.url);
  const { page } = nia;
  await newTimeline(page, "Ferries");
  const statuses = [403, 407, 413, 401, 404];
  let asked = 0;
  await page.route("**/changes", (route) => {
    if (route.request().method() !== "POST" || asked >= statuses.length) return route.continue();
    return route.fulfill({
      status: statuses[asked++]!,
      contentType: "text/html",
      body: "<h1>Blocked by the school</h1>",
    });
  });
  await writeLines(page, ["1604 Rope ferry"]);
  await saved(page);
  expect(asked).toBe(statuses.length);
  await expect(page.getByText("set aside")).toHaveCount(0);
  await page.reload();
  await expect(chartButton(page, /Rope ferry/)).toBeVisible();
});

test("a change that fails again and again is set aside with its words, and the later ones are saved", async ({
  browser,
}) => {
  const nia = await newPerson(browser, "Nia", server.url);
  const { page } = nia;
  await newTimeline(page, "Ferries");
  await page.route("**/changes", (route) => {
    if (!(route.request().postData() ?? "").includes("Cursed")) return route.continue();
    return route.fulfill({
      status: 500,
      contentType: "application/json",
      body: JSON.stringify({ failed: "broken", sentence: "Something went wrong here, not with you." }),
    });
  });
  await writeLines(page, ["1604 Cursed ferry"]);
  await writeLines(page, ["1931 Last crossing"]);
  await expect(page.getByText("One change was not taken by the server and set aside")).toBeVisible({ timeout: 90_000 });
  await saved(page);
  await page.reload();
  await expect(chartButton(page, /Last crossing/)).toBeVisible();
  await page.getByRole("button", { name: "Show what was set aside" }).click();
  await expect(page.getByLabel("What was written")).toHaveValue(/Cursed ferry/);
  await page.getByRole("button", { name: "Throw it away" }).click();
  await expect(page.getByText("set aside on this device")).toHaveCount(0);
});

test("left in the middle of a retry and opened again: what was written is shown, and sent", async ({ browser }) => {
  const nia = await newPerson(browser, "Nia", server.url);
  const { page } = nia;
  await newTimeline(page, "Ferries");
  let down = true;
  await page.route("**/changes", (route) =>
    down && route.request().method() === "POST" ? route.abort() : route.continue(),
  );
  await writeLines(page, ["1604 Rope ferry"]);
  await expect(page.getByTestId("saving")).toHaveText(/Not connected/);
  await page.getByRole("link", { name: "Your timelines" }).click();
  await page.getByRole("link", { name: "Ferries" }).click();
  await expect(chartButton(page, /Rope ferry/)).toBeVisible();
  down = false;
  await saved(page);
  const fresh = await otherBrowserOf(browser, nia, server.url);
  await fresh.goto(page.url());
  await expect(chartButton(fresh, /Rope ferry/)).toBeVisible();
});
