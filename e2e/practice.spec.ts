import { type Browser, expect, type Page, test } from "@playwright/test";
import { saved, startedWith } from "./harness/people";

const DATES: Record<string, number> = {
  "Rope ferry": 1604,
  "Bridge school": 1766,
  "The flood": 1872,
  "Last ferry": 1931,
};
const practice = (page: Page) => page.getByRole("dialog", { name: /^Put in order/ });
const pile = (page: Page) => practice(page).getByRole("group", { name: "Still to place" }).getByRole("button");
const ridge = (page: Page) => practice(page).getByRole("group", { name: "On the ridge" });
const titleOf = async (card: ReturnType<typeof pile>) => (await card.first().innerText()).trim();

/** The published page of four events, and one without a date, at a place in it. */
async function opened(browser: Browser, place: string): Promise<Page> {
  const lines = [...Object.entries(DATES).map(([title, year]) => `${year} ${title}`), "Some day"];
  const { page } = await startedWith(browser, "The crossing", lines);
  await saved(page);
  const url = new URL(page.url());
  const made = await page.request.put(`/api${url.pathname}/publication`, { data: { visibility: "link", fresh: true } });
  const { publication } = (await made.json()) as { publication: { address: string } };
  await page.goto(`${url.origin}/t/${publication.address}${place}`);
  return page;
}

/** Where a card belongs among those on the ridge: the number of its gap. */
async function belongs(page: Page, title: string): Promise<number> {
  const there = await ridge(page).locator(".x-on span").allInnerTexts();
  return there.filter((t) => DATES[t]! < DATES[title]!).length;
}

test("events are put in order by keys, each checked as it is placed, with how far it is off and hints", async ({
  browser,
}) => {
  const page = await opened(browser, "#chart");
  await page.getByRole("button", { name: "Put in order" }).click();
  await practice(page).getByRole("button", { name: "Begin" }).press("Enter");
  // One stands already; what has no date is never asked.
  await expect(pile(page)).toHaveCount(3);
  await expect(practice(page)).not.toContainText("Some day");
  for (let left = 3; left > 0; left--) {
    const title = await titleOf(pile(page));
    await pile(page).first().press("Enter");
    await expect(practice(page).getByRole("status")).toContainText(`${title} is taken.`);
    if (left === 3) {
      await practice(page).getByRole("button", { name: "Hint: its century" }).click();
      await expect(practice(page).getByRole("status")).toContainText(
        /It is of the 1[78]th|It is of the 19th|It is of the 20th/,
      );
      await ridge(page).locator(".x-gap").first().focus();
    }
    const at = await belongs(page, title);
    for (let n = 0; n < at; n++) await page.keyboard.press("ArrowRight");
    await page.keyboard.press("Enter");
    await expect(practice(page).getByRole("status")).toContainText(`“${title}”, ${DATES[title]}, stands right.`);
  }
  await expect(practice(page).getByRole("status")).toContainText("You placed all 3 right.");
  await expect(practice(page).getByRole("listitem")).toHaveText([
    /1604 Rope ferry/,
    /1766 Bridge school/,
    /1872 The flood/,
    /1931 Last ferry/,
  ]);
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    practice(page).getByRole("button", { name: "Keep the result as a file" }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/\.txt$/);

  // Placed wrong it is said by how long, and it goes where it belongs.
  await practice(page).getByRole("button", { name: "Once more" }).click();
  await practice(page).getByRole("button", { name: "Begin" }).click();
  const [stands] = await ridge(page).locator(".x-on span").allInnerTexts();
  const title = await titleOf(pile(page));
  const late = DATES[title]! < DATES[stands!]!;
  await pile(page).first().click();
  await ridge(page)
    .getByRole("button")
    .nth(late ? 1 : 0)
    .click();
  await expect(practice(page).getByRole("status")).toContainText(
    new RegExp(
      `“${title}”, ${DATES[title]}: that is .*\\d+ years? too ${late ? "late" : "early"}\\. It was put where it belongs\\.`,
    ),
  );
  await page.keyboard.press("Escape");
  await expect(practice(page)).toHaveCount(0);
});

test("all are checked at the end, by dragging: how many stand right, and how far the others are off", async ({
  browser,
}) => {
  const page = await opened(browser, "#practice");
  await practice(page).getByLabel("Checked").selectOption("all at the end");
  await practice(page).getByRole("button", { name: "Begin" }).click();
  await expect(practice(page)).not.toContainText("1604");
  // The latest first: everything is turned round.
  for (const title of ["Last ferry", "The flood", "Bridge school", "Rope ferry"]) {
    const from = (await pile(page).filter({ hasText: title }).boundingBox())!;
    const to = (await ridge(page).locator(".x-gap").last().boundingBox())!;
    await page.mouse.move(from.x + 20, from.y + 20);
    await page.mouse.down();
    await page.mouse.move(to.x + to.width / 2, to.y + 30, { steps: 6 });
    await page.mouse.up();
    await expect(ridge(page).locator(".x-on").last()).toContainText(title);
  }
  await practice(page).getByRole("button", { name: "Check the order" }).click();
  await expect(practice(page).getByRole("status")).toHaveText(
    "None of the 4 stands where it belongs yet. By how far each is off, that is 0 of 100.",
  );
  await expect(practice(page).getByRole("listitem").first()).toContainText(
    "“Rope ferry” is 3 places, 327 years, too late.",
  );
});
