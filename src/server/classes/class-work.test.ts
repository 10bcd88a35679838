import { describe, expect, it } from "vitest";
import { readWhen } from "@/core/time/read/read-when";
import { UNDATED } from "@/core/time/when";
import { noticesOf } from "../accounts/notices";
import { db } from "../db/pool";
import { edit, must, school } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { createTimeline, setDeleted } from "../timelines/create";
import { findRight } from "../timelines/access";
import { findTimeline } from "../timelines/queries";
import {
  alterAssignment,
  type AssignmentInput,
  createAssignment,
  dueInZone,
  findAssignment,
  givenEventsOf,
} from "./assignment";
import { beginAssignment, usableFor } from "./begin";
import { alterClass, createClass, findClassRole, membersOf, noteMember, removeMember } from "./class";
import { waitingFor, workOf } from "./home";
import { joinNew } from "./join-class";
import { groupsOf, returnWork, saveMark } from "./marking";
import { findSubmission } from "./open-submission";
import { ownWork, submit, takeSubmissionBack } from "./submit";

withTestDatabase("class_work");

const mark = (points: number, comment = "") => ({ points, comment, comments: [] });
const current = async (timeline: string) => (await ownWork(timeline))!.submission!.id;

describe("work that came back", () => {
  it("can be handed in again only when the teacher says so, and what was handed in before stays beside it", async () => {
    const s = await school(-60);
    must(await submit(s.timeline, s.nia.id));
    const first = await current(s.timeline);
    must(await saveMark(first, s.teacher.id, mark(8, "Say more")));
    must(await returnWork(first, s.teacher.id));
    expect(await submit(s.timeline, s.nia.id)).toMatchObject({ failed: "not_to_improve" });
    must(await returnWork(first, s.teacher.id, true));
    expect((await ownWork(s.timeline))!.returned).toMatchObject({ toImprove: true, points: 8 });
    expect(await workOf(s.nia.id)).toMatchObject([{ toImprove: true, points: 8 }]);
    await edit(s.timeline, s.nia.id, {
      kind: "add_event",
      id: "more",
      fields: { title: "Ferry", when: readWhen("1604") },
    });
    must(await submit(s.timeline, s.nia.id));
    const second = await current(s.timeline);
    expect(second).not.toBe(first);
    // Nothing of the old mark counts for the new one, and what was asked to be improved is not late.
    const work = (await ownWork(s.timeline))!;
    expect([work.returned, work.submission!.late, work.submission!.before]).toEqual([null, 0, 1]);
    const open = (await findSubmission(second))!;
    expect(open.before).toMatchObject({ id: first, points: 8, comment: "Say more" });
    expect([open.frozen.events.length, open.before!.frozen.events.length]).toEqual([3, 2]);
    const rows = await groupsOf(s.assignment, async () => []);
    expect(rows.filter((r) => r.submission)).toMatchObject([
      { submission: second, state: "submitted", before: 1, points: null },
    ]);
    expect(await waitingFor(s.teacher.id)).toMatchObject([{ toMark: 1, again: 1, toReturn: 0, first: second }]);
    expect(await submit(s.timeline, s.nia.id)).toMatchObject({ failed: "submitted_already" });
  });

  it("is as it was when what was handed in again is taken back in time", async () => {
    const s = await school();
    must(await submit(s.timeline, s.nia.id));
    const first = await current(s.timeline);
    must(await saveMark(first, s.teacher.id, mark(8)));
    must(await returnWork(first, s.teacher.id, true));
    must(await submit(s.timeline, s.nia.id));
    must(await takeSubmissionBack(s.timeline, s.nia.id));
    expect(await current(s.timeline)).toBe(first);
    expect((await ownWork(s.timeline))!.returned).toMatchObject({ toImprove: true, points: 8 });
    must(await submit(s.timeline, s.nia.id));
  });
});

describe("the draft of set work", () => {
  it("can be looked at by the teacher of its class, and by no other", async () => {
    const s = await school();
    const own = must(await createTimeline(s.nia.id, { title: "Mine", subject: "" })).id;
    const other = await makePerson("Mr Hale");
    must(await createClass(other.id, "9C"));
    expect(await Promise.all([s.teacher, s.nia, s.obi, other].map((p) => findRight(db(), s.timeline, p.id)))).toEqual([
      "comment",
      "own",
      null,
      null,
    ]);
    expect(await findRight(db(), own, s.teacher.id)).toBeNull();
  });
});

describe("work that is deleted and put back", () => {
  it("is the group's again, or where its members have begun elsewhere meanwhile a timeline like any other", async () => {
    const s = await school();
    const groups = () => db()<{ timelineId: string; members: number }[]>`
      select g.timeline_id, (select count(*)::int from group_member m where m.group_id = g.id) as members
      from group_work g where g.assignment_id = ${s.assignment} order by g.created_at, g.id`;
    must(await setDeleted(s.timeline, s.nia.id, true));
    must(await setDeleted(s.timeline, s.nia.id, false));
    expect((await groups()).map((g) => [g.timelineId, g.members])).toEqual([[s.timeline, 1]]);
    must(await setDeleted(s.timeline, s.nia.id, true));
    expect(await beginAssignment(s.assignment, s.nia.id, "")).toMatchObject({ failed: "not_found" });
    const { timeline } = must(await beginAssignment(s.assignment, s.nia.id));
    must(await setDeleted(s.timeline, s.nia.id, false));
    expect((await groups()).map((g) => [g.timelineId, g.members])).toEqual([[timeline, 1]]);
    expect([await findRight(db(), s.timeline, s.nia.id), await findRight(db(), s.timeline, s.teacher.id)]).toEqual([
      "own",
      null,
    ]);
  });
});

describe("altering an assignment", () => {
  const as = async (id: string, more: Partial<AssignmentInput> = {}): Promise<AssignmentInput> => {
    const a = (await findAssignment(id))!;
    return {
      class: a.classId,
      title: a.title,
      instructions: a.instructions.blocks,
      period: a.period,
      requirements: a.requirements,
      given: [],
      total: a.total,
      dueAt: a.dueAt.toISOString(),
      ...more,
    };
  };

  it("tells those who have begun what is different, and leaves given events as they are", async () => {
    const s = await school();
    must(await alterClass(s.klass, s.teacher.id, { zone: "Europe/Berlin" }));
    const given = await givenEventsOf(s.assignment);
    const done = await alterAssignment(
      s.assignment,
      s.teacher.id,
      await as(s.assignment, { requirements: [{ kind: "events", count: 5 }], dueAt: "2031-07-11T16:00", total: 30 }),
    );
    expect(done).toEqual({ told: 1 });
    const [notice] = await noticesOf(s.nia.id);
    expect(notice!.text).toContain("“Crossing project” was changed by your teacher: it is due Fri 11 Jul 2031, 16:00");
    expect(notice!.text).toContain("it is marked out of 30 instead of 20");
    expect(notice!.text).toContain("now asked: At least 5 events; no longer asked: At least 3 events");
    expect(await givenEventsOf(s.assignment)).toEqual(given);
    expect(await noticesOf(s.wren.id)).toEqual([]);
    expect([await dueInZone(s.assignment), (await findAssignment(s.assignment))!.dueAt.toISOString()]).toEqual([
      "2031-07-11T16:00",
      "2031-07-11T14:00:00.000Z",
    ]);
    expect((await ownWork(s.timeline))!.assignment).toMatchObject({ total: 30, zone: "Europe/Berlin" });
  });

  it("lets what was late be in time when the due time is moved past it", async () => {
    const s = await school(-3_600);
    must(await submit(s.timeline, s.nia.id));
    expect((await ownWork(s.timeline))!.submission!.late).toBeGreaterThan(3_500);
    must(await alterAssignment(s.assignment, s.teacher.id, await as(s.assignment, { dueAt: "2031-07-11T16:00" })));
    expect((await ownWork(s.timeline))!.submission!.late).toBe(0);
    expect((await groupsOf(s.assignment, async () => []))[0]!.late).toBe(0);
    must(await takeSubmissionBack(s.timeline, s.nia.id));
  });

  it("sets other given events as long as nobody has begun", async () => {
    const s = await school();
    const fresh = must(
      await createAssignment(s.teacher.id, {
        ...(await as(s.assignment)),
        given: [{ title: "Old", when: readWhen("1800"), locked: false }],
      }),
    ).id;
    const given = [{ title: "New", when: readWhen("1851"), locked: true }];
    must(await alterAssignment(fresh, s.teacher.id, { ...(await as(fresh)), given }));
    expect((await givenEventsOf(fresh)).map((g) => g.title)).toEqual(["New"]);
    expect(await alterAssignment(fresh, s.nia.id, { ...(await as(fresh)), given })).toMatchObject({
      failed: "not_found",
    });
    expect(
      await alterAssignment(fresh, s.teacher.id, { ...(await as(fresh)), dueAt: "2031-13-41T16:00" }),
    ).toMatchObject({ failed: "assignment_incomplete" });
  });
});

describe("a timeline one has", () => {
  it("can be handed in for an assignment: it gets given events, period and the categories that are asked for", async () => {
    const s = await school(3_600, {
      period: readWhen("1600 - 1931"),
      requirements: [{ kind: "categories", names: ["Trade", "Crossing"] }],
    });
    const own = must(await createTimeline(s.wren.id, { title: "Ferries", subject: "" })).id;
    await edit(
      own,
      s.wren.id,
      { kind: "add_category", id: "c", fields: { name: "trade" } },
      { kind: "add_event", id: "e", fields: { title: "Rope ferry", when: readWhen("1604"), category: "c" } },
    );
    expect((await usableFor(s.wren.id)).map((t) => t.title)).toEqual(["Ferries"]);
    must(await beginAssignment(s.assignment, s.wren.id, own));
    const t = (await findTimeline(own))!.timeline;
    expect([...t.categories.values()].map((c) => c.name).sort()).toEqual(["Crossing", "trade"]);
    expect([...t.events.values()].filter((e) => e.given)).toHaveLength(2);
    expect([t.period.typed, t.title]).toEqual(["1600 - 1931", "Ferries"]);
    expect(await usableFor(s.wren.id)).toEqual([]);
    must(await submit(own, s.wren.id));
    // Somebody else's, one in use, and one of which they are no owner are refused.
    const obis = must(await createTimeline(s.obi.id, { title: "Obi's", subject: "" })).id;
    expect(await beginAssignment(s.assignment, s.obi.id, own)).toMatchObject({ failed: "not_found" });
    expect(await beginAssignment(s.assignment, s.nia.id, obis)).toMatchObject({ failed: "not_found" });
    expect(await ownWork(obis)).toBeNull();
  });

  it("begun anew holds the categories that are asked for", async () => {
    const s = await school(3_600, { requirements: [{ kind: "categories", names: ["Trade", "Crossing"] }] });
    const { categories } = (await findTimeline(s.timeline))!.timeline;
    expect([...categories.values()].map((c) => c.name).sort()).toEqual(["Crossing", "Trade"]);
    expect(new Set([...categories.values()].map((c) => `${c.colour} ${c.pattern} ${c.place}`)).size).toBe(2);
  });
});

describe("the students of a class", () => {
  it("can be taken out by their teacher; their work stays, and they are told", async () => {
    const s = await school();
    expect(await removeMember(s.klass, s.obi.id, s.nia.id)).toMatchObject({ failed: "not_found" });
    must(await removeMember(s.klass, s.teacher.id, s.nia.id));
    expect(await findClassRole(db(), s.klass, s.nia.id)).toBeNull();
    expect((await noticesOf(s.nia.id))[0]!.text).toContain("no longer in the class History 8B");
    expect((await groupsOf(s.assignment, async () => [])).some((r) => r.timeline === s.timeline)).toBe(true);
    expect(await workOf(s.nia.id)).toEqual([]);
  });

  it("two of one name are told apart: by the sign-in name, or by what their teacher noted", async () => {
    const s = await school();
    const twin = must(await joinNew({ code: s.code, displayName: "Obi", password: "over-the-ambrel" }));
    const names = async () =>
      (await groupsOf(s.assignment, async () => [])).flatMap((r) => r.members).filter((n) => n.startsWith("Obi"));
    expect((await names()).sort()).toEqual(["Obi (with e-mail)", `Obi (${twin.signInName})`].sort());
    must(await noteMember(s.klass, s.teacher.id, twin.user.id, " by the window "));
    expect(await names()).toContain("Obi (by the window)");
    expect((await membersOf(s.klass)).find((m) => m.id === twin.user.id)!.note).toBe("by the window");
    expect(await noteMember(s.klass, s.nia.id, twin.user.id, "x")).toMatchObject({ failed: "not_found" });
  });
});

describe("the time zone of a class", () => {
  it("is its teacher's to choose, among those there are", async () => {
    const teacher = await makePerson();
    const klass = must(await createClass(teacher.id, "8B", "America/New_York")).id;
    for (const zone of ["Mars/Olympus", "ABC-5", "+05:00", "", "UTC'"])
      expect([zone, await alterClass(klass, teacher.id, { zone })]).toMatchObject([zone, { failed: "no_such_zone" }]);
    for (const zone of ["Europe/Berlin", "America/Port-au-Prince", "Etc/GMT+5", "UTC", "America/New_York"])
      must(await alterClass(klass, teacher.id, { zone }));
    const set = { title: "x", instructions: "", period: UNDATED, requirements: [], given: [], total: 5 };
    const a = must(await createAssignment(teacher.id, { ...set, class: klass, dueAt: "2030-01-15T09:00" })).id;
    expect((await findAssignment(a))!.dueAt.toISOString()).toBe("2030-01-15T14:00:00.000Z");
  });
});
