import { expect, type Browser, type Page } from "@playwright/test";
import { test } from "./harness/test";
import sharp from "sharp";
import { newPerson, newTimeline, saved, writeLines, visitor } from "./harness/people";

const LINES = [
  "1604 Rope ferry licensed",
  "1688 Market moves east",
  "1744 - 1783 Timber bridge",
  "1797 The Ambrel Post",
  "1872 The long night flood",
  "1889 Viaduct opens",
  "1931 Last ferry",
];

/** A published timeline with two pictures; its link. */
async function published(browser: Browser): Promise<string> {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Ways over the Ambrel");
  await writeLines(page, LINES);
  for (const [name, width, height, colour] of [
    ["Market moves east", 400, 900, "#B4481E"],
    ["The long night flood", 640, 400, "#1F5FA8"],
  ] as const) {
    await page
      .getByRole("button", { name: new RegExp(name) })
      .first()
      .click();
    const buffer = await sharp({ create: { width, height, channels: 3, background: colour } })
      .png()
      .toBuffer();
    const sheet = page.getByRole("complementary");
    await sheet.locator("input[type=file]").first().setInputFiles({ name: "x.png", mimeType: "image/png", buffer });
    await sheet.getByLabel("Caption").fill(`Seen: ${name}`);
    await sheet.getByLabel(/What it shows/).fill(`A drawing of ${name}`);
    await saved(page);
  }
  await page.getByRole("button", { name: "Share" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel(/Anyone with the link/).check();
  await dialog.getByRole("button", { name: "Publish" }).click();
  await expect(dialog.getByText(/^Published – version of/)).toBeVisible();
  const link = await dialog.getByLabel("Link to the published page").inputValue();
  await page.context().close();
  return link;
}

let link = "";
test.beforeAll(async ({ browser }) => {
  link = await published(browser);
});

/** Somebody who follows the link, on a laptop. */
const laptop = (browser: Browser) => visitor(browser);
const sheetOf = (page: Page) => page.locator("article.hung");
const title = (page: Page) => sheetOf(page).getByRole("heading", { level: 2 });
const event = (page: Page, name: RegExp) => page.locator(".chart-live").getByRole("button", { name }).first();
/** How much of what was shown moved without being asked to (web-vitals' layout shift). */
async function countShifts(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const w = window as unknown as { shifted: number };
    w.shifted = 0;
    new PerformanceObserver((list) => {
      for (const e of list.getEntries() as (PerformanceEntry & { value: number; hadRecentInput: boolean })[])
        if (!e.hadRecentInput) w.shifted += e.value;
    }).observe({ type: "layout-shift", buffered: true });
  });
}
const shifted = (page: Page) => page.evaluate(() => (window as unknown as { shifted: number }).shifted);

test("from the link by mouse: it begins, an event hangs from the ridge at its date, the third one, and back to the very view", async ({
  browser,
}) => {
  const page = await laptop(browser);
  await countShifts(page);
  await page.goto(link);
  await expect(page.getByRole("heading", { level: 2, name: "Ways over the Ambrel" })).toBeVisible();
  await expect(page.getByText("7 events, 1604 – 1931 · 2 pictures")).toBeVisible();
  await expect(page.locator("#chart")).toBeHidden();
  expect(await shifted(page)).toBeLessThan(0.01);
  await page.locator(".ways").getByRole("link", { name: "Open the chart" }).click();
  await expect(page.getByText("Press an event to open it.", { exact: true })).toBeVisible();
  // A pointer that rests on a label gets a card, which takes no press.
  await event(page, /Market moves east/).hover();
  const card = page.locator(".chart-card");
  await expect(card).toBeVisible();
  await expect(card.locator(".title")).toHaveText("Market moves east");
  await expect(card.locator(".date")).toHaveText("1688");
  await expect(card.locator("img")).toBeVisible();
  await page.mouse.move(4, 4);
  await expect(card).toBeHidden();
  // A view of one's own.
  await page.getByRole("button", { name: "Zoom in" }).click();
  await page.getByRole("button", { name: "Zoom in" }).click();
  await expect(page).toHaveURL(/view=/);
  const before = new URL(page.url()).searchParams.get("view");
  const pressed = event(page, /The Ambrel Post/);
  const name = await pressed.getAttribute("aria-label");
  await pressed.click();
  await expect(title(page)).toHaveText("The Ambrel Post");
  await expect(
    sheetOf(page).getByText(/^14 years after Timber bridge, 75 years before The long night flood$/),
  ).toBeVisible();
  // It hangs from the place of its date: the line meets the sheet, and stands where the moment does.
  const [rope, sheet] = [await page.locator(".rope").boundingBox(), await sheetOf(page).boundingBox()];
  expect(rope!.x).toBeGreaterThan(sheet!.x);
  expect(rope!.x).toBeLessThan(sheet!.x + sheet!.width);
  expect(Math.abs(rope!.y + rope!.height - sheet!.y)).toBeLessThan(2);
  // The labels that are left stand beside it.
  for (const label of await page.locator(".chart-live [data-kind=event]").all()) {
    const box = (await label.boundingBox())!;
    if (box.y < sheet!.y) continue;
    expect(box.x + box.width <= sheet!.x + 1 || box.x >= sheet!.x + sheet!.width - 1).toBe(true);
  }
  await sheetOf(page).getByRole("link", { name: "The long night flood" }).click();
  await expect(title(page)).toHaveText("The long night flood");
  await expect(page).toHaveURL(/#e-/);
  await sheetOf(page).getByRole("link", { name: "The event after" }).click();
  await expect(title(page)).toHaveText("Viaduct opens");
  // A label beside the sheet leads elsewhere.
  await event(page, /Rope ferry/).click();
  await expect(title(page)).toHaveText("Rope ferry licensed");
  const early = (await sheetOf(page).boundingBox())!;
  expect(early.x).toBeLessThan(sheet!.x);
  await sheetOf(page).getByRole("link", { name: "Back to the chart" }).click();
  await expect(sheetOf(page)).toBeHidden();
  await expect(page.locator(":focus")).toHaveAttribute("aria-label", name!);
  expect(new URL(page.url()).searchParams.get("view")).toBe(before);
  // What was opened is gone back through like pages.
  await page.goBack();
  await expect(title(page)).toHaveText("Rope ferry licensed");
  await page.context().close();
});

test("by keys: opened, led on, a picture large and on, and back; the address alone opens an event; nothing shifts", async ({
  browser,
}) => {
  const page = await laptop(browser);
  await countShifts(page);
  await page.goto(`${link}#chart`);
  await event(page, /Market moves/).focus();
  await page.keyboard.press("ArrowLeft");
  await expect(page.locator(".chart-card .title")).toHaveText("Rope ferry licensed");
  await page.keyboard.press("Enter");
  await expect(title(page)).toHaveText("Rope ferry licensed");
  await page.keyboard.press("ArrowRight");
  await expect(title(page)).toHaveText("Market moves east");
  const picture = sheetOf(page).getByRole("img", { name: "A drawing of Market moves east" });
  const box = (await picture.boundingBox())!;
  // A portrait keeps its proportion and fits the window.
  expect(box.height / box.width).toBeCloseTo(900 / 400, 1);
  expect(box.height).toBeLessThan(480);
  await expect(sheetOf(page).getByText("Seen: Market moves east")).toBeVisible();
  await sheetOf(page).locator("figure a").focus();
  await page.keyboard.press("Enter");
  const large = page.getByRole("dialog", { name: "Picture, large" });
  await expect(large.getByText("Picture 1 of 2")).toBeVisible();
  await expect(large.getByText("1688")).toBeVisible();
  await page.keyboard.press("ArrowRight");
  await expect(large.getByRole("img", { name: "A drawing of The long night flood" })).toBeVisible();
  await expect(large.getByText("Seen: The long night flood")).toBeVisible();
  await expect(large.getByRole("button", { name: "The picture after" })).toBeDisabled();
  await page.keyboard.press("+");
  await expect(large).toHaveClass(/enlarged/);
  await page.keyboard.press("Escape");
  await expect(large).toBeHidden();
  await expect(title(page)).toHaveText("Market moves east");
  await page.keyboard.press("Escape");
  await expect(sheetOf(page)).toBeHidden();
  await expect(page.locator(":focus")).toHaveAttribute("aria-label", /Rope ferry/);
  await event(page, /Viaduct/).press("Enter");
  const address = page.url();
  await page.goto("about:blank");
  await page.goto(address);
  await expect(title(page)).toHaveText("Viaduct opens");
  // Read from there, and the same event stands there.
  expect(await shifted(page)).toBeLessThan(0.01);
  await page.getByRole("link", { name: "Read", exact: true }).click();
  await expect(page.locator("#read").getByRole("heading", { name: "Viaduct opens" })).toBeInViewport();
  // Back in the chart it is as it was, though it was left while it was hidden.
  const height = () => page.locator(".chart-live").evaluate((e) => e.clientHeight);
  await page.getByRole("link", { name: "Chart", exact: true }).click();
  await expect(page.locator(".chart-live")).toBeVisible();
  await expect(sheetOf(page)).toBeHidden();
  await expect.poll(height).toBeLessThan(800);
  await expect.poll(height).toBeGreaterThan(300);
  await page.goto("about:blank");
  await page.goto(`${link}#read`);
  await page.mouse.wheel(0, 4_000);
  await expect(page.locator("#read").getByRole("heading", { name: "Last ferry" })).toBeInViewport();
  expect(await shifted(page)).toBeLessThan(0.01);
  await page.context().close();
});

test("by touch on a phone: begun, opened from the upright chart, swiped on, a press on the strip, and back", async ({
  browser,
}) => {
  const page = await (
    await browser.newContext({
      viewport: { width: 390, height: 844 },
      hasTouch: true,
      isMobile: true,
      reducedMotion: "reduce",
    })
  ).newPage();
  await page.goto(link);
  await page.locator(".ways").getByRole("link", { name: "Open the chart" }).tap();
  await event(page, /Market moves east/).tap();
  await expect(title(page)).toHaveText("Market moves east");
  for (const way of await sheetOf(page).getByRole("navigation").getByRole("link").all()) {
    const box = (await way.boundingBox())!;
    expect(box.height).toBeGreaterThanOrEqual(44);
    expect(box.width).toBeGreaterThanOrEqual(44);
    expect(box.y + box.height).toBeLessThanOrEqual(844);
  }
  const swipe = async (from: number, to: number) => {
    const cdp = await page.context().newCDPSession(page);
    const at = (x: number) => [{ x, y: 420 }];
    await cdp.send("Input.dispatchTouchEvent", { type: "touchStart", touchPoints: at(from) });
    await cdp.send("Input.dispatchTouchEvent", { type: "touchMove", touchPoints: at((from + to) / 2) });
    await cdp.send("Input.dispatchTouchEvent", { type: "touchMove", touchPoints: at(to) });
    await cdp.send("Input.dispatchTouchEvent", { type: "touchEnd", touchPoints: [] });
  };
  // A finger on a player's controls leads nowhere, and a window that changes its height takes no focus away.
  await page.evaluate(() => {
    const audio = document.createElement("audio");
    audio.controls = true;
    audio.style.cssText = "position:fixed;left:20px;top:390px;width:350px;height:60px;z-index:9";
    document.querySelector("article.hung")!.append(audio);
  });
  await swipe(300, 100);
  await page.evaluate(() => document.querySelector("article.hung audio")!.remove());
  await sheetOf(page).focus();
  await page.setViewportSize({ width: 390, height: 790 });
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(sheetOf(page)).toBeFocused();
  await swipe(300, 100);
  await expect(title(page)).toHaveText("Timber bridge");
  await swipe(100, 300);
  await expect(title(page)).toHaveText("Market moves east");
  const strip = (await page.locator(".over").boundingBox())!;
  // While the swipe still runs out, a tap only ends it.
  await expect(async () => {
    await page.touchscreen.tap(strip.x + strip.width - 24, strip.y + strip.height - 20);
    await expect(title(page)).toHaveText("Last ferry", { timeout: 1_000 });
  }).toPass();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await sheetOf(page).getByRole("link", { name: "Back to the chart" }).tap();
  await expect(sheetOf(page)).toBeHidden();
  await expect(event(page, /Market moves east/)).toBeVisible();
  await page.context().close();
});

test("without a script all of it stands on one page, and the drawing leads to each event", async ({ browser }) => {
  const page = await (
    await browser.newContext({ viewport: { width: 1280, height: 800 }, javaScriptEnabled: false })
  ).newPage();
  await page.goto(link);
  await expect(page.getByRole("heading", { level: 2, name: "Ways over the Ambrel" })).toBeVisible();
  await expect(page.locator("#chart svg").first()).toBeVisible();
  await page
    .locator("#chart svg")
    .first()
    .getByRole("link", { name: /Viaduct/ })
    .click();
  await expect(page.locator("#read").getByRole("heading", { name: "Viaduct opens" })).toBeInViewport();
  await expect(page.locator("#read .date").first()).toBeAttached();
  await page.context().close();
});

test("where the script of the chart does not come, an event opens in the list", async ({ browser }) => {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.route("**/reader/chart.js*", (route) => route.abort());
  await page.goto(`${link}#chart`);
  await page
    .locator("#chart svg")
    .first()
    .getByRole("link", { name: /Viaduct/ })
    .click();
  await expect(page.locator("#read").getByRole("heading", { name: "Viaduct opens" })).toBeInViewport();
  await page.context().close();
});

test("pictures and type on the chart are held by the author, in the editor as for readers", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  const address = await newTimeline(page, "Held");
  await writeLines(page, ["1604 Rope ferry", "1872 Flood", "1931 Last ferry"]);
  await page.getByRole("button", { name: /Flood/ }).first().click();
  const sheet = page.getByRole("complementary");
  const buffer = await sharp({ create: { width: 600, height: 400, channels: 3, background: "#1F5FA8" } })
    .png()
    .toBuffer();
  await sheet.locator("input[type=file]").first().setInputFiles({ name: "x.png", mimeType: "image/png", buffer });
  await expect(sheet.getByTestId("media-item")).toHaveCount(1);
  await page.keyboard.press("Escape");
  const chart = page.getByRole("group", { name: "Chart" });
  const label = () => chart.getByRole("button", { name: /1872, Flood/ }).first();
  const height = async () => (await label().boundingBox())!.height;
  await expect.poll(height).toBeGreaterThan(110);
  const large = await height();
  await page.getByRole("button", { name: "About", exact: true }).click();
  await page.getByLabel("Pictures on the chart").selectOption({ label: "none" });
  await expect.poll(height).toBeLessThan(70);
  await page.getByLabel("Pictures on the chart").selectOption({ label: "small" });
  await expect.poll(height).toBeLessThan(large);
  await expect.poll(height).toBeGreaterThan(50);
  await page.getByLabel("Type of labels").selectOption({ label: "small" });
  await expect
    .poll(
      async () =>
        (await chart
          .getByRole("button", { name: /1931, Last/ })
          .first()
          .boundingBox())!.height,
    )
    .toBeLessThan(44);
  await saved(page);
  await page.goto(`${address.split(/[?#]/)[0]}/reader#chart`);
  const there = page
    .locator(".chart-live")
    .getByRole("button", { name: /1872, Flood/ })
    .first();
  await expect(there).toBeVisible();
  const box = (await there.boundingBox())!;
  expect(box.height).toBeGreaterThan(50);
  expect(box.height).toBeLessThan(large);
});

test("pictures stand in the order one sets, the first is the main one", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  const address = await newTimeline(page, "Order");
  await writeLines(page, ["1872 Flood"]);
  await page.getByRole("button", { name: /Flood/ }).first().click();
  const sheet = page.getByRole("complementary");
  for (const [n, colour] of ["#B4481E", "#1F5FA8"].entries()) {
    const buffer = await sharp({ create: { width: 300, height: 200, channels: 3, background: colour } })
      .png()
      .toBuffer();
    await sheet.locator("input[type=file]").first().setInputFiles({ name: "x.png", mimeType: "image/png", buffer });
    await sheet
      .getByTestId("media-item")
      .nth(n)
      .getByLabel("Caption")
      .fill(n === 0 ? "Before" : "After");
  }
  await expect(sheet.getByTestId("media-item").first()).toContainText("The main one");
  await sheet.getByTestId("media-item").nth(1).getByRole("button", { name: "Earlier in the order" }).click();
  await expect(sheet.getByTestId("media-item").first().getByLabel("Caption")).toHaveValue("After");
  await expect(
    sheet.getByTestId("media-item").first().getByRole("button", { name: "Earlier in the order" }),
  ).toBeDisabled();
  await saved(page);
  await page.goto(`${address.split(/[?#]/)[0]}/reader#read`);
  await expect(page.locator("#read figcaption")).toHaveText(["After", "Before"]);
});
