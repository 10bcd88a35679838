import { type Browser, expect, test } from "@playwright/test";
import { openSheet, row } from "./harness/ledger";
import { saved, startedWith } from "./harness/people";

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

  const context = await browser.newContext({ reducedMotion: "reduce" });
  const reader = await context.newPage();
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
