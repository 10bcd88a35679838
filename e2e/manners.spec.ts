import { stand } from "./harness/ledger";
import { signedIn } from "./harness/signed-in";
import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { school, signUp } from "./attack/actor";
import { chartButton, newPerson, newTimeline, saved, serverUrl, writeLines } from "./harness/people";

const many = (n: number) => Array.from({ length: n }, (_, i) => `${1500 + i} Event ${i + 1}`).join("\n");

test("a row opens by its button, its menu and a double click; what is selected is never under the header; a refused date stays", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Rows");
  await page.getByTestId("next-event").fill(many(40));
  await page.getByTestId("next-event").press("Enter");
  const row = (n: number) =>
    page.locator("[data-row]").filter({ has: page.getByLabel(`Open Event ${n}`, { exact: true }) });
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await row(40).getByRole("button", { name: "Open Event 40" }).click();
  await expect(sheet.getByLabel("Title", { exact: true })).toHaveValue("Event 40");
  await page.keyboard.press("Escape");
  await row(39).locator("[role=gridcell][data-col=words]").dblclick();
  await expect(sheet.getByLabel("Title", { exact: true })).toHaveValue("Event 39");
  await page.keyboard.press("Escape");
  await row(38).getByRole("button", { name: "More about Event 38" }).click();
  await page.getByRole("menuitem", { name: "Open the event sheet" }).click();
  await expect(sheet.getByLabel("Title", { exact: true })).toHaveValue("Event 38");
  await page.keyboard.press("Escape");

  // From the foot of the ledger to its first rows: they come to rest below the header.
  await chartButton(page, /, Event 12,/).click();
  const header = page.getByTestId("ledger").getByRole("row").first();
  const clear = async () => {
    const [h, r] = [(await header.boundingBox())!, (await row(12).boundingBox())!];
    return r.y - (h.y + h.height);
  };
  await expect.poll(clear).toBeGreaterThanOrEqual(-1);

  const when = row(12).locator("[role=gridcell][data-col=when]");
  await stand(when);
  await page.keyboard.press("F2");
  const input = page.getByRole("textbox", { name: "When, Event 12" });
  const long = `1604 ${"x".repeat(6_000)}`;
  await input.fill(long);
  await input.press("Tab");
  await expect(page.getByText(/When holds 300 characters; this has 6,005. It is still here/)).toBeVisible();
  await expect(input).toHaveValue(long);
  await input.fill("1604");
  await input.press("Tab");
  await expect(page.getByText(/It is still here/)).toHaveCount(0);
  await expect(when).toHaveText("1604");
});

test("hints close for good, “done” is asked only where it is used, the first view is said in words", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  const address = await newTimeline(page, "Hints");
  const hints = page.getByRole("button", { name: "Close this hint for good" });
  await expect(hints).toHaveCount(2);
  await hints.first().click();
  await hints.first().click();
  await expect(hints).toHaveCount(0);
  await page.reload();
  await expect(page.getByTestId("next-event")).toBeEnabled();
  await expect(hints).toHaveCount(0);

  await writeLines(page, ["1744 - 1783 Timber bridge", "1811 - 1815 Stone bridge", "14 Nov 1872 22:10 Flood"]);
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await page.getByRole("button", { name: "Open Stone bridge" }).click();
  await expect(sheet.getByLabel("Done", { exact: true })).toHaveCount(0);
  await sheet.getByRole("button", { name: "Say how much of it is done" }).click();
  await sheet.getByLabel("Done", { exact: true }).fill("40");
  await saved(page);
  await page.getByRole("button", { name: "Open Timber bridge" }).click();
  await expect(sheet.getByLabel("Done", { exact: true })).toBeVisible();
  await page.keyboard.press("Escape");

  await page.goto("about:blank");
  await page.goto(`${address}#view=1800-01-01T00:00:00..1900-01-01T00:00:00`);
  await expect(page.getByRole("button", { name: "Whole timeline" })).toBeEnabled();
  await page.getByRole("button", { name: "About", exact: true }).click();
  const about = page.getByRole("complementary", { name: "About this timeline" });
  await expect(about).toContainText("The whole timeline");
  await about.getByRole("button", { name: "Set what I see now" }).click();
  await expect(about).toContainText(/From (1799|1800|Dec 1799|Jan 1800) to (1872|1900|Nov 1872|Jan 1900)/);
});

test("the date under a resting pointer follows what opens; a worker that does not load leaves a chart; the board offers Delete last", async ({
  browser,
}) => {
  const nia = await signUp(serverUrl(), "Nia");
  const { id } = await nia.must<{ id: string }>("POST", "/api/timelines", { title: "Large", subject: "" });
  const context = await browser.newContext({
    baseURL: serverUrl(),
    viewport: { width: 1280, height: 800 },
    reducedMotion: "reduce",
  });
  const page = await context.newPage();
  await signedIn(page, nia);
  // As where a school's filter does not let the worker's script through.
  await page.addInitScript(() => {
    window.Worker = class extends EventTarget {
      onerror: ((e: Event) => void) | null = null;
      onmessage = null;
      onmessageerror = null;
      constructor() {
        super();
        queueMicrotask(() => this.onerror?.(new Event("error")));
      }
      postMessage() {}
      terminate() {}
    } as unknown as typeof Worker;
  });
  await page.goto(`/timelines/${id}`);
  await page.getByTestId("next-event").fill(many(450));
  await page.getByTestId("next-event").press("Enter");
  await expect(chartButton(page, /Event 1,/)).toBeVisible();
  await expect(chartButton(page, /Event 450,/)).toBeVisible();

  const box = (await page.getByTestId("chart").boundingBox())!;
  await page.mouse.move(box.x + 700, box.y + 200);
  const date = page.getByTestId("reading-date");
  await expect(date).toHaveText(/^1\d{3}/);
  const before = await date.innerText();
  await page.getByTestId("next-event").evaluate(() => {
    // Opened by the keyboard: the pointer rests where it is.
    for (const b of document.querySelectorAll("button")) if (b.textContent?.trim() === "History") b.click();
  });
  await expect(page.getByRole("complementary", { name: "History" })).toBeVisible();
  await expect(date).not.toHaveText(before);

  await page.goto(`/timelines/${id}?board`);
  await chartButton(page, /, event \d+ of 450/)
    .first()
    .click();
  const buttons = page.locator("section").filter({ has: page.getByRole("button", { name: "Leave the board" }) });
  await expect(buttons.getByRole("button").last()).toHaveText("Delete");
});

test("on a phone everything is in reach: About, History, one line of ready check that opens, targets a finger meets", async ({
  browser,
}) => {
  const s = await school(serverUrl());
  const wren = await s.pupil("Wren");
  const { timeline } = await wren.must<{ timeline: string }>("POST", `/api/assignments/${s.assignment}/group`);
  await wren.change(timeline, [
    { kind: "add_category", id: "c1", fields: { name: "Crossing and ferries" } },
    { kind: "add_category", id: "c2", fields: { name: "Trade on the river" } },
    { kind: "add_category", id: "c3", fields: { name: "Weather and water" } },
  ]);
  const context = await browser.newContext({
    baseURL: serverUrl(),
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    reducedMotion: "reduce",
  });
  const page = await context.newPage();
  await signedIn(page, wren);
  await page.goto(`/timelines/${timeline}`);
  await expect(page.getByTestId("next-event")).toBeEnabled();
  for (const name of ["About", "History", "The task", "Share"])
    await expect(page.getByRole("button", { name, exact: true })).toBeInViewport({ ratio: 1 });
  const check = page.getByRole("region", { name: "Ready check" });
  await expect(check.getByRole("button", { name: "Submit" })).toBeHidden();
  expect((await check.boundingBox())!.height).toBeLessThan(60);
  await check.getByRole("button", { name: /^Ready check/ }).click();
  await expect(check.getByRole("button", { name: "Submit" })).toBeVisible();
  const small = await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>("button, select, a[href], input:not([type=file])")]
      .filter((e) => e.checkVisibility() && !e.classList.contains("sr-only") && e.dataset.target === undefined)
      .map((e) => ({
        name: e.getAttribute("aria-label") ?? e.textContent?.trim() ?? "",
        box: e.getBoundingClientRect(),
      }))
      .filter(({ box }) => box.width > 0 && (box.width < 24 || box.height < 24))
      .map(({ name, box }) => `${name} ${Math.round(box.width)}×${Math.round(box.height)}`),
  );
  expect(small).toEqual([]);
});
