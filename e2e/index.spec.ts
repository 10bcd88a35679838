import { expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { readWhen } from "../src/core/time/read/read-when";
import { newPerson, serverUrl, visitor } from "./harness/people";

const EVENTS: [when: string, title: string, category: string, tags: string[]][] = [
  ["1604", "Rope ferry", "a", ["boats"]],
  ["1631", "First toll", "b", []],
  ["1766", "Bridge school", "b", ["Town", "boats"]],
  ["1783", "Spring flood", "a", []],
  ["1841", "Steam mill", "b", ["town"]],
  ["1872", "Long night", "a", []],
];

/** A published timeline with categories, tags and descriptions; its link. */
async function published(page: Page): Promise<string> {
  const { id } = (await (
    await page.request.post("/api/timelines", { data: { title: "How the Ambrel was crossed", subject: "" } })
  ).json()) as { id: string };
  const ops = [
    { kind: "add_category", id: "a", fields: { name: "Crossing", place: "a0" } },
    { kind: "add_category", id: "b", fields: { name: "Trade", colour: "copper", pattern: "dots", place: "a1" } },
    ...EVENTS.map(([when, title, category, tags], i) => ({
      kind: "add_event",
      id: `e${i}`,
      fields: {
        title,
        when: readWhen(when),
        category,
        tags,
        place: i === 4 ? "Émile's yard" : "",
        point: i === 1 || i === 5 ? { lat: 51 + i, lon: i } : null,
      },
    })),
  ];
  const done = await page.request.post(`/api/timelines/${id}/changes`, { data: { id: "c1", base: 0, ops } });
  expect(done.status()).toBe(200);
  const put = await page.request.put(`/api/timelines/${id}/publication`, {
    data: { visibility: "link", fresh: true },
  });
  return `${serverUrl()}/t/${((await put.json()) as { publication: { address: string } }).publication.address}`;
}

const index = (page: Page) => page.getByRole("region", { name: "Index", exact: true });
const titles = (page: Page) => index(page).locator("li:visible summary span").allTextContents();

test("the index: searched while one types, grouped otherwise, every event opened in its place, by keys alone", async ({
  browser,
}) => {
  const nia = await newPerson(browser, "Nia");
  const link = await published(nia.page);
  const { page } = nia;
  await page.goto(`${link}#index`);
  await expect(index(page).getByRole("heading", { name: "Index: 6 events" })).toBeVisible();
  await expect(index(page).getByRole("heading", { level: 3 })).toHaveText([
    "17th century",
    "18th century",
    "19th century",
  ]);
  await index(page).getByLabel("Grouped by").selectOption({ label: "tag" });
  await expect(index(page).getByRole("heading", { level: 3 })).toHaveText(["boats", "Town", "No tag"]);
  expect(await titles(page)).toEqual([
    "Rope ferry",
    "Bridge school",
    "Bridge school",
    "Steam mill",
    "First toll",
    "Spring flood",
    "Long night",
  ]);
  await index(page).getByLabel("Grouped by").selectOption({ label: "category" });
  await expect(index(page).getByRole("heading", { level: 3 })).toHaveText(["Crossing", "Trade"]);
  // Accents and case do not matter; a place counts as well as a title.
  await index(page).getByRole("searchbox").fill("EMILE");
  await expect.poll(() => titles(page)).toEqual(["Steam mill"]);
  await expect(index(page).getByRole("status")).toHaveText("1 of 6 events");
  await index(page).getByRole("searchbox").fill("zzz");
  await expect(index(page).getByRole("status")).toHaveText("No event has these words, tag and categories.");
  await index(page).getByRole("button", { name: "Show all events" }).click();
  await expect(index(page).getByRole("searchbox")).toBeFocused();
  await expect.poll(() => titles(page)).toHaveLength(6);

  await expect(index(page).locator(".found")).toBeHidden();

  // By keys: to an event, opened in its place, and on to where it is read.
  const row = index(page).locator("li", { hasText: "Spring flood" });
  await row.locator("summary").focus();
  await page.keyboard.press("Enter");
  await expect(row.getByRole("link", { name: "On the chart" })).toBeVisible();
  await page.keyboard.press("Tab");
  await expect(row.getByRole("link", { name: "Read it" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/#r-e3$/);
  await expect(page.locator("#e-e3")).toBeInViewport();
});

test("the index stands beside chart and read, follows what is opened and leads there; one press and it is gone", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  const link = await published(page);
  await page.goto(`${link}#chart`);
  const views = page.getByRole("navigation", { name: "Views" });
  const chart = page.locator(".chart-live");
  await expect(chart.getByRole("button", { name: /^1604, Rope ferry/ })).toBeVisible();
  const wide = (await chart.boundingBox())!.width;
  await views.getByRole("link", { name: "Index" }).click();
  await expect(index(page)).toBeVisible();
  await expect(chart).toBeVisible();
  await expect.poll(async () => (await chart.boundingBox())!.width).toBeLessThan(wide - 300);
  await expect(page).toHaveURL(/\?beside=index#chart$/);
  // Opened on the chart, it is marked in the index; pressed there, it is opened on the chart.
  await chart.getByRole("button", { name: /^1766, Bridge school/ }).click();
  await expect(page.locator(".hung").getByRole("heading", { name: "Bridge school" })).toBeVisible();
  await expect(index(page).locator("summary[aria-current]")).toContainText("Bridge school");
  await index(page).locator("summary", { hasText: "Long night" }).click();
  await index(page).getByRole("link", { name: "On the chart" }).click();
  await expect(page.locator(".hung").getByRole("heading", { name: "Long night" })).toBeVisible();
  await expect(index(page).locator("summary[aria-current]")).toContainText("Long night");
  // It reads on beside the list too, and is kept by a link.
  await views.getByRole("link", { name: "Read", exact: true }).click();
  await expect(index(page)).toBeVisible();
  await expect(index(page).locator("summary[aria-current]")).toContainText("Long night");
  await page.reload();
  await expect(index(page)).toBeVisible();
  await views.getByRole("link", { name: "Index" }).click();
  await expect(index(page)).toBeHidden();
  await expect(page).not.toHaveURL(/beside/);
});

test("the chart is filtered by words, tag and key; the address leads others to what is left, and steps go through it", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  const link = await published(page);
  await page.goto(`${link}#chart`);
  const chart = page.locator(".chart-live");
  const events = () => chart.getByRole("button", { name: /^\d{4}, / });
  await expect(events()).toHaveCount(6);
  const fields = page.getByRole("search", { name: "Which events are shown" }).first();
  await fields.getByLabel("Tag").selectOption("boats");
  await expect(events()).toHaveCount(2);
  await expect(fields.getByRole("status")).toHaveText("2 of 6 events");
  await page.getByRole("button", { name: "Trade" }).click();
  await expect(events()).toHaveCount(1);
  await page.getByRole("button", { name: "Trade" }).click();
  await fields.getByLabel("Tag").selectOption("");
  await fields.getByRole("searchbox").fill("l");
  await page.getByRole("button", { name: "Crossing" }).click();
  await expect(events()).toHaveCount(3);
  await expect(page).toHaveURL(/\?words=l&hide=a#chart$/);
  const address = page.url();

  const other = await visitor(browser);
  await other.goto(address);
  const there = other.locator(".chart-live").getByRole("button", { name: /^\d{4}, / });
  await expect(there).toHaveCount(3);
  await expect(other.getByRole("button", { name: "Crossing" })).toHaveAttribute("aria-pressed", "false");
  // From one to the next of those that are left: by key, and by a turn of the wheel over the chart.
  await there.first().click();
  const open = other.locator(".hung").getByRole("heading", { level: 2 });
  await expect(open).toHaveText("First toll");
  await other.keyboard.press("ArrowRight");
  await expect(open).toHaveText("Bridge school");
  await other.mouse.move(300, 160);
  await other.mouse.wheel(0, 120);
  await expect(open).toHaveText("Steam mill");
  // What an event is tagged with leads to all that are.
  await other.goto(`${link}#read`);
  await other.locator("#e-e2").getByRole("link", { name: "Town" }).click();
  await expect(other).toHaveURL(/\?tag=Town#chart$/);
  await expect(there).toHaveCount(2);
});

test("the map stands beside the chart, marks what is opened there, and has only what the filter leaves", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  const link = await published(page);
  await page.goto(`${link}?beside=map#chart`);
  const map = page.getByRole("region", { name: "Map", exact: true });
  await expect(map.locator(".earth[data-marks]")).toBeVisible();
  await expect(map.getByRole("listitem")).toHaveCount(2);
  // A place in its list opens the event on the chart, where one is.
  await map.getByRole("link", { name: /First toll/ }).click();
  await expect(page.locator(".hung").getByRole("heading", { name: "First toll" })).toBeVisible();
  await expect(page).toHaveURL(/beside=map#e-e1$/);
  await page.keyboard.press("Escape");
  await page.getByRole("search", { name: "Which events are shown" }).getByRole("searchbox").fill("night");
  await expect(map.getByRole("listitem")).toHaveCount(1);
  await expect(map.getByRole("listitem")).toContainText("Long night");
  await page.getByRole("button", { name: "Show all events" }).click();
  await expect(map.getByRole("listitem")).toHaveCount(2);
});

test("without a script the index is whole and opens; on a phone it is a page of its own, by touch", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  const link = await published(page);
  const plain = await (await browser.newContext({ javaScriptEnabled: false })).newPage();
  await plain.goto(`${link}#index`);
  await expect(index(plain).locator("li")).toHaveCount(6);
  const row = index(plain).locator("li", { hasText: "Spring flood" });
  await row.locator("summary").click();
  await row.getByRole("link", { name: "Read it" }).click();
  await expect(plain.locator("#e-e3")).toBeInViewport();

  const phone = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  ).newPage();
  await phone.goto(`${link}?beside=index#chart`);
  await expect(phone.locator(".chart-live")).toBeVisible();
  await expect(index(phone)).toBeHidden();
  await phone.getByRole("navigation", { name: "Views" }).getByRole("link", { name: "Index" }).tap();
  await expect(index(phone)).toBeVisible();
  await expect(phone.locator(".chart-live")).toBeHidden();
  await index(phone).locator("summary", { hasText: "Long night" }).tap();
  await index(phone).getByRole("link", { name: "On the chart" }).tap();
  await expect(phone.locator(".hung").getByRole("heading", { name: "Long night" })).toBeVisible();
});

test("a row that was opened before its script had come says all of it when that has", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  const link = await published(page);
  let come = () => {};
  const held = new Promise<void>((resolve) => {
    come = resolve;
  });
  await page.route(/\/index\.js/, async (route) => {
    await held;
    await route.continue();
  });
  await page.goto(`${link}#index`, { waitUntil: "commit" });
  await index(page).locator("summary", { hasText: "Long night" }).click();
  await expect(index(page).getByRole("link", { name: "Read it" })).toBeVisible();
  await expect(index(page).getByRole("link", { name: "On the chart" })).toHaveCount(0);
  come();
  await index(page).getByRole("link", { name: "On the chart" }).click();
  await expect(page.locator(".hung").getByRole("heading", { name: "Long night" })).toBeVisible();
});
