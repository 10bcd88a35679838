import { readFile } from "node:fs/promises";
import { expect } from "@playwright/test";
import { test } from "./harness/test";
import sharp from "sharp";
import { newPerson } from "./harness/people";

test("what is to be done is written with headings, lists, links and a picture, read so by the class, on paper, in a file and in another class", async ({
  browser,
}) => {
  const ward = await newPerson(browser, "Ms Ward");
  const wren = await newPerson(browser, "Wren");
  const desk = ward.page;
  const classIn = async (name: string) =>
    ((await (await ward.context.request.post("/api/classes", { data: { name } })).json()) as { id: string }).id;
  const [klass, other] = [await classIn("History 8B"), await classIn("History 9A")];
  await desk.goto(`/classes/${klass}`);
  const code = await desk.getByTestId("join-code").innerText();
  await wren.context.request.post("/api/classes/join-as-me", { data: { code } });

  await desk.goto(`/classes/${klass}/new-assignment`);
  const text = desk.getByRole("textbox", { name: "Instructions" });
  await text.click();
  await desk.getByRole("button", { name: "Heading", exact: true }).click();
  await desk.keyboard.type("How was the river crossed?");
  await desk.keyboard.press("Enter");
  await desk.getByRole("button", { name: "List", exact: true }).click();
  await desk.keyboard.type("Work in twos");
  await desk.keyboard.press("Enter");
  await desk.keyboard.press("Control+b");
  await desk.keyboard.type("Say where you know it from");
  await desk.keyboard.press("Enter");
  await desk.keyboard.press("Enter");
  await desk.keyboard.type("Begin with ");
  await desk.getByRole("button", { name: "Link", exact: true }).click();
  await desk.getByLabel("Web address of the link").fill("no address at all");
  await desk.keyboard.press("Enter");
  await expect(desk.getByText(/That is no web address/)).toBeVisible();
  await desk.getByLabel("Web address of the link").fill("archive.hollinbank.example/river");
  await desk.keyboard.press("Enter");
  const png = await sharp({ create: { width: 1_800, height: 900, channels: 3, background: "#0B6E69" } })
    .png()
    .toBuffer();
  await desk
    .getByLabel("Picture for the instructions")
    .setInputFiles({ name: "notes.png", mimeType: "image/png", buffer: Buffer.from("no picture") });
  await expect(desk.getByText(/This file is no picture the browser can read/)).toBeVisible();
  await desk
    .getByLabel("Picture for the instructions")
    .setInputFiles({ name: "ferry.png", mimeType: "image/png", buffer: png });
  await desk.getByLabel("What is to be seen on picture 1").fill("The ferry in 1890");
  // It reads at the side as a student will see it.
  const preview = desk.getByRole("complementary", { name: "As a student sees it" });
  await expect(preview.getByRole("heading", { name: "How was the river crossed?" })).toBeVisible();
  await expect(preview.getByRole("img", { name: "The ferry in 1890" })).toBeVisible();
  await desk.getByLabel("Title", { exact: true }).fill("Crossing project");
  await desk.getByLabel("Due").fill("2031-12-11T16:00");
  await desk.getByRole("button", { name: "Set the assignment" }).click();
  await expect(desk.getByRole("heading", { name: "Where every group stands" })).toBeVisible();
  const assignment = new URL(desk.url()).pathname;

  const readsIt = async (page: typeof desk) => {
    await expect(page.getByRole("heading", { name: "How was the river crossed?" })).toBeVisible();
    await expect(page.locator("li strong", { hasText: "Say where you know it from" })).toBeVisible();
    await expect(page.getByRole("link", { name: "archive.hollinbank.example/river" })).toHaveAttribute(
      "href",
      "https://archive.hollinbank.example/river",
    );
    const picture = page.getByRole("img", { name: "The ferry in 1890" });
    await expect.poll(() => picture.evaluate((e: HTMLImageElement) => e.naturalWidth)).toBe(1_000);
  };
  await wren.page.goto(assignment);
  await readsIt(wren.page);
  await wren.page.getByRole("button", { name: "Begin" }).click();
  await expect(wren.page.getByTestId("next-event")).toBeVisible();
  await wren.page.getByRole("button", { name: "The task" }).click();
  await readsIt(wren.page);
  const stranger = await newPerson(browser, "Stranger");
  const src = await wren.page.getByRole("img", { name: "The ferry in 1890" }).getAttribute("src");
  expect((await stranger.context.request.get(src!)).status()).toBe(404);

  // Altered without touching the picture, it stays; in a file it goes along, and comes out of it in another class.
  await desk.goto(`${assignment}/edit`);
  await expect(desk.getByLabel("What is to be seen on picture 1")).toHaveValue("The ferry in 1890");
  await desk.getByLabel("Total mark").fill("30");
  const download = desk.waitForEvent("download");
  await desk.getByRole("button", { name: "As a file, for a colleague" }).click();
  const file = await readFile(await (await download).path());
  await desk.getByRole("button", { name: "Save the changes" }).click();
  await expect(desk.getByRole("heading", { name: "Where every group stands" })).toBeVisible();
  await wren.page.goto(assignment);
  await wren.page.reload();
  await readsIt(wren.page);
  await desk.goto(`/classes/${other}/new-assignment`);
  await expect(desk.getByRole("textbox", { name: "Instructions" })).toBeVisible();
  await desk
    .getByLabel("File of an assignment")
    .setInputFiles({ name: "a.json", mimeType: "application/json", buffer: file });
  await expect(desk.getByLabel("What is to be seen on picture 1")).toHaveValue("The ferry in 1890");
  await desk.getByLabel("Due").fill("2031-12-12T16:00");
  // Taken out of the text, a picture is not kept.
  await desk.getByRole("button", { name: "Set the assignment" }).click();
  await expect(desk.getByRole("heading", { name: "Where every group stands" })).toBeVisible();
  await desk.goto(`${new URL(desk.url()).pathname}/edit`);
  await desk.getByRole("button", { name: "Take the picture The ferry in 1890 out of the text" }).click();
  await expect(desk.getByLabel("What is to be seen on picture 1")).toHaveCount(0);
  await desk.getByRole("button", { name: "Save the changes" }).click();
  await expect(desk.getByRole("heading", { name: "Where every group stands" })).toBeVisible();
  await desk.goto(`${new URL(desk.url()).pathname}?as=student`);
  await expect(desk.getByRole("heading", { name: "How was the river crossed?" })).toBeVisible();
  await expect(desk.getByRole("img", { name: "The ferry in 1890" })).toHaveCount(0);
});
