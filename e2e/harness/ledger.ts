import type { Locator, Page } from "@playwright/test";

const exactly = (text: string) => new RegExp(`^${text.replaceAll(/[.*+?^${}()|[\]\\]/g, "\\$&")}$`);

/** The row of an event in the ledger, by its title: found by how it is written, not by what each thing in the ledger is. */
export const row = (page: Page, title: string): Locator =>
  page
    .getByTestId("ledger")
    .locator("[role=row]")
    .filter({ has: page.locator("[data-col=title]", { hasText: exactly(title) }) });

/** One cell of it: `column` as the ledger calls it in its code ("when", "partOf"). */
export const cell = (page: Page, column: string, title: string): Locator =>
  row(page, title).locator(`[role=gridcell][data-col=${column}]`);

/** Stands in a cell, as a press does. */
export async function stand(at: Locator): Promise<void> {
  await at.click({ position: { x: 12, y: 12 } });
}

/** Writes in a cell by keys: what was in it goes. Enter takes it over. */
export async function writeCell(at: Locator, text: string): Promise<void> {
  await stand(at);
  await at.press("F2");
  // While its title is written a row is no longer found by it.
  const input = at.page().locator("[role=gridcell] :is(input, textarea):focus");
  await input.fill(text);
  await input.press("Enter");
}

/** The sheet of an event, opened from its row as by keys. */
export async function openSheet(page: Page, title: string): Promise<Locator> {
  await stand(cell(page, "title", title));
  await page.keyboard.press("Shift+Enter");
  return page.getByRole("complementary", { name: /^Event/ });
}
