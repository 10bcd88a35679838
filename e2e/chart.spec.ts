import { type Browser, expect, type Locator, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { cell, stand } from "./harness/ledger";
import { chartButton, newPerson, newTimeline, saved, writeLines, visitor } from "./harness/people";

const LINES = [
  "about 1604 Rope ferry #crossing",
  "1744 - 1783 Timber bridge #crossing",
  "1797 The Ambrel Post #town",
  "14 Nov 1872 16:00 Rain gauge overflows #weather",
  "14 Nov 1872 19:30 Bell rung #weather",
  "14 Nov 1872 22:10 East quay under water #weather",
  "1889 Viaduct #crossing",
  "27 Sep 1931 Last ferry #crossing",
];

const chart = (page: Page) => page.getByTestId("chart");
const view = (page: Page) => new URL(page.url()).hash;
const middleOf = async (l: Locator) => {
  const b = (await l.boundingBox())!;
  return { x: b.x + b.width / 2, y: b.y + b.height / 2 };
};

async function started(browser: Browser, lines = LINES): Promise<Page> {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "How the Ambrel was crossed");
  await writeLines(page, lines);
  await saved(page);
  await expect(chartButton(page, new RegExp(`event ${lines.length} of ${lines.length}$`))).toBeVisible();
  return page;
}

test("zoomed by wheel, buttons and keys, moved by dragging, keys and the overview; the address holds the view", async ({
  browser,
}) => {
  const page = await started(browser);
  const box = (await chart(page).boundingBox())!;
  const out = page.getByRole("button", { name: "Zoom out" });
  await expect(out).toBeDisabled();

  // The wheel zooms about the pointer: what is under it stays.
  const flood = chartButton(page, /Timber bridge/);
  const before = await middleOf(flood);
  await page.mouse.move(before.x, before.y);
  for (let i = 0; i < 5; i++) await page.mouse.wheel(0, -120);
  await expect.poll(() => view(page)).toContain("#view=");
  await expect(out).toBeEnabled();
  await expect(chartButton(page, /Last ferry/)).toHaveCount(0);
  await expect(flood).toBeVisible();
  const zoomed = view(page);

  // Dragging moves it, and presses nothing.
  await page.mouse.move(box.x + 640, box.y + box.height - 60);
  await page.mouse.down();
  await page.mouse.move(box.x + 400, box.y + box.height - 60, { steps: 6 });
  await page.mouse.up();
  await expect.poll(() => view(page)).not.toBe(zoomed);
  await expect(page.getByRole("complementary", { name: /^Event/ })).toHaveCount(0);
  const dragged = view(page);

  // The same view again from its address.
  await saved(page);
  await page.reload();
  await expect(page.getByTestId("next-event")).toBeEnabled();
  await expect.poll(() => view(page)).toBe(dragged);
  await expect(out).toBeEnabled();

  // Horizontal scrolling moves too, and so does the overview.
  await page.mouse.move(box.x + 600, box.y + 200);
  await page.mouse.wheel(300, 0);
  await expect.poll(() => view(page)).not.toBe(dragged);
  const scrolled = view(page);
  const strip = page.locator(".chart-strip");
  await expect(strip).toBeVisible();
  const s = (await strip.boundingBox())!;
  await page.mouse.click(s.x + s.width * 0.9, s.y + s.height / 2);
  await expect.poll(() => view(page)).not.toBe(scrolled);
  await expect(chartButton(page, /Last ferry/)).toBeVisible();

  // Buttons and keys.
  await page.getByRole("button", { name: "Whole timeline" }).click();
  await expect.poll(() => view(page)).toBe("");
  await expect(strip).toBeHidden();
  await chartButton(page, /East quay/).focus();
  await page.keyboard.press("+");
  await page.keyboard.press("+");
  await expect.poll(() => view(page)).toContain("#view=");
  const near = view(page);
  await page.keyboard.press("Shift+ArrowRight");
  await expect.poll(() => view(page)).not.toBe(near);
  await page.keyboard.press("0");
  await expect.poll(() => view(page)).toBe("");
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "Keys" })).toContainText("zoom in, zoom out, see the whole");
});

test("zoomed to what is selected, down to the minute, with the day said above", async ({ browser }) => {
  const page = await started(browser);
  await stand(cell(page, "when", "Bell rung"));
  const to = page.getByRole("button", { name: "Zoom to the selected event" });
  for (let i = 0; i < 12; i++) await to.click();
  await expect(chartButton(page, /Bell rung/)).toHaveAttribute("aria-current", "true");
  for (let i = 0; i < 18; i++) await page.getByRole("button", { name: "Zoom in" }).click();
  await expect.poll(() => view(page)).toMatch(/1872-11-14T19:\d\d:\d\d\.\.1872-11-14T19/);
  await expect(chartButton(page, /Bell rung, event 5 of 8/)).toBeVisible();
});

test("pinched with two fingers, and scrolled past with one", async ({ browser }) => {
  const { page, context } = await newPerson(browser, "Nia");
  const address = await newTimeline(page, "How the Ambrel was crossed");
  await writeLines(page, LINES);
  await saved(page);
  const touch = await browser.newContext({
    storageState: await context.storageState(),
    hasTouch: true,
    viewport: { width: 820, height: 1_100 },
    reducedMotion: "reduce",
  });
  const tablet = await touch.newPage();
  await tablet.goto(address);
  await expect(chartButton(tablet, /Timber bridge/)).toBeVisible();
  const b = (await chart(tablet).boundingBox())!;
  const session = await touch.newCDPSession(tablet);
  const points = (a: number, c: number) => [
    { x: b.x + a, y: b.y + 300, id: 0 },
    { x: b.x + c, y: b.y + 320, id: 1 },
  ];
  const send = (type: "touchStart" | "touchMove" | "touchEnd", touchPoints: { x: number; y: number; id: number }[]) =>
    session.send("Input.dispatchTouchEvent", { type, touchPoints });
  await send("touchStart", points(350, 450));
  for (let k = 1; k <= 8; k++) await send("touchMove", points(350 - 25 * k, 450 + 25 * k));
  await send("touchEnd", []);
  await expect.poll(() => view(tablet)).toContain("#view=");
  const near = view(tablet);
  // One finger along moves it.
  await send("touchStart", [{ x: b.x + 500, y: b.y + 300, id: 0 }]);
  for (let k = 1; k <= 8; k++) await send("touchMove", [{ x: b.x + 500 - 30 * k, y: b.y + 300, id: 0 }]);
  await send("touchEnd", []);
  await expect.poll(() => view(tablet)).not.toBe(near);
  // Back with two.
  await send("touchStart", points(100, 700));
  for (let k = 1; k <= 8; k++) await send("touchMove", points(100 + 36 * k, 700 - 36 * k));
  await send("touchEnd", []);
  await expect.poll(() => view(tablet)).toBe("");
  await touch.close();
});

test("an empty place is tapped: an event there with the date the zoom allows, or in that place of the order", async ({
  browser,
}) => {
  const page = await started(browser, ["1600 Ford", "1700 Ferry", "1900 Bridge"]);
  const rows = page.getByTestId("ledger").getByRole("row");
  await expect(rows).toHaveCount(4);
  const ferry = (await chartButton(page, /Ferry/).boundingBox())!;
  const bridge = (await chartButton(page, /Bridge/).boundingBox())!;
  const box = (await chart(page).boundingBox())!;
  await page.mouse.click((ferry.x + bridge.x) / 2, box.y + box.height - 90);
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await expect(sheet.getByLabel("When")).toHaveValue(/^(1[78]\d0s|1[78]\d\d)$/);
  await sheet.getByLabel("Title", { exact: true }).fill("Timber bridge");
  await expect(rows).toHaveCount(5);
  await saved(page);
  await page.keyboard.press("Escape");
  await page.keyboard.press("Control+z");
  await page.keyboard.press("Control+z");
  await expect(rows).toHaveCount(4);

  // Tapped and left without a word, it is gone again.
  await page.mouse.click((ferry.x + bridge.x) / 2, box.y + box.height - 90);
  await expect(rows).toHaveCount(5);
  await expect(sheet).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(rows).toHaveCount(4);
  await expect(chartButton(page, /event 3 of 3$/)).toBeVisible();

  // What was said of it without a title is not lost with it. (Beside the last tap: two on one spot are one gesture.)
  await page.mouse.click((ferry.x + bridge.x) / 2 + 70, box.y + box.height - 90);
  await sheet.getByLabel("Private note").fill("Ask at the archive");
  await page.keyboard.press("Escape");
  await expect(sheet).toBeHidden();
  await expect(rows).toHaveCount(5);
  await saved(page);

  // Between two without a date it has none either, and stands between them.
  const other = await started(browser, ["Choose the play", "Give out the parts"]);
  const [a, c] = [await middleOf(chartButton(other, /Choose/)), await middleOf(chartButton(other, /Give out/))];
  const pane = (await chart(other).boundingBox())!;
  await other.mouse.click((a.x + c.x) / 2, pane.y + pane.height - 90);
  await other
    .getByRole("complementary", { name: /^Event 2 of 3/ })
    .getByLabel("Title", { exact: true })
    .fill("Read it");
  await expect(chartButton(other, /Read it, event 2 of 3/)).toBeVisible();
});

test("filtered by the key; walked by keyboard in time order with date, title and place read out", async ({
  browser,
}) => {
  const page = await started(browser);
  await page.getByRole("list", { name: "Categories shown" }).getByRole("button", { name: "Weather" }).click();
  await expect(chartButton(page, /Bell rung/)).toHaveCount(0);
  await expect(chartButton(page, /Viaduct, event 4 of 5/)).toBeVisible();
  await page.getByRole("list", { name: "Categories shown" }).getByRole("button", { name: "Weather" }).click();

  const stops = chart(page).locator('button[tabindex="0"]');
  await expect(stops).toHaveCount(1);
  await stops.focus();
  await page.keyboard.press("Home");
  const order = [
    "about 1604, Rope ferry, event 1 of 8",
    "1744 – 1783, Timber bridge, event 2 of 8",
    "1797, The Ambrel Post, event 3 of 8",
  ];
  for (const name of order) {
    await expect(chart(page).getByRole("button", { name, exact: true })).toBeFocused();
    await page.keyboard.press("ArrowRight");
  }
  await page.keyboard.press("End");
  await expect(chartButton(page, /Last ferry, event 8 of 8/)).toBeFocused();
  await page.keyboard.press("ArrowLeft");
  await expect(chartButton(page, /Viaduct, event 7 of 8/)).toBeFocused();
  // Zoomed in, walking takes the view along.
  for (let i = 0; i < 6; i++) await page.keyboard.press("+");
  await page.keyboard.press("Home");
  await expect(chartButton(page, /Rope ferry/)).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("heading", { name: "Event 1 of 8" })).toBeFocused();
});

test("what has no room is counted, announced, and opens: by zooming, or as a list", async ({ browser }) => {
  const busy = Array.from({ length: 170 }, (_, i) => `${1800 + (i % 35)} Number ${i}`);
  const page = await started(browser, ["1700 First mark"]);
  // A table is pasted.
  await page.getByTestId("next-event").focus();
  await page.evaluate(
    (text) => navigator.clipboard.writeText(text),
    [...busy, ...Array(30).fill("5 May 1850 Same moment")].join("\n"),
  );
  await page.keyboard.press("Control+v");
  const add = page.getByRole("button", { name: /Add/ });
  if (await add.isVisible().catch(() => false)) await add.click();
  else await page.keyboard.press("Enter");
  await expect(page.getByText("201 events")).toBeVisible();
  const counts = chart(page).getByRole("button", { name: /more, without room for/ });
  await expect(counts.first()).toBeVisible();
  const total = async () => {
    const names = await counts.evaluateAll((list) =>
      list.map((e) => Number.parseInt(e.getAttribute("aria-label") ?? "", 10)),
    );
    return names.reduce((a, b) => a + b, 0);
  };
  const all = await total();
  expect(all).toBeGreaterThan(10);
  const numbers = await counts.evaluateAll((list) =>
    list.map((e) => Number.parseInt(e.getAttribute("aria-label") ?? "", 10)),
  );
  await counts.nth(numbers.indexOf(Math.max(...numbers))).focus();
  await page.keyboard.press("Enter");
  await expect.poll(() => view(page)).toContain("#view=");
  await expect.poll(total).toBeLessThan(all);
  // Where all are at one instant it is a list.
  await page.getByRole("button", { name: "Whole timeline" }).click();
  await expect.poll(() => view(page)).toBe("");
  for (let i = 0; i < 14; i++) {
    const last = counts.last();
    if ((await counts.count()) === 0) break;
    await last.click();
    if (await page.getByRole("dialog").isVisible()) break;
  }
  const list = page.getByRole("dialog");
  await expect(list.getByRole("button", { name: /5 May 1850\s*Same moment/ }).first()).toBeVisible();
  await list
    .getByRole("button", { name: /Same moment/ })
    .last()
    .click();
  await expect(page.getByRole("complementary", { name: /^Event/ }).getByLabel("Title", { exact: true })).toHaveValue(
    "Same moment",
  );
});

test("a sign, lines, marks of one's own and the first view reach the reader, who zooms and filters too", async ({
  browser,
}) => {
  const page = await started(browser);
  await chartButton(page, /Bell rung/).click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await sheet.getByRole("button", { name: "no sign" }).click();
  await sheet.getByRole("radio", { name: "bell" }).check();
  await page.getByRole("button", { name: "About", exact: true }).click();
  const settings = page.getByRole("region", { name: "Chart" });
  await settings.getByLabel("Lines across the chart").check();
  await settings.getByLabel("Marks on the ridge").selectOption("list");
  await settings.getByLabel("Dates to mark").fill("1744; 14 Nov 1872; 1900");
  await page.getByRole("button", { name: "Zoom in" }).click();
  await page.getByRole("button", { name: "Zoom in" }).click();
  await expect.poll(() => view(page)).toContain("#view=");
  await settings.getByRole("button", { name: "Set what I see now" }).click();
  await expect(settings.getByRole("button", { name: "Show the whole" })).toBeVisible();
  const stored = decodeURIComponent(view(page)).slice("#view=".length);
  await saved(page);

  await page.getByRole("button", { name: "Share" }).click();
  await page.getByLabel(/Everybody/).check();
  await page.getByRole("button", { name: "Publish" }).click();
  const link = await page.getByLabel("Link to the published page").inputValue();
  const nobody = await visitor(browser);
  const failed: string[] = [];
  nobody.on("console", (m) => m.type() === "error" && failed.push(m.text()));
  await nobody.goto(`${link}#chart`);
  const seen = () => new URL(nobody.url()).searchParams.get("view");
  await expect.poll(seen).toBe(stored);
  await nobody.getByRole("button", { name: "Whole timeline" }).click();
  await expect.poll(seen).toBe("");
  await expect(nobody.getByRole("button", { name: /Rope ferry, event 1 of 8/ })).toBeVisible();
  await nobody.getByRole("button", { name: "Weather" }).click();
  await expect(nobody.getByRole("button", { name: /Bell rung/ })).toHaveCount(0);
  await nobody.getByRole("button", { name: "Weather" }).click();
  await nobody.getByRole("button", { name: /Bell rung/ }).click();
  await expect(nobody.getByRole("heading", { name: "Bell rung" })).toBeVisible();
  expect(failed).toEqual([]);

  // Without a script the chart is there all the same, with links.
  const still = await (await browser.newContext({ javaScriptEnabled: false })).newPage();
  await still.goto(`${link}#chart`);
  await expect(still.getByRole("link", { name: /Rope ferry, event 1 of 8/ }).first()).toBeVisible();
});

test("upright: on a phone by itself, elsewhere by choice; walked, zoomed and read out the same", async ({
  browser,
}) => {
  const page = await started(browser);
  await saved(page);
  await page.getByRole("button", { name: "Upright chart" }).click();
  const order = async () => {
    const names = ["Rope ferry", "Timber bridge", "Viaduct", "Last ferry"];
    return Promise.all(names.map(async (n) => (await chartButton(page, new RegExp(n)).boundingBox())!));
  };
  await expect
    .poll(async () => (await order()).map((b) => b.y).every((y, i, all) => i === 0 || y > all[i - 1]!))
    .toBe(true);
  // All words run across on the ridge's right, those of spans too.
  const [ferry, bridge] = await order();
  expect(Math.abs(bridge!.x - ferry!.x)).toBeLessThan(2);
  expect(bridge!.width).toBeGreaterThan(bridge!.height);
  await chart(page).locator('button[tabindex="0"]').focus();
  await page.keyboard.press("End");
  await expect(chartButton(page, /Last ferry, event 8 of 8/)).toBeFocused();
  await expect(chartButton(page, /Last ferry/)).toBeInViewport();
  await page.keyboard.press("+");
  await page.keyboard.press("+");
  await expect.poll(() => view(page)).toContain("#view=");
  const address = page.url();

  const phone = await browser.newContext({
    storageState: await page.context().storageState(),
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    reducedMotion: "reduce",
  });
  const small = await phone.newPage();
  await small.goto(address.split("#")[0]!);
  await expect(small.getByRole("button", { name: "Upright chart" })).toHaveAttribute("aria-pressed", "true");
  const [first, last] = [chartButton(small, /Rope ferry/), chartButton(small, /Last ferry/)];
  await expect(first).toBeInViewport();
  await last.scrollIntoViewIfNeeded();
  await expect(last).toBeInViewport();
  await last.tap();
  await expect(small.getByRole("heading", { name: "Event 8 of 8" })).toBeVisible();
});

test("rows by category: each with its own roofs and plumb lines, folded and opened, in the order of the key", async ({
  browser,
}) => {
  const page = await started(browser);
  await page.getByRole("button", { name: "Rows by category" }).click();
  const row = (name: string) =>
    chart(page).getByRole("button", { name: new RegExp(`^${name}, \\d+ events?, (open|folded)`) });
  await expect(row("Crossing")).toBeVisible();
  const tops = async () => {
    const names = ["Crossing", "Town", "Weather"];
    return Promise.all(names.map(async (n) => (await row(n).boundingBox())!.y));
  };
  const [crossing, town, weather] = await tops();
  expect(crossing!).toBeLessThan(town!);
  expect(town!).toBeLessThan(weather!);
  const bell = (await chartButton(page, /Bell rung/).boundingBox())!;
  expect(bell.y).toBeGreaterThan(weather!);
  await row("Crossing").focus();
  await page.keyboard.press("Enter");
  await expect(chart(page).getByRole("button", { name: "Crossing, 4 events, folded" })).toBeVisible();
  await expect.poll(async () => (await row("Town").boundingBox())!.y).toBeLessThan(town!);
  await row("Crossing").click();
  await expect(chart(page).getByRole("button", { name: "Crossing, 4 events, open" })).toBeVisible();
  // The order is the key's.
  await page.getByRole("button", { name: "About", exact: true }).click();
  await page.getByRole("button", { name: "Move Weather up" }).click();
  await page.getByRole("button", { name: "Move Weather up" }).click();
  const below = async () => (await row("Weather").boundingBox())!.y - (await row("Crossing").boundingBox())!.y;
  await expect.poll(below).toBeLessThan(0);
  await page.getByRole("button", { name: "Rows by category" }).click();
  await expect(row("Crossing")).toHaveCount(0);
});
