import { expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import postgres from "postgres";
import { startForeignPage } from "../scripts/lib/foreign-page.mjs";
import { embedCode } from "../src/core/published/embed-code";
import { type Actor, signUp } from "./attack/actor";
import { openSheet } from "./harness/ledger";
import { newPerson, newTimeline, saved, serverUrl, startedWith, writeLines, visitor } from "./harness/people";

const share = (page: Page) => page.getByRole("button", { name: "Share" }).click();
const published = (page: Page) => page.getByRole("region", { name: "Publish" });
const linkOf = (page: Page) => page.getByLabel("Link to the published page").inputValue();

test("with a password, from a day on, taken back while it is open: a reader is told what is so", async ({
  browser,
}) => {
  const { page } = await startedWith(browser, "The flood", ["1872 Flood", "1874 Stone bridge"]);
  await saved(page);
  await share(page);
  await page.getByRole("radio", { name: /With a password/ }).click();
  await expect(page.getByRole("button", { name: "Publish", exact: true })).toBeDisabled();
  await page.getByLabel("Password for readers").fill("password1");
  await page.getByRole("button", { name: "Publish", exact: true }).click();
  await expect(published(page).getByRole("alert")).toContainText("one of those that are tried first");
  await page.getByLabel("Password for readers").fill("long night flood");
  await page.getByRole("button", { name: "Publish", exact: true }).click();
  const link = await linkOf(page);

  const reader = await visitor(browser);
  await reader.goto(link);
  await expect(reader.getByRole("heading", { name: "This timeline has a password" })).toBeVisible();
  await reader.getByLabel("Password").fill("short night flood");
  await reader.getByRole("button", { name: "Open it" }).click();
  await expect(reader.getByRole("alert")).toContainText("not the password of this page");
  await reader.getByLabel("Password").fill("long night flood");
  await reader.getByRole("button", { name: "Open it" }).click();
  await expect(reader.getByRole("heading", { name: "The flood" }).first()).toBeVisible();
  await reader.reload();
  await expect(reader.getByRole("heading", { name: "The flood" }).first()).toBeVisible();

  // Another password: whoever knew the old one is asked again.
  await page.getByLabel(/Another password/).fill("another night flood");
  await page.getByRole("button", { name: "Set the password" }).click();
  await expect(page.getByLabel(/Another password/)).toHaveValue("");
  await reader.reload();
  await expect(reader.getByLabel("Password")).toBeVisible();

  await page.getByRole("radio", { name: "Anyone with the link not listed" }).click();
  await expect(page.getByLabel(/Another password/)).toBeHidden();
  await expect(async () => {
    await reader.goto(link);
    await expect(reader.getByRole("heading", { name: "The flood" }).first()).toBeVisible({ timeout: 1_000 });
  }).toPass();
  await page.getByText("From when, until when").click();
  await page.getByLabel("To be seen from").fill("2199-12-01T09:00");
  await page.getByLabel("To be seen until").focus();
  await expect(published(page).getByRole("status")).toContainText("Nobody but its editors sees it before");
  await reader.reload();
  await expect(reader.getByRole("heading", { name: "This timeline is not open yet" })).toBeVisible();
  await expect(reader.getByText(/opens it on .*2199/)).toBeVisible();
  await page.getByLabel("To be seen from").fill("");
  await page.getByLabel("To be seen until").focus();
  await expect(published(page).getByRole("status")).not.toContainText("Nobody but its editors");
  await reader.reload();
  await expect(reader.getByRole("heading", { name: "The flood" }).first()).toBeVisible();
  await page.getByRole("button", { name: "Take it back" }).click();
  await expect(published(page).getByRole("status")).toContainText("Taken back");
  await reader.reload();
  await expect(reader.getByRole("heading", { name: "This timeline has been taken back" })).toBeVisible();
});

test("who publishes while the last words are on their way publishes those too; a second press leaves it", async ({
  browser,
}) => {
  const { page } = await startedWith(browser, "The flood", ["1872 Flood"]);
  await saved(page);
  // What is written goes out when the journey lets it.
  let letGo = () => {};
  const held = new Promise<void>((resolve) => {
    letGo = resolve;
  });
  await page.route("**/changes", async (route) => {
    await held;
    await route.continue();
  });
  await writeLines(page, ["1874 Stone bridge"]);
  await expect(page.getByTestId("saving")).not.toHaveText("Saved");
  await share(page);
  const press = page.getByRole("button", { name: "Publish", exact: true });
  const waits = published(page).getByText("Done as soon as all you wrote is saved", { exact: false });
  await press.click();
  await expect(waits).toBeVisible();
  await expect(published(page).getByText("Draft – only its editors can see this", { exact: false })).toBeVisible();
  await press.click();
  await expect(waits).toBeHidden();
  // Left again and pressed again, it is done once, with what was written last.
  const sent: string[] = [];
  page.on("request", (r) => void (r.url().endsWith("/publication") && sent.push(r.method())));
  await press.click();
  await expect(waits).toBeVisible();
  expect(sent).toEqual([]);
  letGo();
  const link = await linkOf(page);
  await expect(waits).toBeHidden();
  expect(sent).toEqual(["PUT"]);
  const reader = await visitor(browser);
  await reader.goto(`${link}#read`);
  await expect(reader.locator("#read")).toContainText("Stone bridge");
});

test("what has changed since is shown before it is published; the link has a word, a QR code and goes by mail", async ({
  browser,
}) => {
  const { page, email } = await startedWith(browser, "The flood", ["1872 Flood", "1874 Stone bridge"]);
  await saved(page);
  await share(page);
  await page.getByRole("button", { name: "Publish", exact: true }).click();
  const first = await linkOf(page);
  await page.keyboard.press("Escape");
  // The keyboard is where it was before.
  await expect(page.getByRole("button", { name: "Share" })).toBeFocused();
  await writeLines(page, ["1931 The last ferry"]);
  await saved(page);
  await share(page);
  await page.getByText("What has changed since").click();
  await expect(page.getByText("Events: 1 added, 0 changed, 0 deleted.")).toBeVisible();
  await expect(published(page).getByText("The last ferry")).toBeVisible();
  await page.getByRole("button", { name: "Publish the changes" }).click();
  await expect(published(page).getByRole("status")).toContainText("nothing has changed since");

  const word = `flood-${Date.now()}`;
  await page.getByLabel(/A word of your choice/).fill(`  ${word.toUpperCase()} !`);
  await page.getByRole("button", { name: "Use this word" }).click();
  await expect(page.getByLabel("Link to the published page")).toHaveValue(new RegExp(`/t/${word}$`));
  const reader = await visitor(browser);
  for (const link of [first, await linkOf(page)]) {
    await reader.goto(link);
    await expect(reader.getByRole("heading", { name: "The flood" }).first()).toBeVisible();
  }
  await page.getByText("QR code", { exact: true }).click();
  await expect(page.getByRole("img", { name: /QR code of .*\/t\// })).toBeVisible();

  await page.getByText("Send it by mail").click();
  await page.getByLabel(/^To \(/).fill("obi@hollinbank.example, nobody");
  await page.getByRole("button", { name: "Send", exact: true }).click();
  await expect(page.getByRole("alert")).toContainText("not an e-mail address");
  await page.getByLabel(/^To \(/).fill("obi@hollinbank.example");
  await page.getByLabel("A few words of yours").fill("For tomorrow's lesson.");
  await page.getByRole("button", { name: "Send", exact: true }).click();
  await expect(page.getByText(/1 letter was written.*were not sent|1 letter was written/)).toBeVisible();
  await page.goto("/mailbox");
  const letter = page.getByTestId("letter");
  await expect(letter).toContainText("To obi@hollinbank.example");
  await expect(letter).toContainText("For tomorrow's lesson.");
  await expect(letter).toContainText(`/t/${word}`);
  await expect(letter).toContainText(email);

  await page.goto("/published/mine");
  await expect(page.getByRole("listitem")).toContainText("Anyone with the link");
  // Counted a moment later, so that nobody waits for it.
  await expect(async () => {
    await page.reload();
    await expect(page.getByRole("listitem")).toContainText("opened 2 times", { timeout: 1_000 });
  }).toPass();
  await page.getByRole("button", { name: "Take it back: The flood" }).click();
  await expect(page.getByRole("listitem")).toContainText("Nobody: taken back");
});

test("found by words and period, copied with its credit, reported and hidden", async ({ browser }) => {
  const { page } = await startedWith(browser, "Weirs of the Ambrel", ["1604 Ropeweir", "1802 Millweir"]);
  await saved(page);
  await share(page);
  await page.getByRole("radio", { name: /Everybody/ }).click();
  await page.getByLabel(/Others may begin/).check();
  await page.getByRole("button", { name: "Publish", exact: true }).click();
  const link = await linkOf(page);

  const obi = await newPerson(browser, "Obi");
  await obi.page.goto("/published");
  await obi.page.getByLabel(/^Words/).fill("ropeweir");
  await obi.page.getByLabel(/^Period/).fill("1600-1700");
  await obi.page.getByRole("button", { name: "Search" }).click();
  await expect(obi.page.getByRole("status")).toHaveText("1 timeline");
  await expect(obi.page.getByRole("link", { name: "Weirs of the Ambrel" })).toBeVisible();
  await obi.page.getByLabel(/^Period/).fill("1900-1950");
  await obi.page.getByRole("button", { name: "Search" }).click();
  await expect(obi.page.getByRole("status")).toContainText("Nothing that is published for everybody fits");
  await obi.page.getByLabel(/^Period/).fill("x");
  await obi.page.getByRole("button", { name: "Search" }).click();
  await expect(obi.page.getByRole("main").getByRole("alert")).toContainText("“x” is no period");
  await expect(obi.page.getByRole("status")).toHaveText("1 timeline");

  await obi.page.goto(link);
  await obi.page.getByRole("link", { name: "Copy, embed or report it" }).click();
  await obi.page.getByRole("button", { name: "Copy as mine" }).click();
  await expect(obi.page.getByTestId("next-event")).toBeVisible();
  await share(obi.page);
  await obi.page.getByRole("button", { name: "Publish", exact: true }).click();
  await obi.page.goto((await linkOf(obi.page)).replace("/t/", "/published/"));
  await expect(obi.page.getByText("Begun with “Weirs of the Ambrel”")).toBeVisible();
  await obi.page.getByRole("link", { name: "Open the timeline" }).click();
  await expect(obi.page.locator(".foot")).toContainText("Begun with “Weirs of the Ambrel”");

  // Its events go into what one has, too.
  await newTimeline(obi.page, "Weirs of two valleys");
  await obi.page.getByRole("button", { name: "Bring in", exact: true }).click();
  await obi.page.getByLabel(/^Or the web address of a table/).fill(link);
  await obi.page.getByRole("button", { name: "Fetch it" }).click();
  await expect(obi.page.getByRole("status").getByText(/came from “Weirs of the Ambrel”/)).toBeVisible();
  const came = await openSheet(obi.page, "Ropeweir");
  const written = () =>
    came.locator("input, textarea").evaluateAll((all) => all.map((el) => (el as HTMLInputElement).value));
  await expect.poll(written).toContainEqual(expect.stringContaining("Weirs of the Ambrel"));

  await obi.page.goto(link.replace("/t/", "/published/"));
  await obi.page.getByRole("button", { name: "Report it" }).click();
  await expect(obi.page.getByRole("main").getByRole("alert")).toContainText("Say in a few words");
  await obi.page.getByLabel("What is wrong with it").selectOption("copied");
  await obi.page.getByLabel("In a few words").fill("The mill's own drawing.");
  await obi.page.getByRole("button", { name: "Report it" }).click();
  await expect(obi.page.getByText("Thank you. It was reported")).toBeVisible();

  const keeper = await newPerson(browser, "Keeper");
  expect((await keeper.page.goto("/operator"))!.status()).toBe(404);
  const sql = postgres(process.env.E2E_DATABASE!, { max: 1 });
  await sql`update account set operator = true where email = ${keeper.email}`;
  await sql.end();
  await keeper.page.goto("/operator");
  await expect(keeper.page.getByText("The mill's own drawing.")).toBeVisible();
  await keeper.page.getByRole("button", { name: "Hide it: Weirs of the Ambrel" }).click();
  await expect(keeper.page.getByRole("button", { name: "Show it again: Weirs of the Ambrel" })).toBeVisible();
  await obi.page.goto(link);
  await expect(obi.page.getByRole("heading", { name: "This timeline is hidden" })).toBeVisible();
  await page.reload();
  await share(page);
  await expect(published(page).getByRole("status")).toContainText("has hidden it after a report");
});

async function ofSomebody(visibility: string, more: object = {}) {
  const owner: Actor = await signUp(serverUrl(), "Nia");
  const id = await owner.timeline("The flood");
  await owner.change(id, [{ kind: "add_event", id: "e1", fields: { title: "Ferry" } }]);
  const put = (body: object) =>
    owner.must<{ publication: { address: string } }>("PUT", `/api/timelines/${id}/publication`, {
      visibility,
      fresh: false,
      ...body,
    });
  const { publication } = await put({ fresh: true, ...more });
  return { owner, id, put, address: publication.address, page: `${serverUrl()}/t/${publication.address}` };
}

test("in another site's page: where its author allows it, in every way, and no further", async ({ browser }) => {
  const it = await ofSomebody("link");
  const code = (first: "" | "read" | "practice" | "e-e1", growing = false) =>
    embedCode({
      page: it.page,
      title: "The flood",
      first,
      height: growing ? { kind: "growing" } : { kind: "fixed", px: 500 },
    });
  const foreign = await startForeignPage("The Ambrelford Courier", [
    { id: "chart", heading: "Chart", text: "", code: code("") },
    { id: "event", heading: "Event", text: "", code: code("e-e1") },
    { id: "reading", heading: "Reading", text: "", code: code("read", true) },
    { id: "practice", heading: "Practice", text: "", code: code("practice") },
  ]);
  const reader = await visitor(browser);
  const frame = (id: string) => reader.frameLocator(`#${id} iframe`);
  const oembed = async () =>
    it.owner.ask("GET", `/oembed?url=${encodeURIComponent(it.page)}&maxwidth=500&maxheight=300`);
  try {
    // Nowhere at first.
    await reader.goto(foreign.url);
    await expect(reader.locator("iframe")).toHaveCount(4);
    await reader.locator("#reading").scrollIntoViewIfNeeded();
    await expect(frame("chart").getByRole("heading", { name: "The flood" })).toBeHidden();
    expect((await oembed()).status).toBe(401);

    await it.put({ embedSites: ["https://school.example", foreign.url] });
    await reader.goto(foreign.url);
    await expect(frame("chart").getByRole("heading", { name: "The flood" })).toBeVisible();
    await expect(frame("chart").getByRole("region", { name: "Chart", exact: true }).first()).toBeVisible();
    await reader.locator("#reading").scrollIntoViewIfNeeded();
    await expect(frame("reading").getByRole("heading", { name: "Ferry" })).toBeVisible();
    // As high as it needs.
    await expect(reader.locator("#reading iframe")).toHaveAttribute("style", /height: \d+px/);
    await reader.locator("#practice").scrollIntoViewIfNeeded();
    await expect(frame("practice").getByRole("button", { name: "Practise" })).toBeVisible();
    const { json } = await oembed();
    expect(json).toMatchObject({ version: "1.0", type: "rich", title: "The flood", width: 500, height: 300 });
    expect(String(json.html)).toContain(`${it.page}?as=embed`);
    const discovery = (await it.owner.ask("GET", `/t/${it.address}`)).text.match(/json\+oembed" href="([^"]+)"/)![1]!;
    expect((await fetch(discovery.replaceAll("&amp;", "&"))).status).toBe(200);

    // The page itself, with its bar and its foot, stands in no frame of another site.
    const policy = (await it.owner.ask("GET", `/t/${it.address}`)).headers.get("content-security-policy")!;
    expect(policy).toContain("frame-ancestors 'self'");
    expect(policy).not.toContain(foreign.url);

    // Another site that was not named, at once.
    await it.put({ embedSites: ["https://school.example"] });
    await reader.goto(foreign.url);
    await expect(frame("chart").getByRole("heading", { name: "The flood" })).toBeHidden();

    // A kind notice where access was taken back, and where only some may see it.
    await it.put({ embedSites: ["*"] });
    await it.owner.must("DELETE", `/api/timelines/${it.id}/publication`);
    await reader.goto(foreign.url);
    await expect(frame("chart").getByRole("heading", { name: "has been taken back" })).toBeVisible();
    expect((await oembed()).status).toBe(404);
    await it.put({ visibility: "only_me" });
    await reader.goto(foreign.url);
    await expect(frame("chart").getByText("inside another site nobody can be told apart")).toBeVisible();
    await expect(frame("chart").getByRole("link", { name: "Open it on its own page" })).toHaveAttribute(
      "target",
      "_blank",
    );
  } finally {
    foreign.stop();
  }
});

test("sites are read as they are typed; what is none is refused with a sentence", async () => {
  const it = await ofSomebody("everybody");
  for (const [typed, read] of [
    [["school.example/courses/8b"], ["https://school.example"]],
    [["http://127.0.0.1:3400", " "], ["http://127.0.0.1:3400"]],
    [["*", "https://a.example"], ["*"]],
  ] as const) {
    const { publication } = (await it.put({ embedSites: typed })) as unknown as {
      publication: { embedSites: string[] };
    };
    expect(publication.embedSites).toEqual(read);
  }
  for (const bad of ["javascript:alert(1)", "https://a.example; script-src *", "https://user:pw@a.example", "a b"]) {
    const path = `/api/timelines/${it.id}/publication`;
    const reply = await it.owner.ask("PUT", path, { visibility: "everybody", fresh: false, embedSites: [bad] });
    expect([bad, reply.status, reply.json.failed]).toEqual([bad, 400, "site_malformed"]);
  }
});

test("the dialog warns before it gives code for what is not public, and gives it for each choice", async ({
  browser,
}) => {
  const { page } = await startedWith(browser, "The flood", ["1872 Flood"]);
  await saved(page);
  await share(page);
  await page.getByRole("radio", { name: /Only its editors/ }).click();
  await page.getByRole("button", { name: "Publish", exact: true }).click();
  const embed = page.getByRole("region", { name: "Show it in another page" });
  await expect(embed.getByRole("note")).toContainText("there is no code until anyone with the link");
  await expect(embed.getByLabel("Code for the other page")).toBeHidden();
  await page.getByRole("radio", { name: "Anyone with the link not listed" }).click();
  await expect(embed.getByRole("note")).toBeHidden();
  await embed.getByRole("radio", { name: "In these only" }).click();
  await embed.getByLabel("Sites, one a line").fill("not a site at all, really");
  await embed.getByRole("button", { name: "Save the sites" }).click();
  await embed.getByLabel("Sites, one a line").fill("school.example");
  await embed.getByRole("button", { name: "Save the sites" }).click();
  const code = embed.getByLabel("Code for the other page");
  await expect(code).toHaveValue(/as=embed" title="The flood"/);
  await embed.getByLabel("Shows first").selectOption({ label: "Event: Flood" });
  await expect(code).toHaveValue(/as=embed#e-/);
  await embed.getByRole("radio", { name: "As high as it needs" }).check();
  await expect(code).toHaveValue(/embed\.js/);
});

test("on a phone every part of the share dialog is a press away, and from each it is closed", async ({ browser }) => {
  const { page } = await startedWith(browser, "The flood", ["1872 Flood"]);
  await saved(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await share(page);
  const dialog = page.getByRole("dialog", { name: "Share" });
  const parts = dialog.getByRole("navigation", { name: "Parts of this dialog" }).getByRole("button");
  await expect(parts).toHaveText(["Work on it together", "Let others send events in", "Hand in a frozen copy"]);
  // What there is once it is published comes in between.
  await dialog.getByRole("radio", { name: /Anyone with the link/ }).check();
  await dialog.getByRole("button", { name: "Publish", exact: true }).click();
  await expect(parts).toHaveText([
    "Link",
    "Show it in another page",
    "Work on it together",
    "Let others send events in",
    "Hand in a frozen copy",
  ]);
  for (const name of ["Hand in a frozen copy", "Show it in another page"]) {
    const part = dialog.getByRole("region", { name });
    await expect(part.getByRole("heading").first()).not.toBeInViewport();
    await parts.filter({ hasText: name }).click();
    await expect(part.getByRole("heading").first()).toBeInViewport();
    // Whoever goes on by keyboard goes on within it.
    await expect(part).toBeFocused();
    await page.keyboard.press("Tab");
    await expect(part.locator(":focus")).toHaveCount(1);
    await expect(dialog.getByRole("button", { name: "Close", exact: true })).toBeInViewport();
    // Its head does not cover where one is.
    const [head, at] = [
      await dialog.getByRole("heading", { level: 2 }).boundingBox(),
      await part.locator(":focus").boundingBox(),
    ];
    expect(at!.y).toBeGreaterThan(head!.y + head!.height);
  }
  await dialog.getByRole("button", { name: "Close", exact: true }).click();
  await expect(dialog).toHaveCount(0);
});
