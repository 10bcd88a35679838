import { expect, test } from "@playwright/test";
import { cell, row } from "./harness/ledger";
import { chartButton, newPerson, newTimeline, saved } from "./harness/people";

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
  await expect(screen).toContainText("it was read as Windows-1252");
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
  await expect(screen.getByRole("alert")).toContainText("“notes.xyz” is not a file this can read yet.");
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
