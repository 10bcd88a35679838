import { expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { cell } from "./harness/ledger";
import { chartButton, newPerson, saved } from "./harness/people";

/** Tabs until the focus is where it should be; fails when it never gets there. */
async function tabTo(page: Page, name: RegExp, back = false): Promise<void> {
  for (let i = 0; i < 80; i++) {
    await page.keyboard.press(back ? "Shift+Tab" : "Tab");
    const here = await page.evaluate(() => {
      const e = document.activeElement as HTMLElement | null;
      const label = e?.id ? document.querySelector(`label[for="${CSS.escape(e.id)}"]`)?.textContent : "";
      return `${e?.getAttribute("aria-label") ?? ""} ${label ?? ""} ${e?.closest("label")?.textContent ?? ""} ${e?.textContent ?? ""}`;
    });
    if (name.test(here)) return;
  }
  throw new Error(`Tab never reached ${name}`);
}

test("a timeline is made, written, described and published by keyboard alone", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await page.goto("/");
  const key = (k: string) => page.keyboard.press(k);
  await tabTo(page, /New timeline/);
  await key("Enter");
  await expect(page.getByLabel("Title")).toBeFocused();
  await page.keyboard.type("How the Ambrel was crossed");
  await key("Enter");
  await expect(page.getByTestId("next-event")).toBeEnabled();
  await key("n");
  await expect(page.getByTestId("next-event")).toBeFocused();
  for (const line of [
    "about 1604 Rope ferry #crossing",
    "1744 - 1783 Timber bridge #crossing",
    "14 Nov 1872 The long night flood",
  ]) {
    await page.keyboard.type(line);
    await key("Enter");
  }
  await expect(page.getByTestId("ledger").getByRole("row")).toHaveCount(4);

  // The chart is walked in time order, once the last one hangs on it.
  await expect(chartButton(page, /long night flood, event 3 of 3/)).toBeVisible();
  await tabTo(page, /long night flood, event 3 of 3/, true);
  await key("Home");
  await expect(chartButton(page, /Rope ferry, event 1 of 3/)).toBeFocused();
  await key("ArrowRight");
  await expect(chartButton(page, /Timber bridge, event 2 of 3/)).toBeFocused();
  await key("ArrowRight");
  await expect(chartButton(page, /long night flood, event 3 of 3/)).toBeFocused();
  await key("Enter");
  await expect(page.getByRole("heading", { name: "Event 3 of 3" })).toBeFocused();
  await tabTo(page, /^ ?Title/);
  await key("End");
  await page.keyboard.type(" of 1872");
  await tabTo(page, /Description/);
  while (!(await page.evaluate(() => document.activeElement?.getAttribute("role") === "textbox"))) await key("Tab");
  await page.keyboard.type("The bell was rung by hand.");
  await expect(page.getByRole("complementary").getByText("6 words", { exact: true })).toBeVisible();
  await key("Escape");
  await expect(chartButton(page, /long night flood of 1872/)).toBeFocused();

  // The ledger: a cell is typed in, Enter goes to the next row.
  await tabTo(page, /^\s*14 Nov 1872\s*$/);
  await key("ArrowUp");
  await key("ArrowUp");
  await expect(cell(page, "when", "Rope ferry")).toBeFocused();
  await key("F2");
  await expect(page.getByRole("textbox", { name: "When, Rope ferry" })).toBeFocused();
  await key("Control+a");
  await page.keyboard.type("c. 1605");
  await key("Enter");
  await expect(cell(page, "when", "Timber bridge")).toBeFocused();
  await expect(cell(page, "when", "Rope ferry")).toHaveText("about 1605");
  await key("Control+z");
  await expect(cell(page, "when", "Rope ferry")).toHaveText("about 1604");
  await saved(page);

  await tabTo(page, /^\s*Share\s*$/, true);
  await key("Enter");
  await tabTo(page, /Anyone with the link/);
  await key("ArrowDown");
  await expect(page.getByLabel(/Everybody/)).toBeChecked();
  await tabTo(page, /^\s*Publish\s*$/);
  await key("Enter");
  await expect(page.getByText(/^Published – version of/)).toBeVisible();
  await key("Escape");
  await expect(page.getByRole("dialog")).toHaveCount(0);
});
