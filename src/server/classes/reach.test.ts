import { describe, expect, it } from "vitest";
import { isFailure } from "../http/failure";
import { db } from "../db/pool";
import { must, school } from "../testing/school";
import { makePerson, makeTimeline, withTestDatabase } from "../testing/test-database";
import { setDeleted } from "../timelines/create";
import { createClass, findClass, findClassRole } from "./class";
import { storeDrawing, storedDrawings, drawingsIn } from "./drawings";
import { addStudent, enterClass, openClass } from "./enter-class";
import { joinAsMe } from "./join-class";
import { assignmentsHandedIn, markBackOf } from "./marks-back";
import { returnWork, saveMark } from "./marking";
import { addTeacher } from "./people";
import { createSchool, setSchool } from "./school";
import { ownWork, submit } from "./submit";
import {
  bylineNames,
  classesTaught,
  classmatesCalled,
  classNameOf,
  classOf,
  groupDeleted,
  isOfClass,
  joinGroup,
  keptIn,
  leaveAllClasses,
  opensTo,
  schoolNameOf,
  taughtAlone,
  teachesClass,
  watchersOf,
  watchersSince,
  worksFor,
} from "./reach";

withTestDatabase("reach");

const close = (klass: string) => db()`update class set closed_at = now() where id = ${klass}`;
/** What a piece of a query says of a record that is named in it. */
const holds = async (of: ReturnType<typeof opensTo>) => (await db()<{ is: boolean }[]>`select ${of} as is`)[0]!.is;

describe("who is of a class", () => {
  it("are its teachers, assistants and students; it teaches who does, while it is open", async () => {
    const s = await school();
    const [assistant, stranger] = [await makePerson("Mr Reed"), await makePerson("Stranger")];
    must(await addTeacher(s.klass, s.teacher.id, assistant.email, "assistant"));
    const people = [s.teacher, assistant, s.nia, stranger].map((p) => p.id);
    const asked = async (of: (id: string) => Promise<boolean>) => Promise.all(people.map(of));
    expect(await asked((id) => isOfClass(db(), s.klass, id))).toEqual([true, true, true, false]);
    expect(await asked((id) => teachesClass(db(), s.klass, id))).toEqual([true, false, false, false]);
    expect(await asked((id) => worksFor(db(), s.timeline, id))).toEqual([true, true, false, false]);
    expect(new Set(await watchersOf(db(), s.timeline))).toEqual(new Set([s.teacher.id, assistant.id]));
    const since = await db()<{ accountId: string; joinedAt: Date }[]>`${watchersSince(db(), s.timeline)}`;
    expect(since.map((w) => w.accountId).sort()).toEqual([s.teacher.id, assistant.id].sort());
    expect(since.every((w) => w.joinedAt instanceof Date)).toBe(true);
    expect(await asked((id) => holds(opensTo(db(), db()`${s.klass}`, id)))).toEqual([true, false, true, false]);
    expect(await classesTaught(db(), s.teacher.id)).toEqual([{ id: s.klass, name: "History 8B" }]);
    expect(await classesTaught(db(), assistant.id)).toEqual([]);
    await close(s.klass);
    expect(await asked((id) => teachesClass(db(), s.klass, id))).toEqual([false, false, false, false]);
    expect(await asked((id) => holds(opensTo(db(), db()`${s.klass}`, id)))).toEqual([false, false, false, false]);
    expect(await classesTaught(db(), s.teacher.id)).toEqual([]);
  });

  it("are found by their names by those who are in it with them, and by nobody else", async () => {
    const s = await school();
    const twin = await makePerson("wren");
    const stranger = await makePerson("Wren");
    expect(await classmatesCalled(db(), s.nia.id, " WREN ")).toEqual([s.wren.id]);
    expect(await classmatesCalled(db(), s.nia.id, "Ms Ward")).toEqual([s.teacher.id]);
    expect(await classmatesCalled(db(), s.nia.id, "Nia")).toEqual([]);
    expect(await classmatesCalled(db(), stranger.id, "Wren")).toEqual([]);
    must(await joinAsMe(twin.id, s.code));
    expect((await classmatesCalled(db(), s.nia.id, "Wren")).sort()).toEqual([s.wren.id, twin.id].sort());
    // Somebody who is in two classes with one is one person.
    const other = must(await createClass(s.teacher.id, "History 9A")).id;
    const code = (await findClass(other))!.joinCode!;
    for (const id of [s.nia.id, s.obi.id]) must(await joinAsMe(id, code));
    expect(await classmatesCalled(db(), s.nia.id, "Obi")).toEqual([s.obi.id]);
  });
});

describe("what is said of a class in a query around it", () => {
  it("is its name and its school's, and how far it lets what is made there go", async () => {
    const s = await school();
    const own = await makeTimeline(s.nia.id);
    const named = async (klass: string | null, school: string | null) =>
      (
        await db()`
          select ${classNameOf(db(), db()`${klass}`)} as klass, ${schoolNameOf(db(), db()`${school}`)} as school`
      )[0];
    const made = must(await createSchool(s.teacher.id, "Hollinbank School")).id;
    expect(await named(s.klass, made)).toEqual({ klass: "History 8B", school: "Hollinbank School" });
    expect(await named(null, "gone")).toEqual({ klass: null, school: null });
    const isKept = (timeline: string) => holds(keptIn(db(), db()`${timeline}`));
    const limits = (klass: string, of: string) =>
      Promise.all([
        db()`update class set publish_limit = ${klass} where id = ${s.klass}`,
        db()`update organisation set publish_limit = ${of} where id = ${made}`,
      ]);
    expect([await isKept(own), await classOf(db(), own)]).toEqual([false, null]);
    await limits("everybody", "class");
    expect([await isKept(s.timeline), (await classOf(db(), s.timeline))!.limit]).toEqual([false, "everybody"]);
    must(await setSchool(s.klass, s.teacher.id, made));
    expect([await isKept(s.timeline), (await classOf(db(), s.timeline))!]).toEqual([
      true,
      { id: s.klass, limit: "class", school: made },
    ]);
    await limits("only_me", "everybody");
    expect([await isKept(s.timeline), (await classOf(db(), s.timeline))!.limit]).toEqual([true, "only_me"]);
    await limits("everybody", "everybody");
    expect(await isKept(s.timeline)).toBe(false);
  });

  it("is whether a by-line names one of its students, where it wants none named", async () => {
    const s = await school();
    const names = (byline: string) => bylineNames(db(), s.timeline, byline);
    const want = (bylines: string) => db()`update class set bylines = ${bylines} where id = ${s.klass}`;
    await want("free");
    expect(await names("by Nia and Obi")).toBe(false);
    await want("no_names");
    for (const byline of ["Nia", "by NIA, Obi", "wren."]) expect([byline, await names(byline)]).toEqual([byline, true]);
    for (const byline of ["", "Niagara", "the ferrymen", "Ms Ward"])
      expect([byline, await names(byline)]).toEqual([byline, false]);
  });
});

describe("the group of a work", () => {
  it("takes in who is of the class and has not begun elsewhere", async () => {
    const s = await school();
    const stranger = await makePerson("Stranger");
    const join = (account: string, timeline = s.timeline) => db().begin((tx) => joinGroup(tx, timeline, account));
    expect(await join(s.obi.id)).toBe("joined");
    expect(await join(s.obi.id)).toBe("not_theirs");
    expect(await join(stranger.id)).toBe("not_theirs");
    expect(await join(s.obi.id, await makeTimeline(s.obi.id))).toBe("no_work");
  });

  it("may begin again when its work is deleted, and has it back when it is put back, unless it has begun another", async () => {
    const s = await school();
    const group = async () =>
      (await db()`select account_id from group_member where assignment_id = ${s.assignment}`).map((r) => r.accountId);
    expect(await group()).toEqual([s.nia.id]);
    must(await setDeleted(s.timeline, s.nia.id, true));
    expect(await group()).toEqual([]);
    must(await setDeleted(s.timeline, s.nia.id, false));
    expect(await group()).toEqual([s.nia.id]);
    // Handed in it stays its group's, deleted or not.
    must(await submit(s.timeline, s.nia.id));
    await db().begin((tx) => groupDeleted(tx, s.timeline, true));
    expect(await group()).toEqual([s.nia.id]);
  });
});

describe("who leaves", () => {
  it("leaves what they teach alone closed, and what others teach to the one who came first", async () => {
    const s = await school();
    const [reed, fern] = [await makePerson("Mr Reed"), await makePerson("Ms Fern")];
    must(await addTeacher(s.klass, s.teacher.id, fern.email, "assistant"));
    must(await addTeacher(s.klass, s.teacher.id, reed.email, "teacher"));
    const alone = must(await createClass(s.teacher.id, "Botany")).id;
    expect(await taughtAlone(db(), s.teacher.id)).toEqual(["Botany"]);
    await db().begin((tx) => leaveAllClasses(tx, s.teacher.id));
    expect(await findClassRole(db(), s.klass, reed.id)).toBe("teacher");
    const [lead] = await db()`select account_id from class_teacher where class_id = ${s.klass} and role = 'lead'`;
    expect(lead!.accountId).toBe(reed.id);
    expect(await findClassRole(db(), s.klass, s.teacher.id)).toBeNull();
    const [closed] = await db()`select closed_at, join_code from class where id = ${alone}`;
    expect([closed!.closedAt instanceof Date, closed!.joinCode]).toEqual([true, null]);
    await db().begin((tx) => leaveAllClasses(tx, s.nia.id));
    expect(await findClassRole(db(), s.klass, s.nia.id)).toBeNull();
  });
});

describe("who comes from elsewhere", () => {
  it("leads the class that is opened by coming, or comes into it as what they are there; nobody is two things", async () => {
    const [ward, reed, nia] = [await makePerson("Ms Ward"), await makePerson("Mr Reed"), await makePerson("Nia")];
    const klass = await db().begin((tx) => openClass(tx, "History 8B", null, ward.id));
    expect((await findClass(klass))!.joinCode).toMatch(/^[A-Z2-9]{6}$/);
    const enter = (account: string, teaches: boolean) => db().begin((tx) => enterClass(tx, klass, account, teaches));
    await enter(reed.id, true);
    await enter(nia.id, false);
    await enter(nia.id, false);
    // Who teaches it and comes as a student still teaches it; its lead stays its lead.
    await enter(reed.id, false);
    await enter(ward.id, true);
    const roles = await db()`select account_id, role from class_teacher where class_id = ${klass} order by role`;
    expect(roles.map((r) => [r.accountId, r.role])).toEqual([
      [ward.id, "lead"],
      [reed.id, "teacher"],
    ]);
    expect(await db()`select account_id from class_member where class_id = ${klass}`).toMatchObject([
      { accountId: nia.id },
    ]);
    const obi = await makePerson("Obi");
    const add = () => db().begin((tx) => addStudent(tx, klass, obi.id, "Obi Marsh"));
    expect([await add(), await add()]).toEqual([true, false]);
    expect(await db()`select note from class_member where account_id = ${obi.id}`).toMatchObject([
      { note: "Obi Marsh" },
    ]);
  });
});

describe("what goes elsewhere of a mark", () => {
  it("goes once it came back, with the points there were, to everybody of the group", async () => {
    const s = await school();
    await db().begin((tx) => joinGroup(tx, s.timeline, s.obi.id));
    must(await submit(s.timeline, s.nia.id));
    const id = (await ownWork(s.timeline))!.submission!.id;
    expect(await assignmentsHandedIn(db(), [id, "gone"])).toEqual([{ submission: id, assignment: s.assignment }]);
    expect(await markBackOf(db(), id)).toBeNull();
    must(await saveMark(id, s.teacher.id, { points: 12.5, comment: "Well found", comments: [] }));
    expect(await markBackOf(db(), id)).toBeNull();
    must(await returnWork(id, s.teacher.id));
    // What is altered of the assignment afterwards does not alter what was marked.
    await db()`update assignment set total = 40 where id = ${s.assignment}`;
    expect(await markBackOf(db(), id)).toEqual({
      assignment: s.assignment,
      points: 12.5,
      total: 20,
      comment: "Well found",
      at: expect.any(Date),
      members: [s.nia.id, s.obi.id].sort(),
    });
  });
});

describe("the drawings of what was handed in", () => {
  it("are kept once, and of nothing that is gone", async () => {
    const s = await school();
    must(await submit(s.timeline, s.nia.id));
    const id = (await ownWork(s.timeline))!.submission!.id;
    await storeDrawing(id, "alone", "<svg>first</svg>");
    await storeDrawing(id, "alone", "<svg>second</svg>");
    await storeDrawing("gone", "alone", "<svg/>");
    expect(await storedDrawings(id)).toEqual({ alone: "<svg>first</svg>" });
    expect(await drawingsIn([id, "gone"], "alone")).toEqual({ [id]: "<svg>first</svg>" });
    expect(await drawingsIn([id], "beside")).toEqual({});
    expect(isFailure(await storedDrawings("gone"))).toBe(false);
  });
});
