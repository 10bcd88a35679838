import { expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import postgres from "postgres";
import { classOf } from "./harness/classes";
import { firstAnswerLate } from "./harness/late";
import { openSheet } from "./harness/ledger";
import { newEmail, newPerson, newTimeline, PASSWORD, saved, writeLines, visitor } from "./harness/people";

// Among the last of a run, and needing nothing of one another: nobody who works on them is left waiting for whoever has the longest.
test.describe.configure({ mode: "parallel" });

const together = (page: Page) => page.getByRole("dialog").getByRole("region", { name: "Work on it together" });
const comments = (page: Page) => page.getByRole("complementary", { name: "Comments" });

test("somebody is invited by letter, told by whom to what, comments, is answered, and their right ends while they type", async ({
  browser,
}) => {
  const nia = await newPerson(browser, "Nia");
  const url = await newTimeline(nia.page, "How the Ambrel was crossed");
  await writeLines(nia.page, ["1604 Rope ferry", "1783 The flood"]);
  await saved(nia.page);
  await nia.page.getByRole("button", { name: "Share" }).click();
  const share = together(nia.page);
  const email = newEmail("obi");
  await share.getByLabel("E-mail addresses, or the name").fill("obi@@school");
  await share.getByRole("button", { name: "Invite", exact: true }).click();
  await expect(share.getByText("One of these is not an e-mail address.")).toBeVisible();
  await share.getByLabel("E-mail addresses, or the name").fill(email);
  await share.getByRole("group", { name: "Invite people" }).getByLabel("They may").selectOption("commenter");
  await share.getByRole("button", { name: "Invite", exact: true }).click();
  await expect(share.getByText("A letter was written.")).toBeVisible();
  await expect(share.getByText(email)).toBeVisible();
  await nia.page.keyboard.press("Escape");

  // The letter stands in the mailbox of who sent it; its link says who invites to what before anybody signs in.
  const box = await nia.context.newPage();
  await box.goto("/mailbox");
  const letter = await box
    .getByText(/\/join\//)
    .first()
    .innerText();
  await box.close();
  const obi = await visitor(browser);
  await obi.goto(letter.match(/\/join\/[\w-]+/)![0]);
  await expect(obi.getByRole("heading", { name: "How the Ambrel was crossed" })).toBeVisible();
  await expect(obi.getByText("Nia invites you to this timeline. You may read and comment.")).toBeVisible();
  await obi.getByRole("link", { name: "Sign up" }).click();
  await obi.getByLabel("Display name").fill("Obi");
  await obi.getByLabel("E-mail").fill(email);
  await obi.getByLabel("Password").fill(PASSWORD);
  await obi.getByRole("button", { name: "Sign up" }).click();
  await obi.getByRole("button", { name: "Join" }).click();
  await expect(obi.getByText("You may read this and comment on it.")).toBeVisible();
  const page = obi.frameLocator("iframe");
  await page.getByRole("link", { name: "Read", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Rope ferry" })).toBeVisible();

  // Said about an event, with a name; the owner hears it in the editor and on the first page.
  // The page beside goes to the event, and leaves the keyboard to whoever writes here.
  // Wherever it was led, and with the words it was asked for.
  const about = comments(obi).getByLabel("About", { exact: true });
  const framed = obi.frames()[1]!;
  await framed.evaluate(() => location.assign("/elsewhere"));
  await expect.poll(() => framed.url()).not.toContain("/reader");
  await about.focus();
  await obi.evaluate(() => window.addEventListener("blur", () => (document.body.dataset.left = "yes")));
  await about.selectOption({ label: "The flood" });
  await expect(page.locator("article.hung")).toContainText("The flood");
  await framed.evaluate(() => history.replaceState(null, "", `${location.pathname}?framed&words=e${location.hash}`));
  await about.selectOption({ label: "Rope ferry" });
  await expect(page.locator("article.hung")).toContainText("Rope ferry");
  expect(framed.url()).toContain("?framed&words=e#e-");
  await expect(about).toBeFocused();
  expect(await obi.evaluate(() => document.body.dataset.left)).toBeUndefined();
  await comments(obi).getByLabel("Of it").selectOption({ label: "its date" });
  await comments(obi).getByLabel("A new comment").fill("Where do you know it from, @Nia? And @Wren?");
  await comments(obi).getByRole("button", { name: "Send" }).click();
  await expect(comments(obi).getByText("Nobody who may see this timeline is called “Wren”")).toBeVisible();
  await nia.page.getByRole("button", { name: "Comments" }).click();
  const panel = comments(nia.page);
  await expect(panel.getByText("Where do you know it from")).toBeVisible();
  await expect(panel.getByRole("list", { name: "Comments" }).getByText("its date")).toBeVisible();
  await panel.getByRole("button", { name: "Rope ferry" }).click();
  await panel.getByLabel("Answer Obi").fill("County roll 12, leaf 7.");
  await panel.getByRole("button", { name: "Answer", exact: true }).click();
  await expect(comments(obi).getByText("County roll 12, leaf 7.")).toBeVisible();
  await expect(panel.getByText("Read by Obi.")).toBeVisible();
  await panel.getByRole("button", { name: "Done with it" }).click();
  await expect(comments(obi).getByText("Nothing is open.")).toBeVisible();
  await comments(obi).getByRole("button", { name: "Show what is done with (1)" }).click();
  await expect(comments(obi).getByText("Done with, says Nia")).toBeVisible();
  await comments(obi).getByRole("button", { name: "Alter your comment" }).click();
  await comments(obi).getByLabel("Your comment").fill("Where from?");
  await comments(obi).getByRole("button", { name: "Save" }).click();
  await expect(comments(obi).getByText("· altered")).toBeVisible();
  const first = await nia.context.newPage();
  await first.goto("/");
  await expect(first.getByText("Obi has named you in a comment on “How the Ambrel was crossed”.")).toBeVisible();
  await expect(first.getByText("1 new comment")).toHaveCount(0);
  await first.close();

  // Some words of the text are what the next comment is about.
  await comments(obi).getByLabel("About", { exact: true }).selectOption({ label: "The timeline as a whole" });
  await page.getByRole("link", { name: "Read", exact: true }).click();
  await page
    .getByRole("heading", { name: "The flood" })
    .evaluate((h) => h.ownerDocument.getSelection()!.selectAllChildren(h));
  await expect(comments(obi).getByText("“The flood”")).toBeVisible();
  await comments(obi).getByLabel("A new comment").fill("Which one?");
  await comments(obi).getByRole("button", { name: "Send" }).click();
  await expect(panel.getByText("“The flood”")).toBeVisible();

  // What the owner writes is said beside the page, which does not jump.
  await writeLines(nia.page, ["1931 Last crossing"]);
  await obi.getByRole("button", { name: "Look at it anew" }).click();
  await page.getByRole("link", { name: "Read", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Last crossing" })).toBeVisible();

  // Taken away while they type: the page says so at once, and nothing of it is answered any more.
  await comments(obi).getByLabel("A new comment").fill("And who");
  await nia.page.getByRole("button", { name: "Share" }).click();
  await together(nia.page).getByRole("button", { name: "Take the right of Obi away" }).click();
  await expect(obi.getByRole("alert").filter({ hasText: "You can no longer see this timeline" })).toBeVisible();
  const id = url.split("/").at(-1)!;
  for (const path of [`/timelines/${id}`, `/timelines/${id}/reader`, `/api/timelines/${id}/comments`])
    expect([path, (await obi.request.get(path)).status()]).toEqual([path, 404]);
  await obi.getByRole("link", { name: "Your timelines" }).click();
  await expect(obi.getByRole("heading", { name: "Your timelines" })).toBeVisible();
  await expect(obi.getByRole("region", { name: "Shared with you" })).toHaveCount(0);
});

test("a link has a role and an end; somebody who reads comes to comment, to edit and to own, and the owner leaves", async ({
  browser,
}) => {
  const [nia, obi] = [await newPerson(browser, "Nia"), await newPerson(browser, "Obi")];
  const url = await newTimeline(nia.page, "Tolls");
  await writeLines(nia.page, ["1702 Salt tolls"]);
  await saved(nia.page);
  // The first look at who may do what is answered last.
  const answer = await firstAnswerLate(nia.page, "**/api/timelines/*/people");
  await nia.page.getByRole("button", { name: "Share" }).click();
  const share = together(nia.page);
  // Who edits is known before: the list does not push what is pressed away when it comes.
  await expect(share.getByRole("listitem")).toHaveText(["Niaowner"]);
  const link = share.getByRole("group", { name: "A link for whoever has it" });
  await link.getByLabel("They may").selectOption("reader");
  await link.getByLabel("Good until").fill("2001-01-01T10:00");
  await link.getByRole("button", { name: "Make the link" }).click();
  await expect(share.getByText("are over already")).toBeVisible();
  await link.getByLabel("Good until").fill("2031-01-01T10:00");
  await link.getByRole("button", { name: "Make the link" }).click();
  const field = link.getByLabel("Whoever opens this link, signed in, may read it");
  await expect(field).toHaveValue(/\/join\//);
  await expect(link.getByText("Good until Wednesday, 1 January 2031")).toBeVisible();
  const path = new URL(await field.inputValue()).pathname;
  await answer();
  await expect(field).toHaveValue(/\/join\//, { timeout: 1_000 });

  await obi.page.goto(path);
  await obi.page.getByRole("button", { name: "Join" }).click();
  await expect(obi.page.getByText("You may read this.")).toBeVisible();
  await expect(comments(obi.page)).toHaveCount(0);

  // What the owner makes of them their open page becomes.
  await nia.page.reload();
  await nia.page.getByRole("button", { name: "Share" }).click();
  await share.getByLabel("What Obi may do").selectOption("commenter");
  await expect(comments(obi.page)).toBeVisible();
  await share.getByLabel("What Obi may do").selectOption("editor");
  await expect(obi.page.getByTestId("next-event")).toBeVisible();
  await writeLines(obi.page, ["1783 Flood"]);
  await saved(obi.page);
  await share.getByLabel("What Obi may do").selectOption("reader");
  await expect(obi.page.getByText(/You can no longer edit/).first()).toBeVisible();
  await obi.page.reload();
  await expect(obi.page.getByText("You may read this.")).toBeVisible();
  await share.getByLabel("What Obi may do").selectOption("editor");
  await expect(obi.page.getByTestId("next-event")).toBeVisible();

  // Passed on, after it was said what that means.
  await share.getByLabel("What Obi may do").selectOption({ label: "owns it (you edit from then on)" });
  const sure = nia.page.getByRole("dialog", { name: "Pass the timeline on" });
  await expect(sure).toContainText("Obi will own this timeline");
  await sure.getByRole("button", { name: "Pass it on" }).click();
  await expect(share.getByRole("listitem").filter({ hasText: "Obi" })).toContainText("owner");
  expect(
    (
      await nia.context.request.post(`${url.replace("/timelines", "/api/timelines")}/invitation`, {
        data: { renew: false },
      })
    ).status(),
  ).toBe(403);
  await nia.page.goto("/");
  await nia.page.getByRole("button", { name: /Tolls/ }).click();
  await nia.page.getByRole("menuitem", { name: /Leave/ }).click();
  await expect(nia.page.getByRole("link", { name: "Tolls" })).toHaveCount(0);
  expect((await nia.context.request.get(url)).status()).toBe(404);
});

test("in a class a name is enough; teachers comment on drafts; on a phone the comments stand below", async ({
  browser,
}) => {
  const { ward, id, pupils } = await classOf(browser, "Nia", "Obi");
  const [nia, obi] = pupils as [(typeof pupils)[0], (typeof pupils)[0]];
  await newTimeline(nia.page, "My own");
  await nia.page.getByRole("button", { name: "Share" }).click();
  const share = together(nia.page);
  await share.getByLabel("E-mail addresses, or the name").fill("Wren");
  await share.getByRole("button", { name: "Invite", exact: true }).click();
  await expect(share.getByText("Nobody of this name is in a class with you.")).toBeVisible();
  await share.getByLabel("E-mail addresses, or the name").fill("Obi");
  await share.getByRole("group", { name: "Invite people" }).getByLabel("They may").selectOption("commenter");
  await share.getByRole("button", { name: "Invite", exact: true }).click();
  await expect(share.getByText("Invited: it stands on their first page.")).toBeVisible();
  await obi.page.setViewportSize({ width: 390, height: 844 });
  await obi.page.goto("/");
  const invited = obi.page.getByRole("region", { name: "You are invited" });
  await expect(invited).toContainText("My own: Nia, read and comment");
  await invited.getByRole("link", { name: "Join" }).click();
  await obi.page.getByRole("button", { name: "Join" }).click();
  await comments(obi.page).getByLabel("A new comment").fill("What is it about?");
  await comments(obi.page).getByRole("button", { name: "Send" }).click();
  await expect(comments(obi.page).getByText("What is it about?")).toBeVisible();
  await obi.page.goto("/");
  await expect(obi.page.getByRole("region", { name: "Shared with you" })).toContainText("by Nia · read and comment");

  // The draft of work for the class, with what its teacher says of it.
  const made = await ward.context.request.post("/api/assignments", {
    data: {
      class: id,
      title: "Crossings",
      instructions: "",
      period: { typed: "", readAs: { kind: "undated" }, calendar: "gregorian", margin: null },
      requirements: [],
      given: [],
      total: 20,
      dueAt: "2031-07-11T16:00",
    },
  });
  const { id: assignment } = (await made.json()) as { id: string };
  const begun = await nia.context.request.post(`/api/assignments/${assignment}/group`);
  const { timeline } = (await begun.json()) as { timeline: string };
  await ward.page.goto(`/timelines/${timeline}/reader`);
  await ward.page.getByRole("link", { name: "Comment on it" }).click();
  await expect(ward.page.getByRole("button", { name: "Leave this timeline" })).toHaveCount(0);
  await comments(ward.page).getByLabel("A new comment").fill("Begin with the ferry.");
  await comments(ward.page).getByRole("button", { name: "Send" }).click();
  await nia.page.goto(`/timelines/${timeline}`);
  await nia.page.getByRole("button", { name: "Comments" }).click();
  await expect(comments(nia.page).getByText("Begin with the ferry.")).toBeVisible();
});

test("who is here is seen, and where; one is followed; who goes is gone", async ({ browser }) => {
  const [nia, obi] = [await newPerson(browser, "Nia"), await newPerson(browser, "Obi Reed")];
  const url = await newTimeline(nia.page, "Crossings");
  await writeLines(nia.page, ["1604 Rope ferry", "1783 The flood", "1931 Last crossing"]);
  await saved(nia.page);
  const api = url.replace("/timelines", "/api/timelines");
  const made = await nia.context.request.post(`${api}/invitation`, { data: { renew: false } });
  const { token } = (await made.json()) as { token: string };
  await obi.context.request.post(`/api/join/${token}`);
  const here = nia.page.getByRole("list", { name: "Who can edit, and who is here" });
  await expect(here.getByTestId("here")).toHaveCount(0);
  await obi.page.goto(url);
  await expect(here.getByRole("button", { name: /^Obi Reed, at the chart/ })).toHaveText("OR");

  // In which row and field: as a sign there, and in words.
  await obi.page.getByRole("gridcell", { name: "The flood", exact: true }).click();
  await expect(nia.page.getByRole("row", { name: /The flood/ }).getByTestId("here-at")).toHaveText("OR");
  await expect(here.getByRole("button", { name: /^Obi Reed, at “The flood”, Title/ })).toBeVisible();

  // Followed: what they are at is selected here, until one follows no longer.
  await here.getByTestId("here").click();
  await expect(nia.page.getByText("You follow Obi Reed")).toBeVisible();
  const selected = (title: string) => nia.page.getByRole("row", { name: new RegExp(title), selected: true });
  await expect(selected("The flood")).toBeVisible();
  await obi.page.getByRole("gridcell", { name: "Last crossing", exact: true }).click();
  await expect(selected("Last crossing")).toBeVisible();
  await nia.page.getByRole("button", { name: "Follow no longer" }).click();
  await obi.page.getByRole("gridcell", { name: "Rope ferry", exact: true }).click();
  await expect(nia.page.getByRole("row", { name: /Rope ferry/ }).getByTestId("here-at")).toHaveText("OR");
  await expect(selected("Last crossing")).toBeVisible();

  // In a description, where they write.
  await nia.page.getByRole("button", { name: "Follow no longer" }).waitFor({ state: "detached" });
  for (const page of [nia.page, obi.page]) await openSheet(page, "Rope ferry");
  const text = (page: Page) => page.getByRole("complementary").getByRole("textbox", { name: "Description" });
  await text(obi.page).click();
  await obi.page.keyboard.type("From the north bank.");
  await expect(text(nia.page)).toContainText("From the north bank.");
  const caret = text(nia.page).locator(".caret-of");
  await expect(caret).toHaveAttribute("data-name", "Obi Reed");
  // It stands between the same letters while somebody else writes before it.
  const left = () => caret.evaluate((c) => c.previousSibling?.textContent ?? "");
  await expect.poll(left).toMatch(/bank\.$/);
  await text(nia.page).click();
  await nia.page.keyboard.press("Control+Home");
  await nia.page.keyboard.type("1604: ");
  await expect(text(obi.page).locator(".caret-of")).toHaveAttribute("data-name", "Nia");
  await expect.poll(left).toMatch(/bank\.$/);
  await expect(text(obi.page)).toContainText("1604: From the north bank.");
  await obi.page.getByRole("gridcell", { name: "Rope ferry", exact: true }).click();
  await expect(caret).toHaveCount(0);

  // Both follow each other: one leads, and neither runs around.
  await here.getByTestId("here").click();
  await expect(selected("Rope ferry")).toBeVisible();
  await obi.page.getByTestId("here").click();
  await expect(obi.page.getByText("You follow Nia")).toBeVisible();

  await obi.page.close();
  await expect(here.getByTestId("here")).toHaveCount(0);
  await expect(here.getByText("Obi Reed, not here now")).toBeAttached();
});

test("somebody adds events of their own to a timeline of others, and alters only those", async ({ browser }) => {
  const [nia, obi] = [await newPerson(browser, "Nia"), await newPerson(browser, "Obi")];
  const url = await newTimeline(nia.page, "Our village");
  await writeLines(nia.page, ["1604 Rope ferry #Crossing"]);
  await saved(nia.page);
  const api = url.replace("/timelines", "/api/timelines");
  const made = await nia.context.request.post(`${api}/invitation`, { data: { renew: false, role: "adder" } });
  const { token } = (await made.json()) as { token: string };
  await obi.page.goto(`/join/${token}`);
  await expect(
    obi.page.getByText("Nia invites you to this timeline. You may add events and alter those."),
  ).toBeVisible();
  await obi.page.getByRole("button", { name: "Join" }).click();
  await expect(obi.page.getByText("comment on it and add events of your own")).toBeVisible();
  const own = obi.page.getByRole("region", { name: "Your events" });
  await own.getByLabel("When").fill("about 1702");
  await own.getByLabel("What happened").fill("Salt tolls");
  await own.getByLabel("More about it").fill("Paid in salt.");
  await own.getByLabel("Category").selectOption({ label: "Crossing" });
  await own.getByRole("button", { name: "Add it" }).click();
  await expect(own.getByText("Added.")).toBeVisible();
  await expect(own.getByRole("listitem")).toContainText("about 1702");
  await expect(nia.page.getByRole("row", { name: /Salt tolls/ })).toBeVisible();

  await own.getByRole("button", { name: "Alter Salt tolls" }).click();
  await own.getByLabel("When").fill("the year of the eel");
  await own.getByRole("button", { name: "Save it" }).click();
  await expect(own.getByText("“the year of the eel” could not be understood as a date")).toBeVisible();
  await own.getByRole("button", { name: "Alter Salt tolls" }).click();
  await own.getByLabel("When").fill("1719");
  await own.getByRole("button", { name: "Save it" }).click();
  await expect(own.getByRole("listitem")).toContainText("1719");
  await expect(nia.page.getByRole("row", { name: /1719 .*Salt tolls/ })).toBeVisible();
  // By the way of editors nothing is to be had.
  const id = url.split("/").at(-1)!;
  const tried = await obi.context.request.post(`/api/timelines/${id}/changes`, {
    data: { id: "x1", base: 0, ops: [{ kind: "set_timeline", field: "title", value: "Mine" }] },
  });
  expect(tried.status()).toBe(404);
  await own.getByRole("button", { name: "Delete Salt tolls" }).click();
  await expect(nia.page.getByRole("row", { name: /Salt tolls/ })).toHaveCount(0);
});

test("at an exhibition somebody sends an event in by phone, without an account; it waits until it is taken in", async ({
  browser,
}) => {
  const nia = await newPerson(browser, "Nia");
  const url = await newTimeline(nia.page, "Our village");
  await writeLines(nia.page, ["1604 Rope ferry"]);
  await saved(nia.page);
  // What is typed while the first look is not answered yet stays.
  const answer = await firstAnswerLate(nia.page, "**/api/timelines/*/call");
  await nia.page.getByRole("button", { name: "Share" }).click();
  const call = nia.page.getByRole("dialog").getByRole("region", { name: "Let others send events in" });
  await call.getByLabel("What you ask for").fill("What do you know of the ferry?");
  await call.getByLabel("Closes").fill("2001-01-01T10:00");
  await answer();
  await call.getByRole("button", { name: "Open it" }).click();
  await expect(call.getByText("are over already")).toBeVisible();
  await call.getByLabel("Closes").fill("2031-01-01T10:00");
  await call.getByRole("button", { name: "Open it" }).click();
  await expect(call.getByText("Open until Wednesday, 1 January 2031")).toBeVisible();
  await call.getByText("QR code", { exact: true }).click();
  await expect(call.getByRole("img", { name: /QR code of .*\/send\// })).toBeVisible();
  const address = await call.getByLabel("Whoever opens this link can send events in").inputValue();

  const phone = await (
    await browser.newContext({ viewport: { width: 390, height: 844 }, reducedMotion: "reduce" })
  ).newPage();
  await phone.goto(address);
  await expect(phone.getByText("Nia asks for events for “Our village”.")).toBeVisible();
  await expect(phone.getByText("What do you know of the ferry?")).toBeVisible();
  await phone.getByLabel("What happened").fill("The rope broke");
  await phone.getByLabel("When").fill("about 1702");
  await phone.getByRole("button", { name: "Send it in" }).click();
  await expect(phone.getByText("Write a name, as you want to be called")).toBeVisible();
  await phone.getByLabel("Your name").fill("Old Wren");
  await phone.getByLabel("More about it").fill("My grandmother told me.");
  await phone.getByRole("button", { name: "Send it in" }).click();
  await expect(phone.getByText("Thank you. It waits until")).toBeVisible();
  await phone.getByRole("button", { name: "Send another" }).click();
  await expect(phone.getByLabel("Your name")).toHaveValue("Old Wren");
  await phone.getByLabel("What happened").fill("Buy cheap watches");
  await phone.getByRole("button", { name: "Send it in" }).click();
  await expect(phone.getByText("Thank you. It waits until")).toBeVisible();

  // It stands on the first page of those who edit, and in nothing a reader sees.
  await nia.page.goto("/");
  await nia.page.getByRole("link", { name: "2 events wait" }).click();
  const first = nia.page.getByRole("listitem").filter({ hasText: "The rope broke" });
  await expect(first).toContainText("from Old Wren");
  expect(await (await nia.context.request.get(`${url}/reader`)).text()).not.toContain("The rope broke");
  await nia.page.getByRole("button", { name: "Take in The rope broke" }).click();
  await expect(nia.page.getByText("“The rope broke” is in the timeline.")).toBeVisible();
  await nia.page.getByRole("button", { name: "Leave out Buy cheap watches" }).click();
  await expect(nia.page.getByText("Nothing waits.")).toBeVisible();
  await nia.page.getByRole("link", { name: "Our village" }).click();
  await expect(nia.page.getByRole("row", { name: /about 1702 The rope broke/ })).toBeVisible();

  // Closed, the link says so, and what is on its way to it is not taken.
  await phone.getByRole("button", { name: "Send another" }).click();
  await phone.getByLabel("What happened").fill("Too late");
  await nia.page.getByRole("button", { name: "Share" }).click();
  await call.getByRole("button", { name: "Close it" }).click();
  await expect(call.getByRole("button", { name: "Open it" })).toBeVisible();
  await phone.getByRole("button", { name: "Send it in" }).click();
  await expect(phone.getByText("Nothing is asked for here any more, so this was not sent.")).toBeVisible();
  await phone.reload();
  await expect(phone.getByRole("heading", { name: "This is closed" })).toBeVisible();
});

test("what others did since one was here last is said, and seen on the chart and in sentences", async ({ browser }) => {
  const [nia, obi] = [await newPerson(browser, "Nia"), await newPerson(browser, "Obi")];
  const url = await newTimeline(nia.page, "Crossings");
  await writeLines(nia.page, ["1604 Rope ferry", "1783 The flood"]);
  await saved(nia.page);
  const api = url.replace("/timelines", "/api/timelines");
  const made = await nia.context.request.post(`${api}/invitation`, { data: { renew: false } });
  const { token } = (await made.json()) as { token: string };
  await obi.context.request.post(`/api/join/${token}`);
  // Whoever comes for the first time has seen nothing before, and is told nothing.
  await obi.page.goto(url);
  await expect(obi.page.getByRole("row", { name: /Rope ferry/ })).toBeVisible();
  await expect(obi.page.getByText("since you were here")).toHaveCount(0);
  await nia.page.goto("/");
  await writeLines(obi.page, ["1931 Last crossing"]);
  await saved(obi.page);
  await nia.page.goto(url);
  await expect(nia.page.getByText("1 change by Obi since you were here.")).toBeVisible();
  await nia.page.getByRole("button", { name: "See what is different" }).click();
  const past = nia.page.getByTestId("past");
  await expect(past.getByText("Added since").first()).toBeVisible();
  await expect(past.getByRole("complementary", { name: "Compared with" })).toContainText("Last crossing");
  await past.getByRole("button", { name: "Back to now" }).click();
  await expect(nia.page.getByText("since you were here")).toHaveCount(0);
  // Seen, it is not said again.
  await nia.page.reload();
  await expect(nia.page.getByRole("row", { name: /Last crossing/ })).toBeVisible();
  await expect(nia.page.getByText("since you were here")).toHaveCount(0);
});

test("a change is suggested, with why, and accepted or left out by those who edit", async ({ browser }) => {
  const [nia, obi] = [await newPerson(browser, "Nia"), await newPerson(browser, "Obi")];
  const url = await newTimeline(nia.page, "Crossings");
  await writeLines(nia.page, ["1604 Rope ferry", "1783 The flood"]);
  await saved(nia.page);
  const api = url.replace("/timelines", "/api/timelines");
  const made = await nia.context.request.post(`${api}/invitation`, { data: { renew: false, role: "commenter" } });
  const { token } = (await made.json()) as { token: string };
  await obi.context.request.post(`/api/join/${token}`);
  await obi.page.goto(url);
  const side = comments(obi.page);
  await side.getByText("Suggest a change").click();
  await side.getByLabel("Of which event").selectOption({ label: "Rope ferry" });
  await expect(side.getByLabel("When")).toHaveValue("1604");
  await side.getByRole("button", { name: "Suggest it" }).click();
  await expect(side.getByText("It says what is there already.")).toBeVisible();
  await side.getByLabel("When").fill("about 1604");
  await side.getByLabel("Why").fill("The roll says so.");
  await side.getByRole("button", { name: "Suggest it" }).click();
  await expect(side.getByText("It waits until somebody who edits has decided.")).toBeVisible();
  await side.getByLabel("Of which event").selectOption({ label: "A new event" });
  await expect(side.getByLabel("What happened")).toHaveValue("");
  await side.getByLabel("When").fill("1931");
  await side.getByLabel("What happened").fill("Last crossing");
  await side.getByRole("button", { name: "Suggest it" }).click();
  await expect(side.getByRole("region", { name: "Suggestions" }).getByRole("listitem")).toHaveCount(2);
  await expect(nia.page.getByRole("row", { name: /Last crossing/ })).toHaveCount(0);

  // In its place too: on the sheet of the event it is for.
  await nia.page.getByRole("button", { name: "Open Rope ferry" }).click();
  const sheet = nia.page.getByRole("complementary", { name: /^Event 1 of 2/ });
  await expect(sheet.getByRole("region", { name: "Suggestions" }).getByRole("listitem")).toHaveCount(1);
  await expect(sheet.getByText("The roll says so.")).toBeVisible();
  await nia.page.getByRole("button", { name: "Comments" }).click();
  const waits = comments(nia.page).getByRole("region", { name: "Suggestions" });
  await expect(waits.getByRole("listitem").first()).toContainText("Obi suggests for “Rope ferry”");
  await expect(waits.getByRole("listitem").first()).toContainText("The roll says so.");
  await waits.getByRole("button", { name: "Take in what is suggested for Rope ferry" }).click();
  await expect(nia.page.getByRole("row", { name: /about 1604 .*Rope ferry/ })).toBeVisible();
  await waits.getByRole("button", { name: "Leave out what is suggested for Last crossing" }).click();
  await expect(waits).toHaveCount(0);
  await expect(side.getByRole("region", { name: "Suggestions" })).toHaveCount(0);
  await expect(nia.page.getByRole("row", { name: /Last crossing/ })).toHaveCount(0);
  await obi.page.goto("/");
  await expect(
    obi.page.getByText("Nia has taken in what you suggested for “Rope ferry” in “Crossings”."),
  ).toBeVisible();
});

test("what somebody said is reported by whoever reads it, and taken away by those who keep the site", async ({
  browser,
}) => {
  const [nia, obi, keeper] = [
    await newPerson(browser, "Nia"),
    await newPerson(browser, "Obi"),
    await newPerson(browser, "Keeper"),
  ];
  const url = await newTimeline(nia.page, "Weirs of the Ambrel");
  const api = `/api/timelines/${url.split("/").at(-1)!.split("?")[0]}`;
  const invitation = await nia.page.request.post(`${api}/invitation`, { data: { renew: false, role: "commenter" } });
  await obi.page.request.post(`/api/join/${((await invitation.json()) as { token: string }).token}`);
  const text = "Whoever built these knew nothing, and you know less.";
  await obi.page.request.post(`${api}/comments`, { data: { event: "", words: "", thread: null, text } });
  await nia.page.getByRole("button", { name: "Comments" }).click();
  const panel = comments(nia.page);
  await panel.getByRole("button", { name: "Report what Obi said" }).click();
  const form = nia.page.getByRole("dialog", { name: "Report what Obi said" });
  await form.getByRole("button", { name: "Report it" }).click();
  await expect(form.getByRole("alert")).toBeVisible();
  await form.getByLabel("What is wrong with it, in a few words").fill("It is unkind.");
  await form.getByRole("button", { name: "Report it" }).click();
  await expect(panel.getByText("Thank you. Whoever keeps this site looks at it.")).toBeVisible();

  const sql = postgres(process.env.E2E_DATABASE!, { max: 1 });
  await sql`update account set operator = true where email = ${keeper.email}`;
  await sql.end();
  await keeper.page.goto("/operator");
  const report = keeper.page.getByTestId("said-report").filter({ hasText: "Obi in “Weirs of the Ambrel”" });
  await expect(report).toContainText(text);
  await expect(report).toContainText("It hurts or threatens somebody. It is unkind.");
  await report.getByRole("button", { name: "Take it away" }).click();
  await expect(report).toHaveCount(0);
  await expect(panel.getByText(text)).toHaveCount(0);
});
