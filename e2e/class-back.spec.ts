import { readFileSync, writeFileSync } from "node:fs";
import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { unzipSync, zipSync } from "fflate";
import sharp from "sharp";
import { school } from "./attack/actor";
import { browserOf } from "./harness/classes";
import { chartButton, newPerson, saved, serverUrl, writeLines, visitor } from "./harness/people";
import { openSheet } from "./harness/ledger";

test("a class goes into the archive of its teacher and comes back: works, pictures, marks; a student comes in with a new slip", async ({
  browser,
}, info) => {
  const s = await school(serverUrl());
  const nia = await s.pupil("Nia");
  const pupil = await browserOf(browser, nia);
  await pupil.goto(`/assignments/${s.assignment}`);
  await pupil.getByRole("button", { name: "Begin" }).click();
  await writeLines(pupil, ["1604 Rope ferry"]);
  const sheet = await openSheet(pupil, "Rope ferry");
  const png = await sharp({ create: { width: 640, height: 400, channels: 3, background: "#7FC4B8" } })
    .png()
    .toBuffer();
  await sheet
    .locator('input[type="file"]')
    .first()
    .setInputFiles({ name: "ferry.png", mimeType: "image/png", buffer: png });
  await expect(sheet.getByTestId("media-item")).toHaveCount(1);
  await saved(pupil);
  const timeline = new URL(pupil.url()).pathname.split("/")[2]!;
  const { receipt } = await nia.must<{ receipt: { hash: string } }>("POST", `/api/timelines/${timeline}/submission`);
  const desk = await browserOf(browser, s.teacher);
  await desk.goto(`/assignments/${s.assignment}`);
  await desk.getByRole("link", { name: "Nia" }).first().click();
  const marking = desk.getByRole("complementary", { name: "Marking" });
  await marking.getByLabel("Points of 20").fill("17");
  await marking.getByLabel("Comment on the whole").fill("The rope is well seen.");
  await expect(marking.getByText("Saved", { exact: true })).toBeVisible();
  await marking.getByRole("button", { name: "Return this" }).click();
  await expect(marking.getByText(/Returned/).first()).toBeVisible();

  await desk.goto("/account");
  const download = desk.waitForEvent("download");
  await desk.getByRole("link", { name: "Download everything" }).click();
  const zip = info.outputPath("everything.zip");
  await (await download).saveAs(zip);
  const files = unzipSync(new Uint8Array(readFileSync(zip)));
  expect(Object.keys(files)).toEqual(
    expect.arrayContaining(["classes/1/class.json", "classes/1/works/1/timeline.json"]),
  );
  expect(Object.keys(files).some((f) => f.startsWith("classes/1/works/1/media/"))).toBe(true);

  // Somebody else, as on another server: what was altered leaves nothing behind.
  const reed = await newPerson(browser, "Mr Reed");
  await reed.page.goto("/account");
  const part = reed.page.getByRole("region", { name: "Bring everything back" });
  const choose = async (file: string) => {
    // Not before the page is awake.
    await expect(part.locator('input[type="file"]')).toBeEnabled();
    await part.locator('input[type="file"]').setInputFiles(file);
  };
  const text = new TextDecoder().decode(files["classes/1/class.json"]).replace("History", "Hystory");
  const altered = info.outputPath("altered.zip");
  writeFileSync(altered, zipSync({ ...files, "classes/1/class.json": new TextEncoder().encode(text) }, { level: 0 }));
  await choose(altered);
  await expect(part.getByRole("alert")).toContainText("is not what the archive says it is");
  await reed.page.goto("/");
  await expect(reed.page.getByRole("link", { name: "Crossing project" })).toHaveCount(0);

  await reed.page.goto("/account");
  await choose(zip);
  await part.getByRole("link", { name: "The class “History 8B” was brought back." }).click();
  await expect(reed.page.getByText(/This class came back out of an archive on /)).toBeVisible();
  await reed.page.getByRole("button", { name: "New slips for those who have not come in yet" }).click();
  const slips = reed.page.getByRole("dialog", { name: "Slips to hand out" });
  const slip = await slips.getByTestId("slip").first().innerText();
  await slips.getByRole("button", { name: "Done" }).click();
  await reed.page.getByRole("link", { name: "Crossing project" }).first().click();
  await reed.page.getByRole("link", { name: "Nia" }).first().click();
  await expect(reed.page.getByRole("complementary", { name: "Marking" }).getByLabel("Points of 20")).toHaveValue("17");
  await expect(reed.page.getByText(receipt.hash.slice(0, 8)).first()).toBeVisible();

  // The student comes in here with the new slip, and has work and mark.
  const again = await visitor(browser);
  await again.goto("/sign-in");
  await again.getByRole("link", { name: "Set a new password" }).click();
  await again.getByLabel("Sign-in name", { exact: true }).fill(slip.match(/nia-\d+/)![0]);
  await again.getByLabel("Code from your teacher").fill(slip.match(/code\s+([a-z0-9]{10})/)![1]!);
  await again.getByLabel("New password").fill("three-blue-ferries");
  await again.getByRole("button", { name: "Set the password" }).click();
  await again.getByRole("link", { name: "Crossing project" }).first().click();
  await expect(chartButton(again, /Rope ferry/)).toBeVisible();
  await again
    .getByRole("region", { name: "Ready check" })
    .getByRole("button", { name: /17 of 20/ })
    .click();
  await expect(again.getByText("The rope is well seen.")).toBeVisible();
});
