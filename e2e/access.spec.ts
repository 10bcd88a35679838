import { readdirSync, readFileSync } from "node:fs";
import { join, relative } from "node:path";
import { expect } from "@playwright/test";
import { test } from "./harness/test";
import sharp from "sharp";
import { ACCESS, ACTORS, type Answer } from "./access-table";
import { readWhen } from "../src/core/time/read/read-when";
import { USUAL_WISHES } from "../src/core/paper/sheets";
import { Actor, assignmentBody, type Reply, signUp } from "./attack/actor";
import { newEmail, PASSWORD, serverUrl } from "./harness/people";
import { silence } from "./harness/silence";

const APP = join(import.meta.dirname, "..", "src", "app");

/** A class of an archive in which nothing ever happened. */
const emptyClass = {
  fastigo: "class",
  format: 1,
  name: "Old",
  zone: "UTC",
  publishLimit: "link",
  retentionMonths: 24,
  outsidePlayers: true,
  recording: true,
  notice: "",
  bylines: "no_names",
  createdAt: "2025-09-01T08:00:00.000Z",
  archivedAt: null,
  teacher: "t",
  people: [],
  members: [],
  works: [],
  given: [],
  rows: {},
};

/** What is sent as it is. */
const OCTETS = { "Content-Type": "application/octet-stream" };

/** Every page and every method of every route below src/app. */
function routeTree(folder = APP): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return routeTree(path);
    const route = `/${relative(APP, folder)}`.replace(/^\/$/, "/");
    if (entry.name === "page.tsx") return [`PAGE ${route}`];
    if (entry.name === "route.ts")
      return [
        ...readFileSync(path, "utf8").matchAll(
          /export (?:const|async function|function) (GET|POST|PUT|PATCH|DELETE|HEAD|OPTIONS)\b/g,
        ),
      ].map((m) => `${m[1]} ${route}`);
    return [];
  });
}

test("every route and page stands in the access table, and nothing else does", () => {
  expect(routeTree().sort()).toEqual(Object.keys(ACCESS).sort());
});

const person = (name: string) => signUp(serverUrl(), name);
const anybody = () => new Actor(serverUrl());

/** A second session of the same person; gives its id, as the account page shows it. */
async function anotherSession(who: Actor): Promise<string> {
  const other = anybody();
  await other.ask("POST", "/api/session", { name: who.email, password: PASSWORD });
  const page = (await who.ask("GET", "/account")).text;
  const ids = [...page.matchAll(/([0-9a-f]{32})/g)].map((m) => m[1]!);
  const own = (await other.ask("GET", "/account")).text;
  expect(ids.length).toBeGreaterThan(1);
  return ids.find((id) => own.includes(id))!;
}

function answerOf({ status, headers }: Reply): Answer | number {
  if (status === 401 || (status >= 300 && status < 400 && /\/sign-in/.test(headers.get("location") ?? "")))
    return "sign in";
  if (status === 404) return "nothing";
  if (status === 403) return "not yours";
  return status < 300 ? "yes" : status;
}

test("each is answered as the table says, to everybody it could concern", async () => {
  test.setTimeout(900_000);
  const people = {
    stranger: await person("Stranger"),
    editor: await person("Editor"),
    owner: await person("Owner"),
    classmate: await person("Classmate"),
    teacher: await person("Teacher"),
    otherTeacher: await person("Other"),
    coTeacher: await person("Reed"),
    assistant: await person("Fern"),
    reader: await person("Reader"),
    commenter: await person("Commenter"),
  };
  const { editor, owner, classmate, teacher, otherTeacher, coTeacher, assistant, reader, commenter } = people;
  const nobody = anybody();
  const ask = async <T>(who: Actor, method: string, path: string, data?: unknown): Promise<T> =>
    (await who.ask(method, path, data)).json as T;
  const post = <T>(who: Actor, path: string, data?: unknown): Promise<T> => ask<T>(who, "POST", path, data);
  const get = <T>(who: Actor, path: string): Promise<T> => ask<T>(who, "GET", path);
  await post(otherTeacher, "/api/classes", { name: "Another class" });
  const colleague = await person("Colleague");
  const rubric = {
    name: "Crossing",
    criteria: [
      { name: "Dates", weight: 1, levels: [2, 0].map((points) => ({ name: String(points), text: "", points })) },
    ],
  };
  // Each set-up has a picture of its own: one that is deleted for good is deleted wherever its bytes are used.
  let pictures = 0;
  const picture = () => {
    const n = pictures++;
    // Far enough from each other that none is another's once it is made smaller, and never grey: all files are as long.
    const background = {
      r: 8 + (n % 16) * 15,
      g: 9 + (Math.floor(n / 16) % 16) * 15,
      b: 100 + Math.floor(n / 256) * 15,
    };
    return sharp({ create: { width: 20, height: 20, channels: 3, background } })
      .png()
      .toBuffer();
  };
  const png = await picture();

  // A second of silence, as RIFF holds it.
  const voice = { data: silence(8_000).toString("base64"), seconds: 1, spoken: "Well done." };
  const LESSON = ["p1", "p2", "p3"];
  const ownLook = { name: "Mine", look: { fastigo: "look", version: 1, wears: {}, categories: [] }, class: null };

  /** A class with everybody in it who is in one. */
  async function newClass() {
    const { id: klass } = await post<{ id: string }>(teacher, "/api/classes", { name: "History 8B" });
    const page = (await teacher.ask("GET", `/classes/${klass}`)).text;
    const code = page.match(/data-testid="join-code">([A-Z0-9]+)</)![1]!;
    for (const student of [owner, editor, classmate, reader, commenter])
      await post(student, "/api/classes/join-as-me", { code });
    await post(teacher, `/api/classes/${klass}/teachers`, { email: coTeacher.email, role: "teacher" });
    await post(teacher, `/api/classes/${klass}/teachers`, { email: assistant.email, role: "assistant" });
    return { klass, code };
  }
  // Whose route says nothing of classes alters none: their works are set in one.
  const common = newClass();

  /** A class, an assignment and the owner's work on it, with everything a route may name. */
  async function setUp(submitted: boolean, names: (part: string) => boolean) {
    const { klass, code } = await (names("class") || names("join") || names("[account]") ? newClass() : common);
    const schoolWith = async () => {
      const { id: made } = await post<{ id: string }>(teacher, "/api/schools", { name: "Hollinbank School" });
      await teacher.ask("PATCH", `/api/classes/${klass}`, { school: made });
      await post(teacher, `/api/schools/${made}/teachers`, { email: colleague.email, role: "teacher" });
      await post(teacher, `/api/schools/${made}/teachers`, { email: "new@hollinbank.example", role: "teacher" });
      return made;
    };
    const joined = async () =>
      post<{ user: { id: string } }>(anybody(), "/api/classes/join", {
        code,
        displayName: "Pupil",
        password: PASSWORD,
      });
    const pupil = names("[account]") ? (await joined()).user.id : "none";
    const illustrated = {
      ...assignmentBody(klass),
      instructions: [{ kind: "medium", item: "castle" }],
      pictures: [{ id: "castle", text: "A castle", data: png.toString("base64") }],
    };
    const set = names("/pictures/[picture]") ? illustrated : assignmentBody(klass);
    const { id: assignment } = await post<{ id: string }>(teacher, "/api/assignments", set);
    const { timeline: id } = await post<{ timeline: string }>(owner, `/api/assignments/${assignment}/group`);
    await post(owner, `/api/timelines/${id}/classmates`, { account: editor.id });
    if (names("timelines") || names("/join"))
      for (const [guest, role] of [
        [reader, "reader"],
        [commenter, "commenter"],
      ] as const) {
        const link = await post<{ token: string }>(owner, `/api/timelines/${id}/invitation`, { renew: false, role });
        await post(guest, `/api/join/${link.token}`);
      }
    const spoken = { event: "", words: "", thread: null, text: "Where does it begin?" };
    const said =
      names("[said]") || names("/reports")
        ? (await post<{ id: string }>(owner, `/api/timelines/${id}/comments`, spoken)).id
        : "none";
    const send = async () => {
      const own = await picture();
      const { upload } = await post<{ upload: string }>(owner, `/api/timelines/${id}/uploads`, {
        name: "a.png",
        size: own.length,
      });
      await owner.ask("PUT", `/api/timelines/${id}/uploads/${upload}/0`, own, OCTETS);
      return upload;
    };
    const illustrate = async () =>
      (await post<{ media: { id: string } }>(owner, `/api/timelines/${id}/uploads/${await send()}`)).media.id;
    const media = names("media") ? await illustrate() : "none";
    const shown = { of: "timeline", list: "media", media, kind: "picture" };
    await post(owner, `/api/timelines/${id}/changes`, {
      id: "c1",
      base: 1,
      ops: [
        ...(media === "none" ? [] : [{ kind: "add_item", id: "i1", fields: shown }]),
        { kind: "add_event", id: "e1", fields: { title: "Ferry" } },
      ],
    });
    const publish = async () =>
      ask<{ publication: { address: string } }>(owner, "PUT", `/api/timelines/${id}/publication`, {
        visibility: "link",
        fresh: true,
        copies: true,
      });
    const address = names("[address]") || names("/publication/") ? (await publish()).publication.address : "none";
    const invite = () => post<{ token: string }>(owner, `/api/timelines/${id}/invitation`, { renew: false });
    const token = names("[token]") || names("/invitation") ? (await invite()).token : "none";
    const freeze = () => post<{ copy: { address: string } }>(owner, `/api/timelines/${id}/frozen-copies`);
    const copy = names("[address]") ? (await freeze()).copy.address : "none";
    const file = async () => {
      const begun = await post<{ file: { id: string } }>(owner, `/api/timelines/${id}/files`, { kind: "svg" });
      await expect
        .poll(
          async () =>
            (await get<{ file: { madeAt: string | null } }>(owner, `/api/files/${begun.file.id}`)).file.madeAt,
        )
        .not.toBeNull();
      return begun.file.id;
    };
    if (names("/teachers/"))
      await post(teacher, `/api/classes/${klass}/teachers`, { email: colleague.email, role: "teacher" });
    const asked = async () => {
      await post(owner, `/api/timelines/${id}/questions`, { event: "", text: "Where does it begin?" });
      const { work } = await get<{ work: { questions: { id: number }[] } }>(
        owner,
        `/api/timelines/${id}/changes?after=0`,
      );
      return String(work.questions[0]!.id);
    };
    const kept = async () =>
      (await post<{ comments: { id: number }[] }>(owner, "/api/kept-comments", { text: `Say more ${id}` })).comments;
    let lesson = "none";
    let practice = "none";
    if (names("practice")) {
      lesson = (await post<{ id: string }>(teacher, "/api/timelines", { title: "Lesson", subject: "" })).id;
      const ops = LESSON.map((event, i) => ({
        kind: "add_event",
        id: event,
        fields: { title: event, when: readWhen(String(1700 + i)) },
      }));
      await post(teacher, `/api/timelines/${lesson}/changes`, { id: "c1", base: 0, ops });
      const choice = { timeline: lesson, count: 5, parts: false, spans: true };
      practice = (await post<{ id: string }>(teacher, `/api/classes/${klass}/practices`, choice)).id;
    }
    let submission = "";
    if (submitted) {
      await post(owner, `/api/timelines/${id}/submission`);
      submission = (await get<{ work: { submission: { id: string } } }>(owner, `/api/timelines/${id}/changes?after=0`))
        .work.submission.id;
      await teacher.ask("PUT", `/api/submissions/${submission}/mark`, { points: 10, comment: "", comments: [] });
      if (names("/voice")) await teacher.ask("PUT", `/api/submissions/${submission}/voice`, voice);
    }
    return {
      klass,
      code,
      assignment,
      id,
      media,
      address,
      copy,
      token,
      upload: names("[upload]") ? await send() : "none",
      submission,
      said,
      pupil,
      lesson,
      practice,
      school: names("/schools/[id]") ? await schoolWith() : "none",
      question: names("[question]") ? await asked() : "none",
      rubric: names("[rubric]")
        ? (await post<{ id: string }>(owner, "/api/rubrics", { rubric: { ...rubric, name: id } })).id
        : "none",
      comment: names("[comment]") ? String((await kept()).at(-1)!.id) : "none",
      file: names("[file]") ? await file() : "none",
      look: names("[look]") ? (await post<{ id: string }>(owner, "/api/looks", ownLook)).id : "none",
    };
  }

  // What is only read is read by all from one class; whoever alters something has a class of their own.
  const read = new Map<boolean, ReturnType<typeof setUp>>();
  const readFrom = (submitted: boolean) => {
    const known = read.get(submitted) ?? setUp(submitted, () => true);
    read.set(submitted, known);
    return known;
  };
  const wrong: string[] = [];
  const askAll = async (name: string, row: (typeof ACCESS)[string]) => {
    const [method, path] = name.split(" ") as [string, string];
    const alters = method !== "GET" && method !== "PAGE";
    const needsSubmission =
      path.startsWith("/submissions") ||
      path.startsWith("/api/submissions") ||
      name === "DELETE /api/timelines/[id]/submission" ||
      path.includes("/return") ||
      path.includes("/marks");
    // These alter who one is: asked by somebody whom nobody knows yet.
    const own = [
      "POST /api/session",
      "DELETE /api/session",
      "POST /api/account",
      "POST /api/session/code",
      "POST /api/classes/join",
    ].includes(name);
    // These alter or end an account: asked by somebody who is nobody else.
    const alone = /^(PATCH|DELETE|PUT) \/api\/account/.test(name);
    // Nothing of a class is altered by what names none of its things, and has nobody join it.
    const altersThese = alters && (path.includes("[") || path.includes("join"));
    const forThis = () =>
      altersThese ? setUp(needsSubmission, (part) => path.includes(part)) : readFrom(needsSubmission);
    /** What one of them is answered, and whether that altered anything. */
    const answerTo = async (
      actor: (typeof ACTORS)[number],
      s: Awaited<ReturnType<typeof setUp>>,
    ): Promise<{ got: Answer | number; altered: boolean }> => {
      const who = actor === "nobody" ? nobody : people[actor];
      const url = path
        .replace(
          "/api/timelines/[id]/editors/[account]",
          `/api/timelines/${s.id}/editors/${actor === "editor" ? owner.id : editor.id}`,
        )
        .replace("/f/[address]", `/f/${s.copy}`)
        .replace("frozen-copies/[address]", `frozen-copies/${s.copy}`)
        .replace("/schools/[id]", `/schools/${s.school}`)
        .replace("/teachers/[account]", `/teachers/${colleague.id}`)
        .replace("[question]", s.question)
        .replace("[said]", s.said)
        .replace("[own]", "none")
        .replace("[sent]", "none")
        .replace("[suggestion]", "none")
        .replace("[rubric]", s.rubric)
        .replace("[review]", "none")
        .replace("[choice]", "none")
        .replace("[key]", "none")
        .replace("[report]", "none")
        .replace("[comment]", s.comment)
        .replace("/classes/[id]", `/classes/${s.klass}`)
        .replace("/assignments/[id]", `/assignments/${s.assignment}`)
        .replace("/submissions/[id]", `/submissions/${s.submission}`)
        .replace("[account]", s.pupil)
        .replace("[id]", s.id)
        .replace("[address]", s.address)
        .replace("[timeline]", s.id)
        .replace("[token]", s.token)
        .replace("[media]", s.media)
        .replace("[upload]", s.upload)
        .replace("[look]", s.look)
        .replace("[file]", s.file)
        .replace("[practice]", s.practice)
        .replace("[point]", "garden")
        .replace("/help/pictures/[picture]", "/help/pictures/editor")
        .replace("[task]", "begin")
        .replace("[picture]", "castle")
        .replace("[seq]", "1")
        .replace("[piece]", "0")
        .replace("[n]", "0")
        .replace("[size]", "small");
      if (name === "GET /api/live") {
        // A stream does not end: its head is enough.
        const stop = new AbortController();
        const response = await fetch(serverUrl() + url, { headers: { cookie: who.cookie }, signal: stop.signal });
        stop.abort();
        return { got: response.status === 401 ? "sign in" : response.ok ? "yes" : response.status, altered: false };
      }
      // What is copied goes into a timeline of whoever asks.
      const mine =
        name === "POST /api/timelines/[id]/copies"
          ? await post<{ id?: string }>(who, "/api/timelines", { title: "Mine", subject: "" })
          : {};
      const oneTimeName = newEmail("session");
      const bodies: Record<string, unknown> = {
        "POST /api/account": { displayName: "New", email: newEmail("new"), password: PASSWORD },
        "PATCH /api/account": { displayName: "Nia" },
        "POST /api/looks": ownLook,
        "POST /api/classes/[id]/practices": { timeline: s.lesson, count: 5, parts: false, spans: true },
        "POST /api/practices/[practice]/answers": { placed: LESSON },
        "DELETE /api/account": { password: PASSWORD },
        "PUT /api/account/password": { password: PASSWORD, next: `${PASSWORD}-again` },
        "PUT /api/account/notices": { kind: "named", here: true, byMail: false },
        "POST /api/sign-on/claim": {},
        "POST /api/account/steps": { password: PASSWORD },
        "PUT /api/account/steps": { code: "123456" },
        "DELETE /api/account/steps": { password: PASSWORD },
        "PUT /api/account/address": { key: "none" },
        "POST /api/session/link": { email: newEmail("link"), to: "/" },
        "POST /api/session/link/open": { key: "none" },
        "PUT /api/language": { language: "en" },
        "POST /api/session": { name: oneTimeName, password: PASSWORD },
        "POST /api/session/code": { name: "nobody-22", code: "wrong", password: PASSWORD },
        "POST /api/timelines": { title: "t", subject: "" },
        "PUT /api/account/ledger": { shown: ["when", "title"], widths: { title: 300 } },
        "PATCH /api/timelines/[id]": { deleted: true },
        "POST /api/timelines/[id]/changes": { id: "c9", base: 0, ops: [{ kind: "add_event", id: "e9", fields: {} }] },
        "POST /api/timelines/[id]/history": {
          changes: [{ at: "2020-05-01T10:00:00Z", author: "Nia", ops: [{ kind: "add_event", id: "e8", fields: {} }] }],
        },
        "PUT /api/timelines/[id]/folder": { folder: "Rivers" },
        "POST /api/timelines/[id]/copies": { to: mine.id ?? "none", events: ["e1"] },
        "POST /api/timelines/[id]/invitation": { renew: false },
        "DELETE /api/timelines/[id]/invitation": { token: s.token },
        "POST /api/timelines/[id]/people": { to: "Classmate", role: "reader" },
        "PUT /api/timelines/[id]/editors/[account]": { role: "editor" },
        "POST /api/timelines/[id]/suggestions": {
          event: "",
          was: { when: "", title: "", text: "", category: null },
          given: { when: "1604", title: "Ferry", text: "", category: null },
          why: "",
        },
        "PUT /api/timelines/[id]/suggestions": { ids: ["none"], accept: true },
        "PUT /api/timelines/[id]/call": { words: "", closesAt: null, renew: false },
        "PUT /api/timelines/[id]/sent/[sent]": { accept: true },
        "POST /api/send/[token]": { name: "Wren", when: "1604", title: "Ferry", text: "" },
        "POST /api/timelines/[id]/own-events": { when: "1604", title: "Ferry", text: "", category: null },
        "PUT /api/timelines/[id]/own-events/[own]": { when: "1604", title: "Ferry", text: "", category: null },
        "POST /api/timelines/[id]/reports": { kind: "comment", thing: s.said, reason: "other", words: "No" },
        "POST /api/timelines/[id]/comments": { event: "", words: "", thread: null, text: "When?" },
        "POST /api/timelines/[id]/here": {
          tab: "t1",
          n: 0,
          where: { at: "chart", event: null, field: "", follows: null },
        },
        "PATCH /api/timelines/[id]/comments/[said]": { resolved: true },
        "POST /api/published/[address]/events": { to: s.id },
        "POST /api/published/[address]/report": { reason: "other", words: "It is about a ferry." },
        "PUT /api/operator/[timeline]": { hide: true },
        "PUT /api/operator/said/[report]": { remove: true },
        "PUT /api/timelines/[id]/publication/word": { word: `ferry-${s.address}` },
        "POST /api/timelines/[id]/publication/mail": { to: "obi@hollinbank.example", words: "Look." },
        "PUT /api/timelines/[id]/publication": { visibility: "link", fresh: true },
        "POST /api/timelines/[id]/files": { kind: "svg" },
        "POST /api/timelines/[id]/files/plan": USUAL_WISHES,
        "POST /api/timelines/[id]/uploads": { name: "b.png", size: 10 },
        "POST /api/timelines/[id]/table": { address: `${process.env.E2E_PICTURE_SITE}/crossings.csv` },
        "POST /api/timelines/[id]/media/[media]/cut": { x: 0, y: 0, width: 50, height: 50, turn: 90 },
        "POST /api/timelines/[id]/media": { from: s.id, media: s.media },
        "POST /api/timelines/[id]/pictures/found": { picture: "castle" },
        "POST /api/timelines/[id]/outside": { address: `${process.env.E2E_PICTURE_SITE}/ferry.png` },
        "POST /api/timelines/[id]/pictures": { address: `${process.env.E2E_PICTURE_SITE}/ferry.png` },
        "POST /api/timelines/[id]/classmates": { account: classmate.id },
        "POST /api/classes": { name: "New" },
        "POST /api/classes/from-archive": { class: emptyClass, works: [], own: [] },
        "POST /api/schools": { name: "New" },
        "PATCH /api/schools/[id]": { publishLimit: "school" },
        "POST /api/schools/[id]/teachers": { email: colleague.email, role: "administrator" },
        "DELETE /api/schools/[id]/teachers": { email: "new@hollinbank.example" },
        "PUT /api/schools/[id]/teachers/[account]": { role: "administrator" },
        "PATCH /api/classes/[id]": { code: "renew" },
        "POST /api/classes/join": { code: s.code, displayName: "New", password: PASSWORD },
        "POST /api/classes/join-as-me": { code: s.code },
        "POST /api/classes/[id]/teachers": { email: colleague.email, role: "assistant" },
        "POST /api/classes/[id]/roster": { entries: [{ displayName: "Ada", note: "" }] },
        "PUT /api/classes/[id]/year": { over: true },
        "POST /api/classes/[id]/year": { name: "Next year" },
        "PUT /api/assignments/[id]/return": { at: null },
        "POST /api/assignments/[id]/groups": { groups: [[classmate.id]] },
        "PUT /api/assignments/[id]/extension": { accounts: [classmate.id], dueAt: "2199-01-01T10:00" },
        "POST /api/assignments/[id]/again": { class: s.klass },
        "PUT /api/assignments/[id]/gallery": { submissions: [] },
        "POST /api/assignments/[id]/reviews": { count: 2, blind: true },
        "POST /api/assignments/[id]/moderation": { count: 1 },
        "PUT /api/submissions/[id]/second": { points: 3, levels: [], comment: "" },
        "PUT /api/reviews/[review]": { levels: [], comment: "Good." },
        "POST /api/rubrics": { rubric },
        "POST /api/kept-comments": { text: "Say more" },
        "POST /api/timelines/[id]/questions": { event: "", text: "Where does it begin?" },
        "PUT /api/questions/[question]": { text: "At the ferry." },
        "PUT /api/timelines/[id]/set-aside": { finding: "no_credit i1", reason: "Drawn by me." },
        "POST /api/submissions/[id]/replies": { text: "Why?" },
        "POST /api/assignments": assignmentBody(s.klass),
        "PUT /api/assignments/[id]": assignmentBody(s.klass),
        "PUT /api/assignments/[id]/group": { timeline: s.id },
        "DELETE /api/classes/[id]/members/[account]/kept": { account: true },
        "PATCH /api/classes/[id]/members/[account]": { note: "by the window" },
        "PUT /api/submissions/[id]/voice": voice,
        "PUT /api/submissions/[id]/return": { toImprove: true },
        "PUT /api/submissions/[id]/given/[n]": { result: "right", reason: "as agreed" },
        "PUT /api/submissions/[id]/mark": { points: 12, comment: "", comments: [] },
      };
      const spent = alone && actor !== "nobody";
      const asking = spent ? await person("Spent") : own ? anybody() : who;
      if (name === "POST /api/session")
        await post(asking, "/api/account", { displayName: "S", email: oneTimeName, password: PASSWORD });
      const body = bodies[name];
      const target = name.endsWith("[session]")
        ? `/api/account/sessions/${spent ? await anotherSession(asking) : "none"}`
        : url;
      const reply = /\[piece\]$|still$/.test(path)
        ? await asking.ask(method, target, png, OCTETS)
        : await asking.ask(method === "PAGE" ? "GET" : method, target, body);
      const altered = reply.status < 400 && altersThese;
      let got = answerOf(reply);
      // A wrong one-time code is refused to everybody alike: the route itself is open.
      if (name === "POST /api/session/code" && reply.json.failed === "code_over") got = "yes";
      // Who has begun already may begin, but not twice.
      if (/^(POST|PUT) \/api\/assignments\/\[id\]\/group$/.test(name) && reply.status === 409) got = "yes";
      // What has not come back cannot be answered yet: it is asked about by those who may.
      if (/\/(replies|reviews|moderation)$/.test(path) && reply.status === 409) got = "yes";
      // What was written in has its own history: that is said to those who may.
      if (name === "POST /api/timelines/[id]/history" && reply.status === 409) got = "yes";
      // Nobody reports their own words.
      if (/\/reports$/.test(name) && reply.status === 409) got = "yes";
      // A sign-on that nobody has begun is over for everybody.
      if (/^(GET \/api\/sign-on\/back|POST \/api\/sign-on\/claim)$/.test(name) && reply.status === 410) got = "yes";
      if (name === "POST /api/sign-on/out" && reply.status === 400) got = "yes";
      // A link that is over is over for everybody, and what was not begun cannot be ended.
      if (/^POST \/api\/session\/link\/open$|^PUT \/api\/account\/address$/.test(name) && reply.status === 410)
        got = "yes";
      if (name === "PUT /api/account/steps" && reply.status === 409) got = "yes";
      // A link that asks for nothing says so to everybody alike.
      if (name === "POST /api/send/[token]" && reply.status === 410) got = "yes";
      // Whoever comes from no known platform is told so, whoever they are.
      if (path.startsWith("/api/lti/") && reply.status === 400) got = "yes";
      // The media of the table is a picture, and only a video has a still: it is asked about by those who may.
      if (path.endsWith("still") && reply.status === 415) got = "yes";
      return { got, altered };
    };
    // Those who are refused are asked first: that alters nothing. Whoever may is asked where others did it before; only where
    // that was in the way (what is deleted is gone), or where the deed gives somebody a right, with a class of their own.
    const givesRights = /people|editors|classmates|join|invitation|teachers|members|group|suggestions/.test(path);
    const all = ACTORS.map((actor, i) => ({ actor, expected: row[i]! }));
    // Who is somebody new each time is the same, whoever they stand for.
    const standsFor = ({ actor, expected }: (typeof all)[number]) =>
      own ? expected : alone ? `${actor === "nobody"} ${expected}` : actor;
    const inOrder = [...new Map(all.map((one) => [standsFor(one), one])).values()].sort(
      (a, b) => Number(a.expected === "yes") - Number(b.expected === "yes"),
    );
    let shared: Awaited<ReturnType<typeof setUp>> | null = null;
    let pristine = true;
    for (const { actor, expected } of inOrder) {
      shared ??= await forThis();
      let answer = await answerTo(actor, shared);
      if (answer.got !== expected && !pristine) {
        shared = await forThis();
        answer = await answerTo(actor, shared);
      }
      if (answer.got !== expected) wrong.push(`${name} as ${actor}: ${answer.got}, not ${expected}`);
      if (!answer.altered) continue;
      pristine = givesRights;
      if (givesRights) shared = null;
    }
  };
  // A few at a time.
  const left = Object.entries(ACCESS);
  await Promise.all(
    Array.from({ length: 4 }, async () => {
      for (let next = left.shift(); next; next = left.shift()) await askAll(...next);
    }),
  );
  expect(wrong).toEqual([]);
});

test("a request from another site is refused, whatever cookie comes with it", async () => {
  const nia = await person("Nia");
  const statusFrom = async (origin: string) =>
    (await nia.ask("POST", "/api/timelines", { title: "x", subject: "" }, { Origin: origin })).status;
  for (const origin of ["https://elsewhere.example", "null", "http://localhost:1"])
    expect([origin, await statusFrom(origin)]).toEqual([origin, 403]);
  expect(await statusFrom(serverUrl())).toBe(200);
});

test("what only its editors may see has no back door", async () => {
  const [nia, stranger] = [await person("Nia"), await person("Stranger")];
  const id = await nia.timeline();
  const { publication } = await nia.must<{ publication: { address: string } }>(
    "PUT",
    `/api/timelines/${id}/publication`,
    { visibility: "only_me", fresh: true },
  );
  expect((await stranger.ask("GET", `/t/${publication.address}`)).status).toBe(404);
  expect((await nia.ask("GET", `/t/${publication.address}`)).status).toBe(200);
});
