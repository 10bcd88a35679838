import { spawnSync } from "node:child_process";
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { pathToFileURL } from "node:url";
import { expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { unzipSync, zipSync } from "fflate";
import sharp from "sharp";
import { openSheet, row } from "./harness/ledger";
import { chartButton, newPerson, newTimeline, saved, startedWith } from "./harness/people";

const hasProgram = (name: string) => spawnSync(name, ["-v"]).error === undefined;
const paper = (page: Page) => page.getByRole("button", { name: "On paper, as a picture, as a folder" }).click();

/** Makes a folder for what is taken away, and removes it afterwards. */
async function inFolder(run: (folder: string) => Promise<void>): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), "fastigo-away-"));
  try {
    await run(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

function unpack(zip: string, folder: string): void {
  for (const [path, bytes] of Object.entries(unzipSync(new Uint8Array(readFileSync(zip))))) {
    mkdirSync(dirname(join(folder, path)), { recursive: true });
    writeFileSync(join(folder, path), bytes);
  }
}

async function download(page: Page, part: string, to: string): Promise<string> {
  const waiting = page.waitForEvent("download");
  await page.getByRole("region", { name: part }).getByRole("link", { name: "Download" }).click();
  const file = await waiting;
  await file.saveAs(to);
  return file.suggestedFilename();
}

test("the chart on paper: what is said before, a preview that is the file, its words in it", async ({ browser }) => {
  const { page } = await startedWith(browser, "The flood", ["1604 Rope ferry", "1872 Flood", "1874 Stone bridge"]);
  await saved(page);
  await paper(page);
  const pdf = page.getByRole("region", { name: "PDF" });
  await pdf.getByLabel("Paper").selectOption("free");
  await pdf.getByLabel("Width").fill("6000");
  await expect(pdf.getByRole("status")).toContainText("from 80 mm to 5 m");
  await expect(pdf.getByRole("button", { name: "Make the PDF" })).toBeDisabled();
  await pdf.getByLabel("Units").selectOption("inch");
  await pdf.getByLabel("Width").fill("36");
  await pdf.getByLabel("Height").fill("12");
  await expect(pdf.getByRole("status")).toHaveText("");
  await pdf.getByLabel("The full texts after it").check();
  await pdf.getByRole("button", { name: "Make the PDF" }).click();
  await expect(pdf.getByRole("img", { name: "Page 1 of 2 of the PDF" })).toHaveAttribute("data-drawn", "1");
  // What is drawn there is no empty page.
  const shot = await sharp(await pdf.getByRole("img", { name: /of the PDF/ }).screenshot()).stats();
  expect(shot.channels[0]!.stdev).toBeGreaterThan(5);
  await pdf.getByRole("button", { name: "Next page" }).click();
  await expect(pdf.getByRole("img", { name: "Page 2 of 2 of the PDF" })).toHaveAttribute("data-drawn", "2");
  await inFolder(async (folder) => {
    const file = join(folder, "flood.pdf");
    expect(await download(page, "PDF", file)).toBe("The flood.pdf");
    expect(readFileSync(file, "latin1").slice(0, 8)).toBe("%PDF-1.7");
    // poppler's tools, where they are.
    test.skip(!hasProgram("pdftotext"), "pdftotext (poppler-utils) is not installed");
    const info = spawnSync("pdfinfo", [file], { encoding: "utf8" }).stdout;
    expect(info).toMatch(/Page size: +2592 x 864 pts/);
    expect(info).toMatch(/Tagged: +yes/);
    const text = spawnSync("pdftotext", ["-f", "2", file, "-"], { encoding: "utf8" }).stdout;
    expect(text.replaceAll(/\s+/g, " ")).toMatch(/1\. 1604 Rope ferry.*2\. 1872 Flood.*3\. 1874 Stone bridge/);
    expect(spawnSync("pdftotext", ["-l", "1", file, "-"], { encoding: "utf8" }).stdout).toContain("1. Rope ferry");
  });
});

test("the text as a booklet to fold: two pages a side, four to a sheet, in the preview too", async ({ browser }) => {
  const { page } = await startedWith(browser, "The flood", ["1604 Rope ferry", "1872 Flood", "1874 Stone bridge"]);
  await saved(page);
  await paper(page);
  const pdf = page.getByRole("region", { name: "PDF" });
  await pdf.getByLabel("What").first().selectOption("read");
  await expect(pdf.getByLabel("Across, upright")).toBeVisible();
  await pdf.getByLabel("As a booklet to fold").check();
  await expect(pdf.getByText("turned over the short edge")).toBeVisible();
  // How the sheet lies goes without saying then.
  await expect(pdf.getByLabel("Across, upright")).toHaveCount(0);
  await pdf.getByRole("button", { name: "Make the PDF" }).click();
  await expect(pdf.getByText(/on 1 sheet, printed on both sides and folded in the middle/)).toBeVisible();
  await expect(pdf.getByRole("img", { name: "Page 1 of 2 of the PDF" })).toHaveAttribute("data-drawn", "1");
  await inFolder(async (folder) => {
    const file = join(folder, "flood.pdf");
    await download(page, "PDF", file);
    test.skip(!hasProgram("pdftotext"), "pdftotext (poppler-utils) is not installed");
    expect(spawnSync("pdfinfo", [file], { encoding: "utf8" }).stdout).toMatch(/Page size: +841.\d+ x 595.\d+ pts/);
    // What is read first is the right half of the first side.
    const right = ["-l", "1", "-x", "421", "-y", "0", "-W", "421", "-H", "595", file, "-"];
    expect(spawnSync("pdftotext", right, { encoding: "utf8" }).stdout).toContain("Rope ferry");
  });
});

test("the chart as a picture, saved and copied; as a drawing with its type inside", async ({ browser }) => {
  const { page } = await startedWith(browser, "The flood", ["1604 Rope ferry", "1872 Flood"]);
  await saved(page);
  await paper(page);
  const part = page.getByRole("region", { name: "Picture of the chart" });
  await part.getByLabel("Size").selectOption("3");
  // A server that is away for a moment is asked again.
  let lost = 0;
  await page.route(
    /\/api\/files\/[^/]+$/,
    (route) => {
      lost++;
      return route.abort();
    },
    { times: 1 },
  );
  await part.getByRole("button", { name: "Make the picture" }).click();
  await expect(part.getByRole("link", { name: "Download" })).toBeVisible();
  expect(lost).toBe(1);
  await inFolder(async (folder) => {
    await download(page, "Picture of the chart", join(folder, "a.png"));
    const made = sharp(join(folder, "a.png"));
    expect((await made.metadata()).width).toBe(4_800);
    expect((await made.stats()).channels[0]!.stdev).toBeGreaterThan(5);
    await part.getByRole("button", { name: "Copy as a picture" }).click();
    await expect(page.getByText("Copied. It can be pasted into a document.")).toBeVisible();
    await part.getByLabel("What").selectOption("svg");
    await part.getByRole("button", { name: "Make the picture" }).click();
    await expect(part.getByText("The flood.svg")).toBeVisible();
    await download(page, "Picture of the chart", join(folder, "a.svg"));
    const svg = readFileSync(join(folder, "a.svg"), "utf8");
    expect(svg).toContain("data:font/woff2;base64,");
    expect(svg).toContain("Rope ferry");
    expect(svg).not.toMatch(/(href|url\()="?https?:/);
    // The two are the same drawing: one as its letters in a browser, the other as outlines by another library.
    const view = await (await browser.newContext({ viewport: { width: 1_600, height: 900 } })).newPage();
    await view.goto(pathToFileURL(join(folder, "a.svg")).href);
    await view.evaluate(() => document.fonts.ready);
    const size = { width: 800, height: 300, fit: "fill" } as const;
    const clip = { x: 0, y: 0, width: 1_600, height: Number(/height="([\d.]+)"/.exec(svg)![1]) };
    const grey = async (picture: Buffer | string) =>
      sharp(picture).flatten({ background: "#fff" }).greyscale().resize(size).raw().toBuffer();
    const [seen, outlined] = [await grey(await view.screenshot({ clip })), await grey(join(folder, "a.png"))];
    const off = seen.reduce((sum, v, i) => sum + Math.abs(v - outlined[i]!), 0) / seen.length;
    expect(off).toBeLessThan(4);
  });
});

test("a folder that works from a file with the network off; its data is what was frozen", async ({ browser }) => {
  const { page } = await startedWith(browser, "The flood", [
    "1604 Rope ferry",
    "1702 - 1790 Timber bridge",
    "1872 Flood",
  ]);
  const png = await sharp({ create: { width: 900, height: 600, channels: 3, background: "#0B6E69" } })
    .png()
    .toBuffer();
  const sheet = await openSheet(page, "Flood");
  await sheet
    .getByLabel("Pictures, video, sound: choose a file")
    .setInputFiles({ name: "flood.png", mimeType: "image/png", buffer: png });
  await expect(sheet.getByTestId("media-item")).toHaveCount(1);
  await saved(page);
  await page.getByRole("button", { name: "Share" }).click();
  await page.getByRole("button", { name: "Make a frozen copy" }).click();
  const copy = page.getByTestId("frozen-copy");
  const fingerprint = (await copy.innerText()).match(/fingerprint ([0-9a-f]{16})/)![1]!;
  await inFolder(async (folder) => {
    const zip = join(folder, "flood.zip");
    const waiting = page.waitForEvent("download");
    await copy.getByRole("link", { name: "Download it with its pictures" }).click();
    await (await waiting).saveAs(zip);
    unpack(zip, folder);
    const offline = await browser.newContext({ offline: true });
    const reader = await offline.newPage();
    const asked: string[] = [];
    reader.on("request", (r) => asked.push(r.url()));
    await reader.goto(pathToFileURL(join(folder, "index.html")).href);
    await reader.getByRole("link", { name: "Read", exact: true }).click();
    await expect(reader.getByRole("heading", { name: "Timber bridge" })).toBeVisible();
    // Its pictures have the endings of their kind, and are seen.
    expect(asked.filter((u) => u.includes("/media/")).map((u) => u.replace(/.*\//, ""))).toContain("medium.webp");
    const picture = reader.locator(".story figure img").first();
    await picture.scrollIntoViewIfNeeded();
    await expect.poll(() => picture.evaluate((el) => (el as HTMLImageElement).naturalWidth)).toBeGreaterThan(100);
    await reader.getByRole("link", { name: "Chart", exact: true }).click();
    await expect(chartButton(reader, /Rope ferry/)).toBeVisible();
    const files = () => new Set(asked.filter((u) => u.includes("/media/")).map((u) => u.replace(/.*\//, "")));
    await expect.poll(() => files().size).toBeGreaterThan(1);
    expect([...files()].filter((f) => !f.endsWith(".webp"))).toEqual([]);
    await reader.getByRole("button", { name: "Zoom in" }).click();
    await expect(reader.getByRole("button", { name: "Whole timeline" })).toBeEnabled();
    await reader.getByRole("link", { name: "Index", exact: true }).click();
    await expect(reader.getByRole("searchbox").first()).toBeVisible();
    await reader.getByRole("button", { name: "Practise" }).click();
    await expect(reader.getByRole("heading", { name: /Practice|Practise/ }).first()).toBeVisible();
    expect(asked.filter((u) => !/^(file|data|blob):/.test(u))).toEqual([]);
    await offline.close();

    // Somebody else brings the folder in, with its picture.
    const obi = await newPerson(browser, "Obi");
    await newTimeline(obi.page, "");
    await obi.page.getByRole("button", { name: "Bring in", exact: true }).click();
    const choose = (file: string) => obi.page.getByLabel("Choose a file").setInputFiles(file);
    writeFileSync(join(folder, "none.zip"), zipSync({ "a.txt": new Uint8Array(3) }));
    await choose(join(folder, "none.zip"));
    await expect(obi.page.getByRole("alert").filter({ hasText: "no folder of a timeline" })).toBeVisible();
    await choose(zip);
    await expect(obi.page.getByRole("status").getByText(/The flood/)).toBeVisible();
    await obi.page.getByRole("button", { name: "Add 3 events" }).click();
    await expect(row(obi.page, "Timber bridge")).toBeVisible();
    await saved(obi.page);
    const brought = await openSheet(obi.page, "Flood");
    await expect(brought.getByTestId("media-item")).toHaveCount(1);
    await expect
      .poll(() =>
        brought
          .locator("[data-testid=media-item] img")
          .first()
          .evaluate((el) => (el as HTMLImageElement).naturalWidth),
      )
      .toBeGreaterThan(0);

    const verify = (file: string, ...more: string[]) =>
      spawnSync("npm", ["run", "-s", "fastigo", "--", "verify", file, "--fingerprint", ...more], { encoding: "utf8" });
    const right = verify(zip, fingerprint);
    expect([right.status, right.stderr]).toEqual([0, ""]);
    expect(JSON.parse(right.stdout)).toMatchObject({ title: "The flood", events: 3, whole: true, same: true });
    expect(verify(zip, "0123456789abcdef").status).toBe(1);
    const altered = join(folder, "altered.json");
    writeFileSync(altered, readFileSync(join(folder, "data.json"), "utf8").replace("Flood", "Drought"));
    expect(verify(altered, fingerprint).status).toBe(1);
    writeFileSync(join(folder, "half.zip"), readFileSync(zip).subarray(0, 3_000));
    const broken = verify(join(folder, "half.zip"), fingerprint);
    expect([broken.status, broken.stderr]).toEqual([2, expect.stringContaining("no whole zip")]);
  });
});

test("as a learning package it reports to a platform that it was read, and the score of a practice", async ({
  browser,
}) => {
  const { page } = await startedWith(browser, "The flood", ["1604 Rope ferry", "1702 Timber bridge", "1872 Flood"]);
  await saved(page);
  await paper(page);
  const part = page.getByRole("region", { name: "A folder that works without any server" });
  await part.getByRole("button", { name: /learning package/ }).click();
  await expect(part.getByRole("link", { name: "Download" })).toBeVisible();
  await inFolder(async (folder) => {
    const zip = join(folder, "p.zip");
    expect(await download(page, "A folder that works without any server", zip)).toBe("The flood-scorm.zip");
    unpack(zip, folder);
    const manifest = readFileSync(join(folder, "imsmanifest.xml"), "utf8");
    expect(manifest).toContain("<schemaversion>1.2</schemaversion>");
    // A platform: the run-time of a well-known library, and the package in a frame of it.
    const runtime = readFileSync(
      join(import.meta.dirname, "..", "node_modules/scorm-again/dist/scorm12.min.js"),
      "utf8",
    );
    writeFileSync(
      join(folder, "platform.html"),
      `<!doctype html><script>${runtime.replaceAll("</script", "<\\/script")}</script><script>window.API = new Scorm12API({autocommit:false});</script><iframe src="index.html" style="width:1200px;height:760px"></iframe>`,
    );
    const { startStatic } = await import("./harness/static-site");
    const site = await startStatic(folder);
    try {
      const learner = await (await browser.newContext()).newPage();
      await learner.goto(`${site.url}/platform.html`);
      const frame = learner.frameLocator("iframe");
      const value = (name: string) =>
        learner.evaluate(
          (n) => (window as never as { API: { lmsGetValue(n: string): string } }).API.lmsGetValue(n),
          name,
        );
      await expect.poll(() => value("cmi.core.lesson_status")).toBe("incomplete");
      await frame.getByRole("link", { name: "Read", exact: true }).click();
      await frame.locator(".foot").scrollIntoViewIfNeeded();
      await expect.poll(() => value("cmi.core.lesson_status")).toBe("completed");
      await frame.locator("body").evaluate(() => document.dispatchEvent(new CustomEvent("practised", { detail: 0.8 })));
      await expect.poll(() => value("cmi.core.score.raw")).toBe("80");
    } finally {
      site.stop();
    }
  });
});

test("everything of mine: taken away, the account emptied, brought back, all equal; what was altered is not let in", async ({
  browser,
}) => {
  const { page } = await startedWith(browser, "The flood", ["about 1604 Rope ferry", "1872 Flood"]);
  const png = await sharp({ create: { width: 90, height: 60, channels: 3, background: "#0B6E69" } })
    .png()
    .toBuffer();
  const sheet = await openSheet(page, "Flood");
  const chooser = sheet.getByLabel("Pictures, video, sound: choose a file");
  await chooser.setInputFiles({ name: "flood.png", mimeType: "image/png", buffer: png });
  await expect(sheet.getByTestId("media-item")).toHaveCount(1);
  const film = readFileSync("scripts/demo/media/spring-flood.webm");
  await chooser.setInputFiles({ name: "flood.webm", mimeType: "video/webm", buffer: film });
  await expect(sheet.getByTestId("media-item")).toHaveCount(2);
  await saved(page);
  const data = async () => {
    const everything = (await (await page.request.get("/api/account/file?as=json")).json()) as {
      timelines: { timeline: { title: string; events: object[]; items: { media: string | null }[] } }[];
    };
    // Files have names of their own in each timeline.
    const text = JSON.stringify(
      everything.timelines.map((t) => ({
        ...t.timeline,
        items: t.timeline.items.map((i) => ({ ...i, media: Boolean(i.media) })),
      })),
    );
    return JSON.parse(text) as { title: string }[];
  };
  const before = await data();
  expect(before).toHaveLength(1);
  await page.goto("/account");
  const waiting = page.waitForEvent("download");
  await page.getByRole("link", { name: "Download everything" }).click();
  await inFolder(async (folder) => {
    const zip = join(folder, "all.zip");
    await (await waiting).saveAs(zip);
    const names = Object.keys(unzipSync(new Uint8Array(readFileSync(zip))));
    expect(names.slice(0, 2)).toEqual(["archive.json", "account.json"]);
    expect(names).toContain("timelines/1/history.json");
    expect(names.filter((n) => /^timelines\/1\/media\//.test(n))).toHaveLength(2);
    // A film is there itself, not its still.
    const entries = Object.values(unzipSync(new Uint8Array(readFileSync(zip))));
    expect(entries.some((bytes) => film.equals(bytes))).toBe(true);
    const other = await startedWith(browser, "Mine", ["1900 Already here"]);
    await saved(other.page);
    await other.page.goto("/account");
    const part = other.page.getByRole("region", { name: "Bring everything back" });
    const choose = async (file: string) => {
      // Not before the page is awake.
      await expect(part.locator('input[type="file"]')).toBeEnabled();
      await part.locator('input[type="file"]').setInputFiles(file);
    };
    await choose(zip);
    await expect(part.getByRole("status")).toContainText("1 timeline was brought back.");
    const after = (await (await other.page.request.get("/api/account/file?as=json")).json()) as {
      timelines: { timeline: { title: string; items: { media: string | null }[] } }[];
    };
    const back = after.timelines.find((t) => t.timeline.title === "The flood")!.timeline;
    expect([{ ...back, items: back.items.map((i) => ({ ...i, media: Boolean(i.media) })) }]).toEqual(before);
    expect(after.timelines).toHaveLength(2);
    // Its history came with it, and says where it is from.
    await other.page.goto("/");
    await other.page.getByRole("link", { name: "The flood" }).first().click();
    await other.page.getByRole("button", { name: "History" }).click();
    const history = other.page.getByRole("complementary", { name: "History" });
    await expect(history.getByText(/\(from an archive\)/).first()).toBeVisible();
    await expect(history).toContainText("2 events added");
    await other.page.goto("/account");

    const files = unzipSync(new Uint8Array(readFileSync(zip)));
    const packed = (entries: Record<string, Uint8Array>, name: string) => {
      const made = zipSync(entries, { level: 0 });
      writeFileSync(join(folder, name), made);
      return join(folder, name);
    };
    const text = (value: object) => new TextEncoder().encode(JSON.stringify(value));
    await choose(packed({ ...files, "timelines/1/timeline.json": text({ events: [] }) }, "altered.zip"));
    await expect(part.getByRole("alert")).toContainText("is not what the archive says it is");
    await choose(
      packed(
        { ...files, "archive.json": text({ fastigo: "everything of mine", format: 99, timelines: 1 }) },
        "later.zip",
      ),
    );
    await expect(part.getByRole("alert")).toContainText("made by a later Fastigo");
    await choose(packed({ "../../x": text({}), "a.txt": text({}) }, "other.zip"));
    await expect(part.getByRole("alert")).toContainText("is not an archive");
    writeFileSync(join(folder, "half.zip"), readFileSync(zip).subarray(0, 2_500));
    await choose(join(folder, "half.zip"));
    await expect(part.getByRole("alert")).toContainText(/ends before it is whole|is not an archive/);
    await choose(packed({ ...files, "../../evil": text({}), "timelines/1/media/../x": text({}) }, "paths.zip"));
    await expect(part.getByRole("status")).toContainText("1 timeline was brought back.");
  });
});

test("from the editor the browser prints the chart and none of the tools; a page of a timeline prints all of it", async ({
  browser,
}) => {
  const { page } = await startedWith(browser, "The flood", ["1604 Rope ferry", "1872 Flood"]);
  await saved(page);
  await page.evaluate(() => window.dispatchEvent(new Event("beforeprint")));
  await page.emulateMedia({ media: "print" });
  const printed = page.locator(".print-chart");
  await expect(printed.getByRole("heading", { name: "The flood" })).toBeVisible();
  await expect(printed.locator("svg text", { hasText: "Rope ferry" })).toBeVisible();
  await expect(page.getByTestId("next-event")).toBeHidden();
  await expect(page.getByRole("button", { name: "Share" })).toBeHidden();
  const sheet = await page.pdf({ format: "A4", landscape: true });
  expect(sheet.length).toBeGreaterThan(5_000);
  await page.evaluate(() => window.dispatchEvent(new Event("afterprint")));
  await page.emulateMedia({ media: "screen" });
  await expect(page.getByTestId("next-event")).toBeVisible();
  await expect(printed).toBeEmpty();
});
