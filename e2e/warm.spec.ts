import { expect } from "@playwright/test";
import { newPerson, newTimeline, serverUrl, visitor } from "./harness/people";
import { test } from "./harness/test";
import { leave, warmBrowser } from "./harness/warm";

test("whoever gets a browser that somebody left finds nothing of theirs in it", async ({ browser: usual }) => {
  // One in which nobody was before: the others are closed after some people.
  const browser = await usual.browserType().launch();
  const { context, page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Ferries");
  await page.evaluate(async () => {
    localStorage.setItem("mine", "1");
    sessionStorage.setItem("mine", "1");
    window.name = "mine";
    await (await caches.open("mine")).put("/mine", new Response("mine"));
    await navigator.serviceWorker.register("/sw.js");
  });
  const here = () =>
    page.evaluate(async () => ({
      local: localStorage.length,
      session: sessionStorage.length,
      name: window.name,
      caches: (await caches.keys()).length,
      databases: (await indexedDB.databases()).length,
      workers: (await navigator.serviceWorker.getRegistrations()).length,
    }));
  // The worker has caches of its own, once it has begun.
  const left = await here();
  expect(left).toMatchObject({ name: "mine", workers: 1 });
  for (const kind of ["session", "local", "caches", "databases"] as const) expect(left[kind]).toBeGreaterThan(0);
  const seen: string[] = [];
  page.on("request", (r) => seen.push(r.url()));
  await page.setViewportSize({ width: 390, height: 844 });
  await context.newPage();
  await context.setOffline(true);

  await leave(context);
  const next = await warmBrowser(browser, serverUrl());
  expect(next.context).toBe(context);
  expect(context.pages()).toEqual([page]);
  expect(page.viewportSize()).toEqual({ width: 1280, height: 800 });
  expect(await context.cookies()).toEqual([]);
  const before = seen.length;
  await page.goto("/sign-in");
  expect(seen).toHaveLength(before);
  expect(await here()).toEqual({ local: 0, session: 0, name: "", caches: 0, databases: 0, workers: 0 });
  await browser.close();
});

test("a browser that was altered for good is nobody's afterwards", async ({ browser }) => {
  const page = await visitor(browser);
  await page.addInitScript(() => {
    window.name = "altered";
  });
  await leave(page.context());
  expect(page.isClosed()).toBe(true);
  expect((await warmBrowser(browser, serverUrl())).context).not.toBe(page.context());
});
