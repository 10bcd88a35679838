import "server-only";
import type { Check, Requirement } from "@/core/check/requirements";
import { MOST_CRITERIA, type Rubric } from "@/core/classes/rubric";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { workChanged } from "../live/notify";
import { TEACHERS_NAME } from "./class";
import type { GivenOverride } from "./overrides";
import { blindName, blindNumbers } from "./blind";
import { sendScoresOf } from "../lti/services";
import { findSubmissionRef, type SubmissionRef, teaches, watches } from "./submission-ref";

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
  /** Who is in it, where their names may be seen. */
  accounts: string[];
  /** Questions nobody has answered yet. */
  questions: number;
  /** Given back, but not before this. */
  heldUntil: Date | null;
  /** Until when, where it has more time than the others. */
  extended: Date | null;
}

/** Checks a draft by requirements; null when that cannot be done. */
export type CheckDraft = (timeline: string, requirements: Requirement[]) => Promise<Check[] | null>;

/**
 * Where every group stands; students who have not begun come last, each by themselves. Drafts that have not changed since
 * they were checked are not checked again; the rest `check` does, and one that fails leaves the other groups as they are.
 */
export async function groupsOf(assignment: string, check: CheckDraft): Promise<GroupRow[]> {
  const [a] = await db()<{ requirements: Requirement[]; classId: string; given: number; blind: boolean }[]>`
    select requirements, class_id, blind, (select count(*)::int from given_event g where g.assignment_id = a.id and not locked) as given from assignment a where id = ${assignment}`;
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
      accounts: string[];
      questions: number;
      heldUntil: Date | null;
      extended: Date | null;
    }[]
  >`
    select g.id, g.timeline_id, t.altered_at, s.id as submission, s.submitted_at, greatest(s.due_at, due_of_group(g.id)) as due_at, m.points,
      array(select account_id from group_member k where k.group_id = g.id) as accounts, m.hold_until as held_until,
      (select count(*)::int from question q where q.timeline_id = g.timeline_id and q.answered_at is null) as questions,
      case when due_of_group(g.id) > a.due_at then due_of_group(g.id) end as extended,
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
        accounts: g.accounts,
        questions: g.questions,
        heldUntil: g.returnedAt ? null : g.heldUntil,
        extended: g.extended,
      };
    }),
  );
  if (a.blind) hideNames(rows);
  const idle = await db()<{ id: string; displayName: string; extended: Date | null }[]>`
    select p.id, (select x.due_at from extension x where x.assignment_id = ${assignment} and x.account_id = p.id) as extended, ${db().unsafe(TEACHERS_NAME)} as display_name
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
        accounts: [p.id],
        questions: 0,
        heldUntil: null,
        extended: p.extended,
      }),
    ),
  ];
}

/** What was handed in and has not come back is called by a number, in an order that says nothing of who it is. */
function hideNames(rows: GroupRow[]): void {
  const numbers = blindNumbers(rows.flatMap((r) => (r.submission ? [r.group!] : [])));
  const hidden = new Map<GroupRow, number>();
  for (const r of rows) {
    if (!r.submission || r.state === "returned") continue;
    hidden.set(r, numbers.get(r.group!)!);
    r.members = [blindName(numbers.get(r.group!)!)];
    r.accounts = [];
    r.timeline = null;
  }
  rows.sort((x, y) => (hidden.get(x) ?? 0) - (hidden.get(y) ?? 0));
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

interface Markable extends SubmissionRef {
  total: number;
  rubric: Rubric | null;
}

/** Whether a person may mark a submission: the teachers of its class. Gives the total and the rubric it was set with. */
async function mayMark(submission: string, account: string, may = teaches): Promise<Markable | null> {
  const s = await findSubmissionRef(submission);
  if (!s || !(await may(s.assignmentId, account))) return null;
  const [row] = await db()<{ total: number; rubric: Rubric | null }[]>`
    select (as_json(content) ->> 'total')::int as total, as_json(content) -> 'rubric' as rubric
    from submission where id = ${submission}`;
  return { ...s, ...row! };
}

export interface MarkInput {
  points: number | null;
  comment: string;
  comments: { event: string; text: string }[];
  /** For each criterion of the rubric the number of its level; left out: as it is. */
  levels?: (number | null)[];
  /** Which save was seen when this was written; left out: whatever there is. */
  base?: number;
  /** Why points or levels are changed after they were given back. */
  reason?: string;
}

const alike = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/**
 * Saves points and comments; the group sees them once the work is returned. What was given back is changed with a reason only, and what it
 * was stays in the history. Where somebody else has saved since `base`, nothing is written over. Assistants save comments.
 */
export async function saveMark(
  submission: string,
  teacher: string,
  input: MarkInput,
): Promise<Failure | { saved: true; version: number }> {
  const s = await mayMark(submission, teacher, watches);
  if (!s) return fail("not_found");
  const assists = !(await teaches(s.assignmentId, teacher));
  if (input.points !== null && !(input.points >= 0 && input.points <= s.total)) return fail("points_out_of_range");
  const asked = input.comments.map((c) => c.event);
  const events = await db()<{ id: string }[]>`
    select e ->> 'id' as id from version v, jsonb_array_elements(as_json(v.json) -> 'events') e
    where v.id = ${s.versionId} and e ->> 'id' = any(${asked})`;
  const known = new Set(events.map((e) => e.id));
  const done = await db().begin(async (tx): Promise<Failure | { version: number }> => {
    await tx`insert into mark (submission_id) values (${submission}) on conflict do nothing`;
    const [was] = await tx<
      {
        points: string | null;
        comment: string;
        levels: (number | null)[];
        version: number;
        by: string | null;
        returned: boolean;
        changes: number;
      }[]
    >`
      select points, comment, levels, version, saved_by as by, returned_at is not null as returned,
        (select count(*)::int from mark_before b where b.submission_id = m.submission_id) as changes
      from mark m where submission_id = ${submission} for update`;
    const before = was!.points === null ? null : Number(was!.points);
    const levels = input.levels?.slice(0, MOST_CRITERIA) ?? was!.levels;
    const differs = before !== input.points || !alike(levels, was!.levels);
    if (assists && differs) return fail("assistants_comment");
    if (was!.returned && input.points === null) return fail("returned_needs_points");
    if (input.base !== undefined && input.base < was!.version && was!.by !== teacher) return fail("marked_meanwhile");
    if (was!.returned && before !== null && differs) {
      const reason = input.reason?.trim() ?? "";
      if (reason === "") return fail("mark_needs_reason");
      await tx`
        insert into mark_before (submission_id, n, points, levels, comment, by_id, reason)
        values (${submission}, ${was!.changes}, ${before}, ${tx.json(was!.levels as never)}, ${was!.comment}, ${teacher}, ${reason.slice(0, 500)})`;
    }
    await tx`
      update mark set points = ${input.points}, comment = ${input.comment.slice(0, 10_000)}, levels = ${tx.json(levels as never)},
        version = version + 1, saved_by = ${teacher}, at = now(),
        by_id = case when ${differs} then ${teacher} else by_id end
      where submission_id = ${submission}`;
    for (const c of input.comments)
      if (known.has(c.event))
        await tx`
          insert into event_comment (submission_id, event_id, text) values (${submission}, ${c.event}, ${c.text.slice(0, 4_000)})
          on conflict (submission_id, event_id) do update set text = excluded.text`;
    return { version: was!.version + 1 };
  });
  if ("failed" in done) return done;
  await workChanged(s.timelineId);
  await sendScoresOf([submission]);
  return { saved: true, version: done.version };
}

/**
 * Returns one submission: from now on its group sees mark, comments and which given dates were right. `toImprove`: they may hand it in
 * again; that can be said, and taken back, after it was returned too, as long as they have not.
 */
export async function returnWork(
  submission: string,
  teacher: string,
  toImprove = false,
): Promise<Failure | { returned: boolean }> {
  const s = await mayMark(submission, teacher);
  if (!s) return fail("not_found");
  const [done] = await db()<{ returned: boolean }[]>`
    update mark m set to_improve = ${toImprove}, hold_until = case when m.returned_at is null and a.return_at > now() then a.return_at end,
      returned_at = case when m.returned_at is null and a.return_at > now() then null else coalesce(m.returned_at, now()) end
    from assignment a
    where m.submission_id = ${submission} and m.points is not null and a.id = ${s.assignmentId} returning m.returned_at is not null as returned`;
  if (!done) return fail("not_marked_yet");
  await workChanged(s.timelineId);
  await sendScoresOf([submission]);
  return done;
}

/** Returns every submission of an assignment that has points; gives how many. */
export async function returnAll(assignment: string, teacher: string): Promise<Failure | { returned: number }> {
  if (!(await teaches(assignment, teacher))) return fail("not_found");
  const done = await db()<{ timelineId: string; id: string }[]>`
    update mark m set returned_at = case when a.return_at > now() then null else now() end,
      hold_until = case when a.return_at > now() then a.return_at end
    from current_submission s join group_work g on g.id = s.group_id join assignment a on a.id = g.assignment_id
    where s.id = m.submission_id and g.assignment_id = ${assignment} and m.points is not null and m.returned_at is null
    returning g.timeline_id, s.id`;
  for (const row of done) await workChanged(row.timelineId);
  await sendScoresOf(done.map((d) => d.id));
  return { returned: done.length };
}

/**
 * Holds what is given back until a day and time, so that all of a class see their marks at once; null: nothing is held any more, and what
 * was given back is there now. The teachers of its class.
 */
export async function holdUntil(
  assignment: string,
  teacher: string,
  at: Date | null,
): Promise<Failure | { held: boolean }> {
  if (!(await teaches(assignment, teacher))) return fail("not_found");
  await db().begin(async (tx) => {
    await tx`update assignment set return_at = ${at} where id = ${assignment}`;
    await tx`
      update mark m set hold_until = ${at ?? new Date()}
      from submission s join group_work g on g.id = s.group_id
      where s.id = m.submission_id and g.assignment_id = ${assignment} and m.hold_until is not null and m.returned_at is null`;
  });
  await releaseHeld();
  return { held: at !== null && at.getTime() > Date.now() };
}

/** Gives back what was held until now; gives how many. */
export async function releaseHeld(): Promise<number> {
  const done = await db()<{ timelineId: string; id: string }[]>`
    update mark m set returned_at = now(), hold_until = null
    from submission s join group_work g on g.id = s.group_id
    where s.id = m.submission_id and m.hold_until <= now() and m.returned_at is null and m.points is not null
    returning g.timeline_id, s.id`;
  for (const row of done) await workChanged(row.timelineId);
  await sendScoresOf(done.map((d) => d.id));
  return done.length;
}
