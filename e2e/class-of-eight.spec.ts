import { expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { classOf, shortAssignment } from "./harness/classes";
import { newPerson, type Person, saved, writeLines } from "./harness/people";

const NAMES = ["Ada", "Bo", "Cleo", "Dan", "Eve", "Finn", "Gus", "Hal"];
const level = (name: string, points: number) => ({ name, text: "", points });
const RUBRIC = {
  name: "Crossing",
  criteria: [
    { name: "Dates", weight: 1, levels: [level("Right", 4), level("Nearly", 2), level("Not yet", 0)] },
    { name: "Sources", weight: 1, levels: [level("Named", 4), level("Some", 2), level("None", 0)] },
  ],
};

const dialog = (page: Page, name: string) => page.getByRole("dialog", { name });

test("two teachers and a class of eight: groups by lot, handed in, marked blind by both, given back, answered, improved and compared", async ({
  browser,
}) => {
  test.setTimeout(600_000);
  const { ward, id, pupils } = await classOf(browser, ...NAMES);
  const reed = await newPerson(browser, "Mr Reed");
  await ward.context.request.post(`/api/classes/${id}/teachers`, { data: { email: reed.email, role: "teacher" } });
  const options = { rubric: RUBRIC, blind: true, grouping: "teacher", worksShown: "handed_in" };
  const assignment = `/assignments/${await shortAssignment(ward, id, options)}`;

  // Four groups of two, by lot; two are kept together.
  const desk = ward.page;
  await desk.goto(assignment);
  await desk.getByRole("button", { name: "Make groups" }).click();
  const lots = dialog(desk, "Make groups");
  await lots.getByLabel("How many a group").fill("2");
  await lots.getByLabel("Keep together: one").selectOption({ label: "Ada" });
  await lots.getByLabel("Keep together: the other").selectOption({ label: "Bo" });
  await lots.getByRole("button", { name: "Keep together: Add the pair" }).click();
  await lots.getByRole("button", { name: "Draw lots" }).click();
  await lots.getByRole("button", { name: "Make these 4 groups" }).click();
  await expect(lots).toBeHidden();
  await expect(desk.getByTestId("groups").getByText("Ada, Bo")).toBeVisible();

  // Everybody finds the timeline of their group; two in each, and both see what either writes.
  const timelines = new Map<string, Person[]>();
  for (const p of pupils) {
    await p.page.goto(assignment);
    const link = p.page.getByRole("link", { name: "Open your timeline" });
    const path = (await link.getAttribute("href"))!;
    timelines.set(path, [...(timelines.get(path) ?? []), p]);
  }
  expect([...timelines.values()].map((g) => g.length)).toEqual([2, 2, 2, 2]);
  const [ada, bo] = pupils as [Person, Person];
  await ada.page.getByRole("link", { name: "Open your timeline" }).click();
  await bo.page.getByRole("link", { name: "Open your timeline" }).click();
  await writeLines(ada.page, ["1702 Salt tolls"]);
  await expect(bo.page.getByRole("row", { name: /Salt tolls/ })).toBeVisible();
  await writeLines(bo.page, ["1783 The flood"]);
  await saved(bo.page);
  // The others by the route, as their editors send it.
  const others = [...timelines].filter(([, people]) => !people.includes(ada));
  for (const [n, [path, [first]]] of others.entries()) {
    const ops = [{ kind: "add_event", id: "e1", fields: { title: `Ferry of group ${n + 2}` } }];
    const wrote = await first!.context.request.post(`/api${path}/changes`, { data: { id: `c${n}`, base: 0, ops } });
    expect(wrote.status()).toBe(200);
  }

  // Handed in by keyboard: what it means is said before, since it opens the work of others and cannot be taken back.
  const check = ada.page.getByRole("region", { name: "Ready check" });
  await check.getByRole("button", { name: "Submit", exact: true }).focus();
  await ada.page.keyboard.press("Enter");
  const asks = dialog(ada.page, "Submit");
  await expect(asks).toContainText("seen by everybody of your class who has handed in");
  await expect(asks).toContainText("It cannot be taken back then.");
  await asks.getByRole("button", { name: "Submit", exact: true }).focus();
  await ada.page.keyboard.press("Enter");
  await expect(ada.page.getByTestId("receipt")).toContainText("in time");
  await ada.page.keyboard.press("Escape");
  await expect(check.getByRole("button", { name: "Take it back" })).toHaveCount(0);
  const own = `/api${[...timelines.keys()].find((path) => timelines.get(path)!.includes(ada))!}/submission`;
  expect((await bo.context.request.delete(own)).status()).toBe(409);

  // Whoever has not handed in sees nothing of it; once all have, each sees all four.
  const late = others[0]![1][0]!;
  await late.page.goto(`${assignment}/gallery`);
  await expect(late.page.getByText("Nothing is shown here yet.")).toBeVisible();
  for (const [path, [first]] of others)
    expect((await first!.context.request.post(`/api${path}/submission`)).status()).toBe(200);
  await late.page.reload();
  await expect(late.page.getByRole("listitem").filter({ hasText: "Ada, Bo" })).toBeVisible();
  await expect(late.page.getByRole("link", { name: "Open it" })).toHaveCount(4);
  const shown = (await late.page.getByRole("link", { name: "Open it" }).first().getAttribute("href"))!;
  expect(await (await late.context.request.get(shown)).text()).toContain("Ada, Bo");

  // Two teachers at the desk at once, by keyboard and without names; on the same work the second is told.
  await desk.goto(assignment);
  await reed.page.goto(assignment);
  await expect(desk.getByTestId("groups")).not.toContainText("Ada");
  const panelOf = (page: Page) => page.getByRole("complementary", { name: "Marking" });
  const mark = async (page: Page, work: number, keys: string[]) => {
    const panel = panelOf(page);
    await expect(async () => {
      await page.keyboard.press("Alt+ArrowDown");
      await expect(panel.getByRole("heading", { name: `Work ${work}` })).toBeFocused({ timeout: 3_000 });
    }).toPass();
    await expect(panel.getByRole("radio", { name: /^Dates: Right/ })).toBeEnabled();
    await expect(async () => {
      await page.keyboard.press("Tab");
      await expect(panel.getByRole("radio", { name: /^Dates: Right/ })).toBeFocused({ timeout: 200 });
    }).toPass();
    for (const key of keys) await page.keyboard.press(key);
    await expect(panel.getByText("Saved", { exact: true })).toBeVisible();
  };
  await mark(desk, 1, ["1", "2"]);
  await expect(panelOf(desk).getByLabel("Points of 20")).toHaveValue("15");
  await expect(desk.getByRole("row", { name: /Work 1/ })).toContainText("15 / 20");
  await mark(desk, 2, ["2", "2"]);
  // What one of them saves the other sees; where the network was away for one, theirs is not written over.
  await reed.page.getByRole("link", { name: "Work 3" }).click();
  await expect(panelOf(reed.page).getByRole("heading", { name: "Work 3" })).toBeFocused();
  // What was marked before has come here; nothing is on its way.
  await expect(reed.page.getByRole("row", { name: /Work 2/ })).toContainText("10 / 20");
  await expect(panelOf(reed.page).getByRole("radio", { name: /^Dates: Not yet/ })).toBeVisible();
  await reed.context.setOffline(true);
  await mark(desk, 3, ["1", "1"]);
  await panelOf(reed.page)
    .getByRole("radio", { name: /^Dates: Not yet/ })
    .click();
  await reed.context.setOffline(false);
  await expect(panelOf(reed.page).getByText("A colleague has marked this work meanwhile.")).toBeVisible();
  await reed.page.reload();
  await expect(panelOf(reed.page).getByLabel("Points of 20")).toHaveValue("20");
  await mark(reed.page, 4, ["3", "2"]);
  await expect(panelOf(reed.page).getByLabel("Points of 20")).toHaveValue("5");
  await expect(desk.getByRole("row", { name: /Work 4/ })).toContainText("5 / 20");

  // Given back together: the names are seen again, and each group has its own mark.
  await desk.getByRole("button", { name: "Return all marked" }).click();
  await expect(desk.getByTestId("groups").getByText("Ada, Bo")).toBeVisible();
  await bo.page.getByRole("button", { name: "The task" }).click();
  const back = bo.page.getByRole("region", { name: "Returned" });
  // Which number was whose nobody was to know: the table says it now.
  const points = (await desk.getByRole("row", { name: /Ada, Bo/ }).innerText()).match(/(\d+) \/ 20/)![1]!;
  await expect(back).toContainText(`${points} of 20`);
  await expect(back).toContainText(/Together \d of 8/);
  const marks = await (await desk.request.get(`/api${assignment}/marks`)).text();
  for (const name of NAMES) expect(marks).toContain(name);
  expect(marks.match(/,(15|10|20|5),20/g)).toHaveLength(NAMES.length);

  // Answered, let to be improved, handed in again, and what changed is seen on one chart.
  await back.getByLabel("Your answer to the teacher").fill("The toll book, page 3.");
  await back.getByRole("button", { name: "Answer" }).click();
  await desk.getByRole("link", { name: "Ada, Bo" }).click();
  await expect(panelOf(desk).getByText("The toll book, page 3.")).toBeVisible();
  await panelOf(desk).getByRole("button", { name: "Let it be handed in again" }).click();
  await expect(check.getByRole("button", { name: "Submit again" })).toBeEnabled();
  await writeLines(ada.page, ["1931 Last crossing"]);
  await saved(ada.page);
  await check.getByRole("button", { name: "Submit again" }).click();
  await dialog(ada.page, "Submit").getByRole("button", { name: "Submit", exact: true }).click();
  await expect(ada.page.getByTestId("receipt")).toBeVisible();
  await expect(desk.getByTestId("groups")).toContainText("Submitted again");
  await expect(desk.getByTestId("groups")).not.toContainText("Ada");
  await desk
    .getByRole("row", { name: /Submitted again/ })
    .getByRole("link")
    .click();
  await expect(panelOf(desk)).toContainText(`${points} of 20`);
  const handedIn = desk.getByRole("region", { name: "As submitted" });
  const changes = handedIn.getByRole("img", { name: "What changed since the time before" });
  for (const title of ["Salt tolls", "The flood", "Last crossing"]) await expect(changes).toContainText(title);
  await panelOf(desk).getByLabel("Points of 20").fill("18");
  await expect(panelOf(desk).getByText("Saved", { exact: true })).toBeVisible();
  await panelOf(desk).getByRole("button", { name: "Return this" }).click();
  await expect(back).toContainText("18 of 20");
});
