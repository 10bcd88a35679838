import { readFileSync } from "node:fs";
import { type Browser, expect } from "@playwright/test";
import { test } from "./harness/test";
import { openSheet } from "./harness/ledger";
import { saved, startedWith } from "./harness/people";

const started = (browser: Browser) => startedWith(browser, "The crossing", ["1872 Flood", "1931 Last ferry"]);

test("a voice is recorded, paused, listened to and kept; the microphone is off at once; readers hear all after each other", async ({
  browser,
}) => {
  const { page } = await started(browser);
  // Whatever asks for the microphone is remembered.
  await page.addInitScript(() => {
    const own = navigator.mediaDevices.getUserMedia.bind(navigator.mediaDevices);
    const tracks: MediaStreamTrack[] = [];
    Object.assign(window, { tracks });
    navigator.mediaDevices.getUserMedia = async (wish) => {
      const stream = await own(wish);
      tracks.push(...stream.getTracks());
      return stream;
    };
  });
  await page.reload();
  const states = () =>
    page.evaluate(() => (window as unknown as { tracks: MediaStreamTrack[] }).tracks.map((t) => t.readyState));
  const dialog = page.getByRole("dialog", { name: "Record a voice" });
  for (const [title, name] of [
    ["Flood", "Ada tells of the night"],
    ["Last ferry", "The last ferryman"],
  ] as const) {
    const sheet = await openSheet(page, title);
    await sheet.getByRole("button", { name: "Record a voice" }).click();
    await dialog.getByRole("button", { name: "Start recording" }).click();
    await expect(dialog.getByRole("status")).toHaveText(/^Recording, 0:0[1-9]$/);
    await expect
      .poll(() => dialog.getByLabel("How loud you are").evaluate((m: HTMLMeterElement) => m.value))
      .toBeGreaterThan(0);
    await dialog.getByRole("button", { name: "Pause" }).click();
    await expect(dialog.getByRole("status")).toContainText(/Paused at 0:0[1-9]/);
    await dialog.getByRole("button", { name: "Go on" }).click();
    await dialog.getByRole("button", { name: "Stop" }).click();
    await expect(dialog.getByLabel("Listen before you keep it")).toBeVisible();
    expect(new Set(await states())).toEqual(new Set(["ended"]));
    await dialog.getByLabel("Title").fill(name);
    await dialog.getByLabel("Spoken text").fill("The water came\nup the steps.");
    await dialog.getByRole("button", { name: "Keep it" }).click();
    const item = sheet.getByTestId("media-item");
    await expect(item).toContainText("a recorded voice");
    await expect(item).toContainText(/lasts 0:0[1-6]/);
    await expect(item.getByLabel("Spoken text")).toHaveValue("The water came\nup the steps.");
    await saved(page);
  }
  const address = page.url();
  await page.goto(`${new URL(address).pathname}/reader#read`);
  await page.locator("details.spoken summary").first().click();
  await expect(page.locator("details.spoken p").first()).toHaveText("The water cameup the steps.");
  const playing = () =>
    page.evaluate(() =>
      [...document.querySelectorAll<HTMLAudioElement>("audio.voice")].findIndex((a) => !a.paused && a.currentTime > 0),
    );
  await page.getByRole("button", { name: "Listen to all" }).click();
  await expect.poll(playing).toBe(0);
  await expect.poll(playing).toBe(1);
  await expect(page.getByRole("button", { name: "Listen to all" })).toBeVisible();
});

test("a microphone that is refused, or is not there, is said, and nothing is lost", async ({ browser }) => {
  const { page } = await started(browser);
  await page.addInitScript(() => {
    navigator.mediaDevices.getUserMedia = async () => {
      throw new DOMException("no", (window as unknown as { why?: string }).why ?? "NotAllowedError");
    };
  });
  await page.reload();
  const sheet = await openSheet(page, "Flood");
  await sheet.getByRole("button", { name: "Record a voice" }).click();
  const dialog = page.getByRole("dialog", { name: "Record a voice" });
  await dialog.getByRole("button", { name: "Start recording" }).click();
  await expect(dialog.getByRole("alert")).toContainText("The microphone was refused. Allow it for this page");
  await page.evaluate(() => Object.assign(window, { why: "NotFoundError" }));
  await dialog.getByRole("button", { name: "Start recording" }).click();
  await expect(dialog.getByRole("alert")).toContainText("There is no microphone");
});

test("a video is played from 0:12 to 0:40 with its subtitles, from a file and written beside it; its still is chosen", async ({
  browser,
}) => {
  const { page } = await started(browser);
  const sheet = await openSheet(page, "Flood");
  await sheet.getByLabel("Pictures, video, sound: choose a file").setInputFiles({
    name: "flood.webm",
    mimeType: "video/webm",
    buffer: readFileSync("scripts/demo/media/spring-flood.webm"),
  });
  const item = sheet.getByTestId("media-item");
  await expect(item).toBeVisible();
  await expect(item).toContainText(/lasts \d:\d\d/);
  const from = item.getByLabel("Played from");
  await from.fill("soon");
  await from.press("Enter");
  await expect(item).toContainText("“soon” is no time in a recording");
  await from.fill("0:12");
  await from.press("Enter");
  await item.getByLabel("to", { exact: true }).fill("0:10");
  await item.getByLabel("to", { exact: true }).press("Enter");
  await expect(item).toContainText("It would end before it begins");
  await item.getByLabel("to", { exact: true }).fill("40");
  await item.getByLabel("to", { exact: true }).press("Enter");
  await expect(item.getByLabel("to", { exact: true })).toHaveValue("0:40");

  await item.getByRole("button", { name: "Add subtitles" }).click();
  const dialog = page.getByRole("dialog", { name: "Subtitles" });
  const open = (text: string) =>
    dialog
      .locator("input[type=file]")
      .setInputFiles({ name: "s.vtt", mimeType: "text/vtt", buffer: Buffer.from(text) });
  await open("1872 Flood");
  await expect(dialog.getByRole("alert")).toContainText("no subtitles that can be read");
  await open(
    "WEBVTT\n\n00:13.000 --> 00:15.000\n<script>alert(1)</script>The water <b>rises</b>\n\nsoon --> later\nno\n",
  );
  await expect(dialog.getByRole("status")).toHaveText(
    "1 subtitle was read. 1 had no times that can be read and was left out.",
  );
  await expect(dialog.getByLabel("Words")).toHaveValue("alert(1)The water rises");
  await dialog.getByLabel("Words").fill("The water rises");
  await dialog.getByRole("button", { name: "Add a subtitle at 0:00" }).click();
  await dialog.getByLabel("Words").first().fill("In spring");
  await expect(dialog.getByLabel("From", { exact: true })).toHaveCount(2);
  await page.keyboard.press("Escape");
  await expect(item.getByRole("button", { name: "Subtitles (2)" })).toBeVisible();
  await saved(page);

  // Another still is chosen from what is seen.
  const still = async () => (await item.locator("video").getAttribute("poster"))!;
  const before = await still();
  await item.locator("video").evaluate(async (v: HTMLVideoElement) => {
    v.preload = "auto";
    v.load();
    await new Promise((resolve) => v.addEventListener("loadeddata", resolve, { once: true }));
  });
  await item.getByRole("button", { name: "Use what is seen now as the still" }).click();
  await expect.poll(still).not.toBe(before);
  expect((await page.request.get(await still())).status()).toBe(200);
  await saved(page);

  await page.goto(`${new URL(page.url()).pathname}/reader#read`);
  const video = page.locator("#read figure video").first();
  await expect(video).toHaveAttribute("src", /#t=12,40$/);
  // The page's own rules let the subtitles in, and they are words only.
  const cues = await video.evaluate(async (v: HTMLVideoElement) => {
    const [track] = v.textTracks;
    track!.mode = "showing";
    const element = v.querySelector("track")!;
    if (element.readyState !== 2) await new Promise((resolve) => element.addEventListener("load", resolve));
    return [...track!.cues!].map((c) => `${c.startTime} ${c.endTime} ${(c as VTTCue).text}`);
  });
  expect(cues).toEqual(["0 3 In spring", "13 15 The water rises"]);
});

test("a voice for the whole is recorded in About and heard where the timeline begins", async ({ browser }) => {
  const { page } = await started(browser);
  await page.getByRole("button", { name: "About", exact: true }).click();
  const about = page.getByRole("complementary", { name: "About this timeline" });
  const field = about.getByRole("region", { name: "A voice for the whole" });
  await field.getByRole("button", { name: "Record a voice" }).click();
  const dialog = page.getByRole("dialog", { name: "Record a voice" });
  await dialog.getByRole("button", { name: "Start recording" }).click();
  await expect(dialog.getByRole("status")).toHaveText(/^Recording, 0:0[1-9]$/);
  await dialog.getByRole("button", { name: "Stop" }).click();
  await dialog.getByLabel("Title").fill("What this is about");
  await dialog.getByRole("button", { name: "Keep it" }).click();
  await expect(field.getByTestId("media-item")).toContainText("a recorded voice");
  // The cover is another field, and still empty.
  await expect(about.getByRole("region", { name: "Cover picture" }).getByTestId("media-item")).toHaveCount(0);
  await expect(
    about.getByRole("region", { name: "Cover picture" }).getByRole("button", { name: /file/ }).first(),
  ).toBeVisible();
  await saved(page);
  await page.goto(`${new URL(page.url()).pathname}/reader`);
  const begin = page.getByRole("region", { name: "Beginning" });
  await expect(begin.locator("audio.voice")).toHaveAttribute("aria-label", "What this is about");
});
