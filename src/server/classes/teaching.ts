import "server-only";
import { type Check, missingText, type Requirement } from "@/core/check/requirements";
import { WORDS as LACKS } from "@/core/words/checks";
import { type Standing, standingOf } from "@/core/classes/standing";
import { db } from "../db/pool";
import { TEACHERS_NAME } from "./class";
import { blindName, blindNumbers } from "./blind";
import type { CheckDraft } from "./marking";
import { notDone } from "./practice";

/** Somebody, or a group, a teacher should look at, and where that is done. */
export interface Waiting {
  names: string;
  assignment: string;
  title: string;
  href: string;
}

/** One class at a glance. */
export interface ClassAtAGlance {
  id: string;
  name: string;
  members: number;
  /** With the number that stands for the names where they are hidden. */
  toMark: (Waiting & { number: number | null })[];
  again: (Waiting & { number: number | null })[];
  late: (Waiting & { by: number })[];
  stuck: (Waiting & { standing: Standing; kinds: string[] })[];
  asked: (Waiting & { questions: number })[];
}

interface GroupOfClass {
  classId: string;
  assignment: string;
  group: string | null;
  title: string;
  blind: boolean;
  requirements: Requirement[];
  setAt: Date;
  dueAt: Date;
  timeline: string | null;
  names: string;
  alteredAt: Date | null;
  submission: string | null;
  again: boolean;
  toImprove: boolean;
  marked: boolean;
  questions: number;
  checks: Check[] | null;
}

/** The most drafts that are checked anew for one look. */
const MOST_CHECKED = 40;
/** What is late for so long is no news. */
const LONG_PAST_S = 28 * 86_400;
const CLOSE_MS = 2 * 86_400_000;

/**
 * What waits in the classes a person teaches or assists in, four queries whatever their number. Drafts due in two days that were
 * altered since they were last checked are checked by `check`, some forty at most.
 */
export async function teachingOf(account: string, check: CheckDraft, now = new Date()): Promise<ClassAtAGlance[]> {
  const sql = db();
  const classes = await sql<{ id: string; name: string; members: number }[]>`
    select c.id, c.name, (select count(*)::int from class_member m where m.class_id = c.id) as members
    from class_teacher t join class c on c.id = t.class_id
    where t.account_id = ${account} and c.archived_at is null and c.closed_at is null order by lower(c.name), c.id`;
  const ids = classes.map((c) => c.id);
  if (ids.length === 0) return [];
  const groups = await sql<GroupOfClass[]>`
    select a.class_id, a.id as assignment, g.id as "group", a.title, a.blind, a.requirements, a.created_at as set_at, due_of_group(g.id) as due_at,
      g.timeline_id as timeline, t.altered_at, s.id as submission, coalesce(m.to_improve and m.returned_at is not null, false) as to_improve,
      s.id is not null and exists (select from submission o where o.replaced_by = s.id) as again,
      m.points is not null as marked,
      (select count(*)::int from question q where q.timeline_id = g.timeline_id and q.answered_at is null) as questions,
      coalesce((select string_agg(${sql.unsafe(TEACHERS_NAME)}, ', ' order by p.display_name, p.id)
        from group_member n join account p on p.id = n.account_id, lateral (select a.class_id as klass) as in_class
        where n.group_id = g.id), array_to_string(s.members, ', '), '') as names,
      case when s.id is null and due_of_group(g.id) between ${now} and ${new Date(now.getTime() + CLOSE_MS)} then (
        select k.checks from check_result k
        where k.timeline_id = g.timeline_id and k.seq = t.seq and k.requirements = a.requirements) end as checks
    from assignment a join group_work g on g.assignment_id = a.id join timeline t on t.id = g.timeline_id
    left join current_submission s on s.group_id = g.id left join mark m on m.submission_id = s.id
    where a.class_id = any(${ids}) and (t.deleted_at is null or s.id is not null) order by a.due_at, a.id, names`;
  const idle = await sql<GroupOfClass[]>`
    select a.class_id, a.id as assignment, null as "group", a.title, false as blind, a.requirements, a.created_at as set_at, due_for(a.id, p.id) as due_at,
      null as timeline, null as altered_at, null as submission, false as to_improve, false as again, false as marked, 0 as questions,
      null as checks, ${sql.unsafe(TEACHERS_NAME)} as names
    from assignment a join class_member k on k.class_id = a.class_id join account p on p.id = k.account_id,
      lateral (select a.class_id as klass) as in_class
    where a.class_id = any(${ids}) and not exists (
      select from group_member g where g.assignment_id = a.id and g.account_id = p.id)
    order by a.due_at, a.id, lower(p.display_name), p.id`;
  const soon = groups.filter((g) => !g.submission && g.checks === null && isClose(g, now)).slice(0, MOST_CHECKED);
  await Promise.all(soon.map(async (g) => void (g.checks = await check(g.timeline!, g.requirements))));
  const made = new Map(
    classes.map((c) => [c.id, { ...c, toMark: [], again: [], late: [], stuck: [], asked: [] } as ClassAtAGlance]),
  );
  for (const p of await notDone(sql, ids)) {
    const by = (now.getTime() - p.dueAt.getTime()) / 1_000;
    if (by > 0 && by < LONG_PAST_S)
      made
        .get(p.klass)!
        .late.push({ names: p.name, assignment: p.practice, title: p.title, href: `/classes/${p.klass}`, by });
  }
  const numbers = blindNumbersOf(groups);
  for (const g of [...groups, ...idle]) sort(made.get(g.classId)!, g, now, numbers.get(g) ?? null);
  // The order of names would tell them.
  for (const c of made.values())
    for (const list of [c.toMark, c.again]) list.sort((a, b) => (a.number ?? 0) - (b.number ?? 0));
  return [...made.values()];
}

/** The numbers that stand for the groups of blind assignments, as their desks have them. */
function blindNumbersOf(groups: readonly GroupOfClass[]): Map<GroupOfClass, number> {
  const found = new Map<GroupOfClass, number>();
  const blind = groups.filter((g) => g.blind && g.submission);
  for (const assignment of new Set(blind.map((g) => g.assignment))) {
    const own = blind.filter((g) => g.assignment === assignment);
    const numbers = blindNumbers(own.map((g) => g.group!));
    for (const g of own) found.set(g, numbers.get(g.group!)!);
  }
  return found;
}

const isClose = (g: GroupOfClass, now: Date) =>
  g.dueAt.getTime() >= now.getTime() && g.dueAt.getTime() - now.getTime() <= CLOSE_MS;

function sort(into: ClassAtAGlance, g: GroupOfClass, now: Date, number: number | null): void {
  const at = (href: string, names = g.names): Waiting => ({ names, assignment: g.assignment, title: g.title, href });
  const desk = `/assignments/${g.assignment}`;
  if (g.questions > 0) into.asked.push({ ...at(`${desk}/questions/${g.timeline}`), questions: g.questions });
  if (g.submission && !g.toImprove) {
    if (g.marked) return;
    const names = number === null ? g.names : blindName(number);
    const own = { ...at(`${desk}?s=${g.submission}`, names), number };
    (g.again ? into.again : into.toMark).push(own);
    return;
  }
  // What came back to be improved is not late, and nobody is asked for it.
  if (g.toImprove) return;
  const checks = g.checks?.map((c) => ({ have: c.have, need: c.need, wished: c.requirement.wished === true })) ?? null;
  const standing = standingOf({ dueAt: g.dueAt, setAt: g.setAt, alteredAt: g.alteredAt, checks }, now);
  const draft = g.timeline ? `/timelines/${g.timeline}/reader` : desk;
  if (standing.code === "late" && standing.by > LONG_PAST_S) return;
  if (standing.code === "late") into.late.push({ ...at(draft), by: standing.by });
  else if (standing.code !== "fine")
    into.stuck.push({
      ...at(draft),
      standing,
      kinds: standing.code === "behind" ? standing.kinds.map((i) => missingText(g.checks![i]!, LACKS)) : [],
    });
}
