import { describe, expect, it } from "vitest";
import { deleteAccount } from "../accounts/account";
import { noticesOf } from "../accounts/notices";
import { db } from "../db/pool";
import { lettersOf } from "../mail/outgoing";
import { publish, publicationOf } from "../publishing/publish";
import { canSee, findPublished } from "../publishing/published";
import { publishedToSchool } from "../publishing/listed";
import { edit, must, school as classWithWork } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { createTimeline } from "../timelines/create";
import { alterClass, findClass } from "./class";
import {
  addSchoolTeacher,
  alterSchool,
  createSchool,
  endSchool,
  findSchool,
  isOfSchool,
  joinSchool,
  leaveSchool,
  schoolClasses,
  schoolInvitation,
  schoolsOf,
  schoolTeachers,
  setSchool,
  setSchoolRole,
  withdrawInvitation,
} from "./school";
import { archiveClass, nextYear } from "./year";

withTestDatabase("school");

const mail = async (id: string) =>
  (await db()<{ email: string }[]>`select email from account where id = ${id}`)[0]!.email;
const link = (token: string) => `https://fastigo.example/schools/join/${token}`;
const add = async (school: string, by: string, account: string, role: "administrator" | "teacher" = "teacher") =>
  addSchoolTeacher(school, by, await mail(account), role, link);

/** A class with work, its teacher the administrator of its school. */
async function ofASchool() {
  const s = await classWithWork();
  const { id } = must(await createSchool(s.teacher.id, "  Hollinbank School "));
  must(await setSchool(s.klass, s.teacher.id, id));
  return { ...s, school: id };
}

describe("a school", () => {
  it("is made by somebody with an e-mail address, under a name", async () => {
    const ward = await makePerson("Ms Ward");
    expect(await createSchool(ward.id, "  ")).toMatchObject({ failed: "school_name_missing" });
    expect(await createSchool(ward.id, "x".repeat(121))).toMatchObject({ failed: "school_name_missing" });
    const { id } = must(await createSchool(ward.id, " Hollinbank School "));
    expect(await findSchool(id, ward.id)).toMatchObject({ name: "Hollinbank School", role: "administrator" });
    await db()`update account set email = null, sign_in_name = 'ward-22' where id = ${ward.id}`;
    expect(await createSchool(ward.id, "Another")).toMatchObject({ failed: "school_needs_email" });
  });

  it("takes in colleagues at once, and writes to those without an account; a link is taken up once", async () => {
    const { school, teacher } = await ofASchool();
    const reed = await makePerson("Mr Reed");
    expect(must(await add(school, teacher.id, reed.id))).toEqual({ joined: true });
    expect((await noticesOf(reed.id))[0]!.text).toContain("made you a teacher of Hollinbank School");
    // Twice is once.
    must(await add(school, teacher.id, reed.id));
    expect(await noticesOf(reed.id)).toHaveLength(1);
    expect(await addSchoolTeacher(school, teacher.id, "no address", "teacher", link)).toMatchObject({
      failed: "email_malformed",
    });
    const written = await addSchoolTeacher(school, teacher.id, "fern@hollinbank.example", "administrator", link);
    expect(must(written)).toEqual({ joined: false });
    must(await addSchoolTeacher(school, teacher.id, "FERN@hollinbank.example", "teacher", link));
    expect((await schoolTeachers(school)).invited).toEqual([{ email: "FERN@hollinbank.example", role: "teacher" }]);
    const [letter, first] = await lettersOf(teacher.id);
    expect(letter).toMatchObject({
      recipient: "FERN@hollinbank.example",
      subject: expect.stringContaining("Hollinbank"),
    });
    const tokenIn = (body: string) => body.match(/schools\/join\/(\S+)/)![1]!;
    const token = tokenIn(letter!.body);
    expect(await schoolInvitation(token)).toMatchObject({ name: "Hollinbank School", by: "Ms Ward" });
    const fern = await makePerson("Ms Fern");
    // The letter before it leads nowhere any more.
    expect(await joinSchool(tokenIn(first!.body), fern.id)).toMatchObject({ failed: "invitation_ended" });
    expect(must(await joinSchool(token, fern.id))).toEqual({ id: school });
    expect(await joinSchool(token, reed.id)).toMatchObject({ failed: "invitation_ended" });
    expect((await schoolTeachers(school)).teachers.map((t) => [t.displayName, t.role])).toEqual([
      ["Ms Ward", "administrator"],
      ["Mr Reed", "teacher"],
      ["Ms Fern", "teacher"],
    ]);
    must(await addSchoolTeacher(school, teacher.id, "late@hollinbank.example", "teacher", link));
    expect(await withdrawInvitation(school, reed.id, "late@hollinbank.example")).toMatchObject({
      failed: "administrators_only",
    });
    must(await withdrawInvitation(school, teacher.id, "Late@hollinbank.example"));
    expect(await withdrawInvitation(school, teacher.id, "late@hollinbank.example")).toMatchObject({
      failed: "not_found",
    });
  });

  it("always has an administrator, also when one leaves for good", async () => {
    const { school, teacher } = await ofASchool();
    const [reed, fern] = [await makePerson("Mr Reed"), await makePerson("Ms Fern")];
    must(await add(school, teacher.id, reed.id));
    must(await add(school, teacher.id, fern.id));
    for (const refused of [
      await leaveSchool(school, teacher.id, teacher.id),
      await setSchoolRole(school, teacher.id, teacher.id, "teacher"),
      await add(school, teacher.id, teacher.id, "teacher"),
    ])
      expect(refused).toMatchObject({ failed: "last_administrator" });
    for (const refused of [
      await setSchoolRole(school, reed.id, fern.id, "administrator"),
      await leaveSchool(school, reed.id, fern.id),
      await alterSchool(school, reed.id, { name: "Mine" }),
      await endSchool(school, reed.id),
    ])
      expect(refused).toMatchObject({ failed: "administrators_only" });
    const stranger = await makePerson("Stranger");
    expect(await alterSchool(school, stranger.id, { name: "Mine" })).toMatchObject({ failed: "not_found" });
    must(await leaveSchool(school, fern.id, fern.id));
    expect(await schoolsOf(db(), fern.id)).toEqual([]);
    await deleteAccount(teacher.id);
    expect(await schoolsOf(db(), reed.id)).toEqual([{ id: school, name: "Hollinbank School", role: "administrator" }]);
    await deleteAccount(reed.id);
    expect(await db()`select from organisation where id = ${school}`).toHaveLength(0);
  });

  it("holds classes whose teachers put them there, and is of those they teach as long as their year goes on", async () => {
    const s = await ofASchool();
    const other = await classWithWork();
    // Neither a class of somebody else nor a school one does not teach at.
    expect(await setSchool(other.klass, s.teacher.id, s.school)).toMatchObject({ failed: "not_found" });
    expect(await setSchool(other.klass, other.teacher.id, s.school)).toMatchObject({ failed: "not_found" });
    must(await add(s.school, s.teacher.id, other.teacher.id));
    must(await setSchool(other.klass, other.teacher.id, s.school));
    expect((await schoolClasses(s.school)).map((c) => c.id).sort()).toEqual([s.klass, other.klass].sort());
    expect(await isOfSchool(db(), s.school, other.obi.id)).toBe(true);
    expect(await findSchool(s.school, other.obi.id)).toMatchObject({ role: null });
    const { id: next } = must(await nextYear(other.klass, other.teacher.id, "History 9B"));
    expect((await findClass(next))!.school).toMatchObject({ id: s.school });
    must(await archiveClass(other.klass, other.teacher.id, true));
    expect(await isOfSchool(db(), s.school, other.obi.id)).toBe(false);
    // A class none of the school teaches any more is none of it; its administrators take out any other.
    must(await leaveSchool(s.school, s.teacher.id, other.teacher.id));
    expect((await findClass(next))!.school).toBeNull();
    must(await setSchool(s.klass, s.teacher.id, null));
    expect(await schoolClasses(s.school)).toEqual([]);
  });
});

describe("publishing to a school", () => {
  it("is for what was made in its classes, and for its teachers' own", async () => {
    const s = await ofASchool();
    const shown = async (timeline: string) => (await findPublished((await publicationOf(timeline))!.address))!;
    must(await publish(s.timeline, s.nia.id, { visibility: "school" }, true));
    expect((await publishedToSchool(s.school)).map((l) => l.by)).toHaveLength(1);
    const outsider = await makePerson("Stranger");
    for (const [who, sees] of [
      [s.obi.id, true],
      [s.teacher.id, true],
      [outsider.id, false],
      [null, false],
    ] as const)
      expect(await canSee(await shown(s.timeline), who)).toBe(sees);
    // A teacher's own, given to one school of theirs.
    const { id } = must(await createTimeline(s.teacher.id, { title: "A model", subject: "" }));
    await edit(id, s.teacher.id, { kind: "add_event", id: "e1", fields: { title: "Ferry" } });
    expect(await publish(id, s.teacher.id, { visibility: "school" }, true)).toMatchObject({
      failed: "not_your_school",
    });
    expect(await publish(id, s.teacher.id, { visibility: "school", school: "nowhere" }, true)).toMatchObject({
      failed: "not_your_school",
    });
    must(await publish(id, s.teacher.id, { visibility: "school", school: s.school }, true));
    expect(await canSee(await shown(id), s.obi.id)).toBe(true);
    // A student's own, made in no class of it, is not theirs to give.
    const own = must(await createTimeline(s.obi.id, { title: "Mine", subject: "" }));
    await edit(own.id, s.obi.id, { kind: "add_event", id: "e1", fields: { title: "Ferry" } });
    expect(await publish(own.id, s.obi.id, { visibility: "school", school: s.school }, true)).toMatchObject({
      failed: "not_your_school",
    });
    // Whoever leaves the school takes what is theirs along.
    const reed = await makePerson("Mr Reed");
    must(await add(s.school, s.teacher.id, reed.id, "administrator"));
    must(await leaveSchool(s.school, s.teacher.id, s.teacher.id));
    expect(await canSee(await shown(id), s.obi.id)).toBe(false);
  });

  it("goes no further than school and class let it; the narrower of both counts", async () => {
    const s = await ofASchool();
    must(await alterClass(s.klass, s.teacher.id, { publishLimit: "everybody" }));
    must(await publish(s.timeline, s.nia.id, { visibility: "everybody" }, true));
    const now = async () => (await publicationOf(s.timeline))!.visibility;
    for (const [ofClass, ofTheSchool, comesTo] of [
      ["everybody", "everybody", "everybody"],
      ["link", "everybody", "link"],
      ["everybody", "school", "school"],
      ["class", "school", "class"],
      ["school", "link", "school"],
      ["link", "only_me", "only_me"],
    ] as const) {
      must(await alterClass(s.klass, s.teacher.id, { publishLimit: ofClass }));
      must(await alterSchool(s.school, s.teacher.id, { publishLimit: ofTheSchool }));
      expect([ofClass, ofTheSchool, await now()]).toEqual([ofClass, ofTheSchool, comesTo]);
    }
    // When the school ends, nothing goes further by itself.
    must(await alterClass(s.klass, s.teacher.id, { publishLimit: "everybody" }));
    must(await alterSchool(s.school, s.teacher.id, { publishLimit: "school" }));
    expect(await now()).toBe("school");
    must(await endSchool(s.school, s.teacher.id));
    expect(await now()).toBe("class");
    expect((await findClass(s.klass))!.school).toBeNull();
  });
});
