import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium, expect, type Page, type Route } from "@playwright/test";
import { test } from "./harness/test";
import { CHROMIUM, CHROMIUM_ARGS } from "../scripts/lib/chromium.mjs";
import { row } from "./harness/ledger";
import { startServer } from "./harness/server";
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
  // Without a network the whole browser is without: what keeps the application there asks through no page.
  const open = (network = true) =>
    chromium.launchPersistentContext(folder, {
      executablePath: CHROMIUM,
      args: network ? CHROMIUM_ARGS : [...CHROMIUM_ARGS, "--proxy-bypass-list=<-loopback>"],
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
    context = await open(false);
    await context.setOffline(true);
    page = await context.newPage();
    await page.goto("/");
    await page.getByRole("link", { name: "Crossings" }).click();
    await expect(row(page, "Rope ferry")).toBeVisible();
    await writeLines(page, ["1744 Timber bridge #crossing"]);
    await expect(chartButton(page, /Timber bridge, event 2 of 2/)).toBeVisible();
    await expect(page.getByTestId("saving")).toContainText("kept on this device");
    // Another one is begun there.
    await page.goto("/");
    await page.getByRole("link", { name: "Begin a new timeline, or go on with the one begun here" }).click();
    await expect(page.getByText("This timeline is kept on this device until the network is back")).toBeVisible();
    await writeLines(page, ["1931 Last ferry"]);
    await expect(chartButton(page, /Last ferry, event 1 of 1/)).toBeVisible();
    // What is opened beside it is kept as well.
    await page.getByRole("button", { name: "About", exact: true }).click();
    await expect(page.getByRole("complementary", { name: "About" }).getByLabel("Title", { exact: true })).toBeVisible();
    await expect(page.getByText("This part could not be fetched")).toHaveCount(0);
    await page.getByRole("button", { name: "Share", exact: true }).click();
    await expect(page.getByRole("dialog")).toContainText("need the network");
    await context.close();

    // Opened once more: what was written is there; back on the network it is sent.
    context = await open(false);
    await context.setOffline(true);
    page = await context.newPage();
    await page.goto(address);
    await expect(row(page, "Timber bridge")).toBeVisible();
    await context.close();
    context = await open();
    await context.setOffline(true);
    page = await context.newPage();
    await page.goto(address);
    await expect(row(page, "Timber bridge")).toBeVisible();
    // Signing out removes what was kept; with all sent nothing is asked.
    await context.setOffline(false);
    await saved(page);
    // What was begun without the network is taken to the others.
    await page.goto("/begun-here");
    await expect(row(page, "Last ferry")).toBeVisible();
    await page.getByRole("link", { name: "The network is back: take it to your timelines" }).click();
    await expect(page.getByRole("status").getByText("came along from this browser and is yours now")).toBeVisible();
    await page.getByRole("status").getByRole("link", { name: "Open it" }).click();
    await expect(row(page, "Last ferry")).toBeVisible();
    await expect(page).toHaveURL(/\/timelines\//);
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
  const { page, email } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  await writeLines(page, ["1604 Rope ferry"]);
  await saved(page);
  await page.route("**/api/timelines/*/changes", (route) =>
    route.request().method() === "POST" ? route.abort() : route.continue(),
  );
  await writeLines(page, ["1744 Timber bridge"]);
  await expect(page.getByTestId("saving")).toContainText("kept on this device");
  // Then the disk takes nothing more: what is in the tab alone counts as well.
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException("There is no room.", "QuotaExceededError");
    };
  });
  await writeLines(page, ["1783 Ice"]);
  await expect(page.getByTestId("saving")).toHaveText("Not connected – only in this tab");
  await page.getByRole("link", { name: "Your timelines" }).click();
  await expect(page.getByRole("heading", { name: "Your timelines" })).toBeVisible();
  await page.getByRole("button", { name: "Sign out" }).click();
  const dialog = page.getByRole("dialog", { name: "Not everything has been sent" });
  await expect(dialog).toContainText("2 changes that were written on this device have not reached the server yet.");
  await dialog.getByRole("button", { name: "Stay signed in" }).click();
  await expect(dialog).toHaveCount(0);
  await page.getByRole("button", { name: "Sign out" }).click();
  const file = page.waitForEvent("download");
  await dialog.getByRole("button", { name: "Save as a file and sign out" }).click();
  const text = readFileSync((await (await file).path())!, "utf8");
  expect(text).toContain("Timber bridge");
  expect(text).toContain("Ice");
  await expect(page).toHaveURL(/\/$/);
  await expect(page.getByRole("link", { name: "Begin now, without an account" })).toBeVisible();

  // Signed in again, the file brings it back: once, however often it is opened.
  await page.unroute("**/api/timelines/*/changes");
  await page.request.post("/api/session", { data: { name: email, password: PASSWORD } });
  await page.goto("/account");
  const back = page.getByRole("region", { name: "Work that was saved as a file" });
  const open = (content: string) =>
    back.getByLabel("Open the file").setInputFiles({
      name: "fastigo-not-sent.json",
      mimeType: "application/json",
      buffer: Buffer.from(content),
    });
  await open("{}");
  await expect(back.getByRole("status")).toContainText("This is no file of work that was not sent.");
  for (let i = 0; i < 2; i++) {
    await open(text);
    await expect(back.getByRole("status")).toContainText("2 changes are on the server now.");
  }
  await back.getByRole("link", { name: "Open it" }).click();
  for (const title of ["Timber bridge", "Ice"]) await expect(row(page, title)).toHaveCount(1);
});

test("what somebody has not sent is not shown to whoever uses the device next, and waits for its author", async ({
  browser,
}) => {
  const { page, email } = await newPerson(browser, "Nia");
  const address = await newTimeline(page, "Crossings");
  const held = (route: Route) => (route.request().method() === "POST" ? route.abort() : route.continue());
  await page.route("**/api/timelines/*/changes", held);
  await writeLines(page, ["1744 Timber bridge"]);
  await expect(page.getByTestId("saving")).toContainText("kept on this device");
  await page.goto("/help");
  // Her session ends; somebody else signs in on the same device, and out again.
  await page.request.delete("/api/session");
  const other = await page.request.post("/api/account", {
    data: { displayName: "Obi", email: newEmail("Obi"), password: PASSWORD },
  });
  expect(other.status()).toBe(200);
  await page.goto("/account");
  await page.getByRole("button", { name: "Sign out" }).click();
  await expect(page.getByRole("link", { name: "Begin now, without an account" })).toBeVisible();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  // What she wrote is still there for her, and is sent.
  await page.unroute("**/api/timelines/*/changes", held);
  await page.request.post("/api/session", { data: { name: email, password: PASSWORD } });
  await page.goto(address);
  await expect(row(page, "Timber bridge")).toHaveCount(1);
  await saved(page);
  await page.reload();
  await expect(row(page, "Timber bridge")).toHaveCount(1);
});

test("a new build replaces what an older one kept: the two do not mix", async ({ browser }) => {
  const server = await startServer("e2e_builds", { FASTIGO_BUILD: "one" });
  try {
    const { page } = await newPerson(browser, "Nia", server.url);
    await newTimeline(page, "Crossings");
    await writeLines(page, ["1604 Rope ferry"]);
    await saved(page);
    const address = page.url();
    await page.getByRole("button", { name: "About", exact: true }).click();
    await page.getByLabel(/^This device is my own/).check();
    const kept = () => page.evaluate(async () => (await caches.keys()).filter((n) => n.startsWith("fastigo-kept-")));
    await expect.poll(kept).toEqual(["fastigo-kept-one"]);
    await server.kill();
    await server.restart({ FASTIGO_BUILD: "two" });
    await page.goto(address);
    await expect(row(page, "Rope ferry")).toBeVisible();
    // The new one is fetched now, and takes over when no page of the old one is open any more.
    await expect
      .poll(() =>
        page.evaluate(async () => {
          const [r] = await navigator.serviceWorker.getRegistrations();
          return (r!.waiting ?? r!.active)!.scriptURL.split("=")[1];
        }),
      )
      .toBe("two");
    await page.goto("about:blank");
    await page.goto(address);
    await expect.poll(kept).toEqual(["fastigo-kept-two"]);
    // What is kept is whole: with the server gone it opens and is written in.
    await expect
      .poll(() => page.evaluate(async (at) => Boolean(await caches.match(`/api${new URL(at).pathname}`)), address))
      .toBe(true);
    // The network goes in the middle of a newer copy: what was kept stays.
    const cutOff = await page
      .context()
      .serviceWorkers()
      .at(-1)!
      .evaluate(
        async (path) => {
          const worker = globalThis as unknown as {
            fetch: () => Promise<Response>;
            fromNetworkFirst: (request: Request, path: string) => Promise<Response>;
          };
          const real = worker.fetch;
          worker.fetch = async () =>
            new Response(new ReadableStream({ pull: (body) => body.error(new Error("cut off")) }));
          const { ok } = await worker.fromNetworkFirst(new Request(path), path);
          worker.fetch = real;
          return { ok, kept: Boolean(await caches.match(path)) };
        },
        `/api${new URL(address).pathname}`,
      );
    expect(cutOff).toEqual({ ok: true, kept: true });
    await server.kill();
    await page.goto(address);
    await expect(row(page, "Rope ferry")).toBeVisible();
    await writeLines(page, ["1744 Timber bridge"]);
    await expect(row(page, "Timber bridge")).toBeVisible();
  } finally {
    await server.stop();
  }
});
