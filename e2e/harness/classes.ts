import { type Browser, expect, type Page } from "@playwright/test";
import type { Actor } from "../attack/actor";
import { newPerson, type Person, visitor } from "./people";
import { signedIn } from "./signed-in";

/** A class by its teacher, with as many students who have accounts as there are names. */
export async function classOf(
  browser: Browser,
  ...names: string[]
): Promise<{ ward: Person; id: string; pupils: Person[] }> {
  const ward = await newPerson(browser, "Ms Ward");
  const made = await ward.context.request.post("/api/classes", { data: { name: "History 8B" } });
  const { id } = (await made.json()) as { id: string };
  await ward.page.goto(`/classes/${id}`);
  const code = await ward.page.getByTestId("join-code").innerText();
  const pupils: Person[] = [];
  for (const name of names) {
    const pupil = await newPerson(browser, name);
    await pupil.context.request.post("/api/classes/join-as-me", { data: { code } });
    pupils.push(pupil);
  }
  return { ward, id, pupils };
}

/** An assignment set by the route, of one event where nothing else is said; gives its id. */
export async function shortAssignment(ward: Person, klass: string, options: object = {}): Promise<string> {
  const made = await ward.context.request.post("/api/assignments", {
    data: {
      class: klass,
      title: "Short",
      instructions: "",
      period: { typed: "", readAs: { kind: "undated" }, calendar: "gregorian", margin: null },
      requirements: [{ kind: "events", count: 1 }],
      given: [],
      total: 20,
      dueAt: "2031-07-11T16:00",
      options,
    },
  });
  expect(made.status()).toBe(200);
  return ((await made.json()) as { id: string }).id;
}

/** Somebody who is signed in already, in a browser of their own. */
export async function browserOf(browser: Browser, actor: Actor): Promise<Page> {
  const page = await visitor(browser);
  await signedIn(page, actor);
  return page;
}
