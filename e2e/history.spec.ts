import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { cell, row, writeCell } from "./harness/ledger";
import { chartButton, invited, newPerson, newTimeline, saved, writeLines } from "./harness/people";

test("history is told in sittings, looked at, compared and put back while a second person writes", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  const address = await newTimeline(page, "Crossings");
  await writeLines(page, ["1604 Rope ferry #crossing", "1744 Timber bridge #crossing"]);
  await page.getByRole("button", { name: "Open Rope ferry" }).click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await sheet.getByRole("textbox", { name: "Description" }).click();
  await page.keyboard.type("It took a farthing a head.");
  await saved(page);
  await page.keyboard.press("Escape");
  const obi = await invited(browser, page, address);
  await writeCell(cell(obi.page, "title", "Rope ferry"), "Boat");
  await obi.page.getByRole("button", { name: "Open Boat" }).click();
  const text = obi.page.getByRole("complementary", { name: /^Event/ }).getByRole("textbox", { name: "Description" });
  await text.click();
  await obi.page.keyboard.press("Control+End");
  await obi.page.keyboard.type(" Later it was free.");
  await writeLines(obi.page, ["1889 Viaduct #crossing"]);
  await saved(obi.page);
  await expect(row(page, "Viaduct")).toBeVisible();

  // In sentences, filtered by person, opened into steps.
  await page.getByRole("button", { name: "History" }).click();
  const history = page.getByRole("complementary", { name: "History" });
  await expect(history.getByText(/^you, \d\d:\d\d.*2 events added, 1 description written/)).toBeVisible();
  await expect(
    history.getByText(/^Obi, \d\d:\d\d.*1 event added, 1 title written, 1 description written/),
  ).toBeVisible();
  await history.getByLabel("Who").selectOption("Obi");
  await expect(history.getByRole("listitem").filter({ hasText: /^.*you,/ })).toHaveCount(0);
  await history.getByRole("button", { name: "Single steps" }).click();
  await expect(history.getByText("set title of “Boat” from “Rope ferry” to “Boat”")).toBeVisible();
  await history.getByLabel("Who").selectOption("everybody");

  // As it was when Nia had written: chart and ledger, and nothing in them can be changed.
  await history
    .getByRole("listitem")
    .filter({ hasText: "2 events added" })
    .getByRole("button", { name: "Show it as it was then" })
    .click();
  const past = page.getByTestId("past");
  await expect(past.getByRole("heading", { name: /As it was: you/ })).toBeFocused();
  await expect(past.getByTestId("ledger").getByRole("row")).toHaveCount(3);
  await expect(past.locator("[data-col=title]").filter({ hasText: "Rope ferry" })).toBeVisible();
  await expect(
    past.getByRole("group", { name: "Chart" }).getByRole("button", { name: /Rope ferry, event 1 of 2/ }),
  ).toBeVisible();
  await past.locator("[role=gridcell][data-col=title]").first().dblclick();
  await expect(past.getByRole("textbox", { name: /^Title/ })).toHaveCount(0);

  // Compared with now: what came, what changed, words within the text.
  const compared = past.getByRole("complementary", { name: "Compared with" });
  await expect(compared.getByText("added since")).toBeVisible();
  await expect(compared.locator("del")).toHaveText(["Rope ferry"]);
  await expect(compared.locator("ins").filter({ hasText: "Later it was free." })).toBeVisible();
  await compared.getByLabel("Show on the chart what is different").check();
  await expect(past.getByRole("listitem").filter({ hasText: "Added since" }).first()).toBeVisible();
  await expect(past.getByRole("group", { name: "Chart" }).getByRole("button", { name: /Viaduct/ })).toBeVisible();
  await compared.getByLabel("Show on the chart what is different").uncheck();

  // Put back while Obi writes: what he has changed since is named before; what he writes meanwhile stays.
  await writeCell(cell(obi.page, "title", "Timber bridge"), "Bridge of timber");
  await saved(obi.page);
  await compared.getByRole("button", { name: "Put this back" }).first().click();
  await expect(compared.getByRole("alert")).toContainText("Obi changed this since then.");
  await compared.getByRole("button", { name: "Put back", exact: true }).click();
  await expect(compared.getByText("It was put back as a new change.")).toBeVisible();
  await page.getByRole("button", { name: "Back to now" }).click();
  await expect(row(page, "Rope ferry")).toBeVisible();
  await expect(row(page, "Bridge of timber")).toBeVisible();
  await saved(page);
  await expect(row(obi.page, "Rope ferry")).toBeVisible();
  // The slider goes through time; everything is put back, and undone.
  await history.getByRole("button", { name: "Show it as it was then" }).last().click();
  await past.getByLabel("Moment", { exact: true }).focus();
  await page.keyboard.press("Home");
  await expect(past.getByText("After change 1 of")).toBeVisible();
  await expect(past.getByTestId("ledger").getByRole("row")).toHaveCount(1);
  await compared.getByRole("button", { name: "Put everything back" }).click();
  await compared.getByRole("button", { name: "Put back", exact: true }).click();
  await page.getByRole("button", { name: "Back to now" }).click();
  await expect(page.getByTestId("ledger").getByRole("row")).toHaveCount(1);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByTestId("ledger").getByRole("row")).toHaveCount(4);
  await saved(page);

  // One event's own history, in its sheet.
  await page.getByRole("button", { name: "Open Viaduct" }).click();
  await sheet.getByRole("button", { name: "What happened to this event" }).click();
  await expect(sheet.getByText(/^Obi, .*1 event added/)).toBeVisible();
  await expect(sheet.getByText(/description written/)).toHaveCount(0);
});

test("what is deleted lies in the bin, by whom and when, and comes back with all it had; timelines too", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  await writeLines(page, ["1604 Rope ferry", "1744 Timber bridge"]);
  await writeCell(cell(page, "source", "Rope ferry"), "County roll 12");
  await saved(page);
  await page.getByRole("button", { name: "More about Rope ferry" }).click();
  await page.getByRole("menuitem", { name: "Delete" }).click();
  await expect(row(page, "Rope ferry")).toHaveCount(0);
  await saved(page);
  await page.reload();
  await page.getByRole("button", { name: "History" }).click();
  const panel = page.getByRole("complementary", { name: "History" });
  await panel.getByRole("button", { name: "Bin" }).click();
  await expect(panel.getByRole("listitem")).toContainText(/Rope ferry.*event · Nia, /s);
  await panel.getByRole("button", { name: "Put Rope ferry back" }).click();
  await expect(cell(page, "source", "Rope ferry")).toHaveText("County roll 12");
  await expect(panel.getByText("Nothing is in the bin.")).toBeVisible();
  // A source of the timeline is deleted with where it is named, and both come back.
  await page.getByRole("button", { name: "About", exact: true }).click();
  await page.getByRole("button", { name: /^List of sources/ }).click();
  const sources = page.getByRole("complementary", { name: "Sources" });
  await sources.getByRole("button", { name: "Fields of County roll 12" }).click();
  await sources.getByRole("button", { name: "Delete the source County roll 12" }).click();
  await expect(cell(page, "source", "Rope ferry")).toHaveText("");
  await saved(page);
  await page.getByRole("button", { name: "History" }).click();
  await panel.getByRole("button", { name: "Bin" }).click();
  await expect(panel.getByRole("listitem")).toHaveCount(2);
  for (const kind of ["source of the timeline", "source of “Rope ferry”"])
    await panel.getByRole("listitem").filter({ hasText: kind }).getByRole("button").click();
  await expect(cell(page, "source", "Rope ferry")).toHaveText("County roll 12");
  await saved(page);

  await page.goto("/");
  await page.getByRole("button", { name: "More about Crossings" }).click();
  await page.getByRole("menuitem", { name: "Delete" }).click();
  await expect(page.getByText(/Deleted/)).toBeVisible();
  await page.getByRole("link", { name: "Bin" }).click();
  await expect(page.getByRole("listitem").filter({ hasText: "Crossings" })).toContainText("30 days left");
  await page.getByRole("button", { name: "Put Crossings back" }).click();
  await expect(page.getByText("There is nothing in your bin.")).toBeVisible();
  await page.goto("/");
  await page.getByRole("link", { name: "Crossings" }).click();
  await expect(cell(page, "source", "Rope ferry")).toHaveText("County roll 12");
  await expect(chartButton(page, /Rope ferry/)).toBeVisible();
});

test("history of a timeline one may no longer edit says so, and what one was looking at stays", async ({ browser }) => {
  const [nia, obi] = [await newPerson(browser, "Nia"), await newPerson(browser, "Obi")];
  await newTimeline(nia.page, "Crossings");
  await writeLines(nia.page, ["1604 Rope ferry"]);
  await saved(nia.page);
  await nia.page.getByRole("button", { name: "Share" }).click();
  await nia.page.getByRole("button", { name: "Make the link" }).click();
  await obi.page.goto(await nia.page.getByLabel(/Whoever opens this link/).inputValue());
  await obi.page.getByRole("button", { name: "Join" }).click();
  await obi.page.getByRole("button", { name: "History" }).click();
  const panel = obi.page.getByRole("complementary", { name: "History" });
  await expect(panel.getByText(/Nia, /).first()).toBeVisible();
  await nia.page.reload();
  await nia.page.getByRole("button", { name: "Share" }).click();
  await nia.page.getByRole("button", { name: /^Take the right of/ }).click();
  await expect(obi.page.getByTestId("saving")).toHaveText("You can no longer edit this");
  await panel.getByRole("button", { name: "Show it as it was then" }).first().click();
  await expect(obi.page.getByRole("alert").first()).toContainText("There is nothing here that you may see.");
  await expect(obi.page.getByText("Fetching")).toHaveCount(0);
  // What came before is still there to be read.
  await obi.page.getByRole("button", { name: "Back to now" }).click();
  await expect(row(obi.page, "Rope ferry")).toBeVisible();
});
