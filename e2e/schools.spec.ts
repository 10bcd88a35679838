import { expect } from "@playwright/test";
import { nothingFound } from "./harness/axe";
import { test } from "./harness/test";
import { newEmail, newPerson, newTimeline, PASSWORD, saved, writeLines, visitor } from "./harness/people";

test("a school is made, its teachers come by e-mail and by letter, a class belongs to it, and what is published to it is seen by all of it", async ({
  browser,
}) => {
  const ward = await newPerson(browser, "Ms Ward");
  const reed = await newPerson(browser, "Mr Reed");
  const wren = await newPerson(browser, "Wren");
  const desk = ward.page;
  await desk.goto("/teaching");
  await desk.getByRole("link", { name: "Make a school" }).click();
  await desk.getByRole("button", { name: "Make the school" }).click();
  await expect(desk.getByText(/Give the school a name/)).toBeVisible();
  await desk.getByLabel("Name of the school").fill("Hollinbank School");
  await desk.getByRole("button", { name: "Make the school" }).click();
  await expect(desk.getByRole("heading", { name: "Hollinbank School" })).toBeVisible();
  const school = new URL(desk.url()).pathname;

  // A colleague with an account is in at once; one without gets a letter with a link.
  await desk.getByLabel("E-mail of a colleague").fill(reed.email);
  await desk.getByRole("button", { name: "Take in" }).click();
  await expect(desk.getByText(`${reed.email} is in, and was told.`)).toBeVisible();
  const email = newEmail("fern");
  await desk.getByLabel("E-mail of a colleague").fill(email);
  await desk.getByRole("button", { name: "Take in" }).click();
  await expect(desk.getByText(`A letter with a link went to ${email}.`)).toBeVisible();
  await expect(desk.getByRole("region", { name: "Teachers" }).getByRole("listitem")).toHaveCount(3);
  await desk.goto("/mailbox");
  const letter = await desk.getByText(/\/schools\/join\//).innerText();
  const fern = await visitor(browser);
  await fern.goto(new URL(letter.match(/http\S+/)![0]).pathname);
  // Whoever has no account signs up, and comes back to the invitation.
  await fern.getByRole("link", { name: "Sign up" }).first().click();
  await fern.getByLabel("Display name").fill("Ms Fern");
  await fern.getByLabel("E-mail").fill(email);
  await fern.getByLabel("Password").fill(PASSWORD);
  await fern.getByRole("button", { name: "Sign up" }).click();
  await expect(fern.getByText("Ms Ward invites you to teach at Hollinbank School.")).toBeVisible();
  await fern.getByRole("button", { name: "Join the school" }).click();
  await expect(fern.getByRole("region", { name: "Teachers" })).toContainText("Ms Fern");

  // The last administrator stays; a second one may take over.
  await desk.goto(school);
  await desk.getByRole("button", { name: "Leave the school" }).click();
  await expect(desk.getByText(/A school always has an administrator/)).toBeVisible();
  await desk.getByRole("button", { name: "Make Mr Reed an administrator" }).click();
  await expect(desk.getByRole("button", { name: "Let Mr Reed be a teacher only" })).toBeVisible();

  // A class of a colleague, put into the school on its page.
  const made = await reed.context.request.post("/api/classes", { data: { name: "History 8B" } });
  const { id: klass } = (await made.json()) as { id: string };
  await reed.page.goto(`/classes/${klass}`);
  const code = await reed.page.getByTestId("join-code").innerText();
  await wren.context.request.post("/api/classes/join-as-me", { data: { code } });
  await reed.page.getByLabel("The class belongs to").selectOption({ label: "Hollinbank School" });
  await expect(reed.page.getByRole("link", { name: "Hollinbank School" })).toBeVisible();
  await reed.page.getByLabel("Students may publish their work").selectOption({ label: "for the school" });
  await expect(reed.page.getByLabel("Students may publish their work")).toHaveValue("school");

  // A timeline of the first teacher's own is given to the school, and found on its page by a student of the other's class.
  await newTimeline(desk, "How the Ambrel was crossed");
  await writeLines(desk, ["about 1604 Rope ferry", "1744 Timber bridge"]);
  await saved(desk);
  await desk.getByRole("button", { name: "Share" }).click();
  await desk
    .getByRole("dialog", { name: "Share" })
    .getByLabel(/^Hollinbank School/)
    .check();
  await desk.getByRole("button", { name: "Publish" }).click();
  const address = await desk.getByLabel("Link to the published page").inputValue();
  await wren.page.goto(`/classes/${klass}`);
  await wren.page.getByRole("link", { name: "Hollinbank School" }).click();
  await expect(wren.page.getByRole("region", { name: "Teachers" })).toHaveCount(0);
  await wren.page.getByRole("link", { name: /How the Ambrel was crossed/ }).click();
  await expect(wren.page.getByRole("heading", { name: "How the Ambrel was crossed" }).first()).toBeVisible();
  const stranger = await newPerson(browser, "Stranger");
  await stranger.page.goto(new URL(address).pathname);
  await expect(stranger.page.getByText(/Sign in as somebody of the school it was published to/)).toBeVisible();

  // The school lets its pupils publish less far; the class says so, and its administrator takes a class out.
  await desk.goto(school);
  await desk.getByLabel("Pupils may publish, at most").selectOption({ label: "for their class" });
  await expect(desk.getByLabel("Pupils may publish, at most")).toHaveValue("class");
  await reed.page.reload();
  await expect(reed.page.getByText("Hollinbank School lets it go no further than the class.")).toBeVisible();
  for (const width of [1280, 390]) {
    await desk.setViewportSize({ width, height: 844 });
    await nothingFound(desk, `a school, ${width} wide`);
  }
  await desk.getByRole("button", { name: "Take History 8B out of the school" }).click();
  await expect(desk.getByText("No class belongs to it yet.", { exact: false })).toBeVisible();
  await wren.page.goto(school);
  await expect(wren.page.getByText("There is nothing here", { exact: false })).toBeVisible();
  await desk.getByRole("button", { name: "End the school" }).click();
  await desk.getByRole("dialog").getByRole("button", { name: "End the school" }).click();
  await expect(desk.getByRole("heading", { name: "My classes today" })).toBeVisible();
  await stranger.page.goto(school);
  await expect(stranger.page.getByText("There is nothing here", { exact: false })).toBeVisible();
});
