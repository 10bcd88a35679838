import { readFile } from "node:fs/promises";
import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { assignmentBody, school } from "./attack/actor";
import { browserOf } from "./harness/classes";
import { chartButton, newPerson, newTimeline, saved, serverUrl, writeLines } from "./harness/people";

test("work comes back to improve and is handed in again; both are side by side at the desk", async ({ browser }) => {
  const s = await school(serverUrl());
  const nia = await s.pupil("Nia");
  const desk = await browserOf(browser, s.teacher);
  const page = await browserOf(browser, nia);
  await page.goto(`/assignments/${s.assignment}`);
  await expect(page.getByText("Your teacher can look at your draft")).toBeVisible();
  await page.getByRole("button", { name: "Begin" }).click();
  await writeLines(page, ["1604 Rope ferry"]);
  await saved(page);

  // Its teacher looks at the draft.
  await desk.goto(`/assignments/${s.assignment}`);
  const [draft] = await Promise.all([
    desk.context().waitForEvent("page"),
    desk.getByRole("link", { name: "Look at the draft" }).click(),
  ]);
  await expect(draft.getByText("This is the draft as it stands now.")).toBeVisible();
  await draft.getByRole("link", { name: "Open the chart" }).first().click();
  await expect(draft.getByRole("button", { name: /Rope ferry/ })).toBeVisible();
  await draft.close();

  // The due time and what is asked are altered; who has begun is told at once, and on the first page.
  await desk.getByRole("link", { name: "Edit" }).click();
  await expect(desk.getByText("Some have begun, so these stay as they are.")).toBeVisible();
  await desk.getByLabel("Due").fill("2031-07-11T16:00");
  await desk.getByLabel("Events, at least").fill("2");
  await desk.getByRole("button", { name: "Save the changes" }).click();
  await expect(desk.getByText("due Fri 11 Jul 2031, 16:00")).toBeVisible();
  await expect(page.getByText("Your teacher has changed the assignment.")).toBeVisible();
  const check = page.getByRole("region", { name: "Ready check" });
  await check.getByRole("button", { name: "The task" }).click();
  const task = page.getByRole("complementary", { name: "Crossing project" });
  await expect(task).toContainText("due Fri 11 Jul 2031, 16:00");
  await expect(task).toContainText("Your teacher can look at this timeline at any time");
  await page.keyboard.press("Escape");
  await check.getByRole("button", { name: "Submit", exact: true }).click();
  const asIs = page.getByRole("button", { name: "Submit as it is" });
  await asIs.or(page.getByTestId("receipt")).first().waitFor();
  if (await asIs.isVisible()) await asIs.click();
  await expect(page.getByTestId("receipt")).toBeVisible();
  await page.keyboard.press("Escape");

  // What waits stands on the teacher's first page.
  await desk.goto("/");
  const aside = desk.getByRole("complementary", { name: "Classes and work" });
  await expect(aside).toContainText("1 to mark");
  await aside.getByRole("link", { name: "Crossing project" }).click();
  const marking = desk.getByRole("complementary", { name: "Marking" });
  await marking.getByLabel("Points of 20").fill("8");
  await marking.getByLabel("Comment on the whole").fill("When did it end?");
  await expect(marking.getByText("Saved", { exact: true })).toBeVisible();
  await marking.getByRole("button", { name: "Return to improve" }).click();
  await expect(marking.getByText("it can be handed in again")).toBeVisible();

  await expect(check.getByRole("button", { name: "Returned to improve: 8 of 20" })).toBeVisible();
  await writeLines(page, ["1931 Last crossing"]);
  await saved(page);
  await check.getByRole("button", { name: "Submit again" }).click();
  await asIs.or(page.getByTestId("receipt")).first().waitFor();
  if (await asIs.isVisible()) await asIs.click();
  await expect(page.getByTestId("receipt")).toContainText("in time");
  await page.keyboard.press("Escape");

  await expect(desk.getByTestId("groups")).toContainText("Submitted again");
  await desk.getByTestId("groups").getByRole("link", { name: "Nia" }).click();
  await expect(marking).toContainText("Handed in again.");
  await expect(marking).toContainText("8 of 20");
  await expect(marking).toContainText("When did it end?");
  const both = desk.getByRole("region", { name: "As submitted" });
  // What changed is on one chart, its key naming the states; or both lie beside each other.
  const changes = both.getByRole("img", { name: "What changed since the time before" });
  await expect(changes).toContainText("Last crossing");
  for (const state of ["New", "Changed", "No longer there", "As before"])
    await expect(both.getByRole("listitem").filter({ hasText: new RegExp(`^ ?${state}$`) })).toBeVisible();
  await both.getByRole("button", { name: "Beside each other" }).click();
  await expect(changes).toHaveCount(0);
  await expect(both.getByRole("heading", { name: /^Before/ })).toBeVisible();
  await expect(both.getByRole("heading", { name: /^Now/ })).toBeVisible();
  const events = both.getByRole("list", { name: "Events" }).getByRole("listitem");
  await expect(events.filter({ hasText: "Last crossing" })).toContainText("new");
  await expect(events.filter({ hasText: "Rope ferry" })).not.toContainText("new");
  await expect(marking.getByLabel("Points of 20")).toHaveValue("");
  // The student reads of the change on the first page, until it is read.
  await page.goto("/");
  await expect(page.getByRole("region", { name: "About your account" })).toContainText(
    "it is due Fri 11 Jul 2031, 16:00",
  );
});

test("a class says its times in its teacher's zone; two of one name are told apart; a student is taken out", async ({
  browser,
}) => {
  const context = await browser.newContext({
    baseURL: serverUrl(),
    timezoneId: "America/New_York",
    viewport: { width: 1280, height: 800 },
    reducedMotion: "reduce",
  });
  const desk = await context.newPage();
  await desk.goto("/sign-up");
  await desk.getByLabel("Display name").fill("Ms Ward");
  await desk.getByLabel("E-mail").fill(`ward-${process.pid}-${Date.now()}@hollinbank.example`);
  await desk.getByLabel("Password").fill("over-the-ambrel");
  await desk.getByRole("button", { name: "Sign up" }).click();
  await desk.getByRole("link", { name: "New class" }).click();
  await desk.getByLabel("Name of the class").fill("History 9A");
  await desk.getByRole("button", { name: "Make the class" }).click();
  await expect(desk.getByLabel("Times are those of")).toHaveValue("America/New_York");
  const address = desk.url();
  const code = await desk.getByTestId("join-code").innerText();
  await desk.getByRole("link", { name: "New assignment" }).click();
  await expect(desk.getByText("In the time of the class, America/New York.")).toBeVisible();
  await desk.getByLabel("Title", { exact: true }).fill("Crossings");
  await desk.getByLabel("Due").fill("2031-07-11T16:00");
  await desk.getByLabel("Add a requirement").selectOption({ label: "Categories" });
  await desk.getByLabel("Categories, commas between").fill("Trade, Crossing");
  await desk.getByRole("button", { name: "Set the assignment" }).click();
  await expect(desk.getByText("due Fri 11 Jul 2031, 16:00 GMT-4")).toBeVisible();

  // Two of one name; one brings a timeline of her own, wherever her browser is.
  const names: string[] = [];
  for (const zone of ["Asia/Tokyo", "Europe/Berlin"]) {
    const c = await browser.newContext({
      baseURL: serverUrl(),
      timezoneId: zone,
      viewport: { width: 1280, height: 800 },
      reducedMotion: "reduce",
    });
    const page = await c.newPage();
    await page.goto("/join-class");
    await page.getByLabel("Code of the class").fill(code);
    await page.getByLabel("Display name").fill("Nia");
    await page.getByLabel("Password").fill("over-the-ambrel");
    await page.getByRole("button", { name: "Join the class" }).click();
    names.push(await page.getByTestId("sign-in-name").innerText());
    await page.getByRole("button", { name: "I have written it down" }).click();
    await expect(page.getByText("due Fri 11 Jul 2031, 16:00 GMT-4")).toBeVisible();
    if (zone === "Asia/Tokyo") {
      await newTimeline(page, "Ferries");
      await writeLines(page, ["1604 Rope ferry"]);
      await saved(page);
      await page.goto("/");
      await page.getByRole("link", { name: "Crossings" }).click();
      await page.getByLabel("Or use a timeline you have").selectOption({ label: "Ferries" });
      await page.getByRole("button", { name: "Use it" }).click();
      await expect(chartButton(page, /Rope ferry/)).toBeVisible();
      const key = page.getByRole("list", { name: "Categories shown" });
      await expect(key).toContainText("Trade");
      await expect(key).toContainText("Crossing");
      await expect(page.getByRole("region", { name: "Ready check" })).toContainText("“Trade”, “Crossing” not in use");
    }
  }
  await desk.goto(address);
  const students = desk.getByRole("region", { name: "Students" }).getByRole("listitem");
  await students
    .filter({ hasText: names[1]! })
    .getByLabel(/^Note to tell Nia/)
    .fill("by the window");
  await desk.keyboard.press("Tab");
  await desk.getByRole("link", { name: "Crossings" }).click();
  await expect(desk.getByTestId("groups")).toContainText(`Nia (${names[0]})`);
  await expect(desk.getByTestId("groups")).toContainText("Nia (by the window)");
  await desk.goto(address);
  await students.filter({ hasText: names[1]! }).getByRole("button", { name: "Remove" }).click();
  await desk.getByRole("button", { name: "Take out of the class" }).click();
  await expect(desk.getByRole("heading", { name: "1 student" })).toBeVisible();
});

test("what was published says when, in its author's time", async ({ browser }) => {
  const nia = await newPerson(browser, "Nia");
  await newTimeline(nia.page, "Ferries");
  await writeLines(nia.page, ["1604 Rope ferry"]);
  await saved(nia.page);
  await nia.page.getByRole("button", { name: "Share" }).click();
  await nia.page.getByRole("button", { name: "Publish", exact: true }).click();
  await expect(nia.page.getByText(/^Published – version of \w{3} \d+ \w{3} \d{4}, \d\d:\d\d \w+/)).toBeVisible();
  const link = await nia.page.getByLabel("Link to the published page").inputValue();
  await nia.page.goto(link);
  await expect(nia.page.getByText(/^Published \w{3} \d+ \w{3} \d{4}, \d\d:\d\d \w+ with/)).toBeVisible();
});

test("what a class keeps of a student goes out as a file and is destroyed; no student's name stands on what is published", async ({
  browser,
}) => {
  const ward = await newPerson(browser, "Ms Ward");
  const wren = await newPerson(browser, "Wren");
  const made = await ward.context.request.post("/api/classes", { data: { name: "History 8B" } });
  const { id } = (await made.json()) as { id: string };
  const desk = ward.page;
  await desk.goto(`/classes/${id}`);
  const code = await desk.getByTestId("join-code").innerText();
  await wren.context.request.post("/api/classes/join-as-me", { data: { code } });
  const set = await ward.context.request.post("/api/assignments", { data: assignmentBody(id) });
  const { id: assignment } = (await set.json()) as { id: string };
  const pupil = wren.page;
  await pupil.goto(`/assignments/${assignment}`);
  await pupil.getByRole("button", { name: "Begin" }).click();
  await writeLines(pupil, ["1744 Timber bridge"]);
  await pupil.getByRole("button", { name: "About", exact: true }).click();
  await pupil.getByLabel("By-line").fill("by Wren");
  await pupil.keyboard.press("Tab");
  await saved(pupil);
  await pupil.getByRole("button", { name: "Share" }).click();
  const share = pupil.getByRole("dialog", { name: "Share" });
  await share.getByRole("button", { name: "Publish" }).click();
  await expect(share.getByText(/The class wants nobody’s name on what is published/)).toBeVisible();
  await pupil.keyboard.press("Escape");
  await pupil.getByLabel("By-line").fill("The ferrymen");
  await pupil.keyboard.press("Tab");
  await saved(pupil);
  await pupil.getByRole("button", { name: "Share" }).click();
  await share.getByRole("button", { name: "Publish" }).click();
  await expect(share.getByLabel("Link to the published page")).toBeVisible();
  await pupil.keyboard.press("Escape");
  expect((await wren.context.request.post(`/api/timelines/${pupil.url().split("/").at(-1)}/submission`)).status()).toBe(
    200,
  );

  await desk.reload();
  await desk.getByRole("button", { name: "Remove", exact: true }).first().click();
  const dialog = desk.getByRole("dialog", { name: "Take Wren out of the class?" });
  const download = desk.waitForEvent("download");
  await dialog.getByRole("link", { name: "All of it as a file" }).click();
  const kept = JSON.parse(await readFile(await (await download).path(), "utf8")) as { submissions: unknown[] };
  expect(kept.submissions).toHaveLength(1);
  await dialog.getByRole("button", { name: "Destroy what is kept" }).click();
  await dialog.getByRole("button", { name: "Destroy what is kept of Wren, for good" }).click();
  await expect(desk.getByText("Nobody has joined yet.")).toBeVisible();
  await desk.goto(`/assignments/${assignment}`);
  await expect(desk.getByRole("link", { name: "Wren" })).toHaveCount(0);
  await pupil.goto("/");
  await expect(pupil.getByText(/keeps nothing of you any more/)).toBeVisible();
  await expect(pupil.getByRole("link", { name: "Crossing project" }).first()).toBeVisible();
});
