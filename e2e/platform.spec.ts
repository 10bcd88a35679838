import { expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { chartButton, saved, serverUrl, writeLines, visitor } from "./harness/people";

/** Opens a link of the course as one of its people: in a window of its own, of another site. */
async function comeFrom(page: Page, line: string, name: string): Promise<Page> {
  await page.goto(process.env.E2E_PLATFORM!);
  const opened = page.waitForEvent("popup");
  await page.getByRole("listitem").filter({ hasText: line }).getByRole("link", { name }).click();
  return opened;
}

test("from a learning platform of another site: the teacher opens the course, links an assignment, brings its people in, and points go back", async ({
  browser,
}) => {
  const teacher = await visitor(browser);
  // A student cannot come before the teacher has opened it.
  const early = await visitor(browser);
  const refused = await comeFrom(early, "Fastigo", "Ada Byron");
  await expect(refused.getByText("Your teacher has to open this course in Fastigo once")).toBeVisible();

  const desk = await comeFrom(teacher, "Fastigo", "Iris Ward");
  await expect(desk.getByRole("heading", { name: "History 8B" })).toBeVisible();
  await desk.getByRole("button", { name: "Bring in the students of the school's platform" }).click();
  await expect(desk.getByText("3 added, 0 were there already.")).toBeVisible();
  await expect(desk.getByText("Cy M.")).toBeVisible();
  await desk.getByRole("link", { name: "New assignment" }).click();
  await desk.getByLabel("Title", { exact: true }).fill("Crossing project");
  await desk.getByLabel("Due").fill("2031-07-11T16:00");
  await desk.getByLabel("Events, at least").fill("1");
  await desk.getByRole("button", { name: "Take away: Sources" }).click();
  await desk.getByRole("button", { name: "Set the assignment" }).click();
  await expect(desk.getByRole("heading", { name: "Where every group stands" })).toBeVisible();

  await teacher.goto(process.env.E2E_PLATFORM!);
  const opened = teacher.waitForEvent("popup");
  await teacher.getByRole("link", { name: "Add a link to an assignment" }).click();
  const choice = await opened;
  await choice.getByRole("button", { name: "Link “Crossing project”" }).click();
  await choice.getByRole("button", { name: "Back to the school's platform" }).click();
  await expect(choice.getByRole("heading", { name: "Linked" })).toBeVisible();

  const student = await visitor(browser);
  const ada = await comeFrom(student, "Crossing project", "Ada Byron");
  await expect(ada.getByRole("heading", { name: "Crossing project" }).first()).toBeVisible();
  expect(new URL(ada.url()).origin).toBe(serverUrl());
  await ada.getByRole("button", { name: "Begin", exact: true }).click();
  await writeLines(ada, ["1604 Rope ferry"]);
  await expect(chartButton(ada, /Rope ferry/)).toBeVisible();
  await saved(ada);
  await ada.getByRole("button", { name: "Submit", exact: true }).click();
  await expect(ada.getByTestId("receipt")).toBeVisible();

  await desk.reload();
  await desk.getByRole("link", { name: "Ada B." }).click();
  const panel = desk.getByRole("complementary", { name: "Marking" });
  await panel.getByLabel("Points of 20").fill("17");
  await expect(panel.getByText("Saved", { exact: true })).toBeVisible();
  await panel.getByRole("button", { name: "Return this" }).click();
  await expect(panel.getByText(/^Returned/)).toBeVisible();
  await expect(async () => {
    await teacher.goto(process.env.E2E_PLATFORM!);
    await expect(teacher.getByText("link-1: ada 17 of 20")).toBeVisible({ timeout: 1_000 });
  }).toPass();
});
