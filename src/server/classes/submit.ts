import "server-only";
import { WORDS as LACKS } from "@/core/words/checks";
import { createHash } from "node:crypto";
import { nanoid } from "nanoid";
import { compareGiven, type GivenResult } from "@/core/check/given-dates";
import type { OwnWork } from "@/core/check/own-work";
import type { Instructions } from "@/core/classes/instructions";
import type { Rubric } from "@/core/classes/rubric";
import { type Check, checkRequirements, type Requirement } from "@/core/check/requirements";
import { canonicalJson } from "@/core/text/canonical-json";
import { UNDATED, type When } from "@/core/time/when";
import { zonedText } from "@/core/time/zoned";
import { WORDS } from "@/core/words/sheets";
import { db } from "../db/pool";
import { type Failure, fail, isFailure, refusal } from "../http/failure";
import { addJob } from "../jobs/queue";
import { workChanged } from "../live/notify";
import { requireRight } from "../timelines/access";
import type { AssignmentOptions, LateRule } from "./assignment";
import { PICTURES } from "./instructions";
import { voiceOf } from "./mark-voice";
import { earlierMarks } from "./mark-history";
import { sendLetters } from "../mail/outgoing";
import { overridesOf } from "./overrides";
import { reviewsOf } from "./peers";
import { questionsOf } from "./questions";
import { repliesTo } from "./replies";
import { asideOf } from "./set-aside";
import { freeze } from "../timelines/freeze";
import { readTimeline } from "../timelines/queries";

/** A given event as it was answered. */
export interface GivenAnswer {
  event: string | null;
  title: string;
  locked: boolean;
  right: When;
  answer: When;
  result: GivenResult;
}

/** Everything a submission was judged by, frozen with it. Names are not among it: they stand beside, and can go. */
export interface SubmissionContent {
  title: string;
  requirements: Requirement[];
  checks: Check[];
  given: GivenAnswer[];
  total: number;
  /** What it is marked by, as it was when it was handed in. */
  rubric?: Rubric;
  /** The chart as submitted, as SVG: earlier ones were hashed with it, and keep it. Now a job makes it from the frozen version. */
  drawing?: string;
}

interface Work {
  groupId: string;
  assignmentId: string;
  title: string;
  requirements: Requirement[];
  total: number;
  /** With the time its members were given. */
  dueAt: Date;
  lateRule: LateRule;
  rubric: Rubric | null;
  over: boolean;
  /** The time zone of the class. */
  zone: string;
}

async function findWork(timeline: string): Promise<Work | null> {
  const [row] = await db()<Work[]>`
    select g.id as group_id, a.id as assignment_id, a.title, a.requirements, a.total, due_of_group(g.id) as due_at, a.late_rule, a.rubric,
      coalesce(c.archived_at, c.closed_at) is not null as over, c.zone
    from group_work g join assignment a on a.id = g.assignment_id join class c on c.id = a.class_id where g.timeline_id = ${timeline}`;
  return row ?? null;
}

/** Hands the timeline in as it stands: a frozen version with requirements and right dates. Its drawing is asked for. */
export async function submit(
  timeline: string,
  by: string,
): Promise<Failure | { receipt: { at: string; hash: string } }> {
  const work = await findWork(timeline);
  if (!work) return fail("not_found");
  if (work.over) return fail("year_over");
  const given = await db()<{ id: string; title: string; rightWhen: When; locked: boolean }[]>`
    select id, title, right_when, locked from given_event where assignment_id = ${work.assignmentId} order by place`;
  const members = await db()<{ displayName: string }[]>`
    select a.display_name from editor e join account a on a.id = e.account_id where e.timeline_id = ${timeline} order by e.joined_at, a.id`;
  const done = await db()
    .begin(async (tx): Promise<Failure | { receipt: { at: string; hash: string } }> => {
      await requireRight(tx, timeline, by, "edit");
      await tx`select from group_work where id = ${work.groupId} for update`;
      const [open] = await tx<{ id: string; again: boolean; returned: boolean }[]>`
        select s.id, coalesce(m.to_improve, false) as again, m.returned_at is not null as returned
        from current_submission s left join mark m on m.submission_id = s.id where s.group_id = ${work.groupId}`;
      if (open && !open.returned) return fail("submitted_already");
      if (open && !open.again) return fail("not_to_improve");
      // Asked again under the lock: the due time may have been moved while somebody submits.
      const [due] = await tx<{ at: Date; over: boolean }[]>`
        select due_of_group(${work.groupId}) as at, due_of_group(${work.groupId}) < now() as over`;
      if (!open && due!.over && work.lateRule === "refused") return fail("too_late_to_submit");
      // Checked on the living timeline within the same transaction, before it is frozen: descriptions are counted there.
      const version = await freeze(tx, timeline, by, "submission");
      const living = await readTimeline(tx, timeline);
      if (!version || !living || version.frozen.events.length === 0) throw new Error("nothing");
      const content: SubmissionContent = {
        title: work.title,
        requirements: work.requirements,
        checks: checkRequirements(living.timeline, work.requirements, LACKS),
        given: given.map((g) => {
          const event = version.frozen.events.find((e) => e.given === g.id);
          const answer = event?.when ?? UNDATED;
          return {
            event: event?.id ?? null,
            title: g.title,
            locked: g.locked,
            right: g.rightWhen,
            answer,
            result: compareGiven(g.rightWhen, answer),
          };
        }),
        total: work.total,
        ...(work.rubric ? { rubric: work.rubric } : {}),
      };
      const text = canonicalJson(content);
      const id = nanoid(12);
      const hash = createHash("sha256").update(version.hash).update(text).digest("hex");
      const [row] = await tx<{ submittedAt: Date }[]>`
      insert into submission (id, group_id, version_id, submitted_by, due_at, content, hash, members)
      values (${id}, ${work.groupId}, ${version.id}, ${by}, greatest(${due!.at}::timestamptz, case when ${open !== undefined} then now() end),
        ${text}, ${hash}, ${members.map((m) => m.displayName)}) returning submitted_at`;
      // What came back to be improved stays beside what is handed in again; that is not late.
      if (open) await tx`update submission set replaced_by = ${id} where id = ${open.id}`;
      await addJob(tx, "submission_drawing", id, { submission: id });
      await addJob(tx, "close_wording", work.assignmentId, { assignment: work.assignmentId });
      return { receipt: { at: row!.submittedAt.toISOString(), hash } };
    })
    .catch((error: unknown) => {
      if (error instanceof Error && error.message === "nothing") return fail("nothing_to_submit");
      return refusal(error);
    });
  if (!("failed" in done)) {
    await workChanged(timeline);
    await mailReceipts(timeline, by, work, done.receipt);
  }
  return done;
}

/** A receipt by mail to all of the group who have an address. */
async function mailReceipts(
  timeline: string,
  by: string,
  work: Work,
  receipt: { at: string; hash: string },
): Promise<void> {
  const to = await db()<{ email: string }[]>`
    select a.email from editor e join account a on a.id = e.account_id where e.timeline_id = ${timeline} and a.email is not null`;
  const at = zonedText(new Date(receipt.at), work.zone);
  await sendLetters(
    to.map(({ email }) => ({
      account: by,
      to: email,
      subject: WORDS.mailSubject(work.title),
      body: WORDS.mailBody(work.title, at, receipt.hash),
    })),
  );
}

/** Takes a submission back before the due time, unless having handed in opened the work of others; what was frozen stays stored. */
export async function takeSubmissionBack(timeline: string, by: string): Promise<Failure | { takenBack: true }> {
  const done = await db()
    .begin(async (tx) => {
      await requireRight(tx, timeline, by, "edit");
      return tx`
    with back as (
    update submission s set taken_back_at = now()
    from group_work g join assignment a on a.id = g.assignment_id
    where g.id = s.group_id and g.timeline_id = ${timeline} and s.taken_back_at is null and s.replaced_by is null and a.works_shown <> 'handed_in' and now() < greatest(s.due_at, due_of_group(g.id))
      and not exists (select from mark m where m.submission_id = s.id and m.returned_at is not null)
    returning s.id),
    before as (update submission o set replaced_by = null from back where o.replaced_by = back.id returning o.id)
    select id from back`;
    })
    .catch(refusal);
  if (isFailure(done)) return done;
  if (done.length === 0) return fail("too_late_to_take_back");
  await workChanged(timeline);
  return { takenBack: true };
}

/** The group's own work on an assignment; null for a timeline of no assignment. */
export async function ownWork(timeline: string): Promise<OwnWork | null> {
  const [row] = await db()<
    {
      id: string;
      title: string;
      instructions: Instructions;
      className: string;
      classId: string;
      requirements: Requirement[];
      total: number;
      dueAt: Date;
      publishLimit: string;
      school: string | null;
      zone: string;
      retentionMonths: number;
      groupId: string;
      rubric: Rubric | null;
      texts: AssignmentOptions["texts"];
      grouping: AssignmentOptions["grouping"];
      lateRule: LateRule;
      worksShown: AssignmentOptions["worksShown"];
      model: string | null;
    }[]
  >`
    select a.id, a.title,
      jsonb_build_object('blocks', a.instructions, 'pictures', ${db().unsafe(PICTURES)}) as instructions, c.name as class_name, c.id as class_id, a.requirements, a.total, due_of_group(g.id) as due_at,
      a.rubric, a.texts, a.grouping, a.late_rule, a.works_shown, case when a.model_shown = 'before' or (a.model_shown = 'after' and exists (
        select from current_submission s join mark k on k.submission_id = s.id where s.group_id = g.id and k.returned_at is not null))
        then a.model end as model,
        case when reach(o.publish_limit) < reach(c.publish_limit) then o.publish_limit else c.publish_limit end as publish_limit,
        o.name as school, c.zone, c.retention_months, g.id as group_id
    from group_work g join assignment a on a.id = g.assignment_id join class c on c.id = a.class_id
    left join organisation o on o.id = c.organisation_id where g.timeline_id = ${timeline}`;
  if (!row) return null;
  const classmates =
    row.grouping !== "pupils"
      ? []
      : await db()<{ id: string; displayName: string }[]>`
    select a.id, a.display_name from class_member m join account a on a.id = m.account_id
    where m.class_id = ${row.classId}
      and not exists (select from group_member o where o.assignment_id = ${row.id} and o.account_id = a.id)
    order by lower(a.display_name), a.id`;
  const [s] = await db()<
    {
      id: string;
      submittedAt: Date;
      dueAt: Date;
      hash: string;
      content: string;
      points: string | null;
      comment: string | null;
      returnedAt: Date | null;
      toImprove: boolean | null;
      levels: (number | null)[] | null;
      changes: number;
      before: number;
    }[]
  >`
    select s.id, s.submitted_at, s.due_at, s.hash, s.content, m.points, m.comment, m.returned_at, m.to_improve, m.levels,
      (select count(*)::int from mark_before b where b.submission_id = s.id) as changes,
      (select count(*)::int from submission o where o.group_id = s.group_id and o.replaced_by is not null) as before
    from current_submission s left join mark m on m.submission_id = s.id
    where s.group_id = ${row.groupId}`;
  const overrides = s?.returnedAt ? await overridesOf(s.id) : {};
  const returned = s?.returnedAt
    ? {
        points: s.points === null ? null : Number(s.points),
        comment: s.comment ?? "",
        voice: await voiceOf(s.id),
        at: s.returnedAt.toISOString(),
        toImprove: s.toImprove ?? false,
        levels: s.levels ?? [],
        rubric: (JSON.parse(s.content) as SubmissionContent).rubric ?? null,
        earlier: s.changes === 0 ? [] : await earlierMarks(s.id),
        replies: await repliesTo(s.id),
        reviews: (await reviewsOf(s.id, false)).said.map(({ by, points, comment }) => ({ by, points, comment })),
        comments: (
          await db()<
            { event: string; text: string }[]
          >`select event_id as event, text from event_comment where submission_id = ${s.id} and text <> ''`
        ).map((c) => ({ ...c })),
        given: (JSON.parse(s.content) as SubmissionContent).given.map(({ answer: _, ...g }, n) => ({
          ...g,
          result: overrides[n]?.result ?? g.result,
          reason: overrides[n]?.reason ?? "",
        })),
      }
    : null;
  return {
    assignment: {
      id: row.id,
      title: row.title,
      instructions: row.instructions,
      className: row.className,
      requirements: row.requirements,
      total: row.total,
      dueAt: row.dueAt.toISOString(),
      zone: row.zone,
      rubric: row.rubric,
      texts: row.texts,
      takesLate: row.lateRule === "accepted",
      worksShown: row.worksShown,
      model: row.model,
    },
    questions: await questionsOf(timeline),
    aside: await asideOf(timeline),
    publishLimit: row.publishLimit,
    school: row.school,
    keptMonths: row.retentionMonths,
    classmates: classmates.map((c) => ({ ...c })),
    submission: s
      ? {
          id: s.id,
          at: s.submittedAt.toISOString(),
          hash: s.hash,
          late: Math.max(
            0,
            Math.round((s.submittedAt.getTime() - Math.max(s.dueAt.getTime(), row.dueAt.getTime())) / 1000),
          ),
          before: s.before,
        }
      : null,
    returned,
  };
}
