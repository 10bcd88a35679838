import { readFileSync } from "node:fs";
import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { cell, stand, writeCell } from "./harness/ledger";
import { newPerson, newTimeline, saved, writeLines } from "./harness/people";

test("a line is taken apart, named again with page and words, and listed in the manner of About: sheet, reader, print, frozen copy", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  await writeLines(page, ["1604 Rope ferry", "1744 Timber bridge", "1889 Viaduct"]);
  await writeCell(cell(page, "source", "Rope ferry"), "The ferries of the Ambrel, page 12");
  await writeCell(cell(page, "source", "Timber bridge"), "The ferries of the Ambrel, page 12");
  await writeCell(cell(page, "source", "Viaduct"), "County roll 12");

  await stand(cell(page, "title", "Rope ferry"));
  await page.keyboard.press("Shift+Enter");
  const sheet = page.getByRole("complementary");
  const source = sheet.getByRole("group", { name: "Source no. 1" });
  await expect(source.getByRole("textbox", { name: "Source", exact: true })).toHaveValue(
    "The ferries of the Ambrel, page 12",
  );
  await source.getByRole("button", { name: "Take it apart" }).click();
  await expect(source).toContainText("Also in 1 other event");
  await expect(source.getByLabel("Page or place in it")).toHaveValue("12");
  await source.getByLabel("What it is").selectOption("book");
  await source.getByLabel("Authors").fill("Anna Bell");
  await source.getByRole("button", { name: "Write as “Bell, Anna”" }).click();
  await source.getByLabel("Publisher").fill("Hollin Press");
  await source.getByLabel("Place", { exact: true }).fill("Ambrelford");
  await source.getByRole("textbox", { name: "Date", exact: true }).fill("1901");
  await expect(source).toContainText("Bell, A. (1901). The ferries of the Ambrel. Hollin Press.");
  await expect(source).toContainText("(Bell, 1901, p. 12)");
  await source.getByRole("button", { name: "Add its words" }).click();
  await source.getByLabel("Its words").fill("The rope was long.");
  await saved(page);

  // A third event names the same one, chosen from those of the timeline.
  await stand(cell(page, "title", "Viaduct"));
  await page.keyboard.press("Shift+Enter");
  await sheet.getByLabel("Use a source of this timeline").selectOption({ index: 1 });
  await expect(sheet.getByRole("group", { name: "Source no. 2" })).toContainText("Also in 2 other events");
  await sheet.getByRole("group", { name: "Source no. 2" }).getByLabel("Page or place in it").fill("30-31");
  await saved(page);
  await expect(cell(page, "source", "Viaduct")).toContainText("County roll 12");

  // Undone and done again, as everything is.
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Undo" }).click();
  await page.getByRole("button", { name: "Redo" }).click();
  await saved(page);

  const timeline = page.url().replace(/[?#].*$/, "");
  const reader = await page.context().newPage();
  const list = () => reader.getByRole("region", { name: "Closing page" }).getByRole("list").first();
  await reader.goto(`${timeline}/reader#read`);
  await expect(list().getByRole("listitem")).toHaveText([
    "Bell, A. (1901). The ferries of the Ambrel. Hollin Press. (Rope ferry, Timber bridge, Viaduct)",
    "County roll 12 (Viaduct)",
  ]);
  const ferry = reader.getByRole("listitem").filter({ has: reader.getByRole("heading", { name: "Rope ferry" }) });
  await expect(ferry).toContainText("(Bell, 1901, p. 12)");
  await expect(ferry.locator("q")).toHaveText("The rope was long.");
  await ferry.getByRole("link", { name: "(Bell, 1901, p. 12)" }).click();
  await expect(list().getByRole("listitem").first()).toBeInViewport();
  await expect(list().getByRole("listitem").first()).toBeFocused();

  await page.getByRole("button", { name: "About", exact: true }).click();
  await page.getByLabel("How sources are listed").selectOption("numbered");
  await page.getByRole("button", { name: "List of sources (2)" }).click();
  const panel = page.getByRole("complementary", { name: "Sources" });
  await expect(panel).toContainText("1.Bell A. The ferries of the Ambrel. Ambrelford: Hollin Press; 1901.");
  await saved(page);
  for (const as of ["", "?as=print"]) {
    await reader.goto("about:blank");
    await reader.goto(`${timeline}/reader${as}#read`);
    await expect(list().getByRole("listitem")).toHaveText([
      "Bell A. The ferries of the Ambrel. Ambrelford: Hollin Press; 1901. (Rope ferry, Timber bridge, Viaduct)",
      "County roll 12 (Viaduct)",
    ]);
    await expect(ferry).toContainText("[1], p. 12");
  }
  await page.getByRole("button", { name: "Share" }).click();
  await page.getByRole("button", { name: "Make a frozen copy" }).click();
  await reader.goto(
    await page
      .getByTestId("frozen-copy")
      .getByLabel(/^Frozen/)
      .inputValue(),
  );
  await expect(reader.locator("#c-closing li")).toContainText(["Bell A. The ferries", "County roll 12"]);
  await page.keyboard.press("Escape");

  // Deleted from the list it is gone from its events; undo brings all of it back.
  await panel.getByRole("button", { name: /^Delete the source Bell, Anna/ }).click();
  await expect(panel.getByRole("listitem")).toHaveCount(1);
  await page.keyboard.press("Control+z");
  await expect(panel).toContainText("1.Bell A. The ferries of the Ambrel.");
  await panel.getByRole("button", { name: "Viaduct" }).first().click();
  await expect(sheet.getByRole("group", { name: "Source no. 2" }).getByLabel("Page or place in it")).toHaveValue(
    "30-31",
  );
});

test("sources come from BibTeX with broken braces and RIS in Latin-1, and go out to files that are read again", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  await page.getByRole("button", { name: "About", exact: true }).click();
  await page.getByRole("button", { name: "List of sources" }).click();
  const panel = page.getByRole("complementary", { name: "Sources" });
  await expect(panel).toContainText("No source yet.");
  await panel.getByRole("button", { name: "Take in" }).click();
  const take = panel.getByRole("region", { name: "Take in" });
  const pasted = take.getByLabel("Sources to take in");
  await pasted.fill("a shopping list");
  await take.getByRole("button", { name: "Take them in" }).click();
  await expect(take.getByRole("status")).toContainText("neither BibTeX");
  await expect(pasted).toHaveValue("a shopping list");

  await pasted.fill(
    "@book{bell, author={Bell, Anna}, title={The long night}, year=1873, isbn={12-3}}\n@article{broken, title={x\n@misc{roll, title={County roll}}",
  );
  await take.getByRole("button", { name: "Take them in" }).click();
  await expect(take.getByRole("status")).toContainText("2 sources taken in.");
  await expect(take.getByRole("status")).toContainText("The braces of “broken” (line 2) do not close.");
  await take.getByLabel("Open a file").setInputFiles({
    name: "library.ris",
    mimeType: "application/x-research-info-systems",
    buffer: Buffer.from(
      "TY  - BOOK\r\nAU  - M\xfcller, J\xf6rg\r\nTI  - Br\xfccken\r\nPY  - 1901\r\nER  - \r\n",
      "latin1",
    ),
  });
  await expect(take.getByRole("status")).toContainText("1 source taken in.");
  await expect(take.getByRole("status")).toContainText("not UTF-8");
  await expect(panel).toContainText("Müller, J. (1901). Brücken.");
  await expect(panel).toContainText("Bell, A. (1873). The long night.");
  await saved(page);

  // What is saved is read again: nothing is there twice.
  for (const name of ["BibTeX", "RIS", "CSL-JSON"]) {
    const waiting = page.waitForEvent("download");
    await panel.getByRole("button", { name, exact: true }).click();
    const file = await waiting;
    const text = readFileSync(await file.path(), "utf8");
    expect(text).toContain("12-3");
    await pasted.fill(text);
    await take.getByRole("button", { name: "Take them in" }).click();
    await expect(take.getByRole("status")).toContainText("0 sources taken in; 3 were there already.");
  }
  await expect(panel.getByRole("listitem").filter({ hasText: "No event names it yet." })).toHaveCount(3);

  // Who made the processor is said, under which licence.
  await page.goto("/licences");
  await expect(page.getByText(/citeproc-js .*CPAL-1.0/)).toBeVisible();
});
