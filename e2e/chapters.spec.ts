import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { row, stand, writeCell, cell } from "./harness/ledger";
import { chartButton, newPerson, newTimeline, saved, writeLines } from "./harness/people";

test("chapters are rows, move like events without a date, head what is read, and a closing page ends it", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  await writeLines(page, ["1604 Rope ferry #crossing", "1744 Timber bridge #crossing", "1889 Viaduct #crossing"]);
  await writeCell(cell(page, "source", "Rope ferry"), "County roll 12");
  await writeCell(cell(page, "source", "Timber bridge"), "county roll 12");
  const titles = page.getByTestId("ledger").locator("[role=gridcell][data-col=title]");

  await stand(cell(page, "title", "Viaduct"));
  await page.getByRole("button", { name: "Chapter", exact: true }).click();
  const sheet = page.getByRole("complementary", { name: "Chapter" });
  await sheet.getByLabel("Title", { exact: true }).fill("The age of steam");
  await sheet.getByRole("textbox", { name: "Text of the chapter" }).click();
  await page.keyboard.type("Then came the railway.");
  await saved(page);
  await page.keyboard.press("Escape");
  await expect(titles).toHaveText(["Rope ferry", "Timber bridge", "The age of steam", "Viaduct"]);
  await expect(page.getByText("3 events", { exact: true }).first()).toBeVisible();
  await expect(chartButton(page, /Viaduct, event 3 of 3/)).toBeVisible();
  // By keys it goes up and down among the events, and is part of nothing.
  await stand(cell(page, "title", "The age of steam"));
  await page.keyboard.press("Alt+ArrowUp");
  await expect(titles).toHaveText(["Rope ferry", "The age of steam", "Timber bridge", "Viaduct"]);
  await page.keyboard.press("Alt+ArrowRight");
  await expect(page.getByText("A chapter is part of nothing: it stands between events.")).toBeVisible();
  await page.keyboard.press("Alt+ArrowDown");
  await expect(titles).toHaveText(["Rope ferry", "Timber bridge", "The age of steam", "Viaduct"]);
  // By its grip too.
  const from = (await row(page, "The age of steam").locator("[data-grip]").boundingBox())!;
  const to = (await row(page, "Rope ferry").boundingBox())!;
  await page.mouse.move(from.x + 5, from.y + 8);
  await page.mouse.down();
  await page.mouse.move(to.x + 30, to.y + 12, { steps: 6 });
  await page.mouse.move(to.x + 30, to.y + 4, { steps: 3 });
  await expect(row(page, "Rope ferry")).toHaveAttribute("data-drop", "before");
  await page.mouse.up();
  await expect(titles).toHaveText(["The age of steam", "Rope ferry", "Timber bridge", "Viaduct"]);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(titles).toHaveText(["Rope ferry", "Timber bridge", "The age of steam", "Viaduct"]);

  await page.getByRole("button", { name: "About", exact: true }).click();
  await page.getByRole("textbox", { name: "Closing page" }).click();
  await page.keyboard.type("The river is still there.");
  await saved(page);

  // As a reader sees it: contents, the chapter before its event, the last word and the lists.
  const reader = await page.context().newPage();
  await reader.goto(`${page.url().replace(/[?#].*$/, "")}/reader#read`);
  const contents = reader.getByRole("navigation", { name: "Contents" });
  await contents.getByRole("link", { name: "The age of steam" }).click();
  const chapter = reader
    .getByRole("listitem")
    .filter({ has: reader.getByRole("heading", { name: "The age of steam" }) });
  await expect(chapter).toBeInViewport();
  await expect(chapter).toContainText("Then came the railway.");
  const order = await reader
    .locator(".events > li")
    .evaluateAll((all) => all.map((li) => li.querySelector("h2")?.textContent));
  expect(order).toEqual(["Rope ferry", "Timber bridge", "The age of steam", "Viaduct"]);
  const closing = reader.getByRole("region", { name: "Closing page" });
  await expect(closing).toContainText("The river is still there.");
  await expect(closing.getByRole("listitem")).toHaveText([/^County roll 12 \(Rope ferry, Timber bridge\)$/]);
  // On paper as well.
  await reader.goto(`${page.url().replace(/[?#].*$/, "")}/reader?as=print`);
  await expect(reader.getByText("The river is still there.")).toBeVisible();
  await expect(reader.getByRole("heading", { name: "The age of steam" })).toBeVisible();
});

test("a description is written at full width, with headings, alignment and colours, and read so", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  await writeLines(page, ["1604 Rope ferry"]);
  await page.getByRole("button", { name: "Open Rope ferry" }).click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await sheet.getByRole("button", { name: "Write at full width" }).click();
  const text = page.getByRole("textbox", { name: "Description" });
  await text.click();
  expect((await text.boundingBox())!.width).toBeGreaterThan(700);
  await page.getByRole("button", { name: "Heading", exact: true }).click();
  await page.keyboard.type("The licence");
  await page.keyboard.press("Enter");
  await page.getByRole("button", { name: "In the middle" }).click();
  await page.getByLabel("Colour of the words").selectOption("copper");
  await page.keyboard.type("A farthing a head.");
  await expect(sheet.getByText("6 words", { exact: true })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(sheet.getByRole("button", { name: "Write at full width" })).toBeVisible();
  await saved(page);
  const reader = await page.context().newPage();
  await reader.goto(`${page.url().replace(/[?#].*$/, "")}/reader#read`);
  await expect(reader.getByRole("heading", { name: "The licence", level: 3 })).toBeVisible();
  await expect(reader.locator(".text p.center")).toHaveText("A farthing a head.");
  await expect(reader.locator(".text span.copper")).toHaveCSS("color", "rgb(180, 72, 30)");
});
