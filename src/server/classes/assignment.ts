import "server-only";
import { nanoid } from "nanoid";
import type { Op } from "@/core/change/change";
import type { Requirement } from "@/core/check/requirements";
import { confirmReading } from "@/core/timeline/read-options";
import { isDated, UNDATED, type When } from "@/core/time/when";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { rightsChanged, workChanged } from "../live/notify";
import { findRole } from "../timelines/access";
import { createTimelineIn } from "../timelines/create";
import { addEditorFromClass } from "../timelines/invite";
import { refusal } from "../timelines/take-change";
import { findClassRole } from "./class";

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
  /** ISO 8601 with an offset. */
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
}

/** Makes an assignment with its given events. The class's teacher only. */
export async function createAssignment(teacher: string, input: AssignmentInput): Promise<Failure | { id: string }> {
  if ((await findClassRole(db(), input.class, teacher)) !== "teacher") return fail("not_found");
  const title = input.title.trim();
  const due = new Date(input.dueAt);
  if (Number.isNaN(due.getTime())) return fail("assignment_incomplete", "Set the day and time it is due.");
  if (due.getTime() < Date.UTC(2000) || due.getTime() > Date.UTC(2200)) return fail("due_out_of_range");
  // The reader of dates decides what a typed date says, not the browser.
  const period = confirmReading(input.period, {});
  const given = input.given.map((g) => ({ ...g, when: confirmReading(g.when, {}) }));
  if (title.length < 1 || title.length > 200)
    return fail("assignment_incomplete", "Type a title of 1 to 200 characters.");
  for (const g of given) {
    if (g.title.trim() === "") return fail("assignment_incomplete", "Every given event needs a title.");
    if (!isDated(g.when)) return fail("assignment_incomplete", `The right date of “${g.title}” is not understood.`);
  }
  const id = nanoid(12);
  await db().begin(async (tx) => {
    await tx`
      insert into assignment (id, class_id, title, instructions, period, requirements, total, due_at)
      values (${id}, ${input.class}, ${title}, ${input.instructions.slice(0, 10_000)}, ${tx.json(period as never)}, ${tx.json(input.requirements as never)}, ${input.total}, ${due})`;
    for (const [place, g] of given.entries())
      await tx`
        insert into given_event (id, assignment_id, place, title, right_when, locked)
        values (${nanoid(12)}, ${id}, ${place}, ${g.title.trim().slice(0, 300)}, ${tx.json(g.when as never)}, ${g.locked})`;
  });
  return { id };
}

export async function findAssignment(id: string): Promise<Assignment | null> {
  const [row] = await db()<Assignment[]>`
    select a.id, a.class_id, c.name as class_name, a.title, a.instructions, a.period, a.requirements, a.total, a.due_at
    from assignment a join class c on c.id = a.class_id where a.id = ${id}`;
  return row ?? null;
}

export async function assignmentsOf(klass: string): Promise<Assignment[]> {
  return db()<Assignment[]>`
    select a.id, a.class_id, c.name as class_name, a.title, a.instructions, a.period, a.requirements, a.total, a.due_at
    from assignment a join class c on c.id = a.class_id where a.class_id = ${klass} order by a.due_at desc, a.id`;
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

/**
 * Begins an assignment: a timeline with title, period and the given events, which are its first change. Timeline, group and
 * membership are one transaction, and the database lets a person be in one group of an assignment only.
 */
export async function beginAssignment(id: string, student: string): Promise<Failure | { timeline: string }> {
  const assignment = await findAssignment(id);
  if (!assignment || (await findClassRole(db(), assignment.classId, student)) !== "student") return fail("not_found");
  let after: string | null = null;
  const ops: Op[] = isDated(assignment.period)
    ? [{ kind: "set_timeline", field: "period", value: assignment.period }]
    : [];
  for (const g of await givenEventsOf(id)) {
    const event = nanoid(10);
    // An undated one carries nothing of the right date, not even its place among the others.
    const when: When = g.locked ? g.rightWhen : { ...UNDATED, place: { after, key: "a0" } };
    if (!g.locked) after = event;
    ops.push({ kind: "add_event", id: event, fields: { title: g.title, when, given: g.id, locked: g.locked } });
  }
  const begun = await db()
    .begin(async (tx): Promise<Failure | { timeline: string }> => {
      const group = nanoid(12);
      const made = await createTimelineIn(tx, student, { title: assignment.title, subject: "" }, ops);
      if ("failed" in made) return made;
      await tx`insert into group_work (id, assignment_id, timeline_id) values (${group}, ${id}, ${made.id})`;
      const own = await tx`
        insert into group_member (assignment_id, account_id, group_id) values (${id}, ${student}, ${group})
        on conflict do nothing returning group_id`;
      if (own.length === 0) throw new BegunAlready();
      return { timeline: made.id };
    })
    .catch((error: unknown) => (error instanceof BegunAlready ? begunAlready(id, student) : refusal(error)));
  if ("failed" in begun) return begun;
  await rightsOfTeacher(begun.timeline);
  await workChanged(begun.timeline);
  return begun;
}

class BegunAlready extends Error {}

async function begunAlready(assignment: string, student: string): Promise<Failure> {
  return fail((await findOwnWork(assignment, student)) ? "in_a_group" : "handed_in_and_deleted");
}

/** The teacher watches the group's timeline from now on. */
async function rightsOfTeacher(timeline: string): Promise<void> {
  const [row] = await db()<{ teacherId: string }[]>`
    select c.teacher_id from group_work g join assignment a on a.id = g.assignment_id join class c on c.id = a.class_id where g.timeline_id = ${timeline}`;
  if (row) await rightsChanged(row.teacherId);
}

/** Takes a classmate into the group: somebody of the class who has not begun the assignment elsewhere. */
export async function addClassmate(
  timeline: string,
  by: string,
  classmate: string,
): Promise<Failure | { added: true }> {
  if (!(await findRole(db(), timeline, by))) return fail("not_found");
  if (!(await addEditorFromClass(timeline, classmate))) return fail("not_a_classmate");
  await db()`delete from removed_editor where timeline_id = ${timeline} and account_id = ${classmate}`;
  await rightsChanged(classmate);
  await workChanged(timeline);
  return { added: true };
}
