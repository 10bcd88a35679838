import { expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import sharp from "sharp";
import { openSheet } from "./harness/ledger";
import { newPerson, saved, startedWith } from "./harness/people";

const films = () => process.env.E2E_FILMS!;
const png = () =>
  sharp({ create: { width: 320, height: 200, channels: 3, background: "#7FC4B8" } })
    .png()
    .toBuffer();

/** Publishes the timeline of the open editor for whoever has the link; gives its address. */
async function publish(page: Page): Promise<string> {
  const id = new URL(page.url()).pathname.split("/")[2];
  const answer = await page.request.put(`/api/timelines/${id}/publication`, {
    data: { visibility: "link", fresh: true },
  });
  return `/t/${((await answer.json()) as { publication: { address: string } }).publication.address}`;
}

test("a film that stays at another site: nothing is asked for before one agrees, once a page, and a class can forbid it", async ({
  browser,
}) => {
  const { page } = await startedWith(browser, "The crossing", ["1872 Flood", "1931 Last ferry"]);
  for (const [title, pasted] of [
    ["Flood", `<iframe src="${films()}/player/spring-flood" onload="alert(1)"></iframe><script>alert(1)</script>`],
    ["Last ferry", `${films()}/films/spring-flood`],
  ] as const) {
    const sheet = await openSheet(page, title);
    await sheet.getByLabel("Web address of a picture").fill(pasted);
    await sheet.getByRole("button", { name: "Fetch" }).click();
    const item = sheet.getByTestId("media-item");
    await expect(item).toContainText("readers are asked before it is played");
    if (title === "Last ferry") {
      await expect(item.getByLabel("Credit")).toHaveValue("Ambrel Valley Film Club, Ambrel films");
      await expect(item).toContainText("lasts 0:07");
      await item.getByLabel("Played from").fill("0:02");
      await item.getByLabel("Played from").press("Enter");
      await item
        .getByLabel("A still for")
        .setInputFiles({ name: "still.png", mimeType: "image/png", buffer: await png() });
      await expect(item.getByRole("button", { name: "Choose another still" })).toBeVisible();
    }
    await saved(page);
  }
  const asked: string[] = [];
  page.context().on("request", (r) => asked.push(r.url()));
  const outside = () => asked.filter((u) => !u.startsWith(new URL(page.url()).origin) && !u.startsWith("data:"));
  await page.goto(await publish(page));
  await page.goto(`${page.url()}#read`);
  const links = page.locator("#read a.play");
  await expect(links).toHaveCount(2);
  await links.last().scrollIntoViewIfNeeded();
  await expect(page.getByText("until you agree to it")).toBeVisible();
  expect(outside()).toEqual([]);
  await links.last().click();
  const question = page.getByRole("group", { name: "Before playing from Ambrel films" });
  await expect(question).toContainText("It then learns your internet address");
  await question.getByRole("button", { name: "Not now" }).click();
  await expect(links.last()).toBeFocused();
  expect(outside()).toEqual([]);
  await page.keyboard.press("Enter");
  await question.getByRole("button", { name: "Play it", exact: true }).click();
  const player = page.frameLocator("#read iframe");
  await expect(player.locator("video")).toHaveAttribute("src", "/film.webm#t=2");
  expect(outside()[0]).toBe(`${films()}/player/spring-flood?begin=2`);
  // Asked once a page: the other one plays when it is pressed.
  await links.first().click();
  await expect(page.locator("#read iframe")).toHaveCount(2);
  await expect(question).toHaveCount(0);

  // The next page asks again, until one says it for good on this device.
  await page.reload();
  await links.first().click();
  await question.getByRole("button", { name: "Play it, and do not ask again on this device" }).click();
  await page.reload();
  await links.first().click();
  await expect(page.locator("#read iframe")).toHaveCount(1);
});

test("a web page becomes a card one can rewrite; a film by its address is kept; what cannot be read is said", async ({
  browser,
}) => {
  const { page } = await startedWith(browser, "The crossing", ["1872 Flood"]);
  const sheet = await openSheet(page, "Flood");
  const fetch = async (address: string) => {
    await sheet.getByLabel("Web address of a picture").fill(address);
    await sheet.getByRole("button", { name: "Fetch" }).click();
  };
  await fetch(`${process.env.E2E_PICTURE_SITE}/crossings`);
  const item = sheet.getByTestId("media-item");
  await expect(item.first()).toContainText("card of a page at 127.0.0.1");
  await item.first().getByLabel("Title").fill("All crossings");
  await item.first().getByLabel("What the page is about").fill("A table of the museum");
  await fetch(`${films()}/film.webm`);
  await expect(item).toHaveCount(2);
  await expect(item.last().getByText(/lasts 0:0[67]/)).toBeVisible();
  await fetch("<b>words only</b>");
  await expect(sheet.getByRole("alert")).toContainText("There is no web address in what you pasted");
  await fetch(`${process.env.E2E_PICTURE_SITE}/crossings.csv`);
  await expect(sheet.getByRole("alert")).toContainText("no picture, video, sound or web page");
  await saved(page);
  await page.goto(`${new URL(page.url()).pathname}/reader#read`);
  const card = page.locator("#read figure.card");
  await expect(card.getByRole("link", { name: "All crossings" })).toHaveAttribute(
    "href",
    `${process.env.E2E_PICTURE_SITE}/crossings`,
  );
  await expect(card).toContainText("A table of the museum");
  await expect(page.locator("#read figure video")).toHaveCount(1);
  await expect(page.getByText("Nothing on this page is loaded from anybody else's server.")).toBeVisible();
});

test("a class switches players of other sites, camera and microphone off for its students", async ({ browser }) => {
  const author = await startedWith(browser, "The crossing", ["1872 Flood"]);
  const sheet = await openSheet(author.page, "Flood");
  await sheet.getByLabel("Web address of a picture").fill(`${films()}/films/spring-flood`);
  await sheet.getByRole("button", { name: "Fetch" }).click();
  await expect(sheet.getByTestId("media-item")).toBeVisible();
  await saved(author.page);
  const address = await publish(author.page);

  const teacher = await newPerson(browser, "Ward");
  const made = await teacher.page.request.post("/api/classes", { data: { name: "7b" } });
  await teacher.page.goto(`/classes/${((await made.json()) as { id: string }).id}`);
  const code = await teacher.page.getByTestId("join-code").innerText();
  const pupil = await startedWith(browser, "Mine", ["1872 Flood"]);
  expect((await pupil.page.request.post("/api/classes/join-as-me", { data: { code } })).status()).toBe(200);
  // Whoever is in a class is asked on each page, and never for good.
  await pupil.page.goto(`${address}#read`);
  await pupil.page.locator("#read a.play").click();
  await expect(pupil.page.getByRole("button", { name: "Play it", exact: true })).toBeVisible();
  await expect(pupil.page.getByRole("button", { name: /do not ask again/ })).toHaveCount(0);

  for (const name of [
    "Students may play videos and sounds of other sites in a page",
    "Students may use camera and microphone here",
  ]) {
    const box = teacher.page.getByRole("checkbox", { name });
    await box.click();
    await expect(box).not.toBeChecked();
  }
  await pupil.page.goto(`${address}?again#read`);
  await expect(pupil.page.locator("#read figure.outside")).toContainText(
    "In your class nothing of other sites is played in a page.",
  );
  await expect(pupil.page.locator("a.play")).toHaveCount(0);
  await pupil.page.goto("/");
  await pupil.page.getByRole("link", { name: /^Mine/ }).first().click();
  const own = await openSheet(pupil.page, "Flood");
  await expect(own).toContainText("Your class has switched camera and microphone off.");
  await expect(own.getByRole("button", { name: "Record a voice" })).toHaveCount(0);
});
