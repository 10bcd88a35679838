import { describe, expect, it } from "vitest";
import { noticesOf } from "../accounts/notices";
import { signIn } from "../accounts/sign-in";
import { db } from "../db/pool";
import { must, RUBRIC, school } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { findRight } from "../timelines/access";
import { createTimeline } from "../timelines/create";
import { alterAssignment, assignmentsOf, createAssignment, findAssignment, givenEventsOf } from "./assignment";
import { addClassmate, beginAssignment } from "./begin";
import { findClass, findClassRole, membersOf } from "./class";
import { extend, makeGroups, notBegun } from "./groups";
import { joinAsMe, useOneTimeCode } from "./join-class";
import { groupsOf, returnWork, saveMark } from "./marking";
import { findSubmission } from "./open-submission";
import { addTeacher, handOverLead, removeTeacher, teachersOf } from "./people";
import { addRoster, slipsAnew } from "./roster";
import { ownWork, submit } from "./submit";
import { teachingOf } from "./teaching";
import { archiveClass, nextYear, useAgain } from "./year";

withTestDatabase("year_of_class");

const none = async () => [];
const mail = async (id: string) =>
  (await db()<{ email: string }[]>`select email from account where id = ${id}`)[0]!.email;
const current = async (timeline: string) => (await ownWork(timeline))!.submission!.id;
const mark = (points: number | null, more = {}) => ({ points, comment: "", comments: [], ...more });
const inHours = (hours: number) => new Date(Date.now() + hours * 3_600_000).toISOString();

describe("who teaches a class", () => {
  it("a colleague does all but end it, an assistant sees and comments, and both can be taken out again", async () => {
    const s = await school();
    const [colleague, helper] = [await makePerson("Mr Reed"), await makePerson("Ms Fern")];
    must(await addTeacher(s.klass, s.teacher.id, await mail(colleague.id), "teacher"));
    must(await addTeacher(s.klass, colleague.id, (await mail(helper.id)).toUpperCase(), "assistant"));
    expect((await teachersOf(s.klass)).map((t) => [t.displayName, t.role])).toEqual([
      ["Ms Ward", "lead"],
      ["Mr Reed", "teacher"],
      ["Ms Fern", "assistant"],
    ]);
    expect((await noticesOf(helper.id))[0]!.text).toContain("give no marks");
    expect(await findClassRole(db(), s.klass, helper.id)).toBe("assistant");
    expect(await findRight(db(), s.timeline, helper.id)).toBe("comment");
    must(await submit(s.timeline, s.nia.id));
    const id = await current(s.timeline);
    // The assistant comments; points stay as they are.
    must(await saveMark(id, helper.id, { points: null, comment: "Look at 1783 again.", comments: [] }));
    expect(await saveMark(id, helper.id, mark(5))).toMatchObject({ failed: "assistants_comment" });
    expect(await returnWork(id, helper.id)).toMatchObject({ failed: "not_found" });
    expect(await archiveClass(s.klass, colleague.id, true)).toMatchObject({ failed: "lead_only" });
    expect(await archiveClass(s.klass, s.nia.id, true)).toMatchObject({ failed: "not_found" });
    must(await saveMark(id, colleague.id, mark(5)));
    must(await removeTeacher(s.klass, s.teacher.id, helper.id));
    expect(await findRight(db(), s.timeline, helper.id)).toBeNull();
    expect(await removeTeacher(s.klass, colleague.id, s.teacher.id)).toMatchObject({ failed: "lead_stays" });
    expect(await handOverLead(s.klass, colleague.id, colleague.id)).toMatchObject({ failed: "lead_only" });
    must(await handOverLead(s.klass, s.teacher.id, colleague.id));
    must(await removeTeacher(s.klass, s.teacher.id, s.teacher.id));
    expect((await teachersOf(s.klass)).map((t) => t.role)).toEqual(["lead"]);
    // What was marked stays.
    expect((await findSubmission(id))!.points).toBe(5);
  });

  it("says what is wrong with whom one would take in", async () => {
    const s = await school();
    const add = (who: string, role: "teacher" | "assistant" = "teacher") =>
      addTeacher(s.klass, s.teacher.id, who, role);
    expect(await add("nobody@school.example")).toMatchObject({ failed: "no_such_colleague" });
    expect(await add("no address")).toMatchObject({ failed: "email_malformed" });
    expect(await add(await mail(s.nia.id))).toMatchObject({ failed: "student_here" });
    expect(await add(await mail(s.teacher.id))).toMatchObject({ failed: "leads_already" });
    expect(await addTeacher(s.klass, s.nia.id, "a@b.example", "teacher")).toMatchObject({ failed: "not_found" });
  });
});

describe("a list of students", () => {
  it("makes accounts that come in by the code of their slip, and choose a password then", async () => {
    const s = await school();
    const list = [
      { displayName: "Ada", note: "Ada Byron" },
      { displayName: "Ada", note: "Ada Cole" },
      { displayName: "Jonas", note: "" },
    ];
    const { slips, there } = must(await addRoster(s.klass, s.teacher.id, list));
    expect([slips.length, there]).toEqual([3, 0]);
    expect(new Set(slips.map((x) => x.signInName)).size).toBe(3);
    // Once more: they are there already.
    expect(must(await addRoster(s.klass, s.teacher.id, list))).toMatchObject({ slips: [], there: 3 });
    const members = await membersOf(s.klass);
    expect(members.filter((m) => m.waits).map((m) => m.note)).toEqual(
      expect.arrayContaining(["Ada Byron", "Ada Cole"]),
    );
    const ada = slips[0]!;
    // No password lets anybody in before one is chosen.
    for (const password of ["closed", "", "over-the-ambrel"])
      expect(await signIn(ada.signInName, password)).toHaveProperty("failed");
    must(await useOneTimeCode({ name: ada.signInName, code: ada.code, password: "three-blue-ferries" }));
    must(await signIn(ada.signInName, "three-blue-ferries"));
    expect((await membersOf(s.klass)).filter((m) => m.waits)).toHaveLength(2);
    // New slips for the others; the old codes end.
    const again = must(await slipsAnew(s.klass, s.teacher.id)).slips;
    expect(again.map((x) => x.note).sort()).toEqual(["", "Ada Cole"]);
    expect(
      await useOneTimeCode({ name: slips[1]!.signInName, code: slips[1]!.code, password: "three-blue-ferries" }),
    ).toMatchObject({ failed: "code_over" });
  });

  it("of 5,000 rows, with a blank name, or of somebody else's class adds nobody", async () => {
    const s = await school();
    const many = Array.from({ length: 5_000 }, (_, i) => ({ displayName: `Pupil ${i}`, note: "" }));
    expect(await addRoster(s.klass, s.teacher.id, many)).toMatchObject({ failed: "roster_too_long" });
    expect(await addRoster(s.klass, s.teacher.id, [{ displayName: " ", note: "" }])).toMatchObject({
      failed: "roster_name_missing",
    });
    expect(await addRoster(s.klass, s.nia.id, [{ displayName: "Ada", note: "" }])).toMatchObject({
      failed: "not_found",
    });
    expect(await membersOf(s.klass)).toHaveLength(3);
  });

  it("and a join code used by 200 at once lets each in once", async () => {
    const s = await school();
    const people = await Promise.all(Array.from({ length: 200 }, (_, i) => makePerson(`Pupil ${i}`)));
    const joined = await Promise.all(people.map((p) => joinAsMe(p.id, s.code)));
    expect(joined.every((j) => !("failed" in j))).toBe(true);
    expect(await membersOf(s.klass)).toHaveLength(203);
  });
});

describe("a school year", () => {
  it("ends: nobody joins, begins or hands in, all is still seen; and is taken back", async () => {
    const s = await school();
    must(await archiveClass(s.klass, s.teacher.id, true));
    expect(await joinAsMe((await makePerson("Late")).id, s.code)).toMatchObject({ failed: "no_such_code" });
    expect(await submit(s.timeline, s.nia.id)).toMatchObject({ failed: "year_over" });
    expect(await beginAssignment(s.assignment, s.obi.id)).toMatchObject({ failed: "year_over" });
    expect(await findRight(db(), s.timeline, s.teacher.id)).toBe("comment");
    expect(await teachingOf(s.teacher.id, none)).toEqual([]);
    must(await archiveClass(s.klass, s.teacher.id, false));
    must(await submit(s.timeline, s.nia.id));
  });

  it("is followed by the next with the same set-up, a year later and without students", async () => {
    const s = await school(3_600, { options: { lateRule: "refused", rubric: RUBRIC, grouping: "single" } });
    const next = must(await nextYear(s.klass, s.teacher.id, "History 8B, next year")).id;
    const [was, now] = [(await findAssignment(s.assignment))!, (await assignmentsOf(next))[0]!];
    expect(now).toMatchObject({ title: was.title, requirements: was.requirements, options: was.options, total: 20 });
    expect(now.dueAt.getUTCFullYear()).toBe(was.dueAt.getUTCFullYear() + 1);
    expect((await givenEventsOf(now.id)).map((g) => g.title)).toEqual(
      (await givenEventsOf(s.assignment)).map((g) => g.title),
    );
    expect([await membersOf(next), (await findClass(next))!.follows]).toEqual([[], s.klass]);
    expect(await nextYear(s.klass, s.nia.id, "Mine")).toMatchObject({ failed: "not_found" });
    // And one assignment is set again in a class of theirs, in no other.
    must(await useAgain(s.assignment, s.teacher.id, next));
    expect(await assignmentsOf(next)).toHaveLength(2);
    expect(await useAgain(s.assignment, s.obi.id, next)).toMatchObject({ failed: "not_found" });
  });
});

describe("groups and time", () => {
  it("made by the teacher: nobody begins alone, nobody is in two, and they are told", async () => {
    const s = await school();
    const set = must(
      await createAssignment(s.teacher.id, {
        ...(await inputOf(s.assignment)),
        class: s.klass,
        options: { grouping: "teacher" },
      }),
    ).id;
    expect(await beginAssignment(set, s.nia.id)).toMatchObject({ failed: "groups_by_teacher" });
    expect((await notBegun(set)).map((p) => p.displayName)).toEqual(["Nia", "Obi", "Wren"]);
    expect(await makeGroups(set, s.nia.id, [[s.nia.id]])).toMatchObject({ failed: "not_found" });
    expect(await makeGroups(set, s.teacher.id, [[s.nia.id], [s.nia.id]])).toMatchObject({ failed: "twice_in_groups" });
    expect(await makeGroups(set, s.teacher.id, [[]])).toMatchObject({ failed: "groups_empty" });
    expect(await makeGroups(set, s.teacher.id, [[s.teacher.id]])).toMatchObject({ failed: "begun_meanwhile" });
    expect(must(await makeGroups(set, s.teacher.id, [[s.nia.id, s.obi.id], [s.wren.id]]))).toEqual({ made: 2 });
    expect((await noticesOf(s.obi.id)).at(-1)!.text).toContain("with Nia");
    expect((await groupsOf(set, none)).map((g) => g.members.length)).toEqual([2, 1]);
    expect(await makeGroups(set, s.teacher.id, [[s.nia.id]])).toMatchObject({ failed: "begun_meanwhile" });
  });

  it("each alone: nobody is taken into a group", async () => {
    const s = await school(3_600, { options: { grouping: "single" } });
    expect(await addClassmate(s.timeline, s.nia.id, s.obi.id)).toMatchObject({ failed: "works_alone" });
  });

  it("nothing is taken after the due time where that is said, but from whom was given more", async () => {
    const s = await school(-60, { options: { lateRule: "refused" } });
    expect(await submit(s.timeline, s.nia.id)).toMatchObject({ failed: "too_late_to_submit" });
    expect(await extend(s.assignment, s.nia.id, [s.nia.id], inHours(2))).toMatchObject({ failed: "not_found" });
    expect(await extend(s.assignment, s.teacher.id, [s.nia.id], inHours(-48))).toMatchObject({
      failed: "extension_not_later",
    });
    must(await extend(s.assignment, s.teacher.id, [s.nia.id], inHours(2)));
    expect((await ownWork(s.timeline))!.assignment.dueAt > new Date().toISOString()).toBe(true);
    expect((await groupsOf(s.assignment, none))[0]!.extended).not.toBeNull();
    must(await submit(s.timeline, s.nia.id));
    expect((await ownWork(s.timeline))!.submission!.late).toBe(0);
    expect((await noticesOf(s.nia.id)).some((n) => n.text.includes("you have more time"))).toBe(true);
  });

  it("a model is seen from the beginning, or once one's own work came back", async () => {
    const s = await school();
    const model = must(await createTimeline(s.teacher.id, { title: "As it may be done", subject: "" })).id;
    const input = { ...(await inputOf(s.assignment)), class: s.klass };
    must(await alterAssignment(s.assignment, s.teacher.id, { ...input, options: { model, modelShown: "before" } }));
    expect(await findRight(db(), model, s.obi.id)).toBe("read");
    expect((await ownWork(s.timeline))!.assignment.model).toBe(model);
    must(await alterAssignment(s.assignment, s.teacher.id, { ...input, options: { model, modelShown: "after" } }));
    expect(await findRight(db(), model, s.nia.id)).toBeNull();
    must(await submit(s.timeline, s.nia.id));
    must(await saveMark(await current(s.timeline), s.teacher.id, mark(5)));
    must(await returnWork(await current(s.timeline), s.teacher.id));
    expect([await findRight(db(), model, s.nia.id), await findRight(db(), model, s.obi.id)]).toEqual(["read", null]);
    expect(
      await alterAssignment(s.assignment, s.teacher.id, {
        ...input,
        options: { model: s.timeline, modelShown: "before" },
      }),
    ).toMatchObject({ failed: "assignment_incomplete" });
  });
});

/** An assignment as it was set, to be set otherwise. */
async function inputOf(assignment: string) {
  const a = (await findAssignment(assignment))!;
  return {
    title: a.title,
    instructions: a.instructions.blocks,
    period: a.period,
    requirements: a.requirements,
    given: [],
    total: a.total,
    dueAt: a.dueAt.toISOString(),
  };
}
