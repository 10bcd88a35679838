import "server-only";
import { nanoid } from "nanoid";
import type { Op } from "@/core/change/change";
import type { Requirement } from "@/core/check/requirements";
import { requirementText } from "@/core/words/en/class-work";
import { zonedText } from "@/core/time/zoned";
import { between } from "@/core/timeline/place";
import {
  type Category,
  categoriesOf,
  emptyCategory,
  emptyTimeline,
  nextLook,
  type Timeline,
} from "@/core/timeline/timeline";
import { confirmReading } from "@/core/timeline/read-options";
import { isDated, UNDATED, type When } from "@/core/time/when";
import { db, type Tx } from "../db/pool";
import { type Failure, fail, refusal } from "../http/failure";
import { rightsChanged, workChanged } from "../live/notify";
import { findRight, holds, requireRight } from "../timelines/access";
import { createTimelineIn } from "../timelines/create";
import { makeEditor } from "../timelines/invite";
import { readTimeline } from "../timelines/queries";
import { takeChangeIn } from "../timelines/take-change";
import { findClassRole } from "./class";
import { joinGroup } from "./reach";

export interface GivenInput {
  title: string;
  when: When;
  locked: boolean;
}

export interface AssignmentInput {
  class: string;
  title: string;
  instructions: string;
  period: When;
  requirements: Requirement[];
  given: GivenInput[];
  total: number;
  /** ISO 8601: with an offset, or the day and time in the zone of the class ("2026-12-11T16:00"). */
  dueAt: string;
}

/** An assignment without its right dates: what a student may see. */
export interface Assignment {
  id: string;
  classId: string;
  className: string;
  title: string;
  instructions: string;
  period: When;
  requirements: Requirement[];
  total: number;
  dueAt: Date;
  /** The time zone of the class. */
  zone: string;
}

/** What may be stored of an assignment: checked, its dates as the reader of dates reads them, its due time an instant. */
async function readInput(input: AssignmentInput): Promise<Failure | (AssignmentInput & { due: Date })> {
  const title = input.title.trim();
  const due = await instantOf(input.dueAt, input.class);
  if (!due) return fail("assignment_incomplete", "Set the day and time it is due.");
  if (due.getTime() < Date.UTC(2000) || due.getTime() > Date.UTC(2200)) return fail("due_out_of_range");
  // The reader of dates decides what a typed date says, not the browser.
  const period = confirmReading(input.period, {});
  const given = input.given.map((g) => ({ ...g, title: g.title.trim(), when: confirmReading(g.when, {}) }));
  if (title.length < 1 || title.length > 200)
    return fail("assignment_incomplete", "Type a title of 1 to 200 characters.");
  for (const g of given) {
    if (g.title === "") return fail("assignment_incomplete", "Every given event needs a title.");
    if (!isDated(g.when)) return fail("assignment_incomplete", `The right date of “${g.title}” is not understood.`);
  }
  return { ...input, title, instructions: input.instructions.slice(0, 10_000), period, given, due };
}

/** An instant from ISO 8601 with an offset, or from a day and time in the zone of a class; null where it says neither. */
async function instantOf(text: string, klass: string): Promise<Date | null> {
  if (/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/.test(text)) {
    if (Number.isNaN(Date.parse(`${text}Z`))) return null;
    const [row] = await db()<{ at: Date }[]>`
      select (${text}::timestamp at time zone zone) as at from class where id = ${klass}`;
    return row?.at ?? null;
  }
  const at = new Date(text);
  return Number.isNaN(at.getTime()) ? null : at;
}

/** Makes an assignment with its given events. The class's teacher only. */
export async function createAssignment(teacher: string, input: AssignmentInput): Promise<Failure | { id: string }> {
  if ((await findClassRole(db(), input.class, teacher)) !== "teacher") return fail("not_found");
  const a = await readInput(input);
  if ("failed" in a) return a;
  const id = nanoid(12);
  await db().begin(async (tx) => {
    await tx`
      insert into assignment (id, class_id, title, instructions, period, requirements, total, due_at)
      values (${id}, ${a.class}, ${a.title}, ${a.instructions}, ${tx.json(a.period as never)}, ${tx.json(a.requirements as never)}, ${a.total}, ${a.due})`;
    await writeGiven(tx, id, a.given);
  });
  return { id };
}

async function writeGiven(tx: Tx, assignment: string, given: readonly GivenInput[]): Promise<void> {
  for (const [place, g] of given.entries())
    await tx`
      insert into given_event (id, assignment_id, place, title, right_when, locked)
      values (${nanoid(12)}, ${assignment}, ${place}, ${g.title.slice(0, 300)}, ${tx.json(g.when as never)}, ${g.locked})`;
}

/**
 * Alters an assignment. Those who have begun are told what is different; given events stay as they are once somebody has begun. The
 * class's teacher only.
 */
export async function alterAssignment(
  id: string,
  teacher: string,
  input: AssignmentInput,
): Promise<Failure | { told: number }> {
  const before = await findAssignment(id);
  if (!before || (await findClassRole(db(), before.classId, teacher)) !== "teacher") return fail("not_found");
  const a = await readInput({ ...input, class: before.classId });
  if ("failed" in a) return a;
  const done = await db().begin(async (tx) => {
    await tx`select from assignment where id = ${id} for update`;
    await tx`
      update assignment set title = ${a.title}, instructions = ${a.instructions}, period = ${tx.json(a.period as never)},
        requirements = ${tx.json(a.requirements as never)}, total = ${a.total}, due_at = ${a.due} where id = ${id}`;
    const groups = await tx<{ timelineId: string }[]>`select timeline_id from group_work where assignment_id = ${id}`;
    if (groups.length === 0) {
      await tx`delete from given_event where assignment_id = ${id}`;
      await writeGiven(tx, id, a.given);
    }
    const different = differences(before, { ...before, ...a, dueAt: a.due });
    const told =
      different.length === 0
        ? []
        : await tx`
      insert into account_notice (account_id, text)
      select m.account_id, ${`“${before.title}” was changed by your teacher: ${different.join("; ")}.`}
      from group_member m where m.assignment_id = ${id} returning account_id`;
    return { told: told.length, timelines: groups.map((g) => g.timelineId) };
  });
  for (const t of done.timelines) await workChanged(t);
  return { told: done.told };
}

/** What is different now, for those who work on it. */
function differences(was: Assignment, now: Assignment): string[] {
  const found: string[] = [];
  if (was.title !== now.title) found.push(`it is called “${now.title}” now`);
  if (was.dueAt.getTime() !== now.dueAt.getTime())
    found.push(`it is due ${zonedText(now.dueAt, now.zone)} instead of ${zonedText(was.dueAt, was.zone)}`);
  if (was.total !== now.total) found.push(`it is marked out of ${now.total} instead of ${was.total}`);
  const texts = (a: Assignment) => a.requirements.map(requirementText);
  const [old, fresh] = [new Set(texts(was)), new Set(texts(now))];
  for (const r of fresh) if (!old.has(r)) found.push(`now asked: ${r}`);
  for (const r of old) if (!fresh.has(r)) found.push(`no longer asked: ${r}`);
  if (was.instructions !== now.instructions) found.push("the instructions are different");
  if (was.period.typed !== now.period.typed) found.push(`the period is ${now.period.typed || "left open"}`);
  return found;
}

const COLUMNS =
  "a.id, a.class_id, c.name as class_name, a.title, a.instructions, a.period, a.requirements, a.total, a.due_at, c.zone";

export async function findAssignment(id: string): Promise<Assignment | null> {
  const [row] = await db()<Assignment[]>`
    select ${db().unsafe(COLUMNS)} from assignment a join class c on c.id = a.class_id where a.id = ${id}`;
  return row ?? null;
}

export async function assignmentsOf(klass: string): Promise<Assignment[]> {
  return db()<Assignment[]>`
    select ${db().unsafe(COLUMNS)}
    from assignment a join class c on c.id = a.class_id where a.class_id = ${klass} order by a.due_at desc, a.id`;
}

/** The due time as a field for day and time holds it, in the zone of the class. */
export async function dueInZone(assignment: string): Promise<string> {
  const [row] = await db()<{ due: string }[]>`
    select to_char(a.due_at at time zone c.zone, 'YYYY-MM-DD"T"HH24:MI') as due
    from assignment a join class c on c.id = a.class_id where a.id = ${assignment}`;
  return row?.due ?? "";
}

/** Whether anybody has begun it. */
export async function isBegun(assignment: string): Promise<boolean> {
  const [row] = await db()`select from group_work where assignment_id = ${assignment} limit 1`;
  return row !== undefined;
}

/** The given events; `right` is null for those the students must date, unless asked for by the server itself. */
export async function givenEventsOf(
  assignment: string,
): Promise<{ id: string; title: string; rightWhen: When; locked: boolean }[]> {
  return db()<{ id: string; title: string; rightWhen: When; locked: boolean }[]>`
    select id, title, right_when, locked from given_event where assignment_id = ${assignment} order by place`;
}

/** The timeline with which a student works on an assignment; null when they have not begun. */
export async function findOwnWork(assignment: string, account: string): Promise<string | null> {
  const [row] = await db()<{ timelineId: string }[]>`
    select g.timeline_id from group_member m join group_work g on g.id = m.group_id join timeline t on t.id = g.timeline_id
    where m.assignment_id = ${assignment} and m.account_id = ${account} and t.deleted_at is null`;
  return row?.timelineId ?? null;
}

/** The categories an assignment asks for, those that are not there yet. */
function requiredCategories(requirements: readonly Requirement[], there: readonly Category[]): Op[] {
  const known = new Set(there.map((c) => c.name.trim().toLowerCase()));
  const all = [...there];
  const ops: Op[] = [];
  for (const name of requirements.flatMap((r) => (r.kind === "categories" ? r.names : []))) {
    if (known.has(name.trim().toLowerCase())) continue;
    known.add(name.trim().toLowerCase());
    const place = between(all.at(-1)?.place ?? null, null);
    const made: Category = { ...emptyCategory(nanoid(10)), name: name.trim(), ...nextLook(all), place };
    all.push(made);
    const { id, deleted: _, ...fields } = made;
    ops.push({ kind: "add_category", id, fields });
  }
  return ops;
}

/** The steps that put an assignment's period, categories and given events into a timeline. */
async function setUp(a: Assignment, there: Timeline): Promise<Op[]> {
  const ops: Op[] =
    isDated(a.period) && !isDated(there.period) ? [{ kind: "set_timeline", field: "period", value: a.period }] : [];
  ops.push(...requiredCategories(a.requirements, categoriesOf(there)));
  let after: string | null = null;
  for (const g of await givenEventsOf(a.id)) {
    const event = nanoid(10);
    // An undated one carries nothing of the right date, not even its place among the others.
    const when: When = g.locked ? g.rightWhen : { ...UNDATED, place: { after, key: "a0" } };
    if (!g.locked) after = event;
    ops.push({ kind: "add_event", id: event, fields: { title: g.title, when, given: g.id, locked: g.locked } });
  }
  return ops;
}

/**
 * Begins an assignment: with a timeline that is made, or with one of the student's own (`use`), which gets period, categories and given
 * events as a change. Timeline, group and membership are one transaction, and the database lets a person be in one group of an
 * assignment only.
 */
export async function beginAssignment(
  id: string,
  student: string,
  use: string | null = null,
): Promise<Failure | { timeline: string }> {
  const assignment = await findAssignment(id);
  if (!assignment || (await findClassRole(db(), assignment.classId, student)) !== "student") return fail("not_found");
  const begun = await db()
    .begin(async (tx): Promise<Failure | { timeline: string }> => {
      const group = nanoid(12);
      let timeline = use;
      if (timeline) {
        const problem = await takeInto(tx, assignment, student, timeline);
        if (problem) return problem;
      } else {
        const ops = await setUp(assignment, emptyTimeline(""));
        const made = await createTimelineIn(tx, student, { title: assignment.title, subject: "" }, ops);
        if ("failed" in made) return made;
        timeline = made.id;
      }
      await tx`insert into group_work (id, assignment_id, timeline_id) values (${group}, ${id}, ${timeline})`;
      const own = await tx`
        insert into group_member (assignment_id, account_id, group_id) values (${id}, ${student}, ${group})
        on conflict do nothing returning group_id`;
      if (own.length === 0) throw new BegunAlready();
      // Who writes in it too is of the group, if they are of the class and have not begun elsewhere.
      if (use)
        await tx`
          insert into group_member (assignment_id, account_id, group_id)
          select ${id}, e.account_id, ${group} from editor e join class_member m on m.account_id = e.account_id
          where e.timeline_id = ${timeline} and m.class_id = ${assignment.classId} on conflict do nothing`;
      return { timeline };
    })
    .catch((error: unknown) => (error instanceof BegunAlready ? begunAlready(id, student) : refusal(error)));
  if ("failed" in begun) return begun;
  await rightsOfTeacher(begun.timeline);
  await workChanged(begun.timeline);
  return begun;
}

/** Puts what an assignment asks for into a timeline there is; its owner only, and only one of no assignment. */
async function takeInto(tx: Tx, a: Assignment, student: string, timeline: string): Promise<Failure | null> {
  const right = await findRight(tx, timeline, student);
  if (!holds(right, "edit")) return fail("not_found");
  if (right !== "own") return fail("not_yours_alone");
  const [used] = await tx`select from group_work where timeline_id = ${timeline}`;
  if (used) return fail("in_use_elsewhere");
  const read = await readTimeline(tx, timeline);
  if (!read) return fail("not_found");
  const ops = await setUp(a, read.timeline);
  if (ops.length === 0) return null;
  await takeChangeIn(tx, timeline, { id: nanoid(), author: student, base: read.seq, ops });
  return null;
}

/** The timelines a student could hand in for an assignment: their own ones of no assignment, the last altered first. */
export async function usableFor(student: string): Promise<{ id: string; title: string }[]> {
  return db()<{ id: string; title: string }[]>`
    select t.id, t.title from editor e join timeline t on t.id = e.timeline_id
    where e.account_id = ${student} and e.role = 'owner' and t.deleted_at is null
      and not exists (select from group_work g where g.timeline_id = t.id)
    order by t.altered_at desc limit 100`;
}

class BegunAlready extends Error {}

async function begunAlready(assignment: string, student: string): Promise<Failure> {
  return fail((await findOwnWork(assignment, student)) ? "in_a_group" : "handed_in_and_deleted");
}

/** The teacher watches the group's timeline from now on. */
async function rightsOfTeacher(timeline: string): Promise<void> {
  for (const t of await db()<{ id: string }[]>`
    select t.account_id as id from group_work g join assignment a on a.id = g.assignment_id
    join class_teacher t on t.class_id = a.class_id where g.timeline_id = ${timeline}`)
    await rightsChanged(t.id);
}

/** Takes a classmate into the group: somebody of the class who has not begun the assignment elsewhere. */
export async function addClassmate(
  timeline: string,
  by: string,
  classmate: string,
): Promise<Failure | { added: true }> {
  const done = await db()
    .begin(async (tx): Promise<Failure | null> => {
      await requireRight(tx, timeline, by, "edit");
      if ((await joinGroup(tx, timeline, classmate)) !== "joined") return fail("not_a_classmate");
      await makeEditor(tx, timeline, classmate);
      await tx`delete from removed_editor where timeline_id = ${timeline} and account_id = ${classmate}`;
      return null;
    })
    .catch(refusal);
  if (done) return done;
  await rightsChanged(classmate);
  await workChanged(timeline);
  return { added: true };
}
