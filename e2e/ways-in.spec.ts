import { expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { generateSync } from "otplib";
import postgres from "postgres";
import { newPerson, newTimeline, PASSWORD, signUpByForm, visitor } from "./harness/people";

// Among the last of a run, and needing nothing of one another: nobody who works on them is left waiting for whoever has the longest.
test.describe.configure({ mode: "parallel" });

/** Somebody who keeps the site, at their page of letters. */
async function keeper(browser: Parameters<typeof newPerson>[0]): Promise<Page> {
  const { page, email } = await newPerson(browser, "Keeper");
  const sql = postgres(process.env.E2E_DATABASE!, { max: 1 });
  await sql`update account set operator = true where email = ${email}`;
  await sql.end();
  return page;
}

/** The path of the link in the last letter to an address with this subject. */
async function linkTo(page: Page, email: string, subject: string): Promise<string> {
  await page.goto("/operator");
  const letter = page.getByTestId("letter").filter({ hasText: email }).filter({ hasText: subject }).first();
  return (await letter.innerText()).match(/https?:\/\/[^/\s]+(\/\S+)/)![1]!;
}

test("who has forgotten the password signs in by a link from a letter, and their address is proven by it", async ({
  browser,
}) => {
  const nia = await signUpByForm(browser, "Nia");
  const url = await newTimeline(nia.page, "Crossings");
  const letters = await keeper(browser);
  const other = await visitor(browser);
  await other.goto(url);
  await expect(other.getByRole("heading", { name: "Sign in" })).toBeVisible();
  await other.getByRole("link", { name: "Have a link sent by mail" }).click();
  await other.getByLabel("E-mail address").fill("nia@one.example, obi@two.example");
  await other.getByRole("button", { name: "Send the link" }).click();
  await expect(other.getByText("Type one address: the letter goes to one person.")).toBeVisible();
  await other.getByLabel("E-mail address").fill(nia.email);
  await other.getByRole("button", { name: "Send the link" }).click();
  await expect(other.getByText(`If an account has the address ${nia.email}`)).toBeVisible();
  await expect(other.getByText("No mail server is set here")).toBeVisible();
  const link = await linkTo(letters, nia.email, "Your link to sign in");
  await other.goto(link);
  await other.getByRole("button", { name: "Sign in as Nia" }).click();
  // It leads to what was asked for first.
  await expect(other).toHaveURL(new RegExp(url));
  await other.goto("/account");
  await expect(other.getByText("It was proven that this address is yours.")).toBeVisible();
  const again = await visitor(browser);
  await again.goto(link);
  await expect(again.getByRole("heading", { name: "This link is over" })).toBeVisible();
  await again.getByRole("link", { name: "Ask for a new one" }).click();
  await expect(again.getByRole("heading", { name: "Sign in by mail" })).toBeVisible();
});

test("an address is proven by the letter that was sent there, and asked about again when it is another", async ({
  browser,
}) => {
  const nia = await newPerson(browser, "Nia");
  const letters = await keeper(browser);
  await nia.page.goto("/account");
  await expect(nia.page.getByText("It is not known yet whether this address is yours")).toBeVisible();
  await nia.page.getByRole("button", { name: "Send me that link" }).click();
  await expect(nia.page.getByText("A letter was written to it.")).toBeVisible();
  const link = await linkTo(letters, nia.email, "Is this your address?");
  // Whoever finds the letter without being signed in is asked who they are.
  const other = await visitor(browser);
  await other.goto(link);
  await expect(other.getByRole("heading", { name: "Sign in" })).toBeVisible();
  await nia.page.goto(link);
  await expect(nia.page.getByText(nia.email)).toBeVisible();
  await nia.page.getByRole("button", { name: "Yes, this is my address" }).click();
  await expect(nia.page.getByText("This address is yours.")).toBeVisible();
  await nia.page.getByRole("link", { name: "To your account" }).click();
  await expect(nia.page.getByText("It was proven that this address is yours.")).toBeVisible();
  const email = nia.page.getByRole("region", { name: "E-mail" });
  await email.getByLabel("E-mail address").fill(`new-${nia.email}`);
  await email.getByLabel("Your password, for this").fill(PASSWORD);
  await email.getByRole("button", { name: "Save the address" }).click();
  await expect(email.getByText("Saved. Sign in with this address from now on.")).toBeVisible();
  await expect(email.getByText("It is not known yet whether this address is yours")).toBeVisible();
  await nia.page.goto("/mailbox");
  await expect(nia.page.getByTestId("letter").filter({ hasText: "Your address was changed" })).toContainText(nia.email);
});

test("two-step codes are set up from a picture, asked at the door, and let in by a spare one when the device is lost", async ({
  browser,
}) => {
  const ward = await newPerson(browser, "Ms Ward");
  await ward.page.goto("/account");
  const part = ward.page.getByRole("region", { name: "Two-step codes" });
  await part.getByLabel("Your password, for this").fill(PASSWORD);
  await part.getByRole("button", { name: "Set it up" }).click();
  await expect(part.getByRole("img", { name: "The secret for your device, as a QR code" })).toBeVisible();
  const secret = (await part.getByTestId("step-secret").innerText()).replaceAll(" ", "");
  await part.getByLabel("Code").fill("12 34");
  await part.getByRole("button", { name: "Turn the codes on" }).click();
  await expect(part.getByText("This is not the code of this moment")).toBeVisible();
  // The code of the half minute before is taken too; the one of now is left for the door.
  const before = generateSync({ secret, epoch: Math.floor(Date.now() / 1000) - 30 });
  await part.getByLabel("Code").fill(before);
  await part.getByRole("button", { name: "Turn the codes on" }).click();
  const spare = part.getByRole("listitem");
  await expect(spare).toHaveCount(8);
  const [first] = await spare.allInnerTexts();
  const download = ward.page.waitForEvent("download");
  await part.getByRole("button", { name: "Keep them as a file" }).click();
  expect((await download).suggestedFilename()).toBe("fastigo-codes.txt");
  await part.getByRole("button", { name: "I have kept them" }).click();
  await expect(part.getByText("A code is asked when you sign in.")).toBeVisible();

  const door = await visitor(browser);
  const enter = async (code: string) => {
    await door.goto("/sign-in");
    await door.getByLabel("E-mail or sign-in name").fill(ward.email);
    await door.getByLabel("Password").fill(PASSWORD);
    await door.getByRole("button", { name: "Sign in", exact: true }).click();
    await expect(door.getByLabel("Code")).toBeFocused();
    await door.keyboard.type(code);
    await door.keyboard.press("Enter");
  };
  await enter("000 00");
  await expect(door.getByText("This is not the code of this moment")).toBeVisible();
  await enter(generateSync({ secret }));
  await expect(door.getByRole("button", { name: "Ms Ward" }).or(door.getByText("Ms Ward")).first()).toBeVisible();
  await door.context().clearCookies();
  await enter(first!);
  await expect(door.getByText("Ms Ward").first()).toBeVisible();
  await door.goto("/account");
  const there = door.getByRole("region", { name: "Two-step codes" });
  await there.getByLabel("Your password, for this").fill(PASSWORD);
  await there.getByRole("button", { name: "Turn the codes off" }).click();
  await expect(there.getByRole("button", { name: "Set it up" })).toBeVisible();
});

test("what one is told of, and how, is chosen kind by kind", async ({ browser }) => {
  const [nia, obi] = [await newPerson(browser, "Nia"), await newPerson(browser, "Obi")];
  const url = await newTimeline(nia.page, "Crossings");
  const id = url.split("/").at(-1)!;
  const api = `/api/timelines/${id}`;
  const invitation = await nia.page.request.post(`${api}/invitation`, { data: { renew: false, role: "commenter" } });
  await obi.page.request.post(`/api/join/${((await invitation.json()) as { token: string }).token}`);
  const name = async (text: string) => {
    const said = await obi.page.request.post(`${api}/comments`, { data: { event: "", words: "", thread: null, text } });
    expect(said.status()).toBe(200);
  };
  await name("Look, @Nia");
  await nia.page.goto("/");
  await expect(nia.page.getByText("Obi has named you in a comment on “Crossings”.")).toBeVisible();
  await nia.page.getByRole("button", { name: "I have read this" }).click();
  await nia.page.goto("/account");
  const told = nia.page.getByRole("region", { name: "What you are told" });
  await expect(
    told.getByText("Nothing goes by mail until you have shown that the address above is yours."),
  ).toBeVisible();
  const here = told.getByLabel("I am named in a comment, or answered: On the first page");
  const kept = nia.page.waitForResponse((r) => r.url().endsWith("/api/account/notices"));
  await here.uncheck();
  await kept;
  await nia.page.reload();
  await expect(here).not.toBeChecked();
  await expect(told.getByLabel("Schools I teach at: On the first page")).toBeChecked();
  await name("Look again, @Nia");
  await nia.page.goto("/");
  await expect(nia.page.getByRole("link", { name: "Crossings" }).first()).toBeVisible();
  await expect(nia.page.getByText("Obi has named you")).toHaveCount(0);
});
