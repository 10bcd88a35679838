import { readFileSync } from "node:fs";
import sharp from "sharp";
import { expect, type Page } from "@playwright/test";
import { nothingFound } from "./harness/axe";
import { test } from "./harness/test";
import { LOOKS } from "../src/core/timeline/looks";
import { chartButton, newPerson, newTimeline, saved, startedWith, writeLines } from "./harness/people";

const LINES = [
  "1604 Rope ferry #crossing",
  "1744 - 1783 Timber bridge #crossing",
  "1766 Bridge school #town",
  "1931 Last ferry #crossing",
];
const panel = (page: Page) => page.getByRole("complementary", { name: "How the timeline looks" });
const openLooks = async (page: Page) => {
  await page.getByRole("button", { name: "Look", exact: true }).click();
  await expect(panel(page)).toBeVisible();
};
/** The paper the chart stands on. */
const paper = (page: Page) => page.getByTestId("chart").evaluate((e) => getComputedStyle(e).backgroundColor);
const OAK = "rgb(253, 249, 239)";
const WHITE = "rgb(255, 255, 255)";

async function publish(page: Page): Promise<string> {
  await saved(page);
  await page.getByRole("button", { name: "Share", exact: true }).click();
  await page.getByRole("radio", { name: /Anyone with the link/ }).check();
  await page.getByRole("button", { name: "Publish", exact: true }).click();
  const link = await page.getByLabel("Link to the published page").inputValue();
  await page.keyboard.press("Escape");
  return link;
}

test("a look is tried while one points at it, kept when one presses it, undone in one step, and is what readers see", async ({
  browser,
}) => {
  const { page } = await startedWith(browser, "How the Ambrel was crossed", LINES);
  await openLooks(page);
  await expect.poll(() => paper(page)).toBe(WHITE);
  const oak = panel(page).locator("label", { hasText: "Oak" });
  await oak.hover();
  await expect.poll(() => paper(page)).toBe(OAK);
  await panel(page).getByRole("heading", { name: "Contrast" }).hover();
  await expect.poll(() => paper(page)).toBe(WHITE);
  // By keys: one look after the other, each kept as it is reached.
  const keys = ["Slate", "Limestone", "Brick", "Oak"];
  for (const [i, look] of keys.slice(1).entries()) {
    await panel(page).getByRole("radio", { name: keys[i]! }).press("ArrowRight");
    await expect(panel(page).getByRole("radio", { name: look })).toBeChecked();
    // It is the timeline's look by then, not only what the browser has marked.
    await expect(panel(page).locator("label", { hasText: look })).toHaveClass(/bg-sun-wash/);
  }
  await expect.poll(() => paper(page)).toBe(OAK);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(panel(page).getByRole("radio", { name: "Brick" })).toBeChecked();
  await page.getByRole("button", { name: "Redo" }).click();
  await expect(panel(page).getByRole("radio", { name: "Oak" })).toBeChecked();
  await expect(chartButton(page, /^1604, Rope ferry/)).toBeVisible();
  // What all of it can be told by is said in numbers.
  await expect(
    panel(page)
      .getByText(/^1\d\.\d : 1$/)
      .first(),
  ).toBeVisible();
  const link = await publish(page);

  for (const javaScriptEnabled of [true, false]) {
    const reader = await (await browser.newContext({ javaScriptEnabled })).newPage();
    await reader.goto(`${link}#read`);
    const html = reader.locator("html");
    await expect(html).toHaveCSS("background-color", OAK);
    await expect(html).toHaveCSS("font-family", /Alegreya/);
    const drawing = await reader.request.get(link);
    expect(await drawing.text()).toContain('font-family="Alegreya Variable');
    if (!javaScriptEnabled) continue;
    await reader.getByRole("navigation", { name: "Views" }).getByRole("link", { name: "Chart", exact: true }).click();
    await expect(reader.locator(".chart-live")).toHaveCSS("background-color", OAK);
    await expect(reader.locator(".chart-live").getByRole("button", { name: /^1766, Bridge school/ })).toBeVisible();
    // The type it is written in is loaded, from here.
    await expect
      .poll(() =>
        reader.evaluate(() => [...document.fonts].some((f) => /Alegreya/.test(f.family) && f.status === "loaded")),
      )
      .toBe(true);
  }
});

test("a picture behind the chart is as strong as words and lines allow, which is said; a colour like the paper is mended", async ({
  browser,
}) => {
  const { page } = await startedWith(browser, "How the Ambrel was crossed", LINES);
  await openLooks(page);
  const half = (r: number) => ({
    create: { width: 300, height: 400, channels: 3 as const, background: { r, g: r, b: r } },
  });
  const buffer = await sharp({ create: { width: 600, height: 400, channels: 3, background: "#ffffff" } })
    .composite([{ input: await sharp(half(8)).png().toBuffer(), left: 0, top: 0 }])
    .png()
    .toBuffer();
  await panel(page)
    .getByLabel("A picture file for behind the chart")
    .setInputFiles({ name: "night.png", mimeType: "image/png", buffer });
  const strength = panel(page).getByRole("slider", { name: /How strongly it is seen/ });
  await expect(strength).toHaveValue("20");
  await strength.fill("90");
  const held = panel(page).getByText(/was to be seen at 90 %. It is shown at \d+ %/);
  await expect(held).toBeVisible();
  const shown = Number(/shown at (\d+) %/.exec((await held.textContent())!)![1]);
  expect(shown).toBeGreaterThan(5);
  expect(shown).toBeLessThan(60);
  const least = async () => {
    const all = await panel(page).locator("dd").allTextContents();
    return Math.min(...all.map((x) => Number(x.split(" ")[0])));
  };
  await expect(panel(page).getByText("Words over the picture, the least")).toBeVisible();
  expect(await least()).toBeGreaterThanOrEqual(4.5);
  await panel(page).getByLabel("How it is placed").selectOption({ label: "all of it, in the middle" });

  // A category in the colour of the paper.
  await page.getByRole("button", { name: "About", exact: true }).click();
  const about = page.getByRole("complementary", { name: /About/ });
  await about.getByLabel(/^Colour of crossing$/i).selectOption("own");
  await about.getByLabel(/^Colour of crossing, of one/i).fill("#ffffff");
  await openLooks(page);
  await expect(panel(page).getByText(/^crossing is shown as #[0-9A-F]{6} instead of #FFFFFF/i)).toBeVisible();
  expect(await least()).toBeGreaterThanOrEqual(4.5);

  const link = await publish(page);
  const html = await (await page.request.get(link)).text();
  expect(html).toMatch(new RegExp(`<g opacity="${(shown / 100).toString().replace(".", "\\.")}"><image`));
  // Whoever reads it is sent the picture.
  const shownPicture = /<g opacity="[^"]+"><image[^>]* href="([^"]+)"/.exec(html)![1]!;
  expect((await page.request.get(new URL(shownPicture, link).href)).headers()["content-type"]).toBe("image/webp");
  // It is taken away, and is there again by one undo.
  await panel(page).getByRole("button", { name: "Take the picture away" }).click();
  await expect(panel(page).getByRole("button", { name: "Put a picture behind the chart" })).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(strength).toHaveValue("90");
});

test("one event has a colour, a line, a sign and a label of its own, which the key lists", async ({ browser }) => {
  const { page } = await startedWith(browser, "How the Ambrel was crossed", LINES);
  await chartButton(page, /^1766, Bridge school/).click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await sheet.getByLabel("Colour", { exact: true }).selectOption("rose");
  await sheet.getByLabel("Its line").selectOption({ label: "stronger" });
  await sheet.getByLabel("Its label says").selectOption({ label: "of its own" });
  await sheet.getByLabel("date", { exact: true }).uncheck();
  await sheet.getByRole("button", { name: "no sign" }).click();
  await sheet.getByLabel("Find a sign").fill("book");
  await sheet.getByRole("radio", { name: "book" }).check();
  const key = page.getByRole("list", { name: /Categories/ });
  await expect(key.getByText("Bridge school")).toBeVisible();
  const link = await publish(page);
  const html = await (await page.request.get(link)).text();
  expect(html).toContain("#A62B5F");
  const chart = html.slice(
    html.indexOf('<section id="chart"'),
    html.indexOf('class="w1000"', html.indexOf('<section id="chart"')),
  );
  expect(chart).toContain(">Bridge school<");
  expect(chart).not.toContain(">1766<");
  expect(html.match(/<ul class="key".*?<\/ul>/s)![0]).toContain("Bridge school");
});

test("a look is saved for one's other timelines and for a class, and goes out and in as a file", async ({
  browser,
}) => {
  const teacher = await newPerson(browser, "Ward");
  const made = await teacher.page.request.post("/api/classes", { data: { name: "History 8B" } });
  const { id: klass } = (await made.json()) as { id: string };
  await newTimeline(teacher.page, "Crossings");
  const { page } = teacher;
  await writeLines(page, LINES);
  await openLooks(page);
  await panel(page).getByRole("radio", { name: "Copper" }).check({ force: true });
  await panel(page).getByLabel("Dates").selectOption({ label: "never" });
  await panel(page).getByLabel("Name of the look").fill("For our class");
  await panel(page).getByLabel("For", { exact: true }).selectOption({ label: "the class History 8B" });
  await panel(page).getByRole("button", { name: "Save this look" }).click();
  await expect(panel(page).getByRole("status").filter({ hasText: 'Saved as "For our class".' })).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    panel(page).getByRole("button", { name: "Take out as a file" }).click(),
  ]);
  expect(file.suggestedFilename()).toBe("Crossings.look.json");
  const text = readFileSync((await file.path())!, "utf8");

  // A student of the class wears it; somebody else does not see it.
  const student = await newPerson(browser, "Nia");
  const code = /data-testid="join-code">([A-Z0-9]+)</.exec(
    await (await page.request.get(`/classes/${klass}`)).text(),
  )![1]!;
  expect((await student.page.request.post("/api/classes/join-as-me", { data: { code } })).ok()).toBe(true);
  await newTimeline(student.page, "Mine");
  await writeLines(student.page, LINES.slice(0, 2));
  await openLooks(student.page);
  await panel(student.page).getByRole("button", { name: "Wear For our class" }).click();
  await expect(panel(student.page).getByRole("radio", { name: "Copper" })).toBeChecked();
  await expect(panel(student.page).getByRole("button", { name: "Delete For our class" })).toHaveCount(0);
  await panel(student.page).getByRole("button", { name: "Wear For our class" }).click();
  await expect(panel(student.page).getByText("This timeline looks so already.")).toBeVisible();
  await student.page.getByRole("button", { name: "Undo" }).click();
  await expect(panel(student.page).getByRole("radio", { name: "Slate" })).toBeChecked();
  const taken = await student.page.request.post("/api/looks", {
    data: { name: "x", look: JSON.parse(text), class: klass },
  });
  expect(taken.status()).toBe(403);

  const stranger = await newPerson(browser, "Obi");
  await newTimeline(stranger.page, "Elsewhere");
  await openLooks(stranger.page);
  await expect(panel(stranger.page).getByText("None yet.")).toBeVisible();
  const bring = (name: string, content: string) =>
    panel(stranger.page)
      .getByLabel("A file with a look")
      .setInputFiles({ name, mimeType: "application/json", buffer: Buffer.from(content) });
  for (const [content, said] of [
    ["{", /is not JSON/],
    ['{"fastigo":"sandwich"}', /no look of Fastigo/],
    [text.replace('"copper"', '"sugar"'), /has a value in it that no look has/],
  ] as const) {
    await bring("bad.look.json", content);
    await expect(panel(stranger.page).getByRole("alert")).toHaveText(said);
    await expect(panel(stranger.page).getByRole("radio", { name: "Slate" })).toBeChecked();
  }
  await bring("good.look.json", text);
  await expect(panel(stranger.page).getByRole("radio", { name: "Copper" })).toBeChecked();
  await expect(panel(stranger.page).getByRole("alert")).toHaveCount(0);
  // Deleted by whoever saved it, it is gone for the class; what wears it stays as it is.
  await panel(page).getByRole("button", { name: "Delete For our class" }).click();
  await expect(panel(page).getByText("None yet.")).toBeVisible();
});

/** What axe looks at that follows from colours and sizes. */
const OF_LOOKS = ["color-contrast", "link-in-text-block", "target-size"];

test("axe finds nothing in any look", async ({ browser }) => {
  test.setTimeout(240_000);
  const { page } = await startedWith(browser, "How the Ambrel was crossed", [...LINES, "Fire!"]);
  await openLooks(page);
  const address = page.url().split(/[?#]/)[0]!;
  await expect(chartButton(page, /Rope ferry/)).toBeVisible();
  await nothingFound(page, "the panel");
  const reader = await page.context().newPage();
  for (const [i, look] of LOOKS.entries()) {
    // Of the same page a look alters its colours and sizes.
    const asked = i === 0 ? {} : { only: OF_LOOKS };
    await panel(page)
      .getByRole("radio", { name: new RegExp(`^${look}$`, "i") })
      .check({ force: true });
    await saved(page);
    await reader.goto("about:blank");
    for (const view of ["begin", "chart", "read"]) {
      await reader.goto(`${address}/reader#${view}`);
      if (view === "chart") await expect(reader.locator(".chart-live")).toBeVisible();
      await nothingFound(reader, `${look}, ${view}`, asked);
    }
    await reader.goto("about:blank");
    await reader.goto(`${address}/reader#practice`);
    await expect(reader.locator(".practice")).toBeVisible();
    await nothingFound(reader, `${look}, practice`, asked);
    await reader.goto("about:blank");
    await reader.goto(`${address}/reader#present`);
    await expect(reader.locator(".present")).toBeVisible();
    await nothingFound(reader, `${look}, presenting`, asked);
  }
});

test("as a reader: laptop, tablet and phone at their sizes, side by side or one at a time, in any look", async ({
  browser,
}) => {
  const { page } = await startedWith(browser, "How the Ambrel was crossed", LINES);
  await saved(page);
  await page.goto(`${page.url().split(/[?#]/)[0]}/reader`);
  await page.getByRole("link", { name: "At other sizes" }).click();
  await expect(page.getByRole("heading", { name: "How the Ambrel was crossed, as readers see it" })).toBeVisible();
  const frame = (name: RegExp) => page.frameLocator(`iframe[title^="${name.source}"]`);
  await expect(page.locator("iframe")).toHaveCount(3);
  // Each is laid out at its own size: on the phone the ridge runs down.
  await expect(frame(/Laptop/).locator("html")).toHaveJSProperty("clientWidth", 1280);
  await expect(frame(/Phone/).locator("html")).toHaveJSProperty("clientWidth", 390);
  await expect(frame(/Phone/).locator(".chart-live")).toBeVisible();
  await page.getByLabel("Look").selectOption({ label: "Oak" });
  for (const name of [/Laptop/, /Tablet/, /Phone/])
    await expect(frame(name).locator("html")).toHaveCSS("background-color", OAK);
  await page.getByLabel("Shown").selectOption({ label: "Phone" });
  await expect(page.locator("iframe")).toHaveCount(1);
  await page.getByLabel("View").selectOption({ label: "the text" });
  await expect(frame(/Phone/).locator("#read")).toBeVisible();
  // Nothing was changed by it.
  await page.getByRole("link", { name: "Back to the editor" }).click();
  await openLooks(page);
  await expect(panel(page).getByRole("radio", { name: "Slate" })).toBeChecked();
});
