import { browserOf } from "./harness/classes";
import { cell } from "./harness/ledger";
import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { type Actor, school } from "./attack/actor";
import { newPerson, newTimeline, saved, serverUrl, writeLines } from "./harness/people";

test("an empty chart draws the period that was set, and a tap on it gives a date as exact as can be pointed at", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  const address = await newTimeline(page, "Empty");
  const setPeriod = async (typed: string) => {
    await page.getByRole("button", { name: "Empty" }).click();
    await page.getByRole("complementary").getByLabel("Period").first().fill(typed);
    await page.keyboard.press("Enter");
    await saved(page);
    await page.goto("about:blank");
    await page.goto(address);
    await expect(page.getByTestId("next-event")).toBeEnabled();
  };
  const when = page.getByRole("complementary", { name: /^Event/ }).getByLabel("When", { exact: true });
  const tap = async () => {
    const box = (await page.getByTestId("chart").boundingBox())!;
    await page.mouse.click(box.x + box.width / 2, box.y + 160);
  };
  await setPeriod("1600 - 1931");
  await tap();
  await expect(when).toHaveValue(/^17\d\d$/);
  await page.keyboard.press("Escape");
  await setPeriod("1872");
  await tap();
  await expect(when).toHaveValue(/^(Jun|Jul) 1872$/);
});

test("a pasted list loses its bullets, an address gets its https://, and a dropped file leaves the page where it is", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia");
  await newTimeline(page, "Pasted");
  await page.getByTestId("next-event").fill("• 1604 Rope ferry\n1. 1744 Timber bridge\n- 1931 Last crossing");
  await page.getByTestId("next-event").press("Enter");
  for (const [date, title] of [
    ["1604", "Rope ferry"],
    ["1744", "Timber bridge"],
    ["1931", "Last crossing"],
  ])
    await expect(cell(page, "when", title!)).toHaveText(date!);
  await page.getByRole("button", { name: "More about Rope ferry" }).click();
  await page.getByRole("menuitem", { name: "Open the event sheet" }).click();
  const sheet = page.getByRole("complementary", { name: /^Event/ });
  await sheet.getByRole("button", { name: "Add a source" }).click();
  await sheet.getByLabel("Source", { exact: true }).fill("Abbey roll");
  await sheet.getByLabel("Its address, if it has one").fill("archive.example/roll");
  await saved(page);
  const [reader] = await Promise.all([
    page.context().waitForEvent("page"),
    page.getByRole("link", { name: "See it as a reader" }).click(),
  ]);
  await reader.getByRole("link", { name: "Read", exact: true }).click();
  await expect(reader.getByRole("link", { name: "Abbey roll" }).first()).toHaveAttribute(
    "href",
    "https://archive.example/roll",
  );
  const kept = await page.evaluate(() => {
    const data = new DataTransfer();
    data.items.add(new File(["x"], "x.png", { type: "image/png" }));
    const drop = new DragEvent("drop", { dataTransfer: data, bubbles: true, cancelable: true });
    document.querySelector("header")!.dispatchEvent(drop);
    return drop.defaultPrevented;
  });
  expect(kept).toBe(true);
});

test("the assignment form asks once which number is the day, and a date in the other order is pointed out", async ({
  browser,
}) => {
  const s = await school(serverUrl());
  const pageOf = async (who: Actor) => {
    return browserOf(browser, who);
  };
  const page = await pageOf(s.teacher);
  await page.goto(`/classes/${s.klass}/new-assignment`);
  await page.getByRole("button", { name: /given event/i }).click();
  await page.getByLabel("Given event 1: right date").fill("03/04/1872");
  await page.getByRole("button", { name: "4 Mar 1872" }).click();
  await expect(page.getByText("4 Mar 1872")).toBeVisible();

  const nia = await s.pupil("Nia");
  const timeline = await nia.timeline("Orders");
  await nia.change(timeline, [{ kind: "set_timeline", field: "dateOrder", value: "dmy" }]);
  const editor = await pageOf(nia);
  await editor.goto(`/timelines/${timeline}`);
  await writeLines(editor, ["05/14/1921 Enquiry"]);
  await editor.getByRole("button", { name: "More about Enquiry" }).click();
  await editor.getByRole("menuitem", { name: "Open the event sheet" }).click();
  const sheet = editor.getByRole("complementary", { name: /^Event/ });
  await expect(sheet.getByText("in this timeline the day comes first")).toBeVisible();
  await sheet.getByRole("button", { name: "It is 14 May 1921" }).click();
  await expect(sheet.getByText("in this timeline the day comes first")).toHaveCount(0);
});
