import { type Browser, expect, type Locator } from "@playwright/test";
import { test } from "./harness/test";
import sharp from "sharp";
import { openSheet, row } from "./harness/ledger";
import { chartButton, newTimeline, saved, serverUrl, startedWith, writeLines, visitor } from "./harness/people";

const started = (browser: Browser) => startedWith(browser, "The crossing", ["1872 Flood", "1931 Last ferry"]);

const plain = (background: string, width = 60, height = 40) =>
  sharp({ create: { width, height, channels: 3, background } })
    .png()
    .toBuffer();
const chooser = (sheet: Locator) => sheet.getByLabel("Pictures, video, sound: choose a file");

test("twenty files with a bad one among them, and the network cut in the middle: all others come, in their order", async ({
  browser,
}) => {
  const { page, context } = await started(browser);
  const sheet = await openSheet(page, "Flood");
  const files = [];
  for (let i = 0; i < 20; i++)
    files.push({ name: `p${i}.png`, mimeType: "image/png", buffer: await plain(`rgb(${i * 12},90,90)`, 100 + i) });
  files.splice(7, 0, { name: "list.jpg", mimeType: "image/jpeg", buffer: Buffer.from("1872 Flood, and more") });
  // The network goes when the fifth has arrived.
  let arrived = 0;
  await page.route(/\/uploads\/[^/]+$/, async (route) => {
    if (route.request().method() === "POST" && ++arrived === 5) await context.setOffline(true);
    await route.continue().catch(() => {});
  });
  await chooser(sheet).setInputFiles(files);
  await expect(sheet.getByText(/Nobody answers\. \d+ % has arrived and is kept/).first()).toBeVisible();
  // Whatever sheet is open, a line says what is on its way.
  await page.keyboard.press("Escape");
  await expect(page.getByTestId("uploads")).toContainText(/wait(s)? for a network/);
  await context.setOffline(false);
  await expect(page.getByTestId("uploads").getByRole("status")).toHaveText("1 file was not added");
  await openSheet(page, "Flood");
  await expect(sheet.getByTestId("media-item")).toHaveCount(20);
  await expect(sheet.getByTestId("on-its-way")).toContainText("This is not a picture, video or sound");
  const sizes = sheet.getByText(/^1\d\d × 40 px$/);
  expect((await sizes.allTextContents()).map((t) => Number.parseInt(t, 10)).toSorted((a, b) => a - b)).toEqual(
    Array.from({ length: 20 }, (_, i) => 100 + i),
  );
  await sheet.getByTestId("on-its-way").getByRole("button", { name: "Close" }).click();
  await expect(page.getByTestId("uploads")).toHaveCount(0);
  await saved(page);
});

test("a picture is cut and turned: editor and readers see the part, the whole stays for its editors, undo shows it again", async ({
  browser,
}) => {
  const { page } = await started(browser);
  const sheet = await openSheet(page, "Flood");
  // Red at the left, blue at the right.
  const buffer = await sharp({ create: { width: 1200, height: 600, channels: 3, background: "#0000ff" } })
    .composite([{ input: await plain("#ff0000", 600, 600), left: 0, top: 0 }])
    .png()
    .toBuffer();
  await chooser(sheet).setInputFiles({ name: "quay.png", mimeType: "image/png", buffer });
  const item = sheet.getByTestId("media-item");
  await expect(item).toContainText("1,200 × 600 px");
  await expect(item).toContainText("Sharp on a screen, on paper up to 15 cm");
  const address = async () => (await item.locator("img").first().getAttribute("src"))!.replace(/small$/, "large");
  const whole = await address();

  await item.getByRole("button", { name: "Cut and turn" }).click();
  const dialog = page.getByRole("dialog", { name: "Cut and turn the picture" });
  await dialog.getByRole("button", { name: "Turn right" }).click();
  // Turned to the right what was at the left is above: the lower half is the blue one.
  await dialog.getByLabel("From the top, percent").fill("50");
  await dialog.getByRole("button", { name: "Show this" }).click();
  await expect(dialog).toHaveCount(0);
  await expect(item).toContainText("600 × 600 px");
  const part = await address();
  expect(part).not.toBe(whole);
  const colourAt = async (url: string) => {
    const response = await page.request.get(url);
    expect(response.status()).toBe(200);
    const { data } = await sharp(await response.body())
      .removeAlpha()
      .resize(1, 1, { fit: "fill" })
      .raw()
      .toBuffer({
        resolveWithObject: true,
      });
    return [...data].map((v) => (v > 128 ? 1 : 0)).join("");
  };
  expect(await colourAt(part)).toBe("001");
  await saved(page);

  // A licence that does not allow it is named.
  await item.getByLabel("Licence").fill("CC BY-ND 4.0");
  await expect(item).toContainText("does not allow that");
  await item.getByLabel("Licence").fill("CC BY 4.0");
  await expect(item).toContainText("name who made it, link the licence");
  await saved(page);

  // Published, the part is shown, and the whole is not to be had.
  await page.getByRole("button", { name: "Share" }).click();
  await page.getByRole("radio", { name: /Anyone with the link/ }).check();
  await page.getByRole("button", { name: "Publish", exact: true }).click();
  const link = await page.getByLabel("Link to the published page").inputValue();
  await page.keyboard.press("Escape");
  const reader = await visitor(browser);
  await reader.goto(`${link}#read`);
  const shown = reader.locator("#read figure img, .events figure img").first();
  const path = new URL((await shown.getAttribute("src"))!, link).href;
  expect(await colourAt(path.replace(/medium$/, "large"))).toBe("001");
  const id = (url: string) => /media\/([^/]+)\//.exec(url)![1]!;
  expect((await reader.request.get(path.replace(id(path), id(whole)))).status()).toBe(404);
  expect(await (await reader.request.get(link)).text()).not.toContain(id(whole));

  // It is cut anew out of the whole, and shown whole again.
  await item.getByRole("button", { name: "Cut and turn" }).click();
  await expect(dialog.getByLabel("From the top, percent")).toHaveValue("50");
  await dialog.getByRole("button", { name: "Show all of it" }).click();
  await expect(item).toContainText("1,200 × 600 px");
  expect(await address()).toBe(whole);
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Undo" }).click();
  await openSheet(page, "Flood");
  await expect(item).toContainText("600 × 600 px");
});

test("pictures are dropped on a row of the ledger and on a label of the chart; their order is one's own, by keys too", async ({
  browser,
}) => {
  const { page } = await started(browser);
  const drop = async (on: Locator, name: string, bytes: Buffer) => {
    const data = await page.evaluateHandle(
      ([n, list]) => {
        const transfer = new DataTransfer();
        transfer.items.add(new File([new Uint8Array(list as number[])], n as string, { type: "image/png" }));
        return transfer;
      },
      [name, [...bytes]] as const,
    );
    const box = (await on.boundingBox())!;
    const at = { clientX: box.x + box.width / 2, clientY: box.y + box.height / 2 };
    await on.dispatchEvent("drop", { dataTransfer: data, ...at });
  };
  await drop(row(page, "Flood"), "one.png", await plain("#0B6E69", 61));
  await drop(chartButton(page, /Last ferry/), "other.png", await plain("#B4532A", 62));
  await saved(page);
  const sheet = await openSheet(page, "Last ferry");
  await expect(sheet.getByTestId("media-item")).toContainText("62 × 40 px");
  await openSheet(page, "Flood");
  await expect(sheet.getByTestId("media-item")).toContainText("61 × 40 px");

  await chooser(sheet).setInputFiles({ name: "b.png", mimeType: "image/png", buffer: await plain("#333366", 63) });
  await expect(sheet.getByTestId("media-item")).toHaveCount(2);
  const order = () =>
    sheet
      .getByTestId("media-item")
      .getByText(/× 40 px/)
      .allTextContents();
  expect(await order()).toEqual(["61 × 40 px", "63 × 40 px"]);
  const grip = sheet.getByRole("button", { name: "Move in the order" }).nth(1);
  await grip.focus();
  await grip.press("Space");
  await expect(page.getByText("Held at place 2 of 2.")).toBeAttached();
  await page.keyboard.press("ArrowUp");
  await expect(page.getByText("Held at place 1 of 2.")).toBeAttached();
  await page.keyboard.press("Space");
  await expect.poll(order).toEqual(["63 × 40 px", "61 × 40 px"]);
  await saved(page);
});

test("a drawing and a picture that moves are taken; a phone's own form is named before anything is sent", async ({
  browser,
}) => {
  const { page } = await started(browser);
  const sheet = await openSheet(page, "Flood");
  const frame = (c: string) => plain(c);
  const gif = await sharp([await frame("#ff0000"), await frame("#0000ff")], { join: { animated: true } })
    .gif()
    .toBuffer();
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="300" height="200"><rect width="300" height="200" fill="#0B6E69"/><script>document.title="bad"</script></svg>`;
  const sent: string[] = [];
  page.on("request", (r) => {
    if (r.url().endsWith("/uploads")) sent.push(r.postData() ?? "");
  });
  await chooser(sheet).setInputFiles([
    { name: "bell.gif", mimeType: "image/gif", buffer: gif },
    { name: "roof.svg", mimeType: "image/svg+xml", buffer: Buffer.from(svg) },
    { name: "IMG_1.HEIC", mimeType: "image/heic", buffer: Buffer.from("ftypheic") },
  ]);
  await expect(sheet.getByTestId("media-item")).toHaveCount(2);
  await expect(sheet.getByTestId("media-item").first()).toContainText("60 × 40 px, moves");
  await expect(sheet.getByTestId("on-its-way")).toContainText("HEIC");
  expect(sent.join()).not.toContain("HEIC");
  await saved(page);

  // Readers see it move, unless they want no motion.
  const preview = await page.request.get(`${new URL(page.url()).pathname}/reader`);
  const html = await preview.text();
  expect(html).toMatch(/<source media="\(prefers-reduced-motion: no-preference\)" srcset="[^"]+\/moving">/);
  const moving = /srcset="([^"]+\/moving)"/.exec(html)![1]!;
  const got = await page.request.get(new URL(moving, serverUrl()).href);
  expect((await sharp(await got.body(), { animated: true }).metadata()).pages).toBe(2);
});

test("a picture from the shelf brings credit and licence; what was uploaded before is used again in another timeline", async ({
  browser,
}) => {
  const { page } = await started(browser);
  const sheet = await openSheet(page, "Flood");
  await sheet.getByRole("button", { name: "From the shelf" }).click();
  const dialog = page.getByRole("dialog", { name: "Choose pictures" });
  await expect(dialog.getByRole("status")).toHaveText("More than 24 pictures");
  await dialog.getByLabel("Look for").fill("high water");
  await expect(dialog.getByRole("status")).toHaveText(/^\d pictures?$/);
  await dialog.getByRole("button", { name: "Take High water in a street" }).click();
  await expect(dialog.getByRole("button", { name: "Take High water in a street, taken" })).toBeVisible();
  await dialog.getByLabel("Look for").fill("xyzzy");
  await expect(dialog).toContainText("Nothing fits “xyzzy”");
  await page.keyboard.press("Escape");
  const item = sheet.getByTestId("media-item");
  await expect(item.getByLabel("Credit")).toHaveValue("Drawing: the Fastigo shelf");
  await expect(item.getByLabel("Licence")).toHaveValue("CC0");
  await expect(item.getByLabel(/What it shows/)).toHaveValue(/A boat passes between flooded houses/);
  await expect(item.getByLabel("Where it was found")).toHaveValue(/\/shelf#flooded-street$/);
  await item.getByLabel("Caption").fill("The quay on the morning after");
  await saved(page);

  await newTimeline(page, "Weather");
  await writeLines(page, ["1900 Storm"]);
  await openSheet(page, "Storm");
  await sheet.getByRole("button", { name: "Used before" }).click();
  await expect(dialog).toContainText("in “The crossing”");
  await expect(dialog).toContainText("shown by “Flood”");
  await dialog.getByLabel("Look for").fill("morning crossing");
  await dialog.getByRole("button", { name: /^Take The quay on the morning after/ }).click();
  await expect(dialog.getByRole("button", { name: /taken$/ })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(item.getByLabel("Credit")).toHaveValue("Drawing: the Fastigo shelf");
  await expect(item.locator("img").first()).toHaveJSProperty("complete", true);
  await saved(page);

  // Deleted for good it is gone from both timelines, also while they are open.
  await sheet.getByRole("button", { name: "Used before" }).click();
  await dialog.getByRole("button", { name: "Delete The quay on the morning after" }).click();
  await expect(dialog).toContainText("taken out of every timeline of yours");
  await dialog.getByRole("button", { name: "Keep it" }).click();
  await dialog.getByRole("button", { name: "Delete The quay on the morning after" }).click();
  await dialog.getByRole("button", { name: "Delete for good" }).click();
  await expect(dialog).toContainText("Deleted for good, and taken out of 2 places.");
  await expect(dialog).toContainText("You have not uploaded anything yet.");
  await page.keyboard.press("Escape");
  await expect(item).toHaveCount(0);

  // The shelf is a page of its own too, and the address a picture was found at leads to it.
  await page.goto("/shelf?words=castle");
  await expect(page.getByText("A castle with a moat")).toBeVisible();
  await expect(page.getByText("A volcano breaks out")).toHaveCount(0);
});

test("the cover stands across the page, cropped around what is to be seen, and where somebody posts the link, until it is taken back", async ({
  browser,
}) => {
  const { page } = await startedWith(browser, "The crossing", ["1872 Flood"]);
  await page.getByRole("button", { name: "About", exact: true }).click();
  const about = page.getByRole("complementary", { name: "About this timeline" });
  const half = (background: string) =>
    sharp({ create: { width: 400, height: 900, channels: 3, background } })
      .png()
      .toBuffer();
  const buffer = await sharp({ create: { width: 800, height: 900, channels: 3, background: "#ffffff" } })
    .composite([
      { input: await half("#0B6E69"), left: 0, top: 0 },
      { input: await half("#B4481E"), left: 400, top: 0 },
    ])
    .png()
    .toBuffer();
  await about
    .getByLabel("Cover picture: choose a file")
    .setInputFiles({ name: "c.png", mimeType: "image/png", buffer });
  const cover = about.getByRole("region", { name: "Cover picture" });
  await cover.getByRole("button", { name: "What is seen where it is cropped" }).click();
  await cover.getByTestId("focus").click({ position: { x: 4, y: 4 } });
  await about.getByLabel("Where the cover stands").selectOption("across the page, over the title");
  await saved(page);
  const id = new URL(page.url()).pathname;
  const made = await page.request.put(`/api${id}/publication`, { data: { visibility: "link", fresh: true } });
  const { publication } = (await made.json()) as { publication: { address: string } };
  const reader = await (await browser.newContext({ baseURL: new URL(page.url()).origin })).newPage();
  await reader.goto(`/t/${publication.address}`);
  const band = reader.locator(".opening.band figure img");
  await expect(band).toBeVisible();
  const box = (await band.boundingBox())!;
  expect(box.width).toBeGreaterThan(2.5 * box.height);
  expect(await band.evaluate((i) => getComputedStyle(i).objectPosition)).toMatch(/^[0-3](\.\d+)?% [0-3](\.\d+)?%$/);
  const image = (await reader.locator("meta[property='og:image']").getAttribute("content"))!;
  expect(image).toBe(`${new URL(page.url()).origin}/t/${publication.address}/preview`);
  const picture = await reader.request.get(image);
  const { data, info } = await sharp(await picture.body())
    .raw()
    .toBuffer({ resolveWithObject: true });
  expect([info.width, info.height, picture.headers()["content-type"]]).toEqual([1_200, 630, "image/jpeg"]);
  // Of the upper left corner: green at its left, and no higher than the picture begins.
  expect([data[1]! > data[0]!, data[info.width * 3 - 3]! > data[info.width * 3 - 2]!]).toEqual([true, true]);
  await page.request.delete(`/api${id}/publication`);
  expect((await reader.request.get(image)).status()).toBe(404);
});
