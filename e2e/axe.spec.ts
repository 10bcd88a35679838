import sharp from "sharp";
import { expect } from "@playwright/test";
import { nothingFound } from "./harness/axe";
import { test } from "./harness/test";
import { cell, stand, writeCell } from "./harness/ledger";
import { chartButton, newPerson, newTimeline, saved, writeLines, visitor } from "./harness/people";

test("axe finds nothing on any screen, at laptop and phone size", async ({ browser }) => {
  test.setTimeout(900_000);
  const anybody = await visitor(browser);
  for (const path of [
    "/",
    "/sign-in",
    "/sign-in/code",
    "/sign-up",
    "/join-class",
    "/published",
    "/help",
    "/help/poster",
    "/shelf",
    "/nowhere",
  ]) {
    await anybody.goto(path);
    // The timeline that stands in a frame on the first page is looked at by itself below.
    await nothingFound(anybody, path, { without: "iframe" });
  }
  const nia = await newPerson(browser, "Nia");
  const { page } = nia;
  await page.goto("/");
  await nothingFound(page, "home, empty");
  await page.goto("/account");
  await nothingFound(page, "account");
  await page.goto("/new");
  await nothingFound(page, "new timeline");
  await page.goto("/bin");
  await nothingFound(page, "bin");
  await page.goto("/mailbox");
  await nothingFound(page, "mailbox, empty");
  await page.goto("/published/mine");
  await nothingFound(page, "published by me, empty");
  const address = await newTimeline(page, "How the Ambrel was crossed");
  await nothingFound(page, "editor, empty");
  await writeLines(page, [
    "about 1604 Rope ferry #crossing",
    "1744 - 1783 Timber bridge #crossing",
    "1838 - present Barges #trade",
    "31 Feb 1900 Ice",
    "Fire!",
  ]);
  await saved(page);
  await nothingFound(page, "editor");
  await stand(cell(page, "partOf", "Fire!"));
  await writeCell(cell(page, "partOf", "Fire!"), "Timber bridge");
  await stand(cell(page, "category", "Rope ferry"));
  await page.keyboard.press("Enter");
  await expect(page.getByRole("listbox", { name: "Choices" })).toBeVisible();
  await nothingFound(page, "ledger, a cell chosen from a list");
  await page.keyboard.press("Escape");
  await page.keyboard.press("Shift+ArrowDown");
  await nothingFound(page, "ledger, several rows chosen");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Look at", exact: true }).click();
  await nothingFound(page, "ledger, look at");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Columns" }).click();
  await nothingFound(page, "ledger, columns");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "What this line understands" }).click();
  await nothingFound(page, "what the line understands");
  await page.keyboard.press("Escape");
  await page.keyboard.press("Control+f");
  await page.getByLabel("Find", { exact: true }).fill("ferry");
  await page.getByLabel("Replace", { exact: true }).check();
  await nothingFound(page, "find and replace");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "About", exact: true }).click();
  await page.getByRole("button", { name: "List of sources" }).click();
  await page.getByRole("button", { name: "Add a source" }).click();
  await page.getByLabel("Authors").fill("Anna Bell");
  await page.getByRole("button", { name: "Take in", exact: true }).click();
  await nothingFound(page, "sources, one open, taking in");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Bring in", exact: true }).click();
  await page.getByLabel("A table or a list", { exact: true }).fill("When,Title\n31/02/1889,Viaduct\n03/04/1872,Fund\n");
  await nothingFound(page, "bringing in, pasted");
  await page.getByRole("button", { name: "Look at it" }).click();
  await nothingFound(page, "bringing in, looked at");
  await page.getByRole("button", { name: "Cancel" }).click();
  await page.getByRole("button", { name: "Rows by category" }).click();
  await nothingFound(page, "editor, rows by category");
  await page.getByRole("button", { name: "Rows by category" }).click();
  await chartButton(page, /, Timber bridge, event/).click();
  await page.getByLabel("Close-up of its 1 part").selectOption("open");
  await page.keyboard.press("Escape");
  await expect(chartButton(page, /^Close-up A of Timber bridge, 1 part, open/)).toBeVisible();
  await nothingFound(page, "editor, close-up open");
  await page.getByRole("button", { name: "Board", exact: true }).click();
  await chartButton(page, /, Rope ferry, event/).click();
  await nothingFound(page, "board");
  await page.getByRole("button", { name: "Leave the board" }).click();
  await chartButton(page, /Rope ferry/).click();
  await expect(page.getByRole("textbox", { name: "Description" })).toBeVisible();
  await page.getByRole("button", { name: "Add a source" }).click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await sheet.getByRole("combobox", { name: "Place" }).fill("London");
  await sheet
    .getByRole("listbox", { name: /suggestion/ })
    .getByRole("option")
    .first()
    .click();
  await sheet.getByRole("button", { name: "From the shelf" }).click();
  const choosing = page.getByRole("dialog", { name: "Choose pictures" });
  await choosing
    .getByRole("button", { name: /^Take / })
    .first()
    .click();
  await expect(choosing.getByRole("button", { name: /taken$/ })).toBeVisible();
  await nothingFound(page, "choosing pictures");
  await page.keyboard.press("Escape");
  await sheet.getByRole("button", { name: "Cut and turn" }).click();
  await expect(page.getByTestId("cut").getByRole("img").first()).toBeVisible();
  await nothingFound(page, "cutting a picture");
  await page.keyboard.press("Escape");
  await sheet.getByRole("button", { name: "Record a voice" }).click();
  await nothingFound(page, "recording a voice");
  await page.keyboard.press("Escape");
  await sheet.getByRole("button", { name: "Move it on the map" }).click();
  await nothingFound(page, "setting a place on the map");
  await page.keyboard.press("Escape");
  for (const address of [`${process.env.E2E_FILMS}/films/spring-flood`, `${process.env.E2E_PICTURE_SITE}/crossings`]) {
    await sheet.getByLabel("Web address of a picture").fill(address);
    await sheet.getByRole("button", { name: "Fetch" }).click();
  }
  await expect(sheet.getByText("card of a page")).toBeVisible();
  await nothingFound(page, "event sheet with what stays at other sites");
  await nothingFound(page, "event sheet");
  await page.getByRole("button", { name: "Map", exact: true }).click();
  await expect(page.getByRole("complementary", { name: "Map" }).getByRole("listitem")).toHaveCount(1);
  await nothingFound(page, "map");
  const map = page.getByRole("complementary", { name: "Map" });
  const plan = { create: { width: 300, height: 200, channels: 3 as const, background: "#F3EAD3" } };
  await map
    .getByLabel(/A picture as the timeline's map/)
    .setInputFiles({ name: "plan.png", mimeType: "image/png", buffer: await sharp(plan).png().toBuffer() });
  await expect(map.getByRole("radio", { name: "World" })).toBeVisible();
  await nothingFound(page, "map of one's own");
  await map.getByRole("button", { name: "Tie a point" }).click();
  await nothingFound(page, "tying the map to the world");
  await page.keyboard.press("Escape");
  await chartButton(page, /Rope ferry/).click();
  await page.getByRole("button", { name: "not understood" }).click();
  await nothingFound(page, "event sheet with a date that was not understood");
  await page.getByRole("button", { name: "About", exact: true }).click();
  await expect(page.getByRole("textbox", { name: "Introduction" })).toBeVisible();
  await nothingFound(page, "about");
  await page.getByRole("button", { name: "History" }).click();
  await expect(page.getByRole("complementary", { name: "History" }).getByRole("listitem").first()).toBeVisible();
  await nothingFound(page, "history");
  await page.getByRole("button", { name: "Show it as it was then" }).first().click();
  await expect(page.getByTestId("past").getByTestId("ledger").getByRole("row").nth(1)).toBeVisible();
  await nothingFound(page, "as it was");
  await page.getByRole("button", { name: "Back to now" }).click();
  await page.getByRole("complementary", { name: "History" }).getByRole("button", { name: "Bin" }).click();
  await expect(page.getByText("Nothing is in the bin.")).toBeVisible();
  await nothingFound(page, "bin of a timeline");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Share" }).click();
  await page.getByLabel(/Everybody/).check();
  await page.getByRole("button", { name: "Publish" }).click();
  await expect(page.getByLabel("Link to the published page")).toBeVisible();
  await page.getByRole("button", { name: "Make the link" }).click();
  const invitation = await page.getByLabel(/Whoever opens this link/).inputValue();
  const published = await page.getByLabel("Link to the published page").inputValue();
  await nothingFound(page, "share");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "On paper, as a picture, as a folder" }).click();
  await expect(page.getByRole("button", { name: "Make the PDF" })).toBeVisible();
  await nothingFound(page, "paper");
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Keys" }).click();
  await nothingFound(page, "keys");
  await page.keyboard.press("Escape");
  await page.goto(invitation);
  await nothingFound(page, "invitation");
  await page.goto("/");
  await nothingFound(page, "home");
  await page.goto(`${address}/reader`);
  await nothingFound(page, "draft as a reader, beginning");
  await page.getByRole("link", { name: "At other sizes" }).click();
  await expect(page.frameLocator("iframe >> nth=0").locator(".chart-live")).toBeVisible();
  await nothingFound(page, "draft at other sizes", { without: "iframe" });
  await anybody.goto(published.replace("/t/", "/published/"));
  await nothingFound(anybody, "about a published timeline");
  await anybody.goto("/published?q=ambrel");
  await nothingFound(anybody, "the search");
  await anybody.goto(`${published}#chart`);
  await nothingFound(anybody, "published, chart");
  await anybody
    .locator(".chart-live")
    .getByRole("button", { name: /, event 1 of/ })
    .press("Enter");
  await expect(anybody.locator("article.hung")).toBeVisible();
  await nothingFound(anybody, "published, an event opened");
  await anybody.getByRole("link", { name: "Read", exact: true }).click();
  await anybody.locator("#read a.play").first().click();
  await expect(anybody.getByRole("group", { name: /^Before playing/ }).first()).toBeVisible();
  await nothingFound(anybody, "published, read, asked before playing");
  await anybody.getByRole("link", { name: "Map", exact: true }).click();
  await expect(anybody.locator(".earth[data-marks]").first()).toBeVisible();
  await nothingFound(anybody, "published, map beside");
  await anybody.getByRole("link", { name: "Index", exact: true }).click();
  await anybody.locator("#index summary").first().click();
  await expect(anybody.locator("#index").getByRole("searchbox")).toBeVisible();
  await nothingFound(anybody, "published, index beside");
  await anybody.getByRole("button", { name: "Practise" }).click();
  await expect(anybody.getByRole("dialog", { name: /^Practise/ })).toBeVisible();
  await nothingFound(anybody, "published, put in order, asked");
  await anybody.getByLabel("Exercise").selectOption({ label: "Write the date" });
  await anybody.getByRole("button", { name: "Begin", exact: true }).click();
  await anybody.getByLabel("When it was").fill("1700");
  await anybody.keyboard.press("Enter");
  await nothingFound(anybody, "published, a date is written");
  await anybody.getByRole("button", { name: "Leave", exact: true }).click();
  await anybody.getByRole("button", { name: "Practise" }).click();
  await anybody.getByRole("button", { name: "Begin", exact: true }).click();
  await anybody
    .getByRole("button", { name: /^Take / })
    .first()
    .click();
  await nothingFound(anybody, "published, put in order");
  await anybody.keyboard.press("Escape");
  await anybody.keyboard.press("Escape");
  await anybody.getByRole("button", { name: "Present" }).first().click();
  await expect(anybody.getByRole("dialog", { name: /^Presenting/ })).toBeVisible();
  await anybody.keyboard.press("ArrowRight");
  await nothingFound(anybody, "published, presented");
  await anybody.keyboard.press("Escape");
  await anybody.setViewportSize({ width: 390, height: 844 });
  await anybody.goto(published);
  await nothingFound(anybody, "published on a phone, beginning");
  await anybody.getByRole("link", { name: "Chart", exact: true }).click();
  await nothingFound(anybody, "published on a phone, chart");
  await anybody
    .locator(".chart-live")
    .getByRole("button", { name: /, event 1 of/ })
    .press("Enter");
  await expect(anybody.locator("article.hung")).toBeVisible();
  await nothingFound(anybody, "published on a phone, an event opened");
  // The teacher's side, and a student's.
  await page.goto("/classes");
  await nothingFound(page, "new class");
  await page.getByLabel("Name of the class").fill("History 8B");
  await page.getByRole("button", { name: "Make the class" }).click();
  const code = await page.getByTestId("join-code").innerText();
  await nothingFound(page, "class, empty");
  await page.getByText("Give a practice").click();
  await page.getByLabel("Spans too, by their beginnings").check();
  await page.getByLabel("Parts of other events too").check();
  await page.getByRole("button", { name: "Give it to the class" }).click();
  await page.getByRole("region", { name: "Practice" }).getByRole("link").click();
  await expect(page.getByRole("dialog", { name: /^Practise/ })).toBeVisible();
  await nothingFound(page, "practice of a class");
  await page.getByRole("button", { name: "Leave" }).click();
  await expect(page.getByRole("region", { name: "Practice" })).toContainText("nobody has done it yet");
  await nothingFound(page, "class with a practice");
  await page.getByRole("link", { name: "New assignment" }).click();
  await expect(page.getByRole("heading", { name: "New assignment" })).toBeVisible();
  await page.getByRole("button", { name: "Add a given event" }).click();
  await nothingFound(page, "new assignment");
  await page.getByLabel("Title", { exact: true }).fill("Crossing project");
  await page.getByLabel("Due").fill("2031-12-11T16:00");
  await page.getByLabel("Given event 1: title").fill("The bell is recast");
  await page.getByLabel("Given event 1: right date").fill("1851");
  await page.getByRole("button", { name: "Set the assignment" }).click();
  await expect(page.getByRole("heading", { name: "Where every group stands" })).toBeVisible();
  await nothingFound(page, "assignment, nobody yet");
  const obi = await newPerson(browser, "Obi");
  await obi.page.goto(`/join-class?code=${code}`);
  await obi.page.getByRole("button", { name: "Join the class" }).click();
  await expect(obi.page.getByRole("heading", { name: "History 8B" })).toBeVisible();
  await nothingFound(obi.page, "class as a student");
  await obi.page.getByRole("link", { name: "Crossing project" }).click();
  await expect(obi.page.getByRole("button", { name: "Begin" })).toBeVisible();
  await nothingFound(obi.page, "assignment as a student");
  await obi.page.getByRole("button", { name: "Begin" }).click();
  await expect(obi.page.getByRole("region", { name: "Ready check" })).toBeVisible();
  await nothingFound(obi.page, "editor with ready check");
  await obi.page.getByRole("button", { name: "Submit" }).click();
  await nothingFound(obi.page, "not everything is met");
  await obi.page.getByRole("button", { name: "Submit as it is" }).click();
  await expect(obi.page.getByTestId("receipt")).toBeVisible();
  await nothingFound(obi.page, "receipt");
  await page.getByRole("link", { name: "Obi" }).click();
  await expect(page.getByRole("complementary", { name: "Marking" })).toBeVisible();
  await nothingFound(page, "marking");
  await page.getByLabel("Points of 20").fill("9");
  await page.getByRole("button", { name: "Return this" }).click();
  await obi.page.keyboard.press("Escape");
  await obi.page.getByRole("button", { name: /^Returned/ }).click();
  await nothingFound(obi.page, "returned work");
  await obi.page.goto("/");
  await nothingFound(obi.page, "home with classes");
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(address);
  await expect(page.getByTestId("next-event")).toBeVisible();
  await nothingFound(page, "editor on a phone");
  await expect.poll(() => page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
