import { expect, type Page } from "@playwright/test";
import { nothingFound } from "./harness/axe";
import { firstAnswerLate } from "./harness/late";
import { test } from "./harness/test";
import { readFile } from "node:fs/promises";
import { classOf, shortAssignment } from "./harness/classes";
import { chartButton, newPerson, type Person, saved, writeLines, visitor } from "./harness/people";

const dialog = (page: Page, name: string) => page.getByRole("dialog", { name });

test("students come out of a list with slips, sign in with their code, and a colleague and an assistant join their teacher", async ({
  browser,
}) => {
  const { ward, id } = await classOf(browser);
  const desk = ward.page;
  await desk.reload();
  await desk.getByRole("button", { name: "Add students from a list" }).click();
  const list = dialog(desk, "Add students from a list");
  await list.getByLabel("Names").fill("Ada, Ada Byron\nJonas\njonas\n, nobody\nMila");
  await expect(list.getByText("3 students to add")).toBeVisible();
  await expect(list.getByText(/Twice in the list, and taken once: “jonas” \(line 3\)/)).toBeVisible();
  await expect(list.getByText(/No name: “, nobody” \(line 4\)/)).toBeVisible();
  // A school's own export, with two classes in it.
  const users =
    "sourcedId,status,role,givenName,familyName\nu1,,student,Ada,Byron\nu2,,student,Bo,Reed\nu3,,teacher,Iris,Ward\n";
  const enrollments = "sourcedId,status,classSourcedId,userSourcedId,role\ne1,,8B,u1,student\ne2,,8A,u2,student\n";
  const file = (name: string, text: string) => ({ name, mimeType: "text/csv", buffer: Buffer.from(text) });
  await list
    .getByLabel("Files of a OneRoster export")
    .setInputFiles([file("users.csv", users), file("enrollments.csv", enrollments)]);
  await expect(list.getByText("1 student to add")).toBeVisible();
  await list.getByLabel("Which class of the export").selectOption({ label: "8A (1)" });
  await expect(list.getByText("Bo R.")).toBeVisible();
  await list.getByLabel("Files of a OneRoster export").setInputFiles([file("users.csv", "a,b\n1,2")]);
  await expect(list.getByText("These files are no OneRoster export")).toBeVisible();
  await list.getByLabel("Names").fill("Ada, Ada Byron\nJonas\nMila");
  await list.getByRole("button", { name: "Add 3 students" }).click();
  const slips = dialog(desk, "Slips to hand out");
  await expect(slips.getByTestId("slip")).toHaveCount(3);
  const slip = await slips.getByTestId("slip").first().innerText();
  const [signInName, code] = [slip.match(/ada-\d+/)![0], slip.match(/code\s+([a-z0-9]{10})/)![1]!];
  // On paper there are the slips and nothing else.
  await desk.emulateMedia({ media: "print" });
  await expect(desk.locator(".only-print").getByTestId("slip")).toHaveCount(3);
  await expect(desk.locator(".only-print")).toBeVisible();
  await expect(slips).toBeHidden();
  await desk.emulateMedia({ media: "screen" });
  await slips.getByRole("button", { name: "Done" }).click();
  await expect(desk.getByText(`${signInName} · has not come in yet`)).toBeVisible();

  // Ada comes in the first time, and from then on by her password.
  const ada = await visitor(browser);
  await ada.goto("/sign-in");
  await ada.getByRole("link", { name: "Set a new password" }).click();
  await ada.getByLabel("Sign-in name", { exact: true }).fill(signInName);
  await ada.getByLabel("Code from your teacher").fill(code);
  await ada.getByLabel("New password").fill("three-blue-ferries");
  await ada.getByRole("button", { name: "Set the password" }).click();
  await expect(ada.getByRole("link", { name: "History 8B" })).toBeVisible();
  await desk.reload();
  await expect(desk.getByText(`${signInName} · has not come in yet`)).toHaveCount(0);
  await desk.getByRole("button", { name: "New slips for those who have not come in yet" }).click();
  await expect(dialog(desk, "Slips to hand out").getByTestId("slip")).toHaveCount(2);
  await dialog(desk, "Slips to hand out").getByRole("button", { name: "Done" }).click();

  // Colleagues.
  const reed = await newPerson(browser, "Mr Reed");
  const fern = await newPerson(browser, "Ms Fern");
  const teachers = desk.getByRole("region", { name: "Who teaches here" });
  await teachers.getByLabel("E-mail of a colleague’s account").fill("nobody@school.example");
  await teachers.getByRole("button", { name: "Take into the class" }).click();
  await expect(teachers.getByText("No account has this e-mail address")).toBeVisible();
  await teachers.getByLabel("E-mail of a colleague’s account").fill(reed.email);
  await teachers.getByRole("button", { name: "Take into the class" }).click();
  await expect(teachers.getByText("Mr Reed", { exact: true })).toBeVisible();
  await teachers.getByLabel("E-mail of a colleague’s account").fill(fern.email);
  await teachers.getByLabel("As").selectOption("assistant");
  await teachers.getByRole("button", { name: "Take into the class" }).click();
  await expect(teachers.getByText("assists")).toBeVisible();
  await reed.page.goto(`/classes/${id}`);
  await expect(reed.page.getByRole("link", { name: "New assignment" })).toBeVisible();
  await expect(reed.page.getByRole("button", { name: "End the year of this class" })).toHaveCount(0);
  await fern.page.goto(`/classes/${id}`);
  await expect(fern.page.getByText("You assist in this class")).toBeVisible();
  await expect(fern.page.getByRole("link", { name: "New assignment" })).toHaveCount(0);

  // What is kept of the students, and what the school adds to it.
  await desk.getByRole("link", { name: "What is kept, and who sees it" }).click();
  await expect(desk.getByText("are kept for 24 months, and then destroyed")).toBeVisible();
  await expect(desk.getByText("only where the assignment says so")).toBeVisible();
  await desk
    .getByLabel("What your school adds to this")
    .fill("Hollin Bank School keeps a paper list of sign-in names.");
  await desk.getByRole("button", { name: "Save it" }).click();
  await expect(desk.getByText("Saved.")).toBeVisible();
  await ada.goto(`/classes/${id}/privacy`);
  await expect(ada.getByText("keeps a paper list of sign-in names")).toBeVisible();
  await desk.goto(`/classes/${id}`);

  // The year ends, and the next begins with the same set-up.
  await desk.getByRole("button", { name: "Begin the next year with it" }).click();
  await dialog(desk, "Begin the next year with it").getByLabel("Name of the class then").fill("History 9B");
  await dialog(desk, "Begin the next year with it").getByRole("button", { name: "Begin it" }).click();
  await expect(desk.getByRole("heading", { name: "History 9B" })).toBeVisible();
  await expect(
    desk.getByRole("region", { name: "Who teaches here" }).getByText("Mr Reed", { exact: true }),
  ).toBeVisible();
  await desk.goto(`/classes/${id}`);
  await desk.getByRole("button", { name: "End the year of this class" }).click();
  await expect(desk.getByRole("button", { name: "Open it again" })).toBeVisible();
  await ada.goto(`/classes/${id}`);
  await expect(ada.getByText("The year of this class is over.")).toBeVisible();
});

test("an assignment with rubric, texts and groups by lot: set, asked about, looked over, handed in, marked by keys, held, given back, answered and changed", async ({
  browser,
}) => {
  test.setTimeout(600_000);
  const { ward, id, pupils } = await classOf(browser, "Nia", "Obi", "Wren", "Kit");
  const desk = ward.page;
  await desk.goto(`/classes/${id}/new-assignment`);
  await desk.getByLabel("Title", { exact: true }).fill("Crossing project");
  await desk.getByLabel("Due").fill("2031-07-11T16:00");
  await desk.getByLabel("Events, at least").fill("2");
  await desk.getByLabel("Add a requirement").selectOption({ label: "Opening page" });
  await desk.getByLabel("Opening page: words, at least").fill("4");
  await desk.getByLabel("Opening page: asked or wished").selectOption("wished");
  await desk.getByLabel("Add a requirement").selectOption({ label: "Before and after an event" });
  await desk.getByRole("button", { name: "Take away: Before and after an event" }).click();
  await desk.getByRole("button", { name: "Make a rubric" }).click();
  await desk.getByLabel("Name of the rubric").fill("Crossing");
  await desk.getByRole("button", { name: "Keep it to use again" }).click();
  await expect(desk.getByText("Kept.")).toBeVisible();
  await desk.getByRole("button", { name: "Add a text" }).click();
  await desk.getByLabel("Text 1: title").fill("Toll book, 1702");
  await desk
    .getByLabel("Text 1", { exact: true })
    .fill("Received of the carters from the west bank, for eleven crossings with salt, four shillings.");
  await desk.getByLabel("Groups").selectOption("teacher");
  await desk.getByLabel("Students see what others handed in").selectOption("due");
  await desk.getByLabel("Names are hidden while it is marked").check();
  const seen = desk.getByRole("complementary", { name: "As a student sees it" });
  await expect(seen).toContainText("An opening page of at least 4 words (wished, not asked)");
  await expect(seen).toContainText("Accuracy");
  const away = desk.waitForEvent("download");
  await desk.getByRole("button", { name: "As a file, for a colleague" }).click();
  const file = await (await away).path();
  await desk.getByRole("button", { name: "Set the assignment" }).click();
  await expect(desk.getByRole("heading", { name: "Where every group stands" })).toBeVisible();
  const assignment = new URL(desk.url()).pathname;

  // The file fills the form of a colleague.
  const other = await classOf(browser);
  await other.ward.page.goto(`/classes/${other.id}/new-assignment`);
  await other.ward.page
    .getByLabel("File of an assignment")
    .setInputFiles({ name: "a.json", mimeType: "application/json", buffer: Buffer.from('{"fastigo":"other"}') });
  await expect(other.ward.page.getByText("This file holds no assignment of Fastigo")).toBeVisible();
  await other.ward.page
    .getByLabel("File of an assignment")
    .setInputFiles({ name: "b.json", mimeType: "application/json", buffer: await readFile(file) });
  await expect(other.ward.page.getByText("Filled in from the file.")).toBeVisible();
  await expect(other.ward.page.getByLabel("Title", { exact: true })).toHaveValue("Crossing project");
  await expect(other.ward.page.getByLabel("Criterion 1", { exact: true })).toHaveValue("Accuracy");

  // Groups: nobody begins by themselves; drawn by lot, one is moved by hand.
  const [nia, obi] = pupils as [Person, Person];
  await nia.page.goto(assignment);
  await expect(nia.page.getByText("Your teacher makes the groups.")).toBeVisible();
  await expect(
    nia.page.getByText("What you hand in is seen by your class once the due time has passed."),
  ).toBeVisible();
  await desk.getByRole("button", { name: "Make groups" }).click();
  const lots = dialog(desk, "Make groups");
  await lots.getByLabel("How many a group").fill("2");
  await lots.getByLabel("Keep together: one").selectOption({ label: "Nia" });
  await lots.getByLabel("Keep together: the other").selectOption({ label: "Obi" });
  await lots.getByRole("button", { name: "Keep together: Add the pair" }).click();
  await lots.getByRole("button", { name: "Draw lots" }).click();
  await expect(lots.getByRole("button", { name: "Make these 2 groups" })).toBeVisible();
  await lots.getByLabel("Group of Kit").selectOption({ label: "In no group" });
  await expect(lots.getByRole("region", { name: "In no group" }).getByText("Kit")).toBeVisible();
  // By pointer into the first group that is free.
  const chip = lots.getByRole("region", { name: "In no group" }).getByText("Kit");
  const free = lots.getByRole("region", { name: /^Group/ }).last();
  const [from, to] = [(await chip.boundingBox())!, (await free.boundingBox())!];
  await desk.mouse.move(from.x + 10, from.y + 8);
  await desk.mouse.down();
  await desk.mouse.move(from.x + 30, from.y + 20, { steps: 3 });
  await desk.mouse.move(to.x + 40, to.y + 30, { steps: 6 });
  await desk.mouse.up();
  await expect(lots.getByRole("button", { name: "Make these 3 groups" })).toBeVisible();
  // The press that ends a drag is no press of a button: the next one is.
  await expect(async () => {
    await lots.getByRole("button", { name: "Make these 3 groups" }).click({ timeout: 2_000 });
    await expect(lots).toBeHidden({ timeout: 2_000 });
  }).toPass();
  await expect(desk.getByTestId("groups").getByText("Nia, Obi")).toBeVisible();

  // They write; something is copied out of the text they were given.
  await nia.page.goto(assignment);
  await nia.page.getByRole("link", { name: "Open your timeline" }).click();
  await writeLines(nia.page, ["1702 Salt tolls", "1783 Flood", "1783 The flood"]);
  await chartButton(nia.page, /Salt tolls/).click();
  await nia.page.getByRole("textbox", { name: "Description" }).click();
  await nia.page.keyboard.type(
    "They took from the west bank for eleven crossings with salt four shillings, which was much.",
  );
  await saved(nia.page);
  // Stuck, and answered.
  await nia.page.getByRole("button", { name: "I am stuck: ask the teacher" }).click();
  await nia.page.getByLabel("What are you stuck with at this event?").fill("Is four shillings much?");
  await nia.page.getByRole("button", { name: "Ask", exact: true }).click();
  await expect(nia.page.getByText("Not answered yet.")).toBeVisible();
  await desk.goto("/teaching");
  const glance = desk.getByRole("region", { name: "What waits in History 8B" });
  await glance.getByRole("link", { name: "Nia, Obi" }).click();
  await desk.getByLabel("Answer to Nia").fill("A week's wages.");
  await desk.getByRole("button", { name: "Send" }).click();
  await expect(desk.getByText("Ms Ward: A week's wages.")).toBeVisible();
  await expect(nia.page.getByText("A week's wages.")).toBeVisible();

  // Looked over before it is handed in.
  await nia.page.getByRole("button", { name: "The task" }).click();
  const look = nia.page.getByRole("region", { name: "Worth a look before you hand in" });
  await expect(look.getByText(/It says the same as “(The flood|Flood)”/)).toBeVisible();
  await look.getByRole("button", { name: "Set aside" }).first().click();
  await look.getByLabel(/Why it is set aside/).fill("One is the river, one the town.");
  await look.getByRole("button", { name: "Set it aside" }).click();
  await expect(look.getByText("1 set aside")).toBeVisible();
  // A colour that cannot be read on the paper is another, and is said here with the way to where it is chosen.
  const work = nia.page.url().split("/").at(-1)!.split("?")[0]!;
  const pale = await nia.page.request.post(`/api/timelines/${work}/changes`, {
    data: {
      id: "pale",
      base: 0,
      known: 0,
      ops: [{ kind: "set_timeline", field: "paper", value: "#777777" }],
    },
  });
  expect(pale.status()).toBe(200);
  await expect(look.getByText(/The paper is #[0-9A-F]{6} instead of #777777/)).toBeVisible();
  await look.getByRole("button", { name: "To the look" }).click();
  await expect(
    nia.page.getByRole("region", { name: "Contrast" }).getByText(/The paper is #[0-9A-F]{6} instead of #777777/),
  ).toBeVisible();
  await nia.page.getByRole("button", { name: "The task" }).click();
  // Addresses that show nothing are named here too.
  const gone = `${process.env.E2E_PICTURE_SITE}/nowhere-at-all`;
  const named = { of: "timeline", list: "source", text: "A page", address: gone };
  const added = await nia.page.request.post(`/api/timelines/${work}/changes`, {
    data: { id: "gone", base: 0, known: 0, ops: [{ kind: "add_item", id: "gone", fields: named }] },
  });
  expect(added.status()).toBe(200);
  await look.getByRole("button", { name: "Ask whether they answer" }).click();
  await expect(look.getByText("1 of 1 did not show a page.")).toBeVisible();
  await expect(look.getByText(gone)).toBeVisible();
  await look.getByRole("button", { name: "Look for close wording" }).click();
  await expect(look.getByTestId("close-wording")).toContainText("eleven crossings with salt four shillings");
  await expect(look).not.toContainText("Toll book");
  await expect(nia.page.getByText("Toll book, 1702")).toBeVisible();
  await nia.page.getByRole("button", { name: "Submit", exact: true }).click();
  await dialog(nia.page, "Not everything is met").getByRole("button", { name: "Submit as it is" }).click();
  await expect(nia.page.getByTestId("receipt")).toBeVisible();
  await nia.page.keyboard.press("Escape");
  const receipt = await nia.page.request.get(
    (await nia.page.getByRole("link", { name: "A receipt to keep" }).getAttribute("href"))!,
  );
  expect([receipt.status(), receipt.headers()["content-type"]]).toEqual([200, "application/pdf"]);
  expect((await receipt.body()).subarray(0, 5).toString()).toBe("%PDF-");
  // Obi, who has an address, has it by mail too.
  await nia.page.goto("/mailbox");
  await expect(nia.page.getByText("Handed in: Crossing project").first()).toBeVisible();

  // Marked by keys, without the names.
  const answer = await firstAnswerLate(desk, "**/api/kept-comments");
  await desk.goto("/teaching");
  await desk.getByRole("link", { name: "Work 1" }).click();
  const panel = desk.getByRole("complementary", { name: "Marking" });
  await expect(panel.getByRole("heading", { name: "Work 1" })).toBeVisible();
  await expect(panel).not.toContainText("Nia");
  await expect(panel.getByRole("region", { name: "Close wording" })).toContainText("in a text of the assignment");
  await expect(panel.getByRole("region", { name: "Set aside in the ready check" })).toContainText("one the town");
  await expect(panel.getByRole("heading", { name: "Work 1" })).toBeFocused();
  // Previous, next, the points, and there is the rubric.
  for (let i = 0; i < 4; i++) await desk.keyboard.press("Tab");
  await expect(panel.getByRole("radio", { name: /^Accuracy: Beyond/ })).toBeFocused();
  for (const key of ["2", "1", "3"]) await desk.keyboard.press(key);
  await expect(panel.getByLabel("Points of 20")).toHaveValue("13.5");
  await expect(panel.getByText("Together 6 of 9, which is 13.5 of 20.")).toBeVisible();
  await panel.getByLabel("Comment on the whole").fill("Say where you know it from.");
  await panel.getByRole("button", { name: "Keep this comment" }).click();
  await expect(panel.getByText("Saved", { exact: true })).toBeVisible();
  // Which are kept is answered only now, as it was when the desk was opened.
  await expect(panel.getByLabel("Comments I use again")).toBeVisible();
  await answer();
  await panel.getByLabel("Comments I use again").selectOption({ label: "Say where you know it from." });
  await expect(panel.getByLabel("Comment on the whole")).toHaveValue(/it from\.\nSay/);
  await expect(panel.getByText("Saved", { exact: true })).toBeVisible();
  // A comment is pinned to words of the text.
  const told = desk.getByRole("list", { name: "Events" }).getByText("They took from the west bank");
  await told.evaluate((node) => {
    const text = node.firstChild!;
    const at = text.textContent!.indexOf("eleven crossings");
    document.getSelection()!.setBaseAndExtent(text, at, text, at + "eleven crossings".length);
  });
  await desk.getByRole("button", { name: "Comment on “eleven crossings”" }).click();
  await desk.keyboard.type("which ones?");
  await expect(desk.getByLabel("Comment on Salt tolls")).toHaveValue("“eleven crossings” – which ones?");
  await expect(panel.getByText("Saved", { exact: true })).toBeVisible();
  // Held until all are marked.
  await desk.getByRole("button", { name: "Hold marks" }).click();
  await dialog(desk, "Hold marks").getByLabel("Hold what is given back until").fill("2032-01-10T08:00");
  await dialog(desk, "Hold marks").getByRole("button", { name: "Hold until then" }).click();
  await expect(desk.getByText("What you give back is held until")).toBeVisible();
  await panel.getByRole("button", { name: "Return this" }).click();
  await expect(panel.getByText("Given back, and held until")).toBeVisible();
  await obi.page.goto(assignment);
  await obi.page.getByRole("link", { name: "Open your timeline" }).click();
  await obi.page.getByRole("button", { name: "The task" }).click();
  await expect(obi.page.getByRole("region", { name: "Receipt" })).toBeVisible();
  await expect(obi.page.getByRole("region", { name: "Returned" })).toHaveCount(0);
  await desk.getByRole("button", { name: "Hold marks" }).click();
  await dialog(desk, "Hold marks").getByRole("button", { name: "Hold nothing any more" }).click();
  await expect(panel.getByRole("heading", { name: "Nia, Obi" })).toBeVisible();
  // The group reads how it came about, and answers.
  const back = obi.page.getByRole("region", { name: "Returned" });
  await expect(back).toContainText("13.5 of 20");
  await expect(back).toContainText("Accuracy 2 of 3; Explanation 3 of 3; Sources 1 of 3. Together 6 of 9");
  await expect(back.getByText("“eleven crossings” – which ones?")).toBeVisible();
  await back.getByLabel("Your answer to the teacher").fill("The toll book, page 3.");
  await back.getByRole("button", { name: "Answer" }).click();
  await expect(panel.getByText("The toll book, page 3.")).toBeVisible();
  await panel.getByRole("button", { name: "Change the mark" }).click();
  const change = dialog(desk, "Change the mark");
  await change.getByRole("radio", { name: /^Sources: As asked/ }).click();
  await change.getByLabel("Why").fill("They know where it is from.");
  await change.getByRole("button", { name: "Change it" }).click();
  await expect(panel.getByLabel("Points of 20")).toHaveValue("15.5");
  await expect(back).toContainText("before it was 13.5. “They know where it is from.”");

  // Who did what, the figures, the sheets and the tables.
  const who = (await panel.getByRole("link", { name: "Who did what" }).getAttribute("href"))!;
  await desk.goto(who);
  await expect(desk.getByRole("row", { name: /^Nia 3 3/ })).toBeVisible();
  await expect(desk.getByRole("row", { name: /^Obi 0 0/ })).toBeVisible();
  await obi.page.goto(who);
  await expect(obi.page.getByText("What is counted of your work on this timeline")).toBeVisible();
  await expect(obi.page.getByText("Nia")).toHaveCount(0);
  await desk.goto(`${assignment}/figures`);
  await expect(desk.getByText("1 marked: 15.5 of 20 on average")).toBeVisible();
  await expect(desk.getByRole("img", { name: "Requirement by requirement" }).locator("svg").first()).toBeVisible();
  const at = `/api${assignment}`;
  const text = async (path: string) => (await desk.request.get(path)).text();
  expect(await text(`/api/timelines/${who.split("/")[2]}/who`)).toContain("Nia,3,3");
  expect(await text(`${at}/marks`)).toContain("15.5,20");
  expect(await text(`${at}/marks?as=oneroster`)).toMatch(/fully graded,15\.5/);
  const binary = async (path: string) =>
    (await (await desk.request.get(path)).body()).subarray(0, 4).toString("latin1");
  expect(await binary(`${at}/marks?as=xlsx`)).toBe("PK\u0003\u0004");
  expect(await binary(`${at}/sheets`)).toBe("%PDF");
  expect(await binary(`${at}/handout`)).toBe("%PDF");
});

test("more time is given to one, nothing is taken after it from the others, and a model is shown", async ({
  browser,
}) => {
  const { ward, id, pupils } = await classOf(browser, "Nia", "Obi");
  const desk = ward.page;
  const model = await desk.request.post("/api/timelines", { data: { title: "As it may be done", subject: "" } });
  expect(model.status()).toBe(200);
  await desk.goto(`/classes/${id}/new-assignment`);
  await desk.getByLabel("Title", { exact: true }).fill("Short");
  const yesterday = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10);
  await desk.getByLabel("Due").fill(`${yesterday}T16:00`);
  await desk.getByLabel("Handed in late").selectOption("refused");
  await desk.getByLabel("A timeline that shows how it may be done").selectOption({ label: "As it may be done" });
  await desk.getByLabel("Groups").selectOption("single");
  await desk.getByRole("button", { name: "Set the assignment" }).click();
  await expect(desk.getByRole("heading", { name: "Where every group stands" })).toBeVisible();
  const assignment = new URL(desk.url()).pathname;
  const [nia, obi] = pupils as [Person, Person];
  for (const p of [nia, obi]) {
    await p.page.goto(assignment);
    await expect(p.page.getByRole("link", { name: "See how it may be done" })).toBeVisible();
    await p.page.getByRole("button", { name: "Begin" }).click();
    await writeLines(p.page, ["1702 Salt tolls"]);
    await saved(p.page);
  }
  const example = await nia.page.request.get(
    (await nia.page
      .getByRole("link", { name: "See how it may be done" })
      .or(nia.page.getByTestId("chart"))
      .first()
      .getAttribute("href")) ?? `/timelines/${((await model.json()) as { id: string }).id}/reader`,
  );
  expect(example.status()).toBe(200);
  await desk.reload();
  await desk.getByRole("button", { name: "More time for Nia" }).click();
  await dialog(desk, "More time for Nia").getByLabel("Until").fill("2031-01-10T08:00");
  await dialog(desk, "More time for Nia").getByRole("button", { name: "Give it" }).click();
  await expect(desk.getByTestId("groups").getByText(/until .*2031/)).toBeVisible();
  const submit = async (page: Page) => {
    await page.getByRole("button", { name: "Submit", exact: true }).click();
    await dialog(page, "Not everything is met").getByRole("button", { name: "Submit as it is" }).click();
  };
  await submit(obi.page);
  await expect(obi.page.getByText("your teacher takes nothing after it")).toBeVisible();
  await submit(nia.page);
  await expect(nia.page.getByTestId("receipt")).toContainText("in time");
});

test("the teacher's pages have nothing axe finds, also on a phone", async ({ browser }) => {
  const { ward, id } = await classOf(browser, "Nia");
  const desk = ward.page;
  await desk.goto(`/classes/${id}/new-assignment`);
  await desk.getByRole("button", { name: "Make a rubric" }).click();
  await desk.getByRole("button", { name: "Add a text" }).click();
  for (const path of [null, "/teaching", `/classes/${id}`] as const) {
    if (path) await desk.goto(path);
    for (const size of [
      { width: 1280, height: 800 },
      { width: 390, height: 844 },
    ]) {
      await desk.setViewportSize(size);
      await nothingFound(desk, `${path ?? "new assignment"}, ${size.width} wide`);
      const wide = await desk.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
      expect(wide).toBeLessThanOrEqual(0);
    }
  }
});

test("work of others is read by the rubric, without names, and chosen work is shown to the class", async ({
  browser,
}) => {
  const { ward, id, pupils } = await classOf(browser, "Nia", "Obi");
  const level = (points: number) => ({ name: points ? "Right" : "Not yet", text: "", points });
  const rubric = { name: "Short", criteria: [{ name: "Dates", weight: 1, levels: [level(4), level(0)] }] };
  const assignment = `/assignments/${await shortAssignment(ward, id, { rubric })}`;
  const desk = ward.page;
  await desk.goto(assignment);
  await desk.getByRole("button", { name: "Peer reading" }).click();
  const peers = dialog(desk, "Peer reading");
  await peers.getByRole("button", { name: "Draw who reads whom" }).click();
  await expect(peers.getByText("Two groups at least have to hand in")).toBeVisible();
  for (const p of pupils) {
    await p.page.goto(assignment);
    await p.page.getByRole("button", { name: "Begin", exact: true }).click();
    await writeLines(p.page, [`1702 Tolls of ${p.name}`, "1783 Flood"]);
    await chartButton(p.page, /Flood/).click();
    await saved(p.page);
    await p.page.getByRole("button", { name: "Submit", exact: true }).click();
    await expect(p.page.getByTestId("receipt")).toBeVisible();
  }
  await peers.getByRole("button", { name: "Draw who reads whom" }).click();
  await expect(peers.getByText("2 readings given out.")).toBeVisible();
  await peers.getByRole("button", { name: "Leave it" }).click();

  // Nia reads Obi's work, and is not told whose it is.
  const [nia, obi] = pupils as [Person, Person];
  await nia.page.goto(assignment);
  const read = nia.page.getByRole("article", { name: "Work 1" });
  const address = (await read.getByRole("link", { name: "Read it" }).getAttribute("href"))!;
  const page = await (await nia.page.request.get(address)).text();
  expect(page).toContain("Tolls of Obi");
  expect(page).toContain("Names are hidden");
  await read.getByRole("button", { name: "Send it" }).click();
  await expect(read.getByText("Choose a level or write a few words.")).toBeVisible();
  await read.getByRole("radio", { name: /^Dates: Right/ }).focus();
  await nia.page.keyboard.press("1");
  await read.getByLabel("What you say about Work 1").fill("Say who paid.");
  await read.getByRole("button", { name: "Send it" }).click();
  await expect(read.getByText("Sent.")).toBeVisible();

  // Their teacher sees who said it, decides, and shows the work to the class.
  await desk.goto(assignment);
  await desk.getByRole("link", { name: "Obi", exact: true }).click();
  const panel = desk.getByRole("complementary", { name: "Marking" });
  await expect(panel.getByRole("region", { name: "What others said" })).toContainText("Nia, 20 of 20: Say who paid.");
  await panel.getByRole("radio", { name: /^Dates: Right/ }).click();
  await expect(panel.getByText("Saved", { exact: true })).toBeVisible();
  await panel.getByRole("button", { name: "Return this" }).click();
  await panel.getByLabel("Show it in the class gallery").check();
  await expect(desk.getByRole("link", { name: "Class gallery" })).toBeVisible();
  await obi.page.goto(assignment);
  await obi.page.getByRole("link", { name: "Open your timeline" }).click();
  await obi.page.getByRole("button", { name: "The task" }).click();
  const back = obi.page.getByRole("region", { name: "Returned" });
  await expect(back.getByText("Say who paid.")).toBeVisible();
  await expect(back).not.toContainText("Nia");
  await nia.page.goto(assignment);
  await nia.page.getByRole("link", { name: "See the class gallery" }).click();
  await expect(nia.page.getByRole("heading", { name: "Obi" })).toBeVisible();
  await nia.page.getByRole("link", { name: "Obi" }).click();
  await expect(nia.page.getByRole("article", { name: "Obi" })).toBeVisible();
  const stranger = await newPerson(browser, "Stranger");
  await stranger.page.goto(`${assignment}/gallery`);
  await expect(stranger.page.getByRole("heading", { name: "Obi" })).toHaveCount(0);
});

test("a sample is marked by a second teacher before they see the first mark, and the difference is shown", async ({
  browser,
}) => {
  const { ward, id, pupils } = await classOf(browser, "Nia");
  const reed = await newPerson(browser, "Mr Reed");
  await ward.context.request.post(`/api/classes/${id}/teachers`, { data: { email: reed.email, role: "teacher" } });
  const assignment = await shortAssignment(ward, id);
  const nia = pupils[0]!.context.request;
  const begun = await nia.post(`/api/assignments/${assignment}/group`);
  const { timeline } = (await begun.json()) as { timeline: string };
  const ops = [{ kind: "add_event", id: "e1", fields: { title: "Rope ferry" } }];
  await nia.post(`/api/timelines/${timeline}/changes`, { data: { id: "c1", base: 0, ops } });
  expect((await nia.post(`/api/timelines/${timeline}/submission`)).status()).toBe(200);
  const desk = ward.page;
  await desk.goto(`/assignments/${assignment}`);
  await desk.getByRole("link", { name: "Nia", exact: true }).click();
  const panel = desk.getByRole("complementary", { name: "Marking" });
  await panel.getByLabel("Points of 20").fill("14");
  await expect(panel.getByText("Saved", { exact: true })).toBeVisible();
  await desk.getByRole("link", { name: "Second marking" }).click();
  await desk.getByRole("button", { name: "Draw the sample" }).click();
  await expect(desk.getByRole("row", { name: "Nia 14, Ms Ward – –" })).toBeVisible();

  // Mr Reed sees nothing of the first mark, neither in the table nor beside the work, before he has given his.
  const other = reed.page;
  await other.goto(`/assignments/${assignment}/moderation`);
  await expect(other.getByRole("row", { name: "Nia seen after yours waits for yours –" })).toBeVisible();
  await other.getByRole("link", { name: "Nia" }).click();
  const second = other.getByRole("complementary", { name: "You mark it second" });
  await expect(second).toBeVisible();
  await expect(other.getByText("14 / 20")).toHaveCount(0);
  expect(await other.content()).not.toContain('"points":14');
  await second.getByRole("button", { name: "Give it" }).click();
  await expect(second.getByText("must lie between 0 and 20")).toBeVisible();
  await second.getByLabel("Points of 20").fill("11,5");
  await second.getByLabel("Why").fill("One event is not enough.");
  await second.getByRole("button", { name: "Give it" }).click();
  const seen = other.getByRole("region", { name: "Second marking" });
  await expect(seen).toContainText("Mr Reed: 11.5 of 20 – One event is not enough.");
  await expect(other.getByRole("complementary", { name: "Marking" }).getByLabel("Points of 20")).toHaveValue("14");
  await desk.reload();
  await expect(desk.getByRole("row", { name: "Nia 14, Ms Ward 11.5, Mr Reed 2.5 points" })).toBeVisible();
});
