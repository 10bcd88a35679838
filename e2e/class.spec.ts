import { warmBrowser } from "./harness/warm";
import { type Browser, type BrowserContext, expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { firstAnswerLate } from "./harness/late";
import { chartButton, newPerson, newTimeline, saved, serverUrl, writeLines, visitor } from "./harness/people";

/** Everything a browser was sent, to be searched for what it must not know. */
function recordAll(context: BrowserContext): { text: () => Promise<string> } {
  const bodies: Promise<string>[] = [];
  context.on("response", (r) => {
    if (/\/_next\/static\//.test(r.url()) || r.url().endsWith("/api/live")) return;
    bodies.push(r.text().catch(() => ""));
  });
  return { text: async () => (await Promise.all(bodies)).join("\n") };
}

async function joinClass(
  browser: Browser,
  code: string,
  name: string,
): Promise<{ context: BrowserContext; page: Page; signInName: string; received: { text: () => Promise<string> } }> {
  const { context, page } = await warmBrowser(browser, serverUrl());
  const received = recordAll(context);
  await page.goto("/");
  await page.getByRole("link", { name: "Join a class" }).click();
  await page.getByLabel("Code of the class").fill(code);
  await page.getByLabel("Display name").fill(name);
  await page.getByLabel("Password").fill("over-the-ambrel");
  await page.getByRole("button", { name: "Join the class" }).click();
  const signInName = await page.getByTestId("sign-in-name").innerText();
  await page.getByRole("button", { name: "I have written it down" }).click();
  await expect(page.getByRole("heading", { name: "History 8B" })).toBeVisible();
  return { context, page, signInName, received };
}

test("a class, an assignment, three students, submitted, marked and returned", async ({ browser }) => {
  test.setTimeout(900_000);
  const teacher = await newPerson(browser, "Ms Ward");
  const desk = teacher.page;
  await desk.goto("/");
  await desk.getByRole("link", { name: "New class" }).click();
  await desk.getByLabel("Name of the class").fill("History 8B");
  await desk.getByRole("button", { name: "Make the class" }).click();
  const code = await desk.getByTestId("join-code").innerText();

  await desk.getByRole("link", { name: "New assignment" }).click();
  await desk.getByLabel("Title", { exact: true }).fill("Crossing project");
  await desk.getByRole("textbox", { name: "Instructions" }).fill("How was the river crossed?");
  const due = new Date(Date.now() + 3 * 86_400_000);
  await desk.getByLabel("Due").fill(`${due.toISOString().slice(0, 10)}T16:00`);
  await desk.getByLabel("Period").fill("1600 - 1931");
  await desk.getByLabel("Events, at least").fill("3");
  await desk.getByRole("button", { name: "Add a given event" }).click();
  await desk.getByLabel("Given event 1: title").fill("The bell is recast");
  await desk.getByLabel("Given event 1: right date").fill("17 Aug 1851");
  await desk.getByRole("button", { name: "Add a given event" }).click();
  await desk.getByLabel("Given event 2: title").fill("The viaduct opens");
  await desk.getByLabel("Given event 2: right date").fill("Jul 1889");
  await desk.getByLabel("Given event 2: how it is given").selectOption("locked");
  const seen = desk.getByRole("complementary", { name: "As a student sees it" });
  await expect(seen).toContainText("At least 3 events");
  await expect(seen).toContainText("Every event with a source");
  await expect(seen).toContainText("The bell is recast – find its date");
  await expect(seen).toContainText("The viaduct opens (Jul 1889)");
  await desk.getByRole("button", { name: "Set the assignment" }).click();
  await expect(desk.getByRole("heading", { name: "Where every group stands" })).toBeVisible();

  // Three students join; two of them have the same display name.
  const nia = await joinClass(browser, code, "Nia");
  const obi = await joinClass(browser, code, "Obi");
  const other = await joinClass(browser, code, "Nia");
  expect(nia.signInName).not.toBe(other.signInName);

  await nia.page.getByRole("link", { name: "Crossing project" }).click();
  await nia.page.getByRole("button", { name: "Begin" }).click();
  await expect(chartButton(nia.page, /Jul 1889, The viaduct opens/)).toBeVisible();
  await expect(chartButton(nia.page, /No date, The bell is recast/)).toBeVisible();
  // The teacher's table shows it without a reload.
  const groups = desk.getByTestId("groups");
  await expect(groups.getByRole("row").filter({ hasText: "Working" })).toContainText("2 of 3");

  const check = nia.page.getByRole("region", { name: "Ready check" });
  await expect(check).toContainText("1 more event");
  await check.getByRole("button", { name: /Due/ }).click();
  const panel = nia.page.getByRole("complementary", { name: "Crossing project" });
  await panel.getByLabel("Classmate").selectOption({ label: "Obi" });
  await panel.getByRole("button", { name: "Take into the group" }).click();
  await expect(panel).toContainText("Nia, Obi");
  await nia.page.keyboard.press("Escape");

  // Both write at once.
  await obi.page.goto("/");
  await obi.page
    .getByRole("complementary", { name: "Classes and work" })
    .getByRole("link", { name: "Crossing project" })
    .click();
  await writeLines(obi.page, ["about 1604 Rope ferry #crossing"]);
  await expect(chartButton(nia.page, /Rope ferry/)).toBeVisible();
  await expect(check).toContainText("3 without a source");
  await nia.page.getByRole("button", { name: /Sources/ }).click();
  const sheet = nia.page.getByRole("complementary", { name: /^Event/ });
  for (let i = 0; i < 3; i++) {
    await sheet.getByRole("button", { name: "Add a source" }).click();
    await sheet.getByLabel("Source", { exact: true }).fill("County roll 12");
    if (i < 2) await check.getByRole("button", { name: /Sources/ }).click();
  }
  await expect(check).not.toContainText("without a source");
  // The bell: their answer is right to the year only.
  await chartButton(nia.page, /The bell is recast/).click();
  await expect(sheet.getByText("Given by your teacher: find its date.")).toBeVisible();
  await sheet.getByLabel("When").fill("1850s");
  await sheet.getByLabel("When").press("Enter");
  await expect(chartButton(nia.page, /1850s, The bell is recast/)).toBeVisible();
  await chartButton(nia.page, /The viaduct opens/).click();
  await expect(sheet.getByText("title and date stay as they are")).toBeVisible();
  await expect(sheet.getByRole("button", { name: "Delete", exact: true })).toHaveCount(0);
  await saved(nia.page);
  await nia.page.keyboard.press("Escape");

  // Submitted, taken back, submitted again.
  await check.getByRole("button", { name: "Submit" }).click();
  const receipt = nia.page.getByTestId("receipt");
  await expect(receipt).toContainText("in time");
  const hash = (await receipt.innerText()).match(/[0-9a-f]{64}/)![0];
  await nia.page.keyboard.press("Escape");
  await expect(obi.page.getByRole("region", { name: "Ready check" })).toContainText("Submitted");
  await check.getByRole("button", { name: "Take it back" }).click();
  await check.getByRole("button", { name: "Submit" }).click();
  await expect(receipt).toBeVisible();
  expect((await receipt.innerText()).match(/[0-9a-f]{64}/)![0]).toMatch(/^[0-9a-f]{64}$/);
  expect(hash).toHaveLength(64);
  await nia.page.keyboard.press("Escape");
  await writeLines(obi.page, ["1931 Last crossing"]);

  // The third works alone and hands in what is not complete.
  await other.page.getByRole("link", { name: "Crossing project" }).click();
  await other.page.getByRole("button", { name: "Begin" }).click();
  const otherCheck = other.page.getByRole("region", { name: "Ready check" });
  await otherCheck.getByRole("button", { name: "Submit" }).click();
  await expect(other.page.getByRole("dialog")).toContainText("1 more event");
  await other.page.getByRole("button", { name: "Submit as it is" }).click();
  await expect(other.page.getByTestId("receipt")).toBeVisible();
  await other.page.keyboard.press("Escape");

  // Marked by keyboard alone.
  await expect(groups.getByRole("row").filter({ hasText: "Submitted" })).toHaveCount(2);
  await desk.keyboard.press("Alt+ArrowDown");
  const marking = desk.getByRole("complementary", { name: "Marking" });
  await expect(marking.getByRole("heading", { name: `Nia (${nia.signInName}), Obi` })).toBeVisible();
  await expect(marking).toContainText("edited since: yes");
  await expect(marking).toContainText("right but less exact");
  await expect(marking).toContainText("1850s – right is 17 Aug 1851");
  const tabTo = async (label: string) => {
    for (let i = 0; i < 60; i++) {
      if (
        await desk.evaluate(
          (text) =>
            (document.activeElement as HTMLInputElement | null)?.labels?.[0]?.textContent?.includes(text) ||
            document.activeElement?.textContent === text,
          label,
        )
      )
        return;
      await desk.keyboard.press("Tab");
    }
    throw new Error(`Tab never reached ${label}`);
  };
  // Every event is there as it was written, beside the field for the comment on it.
  const handedIn = desk.getByRole("region", { name: "As submitted" });
  await expect(handedIn.getByRole("listitem").filter({ hasText: "Rope ferry" })).toContainText(
    "Source: County roll 12",
  );
  await tabTo("Comment on Rope ferry");
  await desk.keyboard.type("Which roll, which line?");
  await tabTo("Points of 20");
  await desk.keyboard.type("17");
  await tabTo("Comment on the whole");
  await desk.keyboard.type("Say how you know the ferry's year.");
  await expect(marking.getByText("Saved", { exact: true })).toBeVisible();
  await desk.keyboard.press("Alt+ArrowDown");
  await expect(marking.getByRole("heading", { name: `Nia (${other.signInName})` })).toBeVisible();
  await tabTo("Points of 20");
  await desk.keyboard.type("25");
  await expect(marking.getByText("must lie between 0 and 20")).toBeVisible();
  await desk.keyboard.press("Control+a");
  await desk.keyboard.type("4");
  await expect(marking.getByText("Saved", { exact: true })).toBeVisible();
  await expect(groups.getByRole("row").filter({ hasText: "Marked" })).toHaveCount(2);

  // Nothing of the right date has reached a student's browser so far: not by pages, answers, history or exports.
  const timeline = new URL(nia.page.url()).pathname;
  const exports = await nia.context.newPage();
  await exports.goto(`${timeline}/reader`);
  await exports.goto((await nia.page.request.get(`/api${timeline}/changes?after=0`)).url());
  const { copy } = (await (await nia.page.request.post(`/api${timeline}/frozen-copies`)).json()) as {
    copy: { address: string };
  };
  expect(await (await nia.page.request.get(`/f/${copy.address}/file`)).text()).not.toContain("1851");
  await exports.goto(`/f/${copy.address}`);
  await exports.close();
  for (const student of [nia, obi, other]) {
    await student.page.getByRole("button", { name: "History" }).click();
    await expect(
      student.page.getByRole("complementary", { name: "History" }).getByRole("listitem").first(),
    ).toBeVisible();
    const history = student.page.getByRole("complementary", { name: "History" });
    await history.getByRole("button", { name: "Single steps" }).last().click();
    await expect(history.getByText("added “The bell is recast”")).toBeVisible();
    const text = await student.received.text();
    expect(text).toContain("The bell is recast");
    for (const trace of ["17 Aug 1851", "1851-08-17", "1851"]) expect(text).not.toContain(trace);
  }

  // As submitted: the event written afterwards is not in it.
  await desk.keyboard.press("Alt+ArrowUp");
  const [reader] = await Promise.all([
    teacher.context.waitForEvent("page"),
    desk.getByRole("link", { name: "Chart and read view as submitted" }).click(),
  ]);
  await expect(reader.getByText(/^As submitted by/)).toBeVisible();
  await reader.getByRole("link", { name: "Read", exact: true }).click();
  await expect(
    reader
      .getByRole("heading", { name: "Rope ferry" })
      .or(reader.getByRole("heading", { name: "The viaduct opens" }))
      .first(),
  ).toBeVisible();
  await expect(reader.getByRole("heading", { name: "Last crossing" })).toHaveCount(0);

  await tabTo("Return all marked");
  await desk.keyboard.press("Enter");
  await expect(desk.getByText("2 returned")).toBeVisible();
  const download = desk.waitForEvent("download");
  await desk.getByRole("link", { name: "Marks as a spreadsheet" }).click();
  const stream = await (await download).createReadStream();
  const csv = Buffer.concat(await stream.toArray()).toString("utf8");
  expect(csv).toContain(`Obi,"Nia (${nia.signInName}), Obi",returned`);
  expect(csv).toMatch(/,17,20\r\n/);

  // The students read it beside their events, without a reload.
  await expect(check.getByRole("button", { name: "Returned: 17 of 20" })).toBeVisible();
  await check.getByRole("button", { name: "Returned: 17 of 20" }).click();
  await expect(panel).toContainText("Say how you know the ferry's year.");
  await expect(panel).toContainText("right but less exact – right is 17 Aug 1851");
  await panel.getByRole("button", { name: "Rope ferry" }).click();
  await expect(sheet.getByText("Which roll, which line?")).toBeVisible();
  await other.page.goto("/");
  await expect(other.page.getByRole("complementary", { name: "Classes and work" })).toContainText("4 of 20");

  // A lost password.
  await desk.goto("/");
  await desk.getByRole("link", { name: "History 8B" }).click();
  const row = desk.getByRole("listitem").filter({ hasText: obi.signInName });
  await row.getByRole("button", { name: "Password lost" }).click();
  const oneTime = (await row.getByRole("status").innerText()).match(/code ([a-z0-9]{10})/)![1]!;
  const again = await visitor(browser);
  await again.goto("/sign-in");
  await again.getByRole("link", { name: "Set a new password" }).click();
  await expect(again.getByRole("heading", { name: "New password" })).toBeVisible();
  await again.getByLabel("Sign-in name", { exact: true }).fill(obi.signInName);
  await again.getByLabel("Code from your teacher").fill(oneTime);
  await again.getByLabel("New password").fill("under-the-ambrel");
  await again.getByRole("button", { name: "Set the password" }).click();
  await expect(again.getByRole("heading", { name: "Your timelines" })).toBeVisible();
});

test("without a class: a frozen, dated copy by its own link and as a file, whatever happens afterwards", async ({
  browser,
}) => {
  const nia = await newPerson(browser, "Nia");
  await newTimeline(nia.page, "Ferries");
  await writeLines(nia.page, ["1604 Rope ferry"]);
  await saved(nia.page);
  // The first look at which copies there are is answered last, of a time when there was none.
  const answer = await firstAnswerLate(nia.page, "**/frozen-copies");
  await nia.page.getByRole("button", { name: "Share" }).click();
  await nia.page.getByRole("button", { name: "Make a frozen copy" }).click();
  const copy = nia.page.getByTestId("frozen-copy");
  const link = await copy.getByLabel(/^Frozen/).inputValue();
  await answer();
  await expect(copy).toHaveCount(1, { timeout: 1_000 });
  // On a phone nothing of it stands beyond the dialog's edge.
  await nia.page.setViewportSize({ width: 390, height: 844 });
  expect(await copy.evaluate((e) => e.scrollWidth - e.clientWidth)).toBe(0);
  await nia.page.setViewportSize({ width: 1280, height: 800 });
  const page = await visitor(browser);
  const file = async () => (await page.request.get(`${link}/file`)).text();
  const before = await file();
  expect(before).toContain("Rope ferry");
  await nia.page.keyboard.press("Escape");
  await writeLines(nia.page, ["1931 Last crossing"]);
  await saved(nia.page);
  expect(await file()).toBe(before);
  await page.goto(link);
  await expect(page.getByText(/^A frozen copy of/)).toBeVisible();
  await page.getByRole("link", { name: "Open the chart" }).first().click();
  await expect(page.getByRole("button", { name: /Rope ferry/ })).toBeVisible();
  await nia.page.getByRole("button", { name: "Share" }).click();
  await copy.getByRole("button", { name: "Close the link" }).click();
  await expect(copy).toHaveCount(0);
  expect((await page.request.get(link)).status()).toBe(410);
  expect((await page.request.get(`${link}/file`)).status()).toBe(404);
});
