import { browserOf } from "./harness/classes";
import { expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { type Actor, school } from "./attack/actor";
import { serverUrl } from "./harness/people";

/** The desk of a class in which two have handed in, in a browser of its teacher's. */
async function desk(
  browser: import("@playwright/test").Browser,
): Promise<{ page: Page; pupils: Actor[]; timelines: string[] }> {
  const s = await school(serverUrl());
  const pupils = [await s.pupil("Nia"), await s.pupil("Wren")];
  const timelines: string[] = [];
  for (const p of pupils) {
    const { timeline } = await p.must<{ timeline: string }>("POST", `/api/assignments/${s.assignment}/group`);
    await p.change(timeline, [{ kind: "add_event", id: "e1", fields: { title: "Rope ferry" } }]);
    await p.must("POST", `/api/timelines/${timeline}/submission`);
    timelines.push(timeline);
  }
  const page = await browserOf(browser, s.teacher);
  await page.goto(`/assignments/${s.assignment}`);
  await page.getByRole("link", { name: "Nia" }).click();
  await expect(page.getByRole("complementary", { name: "Marking" })).toBeVisible();
  return { page, pupils, timelines };
}

test("marks that could not be saved are kept when one goes on, and saved in their order when they can be", async ({
  browser,
}) => {
  const { page } = await desk(browser);
  const marking = page.getByRole("complementary", { name: "Marking" });
  const points = marking.getByLabel("Points of 20");
  const comment = marking.getByLabel("Comment on the whole");
  const sent: string[] = [];
  let down = true;
  await page.route("**/mark", async (route) => {
    sent.push(route.request().postData() ?? "");
    if (down) return route.fulfill({ status: 502, body: "<html>proxy</html>" });
    return route.continue();
  });
  await points.fill("17");
  await comment.fill("Say how you know the year.");
  await marking.getByRole("button", { name: "Next" }).click();
  await expect(marking.getByRole("heading", { name: "Wren" })).toBeVisible();
  await expect(comment).toHaveValue("");
  await points.fill("25");
  await expect(marking.getByText("must lie between 0 and 20")).toBeVisible();
  await marking.getByRole("button", { name: "Previous" }).click();
  await expect(marking.getByRole("heading", { name: "Nia" })).toBeVisible();
  await expect(points).toHaveValue("17");
  await expect(comment).toHaveValue("Say how you know the year.");
  await expect(marking.getByText("Not saved yet: the server does not answer.")).toBeVisible();
  down = false;
  await expect(marking.getByText("Saved", { exact: true })).toBeVisible();
  expect(JSON.parse(sent.at(-1)!)).toMatchObject({ points: 17, comment: "Say how you know the year." });
  // What was refused for being out of range is still there too.
  await marking.getByRole("button", { name: "Next" }).click();
  await expect(points).toHaveValue("25");
  await points.fill("15");
  await expect(marking.getByText("Saved", { exact: true })).toBeVisible();
  await page.reload();
  await expect(points).toHaveValue("15");
});

test("the network goes away while the desk is being looked at anew: it stays, with what is typed, until it is there again", async ({
  browser,
}) => {
  const { page, pupils, timelines } = await desk(browser);
  const marking = page.getByRole("complementary", { name: "Marking" });
  let away = true;
  let lost = 0;
  // Between asking whether the server answers and what is asked then.
  await page.route(
    (url) => url.searchParams.has("_rsc"),
    async (route) => {
      if (!away) return route.continue();
      lost++;
      return route.abort("internetdisconnected");
    },
  );
  await page.route("**/mark", (route) => (away ? route.abort("internetdisconnected") : route.continue()));
  await marking.getByLabel("Comment on the whole").fill("Say how you know the year.");
  await pupils[1]!.must("DELETE", `/api/timelines/${timelines[1]}/submission`);
  await expect.poll(() => lost).toBeGreaterThan(1);
  await expect(marking.getByLabel("Comment on the whole")).toHaveValue("Say how you know the year.");
  await expect(page.getByText("2 submitted")).toBeVisible();
  away = false;
  await expect(page.getByText("1 submitted")).toBeVisible();
  await expect(marking.getByText("Saved", { exact: true })).toBeVisible();
});

test("a given date counts as the teacher says, and the group reads why", async ({ browser }) => {
  const { page, pupils, timelines } = await desk(browser);
  const marking = page.getByRole("complementary", { name: "Marking" });
  const given = marking.getByRole("region", { name: "Given dates" });
  await given.getByRole("button", { name: "Let it count otherwise" }).click();
  await given.getByRole("button", { name: "Let it count so" }).click();
  await expect(given.getByText("Say in a word why")).toBeVisible();
  await given.getByLabel("The flood: why").fill("The roll gives both years.");
  await given.getByRole("button", { name: "Let it count so" }).click();
  await expect(given.getByText("Set by you: The roll gives both years.")).toBeVisible();
  await marking.getByLabel("Points of 20").fill("18");
  await expect(marking.getByText("Saved", { exact: true })).toBeVisible();
  await marking.getByRole("button", { name: "Return this" }).click();
  await expect(marking.getByText(/^Returned/)).toBeVisible();
  // What was given back is changed with a reason, and the group reads both.
  await expect(marking.getByLabel("Points of 20")).toBeDisabled();
  await marking.getByRole("button", { name: "Change the mark" }).click();
  const change = page.getByRole("dialog", { name: "Change the mark" });
  await change.getByLabel("Points of 20").fill("");
  await change.getByRole("button", { name: "Change it" }).click();
  await expect(change.getByText("must lie between 0 and 20")).toBeVisible();
  await change.getByLabel("Points of 20").fill("18.5");
  await change.getByRole("button", { name: "Change it" }).click();
  await expect(change.getByText("Say why it is changed")).toBeVisible();
  await change.getByLabel("Why").fill("The roll is right.");
  await change.getByRole("button", { name: "Change it" }).click();
  await expect(change).toBeHidden();
  await expect(marking.getByText(/was 18 of 20\. “The roll is right\.”/)).toBeVisible();
  const { work } = await pupils[0]!.must<{
    work: { returned: { points: number; given: object[]; earlier: object[] } };
  }>("GET", `/api/timelines/${timelines[0]}/changes?after=0`);
  expect(work.returned).toMatchObject({ points: 18.5, earlier: [{ points: 18, reason: "The roll is right." }] });
  expect(work.returned.given[0]).toMatchObject({ result: "right", reason: "The roll gives both years." });
});

test("a comment is spoken, with its words; the group hears it when the work comes back, and not before", async ({
  browser,
}) => {
  const { page, pupils, timelines } = await desk(browser);
  const marking = page.getByRole("complementary", { name: "Marking" });
  await marking.getByRole("button", { name: "Speak a comment" }).click();
  const dialog = page.getByRole("dialog", { name: "Speak a comment" });
  await dialog.getByRole("button", { name: "Start recording" }).click();
  await expect(dialog.getByText("Recording, 0:01")).toBeVisible();
  await dialog.getByRole("button", { name: "Stop" }).click();
  await dialog.getByLabel("Spoken text").fill("Say how you know the year.");
  await dialog.getByRole("button", { name: "Keep it" }).click();
  await expect(marking.getByLabel("Spoken comment")).toBeVisible();
  await expect(marking.getByText("“Say how you know the year.”")).toBeVisible();
  const src = (await marking.getByLabel("Spoken comment").getAttribute("src"))!;
  const nia = pupils[0]!;
  expect((await nia.ask("GET", src)).status).toBe(404);
  await marking.getByLabel("Points of 20").fill("17");
  await marking.getByRole("button", { name: "Return this" }).click();
  await expect(marking.getByText(/^Returned/)).toBeVisible();
  expect((await nia.ask("GET", src)).status).toBe(200);
  const own = await browserOf(browser, nia);
  await own.goto(`/timelines/${timelines[0]}`);
  await own.getByRole("button", { name: /^Returned/ }).click();
  const heard = own.getByLabel("Spoken comment");
  await expect(heard).toBeVisible();
  await expect.poll(() => heard.evaluate((a: HTMLAudioElement) => a.readyState)).toBeGreaterThan(0);
  await expect(own.getByText("“Say how you know the year.”")).toBeVisible();
  await marking.getByRole("button", { name: "Take it away" }).click();
  await expect(marking.getByLabel("Spoken comment")).toHaveCount(0);
  expect((await nia.ask("GET", src)).status).toBe(404);
});
