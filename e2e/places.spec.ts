import { type Browser, expect } from "@playwright/test";
import { test } from "./harness/test";
import sharp from "sharp";
import { openSheet, row } from "./harness/ledger";
import { saved, startedWith, visitor } from "./harness/people";

const started = (browser: Browser, lines: string[]) => startedWith(browser, "A journey", lines);

test("a place is found by an old name, set on the map, written as coordinates; what cannot be on the earth is said", async ({
  browser,
}) => {
  const { page } = await started(browser, ["1453 The city falls", "1492 At sea", "1519 Landing"]);
  const sheet = await openSheet(page, "The city falls");
  const place = sheet.getByRole("combobox", { name: "Place" });
  await place.fill("Constantin");
  const list = sheet.getByRole("listbox", { name: /suggestion/ });
  const first = list.getByRole("option").first();
  await expect(first).toHaveText("ConstantinopleIstanbul, Türkiye");
  await place.press("ArrowDown");
  await place.press("Enter");
  await expect(place).toHaveValue("Constantinople");
  await expect(sheet.getByText("41.014, 28.95")).toBeVisible();
  await expect(sheet.getByRole("img", { name: "On the map: Constantinople" })).toBeVisible();
  await saved(page);

  // What nobody knows stays as it is written, and is set on the map.
  await openSheet(page, "At sea");
  await place.fill("Somewhere west of the Azores");
  await expect(list).toHaveCount(0);
  await sheet.getByRole("button", { name: "Set it on the map" }).click();
  const dialog = page.getByRole("dialog", { name: "Where it happened" });
  const coordinates = dialog.getByLabel("Coordinates");
  for (const [text, sentence] of [
    ["95, 10", "a latitude reaches from 90 degrees south to 90 north"],
    ["10, 200", "a longitude reaches from 180 degrees west"],
    ["the Azores", "“the Azores” are no coordinates"],
  ] as const) {
    await coordinates.fill(text);
    await dialog.getByRole("button", { name: "Take this place" }).click();
    await expect(dialog.getByRole("alert")).toContainText(sentence);
  }
  const map = dialog.getByTestId("map");
  await expect(map).toHaveAttribute("data-marks", "0");
  const box = (await map.boundingBox())!;
  await page.mouse.click(box.x + box.width * 0.4, box.y + box.height * 0.4);
  await expect(coordinates).toHaveValue(/^-?\d+(\.\d+)?, -?\d+(\.\d+)?$/);
  await dialog.getByRole("button", { name: "Take this place" }).click();
  await expect(place).toHaveValue("Somewhere west of the Azores");
  // Of an address the town is offered, and the address stays; a place without a name is offered the nearest town's.
  await place.fill("12 Mill Lane, Bristol");
  await list.getByRole("option", { name: /^Bristol ?United Kingdom.*your words stay/ }).click();
  await expect(place).toHaveValue("12 Mill Lane, Bristol");
  await expect(sheet.getByText("51.455, -2.597")).toBeVisible();
  await place.fill("");
  await sheet.getByRole("button", { name: "Call it Bristol" }).click();
  await expect(place).toHaveValue("Bristol");
  await expect(sheet.getByRole("button", { name: "Move it on the map" })).toBeVisible();
  await saved(page);

  // A place of this timeline is the same place again.
  await openSheet(page, "Landing");
  await place.fill("Constant");
  await expect(first).toHaveText("ConstantinopleOn the map");
  await first.click();
  await expect(sheet.getByText("41.014, 28.95")).toBeVisible();
  await saved(page);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(sheet.getByRole("button", { name: "Set it on the map" })).toBeVisible();
});

test("the map shows what was when, follows what is chosen and is all in a list, by keyboard too", async ({
  browser,
}) => {
  const { page } = await started(browser, [
    "1453 Fall",
    "1492 Departure",
    "1519 Landing",
    "1522 Return",
    "1600 At home",
  ]);
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  for (const [title, name, option] of [
    ["Fall", "Istanbul", /^Istanbul/],
    ["Departure", "Seville", /^Seville/],
    ["Landing", "Tenochtitlan", /^Tenochtitlan/],
    ["Return", "Seville", /^Seville/],
  ] as const) {
    await openSheet(page, title);
    await sheet.getByRole("combobox", { name: "Place" }).fill(name);
    await sheet
      .getByRole("listbox", { name: /suggestion/ })
      .getByRole("option", { name: option })
      .first()
      .click();
    await saved(page);
  }
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Map", exact: true }).click();
  const panel = page.getByRole("complementary", { name: "Map" });
  await expect(panel).toContainText("4 events on the map: 1453 – 1522");
  await expect(panel).toContainText("1 event has no place on the map.");
  await expect(panel.getByTestId("map")).toHaveAttribute("data-marks", "4");
  const list = panel.getByRole("listitem");
  await expect(list).toHaveCount(4);

  // The window's end, by keys: what came later is gone from map and list.
  await panel.getByRole("slider", { name: "To" }).focus();
  await page.keyboard.press("ArrowLeft");
  await expect(panel.getByRole("status")).toHaveText("3 of 4 events on the map: 1453 – 1519");
  await expect(panel.getByTestId("map")).toHaveAttribute("data-marks", "3");
  await page.keyboard.press("End");
  await expect(list).toHaveCount(4);

  // From the list to the chart and the ledger.
  await list.getByRole("button", { name: /Landing/ }).press("Enter");
  await expect(row(page, "Landing")).toHaveAttribute("aria-selected", "true");
  await expect(list.getByRole("button", { name: /Landing/ })).toHaveAttribute("aria-current", "true");

  // Two that stand in one place share a mark, which opens.
  await panel.getByRole("button", { name: "Show all" }).click();
  const at = await panel.getByTestId("map").evaluate((host) => {
    const { map } = host as HTMLElement & {
      map: { placeOf(p: { lat: number; lon: number }): { x: number; y: number } };
    };
    return map.placeOf({ lat: 37.382, lon: -5.973 });
  });
  const box = (await panel.getByTestId("map").boundingBox())!;
  await page.mouse.click(box.x + at.x, box.y + at.y);
  await expect(panel).toContainText("2 events here");
  await expect(list).toHaveCount(2);
  await expect(list.first()).toContainText("Departure");
  await panel.getByRole("button", { name: "All of it" }).first().click();
  await expect(list).toHaveCount(4);

  // It plays from the first on.
  await panel.getByRole("button", { name: "Play" }).click();
  await expect(panel.getByRole("status")).toHaveText("1 of 4 events on the map: 1453");
  await expect(panel.getByRole("status")).toHaveText("4 events on the map: 1453 – 1522");
  await expect(panel.getByRole("button", { name: "Play" })).toBeVisible();
});

test("readers have the map too: a list without a script, a map over it with one, and each place leads to its event", async ({
  browser,
}) => {
  const { page } = await started(browser, ["1492 Departure", "1519 Landing", "1522 Return"]);
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  for (const [title, name] of [
    ["Departure", "Seville"],
    ["Landing", "Tenochtitlan"],
    ["Return", "Seville"],
  ] as const) {
    await openSheet(page, title);
    await sheet.getByRole("combobox", { name: "Place" }).fill(name);
    await sheet
      .getByRole("listbox", { name: /suggestion/ })
      .getByRole("option", { name: new RegExp(`^${name}`) })
      .first()
      .click();
    await saved(page);
  }
  await page.getByRole("button", { name: "Share" }).click();
  await page.getByRole("radio", { name: /Anyone with the link/ }).check();
  await page.getByRole("button", { name: "Publish", exact: true }).click();
  const link = await page.getByLabel("Link to the published page").inputValue();

  const plain = await (await browser.newContext({ javaScriptEnabled: false })).newPage();
  await plain.goto(link);
  await expect(plain.getByRole("region", { name: "Map" }).getByRole("listitem")).toHaveCount(3);

  const reader = await visitor(browser);
  const faults: string[] = [];
  reader.on("console", (m) => m.type() === "error" && faults.push(m.text()));
  const asked: string[] = [];
  reader.on("request", (r) => asked.push(new URL(r.url()).host));
  await reader.goto(link);
  await reader.getByRole("link", { name: "Map", exact: true }).click();
  const region = reader.getByRole("region", { name: "Map" });
  await expect(region.locator(".earth")).toHaveAttribute("data-marks", "3");
  await expect(region.getByRole("status")).toHaveText("3 events on the map: 1492 – 1522");
  // By keys alone.
  await region.getByRole("slider", { name: "To" }).focus();
  await reader.keyboard.press("ArrowLeft");
  await expect(region.getByRole("status")).toHaveText("2 of 3 events on the map: 1492 – 1519");
  await expect(region.getByRole("listitem")).toHaveCount(2);
  await region.getByRole("button", { name: "All of it" }).press("Enter");
  await expect(region.getByRole("listitem")).toHaveCount(3);
  await region.getByRole("button", { name: "Play" }).press("Enter");
  await expect(region.getByRole("status")).toHaveText("1 of 3 events on the map: 1492");
  await expect(region.getByRole("status")).toHaveText("3 events on the map: 1492 – 1522");
  // Two in one place open as a list; one leads to where it is read.
  const press = async (lat: number, lon: number) => {
    const earth = region.locator(".earth");
    const at = await earth.evaluate(
      (host, p) =>
        (
          host as HTMLElement & { map: { placeOf(p: { lat: number; lon: number }): { x: number; y: number } } }
        ).map.placeOf(p),
      { lat, lon },
    );
    const box = (await earth.boundingBox())!;
    await reader.mouse.click(box.x + at.x, box.y + at.y);
  };
  await press(37.382, -5.973);
  await expect(region.getByRole("status")).toHaveText("2 events here");
  await expect(region.getByRole("listitem")).toHaveCount(2);
  await press(19.428, -99.128);
  await expect(reader).toHaveURL(/#r-/);
  await expect(reader.getByRole("heading", { name: "Landing" })).toBeInViewport();
  // Opened at the map, the page begins at its top.
  await reader.goto("about:blank");
  await reader.setViewportSize({ width: 390, height: 700 });
  await reader.goto(`${link}#map`);
  await expect(region.locator(".earth")).toHaveAttribute("data-marks", "3");
  expect(await reader.evaluate(() => window.scrollY)).toBe(0);
  expect(faults).toEqual([]);
  expect(new Set(asked)).toEqual(new Set([new URL(link).host]));
});

test("a picture is the map of the timeline: events set on it, tied to the world both maps show the same; published, by keyboard", async ({
  browser,
}) => {
  const { page } = await started(browser, ["1492 Departure", "1519 Landing", "1522 Return"]);
  await page.getByRole("button", { name: "Map", exact: true }).click();
  const panel = page.getByRole("complementary", { name: "Map" });
  await panel.getByLabel(/A picture as the timeline's map/).setInputFiles({
    name: "plan.png",
    mimeType: "image/png",
    buffer: await sharp({ create: { width: 800, height: 500, channels: 3, background: "#F3EAD3" } })
      .png()
      .toBuffer(),
  });
  const own = panel.getByRole("region", { name: "The timeline's map" });
  await own.getByLabel(/What it shows/).fill("A plan of the coast");
  await own.getByLabel("Credit").fill("The harbour office");
  await expect(panel).toContainText("No event stands on the timeline's map yet.");
  await saved(page);

  // One event is set on it by pressing, another by numbers.
  const spot = page.getByRole("dialog", { name: "Where on the timeline's map it happened" });
  let sheet = await openSheet(page, "Departure");
  await sheet.getByRole("button", { name: "Set it on the timeline's map" }).click();
  const box = (await spot.getByTestId("map").boundingBox())!;
  await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
  await expect(spot.getByLabel("Across the map, percent")).toHaveValue(/^(49|50|51)/);
  await spot.getByRole("button", { name: "Take this spot" }).click();
  await expect(sheet.getByRole("button", { name: "Take it off the timeline's map" })).toBeVisible();
  await saved(page);
  sheet = await openSheet(page, "Landing");
  await sheet.getByRole("button", { name: "Set it on the timeline's map" }).click();
  await spot.getByLabel("Across the map, percent").fill("20");
  await spot.getByLabel("Down the map, percent").fill("80");
  await spot.getByRole("button", { name: "Take this spot" }).click();
  await saved(page);
  // The third has a place on the earth alone.
  sheet = await openSheet(page, "Return");
  await sheet.getByRole("button", { name: "Set it on the map" }).click();
  const where = page.getByRole("dialog", { name: "Where it happened" });
  await where.getByLabel("Coordinates").fill("0, 10.25");
  await where.getByRole("button", { name: "Take this place" }).click();
  await saved(page);

  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Map", exact: true }).click();
  await expect(panel.getByTestId("map").first()).toHaveAttribute("data-marks", "2");
  await expect(panel).toContainText("1 event does not stand on the timeline's map.");
  // Tied by two points, all three stand on both.
  const tie = page.getByRole("dialog", { name: "A point of the map on the earth" });
  for (const [x, place] of [
    ["0", "nowhere at all"],
    ["0", "0, 10"],
    ["100", "0, 11"],
  ] as const) {
    if (!(await tie.isVisible())) await own.getByRole("button", { name: "Tie a point" }).click();
    await tie.getByLabel("Across the map, percent").fill(x);
    await tie.getByLabel("Down the map, percent").fill("50");
    await tie.getByLabel("Where on the earth it is").fill(place);
    await tie.getByRole("button", { name: "Tie it" }).click();
    if (place === "nowhere at all") await expect(tie).toContainText("No town of the name “nowhere at all”");
    else await expect(tie).toBeHidden();
  }
  await expect(own).toContainText("Tied by 2 points.");
  await expect(panel).toContainText("3 events on the map: 1492 – 1522");
  await panel.getByRole("radio", { name: "World" }).click();
  await expect(panel.getByRole("status").first()).toHaveText("3 events on the map: 1492 – 1522");
  await saved(page);

  // The window moves as a whole, by keys and by dragging.
  await panel.getByRole("slider", { name: "To" }).press("ArrowLeft");
  await panel.getByRole("slider", { name: "From" }).press("ArrowRight");
  await expect(panel.getByRole("status").first()).toHaveText("1 of 3 events on the map: 1519");
  await panel.getByRole("slider", { name: "From" }).press("Shift+ArrowRight");
  await expect(panel.getByRole("status").first()).toHaveText("1 of 3 events on the map: 1522");

  await page.getByRole("button", { name: "Share" }).click();
  await page.getByRole("radio", { name: /Anyone with the link/ }).check();
  await page.getByRole("button", { name: "Publish", exact: true }).click();
  const reader = await visitor(browser);
  await reader.goto(`${await page.getByLabel("Link to the published page").inputValue()}#map`);
  const region = reader.getByRole("region", { name: "Map" });
  const shown = region.locator(".earth:not([hidden])");
  await expect(shown).toHaveAttribute("data-marks", "3");
  await expect(shown).toHaveAttribute("aria-label", /^The timeline's map with 3 events/);
  await expect(region).toContainText("A plan of the coast");
  await region.getByRole("button", { name: "World" }).press("Enter");
  await expect(shown).toHaveAttribute("aria-label", /^A map of the world with 3 places/);
  await region.getByRole("button", { name: "The timeline's map" }).press("Enter");
  await region.getByRole("slider", { name: "To" }).press("ArrowLeft");
  await region.getByRole("slider", { name: "From" }).press("ArrowRight");
  await expect(region.getByRole("status")).toHaveText("1 of 3 events on the map: 1519");
  // The window on the ridge is dragged as a whole.
  await region.locator(".window").scrollIntoViewIfNeeded();
  const window = (await region.locator(".window").boundingBox())!;
  const y = window.y + window.height / 2;
  await reader.mouse.move(window.x + window.width / 2, y);
  await reader.mouse.down();
  await reader.mouse.move(window.x + window.width / 2 + 400, y, { steps: 4 });
  await reader.mouse.up();
  await expect(region.getByRole("status")).toHaveText("1 of 3 events on the map: 1522");
  await region.getByRole("link", { name: /Return/ }).press("Enter");
  await expect(reader.getByRole("heading", { name: "Return" })).toBeInViewport();
});
