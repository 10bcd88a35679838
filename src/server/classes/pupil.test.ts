import { describe, expect, it } from "vitest";
import { noticesOf } from "../accounts/notices";
import { db } from "../db/pool";
import { publish } from "../publishing/publish";
import { makeFrozenCopy } from "../timelines/frozen-copy";
import { findRight } from "../timelines/access";
import { edit, must, school } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { addTeacher } from "./people";
import { addClassmate, beginAssignment } from "./begin";
import { alterClass, createClass, findClass } from "./class";
import { joinNew } from "./join-class";
import { returnWork, saveMark } from "./marking";
import { forgetPupil, keptOfPupil } from "./pupil";
import { ask } from "./questions";
import { reply } from "./replies";
import { ownWork, submit } from "./submit";
import { extend } from "./groups";

withTestDatabase("pupil");

const current = async (timeline: string) => (await ownWork(timeline))!.submission!.id;
const count = async (what: string, id: string) =>
  (await db().unsafe<{ n: number }[]>(`select count(*)::int as n from ${what}`, [id]))[0]!.n;

/** Nia has handed in alone what was returned, asked and answered; Obi and Wren together, which waits. */
async function worked() {
  const s = await school();
  must(await ask(s.timeline, s.nia.id, "", "Where does it begin?"));
  must(await submit(s.timeline, s.nia.id));
  const submission = await current(s.timeline);
  must(await saveMark(submission, s.teacher.id, { points: 12, comment: "Good.", comments: [] }));
  must(await returnWork(submission, s.teacher.id));
  must(await reply(submission, s.nia.id, "Thank you."));
  must(await extend(s.assignment, s.teacher.id, [s.nia.id], new Date(Date.now() + 9_000_000).toISOString()));
  const both = must(await beginAssignment(s.assignment, s.obi.id)).timeline;
  must(await addClassmate(both, s.obi.id, s.wren.id));
  must(await submit(both, s.obi.id));
  return { ...s, submission, both };
}

describe("what a class keeps of a pupil", () => {
  it("is all in one file, for its teachers alone", async () => {
    const s = await worked();
    const kept = must(await keptOfPupil(s.klass, s.teacher.id, s.nia.id)) as Record<string, never>;
    expect(kept).toMatchObject({
      class: "History 8B",
      // An account that was made elsewhere is known here by its name alone.
      student: { displayName: "Nia", signInName: null },
      submissions: [
        {
          assignment: "Crossing project",
          points: "12",
          comment: "Good.",
          replies: [{ text: "Thank you.", own: true }],
          content: { checks: expect.any(Array) },
        },
      ],
      extensions: [{ assignment: "Crossing project" }],
      questions: [{ text: "Where does it begin?" }],
      reviews: [],
      practice: [],
    });
    const other = await school();
    const helper = await makePerson("Ms Fern");
    const [{ email } = { email: "" }] = await db()<
      { email: string }[]
    >`select email from account where id = ${helper.id}`;
    must(await addTeacher(s.klass, s.teacher.id, email, "assistant"));
    for (const who of [s.nia.id, s.obi.id, helper.id, other.teacher.id]) {
      expect(await keptOfPupil(s.klass, who, s.nia.id)).toMatchObject({ failed: "not_found" });
      expect(await forgetPupil(s.klass, who, s.nia.id, false)).toMatchObject({ failed: "not_found" });
    }
    // Somebody of another class is nobody here.
    expect(await keptOfPupil(s.klass, s.teacher.id, other.nia.id)).toMatchObject({ failed: "not_found" });
  });

  it("is destroyed where it is theirs alone; off what was made with others goes the name; what they made stays theirs", async () => {
    const s = await worked();
    expect(must(await forgetPupil(s.klass, s.teacher.id, s.nia.id, false))).toEqual({ destroyed: 1 });
    expect(await count("submission where id = $1", s.submission)).toBe(0);
    expect(await count("mark where submission_id = $1", s.submission)).toBe(0);
    expect(await count("mark_reply where submission_id = $1", s.submission)).toBe(0);
    for (const table of ["question", "extension", "class_member", "group_member"])
      expect([table, await count(`${table} where account_id = $1`, s.nia.id)]).toEqual([table, 0]);
    expect(await findRight(db(), s.timeline, s.nia.id)).toBe("own");
    expect(await findRight(db(), s.timeline, s.teacher.id)).toBeNull();
    expect((await noticesOf(s.nia.id)).at(-1)!.text).toContain("keeps nothing of you any more");
    expect(await keptOfPupil(s.klass, s.teacher.id, s.nia.id)).toMatchObject({ failed: "not_found" });
    expect(must(await forgetPupil(s.klass, s.teacher.id, s.wren.id, false))).toEqual({ destroyed: 0 });
    const [left] = await db()<
      { members: string[] }[]
    >`select members from submission where id = ${await current(s.both)}`;
    expect(left!.members).toEqual(["Obi", "Former student"]);
  });

  it("the account goes along in a week where it was made in the class, and nowhere else", async () => {
    const s = await school();
    const made = must(
      await joinNew(
        { code: (await findClass(s.klass))!.joinCode!, displayName: "Ada", password: "over-the-ambrel" },
        "",
      ),
    );
    expect(await forgetPupil(s.klass, s.teacher.id, s.obi.id, true)).toMatchObject({ failed: "account_of_their_own" });
    expect((await keptOfPupil(s.klass, s.teacher.id, made.user.id)) as object).toMatchObject({
      student: { displayName: "Ada", signInName: made.signInName },
    });
    must(await forgetPupil(s.klass, s.teacher.id, made.user.id, true));
    const [row] = await db()<{ days: number }[]>`
      select round(extract(epoch from delete_at - now()) / 86400)::int as days from account where id = ${made.user.id}`;
    expect(row!.days).toBe(7);
    expect((await noticesOf(made.user.id)).at(-1)!.text).toContain("deleted in a week");
  });
});

describe("by-lines of what is made in a class", () => {
  it.each([
    ["", true],
    ["The ferrymen", true],
    ["Niamh's friends", true],
    ["nia", false],
    ["by Nia and Obi, 8B", false],
    ["Team NIA", false],
  ])("%j may stand: %s", async (byline, may) => {
    const s = await school();
    await edit(s.timeline, s.nia.id, { kind: "set_timeline", field: "byline", value: byline });
    const done = await publish(s.timeline, s.nia.id, { visibility: "class" }, true);
    const copy = await makeFrozenCopy(s.timeline, s.nia.id);
    if (may) return void [must(done), must(copy)];
    expect(done).toMatchObject({ failed: "byline_names" });
    expect(copy).toMatchObject({ failed: "byline_names" });
    expect(await count("publication where timeline_id = $1", s.timeline)).toBe(0);
    must(await alterClass(s.klass, s.teacher.id, { bylines: "free" }));
    must(await publish(s.timeline, s.nia.id, { visibility: "class" }, true));
  });

  it("a class that is made wants no names until its teacher says otherwise", async () => {
    const ward = await makePerson("Ms Ward");
    const { id } = must(await createClass(ward.id, "History 8B"));
    expect((await findClass(id))!.bylines).toBe("no_names");
  });
});
