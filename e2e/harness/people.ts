import { type Browser, type BrowserContext, expect, type Page } from "@playwright/test";
import { warmBrowser } from "./warm";

export const PASSWORD = "over-the-ambrel";
export const serverUrl = () => process.env.E2E_URL ?? "http://localhost:3000";

let number = 0;
/** An address nobody else in this run has. */
export const newEmail = (name: string) =>
  `${name.toLowerCase().replaceAll(/[^a-z]/g, "")}-${process.pid}-${Date.now()}-${number++}@hollinbank.example`;

export interface Person {
  name: string;
  email: string;
  context: BrowserContext;
  page: Page;
}

/** A new person in a browser of their own, signed in. Journeys that are about signing up use the form. */
export async function newPerson(browser: Browser, name: string, url = serverUrl()): Promise<Person> {
  const { context, page } = await warmBrowser(browser, url);
  const email = newEmail(name);
  const made = await context.request.post("/api/account", {
    data: { displayName: name, email, password: PASSWORD },
    // A connection that a kept browser has not used for a minute may end just then.
    maxRetries: 2,
  });
  expect(made.status()).toBe(200);
  return { name, email, context, page };
}

/** Somebody who is not signed in, in a browser of their own. */
export const visitor = async (browser: Browser, url = serverUrl()): Promise<Page> =>
  (await warmBrowser(browser, url)).page;

/** Another browser of somebody who is signed in. */
export async function otherBrowserOf(browser: Browser, { context }: Person, url = serverUrl()): Promise<Page> {
  const other = await warmBrowser(browser, url);
  await other.context.addCookies(await context.cookies());
  return other.page;
}

/** A new person, by the form. */
export async function signUpByForm(browser: Browser, name: string): Promise<Person> {
  const { context, page } = await warmBrowser(browser, serverUrl());
  const email = newEmail(name);
  await page.goto("/sign-up");
  await page.getByLabel("Display name").fill(name);
  await page.getByLabel("E-mail").fill(email);
  await page.getByLabel("Password").fill(PASSWORD);
  await page.getByRole("button", { name: "Sign up" }).click();
  await expect(page.getByRole("heading", { name: "Your timelines" })).toBeVisible();
  return { name, email, context, page };
}

/** Makes an empty timeline and waits for its editor. */
export async function newTimeline(page: Page, title: string): Promise<string> {
  const made = await page.request.post("/api/timelines", { data: { title, subject: "" } });
  expect(made.status()).toBe(200);
  await page.goto(`/timelines/${((await made.json()) as { id: string }).id}`);
  await expect(page.getByTestId("next-event")).toBeVisible();
  return page.url();
}

/** The same, by the form. */
export async function newTimelineByForm(page: Page, title: string): Promise<string> {
  await page.goto("/new");
  await page.getByLabel("Title").fill(title);
  await page.getByRole("button", { name: "Make it" }).click();
  await expect(page.getByTestId("next-event")).toBeVisible();
  return page.url();
}

/** Writes events in the ledger's line: a list, as it is pasted there, is one change. */
export async function writeLines(page: Page, lines: string[]): Promise<void> {
  const line = page.getByTestId("next-event");
  await line.fill(lines.join("\n"));
  await line.press("Enter");
  await expect(line).toHaveValue("");
}

/** A new person in the editor of a timeline of theirs with some events, written in its line. */
export async function startedWith(browser: Browser, title: string, lines: string[]): Promise<Person> {
  const nia = await newPerson(browser, "Nia");
  await newTimeline(nia.page, title);
  await writeLines(nia.page, lines);
  return nia;
}

/** A second person who is invited into somebody's timeline by a link, and is in its editor. */
export async function invited(
  browser: Browser,
  owner: Page,
  address: string,
  name = "Obi",
  url = serverUrl(),
): Promise<Person> {
  await owner.getByRole("button", { name: "Share" }).click();
  await owner.getByRole("button", { name: "Make the link" }).click();
  const invitation = await owner.getByLabel(/Whoever opens this link/).inputValue();
  await owner.keyboard.press("Escape");
  const person = await newPerson(browser, name, url);
  await person.page.goto(invitation);
  await person.page.getByRole("button", { name: "Join" }).click();
  await expect(person.page).toHaveURL(address);
  await expect(person.page.getByTestId("next-event")).toBeEnabled();
  return person;
}

/** The editor has fetched all it opens later: what is opened is there without a network too. */
export const allHere = (page: Page) => page.locator("main[data-all-here]").waitFor();
export const saved = (page: Page) => expect(page.getByTestId("saving")).toHaveText("Saved");

/** What of an event can be pressed on the chart, by its name. What holds it is found by how it is written, not among all there is. */
export const chartButton = (page: Page, name: RegExp) =>
  page.locator("[role=group][aria-label=Chart]").getByRole("button", { name });
