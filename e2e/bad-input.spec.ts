import { expect } from "@playwright/test";
import { test } from "./harness/test";
import sharp from "sharp";
import { cell } from "./harness/ledger";
import { chartButton, newPerson, newTimeline, saved, writeLines } from "./harness/people";

test("what cannot be a date is kept as typed, with a sentence and readings", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Dates");
  const line = page.getByTestId("next-event");
  await line.fill("31 Feb 1900 Ice on the river");
  await expect(page.locator("#next-event-read")).toContainText("February 1900 had 28 days");
  await line.press("Enter");
  await expect(cell(page, "when", "Ice on the river")).toContainText("31 Feb 1900");
  await page.getByRole("button", { name: "not understood" }).click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await sheet.getByLabel("When").fill("1931 - 1604");
  await expect(sheet.getByRole("status").filter({ hasText: "comes before the start" })).toBeVisible();
  await sheet.getByRole("button", { name: "1604 - 1931" }).click();
  await expect(sheet.getByText("✓ 1604 – 1931")).toBeVisible();
  await page.keyboard.press("Escape");

  // The order of day and month is asked about once for the whole timeline.
  await writeLines(page, ["03/04/1872 Winter relief", "05/06/1872 Enquiry"]);
  await page.getByTestId("ledger").getByRole("button", { name: "not understood" }).first().click();
  await page.getByRole("button", { name: "3 Apr 1872" }).click();
  await expect(cell(page, "when", "Winter relief")).toHaveText("3 Apr 1872");
  await expect(cell(page, "when", "Enquiry")).toHaveText("5 Jun 1872");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(cell(page, "when", "Enquiry")).toContainText("05/06/1872");
});

test("a million characters in a title are refused with a sentence and stay in the field", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Long");
  const million = "The river rose. ".repeat(65_536);
  await page.getByTestId("next-event").fill(million);
  await page.getByTestId("next-event").press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "A title holds 300 characters" })).toBeVisible();
  expect(await page.getByTestId("next-event").evaluate((i) => (i as HTMLTextAreaElement).value.length)).toBe(1_048_576);
  await page.getByTestId("next-event").fill("");
  await writeLines(page, ["1604 Ferry"]);
  await chartButton(page, /Ferry/).click();
  const title = page.getByRole("complementary").getByRole("textbox", { name: "Title", exact: true });
  await title.fill(million);
  await expect(page.getByText("This title has 1,048,576 characters; 300 fit.")).toBeVisible();
  expect((await title.inputValue()).length).toBe(1_048_576);
  await saved(page);
  await page.reload();
  await expect(chartButton(page, /1604, Ferry/)).toBeVisible();
});

test("files that are not what they say, or too much, are refused with a sentence", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Files");
  await writeLines(page, ["1604 Ferry"]);
  await chartButton(page, /Ferry/).click();
  const media = page.getByRole("region", { name: "Pictures, video, sound" });
  const choose = media.getByLabel("Pictures, video, sound: choose a file");
  await choose.setInputFiles({
    name: "notes.png",
    mimeType: "image/png",
    buffer: Buffer.from("just some words, no picture ".repeat(30)),
  });
  await expect(media.getByText("This is not a picture, video or sound Fastigo can show")).toBeVisible();
  // One level of grey, because it is refused by what it says of its size: nobody unpacks it here either.
  const huge = await sharp({
    create: { width: 15_000, height: 7_000, channels: 3, background: "#fff" },
    limitInputPixels: false,
  })
    .toColourspace("b-w")
    .png({ compressionLevel: 1 })
    .toBuffer();
  await choose.setInputFiles({ name: "huge.png", mimeType: "image/png", buffer: huge });
  await expect(media.getByText("more than 100 million pixels")).toBeVisible();
  await media.getByLabel("Web address of a picture").fill("http://localhost:1/secret.png");
  await media.getByRole("button", { name: "Fetch" }).click();
  await expect(media.getByText("leads into a private network")).toBeVisible();
  await media.getByLabel("Web address of a picture").fill(`${process.env.E2E_PICTURE_SITE}/to-loopback`);
  await media.getByRole("button", { name: "Fetch" }).click();
  await expect(media.getByText("leads into a private network")).toBeVisible();
  await expect(media.getByTestId("media-item")).toHaveCount(0);
});

test("an upload above 10 MB arrives whole, also when a part is cut off on its way", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Large");
  await writeLines(page, ["1604 Ferry"]);
  await chartButton(page, /Ferry/).click();
  const media = page.getByRole("region", { name: "Pictures, video, sound" });
  let cut = 0;
  await page.route("**/uploads/*/4", async (route) => {
    if (route.request().method() === "PUT" && cut++ === 0) return route.abort();
    return route.continue();
  });
  // Noise hardly compresses: well over 10 MB.
  const noise = Buffer.from(
    Uint32Array.from({ length: 3_200_000 }, (_, i) => Math.imul(i ^ (i >>> 7), 2_654_435_761)).buffer,
  );
  const picture = await sharp(noise, { raw: { width: 2000, height: 2133, channels: 3 } })
    .png({ compressionLevel: 0 })
    .toBuffer();
  expect(picture.length).toBeGreaterThan(10_500_000);
  await media
    .getByLabel("Pictures, video, sound: choose a file")
    .setInputFiles({ name: "large.png", mimeType: "image/png", buffer: picture });
  await expect(media.getByTestId("media-item")).toHaveCount(1, { timeout: 60_000 });
  await expect(media.getByText("2,000 × 2,133 px")).toBeVisible();
  expect(cut).toBeGreaterThan(1);
});

test("a request cut off half way, and nonsense, change nothing", async ({ browser }) => {
  const { page, context } = await newPerson(browser, "Nia");
  const address = await newTimeline(page, "Cut");
  const path = `${new URL(address).pathname.replace("/timelines", "/api/timelines")}/changes`;
  const post = (data: string | object) =>
    context.request.post(path, { data, headers: { "Content-Type": "application/json" } });
  const half = '{"id":"c1","base":0,"ops":[{"kind":"add_event","id":"e1","fi';
  for (const [body, status] of [
    [half, 400],
    ["", 400],
    ["[]", 400],
    [{ id: "c1", base: 0, ops: [{ kind: "nonsense" }] }, 400],
    [`"${"x".repeat(25_000_000)}"`, 413],
  ] as const) {
    const response = await post(body);
    expect(response.status()).toBe(status);
    expect(((await response.json()) as { sentence: string }).sentence).toMatch(/nothing was changed/i);
  }
  await page.reload();
  await expect(page.getByTestId("ledger").getByRole("row")).toHaveCount(1);
});
