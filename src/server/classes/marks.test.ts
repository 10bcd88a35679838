import { describe, expect, it } from "vitest";
import type { Lack } from "@/core/check/requirements";
import { speakIn } from "@/core/language/spoken";
import { deleteAccount } from "../accounts/account";
import { learnLanguages } from "../language/speaking";
import { noticesOf } from "../accounts/notices";
import { db } from "../db/pool";
import { must, RUBRIC, school } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { beginAssignment } from "./begin";
import { keepComment, keptComments } from "./kept-comments";
import { groupsOf, holdUntil, releaseHeld, returnAll, returnWork, saveMark } from "./marking";
import { findSubmission } from "./open-submission";
import { addTeacher } from "./people";
import { answer, ask, questionsOf } from "./questions";
import { reply, repliesTo } from "./replies";
import { keepRubric, rubricsOf } from "./rubrics";
import { asideOf, setAside } from "./set-aside";
import { findSubmissionRef, namesFor } from "./submission-ref";
import { ownWork, submit } from "./submit";
import { teachingOf } from "./teaching";

withTestDatabase("marks");

const none = async () => [];
const mail = async (id: string) =>
  (await db()<{ email: string }[]>`select email from account where id = ${id}`)[0]!.email;
const current = async (timeline: string) => (await ownWork(timeline))!.submission!.id;
const mark = (points: number | null, more = {}) => ({ points, comment: "", comments: [], ...more });

describe("marks", () => {
  it("by two teachers at once do not write over each other, and what was given back is changed with a reason", async () => {
    const s = await school(3_600, { options: { rubric: RUBRIC } });
    const colleague = await makePerson("Mr Reed");
    must(await addTeacher(s.klass, s.teacher.id, await mail(colleague.id), "teacher"));
    must(await submit(s.timeline, s.nia.id));
    const id = await current(s.timeline);
    const first = must(await saveMark(id, s.teacher.id, mark(10, { levels: [0], base: 0 })));
    expect(await saveMark(id, colleague.id, mark(4, { levels: [1], base: 0 }))).toMatchObject({
      failed: "marked_meanwhile",
    });
    // The same teacher in another tab goes on.
    must(await saveMark(id, s.teacher.id, mark(20, { levels: [0], base: 0 })));
    must(await returnWork(id, s.teacher.id));
    expect(first.version).toBe(1);
    expect(await saveMark(id, colleague.id, mark(4, { levels: [1], base: 2 }))).toMatchObject({
      failed: "mark_needs_reason",
    });
    must(await saveMark(id, colleague.id, mark(4, { levels: [1], base: 2, reason: "Found in the toll book." })));
    expect((await ownWork(s.timeline))!.returned).toMatchObject({
      points: 4,
      levels: [1],
      rubric: RUBRIC,
      earlier: [{ points: 20, reason: "Found in the toll book." }],
    });
    // A comment needs no reason.
    must(await saveMark(id, colleague.id, { ...mark(4), comment: "See me." }));
  });

  it("without names: a number stands for a group until it has its work back", async () => {
    const s = await school(3_600, { options: { blind: true } });
    must(await submit(s.timeline, s.nia.id));
    const id = await current(s.timeline);
    expect((await groupsOf(s.assignment, none))[0]).toMatchObject({
      members: ["Work 1"],
      accounts: [],
      timeline: null,
    });
    expect((await findSubmission(id))!.members.join()).not.toContain("Nia");
    const ref = (await findSubmissionRef(id))!;
    expect([await namesFor(ref, s.teacher.id), await namesFor(ref, s.nia.id)]).toEqual([
      "Names are hidden until it is given back",
      "Nia",
    ]);
    must(await saveMark(id, s.teacher.id, mark(9)));
    must(await returnWork(id, s.teacher.id));
    expect((await groupsOf(s.assignment, none))[0]!.members).toEqual(["Nia"]);
    expect(await namesFor((await findSubmissionRef(id))!, s.teacher.id)).toBe("Nia");
  });

  it("without names: a number is the same on every page, and stays when others have their work back", async () => {
    const s = await school(3_600, { options: { blind: true } });
    const timelines = [s.timeline];
    for (const p of [s.obi, s.wren]) timelines.push(must(await beginAssignment(s.assignment, p.id)).timeline);
    for (const [i, p] of [s.nia, s.obi, s.wren].entries()) must(await submit(timelines[i]!, p.id));
    const onDesk = async () =>
      new Map((await groupsOf(s.assignment, none)).map((r) => [r.submission, r.members.join()] as const));
    const before = await onDesk();
    expect([...before.values()]).toEqual(["Work 1", "Work 2", "Work 3"]);
    const atAGlance = (await teachingOf(s.teacher.id, none))[0]!.toMark;
    expect(atAGlance.map((w) => w.names)).toEqual(["Work 1", "Work 2", "Work 3"]);
    for (const w of atAGlance) expect(before.get(w.href.split("s=")[1]!)).toBe(w.names);
    const [first] = [...before].find(([, name]) => name === "Work 1")!;
    must(await saveMark(first!, s.teacher.id, mark(9)));
    must(await returnWork(first!, s.teacher.id));
    const after = await onDesk();
    for (const [id, name] of before) if (id !== first) expect(after.get(id)).toBe(name);
  });

  it("are held until a day, so that all see theirs at once", async () => {
    const s = await school();
    const other = must(await beginAssignment(s.assignment, s.obi.id)).timeline;
    for (const [timeline, who] of [
      [s.timeline, s.nia],
      [other, s.obi],
    ] as const) {
      must(await submit(timeline, who.id));
      must(await saveMark(await current(timeline), s.teacher.id, mark(9)));
    }
    expect(await holdUntil(s.assignment, s.nia.id, new Date())).toMatchObject({ failed: "not_found" });
    must(await holdUntil(s.assignment, s.teacher.id, new Date(Date.now() + 3_600_000)));
    expect(await returnWork(await current(s.timeline), s.teacher.id)).toEqual({ returned: false });
    must(await returnAll(s.assignment, s.teacher.id));
    expect([(await ownWork(s.timeline))!.returned, (await ownWork(other))!.returned]).toEqual([null, null]);
    expect((await groupsOf(s.assignment, none))[0]!.heldUntil).not.toBeNull();
    expect(await releaseHeld()).toBe(0);
    // The day has come.
    await db()`update mark set hold_until = now() - interval '1 second' where hold_until is not null`;
    expect(await releaseHeld()).toBe(2);
    expect([(await ownWork(s.timeline))!.returned!.points, (await ownWork(other))!.returned!.points]).toEqual([9, 9]);
  });

  it("are answered by the group and by the teacher, once they are back, by nobody else", async () => {
    const s = await school();
    must(await submit(s.timeline, s.nia.id));
    const id = await current(s.timeline);
    expect(await reply(id, s.nia.id, "Why?")).toMatchObject({ failed: "not_returned_yet" });
    must(await saveMark(id, s.teacher.id, mark(9)));
    must(await returnWork(id, s.teacher.id));
    must(await reply(id, s.nia.id, "Why not 10?"));
    must(await reply(id, s.teacher.id, "The date of 1783."));
    expect(await reply(id, s.obi.id, "Me too")).toMatchObject({ failed: "not_found" });
    expect(await reply(id, s.nia.id, "  ")).toMatchObject({ failed: "reply_empty" });
    expect((await repliesTo(id)).map((r) => [r.by, r.byTeacher, r.text])).toEqual([
      ["Nia", false, "Why not 10?"],
      ["Ms Ward", true, "The date of 1783."],
    ]);
    expect((await noticesOf(s.teacher.id)).some((n) => n.text.includes("Why not 10?"))).toBe(true);
    expect((await noticesOf(s.nia.id)).some((n) => n.text.includes("The date of 1783."))).toBe(true);
  });
});

describe("being stuck", () => {
  it("is asked at an event and answered there; what was set aside is read with its reason", async () => {
    const s = await school();
    const [event] = await db()<{ id: string }[]>`select id from event where timeline_id = ${s.timeline} limit 1`;
    must(await ask(s.timeline, s.nia.id, event!.id, "Old or new calendar?"));
    expect(await ask(s.timeline, s.obi.id, "", "Me?")).toMatchObject({ failed: "not_found" });
    expect(await ask(s.timeline, s.nia.id, "gone", "Where?")).toMatchObject({ failed: "not_found" });
    expect(await ask(s.timeline, s.nia.id, "", "")).toMatchObject({ failed: "question_empty" });
    const [q] = await questionsOf(s.timeline);
    expect(await answer(q!.id, s.nia.id, "New")).toMatchObject({ failed: "not_found" });
    expect((await groupsOf(s.assignment, none))[0]!.questions).toBe(1);
    expect((await teachingOf(s.teacher.id, none))[0]!.asked).toMatchObject([{ names: "Nia", questions: 1 }]);
    must(await answer(q!.id, s.teacher.id, "New."));
    expect((await ownWork(s.timeline))!.questions).toMatchObject([
      { event: event!.id, by: "Nia", text: "Old or new calendar?", answer: "New.", answeredBy: "Ms Ward" },
    ]);
    expect((await groupsOf(s.assignment, none))[0]!.questions).toBe(0);
    must(await setAside(s.timeline, s.nia.id, "no_credit i1", "Drawn by me."));
    expect(await setAside(s.timeline, s.nia.id, "no_credit i1", " ")).toMatchObject({ failed: "reason_missing" });
    expect(await setAside(s.timeline, s.obi.id, "no_credit i1", "x")).toMatchObject({ failed: "not_found" });
    must(await submit(s.timeline, s.nia.id));
    expect((await findSubmission(await current(s.timeline)))!.aside).toEqual(["Drawn by me."]);
    must(await setAside(s.timeline, s.nia.id, "no_credit i1", null));
    expect(await asideOf(s.timeline)).toEqual({});
  });
});

describe("what a teacher keeps", () => {
  it("rubrics by name, comments by how often they are used; each their own", async () => {
    const s = await school();
    must(await keepRubric(s.teacher.id, RUBRIC));
    must(await keepRubric(s.teacher.id, { ...RUBRIC, name: "crossing" }));
    expect((await rubricsOf(s.teacher.id)).map((r) => r.rubric.name)).toEqual(["crossing"]);
    expect(await rubricsOf(s.nia.id)).toEqual([]);
    expect(await keepRubric(s.teacher.id, { ...RUBRIC, name: " " })).toMatchObject({ failed: "rubric_name_missing" });
    for (const text of ["Good", "Say more", "Say more"]) must(await keepComment(s.teacher.id, text));
    expect((await keptComments(s.teacher.id)).map((c) => c.text)).toEqual(["Say more", "Good"]);
    expect(await keepComment(s.teacher.id, "")).toMatchObject({ failed: "comment_empty" });
  });
});

it("with an account goes what classes keep of it alone; what was said to others stays, without the name", async () => {
  const s = await school();
  must(await keepRubric(s.teacher.id, RUBRIC));
  must(await keepComment(s.teacher.id, "Say more"));
  must(await ask(s.timeline, s.nia.id, "", "Old or new calendar?"));
  const [q] = await questionsOf(s.timeline);
  must(await answer(q!.id, s.teacher.id, "New."));
  await db()`insert into lti_account (platform, subject, account_id) values ('p', 'ward', ${s.teacher.id})`;
  await deleteAccount(s.teacher.id);
  for (const table of ["rubric", "kept_comment", "lti_account", "lti_choice", "extension"])
    expect(await db()`select from ${db()(table)} where account_id = ${s.teacher.id}`, table).toEqual([]);
  expect((await questionsOf(s.timeline))[0]).toMatchObject({ answer: "New.", answeredBy: "Deleted account" });
});

describe("the teacher's page of all classes", () => {
  it("says who is late, stuck and waits, in few queries however many classes", async () => {
    const s = await school(86_400);
    must(await beginAssignment(s.assignment, s.obi.id));
    await db()`update timeline set altered_at = now() - interval '4 days' where id = ${s.timeline}`;
    await db()`update assignment set created_at = now() - interval '9 days' where id = ${s.assignment}`;
    const behind = async () => [
      {
        requirement: { kind: "events" as const, count: 3 },
        met: false,
        have: 0,
        need: 3,
        events: [],
        missing: "3 more events",
        lacks: [["moreEvents", 3] as Lack],
      },
    ];
    const [glance] = await teachingOf(s.teacher.id, behind);
    expect(glance).toMatchObject({ name: "History 8B", members: 3, toMark: [], late: [] });
    expect(glance!.stuck.map((w) => [w.names, w.standing.code, w.kinds])).toEqual([
      ["Nia", "behind", ["3 more events"]],
      ["Obi", "behind", ["3 more events"]],
      ["Wren", "idle", []],
    ]);
    // What was found out for somebody who speaks English is said to each in theirs.
    learnLanguages();
    const [german] = await speakIn("de", () => teachingOf(s.teacher.id, behind));
    expect(german!.stuck[0]!.kinds).toEqual(["noch 3 Ereignisse"]);
    must(await submit(s.timeline, s.nia.id));
    await db()`update assignment set due_at = now() - interval '2 hours' where id = ${s.assignment}`;
    const [later] = await teachingOf(s.teacher.id, behind);
    expect(later!.toMark.map((w) => w.names)).toEqual(["Nia"]);
    expect(later!.late.map((w) => w.names)).toEqual(["Obi", "Wren"]);
    expect(await teachingOf(s.nia.id, none)).toEqual([]);
  });
});
