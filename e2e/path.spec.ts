import { expect } from "@playwright/test";
import { test } from "./harness/test";
import postgres from "postgres";
import sharp from "sharp";
import { readFileSync } from "node:fs";
import {
  allHere,
  chartButton,
  invited,
  newPerson,
  newTimeline,
  newTimelineByForm,
  signUpByForm,
  PASSWORD,
  saved,
  writeLines,
} from "./harness/people";

const LINES = [
  "310 BC Ford stones laid #crossing",
  "about 1604 Rope ferry licensed #crossing",
  "1631 - about 1702 Tolls paid in salt #trade",
  "May 1688 Market moves east #trade",
  "Jan 1719 Carts cross on the ice",
  "1744 - 1783 Timber bridge #crossing",
  "19 Mar 1783 Spring flood takes two arches !",
  "about 1840 - 1852 Steam mill #trade",
  "14 Nov 1872 22:10 East quay under water",
  "May Day riots 1911",
  "12 boats",
  "Fire!",
];

test("from nothing to a published timeline, and two people in it", async ({ browser }) => {
  test.setTimeout(900_000);
  const nia = await signUpByForm(browser, "Nia");
  const { page } = nia;

  await test.step("sign out and in again", async () => {
    await page.getByRole("button", { name: "Sign out" }).click();
    await page.getByRole("main").getByRole("link", { name: "Sign in" }).click();
    await page.getByLabel("E-mail or sign-in name").fill(nia.email);
    await page.getByLabel("Password").fill("not the password");
    await page.getByRole("button", { name: "Sign in" }).click();
    await expect(page.getByRole("alert").filter({ hasText: "No account" })).toHaveText(
      /No account has this name and password/,
    );
    await page.getByLabel("Password").fill(PASSWORD);
    await page.getByRole("button", { name: "Sign in" }).click();
    await expect(page.getByRole("heading", { name: "Your timelines" })).toBeVisible();
    await expect(page.getByText("Nothing here yet")).toBeVisible();
  });

  await newTimelineByForm(page, "How the Ambrel was crossed");
  await expect(page.getByTestId("ledger").getByRole("row")).toHaveCount(1);

  await test.step("a dozen events, each at once on the chart, its split shown before Enter", async () => {
    const line = page.getByTestId("next-event");
    const read = page.locator("#next-event-read");
    await line.fill("May Day riots 1911");
    await expect(read).toContainText("Date 1911");
    await expect(read).toContainText("Title May Day riots");
    await line.fill("12 boats");
    await expect(read).toContainText("Date none yet");
    await line.fill("about 1840 - 1852 Steam mill #trade");
    await expect(read).toContainText("Date about 1840 – 1852");
    await expect(read).toContainText("Category trade (new)");
    for (const text of LINES) {
      await writeLines(page, [text]);
    }
    await expect(page.getByTestId("ledger").getByRole("row")).toHaveCount(13);
    await expect(chartButton(page, /about 1840 – 1852, Steam mill/)).toBeVisible();
    await expect(chartButton(page, /1911, May Day riots/)).toBeVisible();
    await expect(chartButton(page, /No date, 12 boats/)).toBeVisible();
    await expect(chartButton(page, /No date, Fire!/)).toBeVisible();
    await saved(page);
  });

  await test.step("the opening page: introduction, subject, cover, period", async () => {
    await page.getByRole("button", { name: "About", exact: true }).click();
    await page.getByRole("textbox", { name: "Introduction" }).click();
    await page.keyboard.type("Every way across the river.");
    await page.getByLabel("Subject").fill("Local history");
    await page.getByLabel("Period").fill("1600 - 1931");
    await page.getByLabel("Period").press("Enter");
    await expect(page.getByRole("region", { name: "Findings" })).toContainText("Ford stones laid");
    await expect(chartButton(page, /Ford stones laid/)).toBeVisible();
    const cover = await sharp({ create: { width: 900, height: 500, channels: 3, background: "#1F5FA8" } })
      .png()
      .toBuffer();
    await page
      .getByLabel("Cover picture: choose a file")
      .setInputFiles({ name: "cover.png", mimeType: "image/png", buffer: cover });
    await expect(page.getByTestId("media-item")).toHaveCount(1);
    await page.keyboard.press("Escape");
  });

  await test.step("one event in full", async () => {
    await chartButton(page, /Rope ferry licensed/).click();
    const sheet = page.getByRole("complementary", { name: /^Event/ });
    await expect(sheet.getByText("✓ about 1604")).toBeVisible();
    await sheet.getByLabel("When").fill("31 Feb 1604");
    await expect(sheet.getByRole("status").filter({ hasText: "February 1604 had 29 days" })).toBeVisible();
    await sheet.getByRole("button", { name: "29 Feb 1604" }).click();
    await expect(sheet.getByText("✓ Sunday 29 February 1604")).toBeVisible();
    await sheet.getByLabel("When").fill("c. 1604");
    await expect(sheet.getByText("✓ about 1604")).toBeVisible();
    await sheet.getByRole("textbox", { name: "Title", exact: true }).fill("Rope ferry licensed to the Tolley family");
    await sheet.getByLabel("Short title").fill("Rope ferry");
    await expect(chartButton(page, /Rope ferry licensed to the Tolley family/)).toBeVisible();

    const text = sheet.getByRole("textbox", { name: "Description" });
    await text.click();
    await page.keyboard.type("One boat of twenty feet. ");
    await sheet.getByRole("button", { name: "Bold" }).click();
    await page.keyboard.type("A farthing a head.");
    await sheet.getByRole("button", { name: "Bold" }).click();
    await page.keyboard.press("Enter");
    await sheet.getByRole("button", { name: "List", exact: true }).click();
    await page.keyboard.type("a rope of the best hemp");
    await page.keyboard.press("Enter");
    await page.keyboard.press("Enter");
    await sheet.getByRole("button", { name: "Link", exact: true }).click();
    await sheet.getByLabel("Text of the link").fill("the licence");
    await sheet.getByLabel("Web address", { exact: true }).fill("javascript:alert(1)");
    await sheet.getByRole("button", { name: "Set link" }).click();
    await expect(sheet.getByText("This is not a web or mail address")).toBeVisible();
    await sheet.getByLabel("Web address", { exact: true }).fill("archive.example/licence");
    await sheet.getByRole("button", { name: "Set link" }).click();
    await expect(text.getByRole("link", { name: "the licence" })).toHaveAttribute(
      "href",
      "https://archive.example/licence",
    );
    await expect(sheet.getByText("17 words")).toBeVisible();

    const media = sheet.getByRole("region", { name: "Pictures, video, sound" });
    const jpeg = await sharp({ create: { width: 1200, height: 800, channels: 3, background: "#B4481E" } })
      .jpeg()
      .toBuffer();
    await media
      .getByLabel("Pictures, video, sound: choose a file")
      .setInputFiles({ name: "ferry.jpg", mimeType: "image/jpeg", buffer: jpeg });
    await expect(media.getByTestId("media-item")).toHaveCount(1);
    await media.getByLabel(/What it shows/).fill("A flat boat on a rope");
    await media.getByLabel("Credit").fill("Hollin Bank School");
    await media.getByLabel("Licence").fill("CC BY 4.0");
    await expect(media.getByText("no credit yet")).toHaveCount(0);
    // Paste a picture.
    const png = (
      await sharp({ create: { width: 60, height: 40, channels: 3, background: "#5B7A1C" } })
        .png()
        .toBuffer()
    ).toString("base64");
    await page.evaluate((data) => {
      const bytes = Uint8Array.from(atob(data), (c) => c.charCodeAt(0));
      const transfer = new DataTransfer();
      transfer.items.add(new File([bytes], "pasted.png", { type: "image/png" }));
      document.dispatchEvent(new ClipboardEvent("paste", { clipboardData: transfer, bubbles: true }));
    }, png);
    await expect(media.getByTestId("media-item")).toHaveCount(2);
    // A picture by its address; the address and the day are kept.
    await media.getByLabel("Web address of a picture").fill(`${process.env.E2E_PICTURE_SITE}/ferry.png`);
    await media.getByRole("button", { name: "Fetch" }).click();
    await expect(media.getByTestId("media-item")).toHaveCount(3);
    await expect(media.getByText(`looked up ${new Date().toISOString().slice(0, 10)}`)).toBeVisible();
    await expect(media.getByLabel("Where it was found").nth(2)).toHaveValue(
      `${process.env.E2E_PICTURE_SITE}/ferry.png`,
    );
    // A film.
    await media.getByLabel("Pictures, video, sound: choose a file").setInputFiles({
      name: "flood.webm",
      mimeType: "video/webm",
      buffer: readFileSync("scripts/demo/media/spring-flood.webm"),
    });
    await expect(media.locator("video")).toHaveCount(1);
    // Its still was drawn here and kept with it.
    const still = await media.locator("video").getAttribute("poster");
    expect(still).toMatch(/\/small$/);
    expect((await page.request.get(still!)).headers()["content-type"]).toBe("image/webp");

    await sheet.getByRole("button", { name: "Add a source" }).click();
    await sheet.getByLabel("Source", { exact: true }).fill("County roll 12");
    await saved(page);
  });

  await test.step("insert, delete, undo, redo, reload: all there", async () => {
    const sheet = page.getByRole("complementary", { name: /^Event/ });
    await sheet.getByRole("button", { name: "Insert after" }).click();
    await sheet.getByRole("textbox", { name: "Title", exact: true }).fill("A second rope");
    const titles = () =>
      page
        .getByTestId("ledger")
        .locator("[role=gridcell][data-col=title]")
        .evaluateAll((all) => all.map((c) => c.textContent));
    expect((await titles()).slice(1, 3)).toEqual(["Rope ferry licensed to the Tolley family", "A second rope"]);
    await sheet.getByRole("button", { name: "Insert before" }).click();
    await sheet.getByRole("textbox", { name: "Title", exact: true }).fill("The first rope");
    expect((await titles()).slice(1, 4)).toEqual([
      "Rope ferry licensed to the Tolley family",
      "The first rope",
      "A second rope",
    ]);
    await sheet.getByRole("button", { name: "Delete", exact: true }).click();
    expect(await titles()).not.toContain("The first rope");
    await page.getByRole("button", { name: "Undo" }).click();
    expect(await titles()).toContain("The first rope");
    await page.getByRole("button", { name: "Redo" }).click();
    expect(await titles()).not.toContain("The first rope");
    await expect(
      page.getByRole("complementary", { name: "Deleted event" }).getByRole("button", { name: "Put back" }),
    ).toBeVisible();
    await saved(page);
    const before = await titles();
    await page.reload();
    await expect(chartButton(page, /Rope ferry licensed/)).toBeVisible();
    expect(await titles()).toEqual(before);
    await chartButton(page, /Rope ferry licensed/).click();
    await expect(page.getByRole("textbox", { name: "Description" })).toContainText(
      "One boat of twenty feet. A farthing a head.",
    );
    await expect(page.getByTestId("media-item")).toHaveCount(4);
    await page.keyboard.press("Escape");
  });

  await test.step("the history shows what each change replaced", async () => {
    await page.getByRole("button", { name: "History" }).click();
    const history = page.getByRole("complementary", { name: "History" });
    await history.getByRole("button", { name: "Single steps" }).click();
    await expect(history).toContainText("from “29 Feb 1604” to “c. 1604”");
    await page.keyboard.press("Escape");
  });

  await test.step("see it as a reader before anything is published", async () => {
    const [reader] = await Promise.all([
      nia.context.waitForEvent("page"),
      page.getByRole("link", { name: "See it as a reader" }).click(),
    ]);
    await expect(reader.getByText("This is how a reader will see it")).toBeVisible();
    await reader.getByRole("link", { name: "Open the chart" }).first().click();
    await expect(reader.getByRole("button", { name: /Rope ferry licensed/ })).toBeVisible();
    await reader.getByRole("link", { name: "Read", exact: true }).click();
    await expect(reader.getByRole("heading", { name: "Rope ferry licensed to the Tolley family" })).toBeVisible();
    await expect(
      reader
        .getByText("28 years later")
        .or(reader.getByText(/\d+ to \d+ years later/))
        .first(),
    ).toBeVisible();
    await reader.setViewportSize({ width: 390, height: 844 });
    await expect.poll(() => reader.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await reader.close();
  });

  const stranger = await browser.newContext({ baseURL: new URL(page.url()).origin });
  const visitor = await stranger.newPage();
  let link = "";
  await test.step("publish for anyone with the link; a signed-out browser sees it all", async () => {
    await page.getByRole("button", { name: "Share" }).click();
    const dialog = page.getByRole("dialog");
    await expect(dialog.getByText("Draft – only its editors can see this.")).toBeVisible();
    await dialog.getByLabel(/Anyone with the link/).check();
    await dialog.getByRole("button", { name: "Publish" }).click();
    await expect(dialog.getByText(/^Published – version of/)).toBeVisible();
    await dialog.getByRole("button", { name: "Copy link" }).click();
    link = await page.evaluate(() => navigator.clipboard.readText());
    expect(link).toMatch(/\/t\/[a-z0-9]{12}$/);

    const refused: string[] = [];
    visitor.on("console", (m) => {
      if (m.type() === "error") refused.push(m.text());
    });
    const response = await visitor.goto(link);
    expect(response!.headers()["content-security-policy"]).not.toContain("unsafe");
    await visitor.getByRole("link", { name: "Open the chart" }).first().click();
    await visitor
      .getByRole("button", { name: /Rope ferry/ })
      .first()
      .click();
    const hung = visitor.locator("article.hung");
    await hung.locator("video").evaluate((v) => (v as HTMLVideoElement).play());
    await expect
      .poll(() => hung.locator("video").evaluate((v) => (v as HTMLVideoElement).currentTime))
      .toBeGreaterThan(0);
    await hung.getByRole("link", { name: "Back to the chart" }).click();
    await expect(visitor.getByRole("button", { name: /Steam mill/ })).toBeVisible();
    await visitor.getByRole("link", { name: "Read", exact: true }).click();
    const ferry = visitor.getByRole("listitem").filter({ has: visitor.getByRole("heading", { name: /Rope ferry/ }) });
    await expect(ferry.getByRole("img", { name: "A flat boat on a rope" })).toBeVisible();
    await expect
      .poll(() =>
        ferry.getByRole("img", { name: "A flat boat on a rope" }).evaluate((i) => (i as HTMLImageElement).naturalWidth),
      )
      .toBeGreaterThan(100);
    await expect(ferry.getByText("Hollin Bank School, CC BY 4.0")).toBeVisible();
    await expect(ferry.locator("video")).toHaveAttribute("poster", /^\/t\/.+\/medium$/);
    await ferry.locator("video").evaluate((v) => (v as HTMLVideoElement).play());
    await expect
      .poll(() => ferry.locator("video").evaluate((v) => (v as HTMLVideoElement).currentTime))
      .toBeGreaterThan(0);
    await expect(ferry.getByRole("link", { name: "the licence" })).toHaveAttribute(
      "href",
      "https://archive.example/licence",
    );
    expect(refused).toEqual([]);
    expect(
      (await stranger.request.get(link, { headers: { "If-None-Match": response!.headers().etag! } })).status(),
    ).toBe(304);
    await page.keyboard.press("Escape");
  });

  await test.step("the page stays as it was until the changes are published", async () => {
    await writeLines(page, ["27 Sep 1931 Last ferry crossing #crossing"]);
    await saved(page);
    await visitor.reload();
    await expect(visitor.getByRole("heading", { name: "Last ferry crossing" })).toHaveCount(0);
    await page.getByRole("button", { name: "Share" }).click();
    await expect(page.getByRole("dialog").getByText(/1 later change not shown yet/)).toBeVisible();
    await page.getByRole("button", { name: "Publish the changes" }).click();
    await expect(page.getByRole("dialog").getByText(/nothing has changed since/)).toBeVisible();
    await visitor.reload();
    await expect(visitor.getByRole("heading", { name: "Last ferry crossing" })).toBeVisible();
  });

  await test.step("only its editors; then taken back, and the link says so", async () => {
    const dialog = page.getByRole("dialog");
    await dialog.getByLabel(/Only its editors/).check();
    await expect.poll(async () => (await stranger.request.get(link)).status()).toBe(404);
    expect((await nia.context.request.get(link)).status()).toBe(200);
    await dialog.getByRole("button", { name: "Take it back" }).click();
    await expect(dialog.getByText(/^Taken back/)).toBeVisible();
    expect((await visitor.goto(link))!.status()).toBe(410);
    await expect(visitor.getByRole("heading", { name: "This timeline has been taken back" })).toBeVisible();
  });

  await test.step("a second person joins by a link; both write one description at once", async () => {
    const dialog = page.getByRole("dialog");
    await dialog.getByRole("button", { name: "Make the link" }).click();
    const invitation = await dialog.getByLabel(/Whoever opens this link/).inputValue();
    await page.keyboard.press("Escape");
    const obi = await newPerson(browser, "Obi");
    await obi.page.goto(invitation);
    await expect(obi.page.getByText("Nia invites you")).toBeVisible();
    await obi.page.getByRole("button", { name: "Join" }).click();
    await expect(chartButton(obi.page, /Last ferry crossing/)).toBeVisible();

    await chartButton(page, /Last ferry crossing/).click();
    await chartButton(obi.page, /Last ferry crossing/).click();
    const mine = page.getByRole("textbox", { name: "Description" });
    const theirs = obi.page.getByRole("textbox", { name: "Description" });
    await mine.click();
    await theirs.click();
    const words = (name: string) => Array.from({ length: 15 }, (_, i) => `${name}${i}`);
    await Promise.all([
      (async () => {
        for (const w of words("nia")) await page.keyboard.type(`${w} `);
      })(),
      (async () => {
        for (const w of words("obi")) await obi.page.keyboard.type(`${w} `);
      })(),
    ]);
    for (const text of [mine, theirs])
      for (const w of [...words("nia"), ...words("obi")]) await expect(text).toContainText(w);
    expect(await mine.textContent()).toBe(await theirs.textContent());

    // And the same short field: the later stands, the earlier is shown.
    await writeLines(obi.page, ["1889 Viaduct opens"]);
    await expect(chartButton(page, /Viaduct opens/)).toBeVisible();
    await obi.page.keyboard.press("Escape");

    // The right is taken away: the other browser says so without a reload.
    await page.getByRole("button", { name: "Share" }).click();
    await page.getByRole("button", { name: /^Take the right of/ }).click();
    await expect(obi.page.getByText("You can no longer edit this timeline")).toBeVisible();
  });
});

/** The subject of a timeline was changed so often, by whoever made it. */
async function changedOften(timeline: string, times: number): Promise<void> {
  const sql = postgres(process.env.E2E_DATABASE!, { max: 1 });
  await sql.begin(async (tx) => {
    const [now] = await tx<{ seq: number }[]>`
      update timeline set seq = seq + ${times}::int, subject = ${`Subject ${times}`} where id = ${timeline} returning seq`;
    const before = now!.seq - times;
    await tx`
      insert into change (timeline_id, seq, id, author_id, base, ops, was, digest)
      select ${timeline}, ${before} + n, 'often-' || n, (select author_id from change where timeline_id = ${timeline} limit 1), ${before},
        jsonb_build_array(jsonb_build_object('kind', 'set_timeline', 'field', 'subject', 'value', 'Subject ' || n)),
        jsonb_build_array(jsonb_build_object('value', case when n = 1 then '' else 'Subject ' || n - 1 end)), ''::bytea
      from generate_series(1, ${times}::int) n`;
  });
  await sql.end();
}

test("somebody far behind has the timeline as it stands, words of an open description too, in a few requests", async ({
  browser,
}) => {
  const nia = await newPerson(browser, "Nia");
  const address = await newTimeline(nia.page, "Ferries");
  await writeLines(nia.page, ["1604 Ferry"]);
  await saved(nia.page);
  const obi = await invited(browser, nia.page, address);
  await chartButton(obi.page, /Ferry/).click();
  const words = obi.page.getByRole("textbox", { name: "Description" });
  await expect(words).toBeVisible();
  await allHere(obi.page);
  await obi.context.setOffline(true);
  await chartButton(nia.page, /Ferry/).click();
  await nia.page.getByRole("textbox", { name: "Description" }).fill("A farthing a head.");
  await saved(nia.page);
  // Nobody looks on meanwhile: what 450 changes cost to make and to draw is not the matter.
  await nia.page.goto("/api/health");
  await changedOften(new URL(address).pathname.split("/")[2]!, 450);
  await nia.page.goto(address);
  await expect(nia.page.getByTestId("next-event")).toBeEnabled();
  await writeLines(nia.page, ["1931 Last crossing"]);
  await saved(nia.page);
  let whole = 0;
  obi.page.on("response", async (r) => {
    if (new URL(r.url()).pathname === `/api${new URL(address).pathname}`) whole += 1;
  });
  await obi.context.setOffline(false);
  await expect(chartButton(obi.page, /Last crossing/)).toBeVisible();
  await expect(words).toHaveText("A farthing a head.");
  expect(whole).toBe(1);
  // And they go on from there.
  await writeLines(obi.page, ["1958 Half a light"]);
  await expect(chartButton(nia.page, /Half a light/)).toBeVisible();
});

test("two people set one title at once: the later stands, the earlier is shown and can be put back", async ({
  browser,
}) => {
  const nia = await newPerson(browser, "Nia");
  const address = await newTimeline(nia.page, "Ferries");
  await writeLines(nia.page, ["1604 Ferry"]);
  await saved(nia.page);
  const obi = await invited(browser, nia.page, address);
  await chartButton(obi.page, /Ferry/).click();
  await chartButton(nia.page, /Ferry/).click();
  // Obi is cut off while both set the title.
  await allHere(obi.page);
  await obi.context.setOffline(true);
  await obi.page.getByRole("complementary").getByRole("textbox", { name: "Title", exact: true }).fill("Boat");
  await expect(obi.page.getByTestId("saving")).toHaveText(/Not connected/);
  await nia.page.getByRole("complementary").getByRole("textbox", { name: "Title", exact: true }).fill("Rope ferry");
  await saved(nia.page);
  await obi.context.setOffline(false);
  await expect(obi.page.getByTestId("saving")).toHaveText("Saved");
  await expect(
    nia.page.getByText("Obi wrote “Boat” here at the same time, and it stands. You had “Rope ferry”."),
  ).toBeVisible();
  await nia.page.getByRole("button", { name: /Put “Rope ferry” back/ }).click();
  await expect(chartButton(obi.page, /Rope ferry/)).toBeVisible();
});
