import { readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { cell, row, stand, writeCell } from "./harness/ledger";
import { readWhen } from "../src/core/time/read/read-when";
import { assignmentBody, school } from "./attack/actor";
import { chartButton, invited, newPerson, newTimeline, saved, serverUrl, writeLines } from "./harness/people";
import { signedIn } from "./harness/signed-in";

const LINES = [
  "c. 1604 Rope ferry #crossing",
  "1631 - 1702 Tolls paid in salt #trade",
  "1744 - 1783 Timber bridge #crossing",
  "14 Nov 1872 The long night flood #weather",
  "27 Sep 1931 Last ferry #crossing",
];
const grid = (page: Page) => page.getByTestId("ledger");
const titles = (page: Page) => grid(page).locator("[role=gridcell][data-col=title]");

/** Puts something on the clipboard as another program does, and pastes it where the focus is. */
async function paste(page: Page, data: Record<string, string>): Promise<void> {
  await page.evaluate((all) => {
    const transfer = new DataTransfer();
    for (const [type, text] of Object.entries(all)) transfer.setData(type, text);
    document.activeElement!.dispatchEvent(
      new ClipboardEvent("paste", { clipboardData: transfer, bubbles: true, cancelable: true }),
    );
  }, data);
}
/** What is copied, or cut, of where the focus is. */
const taken = (page: Page, what: "copy" | "cut") =>
  page.evaluate((type) => {
    const transfer = new DataTransfer();
    document.activeElement!.dispatchEvent(
      new ClipboardEvent(type, { clipboardData: transfer, bubbles: true, cancelable: true }),
    );
    return { text: transfer.getData("text/plain"), html: transfer.getData("text/html") };
  }, what);

test("a whole assignment is written by keyboard alone in the grid", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "How the Ambrel was crossed");
  await writeLines(page, ["Rope ferry"]);
  const key = (k: string) => page.keyboard.press(k);
  const type = (text: string) => page.keyboard.type(text);
  // The grid is one stop: from the line back into the cell one was in, and out of it again.
  for (
    let i = 0;
    i < 12 && !(await cell(page, "when", "Rope ferry").evaluate((e) => e === document.activeElement));
    i++
  )
    await key("Shift+Tab");
  await expect(cell(page, "when", "Rope ferry")).toBeFocused();
  await key("Tab");
  await expect(page.getByTestId("next-event")).toBeFocused();
  await key("Shift+Tab");

  // Typing begins; Tab goes right, from cell to cell of one row.
  await type("c. 1604");
  await key("Tab");
  await expect(cell(page, "title", "Rope ferry")).toBeFocused();
  await key("Tab");
  await type("Crossing");
  await key("Tab");
  await key("Tab");
  await key("Tab");
  await key("Tab");
  await expect(cell(page, "source", "Rope ferry")).toBeFocused();
  await type("County roll 12 https://archive.example/12");
  await key("Enter");
  // Below the last row is the line for the next event.
  await expect(page.getByTestId("next-event")).toBeFocused();
  await expect(cell(page, "when", "Rope ferry")).toHaveText("about 1604");
  await expect(cell(page, "category", "Rope ferry")).toHaveText("Crossing");
  await expect(cell(page, "source", "Rope ferry")).toHaveText("County roll 12 https://archive.example/12");
  await type("1744 Timber bridge");
  await key("Enter");
  await expect(row(page, "Timber bridge")).toBeVisible();

  // Escape drops; F2 takes the cell as it is; nothing single is a command in the grid.
  await stand(cell(page, "title", "Timber bridge"));
  await type("n?");
  // What rests is taken over while one writes, and the field is then named by it.
  await expect(page.getByRole("textbox", { name: /^Title, (Timber bridge|n\?)$/ })).toHaveValue("n?");
  await key("Escape");
  await expect(cell(page, "title", "Timber bridge")).toBeFocused();
  await key("F2");
  await type(", the first");
  await key("Enter");
  await expect(row(page, "Timber bridge, the first")).toBeVisible();
  await stand(cell(page, "title", "Timber bridge, the first"));
  await key("ArrowUp");
  await expect(cell(page, "title", "Rope ferry")).toBeFocused();
  await key("ArrowRight");
  await key("Delete");
  await expect(cell(page, "category", "Rope ferry")).toHaveText("");
  await key("Control+z");
  await expect(cell(page, "category", "Rope ferry")).toHaveText("Crossing");
  // What may be chosen is chosen by arrow keys.
  await key("ArrowDown");
  await key("Enter");
  const box = page.getByRole("combobox", { name: "Category, Timber bridge, the first" });
  await expect(box).toBeFocused();
  await expect(page.getByRole("listbox", { name: "Choices" }).getByRole("option")).toHaveText(["none", "Crossing"]);
  await key("ArrowDown");
  await key("ArrowDown");
  await expect(page.getByRole("option", { name: "Crossing" })).toHaveAttribute("aria-selected", "true");
  await key("Enter");
  await expect(cell(page, "category", "Timber bridge, the first")).toHaveText("Crossing");
  // Shift and Enter open the event.
  await stand(cell(page, "title", "Rope ferry"));
  await key("Shift+Enter");
  await expect(page.getByRole("heading", { name: "Event 1 of 2" })).toBeFocused();
  await key("Escape");
  await saved(page);
  await page.reload();
  await expect(cell(page, "source", "Rope ferry")).toHaveText("County roll 12 https://archive.example/12");
});

test("blocks of cells are copied, cut, pasted, filled down and emptied: each one change and one undo", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  await writeLines(page, LINES);
  const key = (k: string) => page.keyboard.press(k);
  await stand(cell(page, "title", "Rope ferry"));
  await key("Shift+ArrowDown");
  await key("Shift+ArrowRight");
  await expect(page.getByText("2 rows chosen")).toBeVisible();
  expect((await taken(page, "copy")).text).toBe("Rope ferry\tCrossing\nTolls paid in salt\tTrade");
  const cut = await taken(page, "cut");
  await expect(titles(page).first()).toHaveText("Untitled");
  await key("Escape");
  await key("Control+z");
  await expect(titles(page).first()).toHaveText("Rope ferry");

  // Pasted where one stands; further rows become events.
  await stand(cell(page, "title", "Last ferry"));
  await paste(page, { "text/plain": cut.text, "text/html": cut.html });
  await expect(titles(page)).toHaveText([
    ...LINES.slice(0, 4).map((l) => l.replace(/^.*?\d{4} (- \d{4} )?| #.*$/g, "")),
    "Rope ferry",
    "Tolls paid in salt",
  ]);
  await expect(page.getByText("1 event was added.")).toBeVisible();
  await key("Control+z");
  await expect(titles(page)).toHaveCount(5);

  // By the mouse: drawn over, with Shift, and one value into all.
  await stand(cell(page, "category", "Rope ferry"));
  await cell(page, "category", "Timber bridge").click({ modifiers: ["Shift"], position: { x: 12, y: 12 } });
  await expect(page.getByText("3 rows chosen")).toBeVisible();
  await paste(page, { "text/plain": "Weather" });
  for (const title of ["Rope ferry", "Tolls paid in salt", "Timber bridge"])
    await expect(cell(page, "category", title)).toHaveText("Weather");
  await key("Control+z");
  await expect(cell(page, "category", "Rope ferry")).toHaveText("Crossing");
  await key("Control+d");
  await expect(cell(page, "category", "Timber bridge")).toHaveText("Crossing");
  await expect(cell(page, "category", "Tolls paid in salt")).toHaveText("Crossing");
  await key("Control+z");
  await expect(cell(page, "category", "Tolls paid in salt")).toHaveText("Trade");
  const from = (await cell(page, "when", "Rope ferry").boundingBox())!;
  const to = (await cell(page, "title", "Timber bridge").boundingBox())!;
  await page.mouse.move(from.x + 20, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(to.x + 20, to.y + 10, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByText("3 rows chosen")).toBeVisible();
  expect((await taken(page, "copy")).text.split("\n")[1]).toBe("1631 - 1702\tTolls paid in salt");
});

test("cells come from a spreadsheet and go back; what is not understood is kept and said", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  await writeLines(page, ["1604 Rope ferry"]);
  await page.getByRole("button", { name: "Columns" }).click();
  await page.getByRole("checkbox", { name: "Private note" }).check();
  for (const off of ["Part of", "Media", "Description"]) await page.getByRole("checkbox", { name: off }).uncheck();
  await page.keyboard.press("Escape");
  await stand(cell(page, "when", "Rope ferry"));
  const spreadsheet = (name: string) =>
    readFileSync(join(import.meta.dirname, "..", "fixtures", "spreadsheet", name), "utf8");
  // Without the line of the names, which one leaves out of what one copies.
  const html = spreadsheet("cells-copied.html").replace(/<tr>[\s\S]*?<\/tr>/, "");
  await paste(page, { "text/html": html, "text/plain": spreadsheet("cells-copied.txt") });
  await expect(page.getByText("4 events were added.")).toBeVisible();
  await expect(titles(page)).toHaveText([
    "שיטפון e´",
    'Rope ferry, "the long one"',
    "Tolls paid in salt",
    "Ice & <frost>",
    "The long night flood",
  ]);
  await expect(cell(page, "note", "Tolls paid in salt")).toHaveText("=2+3");
  await expect(cell(page, "note", "The long night flood")).toHaveText("00420");
  await expect(cell(page, "when", "Ice & <frost>")).toHaveText("spring 1783");
  await expect(cell(page, "source", 'Rope ferry, "the long one"')).toHaveText(/^County roll 12\+1$/);
  // And out again, as a spreadsheet takes it without loss.
  await stand(cell(page, "when", "The long night flood"));
  await page.keyboard.press("Shift+End");
  const out = await taken(page, "copy");
  expect(out.text).toBe("14.11.1872\tThe long night flood\tWeather\tAmbrel Post, No 39\t00420");
  expect(out.html).toContain('sdnum="1033;0;@"');
  await page.keyboard.press("Control+z");
  await expect(titles(page)).toHaveText(["Rope ferry"]);

  await stand(cell(page, "when", "Rope ferry"));
  await paste(page, { "text/plain": "31 Feb 1760\tIce\n1770\tToll\textra\tx\ty\tz\tq" });
  await expect(
    page.getByText(
      "1 event was added. 1 date was not understood and stands as it was written. 2 cells lay beyond the last column",
    ),
  ).toBeVisible();
  await expect(cell(page, "when", "Ice")).toContainText("31 Feb 1760");
  // More than fits is refused whole, in words.
  await stand(cell(page, "title", "Toll"));
  await paste(page, { "text/plain": "x".repeat(1_000_000) });
  await expect(
    page.getByText(
      "Nothing was pasted: row 1 has 1,000,000 characters for Title, which holds 300. Your clipboard still has all of it.",
    ),
  ).toBeVisible();
  await paste(page, { "text/plain": Array.from({ length: 100_000 }, (_, i) => `Line ${i}`).join("\n") });
  await expect(page.getByText(/Nothing was pasted\. .*20,000 events/)).toBeVisible();
  await expect(titles(page)).toHaveCount(2);
  await saved(page);
});

test("columns are chosen, ordered, widened and sorted, and kept for the person", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  await writeLines(page, LINES);
  const heads = () => grid(page).getByRole("columnheader").locator("button[data-col]");
  await page.getByRole("button", { name: "Columns" }).click();
  await page.getByRole("checkbox", { name: "Place" }).check();
  await page.getByRole("checkbox", { name: "Source" }).uncheck();
  await page.getByRole("button", { name: "Move Place to the left" }).click();
  await page.keyboard.press("Escape");
  const order = ["When", "Title", "Category", "Part of", "Media", "Place", "Description"];
  await expect(heads()).toHaveText(order);
  await writeCell(cell(page, "place", "Rope ferry"), "Ford Lane");
  await expect(cell(page, "place", "Rope ferry")).toHaveText("Ford Lane");
  // By keys on its name: wider, and moved.
  const place = heads().filter({ hasText: "Place" });
  const wide = (await place.boundingBox())!.width;
  await stand(cell(page, "place", "Rope ferry"));
  await page.keyboard.press("ArrowUp");
  await expect(place).toBeFocused();
  const kept = page.waitForResponse(
    (r) => r.url().endsWith("/api/account/ledger") && r.ok() && r.request().postDataJSON().shown[4] === "place",
  );
  for (let i = 0; i < 6; i++) await page.keyboard.press("Shift+ArrowRight");
  await expect.poll(async () => (await place.boundingBox())!.width).toBeGreaterThan(wide);
  await page.keyboard.press("Alt+ArrowLeft");
  await kept;
  await page.reload();
  await expect(heads()).toHaveText(["When", "Title", "Category", "Part of", "Place", "Media", "Description"]);
  await expect.poll(async () => (await place.boundingBox())!.width).toBeGreaterThan(wide);

  // Sorted for looking; the order of time comes back with one key.
  await heads().filter({ hasText: "Title" }).click();
  await expect(grid(page).getByRole("columnheader", { name: "Title" })).toHaveAttribute("aria-sort", "ascending");
  await expect(titles(page)).toHaveText([
    "Last ferry",
    "Rope ferry",
    "The long night flood",
    "Timber bridge",
    "Tolls paid in salt",
  ]);
  await heads().filter({ hasText: "Title" }).click();
  await expect(titles(page).first()).toHaveText("Tolls paid in salt");
  await stand(cell(page, "title", "Rope ferry"));
  await page.keyboard.press("Alt+t");
  await expect(titles(page).first()).toHaveText("Rope ferry");
});

test("one looks at some, by words and by what they lack, and the chart follows", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  const address = await newTimeline(page, "Crossings");
  await writeLines(page, [...LINES, "Build the set"]);
  await writeCell(cell(page, "source", "Rope ferry"), "County roll 12");
  await saved(page);
  await page.getByLabel("Words to look for").fill("ferry");
  await expect(titles(page)).toHaveText(["Rope ferry", "Last ferry"]);
  await expect(page.getByText("2 of 6", { exact: true })).toBeVisible();
  await expect(chartButton(page, /Timber bridge/)).toBeVisible();
  await page.getByLabel("The chart shows the same").check();
  await expect(chartButton(page, /Timber bridge/)).toHaveCount(0);
  await expect(chartButton(page, /Last ferry, event 2 of 2/)).toBeVisible();
  await page.getByLabel("Words to look for").fill("county");
  await expect(titles(page)).toHaveText(["Rope ferry"]);
  await page.getByLabel("Words to look for").fill("nowhere");
  await expect(page.getByText("No event fits what you look for.")).toBeVisible();
  await page.getByRole("button", { name: "Show all" }).first().click();
  await expect(titles(page)).toHaveCount(6);
  await expect(chartButton(page, /Timber bridge/)).toBeVisible();

  await page.getByRole("button", { name: "Look at", exact: true }).click();
  await page.getByLabel("without a date").check();
  await expect(titles(page)).toHaveText(["Build the set"]);
  await page.getByLabel("without a date").uncheck();
  await page.getByLabel("without a source").check();
  await page.getByLabel("Crossing", { exact: true }).check();
  await expect(titles(page)).toHaveText(["Timber bridge", "Last ferry"]);
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Show all" }).click();

  // By who wrote it.
  const obi = await invited(browser, page, address);
  await writeLines(obi.page, ["1766 School opens"]);
  await expect(row(page, "School opens")).toBeVisible();
  await page.reload();
  await page.getByRole("button", { name: "Look at", exact: true }).click();
  await page.getByLabel("Obi", { exact: true }).check();
  await expect(titles(page)).toHaveText(["School opens"]);
});

test("several rows at once: changed, dates moved, duplicated, copied into another timeline, deleted", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Elsewhere");
  const address = await newTimeline(page, "Crossings");
  await writeLines(page, LINES);
  await writeCell(cell(page, "source", "Rope ferry"), "County roll 12");
  const mark = (title: string) => page.getByRole("checkbox", { name: `Mark ${title}` });
  await mark("Rope ferry").check();
  await mark("Timber bridge").click({ modifiers: ["Shift"] });
  await expect(page.getByText("3 rows marked")).toBeVisible();
  await page.getByRole("button", { name: "Change all" }).click();
  await page.getByLabel("What to change").selectOption("Tag to add");
  await page.getByLabel("to", { exact: true }).fill("river");
  await page.getByRole("button", { name: "Change them" }).click();
  await page.getByRole("button", { name: "Change all" }).click();
  await page.getByLabel("to", { exact: true }).selectOption("Weather");
  await page.getByRole("button", { name: "Change them" }).click();
  for (const title of ["Rope ferry", "Tolls paid in salt", "Timber bridge"])
    await expect(cell(page, "category", title)).toHaveText("Weather");
  await page.getByRole("button", { name: "Move dates" }).click();
  await page.getByLabel("Move by").fill("12");
  await page.getByRole("button", { name: "earlier" }).click();
  await expect(cell(page, "when", "Rope ferry")).toHaveText("about 1592");
  await expect(cell(page, "when", "Timber bridge")).toHaveText("1732 – 1771");
  await expect(page.getByText("3 dates were moved.")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(cell(page, "when", "Rope ferry")).toHaveText("about 1604");

  await page.getByRole("button", { name: "Copy to" }).click();
  await page.getByLabel("Copy into").selectOption("Elsewhere");
  await page.getByRole("button", { name: "Copy them" }).click();
  await expect(page.getByText("3 events were copied into “Elsewhere”.")).toBeVisible();
  await page.getByRole("button", { name: "Duplicate" }).click();
  await expect(titles(page)).toHaveCount(8);
  await expect(cell(page, "source", "Rope ferry")).toHaveText(["County roll 12", "County roll 12"]);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(titles(page)).toHaveCount(5);
  await page.keyboard.press("Escape");
  await mark("Last ferry").check();
  await mark("Rope ferry").check();
  await page.getByRole("button", { name: "Delete", exact: true }).click();
  await expect(titles(page)).toHaveText(["Tolls paid in salt", "Timber bridge", "The long night flood"]);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(titles(page)).toHaveCount(5);
  await saved(page);

  await page.goto("/");
  await page
    .getByRole("link", { name: /Elsewhere/ })
    .first()
    .click();
  await expect(titles(page)).toHaveText(["Rope ferry", "Tolls paid in salt", "Timber bridge"]);
  await expect(cell(page, "source", "Rope ferry")).toHaveText("County roll 12");
  await expect(cell(page, "category", "Rope ferry")).toHaveText("Weather");
  await page.goto(address);
});

test("what can be done with a row is reached by keys, and the focus comes back", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  await writeLines(page, LINES);
  await stand(cell(page, "title", "Rope ferry"));
  await page.keyboard.press("Control+ArrowRight");
  const more = page.getByRole("button", { name: "More about Rope ferry" });
  await expect(more).toBeFocused();
  await page.keyboard.press("Enter");
  const menu = page.getByRole("menu", { name: "More about Rope ferry" });
  await expect(menu.getByRole("menuitem", { name: "Open the event sheet" })).toBeFocused();
  await page.keyboard.press("ArrowDown");
  await expect(menu.getByRole("menuitem", { name: "Insert before" })).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(menu).toHaveCount(0);
  await expect(more).toBeFocused();
  await page.keyboard.press("Enter");
  await menu.getByRole("menuitem", { name: "Duplicate" }).press("Enter");
  await expect(row(page, "Rope ferry")).toHaveCount(2);
  await expect(menu).toHaveCount(0);
  // A window that becomes lower leaves the row in view, whole.
  await stand(cell(page, "title", "Last ferry"));
  await expect(row(page, "Last ferry")).toBeInViewport({ ratio: 1 });
  await page.setViewportSize({ width: 1280, height: 680 });
  await expect(row(page, "Last ferry")).toBeInViewport({ ratio: 1 });
});

test("ten thousand rows: true row numbers, and keys go through all of them", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  const address = await newTimeline(page, "Many");
  const path = new URL(address).pathname.replace("/timelines", "/api/timelines");
  const ops = Array.from({ length: 10_000 }, (_, i) => ({
    kind: "add_event",
    id: `e${String(i).padStart(5, "0")}`,
    fields: { title: `Event ${i}` },
  }));
  expect((await page.request.post(`${path}/changes`, { data: { id: "many", base: 0, ops } })).status()).toBe(200);
  await page.reload();
  await expect(grid(page)).toHaveAttribute("aria-rowcount", "10001");
  await stand(grid(page).locator("[role=gridcell][data-col=title]").first());
  await page.keyboard.press("Control+End");
  await expect(row(page, "Event 9999")).toHaveAttribute("aria-rowindex", "10001");
  await expect(row(page, "Event 9999").getByRole("button", { name: "More about Event 9999" })).toBeFocused();
  await page.keyboard.press("PageUp");
  await expect(row(page, "Event 9989").getByRole("button", { name: "More about Event 9989" })).toBeFocused();
  await page.keyboard.press("Control+Home");
  await expect(page.getByRole("checkbox", { name: "Mark Event 0" })).toBeFocused();
  expect(await grid(page).getByRole("row").count()).toBeLessThan(80);
});

test("on a phone a tap selects, a second one begins", async ({ browser }) => {
  const { page, context } = await newPerson(browser, "Nia");
  const address = await newTimeline(page, "Crossings");
  await writeLines(page, LINES);
  await saved(page);
  const phone = await (
    await browser.newContext({
      storageState: await context.storageState(),
      viewport: { width: 390, height: 844 },
      hasTouch: true,
      reducedMotion: "reduce",
    })
  ).newPage();
  await phone.goto(address);
  const title = cell(phone, "title", "Timber bridge");
  await title.tap();
  await expect(title).toBeFocused();
  await expect(phone.getByRole("textbox", { name: /^Title/ })).toHaveCount(0);
  await title.tap();
  await phone.getByRole("textbox", { name: "Title, Timber bridge" }).fill("Bridge of timber");
  await phone.keyboard.press("Enter");
  await expect(cell(phone, "title", "Bridge of timber")).toBeVisible();

  // There is no head of columns to press: the order is chosen with what is looked at.
  const read = () => grid(phone).locator("[role=gridcell][data-col=title]").allTextContents();
  const byTime = await read();
  await phone.getByRole("button", { name: "Look at", exact: true }).tap();
  await phone.getByRole("combobox", { name: "Order of the rows" }).selectOption({ label: "Title" });
  const byTitle = [...byTime].sort((a, b) => a.localeCompare(b, "en"));
  expect(byTitle).not.toEqual(byTime);
  await expect.poll(read).toEqual(byTitle);
  await phone.getByText("The last on top").tap();
  await expect.poll(read).toEqual([...byTitle].reverse());
  await phone.keyboard.press("Escape");
  await phone.getByRole("button", { name: /back to the order of time/ }).tap();
  await expect.poll(read).toEqual(byTime);
});

test("a screen reader hears the grid: columns, row numbers, what is chosen and what cannot be written in", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  await writeLines(page, ["c. 1604 Rope ferry #crossing", "31 Feb 1872 Ice"]);
  await stand(cell(page, "title", "Rope ferry"));
  await page.keyboard.press("Shift+ArrowRight");
  await expect(grid(page)).toMatchAriaSnapshot(`
    - grid "Ledger":
      - row:
        - columnheader "Mark all rows":
          - checkbox "Mark all rows"
        - columnheader "When":
          - button "When"
        - columnheader "Title":
          - button "Title"
      - row /about 1604 Rope ferry Crossing/ [selected]:
        - gridcell "Mark Rope ferry"
        - gridcell "about 1604"
        - gridcell "Rope ferry" [selected]
        - gridcell "Crossing" [selected]
      - row /Ice/:
        - gridcell /31 Feb 1872/ [invalid]
        - gridcell "Ice"
  `);
  await expect(row(page, "Ice")).toHaveAttribute("aria-rowindex", "3");
  await expect(cell(page, "when", "Ice")).toHaveAttribute("aria-invalid", "true");
  await expect(cell(page, "words", "Ice")).toHaveAttribute("aria-readonly", "true");
  await expect(cell(page, "title", "Ice")).toHaveAttribute("aria-colindex", "3");
});

test("what a teacher has given is left alone by typing, pasting and emptying, and that is said", async ({
  browser,
}) => {
  const s = await school(serverUrl());
  const wren = await s.pupil("Wren");
  const { id } = await s.teacher.must<{ id: string }>("POST", "/api/assignments", {
    ...assignmentBody(s.klass),
    given: [{ title: "The flood", when: readWhen("14 Nov 1872"), locked: true }],
  });
  const { timeline } = await wren.must<{ timeline: string }>("POST", `/api/assignments/${id}/group`);
  const context = await browser.newContext({
    baseURL: serverUrl(),
    viewport: { width: 1280, height: 800 },
    reducedMotion: "reduce",
  });
  const page = await context.newPage();
  await signedIn(page, wren);
  await page.goto(`/timelines/${timeline}`);
  await expect(page.getByTestId("next-event")).toBeEnabled();
  const given = grid(page)
    .getByRole("row")
    .filter({ has: page.locator("[data-col=title][aria-readonly=true]") })
    .first();
  const title = given.locator("[role=gridcell][data-col=title]");
  const was = await title.textContent();
  await title.click({ position: { x: 12, y: 12 } });
  await paste(page, { "text/plain": "Mine" });
  await expect(page.getByText("1 cell of a given event stays as your teacher set it.")).toBeVisible();
  await page.keyboard.press("F2");
  await expect(page.getByRole("textbox", { name: /^Title/ })).toHaveCount(0);
  await page.keyboard.press("Delete");
  await expect(title).toHaveText(was!);
});
