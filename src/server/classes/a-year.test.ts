import { createHash } from "node:crypto";
import { nanoid } from "nanoid";
import { expect, it } from "vitest";
import { seeded, shuffled } from "@/core/classes/random";
import { UNDATED } from "@/core/time/when";
import { db } from "../db/pool";
import { edit, must } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { tidy } from "../tidy";
import { createAssignment } from "./assignment";
import { addClassmate, beginAssignment } from "./begin";
import { createClass, findClass } from "./class";
import { joinAsMe } from "./join-class";
import { groupsOf, returnAll, returnWork, saveMark } from "./marking";
import { addTeacher } from "./people";
import { answer, ask, questionsOf } from "./questions";
import { reply } from "./replies";
import { ownWork, submit, takeSubmissionBack } from "./submit";
import { teachingOf } from "./teaching";
import { archiveClass, nextYear } from "./year";

withTestDatabase("a_year");

const TOTAL = 20;
const none = async () => [];

/** What a group is known to have done, written down beside what the server says. */
interface Group {
  timeline: string;
  members: { id: string; name: string }[];
  submission: string | null;
  /** How often it was handed in before that. */
  before: number;
  points: number | null;
  returned: boolean;
  toImprove: boolean;
  /** Points that were given back and changed afterwards, the first first. */
  earlier: number[];
  replies: number;
  asked: number;
  answered: number;
}

/**
 * The year of a class of eight with two teachers: a few hundred deeds by lot, each checked against what is written down beside it - what a
 * deed is refused for as well as what it comes to - and after every few of them all pages of pupils and teachers.
 */
it.each([1, 2, 3])(
  "a year by lot, seed %i: every page says what happened, and nothing is kept longer than said",
  async (seed) => {
    const random = seeded(seed);
    const one = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
    const [ward, reed] = [await makePerson("Ms Ward"), await makePerson("Mr Reed")];
    const klass = must(await createClass(ward.id, "History 8B")).id;
    const [{ email } = { email: "" }] = await db()<
      { email: string }[]
    >`select email from account where id = ${reed.id}`;
    must(await addTeacher(klass, ward.id, email, "teacher"));
    const code = (await findClass(klass))!.joinCode!;
    const pupils: { id: string; name: string }[] = [];
    for (const name of ["Ada", "Bram", "Caspian", "Ilse", "Junia", "Mila", "Obi", "Wren"]) {
      const { id } = await makePerson(name);
      must(await joinAsMe(id, code));
      pupils.push({ id, name });
    }
    const assignments = new Map<string, Group[]>();
    const groups = () => [...assignments.values()].flat();
    const asTeacher = () => one([ward, reed]).id;

    const deeds: Record<string, () => Promise<void>> = {
      async set() {
        if (assignments.size >= 4) return;
        const dueAt = new Date(Date.now() + 3_600_000).toISOString();
        const input = {
          title: `Task ${assignments.size + 1}`,
          instructions: "",
          period: UNDATED,
          given: [],
          total: TOTAL,
        };
        const made = await createAssignment(asTeacher(), {
          ...input,
          class: klass,
          requirements: [{ kind: "events", count: 2 }],
          dueAt,
        });
        assignments.set(must(made).id, []);
      },
      async begin() {
        const [id, known] = one([...assignments]) ?? [];
        if (!id || !known) return;
        const pupil = one(pupils);
        const done = await beginAssignment(id, pupil.id);
        if (known.some((g) => g.members.some((m) => m.id === pupil.id)))
          return expect(done).toMatchObject({ failed: "in_a_group" });
        const fresh = { submission: null, before: 0, points: null, returned: false, toImprove: false };
        known.push({
          ...fresh,
          timeline: must(done).timeline,
          members: [pupil],
          earlier: [],
          replies: 0,
          asked: 0,
          answered: 0,
        });
      },
      async takeIn() {
        const [, known] = one([...assignments]) ?? [];
        if (!known?.length) return;
        const [g, mate] = [one(known), one(pupils)];
        const done = await addClassmate(g.timeline, one(g.members).id, mate.id);
        if (known.some((o) => o.members.some((m) => m.id === mate.id))) expect(done).toHaveProperty("failed");
        else {
          must(done);
          g.members.push(mate);
        }
      },
      async write() {
        const g = one(groups());
        if (!g) return;
        const fields = { title: `Event ${Math.floor(random() * 1_000)}` };
        must(await edit(g.timeline, one(g.members).id, { kind: "add_event", id: nanoid(8), fields }));
      },
      async handIn() {
        const g = one(groups());
        if (!g) return;
        const done = await submit(g.timeline, one(g.members).id);
        if (g.submission && !g.returned) return expect(done).toMatchObject({ failed: "submitted_already" });
        if (g.submission && !g.toImprove) return expect(done).toMatchObject({ failed: "not_to_improve" });
        if ("failed" in done) return expect(done).toMatchObject({ failed: "nothing_to_submit" });
        const again = g.submission !== null;
        Object.assign(g, { before: again ? g.before + 1 : 0, points: null, returned: false, toImprove: false });
        Object.assign(g, { earlier: [], replies: 0, submission: (await ownWork(g.timeline))!.submission!.id });
      },
      async takeBack() {
        const g = one(groups());
        if (!g || random() < 0.5) return;
        const done = await takeSubmissionBack(g.timeline, one(g.members).id);
        if (!g.submission || g.returned || g.before > 0)
          return void expect(g.before > 0 || "failed" in done).toBe(true);
        must(done);
        Object.assign(g, { submission: null, points: null });
      },
      async mark() {
        const g = one(groups());
        if (!g?.submission) return;
        const points = Math.floor(random() * (TOTAL + 4));
        const reason = random() < 0.6 ? "Read again." : "";
        const done = await saveMark(g.submission, asTeacher(), { points, comment: "", comments: [], reason });
        if (points > TOTAL) return expect(done).toMatchObject({ failed: "points_out_of_range" });
        const changes = g.returned && points !== g.points;
        if (changes && reason === "") return expect(done).toMatchObject({ failed: "mark_needs_reason" });
        must(done);
        if (changes) g.earlier.push(g.points!);
        g.points = points;
      },
      async giveBack() {
        const g = one(groups());
        if (!g?.submission) return;
        const toImprove = random() < 0.4;
        const done = await returnWork(g.submission, asTeacher(), toImprove);
        if (g.points === null) return expect(done).toMatchObject({ failed: "not_marked_yet" });
        must(done);
        Object.assign(g, { returned: true, toImprove });
      },
      async giveAllBack() {
        const [id, known] = one([...assignments]) ?? [];
        if (!id || !known || random() < 0.7) return;
        const ready = known.filter((g) => g.points !== null && !g.returned);
        expect(must(await returnAll(id, asTeacher())).returned).toBe(ready.length);
        for (const g of ready) g.returned = true;
      },
      async say() {
        const g = one(groups());
        if (!g?.submission) return;
        const done = await reply(g.submission, one([asTeacher(), one(g.members).id]), "About the bridge.");
        if (!g.returned) return expect(done).toMatchObject({ failed: "not_returned_yet" });
        must(done);
        g.replies++;
      },
      async askTeacher() {
        const g = one(groups());
        if (!g || g.asked - g.answered > 3) return;
        must(await ask(g.timeline, one(g.members).id, "", "Where does it begin?"));
        g.asked++;
      },
      async answerGroup() {
        const g = one(groups().filter((x) => x.asked > x.answered));
        if (!g) return;
        const open = (await questionsOf(g.timeline)).filter((q) => q.answeredAt === null);
        must(await answer(one(open).id, asTeacher(), "At the ferry."));
        g.answered++;
      },
    };

    const look = async () => {
      const own = (await teachingOf(ward.id, none))[0]!;
      const names = (g: Group) =>
        g.members
          .map((m) => m.name)
          .sort()
          .join(", ");
      const waits = (g: Group) => g.submission !== null && !g.toImprove && g.points === null;
      const listed = (list: { names: string }[]) => list.map((w) => w.names).sort();
      expect(listed(own.toMark)).toEqual(
        groups()
          .filter((g) => waits(g) && g.before === 0)
          .map(names)
          .sort(),
      );
      expect(listed(own.again)).toEqual(
        groups()
          .filter((g) => waits(g) && g.before > 0)
          .map(names)
          .sort(),
      );
      expect(own.asked.reduce((n, w) => n + w.questions, 0)).toBe(
        groups().reduce((n, g) => n + g.asked - g.answered, 0),
      );
      // Both teachers see the same.
      expect((await teachingOf(reed.id, none))[0]).toEqual(own);
      for (const [id, known] of assignments) {
        const rows = await groupsOf(id, none);
        for (const g of known) {
          expect(rows.find((r) => r.timeline === g.timeline)).toMatchObject({
            submission: g.submission,
            points: g.points,
            toImprove: g.toImprove && g.returned,
            questions: g.asked - g.answered,
          });
          const work = (await ownWork(g.timeline))!;
          expect(work.submission?.id ?? null).toBe(g.submission);
          // No mark is seen before it came back, and every change of one that was, with what it was.
          expect(work.returned === null).toBe(!g.returned);
          if (!work.returned) continue;
          expect(work.returned).toMatchObject({ points: g.points, toImprove: g.toImprove });
          expect(work.returned.earlier.map((e) => e.points)).toEqual(g.earlier);
          expect(work.returned.replies).toHaveLength(g.replies);
        }
      }
    };

    await deeds.set!();
    for (let n = 0; n < 160; n++) {
      await one(Object.values(deeds))();
      if (n % 40 === 39) await look();
    }
    // What was handed in is what was frozen, whatever came after.
    const kept = await db()<{ hash: string; content: string; version: string }[]>`
    select s.hash, s.content, v.hash as version from submission s join version v on v.id = s.version_id`;
    expect(kept.length).toBeGreaterThan(3);
    for (const s of kept) expect(createHash("sha256").update(s.version).update(s.content).digest("hex")).toBe(s.hash);
    // The year ends: nothing is handed in any more, the next begins with the same tasks and nobody in it.
    must(await archiveClass(klass, ward.id, true));
    for (const g of shuffled(groups(), random).slice(0, 3))
      expect(await submit(g.timeline, g.members[0]!.id)).toMatchObject({ failed: "year_over" });
    const next = must(await nextYear(klass, reed.id, "History 9B")).id;
    expect((await db()`select from assignment where class_id = ${next}`).length).toBe(assignments.size);
    expect((await db()`select from class_member where class_id = ${next}`).length).toBe(0);
    // What the class keeps for two years is there after one, and gone after three; the timelines stay with those who made them.
    const later = (years: number) => new Date(Date.now() + years * 366 * 86_400_000);
    await tidy("test", later(1));
    expect((await db()`select from submission`).length).toBe(kept.length);
    await tidy("test", later(3));
    expect((await db()`select from submission`).length).toBe(0);
    expect((await db()`select from mark`).length).toBe(0);
    for (const g of groups()) expect((await db()`select from timeline where id = ${g.timeline}`).length).toBe(1);
  },
  120_000,
);
