import { expect } from "@playwright/test";
import { test } from "./harness/test";
import sharp from "sharp";
import { type S3StandIn, startS3StandIn } from "../src/server/testing/s3-stand-in";
import { newPerson, newTimeline, saved, writeLines } from "./harness/people";
import { startServer, type TestServer } from "./harness/server";

let store: S3StandIn;
let server: TestServer;
test.beforeAll(async () => {
  store = await startS3StandIn();
  server = await startServer("e2e_store", store.env);
});
test.afterAll(async () => {
  await server.stop();
  store.stop();
});

test("files kept in a store outside are added, seen and published like any other; while it is away, the sheet says so", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia", server.url);
  await newTimeline(page, "Crossings");
  await writeLines(page, ["1604 Rope ferry"]);
  await saved(page);
  await page
    .getByRole("button", { name: /Rope ferry/ })
    .first()
    .click();
  const sheet = page.getByRole("complementary");
  const png = await sharp({ create: { width: 320, height: 200, channels: 3, background: "#0B6E69" } })
    .png()
    .toBuffer();
  store.down = true;
  const file = sheet.locator("input[type=file]").first();
  await file.setInputFiles({ name: "ferry.png", mimeType: "image/png", buffer: png });
  await expect(sheet.getByRole("alert")).toContainText("does not reach the place where files are kept");
  expect(store.objects.size).toBe(0);
  store.down = false;
  const pictures = sheet.getByRole("region", { name: "Pictures, video, sound" });
  // What has arrived is kept: it goes on from there.
  await pictures.getByRole("button", { name: "Go on now" }).click();
  const picture = pictures.getByTestId("media-item").locator("img").first();
  await expect.poll(() => picture.evaluate((i: HTMLImageElement) => i.naturalWidth)).toBeGreaterThan(0);
  expect(store.objects.size).toBeGreaterThan(0);
  expect(store.refused).toEqual([]);
  await saved(page);
  await page.getByRole("button", { name: "Share" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel(/Anyone with the link/).check();
  await dialog.getByRole("button", { name: "Publish" }).click();
  await expect(dialog.getByText(/^Published – version of/)).toBeVisible();
  await dialog.getByRole("button", { name: "Copy link" }).click();
  await page.goto(await page.evaluate(() => navigator.clipboard.readText()));
  await page.getByRole("link", { name: "Read", exact: true }).click();
  const shown = page.locator("#read figure img").first();
  await shown.scrollIntoViewIfNeeded();
  await expect.poll(() => shown.evaluate((i: HTMLImageElement) => i.naturalWidth)).toBeGreaterThan(0);
});
