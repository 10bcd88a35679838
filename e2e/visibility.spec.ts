import { expect } from "@playwright/test";
import { test } from "./harness/test";
import postgres from "postgres";
import sharp from "sharp";
import { type Actor, school, signUp } from "./attack/actor";
import { newPerson, newTimeline, saved, serverUrl, writeLines } from "./harness/people";

// Among the last of a run, and needing nothing of one another: nobody who works on them is left waiting for whoever has the longest.
test.describe.configure({ mode: "parallel" });

type Visibility = "only_me" | "class" | "school" | "link" | "everybody";
const REACH: Visibility[] = ["only_me", "class", "school", "link", "everybody"];
const WHO = ["nobody", "stranger", "other teacher", "teacher", "schoolmate", "classmate", "editor", "owner"] as const;
/** Who sees what was published how far. */
const SEEN: Record<Visibility, (typeof WHO)[number][]> = {
  only_me: ["editor", "owner"],
  class: ["teacher", "classmate", "editor", "owner"],
  school: ["teacher", "schoolmate", "classmate", "editor", "owner"],
  link: [...WHO],
  everybody: [...WHO],
};

/** A class with one piece of work that has a picture, and everybody it could concern. */
async function setUp() {
  const url = serverUrl();
  const one = await school(url);
  const other = await school(url);
  // Another class of the same school, by another teacher.
  const beside = await school(url);
  const { id: ofBoth } = await one.teacher.must<{ id: string }>("POST", "/api/schools", { name: "Hollinbank School" });
  await one.teacher.must("POST", `/api/schools/${ofBoth}/teachers`, { email: beside.teacher.email, role: "teacher" });
  await one.teacher.must("PATCH", `/api/classes/${one.klass}`, { school: ofBoth });
  await beside.teacher.must("PATCH", `/api/classes/${beside.klass}`, { school: ofBoth });
  const schoolmate = await beside.pupil("Ada");
  const [owner, editor, classmate] = [await one.pupil("Nia"), await one.pupil("Obi"), await one.pupil("Wren")];
  const { timeline } = await owner.must<{ timeline: string }>("POST", `/api/assignments/${one.assignment}/group`);
  await owner.must("POST", `/api/timelines/${timeline}/classmates`, { account: editor.id });
  const media = await addPicture(owner, timeline);
  const people: Record<(typeof WHO)[number], Actor> = {
    nobody: Object.assign(await signUp(url, "Gone")),
    stranger: await signUp(url, "Stranger"),
    "other teacher": other.teacher,
    teacher: one.teacher,
    schoolmate,
    classmate,
    editor,
    owner,
  };
  people.nobody.forgetAll();
  return { one, owner, timeline, media, people, school: ofBoth, beside };
}

async function addPicture(who: Actor, timeline: string): Promise<string> {
  const png = await sharp({ create: { width: 40, height: 30, channels: 3, background: "#0B6E69" } })
    .png()
    .toBuffer();
  const upload = await who.send(timeline, png);
  const { media } = await who.must<{ media: { id: string } }>("POST", `/api/timelines/${timeline}/uploads/${upload}`);
  await who.change(timeline, [
    { kind: "add_event", id: "e1", fields: { title: "Ferry" } },
    { kind: "add_item", id: "i1", fields: { of: "e1", list: "media", media: media.id, kind: "picture" } },
  ]);
  return media.id;
}

async function whoSees(people: Record<string, Actor>, path: string): Promise<string[]> {
  const seen: string[] = [];
  for (const name of WHO) {
    const reply = await people[name]!.ask("GET", path);
    expect([200, 404]).toContain(reply.status);
    if (reply.status === 200) seen.push(name);
  }
  return seen;
}

test("page and media of a publication open for just those it was published to, as far as the class lets it", async () => {
  const { one, owner, timeline, media, people, school: ofBoth } = await setUp();
  await one.teacher.must("PATCH", `/api/classes/${one.klass}`, { publishLimit: "everybody" });
  let address = "";
  for (const visibility of REACH) {
    ({ address } = (
      await owner.must<{ publication: { address: string } }>("PUT", `/api/timelines/${timeline}/publication`, {
        visibility,
        fresh: address === "",
      })
    ).publication);
    expect([visibility, await whoSees(people, `/t/${address}`)]).toEqual([visibility, SEEN[visibility]]);
    expect([visibility, await whoSees(people, `/t/${address}/media/${media}/small`)]).toEqual([
      visibility,
      SEEN[visibility],
    ]);
    const page = await owner.ask("GET", `/t/${address}`);
    expect(page.headers.get("cache-control")).toBe(
      ["only_me", "class", "school"].includes(visibility) ? "private, no-cache" : "no-cache",
    );
    const listed = (await people.stranger.ask("GET", "/published")).text.includes(address);
    expect([visibility, listed]).toEqual([visibility, visibility === "everybody"]);
    for (const who of [people.teacher, people.classmate]) {
      const onClassPage = (await who.ask("GET", `/classes/${one.klass}`)).text.includes(address);
      expect([visibility, onClassPage]).toEqual([visibility, ["class", "school", "everybody"].includes(visibility)]);
    }
    for (const who of [people.teacher, people.schoolmate, people.owner]) {
      const onSchoolPage = (await who.ask("GET", `/schools/${ofBoth}`)).text.includes(address);
      expect([visibility, onSchoolPage]).toEqual([visibility, visibility === "school" || visibility === "everybody"]);
    }
  }
  // What was published further does not outlive a limit that is lowered; nor does a frozen copy.
  const { copy } = await owner.must<{ copy: { address: string } }>("POST", `/api/timelines/${timeline}/frozen-copies`);
  for (const limit of [...REACH].reverse()) {
    await one.teacher.must("PATCH", `/api/classes/${one.klass}`, { publishLimit: limit });
    expect([limit, await whoSees(people, `/t/${address}`)]).toEqual([limit, SEEN[limit]]);
    expect([limit, await whoSees(people, `/t/${address}/media/${media}/small`)]).toEqual([limit, SEEN[limit]]);
    for (const path of [`/f/${copy.address}`, `/f/${copy.address}/file`, `/f/${copy.address}/media/${media}/small`])
      expect([limit, await whoSees(people, path)]).toEqual([limit, SEEN[limit]]);
    expect((await people.stranger.ask("GET", "/published")).text.includes(address)).toBe(limit === "everybody");
    const state = await owner.must<{ publication: { visibility: string } }>(
      "GET",
      `/api/timelines/${timeline}/changes?after=0`,
    );
    expect(state.publication.visibility).toBe(limit);
  }
  // So it is with what the school lets its pupils publish, whatever the class does; leaving the school opens nothing by itself.
  await one.teacher.must("PATCH", `/api/classes/${one.klass}`, { publishLimit: "everybody" });
  for (const limit of [...REACH].reverse()) {
    await one.teacher.must("PATCH", `/api/schools/${ofBoth}`, { publishLimit: limit });
    expect([limit, await whoSees(people, `/t/${address}`)]).toEqual([limit, SEEN[limit]]);
    expect([limit, await whoSees(people, `/f/${copy.address}`)]).toEqual([limit, SEEN[limit]]);
    expect((await people.stranger.ask("GET", "/published")).text.includes(address)).toBe(limit === "everybody");
  }
  const beyond = await owner.ask("PUT", `/api/timelines/${timeline}/publication`, { visibility: "link", fresh: false });
  expect([beyond.status, beyond.json.failed]).toEqual([403, "beyond_class_limit"]);
  await one.teacher.must("PATCH", `/api/classes/${one.klass}`, { school: null });
  expect(await whoSees(people, `/t/${address}`)).toEqual(SEEN.only_me);
  await one.teacher.must("PATCH", `/api/classes/${one.klass}`, { publishLimit: "everybody" });
  expect(await whoSees(people, `/t/${address}`)).toEqual(SEEN.everybody);
  // What went as far as its school goes to the class when that ends.
  await one.teacher.must("PATCH", `/api/classes/${one.klass}`, { school: ofBoth });
  await one.teacher.must("PATCH", `/api/schools/${ofBoth}`, { publishLimit: "school" });
  await owner.must("PUT", `/api/timelines/${timeline}/publication`, { visibility: "school", fresh: false });
  expect(await whoSees(people, `/t/${address}`)).toEqual(SEEN.school);
  await one.teacher.must("DELETE", `/api/schools/${ofBoth}`);
  expect(await whoSees(people, `/t/${address}`)).toEqual(SEEN.class);
});

test("a teacher gives a timeline of their own to their class; nobody else can, and no other class", async () => {
  const { one, people } = await setUp();
  const { teacher } = one;
  const own = await teacher.timeline("A model of one");
  const media = await addPicture(teacher, own);
  const give = (who: Actor, timeline: string, klass?: string) =>
    who.ask("PUT", `/api/timelines/${timeline}/publication`, {
      visibility: "class",
      fresh: true,
      ...(klass ? { class: klass } : {}),
    });
  expect((await give(teacher, own)).status).toBe(403);
  const theirs = await people.classmate.timeline("Not for the class");
  await people.classmate.change(theirs, [{ kind: "add_event", id: "e1", fields: { title: "x" } }]);
  expect((await give(people.classmate, theirs, one.klass)).status).toBe(403);
  const given = await give(teacher, own, one.klass);
  expect(given.status).toBe(200);
  const { address } = (given.json as unknown as { publication: { address: string } }).publication;
  const { "other teacher": _, ...rest } = people;
  expect(await whoSees({ ...rest, "other teacher": people["other teacher"] }, `/t/${address}`)).toEqual([
    "teacher",
    "classmate",
    "editor",
    "owner",
  ]);
  // On paper and in a frame it is the same page, for the same people.
  for (const [as, body] of [
    ["print", '<body class="print">'],
    ["embed", '<body class="embed">'],
  ]) {
    expect(await whoSees(people, `/t/${address}?as=${as}`)).toEqual(await whoSees(people, `/t/${address}`));
    expect((await people.classmate.ask("GET", `/t/${address}?as=${as}`)).text).toContain(body);
  }
  expect((await people.classmate.ask("GET", `/t/${address}/media/${media}/small`)).status).toBe(200);
  expect((await people.classmate.ask("GET", `/classes/${one.klass}`)).text).toContain("A model of one");
});

test("the share dialog offers a teacher their classes, and chooses first only what it offers", async ({ browser }) => {
  const { page } = await newPerson(browser, "Ms Ward");
  await page.goto("/classes");
  await page.getByLabel("Name of the class").fill("History 8B");
  await page.getByRole("button", { name: "Make the class" }).click();
  await expect(page.getByTestId("join-code")).toBeVisible();
  await newTimeline(page, "A model of one");
  await writeLines(page, ["1604 Ferry"]);
  await saved(page);
  await page.getByRole("button", { name: "Share" }).click();
  await expect(page.getByRole("radio", { name: /Anyone with the link/ })).toBeChecked();
  await page.getByRole("radio", { name: /History 8B/ }).click();
  await page.getByRole("button", { name: "Publish", exact: true }).click();
  await expect(page.getByLabel("Link to the published page")).toBeVisible();
  await page.reload();
  await page.getByRole("button", { name: "Share" }).click();
  await expect(page.getByRole("radio", { name: /History 8B/ })).toBeChecked();
});

const DAY = 86_400_000;
const STATES = ["open", "not_yet", "over", "hidden", "taken_back"] as const;
const VISITORS = ["nobody", "passed", "classmate", "editor", "owner"] as const;

/** Which of five kinds of visitor get something of a page in each state. */
function sees(state: (typeof STATES)[number], visibility: string, who: (typeof VISITORS)[number]): boolean {
  if (state === "taken_back") return false;
  if (who === "editor" || who === "owner") return true;
  if (state !== "open") return false;
  if (visibility === "link" || visibility === "everybody") return true;
  if (visibility === "password") return who === "passed";
  return visibility === "class" && who === "classmate";
}

test("every state as five kinds of visitor: page, frame, media, preview picture, about, oEmbed and search", async () => {
  const { one, owner, timeline, media, people } = await setUp();
  await one.teacher.must("PATCH", `/api/classes/${one.klass}`, { publishLimit: "everybody" });
  const passed = await signUp(serverUrl(), "Passed");
  const visitors = { nobody: people.nobody, passed, classmate: people.classmate, editor: people.editor, owner };
  const sql = postgres(process.env.E2E_DATABASE!, { max: 1 });
  const publish = (body: object) =>
    owner.must<{ publication: { address: string } }>("PUT", `/api/timelines/${timeline}/publication`, body);
  const wrong: string[] = [];
  try {
    for (const visibility of ["only_me", "class", "password", "link", "everybody"] as const)
      for (const state of STATES) {
        const at = (days: number) => new Date(Date.now() + days * DAY).toISOString();
        const { publication } = await publish({
          visibility,
          fresh: true,
          copies: true,
          embedSites: ["*"],
          ...(visibility === "password" ? { password: "long night flood" } : {}),
          opensAt: state === "not_yet" ? at(1) : null,
          closesAt: state === "over" ? at(-1) : null,
        });
        const { address } = publication;
        await sql`update publication set hidden_at = ${state === "hidden" ? new Date() : null} where timeline_id = ${timeline}`;
        if (state === "taken_back") await owner.must("DELETE", `/api/timelines/${timeline}/publication`);
        // Whoever has the password has given it, where it was asked for.
        await passed.ask("POST", `/api/published/${address}/pass`, "password=long+night+flood", {
          "Content-Type": "application/x-www-form-urlencoded",
        });
        for (const who of VISITORS) {
          const expected = sees(state, visibility, who);
          for (const path of [
            `/t/${address}`,
            `/t/${address}?as=embed`,
            `/t/${address}/media/${media}/small`,
            `/t/${address}/preview`,
            `/published/${address}`,
          ]) {
            const { status } = await visitors[who].ask("GET", path);
            if ((status === 200) !== expected) wrong.push(`${state} ${visibility} ${who} ${path}: ${status}`);
          }
          const copied = await visitors[who].ask("POST", `/api/published/${address}/copy`);
          const may = expected && who !== "nobody";
          if ((copied.status === 200) !== may) wrong.push(`${state} ${visibility} ${who} copy: ${copied.status}`);
        }
        const open = state === "open" && (visibility === "link" || visibility === "everybody");
        const oembed = await people.nobody.ask("GET", `/oembed?url=/t/${address}`);
        if ((oembed.status === 200) !== open) wrong.push(`${state} ${visibility} oEmbed: ${oembed.status}`);
        const { text } = await people.nobody.ask("GET", "/published");
        if (text.includes(address) !== (open && visibility === "everybody"))
          wrong.push(`${state} ${visibility} search`);
      }
  } finally {
    await sql.end();
  }
  expect(wrong).toEqual([]);
});
