import { createHash } from "node:crypto";
import { nanoid } from "nanoid";
import { describe, expect, it } from "vitest";
import { apply } from "@/core/change/apply";
import type { Op } from "@/core/change/change";
import { toFrozen } from "@/core/formats/frozen";
import { toBase64 } from "@/core/text/base64";
import { descriptionFrom } from "@/core/text/write-description";
import { readWhen } from "@/core/time/read/read-when";
import { UNDATED } from "@/core/time/when";
import { emptyTimeline } from "@/core/timeline/timeline";
import { askToLeave, deleteAccount, exportOf, leavingOf, stay } from "./accounts/account";
import { sendLetters } from "./mail/outgoing";
import { countOpened, writeOpened } from "./publishing/opened";
import { chooseWord } from "./publishing/short-link";
import { openSession } from "./accounts/sessions";
import { createAssignment } from "./classes/assignment";
import { addClassmate, beginAssignment } from "./classes/begin";
import { alterClass, createClass, findClass } from "./classes/class";
import { joinAsMe } from "./classes/join-class";
import { groupsOf, saveMark } from "./classes/marking";
import { findSubmission } from "./classes/open-submission";
import { ownWork, submit } from "./classes/submit";
import { db } from "./db/pool";
import { isFailure } from "./http/failure";
import { makePerson, makeTimeline, withTestDatabase } from "./testing/test-database";
import { tidy } from "./tidy";
import { setDeleted } from "./timelines/create";
import { makeFrozenCopy } from "./timelines/frozen-copy";
import { findPage, storePage } from "./publishing/versions";
import { publish } from "./publishing/publish";
import { changesAfter, findTimeline } from "./timelines/queries";
import { takeChange } from "./timelines/take-change";

withTestDatabase("tidy");

const DAY = 86_400_000;
const days = (n: number) => new Date(Date.now() + n * DAY);
function must<T>(value: T): Exclude<T, { failed: string }> {
  if (isFailure(value)) throw new Error(value.failed);
  return value as Exclude<T, { failed: string }>;
}
const edit = async (t: string, author: string, ...ops: Op[]) =>
  must(await takeChange(t, { id: nanoid(), author, base: 0, ops }));
const rows = async (t: string) => {
  const [row] = await db()<{ n: number }[]>`
    select (select count(*) from timeline where id = ${t}) + (select count(*) from change where timeline_id = ${t})
      + (select count(*) from event where timeline_id = ${t}) + (select count(*) from version where timeline_id = ${t}) as n`;
  return Number(row!.n);
};
const SECRET = "a secret nobody is to read again";

async function handedIn() {
  const [teacher, nia, obi] = [await makePerson("Ms Ward"), await makePerson("Nia"), await makePerson("Obi")];
  const klass = must(await createClass(teacher.id, "8B")).id;
  const code = (await findClass(klass))!.joinCode!;
  for (const p of [nia, obi]) must(await joinAsMe(p.id, code));
  const assignment = must(
    await createAssignment(teacher.id, {
      class: klass,
      title: "Crossings",
      instructions: "",
      period: UNDATED,
      requirements: [{ kind: "events", count: 1 }],
      given: [],
      total: 20,
      dueAt: days(1).toISOString(),
    }),
  ).id;
  const { timeline } = must(await beginAssignment(assignment, nia.id));
  must(await addClassmate(timeline, nia.id, obi.id));
  await edit(timeline, nia.id, { kind: "add_event", id: "e1", fields: { title: SECRET } });
  must(await submit(timeline, nia.id));
  const submission = (await ownWork(timeline))!.submission!.id;
  must(
    await saveMark(submission, teacher.id, { points: 5, comment: SECRET, comments: [{ event: "e1", text: SECRET }] }),
  );
  return { teacher, nia, obi, klass, assignment, timeline, submission };
}

/** Whether a text stands anywhere in the database, in whatever table. */
async function isAnywhere(text: string): Promise<string[]> {
  const columns = await db()<{ table: string; column: string }[]>`
    select table_name as table, column_name as column from information_schema.columns
    where table_schema = 'public' and data_type in ('text', 'jsonb', 'bytea', 'ARRAY')`;
  const found: string[] = [];
  const hex = Buffer.from(text).toString("hex");
  for (const { table, column } of columns) {
    const values = await db().unsafe<{ value: string | null }[]>(`select "${column}"::text as value from "${table}"`);
    if (values.some((v) => v.value?.includes(text) || v.value?.includes(hex))) found.push(`${table}.${column}`);
  }
  return found;
}

describe("the regular job", () => {
  it("removes sessions, tries, codes and pages that are over, and leaves the rest", async () => {
    const nia = await makePerson();
    const t = await makeTimeline(nia.id);
    await edit(t, nia.id, { kind: "add_event", id: "e1", fields: { title: "Ferry" } });
    must(await publish(t, nia.id, { visibility: "link" }, true));
    const [version] = await db()<{ id: string }[]>`select id from version where timeline_id = ${t}`;
    for (const name of ["old", "old-listed", "now", "now-listed"])
      await storePage(version!.id, name, { html: "", etag: `"${name}"`, policy: "" });
    await openSession(db(), nia.id);
    await db()`update session set expires_at = now() - interval '1 day' where account_id = ${nia.id}`;
    await openSession(db(), nia.id);
    await db()`insert into sign_in_attempt (name, failures, last_at) values ('old', 9, now() - interval '2 days'), ('new', 9, now())`;
    await db()`insert into tried (name, level, at) values ('old', 9, now() - interval '2 days'), ('new', 9, now())`;
    const done = await tidy("now");
    expect(done).toMatchObject({ sessions: 2, tries: 2, pages: 2 });
    expect(await db()`select from session where account_id = ${nia.id}`).toHaveLength(1);
    expect(await db()`select from sign_in_attempt where name = 'new'`).toHaveLength(1);
    expect([await findPage(version!.id, "old"), (await findPage(version!.id, "now-listed"))?.etag]).toEqual([
      null,
      '"now-listed"',
    ]);
    expect(await tidy("now")).toMatchObject({ sessions: 0, tries: 0, pages: 0 });
  });

  it("destroys a timeline when its time in the bin is over, with all that was made of it, and no sooner", async () => {
    const nia = await makePerson();
    const t = await makeTimeline(nia.id);
    await edit(t, nia.id, { kind: "add_event", id: "e1", fields: { title: "Ferry" } });
    must(await publish(t, nia.id, { visibility: "link" }, true));
    must(await makeFrozenCopy(t, nia.id));
    await setDeleted(t, nia.id, true);
    expect((await tidy("now", days(29))).timelines).toBe(0);
    expect(await rows(t)).toBeGreaterThan(4);
    expect((await tidy("now", days(31))).timelines).toBe(1);
    expect(await rows(t)).toBe(0);
  });

  it("empties what was deleted in a timeline for good: rows, log and replaced values; a replay equals the rows", async () => {
    const nia = await makePerson();
    const t = await makeTimeline(nia.id, "Crossings");
    await edit(
      t,
      nia.id,
      { kind: "add_event", id: "gone", fields: { title: SECRET, shortTitle: SECRET, when: readWhen("1872") } },
      { kind: "add_event", id: "stays", fields: { title: "Ferry" } },
      { kind: "add_category", id: "c1", fields: { name: SECRET } },
      { kind: "add_item", id: "i1", fields: { of: "gone", list: "source", text: SECRET } },
      { kind: "add_item", id: "i2", fields: { of: "stays", list: "link", text: SECRET, address: SECRET } },
    );
    await edit(t, nia.id, { kind: "set_event", id: "gone", field: "title", value: `${SECRET} 2` });
    await edit(t, nia.id, { kind: "describe", of: "gone", update: toBase64(descriptionFrom([SECRET], 3)) });
    await edit(t, nia.id, { kind: "set_event", id: "stays", field: "partOf", value: "gone" });
    await edit(
      t,
      nia.id,
      { kind: "delete_event", id: "gone" },
      { kind: "delete_category", id: "c1" },
      { kind: "delete_item", id: "i2" },
    );
    expect((await tidy("now", days(20))).records).toBe(0);
    expect((await isAnywhere(SECRET)).length).toBeGreaterThan(3);
    expect((await tidy("now", days(31))).records).toBe(4);
    expect(await isAnywhere(SECRET)).toEqual([]);
    const there = (await findTimeline(t))!;
    const replayed = (await changesAfter(db(), t, 0)).reduce((s, c) => apply(s, c.ops).timeline, emptyTimeline(t));
    expect(there.timeline).toEqual(replayed);
    expect(toFrozen(there.timeline).events.map((e) => e.title)).toEqual(["Ferry"]);
    // It goes on from there.
    await edit(t, nia.id, { kind: "set_event", id: "stays", field: "title", value: "Rope ferry" });
    expect((await tidy("now", days(31))).records).toBe(0);
  });

  it("removes versions nobody shows any more, and keeps those that are shown", async () => {
    const nia = await makePerson();
    const t = await makeTimeline(nia.id, "Crossings");
    for (const title of ["one", "two", "three"]) {
      await edit(t, nia.id, { kind: "add_event", id: title, fields: { title } });
      must(await publish(t, nia.id, { visibility: "link" }, true));
    }
    must(await makeFrozenCopy(t, nia.id));
    expect((await tidy("now", days(31))).versions).toBe(2);
    expect(await db()`select from version where timeline_id = ${t}`).toHaveLength(2);
  });
});

describe("a submission", () => {
  it("is destroyed whole when its class no longer keeps it, with mark and comments", async () => {
    const s = await handedIn();
    must(await alterClass(s.klass, s.teacher.id, { retentionMonths: 6 }));
    expect((await tidy("now", days(170))).submissions).toBe(0);
    expect((await tidy("now", days(190))).submissions).toBe(1);
    expect(await findSubmission(s.submission)).toBeNull();
    expect((await isAnywhere(SECRET)).filter((c) => !/^(event|change)\./.test(c))).toEqual([]);
    // The living timeline is the group's own.
    expect((await findTimeline(s.timeline))!.timeline.events.get("e1")!.title).toBe(SECRET);
    await setDeleted(s.timeline, s.nia.id, true);
    await tidy("now", days(31));
    expect(await isAnywhere(SECRET)).toEqual([]);
  });

  it("outlives the deletion of its draft, unchanged, until then", async () => {
    const s = await handedIn();
    const before = (await findSubmission(s.submission))!;
    await setDeleted(s.timeline, s.nia.id, true);
    await tidy("now", days(31));
    expect(await db()`select from event where timeline_id = ${s.timeline}`).toHaveLength(0);
    const after = (await findSubmission(s.submission))!;
    expect([after.hash, after.content, after.members]).toEqual([before.hash, before.content, before.members]);
    const [row] = await db()<{ content: string; json: string; hash: string }[]>`
      select s.content, v.hash as json, s.hash from submission s join version v on v.id = s.version_id where s.id = ${s.submission}`;
    expect(createHash("sha256").update(row!.json).update(row!.content).digest("hex")).toBe(row!.hash);
    expect(row!.content).not.toContain("Obi");
    expect((await groupsOf(s.assignment, async () => [])).map((g) => g.members)).toEqual([["Nia", "Obi"]]);
    expect((await tidy("now", days(800))).submissions).toBe(1);
    expect(await rows(s.timeline)).toBe(0);
  });

  it("loses a name, and nothing else, with its account", async () => {
    const s = await handedIn();
    const before = (await findSubmission(s.submission))!;
    await deleteAccount(s.obi.id);
    const after = (await findSubmission(s.submission))!;
    expect(after.members).toEqual(["Nia", "Deleted account"]);
    expect([after.hash, after.content]).toEqual([before.hash, before.content]);
  });
});

describe("an account", () => {
  it("goes with what is only its own; what is shared passes on", async () => {
    const [nia, obi] = [await makePerson("Nia Unmistakable"), await makePerson("Obi")];
    const [own, shared] = [await makeTimeline(nia.id), await makeTimeline(nia.id)];
    for (const t of [own, shared]) await edit(t, nia.id, { kind: "add_event", id: "e1", fields: { title: "Ferry" } });
    must(await publish(own, nia.id, { visibility: "everybody" }, true));
    await db()`insert into editor (timeline_id, account_id, role) values (${shared}, ${obi.id}, 'editor')`;
    const everything = JSON.parse((await exportOf(nia.id))!) as {
      account: object;
      timelines: { timeline: { events: { title: string }[] } }[];
    };
    expect(everything.timelines.map((t) => t.timeline.events[0]!.title)).toEqual(["Ferry", "Ferry"]);
    must(await chooseWord(own, nia.id, "unmistakable-word"));
    await sendLetters([{ account: nia.id, to: "unmistakable@b.example", subject: "Unmistakable", body: "Look." }]);
    countOpened(own);
    await writeOpened();
    expect(await askToLeave(nia.id, "under-the-ambrel")).toMatchObject({ failed: "wrong_own_password" });
    expect(await leavingOf(nia.id)).toMatchObject({ deleteAt: null, goes: ["Crossings"], passes: [{ to: "Obi" }] });
    // A week, in which one may change one's mind.
    must(await askToLeave(nia.id, "over-the-ambrel"));
    await tidy("now", days(6));
    expect(await rows(own)).toBeGreaterThan(0);
    await stay(nia.id);
    await tidy("now", days(8));
    expect(await rows(own)).toBeGreaterThan(0);
    must(await askToLeave(nia.id, "over-the-ambrel"));
    await tidy("now", days(8));
    expect(await isAnywhere("nmistakable")).toEqual([]);
    expect(await isAnywhere(own)).toEqual([]);
    expect(await rows(own)).toBe(0);
    expect(await db()`select role from editor where timeline_id = ${shared}`).toEqual([{ role: "owner" }]);
    expect(await isAnywhere("Nia Unmistakable")).toEqual([]);
    expect(await isAnywhere(nia.email)).toEqual([]);
    expect(await exportOf(nia.id)).toBeNull();
  });
});
