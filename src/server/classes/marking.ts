import "server-only";
import type { Check, Requirement } from "@/core/check/requirements";
import type { Frozen } from "@/core/formats/frozen";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { workChanged } from "../live/notify";
import { hasRight } from "../timelines/access";
import { findClassRole, TEACHERS_NAME } from "./class";
import { type GivenOverride, overridesOf } from "./overrides";
import type { SubmissionContent } from "./submit";

export type GroupState = "not_begun" | "working" | "submitted" | "marked" | "returned";

/** One group's state, for the teacher. `checks` are of the submission when there is one, else of the draft as it is. */
export interface GroupRow {
  group: string | null;
  members: string[];
  state: GroupState;
  checks: Check[];
  given: { right: number; of: number };
  /** False: the requirements could not be checked, whatever the reason. */
  checked: boolean;
  submission: string | null;
  submittedAt: Date | null;
  late: number;
  changedAt: Date | null;
  points: number | null;
  /** The draft its teacher may look at; null where nobody has begun, or it was deleted. */
  timeline: string | null;
  /** It was given back to be handed in again, and has not been. */
  toImprove: boolean;
  /** How often it was handed in before. */
  before: number;
}

/** Whether a person teaches the class an assignment belongs to. */
export async function teaches(assignment: string, account: string): Promise<boolean> {
  const [row] = await db()<{ classId: string }[]>`select class_id from assignment where id = ${assignment}`;
  return row !== undefined && (await findClassRole(db(), row.classId, account)) === "teacher";
}

/** Checks a draft by requirements; null when that cannot be done. */
export type CheckDraft = (timeline: string, requirements: Requirement[]) => Promise<Check[] | null>;

/**
 * Where every group stands; students who have not begun come last, each by themselves. Drafts that have not changed since
 * they were checked are not checked again; the rest `check` does, and one that fails leaves the other groups as they are.
 */
export async function groupsOf(assignment: string, check: CheckDraft): Promise<GroupRow[]> {
  const [a] = await db()<{ requirements: Requirement[]; classId: string; given: number }[]>`
    select requirements, class_id, (select count(*)::int from given_event g where g.assignment_id = a.id and not locked) as given from assignment a where id = ${assignment}`;
  if (!a) return [];
  const groups = await db()<
    {
      id: string;
      timelineId: string;
      members: string[];
      alteredAt: Date;
      submission: string | null;
      submittedAt: Date | null;
      dueAt: Date | null;
      points: string | null;
      returnedAt: Date | null;
      frozenChecks: Check[] | null;
      right: number;
      known: Check[] | null;
      toImprove: boolean;
      before: number;
      gone: boolean;
    }[]
  >`
    select g.id, g.timeline_id, t.altered_at, s.id as submission, s.submitted_at, greatest(s.due_at, a.due_at) as due_at, m.points,
      m.returned_at, coalesce(m.to_improve, false) as to_improve, t.deleted_at is not null as gone,
      (select count(*)::int from submission o where o.group_id = g.id and o.replaced_by is not null) as before,
      -- Only what the table shows is taken out of what was frozen, and by the database.
      as_json(s.content) -> 'checks' as frozen_checks,
      (select count(*)::int from jsonb_array_elements(as_json(s.content) -> 'given') with ordinality g (given, n)
        left join given_mark o on o.submission_id = s.id and o.n = g.n - 1
        where coalesce(o.result, g.given ->> 'result') = 'right' and not (g.given ->> 'locked')::boolean) as right,
      coalesce((select array_agg(${db().unsafe(TEACHERS_NAME)} order by e.joined_at, p.id)
        from editor e join account p on p.id = e.account_id, lateral (select a.class_id as klass) as in_class
        where e.timeline_id = g.timeline_id and p.deleted_at is null), s.members, '{}') as members,
      (select k.checks from check_result k
        where k.timeline_id = g.timeline_id and k.seq = t.seq and k.requirements = ${db().json(a.requirements as never)}) as known
    from group_work g join timeline t on t.id = g.timeline_id join assignment a on a.id = g.assignment_id
    left join current_submission s on s.group_id = g.id
    left join mark m on m.submission_id = s.id
    where g.assignment_id = ${assignment} and (t.deleted_at is null or s.id is not null) order by g.created_at, g.id`;
  const rows = await Promise.all(
    groups.map(async (g): Promise<GroupRow> => {
      const checks = g.frozenChecks ?? g.known ?? (await check(g.timelineId, a.requirements));
      return {
        group: g.id,
        members: g.members,
        state: g.returnedAt ? "returned" : g.points !== null ? "marked" : g.submission ? "submitted" : "working",
        checks: checks ?? [],
        checked: checks !== null,
        given: { right: g.right, of: a.given },
        submission: g.submission,
        submittedAt: g.submittedAt,
        late:
          g.submittedAt && g.dueAt ? Math.max(0, Math.round((g.submittedAt.getTime() - g.dueAt.getTime()) / 1000)) : 0,
        changedAt: g.alteredAt,
        points: g.points === null ? null : Number(g.points),
        timeline: g.gone ? null : g.timelineId,
        toImprove: g.toImprove && g.returnedAt !== null,
        before: g.before,
      };
    }),
  );
  const idle = await db()<{ displayName: string }[]>`
    select ${db().unsafe(TEACHERS_NAME)} as display_name
    from class_member m join account p on p.id = m.account_id, lateral (select m.class_id as klass) as in_class
    where m.class_id = ${a.classId}
      and not exists (select from group_member g where g.assignment_id = ${assignment} and g.account_id = p.id)
    order by lower(p.display_name), p.id`;
  return [
    ...rows,
    ...idle.map(
      (p): GroupRow => ({
        group: null,
        members: [p.displayName],
        state: "not_begun",
        checks: [],
        checked: true,
        given: { right: 0, of: a.given },
        submission: null,
        submittedAt: null,
        late: 0,
        changedAt: null,
        points: null,
        timeline: null,
        toImprove: false,
        before: 0,
      }),
    ),
  ];
}

export interface OpenSubmission {
  id: string;
  assignmentId: string;
  timelineId: string;
  versionId: string;
  content: SubmissionContent;
  members: string[];
  hash: string;
  submittedAt: Date;
  late: number;
  /** Whether the draft has changed since. */
  editedSince: boolean;
  points: number | null;
  comment: string;
  comments: Record<string, string>;
  /** What the teacher says of a given date instead of what was worked out, by its number. */
  overrides: Record<number, GivenOverride>;
  returnedAt: Date | null;
  toImprove: boolean;
  frozen: Frozen;
  /** What was handed in the time before; null: this is the first. */
  before: Before | null;
}

/** An earlier submission of the same group, with the mark it came back with. */
export interface Before {
  id: string;
  submittedAt: Date;
  points: number | null;
  comment: string;
  comments: Record<string, string>;
  frozen: Frozen;
}

/** A submission for its marking; null when it is not there or was taken back. */
export async function findSubmission(id: string): Promise<OpenSubmission | null> {
  const [row] = await db()<
    {
      id: string;
      assignmentId: string;
      timelineId: string;
      versionId: string;
      content: string;
      members: string[];
      hash: string;
      submittedAt: Date;
      dueAt: Date;
      seq: number;
      now: number;
      json: string;
      points: string | null;
      comment: string | null;
      returnedAt: Date | null;
      toImprove: boolean | null;
    }[]
  >`
    select s.id, g.assignment_id, g.timeline_id, s.version_id, s.content, s.members, s.hash, s.submitted_at,
      greatest(s.due_at, a.due_at) as due_at, v.seq, t.seq as now, v.json, m.points, m.comment, m.returned_at, m.to_improve
    from submission s join group_work g on g.id = s.group_id join version v on v.id = s.version_id join timeline t on t.id = g.timeline_id
    join assignment a on a.id = g.assignment_id left join mark m on m.submission_id = s.id
    where s.id = ${id} and s.taken_back_at is null`;
  if (!row) return null;
  const overrides = await overridesOf(id);
  return {
    id: row.id,
    assignmentId: row.assignmentId,
    timelineId: row.timelineId,
    versionId: row.versionId,
    content: JSON.parse(row.content) as SubmissionContent,
    members: row.members,
    hash: row.hash,
    submittedAt: row.submittedAt,
    late: Math.max(0, Math.round((row.submittedAt.getTime() - row.dueAt.getTime()) / 1000)),
    editedSince: row.now > row.seq,
    points: row.points === null ? null : Number(row.points),
    comment: row.comment ?? "",
    comments: await commentsOf(id),
    overrides,
    returnedAt: row.returnedAt,
    toImprove: row.toImprove ?? false,
    frozen: JSON.parse(row.json) as Frozen,
    before: await findBefore(id),
  };
}

async function commentsOf(submission: string): Promise<Record<string, string>> {
  const rows = await db()<{ eventId: string; text: string }[]>`
    select event_id, text from event_comment where submission_id = ${submission}`;
  return Object.fromEntries(rows.map((c) => [c.eventId, c.text]));
}

async function findBefore(submission: string): Promise<Before | null> {
  const [row] = await db()<
    {
      id: string;
      submittedAt: Date;
      json: string;
      points: string | null;
      comment: string | null;
    }[]
  >`
    select s.id, s.submitted_at, v.json, m.points, m.comment
    from submission s join version v on v.id = s.version_id left join mark m on m.submission_id = s.id
    where s.replaced_by = ${submission} and s.taken_back_at is null`;
  if (!row) return null;
  return {
    id: row.id,
    submittedAt: row.submittedAt,
    points: row.points === null ? null : Number(row.points),
    comment: row.comment ?? "",
    comments: await commentsOf(row.id),
    frozen: JSON.parse(row.json) as Frozen,
  };
}

/** Says of a given date what counts instead, with a reason; null: what was worked out counts again. The teacher only. */
export async function overrideGiven(
  submission: string,
  teacher: string,
  n: number,
  override: GivenOverride | null,
): Promise<Failure | { saved: true }> {
  const s = await mayMark(submission, teacher);
  if (!s) return fail("not_found");
  const reason = override?.reason.trim() ?? "";
  if (override && reason === "") return fail("reason_missing");
  const [given] = await db()`
    select from submission where id = ${submission}
      and not coalesce((as_json(content) -> 'given' -> ${n}::int ->> 'locked')::boolean, true)`;
  if (!given) return fail("not_found");
  if (override)
    await db()`
      insert into given_mark (submission_id, n, result, reason)
      values (${submission}, ${n}, ${override.result}, ${reason.slice(0, 500)})
      on conflict (submission_id, n) do update set result = excluded.result, reason = excluded.reason`;
  else await db()`delete from given_mark where submission_id = ${submission} and n = ${n}`;
  await workChanged(s.timelineId);
  return { saved: true };
}

export interface SubmissionRef {
  id: string;
  assignmentId: string;
  timelineId: string;
  versionId: string;
  members: string[];
  submittedAt: Date;
  /** The time zone of its class. */
  zone: string;
}

/** Which submission it is, without what was handed in; null when it is not there or was taken back. */
export async function findSubmissionRef(id: string): Promise<SubmissionRef | null> {
  const [row] = await db()<SubmissionRef[]>`
    select s.id, g.assignment_id, g.timeline_id, s.version_id, s.members, s.submitted_at, c.zone
    from submission s join group_work g on g.id = s.group_id join assignment a on a.id = g.assignment_id
    join class c on c.id = a.class_id where s.id = ${id} and s.taken_back_at is null`;
  return row ?? null;
}

/** Whether a person may see what was handed in: its group, and the teachers of the class. */
export async function maySeeSubmission(s: SubmissionRef, account: string): Promise<boolean> {
  return (await teaches(s.assignmentId, account)) || (await hasRight(db(), s.timelineId, account, "edit"));
}

/** Whether a person may mark a submission: the teacher of its class. Gives the total it was set with. */
async function mayMark(submission: string, account: string): Promise<(SubmissionRef & { total: number }) | null> {
  const s = await findSubmissionRef(submission);
  if (!s || !(await teaches(s.assignmentId, account))) return null;
  const [row] = await db()<
    { total: number }[]
  >`select (as_json(content) ->> 'total')::int as total from submission where id = ${submission}`;
  return { ...s, total: row!.total };
}

export interface MarkInput {
  points: number | null;
  comment: string;
  comments: { event: string; text: string }[];
}

/** Saves points and comments; the group sees them once the work is returned. */
export async function saveMark(
  submission: string,
  teacher: string,
  input: MarkInput,
): Promise<Failure | { saved: true }> {
  const s = await mayMark(submission, teacher);
  if (!s) return fail("not_found");
  const [now] = await db()<{ returned: boolean }[]>`
    select returned_at is not null as returned from mark where submission_id = ${submission}`;
  if (now?.returned && input.points === null) return fail("returned_needs_points");
  if (input.points !== null && !(input.points >= 0 && input.points <= s.total)) return fail("points_out_of_range");
  const asked = input.comments.map((c) => c.event);
  const events = await db()<{ id: string }[]>`
    select e ->> 'id' as id from version v, jsonb_array_elements(as_json(v.json) -> 'events') e
    where v.id = ${s.versionId} and e ->> 'id' = any(${asked})`;
  const known = new Set(events.map((e) => e.id));
  await db().begin(async (tx) => {
    await tx`
      insert into mark (submission_id, points, comment) values (${submission}, ${input.points}, ${input.comment.slice(0, 10_000)})
      on conflict (submission_id) do update set points = excluded.points, comment = excluded.comment`;
    for (const c of input.comments)
      if (known.has(c.event))
        await tx`
          insert into event_comment (submission_id, event_id, text) values (${submission}, ${c.event}, ${c.text.slice(0, 4_000)})
          on conflict (submission_id, event_id) do update set text = excluded.text`;
  });
  await workChanged(s.timelineId);
  return { saved: true };
}

/**
 * Returns one submission: from now on its group sees mark, comments and which given dates were right. `toImprove`: they may hand it in
 * again; that can be said, and taken back, after it was returned too, as long as they have not.
 */
export async function returnWork(
  submission: string,
  teacher: string,
  toImprove = false,
): Promise<Failure | { returned: true }> {
  const s = await mayMark(submission, teacher);
  if (!s) return fail("not_found");
  const done = await db()`
    update mark set returned_at = coalesce(returned_at, now()), to_improve = ${toImprove}
    where submission_id = ${submission} and points is not null returning submission_id`;
  if (done.length === 0) return fail("not_marked_yet");
  await workChanged(s.timelineId);
  return { returned: true };
}

/** Returns every submission of an assignment that has points; gives how many. */
export async function returnAll(assignment: string, teacher: string): Promise<Failure | { returned: number }> {
  if (!(await teaches(assignment, teacher))) return fail("not_found");
  const done = await db()<{ timelineId: string }[]>`
    update mark m set returned_at = now()
    from current_submission s join group_work g on g.id = s.group_id
    where s.id = m.submission_id and g.assignment_id = ${assignment} and m.points is not null and m.returned_at is null
    returning g.timeline_id`;
  for (const row of done) await workChanged(row.timelineId);
  return { returned: done.length };
}
