import "server-only";
import { WORDS as NOTICES } from "@/core/words/notices";
import { tellPeople } from "../accounts/notices";
import { WORDS as LETTERS } from "@/core/words/letters";
import { nanoid } from "nanoid";
import type { Visibility } from "@/core/timeline/visibility";
import { readEmail } from "../accounts/sign-up";
import { db, type Sql, type Tx } from "../db/pool";
import { type Failure, fail, isFailure, refusal, Refused } from "../http/failure";
import { rightsChanged } from "../live/notify";
import { sendLetters } from "../mail/outgoing";
import { providesFor } from "./sign-on-classes";

export type SchoolRole = "administrator" | "teacher";

export interface School {
  id: string;
  name: string;
  /** Nothing that is made in one of its classes goes further. */
  publishLimit: Visibility;
  /** By which provider alone its people come in; null: by any way. */
  signOnProvider: string | null;
  /** What the one who asks is there; null: taught in one of its classes. */
  role: SchoolRole | null;
}

export interface SchoolTeacher {
  id: string;
  displayName: string;
  role: SchoolRole;
}

export interface SchoolClassCard {
  id: string;
  name: string;
  teacher: string;
  members: number;
}

/** Makes a school; whoever makes it is its first administrator. Only with an e-mail address: letters go out in their name. */
export async function createSchool(by: string, name: string): Promise<Failure | { id: string }> {
  const plain = name.trim();
  if (plain.length < 1 || plain.length > 120) return fail("school_name_missing");
  return db().begin(async (tx): Promise<Failure | { id: string }> => {
    const [account] = await tx`select from account where id = ${by} and email is not null`;
    if (!account) return fail("school_needs_email");
    const id = nanoid(12);
    await tx`insert into organisation (id, name) values (${id}, ${plain})`;
    await tx`insert into organisation_member (organisation_id, account_id, role) values (${id}, ${by}, 'administrator')`;
    return { id };
  });
}

/** A school as one of it sees it; null for whoever is not of it. */
export async function findSchool(id: string, account: string): Promise<School | null> {
  const [row] = await db()<School[]>`
    select o.id, o.name, o.publish_limit, o.sign_on_provider, m.role from organisation o
    left join organisation_member m on m.organisation_id = o.id and m.account_id = ${account}
    where o.id = ${id} and of_school(o.id, ${account})`;
  return row ?? null;
}

/** The schools a person teaches at, by name. */
export async function schoolsOf(sql: Sql, account: string): Promise<{ id: string; name: string; role: SchoolRole }[]> {
  return sql<{ id: string; name: string; role: SchoolRole }[]>`
    select o.id, o.name, m.role from organisation_member m join organisation o on o.id = m.organisation_id
    where m.account_id = ${account} order by lower(o.name), o.id`;
}

/** Those who teach there, administrators first; and, for them, who was written to and has not come yet. */
export async function schoolTeachers(
  id: string,
): Promise<{ teachers: SchoolTeacher[]; invited: { email: string; role: SchoolRole }[] }> {
  const teachers = await db()<SchoolTeacher[]>`
    select a.id, a.display_name, m.role from organisation_member m join account a on a.id = m.account_id
    where m.organisation_id = ${id} order by m.role <> 'administrator', lower(a.display_name), a.id`;
  const invited = await db()<{ email: string; role: SchoolRole }[]>`
    select email, role from organisation_invitation where organisation_id = ${id} order by lower(email)`;
  return { teachers, invited };
}

/** The classes of a school whose year goes on. */
export async function schoolClasses(id: string): Promise<SchoolClassCard[]> {
  return db()<SchoolClassCard[]>`
    select c.id, c.name, (select count(*)::int from class_member m where m.class_id = c.id) as members,
      (select string_agg(a.display_name, ', ' order by t.joined_at, a.id) from class_teacher t join account a on a.id = t.account_id
        where t.class_id = c.id and t.role <> 'assistant') as teacher
    from class c where c.organisation_id = ${id} and c.closed_at is null and c.archived_at is null order by lower(c.name), c.id`;
}

/** What a class of a school lets its work go at most, when it leaves: no further than it went in it. `c` and `o` of the query around it. */
const LIMIT_AFTER = `case when reach(o.publish_limit) < reach(c.publish_limit)
  then case when o.publish_limit = 'school' then 'class' else o.publish_limit end
  when c.publish_limit = 'school' then 'class' else c.publish_limit end`;

/** Locks a school for one of its administrators; thrown are the refusals. */
async function administer(tx: Tx, id: string, by: string): Promise<{ name: string; by: string }> {
  const [school] = await tx<{ name: string; by: string; role: SchoolRole }[]>`
    select o.name, a.display_name as by, m.role from organisation o
    join organisation_member m on m.organisation_id = o.id and m.account_id = ${by} join account a on a.id = m.account_id
    where o.id = ${id} for update of o`;
  if (!school) throw new Refused(fail("not_found"));
  if (school.role !== "administrator") throw new Refused(fail("administrators_only"));
  return school;
}

/** Names a school anew, sets how far its pupils publish, or by which provider alone its people come in. Its administrators. */
export async function alterSchool(
  id: string,
  by: string,
  change: { name?: string; publishLimit?: Visibility; signOnProvider?: string | null },
): Promise<Failure | { done: true }> {
  const name = change.name?.trim();
  if (name !== undefined && (name.length < 1 || name.length > 120)) return fail("school_name_missing");
  return db()
    .begin(async (tx): Promise<Failure | { done: true }> => {
      await administer(tx, id, by);
      if (change.signOnProvider !== undefined) {
        if (change.signOnProvider !== null && !(await providesFor(tx, id, change.signOnProvider)))
          return fail("no_such_provider");
        await tx`update organisation set sign_on_provider = ${change.signOnProvider} where id = ${id}`;
      }
      await tx`
        update organisation set name = coalesce(${name ?? null}, name), publish_limit = coalesce(${change.publishLimit ?? null}, publish_limit)
        where id = ${id}`;
      return { done: true };
    })
    .catch(refusal);
}

/** Ends a school: its classes go on by themselves, and what was given to it alone is seen by its author and its class again. */
export async function endSchool(id: string, by: string): Promise<Failure | { done: true }> {
  return db()
    .begin(async (tx): Promise<Failure | { done: true }> => {
      const { name } = await administer(tx, id, by);
      const members = await tx<{ id: string }[]>`
        select account_id as id from organisation_member where organisation_id = ${id} and account_id <> ${by}`;
      await tellPeople(
        tx,
        "school",
        members.map((m) => m.id),
        () => NOTICES.schoolEnded(name),
      );
      await tx`
        update class c set organisation_id = null, publish_limit = ${tx.unsafe(LIMIT_AFTER)} from organisation o
        where o.id = ${id} and c.organisation_id = o.id`;
      await tx`delete from organisation where id = ${id}`;
      return { done: true };
    })
    .catch(refusal);
}

/**
 * Takes somebody in as teacher or administrator, or lets them be the other. Who has an account is in and told; anybody else gets a
 * letter with a link. `link`: from a token to what stands in the letter.
 */
export async function addSchoolTeacher(
  id: string,
  by: string,
  email: string,
  role: SchoolRole,
  link: (token: string) => string,
): Promise<Failure | { joined: boolean }> {
  const address = readEmail(email);
  if (!address) return fail("email_malformed");
  const done = await db()
    .begin(async (tx): Promise<Failure | { account: string } | { token: string; name: string; by: string }> => {
      const school = await administer(tx, id, by);
      const [found] = await tx<{ id: string; role: SchoolRole | null }[]>`
        select a.id, m.role from account a left join organisation_member m on m.account_id = a.id and m.organisation_id = ${id}
        where lower(a.email) = ${address.toLowerCase()} and a.deleted_at is null`;
      if (!found) {
        const token = nanoid(24);
        await tx`delete from organisation_invitation where organisation_id = ${id} and lower(email) = ${address.toLowerCase()}`;
        await tx`
          insert into organisation_invitation (token, organisation_id, email, role, invited_by)
          values (${token}, ${id}, ${address}, ${role}, ${by})`;
        return { token, ...school };
      }
      if (found.role === "administrator" && role === "teacher") await mustLeaveOne(tx, id, found.id);
      await tx`
        insert into organisation_member (organisation_id, account_id, role) values (${id}, ${found.id}, ${role})
        on conflict (organisation_id, account_id) do update set role = excluded.role`;
      if (found.role !== role && found.id !== by) await tellRole(tx, school, found.id, role);
      return { account: found.id };
    })
    .catch(refusal);
  if (isFailure(done)) return done;
  if ("token" in done)
    await sendLetters([
      {
        account: by,
        to: address,
        ...LETTERS.schoolInvitation(done.by, done.name, link(done.token)),
      },
    ]);
  else await rightsChanged(done.account);
  return { joined: "account" in done };
}

/** Lets a colleague be administrator or teacher; they are told. */
export async function setSchoolRole(
  id: string,
  by: string,
  account: string,
  role: SchoolRole,
): Promise<Failure | { done: true }> {
  const done = await db()
    .begin(async (tx): Promise<Failure | { done: true }> => {
      const school = await administer(tx, id, by);
      if (role === "teacher") await mustLeaveOne(tx, id, account);
      const set = await tx`
        update organisation_member set role = ${role} where organisation_id = ${id} and account_id = ${account} returning account_id`;
      if (set.length === 0) return fail("not_found");
      if (account !== by) await tellRole(tx, school, account, role);
      return { done: true };
    })
    .catch(refusal);
  if (!isFailure(done)) await rightsChanged(account);
  return done;
}

async function tellRole(
  tx: Tx,
  school: { name: string; by: string },
  account: string,
  role: SchoolRole,
): Promise<void> {
  await tellPeople(tx, "school", [account], () => NOTICES[role](school.by, school.name));
}

/** Refuses where somebody is the last administrator, so that a school is never nobody's. */
async function mustLeaveOne(tx: Tx, id: string, account: string): Promise<void> {
  const [other] = await tx`
    select from organisation_member where organisation_id = ${id} and role = 'administrator' and account_id <> ${account} limit 1`;
  if (!other) throw new Refused(fail("last_administrator"));
}

/** What an invitation leads to; null where it was withdrawn or taken. */
export async function schoolInvitation(token: string): Promise<{ school: string; name: string; by: string } | null> {
  const [row] = await db()<{ school: string; name: string; by: string }[]>`
    select o.id as school, o.name, a.display_name as by from organisation_invitation i
    join organisation o on o.id = i.organisation_id join account a on a.id = i.invited_by where i.token = ${token}`;
  return row ?? null;
}

/** Takes up an invitation, once. Whoever has the link was written to. */
export async function joinSchool(token: string, account: string): Promise<Failure | { id: string }> {
  return db().begin(async (tx): Promise<Failure | { id: string }> => {
    const [taken] = await tx<{ organisationId: string; role: SchoolRole }[]>`
      delete from organisation_invitation where token = ${token} returning organisation_id, role`;
    if (!taken) return fail("invitation_ended");
    await tx`
      insert into organisation_member (organisation_id, account_id, role)
      values (${taken.organisationId}, ${account}, ${taken.role}) on conflict do nothing`;
    return { id: taken.organisationId };
  });
}

/** Withdraws what was written to an address and not taken up. */
export async function withdrawInvitation(id: string, by: string, email: string): Promise<Failure | { done: true }> {
  return db()
    .begin(async (tx): Promise<Failure | { done: true }> => {
      await administer(tx, id, by);
      const gone = await tx`
        delete from organisation_invitation where organisation_id = ${id} and lower(email) = ${email.trim().toLowerCase()} returning token`;
      return gone.length > 0 ? { done: true } : fail("not_found");
    })
    .catch(refusal);
}

/** Takes a teacher out of a school, or lets them leave: their classes stay theirs, and the school's where another of it teaches there. */
export async function leaveSchool(id: string, by: string, account: string): Promise<Failure | { done: true }> {
  const done = await db()
    .begin(async (tx): Promise<Failure | { done: true }> => {
      const own = by === account;
      const [school] = own
        ? await tx<{ name: string }[]>`
            select o.name from organisation o join organisation_member m on m.organisation_id = o.id and m.account_id = ${by}
            where o.id = ${id} for update of o`
        : [await administer(tx, id, by)];
      if (!school) return fail("not_found");
      const [there] = await tx<{ role: SchoolRole }[]>`
        select role from organisation_member where organisation_id = ${id} and account_id = ${account}`;
      if (!there) return fail("not_found");
      if (there.role === "administrator") await mustLeaveOne(tx, id, account);
      await takeOut(tx, id, account);
      if (!own) await tellPeople(tx, "school", [account], () => NOTICES.notOfSchool(school.name));
      return { done: true };
    })
    .catch(refusal);
  if (!isFailure(done)) await rightsChanged(account);
  return done;
}

async function takeOut(tx: Tx, id: string, account: string): Promise<void> {
  await tx`delete from organisation_member where organisation_id = ${id} and account_id = ${account}`;
  await tx`
    update class c set organisation_id = null, publish_limit = ${tx.unsafe(LIMIT_AFTER)} from organisation o
    where o.id = ${id} and c.organisation_id = o.id and watches(c.id, ${account}) and not exists (
      select from class_teacher t join organisation_member m on m.account_id = t.account_id and m.organisation_id = ${id}
      where t.class_id = c.id and t.role <> 'assistant')`;
  await tx`
    update publication p set organisation_id = null from editor e
    where p.organisation_id = ${id} and e.timeline_id = p.timeline_id and e.role = 'owner' and e.account_id = ${account}`;
}

/**
 * Puts a class into a school, or takes it out (null): who teaches both, or, out of it, an administrator of the school. What a school has
 * kept back is not opened by leaving it: the class keeps its limit until its teacher sets another.
 */
export async function setSchool(klass: string, by: string, school: string | null): Promise<Failure | { done: true }> {
  const done =
    school === null
      ? await db()`
          update class c set organisation_id = null, publish_limit = ${db().unsafe(LIMIT_AFTER)} from organisation o
          where c.id = ${klass} and o.id = c.organisation_id and (teaches(c.id, ${by}) or exists (
            select from organisation_member m where m.organisation_id = o.id and m.account_id = ${by} and m.role = 'administrator'))
          returning c.id`
      : await db()`
          update class c set organisation_id = ${school}
          where c.id = ${klass} and teaches(c.id, ${by}) and exists (
            select from organisation_member m where m.organisation_id = ${school} and m.account_id = ${by})
          returning c.id`;
  return done.length > 0 ? { done: true } : fail("not_found");
}

/** Takes a person out of all schools, for good; where they were the last administrator, who has taught there longest is one now. */
export async function leaveAllSchools(tx: Tx, account: string): Promise<void> {
  const mine = await tx<{ organisationId: string }[]>`
    select organisation_id from organisation_member where account_id = ${account}`;
  for (const { organisationId } of mine) {
    await tx`select from organisation where id = ${organisationId} for update`;
    await takeOut(tx, organisationId, account);
    await tx`
      update organisation_member set role = 'administrator'
      where organisation_id = ${organisationId} and account_id = (
          select account_id from organisation_member where organisation_id = ${organisationId} order by joined_at, account_id limit 1)
        and not exists (select from organisation_member where organisation_id = ${organisationId} and role = 'administrator')`;
    await tx`
      delete from organisation where id = ${organisationId}
        and not exists (select from organisation_member where organisation_id = ${organisationId})`;
  }
  await tx`delete from organisation_invitation where invited_by = ${account}`;
}

/** Whether a person is of a school. */
export async function isOfSchool(sql: Sql, school: string, account: string): Promise<boolean> {
  const [row] = await sql<{ is: boolean }[]>`select of_school(${school}, ${account}) as is`;
  return row?.is ?? false;
}

/** Whether a person teaches at a school. */
export async function teachesAt(sql: Sql, school: string, account: string): Promise<boolean> {
  const [row] = await sql`
    select from organisation_member where organisation_id = ${school} and account_id = ${account}`;
  return row !== undefined;
}
