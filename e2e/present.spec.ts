import { expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { openSheet } from "./harness/ledger";
import { saved, startedWith } from "./harness/people";

const shown = (page: Page) => page.getByRole("dialog", { name: /^Presenting/ });
const heading = (page: Page) => shown(page).getByRole("heading").first();

test("a timeline is presented by keys, clicker and typing, black and by itself; its speaker sees notes that are never published", async ({
  browser,
}) => {
  const { page, context } = await startedWith(browser, "The crossing", [
    "1604 Rope ferry",
    "1766 Bridge school",
    "14 Nov 1872 The flood",
  ]);
  const sheet = await openSheet(page, "Bridge school");
  await sheet.getByLabel("Private note").fill("Ask who went to school here");
  const text = sheet.getByRole("textbox", { name: "Description" });
  await text.click();
  await page.keyboard.type("On neither bank.");
  await page.keyboard.press("Enter");
  await page.keyboard.type("So neither parish paid.");
  await saved(page);
  const address = new URL(page.url()).pathname;

  // From the editor, in a window of its own.
  const [show] = await Promise.all([
    context.waitForEvent("page"),
    page.getByRole("link", { name: "Present", exact: true }).click(),
  ]);
  await expect(heading(show)).toHaveText("The crossing");
  await show.keyboard.press("ArrowRight");
  await expect(heading(show)).toHaveText("Rope ferry");
  await expect(shown(show)).toContainText("2 of 4");
  await show.keyboard.press("PageDown");
  await expect(heading(show)).toHaveText("Bridge school");
  await expect(shown(show)).toContainText("So neither parish paid.");
  await show.keyboard.press("PageUp");
  await expect(heading(show)).toHaveText("Rope ferry");

  // The speaker's window follows, and leads.
  const [speaker] = await Promise.all([
    context.waitForEvent("page"),
    shown(show).getByRole("button", { name: "Speaker's window" }).click(),
  ]);
  await expect(speaker.getByRole("heading", { name: "Rope ferry" })).toBeVisible();
  await expect(speaker.getByText("Next: 1766, Bridge school")).toBeVisible();
  await expect(speaker.getByRole("region", { name: "Notes" })).toHaveText("There is no note for this.");
  await speaker.getByRole("button", { name: "Next" }).click();
  await expect(heading(show)).toHaveText("Bridge school");
  await expect(speaker.getByRole("region", { name: "Notes" })).toHaveText("Ask who went to school here");
  await expect(speaker.getByText(/Since the beginning 0:\d\d/)).toBeVisible();
  await speaker.keyboard.press("b");
  await expect(shown(show)).toHaveClass(/black/);
  await speaker.keyboard.press("ArrowRight");
  await expect(shown(show)).not.toHaveClass(/black/);
  await expect(heading(show)).toHaveText("The flood");
  await speaker.close();

  // A year or words are typed.
  await show.keyboard.type("1770");
  await show.keyboard.press("Enter");
  await expect(heading(show)).toHaveText("Bridge school");
  // Words may begin with a letter that, alone, does something.
  await show.keyboard.type("flood");
  await show.keyboard.press("Enter");
  await expect(heading(show)).toHaveText("The flood");
  await show.keyboard.type("bridge");
  await show.keyboard.press("Enter");
  await expect(heading(show)).toHaveText("Bridge school");
  await expect(shown(show)).not.toHaveClass(/black/);
  await show.keyboard.press("b");
  await expect(shown(show)).toHaveClass(/black/);
  await show.keyboard.press(".");
  await expect(shown(show)).not.toHaveClass(/black/);
  await show.keyboard.type("xyzzy");
  await show.keyboard.press("Enter");
  await expect(shown(show).getByRole("status")).toHaveText("Nothing here has “xyzzy”.");
  await show.keyboard.press("Escape");
  // One thing at a time: title, then each paragraph.
  const second = shown(show).getByText("So neither parish paid.");
  await shown(show).getByRole("button", { name: "One thing at a time" }).click();
  await expect(second).toBeHidden();
  await show.keyboard.press("ArrowRight");
  await expect(shown(show).getByText("On neither bank.")).toBeVisible();
  await expect(second).toBeHidden();
  await show.keyboard.press("ArrowRight");
  await expect(second).toBeVisible();
  await expect(heading(show)).toHaveText("Bridge school");
  await shown(show).getByRole("button", { name: "One thing at a time" }).click();

  // The pen leaves no trace on the next one.
  await show.keyboard.press("Escape");
  await expect(shown(show)).toHaveCount(0);
  await show.getByRole("button", { name: "Present" }).click();
  await expect(shown(show)).toBeVisible();
  await show.keyboard.press("p");
  await expect(shown(show).getByRole("button", { name: "Pen" })).toHaveAttribute("aria-pressed", "true");
  const ink = () =>
    shown(show)
      .locator("canvas")
      .evaluate((c: HTMLCanvasElement) =>
        c
          .getContext("2d")!
          .getImageData(0, 0, c.width, c.height)
          .data.some((v) => v > 0),
      );
  await show.mouse.move(400, 400);
  await show.mouse.down();
  await show.mouse.move(600, 420, { steps: 5 });
  await show.mouse.up();
  expect(await ink()).toBe(true);
  await show.keyboard.press("ArrowRight");
  expect(await ink()).toBe(false);
  await show.keyboard.press("p");
  await expect(shown(show).getByRole("button", { name: "Pen" })).toHaveAttribute("aria-pressed", "false");

  // By itself, and from the end it begins again.
  await show.keyboard.press("End");
  await expect(heading(show)).toHaveText("The flood");
  await shown(show).getByLabel("Plays by itself").selectOption("5");
  await expect(heading(show)).toHaveText("The crossing");

  // No published byte holds the note.
  const made = await page.request.put(`/api${address}/publication`, { data: { visibility: "link", fresh: true } });
  const { publication } = (await made.json()) as { publication: { address: string } };
  const html = await (await page.request.get(`/t/${publication.address}`)).text();
  expect(html).toContain("Bridge school");
  expect(html).not.toContain("Ask who went");
  expect(html).not.toContain("data-notes");
});

test("whoever reads a published page presents it without an account, by touch too; a window that is kept from opening is said", async ({
  browser,
}) => {
  const { page } = await startedWith(browser, "The crossing", ["1604 Rope ferry", "1766 Bridge school"]);
  await saved(page);
  const made = await page.request.put(`/api${new URL(page.url()).pathname}/publication`, {
    data: { visibility: "link", fresh: true },
  });
  const { publication } = (await made.json()) as { publication: { address: string } };
  const phone = await browser.newContext({
    baseURL: new URL(page.url()).origin,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    reducedMotion: "reduce",
  });
  const reader = await phone.newPage();
  const asked: string[] = [];
  reader.on("request", (r) => asked.push(new URL(r.url()).pathname));
  await reader.goto(`/t/${publication.address}`);
  await expect(reader.getByRole("button", { name: "Present" })).toHaveCount(1);
  expect(asked.some((a) => a.endsWith("present.js"))).toBe(false);
  await reader.getByRole("button", { name: "Present" }).tap();
  await expect(heading(reader)).toHaveText("The crossing");
  const swipe = (from: number, to: number) =>
    shown(reader)
      .locator(".p-room")
      .evaluate(
        (room, [a, b]) => {
          const touch = (x: number) => new Touch({ identifier: 1, target: room, clientX: x, clientY: 400 });
          room.dispatchEvent(
            new TouchEvent("touchstart", { touches: [touch(a!)], changedTouches: [touch(a!)], bubbles: true }),
          );
          room.dispatchEvent(new TouchEvent("touchend", { touches: [], changedTouches: [touch(b!)], bubbles: true }));
        },
        [from, to],
      );
  await swipe(300, 80);
  await expect(heading(reader)).toHaveText("Rope ferry");
  await swipe(80, 300);
  await expect(heading(reader)).toHaveText("The crossing");
  await reader.touchscreen.tap(300, 400);
  await expect(heading(reader)).toHaveText("Rope ferry");
  await reader.evaluate(() => {
    window.open = () => null;
  });
  await shown(reader).getByRole("button", { name: "More" }).tap();
  await shown(reader).getByRole("button", { name: "Speaker's window" }).tap();
  await expect(shown(reader).getByRole("status")).toContainText("The browser kept the speaker's window from opening.");
  await expect(shown(reader).getByRole("status").getByRole("link")).toHaveAttribute("href", /#speaker$/);
  // Left, one is where one was.
  await shown(reader).getByRole("button", { name: "Leave" }).tap();
  await expect(reader).toHaveURL(/#r-/);
  await expect(reader.getByRole("heading", { name: "Rope ferry" })).toBeInViewport();
});
