import { cell, stand } from "./harness/ledger";
import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { chartButton, newPerson, newTimeline, saved, writeLines } from "./harness/people";

test("with a sheet open, lines entered one after the other stay in the line, and walking the chart stays on it", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Ferries");
  await writeLines(page, ["1604 Rope ferry"]);
  await chartButton(page, /Rope ferry/).click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await expect(sheet).toBeVisible();
  const line = page.getByTestId("next-event");
  await line.click();
  await page.keyboard.type("1744 Timber bridge");
  await page.keyboard.press("Enter");
  // What is typed next goes into the line, not to a heading or to commands.
  await page.keyboard.type("1783 Stone bridge nailed down");
  await expect(line).toHaveValue("1783 Stone bridge nailed down");
  await expect(line).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("ledger").getByRole("row")).toHaveCount(4);
  await expect(sheet.getByRole("textbox", { name: "Title", exact: true })).toHaveValue("Stone bridge nailed down");
  // With the arrows the sheet follows, and the focus stays where one walks.
  await chartButton(page, /Rope ferry/).focus();
  await page.keyboard.press("ArrowRight");
  await expect(chartButton(page, /Timber bridge/)).toBeFocused();
  await expect(sheet.getByRole("textbox", { name: "Title", exact: true })).toHaveValue("Timber bridge");
  await expect(chartButton(page, /Timber bridge/)).toBeFocused();
});

test("“Insert before” opens the new event, and left without a word it goes by itself", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Ferries");
  await writeLines(page, ["Rope ferry", "Timber bridge"]);
  const rows = page.getByTestId("ledger").getByRole("row");
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await page.getByRole("button", { name: "More about Timber bridge" }).click();
  await page.getByRole("menuitem", { name: "Insert before" }).click();
  const title = sheet.getByRole("textbox", { name: "Title", exact: true });
  await expect(title).toHaveValue("");
  await title.fill("Ford stones");
  await expect(rows).toHaveCount(4);
  await saved(page);
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "More about Timber bridge" }).click();
  await page.getByRole("menuitem", { name: "Insert after" }).click();
  await expect(rows).toHaveCount(5);
  await expect(title).toHaveValue("");
  await page.keyboard.press("Escape");
  await expect(rows).toHaveCount(4);
  // By keys, found by where they lie: with Alt some keyboards write another letter.
  await chartButton(page, /Ford stones/).focus();
  await page.evaluate(() =>
    document.activeElement!.dispatchEvent(
      new KeyboardEvent("keydown", { key: "∫", code: "KeyB", altKey: true, bubbles: true, cancelable: true }),
    ),
  );
  await expect(rows).toHaveCount(5);
  await expect(title).toHaveValue("");
});

test("a double click opens what was under its first press, and makes nothing", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  await writeLines(
    page,
    Array.from({ length: 14 }, (_, i) => `${1604 + 20 * i} No ${i}`),
  );
  await saved(page);
  const rows = page.getByTestId("ledger").getByRole("row");
  for (const n of [3, 9, 13]) {
    const label = chartButton(page, new RegExp(`, No ${n}\\b`));
    const box = (await label.boundingBox())!;
    await page.mouse.dblclick(box.x + box.width / 2, box.y + box.height / 2);
    await expect(
      page.getByRole("complementary", { name: /^Event/ }).getByRole("textbox", { name: "Title", exact: true }),
    ).toHaveValue(`No ${n}`);
    await page.keyboard.press("Escape");
    await expect(page.getByRole("complementary", { name: /^Event/ })).toHaveCount(0);
  }
  await expect(rows).toHaveCount(15);
});

test("keys that are commands by themselves can be switched off; Enter of an input method is no command", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Ferries");
  await writeLines(page, ["1604 Rope ferry"]);
  await page.getByRole("button", { name: "Keys" }).click();
  await page.getByLabel("N, ? and Delete are commands by themselves").uncheck();
  await page.keyboard.press("Escape");
  await chartButton(page, /Rope ferry/).focus();
  await page.keyboard.press("Delete");
  await page.keyboard.press("n");
  await page.keyboard.press("?");
  await expect(chartButton(page, /Rope ferry/)).toBeFocused();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await page.getByRole("button", { name: "Keys" }).click();
  await page.getByLabel("N, ? and Delete are commands by themselves").check();
  await page.keyboard.press("Escape");
  await chartButton(page, /Rope ferry/).focus();
  await page.keyboard.press("n");
  await expect(page.getByTestId("next-event")).toBeFocused();
  await page.getByTestId("next-event").fill("1931 渡し船");
  await page
    .getByTestId("next-event")
    .evaluate((e) =>
      e.dispatchEvent(
        new KeyboardEvent("keydown", { key: "Enter", isComposing: true, bubbles: true, cancelable: true }),
      ),
    );
  await expect(page.getByTestId("next-event")).toHaveValue("1931 渡し船");
  await stand(cell(page, "title", "Rope ferry"));
  await page.keyboard.press("F2");
  const title = page.getByRole("textbox", { name: "Title, Rope ferry" });
  await title.evaluate((e) =>
    e.dispatchEvent(new KeyboardEvent("keydown", { key: "Enter", isComposing: true, bubbles: true, cancelable: true })),
  );
  await expect(title).toBeFocused();
});
