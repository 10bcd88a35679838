import { cell, stand } from "./harness/ledger";
import { readFileSync } from "node:fs";
import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { newPerson, newTimeline, PASSWORD, saved, writeLines, visitor } from "./harness/people";

test("an account is looked after by its person: name, password, sessions, everything as a file, the end", async ({
  browser,
}) => {
  const nia = await newPerson(browser, "Nia");
  const { page } = nia;
  await newTimeline(page, "The long night");
  await writeLines(page, ["14 Nov 1872 The flood"]);
  await saved(page);
  // The same person at another machine.
  const elsewhere = await visitor(browser);
  await elsewhere.goto("/sign-in");
  await elsewhere.getByLabel("E-mail or sign-in name").fill(nia.email);
  await elsewhere.getByLabel("Password").fill(PASSWORD);
  await elsewhere.getByRole("button", { name: "Sign in" }).click();
  await elsewhere.getByRole("link", { name: "The long night" }).click();
  await expect(elsewhere.getByTestId("next-event")).toBeVisible();

  await page.goto("/");
  await page.getByRole("link", { name: /Nia/ }).click();
  await expect(page.getByRole("heading", { name: "Your account" })).toBeVisible();
  await page.getByLabel("Display name").fill("Wren");
  await page.getByRole("button", { name: "Save the name" }).click();
  await expect(page.getByText("Saved.", { exact: true })).toBeVisible();

  const sessions = page.getByRole("region", { name: "Where you are signed in" });
  await expect(sessions.getByRole("listitem")).toHaveCount(2);
  await expect(sessions.getByText("– here")).toBeVisible();

  const password = page.getByRole("region", { name: "Password" });
  await password.getByLabel("Present password").fill("not-this-one");
  await password.getByLabel("New password").fill("password1");
  await expect(password.getByTestId("password-score")).toHaveText(/Guessed at once|Easy to guess/);
  await password.getByRole("button", { name: "Set the new password" }).click();
  await expect(password.getByRole("alert")).toContainText("one of those that are tried first");
  await password.getByLabel("New password").fill("three-old-boats-at-dusk");
  await expect(password.getByTestId("password-score")).toHaveText(/Good|Very good/);
  await password.getByRole("button", { name: "Set the new password" }).click();
  await expect(password.getByRole("alert")).toContainText("Your present password is not this one");
  await password.getByLabel("Present password").fill(PASSWORD);
  await password.getByRole("button", { name: "Set the new password" }).click();
  await expect(password.getByRole("status")).toContainText("all your other sessions have ended");
  await expect(sessions.getByRole("listitem")).toHaveCount(1);
  // The other browser hears of it at once.
  await expect(elsewhere.getByText("You are signed out.")).toBeVisible();

  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "The data alone (JSON)" }).click(),
  ]);
  const all = JSON.parse(readFileSync((await download.path())!, "utf8")) as {
    account: { displayName: string };
    timelines: { timeline: { title: string; events: { title: string }[] } }[];
  };
  expect(all.account.displayName).toBe("Wren");
  expect(all.timelines[0]!.timeline).toMatchObject({ title: "The long night", events: [{ title: "The flood" }] });

  // Deleted, found in the bin, put back.
  await page.goto("/");
  await page.getByRole("button", { name: "More about The long night" }).click();
  await page.getByRole("menuitem", { name: "Delete" }).click();
  await expect(page.getByText("it lies in the bin")).toBeVisible();
  await page.goto("/bin");
  await page.getByRole("button", { name: "Put The long night back" }).click();
  await expect(page.getByText("There is nothing in your bin.")).toBeVisible();
  await page.goto("/account");

  const end = page.getByRole("region", { name: "Delete the account" });
  await end.getByLabel("Your password, to delete it").fill("three-old-boats-at-dusk");
  await end.getByRole("button", { name: "Delete my account" }).click();
  // A week to change one's mind: what goes is named, and one can still sign in.
  await expect(end.getByText("This account, and what is named above, is deleted on")).toBeVisible();
  await expect(end.getByRole("listitem").first()).toContainText("“The long night”");
  await end.getByRole("button", { name: "Keep my account" }).click();
  await expect(end.getByLabel("Your password, to delete it")).toBeVisible();
  await page.goto("/");
  await expect(page.getByRole("heading", { name: "Your timelines" })).toBeVisible();
});

test("what is pasted with control characters is saved without them, in fields and in descriptions", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Pasted");
  await writeLines(page, ["1604 Rope\u0000 ferry\u0007"]);
  await saved(page);
  await expect(cell(page, "title", "Rope ferry")).toBeVisible();
  await page
    .getByRole("group", { name: "Chart" })
    .getByRole("button", { name: /Rope ferry/ })
    .click();
  const text = page.getByRole("textbox", { name: "Description" });
  await text.click();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData("text/html", "<p>A farthing\u0001 a head\ud800</p>");
    data.setData("text/plain", "A farthing\u0001 a head\ud800");
    document.activeElement!.dispatchEvent(
      new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }),
    );
  });
  await expect(text).toHaveText("A farthing a head");
  await saved(page);
  await page.reload();
  await page
    .getByRole("group", { name: "Chart" })
    .getByRole("button", { name: /Rope ferry/ })
    .click();
  await expect(page.getByRole("textbox", { name: "Description" })).toHaveText("A farthing a head");
});

test("without the event stream the bar says so, and what others write comes all the same", async ({ browser }) => {
  const nia = await newPerson(browser, "Nia");
  const { page } = nia;
  const address = await newTimeline(page, "Ferries");
  await page.getByRole("button", { name: "Share" }).click();
  await page.getByRole("button", { name: "Make the link" }).click();
  const invitation = await page.getByLabel(/Whoever opens this link/).inputValue();
  await page.keyboard.press("Escape");
  const obi = await newPerson(browser, "Obi");
  await obi.page.route("**/api/live", (route) => route.fulfill({ status: 503, body: "" }));
  await obi.page.goto(invitation);
  await obi.page.getByRole("button", { name: "Join" }).click();
  await expect(obi.page).toHaveURL(address);
  await expect(obi.page.getByTestId("saving")).toHaveText("Saved – others’ changes come every 15 s");
  await writeLines(page, ["1604 Rope ferry"]);
  await expect(cell(obi.page, "title", "Rope ferry")).toBeVisible();
  await obi.page.unroute("**/api/live");
  await expect(obi.page.getByTestId("saving")).toHaveText("Saved");
});

test("a ledger of hundreds of rows shows those in view, and walks them all by keys", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  const address = await newTimeline(page, "Many");
  const path = new URL(address).pathname.replace("/timelines", "/api/timelines");
  const ops = Array.from({ length: 600 }, (_, i) => ({
    kind: "add_event",
    id: `e${i}`,
    fields: { title: `Event ${i}` },
  }));
  const made = await page.request.post(`${path}/changes`, { data: { id: "many", base: 0, ops } });
  expect(made.status()).toBe(200);
  await page.reload();
  const ledger = page.getByTestId("ledger");
  await expect(ledger).toHaveAttribute("aria-rowcount", "601");
  await expect(ledger.getByRole("row").nth(1)).toBeVisible();
  expect(await ledger.getByRole("row").count()).toBeLessThan(120);
  // A word half typed in a row stays, however far one scrolls meanwhile.
  const when = ledger.locator("[data-row]").first().locator("[role=gridcell][data-col=when]");
  await stand(when);
  await page.keyboard.type("14 Nov 18");
  const input = page.getByRole("textbox", { name: /^When, Event/ });
  await page.locator("[data-ledger-scroll]").evaluate((e) => e.scrollTo(0, 12_000));
  await expect.poll(() => ledger.locator("[data-row]").count()).toBeGreaterThan(5);
  await expect(input).toHaveValue("14 Nov 18");
  await page.keyboard.type("72");
  await page.keyboard.press("Enter");
  await saved(page);
  await page.reload();
  await expect(ledger.locator("[data-row]").first().locator("[role=gridcell][data-col=when]")).toHaveText(
    "14 Nov 1872",
  );
});
