import "server-only";
import { WORDS as NOTICES } from "@/core/words/notices";
import { tellPeople } from "../accounts/notices";
import { customAlphabet, nanoid } from "nanoid";
import { db, type Sql } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { rightsChanged } from "../live/notify";
import type { Visibility } from "@/core/timeline/visibility";

/** Read aloud and typed from a board: no letter that sounds or looks like another. */
export const newJoinCode = customAlphabet("ABCDEFGHJKMNPQRSTUVWXYZ23456789", 6);

/** Assistants see what teachers see and comment on it; they alter nothing of the class and give no marks. */
export type ClassRole = "teacher" | "assistant" | "student";

export interface SchoolClass {
  id: string;
  name: string;
  joinCode: string | null;
  publishLimit: Visibility;
  /** How long a submission is kept after it was handed in, months. */
  retentionMonths: number;
  /** The time zone its due times are said in, as the IANA names it. */
  zone: string;
  /** Its students may play what stays at other sites, and use camera and microphone. */
  outsidePlayers: boolean;
  recording: boolean;
  teacher: string;
  notice: string;
  /** What may stand as by-line on what is published of its work. */
  bylines: Bylines;
  /** The school it belongs to. */
  school: { id: string; name: string; publishLimit: Visibility } | null;
  /** When its year was ended; null: it goes on. */
  archivedAt: Date | null;
  /** When it came back out of an archive; null: it was made here. */
  fromArchiveAt: Date | null;
  /** The class of the year before. */
  follows: string | null;
}

/** As its authors like; or nobody's name: empty, or a pseudonym. */
export type Bylines = "free" | "no_names";

/** What a person is in a class; null: nothing. */
export async function findClassRole(sql: Sql, id: string, account: string): Promise<ClassRole | null> {
  const [row] = await sql<{ role: ClassRole }[]>`
    select ${roleOf(sql, account)} as role from class c
    where c.id = ${id} and (watches(c.id, ${account}) or exists (select from class_member m where m.class_id = c.id and m.account_id = ${account}))`;
  return row?.role ?? null;
}

/** What a person is in the class `c` of the query around it. */
const roleOf = (sql: Sql, account: string) =>
  sql`case when teaches(c.id, ${account}) then 'teacher' when watches(c.id, ${account}) then 'assistant' else 'student' end`;

/** Makes a class; whoever makes it leads it, and its times are theirs. */
export async function createClass(teacher: string, name: string, zone = "UTC"): Promise<Failure | { id: string }> {
  const plain = name.trim();
  if (plain.length < 1 || plain.length > 80) return fail("class_name_missing");
  const id = nanoid(12);
  const known = (await isZone(zone)) ? zone : "UTC";
  await db().begin(async (tx) => {
    await tx`insert into class (id, name, join_code, zone) values (${id}, ${plain}, ${newJoinCode()}, ${known})`;
    await tx`insert into class_teacher (class_id, account_id, role) values (${id}, ${teacher}, 'lead')`;
  });
  return { id };
}

/**
 * Whether database and pages both know a time zone by this name. (The database's list of them is read from hundreds of files each time it
 * is asked; and it takes more for a zone than a page can write times in, such as "ABC-5".)
 */
export async function isZone(name: string): Promise<boolean> {
  try {
    new Intl.DateTimeFormat("en", { timeZone: name });
  } catch {
    return false;
  }
  // Pages know bare offsets too, which the database reads the other way round.
  if (!/^[A-Za-z]/.test(name)) return false;
  return db()`select now() at time zone ${name}`.then(
    () => true,
    (error: { code?: string }) => {
      if (error.code === "22023") return false;
      throw error;
    },
  );
}

/** What its teacher may alter of a class. */
export interface ClassChange {
  code?: "renew" | "close";
  publishLimit?: Visibility;
  retentionMonths?: number;
  zone?: string;
  outsidePlayers?: boolean;
  recording?: boolean;
  /** What the school says to what is kept, in its own words. */
  notice?: string;
  bylines?: Bylines;
}

/** Renews or closes the join code, or sets how far students may publish. The teacher only. */
export async function alterClass(id: string, teacher: string, change: ClassChange): Promise<Failure | { done: true }> {
  if (change.zone !== undefined && !(await isZone(change.zone))) return fail("no_such_zone");
  const done = await db()`
    update class set
      join_code = case ${change.code ?? ""} when 'renew' then ${newJoinCode()} when 'close' then null else join_code end,
      publish_limit = coalesce(${change.publishLimit ?? null}, publish_limit),
      retention_months = coalesce(${change.retentionMonths ?? null}, retention_months),
      zone = coalesce(${change.zone ?? null}, zone),
      outside_players = coalesce(${change.outsidePlayers ?? null}, outside_players),
      recording = coalesce(${change.recording ?? null}, recording),
      bylines = coalesce(${change.bylines ?? null}, bylines),
      notice = coalesce(${change.notice?.trim() ?? null}, notice)
    where id = ${id} and teaches(id, ${teacher}) returning id`;
  return done.length > 0 ? { done: true } : fail("not_found");
}

export async function findClass(id: string): Promise<SchoolClass | null> {
  const [row] = await db()<SchoolClass[]>`
    select c.id, c.name, c.join_code, c.publish_limit, c.retention_months, c.zone, c.outside_players, c.recording, (
      select string_agg(a.display_name, ', ' order by t.joined_at, a.id) from class_teacher t join account a on a.id = t.account_id
      where t.class_id = c.id and t.role <> 'assistant') as teacher, c.archived_at, c.from_archive_at, c.follows, c.notice, c.bylines,
      case when o.id is not null then jsonb_build_object('id', o.id, 'name', o.name, 'publishLimit', o.publish_limit) end as school
    from class c left join organisation o on o.id = c.organisation_id where c.id = ${id}`;
  return row ?? null;
}

export interface Member {
  id: string;
  displayName: string;
  /** Only in the class in which the account was made; others see the display name alone. */
  signInName: string | null;
  /** Whether the account was made in another class. */
  madeElsewhere: boolean;
  /** What tells them from another of that name, for their teacher only. */
  note: string;
  /** Was put here by a list, and has not come in yet. */
  waits: boolean;
}

export async function membersOf(id: string): Promise<Member[]> {
  return db()<Member[]>`
    select a.id, a.display_name, case when a.made_in_class = m.class_id then a.sign_in_name end as sign_in_name,
      a.made_in_class is distinct from m.class_id and a.email is null as made_elsewhere, m.note,
      a.made_in_class = m.class_id and a.password_hash = 'closed' as waits
    from class_member m join account a on a.id = m.account_id
    where m.class_id = ${id} order by lower(a.display_name), a.id`;
}

/**
 * A student's name as their teacher reads it: with the note that tells two of one name apart, or the sign-in name where another of the
 * class has the same and nothing was noted. `p` is the account, `klass` the class, both of the query around it.
 */
export const TEACHERS_NAME = `p.display_name || coalesce((
  select case when k.note <> '' then ' (' || k.note || ')'
    when exists (select from class_member o join account q on q.id = o.account_id
      where o.class_id = k.class_id and q.id <> p.id and lower(q.display_name) = lower(p.display_name))
    then ' (' || coalesce(p.sign_in_name, 'with e-mail') || ')' end
  from class_member k where k.account_id = p.id and k.class_id = klass), '')`;

/** Notes what tells a student from another of the same name. Their teacher only. */
export async function noteMember(
  id: string,
  teacher: string,
  student: string,
  note: string,
): Promise<Failure | { done: true }> {
  const done = await db()`
    update class_member m set note = ${note.trim().slice(0, 40)} from class c
    where m.class_id = ${id} and m.account_id = ${student} and c.id = m.class_id and teaches(c.id, ${teacher}) returning m.account_id`;
  return done.length > 0 ? { done: true } : fail("not_found");
}

/** Takes a student out of the class; what they have made stays theirs, what they have handed in stays with the class. */
export async function removeMember(id: string, teacher: string, student: string): Promise<Failure | { done: true }> {
  const done = await db().begin(async (tx) => {
    const [gone] = await tx<{ name: string }[]>`
      delete from class_member m using class c
      where m.class_id = ${id} and m.account_id = ${student} and c.id = m.class_id and teaches(c.id, ${teacher}) returning c.name`;
    if (!gone) return false;
    await tellPeople(tx, "class", [student], () => NOTICES.noLongerIn(gone.name));
    await rightsChanged(student, tx);
    await rightsChanged(teacher, tx);
    return true;
  });
  return done ? { done: true } : fail("not_found");
}

export interface ClassCard {
  id: string;
  name: string;
  role: ClassRole;
  members: number;
  /** Its year is over. */
  archived: boolean;
}

export async function classesOf(account: string): Promise<ClassCard[]> {
  return db()<ClassCard[]>`
    select c.id, c.name, ${roleOf(db(), account)} as role, c.archived_at is not null as archived,
      (select count(*)::int from class_member m where m.class_id = c.id) as members
    from class c
    where watches(c.id, ${account}) or exists (select from class_member m where m.class_id = c.id and m.account_id = ${account})
    order by c.archived_at is not null, lower(c.name), c.id`;
}
