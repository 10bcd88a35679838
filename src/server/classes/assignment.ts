import "server-only";
import { DIFFERENT, INCOMPLETE, WORDS as NOTICES } from "@/core/words/notices";
import { tellPeople } from "../accounts/notices";
import { nanoid } from "nanoid";
import type { Requirement } from "@/core/check/requirements";
import type { GivenPicture, Instructions } from "@/core/classes/instructions";
import { type Rubric, rubricProblem } from "@/core/classes/rubric";
import { requirementText } from "@/core/words/class-work";
import { rubricProblemText } from "@/core/words/setting";
import { zonedText } from "@/core/time/zoned";
import { confirmReading } from "@/core/timeline/read-options";
import type { Block } from "@/core/text/description";
import { sameValue } from "@/core/text/same-value";
import { isDated, type When } from "@/core/time/when";
import { db, type Sql, type Tx } from "../db/pool";
import { type Failure, fail, isFailure } from "../http/failure";
import { workChanged } from "../live/notify";
import { hasRight } from "../timelines/access";
import { findClassRole } from "./class";
import { PICTURES, type ReadInstructions, readInstructions, writePictures } from "./instructions";

export interface GivenInput {
  title: string;
  when: When;
  locked: boolean;
}

export interface AssignmentInput {
  class: string;
  title: string;
  /** Plain words, or a formatted text. */
  instructions: string | readonly Block[];
  /** The pictures that stand in it. */
  pictures?: readonly GivenPicture[];
  period: When;
  requirements: Requirement[];
  given: GivenInput[];
  total: number;
  /** ISO 8601: with an offset, or the day and time in the zone of the class ("2026-12-11T16:00"). */
  dueAt: string;
  /** What is not given is as usual. */
  options?: Partial<AssignmentOptions>;
}

/** What is taken after the due time: all of it, said to be late; or nothing. */
export type LateRule = "accepted" | "refused";
/** Who makes the groups: the pupils as they begin, nobody (each alone), the teacher. */
export type Grouping = "pupils" | "single" | "teacher";
/** Something to read beside the work. */
export interface SourceText {
  title: string;
  text: string;
}

/** When students see all that others handed in; "chosen": what is in the gallery alone. */
export type WorksShown = "chosen" | "handed_in" | "due";

export interface AssignmentOptions {
  lateRule: LateRule;
  grouping: Grouping;
  /** Marked without the names being seen. */
  blind: boolean;
  rubric: Rubric | null;
  texts: SourceText[];
  /** One of the teacher's timelines, shown to students as an example. */
  model: string | null;
  modelShown: "never" | "before" | "after";
  worksShown: WorksShown;
}

const USUAL: AssignmentOptions = {
  lateRule: "accepted",
  grouping: "pupils",
  blind: false,
  rubric: null,
  texts: [],
  model: null,
  modelShown: "never",
  worksShown: "chosen",
};

/** An assignment without its right dates: what a student may see. */
export interface Assignment {
  id: string;
  classId: string;
  className: string;
  title: string;
  instructions: Instructions;
  period: When;
  requirements: Requirement[];
  total: number;
  dueAt: Date;
  /** The time zone of the class. */
  zone: string;
  options: AssignmentOptions;
  /** The class's year is over: nothing is handed in any more. */
  over: boolean;
  /** What is given back waits until then. */
  returnAt: Date | null;
}

/** What may be stored of an assignment: checked, its dates as the reader of dates reads them, its due time an instant. */
async function readInput(
  input: AssignmentInput,
  teacher: string,
): Promise<
  Failure | (Omit<AssignmentInput, "pictures"> & { due: Date; options: AssignmentOptions; text: ReadInstructions })
> {
  const title = input.title.trim();
  const due = await instantOf(input.dueAt, input.class);
  if (!due) return fail("assignment_incomplete", INCOMPLETE.due);
  if (due.getTime() < Date.UTC(2000) || due.getTime() > Date.UTC(2200)) return fail("due_out_of_range");
  // The reader of dates decides what a typed date says, not the browser.
  const period = confirmReading(input.period, {});
  const given = input.given.map((g) => ({ ...g, title: g.title.trim(), when: confirmReading(g.when, {}) }));
  if (title.length < 1 || title.length > 200) return fail("assignment_incomplete", INCOMPLETE.title);
  for (const g of given) {
    if (g.title === "") return fail("assignment_incomplete", INCOMPLETE.givenTitle);
    if (!isDated(g.when)) return fail("assignment_incomplete", INCOMPLETE.givenDate(g.title));
  }
  const options = { ...USUAL, ...input.options };
  const texts = options.texts.filter((t) => t.text.trim() !== "");
  const wrong = options.rubric && rubricProblem(options.rubric);
  if (wrong) return fail("assignment_incomplete", rubricProblemText(wrong));
  if (options.model !== null && !(await hasRight(db(), options.model, teacher, "edit")))
    return fail("assignment_incomplete", INCOMPLETE.model);
  const around = input.requirements.find((r) => r.kind === "around" && r.event.trim() === "");
  if (around) return fail("assignment_incomplete", INCOMPLETE.around);
  const text = await readInstructions(input.instructions, input.pictures ?? []);
  if (isFailure(text)) return text;
  return {
    ...input,
    title,
    text,
    period,
    given,
    due,
    options: { ...options, texts, modelShown: options.model === null ? "never" : options.modelShown },
  };
}

/** An instant from ISO 8601 with an offset, or from a day and time in the zone of a class; null where it says neither. */
export async function instantOf(text: string, klass: string): Promise<Date | null> {
  if (/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/.test(text)) {
    if (Number.isNaN(Date.parse(`${text}Z`))) return null;
    const [row] = await db()<{ at: Date }[]>`
      select (${text}::timestamp at time zone zone) as at from class where id = ${klass}`;
    return row?.at ?? null;
  }
  const at = new Date(text);
  return Number.isNaN(at.getTime()) ? null : at;
}

/** The same for the class of an assignment. */
export async function instantFor(assignment: string, text: string): Promise<Date | null> {
  const a = await findAssignment(assignment);
  return a && instantOf(text, a.classId);
}

/** Makes an assignment with its given events. The class's teacher only. */
export async function createAssignment(teacher: string, input: AssignmentInput): Promise<Failure | { id: string }> {
  if ((await findClassRole(db(), input.class, teacher)) !== "teacher") return fail("not_found");
  const a = await readInput(input, teacher);
  if ("failed" in a) return a;
  const id = nanoid(12);
  await db().begin(async (tx) => {
    await tx`
      insert into assignment (id, class_id, title, instructions, period, requirements, total, due_at)
      values (${id}, ${a.class}, ${a.title}, ${tx.json(a.text.blocks as never)}, ${tx.json(a.period as never)}, ${tx.json(a.requirements as never)}, ${a.total}, ${a.due})`;
    await writePictures(tx, id, a.text.pictures);
    await writeOptions(tx, id, a.options);
    await writeGiven(tx, id, a.given);
  });
  return { id };
}

async function writeOptions(tx: Tx, id: string, o: AssignmentOptions): Promise<void> {
  await tx`
    update assignment set late_rule = ${o.lateRule}, grouping = ${o.grouping}, blind = ${o.blind},
      rubric = ${o.rubric === null ? null : tx.json(o.rubric as never)}, texts = ${tx.json(o.texts as never)}, model = ${o.model},
      model_shown = ${o.modelShown}, works_shown = ${o.worksShown}
    where id = ${id}`;
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
  const a = await readInput({ ...input, class: before.classId }, teacher);
  if ("failed" in a) return a;
  const done = await db().begin(async (tx) => {
    await tx`select from assignment where id = ${id} for update`;
    await tx`
      update assignment set title = ${a.title}, instructions = ${tx.json(a.text.blocks as never)}, period = ${tx.json(a.period as never)},
        requirements = ${tx.json(a.requirements as never)}, total = ${a.total}, due_at = ${a.due} where id = ${id}`;
    await writePictures(tx, id, a.text.pictures);
    await writeOptions(tx, id, a.options);
    const groups = await tx<{ timelineId: string }[]>`select timeline_id from group_work where assignment_id = ${id}`;
    if (groups.length === 0) {
      await tx`delete from given_event where assignment_id = ${id}`;
      await writeGiven(tx, id, a.given);
    }
    const now = { ...before, ...a, dueAt: a.due, instructions: { ...before.instructions, blocks: a.text.blocks } };
    const told =
      differences(before, now).length === 0
        ? []
        : await tx<{ id: string }[]>`select account_id as id from group_member where assignment_id = ${id}`;
    await tellPeople(
      tx,
      "class",
      told.map((t) => t.id),
      () => NOTICES.changed(before.title, differences(before, now)),
    );
    return { told: told.length, timelines: groups.map((g) => g.timelineId) };
  });
  for (const t of done.timelines) await workChanged(t);
  return { told: done.told };
}

/** What is different now, for those who work on it. */
function differences(was: Assignment, now: Assignment): string[] {
  const found: string[] = [];
  if (was.title !== now.title) found.push(DIFFERENT.called(now.title));
  if (was.dueAt.getTime() !== now.dueAt.getTime())
    found.push(DIFFERENT.due(zonedText(now.dueAt, now.zone), zonedText(was.dueAt, was.zone)));
  if (was.total !== now.total) found.push(DIFFERENT.total(now.total, was.total));
  const texts = (a: Assignment) => a.requirements.map(requirementText);
  const [old, fresh] = [new Set(texts(was)), new Set(texts(now))];
  for (const r of fresh) if (!old.has(r)) found.push(DIFFERENT.asked(r));
  for (const r of old) if (!fresh.has(r)) found.push(DIFFERENT.notAsked(r));
  if (!sameValue(was.instructions.blocks, now.instructions.blocks)) found.push(DIFFERENT.instructions);
  if (was.options.lateRule !== now.options.lateRule)
    found.push(DIFFERENT.late[now.options.lateRule === "refused" ? "refused" : "marked"]);
  if (was.options.worksShown !== now.options.worksShown) found.push(DIFFERENT.works[now.options.worksShown]);
  if (JSON.stringify(was.options.rubric) !== JSON.stringify(now.options.rubric)) found.push(DIFFERENT.rubric);
  if (JSON.stringify(was.options.texts) !== JSON.stringify(now.options.texts)) found.push(DIFFERENT.texts);
  if (was.period.typed !== now.period.typed) found.push(DIFFERENT.period(now.period.typed));
  return found;
}

const COLUMNS = `a.id, a.class_id, c.name as class_name, a.title,
  jsonb_build_object('blocks', a.instructions, 'pictures', ${PICTURES}) as instructions, a.period, a.requirements, a.total, a.due_at, a.return_at, c.zone,
  coalesce(c.archived_at, c.closed_at) is not null as over,
  jsonb_build_object('lateRule', a.late_rule, 'grouping', a.grouping, 'blind', a.blind, 'rubric', a.rubric, 'texts', a.texts,
    'model', a.model, 'modelShown', a.model_shown, 'worksShown', a.works_shown) as options`;

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

/** What is set in a class, by ids alone. */
export async function assignmentIdsOf(sql: Sql, klass: string): Promise<string[]> {
  return (await sql<{ id: string }[]>`select id from assignment where class_id = ${klass}`).map((a) => a.id);
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
