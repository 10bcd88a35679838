import { readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { cell, row } from "./harness/ledger";
import { chartButton, invited, newPerson, newTimeline, saved, writeLines, visitor } from "./harness/people";

test("a table with mixed dates is pasted, mended and brought in as one change, and taken out by one undo", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  await page.getByRole("button", { name: "Bring in", exact: true }).click();
  const screen = page.getByRole("dialog", { name: "Bring in a table or a list" });
  const said = screen.getByRole("status");
  await screen.getByLabel("A table or a list").fill("   \n");
  await expect(screen.getByRole("button", { name: "Look at it" })).toBeDisabled();
  // As a table that was copied from a web page comes.
  await screen.getByLabel("A table or a list").evaluate((area) => {
    const data = new DataTransfer();
    const lines = [
      ["Date", "Event", "Theme", "Width"],
      ["14.3.1811", "Stone bridge begun", "Crossing", ""],
      ["c. 1840", "Steam mill", "Trade", "4 m"],
      ["03/04/1872", "Winter relief fund", "Town life", ""],
      ["31/02/1889", "Viaduct tested", "Crossing", ""],
      ["", "", "", ""],
      ["27 Sep 1931", "Last crossing", "Crossing", ""],
    ];
    const html = `<p>From the town</p><table>${lines.map((l) => `<tr>${l.map((c) => `<td>${c}</td>`).join("")}</tr>`).join("")}</table>`;
    data.setData("text/html", html);
    data.setData("text/plain", lines.map((l) => l.join("\t")).join("\n"));
    area.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }));
  });
  // An order that one date says is said for all.
  await expect(said).toHaveText(/5 events.*4 dates understood.*1 date not understood.*1 row empty/);
  await expect(screen.getByLabel("Numbers like 03/04 mean")).toHaveValue("dmy");
  await expect(screen.getByLabel("What “Width” is")).toHaveValue("more");
  await expect(screen.getByRole("row").nth(1)).toContainText("February 1889 had 28 days.");
  await expect(screen.getByRole("row").filter({ hasText: "relief" })).toContainText("3 Apr 1872");
  await screen.getByLabel("Numbers like 03/04 mean").selectOption("mdy");
  await expect(screen.getByRole("row").filter({ hasText: "relief" })).toContainText("4 Mar 1872");
  await screen.getByLabel("Numbers like 03/04 mean").selectOption("dmy");
  await screen.getByRole("button", { name: "28 Feb 1889" }).click();
  await expect(said).not.toContainText("not understood");
  await screen.getByRole("button", { name: "Add 5 events" }).click();

  await expect(page.getByText("5 events were brought in.")).toBeVisible();
  await expect(page.locator("[role=gridcell]:focus")).toBeVisible();
  await expect(chartButton(page, /Winter relief fund, event 3 of 5/)).toBeVisible();
  await expect(cell(page, "category", "Steam mill")).toHaveText("Trade");
  await expect(cell(page, "words", "Steam mill")).toHaveText("3 words");
  await expect(cell(page, "when", "Winter relief fund")).toContainText("3 Apr 1872");
  await saved(page);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(row(page, "Steam mill")).toHaveCount(0);
  await page.getByRole("button", { name: "Redo" }).click();
  await expect(row(page, "Last crossing")).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(row(page, "Last crossing")).toBeVisible();

  // From the table to a chart that anybody can see.
  await page.getByRole("button", { name: "Share" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel(/Anyone with the link/).check();
  await dialog.getByRole("button", { name: "Publish" }).click();
  const link = await dialog.getByLabel("Link to the published page").inputValue();
  const nobody = await visitor(browser);
  await nobody.goto(`${link}#chart`);
  await expect(nobody.getByRole("button", { name: /Winter relief fund, event 3 of 5/ })).toBeVisible();
  await expect(nobody.getByRole("button", { name: /Viaduct tested, event 4 of 5/ })).toBeVisible();
  await nobody.context().close();
});

test("a file is dropped on the editor or chosen; cancelled it leaves nothing; a list has its bullets taken off", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  const screen = page.getByRole("dialog", { name: "Bring in a table or a list" });
  const drop = (name: string, content: number[]) =>
    page.evaluate(
      ([fileName, bytes]) => {
        const data = new DataTransfer();
        data.items.add(new File([Uint8Array.from(bytes as number[])], fileName as string));
        document.body.dispatchEvent(new DragEvent("drop", { dataTransfer: data, bubbles: true, cancelable: true }));
      },
      [name, content] as const,
    );
  const latin = [...'Jahr;Ereignis;Quelle\n1872;Brückenflut;"Ämterbuch; Blatt 3"\n'].map((c) => c.charCodeAt(0));
  await drop("crossings.csv", latin);
  await expect(screen).toContainText("crossings.csv · into Crossings");
  await expect(screen.getByLabel("Letters")).toHaveValue("windows-1252");
  await expect(screen.getByLabel("Between cells")).toHaveValue(";");
  // Read otherwise where somebody knows better, and back.
  await screen.getByLabel("Letters").selectOption("windows-1251");
  await expect(screen.getByRole("row").nth(1)).toContainText("Brьckenflut");
  await screen.getByLabel("Letters").selectOption("windows-1252");
  await expect(screen.getByRole("row").nth(1)).toContainText("Brückenflut");
  await screen.getByRole("button", { name: "Cancel" }).click();
  await expect(screen).toHaveCount(0);
  await expect(page.getByText("0 events", { exact: true }).first()).toBeVisible();

  await page.getByRole("button", { name: "Bring in", exact: true }).click();
  await screen.getByLabel("Choose a file").setInputFiles({
    name: "notes.xyz",
    mimeType: "application/octet-stream",
    buffer: Buffer.from("x"),
  });
  await expect(screen.getByRole("alert")).toContainText("“notes.xyz” is not a file that can be read here.");
  await screen.getByLabel("Choose a file").setInputFiles({
    name: "list.txt",
    mimeType: "text/plain",
    buffer: Buffer.from("1. 1846 - Bell recast\n2. 1872: The long flood\n- A bridge, one day #crossing\n"),
  });
  await expect(screen.getByRole("status")).toHaveText(/3 events.*2 dates understood.*1 without a date/);
  await screen.getByRole("button", { name: "Add 3 events" }).click();
  await expect(cell(page, "when", "The long flood")).toHaveText("1872");
  await expect(cell(page, "category", "A bridge, one day")).toHaveText("Crossing");
});

/** A file of the fixtures, or a text as one. */
const fixture = (name: string) => fileURLToPath(new URL(`../fixtures/bring-in/${name}`, import.meta.url));
const asFile = (name: string, text: string) => ({ name, mimeType: "text/plain", buffer: Buffer.from(text) });

test("a spreadsheet is brought in, and again after changes: what is new, changed and gone is shown before", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  const screen = page.getByRole("dialog", { name: "Bring in a table or a list" });
  const choose = async (file: string | { name: string; mimeType: string; buffer: Buffer }) => {
    await page.getByRole("button", { name: "Bring in", exact: true }).click();
    await screen.getByLabel("Choose a file").setInputFiles(file);
  };
  await choose(fixture("crossings.xlsx"));
  await expect(screen.getByRole("status")).toHaveText(
    /12 events.*10 dates understood.*1 date not understood.*1 without a date/,
  );
  await screen.getByLabel("Sheet").selectOption({ label: "Tolls (2 rows)" });
  await expect(screen.getByRole("status")).toHaveText(/1 event.*1 date understood/);
  await screen.getByLabel("Sheet").selectOption({ label: "Crossings (13 rows)" });
  await screen
    .getByRole("row")
    .filter({ hasText: "No day is known" })
    .getByRole("button", { name: "Make it the opening page" })
    .click();
  await screen.getByRole("button", { name: "Add 11 events" }).click();
  await expect(page.getByText("11 events were brought in.")).toBeVisible();
  await expect(cell(page, "when", "The long night flood")).toHaveText("14 Nov 1872");
  await expect(cell(page, "when", "Two arches lost")).toHaveText("May 1783");
  await saved(page);

  // A table of the same, with one row changed, one new and most gone.
  await choose(
    asFile(
      "crossings.csv",
      "When;Title;Category\n14 Nov 1872;The long night flood;Water\n1846;Bell recast;Town life\n1890;Ferry sold;Trade\n",
    ),
  );
  await expect(screen).toContainText("2 rows are here already");
  await expect(screen).toContainText("1 new, 1 changed");
  await expect(screen.getByRole("row").filter({ hasText: "long night" })).toContainText("changed: category");
  await expect(screen.getByRole("row").filter({ hasText: "Bell recast" })).toContainText("the same");
  await expect(screen.getByRole("row").filter({ hasText: "Ferry sold" })).toContainText("new");
  const takeAway = screen.getByLabel(/Take away 9 events not in the table/);
  await expect(takeAway).not.toBeChecked();
  await takeAway.check();
  await screen.getByRole("button", { name: "Bring up to date, add 1, take away 9" }).click();
  await expect(page.getByText("1 added, 1 changed, 9 taken away.")).toBeVisible();
  await expect(page.getByText("3 events", { exact: true }).first()).toBeVisible();
  await expect(cell(page, "category", "The long night flood")).toHaveText("Water");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("11 events", { exact: true }).first()).toBeVisible();
  await expect(cell(page, "category", "The long night flood")).toHaveText("Weather & water");
  await saved(page);
});

test("a calendar, a family file and a broken workbook: repeats within a time, the living left out, a sentence", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Family");
  const screen = page.getByRole("dialog", { name: "Bring in a table or a list" });
  await page.getByRole("button", { name: "Bring in", exact: true }).click();
  const file = screen.getByLabel("Choose a file");
  await file.setInputFiles(asFile("broken.xlsx", "PK no workbook"));
  await expect(screen.getByRole("alert")).toContainText("cannot be read: it is broken");
  await file.setInputFiles(
    asFile(
      "market.ics",
      "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART;VALUE=DATE:20240501\r\nRRULE:FREQ=MONTHLY\r\nSUMMARY:Market\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n",
    ),
  );
  await expect(screen.getByRole("status")).toContainText("13 events");
  await screen.getByLabel("to", { exact: true }).fill("2024-07-31");
  await screen.getByRole("button", { name: "Unfold again" }).click();
  await expect(screen.getByRole("status")).toContainText("3 events");
  await screen.getByRole("button", { name: "Cancel" }).click();

  await page.getByRole("button", { name: "Bring in", exact: true }).click();
  const year = new Date().getFullYear() - 20;
  await file.setInputFiles(
    asFile(
      "family.ged",
      `0 HEAD\n1 GEDC\n2 VERS 7.0\n0 @I1@ INDI\n1 NAME Ada /Bell/\n1 BIRT\n2 DATE ABT 1840\n1 DEAT Y\n0 @I2@ INDI\n1 NAME Tom /Bell/\n1 BIRT\n2 DATE ${year}\n0 TRLR\n`,
    ),
  );
  await expect(screen.getByRole("status")).toContainText("1 event");
  await screen.getByLabel("1 living person too").check();
  await expect(screen.getByRole("status")).toContainText("2 events");
  await screen.getByLabel("1 living person too").uncheck();
  await expect(screen.getByRole("status")).toHaveText(/^1 event/);
  await screen.getByRole("button", { name: "Add 1 event" }).click();
  await expect(cell(page, "when", "Birth of Ada Bell")).toHaveText("about 1840");
});

test("a table to fill in is saved, filled in and brought in", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Filled in");
  const screen = page.getByRole("dialog", { name: "Bring in a table or a list" });
  await page.getByRole("button", { name: "Bring in", exact: true }).click();
  for (const form of ["spreadsheet (XLSX)", "CSV"]) {
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      screen.getByRole("button", { name: form, exact: true }).click(),
    ]);
    expect(download.suggestedFilename()).toMatch(/^timeline to fill in\.(xlsx|csv)$/);
    const content = readFileSync(await download.path());
    await screen
      .getByLabel("Choose a file")
      .setInputFiles({ name: download.suggestedFilename(), mimeType: "text/plain", buffer: content });
    await expect(screen.getByRole("status")).toHaveText(/5 events.*4 dates understood.*1 without a date/);
    await screen.getByRole("button", { name: "Cancel" }).click();
    await page.getByRole("button", { name: "Bring in", exact: true }).click();
  }
});

test("two-digit years ask for their century once; rows that are too long are named and can be taken away", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Short years");
  const screen = page.getByRole("dialog", { name: "Bring in a table or a list" });
  await page.getByRole("button", { name: "Bring in", exact: true }).click();
  await screen
    .getByLabel("A table or a list")
    .fill(
      `When\tTitle\tDuration\n1.2.85\tBell\t\n72\tFlood\t\n3.5.1846\tFair\t3 days\n1850\t${"long ".repeat(100)}\t\n`,
    );
  await screen.getByRole("button", { name: "Look at it" }).click();
  await expect(screen).toContainText("1 row cannot come in.");
  await expect(screen).toContainText("Row 4: Title has 499 characters; it holds 300.");
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    screen.getByRole("button", { name: "Save them as a file" }).click(),
  ]);
  expect(download.suggestedFilename()).toBe("rows that did not come in.csv");
  await expect(screen.getByRole("status")).toHaveText(/3 events.*1 date understood.*2 dates not understood/);
  await screen.getByLabel("2 years with two digits: in the").selectOption("1800s");
  await expect(screen.getByRole("status")).toHaveText(/3 events.*3 dates understood/);
  await screen.getByRole("button", { name: "Add 3 events" }).click();
  await expect(cell(page, "when", "Bell")).toHaveText("1 Feb 1885");
  await expect(cell(page, "when", "Flood")).toHaveText("1872");
  await expect(cell(page, "when", "Fair")).toHaveText("3 – 6 May 1846");
});

test("a timeline is taken out in every form; what was altered in the table comes back to it, and elsewhere it comes in whole", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Crossings");
  const screen = page.getByRole("dialog", { name: "Bring in a table or a list" });
  await page.getByRole("button", { name: "Bring in", exact: true }).click();
  await screen
    .getByLabel("A table or a list")
    .fill(
      "When\tTitle\tCategory\tSource\n1846\tBell recast\tTown\tParish book\n14 Nov 1872\t=Flood\tWater\t\n1889\tViaduct\tTown\t",
    );
  await screen.getByRole("button", { name: "Look at it" }).click();
  await screen.getByRole("button", { name: "Add 3 events" }).click();
  await saved(page);

  const takeOut = async (form: string, some?: string) => {
    await page.getByRole("button", { name: "Take out" }).click();
    const dialog = page.getByRole("dialog", { name: "Take out" });
    await dialog.getByLabel("As", { exact: true }).selectOption({ label: form });
    if (some) await expect(dialog.getByLabel(some)).toBeChecked();
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      dialog.getByRole("button", { name: "Save", exact: true }).click(),
    ]);
    await expect(dialog).toHaveCount(0);
    await expect(page.getByRole("button", { name: "Take out" })).toBeFocused();
    return { name: download.suggestedFilename(), content: readFileSync(await download.path()) };
  };
  const begins: [string, string, RegExp][] = [
    ["Spreadsheet (XLSX)", "Crossings.xlsx", /^PK/],
    ["Spreadsheet (ODS)", "Crossings.ods", /^PK/],
    ["Table (CSV)", "Crossings.csv", /^\uFEFFWhen,Title,/],
    ["Calendar (iCalendar)", "Crossings.ics", /^BEGIN:VCALENDAR/],
    ["Document (Markdown)", "Crossings.md", /^# Crossings\n\n## 1846: Bell recast\n\nCategory: Town/],
    ["Web page with a table (HTML)", "Crossings.html", /^<!doctype html>/],
    ["Plain text", "Crossings.txt", /^1846: Bell recast\n14 Nov 1872: =Flood\n/],
    ["Everything, to bring in again (JSON)", "Crossings.json", /^\{/],
    ["The chart as a drawing (SVG)", "Crossings.svg", /^<svg/],
  ];
  const files = new Map<string, Buffer>();
  for (const [form, name, begin] of begins) {
    const file = await takeOut(form);
    expect(file.name).toBe(name);
    expect(file.content.toString("utf8")).toMatch(begin);
    files.set(name, file.content);
  }
  expect(files.get("Crossings.csv")!.toString("utf8")).toContain("14 Nov 1872,'=Flood,");

  // Some events: those that are looked at.
  await page.getByLabel("Words to look for").fill("Viaduct");
  await expect(page.getByText("1 of 3")).toBeVisible();
  const some = await takeOut("Plain text", "Those looked at (1)");
  expect(some.content.toString("utf8")).toBe("1889: Viaduct\n");
  await page.getByRole("button", { name: "Show all" }).click();

  // Altered in a spreadsheet, and brought back.
  const altered = files.get("Crossings.csv")!.toString("utf8").replace("1846,Bell recast,", "1847,Bell recast,");
  await page.getByRole("button", { name: "Bring in", exact: true }).click();
  await screen.getByLabel("Choose a file").setInputFiles(asFile("Crossings.csv", altered));
  await expect(screen).toContainText("3 rows are here already");
  await expect(screen).toContainText("0 new, 1 changed");
  await screen.getByRole("button", { name: "Bring up to date" }).click();
  await expect(cell(page, "when", "Bell recast")).toHaveText("1847");
  await expect(page.getByText("3 events", { exact: true }).first()).toBeVisible();

  // Into another timeline it comes as a whole, from a workbook as from JSON.
  for (const [name, made] of [
    ["Crossings.xlsx", "From a workbook"],
    ["Crossings.json", "From JSON"],
  ] as const) {
    await newTimeline(page, made);
    await page.getByRole("button", { name: "Bring in", exact: true }).click();
    await screen
      .getByLabel("Choose a file")
      .setInputFiles({ name, mimeType: "application/octet-stream", buffer: files.get(name)! });
    await expect(screen.getByRole("status")).toHaveText("“Crossings”: 3 events");
    await expect(screen).toContainText("the other one comes in with all it has");
    await screen.getByRole("button", { name: "Add 3 events" }).click();
    await expect(cell(page, "source", "Bell recast")).toHaveText("Parish book");
    await expect(cell(page, "category", "=Flood")).toHaveText("Water");
    await saved(page);
  }
});

test("a file that is dropped on the home page, or chosen there, begins a timeline; cancelled, nothing stays of it", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  const screen = page.getByRole("dialog", { name: "Bring in a table or a list" });
  await page.goto("/");
  await page.getByLabel("From a file").setInputFiles(asFile("notes.xyz", "x"));
  await expect(page.getByRole("main").getByRole("alert")).toContainText(
    "“notes.xyz” is not a file that can be read here.",
  );
  await page
    .getByLabel("From a file")
    .setInputFiles(asFile("ferries.csv", "When,Title\n1604,Rope ferry\n1931,Last ferry\n"));
  await expect(screen).toContainText("ferries.csv · into ferries");
  await screen.getByRole("button", { name: "Cancel" }).click();
  await page.waitForURL((url) => url.pathname === "/");
  await expect(page.getByRole("link", { name: "ferries" })).toHaveCount(0);

  await page.evaluate(() => {
    const data = new DataTransfer();
    data.items.add(new File(["When,Title\n1604,Rope ferry\n1931,Last ferry\n"], "crossings.csv"));
    document.body.dispatchEvent(new DragEvent("drop", { dataTransfer: data, bubbles: true, cancelable: true }));
  });
  await expect(screen).toContainText("crossings.csv · into crossings");
  await screen.getByRole("button", { name: "Add 2 events" }).click();
  await expect(cell(page, "when", "Rope ferry")).toHaveText("1604");
  await saved(page);
  await page.reload();
  await expect(screen).toHaveCount(0);
  await expect(row(page, "Last ferry")).toBeVisible();
});

test("a table at a web address is fetched, fetched again it is compared; pictures it names are fetched, those that fail are named", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Ferries");
  const screen = page.getByRole("dialog", { name: "Bring in a table or a list" });
  const address = screen.getByLabel(/^Or the web address of a table/);
  await page.getByRole("button", { name: "Bring in", exact: true }).click();
  await address.fill("http://10.0.0.1/x.csv");
  await screen.getByRole("button", { name: "Fetch it" }).click();
  await expect(screen.getByRole("alert")).toContainText("leads into a private network");
  await address.fill(`${process.env.E2E_PICTURE_SITE}/crossings.csv`);
  await screen.getByRole("button", { name: "Fetch it" }).click();
  await expect(screen).toContainText("crossings.csv · into Ferries");
  await screen.getByRole("button", { name: "Add 2 events" }).click();
  await saved(page);

  await page.getByRole("button", { name: "Bring in", exact: true }).click();
  await expect(address).toHaveValue(`${process.env.E2E_PICTURE_SITE}/crossings.csv`);
  await address.fill(`${process.env.E2E_PICTURE_SITE}/crossings`);
  await screen.getByRole("button", { name: "Fetch it" }).click();
  await expect(screen).toContainText("2 rows are here already");
  await expect(screen.getByRole("row").filter({ hasText: "Last ferry" })).toContainText("changed: date");
  await screen.getByRole("button", { name: "Bring up to date" }).click();
  await expect(cell(page, "when", "Last ferry")).toHaveText("1932");
  await saved(page);

  await page.getByRole("button", { name: "Bring in", exact: true }).click();
  const site = process.env.E2E_PICTURE_SITE;
  await screen
    .getByLabel("A table or a list")
    .fill(`When\tTitle\tPicture\tCredit\n1700\tFerry\t${site}/ferry.png\tR. Hale\n1701\tQuay\t${site}/none.png\t\n`);
  await screen.getByRole("button", { name: "Look at it" }).click();
  await expect(screen.getByRole("status")).toContainText("2 pictures to fetch");
  await screen.getByRole("button", { name: "Add 2 events" }).click();
  await expect(
    page.getByText(/1 picture could not be fetched; the address is kept as links?\..*none\.png/),
  ).toBeVisible();
  await expect(cell(page, "media", "Ferry")).toHaveText("1 picture");
  await expect(cell(page, "media", "Quay")).toHaveText("");
  await saved(page);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(row(page, "Quay")).toHaveCount(0);
});

test("a table is stopped half way and nothing is there; two people bring in at once and both have everything", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  const address = await newTimeline(page, "Crossings");
  const { page: join } = await invited(browser, page, address);
  const rows = (from: number, count: number) =>
    Array.from({ length: count }, (_, i) => `${from + i}\tEvent ${from + i}`).join("\n");
  const bring = async (p: Page, text: string) => {
    await p.getByRole("button", { name: "Bring in", exact: true }).click();
    const screen = p.getByRole("dialog", { name: "Bring in a table or a list" });
    await screen.getByLabel("Choose a file").setInputFiles(asFile("rows.tsv", text));
    await expect(screen.getByRole("button", { name: /^Add [\d,]+ events?$/ })).toBeEnabled();
    return screen;
  };
  const large = await bring(page, rows(1, 9_000));
  // Pressed by the page itself as soon as it is there: a quick machine would have finished first.
  const addAnd = (next: string) =>
    large.evaluate((dialog, wish) => {
      const press = (name: string) => {
        const found = [...dialog.querySelectorAll("button")].find((b) => b.textContent === name);
        found?.click();
        return found !== undefined;
      };
      const seen = new MutationObserver(() => press(wish) && seen.disconnect());
      seen.observe(dialog, { childList: true, subtree: true });
      press("Add 9,000 events");
    }, next);
  await addAnd("Stop");
  await expect(large.getByRole("button", { name: "Add 9,000 events" })).toBeEnabled();
  // To leave the screen stops it too.
  await addAnd("Cancel");
  await expect(large).toHaveCount(0);
  await bring(page, "1846\tBell").then((s) => s.getByRole("button", { name: "Cancel" }).click());
  await expect(page.getByText("0 events", { exact: true }).first()).toBeVisible();

  const [one, two] = [await bring(page, rows(1000, 20)), await bring(join, rows(1500, 30))];
  await Promise.all([
    one.getByRole("button", { name: "Add 20 events" }).click(),
    two.getByRole("button", { name: "Add 30 events" }).click(),
  ]);
  for (const p of [page, join]) {
    await expect(p.getByText("50 events", { exact: true }).first()).toBeVisible();
    await saved(p);
  }
});

test("the events of another timeline of one's own are brought in, and taken out by one undo", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Ferries");
  await writeLines(page, ["1604 Rope ferry #crossing", "1931 Last ferry"]);
  await saved(page);
  await newTimeline(page, "Empty one");
  await newTimeline(page, "Everything");
  const screen = page.getByRole("dialog", { name: "Bring in a table or a list" });
  await page.getByRole("button", { name: "Bring in", exact: true }).click();
  await screen.getByLabel("Or another timeline of yours").selectOption({ label: "Empty one" });
  await screen.getByRole("button", { name: "Bring its events in" }).click();
  await expect(screen.getByText("There is no event in that timeline.")).toBeVisible();
  await screen.getByLabel("Or another timeline of yours").selectOption({ label: "Ferries" });
  await screen.getByRole("button", { name: "Bring its events in" }).click();
  await expect(page.getByText("2 events came in from “Ferries”.")).toBeVisible();
  await expect(cell(page, "category", "Rope ferry")).toHaveText("Crossing");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(row(page, "Rope ferry")).toHaveCount(0);
  await saved(page);
  await page.reload();
  await expect(page.getByText("0 events", { exact: true }).first()).toBeVisible();
});
