import "server-only";
import { nanoid } from "nanoid";
import type { Op } from "@/core/change/change";
import type { Requirement } from "@/core/check/requirements";
import { between } from "@/core/timeline/place";
import {
  type Category,
  categoriesOf,
  emptyCategory,
  emptyTimeline,
  nextLook,
  type Timeline,
} from "@/core/timeline/timeline";
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
import { findAssignment, findOwnWork, givenEventsOf, type Assignment, type Grouping } from "./assignment";

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
export async function setUp(a: Assignment, there: Timeline): Promise<Op[]> {
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
  if (assignment.over) return fail("year_over");
  if (assignment.options.grouping === "teacher") return fail("groups_by_teacher");
  const begun = await db()
    .begin(async (tx): Promise<Failure | { timeline: string }> => {
      const group = nanoid(12);
      let timeline = use;
      if (timeline !== null) {
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
      if (use && assignment.options.grouping === "pupils")
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

/** The timelines a teacher could show as a model: those they may edit and that are no group's work, the last altered first. */
export async function usableAsModel(teacher: string): Promise<{ id: string; title: string }[]> {
  return db()<{ id: string; title: string }[]>`
    select t.id, t.title from editor e join timeline t on t.id = e.timeline_id
    where e.account_id = ${teacher} and t.deleted_at is null
      and not exists (select from group_work g where g.timeline_id = t.id)
    order by t.altered_at desc limit 100`;
}

class BegunAlready extends Error {}

async function begunAlready(assignment: string, student: string): Promise<Failure> {
  return fail((await findOwnWork(assignment, student)) ? "in_a_group" : "handed_in_and_deleted");
}

/** The teacher watches the group's timeline from now on. */
export async function rightsOfTeacher(timeline: string): Promise<void> {
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
      const [work] = await tx<{ grouping: Grouping }[]>`
        select a.grouping from group_work g join assignment a on a.id = g.assignment_id where g.timeline_id = ${timeline}`;
      if (work?.grouping === "single") return fail("works_alone");
      if (work?.grouping === "teacher") return fail("groups_by_teacher");
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
