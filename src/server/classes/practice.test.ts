import { describe, expect, it } from "vitest";
import { lookOf } from "@/core/looks/look-file";
import { readWhen } from "@/core/time/read/read-when";
import { emptyTimeline } from "@/core/timeline/timeline";
import { db } from "../db/pool";
import { isFailure } from "../http/failure";
import { deleteLook, looksFor, saveLook } from "../looks/saved-looks";
import { edit, must } from "../testing/school";
import { makePerson, makeTimeline, withTestDatabase } from "../testing/test-database";
import { tidy } from "../tidy";
import { publish } from "../publishing/publish";
import { purgeTimeline } from "../timelines/purge";
import { alterClass, createClass, findClass } from "./class";
import { joinAsMe } from "./join-class";
import { teachingOf } from "./teaching";
import {
  checkPractice,
  duePractices,
  forgetResults,
  givePractice,
  openPractice,
  type PracticeChoice,
  practicable,
  practicesOf,
  resultsOf,
  takePracticeBack,
} from "./practice";

withTestDatabase("practice");

const YEARS = { ferry: 1604, school: 1766, flood: 1872, last: 1931 };
const choice = (timeline: string): PracticeChoice => ({ timeline, count: 8, parts: false, spans: true });

/** A class with two students, and a practice of four events. */
async function given() {
  const [ward, nia, obi, other] = [
    await makePerson("Ward"),
    await makePerson("Nia"),
    await makePerson("Obi"),
    await makePerson("Stranger"),
  ];
  const klass = must(await createClass(ward.id, "8B")).id;
  const code = (await findClass(klass))!.joinCode!;
  for (const s of [nia, obi]) must(await joinAsMe(s.id, code));
  const timeline = await makeTimeline(ward.id, "The crossing");
  await edit(
    timeline,
    ward.id,
    ...Object.entries(YEARS).map(([id, year]) => ({
      kind: "add_event" as const,
      id,
      fields: { title: id, when: readWhen(String(year)) },
    })),
  );
  const { id } = must(await givePractice(klass, ward.id, choice(timeline)));
  return { ward, nia, obi, other, klass, timeline, id };
}

describe("a practice that is given to a class", () => {
  it("is given by its teacher, of a timeline they may edit, with enough to put in order", async () => {
    const { ward, nia, klass } = await given();
    const own = await makeTimeline(nia.id, "Nia's");
    expect(await givePractice(klass, nia.id, choice(own))).toMatchObject({ failed: "not_found" });
    expect(await givePractice(klass, ward.id, choice(own))).toMatchObject({ failed: "not_found" });
    // What its student publishes to everybody is anybody's to practise with, as it was published.
    await edit(
      own,
      nia.id,
      ...[1, 2, 3].map((n) => ({
        kind: "add_event" as const,
        id: `n${n}`,
        fields: { title: `n${n}`, when: readWhen(String(1900 + n)) },
      })),
    );
    must(await publish(own, nia.id, { visibility: "everybody" }, true));
    expect((await practicable(klass, ward.id)).map((t) => t.title)).toContain("Nia's");
    must(await givePractice(klass, ward.id, choice(own)));
    const empty = await makeTimeline(ward.id, "Empty");
    expect(await givePractice(klass, ward.id, choice(empty))).toMatchObject({ failed: "practice_small" });
  });

  it("is due where that is said: each has it among what is due until they have done it, and their teacher sees who has not", async () => {
    const { ward, nia, obi, klass, timeline } = await given();
    expect(await duePractices(nia.id)).toEqual([]);
    expect(await givePractice(klass, ward.id, { ...choice(timeline), dueAt: "soon" })).toMatchObject({
      failed: "no_such_time",
    });
    must(await alterClass(klass, ward.id, { zone: "Europe/Berlin" }));
    const at = (hours: number) => new Date(Date.now() + hours * 3_600_000).toISOString();
    const { id } = must(await givePractice(klass, ward.id, { ...choice(timeline), dueAt: "2031-07-11T16:00" }));
    const past = must(await givePractice(klass, ward.id, { ...choice(timeline), dueAt: at(-2) })).id;
    expect((await duePractices(nia.id)).map((p) => [p.id, p.zone])).toEqual([
      [past, "Europe/Berlin"],
      [id, "Europe/Berlin"],
    ]);
    // In the time of the class, which in July is two hours before UTC.
    expect((await duePractices(nia.id))[1]!.dueAt.toISOString()).toBe("2031-07-11T14:00:00.000Z");
    expect(must(await checkPractice(past, nia.id, Object.keys(YEARS)))).toMatchObject({ kept: true });
    expect((await duePractices(nia.id)).map((p) => p.id)).toEqual([id]);
    const seen = (await practicesOf(klass, ward.id, true)).find((p) => p.id === past)!;
    expect(seen.missing).toEqual(["Obi"]);
    expect(seen.results.map((r) => [r.name, r.firstAt > seen.dueAt!])).toEqual([["Nia", true]]);
    expect((await practicesOf(klass, obi.id, false)).flatMap((p) => p.missing)).toEqual([]);
    // What is past due stands on the teacher's page, what is not does not.
    const [today] = await teachingOf(ward.id, async () => []);
    expect(today!.late.map((l) => [l.names, l.assignment, l.href])).toEqual([["Obi", past, `/classes/${klass}`]]);
  });

  it("tells no date before an order is checked, and then all of them", async () => {
    const { nia, other, id } = await given();
    const open = (await openPractice(id, nia.id))!;
    expect(open.cards.map((c) => c.id).sort()).toEqual(Object.keys(YEARS).sort());
    expect(Object.keys(open.cards[0]!).sort()).toEqual(["id", "title"]);
    expect(await openPractice(id, other.id)).toBeNull();
    expect(await checkPractice(id, other.id, Object.keys(YEARS))).toMatchObject({ failed: "not_found" });
    for (const placed of [
      ["ferry"],
      [...Object.keys(YEARS), "ferry"],
      ["ferry", "ferry", "ferry", "ferry"],
      ["ferry", "school", "flood", "unknown"],
    ])
      expect(await checkPractice(id, nia.id, placed)).toMatchObject({ failed: "practice_incomplete" });
    const checked = must(await checkPractice(id, nia.id, Object.keys(YEARS)));
    expect(checked).toMatchObject({ kept: true, marked: { right: 4, of: 4, share: 1 } });
    expect(checked.cards.map((c) => c.date)).toEqual(["1604", "1766", "1872", "1931"]);
  });

  it("keeps each student's best and how often they tried; they see their own, their teacher everybody's", async () => {
    const { ward, nia, obi, klass, id } = await given();
    must(await checkPractice(id, nia.id, ["last", "flood", "school", "ferry"]));
    must(await checkPractice(id, nia.id, ["ferry", "flood", "school", "last"]));
    must(await checkPractice(id, obi.id, Object.keys(YEARS)));
    // Whoever teaches the class only tries it.
    expect(must(await checkPractice(id, ward.id, Object.keys(YEARS))).kept).toBe(false);
    const [all] = await practicesOf(klass, ward.id, true);
    expect(all!.results.map((r) => [r.name, r.tries, r.right, r.share])).toEqual([
      ["Nia", 2, 2, 0.75],
      ["Obi", 1, 4, 1],
    ]);
    const [own] = await practicesOf(klass, nia.id, false);
    expect(own!.results.map((r) => r.name)).toEqual(["Nia"]);
    expect(await resultsOf(nia.id)).toHaveLength(2);
    await db().begin((tx) => forgetResults(tx, nia.id));
    expect(await resultsOf(nia.id)).toEqual([]);
  });

  it("counts no more than a hundred tries, and stays as it was given when the timeline goes on", async () => {
    const { ward, nia, timeline, id } = await given();
    await edit(timeline, ward.id, { kind: "set_event", id: "ferry", field: "when", value: readWhen("1999") });
    await db()`
      insert into practice_result (practice_id, account_id, placed, right_count, share)
      select ${id}, ${nia.id}, '[]', 0, 0 from generate_series(1, 100)`;
    const checked = must(await checkPractice(id, nia.id, Object.keys(YEARS)));
    expect(checked.kept).toBe(false);
    expect(checked.cards[0]!.date).toBe("1604");
  });

  it("goes when it is taken back, with its timeline, and its results when the class keeps them no longer", async () => {
    const { ward, nia, klass, timeline, id } = await given();
    const second = must(await givePractice(klass, ward.id, choice(timeline))).id;
    must(await checkPractice(id, nia.id, Object.keys(YEARS)));
    await db()`update practice_result set at = now() - interval '10 years'`;
    await tidy("test");
    expect(await resultsOf(nia.id)).toEqual([]);
    expect(await takePracticeBack(klass, nia.id, id)).toMatchObject({ failed: "not_found" });
    must(await takePracticeBack(klass, ward.id, id));
    expect(await openPractice(id, nia.id)).toBeNull();
    await db().begin((tx) => purgeTimeline(tx, timeline));
    expect(await openPractice(second, nia.id)).toBeNull();
  });
});

describe("a saved look", () => {
  it("is for oneself, or for a class by its teacher; whoever saved it deletes it", async () => {
    const { ward, nia, other, klass } = await given();
    const look = lookOf({ ...emptyTimeline("t"), look: "oak" });
    must(await saveLook(nia.id, { name: "Mine", look, klass: null }));
    const shared = must(await saveLook(ward.id, { name: "Ours", look, klass })).id;
    expect(await saveLook(nia.id, { name: "x", look, klass })).toMatchObject({ failed: "teacher_only" });
    expect(await saveLook(other.id, { name: "x", look, klass })).toMatchObject({ failed: "not_found" });
    expect((await looksFor(nia.id)).map((l) => [l.name, l.mine, l.className, l.look.wears.look])).toEqual([
      ["Mine", true, null, "oak"],
      ["Ours", false, "8B", "oak"],
    ]);
    expect(await looksFor(other.id)).toEqual([]);
    expect(await deleteLook(nia.id, shared)).toMatchObject({ failed: "not_found" });
    must(await deleteLook(ward.id, shared));
    expect((await looksFor(nia.id)).map((l) => l.name)).toEqual(["Mine"]);
  });

  it("is not kept beyond a hundred", async () => {
    const nia = await makePerson("Nia");
    const look = lookOf(emptyTimeline("t"));
    const done = [];
    for (let i = 0; i < 101; i++) done.push(await saveLook(nia.id, { name: `Look ${i}`, look, klass: null }));
    expect(done.filter(isFailure)).toEqual([expect.objectContaining({ failed: "looks_full" })]);
    expect(await looksFor(nia.id)).toHaveLength(100);
  });
});
