import { createHash } from "node:crypto";
import fc from "fast-check";
import { nanoid } from "nanoid";
import { describe, expect, it } from "vitest";
import { readWhen } from "@/core/time/read/read-when";
import { UNDATED } from "@/core/time/when";
import { USUAL_MANNER, whenLabel } from "@/core/time/write-when";
import { db } from "../db/pool";
import { isFailure } from "../http/failure";
import { edit, must, RIGHT, school } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { setDeleted } from "../timelines/create";
import { canSee, findPublished } from "../publishing/published";
import { publish } from "../publishing/publish";
import { findTimeline } from "../timelines/queries";
import { createAssignment } from "./assignment";
import { addClassmate, beginAssignment } from "./begin";
import { alterClass } from "./class";
import { issueOneTimeCode, joinNew, useOneTimeCode as takeOneTimeCode } from "./join-class";
import { groupsOf, overrideGiven, returnAll, returnWork, saveMark } from "./marking";
import { findSubmission } from "./open-submission";
import { ownWork, submit, takeSubmissionBack } from "./submit";

withTestDatabase("submit");

describe("an assignment", () => {
  it("begins with its given events: one to be dated, one locked with its date", async () => {
    const { timeline, nia } = await school();
    const events = [...(await findTimeline(timeline))!.timeline.events.values()];
    const [bell, viaduct] = ["The bell is recast", "The viaduct opens"].map((t) => events.find((e) => e.title === t)!);
    expect([bell!.when.readAs.kind, viaduct!.when.edtf, bell!.locked, viaduct!.locked]).toEqual([
      "undated",
      "1889-07",
      false,
      true,
    ]);
    // A locked one keeps title and date, neither can be deleted; anything else about them can be written.
    await edit(
      timeline,
      nia.id,
      { kind: "set_event", id: viaduct!.id, field: "when", value: readWhen("1900") },
      { kind: "set_event", id: viaduct!.id, field: "title", value: "x" },
      { kind: "set_event", id: viaduct!.id, field: "shortTitle", value: "Viaduct" },
      { kind: "delete_event", id: viaduct!.id },
      { kind: "delete_event", id: bell!.id },
      { kind: "set_event", id: bell!.id, field: "when", value: readWhen("1851") },
    );
    const after = (await findTimeline(timeline))!.timeline.events;
    expect(after.get(viaduct!.id)).toMatchObject({
      title: "The viaduct opens",
      shortTitle: "Viaduct",
      deleted: false,
      when: { edtf: "1889-07" },
    });
    expect(after.get(bell!.id)).toMatchObject({ deleted: false, when: { edtf: "1851" } });
  });

  it("is begun once by each; a classmate joins the group, a stranger and one with a group of their own do not", async () => {
    const { assignment, timeline, nia, obi, wren } = await school();
    expect(await beginAssignment(assignment, nia.id)).toMatchObject({ failed: "in_a_group" });
    must(await addClassmate(timeline, nia.id, obi.id));
    expect(await beginAssignment(assignment, obi.id)).toMatchObject({ failed: "in_a_group" });
    must(await beginAssignment(assignment, wren.id));
    expect(await addClassmate(timeline, nia.id, wren.id)).toMatchObject({ failed: "not_a_classmate" });
    expect(await addClassmate(timeline, nia.id, (await makePerson()).id)).toMatchObject({ failed: "not_a_classmate" });
  });

  it("needs titles, a due time and dates that are understood", async () => {
    const { klass, teacher } = await school();
    const good = {
      class: klass,
      title: "x",
      instructions: "",
      period: UNDATED,
      requirements: [],
      given: [],
      total: 20,
      dueAt: new Date().toISOString(),
    };
    for (const bad of [
      { title: " " },
      { dueAt: "soon" },
      { given: [{ title: "", when: readWhen("1872"), locked: false }] },
      { given: [{ title: "x", when: readWhen("31 Feb 1900"), locked: false }] },
    ])
      expect(await createAssignment(teacher.id, { ...good, ...bad })).toMatchObject({
        failed: "assignment_incomplete",
      });
  });
});

describe("a right date", () => {
  it("is in nothing a student can ask for before the work is returned, and is there afterwards", async () => {
    const { timeline, nia, teacher } = await school();
    must(await submit(timeline, nia.id));
    const asked = async () =>
      JSON.stringify([
        await ownWork(timeline),
        (await findTimeline(timeline))!.timeline.events.size,
        [...(await findTimeline(timeline))!.timeline.events.values()],
        await db()`select ops, was from change where timeline_id = ${timeline}`,
        await db()`select json from version where timeline_id = ${timeline}`,
      ]);
    for (const trace of ["1851", "Aug"]) expect(await asked()).not.toContain(trace);
    const { id } = (await ownWork(timeline))!.submission!;
    must(await saveMark(id, teacher.id, { points: 15, comment: "Good", comments: [] }));
    expect(await asked()).not.toContain("1851");
    expect((await ownWork(timeline))!.returned).toBeNull();
    must(await returnWork(id, teacher.id));
    expect((await ownWork(timeline))!.returned).toMatchObject({
      points: 15,
      comment: "Good",
      given: [{ result: "no_date" }, { result: "right" }],
    });
    expect(JSON.stringify(await ownWork(timeline))).toContain(RIGHT);
  });
});

describe("a submission", () => {
  it("can be taken back and made again before the due time, not after it, and not twice at once", async () => {
    const { timeline, nia } = await school();
    const both = await Promise.all([submit(timeline, nia.id), submit(timeline, nia.id)]);
    expect(both.filter(isFailure)).toMatchObject([{ failed: "submitted_already" }]);
    must(await takeSubmissionBack(timeline, nia.id));
    must(await submit(timeline, nia.id));
    const late = await school(-7_200);
    must(await submit(late.timeline, late.nia.id));
    expect((await ownWork(late.timeline))!.submission!.late).toBeGreaterThanOrEqual(7_200);
    expect(await takeSubmissionBack(late.timeline, late.nia.id)).toMatchObject({ failed: "too_late_to_take_back" });
  });

  it("never changes, whatever happens to draft, members, class, assignment or mark afterwards", async () => {
    const s = await school();
    must(await addClassmate(s.timeline, s.nia.id, s.obi.id));
    await edit(
      s.timeline,
      s.nia.id,
      { kind: "add_event", id: "e1", fields: { title: "Ferry" } },
      { kind: "add_category", id: "c1", fields: { name: "Trade" } },
    );
    must(await submit(s.timeline, s.nia.id));
    const { id } = (await ownWork(s.timeline))!.submission!;
    const read = async () =>
      (
        await db()<
          { content: string; hash: string; json: string; vhash: string }[]
        >`select s.content, s.hash, v.json, v.hash as vhash from submission s join version v on v.id = s.version_id where s.id = ${id}`
      )[0]!;
    const before = await read();
    expect(createHash("sha256").update(before.vhash).update(before.content).digest("hex")).toBe(before.hash);
    const happening = fc.constantFrom<() => Promise<unknown>>(
      () => edit(s.timeline, s.nia.id, { kind: "set_event", id: "e1", field: "title", value: nanoid(4) }),
      () => edit(s.timeline, s.obi.id, { kind: "delete_event", id: "e1" }),
      () => edit(s.timeline, s.nia.id, { kind: "delete_category", id: "c1" }),
      () => edit(s.timeline, s.nia.id, { kind: "set_timeline", field: "title", value: nanoid(4) }),
      () => saveMark(id, s.teacher.id, { points: 7, comment: nanoid(4), comments: [{ event: "e1", text: nanoid(4) }] }),
      () => returnAll(s.assignment, s.teacher.id),
      () => alterClass(s.klass, s.teacher.id, { code: "renew", publishLimit: "only_me" }),
      () => db()`delete from class_member where account_id = ${s.obi.id}`,
      () => db()`update assignment set requirements = '[]', due_at = now(), title = 'Other'`,
      () => db()`update given_event set title = 'Other'`,
      () => db()`update account set display_name = 'Other' where id = ${s.obi.id}`,
      () => setDeleted(s.timeline, s.nia.id, true),
      () => setDeleted(s.timeline, s.nia.id, false),
    );
    await fc.assert(
      fc.asyncProperty(fc.array(happening, { maxLength: 6 }), async (list) => {
        for (const happen of list) await happen();
        expect(await read()).toEqual(before);
      }),
      { seed: 13, numRuns: 25 },
    );
    await expect(db()`update submission set content = '{}' where id = ${id}`).rejects.toThrow("never altered");
    await expect(db()`delete from submission where id = ${id}`).rejects.toThrow("never altered");
  });
});

describe("marking", () => {
  it("is the class's teacher's alone, stays within the total, and shows every group's state", async () => {
    const s = await school();
    must(await submit(s.timeline, s.nia.id));
    const { id } = (await ownWork(s.timeline))!.submission!;
    const mark = { points: 12, comment: "", comments: [] };
    for (const who of [s.nia, s.wren, await makePerson()])
      expect(await saveMark(id, who.id, mark)).toMatchObject({ failed: "not_found" });
    for (const points of [-1, 21])
      expect(await saveMark(id, s.teacher.id, { ...mark, points })).toMatchObject({ failed: "points_out_of_range" });
    expect(await returnWork(id, s.teacher.id)).toMatchObject({ failed: "not_marked_yet" });
    expect((await groupsOf(s.assignment, async () => [])).map((g) => [g.members, g.state])).toEqual([
      [["Nia"], "submitted"],
      [["Obi"], "not_begun"],
      [["Wren"], "not_begun"],
    ]);
    must(await saveMark(id, s.teacher.id, mark));
    expect((await groupsOf(s.assignment, async () => []))[0]).toMatchObject({
      state: "marked",
      points: 12,
      given: { right: 0, of: 1 },
    });
    expect(await returnAll(s.assignment, s.teacher.id)).toEqual({ returned: 1 });
    expect((await groupsOf(s.assignment, async () => []))[0]!.state).toBe("returned");
    expect((await findSubmission(id))!.content.checks[0]).toMatchObject({ have: 2, need: 3, met: false });
  });
});

describe("the marking desk's dates", () => {
  it("are written as the timeline wrote them when it was submitted, whatever is chosen afterwards", async () => {
    const s = await school();
    const style = { ...USUAL_MANNER, order: "mdy" as const };
    await edit(s.timeline, s.nia.id, { kind: "set_timeline", field: "dateStyle", value: style });
    must(await submit(s.timeline, s.nia.id));
    await edit(s.timeline, s.nia.id, { kind: "set_timeline", field: "dateStyle", value: USUAL_MANNER });
    const open = (await findSubmission((await ownWork(s.timeline))!.submission!.id))!;
    expect(open.frozen.dateStyle).toEqual(style);
    expect(whenLabel(readWhen(RIGHT), open.frozen.dateStyle)).not.toBe(whenLabel(readWhen(RIGHT)));
  });
});

describe("publishing what was made for a class", () => {
  it("goes as far as the teacher has set, and for the class it is seen by the class", async () => {
    const s = await school();
    const stranger = await makePerson();
    expect(await publish(s.timeline, s.nia.id, { visibility: "everybody" }, true)).toMatchObject({
      failed: "beyond_class_limit",
    });
    const { address } = must(await publish(s.timeline, s.nia.id, { visibility: "class" }, true)).publication;
    const seen = async () =>
      Promise.all(
        [null, stranger.id, s.wren.id, s.teacher.id, s.nia.id].map(async (who) =>
          canSee((await findPublished(address))!, who),
        ),
      );
    expect(await seen()).toEqual([false, false, true, true, true]);
    await alterClass(s.klass, s.teacher.id, { publishLimit: "only_me" });
    expect(await publish(s.timeline, s.nia.id, { visibility: "class" }, false)).toMatchObject({
      failed: "beyond_class_limit",
    });
  });
});

describe("what its class lets be seen by fewer for a while", () => {
  it("keeps what was chosen when something else is set meanwhile", async () => {
    const s = await school();
    must(await publish(s.timeline, s.nia.id, { visibility: "link" }, true));
    await alterClass(s.klass, s.teacher.id, { publishLimit: "class" });
    const meanwhile = must(await publish(s.timeline, s.nia.id, { visibility: "class", copies: true }, false));
    expect(meanwhile.publication).toMatchObject({ visibility: "class", copies: true });
    await alterClass(s.klass, s.teacher.id, { publishLimit: "link" });
    const { address } = meanwhile.publication;
    expect((await findPublished(address))!.visibility).toBe("link");
    // What is really chosen anew counts.
    must(await publish(s.timeline, s.nia.id, { visibility: "only_me" }, false));
    expect((await findPublished(address))!.visibility).toBe("only_me");
  });
});

describe("joining with a code", () => {
  it("makes a sign-in name of its own for each, though display names repeat", async () => {
    const { code, klass, teacher } = await school();
    const [a, b] = [
      must(await joinNew({ code: ` ${code.toLowerCase()} `, displayName: "Ilse", password: "over-the-ambrel" })),
      must(await joinNew({ code, displayName: "Ilse", password: "over-the-ambrel" })),
    ];
    expect(a.signInName).toMatch(/^ilse-\d{3}$/);
    expect(a.signInName).not.toBe(b.signInName);
    await alterClass(klass, teacher.id, { code: "close" });
    expect(await joinNew({ code, displayName: "Late", password: "over-the-ambrel" })).toMatchObject({
      failed: "no_such_code",
    });
  });

  it("a lost password is set anew with a code that works once", async () => {
    const { code, klass, teacher, nia } = await school();
    const pupil = must(await joinNew({ code, displayName: "Bram", password: "over-the-ambrel" }));
    expect(await issueOneTimeCode(klass, nia.id, pupil.user.id)).toMatchObject({ failed: "not_found" });
    const issued = must(await issueOneTimeCode(klass, teacher.id, pupil.user.id)).code;
    expect(
      await takeOneTimeCode({ name: pupil.signInName, code: "wrong", password: "under-the-ambrel" }),
    ).toMatchObject({ failed: "code_over" });
    must(await takeOneTimeCode({ name: pupil.signInName, code: issued, password: "under-the-ambrel" }));
    expect(await takeOneTimeCode({ name: pupil.signInName, code: issued, password: "under-the-ambrel" })).toMatchObject(
      { failed: "code_over" },
    );
  });
});

it("work that holds a character no database stores, from before such were refused, is on the desk all the same", async () => {
  const s = await school();
  must(await submit(s.timeline, s.nia.id));
  const { id } = (await ownWork(s.timeline))!.submission!;
  await db().begin(async (tx) => {
    await tx`alter table submission disable trigger submission_is_frozen`;
    await tx`update submission set content = replace(content, 'The bell', 'The \\u0000\\ud800bell')`;
    await tx`alter table submission enable trigger submission_is_frozen`;
  });
  expect((await groupsOf(s.assignment, async () => []))[0]).toMatchObject({
    state: "submitted",
    given: { right: 0, of: 1 },
  });
  must(await saveMark(id, s.teacher.id, { points: 3, comment: "", comments: [] }));
});

describe("a given date", () => {
  it("counts as its teacher says, with a reason, beside what was frozen; nobody else says so", async () => {
    const s = await school();
    must(await submit(s.timeline, s.nia.id));
    const { id } = (await ownWork(s.timeline))!.submission!;
    const before = (await findSubmission(id))!;
    const n = before.content.given.findIndex((g) => !g.locked);
    const say = { result: "right" as const, reason: "The roll gives both years." };
    expect(await overrideGiven(id, s.nia.id, n, say)).toMatchObject({ failed: "not_found" });
    expect(await overrideGiven(id, s.teacher.id, 1 - n, say)).toMatchObject({ failed: "not_found" });
    expect(await overrideGiven(id, s.teacher.id, n, { ...say, reason: "  " })).toMatchObject({
      failed: "reason_missing",
    });
    must(await overrideGiven(id, s.teacher.id, n, say));
    const after = (await findSubmission(id))!;
    expect([after.hash, after.content]).toEqual([before.hash, before.content]);
    expect(after.overrides[n]).toEqual(say);
    expect((await groupsOf(s.assignment, async () => []))[0]!.given).toEqual({ right: 1, of: 1 });
    must(await saveMark(id, s.teacher.id, { points: 9, comment: "", comments: [] }));
    expect((await ownWork(s.timeline))!.returned).toBeNull();
    must(await returnWork(id, s.teacher.id));
    expect((await ownWork(s.timeline))!.returned!.given[n]).toMatchObject(say);
    // Points of returned work are changed, not emptied.
    expect(await saveMark(id, s.teacher.id, { points: null, comment: "", comments: [] })).toMatchObject({
      failed: "returned_needs_points",
    });
    expect(await saveMark(id, s.teacher.id, { points: 0, comment: "", comments: [] })).toMatchObject({
      failed: "mark_needs_reason",
    });
    must(await saveMark(id, s.teacher.id, { points: 0, comment: "", comments: [], reason: "Not their own words." }));
    expect((await ownWork(s.timeline))!.returned).toMatchObject({
      points: 0,
      earlier: [{ points: 9, reason: "Not their own words." }],
    });
    must(await overrideGiven(id, s.teacher.id, n, null));
    expect((await groupsOf(s.assignment, async () => []))[0]!.given).toEqual({ right: 0, of: 1 });
  });
});
