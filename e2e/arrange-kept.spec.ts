import { type Browser, expect, type Locator, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { cell, writeCell } from "./harness/ledger";
import {
  allHere,
  chartButton,
  invited,
  newPerson,
  newTimeline,
  type Person,
  saved,
  writeLines,
} from "./harness/people";

const LINES = [
  "1604 Rope ferry #crossing",
  "14 Nov 1872 16:00 - 15 Nov 1872 06:00 The night #weather",
  "14 Nov 1872 19:30 Bell rung #town",
  "14 Nov 1872 22:00 - 15 Nov 1872 01:00 The fall #crossing",
  "14 Nov 1872 22:10 First arch #crossing",
  "14 Nov 1872 23:40 Second arch #crossing",
  "27 Sep 1931 Last ferry #crossing",
];

const event = (page: Page, name: string) => chartButton(page, new RegExp(`, ${name}, event`));
const part = (page: Page, name: string) => cell(page, "partOf", name);
const box = async (l: Locator) => (await l.boundingBox())!;
const middle = async (l: Locator) => {
  const b = await box(l);
  return { x: b.x + b.width / 2, y: b.y + b.height / 2 };
};

async function makePart(page: Page, name: string, whole: string): Promise<void> {
  await writeCell(part(page, name), whole);
}

async function started(browser: Browser, lines = LINES): Promise<{ nia: Person; address: string }> {
  const nia = await newPerson(browser, "Nia");
  const address = await newTimeline(nia.page, "How the Ambrel was crossed");
  await writeLines(nia.page, lines);
  await nia.page.getByRole("combobox", { name: "Scale" }).selectOption("true");
  await saved(nia.page);
  return { nia, address };
}

test("two people make each event part of the other at once: the later counts as unset, both are told, either can mend it", async ({
  browser,
}) => {
  const { nia, address } = await started(browser, ["1800 - 1850 Mill", "1800 - 1850 Race", "1900 Last wheel"]);
  const obi = await invited(browser, nia.page, address);
  // Obi's change waits in his browser until Nia's has been taken.
  await allHere(obi.page);
  await obi.context.setOffline(true);
  await makePart(obi.page, "Mill", "Race");
  await expect(part(obi.page, "Mill")).toHaveText("Race");
  await makePart(nia.page, "Race", "Mill");
  await saved(nia.page);
  await obi.context.setOffline(false);
  await saved(obi.page);
  for (const { page } of [nia, obi]) {
    await expect(part(page, "Race")).toHaveText("Mill");
    await expect(part(page, "Mill")).toHaveText("");
    await page.getByRole("button", { name: "About", exact: true }).click();
    const findings = page.getByRole("region", { name: "Findings" });
    await expect(findings.getByText(/It was made part of “Race” while that was made part of it/)).toBeVisible();
  }
  await nia.page.getByRole("region", { name: "Findings" }).getByRole("button", { name: "Mill" }).click();
  await nia.page.getByRole("button", { name: "Leave it so" }).click();
  await expect(nia.page.getByText(/counts as part of nothing/)).toHaveCount(0);
  await expect(obi.page.getByRole("region", { name: "Findings" })).toHaveCount(0);
});

test("what was arranged is published as it was, and later changes wait for the next version", async ({ browser }) => {
  const { nia } = await started(browser);
  const { page } = nia;
  for (const name of ["Bell rung", "The fall"]) await makePart(page, name, "The night");
  await expect(chartButton(page, /^Close-up A of The night, 2 parts, open/)).toBeVisible();
  // A label in the close-up, and one below the main ridge, are placed by hand.
  for (const [name, dx, dy] of [
    ["Bell rung", 120, 20],
    ["Rope ferry", 60, 70],
  ] as const) {
    const m = await middle(event(page, name));
    await page.mouse.move(m.x, m.y);
    await page.mouse.down();
    await page.mouse.move(m.x + dx, m.y + dy, { steps: 5 });
    await page.mouse.up();
  }
  const place = async (p: Page, name: string, from: string) => {
    const [a, b] = [await box(event(p, name)), await box(chartButton(p, new RegExp(from)))];
    return [Math.round(a.x - b.x), Math.round(a.y - b.y)];
  };
  await expect.poll(async () => (await place(page, "Rope ferry", ", Last ferry, event"))[1]).toBe(70);
  await page.getByRole("button", { name: "Share" }).click();
  await page.getByLabel(/Anyone with the link/).check();
  await page.getByRole("button", { name: "Publish" }).click();
  const published = await page.getByLabel("Link to the published page").inputValue();
  await page.keyboard.press("Escape");
  // Afterwards it is put back; the published page keeps what it had.
  await event(page, "Rope ferry").focus();
  await page.keyboard.press("Alt+Backspace");
  await expect.poll(async () => (await place(page, "Rope ferry", ", Last ferry, event"))[1]).toBe(0);
  await saved(page);
  const reader = await (
    await browser.newContext({ viewport: { width: 1280, height: 900 }, reducedMotion: "reduce" })
  ).newPage();
  await reader.goto(`${published}#chart`);
  const live = reader.locator(".chart-live");
  await expect(live.getByRole("button", { name: /^Close-up A of The night, 2 parts, open/ })).toBeVisible();
  // The other rows hang as low as this frame has room for; what was placed by hand hangs as far from the ridge as it did.
  await expect.poll(async () => (await place(reader, "Rope ferry", ", Last ferry, event"))[1]).not.toBe(0);
  // A reader moves nothing.
  const before = await box(event(reader, "Rope ferry"));
  const m = await middle(event(reader, "Rope ferry"));
  await reader.mouse.move(m.x, m.y);
  await reader.mouse.down();
  await reader.mouse.move(m.x + 90, m.y + 40, { steps: 5 });
  await reader.mouse.up();
  expect(await box(event(reader, "Rope ferry"))).toEqual(before);
  // Without a script the same is drawn.
  const still = await (await browser.newContext({ javaScriptEnabled: false })).newPage();
  await still.goto(`${published}#chart`);
  await expect(still.locator(".chart svg:visible").getByText("The night").first()).toBeVisible();
});

test("a close-up within a close-up is opened in it, stands over it, and is walked through; on a phone all stand upright", async ({
  browser,
}) => {
  const { nia, address } = await started(browser);
  const { page } = nia;
  for (const name of ["Bell rung", "The fall"]) await makePart(page, name, "The night");
  for (const name of ["First arch", "Second arch"]) await makePart(page, name, "The fall");
  const inner = chartButton(page, /^Close-up B of The fall, 2 parts, closed/);
  await inner.click();
  await expect(chartButton(page, /^Close-up B of The fall, 2 parts, open/)).toBeVisible();
  const y = async (p: Page, name: string) => (await box(event(p, name))).y;
  expect(await y(page, "First arch")).toBeLessThan(await y(page, "Bell rung"));
  expect(await y(page, "Bell rung")).toBeLessThan(await y(page, "Rope ferry"));
  await event(page, "Bell rung").focus();
  for (const next of ["The fall", "First arch", "Second arch", "Last ferry"]) {
    await page.keyboard.press("ArrowRight");
    await expect(event(page, next)).toBeFocused();
  }
  await saved(page);

  const phone = await browser.newContext({
    storageState: await nia.context.storageState(),
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    reducedMotion: "reduce",
  });
  const small = await phone.newPage();
  await small.goto(address);
  await expect(chartButton(small, /^Close-up B of The fall, 2 parts, open/)).toBeVisible();
  expect(await y(small, "First arch")).toBeLessThan(await y(small, "Second arch"));
  expect(await y(small, "Second arch")).toBeLessThan(await y(small, "Bell rung"));
  expect(await y(small, "Bell rung")).toBeLessThan(await y(small, "Rope ferry"));
  await event(small, "Last ferry").scrollIntoViewIfNeeded();
  await expect(event(small, "Last ferry")).toBeInViewport();
  await chartButton(small, /^Close-up B/).scrollIntoViewIfNeeded();
  await chartButton(small, /^Close-up B/).tap();
  await expect(chartButton(small, /^Close-up B of The fall, 2 parts, closed/)).toBeVisible();
});

test("how much is done, how long spans last and today are shown when wanted, and told in the history", async ({
  browser,
}) => {
  const { nia } = await started(browser, ["1 Sep 2026 - 9 Oct 2026 Gather sources", "14 Dec 2026 Hand in"]);
  const { page } = nia;
  await event(page, "Gather sources").click();
  await page.getByRole("button", { name: "Say how much of it is done" }).click();
  await page.getByLabel("Done", { exact: true }).fill("60");
  await page.keyboard.press("Tab");
  await expect(chartButton(page, /Gather sources, 60 percent done, event 1 of 2/)).toBeVisible();
  await page.getByLabel("Done", { exact: true }).fill("140");
  await expect(chartButton(page, /Gather sources, 100 percent done/)).toBeVisible();
  await page.getByLabel("Done", { exact: true }).fill("");
  await expect(chartButton(page, /, Gather sources, event 1 of 2/)).toBeVisible();
  await page.getByRole("button", { name: "About", exact: true }).click();
  await page.getByLabel("Say how long spans last").check();
  await page.getByLabel("Today as a line").check();
  await saved(page);
  await page.reload();
  await page.getByRole("button", { name: "About", exact: true }).click();
  await expect(page.getByLabel("Say how long spans last")).toBeChecked();
  await expect(page.getByLabel("Today as a line")).toBeChecked();
  await page.getByRole("button", { name: "History" }).click();
  const history = page.getByRole("complementary", { name: "History" });
  await history.getByRole("button", { name: "Single steps" }).click();
  await expect(history.getByText("set the timeline's how long spans last from no to yes")).toBeVisible();
  await expect(history.getByText(/set percent done of “Gather sources” from/).first()).toBeVisible();
});
