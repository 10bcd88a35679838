import { warmBrowser } from "./harness/warm";
import { expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import postgres from "postgres";
import { newPerson, newTimeline, PASSWORD, serverUrl, visitor } from "./harness/people";

async function inDatabase<T>(ask: (sql: postgres.Sql) => Promise<T>): Promise<T> {
  const sql = postgres(process.env.E2E_DATABASE!, { max: 1 });
  try {
    return await ask(sql);
  } finally {
    await sql.end();
  }
}

/** Comes through the school's accounts as one of its people. */
async function through(page: Page, name: string, at = "/sign-in"): Promise<void> {
  await page.goto(at);
  await page.getByRole("link", { name: "Sign in through Hollin Bank sign-on" }).click();
  await expect(page.getByText("The school's own accounts. Who are you?")).toBeVisible();
  await page.getByRole("button", { name }).click();
}

test.describe.configure({ mode: "serial" });

test.beforeAll(() =>
  inDatabase(async (sql) => {
    // Nobody has come yet, also when this is tried again.
    await sql`delete from sign_on_account`;
    await sql`delete from sign_on_group`;
    await sql`update organisation set name = 'Weir School that was' where name = 'Weir School'`;
    // Those whom the stand-in names; people of other journeys have addresses of their own.
    await sql`
      update account set email = null, sign_in_name = coalesce(sign_in_name, id)
      where email like '%@hollinbank.example' and email !~ '-[0-9]+-[0-9]+-[0-9]+@'`;
  }),
);

test("from nothing to the class: the teacher comes first, then a pupil, and signs out at both", async ({ browser }) => {
  const head = await newPerson(browser, "Head");
  await head.page.goto("/teaching");
  await inDatabase(async (sql) => {
    const [{ id }] = (await sql`select id from account where email = ${head.email}`) as unknown as [{ id: string }];
    await sql`insert into organisation (id, name) values (${`weir-${id}`}, 'Weir School')`;
    await sql`insert into organisation_member (organisation_id, account_id, role) values (${`weir-${id}`}, ${id}, 'administrator')`;
  });

  // Whoever breaks it off is told so.
  const iris = await visitor(browser);
  await through(iris, "Leave it");
  await expect(iris.getByText("it was broken off at your school's sign-on")).toBeVisible();
  await through(iris, "Iris Ward", "/sign-in?to=/teaching");
  await expect(iris).toHaveURL(/\/teaching$/);
  await expect(iris.getByRole("link", { name: "7A" }).first()).toBeVisible();
  await expect(iris.getByText("Weir School").first()).toBeVisible();

  const ada = await visitor(browser);
  await through(ada, "Ada Byron");
  await expect(ada.getByText("Ada B.").first()).toBeVisible();
  await expect(ada.getByText("7A").first()).toBeVisible();
  await iris.getByRole("link", { name: "7A" }).first().click();
  await expect(iris.getByText("Ada B.")).toBeVisible();

  // The account has no password, and may get one.
  await ada.goto("/account");
  const password = ada.getByRole("region", { name: "Password" });
  await expect(password.getByText("You come in through your school and need no password.")).toBeVisible();
  await expect(password.getByLabel("Present password")).toHaveCount(0);

  await ada.getByRole("button", { name: "Sign out" }).first().click();
  await expect(ada.getByText("Sign out of the school's accounts as well?")).toBeVisible();
  await ada.getByRole("button", { name: "Sign out" }).click();
  await expect(ada).toHaveURL(`${serverUrl()}/`);
  await ada.goto("/account");
  await expect(ada.getByRole("heading", { name: "Sign in" })).toBeVisible();
  // There too: it asks who they are.
  await through(ada, "Ada Byron");
  await expect(ada.getByText("Ada B.").first()).toBeVisible();
  expect(await inDatabase((sql) => sql`select from sign_on_account where subject = 'ada'`)).toHaveLength(1);
});

test("signing out at the school signs out here, where a page stands open", async ({ browser }) => {
  const { context, page: here } = await warmBrowser(browser, serverUrl());
  await through(here, "Bo Reed");
  await expect(here.getByText("Bo R.").first()).toBeVisible();
  await newTimeline(here, "Weirs");
  const there = await context.newPage();
  const [{ on }] = await inDatabase(
    async (sql) =>
      (await sql`select sign_on as on from session where sign_on ->> 'subject' = 'bo' limit 1`) as unknown as [
        { on: { provider: string; idToken: string } },
      ],
  );
  await there.goto(`${on.provider.split(" ")[0]}/session/end?id_token_hint=${on.idToken}`);
  await there.getByRole("button", { name: "Sign out" }).click();
  await expect(here.getByText("You are signed out.")).toBeVisible();
});

test("an account that has the address already is joined by its password, and is what one comes into from then on", async ({
  browser,
}) => {
  const nia = await visitor(browser);
  const made = await nia.request.post("/api/account", {
    data: { displayName: "Nia of the ferry", email: "nia@hollinbank.example", password: PASSWORD },
  });
  expect(made.status()).toBe(200);
  await nia.context().clearCookies();
  await through(nia, "Nia Marsh");
  await expect(nia.getByRole("heading", { name: "Is this account yours?" })).toBeVisible();
  await nia.getByLabel("Password").fill("not-this-one");
  await nia.getByRole("button", { name: "It is mine" }).click();
  await expect(nia.getByText("No account has this name and password.")).toBeVisible();
  await nia.getByLabel("Password").fill(PASSWORD);
  await nia.getByRole("button", { name: "It is mine" }).click();
  await expect(nia.getByText("Nia of the ferry").first()).toBeVisible();
  await nia.context().clearCookies();
  await through(nia, "Nia Marsh");
  await expect(nia.getByText("Nia of the ferry").first()).toBeVisible();
});

test("a school asks its people to come in that way alone", async ({ browser }) => {
  const head = await newPerson(browser, "Head");
  const school = await inDatabase(async (sql) => {
    const [{ id }] = (await sql`select id from account where email = ${head.email}`) as unknown as [{ id: string }];
    const [{ school: of }] = (await sql`
      insert into organisation_member (organisation_id, account_id, role)
      select o.id, ${id}, 'administrator' from organisation o where o.name = 'Weir School' returning organisation_id as school`) as unknown as [
      { school: string },
    ];
    return of;
  });
  await head.page.goto(`/schools/${school}`);
  const only = head.page.getByLabel("Our people come in through Hollin Bank sign-on alone");
  await only.click();
  await expect(only).toBeChecked();
  const nia = await visitor(browser);
  await nia.goto("/sign-in");
  await nia.getByLabel("E-mail or sign-in name").fill("nia@hollinbank.example");
  await nia.getByLabel("Password").fill(PASSWORD);
  await nia.getByRole("button", { name: "Sign in", exact: true }).click();
  await expect(
    nia.getByText(
      "Your school asks you to come in through its own sign-on. Choose “Sign in through Hollin Bank sign-on”.",
    ),
  ).toBeVisible();
  await through(nia, "Nia Marsh");
  await expect(nia.getByText("Nia of the ferry").first()).toBeVisible();
  await only.click();
  await expect(only).not.toBeChecked();
});
