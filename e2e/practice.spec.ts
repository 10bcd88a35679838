import { type Browser, expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { newPerson, saved, startedWith } from "./harness/people";

const DATES: Record<string, number> = {
  "Rope ferry": 1604,
  "Bridge school": 1766,
  "The flood": 1872,
  "Last ferry": 1931,
};
const practice = (page: Page) => page.getByRole("dialog", { name: /^Practise/ });
const pile = (page: Page) => practice(page).getByRole("group", { name: "Still to place" }).getByRole("button");
const ridge = (page: Page) => practice(page).getByRole("group", { name: "On the ridge" });
const titleOf = async (card: ReturnType<typeof pile>) => (await card.first().innerText()).trim();

/** The published page of four events, and one without a date, at a place in it. */
async function opened(browser: Browser, place: string): Promise<Page> {
  const lines = [...Object.entries(DATES).map(([title, year]) => `${year} ${title}`), "Some day"];
  const { page } = await startedWith(browser, "The crossing", lines);
  await saved(page);
  const url = new URL(page.url());
  const made = await page.request.put(`/api${url.pathname}/publication`, { data: { visibility: "link", fresh: true } });
  const { publication } = (await made.json()) as { publication: { address: string } };
  await page.goto(`${url.origin}/t/${publication.address}${place}`);
  return page;
}

/** Where a card belongs among those on the ridge: the number of its gap. */
async function belongs(page: Page, title: string): Promise<number> {
  const there = await ridge(page).locator(".x-on span").allInnerTexts();
  return there.filter((t) => DATES[t]! < DATES[title]!).length;
}

test("events are put in order by keys, each checked as it is placed, with how far it is off and hints", async ({
  browser,
}) => {
  const page = await opened(browser, "#chart");
  await page.getByRole("button", { name: "Practise" }).click();
  await practice(page).getByRole("button", { name: "Begin" }).press("Enter");
  // One stands already; what has no date is never asked.
  await expect(pile(page)).toHaveCount(3);
  await expect(practice(page)).not.toContainText("Some day");
  for (let left = 3; left > 0; left--) {
    const title = await titleOf(pile(page));
    await pile(page).first().press("Enter");
    await expect(practice(page).getByRole("status")).toContainText(`${title} is taken.`);
    if (left === 3) {
      await practice(page).getByRole("button", { name: "Hint: its century" }).click();
      await expect(practice(page).getByRole("status")).toContainText(
        /It is of the 1[78]th|It is of the 19th|It is of the 20th/,
      );
      await ridge(page).locator(".x-gap").first().focus();
    }
    const at = await belongs(page, title);
    for (let n = 0; n < at; n++) await page.keyboard.press("ArrowRight");
    await page.keyboard.press("Enter");
    await expect(practice(page).getByRole("status")).toContainText(`“${title}”, ${DATES[title]}, stands right.`);
  }
  await expect(practice(page).getByRole("status")).toContainText("You placed all 3 right.");
  await expect(practice(page).getByRole("listitem")).toHaveText([
    /1604 Rope ferry/,
    /1766 Bridge school/,
    /1872 The flood/,
    /1931 Last ferry/,
  ]);
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    practice(page).getByRole("button", { name: "Keep the result as a file" }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/\.txt$/);

  // Placed wrong it is said by how long, and it goes where it belongs.
  await practice(page).getByRole("button", { name: "Once more" }).click();
  await practice(page).getByRole("button", { name: "Begin" }).click();
  const [stands] = await ridge(page).locator(".x-on span").allInnerTexts();
  const title = await titleOf(pile(page));
  const late = DATES[title]! < DATES[stands!]!;
  await pile(page).first().click();
  await ridge(page)
    .getByRole("button")
    .nth(late ? 1 : 0)
    .click();
  await expect(practice(page).getByRole("status")).toContainText(
    new RegExp(
      `“${title}”, ${DATES[title]}: that is .*\\d+ years? too ${late ? "late" : "early"}\\. It was put where it belongs\\.`,
    ),
  );
  await page.keyboard.press("Escape");
  await expect(practice(page)).toHaveCount(0);
});

test("all are checked at the end, by dragging: how many stand right, and how far the others are off", async ({
  browser,
}) => {
  const page = await opened(browser, "#practice");
  await practice(page).getByLabel("Checked").selectOption("all at the end");
  await practice(page).getByRole("button", { name: "Begin" }).click();
  await expect(practice(page)).not.toContainText("1604");
  // The latest first: everything is turned round.
  for (const title of ["Last ferry", "The flood", "Bridge school", "Rope ferry"]) {
    const from = (await pile(page).filter({ hasText: title }).boundingBox())!;
    const to = (await ridge(page).locator(".x-gap").last().boundingBox())!;
    await page.mouse.move(from.x + 20, from.y + 20);
    await page.mouse.down();
    await page.mouse.move(to.x + to.width / 2, to.y + 30, { steps: 6 });
    await page.mouse.up();
    await expect(ridge(page).locator(".x-on").last()).toContainText(title);
  }
  await practice(page).getByRole("button", { name: "Check the order" }).click();
  await expect(practice(page).getByRole("status")).toHaveText(
    "None of the 4 stands where it belongs yet. By how far each is off, that is 0 of 100.",
  );
  await expect(practice(page).getByRole("listitem").first()).toContainText(
    "“Rope ferry” is 3 places, 327 years, too late.",
  );
});

test("dates are written: right, broad, off by how much, and what is no date is asked again", async ({ browser }) => {
  const page = await opened(browser, "#practice");
  const dialog = practice(page);
  await dialog.getByLabel("Exercise").selectOption({ label: "Write the date" });
  await dialog.getByRole("button", { name: "Begin" }).click();
  const said = dialog.getByRole("status");
  for (let n = 0; n < 4; n++) {
    await expect(said).toHaveText(`Question ${n + 1} of 4`);
    const title = /“(.*)”/.exec(await dialog.getByRole("heading", { level: 2 }).last().innerText())![1]!;
    const field = dialog.getByLabel("When it was");
    if (n === 0) {
      await field.fill("whenever");
      await page.keyboard.press("Enter");
      await expect(said).toContainText("That is no date one can read.");
      await expect(field).toBeFocused();
    }
    const typed =
      n === 1
        ? String(DATES[title]! + 10)
        : n === 2
          ? `${Math.floor(DATES[title]! / 100) + 1}th century`
          : String(DATES[title]!);
    await field.fill(typed);
    await page.keyboard.press("Enter");
    await expect(said).toContainText(
      n === 1 ? /That is (9|10) years too late/ : n === 2 ? "It was then, but that says little" : "Right:",
    );
    await page.keyboard.press("Enter");
  }
  await expect(said).toContainText(/^2 of 4 dates are right. By how far each is off, that is \d\d of 100.$/);
  await expect(dialog.getByRole("listitem")).toHaveCount(4);
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    dialog.getByRole("button", { name: "Keep the result as a file" }).click(),
  ]);
  expect(file.suggestedFilename()).toBe("Write the date.txt");
});

test("which of four fell within: a right and a wrong answer, each said with its date", async ({ browser }) => {
  const page = await opened(browser, "#practice");
  const dialog = practice(page);
  await dialog.getByLabel("Exercise").selectOption({ label: "Which of four fell within?" });
  await expect(dialog.getByRole("button", { name: "Begin" })).toBeEnabled();
  await dialog.getByRole("button", { name: "Begin" }).click();
  const century = (year: number) => Math.floor((year - 1) / 100) + 1;
  const said = dialog.getByRole("status");
  let right = 0;
  for (let n = 0; n < 4; n++) {
    await expect(said).toHaveText(`Question ${n + 1} of 4`);
    const choices = dialog.getByRole("group", { name: /^Which of these fell within/ });
    const asked = Number(/the (\d+)th century/.exec((await choices.getAttribute("aria-label"))!)![1]);
    const titles = await choices.getByRole("button").allInnerTexts();
    expect(titles).toHaveLength(4);
    const wanted = titles.find((t) => (century(DATES[t]!) === asked) === (n !== 0))!;
    await choices.getByRole("button", { name: wanted }).click();
    if (n !== 0) right++;
    await expect(said).toContainText(n === 0 ? /too (early|late). Within it fell/ : /^Right:/);
    await dialog.getByRole("button", { name: "Next" }).press("Enter");
  }
  await expect(said).toHaveText(`${right} of 4 right.`);
});

test("a sheet for paper has its answers on a page of their own, and nothing else is printed", async ({ browser }) => {
  const page = await opened(browser, "#practice");
  // The window that asks for a printer is the browser's own.
  await page.evaluate(() => {
    window.print = () => {};
  });
  await practice(page).getByRole("button", { name: "Print a sheet" }).click();
  await page.emulateMedia({ media: "print" });
  const paper = page.locator(".x-paper");
  await expect(paper).toBeVisible();
  await expect(practice(page)).toBeHidden();
  await expect(page.locator(".bar")).toBeHidden();
  const [sheet, answers] = await paper.locator("section").all();
  await expect(sheet!.getByRole("heading")).toHaveText("Sheet: The crossing");
  await expect(sheet!.getByRole("listitem")).toHaveCount(4);
  await expect(sheet!).not.toContainText("1604");
  await expect(answers!.getByRole("listitem")).toHaveText(
    Object.entries(DATES).map(([title, year]) => `${year}: ${title}`),
  );
});

test("a class of three is given a practice: no page holds a date before it is checked, and their teacher sees how each did", async ({
  browser,
}) => {
  const ward = await startedWith(
    browser,
    "The crossing",
    Object.entries(DATES).map(([title, year]) => `${year} ${title}`),
  );
  await saved(ward.page);
  const { id: klass } = (await (
    await ward.page.request.post("/api/classes", { data: { name: "History 8B" } })
  ).json()) as { id: string };
  await ward.page.goto(`/classes/${klass}`);
  await ward.page.getByText("Give a practice").click();
  await ward.page.getByLabel("Of the timeline").selectOption({ label: "The crossing" });
  await ward.page.getByLabel("Due, if it is to be done by a time").fill("2031-12-11T16:00");
  await ward.page.getByRole("button", { name: "Give it to the class" }).click();
  const given = ward.page.getByRole("region", { name: "Practice" });
  await expect(given.getByRole("link", { name: "The crossing" })).toBeVisible();
  await expect(given).toContainText("nobody has done it yet");
  const code = (await ward.page.getByTestId("join-code").innerText()).trim();

  const right = Object.keys(DATES);
  for (const [n, name] of ["Ilse", "Bram", "Wren"].entries()) {
    const { page } = await newPerson(browser, name);
    expect((await page.request.post("/api/classes/join-as-me", { data: { code } })).ok()).toBe(true);
    // It is among what is due at home until it is done.
    await page.goto("/");
    await expect(page.getByRole("link", { name: "The crossing" })).toHaveAttribute("href", /^\/practice\//);
    await page.goto(`/classes/${klass}`);
    await expect(page.getByRole("region", { name: "Practice" })).toContainText("not done yet");
    await page.getByRole("region", { name: "Practice" }).getByRole("link", { name: "The crossing" }).click();
    const html = await (await page.request.get(page.url())).text();
    for (const year of Object.values(DATES)) expect(html).not.toContain(String(year));
    // The first all right, the second with two turned round, the third all the other way; by keys.
    const order = n === 0 ? right : n === 1 ? [right[1]!, right[0]!, right[2]!, right[3]!] : [...right].reverse();
    for (const [at, title] of order.entries()) {
      await practice(page)
        .getByRole("button", { name: `Take ${title}`, exact: true })
        .press("Enter");
      await ridge(page).locator(".x-gap").nth(at).press("Enter");
    }
    await practice(page).getByRole("button", { name: "Check the order" }).click();
    const said = practice(page).getByRole("status");
    await expect(said).toContainText("Your teacher sees this result.");
    await expect(said).toContainText(
      n === 0 ? "All 4 stand where they belong." : n === 1 ? "2 of 4 stand where they belong." : "None of the 4",
    );
    // Now the dates are told.
    await expect(practice(page).getByRole("listitem")).toHaveText(
      Object.entries(DATES).map(([title, year]) => new RegExp(`${year} ${title}`)),
    );
    if (n === 2) {
      await practice(page).getByRole("button", { name: "Leave" }).click();
      await expect(page.getByRole("region", { name: "Practice" })).toContainText(
        "0 of 4 right at best, 0 of 100, 1 try",
      );
      // What others made of it is not theirs to see.
      await expect(page.getByRole("main")).not.toContainText("Ilse");
      await page.goto("/");
      await expect(page.getByRole("heading", { name: "Your timelines" })).toBeVisible();
      await expect(page.getByRole("link", { name: "The crossing" })).toHaveCount(0);
    } else if (n === 0) {
      await ward.page.reload();
      await expect(given).toContainText("due Thu 11 Dec 2031, 16:00");
    }
  }
  await ward.page.reload();
  await expect(given.getByRole("listitem").filter({ hasText: /^(Ilse|Bram|Wren):/ })).toHaveText([
    "Bram: 2 of 4 right at best, 75 of 100, 1 try",
    "Ilse: 4 of 4 right at best, 100 of 100, 1 try",
    "Wren: 0 of 4 right at best, 0 of 100, 1 try",
  ]);
  // Whoever is not of the class finds nothing.
  const stranger = await newPerson(browser, "Obi");
  const href = (await given.getByRole("link", { name: "The crossing" }).getAttribute("href"))!;
  expect((await stranger.page.request.get(href)).status()).toBe(404);
  await given.getByRole("button", { name: "Take back The crossing" }).click();
  await expect(given.getByRole("link", { name: "The crossing" })).toHaveCount(0);
  expect((await ward.page.request.get(href)).status()).toBe(404);
});
