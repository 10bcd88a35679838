import { type Browser, expect, type Locator, type Page } from "@playwright/test";
import { test } from "./harness/test";
import sharp from "sharp";
import { cell, row, stand, writeCell } from "./harness/ledger";
import { chartButton, invited, newPerson, newTimeline, saved, writeLines } from "./harness/people";

const LINES = [
  "1604 Rope ferry #crossing",
  "1744 - 1783 Timber bridge #crossing",
  "14 Nov 1872 16:00 - 15 Nov 1872 06:00 The night #weather",
  "14 Nov 1872 19:30 Bell rung #town",
  "14 Nov 1872 22:10 East quay under water #weather",
  "15 Nov 1872 01:45 Two boats out #town",
  "27 Sep 1931 Last ferry #crossing",
];

const chart = (page: Page) => page.getByTestId("chart");
const event = (page: Page, name: string) => chartButton(page, new RegExp(`, ${name}, event`));
const closeUp = (page: Page, name: RegExp) => chart(page).getByRole("button", { name });
const grip = (page: Page, title: string) => row(page, title).locator("[data-grip]");

const box = async (l: Locator) => (await l.boundingBox())!;
const middle = async (l: Locator) => {
  const b = await box(l);
  return { x: b.x + b.width / 2, y: b.y + b.height / 2 };
};

async function drag(page: Page, from: { x: number; y: number }, to: { x: number; y: number }): Promise<void> {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 4 });
  await page.mouse.move(to.x, to.y, { steps: 4 });
}

async function started(browser: Browser, lines = LINES, scale = "true"): Promise<{ page: Page; address: string }> {
  const { page } = await newPerson(browser, "Nia");
  const address = await newTimeline(page, "How the Ambrel was crossed");
  await writeLines(page, lines);
  await page.getByRole("combobox", { name: "Scale" }).selectOption(scale);
  await saved(page);
  await expect(chartButton(page, new RegExp(`event ${lines.length} of ${lines.length}$`))).toBeVisible();
  return { page, address };
}

/** Makes events part of another in the ledger. */
async function partsOf(page: Page, whole: string, parts: string[]): Promise<void> {
  for (const part of parts) {
    await writeCell(cell(page, "partOf", part), whole);
  }
}

test("part of: set in the ledger, in the sheet, by dragging a row and by keys; what lies outside is a finding", async ({
  browser,
}) => {
  const { page } = await started(browser);
  await partsOf(page, "The night", ["Bell rung"]);
  await expect(cell(page, "partOf", "Bell rung")).toHaveText("The night");

  // By dragging a row onto another: both are in view, below the names of the columns.
  const inView = () => row(page, "The night").evaluate((e) => e.scrollIntoView({ block: "start" }));
  await inView();
  const to = await middle(row(page, "The night"));
  await drag(page, await middle(grip(page, "East quay under water")), to);
  await page.mouse.up();
  await expect(cell(page, "partOf", "East quay under water")).toHaveText("The night");

  // By keys: into what holds it, and out again.
  await stand(cell(page, "when", "Two boats out"));
  await page.keyboard.press("Alt+ArrowRight");
  await expect(cell(page, "partOf", "Two boats out")).toHaveText("The night");
  await page.keyboard.press("Alt+ArrowLeft");
  await expect(cell(page, "partOf", "Two boats out")).toHaveText("");
  await page.keyboard.press("Control+z");
  await expect(cell(page, "partOf", "Two boats out")).toHaveText("The night");

  // In the sheet; what lies outside is said, with ways to mend it, and nothing is refused.
  await event(page, "Last ferry").click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await sheet.getByLabel("Part of").selectOption({ label: "The night (14 Nov 1872 16:00 – 15 Nov 1872 06:00)" });
  await expect(sheet.getByText(/It ends 59 years after “The night”, of which it is part/)).toBeVisible();
  await sheet.getByRole("button", { name: "Take it out of “The night”" }).click();
  await expect(sheet.getByText(/of which it is part/)).toHaveCount(0);
  await expect(sheet.getByLabel("Part of")).toHaveValue("");
  await page.keyboard.press("Escape");

  // No circle by dragging either: it says why, and all is as it was.
  await inView();
  await drag(page, await middle(grip(page, "The night")), await middle(row(page, "Bell rung")));
  await page.mouse.up();
  await expect(page.getByText(/“Bell rung” is itself part of “The night”/)).toBeVisible();
  await expect(cell(page, "partOf", "The night")).toHaveText("");
  await saved(page);
  await page.reload();
  await expect(cell(page, "partOf", "Bell rung")).toHaveText("The night");
});

test("a close-up: opens by itself, is closed and opened by its letter and in the sheet, and is read with its parts", async ({
  browser,
}) => {
  const { page } = await started(browser);
  await partsOf(page, "The night", ["Bell rung", "East quay under water", "Two boats out"]);
  const letter = closeUp(page, /^Close-up A of The night, 3 parts, open/);
  await expect(letter).toBeVisible();
  // Its parts stand in it, over the chart, wide apart; the ferry stands below.
  const [bell, boats, ferry] = [
    await box(event(page, "Bell rung")),
    await box(event(page, "Two boats out")),
    await box(event(page, "Rope ferry")),
  ];
  expect(boats.x - bell.x).toBeGreaterThan(300);
  expect(bell.y + bell.height).toBeLessThan(ferry.y);
  // Walked in time order, in and out of it.
  await event(page, "The night").focus();
  await page.keyboard.press("ArrowRight");
  await expect(event(page, "Bell rung")).toBeFocused();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("ArrowRight");
  await expect(event(page, "Last ferry")).toBeFocused();

  await letter.focus();
  await page.keyboard.press("Enter");
  await expect(closeUp(page, /^Close-up A .* closed/)).toBeVisible();
  await expect
    .poll(async () => Math.abs((await box(event(page, "Two boats out"))).x - (await box(event(page, "Bell rung"))).x))
    .toBeLessThan(300);
  await page.keyboard.press("Control+z");
  await expect(letter).toBeVisible();
  await stand(cell(page, "when", "The night"));
  await page.getByTestId("ledger").getByRole("button", { name: "More about The night" }).click();
  await page.getByRole("menuitem", { name: "Open the event sheet" }).click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await sheet.getByLabel("Close-up of its 3 parts").selectOption("closed");
  await expect(closeUp(page, /^Close-up A .* closed/)).toBeVisible();
  await sheet.getByLabel("Close-up of its 3 parts").selectOption("open");
  await expect(letter).toBeVisible();
  const narrow = (await box(event(page, "Last ferry"))).x;
  await page.keyboard.press("Escape");
  // The chart has taken the sheet's room.
  await expect.poll(async () => (await box(event(page, "Last ferry"))).x).toBeGreaterThan(narrow + 50);

  // Tapped in it, a new event is part of what it shows, dated by its ridge.
  const inside = await box(event(page, "Bell rung"));
  await page.mouse.click(inside.x - 120, inside.y + 30);
  const fresh = page.getByRole("complementary", { name: /^Event/ });
  await fresh.getByLabel("Title", { exact: true }).fill("Lamp lost");
  await expect(fresh.getByLabel("When", { exact: true })).toHaveValue(/1[45] Nov 1872/);
  await expect(fresh.getByLabel("Part of").locator("option:checked")).toContainText("The night");
  await expect(closeUp(page, /^Close-up A of The night, 4 parts/)).toBeVisible();
  await page.keyboard.press("Escape");
  await saved(page);

  // As a reader sees it: after their whole, indented; the close-up closes for this reader only.
  await page.goto(`${page.url().split(/[?#]/)[0]}/reader#chart`);
  const titles = page.locator("ol.events h2");
  await expect(titles).toHaveText([
    "Rope ferry",
    "Timber bridge",
    "The night",
    "Lamp lost",
    "Bell rung",
    "East quay under water",
    "Two boats out",
    "Last ferry",
  ]);
  await expect(page.locator("ol.events li.part h2")).toHaveText([
    "Lamp lost",
    "Bell rung",
    "East quay under water",
    "Two boats out",
  ]);
  const live = page.locator(".chart-live");
  await expect(live.getByRole("button", { name: /^Close-up A .* open/ })).toBeVisible();
  await live.getByRole("button", { name: /^Close-up A/ }).click();
  await expect(live.getByRole("button", { name: /^Close-up A .* closed/ })).toBeVisible();
});

test("a label is dragged to the ridge's other side and stays; put back by key, from the sheet, and all at once", async ({
  browser,
}) => {
  const { page } = await started(
    browser,
    LINES.slice(0, 2).concat("1797 The Ambrel Post #town", "27 Sep 1931 Last ferry #crossing"),
  );
  const post = event(page, "The Ambrel Post");
  const start = await box(post);
  const from = await middle(post);
  await drag(page, from, { x: from.x + 60, y: from.y - 190 });
  await expect(page.locator(".chart-ghost")).toContainText("The Ambrel Post");
  // Given up with Escape, nothing has happened.
  await page.keyboard.press("Escape");
  await page.mouse.up();
  expect(await box(post)).toEqual(start);
  await drag(page, from, { x: from.x + 60, y: from.y + 24 });
  await page.mouse.up();
  await expect.poll(async () => Math.round((await box(post)).y - start.y)).toBe(24);
  const dropped = await box(post);
  expect(Math.round(dropped.x - start.x)).toBeGreaterThanOrEqual(55);
  await saved(page);
  await page.reload();
  await expect.poll(async () => (await box(post)).y).toBe(dropped.y);
  // Over the ridge.
  const at = await middle(post);
  const ferry = await box(event(page, "Rope ferry"));
  await drag(page, at, { x: at.x, y: ferry.y - 150 });
  await page.mouse.up();
  await expect.poll(async () => (await box(post)).y - (await box(event(page, "Timber bridge"))).y).toBeLessThan(40);
  // One undo each.
  await page.keyboard.press("Control+z");
  await expect.poll(async () => (await box(post)).y).toBe(dropped.y);

  // By keys, said aloud; and put back.
  await post.focus();
  await page.keyboard.press("Alt+ArrowDown");
  await page.keyboard.press("Alt+ArrowRight");
  await expect.poll(async () => Math.round((await box(post)).y - dropped.y)).toBe(8);
  await expect(page.locator(".chart-said")).toContainText("below the ridge");
  await expect(post).toBeFocused();
  await page.keyboard.press("Alt+Backspace");
  await expect.poll(async () => box(post)).toEqual(start);

  // From the sheet, and all at once.
  for (const [name, by] of [
    ["The Ambrel Post", 70],
    ["Last ferry", 110],
  ] as const) {
    const m = await middle(event(page, name));
    await drag(page, m, { x: m.x - 40, y: m.y + by });
    await page.mouse.up();
  }
  await expect.poll(async () => Math.round((await box(post)).y - start.y)).toBeGreaterThan(60);
  await post.click();
  await page.getByRole("button", { name: "Put the label back" }).click();
  await page.keyboard.press("Escape");
  await expect.poll(async () => box(post)).toEqual(start);
  await page.keyboard.press("Control+z");
  await page.getByRole("button", { name: "About", exact: true }).click();
  await expect(page.getByText("2 labels")).toBeVisible();
  await page.getByRole("button", { name: "Put all labels back" }).click();
  await expect(page.getByRole("button", { name: "Put all labels back" })).toHaveCount(0);
  await page.getByRole("button", { name: "Close", exact: true }).click();
  await expect.poll(async () => box(post)).toEqual(start);
});

test("two labels put on each other are kept and pointed out", async ({ browser }) => {
  const { page } = await started(browser, [
    "1604 Rope ferry",
    "1700 Toll house",
    "1797 The Ambrel Post",
    "1931 Last ferry",
  ]);
  const target = { x: 700, y: (await box(chart(page))).y + 300 };
  for (const name of ["Toll house", "The Ambrel Post"]) {
    await drag(page, await middle(event(page, name)), target);
    await page.mouse.up();
  }
  const said = page.getByText(/The labels of .* and .*, placed by hand, lie on each other. Both are kept./);
  await expect(said).toBeVisible();
  await expect(event(page, "Toll house")).toBeVisible();
  await expect(event(page, "The Ambrel Post")).toBeVisible();
  await page.getByRole("button", { name: /^Put “.*” back$/ }).click();
  await expect(said).toHaveCount(0);
});

test("a moment and a span's end are dragged along the ridge, an undated one in the order; by keys too", async ({
  browser,
}) => {
  const { page } = await started(browser, [
    "1604 Rope ferry",
    "1744 - 1783 Timber bridge",
    "about 1797 The Ambrel Post",
    "1931 Last ferry",
  ]);
  const box0 = await box(chart(page));
  // The bob hangs at the ridge over its label's line: found by where the label's moment is.
  const bridge = await box(event(page, "Timber bridge"));
  const ridge = bridge.y + bridge.height + 8;
  await page.mouse.move(bridge.x + 2, bridge.y + bridge.height / 2);
  await page.mouse.down();
  await page.mouse.move(bridge.x - 60, bridge.y + bridge.height / 2, { steps: 5 });
  await expect(page.locator(".chart-ghost")).toContainText(/17[0-3]\d – 1783/);
  await page.mouse.up();
  await expect(cell(page, "when", "Timber bridge")).toHaveText(/^17[0-3]\d – 1783$/);
  await page.keyboard.press("Control+z");
  await expect(cell(page, "when", "Timber bridge")).toHaveText("1744 – 1783");

  await event(page, "The Ambrel Post").focus();
  await page.keyboard.press("Alt+Shift+ArrowLeft");
  await expect(cell(page, "when", "The Ambrel Post")).toHaveText(/^about 179\d$/);
  await expect(page.locator(".chart-said")).toContainText(/about 179\d/);
  await event(page, "Timber bridge").focus();
  await page.keyboard.press("Alt+Shift+ArrowUp");
  await expect(cell(page, "when", "Timber bridge")).toHaveText(/^1744 – 178[4-9]$/);

  // Without dates, in the order: dragged by the bob, and by keys.
  await page.getByRole("combobox", { name: "Scale" }).selectOption("even");
  await writeLines(page, ["Choose the play", "Build the set"]);
  await expect(event(page, "Build the set")).toBeVisible();
  await event(page, "Build the set").focus();
  await page.keyboard.press("Alt+Shift+ArrowLeft");
  await expect(chartButton(page, /Build the set, event 5 of 6/)).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(chartButton(page, /Build the set, event 6 of 6/)).toBeVisible();
  const step = (box0.width - 76) / 6;
  const y =
    (await page.evaluate(
      () =>
        (document.querySelector("[data-testid=chart]") as HTMLElement & { stage: { ridgeFoot: number } }).stage
          .ridgeFoot,
    )) + box0.y;
  await drag(page, { x: 38 + step * 5.5, y: y + 7 }, { x: 38 + step * 1.2, y: y + 7 });
  await expect(page.locator(".chart-ghost")).toContainText(/after “Rope ferry”/);
  await page.mouse.up();
  await expect(chartButton(page, /Build the set, event 2 of 6/)).toBeVisible();
  expect(ridge).toBeGreaterThan(box0.y);
});

test("by touch: a selected label follows the finger, any other lets the view move", async ({ browser }) => {
  const { page, address } = await started(browser, ["1604 Rope ferry", "1700 Toll house", "1931 Last ferry"]);
  const touch = await browser.newContext({
    storageState: await page.context().storageState(),
    hasTouch: true,
    viewport: { width: 1_024, height: 768 },
    reducedMotion: "reduce",
  });
  const tablet = await touch.newPage();
  await tablet.goto(address);
  const toll = event(tablet, "Toll house");
  await expect(toll).toBeVisible();
  const client = await touch.newCDPSession(tablet);
  const swipe = async (from: { x: number; y: number }, to: { x: number; y: number }) => {
    await client.send("Input.dispatchTouchEvent", { type: "touchStart", touchPoints: [from] });
    for (let k = 1; k <= 6; k++)
      await client.send("Input.dispatchTouchEvent", {
        type: "touchMove",
        touchPoints: [{ x: from.x + ((to.x - from.x) * k) / 6, y: from.y + ((to.y - from.y) * k) / 6 }],
      });
    await client.send("Input.dispatchTouchEvent", { type: "touchEnd", touchPoints: [] });
  };
  const start = await box(toll);
  const m = await middle(toll);
  await swipe(m, { x: m.x + 90, y: m.y });
  await expect(tablet.locator(".chart-ghost")).toBeHidden();
  expect(await box(toll)).toEqual(start);
  await stand(cell(tablet, "when", "Toll house"));
  await expect(toll).toHaveAttribute("aria-current", "true");
  await swipe(m, { x: m.x + 90, y: m.y + 60 });
  await expect.poll(async () => Math.round((await box(toll)).y - start.y)).toBe(60);
});

test("two browsers drag at once: each sees the other's, and nothing is lost", async ({ browser }) => {
  const { page, address } = await started(browser, [
    "1604 Rope ferry",
    "1700 Toll house",
    "1797 The Ambrel Post",
    "1931 Last ferry",
  ]);
  const obi = await invited(browser, page, address);
  await expect(event(obi.page, "Toll house")).toBeVisible();
  const hold = async (p: Page, name: string, dx: number, dy: number) => {
    const m = await middle(event(p, name));
    await drag(p, m, { x: m.x + dx, y: m.y + dy });
  };
  const before = { toll: await box(event(page, "Toll house")), post: await box(event(page, "The Ambrel Post")) };
  // Both hold a label before either lets go.
  await hold(page, "Toll house", 30, 60);
  await hold(obi.page, "The Ambrel Post", 40, 150);
  await page.mouse.up();
  await expect.poll(async () => Math.round((await box(event(obi.page, "Toll house"))).y - before.toll.y)).toBe(60);
  await obi.page.mouse.up();
  for (const p of [page, obi.page]) {
    await expect.poll(async () => Math.round((await box(event(p, "The Ambrel Post"))).y - before.post.y)).toBe(150);
    await expect.poll(async () => Math.round((await box(event(p, "Toll house"))).y - before.toll.y)).toBe(60);
  }
  // Each undoes their own.
  await obi.page.keyboard.press("Control+z");
  for (const p of [page, obi.page]) {
    await expect.poll(async () => box(event(p, "The Ambrel Post"))).toEqual(before.post);
    await expect.poll(async () => Math.round((await box(event(p, "Toll house"))).y - before.toll.y)).toBe(60);
  }
});

test("rows by category are ordered by dragging their names and by keys, and come back as they were", async ({
  browser,
}) => {
  const { page } = await started(browser);
  await page.getByRole("button", { name: "Rows by category" }).click();
  const name = (n: string) => chart(page).getByRole("button", { name: new RegExp(`^${n}, \\d+ events?, open`) });
  const order = async () => {
    const all = await Promise.all(["Crossing", "Weather", "Town"].map(async (n) => ({ n, y: (await box(name(n))).y })));
    return all
      .sort((a, b) => a.y - b.y)
      .map((r) => r.n)
      .join(" ");
  };
  await expect.poll(order).toBe("Crossing Weather Town");
  const town = await middle(name("Town"));
  await drag(page, { x: 60, y: town.y }, { x: 80, y: (await box(name("Crossing"))).y + 4 });
  await page.mouse.up();
  await expect.poll(order).toBe("Town Crossing Weather");
  await name("Weather").focus();
  await page.keyboard.press("Alt+ArrowUp");
  await expect.poll(order).toBe("Town Weather Crossing");
  await saved(page);
  await page.reload();
  await expect(page.getByRole("button", { name: "Rows by category" })).toHaveAttribute("aria-pressed", "true");
  await expect.poll(order).toBe("Town Weather Crossing");
});

test("on the board: tapped to add, dragged to move, large; nothing needs a hover or a second click", async ({
  browser,
}) => {
  const { page } = await started(browser, ["1604 Rope ferry", "1744 - 1783 Timber bridge", "1931 Last ferry"]);
  await page.getByRole("button", { name: "Board", exact: true }).click();
  await expect(page.getByRole("button", { name: "Leave the board" })).toBeVisible();
  await expect(event(page, "Rope ferry")).toBeVisible();
  for (const b of await page.getByRole("button").all()) {
    const r = await b.boundingBox();
    if (r && (await b.isVisible()))
      expect([await b.getAttribute("aria-label"), Math.round(r.height) >= 55, Math.round(r.width) >= 55]).toEqual([
        await b.getAttribute("aria-label"),
        true,
        true,
      ]);
  }
  const c = await box(chart(page));
  await page.mouse.click(c.x + c.width * 0.7, c.y + c.height - 120);
  const chosen = page.getByRole("region", { name: "Chosen event" });
  await expect(chosen.getByLabel("Title")).toBeFocused();
  await page.keyboard.type("Viaduct");
  await expect(chosen.getByLabel("When")).toHaveValue(/18\d\d/);
  const when = await chosen.getByLabel("When").inputValue();
  await page.getByRole("button", { name: "Done" }).click();
  await expect(event(page, "Viaduct")).toBeVisible();
  // Its label dragged along: another date, as exact as before.
  const m = await middle(event(page, "Viaduct"));
  await drag(page, m, { x: m.x - 200, y: m.y });
  await expect(page.locator(".chart-ghost")).toContainText(/17\d\d|18\d\d/);
  await page.mouse.up();
  await event(page, "Viaduct").click();
  await expect(chosen.getByLabel("When")).not.toHaveValue(when);
  await chosen.getByLabel("When").fill("1889");
  await page.keyboard.press("Enter");
  await expect(chartButton(page, /^1889, Viaduct/)).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(chartButton(page, /^1889, Viaduct/)).toHaveCount(0);
  await page.getByRole("button", { name: "Delete" }).click();
  await expect(event(page, "Viaduct")).toHaveCount(0);
  await page.getByRole("button", { name: "Leave the board" }).click();
  await expect(page.getByTestId("ledger")).toBeVisible();
});

test("a label is made louder and quieter in the sheet; words under titles and what of a picture is seen are the author's", async ({
  browser,
}) => {
  const { page } = await started(browser, LINES.slice(0, 2).concat(LINES.slice(6)));
  await event(page, "Last ferry").click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  const high = async () => (await box(event(page, "Last ferry"))).height;
  const usual = await high();
  await sheet.getByRole("radio", { name: "louder" }).check();
  await expect.poll(high).toBeGreaterThan(usual);
  await sheet.getByRole("radio", { name: "quieter" }).check();
  await expect.poll(high).toBeLessThan(usual);
  await sheet.getByRole("radio", { name: "as usual" }).check();
  await expect.poll(high).toBe(usual);

  // Its first words stand under its title.
  await sheet.getByLabel("Description", { exact: true }).click();
  await page.keyboard.type("Ada Tolley took the last fare at dusk.");
  await expect.poll(high).toBeGreaterThan(usual);
  await saved(page);
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "About", exact: true }).click();
  const about = page.getByRole("complementary", { name: /About/ });
  await about.getByLabel("Words under titles").selectOption("none");
  await expect.poll(high).toBeLessThanOrEqual(usual);
  await page.keyboard.press("Escape");

  await event(page, "Last ferry").click();
  const buffer = await sharp({ create: { width: 640, height: 400, channels: 3, background: "#1F5FA8" } })
    .png()
    .toBuffer();
  await sheet.locator("input[type=file]").first().setInputFiles({ name: "x.png", mimeType: "image/png", buffer });
  await sheet.getByRole("button", { name: "What is seen where it is cropped" }).click();
  const picture = await box(sheet.getByTestId("focus"));
  await sheet.getByTestId("focus").click({ position: { x: picture.width / 4, y: picture.height / 2 } });
  const across = sheet.getByLabel("From left to right, percent");
  await expect(across).toHaveValue("25");
  await across.focus();
  await page.keyboard.press("ArrowLeft");
  await expect(across).toHaveValue("20");
  await saved(page);
  await page.reload();
  await event(page, "Last ferry").click();
  // A picture that comes late moves nothing under it.
  let come = () => {};
  const late = new Promise<void>((resolve) => {
    come = resolve;
  });
  await page.route(/\/medium$/, async (route) => {
    await late;
    await route.continue();
  });
  await sheet.getByRole("button", { name: "What is seen where it is cropped" }).click();
  await expect(across).toHaveValue("20");
  const height = async () => (await box(sheet.getByTestId("focus"))).height;
  const before = await height();
  expect(before).toBeGreaterThan(100);
  come();
  await expect
    .poll(() =>
      sheet
        .getByTestId("focus")
        .locator("img")
        .evaluate((img: HTMLImageElement) => img.naturalWidth),
    )
    .toBeGreaterThan(0);
  expect(await height()).toBe(before);
  await sheet.getByRole("button", { name: "The middle", exact: true }).click();
  await expect(across).toHaveValue("50");
  await saved(page);
  // Home shows it in small, with its picture.
  await page.goto("/");
  const shown = page.locator("svg image");
  await expect(shown).toHaveCount(1);
  expect((await page.request.get((await shown.getAttribute("href"))!)).status()).toBe(200);
});

test("where a close-up leaves too little room for pictures its parts are gathered; its letter, keys and choosing one open it for oneself", async ({
  browser,
}) => {
  const { page } = await started(browser);
  await partsOf(page, "The night", ["Bell rung", "East quay under water", "Two boats out"]);
  const open = closeUp(page, /^Close-up A of The night, 3 parts, open/);
  const closed = closeUp(page, /^Close-up A of The night, 3 parts, closed/);
  await expect(open).toBeVisible();
  await event(page, "Last ferry").click();
  const buffer = await sharp({ create: { width: 640, height: 400, channels: 3, background: "#1F5FA8" } })
    .png()
    .toBuffer();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await sheet.locator("input[type=file]").first().setInputFiles({ name: "x.png", mimeType: "image/png", buffer });
  await expect(closed).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(event(page, "Bell rung")).toHaveCount(0);
  await expect(event(page, "Last ferry")).toBeVisible();
  await closed.click();
  await expect(event(page, "Bell rung")).toBeVisible();
  await expect(open).toBeVisible();
  await open.click();
  await expect(closed).toBeVisible();
  await expect(event(page, "Bell rung")).toHaveCount(0);
  // Walked to by keys it opens too.
  await event(page, "The night").focus();
  await page.keyboard.press("ArrowRight");
  await expect(event(page, "Bell rung")).toBeFocused();
  await expect(open).toBeVisible();
  // All that was for oneself: nothing was altered.
  await stand(cell(page, "when", "The night"));
  await page.getByTestId("ledger").getByRole("button", { name: "More about The night" }).click();
  await page.getByRole("menuitem", { name: "Open the event sheet" }).click();
  await expect(page.getByLabel("Close-up of its 3 parts")).toHaveValue("");
});
