import "server-only";
import type { Fragment } from "postgres";
import type { Sql, Tx } from "../db/pool";
import type { Visibility } from "@/core/timeline/visibility";

/** Whether a timeline is made for a class that a person teaches or assists in, and is there. */
export async function worksFor(sql: Sql, timeline: string, teacher: string): Promise<boolean> {
  const [row] = await sql`
    select from group_work g join assignment a on a.id = g.assignment_id join timeline t on t.id = g.timeline_id
    where g.timeline_id = ${timeline} and t.deleted_at is null and watches(a.class_id, ${teacher})`;
  return row !== undefined;
}

/** Those who teach or assist in the class a timeline is made for; nobody where it is made for none. */
export async function watchersOf(sql: Sql, timeline: string): Promise<string[]> {
  return (await sql<{ accountId: string }[]>`${watchersSince(sql, timeline)}`).map((r) => r.accountId);
}

/** The same, and since when each is; for a query around it: `account_id`, `joined_at`. */
export const watchersSince = (sql: Sql, timeline: string): Fragment => sql`
  select k.account_id, k.joined_at from group_work g join assignment a on a.id = g.assignment_id
  join class_teacher k on k.class_id = a.class_id where g.timeline_id = ${timeline}`;

/** What a class is called, for a query around it; null where there is none. */
export const classNameOf = (sql: Sql, klass: Fragment): Fragment => sql`(select name from class where id = ${klass})`;

/** What a school is called, for a query around it; null where there is none. */
export const schoolNameOf = (sql: Sql, school: Fragment): Fragment =>
  sql`(select name from organisation where id = ${school})`;

/** Whether a class, of a query around it, has not been closed and a person learns in it or teaches it. */
export const opensTo = (sql: Sql, klass: Fragment, account: string): Fragment => sql`
  exists (select from class c where c.id = ${klass} and c.closed_at is null and (teaches(c.id, ${account})
    or exists (select from class_member m where m.class_id = c.id and m.account_id = ${account})))`;

/** Whether a timeline, of a query around it, is made in a class that, or whose school, lets nothing be published to everybody. */
export const keptIn = (sql: Sql, timeline: Fragment): Fragment => sql`
  exists (select from group_work g join assignment a on a.id = g.assignment_id
    join class c on c.id = a.class_id left join organisation o on o.id = c.organisation_id
    where g.timeline_id = ${timeline}
      and (c.publish_limit <> 'everybody' or coalesce(o.publish_limit, 'everybody') <> 'everybody'))`;

/** Those of a name, whatever its capitals, who are in a class with a person. */
export async function classmatesCalled(sql: Sql, account: string, name: string): Promise<string[]> {
  const rows = await sql<{ id: string }[]>`
    with mine as (
      select class_id from class_member where account_id = ${account}
      union select class_id from class_teacher where account_id = ${account})
    select distinct a.id from account a join (
      select class_id, account_id from class_member union select class_id, account_id from class_teacher) k on k.account_id = a.id
    where k.class_id in (select class_id from mine) and a.id <> ${account} and a.deleted_at is null
      and lower(a.display_name) = lower(${name.trim()})`;
  return rows.map((r) => r.id);
}

/** The open classes a person teaches, by name. */
export async function classesTaught(sql: Sql, account: string): Promise<{ id: string; name: string }[]> {
  return sql<{ id: string; name: string }[]>`
    select c.id, c.name from class c where teaches(c.id, ${account}) and c.closed_at is null order by lower(c.name), c.id`;
}

/**
 * Whether a timeline is shown to a person as the model of an assignment of their class: before they begin, or once their own work came
 * back.
 */
export async function modelFor(sql: Sql, timeline: string, student: string): Promise<boolean> {
  const [row] = await sql`
    select from assignment a join class_member m on m.class_id = a.class_id and m.account_id = ${student}
    join timeline t on t.id = a.model and t.deleted_at is null
    where a.model = ${timeline} and (a.model_shown = 'before' or (a.model_shown = 'after' and exists (
      select from group_member g join current_submission s on s.group_id = g.group_id join mark k on k.submission_id = s.id
      where g.assignment_id = a.id and g.account_id = ${student} and k.returned_at is not null)))`;
  return row !== undefined;
}

/** The timelines that are made for the classes a person teaches. */
export async function workFor(sql: Sql, teacher: string): Promise<string[]> {
  const rows = await sql<{ id: string }[]>`
    select g.timeline_id as id from class_teacher k join assignment a on a.class_id = k.class_id
    join group_work g on g.assignment_id = a.id where k.account_id = ${teacher}`;
  return rows.map((r) => r.id);
}

/** Whether a person teaches a class that has not been closed. */
export async function teachesClass(sql: Sql, klass: string, account: string): Promise<boolean> {
  const [row] = await sql`select from class where id = ${klass} and teaches(id, ${account}) and closed_at is null`;
  return row !== undefined;
}

/** Whether a person is a teacher or a student of a class. */
export async function isOfClass(sql: Sql, klass: string, account: string): Promise<boolean> {
  const [row] = await sql`
    select from class c where c.id = ${klass}
      and (watches(c.id, ${account}) or exists (select from class_member m where m.class_id = c.id and m.account_id = ${account}))`;
  return row !== undefined;
}

/** The class a timeline is made in, its school, and how far both let what is made there be published; null for a timeline of no class. */
export async function classOf(
  sql: Sql,
  timeline: string,
): Promise<{ id: string; limit: Visibility; school: string | null } | null> {
  const [row] = await sql<{ id: string; limit: Visibility; school: string | null }[]>`
    select c.id, o.id as school,
      case when reach(o.publish_limit) < reach(c.publish_limit) then o.publish_limit else c.publish_limit end as "limit"
    from group_work g join assignment a on a.id = g.assignment_id join class c on c.id = a.class_id
    left join organisation o on o.id = c.organisation_id
    where g.timeline_id = ${timeline}`;
  return row ?? null;
}

/** Whether a by-line names somebody of the class a timeline is made in, which that class does not want. */
export async function bylineNames(sql: Sql, timeline: string, byline: string): Promise<boolean> {
  const [row] = await sql<{ names: string[] }[]>`
    select (select coalesce(array_agg(p.display_name), '{}') from class_member m join account p on p.id = m.account_id
      where m.class_id = c.id) as names
    from group_work g join assignment a on a.id = g.assignment_id join class c on c.id = a.class_id
    where g.timeline_id = ${timeline} and c.bylines = 'no_names'`;
  const words = wordsOf(byline);
  return (row?.names ?? []).some((n) => {
    const name = wordsOf(n);
    return name.length > 0 && words.some((_, i) => name.every((w, k) => words[i + k] === w));
  });
}

const wordsOf = (text: string) => text.toLocaleLowerCase("en").match(/[\p{L}\p{N}]+/gu) ?? [];

/**
 * Makes somebody a member of the group whose work a timeline is, if they are of its class and have not begun the assignment
 * elsewhere. "no_work": it is no group's work.
 */
export async function joinGroup(
  tx: Tx,
  timeline: string,
  account: string,
): Promise<"joined" | "not_theirs" | "no_work"> {
  const [work] = await tx`select from group_work where timeline_id = ${timeline}`;
  if (!work) return "no_work";
  const [member] = await tx`
    insert into group_member (assignment_id, account_id, group_id)
    select a.id, m.account_id, g.id
    from group_work g join assignment a on a.id = g.assignment_id join class_member m on m.class_id = a.class_id
    where g.timeline_id = ${timeline} and m.account_id = ${account}
    on conflict do nothing returning group_id`;
  return member ? "joined" : "not_theirs";
}

/** Takes somebody out of the group whose work a timeline is. */
export async function leaveGroup(tx: Tx, timeline: string, account: string): Promise<void> {
  await tx`
    delete from group_member m using group_work g
    where g.id = m.group_id and g.timeline_id = ${timeline} and m.account_id = ${account}`;
}

/**
 * Deleted group work lets its members begin again, unless it was handed in; put back, it is theirs for the assignment unless they
 * have: where all have, it is nobody's work and a timeline like any other.
 */
export async function groupDeleted(tx: Tx, timeline: string, deleted: boolean): Promise<void> {
  if (deleted)
    await tx`
      delete from group_member m using group_work g where g.id = m.group_id and g.timeline_id = ${timeline}
        and not exists (select from current_submission s where s.group_id = g.id)`;
  else {
    await tx`
      insert into group_member (assignment_id, account_id, group_id)
      select g.assignment_id, e.account_id, g.id from group_work g join editor e on e.timeline_id = g.timeline_id
      where g.timeline_id = ${timeline} on conflict do nothing`;
    await tx`
      delete from group_work g where g.timeline_id = ${timeline}
        and not exists (select from group_member m where m.group_id = g.id)
        and not exists (select from submission s where s.group_id = g.id)`;
  }
}

/** Takes a person out of all classes and groups; what they lead another teacher leads, and those they teach alone are closed. */
export async function leaveAllClasses(tx: Tx, account: string): Promise<void> {
  await tx`delete from group_member where account_id = ${account}`;
  await tx`delete from class_member where account_id = ${account}`;
  await tx`
    update class_teacher t set role = 'lead'
    where t.account_id = (
        select n.account_id from class_teacher n where n.class_id = t.class_id and n.account_id <> ${account} and n.role = 'teacher'
        order by n.joined_at, n.account_id limit 1)
      and exists (select from class_teacher o where o.class_id = t.class_id and o.account_id = ${account} and o.role = 'lead')`;
  await tx`
    update class c set join_code = null, closed_at = now()
    where teaches(c.id, ${account})
      and not exists (
        select from class_teacher t where t.class_id = c.id and t.account_id <> ${account} and t.role <> 'assistant')`;
  await tx`
    delete from class_teacher t where t.account_id = ${account} and exists (
      select from class_teacher o where o.class_id = t.class_id and o.account_id <> ${account} and o.role = 'lead')`;
}

/**
 * Destroys what classes keep of a person alone: what they kept to use again, more time they were given, work of others they were to read
 * and have not, who they are on learning platforms. What they said to others stays with those, without the name.
 */
export async function forgetInClasses(tx: Tx, account: string): Promise<void> {
  await tx`delete from rubric where account_id = ${account}`;
  await tx`delete from kept_comment where account_id = ${account}`;
  await tx`delete from extension where account_id = ${account}`;
  await tx`delete from peer_review where account_id = ${account} and done_at is null`;
  await tx`delete from lti_choice where account_id = ${account}`;
  await tx`delete from lti_account where account_id = ${account}`;
}

/** The open classes that a person teaches and nobody else does, by name. */
export async function taughtAlone(sql: Sql, account: string): Promise<string[]> {
  const rows = await sql<{ name: string }[]>`
    select c.name from class c where teaches(c.id, ${account}) and c.closed_at is null
      and not exists (
        select from class_teacher t where t.class_id = c.id and t.account_id <> ${account} and t.role <> 'assistant')
    order by c.name`;
  return rows.map((r) => r.name);
}

/** The classes of a person and what they are in each, for their export. */
export async function classesIn(sql: Sql, account: string): Promise<{ name: string; role: "teacher" | "student" }[]> {
  return sql<{ name: string; role: "teacher" | "student" }[]>`
    select c.name, case when watches(c.id, ${account}) then 'teacher' else 'student' end as role from class c
    where watches(c.id, ${account}) or exists (select from class_member m where m.class_id = c.id and m.account_id = ${account})`;
}

/** Whether a timeline is somebody's work on an assignment. */
export async function isGroupWork(sql: Sql, timeline: string): Promise<boolean> {
  return (await sql`select from group_work where timeline_id = ${timeline}`).length > 0;
}

/** What a person has handed in with their groups, and the marks that came back. */
export async function handedInBy(
  sql: Sql,
  account: string,
): Promise<
  {
    submittedAt: Date;
    hash: string;
    content: string;
    returnedAt: Date | null;
    points: string | null;
    comment: string | null;
  }[]
> {
  return sql`
    select s.submitted_at, s.hash, s.content, m.returned_at,
      case when m.returned_at is not null then m.points end as points,
      case when m.returned_at is not null then m.comment end as comment
    from submission s join group_member g on g.group_id = s.group_id left join mark m on m.submission_id = s.id
    where g.account_id = ${account} order by s.submitted_at`;
}

/** Takes a name off what was handed in: names stand beside the content that is hashed, not in it. */
export async function blankName(tx: Tx, account: string, name: string): Promise<void> {
  await tx`
    update submission s set members = array_replace(s.members, ${name}, 'Deleted account')
    from group_member m where m.group_id = s.group_id and m.account_id = ${account}`;
}
